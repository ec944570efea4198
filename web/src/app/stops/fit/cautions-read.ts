import { Injectable, signal } from '@angular/core';

/** Which cautions somebody has read since this page was opened: they are folded, and come back with one tap. */
@Injectable({ providedIn: 'root' })
export class CautionsRead {
  readonly #keys = signal<ReadonlySet<string>>(new Set());

  has(key: string): boolean {
    return this.#keys().has(key);
  }

  keep(key: string): void {
    this.#keys.update((keys) => new Set([...keys, key]));
  }

  forget(key: string): void {
    this.#keys.update((keys) => new Set([...keys].filter((own) => own !== key)));
  }
}
