import { Injectable, computed, inject } from '@angular/core';
import type { DaySettings } from '@yellow-pane/core/job';
import { daySurfaces, filmedSurfaces } from '@yellow-pane/core/reading';
import { JobReading } from '../../job/job-reading';
import { DayClock, daySettingsOr } from '@yellow-pane/contracts/day-clock';

/**
 * What the days stand on: the settings with their defaults, the clock of the place, and every film to be laid
 * with what decides its work.
 */
@Injectable()
export class DayGround {
  readonly #reading = inject(JobReading);
  readonly settings = computed<DaySettings>(() => {
    const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
    return daySettingsOr(this.#reading.daySettings()[0], timeZone, Date.now());
  });
  readonly clock = computed(() => new DayClock(this.settings()), {
    equal: (a, b) => a.from_ms === b.from_ms && a.to_ms === b.to_ms && a.restWord === b.restWord,
  });
  readonly filmed = computed(() => filmedSurfaces(this.#reading.view()));
  readonly surfaces = computed(() => daySurfaces(this.#reading.view(), this.clock()));
}
