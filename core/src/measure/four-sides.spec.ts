import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { seededRandom } from '../quantity';
import { checkSurface } from './check-surface';
import { RULES } from '../rules';
import { squaresAllowed, worstAllowed } from './test-limits';
import { measureWord } from './measure-slot';
import { standardDeviation_mm } from './instruments';
import { type Outline, type Point, outlineBounds, viewOutline } from './outline';
import type { Reading } from './reading';
import { FOUR_SIDE_SLOTS } from './shapes/four-sides';
import type { SurfaceCheck } from './surface-check';

type Taken = readonly [from: string, to: string, value_mm: number];
const checkFour = (readings: readonly Reading[]): SurfaceCheck =>
  checkSurface({ shape: 'four sides', readings });
const measures = (readings: readonly Taken[]): Reading[] =>
  readings.map(([from, to, value_mm]) => ({
    id: `${from}-${to}`,
    kind: 'distance',
    from,
    to,
    value_mm,
    instrument: 'tape',
  }));
const ZERO: Point = { x: 0, y: 0 };
const measured = (check: SurfaceCheck): Extract<SurfaceCheck, { state: 'measured' }> => {
  if (check.state !== 'measured') throw new Error(`expected measured, got ${check.state}`);
  return check;
};

const pointOn = ([tl = ZERO, tr = ZERO, br = ZERO, bl = ZERO]: Outline, point: string): Point => {
  const middle = (a: { x: number; y: number }, b: { x: number; y: number }) => ({
    x: (a.x + b.x) / 2,
    y: (a.y + b.y) / 2,
  });
  return { tl, tr, br, bl, mt: middle(tl, tr), mr: middle(tr, br), mb: middle(br, bl), ml: middle(bl, tl) }[
    point as 'tl'
  ];
};
/** The eight customary measures of a known shape, with an error added to each. */
const taken = (shape: Outline, error: (index: number, value: number) => number = () => 0): Reading[] =>
  FOUR_SIDE_SLOTS.map(({ from, to }, index) => {
    const [a, b] = [pointOn(shape, from), pointOn(shape, to)];
    const value = Math.hypot(a.x - b.x, a.y - b.y);
    return {
      id: `${from}-${to}`,
      kind: 'distance' as const,
      from,
      to,
      value_mm: value + error(index, value),
      instrument: 'tape' as const,
    };
  });

const SQUARE: Taken[] = [
  ['tl', 'tr', 900],
  ['bl', 'br', 900],
  ['tl', 'bl', 1200],
  ['tr', 'br', 1200],
  ['tl', 'br', 1500],
  ['bl', 'tr', 1500],
];

describe('what shape do the measures give?', () => {
  it('900 × 1200 with diagonals of 1500 is square to the hundredth, 1.08 m², 4200 mm round', () => {
    const { sizes, agreement } = measured(checkFour(measures(SQUARE)));
    expect(sizes.area_mm2.value).toBeCloseTo(1_080_000, 2);
    expect(sizes.perimeter_mm.value).toBeCloseTo(4200, 6);
    expect(sizes.outOfSquare_mm?.value).toBeLessThan(0.01);
    expect(agreement).toMatchObject({ kind: 'agree', worst_mm: expect.closeTo(0, 6) });
  });

  it('four sides 3, 4, 5, 6 m with a falling diagonal of 5 m have the area Heron gives for its two triangles', () => {
    const heron = (a: number, b: number, c: number): number => {
      const s = (a + b + c) / 2;
      return Math.sqrt(s * (s - a) * (s - b) * (s - c));
    };
    const { sizes } = measured(
      checkFour(
        measures([
          ['tl', 'tr', 3000],
          ['tr', 'br', 4000],
          ['bl', 'br', 5000],
          ['tl', 'bl', 6000],
          ['tl', 'br', 5000],
        ]),
      ),
    );
    expect(sizes.area_mm2.value).toBeCloseTo(heron(3000, 4000, 5000) + heron(5000, 5000, 6000), 0);
  });

  it('sides a, b, c, d and both diagonals p, q of an exact shape satisfy Bretschneider: 16 A² = 4p²q² − (b²+d²−a²−c²)²', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -60, max: 60 }), { minLength: 5, maxLength: 5 }),
        ([a = 0, b = 0, c = 0, d = 0, e = 0]) => {
          const shape: Outline = [
            { x: 0, y: 0 },
            { x: 1000 + a, y: 0 },
            { x: 1000 + b, y: 1500 + c },
            { x: d, y: 1500 + e },
          ];
          const side = (from: number, to: number): number =>
            Math.hypot(
              (shape[from]?.x ?? 0) - (shape[to]?.x ?? 0),
              (shape[from]?.y ?? 0) - (shape[to]?.y ?? 0),
            );
          const square = (side(1, 2) ** 2 + side(3, 0) ** 2 - side(0, 1) ** 2 - side(2, 3) ** 2) ** 2;
          const { sizes } = measured(checkFour(taken(shape)));
          expect(sizes.area_mm2.value).toBeCloseTo(
            Math.sqrt(4 * side(0, 2) ** 2 * side(1, 3) ** 2 - square) / 4,
            1,
          );
        },
      ),
    );
  });

  it('10 mm more at the bottom than at the top leaves a gap of about 10 mm under a try square at 1000 × 1000', () => {
    const { sizes } = measured(
      checkFour(
        taken([
          { x: 0, y: 0 },
          { x: 1000, y: 0 },
          { x: 1010, y: 1000 },
          { x: 0, y: 1000 },
        ]),
      ),
    );
    expect(sizes.outOfSquare_mm?.value).toBeCloseTo(10, 0);
  });

  it('an exact shape comes back corner for corner from its own eight measures', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -80, max: 80 }), { minLength: 5, maxLength: 5 }),
        fc.integer({ min: 300, max: 3000 }),
        fc.integer({ min: 300, max: 3000 }),
        ([a = 0, b = 0, c = 0, d = 0, e = 0], width, height) => {
          /** On a level sill, as it hangs. */
          const shape: Outline = [
            { x: 0, y: c },
            { x: width + a, y: e },
            { x: width + b, y: height },
            { x: d, y: height },
          ];
          const [left, top] = [Math.min(0, d), Math.min(c, e)];
          measured(checkFour(taken(shape))).figure.outline.forEach(({ x, y }, index) => {
            expect(x).toBeCloseTo((shape[index]?.x ?? NaN) - left, 3);
            expect(y).toBeCloseTo((shape[index]?.y ?? NaN) - top, 3);
          });
        },
      ),
    );
  });

  it('its uncertainty is what 1500 repeated surveys scatter by', () => {
    const random = seededRandom(20261123);
    const gauss = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const shape: Outline = [
      { x: 0, y: 0 },
      { x: 1180, y: 0 },
      { x: 1186, y: 2142 },
      { x: -2, y: 2138 },
    ];
    const stated = measured(checkFour(taken(shape))).sizes.area_mm2.why[0]?.uncertainty?.plusMinus ?? NaN;
    const areas = Array.from(
      { length: 1500 },
      () =>
        measured(checkFour(taken(shape, (_, value) => gauss() * standardDeviation_mm('tape', value)))).sizes
          .area_mm2.value,
    );
    const mean = areas.reduce((sum, area) => sum + area, 0) / areas.length;
    const scatter = Math.sqrt(areas.reduce((sum, area) => sum + (area - mean) ** 2, 0) / (areas.length - 1));
    expect(scatter / stated).toBeGreaterThan(0.93);
    expect(scatter / stated).toBeLessThan(1.07);
  });
});

describe('is a square pane known to be square?', () => {
  it('no gap at all is still uncertain by about a millimetre, never by nothing', () => {
    const spread =
      measured(checkFour(measures(SQUARE))).sizes.outOfSquare_mm?.why[0]?.uncertainty?.plusMinus ?? 0;
    expect(spread).toBeGreaterThan(0.4);
    expect(spread).toBeLessThan(3);
  });
});

describe('what when there are too few measures?', () => {
  it('nothing at all: a width and a height are needed', () => {
    expect(checkFour([])).toEqual({ state: 'unfinished', needs: ['a width', 'a height'] });
  });
  it('one width: a height is needed', () => {
    expect(checkFour(measures([['tl', 'tr', 900]]))).toEqual({ state: 'unfinished', needs: ['a height'] });
  });
  it('one width and one height are drawn square, say so, and name what to measure next', () => {
    const check = checkFour(
      measures([
        ['tl', 'tr', 900],
        ['tl', 'bl', 1200],
      ]),
    );
    expect(check).toMatchObject({
      state: 'assumed',
      agreement: { kind: 'not checked' },
      helpsNext: { key: 'width-middle' },
    });
    expect('sizes' in check && check.sizes.area_mm2.value).toBeCloseTo(1_080_000, 0);
    expect('sizes' in check && check.sizes.area_mm2.why[0]?.remark).toContain('drawn square');
  });
  it('a width and a diagonal give the height: 900 and 1500 make 1200', () => {
    const check = checkFour(
      measures([
        ['tl', 'tr', 900],
        ['tl', 'br', 1500],
      ]),
    );
    expect('figure' in check && outlineBounds(check.figure.outline).height).toBeCloseTo(1200, 3);
  });
  it('four sides without a diagonal are not a shape yet', () => {
    expect(checkFour(measures(SQUARE.slice(0, 4)))).toMatchObject({ state: 'assumed' });
  });
  it('five measures that just determine the shape are measured but not checked', () => {
    expect(checkFour(measures(SQUARE.slice(0, 5)))).toMatchObject({
      state: 'measured',
      agreement: { kind: 'not checked' },
    });
  });
});

describe('do the measures contradict each other?', () => {
  const demo: Taken[] = [
    ['tl', 'tr', 1180],
    ['ml', 'mr', 1182],
    ['bl', 'br', 1185],
    ['tl', 'bl', 2140],
    ['mt', 'mb', 2140],
    ['tr', 'br', 2158],
    ['tl', 'br', 2446],
    ['bl', 'tr', 2444],
  ];

  it('a right height 18 mm too long: left or right cannot be told apart, both are named, with the measure that decides', () => {
    const { agreement } = measured(checkFour(measures(demo)));
    expect(agreement.kind).toBe('disagree');
    if (agreement.kind !== 'disagree') return;
    expect(agreement.suspects.map(({ id }) => id).sort()).toEqual(['tl-bl', 'tr-br']);
    agreement.suspects.forEach(({ tooLong_mm }) => {
      expect(Math.abs(tooLong_mm)).toBeCloseTo(18, 0);
    });
    expect(agreement.decide).toBeDefined();
  });

  it('the deciding measure tells which: with the truth added, the right height alone is accused', () => {
    const { agreement } = measured(checkFour(measures(demo)));
    if (agreement.kind !== 'disagree' || agreement.decide === undefined)
      throw new Error('expected a measure that decides');
    const truth = measured(
      checkFour(measures(demo.map(([from, to, value]) => [from, to, from === 'tr' ? 2140 : value]))),
    ).figure.outline;
    const [a, b] = [pointOn(truth, agreement.decide.from), pointOn(truth, agreement.decide.to)];
    const decided = measured(
      checkFour(
        measures([
          ...demo,
          [agreement.decide.from, agreement.decide.to, Math.round(Math.hypot(a.x - b.x, a.y - b.y))],
        ]),
      ),
    );
    expect(decided.agreement).toMatchObject({ kind: 'disagree', suspects: [{ id: 'tr-br' }] });
  });

  it('a diagonal 30 mm off is named alone', () => {
    const check = checkFour(
      measures([
        ...SQUARE.slice(0, 4),
        ['mt', 'mb', 1200],
        ['ml', 'mr', 900],
        ['tl', 'br', 1530],
        ['bl', 'tr', 1500],
      ]),
    );
    const names =
      'agreement' in check && check.agreement.kind === 'disagree'
        ? check.agreement.suspects.map(({ id }) => id)
        : [];
    expect(names).toContain('tl-br');
  });

  it('honest measures are accused no more often than the stated one in a thousand (3000 surveys, at most 9)', () => {
    const random = seededRandom(42);
    const gauss = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    let accused = 0;
    for (let survey = 0; survey < 3000; survey += 1) {
      const shape: Outline = [
        { x: 0, y: 0 },
        { x: 600 + 900 * random(), y: 0 },
        { x: 600 + 900 * random() * 0.02 + 600, y: 1400 },
        { x: 8 * random(), y: 1400 + 10 * random() },
      ];
      const check = checkFour(taken(shape, (_, value) => gauss() * standardDeviation_mm('tape', value)));
      if ('agreement' in check && check.agreement.kind === 'disagree') accused += 1;
    }
    expect(accused).toBeLessThanOrEqual(9);
  });

  it('sides that cannot close are impossible, and never NaN', () => {
    const check = checkFour(
      measures([
        ['tl', 'tr', 900],
        ['bl', 'br', 900],
        ['tl', 'bl', 1200],
        ['tr', 'br', 1200],
        ['tl', 'br', 5000],
        ['bl', 'tr', 100],
      ]),
    );
    expect(JSON.stringify(check)).not.toContain('null');
    expect(
      check.state === 'impossible' || ('agreement' in check && check.agreement.kind === 'disagree'),
    ).toBe(true);
  });

  it('whatever is measured, the answer is finite', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ slot: fc.integer({ min: 0, max: 7 }), value: fc.integer({ min: 1, max: 20_000 }) }),
          { maxLength: 12 },
        ),
        (readings) => {
          const check = checkFour(
            readings.map(({ slot, value }, index) => ({
              id: String(index),
              kind: 'distance' as const,
              from: FOUR_SIDE_SLOTS[slot]?.from ?? 'tl',
              to: FOUR_SIDE_SLOTS[slot]?.to ?? 'tr',
              value_mm: value,
              instrument: 'laser' as const,
            })),
          );
          const numbers = JSON.stringify(check, (_key, value: unknown) =>
            typeof value === 'number' && !Number.isFinite(value) ? 'NOT A NUMBER' : value,
          );
          expect(numbers).not.toContain('NOT A NUMBER');
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('what is refused?', () => {
  it('a distance of 0, one of 101 m, and one from a corner to itself', () => {
    expect(() => checkFour(measures([['tl', 'tr', 0]]))).toThrow('MEASURE_DISTANCE_RANGE');
    expect(() => checkFour(measures([['tl', 'tr', 101_000]]))).toThrow('MEASURE_DISTANCE_RANGE');
    expect(() => checkFour(measures([['tl', 'tl', 900]]))).toThrow('MEASURE_POINTS_SAME');
  });
});

describe('how exact is an instrument?', () => {
  it('a tape is good to 1 mm and 0.1 mm a metre, a laser to 1.5 mm, a guess to 5 mm', () => {
    expect(standardDeviation_mm('tape', 2000)).toBeCloseTo(1.2, 9);
    expect(standardDeviation_mm('laser', 2000)).toBe(1.5);
    expect(standardDeviation_mm('guess', 2000)).toBe(5);
  });
});

describe('from which side is it seen?', () => {
  const leaning: Outline = [
    { x: 0, y: 0 },
    { x: 100, y: 0 },
    { x: 130, y: 200 },
    { x: 10, y: 210 },
  ];
  it('from its own side it stays as it is', () => {
    expect(viewOutline(leaning, 'room', 'room')).toBe(leaning);
  });
  it('from the other side left and right change and the top left is still named first', () => {
    expect(viewOutline(leaning, 'room', 'outside')).toEqual([
      { x: 30, y: 0 },
      { x: 130, y: 0 },
      { x: 120, y: 210 },
      { x: 0, y: 200 },
    ]);
  });
  it('turned twice it is what it was', () => {
    const opening = [
      { x: 10, y: 0 },
      { x: 30, y: 0 },
      { x: 30, y: 50 },
      { x: 10, y: 50 },
    ];
    const wall = [
      { x: 0, y: 0 },
      { x: 100, y: 0 },
      { x: 100, y: 100 },
      { x: 0, y: 100 },
    ];
    expect(viewOutline(opening, 'room', 'outside', wall)).toEqual([
      { x: 70, y: 0 },
      { x: 90, y: 0 },
      { x: 90, y: 50 },
      { x: 70, y: 50 },
    ]);
    expect(viewOutline(viewOutline(leaning, 'side A', 'side B'), 'side B', 'side A')).toEqual(leaning);
  });
  it('it keeps its bounds', () => {
    expect(outlineBounds(viewOutline(leaning, 'room', 'outside'))).toEqual(outlineBounds(leaning));
  });
});

describe('what is a measure called?', () => {
  it('by its customary name, whichever way it was taken, or by its two points', () => {
    expect(measureWord(FOUR_SIDE_SLOTS, { kind: 'distance', from: 'br', to: 'tr' })).toBe('right height');
    expect(measureWord(FOUR_SIDE_SLOTS, { kind: 'distance', from: 'bl', to: 'mr' })).toBe(
      'from the lower left corner to the middle of the right side',
    );
  });
});

describe('when is a sum of squares, or the worst of them, too large?', () => {
  it.each([
    [1, 12.116],
    [3, 17.73],
    [10, 31.42],
    [20, 47.498],
    [30, 62.162],
  ])('chi-squared, %d degrees of freedom, 0.9995: %d (standard tables)', (freedom, expected) => {
    expect(squaresAllowed(freedom)).toBeCloseTo(expected, 2);
  });
  it.each([
    [1, 3.480756],
    [250, 4.753424],
  ])('the worst of %d, both signs, half of one in a thousand: %d (standard tables)', (count, expected) => {
    expect(worstAllowed(count)).toBeCloseTo(expected, 3);
  });
  it('both go by the one level of the rules', () => {
    expect(RULES.falseAlarm.value).toBe(0.001);
  });
});
