import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Verdict } from '@yellow-pane/core/quantity';

const TONES: Readonly<Record<Verdict, string>> = { go: 'text-go', 'go with care': 'text-care', stop: 'text-stop', unknown: 'text-faint' };
const SHAPES: Readonly<Record<Verdict, string>> = {
  go: 'M3 13l6 6L21 6',
  'go with care': 'M12 3l10 18H2zM12 10v5M12 17.5v1',
  stop: 'M8 2h8l6 6v8l-6 6H8l-6-6V8zM7 12h10',
  unknown: 'M4 4h16v16H4zM9 9.5a3 3 0 116 0c0 2-3 2-3 4M12 17v.5',
};

/** The verdict first: word and shape, then the sentence, then colour. */
@Component({
  selector: 'yp-verdict-box',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="flex gap-3 border-2 border-ink rounded-card bg-paper p-3" role="status">
      <svg viewBox="0 0 24 24" width="30" height="30" class="shrink-0 mt-0.5" [class]="tone()" fill="none" stroke="currentColor" stroke-width="2.4" stroke-linejoin="round" aria-hidden="true"><path [attr.d]="shape()" /></svg>
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
  protected readonly tone = computed(() => TONES[this.verdict()]);
  protected readonly shape = computed(() => SHAPES[this.verdict()]);
}
