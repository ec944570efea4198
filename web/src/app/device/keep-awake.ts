import { DestroyRef, DOCUMENT, Injectable, effect, inject, signal } from '@angular/core';

/** What browsers have of it; some have nothing, and none outside a secure page. */
interface Lock {
  release(): Promise<void>;
  addEventListener(type: 'release', listener: () => void): void;
}
interface Locks {
  request(type: 'screen'): Promise<Lock>;
}

/** Keeps the screen lit while something wants it so, as long as the page is in front. */
@Injectable()
export class KeepAwake {
  readonly #document = inject(DOCUMENT);
  readonly wanted = signal(false);
  readonly isLit = signal(false);
  #lock: Lock | undefined;

  constructor() {
    const again = (): void => {
      if (this.#document.visibilityState === 'visible' && this.wanted()) void this.#take();
    };
    this.#document.addEventListener('visibilitychange', again);
    effect(() => {
      if (this.wanted()) void this.#take();
      else void this.#letGo();
    });
    inject(DestroyRef).onDestroy(() => {
      this.#document.removeEventListener('visibilitychange', again);
      void this.#letGo();
    });
  }

  async #take(): Promise<void> {
    const locks = (this.#document.defaultView?.navigator as { readonly wakeLock?: Locks } | undefined)
      ?.wakeLock;
    if (this.#lock !== undefined || locks === undefined) return;
    const lock = await locks.request('screen').catch(() => undefined);
    if (lock === undefined) return;
    this.#lock = lock;
    this.isLit.set(true);
    lock.addEventListener('release', () => {
      this.#lock = undefined;
      this.isLit.set(false);
    });
    if (!this.wanted()) await this.#letGo();
  }

  async #letGo(): Promise<void> {
    await this.#lock?.release().catch(() => undefined);
  }
}
