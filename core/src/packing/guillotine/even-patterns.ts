import type { Strip } from './strip-shape';
import { partitionBySwaps } from './partition-by-swaps';
import type { StockSegment } from './stock-segment';
import { type StripPattern, byWidth, fullSets, patterns } from './strip-patterns';

interface Tried {
  readonly patterns: readonly StripPattern[];
  along: number;
  changes: number;
}

const MOST_WIDTHS = 30;
const FEWEST_A_WIDTH = 4;
const FIRST_CHANGES = 10_000;
const MOST_CHANGES = 640_000;
const [HOT, COLD] = [12, 0.4];
/** Patterns that are tried before the best of them are tried for longer, and how often after. */
const FEWEST_TRIED = 24;
const LONGER_SHARE = 0.25;
const MOST_LONGER = 12;

/**
 * Layouts with little or no waste of many pieces of few widths: a vertex of a linear programme that takes
 * pieces as infinitely divisible, then number partitioning of the pieces over its stacks. Many vertices are
 * tried briefly, the best of them for longer (decision 0019).
 */
export class EvenPatterns {
  readonly #widths;
  readonly #sets: readonly (readonly number[])[];
  readonly #segment: StockSegment;
  readonly #tried: Tried[] = [];

  /** @param segment the only one, all whose pieces lie one way */
  constructor(segment: StockSegment) {
    const { problem, mostStacks } = segment;
    this.#segment = segment;
    this.#widths = byWidth(
      problem.orientations,
      Int32Array.from(problem.itemTypes, ({ quantity }) => quantity),
    );
    const pieces = this.#widths.reduce((sum, patternWidth) => sum + patternWidth.pieces.length, 0);
    const isOf = this.#widths.length <= MOST_WIDTHS && pieces >= FEWEST_A_WIDTH * this.#widths.length;
    this.#sets = isOf ? (fullSets(problem.width, this.#widths, mostStacks) ?? []) : [];
  }

  /** Whether there is anything to try. */
  get isOfUse(): boolean {
    return this.#sets.length > 0;
  }

  /** All pieces in strips; undefined when these patterns hold nothing of use. */
  next(random: () => number): readonly Strip[] | undefined {
    const { problem, mostStrip, edges } = this.#segment;
    const isLonger = this.#tried.length >= FEWEST_TRIED && random() < LONGER_SHARE;
    const again = isLonger ? this.#leastTried() : undefined;
    const chosen =
      again?.patterns ?? patterns(problem.width, this.#widths, this.#sets, edges, mostStrip, random);
    if (chosen === undefined) return undefined;
    const changes = again === undefined ? FIRST_CHANGES : Math.min(MOST_CHANGES, 4 * again.changes);
    const shared = partitionBySwaps(this.#widths, chosen, edges, { changes, first: HOT, last: COLD }, random);
    const along = shared?.along ?? Number.POSITIVE_INFINITY;
    if (again === undefined) this.#tried.push({ patterns: chosen, along, changes });
    else {
      again.along = Math.min(again.along, along);
      again.changes = changes;
    }
    this.#tried.sort((a, b) => a.along - b.along);
    return shared === undefined || shared.strips.some((strip) => strip.along > mostStrip)
      ? undefined
      : shared.strips;
  }

  /** Of the best, one that was tried for the least time. */
  #leastTried(): Tried | undefined {
    return this.#tried
      .slice(0, MOST_LONGER)
      .reduce<Tried | undefined>(
        (found, candidate) => (found === undefined || candidate.changes < found.changes ? candidate : found),
        undefined,
      );
  }
}
