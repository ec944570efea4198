import { valueAt } from '../../quantity';
import type { Strip } from './strip-shape';
import type { PackingProblem } from '../problem/packing-problem';

/**
 * A stretch of film that strips can be cut from: a roll, an offcut, or what is left beside and between pieces
 * that stay where they are.
 */
export interface StockSegment {
  /** The pieces as every segment has them, with this one's width and the ways that fit on it. */
  readonly problem: PackingProblem;
  /** Steps of length there are; infinite when it is to be ordered. */
  readonly most: number;
  /** Steps of length one sheet cut across may have. */
  readonly mostStrip: number;
  /** Cost of a step of length, and of beginning it at all. */
  readonly cost: number;
  readonly fixed: number;
  /** Pieces side by side, at most. */
  readonly mostStacks: number;
  /** Whether its first and last stacks lie at factory edges. */
  readonly edges: number;
  /** Rolls of one lot look alike: pieces of one group should share it. */
  readonly lot: number;
}

export interface LaidStrip {
  readonly segment: number;
  readonly strip: Strip;
}

/** Money or length of everything beside the film itself: cuts made, less what can be kept. */
export type StripExtra = (segment: StockSegment, strip: Strip) => number;

export interface Layout {
  readonly laid: readonly LaidStrip[];
  readonly cost: number;
}

/** Length taken of each segment. */
export function lengthsOf(segments: readonly StockSegment[], laid: readonly LaidStrip[]): readonly number[] {
  const lengths = segments.map(() => 0);
  for (const { segment, strip } of laid) lengths[segment] = valueAt(lengths, segment) + strip.along;
  return lengths;
}

export function costOf(
  segments: readonly StockSegment[],
  laid: readonly LaidStrip[],
  extra: StripExtra,
): number {
  const lengths = lengthsOf(segments, laid);
  let sum = 0;
  segments.forEach(({ cost, fixed }, segment) => {
    const length = valueAt(lengths, segment);
    if (length > 0) sum += fixed + cost * length;
  });
  for (const { segment, strip } of laid) {
    const stockSegment = segments[segment];
    if (stockSegment !== undefined) sum += extra(stockSegment, strip);
  }
  return sum;
}

/** One film without end that costs by its length alone. */
export function onlyEndless(segments: readonly StockSegment[]): StockSegment | undefined {
  const [only] = segments;
  return only !== undefined &&
    segments.length === 1 &&
    only.most === Number.POSITIVE_INFINITY &&
    only.fixed === 0
    ? only
    : undefined;
}

/** The segment that all these strips lie on, if it is one. */
export function oneSegment(laid: readonly LaidStrip[], taken: ReadonlySet<number>): number | undefined {
  let only: number | undefined;
  for (const index of taken) {
    const segment = laid[index]?.segment;
    if (only !== undefined && segment !== only) return undefined;
    only = segment;
  }
  return only;
}
