import { describe, expect, it } from '@jest/globals';
import { NEW_MARK, NEW_PART, NEW_PLACE, NEW_SURFACE, NO_SITE_FACTS, type RowOf } from '../../job';
import { type JobRows, jobRows } from '../view/job-rows';
import { NO_SKY } from './film-dates';
import { JobView } from '../view/job-view';
import { returnAsks, visitsOf } from './visits';

const row = <Own>(own: object): Own => own as Own;
const DONE = '2026-11-01T12:00:00.000Z';
const DAY_MS = 86_400_000;
const LAID = Date.parse(DONE);
const day = (n: number): number => LAID + n * DAY_MS;
const filmOf = (id: string) =>
  row<RowOf<'application'>>({
    ...{ id, surfaceId: 'S', filmId: 'F', side: 'room', method: 'trim in place', schools: {}, position: 1 },
    over: null,
  });
const handed = (applicationId: string) =>
  row<RowOf<'workRecord'>>({
    ...{ id: `w${applicationId}`, applicationId, template: 'flat-glass', step: 'handover' },
    ...{ doneAt: DONE, roundsAt: [] },
  });
const viewOf = (rows: Partial<JobRows> = {}) =>
  new JobView(
    jobRows({
      place: [row({ ...NEW_PLACE, id: 'P', kind: 'building', name: 'House', position: 1 })],
      surface: [row({ ...NEW_SURFACE, id: 'S', placeId: 'P', tag: 'W1', position: 1 })],
      application: [filmOf('A')],
      workRecord: [handed('A')],
      ...rows,
    }),
    {
      films: [row({ id: 'F', family: 'solar', thickness_um: 50, construction: 'polyester' })],
      learned: [],
      people: [],
    },
  );
const mark = row<RowOf<'mark'>>({ ...NEW_MARK, id: 'M', surfaceId: 'S', look: 'water pocket' });
const decision = (own: object) =>
  row<RowOf<'markDecision'>>({
    ...{ id: 'D', markId: 'M', inspectionId: null, verdict: 'watch', by: 'the rules', watchUntil: null },
    said: { personId: null, who: 'Wren', at: DONE },
    ...own,
  });
const kinds = (rows: Partial<JobRows> = {}) => returnAsks(viewOf(rows), NO_SKY).map(({ kind }) => kind);

describe('what must somebody come back for?', () => {
  it('a film handed over: its edges, its first wash; sealant only where sealant was cut', () => {
    expect(kinds()).toEqual(['edges, second look', 'first cleaning']);
    expect(kinds({ siteFacts: [row({ ...NO_SITE_FACTS, surfaceId: 'S', sealantToCut: 'yes' })] })).toEqual([
      'edges, second look',
      'sealant back',
      'first cleaning',
    ]);
  });
  it('nothing before it is handed over', () => {
    expect(kinds({ workRecord: [] })).toEqual([]);
  });
  it('each within its days: edges from the second to the fourteenth', () => {
    expect(returnAsks(viewOf(), NO_SKY)[0]).toMatchObject({ notBefore_ms: day(2), due_ms: day(14) });
  });
  it('a watched pocket from its date on, until it is gone; what was taken over as to be put right', () => {
    const until = new Date(day(40)).toISOString();
    const watched = { mark: [mark], markDecision: [decision({ watchUntil: until })] };
    expect(returnAsks(viewOf(watched), NO_SKY).at(-1)).toMatchObject({
      kind: 'pockets gone?',
      notBefore_ms: day(40),
      markId: 'M',
    });
    expect(kinds({ ...watched, mark: [{ ...mark, goneAt: DONE }] })).not.toContain('pockets gone?');
    expect(kinds({ mark: [mark], markDecision: [decision({ verdict: 'fix now' })] })).toContain('put right');
    expect(kinds({ mark: [mark] })).not.toContain('put right');
  });
  it('parts that were taken off go back when all is laid; a piece tried out and not judged', () => {
    const part = row<RowOf<'part'>>({ ...NEW_PART, id: 'T', surfaceId: 'S', takenOffAt: DONE });
    expect(kinds({ part: [part] })).toContain('put back');
    expect(kinds({ part: [{ ...part, putBackAt: DONE }] })).not.toContain('put back');
    expect(kinds({ part: [part], workRecord: [] })).not.toContain('put back');
    expect(
      kinds({ testPiece: [row({ id: 'T', outcome: 'not judged', surfaceId: null, madeAt: DONE })] }),
    ).toContain('test piece');
  });
});

describe('by which visits?', () => {
  const kept = (own: object) =>
    row<RowOf<'visit'>>({
      ...{ id: 'V', reasons: [], notBefore: null, due: null, plannedAt: null, people: [], state: 'open' },
      note: '',
      ...own,
    });
  const edges = { key: 'edges, second look A', kind: 'edges, second look', surfaceId: 'S' } as const;
  const reason = { ...edges, applicationId: 'A', markId: null };

  it('proposes the fewest trips; what a visit serves is not asked again', () => {
    expect(visitsOf(viewOf(), day(3), NO_SKY).proposed).toHaveLength(2);
    const own = visitsOf(viewOf({ visit: [kept({ reasons: [reason] })] }), day(3), NO_SKY);
    expect(own.proposed.flatMap(({ asks }) => asks.map(({ kind }) => kind))).toEqual(['first cleaning']);
    expect(own.kept[0]?.open).toEqual([reason]);
  });
  it('a second look and a first wash long past their days are not asked any more; sealant stays owed', () => {
    const siteFacts = [row<RowOf<'siteFacts'>>({ ...NO_SITE_FACTS, surfaceId: 'S', sealantToCut: 'yes' })];
    const kindsAt = (n: number) =>
      visitsOf(viewOf({ siteFacts }), day(n), NO_SKY).proposed.flatMap(({ asks }) =>
        asks.map(({ kind }) => kind),
      );
    expect(kindsAt(20)).toContain('edges, second look');
    expect(kindsAt(200)).toEqual(['sealant back']);
  });
  it('a visit whose reasons are settled has nothing open; one past its day is late', () => {
    const gone = kept({ reasons: [{ ...reason, key: 'pockets M' }], due: new Date(day(5)).toISOString() });
    expect(visitsOf(viewOf({ visit: [gone] }), day(6), NO_SKY).kept[0]).toMatchObject({
      open: [],
      isLate: true,
    });
    expect(visitsOf(viewOf({ visit: [gone] }), day(4), NO_SKY).kept[0]?.isLate).toBe(false);
  });
  it('done and not needed are past, and their reasons are not asked again', () => {
    const own = visitsOf(viewOf({ visit: [kept({ reasons: [reason], state: 'done' })] }), day(3), NO_SKY);
    expect(own.kept).toEqual([]);
    expect(own.past).toHaveLength(1);
    expect(own.proposed.flatMap(({ asks }) => asks.map(({ kind }) => kind))).toEqual(['first cleaning']);
  });
});
