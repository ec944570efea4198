import { Injectable, inject, signal } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import { newId } from '../../device/session';
import { ServerRefusal, api } from '../../server/api';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { surveyWords } from '../../words/survey';

const LONGEST_PX = 2000;
const QUALITY = 0.86;
const LARGEST_FILE = 60_000_000;

/** Sends pictures: made smaller here, encoded anew by the server, then noted on the surface. */
@Injectable({ providedIn: 'root' })
export class PhotoWork {
  readonly #desk = inject(JobDesk);
  readonly #reading = inject(JobReading);
  readonly fault = signal<string | undefined>(undefined);
  readonly isBusy = signal(false);

  address({ id, jobId }: RowOf<'photo'>): string {
    return `/api/jobs/${jobId}/photos/${id}`;
  }

  async add(surface: RowOf<'surface'>, partId: string | null, file: File): Promise<void> {
    this.fault.set(undefined);
    this.isBusy.set(true);
    try {
      if (file.size > LARGEST_FILE)
        throw new RangeError(surveyWords.pictureTooLarge(file.name, Math.round(file.size / 1e6)));
      const id = newId();
      const { width_px, height_px, bytes } = await api.sendPhoto(surface.jobId, id, await smaller(file));
      this.#desk.do(surveyWords.pictureAdded(surface.tag), [
        this.#desk.put(
          'photo',
          {
            surfaceId: surface.id,
            partId,
            markId: null,
            applicationId: null,
            step: null,
            takenAt: new Date().toISOString(),
            caption: '',
            width_px,
            height_px,
            bytes,
            position: this.#reading.photosOf(surface.id).length + 1,
          },
          id,
        ),
      ]);
    } catch (error) {
      this.fault.set(
        error instanceof ServerRefusal
          ? `${file.name}: ${error.problem.title}. ${error.problem.detail}`
          : error instanceof RangeError
            ? error.message
            : surveyWords.pictureNotSent(file.name),
      );
    } finally {
      this.isBusy.set(false);
    }
  }
}

/** The picture no longer than 2000 px; what the browser cannot read goes as it is, for the server to name. */
async function smaller(file: File): Promise<Blob> {
  const bitmap = await createImageBitmap(file).catch(() => undefined);
  if (bitmap === undefined) return file;
  const scale = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height));
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(bitmap.width * scale)),
    Math.max(1, Math.round(bitmap.height * scale)),
  );
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  return canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
}
