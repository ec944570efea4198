import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import type { GateState } from '@yellow-pane/core/fitting';
import type { GateLine } from '@yellow-pane/core/reading';
import { JobClock } from '../../day/job-clock';
import { StateMark, type StateShape } from '../../ui/state-mark';
import { fitWords } from '../../words/fit';
import { FitDesk } from './fit-desk';

const SHAPES: Readonly<Record<GateState, StateShape>> = {
  'not looked at': 'open',
  right: 'full',
  'by word': 'half',
  'not right': 'barred',
};

/** What is looked at before film goes on: how each thing stands, who looked, and when. */
@Component({
  selector: 'yp-gate-list',
  imports: [StateMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="gate">
      <h2 id="gate" class="font-bold mb-1">{{ words.gate(looked(), lines().length) }}</h2>
      <ul>
        @for (line of lines(); track line.key) {
          <li class="border-b border-line">
            <button
              type="button"
              class="flex w-full gap-2 items-start py-2 min-h-14 text-left leading-tight"
              [attr.aria-expanded]="open() === line.key"
              (click)="picked.set(open() === line.key ? 'none' : line.key)"
            >
              <yp-state-mark [shape]="line.shape" class="mt-0.5" />
              <span class="flex-1">
                <span class="font-semibold">{{ line.asks }}</span>
                @if (open() === line.key || line.state !== 'not looked at') {
                  <span class="block text-sm">{{ line.says }}</span>
                }
              </span>
            </button>
            @if (open() === line.key) {
              <div class="flex gap-2 pb-2" role="group" [attr.aria-label]="line.asks">
                <button
                  type="button"
                  class="act min-h-14 flex-1 justify-center"
                  [attr.aria-pressed]="line.state === 'right'"
                  (click)="answer(line, 'right')"
                >
                  {{ words.gateRight }}
                </button>
                <button
                  type="button"
                  class="act min-h-14 flex-1 justify-center"
                  [attr.aria-pressed]="line.state === 'not right' || line.state === 'by word'"
                  (click)="answer(line, 'not right')"
                >
                  {{ words.gateNotRight }}
                </button>
              </div>
            }
          </li>
        }
      </ul>
    </section>
  `,
  host: { class: 'block' },
})
export class GateList {
  protected readonly words = fitWords;
  protected readonly desk = inject(FitDesk);
  readonly #clock = inject(JobClock).clock;
  readonly #applicationId = computed(() => this.desk.application()?.id ?? '');
  /** The one that was pressed; else the first that nobody has looked at. */
  protected readonly picked = linkedSignal<string, string>({
    source: this.#applicationId,
    computation: () => '',
  });
  protected readonly open = computed(() =>
    this.picked() === ''
      ? this.desk.gate().find(({ state }) => state === 'not looked at')?.key
      : this.picked(),
  );
  protected readonly lines = computed(() =>
    this.desk.gate().map((line) => ({ ...line, shape: SHAPES[line.state], says: this.#says(line) })),
  );
  protected readonly looked = computed(
    () => this.lines().filter(({ state }) => state === 'right' || state === 'by word').length,
  );

  protected answer(line: GateLine, answer: 'right' | 'not right'): void {
    this.desk.answer(line, answer);
    this.picked.set('');
  }

  #says({ state, tick, known, how }: GateLine): string {
    if (tick === undefined || (state !== 'by word' && tick.answer !== state))
      return known === undefined ? how : fitWords.gateKnown(known.by, state);
    const when = this.#clock().hourFrom(this.desk.minute_ms(), Date.parse(tick.lookedAt));
    return fitWords.gateFound(state === 'by word' ? tick.word : '', tick.changedBy, when);
  }
}
