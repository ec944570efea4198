import { inject } from '@angular/core';
import { patchState, signalStore, withMethods, withState } from '@ngrx/signals';
import type { RateRow } from '@yellow-pane/contracts';
import { type RateKey, rateOf } from '@yellow-pane/core/fitting';
import { NOBODY_SAID, WhoseHand } from '../device/whose-hand';
import { ServerRefusal, api } from '../server/api';

/** Figures nobody has a source for, as this server keeps them. */
export const Rates = signalStore(
  { providedIn: 'root' },
  withState<{ readonly rates: readonly RateRow[] }>({ rates: [] }),
  withMethods((store, hand = inject(WhoseHand)) => ({
    /** As people have set it; ours where they have not. */
    valueOf(key: RateKey): number {
      return rateOf(key, store.rates()).value;
    },
    async load(): Promise<void> {
      await api.rates().then(
        (rates) => {
          patchState(store, { rates });
        },
        () => undefined,
      );
    },
    /** @returns what the server objects to, or undefined when it is kept */
    async save(rate: RateRow): Promise<string | undefined> {
      const by = await hand.known();
      if (by === undefined) return NOBODY_SAID;
      try {
        const kept = await api.saveRate(rate, by);
        patchState(store, ({ rates }) => ({
          rates: rates.map((other) => (other.key === kept.key ? kept : other)),
        }));
        return undefined;
      } catch (error) {
        return error instanceof ServerRefusal
          ? error.problem.detail
          : 'The server does not answer. Try again when it is back.';
      }
    },
  })),
);
