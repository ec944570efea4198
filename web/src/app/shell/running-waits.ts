import { DestroyRef, Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import { clockDigits } from '@yellow-pane/core/fitting';
import {
  type PendingWait,
  indoorAir,
  isPending,
  pendingState,
  pendingWaits,
} from '@yellow-pane/core/reading';
import { JobClock } from '../day/job-clock';
import { Ring } from '../device/ring';
import { JobReading } from '../job/job-reading';
import { shellWords } from '../words/shell';

const TICK_MS = 1000;

interface WaitLine {
  readonly key: string;
  readonly surfaceId: string;
  readonly tag: string;
  readonly why: string;
  readonly digits: string;
  /** When by the clock; empty: nobody knows. */
  readonly at: string;
  readonly state: 'runs' | 'over' | 'lies' | 'too late' | 'never';
}

/** What is waited for on all surfaces of the open job, next first; rings when one is over. */
@Injectable()
export class RunningWaits {
  readonly #view = inject(JobReading).view;
  readonly #clock = inject(JobClock).clock;
  readonly #ring = inject(Ring);
  readonly #now_ms = signal(Date.now());
  readonly #waits = computed(() => pendingWaits(this.#view(), indoorAir(this.#view(), undefined)));
  readonly lines = computed((): readonly WaitLine[] =>
    this.#waits()
      .filter((wait) => isPending(wait, this.#now_ms()))
      .map((wait) => this.#lineOf(wait)),
  );
  /** Running ones, by key: whatever leaves this list has ended. */
  readonly #running = computed(
    () =>
      new Set(
        this.lines()
          .filter(({ state }) => state === 'runs')
          .map(({ key }) => key),
      ),
    { equal: (a, b) => a.size === b.size && [...a].every((key) => b.has(key)) },
  );

  constructor() {
    let before: ReadonlySet<string> = new Set();
    effect(() => {
      const now = this.#running();
      const over = untracked(() => [...before].filter((key) => !now.has(key) && this.#isOver(key)));
      before = now;
      if (over.length > 0) this.#ring.ring();
    });
    const ticking = setInterval(() => {
      this.#now_ms.set(Date.now());
    }, TICK_MS);
    inject(DestroyRef).onDestroy(() => {
      clearInterval(ticking);
    });
  }

  /** It ended by time: what a person ended or took back does not ring. */
  #isOver(key: string): boolean {
    const wait = this.#waits().find((own) => keyOf(own) === key);
    return wait?.ended === null && pendingState(wait, this.#now_ms()) === 'over';
  }

  #lineOf(wait: PendingWait): WaitLine {
    const now_ms = this.#now_ms();
    const state = pendingState(wait, now_ms);
    const until_ms = state === 'closed' ? wait.opens_ms : state === 'feel it' ? wait.over_ms : wait.latest_ms;
    const word = until_ms === null ? '' : this.#clock().hourFrom(now_ms, until_ms);
    const { surfaceId, tag, why } = wait;
    return {
      key: keyOf(wait),
      surfaceId,
      tag,
      why,
      digits: until_ms === null ? '' : clockDigits(Math.abs(until_ms - now_ms)),
      at: saidAt(state, word),
      state: STATES[state],
    };
  }
}

const STATES = {
  closed: 'runs',
  'feel it': 'runs',
  over: 'lies',
  'too late': 'too late',
  'never ends': 'never',
} as const;

const keyOf = ({ applicationId, step }: PendingWait): string => `${applicationId} ${step}`;

function saidAt(state: keyof typeof STATES, time: string): string {
  switch (state) {
    case 'closed':
      return shellWords.waitNotBefore(time);
    case 'feel it':
      return shellWords.waitFeel(time);
    case 'over':
      return shellWords.waitGoOn(time);
    case 'too late':
      return shellWords.waitTooLate(time);
    case 'never ends':
      return shellWords.waitNever;
  }
}
