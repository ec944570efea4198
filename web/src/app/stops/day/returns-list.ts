import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { filmDates } from '@yellow-pane/core/reading';
import { ReadinessCache } from '../../day/readiness-cache';
import { ReturnLines, returnLines } from '../../day/return-lines';
import { JobReading } from '../../job/job-reading';
import { dayWords } from '../../words/day';
import { Planning } from './planning';

const MINUTE_MS = 60_000;
const MOST_LINES = 12;

/** Waits and returns after the work: what to come back for, and when, for the surface looked at first. */
@Component({
  selector: 'yp-returns-list',
  imports: [ReturnLines],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (lines().length > 0) {
      <details class="border-t border-line pt-2">
        <summary class="font-semibold cursor-pointer min-h-9">{{ words.remindersAndReturns }}</summary>
        <yp-return-lines [lines]="lines()" />
      </details>
    }
  `,
  host: { class: 'block empty:hidden' },
})
export class ReturnsList {
  protected readonly words = dayWords;
  protected readonly planning = inject(Planning);
  readonly #reading = inject(JobReading);
  readonly #book = inject(ReadinessCache);

  readonly #ends = computed(() => {
    const works = this.planning.works();
    const ends = new Map<string, number>();
    for (const step of this.planning.kept()) {
      const id = works.get(step.id)?.applicationId;
      if (id !== undefined) ends.set(id, Math.max(ends.get(id) ?? 0, step.end));
    }
    return ends;
  });

  protected readonly lines = computed(() => {
    const { planning } = this;
    const view = this.#reading.view();
    const clock = planning.clock();
    const picked = planning.picked()?.applicationId;
    return planning
      .surfaces()
      .flatMap(({ applicationId, tag }) => {
        const laidAt = this.#ends().get(applicationId);
        const application = view.applicationById.get(applicationId);
        const isAsked = picked === undefined || picked === applicationId;
        if (laidAt === undefined || application === undefined || !isAsked) return [];
        const laidAt_ms = clock.from_ms + laidAt * MINUTE_MS;
        const waits = filmDates(view, application, laidAt_ms, this.#book.sky())?.waits ?? [];
        return returnLines(waits, { clock, laidAt, owner: applicationId, tag });
      })
      .sort((a, b) => a.at - b.at)
      .slice(0, MOST_LINES);
  });
}
