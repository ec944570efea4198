import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  computed,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import { type ReadyAnswer, returnsOf } from '@yellow-pane/core/reading';
import { JobClock } from '../../day/job-clock';
import { ReadinessBook } from '../../day/readiness-book';
import { ReturnLines, returnLines } from '../../day/return-lines';
import { JobReading } from '../../job/job-reading';
import { fitWords } from '../../words/fit';

const MINUTE_MS = 60_000;
const SETTLE_MS = 400;

/** What is to be waited for once this film is laid: the same dates as in the days. */
@Component({
  selector: 'yp-after-it',
  imports: [ReturnLines],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (lines().length > 0) {
      <section aria-labelledby="after-it">
        <h2 id="after-it" class="font-bold">
          {{ laidAt() === null ? words.afterLaidToday : words.afterLaid }}
        </h2>
        <yp-return-lines [lines]="lines()" />
      </section>
    }
  `,
  host: { class: 'block empty:hidden' },
})
export class AfterIt {
  protected readonly words = fitWords;
  readonly application = input.required<RowOf<'application'>>();
  /** When its last step was done; null: not yet. */
  readonly laidAt = input.required<string | null>();
  readonly #reading = inject(JobReading);
  readonly #book = inject(ReadinessBook);
  readonly #clock = inject(JobClock).clock;
  readonly #answers = signal<readonly ReadyAnswer[]>([]);
  readonly #opened_ms = Date.now();

  protected readonly lines = computed(() => {
    const application = this.application();
    const laidAt_ms = this.laidAt() === null ? this.#opened_ms : Date.parse(this.laidAt() ?? '');
    const clock = this.#clock();
    const waits = returnsOf(this.#reading.view(), application, {
      laidAt_ms,
      moments: this.#answers().find(({ id }) => id === application.id)?.moments ?? [],
      weather: this.#book.weather.hours(),
    });
    const laidAt = (laidAt_ms - clock.from_ms) / MINUTE_MS;
    return returnLines(waits, { clock, laidAt, owner: application.id });
  });

  constructor() {
    this.#book.weather.begin();
    let turn = 0;
    let settling: ReturnType<typeof setTimeout> | undefined;
    effect(() => {
      const surface = this.#reading.view().surfaceById.get(this.application().surfaceId);
      const { from_ms, to_ms } = this.#clock();
      this.#book.weather.hours();
      this.#book.indoor();
      clearTimeout(settling);
      turn += 1;
      const own = turn;
      if (surface === undefined) return;
      settling = setTimeout(() => {
        void untracked(() => this.#book.ask([surface], from_ms, to_ms)).then(
          (answers) => {
            if (own === turn) this.#answers.set(answers);
          },
          () => undefined,
        );
      }, SETTLE_MS);
    });
    inject(DestroyRef).onDestroy(() => {
      turn += 1;
      clearTimeout(settling);
    });
  }
}
