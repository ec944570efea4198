import { learnedOf } from '@yellow-pane/core/learned';
import { LearnedFigures } from '../catalogue/learned-figures';
import { figuresIn } from '@yellow-pane/contracts/words';
import {
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  computed,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import type { StockItem } from '@yellow-pane/contracts';
import type { Roll } from '@yellow-pane/core/job';
import {
  type LengthUnit,
  type ReadingRange,
  formatFilmLength,
  parseReading,
} from '@yellow-pane/core/quantity';
import { Catalogue } from '../catalogue/catalogue';
import { Stock } from '../catalogue/stock';
import { Device } from '../device/device';
import { textOf } from '../ui/form-text';
import { GeneralCommands } from '../shell/general-commands';
import { catalogueWords } from '../words/catalogue';
import { shownItem, spokenLength } from './shown-item';

const WIDTHS: ReadingRange = { least_mm: 50, most_mm: 5000 };
const LENGTHS: ReadingRange = { least_mm: 50, most_mm: 1_000_000 };

/** Every roll and offcut there is, drawn by what is left of it, and the way to take one in. */
@Component({
  selector: 'yp-stock-page',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main class="max-w-5xl mx-auto px-5 py-6">
      <a routerLink="/" class="underline underline-offset-2">{{ words.allJobs }}</a>
      <div class="flex flex-wrap items-end gap-4">
        <h1 class="text-3xl mt-1 flex-1">{{ words.stock }}</h1>
        @if (groups().length > 0) {
          <a class="act act-small" href="/api/stock/list" download="stock.csv">{{ words.stockAsCsv }}</a>
        }
      </div>
      @if (stock.status() === 'gone') {
        <p class="mt-3">
          {{ words.stockUnreadable }}
          <button type="button" class="act act-small" (click)="stock.load()">{{ words.tryAgain }}</button>
        </p>
      }
      @if (stock.items().length > 0) {
        <label class="block mt-3 max-w-sm"
          ><span class="block text-sm text-faint">{{ words.findInStock }}</span
          ><input
            class="field"
            type="search"
            [value]="sought()"
            (input)="sought.set($any($event.target).value)"
        /></label>
        @if (groups().length === 0) {
          <p class="mt-4" role="status">{{ words.nothingFound(sought()) }}</p>
        }
        <p class="mt-3 text-sm text-faint">{{ keptFrom() }}</p>
      }
      @for (group of groups(); track group.filmId) {
        <section class="mt-5" [attr.aria-label]="group.name">
          <h2 class="text-xl border-b border-ink pb-1 flex flex-wrap items-baseline gap-x-4">
            <span class="flex-1">{{ group.name }}</span><span class="text-base figure">{{ group.sum }}</span>
          </h2>
          <ul>
            @for (item of group.items; track item.id) {
              <li
                class="grid grid-cols-[5.5rem_minmax(0,1fr)_20rem] gap-x-4 items-center border-b border-line py-2 max-md:grid-cols-[4.5rem_minmax(0,1fr)]"
              >
                <span
                  ><strong>{{ item.label }}</strong
                  ><span class="block text-sm text-faint">{{ item.what }}</span></span
                >
                <svg
                  class="w-full h-9"
                  viewBox="0 0 600 36"
                  preserveAspectRatio="none"
                  role="img"
                  [attr.aria-label]="item.says"
                >
                  <rect
                    x="0.5"
                    y="1"
                    [attr.width]="item.whole"
                    height="34"
                    class="fill-none stroke-line-strong"
                    stroke-dasharray="4 4"
                    vector-effect="non-scaling-stroke"
                  />
                  <rect
                    x="0.5"
                    y="1"
                    [attr.width]="item.left"
                    height="34"
                    class="fill-film stroke-ink"
                    fill-opacity="0.25"
                    stroke-width="1.5"
                    vector-effect="non-scaling-stroke"
                  />
                  @if (item.spoken > 0) {
                    <rect
                      x="0.5"
                      y="1"
                      [attr.width]="item.spoken"
                      height="34"
                      class="fill-film stroke-ink"
                      fill-opacity="0.75"
                      vector-effect="non-scaling-stroke"
                    />
                  }
                </svg>
                <span class="text-right max-md:col-span-2 max-md:text-left"
                  ><span class="figure font-semibold">{{ item.size }}</span
                  ><span class="block text-sm text-faint">{{ item.under }}</span>
                  @if (item.spokenFor; as says) {
                    <span class="block text-sm">{{ says }}</span>
                  }
                </span>
                <span class="col-span-full flex flex-wrap gap-x-3 items-center justify-end">
                  <label class="text-sm flex items-center gap-2"
                    >{{ words.liesAt
                    }}<input
                      class="field w-44 min-h-9"
                      maxlength="200"
                      [attr.aria-label]="words.whereLies(item.label)"
                      [value]="item.row.where"
                      (change)="tell(item.row, { where: $any($event.target).value.trim() })"
                  /></label>
                  <button
                    type="button"
                    class="act act-quiet act-small font-normal underline underline-offset-2"
                    (click)="tell(item.row, { gone: !item.row.gone })"
                  >
                    {{ item.row.gone ? words.thereAgain : words.gone
                    }}<span class="sr-only"> {{ item.label }}</span>
                  </button>
                </span>
              </li>
            }
          </ul>
        </section>
      } @empty {
        @if (stock.status() === 'here' && stock.items().length === 0) {
          <p class="mt-4">
            {{ words.stockEmpty }}
          </p>
        }
      }
      <section class="mt-8 max-w-3xl" aria-labelledby="take-in">
        <h2 id="take-in" class="text-2xl">{{ words.takeIn }}</h2>
        <form
          #form
          class="grid grid-cols-3 gap-4 mt-3 max-md:grid-cols-1"
          (submit)="takeIn($event)"
          novalidate
        >
          <label
            ><span class="block">{{ words.film }}</span
            ><select class="field" name="film">
              @for (film of catalogue.films(); track film.id) {
                <option [value]="film.id">{{ film.name }}</option>
              }
            </select></label
          >
          <label
            ><span class="block">{{ words.itIsA }}</span
            ><select class="field" name="what">
              <option value="roll">{{ words.roll }}</option>
              <option value="offcut">{{ words.offcut }}</option>
            </select></label
          >
          <label
            ><span class="block">{{ words.label }}</span
            ><input class="field" name="label" maxlength="80" placeholder="R-22"
          /></label>
          <label
            ><span class="block">{{ words.width }}</span
            ><input class="field figure" name="width" placeholder="1524"
          /></label>
          <label
            ><span class="block">{{ words.lengthLeft }}</span
            ><input class="field figure" name="length" placeholder="30 m"
          /></label>
          <label
            ><span class="block">{{ words.lotField }}</span
            ><input class="field" name="lot" maxlength="80"
          /></label>
          <label
            ><span class="block">{{ words.priceField }}</span
            ><input class="field figure" name="price" inputmode="decimal"
          /></label>
          <label
            ><span class="block">{{ words.whereItLies }}</span
            ><input class="field" name="where" maxlength="200"
          /></label>
          <fieldset class="flex gap-4 items-end">
            <legend>{{ words.factoryEdges }}</legend>
            <label class="flex items-center gap-2 min-h-9"
              ><input type="checkbox" class="size-5 accent-ink" name="left" checked />{{ words.left }}</label
            ><label class="flex items-center gap-2 min-h-9"
              ><input type="checkbox" class="size-5 accent-ink" name="right" checked />{{
                words.right
              }}</label
            >
          </fieldset>
          <div class="col-span-full">
            @if (fault(); as text) {
              <p class="mb-3 text-stop font-semibold" role="alert">{{ text }}</p>
            }
            @if (taken(); as name) {
              <p class="mb-3 font-semibold" role="status">{{ words.isInStock(name) }}</p>
            }
            <button type="submit" class="act act-next">{{ words.takeItIn }}</button>
          </div>
        </form>
      </section>
    </main>
  `,
  host: { class: 'block h-full overflow-auto' },
})
export class StockPage {
  protected readonly words = catalogueWords;
  protected readonly stock = inject(Stock);
  protected readonly catalogue = inject(Catalogue);
  readonly #learned = inject(LearnedFigures);
  readonly #device = inject(Device);
  readonly #units = this.#device.units;
  protected readonly fault = signal<string | undefined>(undefined);
  protected readonly taken = signal<string | undefined>(undefined);
  protected readonly form = viewChild.required<ElementRef<HTMLFormElement>>('form');

  protected readonly sought = signal('');

  protected readonly groups = computed(() => {
    const longest = Math.max(1, ...this.stock.items().map(({ length_nm }) => length_nm));
    const sought = this.sought().trim().toLowerCase();
    const found = this.stock
      .items()
      .filter((item) =>
        [this.#filmName(item.filmId), item.label, item.lot, item.where]
          .join(' ')
          .toLowerCase()
          .includes(sought),
      );
    return [...new Set(found.map(({ filmId }) => filmId))].map((filmId) => {
      const items = found.filter((item) => item.filmId === filmId);
      const left_nm = items.reduce((sum, { gone, left_nm: own }) => sum + (gone ? 0 : own), 0);
      const spoken_nm = items.reduce((sum, item) => sum + spokenLength(item), 0);
      return {
        filmId,
        name: this.#filmName(filmId),
        sum: catalogueWords.sumOfFilm(
          this.#metres(left_nm),
          spoken_nm === 0 ? '' : catalogueWords.ofItSpokenFor(this.#metres(spoken_nm)),
        ),
        items: items.map((row) =>
          shownItem(
            row,
            longest,
            this.#units(),
            this.#device.money,
            this.catalogue.byId().get(row.filmId)?.thickness_um,
          ),
        ),
      };
    });
  });

  constructor() {
    void this.stock.load();
    void this.catalogue.load();
    inject(GeneralCommands).offer();
  }

  #filmName(filmId: string): string {
    return this.catalogue.byId().get(filmId)?.name ?? catalogueWords.filmUnknown;
  }

  /** What a bare figure is taken for here, where no job says it. */
  protected readonly typedIn = computed((): LengthUnit => (this.#units() === 'metric' ? 'mm' : 'in'));

  #limits({ least_mm, most_mm }: ReadingRange): [string, string] {
    const { about } = figuresIn(this.#units());
    return [about(least_mm), about(most_mm)];
  }

  /** What is cut off and smaller than this is no offcut. */
  protected readonly keptFrom = computed(() => {
    const { about } = figuresIn(this.#units());
    const [wide, long] = (['cut-keep-width', 'cut-keep-length'] as const).map(
      (key) => learnedOf(key, this.#learned.figures()).value,
    );
    return catalogueWords.keptFrom(about(wide ?? 0), about(long ?? 0));
  });

  readonly #metres = (value_nm: number): string => formatFilmLength(value_nm, this.#units());

  protected async takeIn(event: Event): Promise<void> {
    event.preventDefault();
    const data = new FormData(this.form().nativeElement);
    const text = (name: string): string => textOf(data, name);
    const [width, length] = [
      parseReading(text('width'), this.typedIn(), WIDTHS),
      parseReading(text('length'), this.typedIn(), LENGTHS),
    ];
    const price = text('price') === '' ? null : Number(text('price').replace(',', '.'));
    const says =
      text('label') === ''
        ? catalogueWords.labelMissing
        : width.kind !== 'length'
          ? catalogueWords.widthWrong(...this.#limits(WIDTHS), text('width'))
          : length.kind !== 'length'
            ? catalogueWords.lengthWrong(...this.#limits(LENGTHS), text('length'))
            : price !== null && !(price >= 0)
              ? catalogueWords.priceWrong(text('price'))
              : undefined;
    if (says !== undefined || width.kind !== 'length' || length.kind !== 'length') {
      this.fault.set(says);
      return;
    }
    const roll: Roll = {
      filmId: text('film'),
      what: text('what') === 'offcut' ? 'offcut' : 'roll',
      label: text('label'),
      lot: text('lot'),
      width_nm: width.value_nm,
      length_nm: length.value_nm,
      perMetre: price,
      leftEdge: data.get('left') !== null,
      rightEdge: data.get('right') !== null,
      where: text('where'),
      gone: false,
    };
    const saved = await this.stock.save(roll);
    this.fault.set('objection' in saved ? saved.objection : undefined);
    if ('objection' in saved) return;
    this.taken.set(roll.label);
    this.form().nativeElement.reset();
  }

  protected async tell(item: StockItem, said: Partial<Pick<Roll, 'where' | 'gone'>>): Promise<void> {
    this.fault.set(await this.stock.tell(item, said));
  }
}
