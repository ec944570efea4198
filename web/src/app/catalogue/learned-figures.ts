import { inject } from '@angular/core';
import { patchState, signalStore, withMethods, withState } from '@ngrx/signals';
import type { LearnedRow } from '@yellow-pane/contracts';
import { type LearnedKey, learnedOf } from '@yellow-pane/core/learned';
import { NOBODY_SAID, WhoseHand } from '../device/whose-hand';
import { ServerRefusal, api } from '../server/api';
import { catalogueWords } from '../words/catalogue';

/** What the shop has learned, as this server keeps it. */
export const LearnedFigures = signalStore(
  { providedIn: 'root' },
  withState<{ readonly figures: readonly LearnedRow[] }>({ figures: [] }),
  withMethods((store, hand = inject(WhoseHand)) => ({
    /** As people have set it; ours where they have not. */
    valueOf(key: LearnedKey): number {
      return learnedOf(key, store.figures()).value;
    },
    async load(): Promise<void> {
      await api.learned().then(
        (figures) => {
          patchState(store, { figures });
        },
        () => undefined,
      );
    },
    /** @returns what the server objects to, or undefined when it is kept */
    async save(figure: LearnedRow): Promise<string | undefined> {
      const by = await hand.known();
      if (by === undefined) return NOBODY_SAID;
      try {
        const kept = await api.saveLearned(figure, by);
        patchState(store, ({ figures }) => ({
          figures: figures.map((other) => (other.key === kept.key && other.scope === null ? kept : other)),
        }));
        return undefined;
      } catch (error) {
        return error instanceof ServerRefusal ? error.problem.detail : catalogueWords.noAnswer;
      }
    },
  })),
);
