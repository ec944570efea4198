import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { firstWords } from '@yellow-pane/core/day';
import { type AccountLine, accountHere, workStepsOf } from '@yellow-pane/core/reading';
import { costOf } from '@yellow-pane/core/quoting';
import type { QuotePaper } from '@yellow-pane/core/job';
import { Device } from '../../device/device';
import { StockHere } from '../../job/stock-here';
import { closeWords } from '../../words/close';
import { CloseDesk } from './close-desk';
import { QuoteDesk } from './quote-desk';

/** What it took against what was planned, and why: more of it, longer at each, dearer. */
@Component({
  selector: 'yp-account-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './account-view.html',
  host: { class: 'contents' },
})
export class AccountView {
  protected readonly words = closeWords;
  protected readonly close = inject(CloseDesk);
  readonly #quote = inject(QuoteDesk);
  readonly #stock = inject(StockHere);
  readonly #units = inject(Device).units;
  /** The accepted quote; without one, the job as it would be quoted now. */
  readonly #paper = computed((): QuotePaper | undefined => {
    return this.close.agreed()?.paper ?? this.#quote.papers()[0]?.paper;
  });
  protected readonly against = computed(() => {
    const quote = this.close.agreed();
    return quote === undefined ? closeWords.againstNow : closeWords.againstQuote(quote.number);
  });
  protected readonly account = computed(() => {
    const paper = this.#paper();
    return paper === undefined ? undefined : accountHere(this.close.view(), this.#stock.items(), paper);
  });
  readonly #steps = computed(() => {
    const view = this.close.view();
    const all = view.applications.flatMap((own) => workStepsOf(view, own, this.#units()));
    return new Map(all.map(({ step, what }) => [step, what]));
  });
  protected readonly lines = computed(() =>
    (this.account()?.lines ?? []).map((line) => ({
      ...line,
      word: line.kind === 'film' ? line.what : this.#stepOf(line.what),
      planned: this.#money(line.plan && costOf(line.plan)),
      took: this.#money(line.actual && costOf(line.actual)),
      ...this.#partsOf(line),
      says: line.isChance === null ? '' : line.isChance ? closeWords.chance : closeWords.changedSince,
    })),
  );

  protected readonly asked = computed(() =>
    (this.account()?.asked ?? []).map((own) => ({ ...own, step: this.#stepOf(own.step) })),
  );
  protected readonly shared = computed(() =>
    (this.account()?.shared ?? []).map(({ person, steps }) => ({
      person,
      steps: steps.map(({ tag, step }) => `${tag} ${this.#stepOf(step)}`),
    })),
  );

  protected money(value: number): string {
    return this.#money(value);
  }

  #partsOf({ parts }: AccountLine) {
    const own = (value: number | undefined): string => (value === undefined ? '' : this.#signed(value));
    return {
      quantity: own(parts?.quantity),
      efficiency: own(parts?.efficiency),
      rate: own(parts?.rate),
    };
  }

  #stepOf(step: string): string {
    const what = this.#steps().get(step);
    return what === undefined ? step : firstWords(what);
  }

  #money(value: number | null): string {
    return this.close.bare(value);
  }

  #signed(value: number): string {
    const bare = this.close.bare(Math.abs(value));
    return Number(bare.replaceAll(',', '')) === 0 ? bare : `${value < 0 ? '−' : '+'}${bare}`;
  }
}
