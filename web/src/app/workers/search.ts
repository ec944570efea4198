import { signal } from '@angular/core';
import type { TaskOptions } from './worker-pool';

/** What a search is begun with. */
export interface SearchOptions<Answer> extends Required<TaskOptions> {
  /** Another one each time, so that asking again looks elsewhere. */
  readonly seed: number;
  readonly onBetter: (answer: Answer) => void;
}

/**
 * A search of a screen: begun, bettered while one watches, stopped when one has seen enough. One at a time: a
 * new one takes the place of the one before.
 */
export class Search<Answer> {
  /** Share of the time, while it runs. */
  readonly progress = signal<number | undefined>(undefined);
  /** The best so far, while it runs. */
  readonly soFar = signal<Answer | undefined>(undefined);
  #running: AbortController | undefined;
  #isStopWanted = false;
  #seed = 0;

  /**
   * @returns what was found, or the best so far when it was stopped; undefined when it was stopped before
   * anything was found, or another one took its place
   * @throws what the search throws
   */
  async run(begin: (options: SearchOptions<Answer>) => Promise<Answer>): Promise<Answer | undefined> {
    this.#running?.abort(new Error('another search'));
    const running = new AbortController();
    this.#running = running;
    this.#isStopWanted = false;
    this.#seed += 1;
    this.progress.set(0);
    this.soFar.set(undefined);
    const isCurrent = (): boolean => this.#running === running;
    try {
      return await begin({
        seed: this.#seed,
        signal: running.signal,
        onProgress: (share) => {
          if (isCurrent()) this.progress.set(share);
        },
        onBetter: (answer) => {
          if (!isCurrent() || running.signal.aborted) return;
          this.soFar.set(answer);
          if (this.#isStopWanted) running.abort(new Error('stopped'));
        },
      });
    } catch (error) {
      if (!running.signal.aborted) throw error;
      return isCurrent() ? this.soFar() : undefined;
    } finally {
      if (isCurrent()) {
        this.#running = undefined;
        this.progress.set(undefined);
        this.soFar.set(undefined);
      }
    }
  }

  /** Ends it as soon as there is an answer, which is kept. */
  stop(): void {
    this.#isStopWanted = true;
    if (this.soFar() !== undefined) this.#running?.abort(new Error('stopped'));
  }

  /** Ends it whatever it has found. */
  end(): void {
    this.#running?.abort(new Error('ended'));
  }
}
