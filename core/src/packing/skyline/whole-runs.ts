import type { PackingProblem } from '../problem/packing-problem';

const MOST_DIFFERENT = 600;
const MOSTLY = 0.5;
const FIRST_SKYLINES = 4;
const MOST_SKYLINES = 4000;
const WIDER = 2;
/**
 * How often a run goes for a layout without waste (the first one always does), and how often another aims
 * well under the best.
 */
const FOR_PERFECT = 0.6;
const FOR_LOW = 0.4;

/** Whether hardly two pieces are alike and they are few enough to be laid anew as a whole. */
export function isMostlyDifferent({ itemTypes }: PackingProblem): boolean {
  const count = itemTypes.reduce((sum, { quantity }) => sum + quantity, 0);
  return count <= MOST_DIFFERENT && itemTypes.filter(({ quantity }) => quantity > 0).length >= MOSTLY * count;
}

/**
 * Whether edges that meet may show the way through the whole job: hardly two pieces are alike, and pieces
 * that fill a length to the last step were perhaps cut from it.
 */
export function mayBePerfect(problem: PackingProblem, bound: number): boolean {
  return isMostlyDifferent(problem) && problem.area === bound * problem.width;
}

interface WholeRun {
  readonly isPerfect: boolean;
  readonly skylines: number;
  /** Only a shorter layout is of use: with little waste to give away bad beginnings end early. */
  readonly most: number;
}

/**
 * Runs over all pieces of a job that may be laid without waste: how wide, and how short a layout they look
 * for. A run that found nothing makes the next of its item type wider.
 */
export class WholeRuns {
  #isFirst = true;
  readonly #skylines = { perfect: FIRST_SKYLINES, better: FIRST_SKYLINES };

  constructor(
    private readonly bound: number,
    private readonly random: () => number,
  ) {}

  next(best: number): WholeRun {
    const isPerfect = this.#isFirst || this.random() < FOR_PERFECT;
    this.#isFirst = false;
    const isLow = !isPerfect && this.random() < FOR_LOW;
    return {
      isPerfect,
      skylines: isPerfect ? this.#skylines.perfect : this.#skylines.better,
      most: isPerfect
        ? this.bound + 1
        : isLow
          ? this.bound + 1 + Math.floor(this.random() * (best - this.bound))
          : best,
    };
  }

  foundNothing({ isPerfect }: WholeRun): void {
    const itemType = isPerfect ? 'perfect' : 'better';
    this.#skylines[itemType] = Math.min(MOST_SKYLINES, this.#skylines[itemType] * WIDER);
  }
}
