import { describe, expect, it } from '@jest/globals';
import { NEW_SURFACE, type RowOf } from '../../job';
import { JobView } from '../view/job-view';
import { jobRows } from '../view/job-rows';
import { rowLineOf } from './row-line';

const row = <Row>(fields: object): Row =>
  ({ jobId: 'J', version: 1, changedAt: '2026-11-30T10:00:00Z', changedBy: 'Wren', ...fields }) as Row;
const MM = 1_000_000;
let next = 0;
const measure = (surfaceId: string, kind: string, fromPoint: string, toPoint: string, mm: number) =>
  row<RowOf<'measure'>>({
    id: `m${(next += 1)}`,
    surfaceId,
    kind,
    fromPoint,
    toPoint,
    text: String(mm),
    unit: 'mm',
    value_nm: mm * MM,
    instrument: 'tape',
    sd_nm: null,
  });
/** A pane of 1000 by 1000 that leans as a whole: its top falls by so much to the right. */
const pane = (tag: string, fall_mm: number | null) => ({
  surface: row<RowOf<'surface'>>({
    ...NEW_SURFACE,
    id: tag,
    placeId: 'P',
    tag,
    position: Number(tag.slice(1)),
    atX_nm: Number(tag.slice(1)) * 1200 * MM,
  }),
  application: row<RowOf<'application'>>({
    id: `A${tag}`,
    surfaceId: tag,
    filmId: 'F',
    method: 'dry-fitted',
    side: 'room',
    schools: {},
  }),
  measures: [
    ...[
      ['tl', 'tr'],
      ['tr', 'br'],
      ['br', 'bl'],
      ['bl', 'tl'],
    ].map(([from = '', to = '']) => measure(tag, 'distance', from, to, 1000)),
    measure(tag, 'distance', 'tl', 'br', 1414.2),
    measure(tag, 'distance', 'tr', 'bl', 1414.2),
    ...(fall_mm === null ? [] : [measure(tag, 'level', 'tl', 'tr', fall_mm)]),
  ],
});
const lineOf = (...falls: readonly (number | null)[]) => {
  const panes = falls.map((fall, index) => pane(`W${index + 1}`, fall));
  const view = new JobView(
    jobRows({
      surface: panes.map(({ surface }) => surface),
      application: panes.map(({ application }) => application),
      measure: panes.flatMap(({ measures }) => measures),
    }),
  );
  const [first] = panes;
  return first === undefined ? undefined : rowLineOf(view, first.application);
};

describe('level or frame over a row of panes?', () => {
  it('by level each pane shows a wedge of its own fall; by frame the line bends by the difference', () => {
    const line = lineOf(4, -4, -4);
    expect(line?.panes.map(({ fall_mm }) => Math.round(fall_mm ?? Number.NaN))).toEqual([4, -4, -4]);
    expect(line?.panes.map(({ wedge_mm }) => Math.round(wedge_mm ?? 0))).toEqual([4, 4, 4]);
    expect(line?.panes.map(({ bend_mm }) => (bend_mm === null ? null : Math.round(bend_mm)))).toEqual([
      8,
      0,
      null,
    ]);
    expect(line?.shows).toBe('true level');
  });
  it('frames that all lean alike: the frame shows less; a row without fall: either', () => {
    expect(lineOf(6, 6, 6)?.shows).toBe('the frame');
    expect(lineOf(0, 0)?.shows).toBe('either');
  });
  it('where nobody read a level it is unknown, and says on which pane to read one', () => {
    expect(lineOf(3, null)).toMatchObject({ toRead: ['W2'], shows: null, widestWedge_mm: null });
  });
  it('one pane is no row', () => {
    expect(lineOf(3)).toBeUndefined();
  });
});
