import { computed, inject } from '@angular/core';
import { patchState, signalStore, withComputed, withMethods, withState } from '@ngrx/signals';
import type { FilmRow } from '@yellow-pane/contracts';
import type { Film } from '@yellow-pane/core/job';
import { newId } from '../device/session';
import { NOBODY_SAID, WhoseHand } from '../device/whose-hand';
import { ServerRefusal, api } from '../server/api';
import { catalogueWords } from '../words/catalogue';

interface CatalogueState {
  readonly films: readonly FilmRow[];
  readonly status: 'not asked' | 'asking' | 'here' | 'gone';
}

/** The film catalogue of this server. */
export const Catalogue = signalStore(
  { providedIn: 'root' },
  withState<CatalogueState>({ films: [], status: 'not asked' }),
  withComputed(({ films }) => ({ byId: computed(() => new Map(films().map((film) => [film.id, film]))) })),
  withMethods((store, hand = inject(WhoseHand)) => ({
    async load(): Promise<void> {
      if (store.status() === 'asking') return;
      patchState(store, { status: 'asking' });
      await api.films().then(
        (films) => {
          patchState(store, { films, status: 'here' });
        },
        () => {
          patchState(store, { status: 'gone' });
        },
      );
    },
    async loadExamples(): Promise<void> {
      const by = await hand.known();
      if (by === undefined) return;
      await api.loadExampleFilms(by).then(
        (films) => {
          patchState(store, { films, status: 'here' });
        },
        () => {
          patchState(store, { status: 'gone' });
        },
      );
    },
    /** Adds films of a file one after the other. @returns how many are in, and what the server objected to */
    async addAll(
      films: readonly Film[],
    ): Promise<{ readonly added: number; readonly objection: string | undefined }> {
      const by = await hand.known();
      if (by === undefined) return { added: 0, objection: NOBODY_SAID };
      const rows: FilmRow[] = [];
      let objection: string | undefined;
      for (const film of films) {
        try {
          rows.push(await api.saveFilm(newId(), by, film));
        } catch (error) {
          objection = error instanceof ServerRefusal ? error.problem.detail : catalogueWords.fileStays;
          break;
        }
      }
      patchState(store, { films: [...store.films(), ...rows] });
      return { added: rows.length, objection };
    },
    /** @returns what the server objects to, or undefined when the film is in */
    async add(film: Film): Promise<string | undefined> {
      const by = await hand.known();
      if (by === undefined) return NOBODY_SAID;
      try {
        const row = await api.saveFilm(newId(), by, film);
        patchState(store, ({ films }) => ({ films: [...films, row] }));
        return undefined;
      } catch (error) {
        return error instanceof ServerRefusal ? error.problem.detail : catalogueWords.typedStays;
      }
    },
  })),
);
