import { Injectable, computed, inject } from '@angular/core';
import { clockDigits } from '@yellow-pane/core/fitting';
import { pendingState } from '@yellow-pane/core/reading';
import { fitWords } from '../../words/fit';
import { FitDesk } from './fit-desk';

/** What the large clock on top counts: what is waited for, the step that runs, or how long it may lie. */
@Injectable()
export class FitClock {
  readonly #desk = inject(FitDesk);

  /** Where something is asked, the room is for the question; the time runs on. */
  readonly shown = computed(() => {
    const held = this.#desk.held()?.case;
    return held === 'gate' || held === 'danger'
      ? undefined
      : (this.#waiting() ?? this.#running() ?? this.#lying());
  });

  readonly #waiting = computed(() => {
    const held = this.#desk.held();
    if (held?.case !== 'wait') return undefined;
    const { wait, state } = held;
    const until_ms = state === 'closed' ? wait.opens_ms : wait.over_ms;
    return until_ms === null
      ? undefined
      : {
          digits: clockDigits(until_ms - this.#desk.now_ms()),
          says: state === 'closed' ? fitWords.clockNotBefore : fitWords.clockOverIn,
          isLate: false,
        };
  });

  readonly #running = computed(() => {
    const { startedAt = null, doneAt = null } = this.#desk.record() ?? {};
    if (startedAt === null || doneAt !== null) return undefined;
    /** The clock of a fold begins where the fold before it was down. */
    const isOnFold = this.#desk.current()?.heatsFolds === true;
    const from = isOnFold ? (this.#desk.record()?.roundsAt.at(-1) ?? startedAt) : startedAt;
    return {
      digits: clockDigits(this.#desk.now_ms() - Date.parse(from)),
      says: isOnFold ? fitWords.clockFold : fitWords.clockStep,
      isLate: false,
    };
  });

  /** What an earlier step opened must not lie for long. */
  readonly #lying = computed(() => {
    const wait = this.#desk.wait();
    if (wait?.latest_ms == null) return undefined;
    const isLate = pendingState(wait, this.#desk.now_ms()) === 'too late';
    const left_ms = wait.latest_ms - this.#desk.now_ms();
    return {
      digits: clockDigits(Math.abs(left_ms)),
      says: isLate ? fitWords.clockTooLate : fitWords.clockGoOnWithin,
      isLate,
    };
  });
}
