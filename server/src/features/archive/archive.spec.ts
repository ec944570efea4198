import { createHash } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { ArchiveRead, Op, Problem } from '@yellow-pane/contracts';
import { JOB_TABLES, NEW_PHOTO } from '@yellow-pane/core/job';
import type { JobRows } from '@yellow-pane/core/reading';
import fc from 'fast-check';
import sharp from 'sharp';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import yauzl from 'yauzl';
import yazl from 'yazl';
import { randomJob } from '../../testing/random-job';
import { type TestApp, testApp } from '../../testing/test-app';
import { loadDemo } from '../demo/load-demo';
import { readJob } from '../jobs/queries';
import { photoFile } from '../../db/schema';

const SUMMIT = '0199b9a6-0003-7000-8000-000000000002';
const ST1 = '0199b9a6-0007-7000-8000-000000000384';
const NOW = new Date('2026-11-24T09:20:00.000Z');
const READER = `who=Robin&session=${newId()}`;

let here: TestApp;
let there: TestApp;
const photoId = newId();
beforeAll(async () => {
  here = await testApp();
  await loadDemo(here.db, () => NOW);
  const row = {
    ...{ ...NEW_PHOTO, surfaceId: ST1, takenAt: NOW.toISOString(), position: 1 },
    ...{ width_px: 40, height_px: 30, bytes: 900 },
  };
  await here
    .send(SUMMIT, [{ op: 'put', table: 'photo', id: photoId, fields: row }] as unknown as readonly Op[])
    .expect(200);
  const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#a43' } })
    .jpeg()
    .toBuffer();
  await request(here.app)
    .put(`/api/jobs/${SUMMIT}/photos/${photoId}`)
    .set('Content-Type', 'image/jpeg')
    .send(picture)
    .expect(200);
  there = await testApp();
}, 60_000);
afterAll(async () => {
  await here.close();
  await there.close();
});

const bytes = (response: request.Response, done: (error: Error | null, body: Buffer) => void): void => {
  const parts: Buffer[] = [];
  response.on('data', (part: Buffer) => parts.push(part));
  response.on('end', () => {
    done(null, Buffer.concat(parts));
  });
};
const save = async (server: TestApp, jobId: string): Promise<Buffer> =>
  (await request(server.app).get(`/api/jobs/${jobId}/archive`).buffer(true).parse(bytes).expect(200))
    .body as Buffer;
const read = (server: TestApp, zip: Buffer, query = `${READER}&film=here`) =>
  request(server.app).post(`/api/archives?${query}`).set('Content-Type', 'application/zip').send(zip);
const rowsOf = async (server: TestApp, jobId: string): Promise<JobRows> =>
  (await readJob(server.db, jobId)).rows as unknown as JobRows;
const inOrder = (rows: JobRows) =>
  Object.fromEntries(
    JOB_TABLES.map((table) => [table, [...rows[table]].sort((a, b) => (a.id < b.id ? -1 : 1))]),
  );
const jobsIn = async (server: TestApp): Promise<number> =>
  ((await request(server.app).get('/api/jobs').expect(200)).body as unknown[]).length;

/** The files of a zip, by a reader of its own. */
const filesOf = (zip: Buffer): Promise<Map<string, Buffer>> =>
  new Promise((resolve, reject) => {
    yauzl.fromBuffer(zip, { lazyEntries: true }, (error, file) => {
      if (error !== null) {
        reject(error);
        return;
      }
      const found = new Map<string, Buffer>();
      file.on('end', () => {
        resolve(found);
      });
      file.on('entry', (entry: yauzl.Entry) => {
        file.openReadStream(entry, (fault, stream) => {
          if (fault !== null) {
            reject(fault);
            return;
          }
          const parts: Buffer[] = [];
          stream.on('data', (part: Buffer) => parts.push(part));
          stream.on('end', () => {
            found.set(entry.fileName, Buffer.concat(parts));
            file.readEntry();
          });
        });
      });
      file.readEntry();
    });
  });
/** The same zip with files put in place of its own. */
const zipOf = (files: ReadonlyMap<string, Buffer>): Promise<Buffer> =>
  new Promise((resolve) => {
    const zip = new yazl.ZipFile();
    for (const [name, data] of files) zip.addBuffer(data, name);
    zip.end();
    const parts: Buffer[] = [];
    zip.outputStream.on('data', (part: Buffer) => parts.push(part));
    zip.outputStream.on('end', () => {
      resolve(Buffer.concat(parts));
    });
  });
const changed = async (zip: Buffer, change: (files: Map<string, Buffer>) => void): Promise<Buffer> => {
  const files = await filesOf(zip);
  change(files);
  return zipOf(files);
};

describe('a job in one file', () => {
  it('read into an empty installation it is the same: rows of all tables, photos, links', async () => {
    const zip = await save(here, SUMMIT);
    const { body } = await read(there, zip).expect(200);
    expect(body as ArchiveRead).toMatchObject({ jobId: SUMMIT, photos: 1, mapped: 0 });
    expect(inOrder(await rowsOf(there, SUMMIT))).toEqual(inOrder(await rowsOf(here, SUMMIT)));
    const hash = async (server: TestApp): Promise<string> => {
      const files = await server.db.select().from(photoFile);
      const own = files.find(({ id }) => id === photoId);
      return createHash('sha256')
        .update(own?.data ?? '')
        .digest('hex');
    };
    expect(await hash(there)).toBe(await hash(here));
    // It can be worked on: a change is taken as in any other job.
    const [job] = (await rowsOf(there, SUMMIT)).job;
    const rename = {
      op: 'set',
      table: 'job',
      id: SUMMIT,
      baseVersion: job?.version,
      fields: { lift: 'none' },
    };
    await there.send(SUMMIT, [rename] as unknown as readonly Op[]).expect(200);
  });
  it('holds the papers, the schema it follows, and says what is in it', async () => {
    const files = await filesOf(await save(here, SUMMIT));
    expect([...files.keys()]).toEqual(
      expect.arrayContaining(['README.txt', 'schema.json', 'rows.json', 'shop.json', 'archive.json']),
    );
    expect(files.get('papers/certificate.pdf')?.subarray(0, 5).toString()).toBe('%PDF-');
    expect(JSON.parse(files.get('schema.json')?.toString() ?? '')).toHaveProperty([
      'rows.json',
      'properties',
      'mark',
    ]);
    const { photos } = JSON.parse(files.get('archive.json')?.toString() ?? '') as {
      photos: { sha256: string }[];
    };
    expect(photos[0]?.sha256).toBe(
      createHash('sha256')
        .update(files.get(`photos/${photoId}.jpg`) ?? '')
        .digest('hex'),
    );
  });
  it('where its identifiers are taken they become others, and everything that named them goes with them', async () => {
    const zip = await save(here, SUMMIT);
    const { body } = await read(here, zip).expect(200);
    const answer = body as ArchiveRead;
    expect(answer.jobId).not.toBe(SUMMIT);
    expect(answer.mapped).toBeGreaterThan(50);
    const [first, second] = [await rowsOf(here, SUMMIT), await rowsOf(here, answer.jobId)];
    for (const table of JOB_TABLES) expect(second[table]).toHaveLength(first[table].length);
    const ids = new Set(JOB_TABLES.flatMap((table) => first[table].map(({ id }) => id)));
    for (const table of JOB_TABLES)
      for (const row of second[table]) {
        const named = JSON.stringify(row).match(/[0-9a-f]{8}-[0-9a-f-]{27}/g) ?? [];
        expect(named.filter((id) => ids.has(id))).toEqual([]);
      }
    await request(here.app).get(`/api/jobs/${answer.jobId}/photos/${second.photo[0]?.id}`).expect(200);
  });
  it('film that lies elsewhere is known, and promised to nobody here', async () => {
    const empty = await testApp();
    try {
      await read(empty, await save(here, SUMMIT), READER).expect(200);
      const stock = (await request(empty.app).get('/api/stock').expect(200)).body as { gone: boolean }[];
      expect(stock.filter(({ gone }) => !gone)).toEqual([]);
    } finally {
      await empty.close();
    }
  });
  it('jobs such as people leave them come back as they were', async () => {
    const films = (await request(here.app).get('/api/films').expect(200)).body as { id: string }[];
    const filmIds = films.map(({ id }) => id);
    await fc.assert(
      fc.asyncProperty(fc.infiniteStream(fc.double({ min: 0, max: 0.999, noNaN: true })), async (numbers) => {
        const dice = (below: number): number => Math.floor((numbers.next().value as number) * below);
        const { jobId, ops } = randomJob(dice, { filmIds });
        await here.send(jobId, ops as Parameters<typeof here.send>[1]).expect(200);
        await read(there, await save(here, jobId)).expect(200);
        expect(inOrder(await rowsOf(there, jobId))).toEqual(inOrder(await rowsOf(here, jobId)));
      }),
      { numRuns: 12 },
    );
  });
});

describe('what is no whole archive: a clear word, nothing half read in', () => {
  const refused = async (zip: Buffer): Promise<Problem> => {
    const before = await jobsIn(there);
    const photos = (await there.db.select().from(photoFile)).length;
    const { body } = await read(there, zip).expect((answer) => {
      expect([413, 422]).toContain(answer.status);
    });
    expect(await jobsIn(there)).toBe(before);
    expect((await there.db.select().from(photoFile)).length).toBe(photos);
    return body as Problem;
  };
  let zip: Buffer;
  beforeAll(async () => {
    zip = await save(here, SUMMIT);
  });
  it.each([0.2, 0.6, 0.95, 0.999])('cut short at %d of it', async (share) => {
    const { code } = await refused(zip.subarray(0, Math.floor(zip.length * share)));
    expect(['ARCHIVE_UNREADABLE', 'ARCHIVE_DAMAGED']).toContain(code);
  });
  it('no zip at all, or a zip of something else', async () => {
    expect((await refused(Buffer.from('hello'))).code).toBe('ARCHIVE_UNREADABLE');
    expect((await refused(await zipOf(new Map([['a.txt', Buffer.from('a')]])))).code).toBe(
      'ARCHIVE_UNREADABLE',
    );
  });
  it('from a newer version', async () => {
    const newer = await changed(zip, (files) => {
      const manifest = JSON.parse(files.get('archive.json')?.toString() ?? '') as object;
      files.set('archive.json', Buffer.from(JSON.stringify({ ...manifest, version: 7 })));
    });
    expect(await refused(newer)).toMatchObject({ code: 'ARCHIVE_NEWER', got: '7' });
  });
  it('a row left out, a field of another kind, a row of another job, a photo painted over', async () => {
    const withRows = (change: (rows: Record<string, Record<string, unknown>[]>) => void) =>
      changed(zip, (files) => {
        const rows = JSON.parse(files.get('rows.json')?.toString() ?? '') as Record<
          string,
          Record<string, unknown>[]
        >;
        change(rows);
        const text = Buffer.from(JSON.stringify(rows));
        const manifest = JSON.parse(files.get('archive.json')?.toString() ?? '') as object;
        const rows_sha256 = createHash('sha256').update(text).digest('hex');
        files.set('rows.json', text);
        files.set('archive.json', Buffer.from(JSON.stringify({ ...manifest, rows_sha256 })));
      });
    const faults: readonly ((rows: Record<string, Record<string, unknown>[]>) => void)[] = [
      (rows) => rows['mark']?.pop(),
      (rows) => Object.assign(rows['mark']?.[0] ?? {}, { look: 'unheard of' }),
      (rows) => Object.assign(rows['mark']?.[0] ?? {}, { jobId: newId() }),
      (rows) => Object.assign(rows['mark']?.[0] ?? {}, { surfaceId: newId() }),
    ];
    for (const fault of faults) expect((await refused(await withRows(fault))).code).toBe('ARCHIVE_DAMAGED');
    const painted = await changed(zip, (files) => files.set(`photos/${photoId}.jpg`, Buffer.from('another')));
    expect(await refused(painted)).toMatchObject({ code: 'ARCHIVE_DAMAGED', path: `photos/${photoId}.jpg` });
  });
  it('paths that climb out of the zip', async () => {
    const climbing = await changed(zip, (files) => files.set('papers/evil.pdf', Buffer.from('x')));
    const [from, to] = [Buffer.from('papers/evil.pdf'), Buffer.from('../../../ev.pdf')];
    for (let at = climbing.indexOf(from); at >= 0; at = climbing.indexOf(from)) to.copy(climbing, at);
    expect((await refused(climbing)).code).toBe('ARCHIVE_UNSAFE');
    const other = await changed(zip, (files) => files.set('run.sh', Buffer.from('x')));
    expect(await refused(other)).toMatchObject({ code: 'ARCHIVE_UNSAFE', path: 'run.sh' });
  });
  it('a zip bomb: text that would unpack to hundreds of times its size', async () => {
    const bomb = await changed(zip, (files) => files.set('rows.json', Buffer.alloc(60_000_000, ' ')));
    expect(bomb.length).toBeLessThan(1_000_000);
    expect((await refused(bomb)).code).toBe('ARCHIVE_UNSAFE');
  });
  it('without whoever reads it, nothing is read', async () => {
    await read(there, zip, 'film=here').expect(422);
  });
});
