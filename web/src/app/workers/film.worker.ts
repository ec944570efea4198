import {
  type FilmAnswer,
  type SurfaceRows,
  type SweepSurface,
  type WhatIf,
  newSunBook,
  sensitivityOf,
  sweep,
} from '@yellow-pane/core/choosing';
import type { Film } from '@yellow-pane/core/job';
import { exposeWork } from './core-errors';

type NamedFilm = { readonly id: string; readonly film: Film };

/** Every film on every surface; surfaces that ask the same share one list of answers. */
export interface SweepAnswer {
  readonly lists: readonly (readonly FilmAnswer[])[];
  /** Index into `lists`, by surface id. */
  readonly of: Readonly<Record<string, number>>;
}

export interface FilmWorkerApi {
  judge(
    surfaces: readonly SweepSurface[],
    films: readonly NamedFilm[],
    onProgress: (share: number) => void,
  ): SweepAnswer;
  whatIf(rows: SurfaceRows, film: NamedFilm): readonly WhatIf[];
}

const book = newSunBook();

const api: FilmWorkerApi = {
  judge(surfaces, films, onProgress) {
    const answers = sweep(surfaces, films, onProgress, book);
    const lists = [...new Set(answers.values())];
    return { lists, of: Object.fromEntries([...answers].map(([id, list]) => [id, lists.indexOf(list)])) };
  },
  whatIf: (rows, { id, film }) => sensitivityOf(rows, id, film, book),
};

exposeWork(api);
