import { DestroyRef, Injectable, computed, effect, inject, signal } from '@angular/core';
import { inTenths } from '@yellow-pane/core/diagnosing';
import { type QuoteReckoned, USUAL_RISK, inCurrency } from '@yellow-pane/core/quoting';
import { quoteHere } from '@yellow-pane/core/reading';
import { JobReading } from '../../job/job-reading';
import { StockHere } from '../../job/stock-here';
import { closeWords } from '../../words/close';
import { QuotePool } from '../../workers/quote-pool';

const PERCENT = 100;
/** Of the currencies the shop works in. */
export const DECIMALS = 2;

/** What the job costs, how surely, and at which price. */
@Injectable()
export class QuoteDesk {
  readonly #reading = inject(JobReading);
  readonly #stock = inject(StockHere);
  readonly #pool = inject(QuotePool);
  readonly job = this.#reading.job;
  readonly here = computed(() => quoteHere(this.#reading.view(), this.#stock.items()));
  readonly risk = signal(USUAL_RISK);
  readonly typed = signal<number | null>(null);
  readonly reckoned = signal<QuoteReckoned | undefined>(undefined);
  readonly rows = computed((): readonly { readonly word: string; readonly value: string }[] => {
    const [own, typed] = [this.reckoned(), this.typed()];
    if (own === undefined) return [];
    const { price, priceAtMean, loss } = own;
    const tax = this.job()?.tax_percent ?? null;
    return [
      { word: closeWords.costs, value: this.money(own.mean) },
      {
        word: closeWords.between,
        value: closeWords.fromTo(this.money(own.least), this.money(own.most)),
      },
      ...(price === null ? [] : [{ word: closeWords.price, value: this.money(price) }]),
      ...(priceAtMean === null ? [] : [{ word: closeWords.priceAtMean, value: this.money(priceAtMean) }]),
      ...(price === null || tax === null
        ? []
        : [{ word: closeWords.gross, value: this.money(price * (1 + tax / PERCENT)) }]),
      ...(loss === null || typed === null
        ? []
        : [{ word: closeWords.lossAt(this.money(typed)), value: closeWords.inTen(inTenths(loss)) }]),
    ];
  });

  constructor() {
    let turn = 0;
    effect(() => {
      const own = this.here().case;
      const margin = this.job()?.margin_percent ?? null;
      const asked = {
        margin: margin === null ? null : margin / PERCENT,
        risk: this.risk(),
        typed: this.typed(),
      };
      turn += 1;
      const mine = turn;
      if (own === undefined) {
        this.reckoned.set(undefined);
        return;
      }
      this.#pool.quote(own, asked).then(
        (found) => {
          if (mine === turn) this.reckoned.set(found);
        },
        () => undefined,
      );
    });
    inject(DestroyRef).onDestroy(() => {
      turn += 1;
    });
  }

  /** In the currency of the job; without one, as bare figures. */
  money(value: number): string {
    const currency = this.job()?.currency ?? null;
    const rounded = inCurrency(value, DECIMALS);
    return currency === null
      ? rounded.toFixed(DECIMALS)
      : new Intl.NumberFormat('en-GB', { style: 'currency', currency, currencyDisplay: 'code' }).format(
          rounded,
        );
  }
}
