import { computed, inject } from '@angular/core';
import { patchState, signalStore, withComputed, withMethods, withState } from '@ngrx/signals';
import type { StockItem } from '@yellow-pane/contracts';
import type { Roll } from '@yellow-pane/core/job';
import { NOBODY_SAID, WhoseHand } from '../device/whose-hand';
import { newId } from '../device/session';
import { ServerRefusal, api } from '../server/api';
import { catalogueWords } from '../words/catalogue';

interface StockState {
  readonly items: readonly StockItem[];
  readonly status: 'not asked' | 'asking' | 'here' | 'gone';
}

/** Rolls and offcuts of this server, with what is left of each. */
export const Stock = signalStore(
  { providedIn: 'root' },
  withState<StockState>({ items: [], status: 'not asked' }),
  withComputed(({ items }) => ({
    usable: computed(() => items().filter(({ gone, left_nm }) => !gone && left_nm > 0)),
  })),
  withMethods((store, hand = inject(WhoseHand)) => {
    const load = async (): Promise<void> => {
      if (store.status() === 'not asked') patchState(store, { status: 'asking' });
      await api.stock().then(
        (items) => {
          patchState(store, { items, status: 'here' });
        },
        () => {
          patchState(store, { status: 'gone' });
        },
      );
    };
    return {
      load,
      /** @returns what the server objects to, or the new roll's id */
      async save(
        roll: Roll,
        of?: { readonly id: string; readonly version: number },
      ): Promise<{ readonly id: string } | { readonly objection: string }> {
        const id = of?.id ?? newId();
        const by = await hand.known();
        if (by === undefined) return { objection: NOBODY_SAID };
        try {
          await api.saveRoll(id, by, roll, of?.version);
        } catch (error) {
          return {
            objection: error instanceof ServerRefusal ? error.problem.detail : catalogueWords.typedStays,
          };
        }
        await load();
        return { id };
      },
    };
  }),
);
