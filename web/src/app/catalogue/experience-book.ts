import { inject } from '@angular/core';
import { patchState, signalStore, withMethods, withState } from '@ngrx/signals';
import type { CaseApartRow } from '@yellow-pane/contracts';
import type { CaseApart } from '@yellow-pane/core/job';
import type { Experience } from '@yellow-pane/core/reading';
import { NOBODY_SAID, WhoseHand } from '../device/whose-hand';
import { ServerRefusal, api } from '../server/api';
import { catalogueWords } from '../words/catalogue';

interface Known {
  /** Undefined: not asked yet, or no answer. */
  readonly known: Experience | undefined;
  /** Cases that are in no job. */
  readonly apart: readonly CaseApartRow[];
}

/** What all jobs of the shop have shown, as this server keeps it. */
export const ExperienceBook = signalStore(
  { providedIn: 'root' },
  withState<Known>({ known: undefined, apart: [] }),
  withMethods((store, hand = inject(WhoseHand)) => {
    const load = async (): Promise<void> => {
      await api.experience().then(
        (known) => {
          patchState(store, { known });
        },
        () => undefined,
      );
    };
    const loadApart = async (): Promise<void> => {
      await api.casesApart().then(
        (apart) => {
          patchState(store, { apart });
        },
        () => undefined,
      );
    };
    return {
      load,
      loadApart,
      /** @returns what the server objects to, or undefined when it is kept */
      async keep(
        own: CaseApart,
        of: { readonly id: string; readonly version?: number | undefined; readonly removed?: boolean },
      ): Promise<string | undefined> {
        const by = await hand.known();
        if (by === undefined) return NOBODY_SAID;
        try {
          await api.saveCaseApart(of.id, by, own, of);
          return undefined;
        } catch (error) {
          return error instanceof ServerRefusal ? error.problem.detail : catalogueWords.noAnswer;
        } finally {
          await Promise.all([load(), loadApart()]);
        }
      },
    };
  }),
);
