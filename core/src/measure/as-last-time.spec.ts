import { describe, expect, it } from '@jest/globals';
import type { ShelfMeasure } from '../job';
import { sameAsLastTime, wantingHere } from './index';

const taken = (kind: ShelfMeasure['kind'], fromPoint: string, toPoint: string, mm: number): ShelfMeasure => ({
  ...{ kind, fromPoint, toPoint, text: String(mm), unit: 'mm', value_nm: mm * 1_000_000 },
  ...{ instrument: 'tape', sd_nm: null },
});
const SHELF = [
  taken('distance', 'tl', 'tr', 1241),
  taken('distance', 'tl', 'bl', 759),
  taken('distance', 'tr', 'br', 759),
  taken('sag', 'ml', 'mr', 42),
];

describe('is it the pane of last time?', () => {
  it('two lengths within a few millimetres prove it, whichever way they were taken', () => {
    const here = [taken('distance', 'tr', 'tl', 1239), taken('distance', 'tl', 'bl', 760)];
    expect(sameAsLastTime(here, SHELF)).toMatchObject({ case: 'agrees', compared: [{ here_mm: 1239 }, {}] });
    expect(wantingHere(here, SHELF).map(({ kind, fromPoint }) => [kind, fromPoint])).toEqual([
      ['distance', 'tr'],
      ['sag', 'ml'],
    ]);
  });
  it('one is not enough: it asks for another of the shelf', () => {
    const same = sameAsLastTime([taken('distance', 'tl', 'tr', 1241)], SHELF);
    expect(same).toMatchObject({ case: 'measure two lengths', still: 1 });
    expect(same.case === 'measure two lengths' && same.ask.map(({ fromPoint }) => fromPoint)).toEqual([
      'tl',
      'tr',
    ]);
  });
  it('one that is off disproves it, however many agree', () => {
    const here = [
      taken('distance', 'tl', 'tr', 1241),
      taken('distance', 'tl', 'bl', 759),
      taken('distance', 'tr', 'br', 750),
    ];
    expect(sameAsLastTime(here, SHELF)).toMatchObject({
      case: 'differs',
      worst: { here_mm: 750, shelf_mm: 759 },
    });
  });
  it('sags prove nothing', () => {
    expect(sameAsLastTime([taken('sag', 'ml', 'mr', 42)], SHELF)).toMatchObject({ still: 2 });
  });
});
