import { describe, expect, it } from '@jest/globals';
import { JOB_TABLES, NEW_SURFACE, REFERENCES } from '@yellow-pane/core/job';
import { demoOps } from '@yellow-pane/demo';
import { openJob } from '../testing/open-job';
import { JobDesk } from './job-desk';
import { JobReading } from './job-reading';
import { rowsIn } from './tables';

const surface = (id: string, tag: string) => ({
  op: 'put' as const,
  table: 'surface' as const,
  id,
  fields: { ...NEW_SURFACE, placeId: 'P', tag, name: '', position: id === 'S1' ? 1 : 2 },
});
const opened = () => openJob([surface('S2', 'SW2'), surface('S1', 'SW1')]);

describe('is what a person does seen, kept for sending and taken back?', () => {
  it('surfaces are read in their order, not in that of the rows', () => {
    expect(
      opened()
        .get(JobReading)
        .surfaces()
        .map(({ tag }) => tag),
    ).toEqual(['SW1', 'SW2']);
  });
  it('a renamed surface is seen at once; undo brings the old name, redo the new one, and each is a change of its own', () => {
    const job = opened();
    const [desk, reading] = [job.get(JobDesk), job.get(JobReading)];
    const tag = () => reading.surfaceById().get('S1')?.tag;
    desk.do('SW1 renamed', [desk.set('surface', 'S1', { tag: 'SW9' })]);
    expect([tag(), desk.canUndo(), desk.unsaved()]).toEqual(['SW9', 'SW1 renamed', 1]);
    desk.undo();
    expect([tag(), desk.canUndo(), desk.canRedo(), desk.unsaved()]).toEqual([
      'SW1',
      undefined,
      'SW1 renamed',
      2,
    ]);
    desk.redo();
    expect([tag(), desk.canRedo(), desk.unsaved()]).toEqual(['SW9', undefined, 3]);
  });
  it('undo after the server took it goes against the version the server has now', () => {
    const job = opened();
    const desk = job.get(JobDesk);
    desk.do('SW1 renamed', [desk.set('surface', 'S1', { tag: 'SW9' })]);
    job.serverTakesAll();
    expect([desk.unsaved(), desk.state().server.surface.entities['S1']?.version]).toEqual([0, 2]);
    desk.undo();
    expect(desk.state().pending[0]?.change.ops).toEqual([
      { op: 'set', table: 'surface', id: 'S1', baseVersion: 2, fields: { tag: 'SW1' } },
    ]);
  });
  it('two things done at once are undone at once, the last first', () => {
    const job = opened();
    const [desk, reading] = [job.get(JobDesk), job.get(JobReading)];
    desk.do('a place with a surface', [
      desk.put('surface', { ...NEW_SURFACE, placeId: 'P', tag: 'NEW', name: '', position: 3 }, 'S3'),
      desk.remove('surface', 'S1'),
    ]);
    expect(reading.surfaces().map(({ tag }) => tag)).toEqual(['SW2', 'NEW']);
    desk.undo();
    expect(reading.surfaces().map(({ tag }) => tag)).toEqual(['SW1', 'SW2']);
  });
  it('a surface of the demo that is deleted takes all that hangs on it in one change, children first; undone, all rows are as they were', () => {
    const job = openJob(demoOps());
    const [desk, reading] = [job.get(JobDesk), job.get(JobReading)];
    const [sw1] = reading.surfaces().filter(({ tag }) => tag === 'SW1');
    const own = reading.measuresOf(sw1?.id ?? '').length + reading.applicationsOf(sw1?.id ?? '').length;
    const before = JOB_TABLES.map((table) => [...desk.view()[table].ids].sort());
    desk.do('SW1 deleted', [desk.remove('surface', sw1?.id ?? '')]);
    const [{ change } = { change: { ops: [] } }] = desk.state().pending;
    expect(change.ops.length).toBeGreaterThan(own);
    expect(change.ops.at(-1)).toMatchObject({ op: 'remove', table: 'surface' });
    for (const { table, field, to, whenGone } of REFERENCES)
      for (const row of rowsIn(desk.view(), table)) {
        const id = (row as unknown as Readonly<Record<string, string | null>>)[field];
        expect([
          table,
          field,
          id == null || whenGone === 'cleared' || desk.view()[to].entities[id] !== undefined,
        ]).toEqual([table, field, true]);
      }
    desk.undo();
    expect(JOB_TABLES.map((table) => [...desk.view()[table].ids].sort())).toEqual(before);
    expect(desk.canUndo()).toBeUndefined();
  });
  it('nothing to do is no change', () => {
    const desk = opened().get(JobDesk);
    desk.do('nothing', []);
    expect([desk.unsaved(), desk.canUndo()]).toEqual([0, undefined]);
  });
});

describe('what if two people changed the same field?', () => {
  const conflicting = () => {
    const job = opened();
    const desk = job.get(JobDesk);
    desk.do('SW1 renamed', [desk.set('surface', 'S1', { tag: 'mine' })]);
    const [pending] = desk.state().pending;
    if (pending === undefined) throw new Error('nothing waits');
    job.serverTakesAll();
    return {
      job,
      desk,
      conflict: {
        pending,
        conflicts: [
          {
            table: 'surface' as const,
            id: 'S1',
            field: 'tag',
            yours: 'mine',
            theirs: 'theirs',
            who: 'Ash',
            at: '2026-11-24T10:00:00Z',
            version: 7,
          },
        ],
      } as unknown as Parameters<JobDesk['decide']>[0],
    };
  };
  it('mine is sent again, against their version', () => {
    const { desk, conflict } = conflicting();
    desk.decide(conflict, 'mine');
    expect(desk.state().pending.at(-1)?.change.ops).toEqual([
      { op: 'set', table: 'surface', id: 'S1', baseVersion: 7, fields: { tag: 'mine' } },
    ]);
  });
  it('theirs stays, and nothing more is sent', () => {
    const { desk, conflict } = conflicting();
    const waiting = desk.unsaved();
    desk.decide(conflict, 'theirs');
    expect(desk.unsaved()).toBe(waiting);
  });
});
