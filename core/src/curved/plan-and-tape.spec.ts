import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { checkSurface, type Reading } from '../measure';
import { seededNormal } from '../quantity';
import {
  type Band,
  type CurvedPatch,
  type PatchDoubt,
  USUAL_SHRINK_LIMITS,
  curvatureOf,
  endsReadWell,
  filmRise,
  filmLine,
  heatOrder,
  isOfEnds,
  onFlatFilm,
  patchAt,
  shrinkPlan,
  strainLattice,
  surplusBand,
  surplusOf,
  whatHelps,
  withPlacesBetween,
} from './index';

const FOLDS = { most_mm: 12, free: 0.6, liesDownBy: 0.003 };
const plansOf = (patch: CurvedPatch) =>
  shrinkPlan({ patch, limits: USUAL_SHRINK_LIMITS, folds: FOLDS, lineAt_mm: null });
const NO_MORE = { twist: 0, skew: 0, cubicDown: 0, quarticAcross: 0 };
const even = (width: number, height: number, across: number, down: number): CurvedPatch => ({
  halfWidth_mm: width / 2,
  halfHeight_mm: height / 2,
  acrossBottom: across,
  acrossMiddle: across,
  acrossTop: across,
  down,
  ...NO_MORE,
});
const byTape = (sags: Readonly<Record<string, number>>, more: readonly Reading[] = []) => {
  const at = (key: string): readonly [string, string] => LINES[key] ?? ['', ''];
  const readings: Reading[] = [
    reading('distance', 'tl', 'tr', 1400),
    reading('distance', 'bl', 'br', 1400),
    reading('distance', 'tl', 'bl', 700),
    reading('distance', 'tr', 'br', 700),
    ...Object.entries(sags).map(([key, value]) => reading('sag', ...at(key), value)),
    ...more,
  ];
  const check = checkSurface({ shape: 'curved glass', readings });
  return 'figure' in check
    ? { patch: check.figure.patch, doubts: check.figure.patchDoubts ?? [] }
    : { patch: undefined, doubts: [] };
};
const LINES: Readonly<Record<string, readonly [string, string]>> = {
  top: ['tl', 'tr'],
  middle: ['ml', 'mr'],
  bottom: ['bl', 'br'],
  left: ['tl', 'bl'],
  down: ['mt', 'mb'],
  right: ['tr', 'br'],
};
const reading = (kind: Reading['kind'], from: string, to: string, value_mm: number): Reading => ({
  id: `${kind} ${from} ${to}`,
  kind,
  from,
  to,
  value_mm,
  instrument: 'tape',
});

describe('what is cut before it is shrunk?', () => {
  const CORNERS = [
    { x: -700, y: 350 },
    { x: 700, y: 350 },
    { x: 700, y: -350 },
    { x: -700, y: -350 },
  ];
  it('of a cylinder: its girth by its height (closed form)', () => {
    const patch = even(1400, 700, 1 / 2000, 0);
    const [first] = onFlatFilm(filmLine(patch, 0), CORNERS);
    expect(first?.x).toBeCloseTo(-2000 * Math.asin(0.35), 3);
    expect(first?.y).toBeCloseTo(350, 6);
  });
  it.each([3000, 4000])(
    'of a sphere of %d mm: longitude and latitude, within the tape’s tolerance (closed form)',
    (radius) => {
      const height = (x: number, y: number): number => Math.sqrt(radius ** 2 - x * x - y * y);
      const sag = (x: number, y: number, along: 'x' | 'y'): number =>
        along === 'x' ? height(0, y) - height(x, y) : height(x, 0) - height(x, y);
      const { patch } = byTape({
        top: sag(700, 350, 'x'),
        middle: sag(700, 0, 'x'),
        bottom: sag(700, 350, 'x'),
        left: sag(700, 350, 'y'),
        down: sag(0, 350, 'y'),
        right: sag(700, 350, 'y'),
      });
      if (patch === undefined) throw new Error('no patch');
      const [, corner] = onFlatFilm(filmLine(patch, 0), CORNERS);
      expect(corner?.x).toBeCloseTo(radius * Math.atan2(700, height(700, 350)), 1);
      expect(corner?.y).toBeCloseTo(radius * Math.asin(350 / radius), 1);
    },
  );
  it('its edges are longer than the glass by what is to be shrunk away, whatever the pane', () => {
    fc.assert(
      fc.property(
        fc.record({
          across: fc.double({ min: 10, max: 60, noNaN: true }),
          down: fc.double({ min: 3, max: 25, noNaN: true }),
        }),
        ({ across, down }) => {
          const patch = even(1400, 700, curvatureOf(1400, across), curvatureOf(700, down));
          const surplus = surplusOf(patch, 0);
          const outline = onFlatFilm(surplus.line, withPlacesBetween(CORNERS));
          const long = lengthOf(outline.slice(0, 9));
          const glass = lengthOfEdge(patch, 350);
          expect(long - glass).toBeGreaterThan(0.9 * surplus.top.surplus_mm - 0.02);
          expect(long - glass).toBeLessThan(1.1 * surplus.top.surplus_mm + 0.02);
        },
      ),
      { numRuns: 20, seed: 3, endOnFailure: true },
    );
  });
});

const lengthOf = (places: readonly { readonly x: number; readonly y: number }[]): number =>
  places.slice(1).reduce((sum, { x, y }, index) => {
    const before = places[index] ?? { x, y };
    return sum + Math.hypot(x - before.x, y - before.y);
  }, 0);
const lengthOfEdge = (patch: CurvedPatch, y: number): number => {
  let [sum, before] = [0, patchAt(patch, -patch.halfWidth_mm, y).z];
  for (let index = 1; index <= 400; index += 1) {
    const { z } = patchAt(patch, -patch.halfWidth_mm + (2 * patch.halfWidth_mm * index) / 400, y);
    sum += Math.hypot((2 * patch.halfWidth_mm) / 400, z - before);
    before = z;
  }
  return sum;
};

const wide = ({ low, high }: Band): number => high - low;

describe('what is asked of the film over the whole pane?', () => {
  it('nothing on its line, K v²/2 away from it (sphere, closed form), as much left as right', () => {
    const patch = even(1400, 700, 1 / 3000, 1 / 3000);
    const { columns, rows, x, y, strain, most } = strainLattice(filmLine(patch, 0));
    expect([columns * rows, columns * rows]).toEqual([x.length, strain.length]);
    strain.forEach((own, index) => {
      const v = 3000 * Math.asin((y[index] ?? 0) / 3000);
      expect(own).toBeCloseTo(1 - Math.cos(v / 3000), 3);
    });
    expect(most).toBeCloseTo(350 ** 2 / (2 * 3000 ** 2), 3);
    const row = strain.slice(0, columns);
    row.forEach((own, index) => {
      expect(own).toBeCloseTo(row[columns - 1 - index] ?? 0, 9);
    });
  });
});

describe('how does film stand off the glass before it is shrunk?', () => {
  it('as high as its folds at their crests on the edge, not at all at their tips and between them', () => {
    const plan = plansOf(even(1241, 759, curvatureOf(1241, 42), curvatureOf(759, 26)))['a line across'];
    const { places, height_mm, base_mm } = plan.bottom.folds;
    for (const { atEdge, tip } of places) {
      expect(filmRise(plan, atEdge.x, atEdge.y)).toBeCloseTo(height_mm, 6);
      expect(filmRise(plan, atEdge.x + base_mm / 2, atEdge.y)).toBeCloseTo(0, 6);
      expect(filmRise(plan, tip?.x ?? 0, tip?.y ?? 0)).toBeCloseTo(0, 6);
    }
    expect(filmRise(plan, 0, 0)).toBe(0);
  });
});

describe('how sure is the surplus?', () => {
  const SAGS = { top: 82, middle: 84, bottom: 88, left: 20, down: 22, right: 20 };
  it('a tape that reads a millimetre off leaves it within its band in at least 90 of 100', () => {
    const truth = byTape(SAGS).patch;
    if (truth === undefined) throw new Error('no patch');
    const wanted = surplusOf(truth, 0).bottom.surplus_mm;
    const normal = seededNormal(11);
    let within = 0;
    for (let run = 0; run < 100; run += 1) {
      const seen = byTape(
        Object.fromEntries(Object.entries(SAGS).map(([key, sag]) => [key, sag + normal()])),
      );
      if (seen.patch === undefined) continue;
      const { bottom_mm } = surplusBand(seen.patch, seen.doubts, 0, { seed: run + 1 });
      if (bottom_mm.low <= wanted && wanted <= bottom_mm.high) within += 1;
    }
    expect(within).toBeGreaterThanOrEqual(90);
  });
  it('without doubt there is no band; the same seed gives the same', () => {
    const patch = even(1400, 700, 1 / 3000, 1 / 3000);
    const none = surplusBand(patch, [], 0);
    expect(none.top_mm.high - none.top_mm.low).toBeLessThan(1e-9);
    expect(none.top_mm.low).toBeCloseTo(surplusOf(patch, 0).top.surplus_mm, 3);
    const doubts: readonly PatchDoubt[] = [{ down: 2e-5 }];
    expect(surplusBand(patch, doubts, 0, { seed: 5 })).toEqual(surplusBand(patch, doubts, 0, { seed: 5 }));
  });
  it('sags a quarter in, read to half a millimetre, make it about half as wide', () => {
    const { patch, doubts } = byTape(SAGS);
    if (patch === undefined) throw new Error('no patch');
    const well = [...doubts.filter((doubt) => !isOfEnds(doubt)), endsReadWell(patch)];
    const share = wide(surplusBand(patch, well, 0).bottom_mm) / wide(surplusBand(patch, doubts, 0).bottom_mm);
    expect(share).toBeLessThan(0.7);
    const quarters = [reading('quarter sag', 'ml', 'mr', 63), reading('quarter sag', 'tl', 'tr', 61.5)];
    const taken = byTape(
      SAGS,
      quarters.map((own) => ({ ...own, sd_mm: 0.5 })),
    );
    if (taken.patch === undefined) throw new Error('no patch');
    const [before, after] = [
      surplusBand(patch, doubts, 0).bottom_mm,
      surplusBand(taken.patch, taken.doubts, 0).bottom_mm,
    ];
    expect(Math.abs(wide(after) / wide(before) - share)).toBeLessThan(0.25);
  });
});

describe('in which order, and what would help?', () => {
  /** About 7.4 mm a side, as the end window of the demo. */
  const END = even(1241, 759, curvatureOf(1241, 42), curvatureOf(759, 26));
  it('held on a line: from the middle outwards, edge after edge; every fold has one turn', () => {
    const { reason, folds } = heatOrder(plansOf(END)['a line across']);
    expect(reason).toBe('from the middle outwards');
    expect(folds.map(({ turn }) => turn)).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
    expect(folds.map(({ edge }) => edge)).toEqual([...Array(4).fill('bottom'), ...Array(4).fill('top')]);
    const away = folds.slice(0, 4).map(({ atEdge }) => Math.abs(atEdge.x));
    expect(away).toEqual(away.toSorted((a, b) => a - b));
  });
  it('held along the top and down the sides: from the sides inwards, all at the bottom', () => {
    const { reason, folds } = heatOrder(
      plansOf(even(620, 900, curvatureOf(620, 12), curvatureOf(900, 16)))['along the top'],
    );
    expect(reason).toBe('from the sides inwards');
    expect(new Set(folds.map(({ edge }) => edge))).toEqual(new Set(['bottom']));
    const away = folds.map(({ atEdge }) => Math.abs(atEdge.x));
    expect(away).toEqual(away.toSorted((a, b) => b - a));
  });
  it('easy as it is: nothing has to help', () => {
    const plans = plansOf(even(1400, 700, curvatureOf(1400, 20), curvatureOf(700, 10)));
    expect(plans['a line across'].verdict).toBe('easy');
    expect(whatHelps(plans, 'a line across', { limits: USUAL_SHRINK_LIMITS, folds: FOLDS })).toEqual([]);
  });
  it('over the limit along the top: the line across, a cut so wide that the rest is borne, pieces, other film', () => {
    const plans = plansOf(END);
    const own = plans['along the top'];
    expect(own.verdict).toBe('over the limit');
    const helps = whatHelps(plans, 'along the top', { limits: USUAL_SHRINK_LIMITS, folds: FOLDS });
    expect(helps[0]).toMatchObject({ case: 'other hold', hold: 'a line across' });
    const cut = helps.find((help) => help.case === 'relief cut');
    if (cut?.case !== 'relief cut') throw new Error('no cut');
    const rest = own.bottom.surplus_mm - cut.width_mm;
    const free = FOLDS.free * (own.bottom.to_mm - own.bottom.from_mm);
    expect(rest / (free + rest)).toBeCloseTo(USUAL_SHRINK_LIMITS.limit, 9);
    expect(helps).toContainEqual({ case: 'other film', limit: own.worst });
  });
  it('too much even on a line across: so many pieces that each bears it', () => {
    const plans = plansOf(even(1400, 700, curvatureOf(1400, 110), curvatureOf(700, 90)));
    expect(plans['a line across']).toMatchObject({ verdict: 'over the limit', pieces: 2 });
    const helps = whatHelps(plans, 'a line across', { limits: USUAL_SHRINK_LIMITS, folds: FOLDS });
    expect(helps).toContainEqual({ case: 'pieces', count: 2 });
  });
  it('a wide pane is no easier with the roll turned, a tall one is; the price goes with (W/H)²', () => {
    const wide = plansOf(END);
    expect(wide['a line across'].turned.worst).toBeGreaterThan(wide['a line across'].worst);
    const tall = plansOf(even(600, 1200, curvatureOf(600, 30), curvatureOf(1200, 60)))['a line across'];
    expect(tall.turned.worst).toBeLessThan(tall.worst);
    const strain = (width_mm: number, surplus_mm: number): number => surplus_mm / width_mm;
    expect(strain(1200, tall.turned.surplus_mm) / strain(600, tall.bottom.surplus_mm)).toBeCloseTo(0.25, 6);
  });
});
