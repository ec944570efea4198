import { Injectable, signal, inject, DestroyRef } from '@angular/core';

/** What a command has to do with: the work at hand, the whole job, another place, or this device. */
export const ABOUTS = ['here', 'job', 'elsewhere', 'device'] as const;
export type About = (typeof ABOUTS)[number];

export interface Command {
  readonly id: string;
  readonly word: string;
  /** As shown and as pressed: 'Ctrl+Z', 'Alt+1', 'F1'. */
  readonly keys?: string;
  /** Absent: the work at hand. */
  readonly about?: About;
  /** Absent: always possible. */
  readonly canRun?: () => boolean;
  readonly run: () => void;
}

/** Everything that can be done right now, by whatever screen offers it. */
@Injectable({ providedIn: 'root' })
export class Commands {
  readonly #offers = signal<readonly (readonly Command[])[]>([]);

  all(): readonly Command[] {
    const byId = new Map(
      this.#offers()
        .flat()
        .map((command) => [command.id, command]),
    );
    return [...byId.values()];
  }

  /** Offers commands for as long as the caller lives. Call from an injection context. */
  offer(commands: readonly Command[]): void {
    this.#offers.update((offers) => [...offers, commands]);
    inject(DestroyRef).onDestroy(() => {
      this.#offers.update((offers) => offers.filter((offer) => offer !== commands));
    });
  }
}

/** A key press in the words commands use: 'Ctrl+Shift+Z'. */
export function keysOf(
  event: Pick<KeyboardEvent, 'key' | 'code' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'>,
): string {
  const digit = /^Digit(\d)$/.exec(event.code)?.[1];
  const letter = /^Key([A-Z])$/.exec(event.code)?.[1];
  const key = event.altKey
    ? (digit ?? letter ?? event.key)
    : event.key.length === 1
      ? event.key.toUpperCase()
      : event.key;
  const isLetter = /^[A-Z]$/.test(key);
  return [
    ...(event.ctrlKey || event.metaKey ? ['Ctrl'] : []),
    ...(event.altKey ? ['Alt'] : []),
    ...(event.shiftKey && (isLetter || key.length > 1) ? ['Shift'] : []),
    key,
  ].join('+');
}
