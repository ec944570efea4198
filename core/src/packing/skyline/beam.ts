import { floatAt, intAt, countAt, valueAt } from '../../quantity';
import type { Orientation, PackingProblem } from '../problem/packing-problem';
import {
  type Skylines,
  coverSkylineSegment,
  lowestSkylineSegment,
  raiseSkylineSegment,
  roomForSkylines,
} from './skylines';
import { type OrientationTable, canFill, orientationTable } from './orientation-table';
import { lossOf } from './loss';
import { NO_HASH, type Candidates, bestFirst, isKnown, roomForCandidates, slotOf } from './candidates';

/** Where a piece lies, in steps. */
export interface PieceMove {
  readonly orientation: Orientation;
  readonly x: number;
  readonly y: number;
}

/**
 * A way of looking: how many skylines are kept side by side, how many pieces are tried on each, how much
 * chance is in it.
 */
export interface BeamWeights {
  readonly skylines: number;
  readonly tries: number;
  readonly chance: number;
  /** How much speaks against trying a piece for what it loses on its first row of steps. */
  readonly firstRow: number;
  /**
   * Steps of length a segment of the skyline counts against it: where edges meet a segment ends, and edges
   * that meet by chance are few.
   */
  readonly segmentCharge: number;
  /**
   * Steps of length each piece is worth, by item type: no pieces side by side across the roll are worth more
   * than the length they take.
   */
  readonly dualPrice: readonly number[];
  /**
   * Steps of length that speak for a skyline for each piece it holds, by item type: what is hard to lay is
   * better laid soon.
   */
  readonly priority: readonly number[];
  readonly random: () => number;
}

/** Pieces that lie together across the whole roll, from 0 to `along`. */
export interface Block {
  readonly moves: readonly PieceMove[];
  readonly along: number;
}

/** Skyline and piece after piece: all placings ever kept, each with the one before it. */
interface PlacementLog {
  readonly before: number[];
  readonly orientation: number[];
  readonly x: number[];
  readonly y: number[];
}

const NOTHING = -1;
const FIT = 2;
const SLIVER = 1.5;
const FLUSH = 0.8;
const FILLABLE = 0.5;
const YIELD_EVERY = 300;
/**
 * A cheap pseudo-random number per candidate.
 * @source multiplier of the C standard's example generator (from memory)
 */
const DICE = 1_103_515_245;
/** So many times what is kept is put in order; alike skylines are among it. */
const RANKED = 1.5;

/**
 * Beam search over skylines: each of the best few partial layouts grows by one piece on its lowest segment;
 * those with the least certain waste for what they hold survive. Cost: pieces × beam width × candidates.
 * @source beam search, Lowerre 1976; skyline placement, Burke, Kendall and Whitwell 2004 (both from memory)
 * @param pieces how many of each item type
 * @param most only a shorter layout is of use
 * @returns undefined when every skyline grew too long; yields now and then so that it can be stopped
 */
export function* beam(
  problem: PackingProblem,
  pieces: Uint16Array,
  weights: BeamWeights,
  most: number,
): Generator<undefined, Block | undefined> {
  const total = pieces.reduce((sum, count) => sum + count, 0);
  const dualPrice = worthOf(pieces, weights.dualPrice);
  const table = orientationTable(problem, pieces, weights.dualPrice);
  const present = [...pieces].filter((count) => count > 0);
  const rows = (): Skylines => roomForSkylines(weights.skylines, total + 2, present.length);
  let [skylines, next] = [rows(), rows()];
  const candidates = roomForCandidates(weights.skylines * weights.tries, weights.skylines);
  const order = new Float64Array(weights.skylines * weights.tries);
  const log: PlacementLog = { before: [], orientation: [], x: [], y: [] };
  skylines.segmentCount[0] = 1;
  skylines.left.set(present);
  skylines.narrowest[0] = table.across[0] ?? problem.width;
  skylines.placing[0] = NOTHING;
  const slack = most - 1 - dualPrice + 1e-6 * most;
  let [kept, looked] = [1, 0];
  for (let placed = 0; placed < total; placed += 1) {
    candidates.count = 0;
    for (let row = 0; row < kept; row += 1) {
      const seed = Math.floor(weights.random() * 0x7fffffff);
      candidate(table, skylines, row, weights, seed, slack, most, candidates);
    }
    if (candidates.count === 0) return undefined;
    looked += kept;
    kept = keepBest(table, skylines, next, candidates, order, weights.skylines, log);
    [skylines, next] = [next, skylines];
    if (looked > YIELD_EVERY) {
      looked = 0;
      yield undefined;
    }
  }
  const best = shortest(skylines, kept);
  const along = intAt(skylines.tallest, best);
  return along < most ? { moves: movesTo(table, log, skylines.placing[best] ?? NOTHING), along } : undefined;
}

function worthOf(pieces: Uint16Array, dualPrice: readonly number[]): number {
  return pieces.reduce((sum, count, itemType) => sum + valueAt(dualPrice, itemType) * count, 0);
}

function shortest({ tallest }: Skylines, kept: number): number {
  let best = 0;
  for (let row = 1; row < kept; row += 1) if (intAt(tallest, row) < intAt(tallest, best)) best = row;
  return best;
}

const ownScores = new Float64Array(64);
const ownOrientations = new Int32Array(64);
const ownXs = new Int32Array(64);

/** The lowest segment of a skyline, and what stands beside it. */
const here = { at: 0, count: 0, from: 0, to: 0, y: 0, leftWall: 0, rightWall: 0, narrowest: 0 };

function lookAtLowest(skylines: Skylines, row: number, width: number): void {
  const base = row * skylines.stride;
  const at = lowestSkylineSegment(skylines, row);
  const count = intAt(skylines.segmentCount, row);
  here.at = at;
  here.count = count;
  here.from = intAt(skylines.starts, base + at);
  here.to = at + 1 < count ? (skylines.starts[base + at + 1] ?? width) : width;
  here.y = intAt(skylines.heights, base + at);
  here.leftWall = at === 0 ? Number.POSITIVE_INFINITY : intAt(skylines.heights, base + at - 1);
  here.rightWall = at === count - 1 ? Number.POSITIVE_INFINITY : intAt(skylines.heights, base + at + 1);
  here.narrowest = intAt(skylines.narrowest, row);
}

/**
 * The pieces worth trying on the lowest segment of a skyline. Segments too narrow for anything are filled up
 * first.
 */
function candidate(
  table: OrientationTable,
  skylines: Skylines,
  row: number,
  weights: BeamWeights,
  seed: number,
  slack: number,
  most: number,
  candidates: Candidates,
): void {
  for (;;) {
    const wasted = floatAt(skylines.waste, row);
    if (wasted > slack) return;
    lookAtLowest(skylines, row, table.width);
    const count = bestHere(table, skylines, row * skylines.itemTypes, weights, seed, most);
    for (let choice = 0; choice < count; choice += 1)
      noteCandidate(table, skylines, row, choice, weights, wasted, slack, candidates);
    if (count > 0) return;
    const wall = Math.min(here.leftWall, here.rightWall);
    if (!Number.isFinite(wall)) return;
    raiseSkylineSegment(skylines, row, here.at, wall);
    /** What is too narrow for anything was lost when the piece beside it was laid. */
    const gap = here.to - here.from;
    if (gap >= here.narrowest) skylines.waste[row] = wasted + floatAt(table.room, gap) * (wall - here.y);
  }
}

/** The most promising pieces for the lowest segment, into `ownOrientations` and `ownXs`. @returns how many */
function bestHere(
  table: OrientationTable,
  skylines: Skylines,
  leftBase: number,
  { tries, chance, firstRow }: BeamWeights,
  seed: number,
  most: number,
): number {
  const { width, across, along, itemType, wantsEdge, rate, room, base } = table;
  const { from, to, y, leftWall, rightWall, narrowest } = here;
  const gap = to - from;
  const isInside = from !== 0 && to !== width;
  const roomHere = floatAt(room, gap);
  let [found, worst, dice] = [0, 0, seed];
  for (let index = 0; index < across.length; index += 1) {
    const wide = intAt(across, index);
    if (wide > gap) break;
    if (skylines.left[leftBase + intAt(itemType, index)] === 0) continue;
    const top = y + intAt(along, index);
    if (top >= most || (isInside && wantsEdge[index] === 1)) continue;
    const rest = gap - wide;
    const flushLeft = top === leftWall;
    const flushRight = top === rightWall;
    dice = (Math.imul(dice, DICE) + 12_345) & 0x7fffffff;
    let score =
      floatAt(base, index) + chance * (dice / 0x80000000) + gapScore(table, skylines, leftBase, rest);
    score -= firstRow * (roomHere - floatAt(rate, index) - (rest < narrowest ? 0 : floatAt(room, rest)));
    if (flushLeft || flushRight) score += FLUSH;
    if (found === tries && score <= floatAt(ownScores, worst)) continue;
    if (found < tries) {
      worst = found;
      found += 1;
    }
    ownScores[worst] = score;
    ownOrientations[worst] = index;
    ownXs[worst] = liesLeft(wantsEdge[index] === 1, rest, flushLeft, flushRight) ? from : to - wide;
    if (found === tries) worst = leastPromising(found);
  }
  return found;
}

/** Against the left wall of the gap: at the edge of the film, where tops are flush, or where it is taller. */
function liesLeft(wantsEdge: boolean, rest: number, flushLeft: boolean, flushRight: boolean): boolean {
  if (wantsEdge) return here.from === 0;
  return rest === 0 || flushLeft || (!flushRight && here.leftWall >= here.rightWall);
}

/** What the gap a piece leaves beside it speaks for or against it. */
function gapScore(table: OrientationTable, skylines: Skylines, leftBase: number, rest: number): number {
  if (rest === 0) return FIT;
  if (rest < here.narrowest) return (-SLIVER * rest) / (here.to - here.from);
  return canFill(table, skylines, leftBase, rest) ? FILLABLE : 0;
}

function leastPromising(found: number): number {
  let worst = 0;
  for (let other = 1; other < found; other += 1)
    if (floatAt(ownScores, other) < floatAt(ownScores, worst)) worst = other;
  return worst;
}

/** Enters one of them among the candidates, unless it would waste too much. */
function noteCandidate(
  table: OrientationTable,
  skylines: Skylines,
  row: number,
  choice: number,
  { segmentCharge, priority }: BeamWeights,
  wasted: number,
  slack: number,
  candidates: Candidates,
): void {
  const { at, count, from, to, y, leftWall, rightWall } = here;
  const index = intAt(ownOrientations, choice);
  const x = intAt(ownXs, choice);
  const waste = wasted + lossOf(table, skylines, row, at, from, to, x, index);
  if (waste > slack) return;
  const rest = to - from - intAt(table.across, index);
  const [beside, other] = x === from ? [leftWall, rightWall] : [rightWall, leftWall];
  const slot = candidates.count;
  candidates.count += 1;
  candidates.row[slot] = row;
  candidates.at[slot] = at;
  candidates.orientation[slot] = index;
  candidates.x[slot] = x;
  candidates.waste[slot] = waste;
  const top = y + intAt(table.along, index);
  const segmentCount =
    count + (rest > 0 ? 1 : 0) - (top === beside ? 1 : 0) - (rest === 0 && top === other ? 1 : 0);
  candidates.priority[slot] =
    floatAt(skylines.priority, row) + valueAt(priority, valueAt(table.orientations, index).itemType);
  candidates.score[slot] = waste - floatAt(candidates.priority, slot) + segmentCharge * segmentCount;
}

/** Grows the best candidates into skylines, each skyline once. @returns how many */
function keepBest(
  table: OrientationTable,
  skylines: Skylines,
  next: Skylines,
  candidates: Candidates,
  order: Float64Array,
  most: number,
  log: PlacementLog,
): number {
  const ranked = bestFirst(candidates, order, Math.ceil(RANKED * most));
  const { marks } = candidates;
  marks.fill(NO_HASH);
  let kept = 0;
  for (const key of ranked) {
    const slot = slotOf(key);
    const index = intAt(candidates.orientation, slot);
    const x = intAt(candidates.x, slot);
    const row = intAt(candidates.row, slot);
    const held = floatAt(skylines.dualPrice, row) + floatAt(table.dualPrice, index);
    const waste = floatAt(candidates.waste, slot);
    const mark = held * 7.13 + waste * 3.77 + x * 0.31 + intAt(table.along, index) * 0.017;
    if (isKnown(marks, mark)) continue;
    grow(table, skylines, row, next, kept, intAt(candidates.at, slot), index, x, log);
    next.waste[kept] = waste;
    next.dualPrice[kept] = held;
    next.priority[kept] = floatAt(candidates.priority, slot);
    kept += 1;
    if (kept === most) break;
  }
  return kept;
}

function grow(
  { width, across, along, itemType }: OrientationTable,
  skylines: Skylines,
  row: number,
  next: Skylines,
  into: number,
  at: number,
  index: number,
  x: number,
  log: PlacementLog,
): void {
  const base = row * skylines.stride;
  const y = intAt(skylines.heights, base + at);
  const wide = intAt(across, index);
  const top = y + intAt(along, index);
  const end = at + 1 < intAt(skylines.segmentCount, row) ? (skylines.starts[base + at + 1] ?? width) : width;
  coverSkylineSegment(skylines, row, next, into, at, x, x + wide, end, top);
  const leftBase = into * next.itemTypes;
  for (let itemPlace = 0, from = row * skylines.itemTypes; itemPlace < next.itemTypes; itemPlace += 1)
    next.left[leftBase + itemPlace] = countAt(skylines.left, from + itemPlace);
  const ownItemType = leftBase + intAt(itemType, index);
  next.left[ownItemType] = (next.left[ownItemType] ?? 1) - 1;
  let narrowest = intAt(skylines.narrowest, row);
  if (next.left[ownItemType] === 0 && wide <= narrowest) {
    narrowest = width;
    for (let other = 0; other < across.length; other += 1)
      if (countAt(next.left, leftBase + intAt(itemType, other)) > 0) {
        narrowest = across[other] ?? width;
        break;
      }
  }
  next.narrowest[into] = narrowest;
  next.tallest[into] = Math.max(intAt(skylines.tallest, row), top);
  next.placing[into] = log.orientation.length;
  log.before.push(skylines.placing[row] ?? NOTHING);
  log.orientation.push(index);
  log.x.push(x);
  log.y.push(y);
}

function movesTo({ orientations }: OrientationTable, log: PlacementLog, last: number): readonly PieceMove[] {
  const moves: PieceMove[] = [];
  for (let at = last; at >= 0; at = log.before[at] ?? NOTHING) {
    const orientation = orientations[valueAt(log.orientation, at)];
    if (orientation !== undefined) moves.push({ orientation, x: valueAt(log.x, at), y: valueAt(log.y, at) });
  }
  return moves.reverse();
}
