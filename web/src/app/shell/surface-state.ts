import { Injectable, inject } from '@angular/core';
import { JobReading } from '../job/job-reading';
import { CutReading } from '../job/cut-reading';
import type { StateShape } from '../ui/state-mark';
import type { Stop } from './selection';

/** How far a surface is at a stop. */
@Injectable({ providedIn: 'root' })
export class SurfaceStates {
  readonly #reading = inject(JobReading);
  readonly #cut = inject(CutReading);

  at(stop: Stop, surfaceId: string): StateShape {
    if (stop !== 'film' && this.#cut.changedAfterCut(surfaceId).length > 0) return 'barred';
    if (stop === 'survey') return this.#survey(surfaceId);
    if (stop === 'film') return this.#film(surfaceId);
    if (stop === 'cut') return this.#cutState(surfaceId);
    if (stop === 'fit') return this.#fit(surfaceId);
    return 'open';
  }

  #survey(surfaceId: string): StateShape {
    if (this.#reading.measuresOf(surfaceId).length === 0) return 'open';
    const check = this.#reading.checkOf(surfaceId);
    if (check.state === 'impossible' || ('agreement' in check && check.agreement.kind === 'disagree'))
      return 'barred';
    return check.state === 'measured' ? 'full' : 'half';
  }

  #film(surfaceId: string): StateShape {
    if (this.#reading.surfaceById().get(surfaceId)?.condition === 'cracked') return 'barred';
    return this.#reading.applicationsOf(surfaceId).length > 0 ? 'full' : 'open';
  }

  #cutState(surfaceId: string): StateShape {
    const applications = this.#reading.applicationsOf(surfaceId);
    const laid = applications.filter(({ id }) => this.#reading.laidIds().has(id));
    if (laid.some(({ id }) => this.#cut.isStale(id))) return 'barred';
    return laid.length === 0 ? 'open' : laid.length === applications.length ? 'full' : 'half';
  }

  #fit(surfaceId: string): StateShape {
    const applications = this.#reading.applicationsOf(surfaceId);
    if (applications.length > 0 && applications.every(({ id }) => this.#reading.isHandedOver(id)))
      return 'full';
    return applications
      .flatMap(({ id }) => this.#reading.workOf(id))
      .some(({ doneAt, startedAt }) => doneAt !== null || startedAt !== null)
      ? 'half'
      : 'open';
  }
}
