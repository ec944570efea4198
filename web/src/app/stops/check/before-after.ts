import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import { mmFromNm } from '@yellow-pane/core/quantity';
import { faceOfSurface, pairOf, wholeViews } from '@yellow-pane/core/reading';
import { homographyOf } from '@yellow-pane/core/squaring';
import { boundsOf } from '@yellow-pane/core/strokes';
import { JobClock } from '../../day/job-clock';
import { PhotoWork } from '../../job/photo-work';
import { PhotoButton } from '../../ui/photo-button';
import { checkWords } from '../../words/check';
import { CheckDesk } from './check-desk';
import { PhotoPlace } from './photo-place';

const WIDE_PX = 300;

/**
 * The whole surface before and after, each made square by its four corners, side by side for the customer.
 */
@Component({
  selector: 'yp-before-after',
  imports: [PhotoButton, PhotoPlace],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details class="border-t border-line pt-2">
      <summary class="font-bold min-h-10 content-center cursor-pointer">{{ words.beforeAfter }}</summary>
      <p class="text-sm">{{ words.beforeAfterHow }}</p>
      <yp-photo-button [word]="words.photoOfWhole" (taken)="take($event)" />
      <div class="flex flex-wrap gap-3 mt-2">
        @for (own of views(); track own.photo.id) {
          <figure>
            @if (own.turned; as turned) {
              <div
                class="relative overflow-hidden border border-ink"
                [style.width.px]="turned.wide"
                [style.height.px]="turned.high"
              >
                <img
                  [src]="own.address"
                  [alt]="own.says"
                  loading="lazy"
                  class="absolute left-0 top-0 max-w-none origin-top-left"
                  [style.width.px]="own.photo.width_px"
                  [style.height.px]="own.photo.height_px"
                  [style.transform]="turned.matrix"
                />
              </div>
            } @else {
              <img [src]="own.address" [alt]="own.says" loading="lazy" class="h-32 border border-line" />
            }
            <figcaption class="text-sm">
              {{ own.says }}
              <button type="button" class="act act-small" (click)="open.set(own.photo.id)">
                {{ words.fourCorners }}
              </button>
            </figcaption>
          </figure>
        }
      </div>
      @if (openOne(); as photo) {
        <yp-photo-place [photo]="photo" [size_mm]="size()" (kept)="open.set(undefined)" />
      }
    </details>
  `,
  host: { class: 'block' },
})
export class BeforeAfter {
  protected readonly words = checkWords;
  readonly #desk = inject(CheckDesk);
  readonly #photos = inject(PhotoWork);
  readonly #clock = inject(JobClock).clock;
  protected readonly open = signal<string | undefined>(undefined);
  readonly #pair = computed(() => {
    const all = wholeViews(this.#desk.view(), this.#desk.surface()?.id ?? '');
    const pair = pairOf(all);
    return pair === undefined ? all.slice(0, 1) : [pair.before, pair.now];
  });
  protected readonly size = computed(() => {
    const own = faceOfSurface(this.#desk.view(), this.#desk.surface()?.id ?? '');
    if (own === undefined) return undefined;
    const { left, right, bottom, top } = boundsOf(own.face);
    return { width: right - left, height: top - bottom };
  });
  protected readonly views = computed(() =>
    this.#pair().map((photo, index) => ({
      photo,
      address: this.#photos.address(photo),
      turned: turnedSquare(photo),
      says: checkWords.viewOf(
        index === 0 ? checkWords.before : checkWords.after,
        photo.takenAt === null ? checkWords.noDay : this.#clock().dateOf(photo.takenAt),
      ),
    })),
  );
  protected readonly openOne = computed(() => this.#pair().find(({ id }) => id === this.open()));

  protected take(file: File): void {
    const surface = this.#desk.surface();
    if (surface !== undefined) void this.#photos.add(surface, {}, file);
  }
}

/**
 * A picture laid square in a box by the browser itself: its projective mapping as a matrix of four by four.
 */
function turnedSquare({ square }: RowOf<'photo'>) {
  if (square === null) return undefined;
  const ratio = mmFromNm(square.height_nm) / mmFromNm(square.width_nm);
  const [wide, high] = ratio > 1 ? [WIDE_PX / ratio, WIDE_PX] : [WIDE_PX, WIDE_PX * ratio];
  const [a = 1, b = 0, c = 0, d = 0, e = 1, f = 0, g = 0, h = 0] = homographyOf(square.taps, [
    { x: 0, y: 0 },
    { x: wide, y: 0 },
    { x: wide, y: high },
    { x: 0, y: high },
  ]);
  return { wide, high, matrix: `matrix3d(${[a, d, 0, g, b, e, 0, h, 0, 0, 1, 0, c, f, 0, 1].join(',')})` };
}
