import { Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import { NEW_PHOTO, type Photo, type RowOf } from '@yellow-pane/core/job';
import { browserStore } from '../device/browser-store';
import { newId } from '../device/session';
import { ServerUnreachable, ServerRefusal, api } from '../server/api';
import { surveyWords } from '../words/survey';
import { JobDesk } from './job-desk';
import { JobReading } from './job-reading';

/** As some phones save pictures; not every browser reads them. */
const HEIC = /\.hei[cf]$/i;
const LONGEST_PX = 2000;
const QUALITY = 0.86;
const LARGEST_FILE = 60_000_000;

/** What a picture shows. */
type PhotoOf = Partial<Pick<Photo, 'partId' | 'markId' | 'applicationId' | 'step'>>;

interface Smaller {
  readonly picture: Blob;
  /** Undefined: this browser cannot read it. */
  readonly size: { readonly width_px: number; readonly height_px: number } | undefined;
}

/**
 * Sends pictures: made smaller here, encoded anew by the server, then noted on the surface. While the server
 * is away they are kept in this browser and sent later.
 */
@Injectable({ providedIn: 'root' })
export class PhotoWork {
  readonly #desk = inject(JobDesk);
  readonly #reading = inject(JobReading);
  readonly fault = signal<string | undefined>(undefined);
  readonly isBusy = signal(false);
  /** Pictures that are only in this browser yet, as this page shows them. */
  readonly #here = signal<ReadonlyMap<string, string>>(new Map());
  readonly waiting = computed(() => this.#here().size);

  constructor() {
    effect(() => {
      const { isServerHere, jobId, status } = this.#desk.state();
      if (isServerHere && jobId !== null && status === 'open') void untracked(() => this.#sendKept(jobId));
    });
  }

  address({ id, jobId }: RowOf<'photo'>): string {
    return this.#here().get(id) ?? `/api/jobs/${jobId}/photos/${id}`;
  }

  async add(surface: RowOf<'surface'>, of: PhotoOf, file: File): Promise<void> {
    this.fault.set(undefined);
    this.isBusy.set(true);
    try {
      if (file.size > LARGEST_FILE)
        throw new RangeError(surveyWords.pictureTooLarge(file.name, Math.round(file.size / 1e6)));
      const id = newId();
      const made = await smaller(file);
      const sent = await api.sendPhoto(surface.jobId, id, made.picture).catch((error: unknown) => {
        if (error instanceof ServerUnreachable && made.size !== undefined)
          return this.#keep(surface.jobId, id, made);
        throw error;
      });
      this.#note(surface, of, { id, ...sent });
    } catch (error) {
      this.fault.set(faultOf(error, file.name));
    } finally {
      this.isBusy.set(false);
    }
  }

  #note(
    surface: RowOf<'surface'>,
    of: PhotoOf,
    { id, ...size }: { readonly id: string } & Pick<Photo, 'width_px' | 'height_px' | 'bytes'>,
  ): void {
    this.#desk.do(surveyWords.pictureAdded(surface.tag), [
      this.#desk.put(
        'photo',
        {
          ...NEW_PHOTO,
          surfaceId: surface.id,
          ...of,
          takenAt: new Date().toISOString(),
          ...size,
          position: this.#reading.photosOf(surface.id).length + 1,
        },
        id,
      ),
    ]);
  }

  async #keep(
    jobId: string,
    id: string,
    { picture, size }: Smaller,
  ): Promise<Pick<Photo, 'width_px' | 'height_px' | 'bytes'>> {
    const store = await browserStore();
    await store.put('pictures', { id, jobId, picture });
    this.#show(id, picture);
    return { ...(size ?? { width_px: 1, height_px: 1 }), bytes: picture.size };
  }

  /** What waits in this browser goes to the server, one by one; what it refuses is said and dropped. */
  async #sendKept(jobId: string): Promise<void> {
    const store = await browserStore().catch(() => undefined);
    const kept = (await store?.getAllFromIndex('pictures', 'job', jobId)) ?? [];
    for (const { id, picture } of kept) {
      this.#show(id, picture);
      try {
        await api.sendPhoto(jobId, id, picture);
      } catch (error) {
        if (error instanceof ServerUnreachable) return;
        this.fault.set(faultOf(error, surveyWords.pictureKept));
      }
      await store?.delete('pictures', id);
      this.#here.update((here) => new Map([...here].filter(([own]) => own !== id)));
    }
  }

  #show(id: string, picture: Blob): void {
    if (!this.#here().has(id))
      this.#here.update((here) => new Map([...here, [id, URL.createObjectURL(picture)]]));
  }
}

function faultOf(error: unknown, name: string): string {
  if (error instanceof ServerRefusal) {
    const says = `${name}: ${error.problem.title}. ${error.problem.detail}`;
    return HEIC.test(name) ? `${says} ${surveyWords.pictureHeic}` : says;
  }
  return error instanceof RangeError ? error.message : surveyWords.pictureNotSent(name);
}

/** The picture no longer than 2000 px; what the browser cannot read goes as it is, for the server to name. */
async function smaller(file: File): Promise<Smaller> {
  const bitmap = await createImageBitmap(file).catch(() => undefined);
  if (bitmap === undefined) return { picture: file, size: undefined };
  const scale = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height));
  const size = {
    width_px: Math.max(1, Math.round(bitmap.width * scale)),
    height_px: Math.max(1, Math.round(bitmap.height * scale)),
  };
  const canvas = new OffscreenCanvas(size.width_px, size.height_px);
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  return { picture: await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY }), size };
}
