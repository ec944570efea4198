import { describe, expect, it } from '@jest/globals';
import { outlineOnRoll, placingFault } from '../../cutting';
import { handPlacedOf, handRollOf, turnedByHand } from './placed-by-hand';

const MM = 1_000_000;
const flat = [
  { x: 0, y: 40 },
  { x: 300, y: 0 },
  { x: 600, y: 60 },
  { x: 560, y: 900 },
];
const piece = {
  id: 'a',
  x_nm: 10 * MM,
  y_nm: 20 * MM,
  across_nm: 600 * MM,
  along_nm: 900 * MM,
  turned: false,
  outline: outlineOnRoll(flat, 600, 900, false, false),
};

describe('does a piece that is no rectangle turn with its outline?', () => {
  it('as the layout itself would turn it, and back to where it was', () => {
    const turned = turnedByHand(piece);
    expect(turned).toEqual({
      turned: true,
      across_nm: 900 * MM,
      along_nm: 600 * MM,
      outline: outlineOnRoll(flat, 600, 900, true, false),
    });
    expect(turnedByHand(turned)).toEqual({
      turned: false,
      across_nm: piece.across_nm,
      along_nm: piece.along_nm,
      outline: piece.outline,
    });
  });
  it('the same after half a turn', () => {
    const flipped = { ...piece, outline: outlineOnRoll(flat, 600, 900, false, true) };
    expect(turnedByHand(flipped).outline).toEqual(outlineOnRoll(flat, 600, 900, true, true));
  });
  it('a rectangle only changes its sides', () => {
    expect(turnedByHand({ ...piece, outline: null })).toEqual({
      turned: true,
      across_nm: 900 * MM,
      along_nm: 600 * MM,
      outline: null,
    });
  });
});

describe('who may lay outlines into one another?', () => {
  const half = (x: number, shape: typeof flat) => ({
    ...piece,
    id: String(x),
    x_nm: x * MM,
    y_nm: 0,
    outline: shape,
  });
  const [left, right] = [
    half(0, [
      { x: 0, y: 0 },
      { x: 600, y: 900 },
      { x: 0, y: 900 },
    ]),
    half(1, [
      { x: 0, y: 0 },
      { x: 600, y: 0 },
      { x: 600, y: 900 },
    ]),
  ];
  const roll = handRollOf({ width_nm: 700 * MM, length_nm: 900 * MM }, { gap_nm: 0, endWaste_nm: 0 });
  it('a plotter; a knife cuts rectangles', () => {
    expect(
      placingFault(handPlacedOf(left, 'by plotter'), [handPlacedOf(right, 'by plotter')], roll),
    ).toBeUndefined();
    expect(placingFault(handPlacedOf(left, 'by hand'), [handPlacedOf(right, 'by hand')], roll)?.kind).toBe(
      'overlaps',
    );
  });
});
