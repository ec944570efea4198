import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../quantity';
import { type EscapeNet, bubblesOf, closedMaxima, firstTrap } from './traps';
import { sampleNet, trapsByBruteForce } from '../sample-nets';

const grid = (
  columns: number,
  times: readonly number[],
  isOpen: (column: number, row: number) => boolean,
): EscapeNet => ({
  count: times.length,
  times: Float64Array.from(times),
  isOpen: Uint8Array.from(times, (_, cell) => (isOpen(cell % columns, Math.floor(cell / columns)) ? 1 : 0)),
  mostNeighbours: 4,
  neighbours: (cell, into) => {
    const beside = [
      ...(cell % columns > 0 ? [cell - 1] : []),
      ...(cell % columns < columns - 1 ? [cell + 1] : []),
      ...(cell >= columns ? [cell - columns] : []),
      ...(cell + columns < times.length ? [cell + columns] : []),
    ];
    beside.forEach((other, index) => {
      into[index] = other;
    });
    return beside.length;
  },
});

describe('does an order of pressing shut anything in?', () => {
  it('a strip pressed from a closed end to the open one shuts nothing in; towards the closed end it does (by hand)', () => {
    const open = (column: number): boolean => column === 3;
    expect(firstTrap(grid(4, [1, 2, 3, 4], open))).toBeUndefined();
    const wrong = grid(4, [4, 3, 2, 1], open);
    expect(firstTrap(wrong)).toBe(1);
    expect(closedMaxima(wrong)).toEqual([[0]]);
    expect(bubblesOf(wrong)).toEqual([{ sealedAt: 1, places: expect.arrayContaining([0, 1, 2]) }]);
  });
  it('a ring pressed last to first around a middle that is still loose: sealed by the last of the ring', () => {
    const times = [1, 1, 1, 1, 5, 1, 1, 1, 3];
    const net = grid(3, times, (column, row) => column !== 1 || row !== 1);
    expect(bubblesOf(net)).toEqual([{ sealedAt: 1, places: [4] }]);
  });
  it('what is never pressed and has no way out is shut in from the start', () => {
    const net = grid(2, [Infinity, Infinity], () => false);
    expect(closedMaxima(net)).toHaveLength(1);
    expect(bubblesOf(net)).toEqual([{ sealedAt: Infinity, places: expect.arrayContaining([0, 1]) }]);
    expect(firstTrap(net)).toBe(0);
  });
  it('agrees with brute force on random nets: when, how many, and that no trap is one with no closed maximum', () => {
    for (let seed = 1; seed <= 400; seed += 1) {
      const net = sampleNet(seededRandom(seed));
      const brute = trapsByBruteForce(net);
      expect({ seed, first: firstTrap(net) }).toEqual({ seed, first: brute.first });
      expect({ seed, vents: closedMaxima(net).length }).toEqual({ seed, vents: brute.vents });
      expect({ seed, isTrapped: bubblesOf(net).length > 0 }).toEqual({ seed, isTrapped: brute.vents > 0 });
    }
  });
});
