import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import type { Job } from '@yellow-pane/core/job';
import { USUAL_RISK } from '@yellow-pane/core/quoting';
import { jobProgress } from '@yellow-pane/core/reading';
import { type Fact, type FactChange, Facts } from '../../fields/facts';
import { JobDesk } from '../../job/job-desk';
import { Selection } from '../../shell/selection';
import { StopFrame } from '../../shell/stop-frame';
import { Figure } from '../../ui/figure';
import { VerdictBox } from '../../ui/verdict-box';
import { closeWords } from '../../words/close';
import { AccountView } from './account-view';
import { ArrivalHere } from './arrival-here';
import { CloseDesk } from './close-desk';
import { CloseSum } from './close-sum';
import { ExtrasHere } from './extras-here';
import { HandOverHere } from './hand-over-here';
import { MoneyHere } from './money-here';
import { PriceHere } from './price-here';
import { QuoteDesk } from './quote-desk';
import { QuotesHere } from './quotes-here';
import { SiteHere } from './site-here';

/** Parts of Close in the order they come, from the call to the payment. */
const PARTS = ['price', 'quotes', 'on site', 'account', 'money', 'hand-over'] as const;
type Part = (typeof PARTS)[number];

const RISKS = [0.05, 0.1, USUAL_RISK, 0.3, 0.5] as const;
const MOST_MONEY = 1e9;
const PERCENT = 100;
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

/** From the price to the payment: what it costs, what was agreed, what it took, what is handed over. */
@Component({
  selector: 'yp-close',
  imports: [
    ...[
      AccountView,
      ArrivalHere,
      CloseSum,
      ExtrasHere,
      Facts,
      Figure,
      HandOverHere,
      MoneyHere,
      PriceHere,
      QuotesHere,
    ],
    ...[SiteHere, StopFrame, VerdictBox],
  ],
  providers: [CloseDesk, QuoteDesk],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './close.html',
  host: { class: 'contents' },
})
export class Close {
  protected readonly words = closeWords;
  protected readonly desk = inject(QuoteDesk);
  protected readonly close = inject(CloseDesk);
  readonly #job = inject(JobDesk);
  readonly #selection = inject(Selection);
  protected readonly terms = TERMS;
  protected readonly parts = PARTS;
  protected readonly risks = RISKS.map((risk) => {
    const word = closeWords.oneIn(Math.round(risk * PERCENT));
    return { risk, word: risk === USUAL_RISK ? closeWords.usual(word) : word };
  });
  /** What comes next by how far the job is; a code on a certificate leads to the hand-over. */
  readonly #first = computed((): Part => {
    const { fitted, withFilm } = jobProgress(this.close.view());
    if (fitted > 0 && (fitted === withFilm || this.#selection.surface() !== undefined)) return 'hand-over';
    return this.close.agreed() === undefined ? 'price' : 'on site';
  });
  protected readonly part = linkedSignal<string | undefined, Part>({
    source: () => this.close.job()?.id,
    computation: () => untracked(this.#first),
  });
  protected readonly currencyFault = signal('');
  protected readonly typedFault = signal('');
  protected readonly open = computed(() => this.desk.here().open);
  protected readonly heading = computed(() => {
    const price = this.desk.calculated()?.price ?? null;
    return price === null ? closeWords.unknown : this.close.money(price.value);
  });

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
    const job = this.close.job();
    if (job !== undefined) this.#job.do(closeWords.changed, [this.#job.set('job', job.id, fields, seen)]);
  }
}
