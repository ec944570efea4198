import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { closeWords } from '../../words/close';
import { CloseDesk } from './close-desk';
import { QuoteDesk } from './quote-desk';

/** The same job with another film, beside it: what it would cost, priced by the same sums. */
@Component({
  selector: 'yp-alternatives',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="beside" class="max-w-3xl">
      <h2 id="beside" class="text-lg font-bold">{{ words.beside }}</h2>
      <div class="flex flex-wrap gap-2 items-end">
        <label class="block"
          ><span class="block">{{ words.insteadOf }}</span
          ><select class="field" (change)="from.set($any($event.target).value)">
            @for (film of used(); track film.id) {
              <option [value]="film.id" [selected]="film.id === fromNow()">{{ film.name }}</option>
            }
          </select></label
        >
        <label class="block"
          ><span class="block">{{ words.takeFilm }}</span
          ><select class="field" (change)="to.set($any($event.target).value)">
            <option value="" [selected]="to() === ''">{{ words.chooseFilm }}</option>
            @for (film of others(); track film.id) {
              <option [value]="film.id" [selected]="film.id === to()">{{ film.name }}</option>
            }
          </select></label
        >
        <button type="button" class="act" [disabled]="to() === ''" (click)="add()">
          {{ words.putBeside }}
        </button>
      </div>
      @if (desk.offers().length > 1) {
        <table class="w-full mt-2">
          <thead>
            <tr class="text-left border-b border-ink">
              <th class="py-1">{{ words.offer }}</th>
              <th class="py-1 pl-3 text-right">{{ words.costs }}</th>
              <th class="py-1 pl-3 text-right">{{ words.price }}</th>
              <th class="py-1 pl-3 text-right">{{ words.difference }}</th>
              <td></td>
            </tr>
          </thead>
          <tbody>
            @for (offer of desk.offers(); track offer.name; let first = $first) {
              <tr class="border-b border-line">
                <td class="py-1">{{ offer.name }}</td>
                <td class="py-1 pl-3 text-right figure">{{ money(offer.calculated?.mean?.value) }}</td>
                <td class="py-1 pl-3 text-right figure font-semibold">
                  {{ money(offer.calculated?.price?.value) }}
                </td>
                <td class="py-1 text-right figure">
                  {{ first ? '' : differs(offer.calculated?.price?.value) }}
                </td>
                <td class="pl-3 text-right">
                  @if (!first) {
                    <button type="button" class="act act-small" (click)="desk.leave(offer.swaps)">
                      {{ words.leaveOut }}<span class="sr-only"> {{ offer.name }}</span>
                    </button>
                  }
                </td>
              </tr>
            }
          </tbody>
        </table>
      }
    </section>
  `,
})
export class Alternatives {
  protected readonly words = closeWords;
  protected readonly desk = inject(QuoteDesk);
  readonly #close = inject(CloseDesk);
  protected readonly from = signal('');
  protected readonly to = signal('');
  protected readonly used = computed(() => {
    const view = this.#close.view();
    const ids = new Set(view.applications.map(({ filmId }) => filmId));
    return view.shop.films.filter(({ id }) => ids.has(id));
  });
  protected readonly fromNow = computed(() => {
    const used = this.used();
    return used.find(({ id }) => id === this.from())?.id ?? used[0]?.id ?? '';
  });
  protected readonly others = computed(() =>
    this.#close.view().shop.films.filter(({ id }) => id !== this.fromNow()),
  );

  protected add(): void {
    this.desk.add([{ from: this.fromNow(), to: this.to() }]);
    this.to.set('');
  }

  protected money(value: number | undefined): string {
    return value === undefined ? closeWords.unknown : this.#close.money(value);
  }

  protected differs(value: number | undefined): string {
    const first = this.desk.offers()[0]?.calculated?.price?.value;
    if (value === undefined || first === undefined) return closeWords.unknown;
    const difference = value - first;
    return `${difference < 0 ? '−' : '+'}${this.#close.money(Math.abs(difference))}`;
  }
}
