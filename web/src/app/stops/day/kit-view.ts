import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toBuy } from '@yellow-pane/core/day';
import { formatFilmLength, formatLengthWithUnit } from '@yellow-pane/core/quantity';
import { Catalogue } from '../../catalogue/catalogue';
import { Stock } from '../../catalogue/stock';
import { Supplies } from '../../catalogue/supplies';
import { Device } from '../../device/device';
import { JobReading } from '../../job/job-reading';
import { Planning } from './planning';

/**
 * What to pack and what to buy: film by its rolls, what is used up against what the workshop has, tools;
 * ticked as it goes into the van.
 */
@Component({
  selector: 'yp-kit-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 class="text-xl pt-3">Kit</h2>
    <p>{{ packed() }} of {{ all() }} packed.</p>
    @if (buying().length > 0) {
      <section class="border-l-4 border-ink pl-3 mt-2 max-w-4xl" aria-label="To buy">
        <h3 class="font-bold">To buy</h3>
        <ul>
          @for (line of buying(); track line) {
            <li>{{ line }}</li>
          }
        </ul>
      </section>
    }
    <div class="grid grid-cols-2 gap-8 max-lg:grid-cols-1 mt-3 max-w-4xl">
      <div>
        <section aria-label="Film">
          <h3 class="font-bold border-b border-ink pb-1">Film</h3>
          @for (item of films(); track item.key) {
            <label class="flex gap-3 items-center min-h-touch border-b border-line"
              ><input
                type="checkbox"
                class="size-6 accent-ink"
                [checked]="isPacked(item.key)"
                (change)="tick(item.key)"
              /><span class="flex-1 leading-tight"
                >{{ item.word }}<span class="block text-sm text-faint">{{ item.where }}</span></span
              ><span class="figure font-semibold">{{ item.length }}</span></label
            >
          } @empty {
            <p class="text-faint py-2">Not laid out yet: the Cut stop says which rolls.</p>
          }
        </section>
        <section class="mt-6" aria-label="Used up">
          <h3 class="font-bold border-b border-ink pb-1">Used up</h3>
          @for (item of usedUp(); track item.key) {
            <div class="border-b border-line py-1">
              <label class="flex gap-3 items-center min-h-touch"
                ><input
                  type="checkbox"
                  class="size-6 accent-ink"
                  [checked]="isPacked(item.key)"
                  (change)="tick(item.key)"
                /><span class="flex-1 leading-tight"
                  >{{ item.word }}<span class="block text-sm text-faint">{{ item.because }}</span></span
                ><span class="figure font-semibold">{{ item.count }} {{ item.unit }}</span></label
              >
              <p class="flex flex-wrap gap-x-3 items-center pl-9">
                <label class="flex gap-2 items-center text-sm"
                  >in stock
                  <input
                    class="field figure w-20"
                    inputmode="decimal"
                    autocomplete="off"
                    maxlength="8"
                    placeholder="?"
                    [attr.aria-label]="item.word + ' in stock'"
                    [value]="item.have ?? ''"
                    (change)="count(item.key, $any($event.target).value)" /></label
                ><span class="text-sm" [class.font-semibold]="item.have !== null && item.buy > 0">{{
                  item.have === null
                    ? 'not counted yet'
                    : item.buy > 0
                      ? 'buy ' + item.buy + ' ' + item.unit
                      : 'enough'
                }}</span>
              </p>
            </div>
          } @empty {
            <p class="text-faint py-2">Nothing yet: choose films first.</p>
          }
        </section>
      </div>
      <section aria-label="Tools and liquids">
        <h3 class="font-bold border-b border-ink pb-1">Tools and liquids</h3>
        @for (item of planning.kit().tools; track item.key) {
          <label class="flex gap-3 items-center min-h-touch border-b border-line"
            ><input
              type="checkbox"
              class="size-6 accent-ink"
              [checked]="isPacked(item.key)"
              (change)="tick(item.key)"
            /><span class="flex-1 leading-tight">{{ item.word }}</span></label
          >
        } @empty {
          <p class="text-faint py-2">Nothing yet: choose films first.</p>
        }
      </section>
    </div>
    @if (fault(); as text) {
      <p class="text-stop font-semibold mt-2" role="alert">{{ text }}</p>
    }
  `,
  host: { class: 'block px-5 pb-6 overflow-auto' },
})
export class KitView {
  protected readonly planning = inject(Planning);
  readonly #reading = inject(JobReading);
  readonly #catalogue = inject(Catalogue);
  readonly #stock = inject(Stock);
  readonly #supplies = inject(Supplies);
  readonly #units = inject(Device).units;
  protected readonly fault = signal<string | undefined>(undefined);

  protected readonly films = computed(() =>
    this.#reading.plans().flatMap((plan) =>
      this.#reading.rollsOf(plan.id).map((roll) => ({
        key: `film:${roll.id}`,
        isToOrder: roll.what === 'to order',
        word: `${this.#catalogue.byId().get(plan.filmId)?.name ?? '?'}, ${roll.what === 'to order' ? `${formatLengthWithUnit(roll.width_nm, this.#units())} wide` : roll.label}`,
        length: formatFilmLength(roll.used_nm, this.#units()),
        where:
          roll.what === 'to order'
            ? 'to order'
            : this.#stock.items().find(({ id }) => id === roll.stockId)?.where || 'in stock',
      })),
    ),
  );
  protected readonly usedUp = computed(() =>
    this.planning.kit().usedUp.map((item) => {
      const have = this.#supplies.byKey().get(item.key)?.have ?? null;
      return { ...item, have, buy: toBuy(item, have ?? undefined) };
    }),
  );
  protected readonly buying = computed(() => [
    ...this.films()
      .filter(({ isToOrder }) => isToOrder)
      .map(({ word, length }) => `${word}: at least ${length}`),
    ...this.usedUp()
      .filter(({ have, buy }) => have !== null && buy > 0)
      .map(({ word, buy, unit }) => `${word}: ${buy} ${unit}`),
  ]);
  readonly #keys = computed(() =>
    [...this.films(), ...this.usedUp(), ...this.planning.kit().tools].map(({ key }) => key),
  );
  protected readonly all = computed(() => this.#keys().length);
  protected readonly packed = computed(() => this.#keys().filter((key) => this.isPacked(key)).length);

  constructor() {
    void this.#supplies.load();
    void this.#stock.load();
  }

  protected isPacked(key: string): boolean {
    return this.planning.settings().packed.includes(key);
  }

  protected tick(key: string): void {
    const packed = this.planning.settings().packed;
    this.planning.set(
      { packed: packed.includes(key) ? packed.filter((own) => own !== key) : [...packed, key] },
      packed.includes(key) ? 'unpacked' : 'packed',
    );
  }

  protected async count(key: string, text: string): Promise<void> {
    const row = this.#supplies.byKey().get(key);
    const have = Number(text.trim().replace(',', '.'));
    if (row === undefined || text.trim() === '' || !(have >= 0 && have <= 1e6)) {
      this.fault.set(
        `In stock: expected a number from 0 to 1 000 000, got ${text === '' ? 'nothing' : text}.`,
      );
      return;
    }
    this.fault.set(await this.#supplies.count(row, have));
  }
}
