import { Injectable, computed, inject } from '@angular/core';
import { daySurfaces, filmedSurfaces } from '@yellow-pane/core/reading';
import { JobReading } from '../../job/job-reading';
import { JobClock } from '../../day/job-clock';

/**
 * What the days stand on: the settings with their defaults, the clock of the place, and every film to be laid
 * with what decides its work.
 */
@Injectable()
export class DayGround {
  readonly #reading = inject(JobReading);
  readonly #place = inject(JobClock);
  readonly settings = this.#place.settings;
  readonly clock = this.#place.clock;
  readonly filmed = computed(() => filmedSurfaces(this.#reading.view()));
  readonly surfaces = computed(() => daySurfaces(this.#reading.view(), this.clock()));
}
