import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import type { Job } from '@yellow-pane/core/job';
import { USUAL_RISK, inCurrency } from '@yellow-pane/core/quoting';
import { type Fact, type FactChange, Facts } from '../../fields/facts';
import { JobDesk } from '../../job/job-desk';
import { StopFrame } from '../../shell/stop-frame';
import { Figure } from '../../ui/figure';
import { VerdictBox } from '../../ui/verdict-box';
import { closeWords } from '../../words/close';
import { DECIMALS, QuoteDesk } from './quote-desk';

const RISKS = [0.05, 0.1, USUAL_RISK, 0.3, 0.5] as const;
const MOST_MONEY = 1e9;
const PERCENT = 100;
const HOUR_MIN = 60;
/** What is told of money; the currency has letters and is asked beside it. */
const TERMS: readonly Fact[] = [
  {
    key: 'hourCost',
    kind: 'number',
    word: closeWords.hourCost,
    unit: closeWords.money,
    least: 0,
    most: MOST_MONEY,
  },
  {
    key: 'tripCost',
    kind: 'number',
    word: closeWords.tripCost,
    unit: closeWords.money,
    least: 0,
    most: MOST_MONEY,
  },
  {
    key: 'margin_percent',
    kind: 'number',
    word: closeWords.margin,
    unit: closeWords.percent,
    least: 0,
    most: 99,
  },
  { key: 'tax_percent', kind: 'number', word: closeWords.tax, unit: closeWords.percent, least: 0, most: 100 },
];

/** What the job costs and at which price, from the job as it stands. */
@Component({
  selector: 'yp-close',
  imports: [Facts, Figure, StopFrame, VerdictBox],
  providers: [QuoteDesk],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './close.html',
  host: { class: 'contents' },
})
export class Close {
  protected readonly words = closeWords;
  protected readonly desk = inject(QuoteDesk);
  readonly #job = inject(JobDesk);
  protected readonly terms = TERMS;
  protected readonly risks = RISKS.map((risk) => {
    const word = closeWords.oneIn(Math.round(risk * PERCENT));
    return { risk, word: risk === USUAL_RISK ? closeWords.usual(word) : word };
  });
  protected readonly currencyFault = signal('');
  protected readonly typedFault = signal('');
  protected readonly open = computed(() => this.desk.here().open);
  protected readonly filmAll = computed(() =>
    this.desk.here().lines.reduce((sum, line) => sum + line.film, 0),
  );
  protected readonly heading = computed(() => {
    const price = this.desk.reckoned()?.price ?? null;
    return price === null ? closeWords.unknown : this.desk.money(price.value);
  });

  /** Money in a column whose head names the currency. */
  protected bare(value: number): string {
    return inCurrency(value, DECIMALS).toFixed(DECIMALS);
  }

  /** People-minutes of a line as money; unknown without what an hour costs. */
  protected work(minutes: number): string {
    const hour = this.desk.job()?.hourCost ?? null;
    return hour === null ? closeWords.unknown : this.bare((minutes / HOUR_MIN) * hour);
  }

  protected change({ key, value, seen }: FactChange): void {
    this.#set({ [key]: value }, seen);
  }

  protected currency(text: string): void {
    const given = text.trim().toUpperCase();
    const isRight = given === '' || /^[A-Z]{3}$/.test(given);
    this.currencyFault.set(isRight ? '' : closeWords.currencyWrong(text));
    if (isRight) this.#set({ currency: given === '' ? null : given });
  }

  protected price(text: string): void {
    const given = text.trim() === '' ? null : Number(text.replace(',', '.'));
    const isRight = given === null || (given >= 0 && given <= MOST_MONEY);
    this.typedFault.set(isRight ? '' : closeWords.typedWrong(text));
    if (isRight) this.desk.typed.set(given);
  }

  #set(fields: Partial<Job>, seen?: number): void {
    const job = this.desk.job();
    if (job !== undefined) this.#job.do(closeWords.changed, [this.#job.set('job', job.id, fields, seen)]);
  }
}
