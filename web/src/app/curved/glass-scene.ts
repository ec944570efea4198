import { type CurvedPatch, type HeldPlan, filmRise, patchAt } from '@yellow-pane/core/curved';
import type * as Three from 'three';
import type { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';

const COLUMNS = 96;
const ROWS = 64;
/** Film lies so far over the glass that both are seen, mm. */
const CLEAR_MM = 2;

export interface GlassScene {
  /** Draws the film so many times as high as its folds stand. */
  readonly rise: (times: number) => void;
  readonly end: () => void;
}

interface Loaded {
  readonly three: typeof Three;
  readonly Controls: typeof OrbitControls;
}

/** The library is fetched when somebody asks for the picture. */
export async function loadThree(): Promise<Loaded> {
  const [three, { OrbitControls: Controls }] = await Promise.all([
    import('three'),
    import('three/examples/jsm/controls/OrbitControls.js'),
  ]);
  return { three, Controls };
}

interface Shown {
  readonly patch: CurvedPatch;
  readonly plan: HeldPlan;
  readonly colours: Colours;
}

/**
 * Glass and film in space, to be turned by hand.
 * @throws Error when the device draws nothing in space
 */
export function glassScene(
  loaded: Loaded,
  canvas: HTMLCanvasElement,
  { patch, plan, colours }: Shown,
): GlassScene {
  const { three, Controls } = loaded;
  const { renderer, scene, camera } = emptyScene(
    loaded,
    canvas,
    2 * Math.max(patch.halfWidth_mm, patch.halfHeight_mm),
  );
  const corner = patchAt(patch, patch.halfWidth_mm, patch.halfHeight_mm).z;
  const towards = patchAt(patch, 0, 0).z >= corner ? 1 : -1;
  const glass = newSheet(three, patch, colours.glass, 0.9);
  const film = newSheet(three, patch, colours.film, 0.6);
  scene.add(glass, film);
  const rise = (times: number): void => {
    shape(
      film.geometry,
      (x, y) => towards * patchAt(patch, x, y).z + CLEAR_MM + times * filmRise(plan, x, y),
    );
    renderer.render(scene, camera);
  };
  shape(glass.geometry, (x, y) => towards * patchAt(patch, x, y).z);
  const controls = new Controls(camera, canvas);
  controls.enablePan = false;
  controls.addEventListener('change', () => {
    renderer.render(scene, camera);
  });
  controls.update();
  rise(1);
  return {
    rise,
    end() {
      controls.dispose();
      for (const { geometry, material } of [glass, film]) {
        geometry.dispose();
        material.dispose();
      }
      renderer.dispose();
    },
  };
}

function emptyScene({ three }: Loaded, canvas: HTMLCanvasElement, size: number) {
  const renderer = new three.WebGLRenderer({ canvas, antialias: true, alpha: true });
  renderer.setPixelRatio(window.devicePixelRatio);
  renderer.setSize(canvas.clientWidth, canvas.clientHeight, false);
  const scene = new three.Scene();
  const camera = new three.PerspectiveCamera(
    35,
    canvas.clientWidth / canvas.clientHeight,
    size / 50,
    size * 10,
  );
  camera.position.set(0.5 * size, -0.85 * size, 1.25 * size);
  const lamp = new three.DirectionalLight(0xffffff, 2.6);
  lamp.position.set(-size, 0.6 * size, 0.5 * size);
  scene.add(new three.HemisphereLight(0xffffff, 0x888877, 1.4), lamp);
  return { renderer, scene, camera };
}

function newSheet(three: Loaded['three'], patch: CurvedPatch, color: string, opacity: number) {
  return new three.Mesh(
    new three.PlaneGeometry(2 * patch.halfWidth_mm, 2 * patch.halfHeight_mm, COLUMNS, ROWS),
    new three.MeshStandardMaterial({
      ...{
        color,
        opacity,
        side: three.DoubleSide,
        transparent: true,
        roughness: 0.4,
        depthWrite: opacity > 0.8,
      },
    }),
  );
}

interface Colours {
  readonly glass: string;
  readonly film: string;
}

function shape(geometry: Three.BufferGeometry, heightAt: (x: number, y: number) => number): void {
  const places = geometry.getAttribute('position');
  for (let index = 0; index < places.count; index += 1)
    places.setZ(index, heightAt(places.getX(index), places.getY(index)));
  places.needsUpdate = true;
  geometry.computeVertexNormals();
}
