import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { JobView } from '@yellow-pane/core/reading';
import type { JobRows } from '@yellow-pane/core/reading';
import { type Request, Router } from 'express';
import * as z from 'zod';
import type { Database } from '../../db/database';
import { idParam } from '../../http/id-param';
import { Refusal } from '../../http/refusal';
import { handOverOnPaper } from '../close/papers';
import { quotesOnPaper } from '../close/quotes-on-paper';
import { careSheetPdf, certificatePdf } from '../../paper/certificate-pdf';
import { quotePdf } from '../../paper/quote-pdf';
import { readShop } from '../jobs/read-view';
import type { AskedOfAir } from '../weather/sky-of';
import { keepArchive } from './keep-archive';
import { lookThrough } from './read-archive';
import { type ArchivedPaper, writeArchive } from './write-archive';

interface Deps extends AskedOfAir {
  readonly db: Database;
  readonly clock: () => Date;
}

const LARGEST = 2_000_000_000;

/** Everything of a job in one file, out and in. */
export function archiveRoutes({ db, clock, ...air }: Deps): Router {
  const routes = Router();
  routes.get('/api/jobs/:jobId/archive', async (request, response) => {
    const jobId = idParam(request, 'jobId');
    const now = clock();
    const shop = await readShop(db);
    const zip = await writeArchive(db, jobId, now, (rows) => papersOf(new JobView(rows, shop), now));
    response.type('application/zip').attachment('job-archive.zip');
    await pipeline(zip, response);
  });
  routes.post('/api/archives', async (request, response) => {
    const { by, session, isFilmHere } = whoReads(request);
    const folder = await mkdtemp(join(tmpdir(), 'archive-'));
    try {
      const path = join(folder, 'archive.zip');
      await pipeline(request, atMost(LARGEST), createWriteStream(path));
      const contents = await lookThrough(path);
      try {
        response.json(await keepArchive(db, contents, { by, session, isFilmHere, at: clock() }));
      } finally {
        contents.file.close();
      }
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  });
  return routes;

  function papersOf(view: JobView, now: Date): readonly ArchivedPaper[] {
    const own = () =>
      handOverOnPaper(view, { db, now, air, base: '', units: 'metric', signed: lastSigned(view.rows) });
    return [
      { name: 'certificate', make: async () => certificatePdf(await own(), 'A4') },
      { name: 'care-sheet', make: async () => careSheetPdf(await own(), 'A4') },
      ...view.rows.quote.map((quote) => ({
        name: `quote-${quote.number.replace(/[^\w-]/g, '_')}-${quote.id.slice(-6)}`,
        make: async () => quotePdf(await quotesOnPaper(db, view, quote, { now, units: 'metric' }), 'A4'),
      })),
    ];
  }
}

const lastSigned = ({ handOver }: JobRows): JobRows['handOver'][number] | undefined =>
  handOver.toSorted((a, b) => a.madeAt.localeCompare(b.madeAt)).at(-1);

/** Lets so many bytes through and refuses the next. */
function atMost(bytes: number): Transform {
  let sent = 0;
  return new Transform({
    transform(part: Buffer, _encoding, done) {
      sent += part.length;
      if (sent <= bytes) done(null, part);
      else
        done(
          new Refusal('ARCHIVE_TOO_LARGE', {
            path: 'archive',
            expected: `at most ${bytes / 1e9} GB`,
            got: 'more',
          }),
        );
    },
  });
}

const asked = z.object({
  who: z.string().min(1).max(200),
  personId: z.uuid().optional(),
  session: z.uuid(),
  film: z.enum(['here', 'elsewhere']).default('elsewhere'),
});

function whoReads(request: Request) {
  const read = asked.safeParse(request.query);
  if (!read.success) {
    const [issue] = read.error.issues;
    throw new Refusal('BODY_INVALID', {
      path: issue?.path.join('.') ?? 'query',
      expected: issue?.message ?? 'who reads it',
      got: JSON.stringify(request.query).slice(0, 80),
    });
  }
  const { who, personId = null, session, film } = read.data;
  return { by: { who, personId }, session, isFilmHere: film === 'here' };
}
