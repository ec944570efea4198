import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { JobSummary } from '@yellow-pane/contracts';
import { jobsWords } from '../words/jobs';

const HEIGHT = 44;
const GAP = 5;
const UNKNOWN = { width_mm: 700, height_mm: 1000 };

/** The first surfaces of a job side by side on one ground line, to one scale. Dashed: not measured. */
@Component({
  selector: 'yp-elevation-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [attr.viewBox]="'0 0 ' + total() + ' ' + (height + 4)"
      [attr.width]="total()"
      [attr.height]="height + 4"
      class="max-w-full"
      role="img"
      [attr.aria-label]="words.surfacesDrawn(strip().length)"
    >
      @for (pane of panes(); track $index) {
        <rect
          [attr.x]="pane.x"
          [attr.y]="height - pane.h + 1"
          [attr.width]="pane.w"
          [attr.height]="pane.h"
          [class]="pane.isKnown ? 'fill-glass' : 'fill-none'"
          class="stroke-ink"
          [attr.stroke-dasharray]="pane.isKnown ? null : '3 2'"
        />
      }
      <line
        x1="0"
        [attr.x2]="total()"
        [attr.y1]="height + 2.5"
        [attr.y2]="height + 2.5"
        class="stroke-line-strong"
      />
    </svg>
  `,
  host: { class: 'block overflow-hidden' },
})
export class ElevationStrip {
  protected readonly words = jobsWords;
  readonly strip = input.required<JobSummary['strip']>();
  protected readonly height = HEIGHT;
  protected readonly panes = computed(() => {
    const tallest = this.strip().reduce(
      (most, { height_mm }) => Math.max(most, height_mm ?? UNKNOWN.height_mm),
      UNKNOWN.height_mm,
    );
    let x = 1;
    return this.strip().map(({ width_mm, height_mm }) => {
      const [w, h] = [
        ((width_mm ?? UNKNOWN.width_mm) / tallest) * HEIGHT,
        ((height_mm ?? UNKNOWN.height_mm) / tallest) * HEIGHT,
      ];
      const pane = { x, w, h, isKnown: width_mm !== null && height_mm !== null };
      x += w + GAP;
      return pane;
    });
  });
  protected readonly total = computed(() => Math.max(60, ...this.panes().map(({ x, w }) => x + w + 2)));
}
