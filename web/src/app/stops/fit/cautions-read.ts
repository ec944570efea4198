import { Injectable, signal } from '@angular/core';
import type { Caution } from '@yellow-pane/core/ways';

/** The same dangers on the same surface are read once. Those that hold the work back are never folded. */
export const cautionsKey = (applicationId: string, cautions: readonly Caution[]): string =>
  [applicationId, ...cautions.filter(({ stops }) => stops === null).map(({ key }) => key)].join(' ');

/** Which cautions somebody has read since this page was opened: they are folded until a tap. */
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
