import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Verdict } from '@yellow-pane/core/quantity';
import { VERDICT_SHAPES, VERDICT_TONES } from './verdict-shapes';

/** The verdict first: word and shape, then the sentence, then colour. */
@Component({
  selector: 'yp-verdict-box',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="flex gap-3 border-2 border-ink rounded-card bg-paper p-3" role="status">
      <svg
        viewBox="0 0 24 24"
        width="30"
        height="30"
        class="shrink-0 mt-0.5"
        [class]="tone()"
        fill="none"
        stroke="currentColor"
        stroke-width="2.4"
        stroke-linejoin="round"
        aria-hidden="true"
      >
        <path [attr.d]="shape()" />
      </svg>
      <div class="min-w-0">
        <p class="font-bold text-lg leading-tight">{{ heading() }}</p>
        <p class="leading-snug"><ng-content /></p>
      </div>
    </div>
  `,
})
export class VerdictBox {
  readonly verdict = input.required<Verdict>();
  readonly heading = input.required<string>();
  protected readonly tone = computed(() => VERDICT_TONES[this.verdict()]);
  protected readonly shape = computed(() => VERDICT_SHAPES[this.verdict()]);
}
