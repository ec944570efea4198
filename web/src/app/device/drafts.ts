import { patchState, signalStore, withMethods, withState } from '@ngrx/signals';
import { browserStore } from './browser-store';
import { DraftWriting, keptDrafts } from './draft-writing';
import { readKept, writeKept } from './keep';

const OLD_KEY = 'drafts';

interface DraftsState {
  readonly texts: Readonly<Record<string, string>>;
  readonly versions: Readonly<Record<string, number>>;
  /** False while the browser refuses to keep what is typed. */
  readonly isKept: boolean;
}

const NOTHING: DraftsState = { texts: {}, versions: {}, isKept: true };

/**
 * What is typed and not taken over yet, readable or not, by the field it stands in. Kept in the browser at
 * every key, so a reload loses nothing.
 */
export const Drafts = signalStore(
  { providedIn: 'root' },
  withState<DraftsState>(() => ({ ...NOTHING, texts: readTheOldWay() })),
  withMethods((store) => {
    const writing = new DraftWriting((isKept) => {
      patchState(store, { isKept });
    });
    return {
      /**
       * What was kept is read before the first field is shown; a browser that does not answer is not waited
       * for.
       */
      async load(): Promise<void> {
        const { records, ahead } = await keptDrafts();
        const old = store.texts();
        patchState(store, {
          texts: { ...Object.fromEntries(records.map(({ key, text }) => [key, text])), ...old },
          versions: Object.fromEntries(
            records.flatMap(({ key, version }) => (version === undefined ? [] : [[key, version]])),
          ),
        });
        for (const { key, noted, record } of ahead) {
          if (record === undefined) writing.drop(key, noted);
          else writing.keep(record, noted);
        }
        if (Object.keys(old).length === 0) return;
        writing.inTurn(async () => {
          const kept = await browserStore();
          await Promise.all(Object.entries(old).map(([key, text]) => kept.put('drafts', { key, text })));
          writeKept(OLD_KEY, undefined);
        });
      },
      /** When all that was typed so far is kept, or refused. */
      async settled(): Promise<void> {
        await writing.settled();
      },
      /**
       * @param version of the row the field stands for: what is typed is set against what was there at its
       * first letter
       */
      type(key: string, text: string, version?: number): void {
        const first = key in store.texts() ? store.versions()[key] : version;
        patchState(store, {
          texts: { ...store.texts(), [key]: text },
          ...(first === undefined ? {} : { versions: { ...store.versions(), [key]: first } }),
        });
        writing.keep({ key, text, version: first });
      },
      forget(key: string): void {
        if (!(key in store.texts())) return;
        const without = <Value>(all: Readonly<Record<string, Value>>): Record<string, Value> =>
          Object.fromEntries(Object.entries(all).filter(([other]) => other !== key));
        patchState(store, { texts: without(store.texts()), versions: without(store.versions()) });
        writing.drop(key);
      },
    };
  }),
);

/** What versions up to 0.5.0 kept in one text. */
function readTheOldWay(): Record<string, string> {
  const kept = readKept(OLD_KEY);
  if (typeof kept !== 'object' || kept === null) return {};
  return Object.fromEntries(
    Object.entries(kept).filter((entry): entry is [string, string] => typeof entry[1] === 'string'),
  );
}
