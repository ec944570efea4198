import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { CoreError } from '../quantity';
import {
  type Ticked,
  decimalsOf,
  depositOf,
  inCurrency,
  restOf,
  sharedOut,
  taxed,
  tickedMinutes,
} from './index';

const MINUTE_MS = 60_000;
const at = (minute: number): number => 1_800_000_000_000 + minute * MINUTE_MS;
const tick = (id: string, from: number | null, to: number, ...people: string[]): Ticked => ({
  ...{ id, people, to_ms: at(to), from_ms: from === null ? null : at(from) },
});
const refusal = (run: () => unknown): unknown => {
  try {
    return run();
  } catch (error) {
    return error instanceof CoreError ? [error.code, error.data] : error;
  }
};

describe('what is asked for, to the smallest coin?', () => {
  it('decimals of a currency as ISO 4217 has them', () => {
    expect(['CHF', 'EUR', 'JPY', 'KWD', null].map(decimalsOf)).toEqual([2, 2, 0, 3, 2]);
  });
  it('by hand: 1234.56 at 8.1 % is 100.00 tax (99.99936), 1334.56 in all; 1235 yen at 10 % are 124', () => {
    expect(taxed([1000, 234.56], 0.081, 2)).toEqual({ net: 1234.56, tax: 100, gross: 1334.56 });
    expect(taxed([1235], 0.1, 0)).toEqual({ net: 1235, tax: 124, gross: 1359 });
  });
  it('by hand: a deposit of 30 % of 1234.56 is 370.37; with an extra of 89.90 the rest is 954.09', () => {
    const deposit = depositOf(1234.56, 30, 2);
    expect(deposit).toBe(370.37);
    expect(restOf(1234.56, [89.9], [deposit], 2)).toBe(954.09);
  });
  it('a deposit of nothing, or of more than all, is refused by name', () => {
    expect(refusal(() => depositOf(100, 0, 2))).toEqual([
      'QUOTE_DEPOSIT',
      expect.objectContaining({ path: 'deposit', got: '0 %' }),
    ]);
    expect(refusal(() => depositOf(100, 120, 2))).toEqual([
      'QUOTE_DEPOSIT',
      expect.objectContaining({ got: '120 %' }),
    ]);
  });
  it('a price in parts: each to the coin, together exactly the price, none off its share by a coin', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1e6, noNaN: true }),
        fc.array(fc.double({ min: 0, max: 1e4, noNaN: true }), { minLength: 1, maxLength: 60 }),
        fc.constantFrom(0, 2, 3),
        (total, weights, decimals) => {
          const parts = sharedOut(total, weights, decimals);
          const coin = 10 ** -decimals;
          const sum = parts.reduce((all, part) => all + Math.round(part / coin), 0);
          expect(sum).toBe(Math.round(inCurrency(total, decimals) / coin));
          const all = weights.reduce((most, weight) => most + weight, 0);
          parts.forEach((part, index) => {
            const share = all === 0 ? 1 / weights.length : (weights[index] ?? 0) / all;
            expect(Math.abs(part - inCurrency(total, decimals) * share)).toBeLessThan(coin * 1.001);
          });
        },
      ),
    );
  });
});

describe('how many minutes did people take, by their ticks?', () => {
  it('two people at one step for twenty minutes are forty people-minutes', () => {
    expect(tickedMinutes([tick('a', 0, 20, 'Wren', 'Robin')]).minutes.get('a')).toBeCloseTo(40, 9);
  });
  it('negative minutes, a step of 14 hours, one of five seconds, one without a beginning: asked about, not used', () => {
    const { minutes, asked } = tickedMinutes([
      tick('back', 20, 10, 'Wren'),
      tick('long', 100, 100 + 14 * 60, 'Wren'),
      tick('slip', 2000, 2000 + 5 / 60, 'Wren'),
      tick('open', null, 30, 'Wren'),
      tick('good', 3000, 3010, 'Wren'),
    ]);
    expect(asked).toEqual([
      { id: 'back', fault: 'ends before it begins' },
      { id: 'long', fault: 'over 12 h' },
      { id: 'slip', fault: 'under 10 s' },
      { id: 'open', fault: 'no beginning' },
    ]);
    expect([...minutes.keys()]).toEqual(['good']);
  });
  it('overlapping ticks of two people are two people at work; of one person, that time is shared out and said', () => {
    const two = tickedMinutes([tick('a', 0, 20, 'Wren'), tick('b', 10, 30, 'Robin')]);
    expect([two.minutes.get('a'), two.minutes.get('b'), two.shared]).toEqual([20, 20, []]);
    const one = tickedMinutes([tick('a', 0, 20, 'Wren'), tick('b', 10, 30, 'Wren')]);
    expect([one.minutes.get('a'), one.minutes.get('b')]).toEqual([15, 15]);
    expect(one.shared).toEqual([{ person: 'Wren', ids: ['a', 'b'] }]);
  });
  it('nobody works longer than the clock ran', () => {
    const record = fc.record({
      from: fc.integer({ min: 0, max: 300 }),
      took: fc.integer({ min: 1, max: 300 }),
    });
    fc.assert(
      fc.property(fc.array(record, { minLength: 1, maxLength: 8 }), (own) => {
        const { minutes } = tickedMinutes(
          own.map(({ from, took }, n) => tick(`${n}`, from, from + took, 'Wren')),
        );
        const sum = [...minutes.values()].reduce((all, one) => all + one, 0);
        const covered = Array.from({ length: 600 }, (_, minute) =>
          own.some(({ from, took }) => from <= minute && from + took > minute),
        ).filter(Boolean).length;
        expect(sum).toBeCloseTo(covered, 6);
      }),
    );
  });
});
