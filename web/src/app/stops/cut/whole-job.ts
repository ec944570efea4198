import { Injectable, computed, inject, signal } from '@angular/core';
import { cutSettingsOf, needsLayout, planOfFilm } from '@yellow-pane/core/reading';
import { JobReading } from '../../job/job-reading';
import { Cutting } from './cutting';
import { Layouts } from './layouts';

/** Lays out every film of the job that needs it, one after the other. */
@Injectable({ providedIn: 'root' })
export class WholeJob {
  readonly #cutting = inject(Cutting);
  readonly #layouts = inject(Layouts);
  readonly #reading = inject(JobReading);
  readonly #at = signal<{ readonly film: string; readonly number: number; readonly of: number } | undefined>(
    undefined,
  );
  readonly at = this.#at.asReadonly();
  readonly #isStopped = signal(false);

  readonly open = computed(() =>
    this.#cutting.films().filter(({ id }) => needsLayout(this.#reading.view(), id)),
  );

  async layOut(): Promise<void> {
    if (this.#layouts.progress() !== undefined) return;
    this.#isStopped.set(false);
    const films = this.open();
    for (const [index, { id, name }] of films.entries()) {
      if (this.#isStopped()) break;
      this.#at.set({ film: name, number: index + 1, of: films.length });
      const settings = {
        ...cutSettingsOf(planOfFilm(this.#reading.view(), id)),
        leftOut: this.#cutting.leftOutOf(id),
      };
      this.#cutting.say(await this.#layouts.layOut({ filmId: id, filmName: name, settings }), id);
    }
    this.#at.set(undefined);
  }

  /** The film in hand is kept as far as it is; the rest is not begun. */
  stop(): void {
    this.#isStopped.set(true);
    this.#layouts.stop();
  }
}
