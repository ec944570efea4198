import { Injectable, computed, inject } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import { type ReadyAnswer, type Sky, indoorAir, readinessLimits, readyAsks } from '@yellow-pane/core/reading';
import { JobReading } from '../job/job-reading';
import { DayPool } from '../workers/day-pool';
import { Weather } from './weather';

/** Asks when surfaces are fit, from what the job, the forecast and the thermometer say now. */
@Injectable({ providedIn: 'root' })
export class ReadinessCache {
  readonly #view = inject(JobReading).view;
  readonly #pool = inject(DayPool);
  readonly weather = inject(Weather);
  /** Of the room: on site, else as set, else usual. */
  readonly indoor = computed(() => indoorAir(this.#view(), this.weather.onSite()));
  /** What all dates of drying go by. */
  readonly sky = computed((): Sky => {
    const { air_C, humidity } = this.indoor();
    return { weather: this.weather.hours(), indoor: { air_C, humidity } };
  });
  readonly limits = computed(() => readinessLimits(this.#view()));

  /** By application, or by surface where it has none. */
  ask(
    surfaces: readonly RowOf<'surface'>[],
    from_ms: number,
    to_ms: number,
  ): Promise<readonly ReadyAnswer[]> {
    const { air_C, humidity } = this.indoor();
    return this.#pool.ready(
      readyAsks(this.#view(), surfaces),
      this.weather.hours(),
      from_ms,
      to_ms,
      { air_C, humidity },
      this.limits(),
    );
  }
}
