import { describe, expect, it } from '@jest/globals';
import {
  BLANK_FORMULAS,
  CELL,
  DROP_COUNT,
  LAYOUT_FORMULAS,
  MONEY_FORMULAS,
  SECTOR_FORMULAS,
  blankFor,
  layOutInLevels,
  planOrderSteps,
  runThrough,
  sectorBlank,
} from './cutting';
import { dropCount } from './cutting/blanks/drops';
import { cellOf } from './cutting/blanks/pattern';
import { YEAR_FORMULAS, groundOf, judgeFilm, questionOf } from './choosing';
import { aFilm, someRows } from './choosing/fixtures';
import { DEW_POINT } from './climate';
import { RATING_FORMULAS } from './glazing';
import { CONTRAST_FORMULAS, DAYLIGHT_FORMULAS, GLARE_FORMULAS } from './privacy';
import { STRESS_FORMULAS } from './thermal-stress';
import { MINUTES_FORMULA, SLIP_FORMULAS, SLIP_MIXES, slipNeeded, slipShare } from './fitting';
import { DRYING_FORMULAS, ROLL_FORMULAS, WAIT_FORMULAS } from './waiting';
import { SIZE_FORMULAS, checkSurface } from './measure';
import { ARC_FORMULAS } from './measure/arcs';
import { FURROW_FORMULAS, GIRTH_FORMULAS } from './measure/girth';
import { ARCHED_AREA, ARCHED_EDGE } from './measure/shapes/arched-top';
import { COLUMN_FORMULAS } from './measure/shapes/columns';
import { CURVED_FORMULAS } from './measure/shapes/curved-glass';
import { OFF_LEVEL } from './measure/shapes/four-sides';
import { ROUND_FORMULAS } from './measure/shapes/round';
import { ROUNDED_FORMULAS } from './measure/shapes/rounded-corners';
import { WALL_FORMULAS } from './measure/shapes/wall';
import type { SurfaceShape } from './job';
import type { Reading, SurfaceInput } from './measure';
import type { Formula, Step } from './quantity';

const FORMULAS = [
  ...Object.values(SIZE_FORMULAS).map(({ forCorners }) => forCorners(4)),
  ...Object.values(ARC_FORMULAS),
  ...Object.values(FURROW_FORMULAS),
  ...Object.values(GIRTH_FORMULAS),
  ARCHED_AREA,
  ARCHED_EDGE,
  ...Object.values(COLUMN_FORMULAS),
  ...Object.values(CURVED_FORMULAS),
  OFF_LEVEL,
  ...Object.values(ROUND_FORMULAS),
  ...Object.values(ROUNDED_FORMULAS),
  ...Object.values(WALL_FORMULAS),
  ...Object.values(BLANK_FORMULAS),
  ...Object.values(LAYOUT_FORMULAS),
  ...Object.values(MONEY_FORMULAS),
  ...Object.values(SECTOR_FORMULAS),
  CELL,
  DROP_COUNT,
  ...Object.values(SLIP_FORMULAS),
  ...RATING_FORMULAS,
  ...CONTRAST_FORMULAS,
  ...DAYLIGHT_FORMULAS,
  ...GLARE_FORMULAS,
  ...YEAR_FORMULAS,
  ...STRESS_FORMULAS,
  DEW_POINT,
  MINUTES_FORMULA,
  ...Object.values(DRYING_FORMULAS),
  ...Object.values(ROLL_FORMULAS),
  ...Object.values(WAIT_FORMULAS),
] as unknown as Formula<Record<string, number>>[];

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
  ...SLIP_MIXES.map((mix) => [`slip ${mix.key}`, slipShare(mix).why] as const),
  ...FILM_RESULTS,
  ['slip needed', slipNeeded(2.5, { value: 0.3, mark: 'our guess' }).why],
];

describe('is the reason shown the mathematics done?', () => {
  it('there are results to replay', () => {
    expect(RESULTS.length).toBeGreaterThan(60);
  });

  it.each(RESULTS)(
    '%s: every step, reckoned again from its shown inputs, gives its shown value',
    (_name, steps) => {
      expect(steps.length).toBeGreaterThan(0);
      for (const step of steps) {
        const formula = FORMULAS.find(({ id }) => id === step.formula);
        expect(formula).toBeDefined();
        const inputs = Object.fromEntries(step.inputs.map(({ key, value }) => [key, value]));
        expect(formula?.of(inputs)).toBe(step.value);
        expect(step.source.text).not.toBe('');
      }
    },
  );

  it('every formula has an id of its own, words and a unit for each input', () => {
    expect(new Set(FORMULAS.map(({ id }) => id)).size).toBe(FORMULAS.length);
    for (const formula of FORMULAS)
      for (const input of Object.values(formula.inputs))
        expect(input.word.length * input.unit.length).toBeGreaterThan(0);
  });
});
