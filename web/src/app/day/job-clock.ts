import { Injectable, computed, inject } from '@angular/core';
import { DayClock, daySettingsOr } from '@yellow-pane/contracts/day-clock';
import type { DaySettings } from '@yellow-pane/core/job';
import { JobReading } from '../job/job-reading';
import { shellWords } from '../words/shell';

/** The days of the open job and the clock of its place: the one clock all its screens go by. */
@Injectable({ providedIn: 'root' })
export class JobClock {
  readonly #kept = computed(() => this.#reading.daySettings()[0]);
  readonly #reading = inject(JobReading);
  readonly settings = computed<DaySettings>(() => {
    const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
    return daySettingsOr(this.#kept(), timeZone, Date.now());
  });
  readonly clock = computed(() => new DayClock(this.settings()), {
    equal: (a, b) => a.from_ms === b.from_ms && a.to_ms === b.to_ms && a.restWord === b.restWord,
  });
  /** Whose clock it is. */
  readonly word = computed(() => {
    const town = this.settings().zone.split('/').at(-1)?.replaceAll('_', ' ') ?? '';
    return this.#kept() === undefined ? shellWords.clockOfDevice : shellWords.clockOf(town);
  });
}
