import { type Formula, type Reasoned, type Source, applyFormula } from '../quantity';

const BRE: Source = {
  kind: 'published',
  text: 'average daylight factor, BRE / BS 8206-2 / CIBSE LG10; EN 17037 is another measure',
};

/** The room behind the glass. */
export interface Room {
  readonly width_m: number;
  readonly depth_m: number;
  readonly height_m: number;
  /** Mean of all surfaces. */
  readonly reflects: number;
  /** Glass area that lets light in. */
  readonly glass_m2: number;
  /** Angle of sky seen from the middle of the window. */
  readonly sky_deg: number;
}

/** Put in the true one where the figure matters. @source our guess: a middling room under an open sky */
export const USUAL_ROOM: Omit<Room, 'glass_m2'> = {
  width_m: 5,
  depth_m: 5,
  height_m: 2.7,
  reflects: 0.5,
  sky_deg: 65,
};
/** Diffuse light goes through a little worse than straight light. @source from memory */
const DIFFUSE_SHARE = 0.91;
const CLEAN = 0.9;

const DAYLIGHT_FORMULA: Formula<{
  readonly t: number;
  readonly glass: number;
  readonly sky: number;
  readonly dirt: number;
  readonly surfaces: number;
  readonly reflects: number;
}> = {
  id: 'privacy.daylight',
  word: 'Average daylight factor',
  says: 'ADF = T·Aw·θ·M / (A·(1 − R²))',
  unit: '%',
  source: BRE,
  inputs: {
    t: { word: 'diffuse light through', unit: 'share' },
    glass: { word: 'glass', unit: 'm²' },
    sky: { word: 'sky seen', unit: '°' },
    dirt: { word: 'kept by dirt', unit: 'share' },
    surfaces: { word: 'all surfaces of the room', unit: 'm²' },
    reflects: { word: 'they reflect, on average', unit: 'share' },
  },
  of: ({ t, glass, sky, dirt, surfaces, reflects }) =>
    (t * glass * sky * dirt) / (surfaces * (1 - reflects ** 2)),
};
export const DAYLIGHT_FORMULAS = [DAYLIGHT_FORMULA] as const;

/** @returns percent; 2 looks daylit, 5 is well lit (BS 8206-2) */
export function daylightFactor(
  lightThrough: number,
  { width_m, depth_m, height_m, reflects, glass_m2, sky_deg }: Room,
): Reasoned<number> {
  const surfaces = 2 * (width_m * depth_m + width_m * height_m + depth_m * height_m);
  const step = applyFormula(DAYLIGHT_FORMULA, {
    t: lightThrough * DIFFUSE_SHARE,
    glass: glass_m2,
    sky: sky_deg,
    dirt: CLEAN,
    surfaces,
    reflects,
  });
  return { value: step.value, why: [step] };
}

/**
 * What else people hang before a window, by the light it lets through.
 * @source own judgement: cloth from 0 to 0.3
 */
export const DRAWN_CURTAIN_LIGHT = 0.15;
/**
 * Even frost over the whole pane, of the light the bare pane lets through.
 * @source own judgement, middling frost
 */
export const SOLID_FROST_SHARE = 0.6;
