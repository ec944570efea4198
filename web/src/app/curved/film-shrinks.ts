import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import { type PaneShrink, isCurvedGlass, shrinkWithFilm } from '@yellow-pane/core/reading';
import { JobReading } from '../job/job-reading';
import { Selection } from '../shell/selection';
import { LIMITS_FROM, NO_SHRINK, SHRINK_VERDICTS, shrinkWords } from '../words/shrink';
import { percentOf } from './percent-of';

/** Whether a film shrinks enough for a curved pane, beside everything else it is judged by. */
@Component({
  selector: 'yp-film-shrinks',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (today(); as own) {
      <section aria-labelledby="shrinks">
        <h2 id="shrinks" class="font-bold">{{ words.canItShrink }}</h2>
        @if (own.kind === 'none') {
          <p class="leading-snug">{{ words.unknownBecause(noShrink[own.reason]) }}</p>
        } @else {
          <p class="leading-snug">
            <strong>{{ said(own.plan) }}</strong>
            {{ words.bears(percent(own.plan.limits.easy), percent(own.plan.limits.limit)) }}
            {{ limitsFrom[own.plan.limits.from] }}.
          </p>
        }
        @if (isApplied()) {
          <button type="button" class="act act-small mt-1" (click)="toPlan()">{{ words.shrinkPlan }}</button>
        }
      </section>
    }
  `,
  host: { class: 'block empty:hidden' },
})
export class FilmShrinks {
  protected readonly words = shrinkWords;
  protected readonly limitsFrom = LIMITS_FROM;
  protected readonly noShrink = NO_SHRINK;
  protected readonly percent = percentOf;
  readonly #reading = inject(JobReading);
  readonly #selection = inject(Selection);
  readonly surface = input.required<RowOf<'surface'> | undefined>();
  readonly filmId = input.required<string | undefined>();
  protected readonly today = computed(() => {
    const [surface, film] = [this.surface(), this.#reading.view().filmById.get(this.filmId() ?? '')];
    return surface === undefined || film === undefined || !isCurvedGlass(surface)
      ? undefined
      : shrinkWithFilm(this.#reading.view(), surface, film);
  });
  protected readonly isApplied = computed(() =>
    this.#reading.applicationsOf(this.surface()?.id ?? '').some(({ filmId }) => filmId === this.filmId()),
  );

  protected said({ verdict, worst }: PaneShrink): string {
    const word = SHRINK_VERDICTS[verdict];
    return worst < 0 ? `${word}.` : `${word}: ${shrinkWords.shrinkInFold(percentOf(worst))}.`;
  }

  protected toPlan(): void {
    this.#selection.goToStop('cut');
  }
}
