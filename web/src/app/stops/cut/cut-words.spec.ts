import { moneyIn } from '../../words/money';
import { describe, expect, it } from '@jest/globals';
import { nmFromMm } from '@yellow-pane/core/quantity';
import { CoreError } from '@yellow-pane/core/quantity';
import {
  type FilmThereIs,
  type NamedBlank,
  gapWord,
  percent,
  pieceWord,
  refusalWord,
  shortWord,
} from './cut-words';

const plain = (value: number): string => moneyIn(value, '');
const METRIC = 'metric' as Parameters<typeof gapWord>[1];
const IMPERIAL = 'imperial' as Parameters<typeof gapWord>[1];
const plan = (more: Partial<Parameters<typeof gapWord>[0]> = {}): Parameters<typeof gapWord>[0] => ({
  used_nm: nmFromMm(12_550),
  bound_nm: nmFromMm(12_410),
  filmCost: 0,
  filmBound: 0,
  stopped: 'limit',
  ...more,
});

describe('how near is it to the best, in plain words?', () => {
  it('so much could be saved at most, in the person’s units', () => {
    expect(gapWord(plan(), METRIC, plain)).toMatch(
      /^Nothing can use less than 12\.41 m on this roll: at most 1\.1 % could be saved\.$/,
    );
    expect(gapWord(plan(), IMPERIAL, plain)).toMatch(/ft|in|yd/);
  });
  it('the share is of what is used: nobody can save more than all of it', () => {
    expect(gapWord(plan({ bound_nm: nmFromMm(690) }), METRIC, plain)).toContain(
      'at most 94.5 % could be saved',
    );
    expect(gapWord(plan({ bound_nm: 0, filmCost: 220, filmBound: 100 }), METRIC, plain)).toContain(
      'at most 54.5 %',
    );
  });
  it('proven only when the search says so, or the bound is met', () => {
    const proven = 'Nothing can use less on this roll: this is proven.';
    expect(gapWord(plan({ stopped: 'optimal' }), METRIC, plain)).toBe(proven);
    expect(gapWord(plan({ used_nm: nmFromMm(12_410) }), METRIC, plain)).toBe(proven);
    expect(gapWord(plan({ used_nm: nmFromMm(12_430) }), METRIC, plain)).not.toBe(proven);
  });
  it('for money: the film can cost no less, or nothing is known and nothing is said', () => {
    expect(gapWord(plan({ bound_nm: 0, filmCost: 105, filmBound: 100 }), METRIC, plain)).toBe(
      'The film can cost no less than 100.00: at most 4.8 % could be saved.',
    );
    expect(gapWord(plan({ bound_nm: 0, filmCost: 100, filmBound: 100 }), METRIC, plain)).toBe(
      'No other choice of film costs less: this is proven.',
    );
    expect(gapWord(plan({ bound_nm: 0, filmCost: 100, filmBound: 0 }), METRIC, plain)).toBe('');
  });
});

describe('small words', () => {
  it('money with its cents, shares to a tenth of a percent', () => {
    expect([
      moneyIn(12.5, ''),
      moneyIn(1234.5, 'EUR'),
      moneyIn(1234.5, 'JPY'),
      percent(0.1234),
      percent(0),
    ]).toEqual(['12.50', 'EUR 1,234.50', 'JPY 1,235', '12.3 %', '0.0 %']);
  });
  it('a drop is named only where there are several', () => {
    expect([
      pieceWord({ tag: 'SW1', drop: 1, dropOf: 1 }),
      pieceWord({ tag: 'W2', drop: 2, dropOf: 3 }),
    ]).toEqual(['SW1', 'W2 2/3']);
  });
});

describe('why is there no film for a piece?', () => {
  const blanks: Readonly<Record<string, NamedBlank>> = {
    a: { word: 'SW1', blank: { across_mm: 1900, along_mm: 2100 }, blanks: { whole: { mayTurn90: false } } },
    b: { word: 'SW2', blank: { across_mm: 1900, along_mm: 900 }, blanks: { whole: { mayTurn90: true } } },
    c: {
      word: 'WL1 1/3',
      blank: { across_mm: 500, along_mm: 2500 },
      blanks: { whole: { mayTurn90: false } },
    },
  };
  const of = (key: string): NamedBlank | undefined => blanks[key];
  const film = (
    widths: readonly number[],
    what: 'roll' | 'to order' = 'roll',
    mostSheet_mm: number | null = null,
  ): FilmThereIs => ({ stocks: widths.map((width_mm) => ({ width_mm, what })), mostSheet_mm });
  it('no film at all: a width in the catalogue, or a roll', () => {
    expect(shortWord(['a', 'c'], film([]), of, METRIC)).toBe(
      'There is no film to cut SW1, WL1 1/3 from: give the film a width in the catalogue, or take a roll into stock.',
    );
  });
  it('too wide for all, counting that one may be turned: a wider roll, or seams', () => {
    expect(shortWord(['a', 'b', 'c'], film([1220, 1524]), of, METRIC)).toBe(
      'SW1: wider than the widest film there is (1524 mm). A wider roll, or seams, would help.',
    );
  });
  it('else there is too little of it', () => {
    expect(shortWord(['a'], film([1524]), of, IMPERIAL)).toContain('(60 in)');
    expect(shortWord(['c'], film([1524]), of, METRIC)).toBe(
      'Not enough film for WL1 1/3. A new roll to order would help: it is left out now.',
    );
  });
  it('a longest sheet that binds is named, and a new roll is not promised to help', () => {
    expect(shortWord(['c'], film([1524], 'to order', 2400), of, METRIC)).toBe(
      'WL1 1/3: longer than the longest sheet that is set (2400 mm). A longer sheet would help.',
    );
    expect(shortWord(['c'], film([1524], 'to order'), of, METRIC)).not.toContain('would help');
  });
  it('a refusal names the piece as it stands on the label', () => {
    const word = (key: string): string | undefined => of(key)?.word;
    expect(
      refusalWord(
        new CoreError('CUTTING_PIECE_RANGE', {
          path: 'pieces.a.across_mm',
          expected: '1 to 100000',
          got: '-5',
          about: ['a'],
        }),
        word,
      ),
    ).toBe('SW1: expected 1 to 100000, got -5.');
    expect(
      refusalWord(
        new CoreError('CUTTING_PIN', {
          path: 'pinned.a',
          expected: 'a place of its own',
          got: 'one that overlaps c',
          about: ['a', 'c'],
        }),
        word,
      ),
    ).toBe('SW1: expected a place of its own, got one that overlaps WL1 1/3.');
    expect(
      refusalWord(
        new CoreError('CUTTING_STOCK_RANGE', { path: 'stocks.0', expected: 'more', got: 'less' }),
        word,
      ),
    ).toBe('stocks.0: expected more, got less.');
    expect(refusalWord('the worker ended', word)).toBe('the worker ended.');
  });
});
