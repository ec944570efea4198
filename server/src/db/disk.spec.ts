import {
  closeSync,
  copyFileSync,
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  openSync,
  readdirSync,
  rmSync,
  statSync,
  writeSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { sql } from 'drizzle-orm';
import request from 'supertest';
import { Backups } from '../backup/backups';
import { emptyDatabase, migrationsFolder } from '../testing/template';
import { appOn, smallJob } from '../testing/test-app';
import { type OpenDatabase, openDatabase } from './database';
import { DurableFolder } from './durable-folder';
import { Soundness, readThrough } from './soundness';

const place = mkdtempSync(join(tmpdir(), 'yellow-pane-disk-'));
const fresh = join(place, 'fresh');
beforeAll(async () => {
  await (await openDatabase({ folder: fresh, migrationsFolder, template: await emptyDatabase() })).close();
});
afterAll(() => {
  rmSync(place, { recursive: true, force: true });
});

function copyOf(name: string, of = fresh): string {
  const folder = join(place, name);
  cpSync(of, folder, { recursive: true });
  return folder;
}

async function write({ db }: OpenDatabase, from: number, to: number): Promise<void> {
  for (let key = from; key <= to; key += 1)
    await db.execute(
      sql`insert into learned (key, scope_kind, scope_of, version, changed_by, changed_at, value, basis, told_by) values (${String(key)}, '', '', 1, 'Wren', now(), 0.5, 'measured', '')`,
    );
}

async function countIn(folder: string): Promise<number> {
  const own = await openDatabase({ folder, migrationsFolder });
  const { rows } = await own.db.execute<{ count: number }>(sql`select count(*)::int as count from learned`);
  await own.close();
  return rows[0]?.count ?? 0;
}

describe('is what was acknowledged there after a power cut?', () => {
  /**
   * What would be found when the power is cut: of each file what it held when it last reached the disk, of
   * each folder the names it had then.
   */
  class Platter {
    readonly folder: string;
    readonly #real: string;

    constructor(folder: string, real: string) {
      this.folder = folder;
      this.#real = real;
    }

    synced(path: string): void {
      const there = join(this.folder, relative(this.#real, path));
      if (!statSync(path).isDirectory()) {
        if (existsSync(join(there, '..'))) copyFileSync(path, there);
        return;
      }
      mkdirSync(there, { recursive: true });
      const names = new Set(readdirSync(path));
      for (const name of readdirSync(there))
        if (!names.has(name)) rmSync(join(there, name), { recursive: true });
      for (const name of names)
        if (!existsSync(join(there, name))) cpSync(join(path, name), join(there, name), { recursive: true });
    }
  }

  it('all of it, cut between two writes, after a checkpoint, and after the log has gone on in a new file', async () => {
    const real = copyOf('power');
    const platter = new Platter(copyOf('platter'), real);
    const own = await openDatabase({
      folder: real,
      migrationsFolder,
      filesOf: (folder) =>
        new DurableFolder(folder, (path) => {
          platter.synced(path);
        }),
    });
    await write(own, 1, 20);
    const between = copyOf('between', platter.folder);
    await own.db.execute(sql`checkpoint`);
    await write(own, 21, 25);
    const later = copyOf('later', platter.folder);
    await own.db.execute(sql`select pg_switch_wal()`);
    await write(own, 26, 30);
    const last = copyOf('last', platter.folder);
    await own.close();
    expect([await countIn(between), await countIn(later), await countIn(last)]).toEqual([20, 25, 30]);
  });
});

describe('does a disk that fills up in the middle of a write end the program?', () => {
  it('the write is refused as such, what was saved is read again, and once there is room it writes', async () => {
    const disk = { isFull: false };
    class FillingFolder extends DurableFolder {
      protected override prepare(files: Parameters<DurableFolder['prepare']>[0]): void {
        super.prepare(files);
        const { NODEFS, FS } = files as unknown as {
          readonly NODEFS: {
            readonly realPath: (node: unknown) => string;
            readonly stream_ops: {
              write: (stream: { readonly node: unknown }, ...more: unknown[]) => number;
            };
          };
          readonly FS: { readonly ErrnoError: new (errno: number) => Error };
        };
        const { write: writing } = NODEFS.stream_ops;
        const noSpace = 51;
        NODEFS.stream_ops.write = (stream, ...more) => {
          if (disk.isFull && NODEFS.realPath(stream.node).includes('pg_wal'))
            throw new FS.ErrnoError(noSpace);
          return writing(stream, ...more);
        };
      }
    }
    const own = await openDatabase({
      folder: copyOf('filling'),
      migrationsFolder,
      filesOf: (folder) => new FillingFolder(folder),
      makeRoom: () => {
        disk.isFull = false;
      },
    });
    const { app, send } = appOn(own.db);
    const job = smallJob();
    await send(job.jobId, job.ops).expect(200);
    disk.isFull = true;
    const [refused, waiting] = await Promise.all([
      send(job.jobId, [{ op: 'remove', table: 'measure', id: job.measureId, baseVersion: 1 }]),
      request(app).get(`/api/jobs/${job.jobId}`),
    ]);
    expect([refused.status, (refused.body as { code: string }).code]).toEqual([507, 'DISK_FULL']);
    expect([200, 507]).toContain(waiting.status);
    const { rows } = (await request(app).get(`/api/jobs/${job.jobId}`).expect(200)).body as {
      readonly rows: { readonly measure: readonly object[] };
    };
    expect(rows.measure).toHaveLength(1);
    await send(job.jobId, [{ op: 'remove', table: 'measure', id: job.measureId, baseVersion: 1 }]).expect(
      200,
    );
    await own.close();
  });
});

describe('is a damaged folder told from a sound one?', () => {
  /** A folder with one page of a table other than it was written. */
  async function damaged(name: string): Promise<string> {
    const folder = copyOf(name);
    const own = await openDatabase({ folder, migrationsFolder });
    await write(own, 1, 400);
    const { rows } = await own.db.execute<{ path: string }>(
      sql`select pg_relation_filepath('learned') as path`,
    );
    await own.close();
    const file = openSync(join(folder, rows[0]?.path ?? ''), 'r+');
    writeSync(file, Buffer.from('not what was written'), 0, 20, 8192 * 2 + 4000);
    closeSync(file);
    return folder;
  }

  it('reading through finds the page; health says so, writing is refused by name, and the last backup is offered', async () => {
    const own = await openDatabase({ folder: await damaged('damaged'), migrationsFolder });
    const soundness = new Soundness();
    const backups = new Backups(
      own,
      { folder: join(place, 'backups'), most: 7 },
      () => new Date('2026-11-24T09:20:00Z'),
    );
    const { app, send } = appOn(own.db, { soundness, backups });
    expect((await request(app).get('/api/health').expect(200)).body).toMatchObject({ status: 'ok' });
    await readThrough(own.db).catch((error: unknown) => {
      soundness.hear(error);
    });
    const health = (await request(app).get('/api/health').expect(200)).body as {
      readonly status: string;
      readonly says: string;
    };
    expect(health.status).toBe('damaged');
    expect(health.says).toContain('There is no backup');
    const job = smallJob();
    const { status, body } = await send(job.jobId, job.ops);
    expect([status, (body as { code: string }).code]).toEqual([503, 'DATA_DAMAGED']);
    await own.close();
  });
  it('a damaged page never takes the place of a sound backup; a question that meets it says what happened', async () => {
    const own = await openDatabase({ folder: await damaged('damaged-too'), migrationsFolder });
    const soundness = new Soundness();
    const backups = new Backups(
      own,
      { folder: join(place, 'backups-too'), most: 7 },
      () => new Date('2026-11-24T09:20:00Z'),
    );
    await expect(backups.make()).rejects.toThrow();
    expect(backups.all()).toEqual([]);
    const { app } = appOn(own.db, { soundness, backups });
    const { status, body } = await request(app).get('/api/learned');
    expect([status, (body as { code: string }).code]).toEqual([503, 'DATA_DAMAGED']);
    expect(soundness.isSound).toBe(false);
    await own.close();
  });
  it('a folder that does not open any more says so in a sentence', async () => {
    const folder = copyOf('torn');
    writeSync(openSync(join(folder, 'global', 'pg_control'), 'r+'), Buffer.alloc(300, 7), 0, 300, 0);
    await expect(openDatabase({ folder, migrationsFolder })).rejects.toThrow(
      'The data folder does not open.',
    );
  });
});
