import { Injectable, inject, signal } from '@angular/core';
import type { MadeBy } from '@yellow-pane/contracts';
import type { Signed } from '@yellow-pane/core/job';
import { shellWords } from '../words/shell';
import { Device } from './device';
import { newId } from './session';

export const NOBODY_SAID = shellWords.sayWhoFirst;

type Answer = (by: MadeBy | undefined) => void;

/**
 * Says by whose hand something is kept. Nobody is asked before there is something to keep; what is to be kept
 * waits for the answer.
 */
@Injectable({ providedIn: 'root' })
export class WhoseHand {
  readonly #device = inject(Device);
  readonly isAsked = signal(false);
  #waiting: Answer[] = [];
  #mayBeToldBy: Promise<unknown> = Promise.resolve();

  /** Someone else may say who works here: asked only when that has not helped. */
  mayBeToldBy(telling: Promise<unknown>): void {
    this.#mayBeToldBy = telling;
  }

  /** Does it at once when it is known who works here, else once that is said; never if it is not. */
  whenKnown(keep: (by: MadeBy) => void): void {
    if (this.#device.hasName()) keep(this.#device.by());
    else
      void this.known().then((by) => {
        if (by !== undefined) keep(by);
      });
  }

  /** As `whenKnown`, with what a row keeps of who said it and when. */
  whenSigned(keep: (signed: Signed) => void): void {
    this.whenKnown(({ who, personId }) => {
      keep({ who, personId: personId ?? null, at: new Date().toISOString() });
    });
  }

  /** @returns who works here, or undefined when the person would not say */
  async known(): Promise<MadeBy | undefined> {
    if (this.#device.hasName()) return this.#device.by();
    await this.#mayBeToldBy;
    if (this.#device.hasName()) return this.#device.by();
    this.isAsked.set(true);
    return new Promise((answer) => {
      this.#waiting.push(answer);
    });
  }

  /** The person says who it is: one the shop knows, or somebody new. */
  say(who: string, personId = newId()): void {
    this.#device.workFor({ who, personId });
    this.#answer(this.#device.by());
  }

  notNow(): void {
    this.#answer(undefined);
  }

  #answer(by: MadeBy | undefined): void {
    const waiting = this.#waiting;
    this.#waiting = [];
    this.isAsked.set(false);
    for (const answer of waiting) answer(by);
  }
}
