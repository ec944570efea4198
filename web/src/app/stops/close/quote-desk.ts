import { DestroyRef, Injectable, computed, effect, inject, signal } from '@angular/core';
import { inTenths } from '@yellow-pane/core/diagnosing';
import type { QuotePaper } from '@yellow-pane/core/job';
import type { Reasoned, Step } from '@yellow-pane/core/quantity';
import { type CalculatedQuote, USUAL_RISK } from '@yellow-pane/core/quoting';
import { type FilmSwap, quoteHere, quotePaper } from '@yellow-pane/core/reading';
import { StockHere } from '../../job/stock-here';
import { closeWords } from '../../words/close';
import { QuotePool } from '../../workers/quote-pool';
import { CloseDesk } from './close-desk';

const PERCENT = 100;

/** A figure with what it rests on; where it was drawn there is no formula. */
export interface QuoteRow {
  readonly word: string;
  readonly value: string;
  readonly why: readonly Step[];
}

interface Asked {
  readonly swaps: readonly FilmSwap[];
  readonly name: string;
  readonly here: ReturnType<typeof quoteHere>;
}

/** What the job costs, how surely, and at which price; and the same with other films. */
@Injectable()
export class QuoteDesk {
  readonly #close = inject(CloseDesk);
  readonly #stock = inject(StockHere);
  readonly #pool = inject(QuotePool);
  readonly job = this.#close.job;
  readonly here = computed(() => quoteHere(this.#close.view(), this.#stock.items()));
  readonly risk = signal(USUAL_RISK);
  readonly typed = signal<number | null>(null);
  readonly #beside = signal<readonly (readonly FilmSwap[])[]>([]);
  readonly #found = signal<ReadonlyMap<string, CalculatedQuote>>(new Map());
  readonly #asked = computed((): readonly Asked[] => [
    { swaps: [], name: closeWords.asPlanned, here: this.here() },
    ...this.#beside().map((swaps) => ({
      swaps,
      name: this.#nameOf(swaps),
      here: quoteHere(this.#close.view(), this.#stock.items(), swaps),
    })),
  ]);
  /** The job as it is first, then what was put beside it. */
  readonly offers = computed(() =>
    this.#asked().map((own) => ({ ...own, calculated: this.#found().get(keyOf(own.swaps)) })),
  );
  /** Nothing is put on paper while one of the offers is still being calculated. */
  readonly isCalculated = computed(() =>
    this.offers().every(({ here, calculated }) => here.case === undefined || calculated !== undefined),
  );
  readonly calculated = computed(() => this.#found().get(''));
  readonly rows = computed((): readonly QuoteRow[] => {
    const [own, typed] = [this.calculated(), this.typed()];
    if (own === undefined) return [];
    const { price, priceAtMean, gross, loss } = own;
    const money = (value: number): string => this.#close.money(value);
    const row = (word: string, of: Reasoned<number> | null): readonly QuoteRow[] =>
      of === null ? [] : [{ word, value: money(of.value), why: of.why }];
    const lost =
      loss === null || typed === null
        ? []
        : [{ word: closeWords.lossAt(money(typed)), value: closeWords.inTen(inTenths(loss)), why: [] }];
    return [
      ...row(closeWords.costs, own.mean),
      { word: closeWords.between, value: closeWords.fromTo(money(own.least), money(own.most)), why: [] },
      ...row(closeWords.price, price),
      ...row(closeWords.priceAtMean, priceAtMean),
      ...row(closeWords.gross, gross),
      ...lost,
    ];
  });

  constructor() {
    let turn = 0;
    effect(() => {
      const margin = this.job()?.margin_percent ?? null;
      const tax = this.job()?.tax_percent ?? null;
      const terms = {
        tax: tax === null ? null : tax / PERCENT,
        margin: margin === null ? null : margin / PERCENT,
        ...{ risk: this.risk(), typed: this.typed() },
      };
      turn += 1;
      const mine = turn;
      const asked = this.#asked();
      Promise.all(
        asked.map(async ({ here, swaps }) => {
          const own = here.case;
          return own === undefined ? [] : [[keyOf(swaps), await this.#pool.quote(own, terms)] as const];
        }),
      ).then(
        (found) => {
          if (mine === turn) this.#found.set(new Map(found.flat()));
        },
        () => undefined,
      );
    });
    inject(DestroyRef).onDestroy(() => {
      turn += 1;
    });
  }

  add(swaps: readonly FilmSwap[]): void {
    this.#beside.update((beside) =>
      beside.some((own) => keyOf(own) === keyOf(swaps)) ? beside : [...beside, swaps],
    );
  }

  leave(swaps: readonly FilmSwap[]): void {
    this.#beside.update((beside) => beside.filter((own) => keyOf(own) !== keyOf(swaps)));
  }

  /** Each offer as it is put on paper; none while terms are missing. */
  papers(): readonly {
    readonly name: string;
    readonly swaps: readonly FilmSwap[];
    readonly paper: QuotePaper;
  }[] {
    const asOf = new Date().toISOString();
    return this.offers().flatMap(({ name, swaps, here, calculated }) => {
      const asked = swaps.length === 0 ? this.typed() : null;
      const paper =
        calculated && quotePaper(this.#close.view(), here, calculated, { asOf, risk: this.risk(), asked });
      return paper === undefined ? [] : [{ name, swaps, paper }];
    });
  }

  #nameOf(swaps: readonly FilmSwap[]): string {
    const word = (id: string): string => this.#close.view().filmById.get(id)?.name ?? '';
    return swaps.map(({ from, to }) => closeWords.instead(word(to), word(from))).join(', ');
  }
}

const keyOf = (swaps: readonly FilmSwap[]): string => swaps.map(({ from, to }) => `${from} ${to}`).join();
