import { daySettingsOr, DayClock } from '@yellow-pane/contracts/day-clock';
import { displayUnitsOf } from '@yellow-pane/core/quantity';
import { type JobView, type Sky, marksJudged, photosOfMark, ruleSetFor } from '@yellow-pane/core/reading';
import { inArray } from 'drizzle-orm';
import { Router } from 'express';
import sharp from 'sharp';
import type { Database } from '../../db/database';
import { photoFile } from '../../db/schema';
import { idParam } from '../../http/id-param';
import { Refusal } from '../../http/refusal';
import { type MarksOnPaper, defectMapPdf } from '../../paper/defect-map-pdf';
import { readPaper } from '../../paper/paper';
import { readJobView } from '../jobs/read-view';
import { type AskedOfAir, skyOf } from '../weather/sky-of';
import { VisitBook, visitsCalendar, visitsOfJob } from './visits';

interface Deps extends AskedOfAir {
  readonly db: Database;
  readonly clock: () => Date;
}

/** Visits as a calendar, and where the marks are as paper. */
export function checkRoutes({ db, clock, ...air }: Deps): Router {
  const routes = Router();
  const book = new VisitBook(db, air);
  routes.get('/api/visits', async (_request, response) => {
    response.json(await book.ofAll(clock()));
  });
  routes.get('/api/jobs/:jobId/visits/calendar', async (request, response) => {
    const view = await readJobView(db, idParam(request, 'jobId'));
    const text = visitsCalendar(
      view.job?.name ?? '',
      visitsOfJob(view, clock().getTime(), skyOf(view, air)),
      clock(),
    );
    response.type('text/calendar').attachment('visits.ics').send(text);
  });
  routes.get('/api/jobs/:jobId/check/map', async (request, response) => {
    const view = await readJobView(db, idParam(request, 'jobId'));
    const asked = request.query['surface'];
    const wanted = view.surfaces.filter(({ id }) => asked === undefined || id === asked);
    if (wanted.length === 0)
      throw new Refusal('BODY_INVALID', {
        path: 'surface',
        expected: 'the id of a surface of this job',
        got: JSON.stringify(asked).slice(0, 60),
      });
    const sky = skyOf(view, air);
    const surfaces: MarksOnPaper[] = [];
    for (const { id } of wanted) {
      const own = await marksOnPaper(db, view, id, { now: clock(), sky });
      if (own !== undefined && (asked !== undefined || own.judged.marks.length > 0)) surfaces.push(own);
    }
    const pdf = await defectMapPdf(
      { job: view.job?.name ?? '', surfaces, units: displayUnitsOf(request.query['units']) },
      readPaper(request.query['paper']),
    );
    response.type('application/pdf').attachment('defect-map.pdf').send(pdf);
  });
  return routes;
}

/** Pictures in the paper are no larger than they are printed. */
const PHOTO_PX = 500;

async function marksOnPaper(
  db: Database,
  view: JobView,
  surfaceId: string,
  { now, sky }: { readonly now: Date; readonly sky: Sky },
): Promise<MarksOnPaper | undefined> {
  const set = ruleSetFor(view, surfaceId);
  const judged = set && marksJudged(view, surfaceId, { set, now_ms: now.getTime(), sky });
  if (judged === undefined) return undefined;
  const last = judged.marks.flatMap(({ mark, number }) => {
    const photo = photosOfMark(view, mark).at(-1);
    return photo === undefined ? [] : [{ id: photo.id, number }];
  });
  const files =
    last.length === 0
      ? []
      : await db
          .select()
          .from(photoFile)
          .where(
            inArray(
              photoFile.id,
              last.map(({ id }) => id),
            ),
          );
  const photos = new Map<number, Buffer>();
  for (const { id, number } of last) {
    const file = files.find((own) => own.id === id);
    if (file !== undefined)
      photos.set(number, await sharp(Buffer.from(file.data)).resize({ width: PHOTO_PX }).jpeg().toBuffer());
  }
  const clock = new DayClock(daySettingsOr(view.rows.daySettings[0], 'UTC', now.getTime()));
  const surface = view.surfaceById.get(surfaceId);
  const accepted = view.inspectionsOf(surfaceId).at(-1)?.accepted ?? null;
  return {
    ...{ tag: surface?.tag ?? '', seenFrom: surface?.seenFrom ?? 'room', judged, photos },
    under: `${set?.name ?? ''}, version ${set?.version ?? 1}; ${set?.light ?? ''}; ${set?.distance_m ?? 0} m. ${set?.source.text ?? ''}`,
    watchUntil: judged.drying.until_ms === null ? undefined : clock.dateOf(judged.drying.until_ms),
    accepted: accepted === null ? undefined : `Accepted: ${accepted.who}, ${clock.momentOf(accepted.at)}.`,
  };
}
