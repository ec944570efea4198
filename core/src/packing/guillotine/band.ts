import type { Band, Column } from './band-shape';
import { perfectBand } from './perfect-band';
import { shuffled } from './shuffled';
import { type Stacks, stacksOf } from './stack-lengths';
import type { Lie, StripProblem } from '../problem/strip-problem';
import { type WidthSet, exactSets, widthSets, widthStock } from './width-sets';

export interface BandWays {
  readonly random: () => number;
  /** 2: one piece a column. 3: stacks. */
  readonly stages: 2 | 3;
  /** Longest band, as a multiple of the longest piece left. */
  readonly reach: number;
  /** How much narrower a piece may be than its column, as a share of the roll. */
  readonly slack: number;
  /** Whether the hardest piece left must be in it. */
  readonly anchored: boolean;
  /** Whether bands without waste are looked for first. */
  readonly seeksPerfect: boolean;
  /** The ways of lying that come into question. */
  readonly lies: readonly Lie[];
  /** Steps of length there are. */
  readonly room: number;
  readonly mostColumns: number;
  /** How many columns can lie at a factory edge: the first ones. */
  readonly edges: number;
  /** Told of every band that was built, the best among them. */
  readonly onBuilt: (band: Band) => void;
}

const MOST_SETS = 16;
const MOST_BUILT = 4;
const MOST_ENDS = 40;
/** Where many pieces fit a column, a chance choice of them reaches nearly every length. */
const MOST_FITTING = 120;

/** Builds the band that wastes the least of what is left, with some chance in it.
 *  @returns undefined when nothing is left */
export function buildBand(problem: StripProblem, left: Int32Array, ways: BandWays): Band | undefined {
  const { width } = problem;
  const { random, stages, edges, mostColumns } = ways;
  const open = shuffled(ways.lies, random);
  if (open.length === 0) return undefined;
  let longest = 0;
  for (const { along } of open) longest = Math.max(longest, along);
  const most = Math.min(ways.room, Math.round(longest * (stages === 2 ? 1 : ways.reach)));
  const anchor = ways.anchored ? hardest(open, random) : undefined;
  const fitting = (across: number, edge: boolean): readonly Lie[] =>
    fittingIn(open, across, ways.slack * width, edge);
  const kept = [new Map<number, Stacks>(), new Map<number, Stacks>()] as const;
  const stacks = (across: number, edge: boolean): Stacks => {
    const map = kept[edge ? 1 : 0];
    let made = map.get(across);
    if (made === undefined) {
      made = stacksOf(fitting(across, edge), left, most, stages === 2);
      map.set(across, made);
    }
    return made;
  };
  const stock = widthStock(open, left);
  const fill = (set: WidthSet, along: number): Band =>
    filledBand(set, along, left, fitting, stages === 2, stacks, edges);
  const perfect =
    stages === 3 && ways.seeksPerfect
      ? perfectBand(
          problem,
          exactSets(width, stock, anchor?.across, random, mostColumns),
          open,
          left,
          edges,
          anchor?.along ?? 1,
          most,
          random,
        )
      : undefined;
  if (perfect !== undefined) return perfect;
  /**
   * Columns of one width share their pieces, so that the estimate is too kind: a few of the best are built
   * and the best of them kept.
   */
  let best: Band | undefined;
  for (const { set, along } of leastWaste(
    width,
    widthSets(width, stock, anchor?.across, random, mostColumns),
    stacks,
    anchor?.along ?? 1,
    random,
    edges,
  )) {
    const band = fill(set, along);
    if (band.columns.length > 0) ways.onBuilt(band);
    if (
      band.columns.length > 0 &&
      (best === undefined || band.filled / band.along > best.filled / best.along)
    )
      best = band;
  }
  return best ?? alone(anchor ?? open[0]);
}

/** What may lie in a column so wide, one way each. @param slack how much narrower it may be */
function fittingIn(open: readonly Lie[], across: number, slack: number, edge: boolean): readonly Lie[] {
  return oneWayEach(
    open.filter((lie) => lie.across <= across && lie.across >= across - slack && (edge || !lie.wantsEdge)),
  ).slice(0, MOST_FITTING);
}

/** One piece by itself: there is always that. */
function alone(piece: Lie | undefined): Band | undefined {
  return piece === undefined
    ? undefined
    : {
        along: piece.along,
        columns: [{ across: piece.across, pieces: [piece] }],
        filled: piece.across * piece.along,
      };
}

interface End {
  readonly set: WidthSet;
  readonly along: number;
}
type StacksOf = (across: number, edge: boolean) => Stacks;

/** The piece that fits with fewest others: wide, then long, with a little chance. */
function hardest(open: readonly Lie[], random: () => number): Lie | undefined {
  let [found, score]: [Lie | undefined, number] = [undefined, -1];
  for (const lie of open) {
    const own = lie.across * (0.85 + 0.3 * random()) + lie.along * 0.15 * random();
    if (own > score) [found, score] = [lie, own];
  }
  return found;
}

/**
 * Over the fullest sets and every length where a column ends: the ends with the least share wasted, one a
 * set.
 */
function leastWaste(
  width: number,
  sets: readonly WidthSet[],
  stacks: StacksOf,
  least: number,
  random: () => number,
  edges: number,
): readonly End[] {
  const found: (End & { readonly share: number })[] = [];
  let last = -1;
  for (let index = 0; index < sets.length && index < MOST_SETS; index += 1) {
    const set = sets[index];
    if (set === undefined || 1 - set.rest / width < last) break;
    const columns = set.widths.map((across, column) => stacks(across, column < edges));
    const chance = 1 + (random() - 0.5) * 2e-3;
    let [share, where] = [-1, 0];
    for (let own = 0; own < columns.length; own += 1) {
      if (own > 0 && set.widths[own] === set.widths[own - 1] && own !== edges) continue;
      const ends = columns[own]?.ends ?? [];
      /** Where many pieces are left nearly every length is reached: a chance choice of them does. */
      const stride = Math.max(1, ends.length / MOST_ENDS);
      for (let at = stride > 1 ? random() * stride : 0; at < ends.length; at += stride) {
        const along = ends[Math.floor(at)] ?? 0;
        if (along < least) continue;
        let filled = 0;
        for (const column of columns) filled += column.filledUpTo(along);
        const got = (filled / (width * along)) * chance;
        if (got > share) {
          share = got;
          where = along;
        }
      }
    }
    if (where === 0 || share <= last) continue;
    found.push({ set, along: where, share });
    found.sort((a, b) => b.share - a.share);
    if (found.length > MOST_BUILT) found.pop();
    if (found.length === MOST_BUILT) last = found[MOST_BUILT - 1]?.share ?? -1;
  }
  return found;
}

/** Takes the columns of a set one after the other off what is left. */
function filledBand(
  { widths }: WidthSet,
  along: number,
  left: Int32Array,
  fitting: (across: number, edge: boolean) => readonly Lie[],
  single: boolean,
  stacks: StacksOf,
  edges: number,
): Band {
  const rest = Int32Array.from(left);
  const touched = new Set<number>();
  const columns: Column[] = [];
  let [filled, end] = [0, 0];
  for (let column = 0; column < widths.length; column += 1) {
    const across = widths[column] ?? 0;
    const edge = column < edges;
    const lies = fitting(across, edge);
    const found = lies.some(({ kind }) => touched.has(kind))
      ? stacksOf(lies, rest, along, single)
      : stacks(across, edge);
    const pieces = found.piecesAt(found.endUpTo(along));
    if (pieces.length === 0) continue;
    let [widest, length] = [0, 0];
    for (const piece of pieces) {
      rest[piece.kind] = (rest[piece.kind] ?? 0) - 1;
      touched.add(piece.kind);
      filled += piece.across * piece.along;
      length += piece.along;
      widest = Math.max(widest, piece.across);
    }
    end = Math.max(end, length);
    columns.push({ across: widest, pieces });
  }
  return { along: end, columns, filled };
}

/**
 * A kind that fits both ways is taken the way that fills the column better: its pieces are there only once.
 */
function oneWayEach(lies: readonly Lie[]): readonly Lie[] {
  const widest = new Map<number, number>();
  for (const { kind, across } of lies) widest.set(kind, Math.max(across, widest.get(kind) ?? 0));
  return lies.filter(({ kind, across }) => across === widest.get(kind));
}
