import { computed } from '@angular/core';
import { patchState, signalStore, withComputed, withMethods, withState } from '@ngrx/signals';

interface Marks {
  readonly filter: string;
  readonly marked: readonly string[];
}

/** What is filtered and marked in the schedule; dies with the job's screen. */
export const ScheduleMarks = signalStore(
  withState<Marks>({ filter: '', marked: [] }),
  withComputed(({ marked }) => ({ markedIds: computed(() => new Set(marked())) })),
  withMethods((store) => ({
    filterBy: (filter: string): void => {
      patchState(store, { filter });
    },
    toggle: (id: string): void => {
      patchState(store, ({ marked }) => ({
        marked: marked.includes(id) ? marked.filter((other) => other !== id) : [...marked, id],
      }));
    },
    mark: (ids: readonly string[]): void => {
      patchState(store, { marked: [...ids] });
    },
    clear: (): void => {
      patchState(store, { marked: [] });
    },
  })),
);
