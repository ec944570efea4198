/**
 * The value at an index that must be in the list: a search that asks past the end is wrong, and a 0 in its
 * place would hide it.
 *
 * @throws RangeError with the index and the length.
 */
export function valueAt<T>(list: ArrayLike<T>, index: number): T {
  const value = list[index];
  return value === undefined ? refuseIndex(list, index) : value;
}

/**
 * `valueAt` of one typed array. Each kind of array has a function of its own, because one that meets many
 * kinds is not compiled to a plain load: the beam took 2.5 times as long.
 *
 * @throws RangeError with the index and the length.
 */
export function floatAt(list: Float64Array, index: number): number {
  const value = list[index];
  return value === undefined ? refuseIndex(list, index) : value;
}

/** `floatAt` of whole numbers. @throws RangeError with the index and the length. */
export function intAt(list: Int32Array, index: number): number {
  const value = list[index];
  return value === undefined ? refuseIndex(list, index) : value;
}

/** `floatAt` of small counts. @throws RangeError with the index and the length. */
export function countAt(list: Uint16Array, index: number): number {
  const value = list[index];
  return value === undefined ? refuseIndex(list, index) : value;
}

/** `floatAt` of words of bits. @throws RangeError with the index and the length. */
export function bitsAt(list: Uint32Array, index: number): number {
  const value = list[index];
  return value === undefined ? refuseIndex(list, index) : value;
}

function refuseIndex({ length }: ArrayLike<unknown>, index: number): never {
  throw new RangeError(`no value at ${index} of ${length}`);
}
