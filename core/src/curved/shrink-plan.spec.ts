import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { type CurvedPatch, USUAL_SHRINK_LIMITS, curvatureOf, shrinkPlan, surplusOf } from './index';

const FOLDS = { most_mm: 12, free: 0.6, liesDownBy: 0.003 };
const planOf = (patch: CurvedPatch, lineAt_mm: number | null = null, most_mm = FOLDS.most_mm) =>
  shrinkPlan({ patch, limits: USUAL_SHRINK_LIMITS, folds: { ...FOLDS, most_mm }, lineAt_mm });

/** A pane by its sags, mm: across at bottom, middle and top, and down its middle. */
function pane(
  width: number,
  height: number,
  { bottom, middle, top, down }: Readonly<Record<'bottom' | 'middle' | 'top' | 'down', number>>,
  more: Partial<CurvedPatch> = {},
): CurvedPatch {
  return {
    halfWidth_mm: width / 2,
    halfHeight_mm: height / 2,
    acrossBottom: curvatureOf(width, bottom),
    acrossMiddle: curvatureOf(width, middle),
    acrossTop: curvatureOf(width, top),
    down: curvatureOf(height, down),
    ...{ twist: 0, skew: 0, cubicDown: 0, quarticAcross: 0 },
    ...more,
  };
}
const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
/** A pane as vehicles have them: the ends curve by a third more or less than the middle. */
const anyPane = fc
  .record({
    middle: between(10, 60),
    below: between(0.7, 1.3),
    above: between(0.7, 1.3),
    down: between(3, 30),
  })
  .map(({ middle, below, above, down }) => {
    const sags = { bottom: middle * below, middle, top: middle * above, down };
    return { sags, patch: pane(1400, 750, sags) };
  });
const RUNS = { numRuns: 25, seed: 7, endOnFailure: true };

describe('what does film ask for on a ring and on a cylinder?', () => {
  it('a cylinder lies down without any: no surplus above or below', () => {
    const { top, bottom } = surplusOf(pane(1400, 700, { bottom: 40, middle: 40, top: 40, down: 0 }), 0);
    expect(Math.abs(top.surplus_mm)).toBeLessThan(1e-9);
    expect(Math.abs(bottom.surplus_mm)).toBeLessThan(1e-9);
  });
  it('small sags: 8 · across · down / W above and below a line in the middle, 32 held along the top', () => {
    const plan = planOf(pane(1400, 700, { bottom: 8, middle: 8, top: 8, down: 3 }));
    expect(plan['a line across'].top.surplus_mm).toBeCloseTo((8 * 8 * 3) / 1400, 3);
    expect(plan['along the top'].bottom.surplus_mm).toBeCloseTo((32 * 8 * 3) / 1400, 2);
    expect(plan['along the top'].top.surplus_mm).toBeCloseTo(0, 3);
  });
  it('the certificate: both ways of adding up curvature differ by a millionth at most, on any pane', () => {
    fc.assert(
      fc.property(anyPane, ({ patch }) => {
        const { top, bottom } = surplusOf(patch, 0);
        expect(top.residual).toBeLessThanOrEqual(1e-6);
        expect(bottom.residual).toBeLessThanOrEqual(1e-6);
      }),
      RUNS,
    );
  });
});

describe('how is a pane held, and what does it cost?', () => {
  it('a line across leaves as much above as below, to a tenth of a millimetre of line', () => {
    fc.assert(
      fc.property(anyPane, ({ patch }) => {
        const { top, bottom } = planOf(patch)['a line across'];
        expect(Math.abs(top.surplus_mm - bottom.surplus_mm)).toBeLessThan(0.02);
      }),
      RUNS,
    );
  });
  it('more curve below, a lower line; turned upside down, a higher one', () => {
    const below = planOf(pane(1400, 700, { bottom: 60, middle: 45, top: 30, down: 20 }))['a line across'];
    const above = planOf(pane(1400, 700, { bottom: 30, middle: 45, top: 60, down: 20 }))['a line across'];
    expect(below.at_mm).toBeLessThan(-5);
    expect(above.at_mm).toBeCloseTo(-below.at_mm, 2);
    expect(below.fromTop_mm.middle).toBeCloseTo(350 - below.at_mm, 9);
  });
  it('held along the top, a door pane asks at its lower edge for about four times the strain', () => {
    const plan = planOf(pane(620, 1480, { bottom: 10, middle: 10, top: 10, down: 14 }));
    const times = plan['along the top'].bottom.strainMiddle / plan['a line across'].bottom.strainMiddle;
    expect(times).toBeGreaterThan(3.8);
    expect(times).toBeLessThan(4.3);
  });
  it('more sag never leaves less over', () => {
    fc.assert(
      fc.property(anyPane, fc.double({ min: 1, max: 1.5, noNaN: true }), ({ sags }, times) => {
        const more = { ...sags, down: sags.down * times };
        const [one, other] = [sags, more].map((own) => surplusOf(pane(1400, 750, own), 0).bottom.surplus_mm);
        expect((other ?? 0) - (one ?? 0)).toBeGreaterThan(-1e-6);
      }),
      RUNS,
    );
  });
  it('a mirrored pane has the mirrored plan', () => {
    const lopsided = { twist: 2e-6, skew: 4e-9 };
    const sags = { bottom: 40, middle: 35, top: 30, down: 18 };
    const own = planOf(pane(1400, 700, sags, lopsided))['a line across'];
    const mirrored = planOf(pane(1400, 700, sags, { twist: -2e-6, skew: -4e-9 }))['a line across'];
    expect(mirrored.at_mm).toBeCloseTo(own.at_mm, 6);
    expect(mirrored.fromTop_mm.left).toBeCloseTo(own.fromTop_mm.right, 6);
    expect(mirrored.bottom.folds.places.map(({ atEdge }) => Math.round(atEdge.x))).toEqual(
      own.bottom.folds.places.map(({ atEdge }) => Math.round(-atEdge.x)).reverse(),
    );
  });
});

describe('which folds, and is it too much for the film?', () => {
  /** About 7.4 mm a side, as the end window of the demo. */
  const END = pane(1241, 759, { bottom: 46, middle: 42, top: 38, down: 26 });
  it.each([
    [10, 5],
    [12, 4],
    [16, 3],
  ])('an end window with 7.3 mm a side: folds of at most %d mm, %d of them', (most_mm, count) => {
    const { bottom } = planOf(END, null, most_mm)['a line across'];
    expect(bottom.surplus_mm).toBeGreaterThan(7);
    expect(bottom.surplus_mm).toBeLessThan(7.6);
    expect(bottom.folds.count).toBe(count);
  });
  it('splitting changes their height and not their strain; each has the same share, tip first', () => {
    const [few, many] = [16, 10].map((most_mm) => planOf(END, null, most_mm)['a line across'].bottom.folds);
    expect(many?.height_mm).toBeLessThan(few?.height_mm ?? 0);
    expect(many?.localStrain).toBeCloseTo(few?.localStrain ?? 0, 12);
    for (const { tip, atEdge, length_mm } of many?.places ?? []) {
      expect(atEdge.y).toBeCloseTo(-379.5, 6);
      expect(tip?.y).toBeGreaterThan(atEdge.y);
      expect(length_mm).toBeGreaterThan(0);
      expect(length_mm).toBeLessThan(400);
    }
  });
  it('nearly flat: no fold comes by itself, three are pinched on purpose, as long as the hand makes them', () => {
    const { bottom, verdict } = planOf(pane(620, 1480, { bottom: 2, middle: 2, top: 2, down: 4 }))[
      'a line across'
    ];
    expect(bottom.folds).toMatchObject({ count: 3, arePinched: true });
    expect(bottom.folds.places.map(({ tip, length_mm }) => [tip, length_mm])).toEqual(
      Array(3).fill([null, null]),
    );
    expect(verdict).toBe('easy');
  });
  it('on a cylinder nothing is pinched: there is nothing to shrink', () => {
    const { bottom, verdict } = planOf(pane(1400, 700, { bottom: 40, middle: 40, top: 40, down: 0 }))[
      'a line across'
    ];
    expect(bottom.folds).toMatchObject({ count: 0, arePinched: false, places: [] });
    expect(verdict).toBe('easy');
  });
  it('a person wants six: six of the same share, lower, and as hard as before', () => {
    const [own, wanted] = [null, 6].map(
      (count) =>
        shrinkPlan({ patch: END, limits: USUAL_SHRINK_LIMITS, folds: { ...FOLDS, count }, lineAt_mm: null })[
          'a line across'
        ],
    );
    expect(wanted?.bottom.folds).toMatchObject({ count: 6, arePinched: false });
    expect(wanted?.bottom.folds.height_mm).toBeLessThan(own?.bottom.folds.height_mm ?? 0);
    expect(wanted?.worst).toBeCloseTo(own?.worst ?? 0, 9);
  });
  it('the four words: easy, hard, over the limit, must stretch', () => {
    const word = (down: number, across: number) =>
      planOf(pane(1400, 700, { bottom: across, middle: across, top: across, down }))['a line across'].verdict;
    expect(word(20, 30)).toBe('easy');
    expect(word(45, 55)).toBe('hard');
    expect(word(90, 110)).toBe('over the limit');
    expect(word(-25, 60)).toBe('must stretch');
  });
});

describe('what cannot be is refused by name', () => {
  const patch = pane(1400, 700, { bottom: 30, middle: 30, top: 30, down: 15 });
  it.each([
    ['a line dragged off the pane', { lineAt_mm: 400 }, 'lineAt_mm'],
    ['no free share', { folds: { ...FOLDS, free: 0 } }, 'folds.free'],
    ['no folds at all', { folds: { ...FOLDS, count: 0 } }, 'folds.count'],
    ['half a fold', { folds: { ...FOLDS, count: 2.5 } }, 'folds.count'],
    ['folds of no height', { folds: { ...FOLDS, most_mm: 0 } }, 'folds.most_mm'],
    ['film without a limit', { limits: { ...USUAL_SHRINK_LIMITS, limit: Number.NaN } }, 'limits.limit'],
  ])('%s', (_, fields, path) => {
    const asked = () =>
      shrinkPlan({ patch, limits: USUAL_SHRINK_LIMITS, folds: FOLDS, lineAt_mm: null, ...fields });
    expect(asked).toThrow(`CURVED_RANGE at ${path}`);
  });
});
