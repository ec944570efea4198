import { effect } from '@angular/core';
import { patchState, signalStore, withHooks, withMethods, withState } from '@ngrx/signals';
import { readKept, writeKept } from './keep';

const KEY = 'drafts';

/** What is typed and not taken over yet, readable or not, by the field it stands in. Kept in the browser, so a reload loses nothing. */
export const Drafts = signalStore(
  { providedIn: 'root' },
  withState<{ readonly texts: Readonly<Record<string, string>> }>(() => ({ texts: readTexts() })),
  withMethods((store) => ({
    type: (key: string, text: string): void => { patchState(store, ({ texts }) => ({ texts: { ...texts, [key]: text } })); },
    forget: (key: string): void => { patchState(store, ({ texts }) => ({ texts: Object.fromEntries(Object.entries(texts).filter(([other]) => other !== key)) })); },
  })),
  withHooks({
    onInit(store) {
      effect(() => { writeKept(KEY, store.texts()); });
    },
  }),
);

function readTexts(): Record<string, string> {
  const kept = readKept(KEY);
  if (typeof kept !== 'object' || kept === null) return {};
  return Object.fromEntries(Object.entries(kept).filter((entry): entry is [string, string] => typeof entry[1] === 'string'));
}
