import { intAt, valueAt, floatAt } from '../../quantity';

/**
 * Sub-multisets of the pieces, numbered in mixed radix for a dynamic programme: 0 is none, the last is all,
 * and a sum of numbers is the union. Their count is the product of the quantities, each plus one.
 * @source textbook: dynamic programming over subsets
 */
export class ItemSubsets {
  readonly count: number;
  /** Of the subset last asked for by `partsOf`. */
  readonly parts: Int32Array;
  readonly #itemTypes: number;
  readonly #radix: Int32Array;
  /** How many of each item type, subset by subset. */
  readonly #digits: Uint8Array | Uint16Array;
  /** Of each subset, the first item type it has. */
  readonly #first: Uint8Array;
  /**
   * Each count of a subset in a field of bits of its own, with a bit above it that a count too large takes
   * away.
   */
  readonly #packed: Int32Array;
  readonly #above: number;
  readonly #whole: number;

  constructor(quantities: readonly number[]) {
    const itemTypes = quantities.length;
    const { radix, fields, count, above } = fieldsOf(quantities);
    this.count = count;
    this.parts = new Int32Array(count);
    this.#itemTypes = itemTypes;
    this.#radix = radix;
    this.#digits =
      Math.max(0, ...quantities) < 256
        ? new Uint8Array(count * itemTypes)
        : new Uint16Array(count * itemTypes);
    this.#first = new Uint8Array(count);
    this.#packed = new Int32Array(count);
    const digits = new Int32Array(itemTypes);
    for (let state = 1; state < count; state += 1) {
      for (let itemType = 0; itemType < itemTypes; itemType += 1) {
        if (intAt(digits, itemType) < valueAt(quantities, itemType)) {
          digits[itemType] = intAt(digits, itemType) + 1;
          break;
        }
        digits[itemType] = 0;
      }
      let first = 0;
      while (digits[first] === 0) first += 1;
      this.#digits.set(digits, state * itemTypes);
      this.#first[state] = first;
      this.#packed[state] = intAt(this.#packed, state - intAt(radix, first)) + (1 << valueAt(fields, first));
    }
    this.#above = above;
    this.#whole = above + intAt(this.#packed, count - 1);
  }

  get all(): number {
    return this.count - 1;
  }

  /** Of every subset, what its pieces come to. @param values of one piece of each item type */
  sums(values: readonly number[]): Float64Array {
    const sums = new Float64Array(this.count);
    for (let state = 1; state < this.count; state += 1)
      sums[state] = floatAt(sums, this.withoutFirst(state)) + valueAt(values, this.firstOf(state));
    return sums;
  }

  /** How many of each item type. */
  digits(state: number): readonly number[] {
    return [...this.#digits.subarray(state * this.#itemTypes, (state + 1) * this.#itemTypes)];
  }

  /** The first item type of which it has a piece; the subset without one of those. */
  firstOf(state: number): number {
    return valueAt(this.#first, state);
  }

  withoutFirst(state: number): number {
    return state - intAt(this.#radix, valueAt(this.#first, state));
  }

  /** One piece of an item type. */
  one(itemType: number): number {
    return intAt(this.#radix, itemType);
  }

  /** Whether there are pieces enough for both at once. */
  areApart(one: number, other: number): boolean {
    return (
      ((this.#whole - intAt(this.#packed, one) - intAt(this.#packed, other)) & this.#above) === this.#above
    );
  }

  /**
   * Writes to `parts` those with at least one piece of the first item type there is, the whole among them:
   * each way of parting a subset in two is met once.
   * @returns how many
   */
  partsOf(state: number): number {
    const { parts } = this;
    const base = state * this.#itemTypes;
    const first = valueAt(this.#first, state);
    let count = 1;
    parts[0] = intAt(this.#radix, first);
    for (let itemType = first; itemType < this.#itemTypes; itemType += 1) {
      const most = (this.#digits[base + itemType] as number) - (itemType === first ? 1 : 0);
      const one = intAt(this.#radix, itemType);
      const before = count;
      for (let copies = 1; copies <= most; copies += 1)
        for (let index = 0; index < before; index += 1) {
          parts[count] = intAt(parts, index) + copies * one;
          count += 1;
        }
    }
    return count;
  }
}

/** How subsets are numbered, and where each count lies in a packed one: with a bit above it. */
function fieldsOf(quantities: readonly number[]): {
  readonly radix: Int32Array;
  readonly fields: readonly number[];
  readonly count: number;
  readonly above: number;
} {
  const radix = new Int32Array(quantities.length);
  const fields: number[] = [];
  let [count, bits, above] = [1, 0, 0];
  quantities.forEach((quantity, itemType) => {
    radix[itemType] = count;
    count *= quantity + 1;
    fields.push(bits);
    if (quantity === 0) return;
    bits += 32 - Math.clz32(quantity);
    above |= 1 << bits;
    bits += 1;
  });
  return { radix, fields, count, above };
}

/** The number of different subsets that can be made from so many pieces of each item type. */
export function itemSubsetsOf(left: ArrayLike<number>): number {
  let product = 1;
  for (let itemType = 0; itemType < left.length; itemType += 1) product *= valueAt(left, itemType) + 1;
  return product;
}
