import { intAt, floatAt } from '../../quantity';

/**
 * For each subset the Pareto front of the ways its pieces lie in stacks side by side, by width,
 * length, stacks that want an edge, stacks in all. Filled subset by subset, in order.
 */
export class ParetoStacks {
  across = new Int32Array(1 << 10);
  along = new Float64Array(1 << 10);
  edge = new Int32Array(1 << 10);
  count = new Int32Array(1 << 10);
  /** Where the ways of a subset begin; they end where those of the next begin. */
  readonly start: Int32Array;
  #filled = 0;
  #end = 0;

  constructor(subsets: number) {
    this.start = new Int32Array(subsets + 1);
  }

  /**
   * One more way for the subset now being filled, unless another is as good in all; those that it beats
   * go.
   */
  put(across: number, along: number, edge: number, count: number): void {
    const from = intAt(this.start, this.#filled);
    for (let at = from; at < this.#end; at += 1)
      if (
        intAt(this.across, at) <= across &&
        floatAt(this.along, at) <= along &&
        intAt(this.edge, at) <= edge &&
        intAt(this.count, at) <= count
      )
        return;
    let to = from;
    for (let at = from; at < this.#end; at += 1) {
      if (
        intAt(this.across, at) >= across &&
        floatAt(this.along, at) >= along &&
        intAt(this.edge, at) >= edge &&
        intAt(this.count, at) >= count
      )
        continue;
      if (to < at)
        this.#set(
          to,
          intAt(this.across, at),
          floatAt(this.along, at),
          intAt(this.edge, at),
          intAt(this.count, at),
        );
      to += 1;
    }
    if (to === this.across.length) this.#grow();
    this.#set(to, across, along, edge, count);
    this.#end = to + 1;
  }

  /** The subset is done: the next one is filled from here on. */
  close(): void {
    this.#filled += 1;
    this.start[this.#filled] = this.#end;
  }

  shortestOf(subset: number): number {
    let least = Number.MAX_SAFE_INTEGER;
    for (let at = intAt(this.start, subset); at < intAt(this.start, subset + 1); at += 1)
      least = Math.min(least, floatAt(this.along, at));
    return least;
  }

  /** Whether one of its ways is no wider, longer and so on. */
  fits(subset: number, across: number, along: number, edge: number, count: number): boolean {
    for (let at = intAt(this.start, subset); at < intAt(this.start, subset + 1); at += 1)
      if (
        intAt(this.across, at) <= across &&
        floatAt(this.along, at) <= along &&
        intAt(this.edge, at) <= edge &&
        intAt(this.count, at) <= count
      )
        return true;
    return false;
  }

  #set(at: number, across: number, along: number, edge: number, count: number): void {
    this.across[at] = across;
    this.along[at] = along;
    this.edge[at] = edge;
    this.count[at] = count;
  }

  #grow(): void {
    const twice = this.across.length * 2;
    const wider = <ItemType extends Int32Array | Float64Array>(made: ItemType, from: ItemType): ItemType => {
      made.set(from);
      return made;
    };
    this.across = wider(new Int32Array(twice), this.across);
    this.along = wider(new Float64Array(twice), this.along);
    this.edge = wider(new Int32Array(twice), this.edge);
    this.count = wider(new Int32Array(twice), this.count);
  }
}
