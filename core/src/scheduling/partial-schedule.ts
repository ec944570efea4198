import { intAt, valueAt, floatAt } from '../quantity';

/**
 * The partial-schedule cache: one order decoded, with the state before each place, so that another order with
 * the same prefix resumes from there.
 */
export class PartialSchedule {
  readonly order: Int32Array;
  readonly places: Int32Array;
  readonly starts: Int32Array;
  /** In flat rows, as many to a step as it needs. */
  readonly people: Int32Array;
  readonly floors: Int32Array;
  /** When each person, unit of a tool and room is free again. */
  readonly free: Int32Array;
  /** Minutes that people have stood about. */
  readonly lost: Int32Array;
  /** Working minutes by which starts lie later than they could, in sum. */
  readonly late: Float64Array;
  /** The finish that what is placed cannot beat. */
  readonly reach: Int32Array;
  /** In threes: a step put off, by which step, to when. */
  readonly putOff: number[] = [];

  readonly #width: number;

  /** @param width people, units of tools and rooms @param crew people asked for by all steps together */
  constructor(count: number, width: number, crew: number) {
    this.#width = width;
    this.order = new Int32Array(count).fill(-1);
    this.places = new Int32Array(count);
    this.starts = new Int32Array(count);
    this.people = new Int32Array(crew);
    this.floors = new Int32Array(count);
    this.free = new Int32Array(width * (count + 1));
    this.lost = new Int32Array(count + 1);
    this.late = new Float64Array(count + 1);
    this.reach = new Int32Array(count + 1);
  }

  /**
   * Takes over the prefix an order has in common with one known.
   * @param floors no step starts before
   * @returns the place from which it has to be decoded
   */
  copyPrefixOf(known: PartialSchedule, order: Int32Array, floors: Int32Array): number {
    const count = order.length;
    let first = 0;
    while (first < count && order[first] === known.order[first]) first += 1;
    first = known.#firstPlacePutOff(first);
    this.order.set(order);
    for (let index = 0; index < count; index += 1) this.places[intAt(order, index)] = index;
    this.floors.set(floors);
    this.starts.set(known.starts);
    this.people.set(known.people);
    this.putOff.length = 0;
    for (let entry = 0; entry < known.putOff.length; entry += 3) {
      const step = valueAt(known.putOff, entry);
      const to = valueAt(known.putOff, entry + 2);
      if (intAt(known.places, valueAt(known.putOff, entry + 1)) >= first) continue;
      this.#copyPutOff(known, entry);
      if (to > intAt(this.floors, step)) this.floors[step] = to;
    }
    this.takeOver(known, first);
    return first;
  }

  /** The place from which on an order is the same as this one to its end. */
  commonSuffixFrom(order: Int32Array): number {
    let from = order.length;
    while (from > 0 && order[from - 1] === this.order[from - 1]) from -= 1;
    return from;
  }

  /**
   * From a place on the schedule is that of one known, if all people and resources are free again at the same
   * minutes: then nothing need be decoded.
   * @returns whether it is
   */
  copySuffixOf(known: PartialSchedule, index: number): boolean {
    const row = index * this.#width;
    for (let holder = row; holder < row + this.#width; holder += 1)
      if (this.free[holder] !== known.free[holder]) return false;
    this.free.set(known.free.subarray(row), row);
    for (let place = index; place < known.lost.length; place += 1) this.#takeSums(known, place);
    for (let entry = 0; entry < known.putOff.length; entry += 3)
      if (intAt(known.places, valueAt(known.putOff, entry + 1)) >= index) this.#copyPutOff(known, entry);
    return true;
  }

  /** What was known before a place of an order that begins alike. */
  takeOver(known: PartialSchedule, index: number): void {
    const row = index * this.#width;
    for (let holder = row; holder < row + this.#width; holder += 1)
      this.free[holder] = intAt(known.free, holder);
    this.#takeSums(known, index);
  }

  /** The same before all places up to one. */
  copyUntil(known: PartialSchedule, until: number): void {
    this.free.set(known.free.subarray(0, until * this.#width));
    for (let index = 0; index < until; index += 1) this.#takeSums(known, index);
  }

  #copyPutOff({ putOff }: PartialSchedule, entry: number): void {
    this.putOff.push(valueAt(putOff, entry), valueAt(putOff, entry + 1), valueAt(putOff, entry + 2));
  }

  #takeSums(known: PartialSchedule, index: number): void {
    this.lost[index] = intAt(known.lost, index);
    this.late[index] = floatAt(known.late, index);
    this.reach[index] = intAt(known.reach, index);
  }

  /**
   * Steps before a place may have been put off by others behind it: then only what lies before those stands.
   */
  #firstPlacePutOff(until: number): number {
    let first = until;
    for (let isLess = true; isLess;) {
      isLess = false;
      for (let entry = 0; entry < this.putOff.length; entry += 3) {
        const place = intAt(this.places, valueAt(this.putOff, entry));
        const by = intAt(this.places, valueAt(this.putOff, entry + 1));
        if (place < first && by >= first) {
          first = place;
          isLess = true;
        }
      }
    }
    return first;
  }
}
