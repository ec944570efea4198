import { bitsAt } from '../../quantity';

/** Whether a row of lengths holds one. */
export function holds(bits: Uint32Array, along: number): boolean {
  return ((bitsAt(bits, along >> 5) >>> (along & 31)) & 1) === 1;
}

/**
 * One step of the subset-sum dynamic programme on a bitset: adds to one row every length of another made
 * longer by a piece. Both may be the same row: then the piece may join any stack. Linear in the words of the
 * row.
 * @source textbook: subset sum by bitset
 * @param from lengths below; bits shifted beyond the row are lost
 * @param along of the piece, over 0
 */
export function addLonger(into: Uint32Array, from: Uint32Array, along: number): void {
  const [skip, shift] = [along >> 5, along & 31];
  for (let word = into.length - 1; word >= skip; word -= 1) {
    const low = bitsAt(from, word - skip);
    const moved =
      shift === 0 ? low : (low << shift) | (word > skip ? bitsAt(from, word - skip - 1) >>> (32 - shift) : 0);
    into[word] = bitsAt(into, word) | moved;
  }
}
