import { DestroyRef, Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import type { ReadyAnswer } from '@yellow-pane/core/reading';
import { JobClock } from './job-clock';
import { ReadinessCache } from './readiness-cache';
import { JobReading } from '../job/job-reading';

const SETTLE_MS = 400;
const HOUR_MS = 3_600_000;

/** Glass and air of the surface in hand, hour by hour: asked once for all that a stop says of it. */
@Injectable()
export class ReadyHere {
  readonly #reading = inject(JobReading);
  readonly #book = inject(ReadinessCache);
  readonly #clock = inject(JobClock).clock;
  readonly #answers = signal<readonly ReadyAnswer[]>([]);
  readonly application = signal<RowOf<'application'> | undefined>(undefined);
  readonly answer = computed(() => this.#answers().find(({ id }) => id === this.application()?.id));
  readonly moments = computed(() => this.answer()?.moments ?? []);

  constructor() {
    this.#book.weather.begin();
    let turn = 0;
    let settling: ReturnType<typeof setTimeout> | undefined;
    effect(() => {
      const surface = this.#reading.view().surfaceById.get(this.application()?.surfaceId ?? '');
      const { from_ms, to_ms } = this.#clock();
      this.#book.weather.hours();
      this.#book.indoor();
      clearTimeout(settling);
      turn += 1;
      const own = turn;
      if (surface === undefined) return;
      settling = setTimeout(() => {
        // From this hour on, also where the days planned begin later.
        const begin_ms = Math.min(from_ms, Date.now() - HOUR_MS);
        void untracked(() => this.#book.ask([surface], begin_ms, to_ms)).then(
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
