import { and, eq } from 'drizzle-orm';
import { Router, raw } from 'express';
import sharp, { type OutputInfo } from 'sharp';
import type { Database } from '../../db/database';
import { job, photoFile } from '../../db/schema';
import { idParam } from '../../http/id-param';
import { Refusal } from '../../http/refusal';

const LARGEST_BYTES = 15_000_000;
const LONGEST_PX = 2000;
const MOST_PIXELS = 120_000_000;
const QUALITY = 85;
const FORMATS = ['jpeg', 'png', 'webp'];

/**
 * Pictures of surfaces. Whatever comes is decoded and encoded anew: where and with what it was taken goes no
 * further.
 */
export function photoRoutes({ db }: { readonly db: Database }): Router {
  const routes = Router();

  routes.put(
    '/api/jobs/:jobId/photos/:photoId',
    raw({ type: () => true, limit: LARGEST_BYTES }),
    async (request, response) => {
      const [jobId, photoId] = [idParam(request, 'jobId'), idParam(request, 'photoId')];
      const [owner] = await db
        .select({ id: job.id })
        .from(job)
        .where(and(eq(job.id, jobId), eq(job.removed, false)));
      if (owner === undefined)
        throw new Refusal('JOB_UNKNOWN', { path: 'jobId', expected: 'the id of a job', got: jobId });
      const { data, info } = await encodedAnew(request.body);
      const [there] = await db
        .select({ jobId: photoFile.jobId })
        .from(photoFile)
        .where(eq(photoFile.id, photoId));
      if (there !== undefined && there.jobId !== jobId)
        throw new Refusal('ROW_OF_ANOTHER_JOB', {
          path: 'photoId',
          expected: 'a picture of this job',
          got: photoId,
        });
      if (there === undefined) await db.insert(photoFile).values({ id: photoId, jobId, data });
      else await db.update(photoFile).set({ data }).where(eq(photoFile.id, photoId));
      response.json({ width_px: info.width, height_px: info.height, bytes: data.length });
    },
  );

  routes.get('/api/jobs/:jobId/photos/:photoId', async (request, response) => {
    const [jobId, photoId] = [idParam(request, 'jobId'), idParam(request, 'photoId')];
    const [found] = await db
      .select({ data: photoFile.data })
      .from(photoFile)
      .where(and(eq(photoFile.id, photoId), eq(photoFile.jobId, jobId)));
    if (found === undefined)
      throw new Refusal('PHOTO_UNKNOWN', {
        path: 'photoId',
        expected: 'the id of a picture of this job',
        got: photoId,
      });
    response
      .set('Content-Type', 'image/jpeg')
      .set('Cache-Control', 'private, max-age=31536000, immutable')
      .send(Buffer.from(found.data));
  });
  return routes;
}

async function encodedAnew(body: unknown): Promise<{ readonly data: Buffer; readonly info: OutputInfo }> {
  const refuse = (got: string): Refusal =>
    new Refusal('PHOTO_NOT_AN_IMAGE', { path: 'body', expected: 'a JPEG, PNG or WebP picture', got });
  if (!Buffer.isBuffer(body) || body.length === 0) throw refuse('nothing that could be one');
  const { format, width, height } = await sharp(body, { limitInputPixels: false })
    .metadata()
    .catch(() => {
      throw refuse(`${body.length} bytes that cannot be decoded`);
    });
  if (!FORMATS.includes(format)) throw refuse(`a picture in ${format}`);
  if (width * height > MOST_PIXELS)
    throw new Refusal('PHOTO_TOO_LARGE', {
      path: 'body',
      expected: `at most ${MOST_PIXELS / 1e6} megapixels`,
      got: `${Math.round((width * height) / 1e6)} megapixels`,
    });
  return sharp(body, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
    .rotate()
    .resize({ width: LONGEST_PX, height: LONGEST_PX, fit: 'inside', withoutEnlargement: true })
    .flatten({ background: '#ffffff' })
    .jpeg({ quality: QUALITY })
    .toBuffer({ resolveWithObject: true })
    .catch(() => {
      throw refuse('a picture that breaks off');
    });
}
