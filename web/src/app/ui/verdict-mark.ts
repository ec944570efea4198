import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Verdict } from '@yellow-pane/core/quantity';
import { VERDICT_SHAPES, VERDICT_TONES } from './verdict-shapes';

/** A verdict in a row of a table: its shape, then its word. */
@Component({
  selector: 'yp-verdict-mark',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      viewBox="0 0 24 24"
      width="18"
      height="18"
      class="shrink-0"
      [class]="tone()"
      fill="none"
      stroke="currentColor"
      stroke-width="2.6"
      stroke-linejoin="round"
      aria-hidden="true"
    >
      <path [attr.d]="shape()" />
    </svg>
    <span [class.sr-only]="short()">{{ verdict() }}</span>
  `,
  host: { class: 'inline-flex items-center gap-1.5 whitespace-nowrap' },
})
export class VerdictMark {
  readonly verdict = input.required<Verdict>();
  readonly short = input(false);
  protected readonly tone = computed(() => VERDICT_TONES[this.verdict()]);
  protected readonly shape = computed(() => VERDICT_SHAPES[this.verdict()]);
}
