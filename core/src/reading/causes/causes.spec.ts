import { describe, expect, it } from '@jest/globals';
import { LOOK_TABLES, calibrationOf, posteriorOf } from '../../diagnosing';
import {
  CUT_METHODS,
  DIAGNOSED_LOOKS,
  NEW_MARK,
  NOT_TRIED,
  NO_WALL_FACTS,
  type RowOf,
  STROKES_AS_CALCULATED,
} from '../../job';
import { faceOf } from '../../strokes';
import { isLaidWet } from '../../ways';
import { causeApart, causeOf } from './causes';
import { seenOnMark } from './cause-record';
import { inEnd } from './in-the-end';
import { type CaseOfShop, type JobRows, jobRows } from '../view/job-rows';
import { JobView } from '../view/job-view';
import type { JudgedMark } from '../check/marks';
import { pocketNow } from '../check/pocket-now';
import { workStepsOf } from '../fit/work';

const row = <Own>(own: object): Own => own as Own;
const DAY_MS = 86_400_000;
const LAID = '2026-11-01T12:00:00.000Z';
const at = (days: number): number => Date.parse(LAID) + days * DAY_MS;
const FACE = faceOf([
  [
    { x: 0, y: 0 },
    { x: 1000, y: 0 },
    { x: 1000, y: 1000 },
    { x: 0, y: 1000 },
  ],
]);
const viewOf = (rows: Partial<JobRows> = {}, film: object = {}) =>
  new JobView(
    jobRows({
      application: [
        row({ id: 'A', surfaceId: 'S', filmId: 'F', side: 'room', method: 'trim in place', schools: {} }),
      ],
      workRecord: [row({ id: 'W', applicationId: 'A', step: 'handover', doneAt: LAID, people: ['Wren'] })],
      ...rows,
    }),
    {
      films: [row({ id: 'F', family: 'solar', workMin_C: 10, postHeat_C: 90, thickness_um: 50, ...film })],
      learned: [],
      people: [],
    },
  );
const marked = (own: object, where = { x: 500, y: 500 }): JudgedMark =>
  row<JudgedMark>({
    mark: { ...NEW_MARK, id: 'M', surfaceId: 'S', firstSeenAt: LAID, ...own },
    ...{ number: 1, at: where, isBeforeLaying: false },
  });
const judged = (days: number) => ({
  ...{ face: FACE, marks: [], verdict: 'unknown' as const, isWhole: false, now_ms: at(days) },
  drying: {
    ...{ until_ms: at(40), by: 'vapour' as const, goesOnMonth: null },
    ...{ laid_ms: at(0), half_days: 23, deviation: 0.65 },
  },
});
const seen = (own: object, days = 10, view = viewOf(), where = { x: 500, y: 500 }) =>
  seenOnMark(view, marked(own, where), judged(days));

describe('what does the record of a job know of a mark?', () => {
  it('of a pocket: its age in the band, press, shape, size, warmth', () => {
    const tests = { press: 'creeps away', warm: 'larger', shape: 'joined to an edge' };
    expect(seen({ look: 'water pocket', size_nm: 12e6, tests })).toMatchObject({
      look: 'waterPocket',
      seen: {
        ageVsBand: 'inside band',
        press: 'water creeps away',
        pattern: 'band along an edge',
        size: '10 to 25 mm',
        inSun: 'larger when warm',
      },
    });
    expect(seen({ look: 'water pocket' }, 3)?.seen).toEqual({ ageVsBand: 'before band' });
    expect(seen({ look: 'water pocket' }, 41)?.seen).toEqual({ ageVsBand: 'after band' });
  });
  it('a bubble is asked as water where film was laid wet, as air where it was laid dry', () => {
    expect(seen({ look: 'bubble' })?.look).toBe('waterPocket');
    const method = CUT_METHODS.find((own) => !isLaidWet(own, 'decor'));
    const application = [
      row<RowOf<'application'>>({ id: 'A', surfaceId: 'S', filmId: 'F', method, schools: {} }),
    ];
    expect(seen({ look: 'bubble' }, 10, viewOf({ application }, { family: 'decor' }))?.look).toBe(
      'dryBubbles',
    );
  });
  it('where it lies: a speck near an edge, a finger at a corner, a side, above or below', () => {
    expect(seen({ look: 'speck' }, 1, viewOf(), { x: 30, y: 500 })?.seen['where']).toBe(
      'within 50 mm of an edge',
    );
    expect(seen({ look: 'speck' })?.seen['where']).toBe('on the face');
    expect(seen({ look: 'finger' }, 1, viewOf(), { x: 20, y: 20 })?.seen['place']).toBe('corner');
    expect(seen({ look: 'finger' }, 1, viewOf(), { x: 20, y: 500 })?.seen['place']).toBe('side');
    expect(seen({ look: 'finger' }, 1, viewOf(), { x: 500, y: 990 })?.seen['place']).toBe(
      'top or bottom edge',
    );
  });
  it('how warm it was by the reading on the surface; not read is not known', () => {
    const reading = (value: number) =>
      row<RowOf<'reading'>>({
        id: 'R',
        surfaceId: 'S',
        quantity: 'surface temperature',
        value,
        corrected: null,
      });
    const temp = (readings: readonly RowOf<'reading'>[]) =>
      seen({ look: 'edge lifts' }, 1, viewOf({ reading: readings }))?.seen['temp'];
    expect(temp([reading(6)])).toBe('below sheet');
    expect(temp([reading(16)])).toBe('within sheet');
    expect(temp([])).toBeUndefined();
  });
  it('paint, its age; soap in what was sprayed against what is too rich', () => {
    const wall = (own: object) =>
      seen(
        { look: 'air bubble' },
        1,
        viewOf(
          {
            application: [
              row({
                id: 'A',
                surfaceId: 'S',
                filmId: 'F',
                side: 'room',
                method: 'textured wall',
                schools: {},
              }),
            ],
            wallFacts: [row({ id: 'N', surfaceId: 'S', ...NO_WALL_FACTS, ...own })],
          },
          { family: 'textured wall' },
        ),
      )?.seen['paintAge'];
    expect(wall({ paintAge: 'under 30 days' })).toBe('under 30 days');
    expect(wall({ paint: 'none' })).toBe('not paint');
    expect(wall({})).toBeUndefined();
    const mixed = (mix: string) =>
      seen(
        { look: 'edge lifts' },
        1,
        viewOf({
          workRecord: [row({ id: 'W', applicationId: 'A', step: 'lay', doneAt: LAID, people: [], mix })],
        }),
      )?.seen['mix'];
    expect(mixed('shrink outside, 4.00 % soap')).toBe('rich');
    expect(mixed('as it was right, 0.78 % soap')).toBe('lean or right');
    expect(mixed('')).toBeUndefined();
  });
  it('a cause the record knows of is there or not: the season, the lap that was planned, a step left out', () => {
    const present = (look: string, rows: Partial<JobRows> = {}) =>
      seen({ look }, 10, viewOf(rows))?.present ?? {};
    expect(present('water pocket')).toMatchObject({ noDryingSeason: 0 });
    const plan = (overlap_nm: number) =>
      row<RowOf<'ownPlan'>>({
        ...{ id: 'P', applicationId: 'A', kind: 'stroke', inputsHash: '' },
        changes: { ...STROKES_AS_CALCULATED, overlap_nm },
      });
    expect(present('water pocket', { ownPlan: [plan(5e6)] })['noOverlap']).toBe(1);
    expect(present('water pocket', { ownPlan: [plan(60e6)] })['noOverlap']).toBeUndefined();
    // Handed over with nothing but the handover ticked: nobody can tell what was left out.
    expect(present('speck')).toEqual({});
    const [film] = viewOf().applications;
    const steps = film === undefined ? [] : workStepsOf(viewOf(), film);
    const ticked = steps
      .filter(({ step }) => !step.includes('clean'))
      .map(({ step }) =>
        row<RowOf<'workRecord'>>({
          ...{ id: step, applicationId: 'A', step, doneAt: LAID },
          people: [],
          mix: '',
        }),
      );
    expect(present('speck', { workRecord: ticked })).toEqual({ glassNotClean: 1 });
    expect(present('edge lifts')['noPostHeat']).toBe(0);
    expect(present('finger')).toEqual({ surplusNotShrunk: 0 });
  });
  it('what nobody has named has no causes', () => {
    expect(seen({ look: 'not said' })).toBeUndefined();
  });
});

describe('is a pocket still ordinary?', () => {
  const now = (days: number, own: object = {}) =>
    pocketNow(marked({ look: 'water pocket', ...own }), judged(days), at(days));
  it('less likely the longer it is there: at half of its days nine in ten, past its date no longer', () => {
    const chances = [3, 10, 23, 39].map((days) => now(days)?.ordinary ?? 0);
    expect(chances.toSorted((a, b) => b - a)).toEqual(chances);
    expect(chances[2]).toBeCloseTo((0.9 * 0.5) / (0.9 * 0.5 + 0.1), 12);
    expect(now(39)?.against).toEqual([]);
    expect(now(41)?.against).toEqual(['past its date']);
  });
  it('large, in a line, joined to an edge or with a rim it is none, however young', () => {
    expect(now(2, { size_nm: 26e6 })?.against).toEqual(['large']);
    expect(now(2, { size_nm: 24e6 })?.against).toEqual([]);
    for (const shape of ['in a line along strokes', 'joined to an edge', 'brown or white rim'])
      expect(now(2, { tests: { ...NOT_TRIED, shape } })?.against).toEqual([shape]);
  });
  it('nothing is said of other marks, of what is gone, or where nobody knows how long it takes', () => {
    expect(now(2, { look: 'speck' })).toBeUndefined();
    expect(now(2, { goneAt: LAID })).toBeUndefined();
    const dry = { ...judged(2), drying: { ...judged(2).drying, half_days: null } };
    expect(pocketNow(marked({ look: 'water pocket' }), dry, at(2))).toBeUndefined();
  });
});

describe('why is it there?', () => {
  const of = (own: object, rows: Partial<JobRows> = {}, days = 10) =>
    causeOf(viewOf(rows), marked(own), judged(days));
  const told = (answers: readonly object[], own: object = {}) =>
    row<RowOf<'causeCase'>>({
      ...{ id: 'C', markIds: ['M'], look: 'waterPocket', answers, tableVersion: 1, posterior: null },
      ...{ confirmed: null, how: null, said: null },
      ...own,
    });
  const tests = (own: object) => ({ look: 'water pocket', tests: { ...NOT_TRIED, ...own } });

  it('a small pocket inside its days that creeps away is ordinary drying', () => {
    const own = of({ ...tests({ press: 'creeps away', shape: 'alone' }), size_nm: 6e6 }, {}, 4);
    expect(own?.shown[0]?.id).toBe('normalDrying');
    expect(own?.remedies[0]?.id).toBe('wait until the date, then look');
  });
  it('one past its date that springs back is air; a person’s answer stands over the record', () => {
    expect(of(tests({ press: 'springs back', warm: 'larger' }), {}, 41)?.shown[0]?.id).toBe('airNotWater');
    const answered = of(
      tests({ press: 'springs back' }),
      { causeCase: [told([{ evidence: 'press', state: 'water creeps away' }])] },
      10,
    );
    expect(answered?.asked.seen['press']).toBe('water creeps away');
  });
  it('water is not pricked before its date; air is', () => {
    const pricks = (own: object, days: number) =>
      of(tests(own), {}, days)?.remedies.some(({ id }) => id.startsWith('prick'));
    expect(pricks({ press: 'creeps away' }, 4)).toBe(false);
    expect(pricks({ press: 'springs back', warm: 'larger' }, 10)).toBe(true);
    expect(pricks({ press: 'creeps away' }, 41)).toBe(true);
  });
  it('three causes, no surer than eight in ten while few are confirmed; why, and what to ask next', () => {
    const own = of(tests({ press: 'springs back', warm: 'larger' }), {}, 41);
    expect(own?.shown).toHaveLength(3);
    expect(own?.shown[0]?.share).toBeLessThanOrEqual(0.8);
    expect(own?.why?.first).toBe('airNotWater');
    expect(of(tests({}))?.next).toBeDefined();
    const speck = of({ look: 'speck' });
    expect([...(speck?.more ?? []), speck?.next].map((each) => each?.id)).toContain('kind');
  });
  it('what is not known changes nothing and is not asked again', () => {
    const fresh = of(tests({}));
    const asked = fresh?.next?.id ?? '';
    const own = of(tests({}), { causeCase: [told([{ evidence: asked, state: 'not known' }])] });
    expect(own?.raw).toEqual(fresh?.raw);
    expect(own?.next?.id).not.toBe(asked);
  });
  it('confirmed cases of the job teach; its own does not teach itself', () => {
    const many = Array.from({ length: 12 }, (_, n) =>
      told([], { id: `C${n}`, markIds: [`M${n}`], confirmed: 'edgeDrewIn', how: 'seen' }),
    );
    const share = (rows: readonly RowOf<'causeCase'>[]) => of(tests({}), { causeCase: rows })?.raw[3] ?? 0;
    expect(share(many)).toBeGreaterThan(share([]));
    expect(share([told([], { confirmed: 'edgeDrewIn', how: 'seen' })])).toBe(share([]));
  });
  it('cases of other jobs teach as those of this one; what is of this job counts once, as it stands here', () => {
    const cases = Array.from({ length: 12 }, (_, n) => ({
      ...{ id: `D${n}`, look: 'waterPocket', confirmed: 'edgeDrewIn', how: 'seen' },
      ...{ remedy: null, posterior: null, tableVersion: 1 },
    })) as readonly CaseOfShop[];
    const rows = jobRows({ ...viewOf().rows });
    const withShop = (own: readonly CaseOfShop[], causeCase: readonly RowOf<'causeCase'>[] = []) =>
      causeOf(
        new JobView({ ...rows, causeCase }, { ...viewOf().shop, experience: { cases: own, pockets: [] } }),
        marked(tests({})),
        judged(10),
      )?.raw[3] ?? 0;
    expect(withShop(cases)).toBeGreaterThan(withShop([]));
    const here = told([], { id: 'D0', markIds: ['M2'], confirmed: 'edgeDrewIn', how: 'seen' });
    expect(withShop(cases, [here])).toBeCloseTo(withShop(cases), 12);
  });
  it('known only because a remedy worked, a case counts for each cause as likely as that makes it', () => {
    const table = LOOK_TABLES.waterPocket;
    const [remedy] = table.remedies;
    const worked = (own: object) =>
      of(tests({}), {
        causeCase: [
          told([], {
            ...{ id: 'C9', markIds: ['M9'], confirmed: 'softPressure', how: 'remedy worked' },
            ...{ posterior: posteriorOf({ table, seen: {}, present: {} }), ...own },
          }),
        ],
      });
    const named = worked({ remedy: remedy?.id ?? '' })?.asked.confirmed ?? {};
    expect(Object.values(named).reduce((sum, one) => sum + one, 0)).toBeLessThan(1);
    expect(Object.keys(named).length).toBeGreaterThan(1);
    expect(worked({ remedy: null })?.asked.confirmed).toEqual({ softPressure: 0.5 });
    // Kept with a table of more or fewer causes, its shares say nothing of those of today.
    for (const posterior of [[0.2, 0.8], Array.from({ length: 40 }, () => 0.025)])
      expect(worked({ remedy: remedy?.id ?? '', posterior })?.asked.confirmed).toEqual({ softPressure: 0.5 });
  });
  it('cases kept with a table of other causes judge nothing, and break nothing', () => {
    const { waterPocket } = LOOK_TABLES;
    const kept = (posterior: readonly number[], confirmed: string): CaseOfShop => ({
      ...{ id: 'C', look: 'waterPocket', remedy: null, tableVersion: 1, how: 'seen' },
      ...{ posterior, confirmed },
    });
    const [known] = waterPocket.causes;
    const sure = [...waterPocket.causes.map((_, n) => (n === 0 ? 0.93 : 0.01)), 0.01];
    const odd = [
      kept([0.2, 0.8], 'gone'),
      kept(
        Array.from({ length: 40 }, () => 0.025),
        known?.id ?? '',
      ),
    ];
    expect(inEnd(odd, LOOK_TABLES)).toEqual([]);
    const nameless = Array.from({ length: 60 }, () => kept(sure, 'gone'));
    expect(calibrationOf(inEnd(nameless, LOOK_TABLES))).toMatchObject({ cases: 60, says: 'too sure' });
  });
  it('answers are believed as far as forty confirmed cases say was deserved', () => {
    const posterior = posteriorOf({ table: LOOK_TABLES.dryBubbles, seen: {}, present: {} }).map((_, n) =>
      n === 0 ? 0.93 : 0.01,
    );
    const cases = Array.from({ length: 60 }, (_, n) => ({
      ...{ id: `E${n}`, look: 'dryBubbles', confirmed: n % 4 === 0 ? 'softPressure' : 'handOnly' },
      ...{ how: 'seen', remedy: null, posterior, tableVersion: 1 },
    })) as readonly CaseOfShop[];
    expect(causeApart('dryBubbles', undefined, cases).asked.lambda).toBeLessThan(0.8);
    expect(causeApart('dryBubbles', undefined, cases.slice(0, 39)).asked.lambda).toBe(0.8);
  });
  it('without a job the same tables answer by what is said alone', () => {
    const own = causeApart('dryBubbles', undefined, []);
    expect(own.shown).toHaveLength(3);
    const told_ = {
      ...{ id: 'x', look: 'dryBubbles' as const, confirmed: null, how: null, remedy: null },
      answers: [
        { evidence: 'pattern', state: 'lines between strokes' },
        { evidence: 'cameWith', state: 'sun or heat next day' },
      ],
    } as const;
    expect(causeApart('dryBubbles', told_, []).shown[0]?.id).toBe('noOverlap');
  });
  it('answers that contradict each other, and nothing known at all: shares that make one, no NaN', () => {
    for (const look of DIAGNOSED_LOOKS) {
      const { evidence } = LOOK_TABLES[look];
      const unknown = causeApart(look, undefined, []);
      const contradicting = evidence.flatMap(({ id, states }, n) =>
        [0, 1].map((turn) => ({ evidence: id, state: states[(n + turn) % states.length] ?? '' })),
      );
      const said = { id: 'x', look, answers: contradicting, confirmed: null, how: null, remedy: null };
      for (const own of [unknown, causeApart(look, said, [])]) {
        expect(own.raw.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 9);
        expect(own.raw.every((one) => Number.isFinite(one) && one >= 0)).toBe(true);
        expect(own.shown.every(({ share }) => share <= 0.8 + 1e-12)).toBe(true);
      }
      const nothing = evidence.map(({ id }) => ({ evidence: id, state: 'not known' }));
      expect(causeApart(look, { ...said, answers: nothing }, []).raw).toEqual(unknown.raw);
    }
  });
  it('a crack is explained and never judged: a licensed glazier decides', () => {
    const own = of({ look: 'crack' });
    expect(own?.isGlass).toBe(true);
    expect(own?.remedies.map(({ id }) => id)).toEqual(['stop, licensed glazier']);
  });
});
