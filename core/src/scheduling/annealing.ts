import { intAt } from '../quantity';
import type { Built } from './serial-schedule-generator';
import { ListDecoder } from './list-decoder';
import type { Network } from './network';
import { BlockReinsertion } from './block-reinsertion';

/** Warmth at the beginning and the end of one cooling, in working minutes that a change may lose. */
const [WARM, COLD] = [6, 0.2];
/** Most changes go no farther than so many places. */
const [NEAR, OFTEN_NEAR] = [4, 0.75];
/** How often steps that may not lie long after one another go elsewhere together. */
const STREWN = 0.1;
/** Moves drawn until one changes the order. */
const TRIES = 20;

/**
 * Cools one plan: steps change their place in the order, with what must come before or after them; what loses
 * little stays at first, in the end only what wins.
 * @source simulated annealing over orders, own form
 */
export class Annealing {
  readonly #network: Network;
  readonly #decoder: ListDecoder;
  readonly #random: () => number;
  readonly #order: Int32Array;
  readonly #last: Int32Array;
  readonly #moves: Uint8Array;
  readonly #blockReinsertion: BlockReinsertion;
  #cost = Number.POSITIVE_INFINITY;
  #done = 0;
  #length = 0;
  #best: Built | undefined;

  constructor(network: Network, earliest: ArrayLike<number>, random: () => number) {
    this.#network = network;
    this.#random = random;
    this.#decoder = new ListDecoder(network, earliest);
    this.#order = new Int32Array(network.count);
    this.#last = new Int32Array(network.count);
    this.#moves = new Uint8Array(network.count);
    this.#blockReinsertion = new BlockReinsertion(network, random);
  }

  /** Begins a cooling of so many changes from the order of a plan; whoever can soonest does each step. */
  begin({ starts }: Built, length: number): void {
    const { minutes } = this.#network;
    this.#order.set(
      Int32Array.from(starts.keys()).sort(
        (a, b) => intAt(starts, a) - intAt(starts, b) || intAt(minutes, a) - intAt(minutes, b),
      ),
    );
    this.#best = undefined;
    [this.#done, this.#length] = [0, length];
    this.#cost = this.#decoder.decode(this.#order, Number.POSITIVE_INFINITY);
    if (Number.isFinite(this.#cost)) this.#keep();
    else this.#done = length;
  }

  /** So many more changes, while the cooling lasts. */
  run(changes: number): void {
    for (let left = changes; left > 0 && this.#done < this.#length; left -= 1, this.#done += 1)
      this.#change();
  }

  get isDone(): boolean {
    return this.#done >= this.#length;
  }

  /** The best plan of this cooling; undefined: there was none to begin from. */
  get best(): Built | undefined {
    return this.#best;
  }

  #change(): void {
    const warmth = WARM * (COLD / WARM) ** (this.#done / this.#length);
    const limit = this.#cost - warmth * Math.log(1 - this.#random());
    this.#last.set(this.#order);
    for (
      let tries = TRIES;
      tries > 0 &&
      !(this.#blockReinsertion.isOfUse && this.#random() < STREWN
        ? this.#blockReinsertion.reinsert(this.#last, this.#order)
        : this.#moveStep());
      tries -= 1
    );
    const cost = this.#decoder.decode(this.#order, limit);
    if (cost > limit) {
      this.#order.set(this.#last);
      return;
    }
    this.#cost = cost;
    this.#keep();
  }

  #keep(): void {
    const { finish } = this.#decoder;
    if (finish < (this.#best?.finish ?? Number.POSITIVE_INFINITY))
      this.#best = { starts: this.#decoder.starts.slice(), people: this.#decoder.people(), finish };
    this.#decoder.keep();
  }

  /** @returns whether the order is another now */
  #moveStep(): boolean {
    const { count } = this.#network;
    const random = this.#random;
    const from = Math.floor(random() * count);
    const reach = random() < OFTEN_NEAR ? NEAR : count;
    const [low, high] = [Math.max(0, from - reach), Math.min(count - 1, from + reach)];
    return this.#move(from, low + Math.floor(random() * (high - low + 1)));
  }

  /**
   * A step goes elsewhere in the order; what it waits for comes along forwards, what waits for it comes along
   * backwards.
   * @returns whether that changes anything
   */
  #move(from: number, to: number): boolean {
    if (to === from) return false;
    const { before, after } = this.#network;
    const [order, last, moves] = [this.#order, this.#last, this.#moves];
    const [low, high] = [Math.min(from, to), Math.max(from, to)];
    for (let index = low; index <= high; index += 1) moves[intAt(last, index)] = 0;
    moves[intAt(last, from)] = 1;
    const isEarlier = to < from;
    for (let index = from; index >= low && index <= high; index += isEarlier ? -1 : 1) {
      const step = intAt(last, index);
      if (moves[step] === 1)
        for (const { other } of (isEarlier ? before : after)[step] ?? []) moves[other] = 1;
    }
    let at = low;
    let isOther = false;
    for (const first of isEarlier ? [1, 0] : [0, 1]) {
      for (let index = low; index <= high; index += 1) {
        const step = intAt(last, index);
        if (moves[step] !== first) continue;
        isOther ||= at !== index;
        order[at] = step;
        at += 1;
      }
    }
    return isOther;
  }
}
