import { Injectable, inject } from '@angular/core';
import type { CutOrderPlan, OrderPiece } from '@yellow-pane/core/cutting';
import { cutWords } from '../../words/cut';
import { LayoutPool } from '../../workers/layout-pool';
import { Cutting } from './cutting';

const TRY_MS = 350;

export interface WidthTried {
  readonly word: string;
  readonly plan: CutOrderPlan;
}

/** The same order on other films, and with more in it: laid out for a moment, and not kept. */
@Injectable({ providedIn: 'root' })
export class FilmTrials {
  readonly #cutting = inject(Cutting);
  readonly #pool = inject(LayoutPool);

  /** Each width by itself, all together, and the stock alone: what each would cost. */
  async compareWidths(signal: AbortSignal): Promise<readonly WidthTried[]> {
    const order = this.#cutting.order();
    const bought = order.stocks.filter(({ what }) => what === 'to order');
    const kept = order.stocks.filter(({ what }) => what !== 'to order');
    const cases = [
      ...(kept.length === 0 ? [] : [{ word: cutWords.onlyInStock, stocks: kept }]),
      ...bought.map((width) => ({
        word: cutWords.widthToOrder(kept.length === 0 ? '' : cutWords.stockAnd, width.width_mm),
        stocks: [...kept, width],
      })),
      ...(bought.length > 1
        ? [{ word: cutWords.allWidths(kept.length === 0 ? '' : cutWords.stockAnd), stocks: order.stocks }]
        : []),
    ];
    const plans = await this.#pool.planEach(
      cases.map(({ stocks }) => ({ ...order, stocks, pinned: [] })),
      { milliseconds: TRY_MS, signal, onProgress: () => undefined },
    );
    return cases.flatMap(({ word }, index) => {
      const plan = plans[index];
      return plan === undefined ? [] : [{ word, plan }];
    });
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
