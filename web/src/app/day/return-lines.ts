import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { DayClock } from '@yellow-pane/contracts/day-clock';
import { neverWords, waitWords } from '@yellow-pane/contracts/words';
import type { Step } from '@yellow-pane/core/quantity';
import type { Wait } from '@yellow-pane/core/waiting';
import { StepTrace } from '../ui/step-trace';
import { dayWords } from '../words/day';

/** One thing to wait for or come back for, in the words of the place's clock. */
interface ReturnLine {
  readonly key: string;
  readonly head: string;
  readonly when: string;
  readonly check: string;
  /** Minute of the days by which it begins; what never ends comes last. */
  readonly at: number;
  readonly why: readonly Step[];
}

const LAST = 1e9;

/** @param laidAt minute of the days on which the film was, or will be, laid */
export function returnLines(
  waits: readonly Wait[],
  { clock, laidAt, owner, tag }: { clock: DayClock; laidAt: number; owner: string; tag?: string },
): readonly ReturnLine[] {
  return waits.map((wait) => {
    const { word, check } = waitWords(wait);
    return {
      key: `${owner} ${wait.key}`,
      head: tag === undefined ? word : `${tag}: ${word}`,
      check,
      at: laidAt + (wait.least ?? LAST),
      why: wait.why,
      when: whenOf(wait, clock, laidAt),
    };
  });
}

function whenOf(
  { key, never, goesOnMonth, least, likely, most }: Wait,
  clock: DayClock,
  laidAt: number,
): string {
  if (never !== null) return neverWords(never, goesOnMonth);
  if (key === 'clear')
    return dayWords.usuallyClearBy(clock.date(laidAt + (likely ?? 0)), clock.date(laidAt + (most ?? 0)));
  return dayWords.spanOf(clock.moment(laidAt + (least ?? 0)), clock.moment(laidAt + (most ?? 0)));
}

/** Waits and returns, each opened to how it was calculated. */
@Component({
  selector: 'yp-return-lines',
  imports: [StepTrace],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul>
      @for (line of lines(); track line.key) {
        <li class="py-1 border-b border-line leading-snug">
          <span class="font-semibold">{{ line.head }}</span><br />{{ line.when
          }}<span class="block text-sm text-faint">{{ line.check }}</span>
          @if (line.why.length > 0) {
            <details>
              <summary class="text-sm underline underline-offset-2 cursor-pointer min-h-9 content-center">
                {{ words.howCalculated }}
              </summary>
              <yp-step-trace [steps]="line.why" />
            </details>
          }
        </li>
      }
    </ul>
  `,
  host: { class: 'block' },
})
export class ReturnLines {
  protected readonly words = dayWords;
  readonly lines = input.required<readonly ReturnLine[]>();
}
