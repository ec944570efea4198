import { describe, expect, it } from '@jest/globals';
import { MATERIAL_NOT_STATED, NEW_PANE, NEW_PLACE, NEW_SURFACE, NOT_TRIED, type RowOf } from '../../job';
import { RULE_SETS } from '../../judging';
import { type FilmOfShop, type JobRows, EMPTY_SHOP, jobRows } from '../view/job-rows';
import { JobView } from '../view/job-view';
import { checkedOf, verdictOfSurface } from './checked';
import { NO_SKY } from './film-dates';
import { markHash, marksJudged } from './marks';

const row = <Row>(fields: object): Row =>
  ({ jobId: 'J', version: 1, changedAt: '2026-12-01T10:00:00Z', changedBy: 'Wren', ...fields }) as Row;
const MM = 1_000_000;
const side = (from: string, to: string, mm: number) =>
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
const mark = (id: string, own: object) =>
  row<RowOf<'mark'>>({
    ...{ id, surfaceId: 'S', applicationId: 'A', step: null, look: 'speck', x_nm: 600 * MM, y_nm: 100 * MM },
    ...{
      size_nm: 5 * MM,
      length_nm: null,
      firstSeenAt: '2026-12-01T10:00:00Z',
      from: 'check',
      note: '',
      tests: NOT_TRIED,
      goneAt: null,
    },
    ...own,
  });
const DONE = '2026-11-01T12:00:00.000Z';
const DAY_MS = 86_400_000;
const SURFACE = row<RowOf<'surface'>>({
  ...{ ...NEW_SURFACE, id: 'S', placeId: 'P', tag: 'W1', position: 1 },
});
const GLAZED: Partial<JobRows> = {
  glassUnit: [row({ id: 'U', name: 'single', glazing: 'single', frame: 'wood', edge: 'gasket' })],
  glassPane: [row({ ...NEW_PANE, id: 'G', unitId: 'U', thickness_nm: 6 * MM, position: 1 })],
};
const FILM = row<FilmOfShop>({
  ...{ ...MATERIAL_NOT_STATED, id: 'F', family: 'solar', thickness_um: 50, construction: 'polyester' },
  ...{ solarT: 0.4, solarR: 0.1, visibleT: 0.5, visibleR: 0.1, emissivity: 0.84 },
});
const viewWith = (rows: Partial<JobRows>) =>
  new JobView(
    jobRows({
      place: [row({ ...NEW_PLACE, id: 'P', kind: 'building', name: 'House', position: 1 })],
      surface: [SURFACE],
      measure: [side('tl', 'tr', 1200), side('bl', 'br', 1200), side('tl', 'bl', 900), side('tr', 'br', 900)],
      application: [
        row({
          id: 'A',
          surfaceId: 'S',
          filmId: 'F',
          side: 'room',
          method: 'trim in place',
          schools: {},
          position: 1,
          over: null,
        }),
      ],
      workRecord: [
        row({
          id: 'R',
          applicationId: 'A',
          template: 'flat-glass',
          step: 'handover',
          templateVersion: 1,
          doneAt: DONE,
          roundsAt: [],
        }),
      ],
      ...rows,
    }),
    { ...EMPTY_SHOP, films: [FILM] },
  );

function judged(
  marks: readonly RowOf<'mark'>[],
  {
    days = 1,
    isDone = true,
    rows = {} as Partial<JobRows>,
    indoor = NO_SKY.indoor,
    by = 'laminated glass kind',
  } = {},
) {
  const view = viewWith({ ...(isDone ? {} : { workRecord: [] }), mark: marks, ...rows });
  const set = RULE_SETS.find(({ name }) => name === by);
  if (set === undefined) throw new Error('no rules');
  return marksJudged(view, 'S', {
    set,
    now_ms: Date.parse(DONE) + days * DAY_MS,
    sky: { ...NO_SKY, indoor },
  });
}

describe('what is to be done about the marks of a surface?', () => {
  it('each has its number, its place upwards from the lower left corner, and what decided', () => {
    const own = judged([mark('a', {})]);
    expect(own?.marks).toMatchObject([
      { number: 1, at: { x: 600, y: 800 }, decision: { verdict: 'redo', reason: { case: 'breaks a rule' } } },
    ]);
    expect(own?.verdict).toBe('stop');
  });
  it('what is gone is not judged, and what has no place waits for it', () => {
    const own = judged([mark('a', { goneAt: DONE }), mark('b', { x_nm: null, y_nm: null })]);
    expect(own?.marks.map(({ decision }) => decision)).toEqual([undefined, undefined]);
    expect(own?.verdict).toBe('unknown');
  });
  it('a water pocket is watched for thirty days after the last step, by custom; then it is judged', () => {
    const pocket = mark('a', { look: 'water pocket', size_nm: 10 * MM });
    expect(judged([pocket])?.marks[0]?.decision?.verdict).toBe('watch');
    expect(judged([pocket])?.drying).toMatchObject({
      until_ms: Date.parse(DONE) + 30 * DAY_MS,
      by: 'custom',
    });
    expect(judged([pocket], { days: 31 })?.marks[0]?.decision?.verdict).toBe('redo');
    expect(judged([pocket], { isDone: false })?.drying).toMatchObject({ until_ms: null, by: 'nothing laid' });
  });
  it('where vapour through this film was calculated, its upper date counts, and never may be', () => {
    const pocket = mark('a', { look: 'water pocket', size_nm: 10 * MM });
    const hall = { surface: [{ ...SURFACE, unitId: 'U', seenFrom: 'side A' as const }], ...GLAZED };
    const late = judged([pocket], { days: 50, rows: hall, indoor: { air_C: 20, humidity: 0.5 } });
    // 1.6 times the 33.5 days of the guidance for 50 µm in a room's usual air.
    expect(late?.drying).toMatchObject({ by: 'vapour' });
    expect(((late?.drying.until_ms ?? 0) - Date.parse(DONE)) / DAY_MS).toBeCloseTo(53.6, 1);
    expect(late?.marks[0]?.decision?.verdict).toBe('watch');
    expect(judged([pocket], { days: 50, rows: hall, indoor: { air_C: 20, humidity: 0.95 } })).toMatchObject({
      drying: { until_ms: null, by: 'not this season' },
      marks: [{ decision: { verdict: 'watch' } }],
    });
  });
  it('seen before anything was done here it belongs to the ground', () => {
    const of = (firstSeenAt: string) => judged([mark('a', { firstSeenAt })])?.marks[0]?.isBeforeLaying;
    expect(of('2026-10-31T10:00:00Z')).toBe(true);
    expect(of('2026-11-02T10:00:00Z')).toBe(false);
    expect(judged([mark('a', {})], { isDone: false })?.marks[0]?.isBeforeLaying).toBe(false);
  });
  it('no verdict from nothing: without marks it is unknown until the whole was looked at', () => {
    expect(judged([])?.verdict).toBe('unknown');
    expect(judged([])?.isWhole).toBe(false);
  });
  it('three questions tell water from air, and water out of order is pressed out', () => {
    const of = (tests: object, size = 8) =>
      judged([mark('a', { look: 'bubble', size_nm: size * MM, tests: { ...NOT_TRIED, ...tests } })])?.marks[0]
        ?.decision?.verdict;
    expect(of({ press: 'creeps away' })).toBe('watch');
    expect(of({ press: 'springs back' })).toBe('fix now');
    expect(of({ press: 'creeps away', warm: 'larger' })).toBe('measure it');
    expect(of({ press: 'creeps away', shape: 'joined to an edge' })).toBe('fix now');
    expect(of({ press: 'creeps away' }, 30)).toBe('fix now');
  });
  it('an eye that looked counts until the mark is another', () => {
    const small = { look: 'speck', size_nm: 2 * MM };
    const own = mark('a', small);
    const set = RULE_SETS[0] ?? { name: '', version: 0 };
    const looked = (of: RowOf<'mark'>) =>
      row<RowOf<'markDecision'>>({
        ...{ id: 'D', markId: 'a', inspectionId: null, verdict: 'accept', by: 'an eye', reason: '' },
        ...{ inputsHash: markHash(of, set), watchUntil: null, under: '' },
        said: { personId: null, who: 'Wren', at: DONE },
      });
    const of = (markDecision: readonly RowOf<'markDecision'>[]) =>
      judged([own], { rows: { markDecision }, by: set.name })?.marks[0]?.decision;
    expect(of([])?.verdict).toBe('measure it');
    expect(of([looked(own)])).toMatchObject({ verdict: 'accept', reason: { case: 'an eye' } });
    expect(of([looked(mark('a', { ...small, size_nm: 3 * MM }))])?.verdict).toBe('measure it');
  });
  it('a bubble and a scratch nobody has looked into ask what they are; in the glass it is a stop', () => {
    const of = (look: string) => judged([mark('a', { look })])?.marks[0]?.decision;
    expect(of('bubble')).toMatchObject({ verdict: 'measure it', reason: { what: 'what it is' } });
    expect(of('scratch')).toMatchObject({ verdict: 'measure it', reason: { what: 'what it is' } });
    expect(of('glass scratch')?.verdict).toBe('stop');
    expect(of('air bubble')?.verdict).toBe('fix now');
  });
  it('without measures there is no place for a mark', () => {
    expect(judged([], { rows: { measure: [] } })).toBeUndefined();
  });
  it('a job is as its worst surface; what nobody looked at is open, not good', () => {
    const of = (marks: readonly RowOf<'mark'>[]) => {
      const view = viewWith({ mark: marks });
      return [
        checkedOf(view, Date.parse(DONE), NO_SKY),
        verdictOfSurface(view, 'S', Date.parse(DONE), NO_SKY),
      ] as const;
    };
    expect(of([])).toEqual([{ surfaces: 1, good: 0, again: 0, open: 1, verdict: 'unknown' }, 'unknown']);
    expect(of([mark('a', { look: 'crack' })])[0]).toMatchObject({ again: 1, verdict: 'stop' });
  });
});
