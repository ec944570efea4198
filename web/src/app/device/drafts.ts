import { patchState, signalStore, withMethods, withState } from '@ngrx/signals';
import { readKept, writeKept } from './keep';

const KEY = 'drafts';

/** What is typed and not taken over yet, readable or not, by the field it stands in. Kept in the browser at every key, so a reload loses nothing. */
export const Drafts = signalStore(
  { providedIn: 'root' },
  withState<{ readonly texts: Readonly<Record<string, string>> }>(() => ({ texts: readTexts() })),
  withMethods((store) => {
    const keep = (texts: Readonly<Record<string, string>>): void => {
      patchState(store, { texts });
      writeKept(KEY, texts);
    };
    return {
      type: (key: string, text: string): void => { keep({ ...store.texts(), [key]: text }); },
      forget: (key: string): void => { if (key in store.texts()) keep(Object.fromEntries(Object.entries(store.texts()).filter(([other]) => other !== key))); },
    };
  }),
);

function readTexts(): Record<string, string> {
  const kept = readKept(KEY);
  if (typeof kept !== 'object' || kept === null) return {};
  return Object.fromEntries(Object.entries(kept).filter((entry): entry is [string, string] => typeof entry[1] === 'string'));
}
