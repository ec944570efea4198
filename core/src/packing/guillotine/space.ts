import type { Band } from './band-shape';
import type { StripProblem } from '../problem/strip-problem';

/**
 * A stretch of film that bands can be cut from: a roll, an offcut, or what is left beside and between pieces
 * that stay where they are.
 */
export interface Space {
  /** The pieces as every space has them, with this one's width and the ways that fit on it. */
  readonly problem: StripProblem;
  /** Steps of length there are; infinite when it is to be ordered. */
  readonly most: number;
  /** Steps of length one sheet cut across may have. */
  readonly mostBand: number;
  /** Cost of a step of length, and of beginning it at all. */
  readonly cost: number;
  readonly fixed: number;
  /** Pieces side by side, at most. */
  readonly mostColumns: number;
  /** Whether its first and last columns lie at factory edges. */
  readonly edges: number;
  /** Rolls of one lot look alike: pieces of one group should share it. */
  readonly lot: number;
}

export interface LaidBand {
  readonly space: number;
  readonly band: Band;
}

/** Money or length of everything beside the film itself: cuts made, less what can be kept. */
export type BandExtra = (space: Space, band: Band) => number;

export interface Layout {
  readonly laid: readonly LaidBand[];
  readonly cost: number;
}

/** Length taken of each space. */
export function lengthsOf(spaces: readonly Space[], laid: readonly LaidBand[]): readonly number[] {
  const lengths = spaces.map(() => 0);
  for (const { space, band } of laid) lengths[space] = (lengths[space] ?? 0) + band.along;
  return lengths;
}

export function costOf(spaces: readonly Space[], laid: readonly LaidBand[], extra: BandExtra): number {
  const lengths = lengthsOf(spaces, laid);
  let sum = 0;
  spaces.forEach(({ cost, fixed }, space) => {
    const own = lengths[space] ?? 0;
    if (own > 0) sum += fixed + cost * own;
  });
  for (const { space, band } of laid) {
    const own = spaces[space];
    if (own !== undefined) sum += extra(own, band);
  }
  return sum;
}

/** One film without end that costs by its length alone. */
export function onlyEndless(spaces: readonly Space[]): Space | undefined {
  const [only] = spaces;
  return only !== undefined &&
    spaces.length === 1 &&
    only.most === Number.POSITIVE_INFINITY &&
    only.fixed === 0
    ? only
    : undefined;
}

/** The space that all these bands lie on, if it is one. */
export function oneSpace(laid: readonly LaidBand[], taken: ReadonlySet<number>): number | undefined {
  let found: number | undefined;
  for (const index of taken) {
    const own = laid[index]?.space;
    if (found !== undefined && own !== found) return undefined;
    found = own;
  }
  return found;
}
