import { intAt } from '../../quantity';
import { itemSubsetsOf } from '../exact/item-subsets';
import type { Strip } from './strip-shape';
import { EvenPatterns } from './even-patterns';
import type { StockSegment } from './stock-segment';
import { exactFill } from './exact-fill';

/**
 * Pieces laid exactly once few of them are left; undefined when that takes more than so many steps of length.
 */
type LaidExactly = (left: Int32Array, most: number) => readonly Strip[] | undefined;

/**
 * Many pieces are mostly laid anew as a whole and in patterns; of few a part as often, and by a search with
 * going back.
 */
const MANY = 80;
const SHARES = {
  many: { whole: 0.8, patterns: 0.85, atFirst: 12 },
  few: { whole: 0.5, patterns: 0.25, atFirst: 40 },
} as const;
const [WHOLE_TRIES, PART_TRIES] = [300, 40];
const MOST_AT_END = 300;
const MOST_EXACT = 1100;

/**
 * Exact fill: constructions for pieces that may have been cut from a roll without waste, because their area
 * fills a length to the last step (decision 0019).
 */
export class ExactFillBuilder {
  readonly #segment: StockSegment;
  readonly #exactly: LaidExactly;
  readonly #random: () => number;
  readonly #patterns: EvenPatterns;
  readonly #all: Int32Array;
  readonly #patternsShare: number;
  /** How often all pieces are laid anew. */
  readonly wholeShare: number;
  /** How many times they are before anything else is tried. */
  readonly wholeAtFirst: number;

  constructor(segment: StockSegment, exactly: LaidExactly, random: () => number) {
    this.#segment = segment;
    this.#exactly = exactly;
    this.#random = random;
    this.#patterns = new EvenPatterns(segment);
    this.#all = Int32Array.from(segment.problem.itemTypes, ({ quantity }) => quantity);
    const pieces = this.#all.reduce((sum, count) => sum + count, 0);
    const shares = SHARES[pieces > MANY ? 'many' : 'few'];
    this.wholeAtFirst = shares.atFirst;
    this.#patternsShare = this.#patterns.isOfUse ? shares.patterns : 0;
    this.wholeShare = this.#patterns.isOfUse ? shares.whole : SHARES.few.whole;
  }

  /**
   * All pieces anew: in patterns with perhaps a little waste, or without any; undefined when nothing was
   * found in a few tries.
   */
  whole(): readonly Strip[] | undefined {
    const random = this.#random;
    if (random() < this.#patternsShare) return this.#patterns.next(random);
    return this.#search(this.#all, 2 + 1.5 * random(), WHOLE_TRIES, 1, (left, strips) =>
      left.every((count) => count === 0) ? strips : undefined,
    );
  }

  /**
   * Some pieces anew, in so many steps of length at most: strips without waste, the last few pieces exactly.
   */
  anew(left: Int32Array, most: number): readonly Strip[] | undefined {
    return this.#search(left, 1.2 + 1.8 * this.#random(), PART_TRIES, MOST_AT_END, (rest, strips, along) => {
      const end = itemSubsetsOf(rest) <= MOST_EXACT ? this.#exactly(rest, most - along) : undefined;
      return end && [...strips, ...end];
    });
  }

  #search(
    left: Int32Array,
    reach: number,
    mostTries: number,
    mostAtEnd: number,
    end: (left: Int32Array, strips: readonly Strip[], along: number) => readonly Strip[] | undefined,
  ): readonly Strip[] | undefined {
    const {
      problem: { width, itemTypes, orientations },
      mostStrip,
      mostStacks,
      edges,
    } = this.#segment;
    const longest = itemTypes.reduce(
      (most, { along }, itemType) => (intAt(left, itemType) > 0 ? Math.max(most, along) : most),
      0,
    );
    return exactFill({
      width,
      orientations,
      left,
      mostStrip: Math.min(mostStrip, Math.round(longest * reach)),
      mostStacks,
      edges,
      mostTries,
      random: this.#random,
      mostAtEnd,
      end,
    });
  }
}
