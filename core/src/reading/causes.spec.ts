import { describe, expect, it } from '@jest/globals';
import { CUT_METHODS, NEW_MARK, NOT_TRIED, type RowOf } from '../job';
import { faceOf } from '../strokes';
import { isLaidWet } from '../ways';
import { causeOf } from './causes';
import { seenOnMark } from './cause-record';
import { type JobRows, jobRows } from './job-rows';
import { JobView } from './job-view';
import type { JudgedMark } from './marks';

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
  it('what nobody has named has no causes', () => {
    expect(seen({ look: 'not said' })).toBeUndefined();
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
  it('a crack is explained and never judged: a licensed glazier decides', () => {
    const own = of({ look: 'crack' });
    expect(own?.isGlass).toBe(true);
    expect(own?.remedies.map(({ id }) => id)).toEqual(['stop, licensed glazier']);
  });
});
