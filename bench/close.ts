import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import type { HandedPane } from '@yellow-pane/core/job';
import { NEW_JOB, NEW_PHOTO, NEW_PLACE, NEW_SURFACE } from '@yellow-pane/core/job';
import { v7 as newId } from 'uuid';
import { openDatabase } from '../server/src/db/database';
import { photoFile } from '../server/src/db/schema';
import { writeArchive } from '../server/src/features/archive/write-archive';
import { applyChange } from '../server/src/features/changes/apply-change';
import { certificatePdf } from '../server/src/paper/certificate-pdf';
import { ms } from './figures';
import type { Row } from './run';

const PANES = 60;
const PHOTOS = 500;
const PHOTO_BYTES = 400_000;
const MB = 1e6;
const AT = '2026-11-24T09:20:00.000Z';

/** How much is written between two looks at what is held. */
const GATHER_BYTES = 5 * MB;

setFlagsFromString('--expose-gc');
/** What nobody holds any more is let go of: without it one sees when the engine felt like it. */
const gather = runInNewContext('gc') as () => void;

/** A certificate of many panes, and a job with many photos as one file. */
export async function closeRows(): Promise<readonly Row[]> {
  const few = await archiveOf(PHOTOS / 5);
  const many = await archiveOf(PHOTOS);
  return [
    await certificateRow(),
    {
      what: `archive of ${PHOTOS} photos, ${Math.round(many.bytes / MB)} MB, in ${ms(many.time)}: memory held, beside that of a fifth of them`,
      wanted: 'constant: at most half more',
      got: `${Math.round(many.most / MB)} MB, ${Math.round(few.most / MB)} MB`,
      isMet: many.most <= 1.5 * few.most,
    },
  ];
}

async function certificateRow(): Promise<Row> {
  const pane = (n: number): HandedPane => ({
    ...{ applicationId: newId(), surfaceId: newId(), tag: `P${n}`, place: 'front', film: 'neutral 35' },
    ...{
      face: 'room',
      rolls: [{ label: 'R-14', lot: 'N35' }],
      laidAt: AT,
      people: ['Wren'],
      mix: 'household',
    },
    readings: [{ quantity: 'surface temperature', shown: '15 °C', who: 'Wren', at: AT }],
    ...{
      judged: 'go',
      ruleSet: 'film, six feet, 1',
      acceptedBy: null,
      before: null,
      after: null,
      putBack: [],
    },
    marks: Array.from({ length: 4 }, () => ({ look: 'speck', size_nm: 300_000, verdict: 'accept' })),
    dates: ['clear', 'wash', 'soft cloth', 'judge for good'].map((key) => ({ key, from: AT, until: AT })),
    warnings: ['soft and wet', 'no ammonia, no blade'],
  });
  let longest = 0;
  let last = performance.now();
  const watch = setInterval(() => {
    longest = Math.max(longest, performance.now() - last);
    last = performance.now();
  }, 5);
  const begin = performance.now();
  await certificatePdf(
    {
      ...{ job: 'bench', head: [], signature: null, by: null, units: 'metric' },
      document: { asOf: AT, note: '', open: [], panes: Array.from({ length: PANES }, (_, n) => pane(n)) },
      ...{ dayOf: (instant) => instant.slice(0, 10), momentOf: (instant) => instant },
      ...{
        linkOf: ({ surfaceId }) => `http://localhost:4500/jobs/${surfaceId}`,
        picture: () => Promise.resolve(undefined),
      },
    },
    'A4',
  );
  const time = performance.now() - begin;
  clearInterval(watch);
  return {
    what: `certificate of ${PANES} panes as PDF; others wait at most ${ms(longest)}`,
    wanted: 'at most 3 s, without blocking others',
    got: ms(time),
    isMet: time <= 3000,
  };
}

/** What an archive of so many photos takes. */
async function archiveOf(
  count: number,
): Promise<{ readonly bytes: number; readonly most: number; readonly time: number }> {
  const folder = mkdtempSync(join(tmpdir(), 'bench-archive-'));
  const { db, close } = await openDatabase({
    ...{ folder: join(folder, 'db'), migrationsFolder: 'server/migrations', isCopyKept: false },
  });
  try {
    const [jobId, placeId, surfaceId] = [newId(), newId(), newId()];
    const put = (table: string, id: string, fields: object) => ({ op: 'put', table, id, fields });
    const photos = Array.from({ length: count }, () => newId());
    const ops = [
      put('job', jobId, { ...NEW_JOB, name: 'bench', entryUnit: 'mm' }),
      put('place', placeId, { ...NEW_PLACE, name: 'House', position: 1 }),
      put('surface', surfaceId, { ...NEW_SURFACE, placeId, tag: 'P1', position: 1 }),
      ...photos.map((id, position) =>
        put('photo', id, {
          ...{ ...NEW_PHOTO, surfaceId, takenAt: AT, width_px: 2000, height_px: 1500 },
          ...{ bytes: PHOTO_BYTES, position },
        }),
      ),
    ];
    const change = { id: newId(), session: newId(), who: 'bench', ops };
    await applyChange(db, jobId, change as unknown as Parameters<typeof applyChange>[2], new Date(AT));
    for (const id of photos)
      await db.insert(photoFile).values({ id, jobId, data: Buffer.alloc(PHOTO_BYTES, id) });
    gather();
    const before = process.memoryUsage();
    const taken = (): number => {
      gather();
      const now = process.memoryUsage();
      return now.heapUsed + now.external - before.heapUsed - before.external;
    };
    let [most, bytes] = [0, 0];
    const begin = performance.now();
    await pipeline(
      await writeArchive(db, jobId, new Date(AT), () => []),
      new Writable({
        write: (part: Buffer, _encoding, done) => {
          const looks = Math.floor(bytes / GATHER_BYTES);
          bytes += part.length;
          if (Math.floor(bytes / GATHER_BYTES) > looks) most = Math.max(most, taken());
          done();
        },
      }),
    );
    return { bytes, most, time: performance.now() - begin };
  } finally {
    await close();
    rmSync(folder, { recursive: true, force: true });
  }
}
