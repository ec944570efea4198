import { Injectable, computed, inject } from '@angular/core';
import { bareMoney, moneyWords } from '@yellow-pane/contracts/words';
import type { RowOf } from '@yellow-pane/core/job';
import { billed } from '@yellow-pane/core/quoting';
import { agreedOf, closeState, moneyStands, quoteState } from '@yellow-pane/core/reading';
import { JobClock } from '../../day/job-clock';
import { ReadinessCache } from '../../day/readiness-cache';
import { Device } from '../../device/device';
import { JobReading } from '../../job/job-reading';
import { StockHere } from '../../job/stock-here';
import { closeWords } from '../../words/close';

/** What every part of Close asks: the job, its quotes, money and days in words, where papers are printed. */
@Injectable()
export class CloseDesk {
  readonly #reading = inject(JobReading);
  readonly #device = inject(Device);
  readonly #book = inject(ReadinessCache);
  readonly clock = inject(JobClock).clock;
  readonly opened_ms = Date.now();
  readonly view = this.#reading.view;
  readonly job = this.#reading.job;
  readonly asked = computed(() => ({ now_ms: this.opened_ms, sky: this.#book.sky() }));
  readonly today = computed(() => this.clock().isoDayOf(this.opened_ms));
  readonly quotes = computed(() => byNumber(this.view().rows.quote));
  readonly extras = computed(() => byNumber(this.view().rows.extra));
  readonly payments = computed(() => byNumber(this.view().rows.payment));
  readonly state = computed(() => closeState(this.view(), this.today()));
  readonly agreed = computed(() => agreedOf(this.view()));
  readonly stands = computed(() => moneyStands(this.view()));

  constructor() {
    // Film is priced by the rolls there are: asked for even where nobody has been at Cut.
    void inject(StockHere).load();
  }

  /** In a currency; without one, as bare figures. */
  money(value: number, currency = this.job()?.currency ?? null): string {
    return moneyWords(value, currency);
  }

  /** Of a column whose head names the currency of the job. */
  bare(value: number | null): string {
    return value === null ? closeWords.unknown : bareMoney(value, this.job()?.currency ?? null);
  }

  gross(own: Pick<RowOf<'payment'>, 'lines' | 'currency' | 'tax_percent'>): number {
    return billed(
      own.lines.map(({ net }) => net),
      own,
    ).gross;
  }

  stateOf(quote: RowOf<'quote'>): ReturnType<typeof quoteState> {
    return quoteState(quote, this.today());
  }

  dayOf(instant: string): string {
    return this.clock().dateOf(instant);
  }

  /** The next number of quotes, extras or payments. */
  nextNumber(rows: readonly { readonly number: string }[], before = ''): string {
    const used = rows.flatMap(({ number }) => Number(/(\d+)$/.exec(number)?.[1] ?? 0));
    return `${before}${Math.max(0, ...used) + 1}`;
  }

  paper(path: string, more = ''): string {
    const units = this.#device.units();
    // Whoever works in inches prints on Letter.
    const sheet = units === 'metric' ? '' : '&paper=letter';
    return `/api/jobs/${this.job()?.id ?? ''}/${path}?units=${units}${sheet}${more}`;
  }

  wordOfState(quote: RowOf<'quote'>): string {
    return closeWords.state(this.stateOf(quote));
  }
}

function byNumber<Row extends { readonly number: string; readonly madeAt: string }>(
  rows: readonly Row[],
): readonly Row[] {
  return rows.toSorted((a, b) => a.madeAt.localeCompare(b.madeAt));
}
