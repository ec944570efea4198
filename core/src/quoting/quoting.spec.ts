import { workCostOver } from './oracles/cost-laws';
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { CoreError } from '../quantity';
import {
  type QuoteCase,
  QuoteDraws,
  type QuotedChance,
  type Used,
  costOf,
  inCurrency,
  isChance,
  meanCost,
  minutesOf,
  noneOf,
  partsOf,
  priceFor,
  taxed,
} from './index';

const quote = (more: Partial<QuoteCase> = {}): QuoteCase => ({
  ...{ fixed: 180, rate: 0.9, shared: 0.15, chances: [] },
  work: [
    { median_min: 20, deviation: 0.35 },
    { median_min: 35, deviation: 0.3 },
    { median_min: 40, deviation: 0.3 },
  ],
  ...more,
});
const redo: QuotedChance = { pieces: 12, came: 0.6, not: 19.4, mean: 60, deviation: 0.3, once: 40 };
const codeOf = (run: () => unknown): unknown => {
  try {
    return run();
  } catch (error) {
    return error instanceof CoreError ? [error.code, error.data.path] : error;
  }
};

describe('what does a job cost, and how surely?', () => {
  it('the sum of all work as one log-normal law, within half a per cent of drawing every step (Fenton and Wilkinson)', () => {
    const own = quote();
    const { mean, variance } = minutesOf(own);
    let state = 27;
    const random = (): number => {
      state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
      return (state + 0.5) / 4_294_967_296;
    };
    const normal = (): number => Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random());
    const drawn = Array.from({ length: 200_000 }, () => {
      const shared = Math.exp(own.shared * normal());
      return own.work.reduce(
        (sum, { median_min, deviation }) => sum + shared * median_min * Math.exp(deviation * normal()),
        0,
      );
    }).sort((a, b) => a - b);
    const drawnMean = drawn.reduce((sum, one) => sum + one, 0) / drawn.length;
    expect(mean / drawnMean).toBeCloseTo(1, 2);
    const drawnVariance = drawn.reduce((sum, one) => sum + (one - drawnMean) ** 2, 0) / drawn.length;
    expect(Math.sqrt(variance / drawnVariance)).toBeCloseTo(1, 1);
    for (const chance of [0.5, 0.2, 0.1]) {
      const minutes = (workCostOver(own, chance) - own.fixed) / own.rate;
      expect(Math.abs(minutes / (drawn[Math.floor((1 - chance) * drawn.length)] ?? 0) - 1)).toBeLessThan(
        0.006,
      );
    }
  });
  it('what may be to do again: its mean by the closed form, none of twelve by the Beta-binomial sum', () => {
    const own = quote({ chances: [redo] });
    const draws = new QuoteDraws(own, 28);
    expect(Math.abs(draws.mean / meanCost(own) - 1)).toBeLessThan(0.01);
    // Of a known chance it is the power.
    expect(noneOf(12, 0.03e9, 0.97e9)).toBeCloseTo(0.97 ** 12, 6);
    expect(noneOf(12, 0.6, 19.4)).toBeGreaterThan(0.97 ** 12);
  });
  it('the same seed, the same figures; another seed, nearly the same', () => {
    const own = quote({ chances: [redo] });
    const [first, again, other] = [1, 1, 2].map((seed) => new QuoteDraws(own, seed));
    expect(first?.over(0.2)).toBe(again?.over(0.2));
    expect(Math.abs((first?.over(0.2) ?? 0) / (other?.over(0.2) ?? 1) - 1)).toBeLessThan(0.02);
  });
  it('a price is exceeded as often as it was said; nothing is lost at any price over all', () => {
    const draws = new QuoteDraws(quote({ chances: [redo] }), 3);
    for (const risk of [0.05, 0.2, 0.5]) expect(draws.lossAt(draws.over(risk))).toBeCloseTo(risk, 3);
    expect(draws.lossAt(1e9)).toBe(0);
    expect(draws.lossAt(0)).toBe(1);
  });
  it('price rises with the margin and falls with the risk', () => {
    const draws = new QuoteDraws(quote({ chances: [redo] }), 4);
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.9, noNaN: true }),
        fc.double({ min: 0, max: 0.8, noNaN: true }),
        (risk, margin) => {
          expect(priceFor(draws.over(risk), margin).value).toBeGreaterThanOrEqual(
            priceFor(draws.over(Math.min(0.99, risk + 0.05)), margin).value,
          );
          expect(priceFor(draws.over(risk), margin + 0.05).value).toBeGreaterThan(
            priceFor(draws.over(risk), margin).value,
          );
        },
      ),
      { seed: 28, numRuns: 60 },
    );
  });
  it('a margin of all of it, minutes below nothing, a step of fourteen hours: refused by name', () => {
    expect(codeOf(() => priceFor(100, 1))).toEqual(['QUOTE_MARGIN', 'margin']);
    const work = (median_min: number) =>
      codeOf(() => new QuoteDraws(quote({ work: [{ median_min, deviation: 0.3 }] }), 1));
    expect(work(-5)).toEqual(['QUOTE_CASE', 'work.0.median_min']);
    expect(work(14 * 60)).toEqual(['QUOTE_CASE', 'work.0.median_min']);
    expect(codeOf(() => new QuoteDraws(quote({ fixed: NaN }), 1))).toEqual(['QUOTE_CASE', 'fixed']);
  });
  it('a chance of nothing never comes, a certain one always does', () => {
    const sure = (came: number, not: number) =>
      new QuoteDraws(quote({ work: [], chances: [{ ...redo, came, not, deviation: 0 }] }), 1);
    expect(sure(0, 5).over(0.01)).toBe(180);
    expect(sure(5, 0).over(0.99)).toBeCloseTo(180 + 12 * 60 + 40, 9);
  });
  it('nothing to do costs what is fixed', () => {
    const draws = new QuoteDraws(quote({ work: [] }), 1);
    expect([draws.mean, draws.over(0.2), meanCost(quote({ work: [] }))]).toEqual([180, 180, 180]);
  });
});

describe('what does the customer pay?', () => {
  it('as the currency has it: half up, away from nothing; what was a half before it was calculated is one', () => {
    expect([2.345, 1.005, -2.345, 2.344999].map((money) => inCurrency(money, 2))).toEqual([
      2.35, 1.01, -2.35, 2.34,
    ]);
    expect(inCurrency(1234.5, 0)).toBe(1235);
  });
  it('tax on the sum, rounded once: three lines of 33.33 at 7.7 %, by hand', () => {
    // 99.99 net, 7.69923 of tax.
    expect(taxed([33.33, 33.33, 33.33], 0.077, 2)).toEqual({ net: 99.99, tax: 7.7, gross: 107.69 });
    expect(taxed([], 0.2, 2)).toEqual({ net: 0, tax: 0, gross: 0 });
  });
});

describe('why did it cost otherwise?', () => {
  const used = fc.record({
    quantity: fc.double({ min: 0, max: 500, noNaN: true }),
    use: fc.double({ min: 0, max: 60, noNaN: true }),
    price: fc.double({ min: 0, max: 200, noNaN: true }),
  });
  it('quantity, efficiency and rate add up to the difference', () => {
    fc.assert(
      fc.property(used, used, (plan: Used, actual: Used) => {
        const { quantity, efficiency, rate } = partsOf(plan, actual);
        const difference = costOf(actual) - costOf(plan);
        expect(Math.abs(quantity + efficiency + rate - difference)).toBeLessThanOrEqual(
          1e-9 * Math.max(1, costOf(actual), costOf(plan)),
        );
      }),
      { seed: 28, numRuns: 200 },
    );
  });
  it('within what was thought likely it is chance', () => {
    expect([90, 80, 111].map((minutes) => isChance(minutes, [80, 110]))).toEqual([true, true, false]);
  });
});
