import { Injectable, computed, inject, signal } from '@angular/core';
import {
  type JobView,
  type Progress,
  type SurfaceProgress,
  countProgress,
  surfaceProgress,
} from '@yellow-pane/core/reading';
import { JobReading } from '../job/job-reading';

/**
 * Surfaces asked about at once however long it takes, and how long more may take before others get a turn.
 */
const AT_LEAST = 64;
const TURN_MS = 10;

/** How far the open job is. A large job is counted in turns, so that the page never stands still for it. */
@Injectable({ providedIn: 'root' })
export class ProgressCount {
  readonly #reading = inject(JobReading);
  readonly #turn = signal(0);
  #view: JobView | undefined;
  #counted: SurfaceProgress[] = [];

  /** Undefined while it is still being counted. */
  readonly progress = computed<Progress | undefined>(() => {
    this.#turn();
    const view = this.#reading.view();
    if (view !== this.#view) {
      this.#view = view;
      this.#counted = [];
    }
    if (this.#goOn(view)) return countProgress(this.#counted);
    setTimeout(() => {
      this.#turn.update((turn) => turn + 1);
    });
    return undefined;
  });

  #goOn(view: JobView): boolean {
    const { surfaces } = view;
    const until = performance.now() + TURN_MS;
    for (let asked = 0; this.#counted.length < surfaces.length; asked += 1) {
      if (asked >= AT_LEAST && performance.now() > until) return false;
      this.#counted.push(surfaceProgress(view, surfaces[this.#counted.length]?.id ?? ''));
    }
    return true;
  }
}
