import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { neverWords, waitWords } from '@yellow-pane/contracts/words';
import { JobClock } from '../../day/job-clock';
import { StepTrace } from '../../ui/step-trace';
import { fitWords } from '../../words/fit';
import { FitDesk } from './fit-desk';

const MINUTE_MS = 60_000;

/** What holds the step in hand back, and what there is to look at, to wait for or to say. */
@Component({
  selector: 'yp-held-card',
  imports: [StepTrace],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (card(); as own) {
      <section
        class="border-2 rounded-card px-3 py-2 max-w-[46rem]"
        [class.border-stop]="own.isStop"
        [class.border-ink]="!own.isStop"
        role="alert"
      >
        <p class="text-xl font-semibold leading-snug">{{ own.head }}</p>
        @if (own.says) {
          <p class="text-xl leading-snug mt-1">{{ own.says }}</p>
        }
        @if (own.why.length > 0) {
          <details>
            <summary class="min-h-touch content-center underline cursor-pointer">
              {{ words.howCalculated }}
            </summary>
            <yp-step-trace [steps]="own.why" />
          </details>
        }
      </section>
    }
  `,
  host: { class: 'contents' },
})
export class HeldCard {
  protected readonly words = fitWords;
  readonly #desk = inject(FitDesk);
  readonly #clock = inject(JobClock).clock;

  protected readonly card = computed(() => {
    const held = this.#desk.held();
    switch (held?.case) {
      case undefined:
        return undefined;
      case 'danger':
        return {
          isStop: true,
          head:
            held.caution.stops === 'until consent'
              ? fitWords.heldUntilConsent
              : fitWords.heldUntilWord(held.caution.word),
          says: '',
          why: [],
        };
      case 'gate': {
        const [first] = held.lines;
        if (first === undefined) return undefined;
        const isWrong = first.state === 'not right';
        return {
          isStop: isWrong,
          head: isWrong ? fitWords.gateWrong(first.asks) : fitWords.gateAsks(first.asks, held.lines.length),
          says: first.known?.answer === 'not right' ? this.#knownSaid(first.known.by) : first.how,
          why: [],
        };
      }
      case 'wait': {
        const { wait, state } = held;
        const said = wait.wait === null ? undefined : waitWords(wait.wait);
        const head =
          wait.over_ms === null
            ? wait.wait?.never == null
              ? fitWords.waitUnknown(wait.why)
              : neverWords(wait.wait.never)
            : fitWords.waitUntil(
                wait.why,
                this.#clock().hourFrom(this.#desk.now_ms(), wait.opens_ms ?? wait.over_ms),
              );
        return {
          isStop: false,
          head: state === 'feel it' ? fitWords.waitFeel(wait.why) : head,
          says: this.#desk.now_ms() < wait.from_ms - MINUTE_MS ? fitWords.clockBehind : (said?.check ?? ''),
          why: wait.wait?.why ?? [],
        };
      }
    }
  });

  #knownSaid(by: 'reading' | 'sun' | 'survey'): string {
    const sun = this.#desk.sun();
    if (by === 'sun' && sun?.case === 'on it')
      return fitWords.sunUntil(this.#clock().hourFrom(this.#desk.now_ms(), sun.until_ms));
    return by === 'survey' ? fitWords.groundRefused : fitWords.readOutside;
  }
}
