import { valueAt } from '../../quantity';
import type { PackingProblem } from '../problem/packing-problem';

/**
 * What leads a beam: how prices and area are mixed into what a piece is worth, and how soon each item type
 * wants to be laid.
 */
export interface BeamParameters {
  /** Share of the bound's prices in what a piece is worth; its area is the rest. */
  readonly mix: number;
  /** By item type, the logarithm of the share of its worth that speaks for laying it soon. */
  readonly logBias: readonly number[];
  readonly chance: number;
  readonly firstRow: number;
  readonly tries: number;
}

const KEPT = 4;
const NEW = 0.25;
const MIXES = [0.3, 0.5, 0.7, 0.9, 0.97] as const;
const MOST_MIX = 0.99;
/** How hard a piece is to lay, by its shares of the width and of the longest piece. */
const HARD: readonly ((across: number, along: number) => number)[] = [
  (across) => across,
  (across) => across ** 2,
  (across, along) => across + along,
];
const LEAST_LOG_BIAS = Math.log(0.01);
const LEANS = Math.log(20);
/** Mixture, hardness and share of worth that did fairly well in most jobs: they are tried first. */
const PROVEN: readonly (readonly [mix: number, hard: number, share: number])[] = [
  [0.5, 1, 0.1],
  [0.9, 1, 0.05],
  [0.9, 2, 0.005],
];
const TRIES = [2, 16] as const;
const FIRST_SKYLINES = 6;
const MOST_SKYLINES = 400;
const WIDER_AFTER = 60;
/** A run is up to so many times narrower or wider, as a power of e: some ways need few skylines. */
const SPREAD = 1.4;

/**
 * Beam parameters as an evolution strategy: which of them do well depends on the job and cannot be predicted,
 * so the best four are kept, mutated and tried again, and one in four is drawn anew (decision 0020).
 * @source evolution strategies, Rechenberg 1973 (from memory); own encoding of a beam's weights
 */
export class EvolvedParameters {
  readonly #kept: { readonly way: BeamParameters; readonly along: number }[] = [];
  #failed = 0;
  #new = 0;

  constructor(
    private readonly problem: PackingProblem,
    private readonly hasPrices: boolean,
    private readonly random: () => number,
  ) {}

  /** Layouts not shorter than this are of no use. */
  get most(): number {
    return this.#kept.length < KEPT ? Number.POSITIVE_INFINITY : (this.#kept.at(-1)?.along ?? 0) + 1;
  }

  /** Grows slowly while nothing is found. */
  get skylines(): number {
    return Math.min(
      MOST_SKYLINES,
      Math.ceil(
        FIRST_SKYLINES * Math.exp(SPREAD * (2 * this.random() - 1)) * (1 + this.#failed / WIDER_AFTER),
      ),
    );
  }

  next(): BeamParameters {
    if (this.#kept.length < KEPT || this.random() < NEW) return this.#anew();
    return this.#varied(this.one());
  }

  /** One of those that did well. */
  one(): BeamParameters {
    return this.#kept[Math.floor(this.random() ** 1.5 * this.#kept.length)]?.way ?? this.#anew();
  }

  found(way: BeamParameters, along: number): void {
    if (along < (this.#kept[0]?.along ?? Number.POSITIVE_INFINITY)) this.#failed = 0;
    else this.#failed += 1;
    this.#kept.push({ way, along });
    this.#kept.sort((a, b) => a.along - b.along).splice(KEPT);
  }

  foundNothing(): void {
    this.#failed += 1;
  }

  #anew(): BeamParameters {
    const { itemTypes, width, longest } = this.problem;
    const [mix, hardness, share] = PROVEN[this.#new] ?? [
      valueAt(MIXES, Math.floor(this.random() * MIXES.length)),
      Math.floor(this.random() * HARD.length),
      Math.exp(LEAST_LOG_BIAS + this.random() * LEANS),
    ];
    const hard = HARD[hardness] ?? Math.max;
    const all = Math.log(share);
    this.#new += 1;
    return {
      mix: this.hasPrices ? mix : 0,
      logBias: itemTypes.map(
        ({ across, along }) => all + Math.log(hard(across / width, along / longest)) + 0.2 * this.#normal(),
      ),
      chance: 0.02 + 0.2 * this.random(),
      firstRow: 1 + 3 * this.random(),
      tries: 4 + Math.floor(this.random() * 6),
    };
  }

  #varied({ mix, logBias, chance, firstRow, tries }: BeamParameters): BeamParameters {
    const spread = this.random() < 0.5 ? 0.15 : 0.6;
    const all = this.random() < 0.3 ? 0.5 * this.#normal() : 0;
    const share = this.random() < 0.5 ? 1 : 0.2;
    const some = (): number => (this.random() < 0.3 ? this.#normal() : 0);
    return {
      mix: this.hasPrices ? Math.min(MOST_MIX, Math.max(0, mix + 0.15 * some())) : 0,
      logBias: logBias.map((bias) => bias + all + (this.random() < share ? spread * this.#normal() : 0)),
      chance: Math.abs(chance + 0.05 * some()),
      firstRow: Math.max(0, firstRow + 0.7 * some()),
      tries: Math.max(TRIES[0], Math.min(TRIES[1], tries + Math.round(some()))),
    };
  }

  /** About normal, of six throws. */
  #normal(): number {
    let sum = -3;
    for (let draw = 0; draw < 6; draw += 1) sum += this.random();
    return sum * Math.SQRT2;
  }
}
