import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { neverWords, waitWords } from '@yellow-pane/contracts/words';
import { returnsAfter } from '@yellow-pane/core/day';
import { Catalogue } from '../../catalogue/catalogue';
import { JobReading } from '../../job/job-reading';
import { dayWords } from '../../words/day';
import { Planning } from './planning';

/** Waits and returns after the work: what to come back for, and when, for the surface looked at first. */
@Component({
  selector: 'yp-returns-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (lines().length > 0) {
      <details class="border-t border-line pt-2">
        <summary class="font-semibold cursor-pointer min-h-9">{{ words.remindersAndReturns }}</summary>
        <ul>
          @for (line of lines(); track line.key) {
            <li class="py-1 border-b border-line leading-snug">
              <span class="font-semibold">{{ line.head }}</span><br />{{ line.when
              }}<span class="block text-sm text-faint">{{ line.check }}</span>
            </li>
          }
        </ul>
      </details>
    }
  `,
  host: { class: 'block empty:hidden' },
})
export class ReturnsList {
  protected readonly words = dayWords;
  protected readonly planning = inject(Planning);
  readonly #reading = inject(JobReading);
  readonly #catalogue = inject(Catalogue);

  protected readonly lines = computed(() => {
    const planning = this.planning;
    const clock = planning.clock();
    const works = planning.works();
    const picked = planning.picked()?.applicationId;
    const ends = new Map<string, number>();
    for (const step of planning.kept()) {
      const id = works.get(step.id)?.applicationId;
      if (id !== undefined) ends.set(id, Math.max(ends.get(id) ?? 0, step.end));
    }
    return planning
      .surfaces()
      .filter(
        ({ applicationId }) => ends.has(applicationId) && (picked === undefined || picked === applicationId),
      )
      .flatMap(({ applicationId, tag, method = 'trim in place', family }) => {
        const end = ends.get(applicationId) ?? 0;
        const film = this.#catalogue
          .byId()
          .get(this.#reading.applications().find(({ id }) => id === applicationId)?.filmId ?? '');
        const moments = planning.ready()?.get(applicationId)?.moments ?? [];
        const glass_C =
          moments.length === 0
            ? null
            : moments.reduce((sum, { surface_C }) => sum + surface_C, 0) / moments.length;
        const [from, to] = [clock.from_ms + end * 60_000, clock.from_ms + (end + 2880) * 60_000];
        const nights = planning.weather
          .hours()
          .filter(({ instant_ms }) => instant_ms >= from && instant_ms < to)
          .map(({ air_C }) => air_C);
        return returnsAfter({
          method,
          family,
          film_um: film?.thickness_um ?? 50,
          room: planning.indoor(),
          glass_C,
          outdoorLow_C: nights.length === 0 ? null : Math.min(...nights),
        }).map((wait) => ({
          key: `${applicationId} ${wait.key}`,
          head: `${tag}: ${waitWords(wait).word}`,
          check: waitWords(wait).check,
          at: end + (wait.least ?? 1e9),
          when:
            wait.never !== null
              ? neverWords(wait.never)
              : wait.key === 'clear'
                ? dayWords.usuallyClearBy(clock.date(end + (wait.likely ?? 0)))
                : dayWords.spanOf(clock.clock(end + (wait.least ?? 0)), clock.clock(end + (wait.most ?? 0))),
        }));
      })
      .sort((a, b) => a.at - b.at)
      .slice(0, 12);
  });
}
