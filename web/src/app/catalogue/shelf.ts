import { inject } from '@angular/core';
import { patchState, signalStore, withMethods, withState } from '@ngrx/signals';
import type { ShelfRow } from '@yellow-pane/contracts';
import type { ShelfPane } from '@yellow-pane/core/job';
import { newId } from '../device/session';
import { NOBODY_SAID, WhoseHand } from '../device/whose-hand';
import { ServerRefusal, api } from '../server/api';
import { catalogueWords } from '../words/catalogue';

/** Curved panes the shop has filmed before, as this server keeps them. */
export const Shelf = signalStore(
  { providedIn: 'root' },
  withState<{ readonly rows: readonly ShelfRow[] }>({ rows: [] }),
  withMethods((store, hand = inject(WhoseHand)) => {
    const load = async (): Promise<void> => {
      await api.shelf().then(
        (rows) => {
          patchState(store, { rows });
        },
        () => undefined,
      );
    };
    const save = async (
      pane: ShelfPane,
      of: { readonly id: string; readonly version?: number; readonly removed?: boolean },
    ): Promise<string | undefined> => {
      const by = await hand.known();
      if (by === undefined) return NOBODY_SAID;
      try {
        await api.saveShelf(of.id, by, pane, of);
        await load();
        return undefined;
      } catch (error) {
        if (!(error instanceof ServerRefusal)) return catalogueWords.noAnswer;
        await load();
        return error.problem.detail;
      }
    };
    return {
      load,
      /** @returns what the server objects to, or undefined when it is kept */
      put: (pane: ShelfPane): Promise<string | undefined> => save(pane, { id: newId() }),
      takeOff({ id, version, ...row }: ShelfRow): Promise<string | undefined> {
        const { make, model, year, pane, measures, hold, plan, wentWrong, note } = row;
        return save(
          { make, model, year, pane, measures, hold, plan, wentWrong, note },
          { id, version, removed: true },
        );
      },
    };
  }),
);
