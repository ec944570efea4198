import { describe, expect, it } from '@jest/globals';
import { NEW_PLACE, NEW_SURFACE, NOT_TRIED, type RowOf } from '../job';
import { RULE_SETS } from '../judging';
import { type JobRows, jobRows } from './job-rows';
import { JobView } from './job-view';
import { marksJudged } from './marks';

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
function judged(
  marks: readonly RowOf<'mark'>[],
  { days = 1, isDone = true, rows = {} as Partial<JobRows> } = {},
) {
  const view = new JobView(
    jobRows({
      place: [row({ ...NEW_PLACE, id: 'P', kind: 'building', name: 'House', position: 1 })],
      surface: [row({ ...NEW_SURFACE, id: 'S', placeId: 'P', tag: 'W1', position: 1 })],
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
      workRecord: isDone
        ? [
            row({
              id: 'R',
              applicationId: 'A',
              template: 'flat-glass',
              step: 'handover',
              templateVersion: 1,
              doneAt: DONE,
              roundsAt: [],
            }),
          ]
        : [],
      mark: marks,
      ...rows,
    }),
  );
  const set = RULE_SETS.find(({ name }) => name === 'laminated glass kind');
  if (set === undefined) throw new Error('no rules');
  return marksJudged(view, 'S', set, Date.parse(DONE) + days * DAY_MS);
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
    expect(own?.verdict).toBe('go');
  });
  it('a water pocket is watched for thirty days after the last step, by custom; then it is judged', () => {
    const pocket = mark('a', { look: 'water pocket', size_nm: 10 * MM });
    expect(judged([pocket])?.marks[0]?.decision?.verdict).toBe('watch');
    expect(judged([pocket])?.driesUntil_ms).toBe(Date.parse(DONE) + 30 * DAY_MS);
    expect(judged([pocket], { days: 31 })?.marks[0]?.decision?.verdict).toBe('redo');
    expect(judged([pocket], { isDone: false })?.driesUntil_ms).toBeNull();
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
});
