import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import type { Step } from '@yellow-pane/core/quantity';
import { StepTrace } from './step-trace';

/** A figure in plain sight that opens to its formula, inputs, source and uncertainty. */
@Component({
  selector: 'yp-figure',
  imports: [StepTrace],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button
      type="button"
      class="flex w-full min-h-10 items-baseline gap-2 py-1.5 text-left border-b border-line hover:bg-board"
      [attr.aria-expanded]="isOpen()"
      (click)="isOpen.set(!isOpen())"
    >
      <span class="flex-1 leading-tight">{{ label() }}</span>
      <span class="figure font-semibold whitespace-nowrap text-measure">{{ value() }}</span>
      @if (spread(); as text) {
        <span class="figure text-sm text-faint whitespace-nowrap">{{ text }}</span>
      }
      <svg
        viewBox="0 0 10 10"
        width="9"
        height="9"
        class="self-center text-faint shrink-0"
        aria-hidden="true"
      >
        <path
          [attr.d]="isOpen() ? 'M1 7l4-4 4 4' : 'M1 3l4 4 4-4'"
          fill="none"
          stroke="currentColor"
          stroke-width="1.6"
        />
      </svg>
    </button>
    @if (isOpen()) {
      <yp-step-trace [steps]="why()" />
    }
  `,
  host: { class: 'block' },
})
export class Figure {
  readonly label = input.required<string>();
  readonly value = input.required<string>();
  readonly why = input.required<readonly Step[]>();
  /** Turns a standard deviation in the formula's unit into text in the unit shown. */
  readonly showSpread = input<((plusMinus: number) => string) | undefined>(undefined);
  protected readonly isOpen = signal(false);
  protected readonly spread = computed(() => {
    const plusMinus = this.why().at(-1)?.uncertainty?.plusMinus;
    const show = this.showSpread();
    return plusMinus === undefined || show === undefined ? undefined : `±${show(plusMinus)}`;
  });
}
