import type { Band } from './band-shape';
import { sharedOut } from './shared-out';
import type { Space } from './space';
import { type Strip, byWidth, fullSets, strips } from './strips';

interface Tried {
  readonly strips: readonly Strip[];
  along: number;
  changes: number;
}

const MOST_WIDTHS = 30;
const FEWEST_A_WIDTH = 4;
const FIRST_CHANGES = 10_000;
const MOST_CHANGES = 640_000;
const [HOT, COLD] = [12, 0.4];
/** Strips that are tried before the best of them are tried for longer, and how often after. */
const FEWEST_TRIED = 24;
const LONGER_SHARE = 0.25;
const MOST_LONGER = 12;

/**
 * Layouts without waste, or nearly, of many pieces of few widths: strips that would hold all pieces were
 * those fine as sand, then the pieces shared out over their columns. Many strips are tried shortly, the best
 * of them for longer.
 */
export class EvenStrips {
  readonly #widths;
  readonly #sets: readonly (readonly number[])[];
  readonly #space: Space;
  readonly #tried: Tried[] = [];

  /** @param space the only one, all whose pieces lie one way */
  constructor(space: Space) {
    const { problem, mostColumns } = space;
    this.#space = space;
    this.#widths = byWidth(
      problem.lies,
      Int32Array.from(problem.kinds, ({ quantity }) => quantity),
    );
    const pieces = this.#widths.reduce((sum, own) => sum + own.pieces.length, 0);
    const isOf = this.#widths.length <= MOST_WIDTHS && pieces >= FEWEST_A_WIDTH * this.#widths.length;
    this.#sets = isOf ? (fullSets(problem.width, this.#widths, mostColumns) ?? []) : [];
  }

  /** Whether there is anything to try. */
  get isOfUse(): boolean {
    return this.#sets.length > 0;
  }

  /** All pieces in bands; undefined when these strips hold nothing of use. */
  next(random: () => number): readonly Band[] | undefined {
    const { problem, mostBand, edges } = this.#space;
    const isLonger = this.#tried.length >= FEWEST_TRIED && random() < LONGER_SHARE;
    const again = isLonger ? this.#leastTried() : undefined;
    const made = again?.strips ?? strips(problem.width, this.#widths, this.#sets, edges, mostBand, random);
    if (made === undefined) return undefined;
    const changes = again === undefined ? FIRST_CHANGES : Math.min(MOST_CHANGES, 4 * again.changes);
    const shared = sharedOut(this.#widths, made, edges, { changes, first: HOT, last: COLD }, random);
    const along = shared?.along ?? Number.POSITIVE_INFINITY;
    if (again === undefined) this.#tried.push({ strips: made, along, changes });
    else {
      again.along = Math.min(again.along, along);
      again.changes = changes;
    }
    this.#tried.sort((a, b) => a.along - b.along);
    return shared === undefined || shared.bands.some((band) => band.along > mostBand)
      ? undefined
      : shared.bands;
  }

  /** Of the best, one that was tried for the least time. */
  #leastTried(): Tried | undefined {
    return this.#tried
      .slice(0, MOST_LONGER)
      .reduce<Tried | undefined>(
        (found, own) => (found === undefined || own.changes < found.changes ? own : found),
        undefined,
      );
  }
}
