import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
} from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import { areaInPhoto, becameOf, pairOf, photosOfMark } from '@yellow-pane/core/reading';
import { JobClock } from '../../day/job-clock';
import { JobDesk } from '../../job/job-desk';
import { PhotoWork } from '../../job/photo-work';
import { PhotoButton } from '../../ui/photo-button';
import { checkWords } from '../../words/check';
import { CheckDesk } from './check-desk';
import { PhotoPlace } from './photo-place';

const BECAME = ['gone', 'smaller', 'same', 'larger'] as const;

/** Pictures of one mark: taken in one press, made square by four taps, the first beside the last. */
@Component({
  selector: 'yp-mark-photos',
  imports: [PhotoButton, PhotoPlace],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <yp-photo-button [word]="words.photoOfMark" (taken)="take($event)" />
    @if (photos.fault(); as text) {
      <p class="text-stop font-semibold mt-1" role="alert">{{ text }}</p>
    }
    @if (lines().length > 0) {
      <ul class="flex flex-wrap gap-2 mt-2" [attr.aria-label]="words.photosOfMark">
        @for (line of lines(); track line.photo.id) {
          <li>
            <button
              type="button"
              class="block text-left border-2 border-line rounded-card overflow-hidden"
              [class.!border-ink]="line.photo.id === open()"
              [attr.aria-pressed]="line.photo.id === open()"
              (click)="toggle(line.photo.id)"
            >
              <img
                [src]="address(line.photo)"
                [alt]="words.photoFrom(line.day)"
                loading="lazy"
                class="h-20 w-full min-w-28 object-cover"
              />
              <span class="block text-sm px-1">{{ line.says }}</span>
            </button>
          </li>
        }
      </ul>
    }
    @if (openOne(); as photo) {
      <yp-photo-place [photo]="photo" (kept)="open.set(undefined)" />
      @if (extent(); as size) {
        <button type="button" class="act min-h-12 mt-1" (click)="sized.emit(size)">
          {{ words.sizeFromPhoto }}
        </button>
      }
    }
    @if (pair(); as own) {
      <section class="mt-2 border-l-4 border-ink pl-3" [attr.aria-label]="words.pairOfPhotos">
        <p class="leading-snug">{{ pairSays() }}</p>
        @if (became(); as offered) {
          <p class="font-bold text-lg" role="status">{{ words.seemsTo(offered) }}</p>
          <div class="grid grid-cols-4 gap-1.5 mt-1">
            @for (entry of choices; track entry) {
              <button
                type="button"
                class="act min-h-14 justify-center"
                [class.act-next]="entry === offered && own.now.paired === null"
                [attr.aria-pressed]="entry === own.now.paired"
                [class.!bg-ink]="entry === own.now.paired"
                [class.!text-ground]="entry === own.now.paired"
                (click)="decide(entry)"
              >
                {{ entry }}
              </button>
            }
          </div>
        }
      </section>
    }
  `,
  host: { class: 'block' },
})
export class MarkPhotos {
  protected readonly words = checkWords;
  protected readonly choices = BECAME;
  readonly #desk = inject(CheckDesk);
  readonly #job = inject(JobDesk);
  protected readonly photos = inject(PhotoWork);
  readonly #clock = inject(JobClock).clock;
  readonly mark = input.required<RowOf<'mark'>>();
  readonly sized = output<number>();
  readonly gone = output();
  /** Which it is, whatever of it changes. */
  readonly #markId = computed(() => this.mark().id);
  protected readonly open = linkedSignal<string, string | undefined>({
    source: this.#markId,
    computation: () => undefined,
  });
  readonly #all = computed(() => photosOfMark(this.#desk.view(), this.mark()));
  protected readonly lines = computed(() =>
    this.#all().map((photo) => {
      const day = photo.takenAt === null ? checkWords.noDay : this.#clock().dateOf(photo.takenAt);
      const area = areaInPhoto(photo);
      return { photo, day, says: area === undefined ? day : `${day}: ${areaSays(area)}` };
    }),
  );
  protected readonly openOne = computed(() => this.#all().find(({ id }) => id === this.open()));
  protected readonly extent = computed(() => {
    const photo = this.openOne();
    return photo === undefined ? undefined : areaInPhoto(photo)?.extent_mm;
  });
  protected readonly pair = computed(() => pairOf(this.#all()));
  protected readonly became = computed(() => {
    const pair = this.pair();
    return pair === undefined ? undefined : becameOf(pair);
  });
  protected readonly pairSays = computed(() => {
    const pair = this.pair();
    if (pair === undefined) return '';
    const [before, now] = [areaInPhoto(pair.before), areaInPhoto(pair.now)];
    if (before === undefined) return checkWords.squareTheFirst;
    if (pair.now.square === null) return checkWords.squareTheLast;
    return checkWords.pairIs(areaSays(before), now === undefined ? checkWords.nothingThere : areaSays(now));
  });

  protected address(photo: RowOf<'photo'>): string {
    return this.photos.address(photo);
  }

  protected toggle(id: string): void {
    this.open.update((open) => (open === id ? undefined : id));
  }

  protected take(file: File): void {
    const surface = this.#desk.surface();
    if (surface !== undefined) void this.photos.add(surface, { markId: this.mark().id }, file);
  }

  /** The person decides; what is gone is gone from the list of marks too. */
  protected decide(paired: (typeof BECAME)[number]): void {
    const pair = this.pair();
    if (pair === undefined) return;
    this.#job.do(checkWords.pairSaid(paired), [
      this.#job.set('photo', pair.now.id, { paired, pairOfId: pair.before.id }),
      ...(paired === 'gone' && this.mark().goneAt === null
        ? [this.#job.set('mark', this.mark().id, { goneAt: pair.now.takenAt ?? new Date().toISOString() })]
        : []),
    ]);
  }
}

const areaSays = ({ area_mm2, sd_mm2 }: { readonly area_mm2: number; readonly sd_mm2: number }): string =>
  checkWords.areaIs(Math.round(area_mm2), Math.max(1, Math.round(sd_mm2)));
