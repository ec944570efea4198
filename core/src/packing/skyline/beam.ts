import type { Lie, StripProblem } from '../problem/strip-problem';
import { type Fronts, coverStretch, lowestStretch, raiseStretch, roomForFronts } from './fronts';
import { type LieTable, canFill, lieTable } from './lie-table';
import { lossOf } from './loss';
import { NO_MARK, type Offers, bestFirst, isKnown, roomForOffers, slotOf } from './offers';

/** Where a piece lies, in steps. */
export interface PieceMove {
  readonly lie: Lie;
  readonly x: number;
  readonly y: number;
}

/**
 * A way of looking: how many fronts are kept side by side, how many pieces are tried on each, how much chance
 * is in it.
 */
export interface BeamWays {
  readonly fronts: number;
  readonly tries: number;
  readonly chance: number;
  /** How much speaks against trying a piece for what it loses on its first row of steps. */
  readonly firstRow: number;
  /**
   * Steps of length a stretch of the front counts against it: where edges meet a stretch ends, and edges that
   * meet by chance are few.
   */
  readonly stretch: number;
  /**
   * Steps of length each piece is worth, by kind: no pieces side by side across the roll are worth more than
   * the length they take.
   */
  readonly worth: readonly number[];
  /**
   * Steps of length that speak for a front for each piece it holds, by kind: what is hard to lay is better
   * laid soon.
   */
  readonly soon: readonly number[];
  readonly random: () => number;
}

/** Pieces that lie together across the whole roll, from 0 to `along`. */
export interface Block {
  readonly moves: readonly PieceMove[];
  readonly along: number;
}

/** Front and piece after piece: all placings ever kept, each with the one before it. */
interface Book {
  readonly before: number[];
  readonly lie: number[];
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
 * A cheap throw for each piece looked at.
 * @source multiplier of the C standard's example generator (from memory)
 */
const DICE = 1_103_515_245;
/** So many times what is kept is put in order; alike fronts are among it. */
const RANKED = 1.5;

/**
 * Lays pieces: many fronts side by side grow piece by piece on their lowest stretch; those with the least
 * waste for what they hold go on.
 * @param pieces how many of each kind
 * @param most only a shorter layout is of use
 * @returns undefined when every front grew too long; yields now and then so that it can be stopped
 */
export function* beam(
  problem: StripProblem,
  pieces: Uint16Array,
  ways: BeamWays,
  most: number,
): Generator<undefined, Block | undefined> {
  const { width, kinds } = problem;
  let [total, worth] = [0, 0];
  kinds.forEach((_, kind) => {
    total += pieces[kind] ?? 0;
    worth += (ways.worth[kind] ?? 0) * (pieces[kind] ?? 0);
  });
  const table = lieTable(problem, pieces, ways.worth);
  const present = kinds.flatMap((_, kind) => ((pieces[kind] ?? 0) > 0 ? [pieces[kind] ?? 0] : []));
  const stride = total + 2;
  let [fronts, next] = [
    roomForFronts(ways.fronts, stride, present.length),
    roomForFronts(ways.fronts, stride, present.length),
  ];
  const offers = roomForOffers(ways.fronts * ways.tries, ways.fronts);
  const order = new Float64Array(ways.fronts * ways.tries);
  const book: Book = { before: [], lie: [], x: [], y: [] };
  fronts.stretches[0] = 1;
  fronts.left.set(present);
  fronts.narrowest[0] = table.across[0] ?? width;
  fronts.placing[0] = NOTHING;
  const slack = most - 1 - worth + 1e-6 * most;
  let kept = 1;
  let looked = 0;
  for (let placed = 0; placed < total; placed += 1) {
    offers.count = 0;
    for (let row = 0; row < kept; row += 1)
      offer(table, fronts, row, ways, Math.floor(ways.random() * 0x7fffffff), slack, most, offers);
    if (offers.count === 0) return undefined;
    looked += kept;
    kept = keepBest(table, fronts, next, offers, order, ways.fronts, book);
    [fronts, next] = [next, fronts];
    if (looked > YIELD_EVERY) {
      looked = 0;
      yield undefined;
    }
  }
  let best = 0;
  for (let row = 1; row < kept; row += 1)
    if ((fronts.tallest[row] ?? 0) < (fronts.tallest[best] ?? 0)) best = row;
  const along = fronts.tallest[best] ?? 0;
  return along < most ? { moves: movesTo(table, book, fronts.placing[best] ?? NOTHING), along } : undefined;
}

const ownScores = new Float64Array(64);
const ownLies = new Int32Array(64);
const ownXs = new Int32Array(64);

/** The lowest stretch of a front, and what stands beside it. */
const here = { at: 0, count: 0, from: 0, to: 0, y: 0, leftWall: 0, rightWall: 0, narrowest: 0 };

function lookAtLowest(fronts: Fronts, row: number, width: number): void {
  const base = row * fronts.stride;
  const at = lowestStretch(fronts, row);
  const count = fronts.stretches[row] ?? 0;
  here.at = at;
  here.count = count;
  here.from = fronts.starts[base + at] ?? 0;
  here.to = at + 1 < count ? (fronts.starts[base + at + 1] ?? width) : width;
  here.y = fronts.heights[base + at] ?? 0;
  here.leftWall = at === 0 ? Number.POSITIVE_INFINITY : (fronts.heights[base + at - 1] ?? 0);
  here.rightWall = at === count - 1 ? Number.POSITIVE_INFINITY : (fronts.heights[base + at + 1] ?? 0);
  here.narrowest = fronts.narrowest[row] ?? 0;
}

/**
 * The pieces worth trying on the lowest stretch of a front. Stretches too narrow for anything are filled up
 * first.
 */
function offer(
  table: LieTable,
  fronts: Fronts,
  row: number,
  ways: BeamWays,
  seed: number,
  slack: number,
  most: number,
  offers: Offers,
): void {
  for (;;) {
    const wasted = fronts.waste[row] ?? 0;
    if (wasted > slack) return;
    lookAtLowest(fronts, row, table.width);
    const found = bestHere(table, fronts, row * fronts.kinds, ways, seed, most);
    for (let own = 0; own < found; own += 1) noteOffer(table, fronts, row, own, ways, wasted, slack, offers);
    if (found > 0) return;
    const wall = Math.min(here.leftWall, here.rightWall);
    if (!Number.isFinite(wall)) return;
    raiseStretch(fronts, row, here.at, wall);
    /** What is too narrow for anything was lost when the piece beside it was laid. */
    const gap = here.to - here.from;
    if (gap >= here.narrowest) fronts.waste[row] = wasted + (table.room[gap] as number) * (wall - here.y);
  }
}

/** The most promising pieces for the lowest stretch, into `ownLies` and `ownXs`. @returns how many */
function bestHere(
  table: LieTable,
  fronts: Fronts,
  leftBase: number,
  { tries, chance, firstRow }: BeamWays,
  seed: number,
  most: number,
): number {
  const { width, across, along, kind, wantsEdge, rate, room, base } = table;
  const { from, to, y, leftWall, rightWall, narrowest } = here;
  const { left } = fronts;
  const many = table.lies.length;
  const gap = to - from;
  const isInside = from !== 0 && to !== width;
  const roomHere = room[gap] as number;
  let [found, worst, dice] = [0, 0, seed];
  for (let index = 0; index < many; index += 1) {
    const wide = across[index] as number;
    if (wide > gap) break;
    if (left[leftBase + (kind[index] as number)] === 0) continue;
    const top = y + (along[index] as number);
    if (top >= most || (isInside && wantsEdge[index] === 1)) continue;
    const rest = gap - wide;
    const flushLeft = top === leftWall;
    const flushRight = top === rightWall;
    dice = (Math.imul(dice, DICE) + 12_345) & 0x7fffffff;
    let own = (base[index] as number) + chance * (dice / 0x80000000);
    if (rest === 0) own += FIT;
    else if (rest < narrowest) own -= (SLIVER * rest) / gap;
    else if (canFill(table, fronts, leftBase, rest)) own += FILLABLE;
    own -= firstRow * (roomHere - (rate[index] as number) - (rest < narrowest ? 0 : (room[rest] as number)));
    if (flushLeft || flushRight) own += FLUSH;
    if (found === tries) {
      if (own <= (ownScores[worst] ?? 0)) continue;
    } else {
      worst = found;
      found += 1;
    }
    const isLeft =
      wantsEdge[index] === 1 ? from === 0 : rest === 0 || flushLeft || (!flushRight && leftWall >= rightWall);
    ownScores[worst] = own;
    ownLies[worst] = index;
    ownXs[worst] = isLeft ? from : to - wide;
    if (found === tries) worst = leastPromising(found);
  }
  return found;
}

function leastPromising(found: number): number {
  let worst = 0;
  for (let other = 1; other < found; other += 1)
    if ((ownScores[other] ?? 0) < (ownScores[worst] ?? 0)) worst = other;
  return worst;
}

/** Enters one of them among the offers, unless it would waste too much. */
function noteOffer(
  table: LieTable,
  fronts: Fronts,
  row: number,
  own: number,
  { stretch, soon }: BeamWays,
  wasted: number,
  slack: number,
  offers: Offers,
): void {
  const { at, count, from, to, y, leftWall, rightWall } = here;
  const index = ownLies[own] ?? 0;
  const x = ownXs[own] ?? 0;
  const waste = wasted + lossOf(table, fronts, row, at, from, to, x, index);
  if (waste > slack) return;
  const rest = to - from - (table.across[index] ?? 0);
  const [beside, other] = x === from ? [leftWall, rightWall] : [rightWall, leftWall];
  const slot = offers.count;
  offers.count += 1;
  offers.row[slot] = row;
  offers.at[slot] = at;
  offers.lie[slot] = index;
  offers.x[slot] = x;
  offers.waste[slot] = waste;
  const top = y + (table.along[index] ?? 0);
  const stretches =
    count + (rest > 0 ? 1 : 0) - (top === beside ? 1 : 0) - (rest === 0 && top === other ? 1 : 0);
  offers.soon[slot] = (fronts.soon[row] ?? 0) + (soon[table.lies[index]?.kind ?? 0] ?? 0);
  offers.score[slot] = waste - (offers.soon[slot] ?? 0) + stretch * stretches;
}

/** Grows the best offers into fronts, each front once. @returns how many */
function keepBest(
  table: LieTable,
  fronts: Fronts,
  next: Fronts,
  offers: Offers,
  order: Float64Array,
  most: number,
  book: Book,
): number {
  const ranked = bestFirst(offers, order, Math.ceil(RANKED * most));
  const { marks } = offers;
  marks.fill(NO_MARK);
  let kept = 0;
  for (const key of ranked) {
    const slot = slotOf(key);
    const index = offers.lie[slot] ?? 0;
    const x = offers.x[slot] ?? 0;
    const row = offers.row[slot] ?? 0;
    const held = (fronts.worth[row] ?? 0) + (table.worth[index] ?? 0);
    const waste = offers.waste[slot] ?? 0;
    const mark = held * 7.13 + waste * 3.77 + x * 0.31 + (table.along[index] ?? 0) * 0.017;
    if (isKnown(marks, mark)) continue;
    grow(table, fronts, row, next, kept, offers.at[slot] ?? 0, index, x, book);
    next.waste[kept] = waste;
    next.worth[kept] = held;
    next.soon[kept] = offers.soon[slot] ?? 0;
    kept += 1;
    if (kept === most) break;
  }
  return kept;
}

function grow(
  { width, across, along, kind }: LieTable,
  fronts: Fronts,
  row: number,
  next: Fronts,
  into: number,
  at: number,
  index: number,
  x: number,
  book: Book,
): void {
  const base = row * fronts.stride;
  const y = fronts.heights[base + at] ?? 0;
  const wide = across[index] ?? 0;
  const top = y + (along[index] ?? 0);
  const end = at + 1 < (fronts.stretches[row] ?? 0) ? (fronts.starts[base + at + 1] ?? width) : width;
  coverStretch(fronts, row, next, into, at, x, x + wide, end, top);
  const leftBase = into * next.kinds;
  for (let own = 0, from = row * fronts.kinds; own < next.kinds; own += 1)
    next.left[leftBase + own] = fronts.left[from + own] ?? 0;
  const ownKind = leftBase + (kind[index] ?? 0);
  next.left[ownKind] = (next.left[ownKind] ?? 1) - 1;
  let narrowest = fronts.narrowest[row] ?? 0;
  if (next.left[ownKind] === 0 && wide <= narrowest) {
    narrowest = width;
    for (let other = 0; other < across.length; other += 1)
      if ((next.left[leftBase + (kind[other] ?? 0)] ?? 0) > 0) {
        narrowest = across[other] ?? width;
        break;
      }
  }
  next.narrowest[into] = narrowest;
  next.tallest[into] = Math.max(fronts.tallest[row] ?? 0, top);
  next.placing[into] = book.lie.length;
  book.before.push(fronts.placing[row] ?? NOTHING);
  book.lie.push(index);
  book.x.push(x);
  book.y.push(y);
}

function movesTo({ lies }: LieTable, book: Book, last: number): readonly PieceMove[] {
  const moves: PieceMove[] = [];
  for (let at = last; at >= 0; at = book.before[at] ?? NOTHING) {
    const lie = lies[book.lie[at] ?? 0];
    if (lie !== undefined) moves.push({ lie, x: book.x[at] ?? 0, y: book.y[at] ?? 0 });
  }
  return moves.reverse();
}
