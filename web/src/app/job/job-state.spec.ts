import { describe, expect, it } from '@jest/globals';
import { ROW_FIELDS, type AcceptedChange, type Op, problem } from '@yellow-pane/contracts';
import { JOB_TABLES, NEW_SURFACE, type RowOf, fieldsOfRow } from '@yellow-pane/core/job';
import {
  CLOSED,
  type OpenJob,
  type PendingChange,
  accepted,
  adopted,
  did,
  full,
  opened,
  opening,
  opsToTakeBack,
  refused,
  takenUp,
  trying,
} from './job-state';
import { JobActions, jobFeature } from './job.feature';

const meta = {
  jobId: 'J',
  version: 1,
  madeBy: 'Wren',
  madeAt: 't',
  changedBy: 'Wren',
  changedAt: 't',
  removed: false,
};
const surfaceRow: RowOf<'surface'> = {
  ...meta,
  ...NEW_SURFACE,
  id: 'S',
  placeId: 'P',
  tag: 'SW1',
  name: 'left',
  position: 1,
};
const noRows = Object.fromEntries(JOB_TABLES.map((table) => [table, []])) as unknown as Parameters<
  typeof opened
>[1]['rows'];

const open = (): OpenJob =>
  opened(
    opening('J'),
    { seq: 5, rows: { ...noRows, surface: [surfaceRow] } },
    { pending: [], conflicts: [] },
  );
let n = 0;
const making = (ops: readonly Op[], from: PendingChange['from'] = 'person'): PendingChange => ({
  change: { id: `C${(n += 1)}`, session: 'X', who: 'Wren', ops },
  label: 'thing',
  at: 't2',
  from,
});
const setTag = (tag: string): Op => ({
  op: 'set',
  table: 'surface',
  id: 'S',
  baseVersion: 1,
  fields: { tag },
});
const tagOf = (state: OpenJob): string | undefined => state.view.surface.entities['S']?.tag;
const answer = (changeId: string, fields: Partial<RowOf<'surface'>>, seq = 6): AcceptedChange => ({
  seq,
  changeId,
  session: 'X',
  who: 'Wren',
  at: 't',
  rows: [{ table: 'surface', row: { ...surfaceRow, version: 2, ...fields } }],
});

describe('is a change seen at once and settled later?', () => {
  it('it shows before the server answers, and waits', () => {
    const state = did(open(), making([setTag('SW9')]));
    expect([tagOf(state), state.server.surface.entities['S']?.tag, state.pending.length]).toEqual([
      'SW9',
      'SW1',
      1,
    ]);
  });

  it('taken, it waits no more and the server has it', () => {
    const made = making([setTag('SW9')]);
    const state = accepted(did(open(), made), answer(made.change.id, { tag: 'SW9' }));
    expect([
      tagOf(state),
      state.server.surface.entities['S']?.version,
      state.pending.length,
      state.seq,
    ]).toEqual(['SW9', 2, 0, 6]);
  });

  it('refused, it is taken off the screen again, and set aside with what is wrong: nothing typed is dropped', () => {
    const made = making([setTag('SW9')]);
    const state = refused(
      did(open(), made),
      made.change.id,
      problem('BODY_INVALID', { path: 'tag', expected: 'less', got: 'more' }),
    );
    expect([tagOf(state), state.pending.length, state.undo.length]).toEqual(['SW1', 0, 0]);
    expect(state.aside).toMatchObject([
      {
        pending: { change: { id: made.change.id } },
        says: expect.stringContaining('tag: expected less, got more'),
      },
    ]);
  });

  it('a fault of the server sets that change aside with its sentence; what waits behind it goes on; sent again it is seen again, dropped it is gone', () => {
    const [first, second] = [
      making([setTag('SW9')]),
      making([{ op: 'set', table: 'surface', id: 'S', baseVersion: 1, fields: { name: 'right' } }]),
    ];
    const state = refused(
      did(did(open(), first), second),
      first.change.id,
      problem('SERVER_FAULT', { path: 'server', expected: 'an answer', got: 'a fault' }),
    );
    expect(state.pending.map(({ change }) => change.id)).toEqual([second.change.id]);
    expect(state.aside.map(({ pending, says }) => [pending.change.id, says])).toEqual([
      [first.change.id, expect.stringContaining('The server ran into an error')],
    ]);
    expect(state.view.surface.entities['S']).toMatchObject({ tag: 'SW1', name: 'right' });
    expect(state.isServerHere).toBe(true);
    const again = takenUp(state, first.change.id, false);
    expect([tagOf(again), again.aside.length, again.pending.at(-1)?.change.id]).toEqual([
      'SW9',
      0,
      first.change.id,
    ]);
    expect([
      tagOf(takenUp(state, first.change.id, true)),
      takenUp(state, first.change.id, true).pending.length,
    ]).toEqual(['SW1', 1]);
  });

  it('a change that needs a row which was set aside is set aside with it, not lost', () => {
    const [put, needs] = [
      making([
        {
          op: 'put',
          table: 'surface',
          id: 'T',
          fields: { ...NEW_SURFACE, placeId: 'P', tag: 'T', name: '', position: 2 },
        },
      ]),
      making([{ op: 'set', table: 'surface', id: 'T', baseVersion: 1, fields: { tag: 'U' } }]),
    ];
    const once = refused(
      did(did(open(), put), needs),
      put.change.id,
      problem('SERVER_FAULT', { path: 'server', expected: 'an answer', got: 'a fault' }),
    );
    expect(
      refused(
        once,
        needs.change.id,
        problem('ROW_UNKNOWN', { path: 'ops.0.id', expected: 'a row', got: 'T' }),
      ).aside,
    ).toHaveLength(2);
  });

  it('what somebody deleted meanwhile is told by who did it, without identifiers, and what was typed stays', () => {
    const change = making([setTag('SW9')]);
    const id = '0199b9a6-0007-7000-8000-000000000001';
    const gone = problem(
      'ROW_REMOVED',
      { path: 'surface.id', expected: 'a row that is there', got: id },
      { who: 'Finch' },
    );
    const [own] = refused(did(open(), change), change.change.id, gone).aside;
    expect(own?.says).toMatch(/^Finch deleted it in the meantime/);
    expect(own?.says).not.toContain(id);
    expect(own?.pending.change.ops).toEqual([setTag('SW9')]);
  });
  it('no room on the disk: nothing is set aside, all waits in its order, the sentence stays until there is room', () => {
    const [first, second] = [
      making([setTag('SW8')]),
      making([{ op: 'set', table: 'surface', id: 'S', baseVersion: 1, fields: { name: 'right' } }]),
    ];
    const state = full(
      did(did(open(), first), second),
      problem('DISK_FULL', { path: 'disk', expected: 'free space', got: 'none' }),
    );
    expect(state.pending.map(({ change }) => change.id)).toEqual([first.change.id, second.change.id]);
    expect([state.diskFull, state.aside.length, tagOf(state)]).toEqual([
      expect.stringContaining('The disk is full'),
      0,
      'SW8',
    ]);
    expect(jobFeature.reducer(state, JobActions.serverHere()).diskFull).toBeNull();
  });

  it("another's change to another field shows beside mine that still waits", () => {
    const state = accepted(did(open(), making([setTag('SW9')])), answer('OTHER', { name: 'right' }));
    expect(state.view.surface.entities['S']).toMatchObject({ tag: 'SW9', name: 'right' });
  });

  it('an older answer that comes late changes nothing', () => {
    const newer = accepted(open(), answer('A', { tag: 'new', version: 4 }));
    expect(tagOf(accepted(newer, answer('B', { tag: 'old', version: 3 })))).toBe('new');
  });

  it('a conflict is kept with both values until someone chooses', () => {
    const made = making([setTag('SW9')]);
    const conflict = {
      table: 'surface',
      id: 'S',
      field: 'tag',
      yours: 'SW9',
      theirs: 'SW8',
      who: 'Finch',
      at: 't',
      version: 2,
    } as const;
    const state = refused(
      did(open(), made),
      made.change.id,
      problem(
        'ROW_CONFLICT',
        { path: 'surface.tag', expected: 'SW8', got: 'SW9' },
        { conflicts: [conflict] },
      ),
    );
    expect(state.conflicts).toEqual([{ pending: made, conflicts: [conflict] }]);
    expect(tagOf(state)).toBe('SW1');
  });

  it('what waited in the browser is on top again after a reload', () => {
    const waiting = making([setTag('SW9')]);
    const state = opened(
      opening('J'),
      { seq: 5, rows: { ...noRows, surface: [surfaceRow] } },
      { pending: [waiting], conflicts: [] },
    );
    expect([tagOf(state), state.pending]).toEqual(['SW9', [waiting]]);
  });
});

describe('is one asked once about a field, and only about what others did?', () => {
  it('a hundred changes to one field before the first is sent are one change with the last of them; each is undone by itself', () => {
    let state = open();
    for (let step = 1; step <= 100; step += 1) state = did(state, making([setTag(`SW${step}`)]));
    expect([state.pending.length, state.undo.length, tagOf(state)]).toEqual([1, 100, 'SW100']);
    expect(state.pending[0]?.change.ops).toEqual([setTag('SW100')]);
  });
  it('a change that was tried stands as it is: what comes after is one of its own', () => {
    const first = making([setTag('SW2')]);
    const state = did(trying(did(open(), first), first.change.id), making([setTag('SW3')]));
    expect(state.pending.map(({ change }) => change.ops)).toEqual([[setTag('SW2')], [setTag('SW3')]]);
  });
  it('not past another change of the same row: its order stays', () => {
    const name: Op = {
      op: 'set',
      table: 'surface',
      id: 'S',
      baseVersion: 1,
      fields: { name: 'x', tag: 'SW5' },
    };
    const state = did(did(did(open(), making([setTag('SW2')])), making([name])), making([setTag('SW3')]));
    expect(state.pending).toHaveLength(3);
    expect(tagOf(state)).toBe('SW3');
  });
  it('what waited in a tab that is gone comes in the order it was made, once', () => {
    const [early, late] = [making([setTag('early')]), making([setTag('late')])];
    const state = adopted(did(open(), late), { pending: [early, late], conflicts: [] });
    expect(state.pending).toEqual([early, late]);
    expect(tagOf(state)).toBe('late');
  });
  it('theirs is seen while one is asked, and stays when it is kept', () => {
    const mine = making([setTag('mine')]);
    const current = [{ table: 'surface' as const, row: { ...surfaceRow, version: 2, tag: 'theirs' } }];
    const state = refused(
      did(open(), mine),
      mine.change.id,
      problem(
        'ROW_CONFLICT',
        { path: 'surface.tag', expected: 'theirs', got: 'mine' },
        {
          conflicts: [
            {
              table: 'surface',
              id: 'S',
              field: 'tag',
              yours: 'mine',
              theirs: 'theirs',
              who: 'Finch',
              at: 't',
              version: 2,
            },
          ],
          current,
        },
      ),
    );
    expect([tagOf(state), state.conflicts.length]).toEqual(['theirs', 1]);
  });
});

describe('is everything undone as it was done?', () => {
  it('set, put and remove each come back', () => {
    let state = did(open(), making([setTag('SW9')]));
    state = did(state, making([{ op: 'remove', table: 'surface', id: 'S', baseVersion: 1 }]));
    expect(tagOf(state)).toBeUndefined();
    for (const expected of ['SW9', 'SW1']) {
      const entry = state.undo.at(-1);
      state = did(state, making(entry === undefined ? [] : opsToTakeBack(entry), 'undo'));
      expect(tagOf(state)).toBe(expected);
    }
    expect([state.undo.length, state.redo.length]).toEqual([0, 2]);
    const again = state.redo.at(-1);
    state = did(state, making(again === undefined ? [] : opsToTakeBack(again), 'redo'));
    expect([tagOf(state), state.undo.length, state.redo.length]).toEqual(['SW9', 1, 1]);
  });

  it("undo is sent against the version right after my change, so that another's later change is not overwritten", () => {
    const made = making([setTag('SW9')]);
    const state = accepted(did(open(), made), answer(made.change.id, { tag: 'SW9', version: 7 }));
    const entry = state.undo[0];
    expect(entry === undefined ? [] : opsToTakeBack(entry)).toEqual([
      { op: 'set', table: 'surface', id: 'S', baseVersion: 7, fields: { tag: 'SW1' } },
    ]);
  });

  it('what another had added to what I deleted goes with it and is said; my undo brings both back', () => {
    const made = making([{ op: 'remove', table: 'surface', id: 'S', baseVersion: 1 }]);
    const measure = {
      ...meta,
      id: 'M',
      surfaceId: 'S',
      madeBy: 'Finch',
      kind: 'distance' as const,
      fromPoint: 'tl',
      toPoint: 'tr',
      value_nm: 9e8,
      text: '900',
      unit: 'mm' as const,
      instrument: 'tape' as const,
      sd_nm: null,
    };
    const state = accepted(did(open(), made), {
      seq: 6,
      changeId: made.change.id,
      session: 'X',
      who: 'Wren',
      at: 't',
      rows: [
        { table: 'surface', row: { ...surfaceRow, version: 2, removed: true } },
        { table: 'measure', row: { ...measure, version: 2, removed: true } },
      ],
    });
    expect(state.notice).toContain('something that Finch had added');
    const [last] = state.undo;
    if (last === undefined) throw new Error('nothing to undo');
    expect(opsToTakeBack(last).map(({ op, table, id }) => [op, table, id])).toEqual([
      ['put', 'surface', 'S'],
      ['put', 'measure', 'M'],
    ]);
  });
  it('a new thing done forgets what could be redone; 500 steps are kept', () => {
    let state = open();
    for (let step = 0; step < 520; step += 1) state = did(state, making([setTag(String(step))]));
    expect(state.undo.length).toBe(500);
    expect(CLOSED.undo).toEqual([]);
  });
});

describe('is what is left of a row, without what the program keeps about it, what the contracts have?', () => {
  it.each(JOB_TABLES)('%s', (table) => {
    const fields = Object.fromEntries(Object.keys(ROW_FIELDS[table].shape).map((key) => [key, key]));
    expect(fieldsOfRow({ ...fields, ...meta, id: 'I' })).toEqual(fields);
  });
});
