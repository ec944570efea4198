import { describe, expect, it } from '@jest/globals';
import { STROKES_AS_CALCULATED } from '../../job';
import { type CoreError } from '../../quantity';
import { columnStrips } from './column-strips';
import { type Face, areaOfFace, boundsOf, faceOf, longestUpright } from '../face';
import { insetFace } from './inset';
import { leastLanes } from './lanes';
import { LOCK_FIGURES } from './lock-strokes';
import { withChanges } from './own-strokes';
import { planStrokes } from './plan-strokes';
import { type StrokesAsked, judgeStrokes, calculateStrokes } from '../calculate-strokes';
import { SAMPLE_KINDS, sampleFace } from '../sample-faces';
import { lapFor, lineChanceBy } from './lap';
import { type FilmPressed, reasonsFor } from '../why-so';
import { type Stroke, endOf, lengthOf, motionOf, reversed, squareStroke, startOf } from '../stroke';
import { cutOut } from '../cut-out';
import { timeOfTwo } from './two-people';
import { timeOf } from '../pace';

const rectangle = (wide: number, high: number) => [
  { x: 0, y: 0 },
  { x: wide, y: 0 },
  { x: wide, y: high },
  { x: 0, y: high },
];
const TOOL = { blade_mm: 150, overlap_mm: 30, card_mm: 40 };
const PANE = faceOf([rectangle(1200, 900)]);
const asked = (face: Face, more: Partial<StrokesAsked> = {}): StrokesAsked => ({
  ...{ face, tool: TOOL, way: 'lanes', lock: 'centre line', first: 'right', isDry: false, people: 1 },
  ...more,
});
const plan = (face: Face) => planStrokes(face, TOOL, { lock: 'centre line', first: 'right' });

describe('which strokes press a face out, and in what order?', () => {
  it('1.2 × 0.9 m with 150 mm of blade and a lap of 30: eight lanes, 15.2 m, 1.9 min (model 1.6)', () => {
    const { strokes, coverage, findings } = plan(PANE);
    const lanes = new Set(strokes.filter(({ part }) => part === 'lane').map((stroke) => startOf(stroke).y));
    expect(lanes.size).toBe(8);
    expect(leastLanes(PANE, TOOL)).toBe(8);
    expect(strokes.reduce((sum, stroke) => sum + lengthOf(stroke), 0) / 1000).toBeCloseTo(15.2, 1);
    expect(timeOf(strokes, { speed_mms: 250, lift_s: 1.5 }).value / 60).toBeCloseTo(1.9, 1);
    expect(coverage.share).toBeCloseTo(1, 12);
    expect(findings).toMatchObject({ traps: [], vents: 0, lifted: [], neverPressed: 0 });
  });
  it('lock, then one half from the top down, then the other, then the edges: level ones before upright ones', () => {
    const { strokes } = plan(PANE);
    const parts = strokes.map(({ part }) => part);
    expect(parts).toEqual([
      ...parts.filter((own) => own === 'lock'),
      ...parts.filter((own) => own === 'lane'),
      ...parts.filter((own) => own === 'edge'),
    ]);
    const lanes = strokes.filter(({ part }) => part === 'lane');
    expect(lanes.slice(0, 8).every((stroke) => endOf(stroke).x === 1200)).toBe(true);
    expect(lanes.slice(8).every((stroke) => endOf(stroke).x === 0)).toBe(true);
    const heights = lanes.slice(0, 8).map((stroke) => startOf(stroke).y);
    expect(heights).toEqual(heights.toSorted((a, b) => b - a));
    const edges = strokes.filter(({ part }) => part === 'edge');
    expect(edges.map((stroke) => startOf(stroke).y === endOf(stroke).y)).toEqual([
      true,
      true,
      true,
      true,
      false,
      false,
    ]);
    expect(edges.every((stroke) => endOf(stroke).y <= startOf(stroke).y)).toBe(true);
  });
  it.each(SAMPLE_KINDS)(
    '%s: all is covered, nothing lifted, no trap or each with a stroke that finishes it',
    (kind) => {
      for (let seed = 1; seed <= 20; seed += 1) {
        const { coverage, findings, strokes } = plan(sampleFace(kind, seed));
        expect({ seed, missed: Math.max(0, 1 - coverage.share) }).toEqual({
          seed,
          missed: expect.closeTo(0, 9),
        });
        expect({ seed, lifted: findings.lifted }).toEqual({ seed, lifted: [] });
        const finished = strokes.filter(({ part }) => part === 'finish').length;
        expect({ seed, isNamed: findings.vents === 0 || finished > 0 }).toEqual({ seed, isNamed: true });
      }
    },
  );
  it.each(LOCK_FIGURES)('locked by %s: all is covered and nothing is shut in', (lock) => {
    const { coverage, findings } = planStrokes(PANE, TOOL, { lock, first: 'left' });
    expect(coverage.share).toBeCloseTo(1, 12);
    expect(findings).toMatchObject({ vents: 0, lifted: [] });
  });
  it('a blade that is longer than the pane is calculated as long as the pane is high, and said', () => {
    const judged = judgeStrokes(
      asked(faceOf([rectangle(400, 100)])),
      calculateStrokes(asked(faceOf([rectangle(400, 100)]))),
    );
    expect(judged.isBladeTooLong).toBe(true);
    expect(judged.coverage.share).toBeCloseTo(1, 12);
    expect(judgeStrokes(asked(PANE), []).isBladeTooLong).toBe(false);
  });
  it('a door that reaches the floor is cut out of its wall, not counted twice', () => {
    const wall = cutOut(rectangle(4000, 2500), [
      [
        { x: 1000, y: -5 },
        { x: 1900, y: -5 },
        { x: 1900, y: 2050 },
        { x: 1000, y: 2050 },
      ],
    ]);
    expect(areaOfFace(wall)).toBeCloseTo(4000 * 2500 - 900 * 2050, 3);
    const { coverage, findings } = plan(wall);
    expect(coverage.share).toBeCloseTo(1, 9);
    expect(findings.vents).toBe(0);
  });
  it('an outline of 2,000 corners is planned', () => {
    const round = Array.from({ length: 2000 }, (_, index) => ({
      x: 500 + 500 * Math.cos((index * Math.PI) / 1000),
      y: 500 + 500 * Math.sin((index * Math.PI) / 1000),
    }));
    expect(plan(faceOf([round])).coverage.share).toBeCloseTo(1, 9);
  });
  it.each([
    [
      'a lap as wide as the blade',
      asked(PANE, { tool: { ...TOOL, overlap_mm: 150 } }),
      'STROKES_LAP',
      'overlap_mm',
    ],
    ['a lap below nothing', asked(PANE, { tool: { ...TOOL, overlap_mm: -1 } }), 'STROKES_LAP', 'overlap_mm'],
    [
      'an outline that crosses itself',
      asked({
        rings: [
          [
            { x: 0, y: 0 },
            { x: 100, y: 100 },
            { x: 100, y: 0 },
            { x: 0, y: 100 },
          ],
        ],
      }),
      'STROKES_FACE',
      'outline',
    ],
    [
      'two corners',
      asked({
        rings: [
          [
            { x: 0, y: 0 },
            { x: 100, y: 100 },
          ],
        ],
      }),
      'STROKES_FACE',
      'outline',
    ],
  ])('%s is refused by name', (_, own, code, path) => {
    expect(() => calculateStrokes(own)).toThrow(
      expect.objectContaining({ code, data: expect.objectContaining({ path }) }) as unknown as CoreError,
    );
  });
});

describe('a strip along the edges is left until it is trimmed', () => {
  it('13 mm off a rectangle, off its holes too; sides that vanish are left out', () => {
    const face = faceOf([
      rectangle(1200, 900),
      [
        { x: 300, y: 300 },
        { x: 400, y: 300 },
        { x: 400, y: 400 },
        { x: 300, y: 400 },
      ],
    ]);
    const inner = insetFace(face, 13);
    expect(inner && areaOfFace(inner)).toBeCloseTo(1174 * 874 - 126 * 126, 6);
    const notched = faceOf([
      [
        { x: 0, y: 0 },
        { x: 600, y: 0 },
        { x: 600, y: 400 },
        { x: 310, y: 400 },
        { x: 305, y: 395 },
        { x: 300, y: 400 },
        { x: 0, y: 400 },
      ],
    ]);
    expect(insetFace(notched, 13)).toBeDefined();
  });
  it('nothing is left of a pane of 20 mm; two holes that would grow into each other are refused', () => {
    expect(insetFace(faceOf([rectangle(20, 20)]), 13)).toBeUndefined();
    const hole = (x: number) => [
      { x, y: 300 },
      { x: x + 100, y: 300 },
      { x: x + 100, y: 400 },
      { x, y: 400 },
    ];
    expect(insetFace(faceOf([rectangle(1200, 900), hole(300), hole(410)]), 13)).toBeUndefined();
  });
});

describe('closed edges and a person’s own strokes', () => {
  it('open at the top alone, lanes from the top down shut film in, each place named with its stroke; open at the bottom they do not', () => {
    const below = { ...PANE, closed: [[false, true, true, true]] };
    expect(judgeStrokes(asked(below), calculateStrokes(asked(below))).findings.vents).toBe(0);
    const closed = { ...PANE, closed: [[true, true, false, true]] };
    const judged = judgeStrokes(asked(closed), calculateStrokes(asked(closed)));
    expect(judged.findings.vents).toBeGreaterThan(0);
    expect(judged.findings.traps.every(({ sealedBy }) => sealedBy !== undefined)).toBe(true);
    expect(judged.strokes.some(({ part }) => part === 'finish')).toBe(true);
  });
  it('edges first all round, then the face: one trap, and the stroke that closes the ring is named', () => {
    const strokes = calculateStrokes(asked(PANE, { lock: 'none' }));
    const edges = strokes.filter(({ part }) => part === 'edge');
    const order = [...edges, ...strokes.filter(({ part }) => part === 'lane')].map(({ key }) => key);
    const own = withChanges(strokes, { ...STROKES_AS_CALCULATED, order }, 150);
    const { findings } = judgeStrokes(asked(PANE), own);
    expect(findings.vents).toBeGreaterThan(0);
    expect(findings.firstTrap).toBe(edges.length - 1);
  });
  it('reversed, left out, moved, drawn and put in order by their keys; what is gone is passed over', () => {
    const strokes = calculateStrokes(asked(PANE));
    const [first, second] = strokes.map(({ key }) => key) as [string, string];
    const nm = (x: number, y: number) => ({ x_nm: x * 1e6, y_nm: y * 1e6 });
    const own = withChanges(
      strokes,
      {
        ...STROKES_AS_CALCULATED,
        reversed: [second, 'gone'],
        left: [first],
        moved: [{ key: second, path: [nm(0, 100), nm(600, 100)] }],
        drawn: [{ key: 'own 1', path: [nm(0, 0), nm(100, 100)] }],
        order: ['own 1', second],
      },
      150,
    );
    expect(own).toHaveLength(strokes.length);
    expect(own[0]).toMatchObject({ key: 'own 1', part: 'own' });
    expect(own[1]?.path).toEqual([
      { x: 600, y: 100 },
      { x: 0, y: 100 },
    ]);
    expect(own.slice(2).map(({ key }) => key)).toEqual(strokes.slice(2).map(({ key }) => key));
    expect(withChanges(strokes, STROKES_AS_CALCULATED, 150)).toEqual(strokes);
  });
  it('a lane left out leaves a line as long as the pane is wide, less what its neighbours lap', () => {
    const strokes = calculateStrokes(asked(PANE));
    const left = strokes.filter(({ key }) => key.startsWith('lane 4 ')).map(({ key }) => key);
    const { coverage } = judgeStrokes(
      asked(PANE),
      withChanges(strokes, { ...STROKES_AS_CALCULATED, left }, 150),
    );
    expect(coverage.gaps.length).toBeGreaterThan(0);
    const pitch = (900 - 150) / 7;
    const bare = (2 * pitch - 150) * (1200 - 150 - 2 * 40);
    expect(coverage.gaps.reduce((sum, { area_mm2 }) => sum + area_mm2, 0)).toBeCloseTo(bare, 3);
  });
  it('two people press both halves at once: the same strokes, less time than one, no trap', () => {
    const [one, two] = [calculateStrokes(asked(PANE)), calculateStrokes(asked(PANE, { people: 2 }))];
    expect(two.map(({ key }) => key).toSorted()).toEqual(one.map(({ key }) => key).toSorted());
    const pace = { speed_mms: 250, lift_s: 1.5 };
    expect(timeOfTwo(PANE, two, pace)).toBeLessThan(0.7 * timeOf(one, pace).value);
    expect(judgeStrokes(asked(PANE), two).findings.vents).toBe(0);
  });
  it('a column: from the middle out, one wing and then the other, each strip from mid height down, then up (model 1.6)', () => {
    const column = faceOf([rectangle(1030, 2425)]);
    const own = asked(column, {
      way: 'round a column',
      isDry: true,
      tool: { blade_mm: 50, overlap_mm: 10, card_mm: 40 },
    });
    const judged = judgeStrokes(own, calculateStrokes(own));
    expect(judged.coverage.share).toBeCloseTo(1, 12);
    expect(judged.findings).toMatchObject({ vents: 0, lifted: [] });
    expect(
      judged.strokes.slice(0, 2).map((stroke) => [startOf(stroke).x, startOf(stroke).y, endOf(stroke).y]),
    ).toEqual([
      [540, 2425 / 2 + 30, 0],
      [540, 2425 / 2 - 30, 2425],
    ]);
  });
  it('a stroke that rises above loose film is named; on dry film nothing runs down; level and falling ones may', () => {
    const up = squareStroke('up', { x: 600, y: 400 }, { x: 600, y: 800 }, 150);
    const lifted = (isDry: boolean, strokes: readonly Stroke[]) =>
      judgeStrokes(asked(PANE, { isDry }), strokes).findings.lifted;
    expect(lifted(false, [up])).toEqual([0]);
    expect(lifted(true, [up])).toEqual([]);
    expect(lifted(false, [reversed(up)])).toEqual([]);
    const hardlyRising = squareStroke('level', { x: 100, y: 400 }, { x: 900, y: 440 }, 150);
    expect(lifted(false, [hardlyRising])).toEqual([]);
  });
  it('from a fixed side out, as the paper has it: 24 strips a unrolled 0.968 m', () => {
    const column = { ...faceOf([rectangle(967.6, 2425)]), closed: [[false, false, false, true]] };
    const strips = columnStrips(column, [0, 967.6], { blade_mm: 50, overlap_mm: 10 });
    expect(strips).toHaveLength(48);
    const judged = judgeStrokes(
      asked(column, { isDry: true, tool: { blade_mm: 50, overlap_mm: 10, card_mm: 40 } }),
      strips,
    );
    expect(judged.coverage.share).toBeCloseTo(1, 12);
    expect(judged.findings.vents).toBe(0);
  });
});

it('a blade is pulled or pushed by the school of the squeegee', () => {
  const motions = (school?: string) =>
    (['lock', 'lane', 'edge'] as const).map((part) => motionOf(part, school));
  expect(motions('pull in the open, push at edges')).toEqual(['pulled', 'pulled', 'pushed']);
  expect(motions('pull the lock, push from the middle')).toEqual(['pulled', 'pushed', 'pushed']);
  expect(motions('either')).toEqual(['either', 'either', 'either']);
  expect(motions()).toEqual(['either', 'either', 'either']);
});

describe('why strokes are led as they are', () => {
  const reasons = (own: Partial<FilmPressed> = {}) =>
    reasonsFor({ isThick: false, isDry: false, thickness_um: 50, ...own });
  it('two passes pay with a good blade, more with a worn one; film laid dry has no water', () => {
    const passes = reasons().find((own) => own.case === 'passes');
    if (passes?.case !== 'passes') throw new Error('no passes');
    expect(passes.pay.value).toBe(2);
    expect(passes.worn.value).toBeGreaterThan(passes.pay.value);
    expect(reasons({ isDry: true }).map((own) => own.case)).toEqual(['grain']);
  });
  it('a grain of 0.1 mm looks 2.8 mm wide under 50 µm, 5.3 under 200 µm of security film (model 1.3)', () => {
    const wide = (own: Partial<FilmPressed>): number => {
      const grain = reasons(own).find((reason) => reason.case === 'grain');
      return grain?.case === 'grain' ? grain.wide_mm.value : 0;
    };
    expect(wide({})).toBeCloseTo(2.8, 1);
    expect(wide({ isThick: true, thickness_um: 200 })).toBeCloseTo(5.3, 1);
  });
  it('a hand that strays 6 mm laps 30 mm, a trainee 43; at that a line is left at one place in a hundred', () => {
    expect(lapFor(6).value).toBeCloseTo(29.8, 9);
    expect(lapFor(10).value).toBeCloseTo(43, 9);
    expect(lineChanceBy(lapFor(6).value, 6).value).toBeCloseTo(0.01, 3);
    expect(lineChanceBy(10, 6).value).toBe(0.5);
  });
});

it('the longest upright of an L is that of its high part', () => {
  const L = faceOf([
    [
      { x: 0, y: 0 },
      { x: 3000, y: 0 },
      { x: 3000, y: 2400 },
      { x: 1800, y: 2400 },
      { x: 1800, y: 1100 },
      { x: 0, y: 1100 },
    ],
  ]);
  expect(longestUpright(L)).toBeCloseTo(2400, 6);
  expect(boundsOf(L)).toEqual({ left: 0, right: 3000, bottom: 0, top: 2400 });
});
