import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { describe, expect, it } from '@jest/globals';
import { blankFor, sectorBlank } from './blanks';
import { filmWeight, planOrderSteps } from './cutting';
import { layOutInLevels, runThrough } from './packing';
import {
  type StrokesAsked,
  judgeStrokes,
  lapFor,
  lineChanceBy,
  passTime,
  reasonsFor,
  calculateStrokes,
  strokeFigures,
  timeOf,
} from './strokes';
import { trimPlan } from './trimming';
import { calculateQuote } from './quoting';
import { PLACE_FORMULAS, USUAL_SHRINK_LIMITS, edgeFigures, shrinkPlan } from './curved';
import { dropCount, cellOf } from './blanks';
import { groundOf, judgeFilm, questionOf } from './choosing';
import { glassWeight } from './glazing';
import { aFilm, someRows } from './choosing/fixtures';
import { type MixInput, dayProblem, mixSheet, slideTest } from './day';
import { SLIP_MIXES, slipNeeded, slipShare, workStepsFor } from './ways';
import {
  openTime,
  clearBy,
  pocketBy,
  panelWarming,
  primerDry,
  promoterDry,
  rollWarming,
  wallDry,
} from './waiting';
import { checkSurface, rectangleSizes, type Reading, type SurfaceInput } from './measure';
import { girths } from './measure/shapes/wall';
import type { SurfaceShape } from './job';
import { type Formula, type Step, reasonedBy } from './quantity';

type AnyFormula = Formula<Record<string, number>>;

const isFormula = (value: unknown): value is AnyFormula =>
  typeof value === 'object' &&
  value !== null &&
  ['id', 'says', 'unit', 'source', 'inputs', 'of'].every((key) => key in value);

/** Formulas in what a file gives out: itself, in lists and tables, or made for a number of corners. */
function formulasIn(value: unknown): readonly AnyFormula[] {
  if (isFormula(value)) return [value];
  if (typeof value !== 'object' || value === null) return [];
  if ('forCorners' in value && typeof value.forCorners === 'function')
    return formulasIn((value.forCorners as (corners: number) => unknown)(4));
  return Array.isArray(value) || Object.getPrototypeOf(value) === Object.prototype
    ? Object.values(value).flatMap(formulasIn)
    : [];
}

const here = fileURLToPath(new URL('.', import.meta.url));
const FILES = readdirSync(here, { recursive: true, encoding: 'utf8' }).filter(
  (file) => file.endsWith('.ts') && !file.endsWith('.spec.ts') && !file.includes('fixtures'),
);
/** One after the other: the loader trips over packages that several files ask for at once. */
const modules: Record<string, unknown>[] = [];
for (const file of FILES)
  modules.push((await import(pathToFileURL(join(here, file)).href)) as Record<string, unknown>);
const FORMULAS = [...new Set(modules.flatMap((exports) => Object.values(exports).flatMap(formulasIn)))];
const BY_ID = new Map(FORMULAS.map((formula) => [formula.id, formula]));
/** Formulas as they stand written, whether their file gives them out or not. */
const WRITTEN = FILES.flatMap((file) =>
  [...readFileSync(join(here, file), 'utf8').matchAll(/\bid: '([a-z][A-Za-z]*(?:\.[A-Za-z0-9-]+)+)'/g)].map(
    ([, id = '']) => id,
  ),
);

const QUOTED = calculateQuote(
  {
    ...{ fixed: 180, rate: 0.9, shared: 0.15, work: [{ median_min: 40, deviation: 0.35 }] },
    chances: [{ pieces: 3, came: 0.6, not: 19.4, mean: 60, deviation: 0.3, once: 40 }],
  },
  { margin: 0.3, risk: 0.2, tax: 0.081, typed: null },
);

type Taken = readonly [kind: Reading['kind'], from: string, to: string, value_mm: number];
const FACE: readonly Taken[] = [
  ['distance', 'tl', 'tr', 1180],
  ['distance', 'bl', 'br', 1185],
  ['distance', 'tl', 'bl', 2140],
  ['distance', 'tr', 'br', 2143],
  ['distance', 'tl', 'br', 2446],
  ['distance', 'bl', 'tr', 2444],
];
const surface = (shape: SurfaceShape, taken: readonly Taken[], more: Partial<SurfaceInput> = {}) =>
  checkSurface({
    shape,
    readings: taken.map(([kind, from, to, value_mm], index) => ({
      id: String(index),
      kind,
      from,
      to,
      value_mm,
      instrument: 'tape',
    })),
    ...more,
  });
const SURFACES = {
  pane: surface('four sides', [...FACE, ['level', 'tl', 'tr', 5]]),
  arch: surface('arched top', [...FACE, ['height over', 'ct', 'mt', 300]]),
  round: surface('round', [
    ['distance', 'ml', 'mr', 800],
    ['distance', 'mt', 'mb', 803],
  ]),
  rounded: surface('rounded corners', [...FACE, ['radius', 'tl', 'tl', 40]]),
  wall: surface('wall', FACE, {
    parts: [
      {
        kind: 'opening',
        name: 'door',
        x_mm: 10,
        y_mm: 10,
        width_mm: 800,
        height_mm: 2000,
        depth_mm: null,
        form: 'none',
        count: 1,
      },
    ],
    joints: { bond: 'stack', unitWidth_mm: 390, unitHeight_mm: 190, jointWidth_mm: 10, jointDepth_mm: 4 },
  }),
  panel: surface('panel', [...FACE, ['thickness', 'mm', 'mm', 40], ['wrap', 'mb', 'mb', 20]]),
  column: surface('round column', [
    ['distance', 'floor', 'top', 2600],
    ['circumference', 'floor', 'floor', 1100],
    ['circumference', 'top', 'top', 1000],
  ]),
  square: surface('square column', [
    ['distance', 'floor', 'top', 2600],
    ['distance', 'a', 'b', 300],
  ]),
  curved: surface('curved glass', [...FACE, ['sag', 'ml', 'mr', 30], ['sag', 'mt', 'mb', 20]]),
};
const plan = layOutInLevels({
  rollWidth_mm: 1524,
  pieces: [
    { id: 'a', across_mm: 1230, along_mm: 2190, mayTurn90: true },
    { id: 'b', across_mm: 600, along_mm: 500, mayTurn90: false },
  ],
});
const blank = blankFor({ aroundWidth_mm: 1180, aroundHeight_mm: 2140, method: 'decor', direction: 'none' });

const order = runThrough(
  planOrderSteps(
    {
      stocks: [
        {
          id: 'r',
          what: 'roll',
          width_mm: 1524,
          length_mm: 9000,
          perMetre: 14,
          whole: 2,
          lot: 'L',
          edges: 'both',
        },
      ],
      pieces: [{ id: 'a', across_mm: 1230, along_mm: 2190, mayTurn90: true, group: '' }],
      pinned: [],
      mode: 'by hand',
      stages: 3,
      gap_mm: 0,
      endWaste_mm: 20,
      mostSheet_mm: 9000,
      objective: 'money',
      rates: {
        perCrossCut: 1,
        perSlit: 1,
        perPiece: 1,
        keepWidth_mm: 200,
        keepLength_mm: 500,
        keepShare: 0.3,
        perSplitGroup: 5,
      },
    },
    { seed: 1, mostRounds: 3 },
  ),
  () => false,
  () => undefined,
);
const sector = sectorBlank({ foot_mm: 1131, top_mm: 942, height_mm: 2840, lap_mm: 25, over_mm: 12.5 });

const film = judgeFilm(groundOf(questionOf(someRows())), 'f', aFilm());
const { performance, stress } = film;
if (performance === null || stress === null) throw new Error('the film of the check must be judged');
const { ratings, year, sight } = performance;
const FILM_RESULTS: readonly (readonly [string, readonly Step[]])[] = [
  ['U', ratings.uValue.why],
  ['solar heat gain', ratings.solarHeatGain.why],
  ['shading coefficient', ratings.shadingCoefficient.why],
  ['rejected', ratings.rejected.why],
  ['light to heat', ratings.lightToHeat.why],
  ['light kept', performance.lightKept.why],
  ['heat kept', performance.heatKept.why],
  ['fading', performance.fading.why],
  ['sun patch', performance.sunPatch.why],
  ['daylight', performance.daylight.why],
  ['month', year?.largestMonth.why ?? []],
  ['peak', year?.peak.why ?? []],
  ...Object.entries<{ readonly why: readonly Step[] }>({ ...sight }).map(
    ([line, { why }]) => [`sight ${line}`, why] as const,
  ),
  ...stress.panes.map(({ pane, why }) => [`stress of pane ${pane}`, why] as const),
];

function strokeResults(): readonly (readonly [string, readonly Step[]])[] {
  const pace = { speed_mms: 250, lift_s: 1.5 };
  return ([1, 2] as const).flatMap((people) => {
    const asked: StrokesAsked = {
      face: {
        rings: [
          [
            { x: 0, y: 0 },
            { x: 600, y: 0 },
            { x: 600, y: 400 },
            { x: 0, y: 400 },
          ],
        ],
      },
      ...{ tool: { blade_mm: 150, overlap_mm: 30, card_mm: 40 }, way: 'lanes', lock: 'T', first: 'right' },
      ...{ isDry: false, people },
    };
    const figures = strokeFigures(judgeStrokes(asked, calculateStrokes(asked)), asked, pace);
    return Object.entries(figures).map(([name, own]) => [`strokes, ${name}`, own?.why ?? []] as const);
  });
}
const trimmed = trimPlan({
  outline: [
    { x: 0, y: 0 },
    { x: 1200, y: 0 },
    { x: 1200, y: 900 },
    { x: 0, y: 900 },
  ],
  method: 'trim in place',
  over: { top: 25, right: 25, bottom: 25, left: 25 },
  factoryEdge: 'at the top',
  from: 'a top corner down',
  reach_mm: 1000,
  point_mm: 6000,
  gap_mm: { least: 1.5, most: 3 },
});
const FOLD_LIMITS = { most_mm: 12, free: 0.6, liesDownBy: 0.003 };
const air = { air_C: 18, humidity: 0.5 };
const roll = { length_m: 30, pitch_um: 90, coreRadius_mm: 38, start_C: -4, room_C: 18, within_K: 2 } as const;
const WAITS = [
  primerDry('water-based', air),
  primerDry('solvent-based', air),
  wallDry(air, 60),
  promoterDry(),
  clearBy({ film: aFilm(), known: [{ hours: 24, glass_C: 12, air }] }),
  pocketBy({ film: aFilm(), known: [{ hours: 24, glass_C: 22, air }] }, 0.05),
  clearBy({ film: aFilm({ vapourRate_gm2day: 20 }), known: [{ hours: 24, glass_C: 22, air }] }),
  rollWarming({ ...roll, wrap: 'boxed' }),
  panelWarming(-4, 18, 2, 10_800),
];
const mixes = mixSheet({
  surfaces: [
    { method: 'trim in place', family: 'solar', area_m2: 2.5, edge_m: 6.6 },
    { method: 'column', family: 'decor', area_m2: 3, edge_m: 7 },
  ] as MixInput['surfaces'],
  slip: 'concentrate',
  primer: 'water-based',
  air_C: 18,
});
const { works } = dayProblem({
  surfaces: [
    {
      ...{
        condition: 'sound',
        isSecurityFilm: false,
        applicationId: 'a',
        tag: 'SW1',
      },
      ...{
        place: '',
        room: null,
        fitness: null,
        done: new Map<string, number>(),
        confirmed: new Set<string>(),
      },
    },
  ],
  ...{ people: [], tools: [], fitness: [], pins: new Map<string, number>(), now: 0, horizon: 3000 },
  ...{ air, primer: 'water-based', shrink: 'fold by fold', learned: [] },
});
const furrow = (form: 'V' | 'square' | 'half round') => ({
  ...{ kind: 'furrow' as const, name: 'profile', x_mm: null, y_mm: null, width_mm: 20, height_mm: 0 },
  ...{ depth_mm: 8, form, count: 3 },
});
const curvedPlan = shrinkPlan({
  patch: {
    ...{
      halfWidth_mm: 620,
      halfHeight_mm: 380,
      acrossBottom: 2.2e-4,
      acrossMiddle: 2.2e-4,
      acrossTop: 2.2e-4,
    },
    ...{ down: 3.6e-4, twist: 0, skew: 0, cubicDown: 0, quarticAcross: 0 },
  },
  limits: USUAL_SHRINK_LIMITS,
  folds: FOLD_LIMITS,
  lineAt_mm: null,
})['a line across'];
const curvedEdge = edgeFigures(curvedPlan.bottom, FOLD_LIMITS, { low: 6, high: 8 });
const DETAILS: readonly (readonly [string, readonly Step[]])[] = [
  ...(['V', 'square', 'half round'] as const).map(
    (form) =>
      [`${form} groove`, reasonedBy(PLACE_FORMULAS[form], { width_mm: 20, depth_mm: 8 }).why] as const,
  ),
  ['quote', QUOTED.mean.why],
  ['price with tax', [...(QUOTED.gross?.why ?? []), ...(QUOTED.priceAtMean?.why ?? [])]],
  ['spare film', reasonedBy(PLACE_FORMULAS.feed, { width_mm: 20, strain: 0.28, bears: 0.1 }).why],
  ['round an edge', reasonedBy(PLACE_FORMULAS.edge, { thickness_mm: 0.2, radius_mm: 3 }).why],
  ['turned corner', reasonedBy(PLACE_FORMULAS.corner, { turned_mm: 20 }).why],
  ['dish', reasonedBy(PLACE_FORMULAS.dish, { width_mm: 100, depth_mm: 20 }).why],
  ['rounded corner', reasonedBy(PLACE_FORMULAS.roundedCorner, { plan_mm: 200, edge_mm: 5 }).why],
  ...strokeResults(),
  ['lap of strokes', lapFor(6).why],
  ['chance of a line', lineChanceBy(30, 6).why],
  ['time for strokes', timeOf([], { speed_mms: 250, lift_s: 1.5 }).why],
  [
    'time for a pass',
    passTime(
      { wide_mm: 1200, high_mm: 900 },
      { blade_mm: 150, overlap_mm: 30 },
      { speed_mms: 250, lift_s: 1.5 },
    ).why,
  ],
  ...reasonsFor({ isThick: false, isDry: false, thickness_um: 50 }).flatMap(
    (own): readonly (readonly [string, readonly Step[]])[] =>
      own.case === 'passes'
        ? [['passes that pay', own.pay.why]]
        : own.case === 'grain'
          ? [['a grain', own.wide_mm.why]]
          : [],
  ),
  ['length to trim', trimmed.length_mm.why],
  ['points of a blade', trimmed.points.why],
  ['light gap', trimmed.lightGap?.least.why ?? []],
  ['run off', reasonedBy(PLACE_FORMULAS.runsOff, { wide_mm: 180, narrow_mm: 150, slant_mm: 2840 }).why],
  ['belly', reasonedBy(PLACE_FORMULAS.belly, { off_mm: 12, girth_mm: 1005 }).why],
  ['surplus of curved film', curvedEdge.surplus_mm.why],
  ['height of a fold', curvedEdge.height_mm?.why ?? []],
  ['shrink in a fold', curvedEdge.strain.why],
  ...WAITS.map(({ key, why }) => [`wait ${key}`, why] as const),
  ...[...works.values()].map(({ id, minutes }) => [`stretch ${id}`, minutes.why] as const),
  ...mixes.map(({ liquid, litres }) => [`mix ${liquid}`, litres.why] as const),
  ...workStepsFor({ condition: 'sound', isSecurityFilm: false }).map(
    ({ step, minutes }) => [`minutes of ${step}`, minutes.why] as const,
  ),
  ...Object.entries(
    rectangleSizes([
      { x: 0, y: 0 },
      { x: 1000, y: 300 },
      { x: 900, y: 900 },
      { x: -100, y: 600 },
    ]),
  ).map(([name, size]) => [`leaning ${name}`, size.why] as const),
  ...(['V', 'square', 'half round'] as const).flatMap((form) =>
    Object.entries(girths(1000, 2000, [furrow(form)], undefined)).map(
      ([name, size]) => [`${form} ${name}`, size.why] as const,
    ),
  ),
];

const RESULTS: readonly (readonly [string, readonly Step[]])[] = [
  ...Object.entries(SURFACES).flatMap(([shape, check]) =>
    Object.entries<{ readonly why: readonly Step[] }>('sizes' in check ? { ...check.sizes } : {}).map(
      ([name, size]) => [`${shape} ${name}`, size.why] as const,
    ),
  ),
  ['blank width', blank.width_mm.why],
  ['blank height', blank.height_mm.why],
  ['length', plan.length_mm.why],
  ['bound', plan.bound_mm.why],
  ['waste', plan.waste_share.why],
  ['film of an order', order.film.why],
  ['cost of an order', order.cost.why],
  ['bound of an order', order.filmBound.why],
  ['waste of an order', order.waste_share.why],
  ['sector outer', sector?.outer_mm.why ?? []],
  ['sector inner', sector?.inner_mm.why ?? []],
  ['sector angle', sector?.angle_rad.why ?? []],
  ['pattern cell', cellOf(2450, 320, 640).why],
  ['drops', dropCount({ whole_mm: 5000, roll_mm: 1370, lap_mm: 25 }).why],
  [
    'slip stays wet',
    openTime({ surface_C: 22, air_C: 20, humidity: 0.5, draught_ms: 0.2 }).likely_min?.why ?? [],
  ],
  ...(['sticks', 'right', 'runs off'] as const).map(
    (slide) =>
      [
        `slide ${slide}`,
        slideTest({ soap_ml: 5, water_ml: 946 }, slide, { lean: 0.0004, rich: 0.015 }).ml.why,
      ] as const,
  ),
  ...SLIP_MIXES.map((mix) => [`slip ${mix.key}`, slipShare(mix).why] as const),
  ...FILM_RESULTS,
  ...DETAILS,
  ['weight of glass', glassWeight(2.5, [6, 4])?.why ?? []],
  ['weight of film', filmWeight({ area_m2: 2, film_um: 50, liner_um: 25 }).why],
  ['slip needed', slipNeeded(2.5, { value: 0.3, basis: 'ours' }).why],
];

/** Calculated within other formulas, and never a step of their own. */
const INNER = ['climate.dew-point', 'measure.arcLength'];

describe('is the reason shown the mathematics done?', () => {
  it('there are results to replay', () => {
    expect(RESULTS.length).toBeGreaterThan(60);
  });

  it.each(RESULTS)(
    '%s: every step, calculated again from its shown inputs, gives its shown value',
    (_name, steps) => {
      expect(steps.length).toBeGreaterThan(0);
      for (const step of steps) {
        const formula = BY_ID.get(step.formula);
        expect(formula).toBeDefined();
        const inputs = Object.fromEntries(step.inputs.map(({ key, value }) => [key, value]));
        expect(formula?.of(inputs)).toBe(step.value);
        expect(step.source.text).not.toBe('');
      }
    },
  );

  it('every formula that is written is found', () => {
    expect(WRITTEN.length).toBeGreaterThan(75);
    expect(WRITTEN.filter((id) => !BY_ID.has(id))).toEqual([]);
  });

  it('every formula is replayed by some result', () => {
    const replayed = new Set(RESULTS.flatMap(([, steps]) => steps.map(({ formula }) => formula)));
    expect([...BY_ID.keys()].filter((id) => !replayed.has(id)).sort()).toEqual(INNER);
  });

  it('every formula has an id of its own, words and a unit for each input', () => {
    expect(BY_ID.size).toBe(new Set(FORMULAS.map(({ id, says }) => `${id} ${says}`)).size);
    for (const formula of FORMULAS)
      for (const input of Object.values(formula.inputs))
        expect(input.word.length * input.unit.length).toBeGreaterThan(0);
  });
});
