import { intAt, floatAt, valueAt } from '../../quantity';

/** Room for so many boxes of each subset at first; it grows. */
const BOXES_AT_FIRST = 8;
const MOST_AT_FIRST = 1 << 14;

/**
 * For each subset the Pareto front of the boxes it fits into (none within another), least waste first. Filled
 * subset by subset, in order; lengths in steps.
 */
export class ParetoBoxes {
  across: Int32Array;
  along: Int32Array;
  /** What the pieces of a box leave uncovered. */
  waste: Float64Array;
  /** The subset laid first; of a piece alone the way it lies. */
  part: Int32Array;
  /** How the two parts lie. */
  way: Uint8Array;
  /** Where the boxes of a subset begin; they end where those of the next begin. */
  readonly start: Int32Array;
  #filled = 0;
  #end = 0;

  constructor(subsets: number) {
    const room = Math.min(MOST_AT_FIRST, BOXES_AT_FIRST * subsets);
    this.start = new Int32Array(subsets + 1);
    this.across = new Int32Array(room);
    this.along = new Int32Array(room);
    this.waste = new Float64Array(room);
    this.part = new Int32Array(room);
    this.way = new Uint8Array(room);
  }

  /** Whether a box of the subset now being filled lies within this one. */
  isBeaten(across: number, along: number): boolean {
    for (let at = intAt(this.start, this.#filled); at < this.#end; at += 1)
      if (intAt(this.across, at) <= across && intAt(this.along, at) <= along) return true;
    return false;
  }

  /** One more box of the subset now being filled; those it lies within go. */
  put(across: number, along: number, waste: number, part: number, way: number): void {
    const from = intAt(this.start, this.#filled);
    let to = from;
    for (let at = from; at < this.#end; at += 1) {
      if (intAt(this.across, at) >= across && intAt(this.along, at) >= along) continue;
      if (to < at) this.#move(at, to);
      to += 1;
    }
    if (to === this.across.length) this.#grow();
    this.#end = to + 1;
    for (; to > from && floatAt(this.waste, to - 1) > waste; to -= 1) this.#move(to - 1, to);
    this.across[to] = across;
    this.along[to] = along;
    this.waste[to] = waste;
    this.part[to] = part;
    this.way[to] = way;
  }

  /** The subset is done: the next one is filled from here on. */
  close(): void {
    this.#filled += 1;
    this.start[this.#filled] = this.#end;
  }

  #move(from: number, to: number): void {
    this.across[to] = intAt(this.across, from);
    this.along[to] = intAt(this.along, from);
    this.waste[to] = floatAt(this.waste, from);
    this.part[to] = intAt(this.part, from);
    this.way[to] = valueAt(this.way, from);
  }

  #grow(): void {
    const twice = this.across.length * 2;
    const wider = <ItemType extends Int32Array | Float64Array | Uint8Array>(
      made: ItemType,
      from: ItemType,
    ): ItemType => {
      made.set(from);
      return made;
    };
    this.across = wider(new Int32Array(twice), this.across);
    this.along = wider(new Int32Array(twice), this.along);
    this.waste = wider(new Float64Array(twice), this.waste);
    this.part = wider(new Int32Array(twice), this.part);
    this.way = wider(new Uint8Array(twice), this.way);
  }
}
