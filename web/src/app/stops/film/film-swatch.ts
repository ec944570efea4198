import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Film } from '@yellow-pane/core/job';

/** What a film looks like beside its darkness. */
type FilmLooks = Pick<Film, 'family' | 'haze' | 'coverage' | 'direction'>;

const PART = 27;
const STRIPES = 4;
const MOST_WHITE = 0.85;

/**
 * The film over a scene of ours: its darkness is its real visible transmittance, its frost its real haze, a
 * pattern covers its real share. What is not looked through is drawn by its kind; of what is not known
 * nothing is drawn.
 */
@Component({
  selector: 'yp-film-swatch',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      viewBox="0 0 40 40"
      [attr.width]="small() ? 22 : 40"
      [attr.height]="small() ? 22 : 40"
      aria-hidden="true"
    >
      <rect x="0.5" y="0.5" width="39" height="39" fill="#ffffff" class="stroke-line-strong" />
      <path d="M4 30L18 8l8 12 5-7 5 17z" fill="#7d8a86" />
      @for (stripe of stripes(); track stripe.x) {
        <rect
          [attr.x]="stripe.x"
          y="0.5"
          [attr.width]="stripe.width"
          height="39"
          fill="#ffffff"
          [attr.opacity]="white()"
        />
        <rect
          [attr.x]="stripe.x"
          y="0.5"
          [attr.width]="stripe.width"
          height="39"
          fill="#101416"
          [attr.opacity]="darkness()"
        />
      }
      @switch (kind()) {
        @case ('grain') {
          <rect x="0.5" y="0.5" width="27" height="39" fill="#c9a77a" />
          <path
            d="M5 1q3 10-1 19t1 19M11 1q-3 12 1 20t-1 18M17 1q4 9 0 18t1 20M23 1q-2 13 1 21t-1 17"
            fill="none"
            stroke="#8a6238"
            stroke-width="1.4"
          />
        }
        @case ('even') {
          <rect x="0.5" y="0.5" width="27" height="39" fill="#cfcabd" />
        }
        @case ('wall') {
          <rect x="0.5" y="0.5" width="27" height="39" fill="#d8d0bf" />
          <path
            d="M0.5 10h27M0.5 20h27M0.5 30h27M9 1v9M19 1v9M4 10v10M14 10v10M24 10v10M9 20v10M19 20v10M4 30v9M14 30v9M24 30v9"
            stroke="#8f8672"
            stroke-width="1.1"
          />
        }
      }
    </svg>
  `,
  host: { class: 'inline-flex shrink-0' },
})
export class FilmSwatch {
  readonly visibleTransmitted = input.required<number | null>();
  readonly looks = input<FilmLooks | undefined>(undefined);
  readonly small = input(false);
  protected readonly darkness = computed(() => {
    const share = this.visibleTransmitted();
    return share === null ? undefined : 1 - share;
  });
  /** White that scatters, under the dark: dark frost stays dark. */
  protected readonly white = computed(() => {
    const haze = this.looks()?.haze ?? 0;
    return haze > 0.1 ? MOST_WHITE * haze : 0;
  });
  protected readonly stripes = computed(() => {
    if (this.darkness() === undefined) return [];
    const share = this.looks()?.coverage ?? 1;
    if (share === 1) return [{ x: 0.5, width: PART }];
    const pitch = PART / STRIPES;
    return Array.from({ length: STRIPES }, (_, index) => ({ x: 0.5 + index * pitch, width: share * pitch }));
  });
  protected readonly kind = computed(() => {
    const looks = this.looks();
    if (this.darkness() !== undefined || looks === undefined) return 'glass';
    if (looks.family === 'textured wall') return 'wall';
    if (looks.family === 'decor') return looks.direction === 'along the roll' ? 'grain' : 'even';
    return looks.family === 'wrap' ? 'even' : 'glass';
  });
}
