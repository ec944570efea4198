import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toBuy } from '@yellow-pane/core/day';
import { formatFilmLength, formatLengthWithUnit } from '@yellow-pane/core/quantity';
import { Catalogue } from '../../catalogue/catalogue';
import { Stock } from '../../catalogue/stock';
import { Supplies } from '../../catalogue/supplies';
import { Device } from '../../device/device';
import { JobReading } from '../../job/job-reading';
import { dayWords } from '../../words/day';
import { DayCommands } from './day-commands';
import { Planning } from './planning';
import { WhatToBring } from './what-to-bring';

/**
 * What to pack and what to buy: film by its rolls, what is used up against what the workshop has, tools;
 * ticked as it goes into the van.
 */
@Component({
  selector: 'yp-kit-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 class="text-xl pt-3">{{ words.kit }}</h2>
    <p>{{ words.packed(packed(), all()) }}</p>
    @if (buying().length > 0) {
      <section class="border-l-4 border-ink pl-3 mt-2 max-w-4xl" [attr.aria-label]="words.toBuy">
        <h3 class="font-bold">{{ words.toBuy }}</h3>
        <ul>
          @for (line of buying(); track line) {
            <li>{{ line }}</li>
          }
        </ul>
      </section>
    }
    <div class="grid grid-cols-2 gap-8 max-lg:grid-cols-1 mt-3 max-w-4xl">
      <div>
        <section [attr.aria-label]="words.film">
          <h3 class="font-bold border-b border-ink pb-1">{{ words.film }}</h3>
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
            <p class="text-faint py-2">{{ words.notLaidOutYet }}</p>
          }
        </section>
        <section class="mt-6" [attr.aria-label]="words.usedUp">
          <h3 class="font-bold border-b border-ink pb-1">{{ words.usedUp }}</h3>
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
                  >{{ words.inStock }}
                  <input
                    class="field figure w-20"
                    inputmode="decimal"
                    autocomplete="off"
                    maxlength="8"
                    placeholder="?"
                    [attr.aria-label]="words.inStockAlready(item.word)"
                    [value]="item.have ?? ''"
                    (change)="count(item.key, $any($event.target).value)" /></label
                ><span class="text-sm" [class.font-semibold]="item.have !== null && item.buy > 0">{{
                  item.have === null
                    ? words.notCountedYet
                    : item.buy > 0
                      ? words.buy(item.buy, item.unit)
                      : words.enough
                }}</span>
              </p>
            </div>
          } @empty {
            <p class="text-faint py-2">{{ words.nothingYet }}</p>
          }
        </section>
      </div>
      <section [attr.aria-label]="words.toolsAndLiquids">
        <h3 class="font-bold border-b border-ink pb-1">{{ words.toolsAndLiquids }}</h3>
        @for (item of bring.kit().tools; track item.key) {
          <label class="flex gap-3 items-center min-h-touch border-b border-line"
            ><input
              type="checkbox"
              class="size-6 accent-ink"
              [checked]="isPacked(item.key)"
              (change)="tick(item.key)"
            /><span class="flex-1 leading-tight"
              >{{ item.word }}
              @if (item.because) {
                <span class="block text-sm text-faint">{{ item.because }}</span>
              }</span
            ><span class="figure font-semibold">{{ item.count }}</span></label
          >
        } @empty {
          <p class="text-faint py-2">{{ words.nothingYet }}</p>
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
  protected readonly words = dayWords;
  protected readonly planning = inject(Planning);
  readonly #commands = inject(DayCommands);
  protected readonly bring = inject(WhatToBring);
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
        word: `${this.#catalogue.byId().get(plan.filmId)?.name ?? '?'}, ${roll.what === 'to order' ? dayWords.wide(formatLengthWithUnit(roll.width_nm, this.#units())) : roll.label}`,
        length: formatFilmLength(roll.used_nm, this.#units()),
        where:
          roll.what === 'to order'
            ? dayWords.toOrder
            : this.#stock.items().find(({ id }) => id === roll.stockId)?.where || dayWords.inStock,
      })),
    ),
  );
  protected readonly usedUp = computed(() =>
    this.bring.kit().usedUp.map((item) => {
      const have = this.#supplies.byKey().get(item.key)?.have ?? null;
      return { ...item, have, buy: toBuy(item, have ?? undefined) };
    }),
  );
  protected readonly buying = computed(() => [
    ...this.films()
      .filter(({ isToOrder }) => isToOrder)
      .map(({ word, length }) => dayWords.atLeast(word, length)),
    ...this.usedUp()
      .filter(({ have, buy }) => have !== null && buy > 0)
      .map(({ word, buy, unit }) => `${word}: ${buy} ${unit}`),
  ]);
  readonly #keys = computed(() =>
    [...this.films(), ...this.usedUp(), ...this.bring.kit().tools].map(({ key }) => key),
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
    this.#commands.set(
      { packed: packed.includes(key) ? packed.filter((own) => own !== key) : [...packed, key] },
      packed.includes(key) ? 'unpacked' : 'packed',
    );
  }

  protected async count(key: string, text: string): Promise<void> {
    const row = this.#supplies.byKey().get(key);
    const have = Number(text.trim().replace(',', '.'));
    if (row === undefined || text.trim() === '' || !(have >= 0 && have <= 1e6)) {
      this.fault.set(dayWords.countWrong(text === '' ? 'nothing' : text));
      return;
    }
    this.fault.set(await this.#supplies.count(row, have));
  }
}
