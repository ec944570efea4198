import type { CutMethod } from '../job';
import { COMMON_PRACTICE, type Source } from '../quantity';

/** How much larger than the surface a blank is cut, by way of fitting. */
export interface Allowance {
  readonly method: CutMethod;
  readonly word: string;
  readonly top_mm: number;
  readonly right_mm: number;
  readonly bottom_mm: number;
  readonly left_mm: number;
  readonly reason: string;
  readonly source: Source;
  /** Straight edges of the roll that this method wants used. */
  readonly factoryEdge: 'at the top' | 'at one side' | 'none';
}

const asTrimming: Source = { kind: 'our guess', text: 'our guess: as for trimming in place; no figure is handed down' };

export const ALLOWANCES: readonly Allowance[] = [
  {
    method: 'trim in place', word: 'Trim in place', top_mm: 25, right_mm: 25, bottom_mm: 25, left_mm: 25, factoryEdge: 'at the top', source: COMMON_PRACTICE,
    reason: 'About 25 mm (1 in) over on every side, so that the film covers an out-of-square pane and every edge is trimmed against the frame.',
  },
  {
    method: 'pre-squared', word: 'Pre-squared', top_mm: 0, right_mm: 25, bottom_mm: 25, left_mm: 0, factoryEdge: 'at one side', source: COMMON_PRACTICE,
    reason: 'One factory edge and one squared cross-cut are set into a top corner: only the other side and the bottom are trimmed.',
  },
  {
    method: 'dry-fitted', word: 'Dry-fitted', top_mm: 25, right_mm: 25, bottom_mm: 25, left_mm: 25, factoryEdge: 'at the top', source: asTrimming,
    reason: 'Hung on the glass with the liner on, levelled, sides trimmed against the frame, top corners marked with tape, then taken down.',
  },
  {
    method: 'security', word: 'Security, to the glass edge', top_mm: 25, right_mm: 25, bottom_mm: 25, left_mm: 25, factoryEdge: 'none', source: COMMON_PRACTICE,
    reason: 'About 25 mm over. The film must reach the glass edge: measure the glass, not the daylight opening; beads or the sash may have to come out.',
  },
  {
    method: 'decor', word: 'Interior decor', top_mm: 50, right_mm: 50, bottom_mm: 50, left_mm: 50, factoryEdge: 'none', source: COMMON_PRACTICE,
    reason: 'About 50 mm (2 in) over on each side, to hold, to turn and to trim.',
  },
];

/** @returns the allowance row of a method; every method has one */
export function allowanceFor(method: CutMethod): Allowance {
  const found = ALLOWANCES.find((allowance) => allowance.method === method);
  if (found === undefined) throw new RangeError(`no allowance for ${method}`);
  return found;
}
