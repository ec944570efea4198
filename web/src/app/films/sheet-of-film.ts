import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import type { FilmRow } from '@yellow-pane/contracts';
import { FilmSheets, sheetPath } from '../catalogue/film-sheets';
import { catalogueWords } from '../words/catalogue';

/** The data sheet of a film: to read, or to be attached. */
@Component({
  selector: 'yp-sheet-of-film',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (sheet(); as kept) {
      <a
        class="underline underline-offset-2"
        target="_blank"
        rel="noopener"
        [href]="path()"
        (click)="read($event)"
        >{{ words.dataSheet }}<span class="sr-only"> {{ film().name }}</span></a
      >
    }
    <label
      class="underline underline-offset-2 cursor-pointer inline-block min-h-6 focus-within:outline-3"
      [class.ml-3]="sheet()"
      >{{ sheet() ? words.anotherSheet : words.attachSheet }}<span class="sr-only"> {{ film().name }}</span
      ><input type="file" class="sr-only" accept=".pdf,.jpg,.jpeg,.png" (change)="keep($any($event.target))"
    /></label>
    @if (fault(); as says) {
      <span class="block text-stop font-semibold" role="alert">{{ says }}</span>
    }
  `,
  host: { class: 'block text-sm' },
})
export class SheetOfFilm {
  protected readonly words = catalogueWords;
  readonly #sheets = inject(FilmSheets);
  readonly film = input.required<Pick<FilmRow, 'id' | 'name'>>();
  protected readonly sheet = computed(() => this.#sheets.byFilm().get(this.film().id));
  protected readonly fault = signal<string | undefined>(undefined);

  protected readonly path = computed(() => sheetPath(this.film().id));

  /** From the server, or as it is kept in this browser. */
  protected async read(event: Event): Promise<void> {
    event.preventDefault();
    const at = await this.#sheets.toRead(this.film().id);
    this.fault.set(at === undefined ? catalogueWords.sheetNotHere : undefined);
    if (at !== undefined) globalThis.open(at, '_blank');
  }

  protected async keep(from: HTMLInputElement): Promise<void> {
    const file = from.files?.[0];
    from.value = '';
    if (file !== undefined) this.fault.set(await this.#sheets.keep(this.film().id, file));
  }
}
