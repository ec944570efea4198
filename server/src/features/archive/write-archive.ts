import { createHash } from 'node:crypto';
import { PassThrough, Readable } from 'node:stream';
import {
  ARCHIVE_FORMAT,
  ARCHIVE_VERSION,
  type ArchiveManifest,
  archiveJsonSchema,
} from '@yellow-pane/contracts';
import { JOB_TABLES } from '@yellow-pane/core/job';
import type { JobRows } from '@yellow-pane/core/reading';
import { and, eq } from 'drizzle-orm';
import yazl from 'yazl';
import type { Database } from '../../db/database';
import { photoFile } from '../../db/schema';
import { readJob } from '../jobs/queries';
import { shopOf } from './shop-of-job';

/** A paper that goes into an archive as it would be printed. */
export interface ArchivedPaper {
  readonly name: string;
  readonly make: () => Promise<Buffer>;
}

const sha256 = (data: Uint8Array | string): string => createHash('sha256').update(data).digest('hex');
/** What is compressed already is stored as it is. */
const STORED = { compress: false } as const;

/**
 * Everything of a job as a zip that is sent while it is made: one photo and one paper at a time is in memory.
 * The manifest comes last, so that an archive cut short has none.
 * @throws Refusal JOB_UNKNOWN before anything is sent
 */
export async function writeArchive(
  db: Database,
  jobId: string,
  at: Date,
  papersOf: (rows: JobRows) => readonly ArchivedPaper[],
): Promise<Readable> {
  const { rows } = await readJob(db, jobId);
  const rowsText = JSON.stringify(rows);
  const shopText = JSON.stringify(await shopOf(db, rowsText));
  const zip = new yazl.ZipFile();
  const out = new PassThrough();
  zip.outputStream.pipe(out);
  const options = { mtime: at };
  const fail = (error: Error): void => {
    out.destroy(error);
  };
  zip.on('error', fail);
  zip.addBuffer(Buffer.from(README), 'README.txt', options);
  zip.addBuffer(Buffer.from(JSON.stringify(archiveJsonSchema(), null, 1)), 'schema.json', options);
  zip.addBuffer(Buffer.from(rowsText), 'rows.json', options);
  zip.addBuffer(Buffer.from(shopText), 'shop.json', options);
  const photos: ArchiveManifest['photos'] = [];
  const add = (path: string, own: Lazy['options'], make: Lazy['make']): void => {
    lazily(zip, path, { options: own, make, fail });
  };
  for (const { id } of rows.photo)
    add(`photos/${id}.jpg`, { ...options, ...STORED }, async () => {
      const [file] = await db
        .select({ data: photoFile.data })
        .from(photoFile)
        .where(and(eq(photoFile.id, id), eq(photoFile.jobId, jobId)));
      if (file === undefined) return Buffer.alloc(0);
      photos.push({ id, bytes: file.data.length, sha256: sha256(file.data) });
      return Buffer.from(file.data);
    });
  for (const { name, make } of papersOf(rows)) add(`papers/${name}.pdf`, { ...options, ...STORED }, make);
  add('archive.json', options, async () => {
    const manifest: ArchiveManifest = {
      ...{ format: ARCHIVE_FORMAT, version: ARCHIVE_VERSION, madeAt: at.toISOString(), jobId },
      name: rows.job[0]?.name ?? '?',
      counts: Object.fromEntries(JOB_TABLES.map((table) => [table, rows[table].length])),
      ...{ rows_sha256: sha256(rowsText), shop_sha256: sha256(shopText), photos },
    };
    return Promise.resolve(Buffer.from(JSON.stringify(manifest, null, 1)));
  });
  zip.end();
  return out;
}

/** Adds a file that is made when its turn has come. */
function lazily(zip: yazl.ZipFile, path: string, { options, make, fail }: Lazy): void {
  zip.addReadStreamLazy(path, options, (send) => {
    make().then(
      (data) => {
        send(null, Readable.from([data]));
      },
      (error: unknown) => {
        fail(error instanceof Error ? error : new Error(String(error)));
      },
    );
  });
}

interface Lazy {
  readonly options: Partial<yazl.ReadStreamOptions>;
  readonly make: () => Promise<Buffer>;
  readonly fail: (error: Error) => void;
}

const README = `A job of Yellow Pane, whole.

archive.json   what is in here, with checksums
rows.json      every row of the job, by table
shop.json      the films, rolls, people and the customer its rows speak of
schema.json    how these files are built (JSON Schema)
photos/        the pictures, by the id of their row
papers/        certificate, care sheet, quotes and what else was on paper, as PDF

Read it with "Read an archive" in the list of jobs. What was deleted, who changed what, and what the
shop has learned over other jobs are not in it.
`;
