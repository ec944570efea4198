import { Injectable } from '@angular/core';
import type { FilmWorkerApi, SweepAnswer } from './film.worker';
import { type TaskOptions, WorkerPool } from './worker-pool';

/** Judges films on surfaces away from the page. */
@Injectable({ providedIn: 'root' })
export class FilmPool {
  readonly #pool = new WorkerPool<FilmWorkerApi>(
    () => new Worker(new URL('./film.worker', import.meta.url), { type: 'module' }),
  );

  judge(
    surfaces: Parameters<FilmWorkerApi['judge']>[0],
    films: Parameters<FilmWorkerApi['judge']>[1],
    options: TaskOptions = {},
  ): Promise<SweepAnswer> {
    return this.#pool.run<SweepAnswer>(
      async (remote, onProgress) => remote.judge(surfaces, films, onProgress),
      options,
    );
  }

  whatIf(...[rows, film]: Parameters<FilmWorkerApi['whatIf']>): Promise<ReturnType<FilmWorkerApi['whatIf']>> {
    return this.#pool.run<ReturnType<FilmWorkerApi['whatIf']>>(async (remote) => remote.whatIf(rows, film));
  }
}
