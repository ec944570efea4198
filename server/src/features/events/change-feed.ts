import { EventEmitter } from 'node:events';
import type { AcceptedChange } from '@yellow-pane/contracts';

type Listener = (jobId: string, accepted: AcceptedChange) => void;

/** Tells everyone who listens of each accepted change, in the order accepted. */
export class ChangeFeed {
  readonly #emitter = new EventEmitter().setMaxListeners(0);

  publish(jobId: string, accepted: AcceptedChange): void {
    this.#emitter.emit('change', jobId, accepted);
  }

  /** @returns the function that stops listening */
  listen(listener: Listener): () => void {
    this.#emitter.on('change', listener);
    return () => this.#emitter.off('change', listener);
  }
}
