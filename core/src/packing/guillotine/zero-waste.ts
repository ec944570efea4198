import { selectionsOf } from '../exact/selections';
import type { Band } from './band-shape';
import { EvenStrips } from './even-strips';
import type { Space } from './space';
import { withoutWaste } from './without-waste';

/**
 * Pieces laid exactly once few of them are left; undefined when that takes more than so many steps of length.
 */
export type LaidExactly = (left: Int32Array, most: number) => readonly Band[] | undefined;

/**
 * Many pieces are mostly laid anew as a whole and in strips; of few a part as often, and by a search with
 * going back.
 */
const MANY = 80;
const SHARES = {
  many: { whole: 0.8, strips: 0.85, atFirst: 12 },
  few: { whole: 0.5, strips: 0.25, atFirst: 40 },
} as const;
const [WHOLE_TRIES, PART_TRIES] = [300, 40];
const MOST_AT_END = 300;
const MOST_EXACT = 1100;

/**
 * Ways to lay pieces that were perhaps cut from a roll without waste: their area fills a length to the last
 * step.
 */
export class ZeroWaste {
  readonly #space: Space;
  readonly #exactly: LaidExactly;
  readonly #random: () => number;
  readonly #strips: EvenStrips;
  readonly #all: Int32Array;
  readonly #stripsShare: number;
  /** How often all pieces are laid anew. */
  readonly wholeShare: number;
  /** How many times they are before anything else is tried. */
  readonly wholeAtFirst: number;

  constructor(space: Space, exactly: LaidExactly, random: () => number) {
    this.#space = space;
    this.#exactly = exactly;
    this.#random = random;
    this.#strips = new EvenStrips(space);
    this.#all = Int32Array.from(space.problem.kinds, ({ quantity }) => quantity);
    const pieces = this.#all.reduce((sum, own) => sum + own, 0);
    const shares = SHARES[pieces > MANY ? 'many' : 'few'];
    this.wholeAtFirst = shares.atFirst;
    this.#stripsShare = this.#strips.isOfUse ? shares.strips : 0;
    this.wholeShare = this.#strips.isOfUse ? shares.whole : SHARES.few.whole;
  }

  /**
   * All pieces anew: in strips with perhaps a little waste, or without any; undefined when nothing was found
   * in a few tries.
   */
  whole(): readonly Band[] | undefined {
    const random = this.#random;
    if (random() < this.#stripsShare) return this.#strips.next(random);
    return this.#search(this.#all, 2 + 1.5 * random(), WHOLE_TRIES, 1, (left, bands) =>
      left.every((own) => own === 0) ? bands : undefined,
    );
  }

  /**
   * Some pieces anew, in so many steps of length at most: bands without waste, the last few pieces exactly.
   */
  anew(left: Int32Array, most: number): readonly Band[] | undefined {
    return this.#search(left, 1.2 + 1.8 * this.#random(), PART_TRIES, MOST_AT_END, (rest, bands, along) => {
      const end = selectionsOf(rest) <= MOST_EXACT ? this.#exactly(rest, most - along) : undefined;
      return end && [...bands, ...end];
    });
  }

  #search(
    left: Int32Array,
    reach: number,
    mostTries: number,
    mostAtEnd: number,
    end: (left: Int32Array, bands: readonly Band[], along: number) => readonly Band[] | undefined,
  ): readonly Band[] | undefined {
    const {
      problem: { width, kinds, lies },
      mostBand,
      mostColumns,
      edges,
    } = this.#space;
    const longest = kinds.reduce(
      (most, { along }, kind) => ((left[kind] ?? 0) > 0 ? Math.max(most, along) : most),
      0,
    );
    return withoutWaste({
      width,
      lies,
      left,
      mostBand: Math.min(mostBand, Math.round(longest * reach)),
      mostColumns,
      edges,
      mostTries,
      random: this.#random,
      mostAtEnd,
      end,
    });
  }
}
