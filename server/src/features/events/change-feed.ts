import { EventEmitter } from 'node:events';
import type { AcceptedChange, ComeAndLook } from '@yellow-pane/contracts';

type Listener = (jobId: string, accepted: AcceptedChange) => void;
type CallListener = (jobId: string, call: ComeAndLook) => void;

/** Tells everyone who listens of each accepted change, in the order accepted, and of who calls for whom. */
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

  /** @returns how many lines heard it */
  call(jobId: string, call: ComeAndLook): number {
    this.#emitter.emit('call', jobId, call);
    return this.#emitter.listenerCount('call');
  }

  /** @returns the function that stops listening */
  listenForCalls(listener: CallListener): () => void {
    this.#emitter.on('call', listener);
    return () => this.#emitter.off('call', listener);
  }
}
