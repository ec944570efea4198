import { DestroyRef, Injectable, computed, effect, inject, signal } from '@angular/core';
import { inTenths } from '@yellow-pane/core/diagnosing';
import type { Reasoned, Step } from '@yellow-pane/core/quantity';
import { type QuoteReckoned, USUAL_RISK, inCurrency } from '@yellow-pane/core/quoting';
import { quoteHere } from '@yellow-pane/core/reading';
import { JobReading } from '../../job/job-reading';
import { StockHere } from '../../job/stock-here';
import { closeWords } from '../../words/close';
import { QuotePool } from '../../workers/quote-pool';

const PERCENT = 100;
/** Of the currencies the shop works in. */
export const DECIMALS = 2;

/** A figure with what it rests on; where it was drawn there is no formula. */
export interface QuoteRow {
  readonly word: string;
  readonly value: string;
  readonly why: readonly Step[];
}

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
  readonly rows = computed((): readonly QuoteRow[] => {
    const [own, typed] = [this.reckoned(), this.typed()];
    if (own === undefined) return [];
    const { price, priceAtMean, gross, loss } = own;
    const row = (word: string, of: Reasoned<number> | null): readonly QuoteRow[] =>
      of === null ? [] : [{ word, value: this.money(of.value), why: of.why }];
    return [
      ...row(closeWords.costs, own.mean),
      {
        word: closeWords.between,
        value: closeWords.fromTo(this.money(own.least), this.money(own.most)),
        why: [],
      },
      ...row(closeWords.price, price),
      ...row(closeWords.priceAtMean, priceAtMean),
      ...row(closeWords.gross, gross),
      ...(loss === null || typed === null
        ? []
        : [
            {
              word: closeWords.lossAt(this.money(typed)),
              value: closeWords.inTen(inTenths(loss)),
              why: [],
            },
          ]),
    ];
  });

  constructor() {
    let turn = 0;
    effect(() => {
      const own = this.here().case;
      const margin = this.job()?.margin_percent ?? null;
      const tax = this.job()?.tax_percent ?? null;
      const asked = {
        tax: tax === null ? null : tax / PERCENT,
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
