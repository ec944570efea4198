import { describe, expect, it } from '@jest/globals';
import { NEW_SURFACE, NO_SITE_FACTS, type RowOf, type SeenFrom } from '../job';
import { JobView } from './job-view';
import { jobRows } from './job-rows';
import { workCaseOf } from './work';

const row = <Row>(fields: object): Row =>
  ({ jobId: 'J', version: 1, changedAt: '2026-11-30T10:00:00Z', changedBy: 'Wren', ...fields }) as Row;
const surface = row<RowOf<'surface'>>({ ...NEW_SURFACE, id: 'S', placeId: 'P', tag: 'SW1', unitId: 'U' });
const film = (side: SeenFrom) =>
  row<RowOf<'application'>>({ id: 'A', surfaceId: 'S', filmId: 'F', method: 'trim in place', side });
const pane = (position: number, coating: string, coatedSide: string) =>
  row<RowOf<'glassPane'>>({ id: `G${position}`, unitId: 'U', position, coating, coatedSide });

describe('what does Survey say about the work?', () => {
  const PANES = [pane(1, 'low-e, hard', 'outer'), pane(2, 'low-e, soft', 'outer')];
  it.each([
    ['outside', PANES, 'yes'],
    ['room', PANES, 'no'],
    ['room', [pane(1, 'none', 'unknown')], 'no'],
    ['room', [pane(1, 'low-e, hard', 'unknown')], 'unknown'],
    ['room', [pane(1, 'unknown', 'unknown')], 'unknown'],
    ['outside', [], 'unknown'],
  ] as const)('film on the %s: is its face coated?', (side, glassPane, known) => {
    const view = new JobView(jobRows({ surface: [surface], application: [film(side)], glassPane }));
    expect(workCaseOf(view, film(side)).isFaceCoated).toBe(known);
  });
  it('hardware that is back is not to be put back; an obstacle on the drawing counts', () => {
    const part = (id: string, kind: string, putBackAt: string | null) =>
      row<RowOf<'part'>>({ id, surfaceId: 'S', kind, putBackAt, position: 1 });
    const view = new JobView(
      jobRows({
        surface: [surface],
        application: [film('room')],
        part: [
          part('h1', 'hardware', null),
          part('h2', 'hardware', '2026-11-30T12:00:00Z'),
          part('o', 'obstacle', null),
        ],
        siteFacts: [
          row<RowOf<'siteFacts'>>({ ...NO_SITE_FACTS, id: 'X', surfaceId: 'S', sealantToCut: 'no' }),
        ],
      }),
    );
    expect(workCaseOf(view, film('room'))).toMatchObject({
      partsOff: 1,
      hasObstacles: true,
      straySealant: 'no',
    });
  });
});
