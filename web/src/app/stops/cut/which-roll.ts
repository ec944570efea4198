import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { formatFilmLength, formatLength, nmFromMm } from '@yellow-pane/core/quantity';
import { Device } from '../../device/device';
import { cutWords } from '../../words/cut';
import { whichRollWords } from '../../words/which-roll';
import { percent } from './cut-words';
import { Cutting } from './cutting';
import { FilmTrials, type RollTried } from './film-trials';

/** Which widths to buy: each, two together and all, seamed anew; and one of them laid out at a touch. */
@Component({
  selector: 'yp-which-roll',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 id="which" class="font-bold text-lg">{{ rollWords.whichRollToBuy }}</h2>
    <button
      type="button"
      class="act act-small mt-1"
      [disabled]="isBusy() || cutting.blanks().length === 0"
      (click)="compare()"
    >
      {{ isBusy() ? rollWords.tryingWidths : rollWords.tryAllWidths }}
    </button>
    @if (fault(); as says) {
      <p class="text-stop font-semibold" role="alert">{{ says }}</p>
    }
    @if (rows(); as all) {
      <div class="overflow-x-auto" tabindex="0" role="region" aria-labelledby="which">
        <table class="w-full text-left mt-2 text-sm">
          <thead class="text-sm text-faint">
            <tr>
              <th scope="col" class="font-normal">{{ rollWords.filmFrom }}</th>
              <th scope="col" class="font-normal text-right">{{ words.length }}</th>
              <th scope="col" class="font-normal text-right pl-3">{{ words.film }}</th>
              <th scope="col" class="font-normal text-right pl-3">{{ rollWords.withCuttingHead }}</th>
              <th scope="col" class="font-normal text-right pl-3">{{ words.waste }}</th>
              <th scope="col" class="font-normal pl-4">{{ rollWords.seams }}</th>
              <th scope="col" class="font-normal pl-4">{{ rollWords.leftOver }}</th>
              <th scope="col">
                <span class="sr-only">{{ rollWords.layOutSo }}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            @for (row of all; track row.key) {
              <tr class="border-t border-line" [class.font-semibold]="row.isBest">
                <th scope="row" class="py-1.5" [class.font-normal]="!row.isBest">
                  {{ row.word }}{{ row.isBest ? rollWords.cheapest : '' }}
                </th>
                <td class="figure text-right whitespace-nowrap">{{ row.length }}</td>
                <td class="figure text-right pl-3 whitespace-nowrap">{{ row.film }}</td>
                <td class="figure text-right pl-3 whitespace-nowrap">{{ row.cost }}</td>
                <td class="figure text-right pl-3 whitespace-nowrap">{{ row.waste }}</td>
                <td class="pl-4 whitespace-nowrap">{{ row.seams }}</td>
                <td class="pl-4">{{ row.missing }}</td>
                <td class="text-right">
                  <button
                    type="button"
                    class="act act-small whitespace-nowrap"
                    [disabled]="isBusy()"
                    (click)="take(row.tried)"
                  >
                    {{ rollWords.layOutSo }}<span class="sr-only">: {{ row.word }}</span>
                  </button>
                </td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      <p class="text-sm text-faint mt-1">{{ rollWords.seamedForEach }}</p>
    }
  `,
  host: { class: 'block' },
})
export class WhichRoll {
  protected readonly words = cutWords;
  protected readonly rollWords = whichRollWords;
  protected readonly cutting = inject(Cutting);
  readonly #trials = inject(FilmTrials);
  readonly #device = inject(Device);
  readonly #units = this.#device.units;
  readonly #tried = signal<{ readonly filmId: string; readonly rows: readonly RollTried[] } | undefined>(
    undefined,
  );
  protected readonly isBusy = signal(false);
  protected readonly fault = signal<string | undefined>(undefined);

  protected readonly rows = computed(() => {
    const tried = this.#tried();
    if (tried === undefined || tried.filmId !== this.cutting.filmId()) return undefined;
    const whole = tried.rows.filter(({ plan }) => plan.notLaid.length === 0);
    const least = Math.min(...whole.map(({ plan }) => plan.cost.value));
    const best = whole.find(({ plan }) => plan.cost.value === least);
    return tried.rows.map((row) => this.#shown(row, row === best));
  });

  #shown(tried: RollTried, isBest: boolean) {
    const { plan, seams } = tried;
    const used_nm = plan.uses.reduce((sum, { used_mm }) => sum + nmFromMm(used_mm), 0);
    const missing = plan.notLaid.length;
    return {
      key: `${tried.widths_nm.join()} ${tried.seamFor_nm}`,
      tried,
      isBest,
      word: this.#word(tried),
      length: formatFilmLength(used_nm, this.#units()),
      film: this.#device.money(plan.film.value),
      cost: this.#device.money(plan.cost.value),
      waste: percent(plan.waste_share.value),
      seams:
        seams.count === 0
          ? cutWords.none
          : whichRollWords.seamsOf(seams.count, formatFilmLength(nmFromMm(seams.length_mm), this.#units())),
      missing:
        missing === 0
          ? whichRollWords.nothing
          : cutWords.withoutFilm(missing, missing === 1 ? 'piece' : 'pieces'),
    };
  }

  #word({ widths_nm, withStock }: RollTried): string {
    if (widths_nm.length === 0) return whichRollWords.onlyInStock;
    const widths = widths_nm.map((width_nm) => formatLength(width_nm, this.#units())).join(' + ');
    return whichRollWords.widthToOrder(withStock ? whichRollWords.stockAnd : '', widths);
  }

  protected async compare(): Promise<void> {
    const filmId = this.cutting.filmId() ?? '';
    await this.#busy(async (signal) => {
      this.#tried.set({ filmId, rows: await this.#trials.compare(signal) });
    });
  }

  protected async take(tried: RollTried): Promise<void> {
    await this.#busy(() => this.#trials.take(tried));
  }

  async #busy(run: (signal: AbortSignal) => Promise<void>): Promise<void> {
    this.isBusy.set(true);
    this.fault.set(undefined);
    await run(new AbortController().signal).catch((error: unknown) => {
      this.fault.set(error instanceof Error ? error.message : String(error));
    });
    this.isBusy.set(false);
  }
}
