import type { Built } from './build-plan';
import { LineUp } from './line-up';
import type { Network } from './network';

/** Warmth at the beginning and the end of one cooling, in working minutes that a change may lose. */
const [WARM, COLD] = [12, 0.2];
const CHANGES_CREW = 0.5;
const BACK_TO_ANYBODY = 0.7;
const ONLY_CREW = 0.2;
const NEAR = 4;
const ANYBODY: readonly number[] = [];

/** Cools one plan: steps change their place in the order, with what must come before or after them, and people change steps; what loses little stays at first, in the end only what wins.
 *  @source simulated annealing over orders and assignments, own form */
export class Reordering {
  readonly #network: Network;
  readonly #lineUp: LineUp;
  readonly #random: () => number;
  readonly #choosable: readonly number[];
  readonly #order: Int32Array;
  readonly #last: Int32Array;
  readonly #moves: Uint8Array;
  #crews: (readonly number[])[] = [];
  #cost = Number.POSITIVE_INFINITY;
  #done = 0;
  #length = 0;
  #best: Built | undefined;
  constructor(network: Network, earliest: ArrayLike<number>, random: () => number) {
    const { count, crew, able } = network;
    this.#network = network;
    this.#random = random;
    this.#lineUp = new LineUp(network, earliest);
    this.#choosable = Array.from({ length: count }, (_, step) => step).filter((step) => (crew[step] ?? 0) > 0 && (able[step]?.length ?? 0) > (crew[step] ?? 0));
    this.#order = new Int32Array(count);
    this.#last = new Int32Array(count);
    this.#moves = new Uint8Array(count);
  }

  /** Begins a cooling of so many changes from a plan. */
  begin(built: Built, length: number): void {
    this.#order.set(Int32Array.from(built.starts.keys()).sort((a, b) => (built.starts[a] ?? 0) - (built.starts[b] ?? 0) || (this.#network.minutes[a] ?? 0) - (this.#network.minutes[b] ?? 0)));
    this.#crews = built.people.slice();
    this.#best = undefined;
    [this.#done, this.#length] = [0, length];
    this.#cost = this.#lineUp.reckon(this.#order, this.#crews, Number.POSITIVE_INFINITY);
    if (Number.isFinite(this.#cost)) this.#keep();
    else this.#done = length;
  }

  /** So many more changes, while the cooling lasts. */
  run(changes: number): void {
    for (let left = changes; left > 0 && this.#done < this.#length; left -= 1, this.#done += 1) this.#change();
  }

  get isDone(): boolean {
    return this.#done >= this.#length;
  }

  /** The best plan of this cooling; undefined: there was none to begin from. */
  get best(): Built | undefined {
    return this.#best;
  }

  #change(): void {
    const random = this.#random;
    const warmth = WARM * (COLD / WARM) ** (this.#done / this.#length);
    const limit = this.#cost - warmth * Math.log(1 - random());
    this.#last.set(this.#order);
    const isOnlyCrew = random() < ONLY_CREW;
    if (!isOnlyCrew) this.#moveStep();
    const undo = isOnlyCrew || random() < CHANGES_CREW ? this.#changeCrew() : undefined;
    const cost = this.#lineUp.reckon(this.#order, this.#crews, limit);
    if (cost > limit) {
      this.#order.set(this.#last);
      undo?.();
      return;
    }
    this.#cost = cost;
    this.#keep();
  }

  #keep(): void {
    const { finish } = this.#lineUp;
    if (finish < (this.#best?.finish ?? Number.POSITIVE_INFINITY)) this.#best = { starts: this.#lineUp.starts.slice(), people: this.#lineUp.people(), finish };
    this.#lineUp.keep();
  }

  #moveStep(): void {
    const { count } = this.#network;
    const random = this.#random;
    const from = Math.floor(random() * count);
    const reach = random() < 0.5 ? NEAR : count;
    const [low, high] = [Math.max(0, from - reach), Math.min(count - 1, from + reach)];
    this.#move(from, low + Math.floor(random() * (high - low + 1)));
  }

  /** A step goes elsewhere in the order; what it waits for comes along forwards, what waits for it comes along backwards. */
  #move(from: number, to: number): void {
    if (to === from) return;
    const { before, after } = this.#network;
    const [order, last, moves] = [this.#order, this.#last, this.#moves];
    const [low, high] = [Math.min(from, to), Math.max(from, to)];
    for (let index = low; index <= high; index += 1) moves[last[index] as number] = 0;
    moves[last[from] as number] = 1;
    const isEarlier = to < from;
    for (let index = from; index >= low && index <= high; index += isEarlier ? -1 : 1) {
      const step = last[index] as number;
      if (moves[step] === 1) for (const { other } of (isEarlier ? before : after)[step] ?? []) moves[other] = 1;
    }
    let at = low;
    for (const first of isEarlier ? [1, 0] : [0, 1]) for (let index = low; index <= high; index += 1) if (moves[last[index] as number] === first) { order[at] = last[index] as number; at += 1; }
  }

  /** Mostly: whoever is free soonest. Now and then somebody by name. */
  #changeCrew(): (() => void) | undefined {
    const random = this.#random;
    const step = this.#choosable[Math.floor(random() * this.#choosable.length)];
    if (step === undefined) return undefined;
    const old = this.#crews[step] ?? ANYBODY;
    if (old.length > 0 && random() < BACK_TO_ANYBODY) this.#crews[step] = ANYBODY;
    else {
      const crew = [...(old.length > 0 ? old : this.#lineUp.keptCrew(step))];
      const others = [...(this.#network.able[step] ?? [])].filter((person) => !crew.includes(person));
      crew[Math.floor(random() * crew.length)] = others[Math.floor(random() * others.length)] ?? 0;
      this.#crews[step] = crew;
    }
    return () => { this.#crews[step] = old; };
  }
}
