import { DayClock, daySettingsOr } from '@yellow-pane/contracts/day-clock';
import type { RowOf } from '@yellow-pane/core/job';
import { type JobView, faceOfSurface, handOverNow } from '@yellow-pane/core/reading';
import { boundsOf } from '@yellow-pane/core/strokes';
import type { DonePlace } from '@yellow-pane/core/reading';
import { and, eq } from 'drizzle-orm';
import sharp from 'sharp';
import type { Database } from '../../db/database';
import { customer, photoFile } from '../../db/schema';
import type { HandOverOnPaper } from '../../paper/certificate-pdf';
import { faceOn } from '../../paper/face-on-paper';
import type { FlowingSheet } from '../../paper/flowing-sheet';
import { type AskedOfAir, skyOf } from '../weather/sky-of';

/** Pictures in a paper are no larger than they are printed. */
const PHOTO_PX = 640;

/** The calendar of the place where a job is. */
export const calendarOf = (view: JobView, now: Date): DayClock =>
  new DayClock(daySettingsOr(view.rows.daySettings[0], 'UTC', now.getTime()));

/** Customer and site, a line each, as far as they are said. */
export async function headOf(db: Database, view: JobView): Promise<readonly string[]> {
  const id = view.job?.customerId ?? null;
  const [own] = id === null ? [] : await db.select().from(customer).where(eq(customer.id, id));
  return [own?.name, own?.address.replace(/\s*\n\s*/g, ', '), view.job?.street].flatMap((line) =>
    line === undefined || line === '' ? [] : [line],
  );
}

/** Reads pictures of a job, small enough for paper; one that is not there is left out. */
export const pictureOf =
  (db: Database, jobId: string) =>
  async (id: string): Promise<Buffer | undefined> => {
    const [file] = await db
      .select({ data: photoFile.data })
      .from(photoFile)
      .where(and(eq(photoFile.id, id), eq(photoFile.jobId, jobId)));
    return (
      file &&
      sharp(Buffer.from(file.data)).resize({ width: PHOTO_PX, withoutEnlargement: true }).jpeg().toBuffer()
    );
  };

interface Asked {
  readonly db: Database;
  readonly now: Date;
  readonly air: AskedOfAir;
  readonly base: string;
  readonly units: HandOverOnPaper['units'];
  /** A hand-over that was signed; undefined: as the job stands now. */
  readonly signed: RowOf<'handOver'> | undefined;
}

/** What is handed over: as it was signed, else as the job stands now. */
export async function handOverOnPaper(
  view: JobView,
  { db, now, air, base, units, signed }: Asked,
): Promise<HandOverOnPaper> {
  const calendar = calendarOf(view, now);
  const jobId = view.job?.id ?? '';
  return {
    ...{ job: view.job?.name ?? '', head: await headOf(db, view), units },
    document: signed ?? {
      ...handOverNow(view, { now_ms: now.getTime(), sky: skyOf(view, air) }),
      ...{ asOf: now.toISOString(), note: '' },
    },
    signature: signed?.signature ?? null,
    by: signed?.by.who ?? null,
    dayOf: (instant) => calendar.dateOf(instant),
    momentOf: (instant) => calendar.momentOf(instant),
    linkOf: ({ surfaceId }) => `${base}/jobs/${jobId}/close/${surfaceId}`,
    picture: pictureOf(db, jobId),
  };
}

const ROW_HIGH = 64;
const GAP = 8;
const LARGEST_SCALE = 0.03;

/** Draws the surfaces of a place side by side to one scale; what is finished is filled. */
export const drawDone =
  (view: JobView) =>
  (sheet: FlowingSheet, { place, surfaceIds }: DonePlace): void => {
    const faces = view.surfaces
      .filter(
        ({ id, placeId }) =>
          view.placeById.get(placeId)?.name === place && view.applicationsOf(id).length > 0,
      )
      .flatMap((surface) => {
        const face = faceOfSurface(view, surface.id)?.face;
        return face === undefined ? [] : [{ surface, face, bounds: boundsOf(face) }];
      });
    if (faces.length === 0) return;
    const all = faces.reduce((sum, { bounds }) => sum + bounds.right - bounds.left, 0);
    const tallest = Math.max(...faces.map(({ bounds }) => bounds.top - bounds.bottom));
    const scale = Math.min(
      (sheet.wide - GAP * faces.length) / all,
      (ROW_HIGH - 14) / tallest,
      LARGEST_SCALE * 2,
    );
    sheet.room(ROW_HIGH + 20);
    sheet.line(place, 'bold');
    sheet.drawn(ROW_HIGH, (x0, y0) => {
      let x = x0;
      for (const { surface, face, bounds } of faces) {
        const left = x;
        const at = (spot: { readonly x: number; readonly y: number }) => ({
          x: left + (spot.x - bounds.left) * scale,
          y: y0 + ROW_HIGH - 14 - (spot.y - bounds.bottom) * scale,
        });
        if (surfaceIds.includes(surface.id)) {
          const [ring = []] = face.rings;
          sheet.pdf
            .polygon(...ring.map((spot): [number, number] => [at(spot).x, at(spot).y]))
            .fill('#c8d6de');
        }
        faceOn(sheet.pdf, face, at);
        sheet.pdf
          .font('plain')
          .fontSize(7)
          .fillColor('#111')
          .text(surface.tag, left, y0 + ROW_HIGH - 11, { lineBreak: false });
        x += (bounds.right - bounds.left) * scale + GAP;
      }
    });
  };
