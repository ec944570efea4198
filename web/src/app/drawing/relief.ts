import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { type CurvedPatch, patchAt } from '@yellow-pane/core/measure';
import { uiWords } from '../words/ui';

const COLUMNS = 22;
const ROWS = 14;
const WIDTH = 270;
const HEIGHT = 150;
/** Light from the upper left, as drawings are lit. */
const LIGHT = normalised({ x: -0.5, y: 0.6, z: 0.62 });

/** The curved pane as a lit relief seen from above one corner, heights enlarged. */
@Component({
  selector: 'yp-relief',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <figure>
      <svg
        [attr.viewBox]="'0 0 ' + width + ' ' + height"
        class="w-full bg-paper border border-line rounded-card"
        role="img"
        [attr.aria-label]="words.relief(times())"
      >
        @for (tile of tiles(); track $index) {
          <path [attr.d]="tile.path" [attr.fill]="tile.fill" [attr.stroke]="tile.fill" stroke-width="0.7" />
        }
      </svg>
      <figcaption class="text-sm text-faint mt-1">
        {{ words.seenFromAbove(times()) }}
      </figcaption>
    </figure>
  `,
})
export class Relief {
  protected readonly words = uiWords;
  readonly patch = input.required<CurvedPatch>();
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;
  readonly #most = computed(() => {
    const { halfWidth_mm: a, halfHeight_mm: h } = this.patch();
    let most = 1;
    for (let i = -4; i <= 4; i += 1)
      for (let j = -4; j <= 4; j += 1)
        most = Math.max(most, Math.abs(patchAt(this.patch(), (a * i) / 4, (h * j) / 4).z));
    return most;
  });
  protected readonly times = computed(() =>
    Math.max(1, Math.round((0.35 * this.patch().halfWidth_mm) / this.#most())),
  );
  protected readonly tiles = computed(() => {
    const patch = this.patch();
    const { halfWidth_mm: a, halfHeight_mm: h } = patch;
    const times = this.times();
    const point = (i: number, j: number): { readonly x: number; readonly y: number; readonly z: number } => {
      const [x, y] = [-a + (2 * a * i) / COLUMNS, h - (2 * h * j) / ROWS];
      return { x, y, z: patchAt(patch, x, y).z * times };
    };
    const flat = ({
      x,
      y,
      z,
    }: {
      readonly x: number;
      readonly y: number;
      readonly z: number;
    }): { readonly u: number; readonly v: number } => ({
      u: 0.94 * x + 0.34 * y,
      v: 0.22 * x - 0.55 * y - 0.8 * z,
    });
    const corners = [
      [0, 0],
      [COLUMNS, 0],
      [0, ROWS],
      [COLUMNS, ROWS],
      [COLUMNS / 2, ROWS / 2],
      [COLUMNS / 2, 0],
    ].map(([i = 0, j = 0]) => flat(point(i, j)));
    const [left, right] = [Math.min(...corners.map(({ u }) => u)), Math.max(...corners.map(({ u }) => u))];
    const [top, bottom] = [Math.min(...corners.map(({ v }) => v)), Math.max(...corners.map(({ v }) => v))];
    const scale = Math.min((WIDTH - 16) / (right - left), (HEIGHT - 16) / (bottom - top));
    const at = (i: number, j: number): string => {
      const { u, v } = flat(point(i, j));
      return `${((WIDTH - (right - left) * scale) / 2 + (u - left) * scale).toFixed(1)} ${((HEIGHT - (bottom - top) * scale) / 2 + (v - top) * scale).toFixed(1)}`;
    };
    return Array.from({ length: ROWS * COLUMNS }, (_, index) => {
      const [i, j] = [index % COLUMNS, Math.floor(index / COLUMNS)];
      const [p, q, r] = [point(i, j), point(i + 1, j), point(i, j + 1)];
      const normal = normalised(
        cross({ x: q.x - p.x, y: q.y - p.y, z: q.z - p.z }, { x: p.x - r.x, y: p.y - r.y, z: p.z - r.z }),
      );
      const light = Math.max(0, normal.x * LIGHT.x + normal.y * LIGHT.y + normal.z * LIGHT.z);
      return {
        path: `M${at(i, j)}L${at(i + 1, j)}L${at(i + 1, j + 1)}L${at(i, j + 1)}Z`,
        fill: `hsl(172 16% ${(24 + 62 * light).toFixed(0)}%)`,
      };
    });
  });
}

interface Vector {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

function cross(a: Vector, b: Vector): Vector {
  return { x: a.y * b.z - a.z * b.y, y: a.z * b.x - a.x * b.z, z: a.x * b.y - a.y * b.x };
}

function normalised({ x, y, z }: Vector): Vector {
  const length = Math.hypot(x, y, z) || 1;
  return { x: x / length, y: y / length, z: z / length };
}
