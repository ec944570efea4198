import { Injectable, inject } from '@angular/core';
import type { CutOrderPlan, OrderPiece } from '@yellow-pane/core/cutting';
import {
  type RollTrial,
  orderKey,
  rollTrials,
  seamedOtherwise,
  widestRoll_nm,
} from '@yellow-pane/core/reading';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { StockHere } from '../../job/stock-here';
import { whichRollWords } from '../../words/which-roll';
import { LayoutPool } from '../../workers/layout-pool';
import { Cutting } from './cutting';

const TRY_MS = 300;

export interface RollTried extends RollTrial {
  readonly plan: CutOrderPlan;
}

/** The same order on other films, and with more in it: laid out for a moment, and not kept. */
@Injectable({ providedIn: 'root' })
export class FilmTrials {
  readonly #cutting = inject(Cutting);
  readonly #pool = inject(LayoutPool);
  readonly #reading = inject(JobReading);
  readonly #stock = inject(StockHere);
  readonly #desk = inject(JobDesk);

  /**
   * The stock alone, each width, two widths together, and all: what each would cost, seamed anew. Of one way
   * of buying what is cheapest, and what has fewer seams for more money; two widths only where both are used.
   */
  async compare(signal: AbortSignal): Promise<readonly RollTried[]> {
    const view = this.#reading.view();
    const filmId = this.#cutting.filmId() ?? '';
    const widths = new Set((view.filmById.get(filmId)?.widths_nm ?? []).map(orderKey));
    const settings = this.#cutting.settings();
    const leftOut = new Set([...settings.leftOut].filter((key) => !widths.has(key)));
    const trials = rollTrials(view, filmId, { ...settings, leftOut }, this.#stock.items());
    const plans = await this.#pool.planEach(
      trials.map(({ order }) => order),
      { milliseconds: TRY_MS, signal, onProgress: () => undefined },
    );
    const tried = trials.flatMap((trial, index): RollTried[] => {
      const plan = plans[index];
      return plan === undefined ? [] : [{ ...trial, plan }];
    });
    return tried.filter((own) => usesAllItBuys(own) && !tried.some((other) => isBeatenBy(own, other)));
  }

  /** Lays the film out so: other widths are left out, and seams made for the width it was tried with. */
  async take({ widths_nm, seamFor_nm }: RollTrial): Promise<void> {
    const view = this.#reading.view();
    const filmId = this.#cutting.filmId() ?? '';
    const film = view.filmById.get(filmId);
    if (film === undefined) return;
    const rollWidth_nm = seamFor_nm === widestRoll_nm(view, filmId) ? null : seamFor_nm;
    const ops = seamedOtherwise(view, filmId, seamFor_nm).map((applicationId) => {
      const own = view.seamChoiceOf(applicationId);
      return own === undefined
        ? this.#desk.put('seamChoice', {
            applicationId,
            kind: null,
            placing: null,
            match: null,
            firstDrop: null,
            rollWidth_nm,
          })
        : this.#desk.set('seamChoice', own.id, { rollWidth_nm });
    });
    if (ops.length > 0) this.#desk.do(whichRollWords.seamedAnew(film.name), ops);
    this.#cutting.leaveOut(
      new Set(film.widths_nm.filter((width_nm) => !widths_nm.includes(width_nm)).map(orderKey)),
    );
    await this.#cutting.layOut();
  }

  /** What so many more of one size would add. */
  async whatIf(
    width_mm: number,
    height_mm: number,
    count: number,
    signal: AbortSignal,
  ): Promise<{ readonly before: CutOrderPlan; readonly after: CutOrderPlan } | undefined> {
    const mayTurn90 = this.#cutting.film()?.direction === 'none';
    const extra = Array.from({ length: count }, (_, index): OrderPiece => ({
      id: `trial-${index}`,
      across_mm: width_mm,
      along_mm: height_mm,
      mayTurn90,
      group: '',
    }));
    const [before, after] = await this.#pool.planEach([this.#cutting.order(), this.#cutting.order(extra)], {
      milliseconds: TRY_MS,
      signal,
      onProgress: () => undefined,
    });
    return before === undefined || after === undefined ? undefined : { before, after };
  }
}

/** Two widths of which one is not used are one width. */
function usesAllItBuys({ widths_nm, plan }: RollTried): boolean {
  const used = new Set(plan.uses.map(({ stockId }) => stockId));
  return widths_nm.length < 2 || widths_nm.every((width_nm) => used.has(orderKey(width_nm)));
}

/** By the same films, seamed otherwise: no dearer, no more seams, no more without film, and better in one. */
function isBeatenBy(own: RollTried, other: RollTried): boolean {
  if (own === other || own.widths_nm.join() !== other.widths_nm.join()) return false;
  const differences = [
    own.plan.notLaid.length - other.plan.notLaid.length,
    own.plan.cost.value - other.plan.cost.value,
    own.seams.count - other.seams.count,
  ];
  return differences.every((more) => more >= 0) && differences.some((more) => more > 0);
}
