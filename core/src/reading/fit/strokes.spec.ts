import { describe, expect, it } from '@jest/globals';
import { NEW_PART, NEW_PLACE, NEW_SURFACE, type RowOf, STROKES_AS_CALCULATED } from '../../job';
import { areaOfFace, judgeStrokes, calculateStrokes } from '../../strokes';
import { type JobRows, EMPTY_SHOP, jobRows } from '../view/job-rows';
import { JobView } from '../view/job-view';
import { linerOf } from './liner';
import { strokesOf } from './strokes';
import { trimOf } from './trim';
import { workStepsOf } from './work';

const row = <Row>(fields: object): Row =>
  ({ jobId: 'J', version: 1, changedAt: '2026-12-01T10:00:00Z', changedBy: 'Wren', ...fields }) as Row;
const MM = 1_000_000;
const taken = (from: string, to: string, mm: number) =>
  row<RowOf<'measure'>>({
    ...{
      id: `${from}${to}`,
      surfaceId: 'S',
      kind: 'distance',
      fromPoint: from,
      toPoint: to,
      text: String(mm),
    },
    ...{ unit: 'mm', value_nm: mm * MM, instrument: 'tape', sd_nm: null },
  });
/** Raked: the left side is 200 mm lower, as seen from the room. */
const RAKED = [
  taken('bl', 'br', 1200),
  taken('tl', 'bl', 700),
  taken('tr', 'br', 900),
  taken('tl', 'br', Math.round(Math.hypot(1200, 700))),
  taken('tr', 'bl', 1500),
];
interface Given {
  readonly method?: string;
  readonly side?: string;
  readonly schools?: object;
  readonly surface?: object;
  readonly measure?: JobRows['measure'];
  readonly part?: JobRows['part'];
  readonly own?: object;
  readonly wander_mm?: number;
}
function given({ method = 'trim in place', side = 'room', schools = {}, ...more }: Given = {}) {
  const application = row<RowOf<'application'>>({
    ...{ id: 'A', surfaceId: 'S', filmId: 'F', side, method, schools, position: 1, over: null },
  });
  const view = new JobView(
    jobRows({
      place: [row({ ...NEW_PLACE, id: 'P', kind: 'building', name: 'House', position: 1 })],
      surface: [
        row({
          ...{ ...NEW_SURFACE, id: 'S', placeId: 'P', tag: 'W1', position: 1, seenFrom: 'room' },
          ...more.surface,
        }),
      ],
      measure: more.measure ?? RAKED,
      part: more.part ?? [],
      application: [application],
      ownPlan:
        more.own === undefined
          ? []
          : [
              row({
                id: 'O',
                applicationId: 'A',
                kind: 'stroke',
                inputsHash: 'before',
                changes: { ...STROKES_AS_CALCULATED, ...more.own },
              }),
            ],
    }),
    {
      ...EMPTY_SHOP,
      films: [
        {
          id: 'F',
          name: 'film',
          family: 'solar',
          thickness_um: 50,
          direction: 'none',
          repeat_nm: null,
          widths_nm: [1524 * MM],
        },
      ] as unknown as typeof EMPTY_SHOP.films,
      people: [
        { id: 'Q', name: 'Quill', hand: 'left', wander_mm: more.wander_mm ?? null, skills: ['film'] },
      ] as unknown as typeof EMPTY_SHOP.people,
    },
  );
  return { view, application };
}
function caseOf(own: Given = {}, moment: 'lock' | 'press' | 'hard pass' = 'press') {
  const { view, application } = given(own);
  const today = strokesOf(view, application, { moment, personId: 'Q' });
  if (today.kind === 'none') throw new Error(today.reason);
  return today.own;
}

describe('what are the strokes of a film made from?', () => {
  it('a raked pane as whoever stands before it sees it: from the room its low side is left, from outside right', () => {
    const top = (side: string): number => {
      const { whole } = caseOf({ side });
      const highest = whole.rings[0]?.reduce((best, own) => (own.y > best.y ? own : best));
      return highest?.x ?? Number.NaN;
    };
    expect(top('room')).toBeCloseTo(1200, 0);
    expect(top('outside')).toBeCloseTo(0, 0);
    expect(areaOfFace(caseOf({ side: 'outside' }).whole)).toBeCloseTo(areaOfFace(caseOf().whole), 3);
  });
  it('all of it is covered, with nothing shut in', () => {
    const { asked } = caseOf();
    const judged = judgeStrokes(asked, calculateStrokes(asked));
    expect(judged.coverage.share).toBeCloseTo(1, 9);
    expect(judged.findings).toMatchObject({ vents: 0, lifted: [] });
  });
  it('13 mm are left to the edge until it is trimmed; trimmed before it is pressed out, none; nor where edges are worked at once', () => {
    expect(caseOf({}, 'lock').inset_mm).toBe(13);
    expect(caseOf({}, 'press').inset_mm).toBe(0);
    expect(caseOf({ schools: { trim: 'after squeezing out' } }).inset_mm).toBe(13);
    expect(caseOf({ schools: { trim: 'after squeezing out', edges: 'worked at once' } }).inset_mm).toBe(0);
    expect(caseOf({ method: 'cut to outline' }, 'lock').inset_mm).toBe(0);
    expect(caseOf({ method: 'security' }, 'press').inset_mm).toBe(13);
  });
  it('laps by the hand that presses: a guess of 6 mm, 43 mm for one that strays 10; a person’s own lap and blade win', () => {
    expect(caseOf().asked.tool).toMatchObject({ blade_mm: 150, overlap_mm: expect.closeTo(29.8, 9) });
    expect(caseOf().hand.wanderOf).toBeUndefined();
    const trainee = caseOf({ wander_mm: 10 });
    expect(trainee.asked.tool.overlap_mm).toBeCloseTo(43, 9);
    expect(trainee.hand.wanderOf).toBe('Quill');
    expect(caseOf({ own: { blade_nm: 200 * MM, overlap_nm: 60 * MM } }).asked.tool).toMatchObject({
      blade_mm: 200,
      overlap_mm: 60,
    });
  });
  it('thick film the second time laps by half the blade: every point twice', () => {
    expect(caseOf({ method: 'security' }, 'hard pass').asked.tool.overlap_mm).toBe(75);
  });
  it('by the school of the lock; film laid dry has none', () => {
    expect(caseOf({ schools: { lock: 'X' } }).asked.lock).toBe('X');
    expect(caseOf({ method: 'decor', surface: { kind: 'wall', shape: 'wall' } }).asked).toMatchObject({
      lock: 'none',
      isDry: true,
    });
  });
  it('an opening is no film, also where it reaches the floor, and is mirrored with its wall', () => {
    const door = row<RowOf<'part'>>({
      ...{ ...NEW_PART, id: 'D', surfaceId: 'S', kind: 'opening', name: 'door', position: 1 },
      ...{ x_nm: 100 * MM, y_nm: 400 * MM, width_nm: 300 * MM, height_nm: 500 * MM },
    });
    const wall = (side: string) =>
      caseOf({ method: 'decor', side, part: [door], surface: { kind: 'wall', shape: 'wall' } }).whole;
    const plain = caseOf({ method: 'decor', surface: { kind: 'wall', shape: 'wall' } }).whole;
    const taken_mm2 = areaOfFace(plain) - areaOfFace(wall('room'));
    expect(taken_mm2).toBeGreaterThan(300 * 400);
    expect(areaOfFace(plain) - areaOfFace(wall('outside'))).toBeCloseTo(taken_mm2, 3);
    const jamb = (side: string): number =>
      Math.min(
        ...wall(side)
          .rings.flat()
          .filter(({ x, y }) => y > 100 && y < 600 && x > 1)
          .map(({ x }) => x),
      );
    expect(jamb('room')).toBeCloseTo(100, 3);
    expect(jamb('outside')).toBeCloseTo(800, 0);
  });
  it('changed before the surface was measured otherwise: said', () => {
    expect(caseOf({ own: { reversed: ['lane 1 right'] } }).isOfOtherMeasures).toBe(true);
  });
  it.each([
    ['curved, shrunk', 'not pressed by strokes'],
    ['decal transfer', 'not pressed by strokes'],
  ])('%s: %s', (method, reason) => {
    const { view, application } = given({ method });
    expect(strokesOf(view, application, { moment: 'press' })).toEqual({ kind: 'none', reason });
  });
  it('a column wing by wing; a tapered one goes by the axis of its sector, and no strokes are claimed for it', () => {
    const girth = (point: string, mm: number) => ({
      ...taken(point, point, mm),
      kind: 'circumference' as const,
    });
    const column = (top: number) =>
      given({
        method: 'column',
        surface: { kind: 'column', shape: 'round column' },
        measure: [girth('floor', 1131), girth('top', top), taken('floor', 'top', 2840)],
      });
    const even = column(1131);
    const today = strokesOf(even.view, even.application, { moment: 'press' });
    expect(today).toMatchObject({ kind: 'case', own: { asked: { way: 'round a column', isDry: true } } });
    const tapered = column(942);
    expect(strokesOf(tapered.view, tapered.application, { moment: 'press' })).toEqual({
      kind: 'none',
      reason: 'tapered',
    });
  });
  it('not measured: none; a pane smaller than the strip along its edges: nothing left', () => {
    const { view, application } = given({ measure: [] });
    expect(strokesOf(view, application, { moment: 'press' })).toEqual({
      kind: 'none',
      reason: 'not measured',
    });
    const small = given({
      measure: [taken('tl', 'tr', 20), taken('bl', 'br', 20), taken('tl', 'bl', 20), taken('tr', 'br', 20)],
    });
    expect(strokesOf(small.view, small.application, { moment: 'lock' })).toEqual({
      kind: 'none',
      reason: 'nothing left inside the strip',
    });
  });
});

describe('what is trimmed, and how does the liner come off?', () => {
  it('a pre-squared blank shows two edges; seen from outside the other side is the one that is cut', () => {
    const cut = (side: string): readonly string[] => {
      const { view, application } = given({ method: 'pre-squared', side });
      return (trimOf(view, application)?.edges ?? []).flatMap(({ edge, why }) =>
        why === null ? [edge] : [],
      );
    };
    expect(cut('room').toSorted()).toEqual(['bottom', 'right']);
    expect(cut('outside').toSorted()).toEqual(['bottom', 'left']);
  });
  it('hung dry: its sides at one step, its bottom at another', () => {
    const { view, application } = given({ method: 'dry-fitted' });
    const cut = (step: string) => trimOf(view, application, step)?.cuts.map(({ edge }) => edge);
    expect(new Set(cut('trim-sides'))).toEqual(new Set(['left', 'right']));
    expect(new Set(cut('trim-bottom'))).toEqual(new Set(['bottom']));
  });
  it('the liner by the school of the surface, tabs at the corner of the hand that pulls', () => {
    const { view, application } = given({ schools: { liner: 'halves on the glass' } });
    const plan = linerOf(view, application, 'Q');
    expect(plan).toMatchObject({
      way: 'halves on the glass',
      isRolledUp: true,
      tabs: [{ corner: 'upper left' }],
    });
    expect(plan?.height_mm).toBeGreaterThan(900);
  });
});

describe('how long does a pass take in the day?', () => {
  it('by strokes while nobody has timed a square metre: twice over for thin film, more where the hand strays more', () => {
    const minutes = (own: Given = {}): number => {
      const { view, application } = given(own);
      return workStepsOf(view, application).find(({ step }) => step === 'squeeze')?.minutes.value ?? 0;
    };
    expect(minutes()).toBe(4);
    expect(minutes({ own: { overlap_nm: 100 * MM } })).toBeGreaterThan(minutes());
  });
  it('a shop that has timed it goes by its own figure', () => {
    const { view, application } = given();
    const timed = new JobView(view.rows, {
      ...view.shop,
      learned: [
        {
          ...{ key: 'work-squeeze', word: '', value: 10, unit: 'min/m²', basis: 'measured' },
          ...{ scope: null, sd: null, n: 12, from: '' },
        },
      ] as typeof view.shop.learned,
    });
    const step = workStepsOf(timed, application).find((own) => own.step === 'squeeze');
    expect(step?.minutes.value).toBe(10);
    expect(step?.minutes.why).toHaveLength(1);
  });
});
