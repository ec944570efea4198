import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { checkSurface, type Reading } from '../measure';
import { difficultyOf } from './difficulty';
import { type CurvedPatch, curvatureOf, patchAt, gaussianCurvature } from './patch';
import { surplusAtEdges } from './surplus';

interface Tape {
  readonly W: number;
  readonly H: number;
  readonly hT: number;
  readonly hM: number;
  readonly hB: number;
  readonly vL?: number;
  readonly vM: number;
  readonly vR?: number;
  readonly q?: number;
}

const reading = (kind: Reading['kind'], from: string, to: string, value_mm: number): Reading => ({
  id: `${kind} ${from} ${to}`,
  kind,
  from,
  to,
  value_mm,
  instrument: 'tape',
});
const taken = ({ W, H, hT, hM, hB, vL, vM, vR, q }: Tape): Reading[] => [
  reading('distance', 'tl', 'tr', W),
  reading('distance', 'bl', 'br', W),
  reading('distance', 'tl', 'bl', H),
  reading('distance', 'tr', 'br', H),
  reading('distance', 'tl', 'br', Math.hypot(W, H)),
  reading('sag', 'tl', 'tr', hT),
  reading('sag', 'ml', 'mr', hM),
  reading('sag', 'bl', 'br', hB),
  reading('sag', 'mt', 'mb', vM),
  ...(vL === undefined ? [] : [reading('sag', 'tl', 'bl', vL)]),
  ...(vR === undefined ? [] : [reading('sag', 'tr', 'br', vR)]),
  ...(q === undefined ? [] : [reading('quarter sag', 'ml', 'mr', q), reading('quarter sag', 'mr', 'ml', q)]),
];
const fitted = (tape: Tape) => {
  const check = checkSurface({ shape: 'curved glass', readings: taken(tape) });
  if (!('figure' in check) || check.figure.patch === undefined) throw new Error(JSON.stringify(check));
  return { check, patch: check.figure.patch, sizes: check.sizes };
};
/** Six exact sags of a sphere of 2 m over 1400 × 800, mm. */
const SPHERE: Tape = {
  W: 1400,
  H: 800,
  hT: 129.2912724542298,
  hM: 126.50060048048054,
  hB: 129.2912724542298,
  vL: 43.19887774720679,
  vM: 40.40820577345752,
  vR: 43.19887774720679,
};

describe('is the fitted patch the glass measured?', () => {
  it('six exact sags of a sphere of R = 2 m give that sphere back to a hundredth of a millimetre', () => {
    const { patch, check } = fitted(SPHERE);
    const height = (x: number, y: number): number => Math.sqrt(2000 ** 2 - x * x - y * y);
    for (const [x, y] of [
      [0, 0],
      [350, 200],
      [-700, 0],
      [700, 400],
      [0, -400],
      [-350, -100],
    ] as const)
      expect(patchAt(patch, x, y).z - patchAt(patch, 0, 0).z).toBeCloseTo(height(x, y) - 2000, 2);
    expect('agreement' in check && check.agreement.kind).toBe('agree');
  });
  it('its curvature is 1/R² everywhere', () => {
    const { patch } = fitted(SPHERE);
    for (const [x, y] of [
      [0, 0],
      [500, 300],
      [-600, -350],
    ] as const) {
      const at = patchAt(patch, x, y);
      expect((gaussianCurvature(at) / Math.sqrt(1 + at.x ** 2 + at.y ** 2)) * 4e6).toBeCloseTo(1, 2);
    }
  });
  it('sags that break the closure hM − (hT + hB)/2 = vM − (vL + vR)/2 are found', () => {
    const { check } = fitted({ ...SPHERE, hM: SPHERE.hM + 15 });
    expect('agreement' in check && check.agreement.kind).toBe('disagree');
  });
  it('slopes are those of the height (differences), for any patch', () => {
    const share = fc.double({ min: -1, max: 1, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(share, { minLength: 8, maxLength: 8 }),
        share,
        share,
        ([a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, i = 0], u, v) => {
          const patch: CurvedPatch = {
            halfWidth_mm: 700,
            halfHeight_mm: 400,
            acrossBottom: a * 1e-3,
            acrossMiddle: b * 1e-3,
            acrossTop: c * 1e-3,
            down: d * 1e-3,
            twist: e * 1e-5,
            skew: f * 1e-8,
            cubicDown: g * 1e-8,
            quarticAcross: i * 1e-10,
          };
          const [x, y, step] = [650 * u, 380 * v, 0.5];
          const at = patchAt(patch, x, y);
          const z = (dx: number, dy: number): number => patchAt(patch, x + dx, y + dy).z;
          expect(at.x).toBeCloseTo((z(step, 0) - z(-step, 0)) / (2 * step), 5);
          expect(at.y).toBeCloseTo((z(0, step) - z(0, -step)) / (2 * step), 5);
          expect(at.xx).toBeCloseTo((z(step, 0) - 2 * z(0, 0) + z(-step, 0)) / step ** 2, 5);
          expect(at.yy).toBeCloseTo((z(0, step) - 2 * z(0, 0) + z(0, -step)) / step ** 2, 5);
          expect(at.xy).toBeCloseTo(
            (z(step, step) - z(step, -step) - z(-step, step) + z(-step, -step)) / (4 * step ** 2),
            5,
          );
        },
      ),
    );
  });
  it('chord and sag of a circle give its curvature', () => {
    expect(1 / curvatureOf(1000, 1000 - Math.sqrt(1000 ** 2 - 500 ** 2))).toBeCloseTo(1000, 9);
  });
  it('a twisted pane shows in the rocking gap: τ = gap/(4ah)', () => {
    const flat: Tape = { W: 1400, H: 800, hT: 0.001, hM: 0.001, hB: 0.001, vM: 0.001 };
    const check = checkSurface({
      shape: 'curved glass',
      readings: [...taken(flat), reading('rocking gap', 'tr', 'tr', 12)],
    });
    expect('figure' in check && check.figure.patch?.twist).toBeCloseTo(12 / (4 * 700 * 400), 9);
  });
  it('what a difference of the two sides does: δ', () => {
    const { patch } = fitted({ W: 1400, H: 800, hT: 40, hM: 40, hB: 40, vL: 10, vM: 15, vR: 20 });
    const side = (x: number): number =>
      patchAt(patch, x, 0).z - (patchAt(patch, x, 400).z + patchAt(patch, x, -400).z) / 2;
    expect(side(700) - side(-700)).toBeCloseTo(10, 1);
  });
});

describe('how much film is left over?', () => {
  it('small sags: 8 · across · down / W, four times less than from the far edge', () => {
    const { patch } = fitted({ W: 1400, H: 700, hT: 8, hM: 8, hB: 8, vM: 3 });
    expect(surplusAtEdges(patch).top_mm).toBeCloseTo((8 * 8 * 3) / 1400, 3);
  });
  it('a sphere: the strip between the corners loses what 1 − cos(v/R) says at its middle', () => {
    const { patch } = fitted(SPHERE);
    const { top_mm, bottom_mm } = surplusAtEdges(patch);
    expect(top_mm).toBeCloseTo(bottom_mm, 6);
    const arc = 2000 * 2 * Math.asin(700 / 2000);
    expect(top_mm / arc).toBeGreaterThan(0.7 * 0.02020410288672876);
    expect(top_mm / arc).toBeLessThan(1.05 * 0.02020410288672876);
  });
  it('curvature gathered at the ends: 80 mm of sag with 66 at the quarters gives 18.66 mm, by sag alone a quarter less (independent geodesics)', () => {
    const withQuarters = fitted({ W: 1400, H: 700, hT: 80, hM: 80, hB: 80, vM: 30, q: 66 });
    expect(surplusAtEdges(withQuarters.patch).top_mm).toBeCloseTo(18.66, 0);
    const without = fitted({ W: 1400, H: 700, hT: 80, hM: 80, hB: 80, vM: 30 });
    expect(surplusAtEdges(without.patch).top_mm / 18.66).toBeCloseTo(0.73, 1);
    expect(without.check).toMatchObject({
      state: 'assumed',
      remarks: expect.arrayContaining([{ case: 'curve near the ends unknown' }]),
    });
  });
  it('more curve below leaves more film below', () => {
    const { sizes, check } = fitted({ W: 1400, H: 700, hT: 30, hM: 45, hB: 60, vL: 25, vM: 25, vR: 25 });
    expect(sizes.surplusBottom_mm?.value).toBeGreaterThan(1.2 * (sizes.surplusTop_mm?.value ?? Infinity));
    expect('remarks' in check && check.remarks[0]).toMatchObject({
      case: 'how hard it is',
      difficulty: { word: expect.stringContaining('folds') },
    });
  });
  it('a saddle asks for stretch', () => {
    const { sizes } = fitted({
      W: 1200,
      H: 700,
      hT: 71.8,
      hM: 73,
      hB: 71.8,
      vL: -42.6,
      vM: -41.4,
      vR: -42.6,
    });
    expect(sizes.surplusTop_mm?.value).toBeLessThan(0);
    expect(difficultyOf({ top_mm: -5, bottom_mm: -5, width_mm: 1200 }).word).toContain('saddle');
  });
});

describe('how well is the surplus known?', () => {
  /** One sag across and one down, each stated to so many millimetres. */
  const doubt = (sd_mm: number, more: readonly Reading[] = []): number => {
    const one = (kind: Reading['kind'], from: string, to: string, value: number): Reading => ({
      ...reading(kind, from, to, value),
      sd_mm,
    });
    const chords = taken({ W: 1400, H: 700, hT: 0, hM: 0, hB: 0, vM: 0 }).filter(
      ({ kind }) => kind === 'distance',
    );
    const check = checkSurface({
      shape: 'curved glass',
      readings: [...chords, one('sag', 'ml', 'mr', 8), one('sag', 'mt', 'mb', 3), ...more],
    });
    if (!('sizes' in check)) throw new Error(check.state);
    return check.sizes.surplusTop_mm?.why.at(-1)?.uncertainty?.plusMinus ?? Number.NaN;
  };
  const surplus = (8 * 8 * 3) / 1400;
  it('by the small-sag rule 8·a·d/W: two standard deviations of both sags, and a quarter for ends nobody measured', () => {
    const bySags = 2 * (8 / 1400) * 0.5 * Math.hypot(8, 3);
    expect(doubt(0.5)).toBeCloseTo(Math.hypot(bySags, 0.25 * surplus), 3);
    expect(doubt(0.001)).toBeCloseTo(0.25 * surplus, 3);
    expect(doubt(2)).toBeGreaterThan(3.5 * bySags);
  });
  it('with sags a quarter in taken, that quarter is gone', () => {
    const quarters = [
      { ...reading('quarter sag', 'ml', 'mr', 6), sd_mm: 0.001 },
      { ...reading('quarter sag', 'mr', 'ml', 6), sd_mm: 0.001 },
    ];
    expect(doubt(0.001, quarters)).toBeLessThan(0.05 * surplus);
  });
});

describe('how is it said in plain words?', () => {
  it.each([
    [0.5, 0.4, 'flat enough'],
    [6, 5, 'a few folds'],
    [25, 20, 'many folds'],
    [60, 50, 'more than the film gives'],
  ])('%d mm above and %d below on 1200 mm: %s', (top_mm, bottom_mm, word) => {
    expect(difficultyOf({ top_mm, bottom_mm, width_mm: 1200 }).word).toBe(word);
  });
  it('much more below than above is said', () => {
    expect(difficultyOf({ top_mm: 4, bottom_mm: 10, width_mm: 1200 }).where).toBe('at the bottom');
  });
});
