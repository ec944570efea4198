import { intAt, valueAt } from '../../quantity';
import type { Strip, Stack } from './strip-shape';
import { exactFillStrip } from './exact-fill-strip';
import { shuffled } from './shuffled';
import { type StackLengths, stackLengthsOf } from './stack-lengths';
import type { Orientation, PackingProblem } from '../problem/packing-problem';
import { type WidthSet, exactSets, widthSets, widthStock } from './width-sets';

interface StripWays {
  readonly random: () => number;
  /** 2: one piece a stack. 3: stacks. */
  readonly stages: 2 | 3;
  /** Longest strip, as a multiple of the longest piece left. */
  readonly reach: number;
  /** How much narrower a piece may be than its stack, as a share of the roll. */
  readonly slack: number;
  /** Whether the hardest piece left must be in it. */
  readonly anchored: boolean;
  /** Whether strips without waste are looked for first. */
  readonly seeksPerfect: boolean;
  /** The ways of lying that come into question. */
  readonly orientations: readonly Orientation[];
  /** Steps of length there are. */
  readonly room: number;
  readonly mostStacks: number;
  /** How many stacks can lie at a factory edge: the first ones. */
  readonly edges: number;
  /** Told of every strip that was built, the best among them. */
  readonly onBuilt: (strip: Strip) => void;
}

const MOST_SETS = 16;
const MOST_BUILT = 4;
const MOST_ENDS = 40;
/** Where many pieces fit a stack, a chance choice of them reaches nearly every length. */
const MOST_FITTING = 120;

/** Builds the strip that wastes the least of what is left, with some chance in it.
 *  @returns undefined when nothing is left */
export function buildStrip(problem: PackingProblem, left: Int32Array, manner: StripWays): Strip | undefined {
  const { width } = problem;
  const { random, stages, edges, mostStacks } = manner;
  const open = shuffled(manner.orientations, random);
  if (open.length === 0) return undefined;
  const longest = open.reduce((most, { along }) => Math.max(most, along), 0);
  const most = Math.min(manner.room, Math.round(longest * (stages === 2 ? 1 : manner.reach)));
  const anchor = manner.anchored ? hardest(open, random) : undefined;
  const least = anchor?.along ?? 1;
  const stock = widthStock(open, left);
  if (stages === 3 && manner.seeksPerfect) {
    const sets = exactSets(width, stock, anchor?.across, random, mostStacks);
    const perfect = exactFillStrip(problem, sets, open, left, edges, least, most, random);
    if (perfect !== undefined) return perfect;
  }
  const fitting: Fitting = (across, edge) => fittingIn(open, across, manner.slack * width, edge);
  const stackLengths = cachedStackLengths(fitting, left, most, stages === 2);
  const sets = widthSets(width, stock, anchor?.across, random, mostStacks);
  const ends = leastWaste(width, sets, stackLengths, least, random, edges);
  const built = ends
    .map(({ set, along }) => filledStrip(set, along, left, fitting, stages === 2, stackLengths, edges))
    .filter(({ stacks }) => stacks.length > 0);
  built.forEach(manner.onBuilt);
  return fullest(built) ?? alone(anchor ?? open[0]);
}

/** The stacks that a width allows, made when they are first asked for. */
function cachedStackLengths(
  fitting: Fitting,
  left: Int32Array,
  most: number,
  single: boolean,
): StackLengthsOf {
  const caches = [new Map<number, StackLengths>(), new Map<number, StackLengths>()] as const;
  return (across, edge) => {
    const cache = caches[edge ? 1 : 0];
    const known = cache.get(across);
    if (known !== undefined) return known;
    const lengths = stackLengthsOf(fitting(across, edge), left, most, single);
    cache.set(across, lengths);
    return lengths;
  };
}

/**
 * Stacks of one width share their pieces, so that the estimate is too optimistic: a few of the best are
 * built and the best of them kept.
 */
function fullest(built: readonly Strip[]): Strip | undefined {
  return built.reduce<Strip | undefined>(
    (best, strip) =>
      best === undefined || strip.filled / strip.along > best.filled / best.along ? strip : best,
    undefined,
  );
}

/** What may lie in a stack so wide, one way each. @param slack how much narrower it may be */
function fittingIn(
  open: readonly Orientation[],
  across: number,
  slack: number,
  edge: boolean,
): readonly Orientation[] {
  return oneWayEach(
    open.filter(
      (orientation) =>
        orientation.across <= across &&
        orientation.across >= across - slack &&
        (edge || !orientation.wantsEdge),
    ),
  ).slice(0, MOST_FITTING);
}

/** One piece by itself: there is always that. */
function alone(piece: Orientation | undefined): Strip | undefined {
  return piece === undefined
    ? undefined
    : {
        along: piece.along,
        stacks: [{ across: piece.across, pieces: [piece] }],
        filled: piece.across * piece.along,
      };
}

interface End {
  readonly set: WidthSet;
  readonly along: number;
}
type StackLengthsOf = (across: number, edge: boolean) => StackLengths;
type Fitting = (across: number, edge: boolean) => readonly Orientation[];

/** The piece that fits with fewest others: wide, then long, with a little chance. */
function hardest(open: readonly Orientation[], random: () => number): Orientation | undefined {
  let [found, score]: [Orientation | undefined, number] = [undefined, -1];
  for (const orientation of open) {
    const hardness = orientation.across * (0.85 + 0.3 * random()) + orientation.along * 0.15 * random();
    if (hardness > score) [found, score] = [orientation, hardness];
  }
  return found;
}

/**
 * Over the fullest sets and every length where a stack ends: the ends with the least share wasted, one a
 * set.
 */
function leastWaste(
  width: number,
  sets: readonly WidthSet[],
  stackLengths: StackLengthsOf,
  least: number,
  random: () => number,
  edges: number,
): readonly End[] {
  const ends: (End & { readonly share: number })[] = [];
  let last = -1;
  for (let index = 0; index < sets.length && index < MOST_SETS; index += 1) {
    const set = sets[index];
    if (set === undefined || 1 - set.rest / width < last) break;
    const stacks = set.widths.map((across, stack) => stackLengths(across, stack < edges));
    const chance = 1 + (random() - 0.5) * 2e-3;
    const [share, where] = bestEnd(width, set, stacks, least, random, edges, chance);
    if (where === 0 || share <= last) continue;
    ends.push({ set, along: where, share });
    ends.sort((a, b) => b.share - a.share);
    if (ends.length > MOST_BUILT) ends.pop();
    if (ends.length === MOST_BUILT) last = ends[MOST_BUILT - 1]?.share ?? -1;
  }
  return ends;
}

/** Where the stacks of a set end with the most of the roll filled. @returns that share, and where */
function bestEnd(
  width: number,
  { widths }: WidthSet,
  stacks: readonly StackLengths[],
  least: number,
  random: () => number,
  edges: number,
  chance: number,
): readonly [share: number, along: number] {
  let [share, where] = [-1, 0];
  for (const [place, { ends }] of stacks.entries()) {
    if (place > 0 && widths[place] === widths[place - 1] && place !== edges) continue;
    /** Where many pieces are left nearly every length is reached: a chance choice of them does. */
    const stride = Math.max(1, ends.length / MOST_ENDS);
    for (let at = stride > 1 ? random() * stride : 0; at < ends.length; at += stride) {
      const along = valueAt(ends, Math.floor(at));
      if (along < least) continue;
      let filled = 0;
      for (const stack of stacks) filled += stack.filledUpTo(along);
      const got = (filled / (width * along)) * chance;
      if (got > share) [share, where] = [got, along];
    }
  }
  return [share, where];
}

/** Takes the stacks of a set one after the other off what is left. */
function filledStrip(
  { widths }: WidthSet,
  along: number,
  left: Int32Array,
  fitting: Fitting,
  single: boolean,
  stackLengths: StackLengthsOf,
  edges: number,
): Strip {
  const rest = Int32Array.from(left);
  const touched = new Set<number>();
  const stacks: Stack[] = [];
  let [filled, end] = [0, 0];
  for (let stack = 0; stack < widths.length; stack += 1) {
    const across = valueAt(widths, stack);
    const edge = stack < edges;
    const orientations = fitting(across, edge);
    const lengths = orientations.some(({ itemType }) => touched.has(itemType))
      ? stackLengthsOf(orientations, rest, along, single)
      : stackLengths(across, edge);
    const pieces = lengths.piecesAt(lengths.endUpTo(along));
    if (pieces.length === 0) continue;
    let [widest, length] = [0, 0];
    for (const piece of pieces) {
      rest[piece.itemType] = intAt(rest, piece.itemType) - 1;
      touched.add(piece.itemType);
      filled += piece.across * piece.along;
      length += piece.along;
      widest = Math.max(widest, piece.across);
    }
    end = Math.max(end, length);
    stacks.push({ across: widest, pieces });
  }
  return { along: end, stacks, filled };
}

/**
 * An item type that fits both ways is taken the way that fills the stack better: its pieces are there only
 * once.
 */
function oneWayEach(orientations: readonly Orientation[]): readonly Orientation[] {
  const widest = new Map<number, number>();
  for (const { itemType, across } of orientations)
    widest.set(itemType, Math.max(across, widest.get(itemType) ?? 0));
  return orientations.filter(({ itemType, across }) => across === widest.get(itemType));
}
