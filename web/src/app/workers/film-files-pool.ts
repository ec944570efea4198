import { Injectable } from '@angular/core';
import type { FilmFilesApi, SpectrumAnswer } from './film-files.worker';
import { WorkerPool } from './worker-pool';

/** Reads and writes lists of films and spectra, away from the page. */
@Injectable({ providedIn: 'root' })
export class FilmFilesPool {
  readonly #pool = new WorkerPool<FilmFilesApi>(
    () => new Worker(new URL('./film-files.worker', import.meta.url), { type: 'module' }),
    1,
  );

  read(text: string): Promise<ReturnType<FilmFilesApi['read']>> {
    return this.#pool.run<ReturnType<FilmFilesApi['read']>>(async (remote) => remote.read(text));
  }

  write(...[films, kind]: Parameters<FilmFilesApi['write']>): Promise<string> {
    return this.#pool.run((remote) => remote.write(films, kind));
  }

  spectrum(text: string): Promise<SpectrumAnswer> {
    return this.#pool.run<SpectrumAnswer>(async (remote) => remote.spectrum(text));
  }
}
