import { appendFileSync, mkdtempSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import { sql } from 'drizzle-orm';
import { v7 as newId } from 'uuid';
import { type Database, countsOf, openDatabase } from '../db/database';
import { applyChange } from '../features/changes/apply-change';
import { migrationsWith } from '../testing/migrations-up-to';
import { emptyDatabase, migrationsFolder } from '../testing/template';
import { smallJob } from '../testing/test-app';
import { Backups } from './backups';
import { restoreBackup } from './restore';

const place = (): string => mkdtempSync(join(tmpdir(), 'yellow-pane-backup-'));
const AT = new Date('2026-11-29T14:00:00.000Z');
const send = async (db: Database): Promise<void> => {
  const job = smallJob();
  await applyChange(db, job.jobId, { id: newId(), session: newId(), who: 'Wren', ops: [...job.ops] }, AT);
};
/** Every row of every table, as text. */
const ROUNDS = Number(process.env['BACKUP_ROUNDS'] ?? 1);

async function rowsOf(db: Database): Promise<Readonly<Record<string, readonly string[]>>> {
  const found: Record<string, readonly string[]> = {};
  for (const table of Object.keys(await countsOf(db)))
    found[table] = (
      await db.execute<{ row: string }>(
        sql`select to_jsonb(t)::text as row from ${sql.identifier(table)} t order by 1`,
      )
    ).rows.map(({ row }) => row);
  return found;
}

describe('is everything in a backup, though work goes on?', () => {
  it.each(Array.from({ length: ROUNDS }, (_, round) => round + 1))(
    'time %i: restored it holds whole changes alone: all that were done before, each with all its rows, row by row the same',
    async () => {
      const folder = place();
      const database = await openDatabase({ migrationsFolder, template: await emptyDatabase() });
      for (let n = 0; n < 5; n += 1) await send(database.db);
      const before = await rowsOf(database.db);
      const backups = new Backups(database, { folder, most: 7 }, () => AT);
      const writing = (async () => {
        for (let n = 0; n < 20; n += 1) await send(database.db);
      })();
      const { name } = await backups.make();
      await writing;
      const after = await rowsOf(database.db);
      await database.close();
      const target = join(place(), 'db');
      expect(await restoreBackup(join(folder, name), target, migrationsFolder, AT)).toBeUndefined();
      const restored = await openDatabase({ folder: target, migrationsFolder });
      const rows = await rowsOf(restored.db);
      const broken = await restored.db.execute(
        sql`select c.seq from change c left join history h on h.seq = c.seq group by c.seq having count(h.*) <> 4`,
      );
      await restored.close();
      expect(broken.rows).toEqual([]);
      for (const [table, own] of Object.entries(rows)) {
        expect(own).toEqual(expect.arrayContaining([...(before[table] ?? [])]));
        expect(after[table]).toEqual(expect.arrayContaining([...own]));
      }
    },
  );
  it('what was there before is kept beside it', async () => {
    const folder = place();
    const target = join(place(), 'db');
    const first = await openDatabase({ folder: target, migrationsFolder, template: await emptyDatabase() });
    await send(first.db);
    const { name } = await new Backups(first, { folder, most: 7 }, () => AT).make();
    await send(first.db);
    await first.close();
    const kept = await restoreBackup(join(folder, name), target, migrationsFolder, AT);
    const [now, before] = [
      await openDatabase({ folder: target, migrationsFolder }),
      await openDatabase({ folder: kept ?? '', migrationsFolder }),
    ];
    expect([(await countsOf(now.db))['job'], (await countsOf(before.db))['job']]).toEqual([1, 2]);
    await now.close();
    await before.close();
  });
});

describe('what is no whole backup of this version?', () => {
  const made = async (): Promise<string> => {
    const folder = place();
    const database = await openDatabase({ migrationsFolder, template: await emptyDatabase() });
    await send(database.db);
    const { name } = await new Backups(database, { folder, most: 7 }, () => AT).make();
    await database.close();
    return join(folder, name);
  };
  it('one byte more, one byte other, something else altogether: refused in a sentence, and nothing is touched', async () => {
    const file = await made();
    const parent = place();
    const target = join(parent, 'db');
    const whole = readFileSync(file);
    const refused = async (says: string): Promise<void> => {
      await expect(restoreBackup(file, target, migrationsFolder, AT)).rejects.toThrow(says);
    };
    appendFileSync(file, 'x');
    await refused('is damaged');
    const other = Buffer.from(whole);
    other[other.length - 100] = (other[other.length - 100] ?? 0) ^ 1;
    writeFileSync(file, other);
    await refused('not the ones that were written');
    writeFileSync(file, 'a shopping list\n');
    await refused('is no backup of Yellow Pane');
    expect(readdirSync(parent)).toEqual([]);
  });
  it('one of a newer version is refused', async () => {
    const folder = place();
    const newer = await openDatabase({
      template: await emptyDatabase(),
      migrationsFolder: migrationsWith(migrationsFolder, '9999_later', 'create table later (id int)'),
    });
    const { name } = await new Backups(newer, { folder, most: 7 }, () => AT).make();
    await newer.close();
    await expect(
      restoreBackup(join(folder, name), join(place(), 'db'), migrationsFolder, AT),
    ).rejects.toThrow('newer version of Yellow Pane');
  });
});

describe('are they made by themselves?', () => {
  it('asked for ten times while one is being made, one more is made, for all ten', async () => {
    let made = 0;
    const backUp = async (): Promise<{ payload: Uint8Array; counts: Record<string, number> }> => {
      made += 1;
      await new Promise((done) => {
        setTimeout(done, 20);
      });
      return { payload: new Uint8Array([1]), counts: {} };
    };
    const backups = new Backups({ backUp }, { folder: place(), most: 7 }, () => AT);
    const first = backups.make();
    await Promise.resolve().then(() => Promise.resolve());
    const more = Array.from({ length: 10 }, () => backups.make());
    await Promise.all([first, ...more]);
    expect([made, new Set(more).size]).toEqual([2, 1]);
  });
  it('seven are kept, the oldest leave', async () => {
    const folder = place();
    let day = 0;
    const backups = new Backups(
      { backUp: () => Promise.resolve({ payload: new Uint8Array([1]), counts: {} }) },
      { folder, most: 7 },
      () => new Date(AT.getTime() + day * 86_400_000),
    );
    for (day = 0; day < 10; day += 1) await backups.make();
    expect(backups.all().map(({ madeAt }) => madeAt.slice(8, 10))).toEqual([
      '08',
      '07',
      '06',
      '05',
      '04',
      '03',
      '02',
    ]);
  });
});
