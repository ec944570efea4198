import { describe, expect, it } from '@jest/globals';
import type { Op } from '@yellow-pane/contracts';
import { JOB_TABLES, NEW_SURFACE, type RowOf, fieldsOfRow } from '@yellow-pane/core/job';
import fc from 'fast-check';
import { againstVersions, inverseOf } from './inverse';
import { NO_TABLES, type Tables, rowIn, tablesOf, withOps, withRowsFrom, withServerRows } from './tables';

const meta = {
  jobId: 'J',
  version: 1,
  madeBy: 'Wren',
  madeAt: 't',
  changedBy: 'Wren',
  changedAt: 't',
  removed: false,
};
const surface = (id: string, tag: string, version = 1): RowOf<'surface'> => ({
  ...meta,
  ...NEW_SURFACE,
  version,
  id,
  placeId: 'P',
  tag,
  position: 1,
});
const noRows = Object.fromEntries(JOB_TABLES.map((table) => [table, []])) as unknown as Parameters<
  typeof tablesOf
>[0];
const tables = (...rows: readonly RowOf<'surface'>[]): Tables => tablesOf({ ...noRows, surface: rows });
const made = { jobId: 'J', who: 'Lark', at: 'now' };
const setTag = (id: string, tag: string): Op => ({
  op: 'set',
  table: 'surface',
  id,
  baseVersion: 1,
  fields: { tag },
});
const put = (id: string, tag: string): Op =>
  ({ op: 'put', table: 'surface', id, fields: fieldsOfRow(surface(id, tag)) }) as unknown as Op;
const remove = (id: string): Op => ({ op: 'remove', table: 'surface', id, baseVersion: 1 });
const tagsOf = (own: Tables): Readonly<Record<string, string | undefined>> =>
  Object.fromEntries(Object.entries(own.surface.entities).map(([id, row]) => [id, row?.tag]));

describe('rows as the server has them', () => {
  it('an older row never replaces a newer one, whatever order they come in', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray([1, 2, 3, 4, 5], { minLength: 5 }), (versions) => {
        const last = versions.reduce(
          (own, version) =>
            withServerRows(own, [{ table: 'surface', row: surface('S', `v${version}`, version) }]),
          NO_TABLES,
        );
        expect(tagsOf(last)).toEqual({ S: 'v5' });
      }),
    );
  });
  it('a removed row leaves; a table not named is untouched', () => {
    const before = tables(surface('S', 'SW1'), surface('T', 'SW2'));
    const after = withServerRows(before, [
      { table: 'surface', row: { ...surface('S', 'SW1', 2), removed: true } },
    ]);
    expect(tagsOf(after)).toEqual({ T: 'SW2' });
    expect(after.place).toBe(before.place);
  });
});

describe('what a person sees at once', () => {
  it('put, set and remove are shown before the server answers, with who and when', () => {
    const shown = withOps(
      tables(surface('S', 'SW1'), surface('T', 'SW2')),
      [put('U', 'SW3'), setTag('S', 'SW9'), remove('T')],
      made,
    );
    expect(tagsOf(shown)).toEqual({ S: 'SW9', U: 'SW3' });
    expect(rowIn(shown, 'surface', 'S')).toMatchObject({
      changedBy: 'Lark',
      changedAt: 'now',
      madeBy: 'Wren',
      version: 1,
    });
    expect(rowIn(shown, 'surface', 'U')).toMatchObject({
      madeBy: 'Lark',
      jobId: 'J',
      version: 1,
      removed: false,
    });
  });
  it('a change of a row that is not there changes nothing', () => {
    expect(withOps(NO_TABLES, [setTag('S', 'SW9')], made)).toEqual(NO_TABLES);
  });
  it('rows that some changes touch are taken from another state, and only those', () => {
    const server = tables(surface('S', 'SW1'), surface('T', 'SW2'));
    const shown = withOps(server, [setTag('S', 'A'), setTag('T', 'B'), put('U', 'C')], made);
    expect(tagsOf(withRowsFrom(shown, server, [setTag('S', 'A'), put('U', 'C')]))).toEqual({
      S: 'SW1',
      T: 'B',
    });
  });
});

describe('taking changes back', () => {
  const ops = fc
    .array(
      fc.oneof(
        fc.constantFrom('S', 'T').chain((id) => fc.string({ maxLength: 5 }).map((tag) => setTag(id, tag))),
        fc.constantFrom('U', 'V').map((id) => put(id, 'new')),
        fc.constant(remove('S')),
      ),
      { maxLength: 5 },
    )
    .filter(
      (list) =>
        new Set(list.map(({ op, id }) => `${op} ${id}`)).size === list.length &&
        !list.some(
          ({ op, id }, at) => op === 'remove' && list.slice(at + 1).some((later) => later.id === id),
        ),
    );
  it('any changes and then their inverse: every field as it was', () => {
    fc.assert(
      fc.property(ops, (list) => {
        const before = tables(surface('S', 'SW1'), surface('T', 'SW2'));
        /** Each op is taken back against the rows as they were before it. */
        const states = list.reduce<readonly Tables[]>(
          (all, op) => [...all, withOps(all.at(-1) ?? before, [op], made)],
          [before],
        );
        const back = [...list.entries()]
          .reverse()
          .reduce(
            (own, [at, op]) => withOps(own, inverseOf([op], states[at] ?? before), made),
            states.at(-1) ?? before,
          );
        expect(tagsOf(back)).toEqual(tagsOf(before));
        for (const id of ['S', 'T'])
          expect(fieldsOfRow(rowIn(back, 'surface', id) ?? {})).toEqual(
            fieldsOfRow(rowIn(before, 'surface', id) ?? {}),
          );
      }),
      { numRuns: 100 },
    );
  });
  it('children leave before their parents: the inverse runs backwards', () => {
    expect(inverseOf([put('U', 'a'), put('V', 'b')], NO_TABLES).map(({ id }) => id)).toEqual(['V', 'U']);
  });
  it('what is not in the job cannot be taken back', () => {
    expect(() => inverseOf([setTag('X', 'a')], NO_TABLES)).toThrow('surface X is not in this job');
  });
  it('sent against the versions the rows have now; a new row needs none', () => {
    expect(
      againstVersions([setTag('S', 'a'), remove('T'), put('U', 'c')], { S: 7 }).map((op) =>
        'baseVersion' in op ? op.baseVersion : undefined,
      ),
    ).toEqual([7, 1, undefined]);
  });
  it('only what a person filled in is kept of a row', () => {
    expect(fieldsOfRow(surface('S', 'SW1'))).toEqual({
      ...NEW_SURFACE,
      placeId: 'P',
      tag: 'SW1',
      position: 1,
    });
  });
});
