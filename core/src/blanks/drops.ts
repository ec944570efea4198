import type { BlankNote } from './blank-note';
import {
  type Formula,
  GEOMETRY,
  type Reasoned,
  applyFormula,
  upToTenth,
  floatAt,
  intAt,
  valueAt,
} from '../quantity';
import { RULES } from '../rules';

export type SeamKind = 'lap over promoter' | 'double cut' | 'butt';
export type SeamPlacing = 'equal drops' | 'full width and strip';

interface DropsInput {
  /** To cover, allowances on both sides included. */
  readonly whole_mm: number;
  readonly roll_mm: number;
  readonly lap_mm: number;
  readonly placing: SeamPlacing;
  /**
   * Where a seam would not be seen: a mullion, the edge of an opening. From the left end of what is covered.
   */
  readonly hiddenAt_mm: readonly number[];
  /** Stretches where no seam may be: near an outside corner, across the eyes. */
  readonly keptFree: readonly (readonly [from_mm: number, to_mm: number])[];
}

/** Strips side by side, in hanging order. `seams` are the middles of the laps, from the left end. */
interface Drops {
  readonly widths: readonly number[];
  readonly starts: readonly number[];
  readonly seams: readonly number[];
  /** Rules that could not all be kept. */
  readonly broken: readonly BlankNote[];
}

interface CountInputs {
  readonly whole_mm: number;
  readonly roll_mm: number;
  readonly lap_mm: number;
}

export const DROP_COUNT: Formula<CountInputs> = {
  id: 'cutting.drops',
  word: 'drops',
  says: 'n = (width to cover − lap) ÷ (roll width − lap), rounded up',
  unit: 'count',
  source: GEOMETRY,
  inputs: {
    whole_mm: { word: 'width to cover', unit: 'mm' },
    roll_mm: { word: 'roll width', unit: 'mm' },
    lap_mm: { word: 'lap', unit: 'mm' },
  },
  of: ({ whole_mm, roll_mm, lap_mm }) =>
    Math.max(1, Math.ceil((whole_mm - lap_mm) / (roll_mm - lap_mm) - 1e-9)),
};

export function dropCount(inputs: CountInputs): Reasoned<number> {
  const step = applyFormula(DROP_COUNT, inputs);
  return { value: step.value, why: [step] };
}

const STEP_MM = 5;
const HIDDEN_WORTH = 120;
const EXTRA_DROP = 1e5;

/**
 * Puts seams where the rules want them: never a sliver, never in a stretch kept free, at a mullion when one
 * is near, else as the placing says. With no such place a drop more is tried, then the rules that give are
 * named.
 */
export function placeSeams(input: DropsInput): Drops {
  const { value: count } = dropCount(input);
  if (count === 1) return { widths: [upToTenth(input.whole_mm)], starts: [0], seams: [], broken: [] };
  const tried = [count, count + 1]
    .map((drops) => best(input, drops, false))
    .find((found) => found !== undefined);
  if (tried !== undefined) return { ...tried, broken: [] };
  const forced = best(input, count, true) ?? evenly(input, count);
  const broken = [
    ...(forced.widths.some((width) => width < RULES.sliver.value)
      ? [{ case: 'rule' as const, rule: 'sliver' as const }]
      : []),
    ...(forced.seams.some((seam) => isKeptFree(input, seam))
      ? [{ case: 'seam where none should be' as const }]
      : []),
  ];
  return { ...forced, broken };
}

/** A place a seam may have, and what it costs beside its distance from where it is wanted. */
interface Spot {
  readonly at: number;
  readonly cost: number;
}

/** The widths a drop may have. */
interface DropRange {
  readonly least: number;
  readonly most: number;
}

/**
 * Cheapest places of all seams, from left to right: each drop at most the roll, at least a sliver. Dynamic
 * programme over seams and places.
 */
function best(input: DropsInput, count: number, isForced: boolean): Omit<Drops, 'broken'> | undefined {
  const { whole_mm, roll_mm, lap_mm } = input;
  const spots = spotsFor(input, isForced);
  const range = {
    least: isForced ? Math.min(lap_mm + 1, whole_mm) : RULES.sliver.value,
    most: roll_mm + 1e-6,
  };
  let costs: Float64Array | undefined;
  const back: Int32Array[] = [];
  for (let seam = 1; seam < count; seam += 1) {
    const wanted = wantedAt(input, seam, count);
    const seamed = oneSeamMore(spots, wanted, costs, lap_mm, range);
    costs = seamed.costs;
    back.push(seamed.from);
  }
  let at = costs === undefined ? -1 : cheapestEnd(spots, costs, whole_mm + lap_mm / 2, range);
  if (at < 0) return undefined;
  const seams: number[] = [];
  for (const from of back.reverse()) {
    seams.unshift(valueAt(spots, at).at);
    at = intAt(from, at);
  }
  return drawn(input, seams);
}

function spotsFor(input: DropsInput, isForced: boolean): readonly Spot[] {
  return candidates(input).flatMap((at) => {
    const isFree = !isKeptFree(input, at);
    const isHidden = input.hiddenAt_mm.some((hidden) => Math.abs(hidden - at) < 1);
    return isFree || isForced
      ? [{ at, cost: (isFree ? 0 : EXTRA_DROP) - (isHidden ? HIDDEN_WORTH : 0) }]
      : [];
  });
}

/**
 * What all seams up to this one cost, with this one at each place.
 * @param before the same for the seam before; undefined: this is the first
 */
function oneSeamMore(
  spots: readonly Spot[],
  wanted: number,
  before: Float64Array | undefined,
  lap_mm: number,
  { least, most }: DropRange,
): { readonly costs: Float64Array; readonly from: Int32Array } {
  const costs = new Float64Array(spots.length).fill(Number.POSITIVE_INFINITY);
  const from = new Int32Array(spots.length).fill(-1);
  let first = 0;
  for (const [to, { at, cost }] of spots.entries()) {
    const spotCost = Math.abs(at - wanted) + cost;
    const width = at + lap_mm / 2;
    if (before === undefined) {
      if (width >= least && width <= most) costs[to] = spotCost;
      continue;
    }
    while (first < to && at - valueAt(spots, first).at + lap_mm > most) first += 1;
    for (let index = first; index < to; index += 1) {
      const all = floatAt(before, index) + spotCost;
      if (all >= floatAt(costs, to) || at - valueAt(spots, index).at + lap_mm < least) continue;
      costs[to] = all;
      from[to] = index;
    }
  }
  return { costs, from };
}

/** The place of the last seam that costs least in all with a last drop that may be; -1: none. */
function cheapestEnd(
  spots: readonly Spot[],
  costs: Float64Array,
  end_mm: number,
  { least, most }: DropRange,
): number {
  let [end, cheapest] = [-1, Number.POSITIVE_INFINITY];
  for (const [index, { at }] of spots.entries()) {
    const width = end_mm - at;
    if (width < least || width > most || floatAt(costs, index) >= cheapest) continue;
    [end, cheapest] = [index, floatAt(costs, index)];
  }
  return end;
}

function candidates({ whole_mm, roll_mm, lap_mm, hiddenAt_mm, keptFree }: DropsInput): readonly number[] {
  const places = new Set<number>();
  for (let at = STEP_MM; at < whole_mm; at += STEP_MM) places.add(at);
  for (const at of hiddenAt_mm) if (at > 0 && at < whole_mm) places.add(at);
  for (const [from, to] of keptFree) for (const at of [from, to]) if (at > 0 && at < whole_mm) places.add(at);
  for (let n = 1; n * (roll_mm - lap_mm) < whole_mm; n += 1) {
    places.add(n * (roll_mm - lap_mm) + lap_mm / 2);
    places.add(whole_mm - n * (roll_mm - lap_mm) - lap_mm / 2);
  }
  return [...places].filter((at) => at > 0 && at < whole_mm).sort((a, b) => a - b);
}

function wantedAt({ whole_mm, roll_mm, lap_mm, placing }: DropsInput, seam: number, count: number): number {
  return Math.min(
    whole_mm,
    placing === 'equal drops' ? (seam * whole_mm) / count : seam * (roll_mm - lap_mm) + lap_mm / 2,
  );
}

const isKeptFree = ({ keptFree }: DropsInput, at: number): boolean =>
  keptFree.some(([from, to]) => at > from + 1e-6 && at < to - 1e-6);

function evenly(input: DropsInput, count: number): Omit<Drops, 'broken'> {
  return drawn(
    input,
    Array.from({ length: count - 1 }, (_, index) => ((index + 1) * input.whole_mm) / count),
  );
}

function drawn({ whole_mm, lap_mm }: DropsInput, seams: readonly number[]): Omit<Drops, 'broken'> {
  const starts = [0, ...seams.map((at) => at - lap_mm / 2)];
  const ends = [...seams.map((at) => at + lap_mm / 2), whole_mm];
  return {
    seams,
    starts,
    widths: starts.map((start, index) => upToTenth((ends[index] ?? whole_mm) - start)),
  };
}
