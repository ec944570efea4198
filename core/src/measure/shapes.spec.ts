import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { MeasureKind, SurfaceShape } from '../job';
import { checkSurface, slotsFor } from './check-surface';
import { areaOf, outlineBounds, perimeterOf } from './outline';
import type { Reading } from './reading';
import { ovalEdge } from './shapes/round';
import { unrolled } from './shapes/column-film';
import type { PartSize, SurfaceInput } from './shapes/shape';
import type { SurfaceCheck } from './surface-check';

type Taken = readonly [kind: MeasureKind, from: string, to: string, value_mm: number];
const SHAPES: readonly SurfaceShape[] = [
  'four sides',
  'three sides',
  'many sides',
  'arched top',
  'round',
  'oval',
  'rounded corners',
  'curved glass',
  'wall',
  'round column',
  'square column',
  'panel',
  'moulding',
];
const readings = (taken: readonly Taken[]): Reading[] =>
  taken.map(([kind, from, to, value_mm], index) => ({
    id: `${index} ${from} ${to}`,
    kind,
    from,
    to,
    value_mm,
    instrument: 'tape',
  }));
const check = (
  shape: SurfaceShape,
  taken: readonly Taken[],
  more: Partial<SurfaceInput> = {},
): SurfaceCheck => checkSurface({ shape, readings: readings(taken), ...more });
const measured = (result: SurfaceCheck): Extract<SurfaceCheck, { state: 'measured' | 'assumed' }> => {
  if (!('figure' in result)) throw new Error(`expected a figure, got ${JSON.stringify(result)}`);
  return result;
};
const lengths = (pairs: readonly (readonly [string, string, number])[]): Taken[] =>
  pairs.map(([from, to, value]) => ['distance', from, to, value]);
const heron = (a: number, b: number, c: number): number => {
  const s = (a + b + c) / 2;
  return Math.sqrt(s * (s - a) * (s - b) * (s - c));
};
const part = (more: Partial<PartSize>): PartSize => ({
  kind: 'opening',
  name: '',
  x_mm: null,
  y_mm: null,
  width_mm: null,
  height_mm: null,
  depth_mm: null,
  form: 'none',
  count: 1,
  ...more,
});

const apart = (corners: readonly (readonly [number, number])[], a: number, b: number): number =>
  Math.hypot(
    (corners[a]?.[0] ?? 0) - (corners[b]?.[0] ?? 0),
    (corners[a]?.[1] ?? 0) - (corners[b]?.[1] ?? 0),
  );

describe('what does a triangle need?', () => {
  it('three sides, and Heron gives its area', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 600, max: 2000 }),
        fc.integer({ min: 600, max: 2000 }),
        fc.integer({ min: 35, max: 145 }),
        (a, b, degrees) => {
          const c = Math.sqrt(a * a + b * b - 2 * a * b * Math.cos((degrees * Math.PI) / 180));
          const result = measured(
            check(
              'three sides',
              lengths([
                ['bl', 'br', a],
                ['bl', 'tp', b],
                ['br', 'tp', c],
              ]),
            ),
          );
          expect(result.state).toBe('measured');
          expect(result.sizes.area_mm2.value / heron(a, b, c)).toBeCloseTo(1, 6);
        },
      ),
    );
  });
  it('one so pointed that its tip is known no better than 20 mm is not called measured', () => {
    expect(
      check(
        'three sides',
        lengths([
          ['bl', 'br', 60],
          ['bl', 'tp', 2995],
          ['br', 'tp', 3000],
        ]),
      ).state,
    ).toBe('assumed');
  });
  it('or a bottom, a side and a right angle', () => {
    const result = measured(
      check('three sides', [
        ...lengths([
          ['bl', 'br', 900],
          ['bl', 'tp', 1200],
        ]),
        ['right angle', 'bl', 'bl', 0],
      ]),
    );
    expect(result.state).toBe('measured');
    expect(result.sizes.area_mm2.value).toBeCloseTo(540_000, 0);
  });
  it('a height over the bottom checks the three sides', () => {
    const wrong = measured(
      check('three sides', [
        ...lengths([
          ['bl', 'br', 900],
          ['bl', 'tp', 1200],
          ['br', 'tp', 1500],
        ]),
        ['height over', 'tp', 'mb', 1230],
      ]),
    );
    expect(wrong.agreement.kind).toBe('disagree');
  });
  it('sides that cannot close are named, with how far they reach', () => {
    expect(
      check(
        'three sides',
        lengths([
          ['bl', 'br', 2000],
          ['bl', 'tp', 700],
          ['br', 'tp', 800],
        ]),
      ),
    ).toMatchObject({
      state: 'impossible',
      why: { case: 'sides cannot close', longest_mm: 2000, others_mm: 1500 },
    });
  });
});

describe('what does a pane with any number of corners need?', () => {
  const CORNERS = [
    [0, 0],
    [1400, 0],
    [1700, 700],
    [900, 1500],
    [-100, 900],
  ] as const;
  const between = (a: number, b: number): number => apart(CORNERS, a, b);
  const sides = (): (readonly [string, string, number])[] =>
    CORNERS.map((_, n) => [`p${n + 1}`, `p${((n + 1) % 5) + 1}`, between(n, (n + 1) % 5)] as const);
  it('sides and the fan of diagonals give every corner back; two corners stay mirror images and it says so', () => {
    const result = measured(
      check('many sides', lengths([...sides(), ['p1', 'p3', between(0, 2)], ['p1', 'p4', between(0, 3)]]), {
        corners: 5,
      }),
    );
    expect(result.state).toBe('measured');
    expect(result.sizes.area_mm2.value).toBeCloseTo(areaOf(CORNERS.map(([x, y]) => ({ x, y }))), 0);
    expect(result.remarks).toContainEqual({
      case: 'corners may fold',
      corners: expect.any(Array),
      isConvex: true,
    });
  });
  it('sides alone do not: it says which corner hangs loose', () => {
    expect(check('many sides', lengths(sides()), { corners: 5 })).toMatchObject({
      state: 'unfinished',
      needs: [expect.stringContaining('diagonal to corner')],
    });
  });
  it('a corner pointing inward is found when a check diagonal says so', () => {
    const inward = [
      [0, 0],
      [1000, 0],
      [600, 500],
      [1000, 1000],
      [0, 1000],
    ] as const;
    const span = (a: number, b: number): number => apart(inward, a, b);
    const all: (readonly [string, string, number])[] = [];
    for (let a = 0; a < 5; a += 1)
      for (let b = a + 1; b < 5; b += 1) all.push([`p${a + 1}`, `p${b + 1}`, span(a, b)]);
    const result = measured(check('many sides', lengths(all), { corners: 5 }));
    expect(result.agreement.kind).toBe('agree');
    expect(result.sizes.area_mm2.value).toBeCloseTo(800_000, -1);
  });
  it('a triangle within it that cannot close is named by its corners', () => {
    expect(
      check(
        'many sides',
        lengths([
          ['p1', 'p2', 500],
          ['p2', 'p3', 400],
          ['p1', 'p3', 1500],
        ]),
        { corners: 4 },
      ),
    ).toMatchObject({
      state: 'impossible',
      why: { case: 'corners cannot close', corners: [1, 2, 3] },
    });
  });
  it('six corners out of true by noise keep within three millimetres', () => {
    const hexagon = Array.from(
      { length: 6 },
      (_, n) => [600 * Math.cos((n * Math.PI) / 3 - 2), 600 * Math.sin((n * Math.PI) / 3 - 2)] as const,
    );
    const taken: (readonly [string, string, number])[] = [];
    for (let a = 0; a < 6; a += 1)
      for (let b = a + 1; b < 6; b += 1)
        taken.push([`p${a + 1}`, `p${b + 1}`, apart(hexagon, a, b) + ((a * 7 + b * 3) % 3) - 1]);
    expect(
      measured(check('many sides', lengths(taken), { corners: 6 })).sizes.area_mm2.value /
        (((3 * Math.sqrt(3)) / 2) * 360_000),
    ).toBeCloseTo(1, 2);
  });
});

describe('what does an arch need?', () => {
  it('a bare half round of 1 m: πr²/2 and its arc, radius 500', () => {
    const { sizes, state } = measured(
      check('arched top', [
        ['distance', 'tl', 'tr', 1000],
        ['height over', 'ct', 'mt', 500],
      ]),
    );
    expect(state).toBe('measured');
    expect(sizes.area_mm2.value).toBeCloseTo((Math.PI * 250_000) / 2, 0);
    expect(sizes.radius_mm?.value).toBeCloseTo(500, 6);
    expect(sizes.perimeter_mm.value).toBeCloseTo(1000 + Math.PI * 500, 3);
  });
  it('with a straight part below, a shallow arch adds its segment; chord 1000 and rise 134 are a radius of 1000 (60°)', () => {
    const rise = 1000 - 1000 * Math.cos(Math.PI / 6);
    const { sizes } = measured(
      check('arched top', [
        ['height over', 'ct', 'mt', rise],
        ...lengths([
          ['tl', 'tr', 1000],
          ['bl', 'br', 1000],
          ['tl', 'bl', 1500],
          ['tr', 'br', 1500],
          ['tl', 'br', Math.hypot(1000, 1500)],
        ]),
      ]),
    );
    expect(sizes.radius_mm?.value).toBeCloseTo(1000, 1);
    expect(sizes.area_mm2.value).toBeCloseTo(
      1_500_000 + 1_000_000 * (Math.PI / 6 - Math.sin(Math.PI / 3) / 2),
      0,
    );
    expect(sizes.aroundHeight_mm.value).toBeCloseTo(1500 + rise, 0);
  });
  it('a height to the crown that contradicts rise and sides is found', () => {
    const taken: Taken[] = [
      ['height over', 'ct', 'mt', 300],
      ...lengths([
        ['tl', 'tr', 1000],
        ['bl', 'br', 1000],
        ['tl', 'bl', 1500],
        ['tr', 'br', 1500],
        ['tl', 'br', Math.hypot(1000, 1500)],
        ['mb', 'ct', 1840],
      ]),
    ];
    expect(measured(check('arched top', taken)).agreement.kind).toBe('disagree');
  });
});

describe('what do round panes give?', () => {
  it('a circle of 800: area, edge, and how far it is out of round', () => {
    const { sizes } = measured(
      check(
        'round',
        lengths([
          ['ml', 'mr', 800],
          ['mt', 'mb', 802],
        ]),
      ),
    );
    expect(sizes.diameter_mm?.value).toBeCloseTo(801, 1);
    expect(sizes.outOfRound_mm?.value).toBe(2);
    expect(sizes.area_mm2.value).toBeCloseTo((Math.PI / 4) * 801 ** 2, -2);
  });
  it('a girth of 2513 says the diameter of 800 is right, one of 2613 that something is wrong', () => {
    const withGirth = (girth: number): SurfaceCheck =>
      check('round', [
        ...lengths([
          ['ml', 'mr', 800],
          ['mt', 'mb', 800],
        ]),
        ['circumference', 'mm', 'mm', girth],
      ]);
    expect(measured(withGirth(2513)).agreement.kind).toBe('agree');
    expect(measured(withGirth(2613)).agreement.kind).toBe('disagree');
  });
  it('an oval of 2 : 1: π·a·b, and an edge of 4.8442 b (complete elliptic integral, tables)', () => {
    const { sizes } = measured(
      check(
        'oval',
        lengths([
          ['ml', 'mr', 1000],
          ['mt', 'mb', 500],
        ]),
      ),
    );
    expect(sizes.area_mm2.value).toBeCloseTo(Math.PI * 500 * 250, 0);
    expect(ovalEdge(1000, 500) / 500).toBeCloseTo(4.844224110273838, 9);
    expect(ovalEdge(800, 800)).toBeCloseTo(Math.PI * 800, 9);
  });
});

describe('what do rounded corners take away?', () => {
  const pane = lengths([
    ['tl', 'tr', 600],
    ['bl', 'br', 600],
    ['tl', 'bl', 400],
    ['tr', 'br', 400],
    ['tl', 'br', Math.hypot(600, 400)],
  ]);
  it('four right angles with r = 50 lose (4 − π)·r² of area and (8 − 2π)·r of edge', () => {
    const { sizes, figure } = measured(check('rounded corners', [...pane, ['radius', 'tl', 'tl', 50]]));
    expect(sizes.area_mm2.value).toBeCloseTo(240_000 - (4 - Math.PI) * 2500, 0);
    expect(sizes.perimeter_mm.value).toBeCloseTo(2000 - (8 - 2 * Math.PI) * 50, 3);
    expect(areaOf(figure.outline) / sizes.area_mm2.value).toBeCloseTo(1, 4);
  });
  it('each corner may have its own radius', () => {
    const { sizes } = measured(
      check('rounded corners', [
        ...pane,
        ['radius', 'tl', 'tl', 100],
        ['radius', 'tr', 'tr', 0],
        ['radius', 'br', 'br', 0],
        ['radius', 'bl', 'bl', 0],
      ]),
    );
    expect(sizes.area_mm2.value).toBeCloseTo(240_000 - (1 - Math.PI / 4) * 10_000, 0);
  });
  it('a radius larger than its sides allow is impossible', () => {
    expect(check('rounded corners', [...pane, ['radius', 'tl', 'tl', 250]])).toMatchObject({
      state: 'impossible',
    });
  });
});

describe('do right angles and levels stand for diagonals?', () => {
  it('a trapezoid by its bottom, two heights and two right angles below is determined', () => {
    const result = measured(
      check('four sides', [
        ...lengths([
          ['bl', 'br', 1200],
          ['tl', 'bl', 800],
          ['tr', 'br', 1100],
        ]),
        ['right angle', 'bl', 'bl', 0],
        ['right angle', 'br', 'br', 0],
      ]),
    );
    expect(result.state).toBe('measured');
    expect(result.sizes.area_mm2.value).toBeCloseTo((1200 * (800 + 1100)) / 2, -1);
  });
  it('without a level line nothing is said of level; with one, how far the right end of the top lies low', () => {
    const square: Taken[] = lengths([
      ['tl', 'tr', 900],
      ['bl', 'br', 900],
      ['tl', 'bl', 1200],
      ['tr', 'br', 1200],
      ['tl', 'br', 1500],
      ['bl', 'tr', 1500],
    ]);
    expect(measured(check('four sides', square)).sizes.offLevel_mm).toBeUndefined();
    const { sizes } = measured(check('four sides', [...square, ['level', 'tl', 'tr', 7]]));
    expect(sizes.offLevel_mm?.value).toBeCloseTo(7, 3);
    expect(sizes.outOfSquare_mm?.value).toBeLessThan(0.01);
  });
});

describe('what does a wall ask of the film?', () => {
  const face = lengths([
    ['tl', 'tr', 4000],
    ['bl', 'br', 4000],
    ['tl', 'bl', 2600],
    ['tr', 'br', 2600],
    ['tl', 'br', Math.hypot(4000, 2600)],
  ]);
  it('openings are taken off; one without sizes is named instead', () => {
    const result = measured(
      check('wall', face, {
        parts: [
          part({ name: 'door', x_mm: 500, y_mm: 500, width_mm: 900, height_mm: 2100 }),
          part({ name: 'hatch' }),
        ],
      }),
    );
    expect(result.sizes.netArea_mm2?.value).toBeCloseTo(4000 * 2600 - 900 * 2100, 0);
    expect(result.remarks).toContainEqual({ case: 'openings without size', count: 1 });
    expect(result.figure.openings).toHaveLength(1);
  });
  it('an opening beyond the wall is impossible and named', () => {
    expect(
      check('wall', face, {
        parts: [part({ name: 'gate', x_mm: 3500, y_mm: 0, width_mm: 900, height_mm: 2000 })],
      }),
    ).toMatchObject({ state: 'impossible', why: { case: 'openings beyond the wall', names: ['gate'] } });
  });
  it('block joints 10 wide and 5 deep (half round): 9 upright joints of 400 mm blocks add 9·(π/2 − 1)·10 mm to 4 m', () => {
    const { sizes } = measured(
      check('wall', face, {
        joints: {
          bond: 'running',
          unitWidth_mm: 390,
          unitHeight_mm: 190,
          jointWidth_mm: 10,
          jointDepth_mm: 5,
        },
      }),
    );
    expect((sizes.girthWidth_mm?.value ?? 0) - 4000).toBeCloseTo(10 * (Math.PI / 2 - 1) * 10, 3);
    expect((sizes.girthHeight_mm?.value ?? 0) - 2600).toBeCloseTo(13 * (Math.PI / 2 - 1) * 10, 3);
  });
});

describe('what does a moulding take?', () => {
  const face: readonly Taken[] = [
    ['distance', 'tl', 'tr', 120],
    ['distance', 'bl', 'br', 120],
    ['distance', 'tl', 'bl', 2400],
    ['distance', 'tr', 'br', 2400],
  ];
  it('a bead of half a circle 40 wide on a board of 120 takes 80 + 20π over the strip: that is its girth', () => {
    const girth_mm = 80 + 20 * Math.PI;
    const { sizes, remarks } = measured(
      check('moulding', [...face, ['circumference', 'mm', 'mm', girth_mm]]),
    );
    expect(sizes.girthWidth_mm?.value).toBeCloseTo(girth_mm, 9);
    expect(remarks).not.toContainEqual({ case: 'no furrow yet' });
  });
  it('the strip wins over furrows summed up; without either the girth is said to be the plain width', () => {
    const furrow: NonNullable<SurfaceInput['parts']>[number] = {
      kind: 'furrow',
      name: '',
      x_mm: 0,
      y_mm: 0,
      width_mm: 10,
      height_mm: null,
      depth_mm: 5,
      form: 'V',
      count: 3,
    };
    const both = measured(
      check('moulding', [...face, ['circumference', 'mm', 'mm', 150]], { parts: [furrow] }),
    );
    expect(both.sizes.girthWidth_mm?.value).toBeCloseTo(150, 9);
    expect(measured(check('moulding', face)).remarks).toContainEqual({ case: 'no furrow yet' });
  });
  it('a strip shorter than the board is wide is misread', () => {
    expect(check('moulding', [...face, ['circumference', 'mm', 'mm', 110]])).toMatchObject({
      state: 'impossible',
      why: { case: 'profile under its width', profile_mm: 110 },
    });
  });
});

describe('what do columns unroll to?', () => {
  it('a straight one of girth 1000 and 2500 high is a rectangle', () => {
    const result = measured(
      check('round column', [
        ['distance', 'floor', 'top', 2500],
        ['circumference', 'floor', 'floor', 1000],
        ['circumference', 'top', 'top', 1000],
      ]),
    );
    expect(result.figure.outline).toHaveLength(4);
    expect(result.sizes.area_mm2.value).toBeCloseTo(2_500_000, 0);
  });
  it('one tapering from R 250 to 200 over a slant of 3 m is a ring sector: radii 15 and 12 m, 4.24115 m² (closed form)', () => {
    const height_mm = Math.sqrt(3000 ** 2 - 50 ** 2);
    const outline = unrolled({ foot_mm: 2 * Math.PI * 250, top_mm: 2 * Math.PI * 200, height_mm });
    const { width, height } = outlineBounds(outline);
    expect(width).toBeCloseTo(1570.07868728831, 3);
    expect(height).toBeCloseTo(3016.44558294511, 3);
    const { sizes } = measured(
      check('round column', [
        ['distance', 'floor', 'top', height_mm],
        ['circumference', 'floor', 'floor', 500 * Math.PI],
        ['circumference', 'top', 'top', 400 * Math.PI],
      ]),
    );
    expect(sizes.area_mm2.value).toBeCloseTo(4_241_150.082, 0);
    expect(sizes.taper_mm?.value).toBeCloseTo(100, 6);
    expect(perimeterOf(outline) / sizes.perimeter_mm.value).toBeCloseTo(1, 4);
  });
  it('one wider above unrolls the other way up', () => {
    const outline = unrolled({ foot_mm: 1000, top_mm: 1300, height_mm: 2000 });
    expect(outlineBounds(outline.slice(0, outline.length / 2)).width).toBeGreaterThan(
      outlineBounds(outline.slice(outline.length / 2)).width,
    );
  });
  it('a ring in the middle that contradicts foot and top is found, and another ring asked for', () => {
    const result = measured(
      check('round column', [
        ['distance', 'floor', 'top', 3000],
        ['circumference', 'floor', 'floor', 1200],
        ['circumference', 'top', 'top', 1000],
        ['circumference', 'c1', 'c1', 1160],
      ]),
    );
    expect(result.agreement).toMatchObject({ kind: 'disagree', decide: { kind: 'circumference' } });
  });
  it.each([
    [1131, 1020, 942, -16.5],
    [1131, 1060, 942, 23.5],
  ])(
    'rings of %d, %d and %d are no straight taper: the middle is %d mm off it, and that is asked',
    (foot, middle, top, off) => {
      const result = measured(
        check('round column', [
          ['distance', 'floor', 'top', 2400],
          ['circumference', 'floor', 'floor', foot],
          ['circumference', 'c1', 'c1', middle],
          ['circumference', 'top', 'top', top],
        ]),
      );
      expect(result.remarks).toEqual([{ case: 'off the taper', up_mm: 1200, off_mm: off }]);
      expect(result.agreement.kind).toBe('disagree');
    },
  );
  it('a middle within what a tape can tell is a straight taper', () => {
    const { remarks } = measured(
      check('round column', [
        ['distance', 'floor', 'top', 2400],
        ['circumference', 'floor', 'floor', 1131],
        ['circumference', 'c1', 'c1', 1038],
        ['circumference', 'top', 'top', 942],
      ]),
    );
    expect(remarks).toEqual([]);
  });
  it('one girth alone: taken as without taper, and said so', () => {
    expect(
      check('round column', [
        ['distance', 'floor', 'top', 2500],
        ['circumference', 'floor', 'floor', 1000],
      ]),
    ).toMatchObject({ state: 'assumed', assumes: 'no taper' });
  });
  it('a square one of 300 with edges of 20 mm takes 4·300 − 20·(8 − 2π) of film', () => {
    const { sizes } = measured(
      check('square column', [
        ['distance', 'floor', 'top', 2600],
        ...lengths([
          ['a', 'b', 300],
          ['b', 'c', 300],
          ['c', 'd', 300],
          ['d', 'a', 300],
        ]),
        ['radius', 'mm', 'mm', 20],
      ]),
    );
    expect(sizes.girthWidth_mm?.value).toBeCloseTo(1200 - 20 * (8 - 2 * Math.PI), 6);
  });
});

describe('how much film do edges and furrows take?', () => {
  const door = lengths([
    ['tl', 'tr', 880],
    ['bl', 'br', 880],
    ['tl', 'bl', 2010],
    ['tr', 'br', 2010],
    ['tl', 'br', Math.hypot(880, 2010)],
  ]);
  it('two edges of 40 mm with a radius of 5, turned 25 mm on to the back', () => {
    const { sizes } = measured(
      check('panel', [
        ...door,
        ['thickness', 'mm', 'mm', 40],
        ['radius', 'mm', 'mm', 5],
        ['wrap', 'ml', 'ml', 25],
        ['wrap', 'mr', 'mr', 25],
      ]),
    );
    expect(sizes.girthWidth_mm?.value).toBeCloseTo(880 + 2 * (40 + 25 - 2 * 5 * (2 - Math.PI / 2)), 6);
    expect(sizes.girthHeight_mm).toBeUndefined();
  });
  it('wrapped without a thickness: unknown, and the thickness is asked for', () => {
    const result = measured(check('panel', [...door, ['wrap', 'ml', 'ml', 25]]));
    expect(result.sizes.girthWidth_mm).toBeUndefined();
    expect(result.helpsNext?.key).toBe('thickness');
  });
  it.each([
    ['V' as const, Math.hypot(10, 10)],
    ['square' as const, 20],
    ['half round' as const, 5 * Math.PI],
  ])('a %s furrow 10 wide and 5 deep takes %d mm of film', (form, path) => {
    const { sizes } = measured(
      check('moulding', door, {
        parts: [part({ kind: 'furrow', form, width_mm: 10, depth_mm: 5, count: 6 })],
      }),
    );
    expect(sizes.girthWidth_mm?.value).toBeCloseTo(880 + 6 * (path - 10), 3);
  });
});

describe('does every shape hold whatever is typed?', () => {
  it.each(SHAPES)('%s: every answer is one of four, and every number in it finite', (shape) => {
    const slots = slotsFor(shape, 6);
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ slot: fc.nat({ max: slots.length - 1 }), value: fc.integer({ min: 1, max: 1900 }) }),
          { maxLength: 14 },
        ),
        (picked) => {
          const taken = picked.map(({ slot, value }, index): Reading => {
            const { kind, from, to } = slots[slot] ?? { kind: 'distance' as const, from: 'tl', to: 'tr' };
            return {
              id: String(index),
              kind,
              from,
              to,
              value_mm:
                kind === 'right angle' ? 0 : kind === 'level' || kind === 'rocking gap' ? value / 10 : value,
              instrument: 'tape',
            };
          });
          const result = checkSurface({ shape, corners: 6, readings: taken });
          expect(['unfinished', 'impossible', 'assumed', 'measured']).toContain(result.state);
          const text = JSON.stringify(result, (_key, value: unknown) =>
            typeof value === 'number' && !Number.isFinite(value) ? 'NOT A NUMBER' : value,
          );
          expect(text).not.toContain('NOT A NUMBER');
        },
      ),
      { numRuns: 60 },
    );
  });
  it.each(SHAPES)('%s: nothing measured is unfinished and says what is needed', (shape) => {
    const result = checkSurface({ shape, readings: [] });
    expect(result.state).toBe('unfinished');
    expect('needs' in result && result.needs.length).toBeGreaterThan(0);
  });
  it.each(SHAPES)('%s: slots have keys and words of their own', (shape) => {
    const slots = slotsFor(shape, 6);
    expect(new Set(slots.map(({ key }) => key)).size).toBe(slots.length);
    expect(slots.every(({ word }) => word.length > 2)).toBe(true);
  });
});
