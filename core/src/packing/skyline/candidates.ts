import { floatAt } from '../../quantity';

/** Scores are ranked as whole numbers that end in the number of the candidate. */
const SLOTS = 2 ** 17;
const FINEST = 2 ** 35;
export const NO_HASH = -1;

/**
 * The candidate placements of one beam step, by number, and the state hashes that recognise equal skylines.
 */
export interface Candidates {
  count: number;
  readonly row: Int32Array;
  readonly at: Int32Array;
  readonly orientation: Int32Array;
  readonly x: Int32Array;
  readonly waste: Float64Array;
  readonly priority: Float64Array;
  readonly score: Float64Array;
  /** Of skylines kept, to know the same again. */
  readonly marks: Float64Array;
}

export function roomForCandidates(most: number, skylines: number): Candidates {
  return {
    count: 0,
    row: new Int32Array(most),
    at: new Int32Array(most),
    orientation: new Int32Array(most),
    x: new Int32Array(most),
    waste: new Float64Array(most),
    priority: new Float64Array(most),
    score: new Float64Array(most),
    marks: new Float64Array(2 ** Math.ceil(Math.log2(2 * skylines + 2))),
  };
}

/** Whether a mark is among the marks; from now on it is. Half of the room for marks stays empty. */
export function isKnown(marks: Float64Array, mark: number): boolean {
  const last = marks.length - 1;
  let at = Math.imul(Math.floor(mark * 16) | 0, 0x9e3779b1) & last;
  for (; marks[at] !== NO_HASH; at = (at + 1) & last) if (marks[at] === mark) return true;
  marks[at] = mark;
  return false;
}

/**
 * The numbers of so many best offers, best first. A row of plain numbers is put in order several times faster
 * than one with a rule.
 */
export function bestFirst({ count, score }: Candidates, keys: Float64Array, wanted: number): Float64Array {
  let [least, most] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (let slot = 0; slot < count; slot += 1) {
    const slotScore = floatAt(score, slot);
    if (slotScore < least) least = slotScore;
    if (slotScore > most) most = slotScore;
  }
  const scale = most > least ? FINEST / (most - least) : 0;
  for (let slot = 0; slot < count; slot += 1)
    keys[slot] = Math.floor((floatAt(score, slot) - least) * scale) * SLOTS + slot;
  return keys.subarray(0, count).sort().subarray(0, wanted);
}

export const slotOf = (key: number): number => key % SLOTS;
