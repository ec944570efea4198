import { describe, expect, it } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { brotliDecompressSync } from 'node:zlib';
import { sql } from 'drizzle-orm';
import { migrationsUpTo } from '../testing/migrations-up-to';
import { openDatabase } from './database';

const migrationsFolder = fileURLToPath(new URL('../../migrations', import.meta.url));
/** Folders kept by `scripts/keep-data-folder.ts` when their version was today's. */
const VERSIONS = ['0.5.0'];
const keptBy = (version: string): Blob =>
  new Blob([
    brotliDecompressSync(
      readFileSync(fileURLToPath(new URL(`../testing/fixtures/data-${version}.tar.br`, import.meta.url))),
    ),
  ]);
const ROWS_0_5_0: Readonly<Record<string, number>> = {
  application: 4,
  change: 4,
  crew_member: 3,
  cut_piece: 5,
  cut_plan: 2,
  cut_roll: 3,
  day_settings: 1,
  film: 15,
  film_brief: 1,
  film_width: 1,
  glass_pane: 1,
  glass_unit: 1,
  history: 1,
  job: 2,
  job_allowance: 1,
  learned: 1,
  measure: 1,
  offcut: 1,
  part: 1,
  photo: 1,
  photo_file: 1,
  place: 1,
  planned_step: 1,
  roll: 3,
  seam_choice: 1,
  site_facts: 1,
  stock_take: 1,
  supply: 1,
  surface: 1,
  wall_facts: 1,
  work_record: 1,
};

describe('does this version open the data of earlier ones?', () => {
  it.each(VERSIONS)('a folder of %s opens, and every table still has its rows', async (version) => {
    const { db, close } = await openDatabase({ migrationsFolder, template: keptBy(version) });
    const counts = await Promise.all(
      Object.keys(ROWS_0_5_0).map(
        async (table) =>
          [
            table,
            Number((await db.execute(sql.raw(`select count(*) as n from "${table}"`))).rows[0]?.['n']),
          ] as const,
      ),
    );
    for (const [table, count] of counts)
      expect({ table, isEnough: count >= (ROWS_0_5_0[table] ?? 0) }).toEqual({ table, isEnough: true });
    expect((await db.execute(sql.raw(`select note from work_record where note = 'kept'`))).rows).toHaveLength(
      1,
    );
    const crew = await db.execute(
      sql.raw(
        `select m.name, p.name as person, p.skills from crew_member m join person p on p.id = m.person_id order by m.position`,
      ),
    );
    expect(crew.rows).toEqual([
      { name: 'Wren', person: 'Wren', skills: ['film', 'heat'] },
      { name: 'Linnet', person: 'Linnet', skills: ['film', 'heat'] },
      { name: 'Siskin', person: 'Siskin', skills: [] },
    ]);
    const unsigned = await db.execute(
      sql.raw(
        `select count(*)::int as n from change c left join person p on p.id = c.person_id where p.name is distinct from c.who`,
      ),
    );
    expect(unsigned.rows).toEqual([{ n: 0 }]);
    const laid = await db.execute(
      sql.raw(`select tag, x_nm, outline from cut_piece where tag in ('SW1', 'C1') and pinned order by tag`),
    );
    /**
     * Bottom 800, left 800, right 1400, seen from the room: liner up, from the free end of a roll 1524 wide,
     * the long side lies right; the column's rectangle stays.
     */
    expect(laid.rows.map(({ tag, x_nm, outline }) => ({ tag, x_nm: Number(x_nm), outline }))).toEqual([
      { tag: 'C1', x_nm: 0, outline: null },
      {
        tag: 'SW1',
        x_nm: 624_000_000,
        outline: [
          { x: 0, y: 1400 },
          { x: 800, y: 1400 },
          { x: 800, y: 0 },
          { x: 0, y: 600 },
        ],
      },
    ]);
    await close();
  });

  it('schools as they were chosen, and ticks by the key of their step, outlive the columns they stood in', async () => {
    const earlier = await openDatabase({
      migrationsFolder: migrationsUpTo(migrationsFolder, '0021_film_sheet'),
      template: keptBy('0.5.0'),
    });
    const run = (text: string): Promise<unknown> => earlier.db.execute(sql.raw(text));
    await run(
      `update application set liner_school = 'halves on the glass', lock_school = 'T', trim_school = 'after squeezing out'
       where lock_school <> 'X'`,
    );
    await run(`update work_record set step = 'liner-halves' where note = 'kept'`);
    await run(`update planned_step set steps = '["clean", "liner-halves"]'`);
    await run(`update day_settings set shrink = 'one sweep'`);
    const dump = await earlier.dump();
    await earlier.close();
    const { db, close } = await openDatabase({ migrationsFolder, template: dump });
    const all = async (text: string): Promise<readonly unknown[]> => (await db.execute(sql.raw(text))).rows;
    expect(await all(`select distinct schools from application order by schools`)).toEqual([
      { schools: { lock: 'X', liner: 'hang and pull' } },
      { schools: { trim: 'after squeezing out', liner: 'top part first' } },
    ]);
    expect(await all(`select step from work_record where note = 'kept'`)).toEqual([
      { step: 'liner-top-first' },
    ]);
    expect(await all(`select steps from planned_step`)).toEqual([{ steps: ['clean', 'liner-top-first'] }]);
    expect(await all(`select schools from day_settings`)).toEqual([{ schools: { shrink: 'one sweep' } }]);
    await close();
  });

  it('a wait ended by hand is a row of its own; rounds counted so far are rounds done nobody knows when', async () => {
    const earlier = await openDatabase({
      migrationsFolder: migrationsUpTo(migrationsFolder, '0024_rounds'),
      template: keptBy('0.5.0'),
    });
    const run = (text: string): Promise<unknown> => earlier.db.execute(sql.raw(text));
    await run(`update work_record set round = 3 where note = 'kept'`);
    await run(
      `insert into work_record select gen_random_uuid(), job_id, 1, 'Robin', made_at, 'Robin', changed_at, false, application_id, 'wait', 'wait:prime', 1, null, '2026-11-29T13:00:00Z', '', 0
       from work_record where note = 'kept'`,
    );
    const dump = await earlier.dump();
    await earlier.close();
    const { db, close } = await openDatabase({ migrationsFolder, template: dump });
    const all = async (text: string): Promise<readonly unknown[]> => (await db.execute(sql.raw(text))).rows;
    expect(await all(`select rounds_at from work_record where note = 'kept'`)).toEqual([
      { rounds_at: [null, null, null] },
    ]);
    expect(await all(`select step, how, made_by from wait_end`)).toEqual([
      { step: 'prime', how: 'by hand', made_by: 'Robin' },
    ]);
    expect(await all(`select 1 from work_record where step like 'wait:%'`)).toEqual([]);
    await close();
  });

  it('what outlived what it hangs on is mended on the way: gone with its surface, back with its place; booked film stays booked', async () => {
    const earlier = await openDatabase({
      migrationsFolder: migrationsUpTo(migrationsFolder, '0011_handedness'),
      template: keptBy('0.5.0'),
    });
    const run = (text: string): Promise<unknown> => earlier.db.execute(sql.raw(text));
    await run(
      `update place set removed = true where id in (select place_id from surface where tag = 'SW1' and not removed)`,
    );
    await run(`update surface set removed = true where tag = 'SW2'`);
    await run(`update surface set same_as_id = id where tag = 'SW3'`);
    const takes = (
      await earlier.db.execute(sql.raw('select count(*) as n from stock_take where not removed'))
    ).rows;
    const dump = await earlier.dump();
    await earlier.close();
    const { db, close } = await openDatabase({ migrationsFolder, template: dump });
    const count = async (text: string): Promise<number> =>
      Number((await db.execute(sql.raw(`select count(*) as n from ${text}`))).rows[0]?.['n']);
    expect(
      await count(`measure m join surface s on s.id = m.surface_id where s.removed and not m.removed`),
    ).toBe(0);
    expect(
      await count(`measure m join surface s on s.id = m.surface_id where s.tag = 'SW2' and m.removed`),
    ).toBeGreaterThan(0);
    expect(await count(`surface s join place p on p.id = s.place_id where p.removed and not s.removed`)).toBe(
      0,
    );
    expect(await count(`surface where same_as_id = id`)).toBe(0);
    expect(
      (await db.execute(sql.raw('select count(*) as n from stock_take where not removed'))).rows,
    ).toEqual(takes);
    await close();
  });
});
