import { Injectable, computed, inject } from '@angular/core';
import type { DaySurface } from '@yellow-pane/core/day';
import { type DaySettings, NEW_DAY, type RowOf } from '@yellow-pane/core/job';
import { Catalogue } from '../../catalogue/catalogue';
import { JobReading } from '../../job/job-reading';
import { DayClock, dateIn } from './day-clock';

/**
 * What the days stand on: the settings with their defaults, the clock of the place, and every film to be laid
 * with what decides its work.
 */
@Injectable()
export class DayGround {
  readonly #reading = inject(JobReading);
  readonly #catalogue = inject(Catalogue);
  readonly settings = computed<DaySettings>(() => {
    const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
    return this.#reading.daySettings()[0] ?? { ...NEW_DAY, zone, firstDay: dateIn(zone, 0) };
  });
  readonly clock = computed(() => new DayClock(this.settings()), {
    equal: (a, b) => a.from_ms === b.from_ms && a.to_ms === b.to_ms && a.restWord === b.restWord,
  });
  readonly filmed = computed(() =>
    this.#reading.surfaces().filter(({ id }) => this.#reading.applicationsOf(id).length > 0),
  );

  readonly surfaces = computed<readonly DaySurface[]>(() =>
    this.filmed().flatMap((surface) => {
      const check = this.#reading.checkOf(surface.id);
      const sizes = 'sizes' in check ? check.sizes : undefined;
      const site = this.#reading.siteFactsOf(surface.id);
      const wall = this.#reading.wallFactsOf(surface.id);
      const room = this.#roomOf(surface);
      return this.#reading.applicationsOf(surface.id).map((application): DaySurface => {
        const work = this.#reading.workOf(application.id);
        const film = this.#catalogue.byId().get(application.filmId);
        return {
          applicationId: application.id,
          tag: surface.tag,
          place: this.#reading.placeById().get(surface.placeId)?.name ?? '',
          room,
          fitness: application.id,
          schools: application,
          condition: surface.condition,
          method: application.method,
          isSecurityFilm: film?.family === 'security',
          isHardToReach: site?.reach === 'not everywhere',
          hasInsideCorner: wall?.leftCorner === 'inside corner' || wall?.rightCorner === 'inside corner',
          ...(film === undefined ? {} : { family: film.family }),
          ...(sizes === undefined
            ? {}
            : { area_m2: sizes.area_mm2.value / 1e6, edge_m: sizes.perimeter_mm.value / 1000 }),
          done: new Map(
            work.flatMap(({ step, doneAt }) =>
              doneAt === null || step.startsWith('wait:')
                ? []
                : [[step, this.clock().minuteOf(Date.parse(doneAt))]],
            ),
          ),
          confirmed: new Set(
            work.flatMap(({ step, doneAt }) =>
              doneAt !== null && step.startsWith('wait:') ? [step.slice(5)] : [],
            ),
          ),
        };
      });
    }),
  );

  /** The nearest room, vehicle or building round a surface: they share its air. */
  #roomOf({ placeId }: RowOf<'surface'>): string | null {
    const seen = new Set<string>();
    for (
      let id: string | null = placeId;
      id !== null && !seen.has(id);
      id = this.#reading.placeById().get(id)?.parentId ?? null
    ) {
      seen.add(id);
      const kind = this.#reading.placeById().get(id)?.kind;
      if (kind === 'room' || kind === 'vehicle' || kind === 'building') return id;
    }
    return null;
  }
}
