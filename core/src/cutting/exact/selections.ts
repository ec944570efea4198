/** Every selection that can be made from so many pieces of each kind, by number: 0 is none, the last is all. A sum of numbers is the selection of both. */
export class Selections {
  readonly count: number;
  /** What all pieces of a selection cover. */
  readonly area: Float64Array;
  /** Of the selection last asked for by `partsOf`. */
  readonly parts: Int32Array;
  readonly #quantities: readonly number[];
  readonly #radix: readonly number[];

  /** @param sizes what one piece of each kind covers */
  constructor(quantities: readonly number[], sizes: readonly number[]) {
    const radix: number[] = [];
    let count = 1;
    for (const quantity of quantities) { radix.push(count); count *= quantity + 1; }
    this.count = count;
    this.#quantities = quantities;
    this.#radix = radix;
    this.parts = new Int32Array(count);
    this.area = new Float64Array(count);
    for (let state = 0; state < count; state += 1) this.area[state] = this.digits(state).reduce((sum, digit, at) => sum + digit * (sizes[at] ?? 0), 0);
  }

  get all(): number {
    return this.count - 1;
  }

  /** How many of each kind. */
  digits(state: number): readonly number[] {
    return this.#quantities.map((quantity, at) => Math.floor(state / (this.#radix[at] ?? 1)) % (quantity + 1));
  }

  /** One piece of a kind. */
  one(kind: number): number {
    return this.#radix[kind] ?? 0;
  }

  /** Writes to `parts` those with at least one piece of the first kind there is, the whole among them: each way of parting a selection in two is met once. @returns how many */
  partsOf(state: number): number {
    const own = this.digits(state);
    const first = own.findIndex((digit) => digit > 0);
    const parts = this.parts;
    let count = 1;
    parts[0] = this.one(first);
    own.forEach((digit, at) => {
      const most = at === first ? digit - 1 : digit;
      const before = count;
      for (let copies = 1; copies <= most; copies += 1) for (let index = 0; index < before; index += 1) { parts[count] = (parts[index] ?? 0) + copies * this.one(at); count += 1; }
    });
    return count;
  }
}

/** The number of different selections that can be made from so many pieces of each kind. */
export function selectionsOf(left: ArrayLike<number>): number {
  let product = 1;
  for (let kind = 0; kind < left.length; kind += 1) product *= (left[kind] ?? 0) + 1;
  return product;
}
