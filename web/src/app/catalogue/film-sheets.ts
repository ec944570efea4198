import { Injectable, computed, inject, signal } from '@angular/core';
import { type FilmSheet, LARGEST_SHEET_BYTES } from '@yellow-pane/contracts';
import { NOBODY_SAID, WhoseHand } from '../device/whose-hand';
import { ServerRefusal, api } from '../server/api';
import { catalogueWords } from '../words/catalogue';

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
