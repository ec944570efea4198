import { Injectable, computed, inject, signal } from '@angular/core';
import { type FilmSheet, LARGEST_SHEET_BYTES } from '@yellow-pane/contracts';
import { browserStore } from '../device/browser-store';
import { NOBODY_SAID, WhoseHand } from '../device/whose-hand';
import { ServerRefusal, api } from '../server/api';
import { catalogueWords } from '../words/catalogue';

export const sheetPath = (filmId: string): string => `/api/films/${filmId}/sheet`;

/** Data sheets of films that are kept on this server. */
@Injectable({ providedIn: 'root' })
export class FilmSheets {
  readonly #hand = inject(WhoseHand);
  readonly #sheets = signal<readonly FilmSheet[]>([]);
  readonly byFilm = computed(() => new Map(this.#sheets().map((sheet) => [sheet.filmId, sheet])));

  async load(): Promise<void> {
    await api.filmSheets().then(
      (sheets) => {
        this.#sheets.set(sheets);
      },
      () => undefined,
    );
  }

  /** Keeps the sheets of some films in this browser, for when the server is away. */
  async keepHere(filmIds: ReadonlySet<string>): Promise<void> {
    const wanted = [...this.byFilm().values()].filter(({ filmId }) => filmIds.has(filmId));
    try {
      const store = await browserStore();
      for (const { filmId, changedAt } of wanted) {
        if ((await store.get('sheets', filmId))?.changedAt === changedAt) continue;
        const answer = await fetch(sheetPath(filmId));
        if (answer.ok) await store.put('sheets', { filmId, changedAt, sheet: await answer.blob() });
      }
    } catch {
      // Without room, or without a server, the sheet is read from the server when it is asked for.
    }
  }

  /** Where to read the sheet of a film: on the server, or as it is kept here; undefined: nowhere now. */
  async toRead(filmId: string): Promise<string | undefined> {
    const isThere = await fetch(sheetPath(filmId), { method: 'HEAD' }).then(
      ({ ok }) => ok,
      () => false,
    );
    if (isThere) return sheetPath(filmId);
    const kept = await browserStore()
      .then((store) => store.get('sheets', filmId))
      .catch(() => undefined);
    return kept === undefined ? undefined : URL.createObjectURL(kept.sheet);
  }

  /** @returns what the server objects to, or undefined when the sheet is kept */
  async keep(filmId: string, file: File): Promise<string | undefined> {
    if (file.size > LARGEST_SHEET_BYTES)
      return catalogueWords.sheetTooLarge(file.name, file.size / 1e6, LARGEST_SHEET_BYTES / 1e6);
    const by = await this.#hand.known();
    if (by === undefined) return NOBODY_SAID;
    try {
      const kept = await api.keepFilmSheet(filmId, by, file);
      this.#sheets.update((sheets) => [...sheets.filter((sheet) => sheet.filmId !== filmId), kept]);
      return undefined;
    } catch (error) {
      return error instanceof ServerRefusal ? error.problem.detail : catalogueWords.fileStays;
    }
  }
}
