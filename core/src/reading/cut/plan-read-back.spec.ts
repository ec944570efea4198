import { describe, expect, it } from '@jest/globals';
import type { CutOrder } from '../../cutting';
import type { FilmBlank } from './film-blanks';
import { type RollReadBack, pinsOfPlan } from './plan-read-back';

const blank = (tag: string, drop = 1): FilmBlank =>
  ({ key: `${tag} ${drop}`, surface: { tag }, blank: { drop } }) as unknown as FilmBlank;
const piece = (tag: string, across_mm: number, along_mm: number) => ({
  ...{ id: `${tag} 1`, across_mm, along_mm, mayTurn90: true, group: '' },
});
const ORDER = {
  stocks: [
    { id: 'r22', what: 'roll', width_mm: 1524 },
    { id: 'new-1524', what: 'to order', width_mm: 1524 },
  ],
  pieces: [piece('SW1', 1231, 2190), piece('SW2', 1231, 2191), piece('SW3', 930, 1256)],
} as unknown as CutOrder;
const BLANKS = ['SW1', 'SW2', 'SW3'].map((tag) => blank(tag));
const labelOf = (id: string): string | undefined => (id === 'r22' ? 'R-22' : undefined);
const lies = (
  tag: string,
  x_mm: number,
  y_mm: number,
  across_mm: number,
  along_mm: number,
  turned = false,
) => ({
  ...{ tag, drop: 1, of: 1, x_mm, y_mm, across_mm, along_mm, turned, top: 'to the roll end' },
});
const roll = (more: Partial<RollReadBack>): RollReadBack => ({
  ...{ label: 'R-22', what: 'roll', width_mm: 1524, pieces: [] },
  ...more,
});
const read = (...rolls: readonly RollReadBack[]) => pinsOfPlan(rolls, ORDER, BLANKS, labelOf);

describe('does a plan that comes back lie as it lay?', () => {
  it('pieces of the same size are pinned where they were, on the roll of the same label or the width to order', () => {
    const { pins, not } = read(
      roll({ pieces: [lies('SW1', 0, 0, 1231, 2190), lies('SW3', 0, 2190, 1256, 930, true)] }),
      roll({ what: 'to order', label: 'new', pieces: [lies('SW2', 0, 0, 1231, 2191)] }),
    );
    expect(not).toEqual([]);
    expect(pins).toEqual([
      { id: 'SW1 1', stockId: 'r22', copy: 0, x_mm: 0, y_mm: 0, turned: false, flipped: false },
      { id: 'SW3 1', stockId: 'r22', copy: 0, x_mm: 0, y_mm: 2190, turned: true, flipped: false },
      { id: 'SW2 1', stockId: 'new-1524', copy: 0, x_mm: 0, y_mm: 0, turned: false, flipped: false },
    ]);
  });
  it('a second roll to order of the same width is another one', () => {
    const { pins } = read(
      roll({ what: 'to order', pieces: [lies('SW1', 0, 0, 1231, 2190)] }),
      roll({ what: 'to order', pieces: [lies('SW2', 0, 0, 1231, 2191)] }),
    );
    expect(pins.map(({ copy }) => copy)).toEqual([0, 1]);
  });
  it('what has changed since is named, and not pinned', () => {
    const { pins, not } = read(
      roll({ pieces: [lies('SW1', 0, 0, 1225, 2190), lies('SW9', 0, 2200, 500, 500)] }),
      roll({ label: 'R-40', pieces: [lies('SW2', 0, 0, 1231, 2191)] }),
    );
    expect(pins).toEqual([]);
    expect(not).toEqual([
      { case: 'another size', tag: 'SW1', drop: 1, of: 1, was_mm: [1225, 2190], now_mm: [1231, 2190] },
      { case: 'no such blank', tag: 'SW9', drop: 1, of: 1 },
      { case: 'no such roll', label: 'R-40' },
    ]);
  });
});
