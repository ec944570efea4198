import { Injectable, inject } from '@angular/core';
import { stateAtCheck, stateAtCut, stateAtFilm, stateAtFit, stateAtSurvey } from '@yellow-pane/core/reading';
import { ReadinessCache } from '../day/readiness-cache';
import { JobReading } from '../job/job-reading';
import type { StateShape } from '../ui/state-mark';
import type { Stop } from './selection';

/** How far a surface is at a stop. */
@Injectable({ providedIn: 'root' })
export class SurfaceStates {
  readonly #view = inject(JobReading).view;
  readonly #book = inject(ReadinessCache);
  readonly #opened_ms = Date.now();

  at(stop: Stop, surfaceId: string): StateShape {
    switch (stop) {
      case 'survey':
        return stateAtSurvey(this.#view(), surfaceId);
      case 'film':
        return stateAtFilm(this.#view(), surfaceId);
      case 'cut':
        return stateAtCut(this.#view(), surfaceId);
      case 'fit':
        return stateAtFit(this.#view(), surfaceId);
      case 'check':
        return stateAtCheck(this.#view(), surfaceId, this.#opened_ms, this.#book.sky());
      case 'day':
      case 'close':
        return 'open';
    }
  }
}
