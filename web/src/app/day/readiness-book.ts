import { Injectable, computed, inject } from '@angular/core';
import { type ReadinessLimits, USUAL_LIMITS } from '@yellow-pane/core/day';
import type { RowOf } from '@yellow-pane/core/job';
import type { Air } from '@yellow-pane/core/waiting';
import { Catalogue } from '../catalogue/catalogue';
import { Rates } from '../catalogue/rates';
import { JobReading } from '../job/job-reading';
import { SurfaceRowsReader } from '../job/surface-rows';
import { DayPool } from '../workers/day-pool';
import type { ReadyAnswer } from '../workers/ready-answers';
import { Weather } from './weather';

export const USUAL_AIR: Air = { air_C: 20, humidity: 0.5 };

/** Asks when surfaces are fit, from what the job, the forecast and the thermometer say now. */
@Injectable({ providedIn: 'root' })
export class ReadinessBook {
  readonly #reading = inject(JobReading);
  readonly #rows = inject(SurfaceRowsReader);
  readonly #catalogue = inject(Catalogue);
  readonly #rates = inject(Rates);
  readonly #pool = inject(DayPool);
  readonly weather = inject(Weather);
  readonly settings = computed(() => this.#reading.daySettings()[0]);
  /** Of the room: on site, else as set, else usual. */
  readonly indoor = computed<Air & { readonly from: 'thermometer' | 'set' | 'usual' }>(() => {
    const onSite = this.weather.onSite();
    if (onSite !== undefined) return { ...onSite, from: 'thermometer' };
    const settings = this.settings();
    return settings?.indoor_C == null
      ? { ...USUAL_AIR, from: 'usual' }
      : { air_C: settings.indoor_C, humidity: settings.indoorHumidity ?? USUAL_AIR.humidity, from: 'set' };
  });
  readonly limits = computed<ReadinessLimits>(() => {
    return {
      warm_K: this.#rates.valueOf('day-warm'),
      overcast: this.#rates.valueOf('day-overcast'),
      ahead_h: this.#rates.valueOf('day-ahead'),
      doubt_deg: this.settings()?.bearingDoubt_deg ?? USUAL_LIMITS.doubt_deg,
    };
  });

  /** By application, or by surface where it has none. */
  ask(
    surfaces: readonly RowOf<'surface'>[],
    from_ms: number,
    to_ms: number,
  ): Promise<readonly ReadyAnswer[]> {
    const asks = surfaces.flatMap((surface) => {
      const rows = this.#rows.of(surface);
      const bare = { ...rows, films: [] };
      const applications = this.#reading.applicationsOf(surface.id);
      if (applications.length === 0)
        return [{ id: surface.id, rows: bare, side: surface.seenFrom, film: undefined }];
      return applications.map((application) => ({
        id: application.id,
        rows: bare,
        side: application.side,
        film: this.#catalogue.byId().get(application.filmId),
      }));
    });
    const { air_C, humidity } = this.indoor();
    return this.#pool.ready(asks, this.weather.hours(), from_ms, to_ms, { air_C, humidity }, this.limits());
  }
}
