import {
  ARCHIVE_FORMAT,
  ARCHIVE_VERSION,
  type ArchiveManifest,
  type ArchiveShop,
  archiveManifestSchema,
  archiveRowsSchema,
  archiveShopSchema,
} from '@yellow-pane/contracts';
import { JOB_TABLES, referencesFrom } from '@yellow-pane/core/job';
import type { JobRows } from '@yellow-pane/core/reading';
import type * as z from 'zod';
import { Refusal } from '../../http/refusal';
import { ArchiveFile } from './zip-file';

/** What an archive holds, looked through: every row as it must be, every photo as it was. */
export interface ArchiveContents {
  readonly file: ArchiveFile;
  readonly manifest: ArchiveManifest;
  readonly rowsText: string;
  readonly rows: JobRows;
  readonly shop: ArchiveShop;
}

/**
 * Looks through an archive without keeping anything of it.
 * @throws Refusal ARCHIVE_UNREADABLE, ARCHIVE_NEWER, ARCHIVE_DAMAGED, ARCHIVE_UNSAFE
 */
export async function lookThrough(path: string): Promise<ArchiveContents> {
  const file = await ArchiveFile.open(path);
  try {
    const manifest = await manifestOf(file);
    file.refuseUnknown();
    const rows = await file.text('rows.json');
    const shop = await file.text('shop.json');
    if (rows.sha256 !== manifest.rows_sha256) throw changed('rows.json');
    if (shop.sha256 !== manifest.shop_sha256) throw changed('shop.json');
    const contents = {
      ...{ file, manifest, rowsText: rows.text },
      rows: fitting(archiveRowsSchema, rows.text, 'rows.json') as unknown as JobRows,
      shop: fitting(archiveShopSchema, shop.text, 'shop.json'),
    };
    refuseLoose(contents);
    await refuseChangedPhotos(contents);
    return contents;
  } catch (error) {
    file.close();
    throw error;
  }
}

const changed = (path: string): Refusal =>
  new Refusal('ARCHIVE_DAMAGED', { path, expected: 'as it was saved', got: 'other bytes' });

async function manifestOf(file: ArchiveFile): Promise<ArchiveManifest> {
  if (!file.entries.has('archive.json'))
    throw new Refusal('ARCHIVE_UNREADABLE', {
      path: 'archive.json',
      expected: 'an archive of a job',
      got: 'a zip without it',
    });
  const { text } = await file.text('archive.json');
  const found = json(text, 'archive.json') as {
    readonly format?: unknown;
    readonly version?: unknown;
  } | null;
  if (found?.format !== ARCHIVE_FORMAT)
    throw new Refusal('ARCHIVE_UNREADABLE', {
      path: 'archive.json',
      expected: ARCHIVE_FORMAT,
      got: JSON.stringify(found?.format ?? null).slice(0, 60),
    });
  if (typeof found.version === 'number' && found.version > ARCHIVE_VERSION)
    throw new Refusal('ARCHIVE_NEWER', {
      path: 'version',
      expected: `at most ${ARCHIVE_VERSION}`,
      got: String(found.version),
    });
  return fitting(archiveManifestSchema, text, 'archive.json');
}

function json(text: string, path: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new Refusal('ARCHIVE_DAMAGED', { path, expected: 'JSON', got: 'text that breaks off' });
  }
}

function fitting<Value>(schema: z.ZodType<Value>, text: string, path: string): Value {
  const parsed = schema.safeParse(json(text, path));
  if (parsed.success) return parsed.data;
  const [issue] = parsed.error.issues;
  throw new Refusal('ARCHIVE_DAMAGED', {
    path: `${path} ${issue?.path.join('.') ?? ''}`.trim(),
    expected: issue?.message ?? 'what the schema says',
    got: 'something else',
  });
}

/** Rows that are not as many as said, of another job, or that name rows that are not there. */
function refuseLoose({ manifest, rows }: Pick<ArchiveContents, 'manifest' | 'rows'>): void {
  const refuse = (path: string, expected: string, got: string): never => {
    throw new Refusal('ARCHIVE_DAMAGED', { path, expected, got });
  };
  if (rows.job.length !== 1 || rows.job[0]?.id !== manifest.jobId)
    refuse('rows.json job', 'the one job of the archive', `${rows.job.length} jobs`);
  for (const table of JOB_TABLES) {
    const own = rows[table] as unknown as readonly (Readonly<Record<string, unknown>> & { id: string })[];
    if (own.length !== (manifest.counts[table] ?? 0))
      refuse(`rows.json ${table}`, `${manifest.counts[table] ?? 0} rows`, `${own.length}`);
    for (const row of own)
      if (row['jobId'] !== manifest.jobId) refuse(`rows.json ${table}`, 'rows of the job', row.id);
    for (const { field, to } of referencesFrom(table)) {
      const there = new Set((rows[to] as unknown as readonly { id: string }[]).map(({ id }) => id));
      for (const row of own) {
        const named = row[field];
        if (typeof named === 'string' && !there.has(named))
          refuse(`rows.json ${table}.${field}`, `a row of ${to}`, named);
      }
    }
  }
}

/** One photo at a time, so that an archive of any size takes no more memory than its largest. */
async function refuseChangedPhotos({
  file,
  manifest,
  rows,
}: Pick<ArchiveContents, 'file' | 'manifest' | 'rows'>): Promise<void> {
  const known = new Set(rows.photo.map(({ id }) => id));
  for (const { id, bytes, sha256 } of manifest.photos) {
    const path = `photos/${id}.jpg`;
    if (!known.has(id))
      throw new Refusal('ARCHIVE_DAMAGED', {
        path,
        expected: 'a photo of the job',
        got: 'one without a row',
      });
    const { data, sha256: found } = await file.bytes(path);
    if (data.length !== bytes || found !== sha256) throw changed(path);
  }
}
