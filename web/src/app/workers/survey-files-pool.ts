import { Injectable } from '@angular/core';
import type { SurveyFilesApi } from './survey-files.worker';
import { WorkerPool } from './worker-pool';

/** Reads pasted lists and files, and draws DXF, away from the page. */
@Injectable({ providedIn: 'root' })
export class SurveyFilesPool {
  readonly #pool = new WorkerPool<SurveyFilesApi>(
    () => new Worker(new URL('./survey-files.worker', import.meta.url), { type: 'module' }),
    1,
  );

  readTable(
    ...[text, options]: Parameters<SurveyFilesApi['readTable']>
  ): Promise<ReturnType<SurveyFilesApi['readTable']>> {
    return this.#pool.run((remote) => remote.readTable(text, options));
  }

  readDrawing(
    ...[text, options]: Parameters<SurveyFilesApi['readDrawing']>
  ): Promise<ReturnType<SurveyFilesApi['readDrawing']>> {
    return this.#pool.run((remote) => remote.readDrawing(text, options));
  }

  readFile(text: string): Promise<ReturnType<SurveyFilesApi['readFile']>> {
    return this.#pool.run<ReturnType<SurveyFilesApi['readFile']>>(async (remote) => remote.readFile(text));
  }

  drawing(...[surfaces]: Parameters<SurveyFilesApi['drawing']>): Promise<string> {
    return this.#pool.run((remote) => remote.drawing(surfaces));
  }
}
