import { intAt, valueAt } from '../quantity';
import type { Network } from './network';
import { maxLagComponents } from './max-lag-components';

/** Places over which a group is strewn, beyond its own number. */
const MOST_MORE = 8;
/** The later a group lies the oftener it is moved, as a power of chance. */
const LATE = 2;
const ELSEWHERE = 0.3;

/**
 * Moves steps that may not lie long after one another together, mostly amid another such group of the same
 * place: two panes that share one morning have to be worked on in turn, and no step moved alone gets there.
 * @source own
 */
export class BlockReinsertion {
  readonly #network: Network;
  readonly #random: () => number;
  readonly #groups: readonly (readonly number[])[];
  /** The group of each step that is in one. */
  readonly #groupOf: readonly (readonly number[] | undefined)[];
  readonly #isOwn: Uint8Array;
  readonly #rest: Int32Array;

  constructor(network: Network, random: () => number) {
    this.#network = network;
    this.#random = random;
    this.#groups = maxLagComponents(network);
    this.#groupOf = Array.from({ length: network.count }, (_, step) =>
      this.#groups.find((group) => group.includes(step)),
    );
    this.#isOwn = new Uint8Array(network.count);
    this.#rest = new Int32Array(network.count);
  }

  get isOfUse(): boolean {
    return this.#groups.length > 0;
  }

  /**
   * @param last the order as it is, forerunners first
   * @param order becomes another one, or the same when that fails
   * @returns whether it is another now, with nothing before what it waits for
   */
  reinsert(last: Int32Array, order: Int32Array): boolean {
    const count = last.length;
    const group =
      this.#groupOf[intAt(last, count - 1 - Math.floor(count * this.#random() ** LATE))] ?? this.#anyGroup();
    const [isOwn, rest] = [this.#isOwn, this.#rest];
    isOwn.fill(0);
    for (const step of group) isOwn[step] = 1;
    const moved: number[] = [];
    for (let index = 0; index < count; index += 1) {
      const step = intAt(last, index);
      if (isOwn[step] === 1) moved.push(step);
      else rest[index - moved.length] = step;
    }
    const [from, until] = this.#amid(group, count - moved.length);
    const places = moved
      .map(() => from + Math.floor(this.#random() * (until - from + 1)))
      .sort((a, b) => a - b);
    let isOther = false;
    for (let index = 0, taken = 0; index < count; index += 1) {
      const isNext = taken < moved.length && valueAt(places, taken) <= index - taken;
      const step = isNext ? valueAt(moved, taken) : intAt(rest, index - taken);
      if (isNext) taken += 1;
      isOther ||= step !== last[index];
      order[index] = step;
    }
    if (isOther && this.#keepsWaits(moved, order)) return true;
    order.set(last);
    return false;
  }

  #anyGroup(): readonly number[] {
    return valueAt(this.#groups, Math.floor(this.#random() * this.#groups.length));
  }

  /** Places for a group among the others. */
  #amid(group: readonly number[], kept: number): readonly [from: number, until: number] {
    const random = this.#random;
    const { place } = this.#network;
    const nearGroup = this.#anyGroup();
    const more = Math.floor(random() * MOST_MORE);
    if (
      nearGroup === group ||
      (place[valueAt(nearGroup, 0)] !== place[valueAt(group, 0)] && random() > ELSEWHERE)
    ) {
      const from = Math.floor(random() * (kept + 1));
      return [from, Math.min(kept, from + group.length + more)];
    }
    let [from, until] = [kept, 0];
    for (let index = 0; index < kept; index += 1)
      if (nearGroup.includes(intAt(this.#rest, index))) {
        from = Math.min(from, index);
        until = index + 1;
      }
    return [
      Math.max(0, from - Math.floor(random() * 3)),
      Math.min(kept, until + (random() < 0.5 ? 0 : more)),
    ];
  }

  #keepsWaits(steps: readonly number[], order: Int32Array): boolean {
    const { before, after } = this.#network;
    const at = (step: number): number => order.indexOf(step);
    return steps.every((step) => {
      const stepAt = at(step);
      return (
        (before[step] ?? []).every(({ other }) => at(other) < stepAt) &&
        (after[step] ?? []).every(({ other }) => at(other) > stepAt)
      );
    });
  }
}
