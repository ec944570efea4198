import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { Step } from '@yellow-pane/core/quantity';
import { uiWords } from '../words/ui';

/** The steps behind a figure: formula, inputs, source, how sure. The one place that shows them. */
@Component({
  selector: 'yp-step-trace',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (step of steps(); track $index) {
      <div class="border-l-4 border-line-strong bg-board px-3 py-2 text-sm leading-snug">
        <p class="figure">{{ step.says }}</p>
        <dl class="mt-1 grid grid-cols-[1fr_auto] gap-x-3">
          @for (entry of step.inputs; track entry.key) {
            <dt class="text-faint">{{ entry.word }}</dt>
            <dd class="figure text-right">{{ shown(entry.value) }} {{ entry.unit }}</dd>
          }
          <dt class="font-semibold">{{ step.word }}</dt>
          <dd class="figure text-right font-semibold">{{ shown(step.value) }} {{ step.unit }}</dd>
        </dl>
        @if (step.uncertainty; as spread) {
          <p class="mt-1">± {{ shown(spread.plusMinus) }} {{ step.unit }}: {{ spread.says }}.</p>
        } @else {
          <p class="mt-1 text-faint">{{ words.howSureUnknown }}</p>
        }
        @if (step.remark) {
          <p class="mt-1">{{ step.remark }}</p>
        }
        <p class="mt-1 text-faint">{{ words.source(step.source.text) }}</p>
      </div>
    }
  `,
  host: { class: 'block' },
})
export class StepTrace {
  protected readonly words = uiWords;
  readonly steps = input.required<readonly Step[]>();
  protected shown(value: number): string {
    return Number.isInteger(value)
      ? String(value)
      : value
          .toPrecision(Math.max(4, Math.min(9, Math.floor(Math.log10(Math.abs(value) || 1)) + 3)))
          .replace(/(\.\d*?)0+$/, '$1')
          .replace(/\.$/, '');
  }
}
