import { bitsAt } from '../../quantity';
import { addLonger, holds } from './subset-sum-bits';
import type { Orientation } from '../problem/packing-problem';

/**
 * Stacks of pieces all as wide as their stack, as bit sets of the lengths they reach: one layer a piece,
 * each the one before or that shifted by the piece.
 */
export interface SubsetSumStacks {
  readonly pieces: readonly Orientation[];
  readonly layers: readonly Uint32Array[];
  readonly top: Uint32Array;
}

/** More pieces than this in one stack are not looked at: a chance choice of them is. */
const MOST_PIECES = 56;

/** Layers of what these pieces reach, up to `most` along. @param pieces in the order they are tried */
export function subsetSumStacksOf(pieces: readonly Orientation[], most: number): SubsetSumStacks {
  const words = (most >> 5) + 1;
  /** Lengths beyond `most` share its last word; they are taken out. */
  const last = (most & 31) === 31 ? ~0 : (1 << ((most & 31) + 1)) - 1;
  const used = pieces.slice(0, MOST_PIECES);
  let top = new Uint32Array(words);
  top[0] = 1;
  const layers: Uint32Array[] = [top];
  for (const { along } of used) {
    const next = top.slice();
    addLonger(next, top, along);
    next[words - 1] = bitsAt(next, words - 1) & last;
    layers.push(next);
    top = next;
  }
  return { pieces: used, layers, top };
}

export function reaches({ top }: SubsetSumStacks, along: number): boolean {
  return holds(top, along);
}

/** The pieces of one stack of exactly this length; it must be reached. */
export function exactFillStack({ pieces, layers }: SubsetSumStacks, along: number): readonly Orientation[] {
  const stacked: Orientation[] = [];
  let rest = along;
  for (let index = pieces.length; index > 0 && rest > 0; index -= 1) {
    const below = layers[index - 1];
    const piece = pieces[index - 1];
    if (below === undefined || piece === undefined || holds(below, rest)) continue;
    stacked.push(piece);
    rest -= piece.along;
  }
  return stacked;
}
