import { type Remote, proxy, wrap } from 'comlink';
import { shellWords } from '../words/shell';
import { keepCoreErrors } from './core-errors';

export interface TaskOptions {
  readonly signal?: AbortSignal;
  /** Share done, 0 to 1. */
  readonly onProgress?: (share: number) => void;
}

interface Lane<Api> {
  readonly worker: Worker;
  readonly remote: Remote<Api>;
}

/**
 * A few workers of one kind, made when first needed. Stopping a task ends its worker, since a computation
 * cannot be asked to listen.
 */
export class WorkerPool<Api> {
  readonly #idle: Lane<Api>[] = [];
  readonly #waiting: ((lane: Lane<Api>) => void)[] = [];
  #living = 0;

  constructor(
    private readonly make: () => Worker,
    private readonly most = 2,
  ) {
    keepCoreErrors();
  }

  /** Runs one task in a worker of its own.
   *  @throws the reason of the signal when stopped; what the task throws otherwise */
  async run<Answer>(
    task: (remote: Remote<Api>, onProgress: (share: number) => void) => Promise<Answer>,
    { signal, onProgress }: TaskOptions = {},
  ): Promise<Answer> {
    signal?.throwIfAborted();
    const lane = await this.#take();
    let isRunning = true;
    /** What listens to this task alone stops with it: the worker lives on, and so may the signal. */
    const over = new AbortController();
    const ended = new Promise<never>((_, fail) => {
      lane.worker.addEventListener(
        'error',
        (event) => {
          fail(new Error(event.message || shellWords.workerFailed));
        },
        { once: true, signal: over.signal },
      );
      signal?.addEventListener(
        'abort',
        () => {
          fail(signal.reason as Error);
        },
        { once: true, signal: over.signal },
      );
    });
    try {
      const answer = await Promise.race([
        task(
          lane.remote,
          proxy((share: number) => {
            if (isRunning) onProgress?.(share);
          }),
        ),
        ended,
      ]);
      this.#give(lane);
      return answer;
    } catch (error) {
      this.#end(lane);
      throw error;
    } finally {
      isRunning = false;
      over.abort();
    }
  }

  #take(): Promise<Lane<Api>> {
    const idle = this.#idle.pop();
    if (idle !== undefined) return Promise.resolve(idle);
    if (this.#living >= this.most)
      return new Promise((done) => {
        this.#waiting.push(done);
      });
    return Promise.resolve(this.#begin());
  }

  #begin(): Lane<Api> {
    this.#living += 1;
    const worker = this.make();
    return { worker, remote: wrap<Api>(worker) };
  }

  #give(lane: Lane<Api>): void {
    const next = this.#waiting.shift();
    if (next === undefined) this.#idle.push(lane);
    else next(lane);
  }

  #end(lane: Lane<Api>): void {
    lane.worker.terminate();
    this.#living -= 1;
    const next = this.#waiting.shift();
    if (next !== undefined) next(this.#begin());
  }
}
