import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import { filmDates } from '@yellow-pane/core/reading';
import { JobClock } from '../../day/job-clock';
import { ReadinessCache } from '../../day/readiness-cache';
import { ReturnLines, returnLines } from '../../day/return-lines';
import { JobReading } from '../../job/job-reading';
import { fitWords } from '../../words/fit';

const MINUTE_MS = 60_000;

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
  readonly #book = inject(ReadinessCache);
  readonly #clock = inject(JobClock).clock;
  readonly #opened_ms = Date.now();

  protected readonly lines = computed(() => {
    const application = this.application();
    const laidAt_ms = this.laidAt() === null ? this.#opened_ms : Date.parse(this.laidAt() ?? '');
    const clock = this.#clock();
    const waits = filmDates(this.#reading.view(), application, laidAt_ms, this.#book.sky())?.waits ?? [];
    const laidAt = (laidAt_ms - clock.from_ms) / MINUTE_MS;
    return returnLines(waits, { clock, laidAt, owner: application.id });
  });
}
