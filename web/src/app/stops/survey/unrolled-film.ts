import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { type Outline, outlineBounds } from '@yellow-pane/core/measure';
import { formatLengthWithUnit, nmFromMm } from '@yellow-pane/core/quantity';
import { Device } from '../../device/device';
import { pathOf } from '../../drawing/drawing-geometry';
import { surveyWords } from '../../words/survey';

const WIDTH = 270;
const HEIGHT = 130;

/** The film of a column laid flat, to scale. */
@Component({
  selector: 'yp-unrolled-film',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <figure>
      <svg
        [attr.viewBox]="'0 0 ' + width + ' ' + height"
        class="w-full bg-paper border border-line rounded-card"
        role="img"
        [attr.aria-label]="words.filmLaidFlat"
      >
        <path [attr.d]="path()" class="fill-film stroke-ink" fill-opacity="0.18" stroke-width="1.5" />
      </svg>
      <figcaption class="text-sm text-faint mt-1">{{ words.filmLaidFlatSize(size()) }}</figcaption>
    </figure>
  `,
})
export class UnrolledFilm {
  protected readonly words = surveyWords;
  readonly #units = inject(Device).units;
  readonly outline = input.required<Outline>();
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;
  readonly #bounds = computed(() => outlineBounds(this.outline()));
  protected readonly path = computed(() => {
    const { left, top, width, height } = this.#bounds();
    const scale = Math.min((WIDTH - 20) / width, (HEIGHT - 20) / height);
    return pathOf(
      this.outline().map(({ x, y }) => ({
        x: (WIDTH - width * scale) / 2 + (x - left) * scale,
        y: (HEIGHT - height * scale) / 2 + (y - top) * scale,
      })),
    );
  });
  protected readonly size = computed(() => {
    const { width, height } = this.#bounds();
    return `${formatLengthWithUnit(nmFromMm(Math.round(width)), this.#units())} × ${formatLengthWithUnit(nmFromMm(Math.round(height)), this.#units())}`;
  });
}
