import { once } from 'node:events';
import { Worker } from 'node:worker_threads';

const IDLE_MS = 30_000;

/**
 * Threads of one script that answers each message with one. Started when wanted, ended when none was wanted
 * for a while.
 */
export class Threads<Task, Answer> {
  readonly #script: URL;
  readonly #most: number;
  readonly #idle: Worker[] = [];
  readonly #waiting: (() => void)[] = [];
  #busy = 0;
  #rest: NodeJS.Timeout | undefined;

  constructor(script: URL, most: number) {
    this.#script = script;
    this.#most = most;
  }

  /** How many more tasks could begin at once. */
  get free(): number {
    return this.#most - this.#busy;
  }

  /** Waits for a thread when all are busy.
   *  @throws what the thread threw and did not answer; it is not used again */
  async run(task: Task): Promise<Answer> {
    while (this.#busy >= this.#most)
      await new Promise<void>((done) => {
        this.#waiting.push(done);
      });
    this.#busy += 1;
    clearTimeout(this.#rest);
    const thread = this.#idle.pop() ?? this.#start();
    try {
      thread.postMessage(task);
      const [answer] = (await once(thread, 'message')) as [Answer];
      this.#idle.push(thread);
      return answer;
    } catch (error) {
      void thread.terminate();
      throw error;
    } finally {
      this.#busy -= 1;
      this.#waiting.shift()?.();
      if (this.#busy === 0)
        this.#rest = setTimeout(() => {
          this.#endIdle();
        }, IDLE_MS).unref();
    }
  }

  /** A thread alone does not keep the server from ending. */
  #start(): Worker {
    const thread = new Worker(this.#script);
    thread.unref();
    return thread;
  }

  #endIdle(): void {
    for (const thread of this.#idle.splice(0)) void thread.terminate();
  }
}
