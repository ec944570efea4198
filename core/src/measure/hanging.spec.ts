import { describe, expect, it } from '@jest/globals';
import { checkSurface } from './check-surface';
import type { Reading } from './reading';
import type { SurfaceInput } from './shapes/shape';
import type { SurfaceCheck } from './surface-check';

const length = (from: string, to: string, value_mm: number, kind: Reading['kind'] = 'distance'): Reading => ({
  id: `${kind} ${from}-${to}`,
  kind,
  from,
  to,
  value_mm,
  instrument: 'tape',
});
const check = (
  shape: SurfaceInput['shape'],
  readings: readonly Reading[],
  corners?: number,
): Extract<SurfaceCheck, { readonly sizes: unknown }> => {
  const found = checkSurface({ shape, readings, ...(corners === undefined ? {} : { corners }) });
  if (!('sizes' in found)) throw new Error(found.state);
  return found;
};
const around = (found: ReturnType<typeof check>): readonly [number, number] => [
  Math.round(found.sizes.aroundWidth_mm.value),
  Math.round(found.sizes.aroundHeight_mm.value),
];
/**
 * Sides upright on a level sill: bottom 800, left 800, right 1400, so the head rises 600 and is 1000 long.
 */
const RAKED = [
  length('bl', 'br', 800),
  length('tl', 'bl', 800),
  length('tr', 'br', 1400),
  length('tl', 'tr', 1000),
  length('tl', 'br', Math.hypot(800, 800)),
  length('bl', 'tr', Math.hypot(800, 1400)),
];

describe('is a pane drawn and cut as it hangs?', () => {
  it('a raked head on a level sill hangs 800 × 1400, its sides upright', () => {
    const found = check('four sides', RAKED);
    expect(around(found)).toEqual([800, 1400]);
    expect(found.figure.outline.map(({ x, y }) => [Math.round(x), Math.round(y)])).toEqual([
      [0, 600],
      [800, 0],
      [800, 1400],
      [0, 1400],
    ]);
  });
  it('which edge is level is asked where head and sill are not parallel, and answered by a level', () => {
    expect(check('four sides', RAKED).remarks).toEqual([{ case: 'which edge is level' }]);
    /** The head is the level one: the right end of the head is neither lower nor higher. */
    const turned = check('four sides', [...RAKED, length('tl', 'tr', 0, 'level')]);
    const [tl, tr] = turned.figure.outline;
    expect(Math.abs((tl?.y ?? 0) - (tr?.y ?? 9))).toBeLessThan(1);
    expect(around(turned)[0]).toBeGreaterThan(1200);
  });
  it('a level of −200 along the head turns figure and blank', () => {
    const square = [
      length('tl', 'tr', 1000),
      length('bl', 'br', 1000),
      length('tl', 'bl', 1000),
      length('tr', 'br', 1000),
      length('tl', 'br', Math.SQRT2 * 1000),
      length('bl', 'tr', Math.SQRT2 * 1000),
    ];
    const [w, h] = around(check('four sides', [...square, length('tl', 'tr', -200, 'level')]));
    const [cos, sin] = [Math.sqrt(1 - 0.04), 0.2];
    expect(Math.abs(w - 1000 * (cos + sin))).toBeLessThan(2);
    expect(Math.abs(h - 1000 * (cos + sin))).toBeLessThan(2);
  });
  it('a gable of five corners stands on its sill', () => {
    /** Eaves at 1000, ridge 500 higher over the middle of 1200: corners from the left eave. */
    const at = [
      [0, 500],
      [600, 0],
      [1200, 500],
      [1200, 1500],
      [0, 1500],
    ] as const;
    const all = at.flatMap(([x, y], a) =>
      at.slice(a + 1).map(([u, v], b) => length(`p${a + 1}`, `p${a + b + 2}`, Math.hypot(x - u, y - v))),
    );
    const found = check('many sides', all, 5);
    expect(around(found)).toEqual([1200, 1500]);
    expect(found.figure.outline.map(({ x, y }) => [Math.round(x), Math.round(y)])).toEqual(
      at.map(([x, y]) => [x, y]),
    );
  });
  it('an arch over a sill whose left side is longer stands on its sill', () => {
    const at = { tl: [0, 300], tr: [800, 400], br: [800, 1300], bl: [0, 1300] } as const;
    const between = (a: keyof typeof at, b: keyof typeof at): Reading =>
      length(a, b, Math.hypot(at[a][0] - at[b][0], at[a][1] - at[b][1]));
    const found = check('arched top', [
      between('tl', 'tr'),
      between('bl', 'br'),
      between('tl', 'bl'),
      between('tr', 'br'),
      between('tl', 'br'),
      between('bl', 'tr'),
      length('ct', 'mt', 200, 'height over'),
    ]);
    const { bl, br } = found.figure.points as Readonly<Record<string, { readonly y: number }>>;
    expect(Math.abs((bl?.y ?? 0) - (br?.y ?? 9))).toBeLessThan(0.5);
  });
  it('a triangle stands on its bottom', () => {
    expect(
      around(
        check('three sides', [length('bl', 'br', 1200), length('bl', 'tp', 900), length('br', 'tp', 1500)]),
      ),
    ).toEqual([1200, 900]);
  });
});
