import { MessageChannel } from 'node:worker_threads';
import { afterAll, describe, expect, it } from '@jest/globals';
import { CoreError } from '@yellow-pane/core/quantity';
import { type Endpoint, expose } from 'comlink';
import nodeEndpointModule from 'comlink/dist/umd/node-adapter';
import { WorkerPool } from './worker-pool';

interface Api {
  double(n: number, onProgress: (share: number) => void): Promise<number>;
  never(): Promise<number>;
  fail(): Promise<number>;
  refuse(): Promise<never>;
}

const nodeEndpoint = nodeEndpointModule as unknown as (port: unknown) => Endpoint;

/** A worker in the same thread: the pool sees only messages. */
class FakeWorker {
  static made = 0;
  static ended = 0;
  static readonly channels: MessageChannel[] = [];
  readonly #channel = new MessageChannel();
  readonly #endpoint = nodeEndpoint(this.#channel.port1);

  constructor() {
    FakeWorker.made += 1;
    FakeWorker.channels.push(this.#channel);
    const api: Api = {
      double: (n, onProgress) => {
        onProgress(0.5);
        return Promise.resolve(2 * n);
      },
      never: () => new Promise(() => undefined),
      fail: () => Promise.reject(new Error('it cannot be done')),
      refuse: () => {
        throw new CoreError('CUTTING_PIN', { path: 'pinned.a', expected: 'room', got: 'none', about: ['a'] });
      },
    };
    expose(api, nodeEndpoint(this.#channel.port2));
  }

  postMessage(message: unknown, transfer: unknown[] = []): void {
    this.#endpoint.postMessage(message, transfer as Transferable[]);
  }
  addEventListener(type: string, listener: EventListenerOrEventListenerObject): void {
    if (type === 'message') this.#endpoint.addEventListener(type, listener);
  }
  removeEventListener(type: string, listener: EventListenerOrEventListenerObject): void {
    if (type === 'message') this.#endpoint.removeEventListener(type, listener);
  }
  terminate(): void {
    FakeWorker.ended += 1;
    this.#channel.port1.close();
  }
}

const poolOf = (most: number): WorkerPool<Api> =>
  new WorkerPool<Api>(() => new FakeWorker() as unknown as Worker, most);

afterAll(() => {
  for (const { port1, port2 } of FakeWorker.channels) {
    port1.close();
    port2.close();
  }
});

describe('does a pool do the work elsewhere?', () => {
  it('answers, tells progress, and uses the same worker again', async () => {
    const pool = poolOf(2);
    const made = FakeWorker.made;
    const heard: number[] = [];
    expect(
      await pool.run((remote, onProgress) => remote.double(21, onProgress), {
        onProgress: (share) => heard.push(share),
      }),
    ).toBe(42);
    expect(await pool.run((remote, onProgress) => remote.double(4, onProgress))).toBe(8);
    expect(heard).toEqual([0.5]);
    expect(FakeWorker.made - made).toBe(1);
  });

  it('more tasks than workers wait their turn', async () => {
    const pool = poolOf(2);
    const made = FakeWorker.made;
    expect(
      await Promise.all(
        [1, 2, 3, 4, 5].map((n) => pool.run((remote, onProgress) => remote.double(n, onProgress))),
      ),
    ).toEqual([2, 4, 6, 8, 10]);
    expect(FakeWorker.made - made).toBe(2);
  });

  it('a stopped task ends its worker, and the next task gets a new one', async () => {
    const pool = poolOf(1);
    const stop = new AbortController();
    const ended = FakeWorker.ended;
    const running = pool.run((remote) => remote.never(), { signal: stop.signal });
    setTimeout(() => {
      stop.abort(new Error('stopped'));
    }, 20);
    await expect(running).rejects.toThrow('stopped');
    expect(FakeWorker.ended - ended).toBe(1);
    expect(await pool.run((remote, onProgress) => remote.double(1, onProgress))).toBe(2);
  });

  it('what the task refuses comes back in its words', async () => {
    await expect(poolOf(1).run((remote) => remote.fail())).rejects.toThrow('it cannot be done');
  });

  it('what core refuses comes back with its code, its field and what it is about', async () => {
    const refused = poolOf(1).run((remote) => remote.refuse());
    await expect(refused).rejects.toBeInstanceOf(CoreError);
    await expect(refused).rejects.toMatchObject({
      code: 'CUTTING_PIN',
      data: { path: 'pinned.a', expected: 'room', got: 'none', about: ['a'] },
    });
  });

  it('stopped before it began, nothing is started', async () => {
    const made = FakeWorker.made;
    await expect(
      poolOf(1).run((remote) => remote.never(), { signal: AbortSignal.abort(new Error('too late')) }),
    ).rejects.toThrow('too late');
    expect(FakeWorker.made).toBe(made);
  });
});
