import { computed, inject } from '@angular/core';
import { patchState, signalStore, withComputed, withMethods, withState } from '@ngrx/signals';
import type { Op, StockItem } from '@yellow-pane/contracts';
import type { Roll } from '@yellow-pane/core/job';
import { NOBODY_SAID, WhoseHand } from '../device/whose-hand';
import { newId, sessionOf } from '../device/session';
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
      /**
       * Says where something lies, or that it is gone: of a roll in the shop's own row, of an offcut in that
       * of the job that left it.
       * @returns what the server objects to
       */
      async tell(item: StockItem, said: Partial<Pick<Roll, 'where' | 'gone'>>): Promise<string | undefined> {
        if (item.jobId === null) {
          const saved = await this.save({ ...rollOf(item), ...said }, item);
          return 'objection' in saved ? saved.objection : undefined;
        }
        const by = await hand.known();
        if (by === undefined) return NOBODY_SAID;
        const ops: readonly Op[] = [
          { op: 'set', table: 'offcut', id: item.id, baseVersion: item.version, fields: said },
        ];
        try {
          await api.send(item.jobId, { id: newId(), session: sessionOf(by.who), ...by, ops });
        } catch (error) {
          return error instanceof ServerRefusal ? error.problem.detail : catalogueWords.typedStays;
        }
        await load();
        return undefined;
      },
    };
  }),
);

/** Of a line of the stock what a roll keeps. */
function rollOf(item: StockItem): Roll {
  const { filmId, what, label, lot, width_nm, length_nm, perMetre, leftEdge, rightEdge, where, gone } = item;
  return { filmId, what, label, lot, width_nm, length_nm, perMetre, leftEdge, rightEdge, where, gone };
}
