import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { StockItem } from '@yellow-pane/contracts';
import {
  formatFilmLength,
  formatLength,
  formatLengthWithUnit,
  mmFromNm,
  parseReading,
} from '@yellow-pane/core/quantity';
import { spokenForElsewhere } from '@yellow-pane/core/reading';
import { Catalogue } from '../../catalogue/catalogue';
import { Device } from '../../device/device';
import { JobReading } from '../../job/job-reading';
import { textOf } from '../../ui/form-text';
import { cutWords } from '../../words/cut';
import { Cutting } from './cutting';
import { FilmTrials } from './film-trials';
import { WhichRoll } from './which-roll';

/**
 * What there is of this film, what must be bought for the job, which roll would be the cheapest to buy, and
 * what one more pane would take.
 */
@Component({
  selector: 'yp-stock-view',
  imports: [RouterLink, WhichRoll],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="pt-3" aria-labelledby="in-stock">
      <h2 id="in-stock" class="font-bold text-lg">{{ words.inStock(cutting.film()?.name ?? '') }}</h2>
      @if (cutting.items().length === 0) {
        <p class="text-faint">{{ words.noneInStock }}</p>
      } @else {
        <table class="w-full text-left text-sm">
          <thead class="text-sm text-faint">
            <tr>
              <th scope="col" class="font-normal">{{ words.label }}</th>
              <th scope="col" class="font-normal pl-3">{{ words.what }}</th>
              <th scope="col" class="font-normal pl-3">{{ words.lotHead }}</th>
              <th scope="col" class="font-normal text-right">{{ words.width }}</th>
              <th scope="col" class="font-normal text-right pl-3">{{ words.leftOfIt }}</th>
              <th scope="col" class="font-normal pl-4">{{ words.spokenFor }}</th>
              <th scope="col" class="font-normal text-right">{{ words.worthAMetre }}</th>
              <th scope="col" class="font-normal pl-4">{{ words.factoryEdges }}</th>
              <th scope="col" class="font-normal pl-4">{{ words.where }}</th>
            </tr>
          </thead>
          <tbody>
            @for (item of cutting.items(); track item.id) {
              <tr class="border-t border-line">
                <th scope="row" class="font-semibold py-1.5">{{ item.label }}</th>
                <td class="pl-3">{{ item.what }}</td>
                <td class="pl-3">{{ item.lot || '–' }}</td>
                <td class="figure text-right">{{ length(item.width_nm) }}</td>
                <td class="figure text-right font-semibold pl-3 whitespace-nowrap">
                  {{ metres(item.left_nm) }}
                </td>
                <td class="pl-4 text-sm">{{ spokenFor(item) }}</td>
                <td class="figure text-right">
                  {{ item.perMetre === null ? words.unknown : money(item.perMetre) }}
                </td>
                <td class="pl-4 text-sm">
                  {{
                    item.leftEdge
                      ? item.rightEdge
                        ? words.both
                        : words.left
                      : item.rightEdge
                        ? words.right
                        : words.none
                  }}
                </td>
                <td class="pl-4 text-sm">{{ item.where || '–' }}</td>
              </tr>
            }
          </tbody>
        </table>
      }
      <a routerLink="/stock" class="underline underline-offset-2 text-sm">{{ words.allStock }}</a>
    </section>
    <section class="mt-6" aria-labelledby="to-buy">
      <h2 id="to-buy" class="font-bold text-lg">{{ words.shoppingList }}</h2>
      @if (shopping().length === 0) {
        <p class="text-faint">{{ words.nothingToOrder }}</p>
      } @else {
        <ul>
          @for (line of shopping(); track line.id) {
            <li class="border-t border-line py-1.5 flex flex-wrap gap-x-4">
              <strong>{{ line.film }}</strong><span class="figure">{{ words.wide(line.width) }}</span
              ><span
                >{{ words.atLeast }} <strong class="figure">{{ line.length }}</strong></span
              >
            </li>
          }
        </ul>
        <button type="button" class="act act-small mt-2" (click)="copy()">
          {{ copied() ? words.copied : words.copyList }}
        </button>
      }
      @if (notLaidFilms().length > 0) {
        <p class="text-sm mt-2">{{ words.notCounted(notLaidFilms().join(', ')) }}</p>
      }
    </section>
    <section class="mt-6" aria-labelledby="which"><yp-which-roll /></section>
    <section class="mt-6" aria-labelledby="what-if">
      <h2 id="what-if" class="font-bold text-lg">{{ words.whatIfOneMore }}</h2>
      <form class="flex flex-wrap gap-3 items-end" (submit)="ask($event)">
        <label
          ><span class="block text-sm">{{ words.blankWidth }}</span
          ><input class="field figure w-28" name="width" /></label
        ><label
          ><span class="block text-sm">{{ words.blankHeight }}</span
          ><input class="field figure w-28" name="height" /></label
        ><label
          ><span class="block text-sm">{{ words.howMany }}</span
          ><input class="field figure w-20" name="count" value="1" inputmode="numeric" /></label
        ><button type="submit" class="act act-small" [disabled]="isBusy()">{{ words.tryIt }}</button>
      </form>
      @if (fault(); as says) {
        <p class="text-stop font-semibold" role="alert">{{ says }}</p>
      }
      @if (answer(); as says) {
        <p class="mt-2 font-semibold" role="status">{{ says }}</p>
      }
    </section>
  `,
  host: { class: 'block flex-1 min-h-0 overflow-auto px-5 pb-6' },
})
export class StockView {
  protected readonly words = cutWords;
  protected readonly cutting = inject(Cutting);
  readonly #reading = inject(JobReading);
  readonly #catalogue = inject(Catalogue);
  readonly #device = inject(Device);
  readonly #units = this.#device.units;
  protected readonly isBusy = signal(false);
  protected readonly copied = signal(false);
  protected readonly fault = signal<string | undefined>(undefined);
  protected readonly answer = signal<string | undefined>(undefined);
  readonly #trials = inject(FilmTrials);
  protected readonly money = this.#device.money;

  protected readonly shopping = computed(() =>
    this.#reading.plans().flatMap((plan) =>
      this.#reading
        .rollsOf(plan.id)
        .filter(({ what }) => what === 'to order')
        .map((roll) => ({
          id: roll.id,
          film: this.#catalogue.byId().get(plan.filmId)?.name ?? '?',
          width: formatLengthWithUnit(roll.width_nm, this.#units()),
          length: formatFilmLength(roll.used_nm, this.#units()),
        })),
    ),
  );
  protected readonly notLaidFilms = computed(() =>
    this.cutting
      .films()
      .filter(({ id }) => !this.#reading.plans().some(({ filmId }) => filmId === id))
      .map(({ name }) => name),
  );
  protected readonly length = (value_nm: number): string => formatLength(value_nm, this.#units());
  /** What other jobs' plans take of it. */
  protected spokenFor(item: StockItem): string {
    const elsewhere = spokenForElsewhere(item, this.#reading.job()?.id);
    return elsewhere.length === 0
      ? '–'
      : elsewhere.map(({ job, length_nm }) => cutWords.forJob(this.metres(length_nm), job)).join('; ');
  }

  protected readonly metres = (value_nm: number): string => formatFilmLength(value_nm, this.#units());

  protected async ask(event: Event): Promise<void> {
    event.preventDefault();
    const data = new FormData(event.target as HTMLFormElement);
    const read = (name: string) =>
      parseReading(textOf(data, name), this.#reading.job()?.entryUnit ?? 'mm', {
        least_mm: 10,
        most_mm: 20_000,
      });
    const [width, height, count] = [read('width'), read('height'), Number(data.get('count'))];
    if (width.kind !== 'length' || height.kind !== 'length') {
      this.fault.set(
        `Blank ${width.kind === 'length' ? 'height' : 'width'}: expected 10 to 20000 mm, got “${textOf(data, width.kind === 'length' ? 'height' : 'width')}”.`,
      );
      return;
    }
    if (!Number.isInteger(count) || count < 1 || count > 200) {
      this.fault.set(cutWords.countWrong(textOf(data, 'count')));
      return;
    }
    this.fault.set(undefined);
    await this.#busy(async (signal) => {
      const both = await this.#trials.whatIf(
        mmFromNm(width.value_nm),
        mmFromNm(height.value_nm),
        count,
        signal,
      );
      if (both === undefined) return;
      const used = (plan: typeof both.before): number =>
        plan.uses.reduce((sum, { used_mm }) => sum + used_mm * 1e6, 0);
      const more = used(both.after) - used(both.before);
      this.answer.set(
        both.after.notLaid.length > both.before.notLaid.length
          ? cutWords.noFilmForIt
          : more < 1e6
            ? cutWords.fitsIntoWaste
            : cutWords.takesMore(
                formatFilmLength(more, this.#units()),
                this.money(both.after.film.value - both.before.film.value),
              ),
      );
    });
  }

  async #busy(run: (signal: AbortSignal) => Promise<void>): Promise<void> {
    this.isBusy.set(true);
    await run(new AbortController().signal).catch((error: unknown) => {
      this.fault.set(error instanceof Error ? error.message : String(error));
    });
    this.isBusy.set(false);
  }

  protected async copy(): Promise<void> {
    await navigator.clipboard
      .writeText(
        this.shopping()
          .map(({ film, width, length }) => `${film}\t${width}\t${length}`)
          .join('\n'),
      )
      .then(
        () => {
          this.copied.set(true);
        },
        () => undefined,
      );
  }
}
