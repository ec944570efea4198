import { selectionsOf } from '../exact/selections';
import type { Band, Column } from './band-shape';
import { fullStack, fullStacksOf, reaches } from './full-stacks';
import { addLonger } from './reached-bits';
import type { Lie } from '../problem/strip-problem';
import { byWidth } from './strips';
import { fillableFrom, setsThatFill } from './width-sets';

export interface WasteFreeSearch {
  readonly width: number;
  /** Ways of lying, one for each kind. */
  readonly lies: readonly Lie[];
  /** How many pieces of each kind there are. */
  readonly left: Int32Array;
  readonly mostBand: number;
  readonly mostColumns: number;
  /** Columns of a band that can lie at a factory edge. */
  readonly edges: number;
  /** Bands that are tried, at most. */
  readonly mostTries: number;
  readonly random: () => number;
  /**
   * Asked for the other pieces when no more of them than so many selections are left, or when no band goes
   * on: what it makes of them ends the search.
   */
  readonly mostAtEnd: number;
  readonly end: (left: Int32Array, bands: readonly Band[], along: number) => readonly Band[] | undefined;
}

/**
 * Pieces of one width that are left, one entry a piece; as bits the lengths that stacks of them reach, and
 * those of them that need no edge.
 */
interface WidthClass {
  readonly across: number;
  readonly pieces: readonly Lie[];
  readonly total: number;
  readonly bits: Uint32Array;
  readonly inner: Uint32Array;
}

/** Lengths that a column reaches, at an edge and away from one; absent: its anchor wants an edge. */
interface ColumnReach {
  readonly bits: Uint32Array;
  readonly inner?: Uint32Array | undefined;
}

interface Choice {
  readonly classes: readonly number[];
  readonly along: number;
  readonly rank: number;
}

const MOST_SETS = 400;
const MOST_SET_NODES = 4000;
const MOST_CHOICES = 60;
const CHOICES_A_SET = 3;
const WAYS_ON = 3;
/** How often a width that is used up at once goes before others: it was perhaps cut there. */
const USED_UP_FIRST = 0.8;
const LONGEST_FIRST = 0.7;
const WISHING_FIRST = 2;

/**
 * Bands that fill the roll across and along, one after the other, going back where none goes on. Each holds
 * the longest of the widest pieces left, mostly: in some band it must lie.
 * @returns what `end` makes of the rest, the first that is of use; undefined when none is, or after so many
 * tries
 */
export function withoutWaste(search: WasteFreeSearch): readonly Band[] | undefined {
  const { width, lies, left, mostBand } = search;
  const widths = byWidth(lies, left);
  const words = (mostBand >> 5) + 1;
  const canFill = fillableFrom(
    width,
    widths.map(({ across }) => across),
  );
  let tries = search.mostTries;
  return go(
    widths.map(({ across, pieces }) => classOf(across, pieces, words)),
    Int32Array.from(left),
    [],
    0,
  );

  function go(
    classes: readonly WidthClass[],
    rest: Int32Array,
    bands: readonly Band[],
    along: number,
  ): readonly Band[] | undefined {
    if (selectionsOf(rest) <= search.mostAtEnd) return search.end(rest, bands, along);
    const first = classes.findIndex(({ pieces }) => pieces.length > 0);
    const anchor = anchorOf(classes[first]?.pieces ?? [], search.random);
    if (anchor === undefined) return search.end(rest, bands, along);
    let ways = 0;
    for (const choice of choicesOf(classes, first, anchor, canFill, words, search)) {
      if (tries <= 0 || ways >= WAYS_ON) return undefined;
      tries -= 1;
      const made = bandOf(classes, choice, anchor, words, search);
      if (made === undefined) continue;
      ways += 1;
      const after = Int32Array.from(rest);
      for (const { pieces } of made.band.columns)
        for (const { kind } of pieces) after[kind] = (after[kind] ?? 0) - 1;
      const found = go(made.classes, after, [...bands, made.band], along + choice.along);
      if (found !== undefined) return found;
    }
    return ways === 0 ? search.end(rest, bands, along) : undefined;
  }
}

function classOf(across: number, pieces: readonly Lie[], words: number): WidthClass {
  const bits = reachedBy(pieces, words, 0);
  return {
    across,
    pieces,
    total: pieces.reduce((sum, { along }) => sum + along, 0),
    bits,
    inner: pieces.some(({ wantsEdge }) => wantsEdge)
      ? reachedBy(
          pieces.filter(({ wantsEdge }) => !wantsEdge),
          words,
          0,
        )
      : bits,
  };
}

/** As bits, the lengths that stacks of these pieces reach on top of a first length. */
function reachedBy(pieces: readonly Lie[], words: number, first: number): Uint32Array {
  const bits = new Uint32Array(words);
  if (first >> 5 < words) bits[first >> 5] = 1 << (first & 31);
  for (const { along } of pieces) addLonger(bits, bits, along);
  return bits;
}

function anchorOf(pieces: readonly Lie[], random: () => number): Lie | undefined {
  if (random() >= LONGEST_FIRST) return pieces[Math.floor(random() * pieces.length)];
  return pieces.reduce<Lie | undefined>(
    (longest, piece) => (longest === undefined || piece.along > longest.along ? piece : longest),
    undefined,
  );
}

/** Widths that fill the roll, and lengths at which all of them can end, the likeliest first. */
function choicesOf(
  classes: readonly WidthClass[],
  first: number,
  anchor: Lie,
  canFill: readonly Uint32Array[],
  words: number,
  { width, mostBand, mostColumns, edges, random }: WasteFreeSearch,
): readonly Choice[] {
  const own = classes[first];
  if (own === undefined) return [];
  const others = withoutOne(own.pieces, anchor);
  const anchored = reachedBy(others, words, anchor.along);
  const anchoredInner = anchor.wantsEdge
    ? undefined
    : own.inner === own.bits
      ? anchored
      : reachedBy(
          others.filter(({ wantsEdge }) => !wantsEdge),
          words,
          anchor.along,
        );
  const found: Choice[] = [];
  const common = new Uint32Array(words);
  const stock = {
    widths: classes.map(({ across }) => across),
    counts: classes.map(({ pieces }) => pieces.length),
  };
  for (const set of setsThatFill(width, stock, [first], canFill, {
    mostColumns,
    mostNodes: MOST_SET_NODES,
    mostSets: MOST_SETS,
    random,
  })) {
    const columns = set.map((index, place): ColumnReach =>
      place === 0 ? { bits: anchored, inner: anchoredInner } : (classes[index] as WidthClass),
    );
    common.fill(~0);
    for (const { bits } of columns)
      for (let word = 0; word < words; word += 1)
        common[word] = (common[word] as number) & (bits[word] as number);
    addEnds(found, set, columns, common, classes, { mostBand, edges, random });
    if (found.length >= MOST_CHOICES) break;
  }
  return found.sort((a, b) => b.rank - a.rank);
}

/** Adds lengths at which all columns of a set can end: where shares are used up, then some by chance. */
function addEnds(
  found: Choice[],
  set: readonly number[],
  columns: readonly ColumnReach[],
  common: Uint32Array,
  classes: readonly WidthClass[],
  { mostBand, edges, random }: Pick<WasteFreeSearch, 'mostBand' | 'edges' | 'random'>,
): void {
  const words = common.length;
  /**
   * Where each column's share of what is left of its width ends, when the columns of this band use it up.
   */
  const shares = set.map(
    (index) => (classes[index]?.total ?? 0) / set.filter((other) => other === index).length,
  );
  const add = (along: number): void => {
    if (
      along > mostBand ||
      along <= 0 ||
      !holds(common, along) ||
      columns.filter((column) => needsEdge(column, along)).length > edges
    )
      return;
    const usedUp = shares.reduce((sum, share) => sum + (share === along ? 1 : 0), 0);
    found.push({ classes: set, along, rank: (random() < USED_UP_FIRST ? usedUp : 0) + random() * 0.5 });
  };
  for (const share of new Set(shares)) if (Number.isInteger(share) && share >> 5 < words) add(share);
  let taken = 0;
  const turn = Math.floor(random() * words);
  for (let step = 0; step < words && taken < CHOICES_A_SET; step += 1) {
    const word = (turn + step) % words;
    for (let bits = common[word] as number; bits !== 0 && taken < CHOICES_A_SET; bits &= bits - 1) {
      add((word << 5) + (31 - Math.clz32(bits & -bits)));
      taken += 1;
    }
  }
}

/**
 * The band of a choice, and what is left of each width.
 * @returns undefined when columns of one width take the same pieces from one another
 */
function bandOf(
  classes: readonly WidthClass[],
  { classes: set, along }: Choice,
  anchor: Lie,
  words: number,
  { edges, random }: WasteFreeSearch,
): { readonly band: Band; readonly classes: readonly WidthClass[] } | undefined {
  const after = [...classes];
  const columns: Column[] = [];
  const touched = new Map<number, readonly Lie[]>();
  const needing = set.map((index, place) =>
    place === 0
      ? anchor.wantsEdge || needsEdge(innerAfter(classes[index] as WidthClass, anchor, words), along)
      : needsEdge(classes[index] as WidthClass, along),
  );
  /** Edges that no column needs are for those that have pieces for them. */
  let spare = edges - needing.filter((needs) => needs).length;
  for (const [place, index] of set.entries()) {
    const { across, pieces: all, inner, bits } = classes[index] as WidthClass;
    const pieces = touched.get(index) ?? all;
    const open = place === 0 ? withoutOne(pieces, anchor) : pieces;
    const isAtEdge = needing[place] === true || (inner !== bits && spare > 0);
    if (isAtEdge && needing[place] !== true) spare -= 1;
    const stacked = fullStacksOf(
      longestFirst(isAtEdge ? open : open.filter(({ wantsEdge }) => !wantsEdge), random),
      along,
    );
    const rest = place === 0 ? along - anchor.along : along;
    if (rest < 0 || !reaches(stacked, rest)) return undefined;
    const own = [...(place === 0 ? [anchor] : []), ...fullStack(stacked, rest)];
    touched.set(index, own.reduce(withoutOne, pieces));
    columns.push({ across, pieces: own });
  }
  for (const [index, pieces] of touched) after[index] = classOf(classes[index]?.across ?? 0, pieces, words);
  return {
    band: { along, columns, filled: columns.reduce((sum, { across }) => sum + across * along, 0) },
    classes: after,
  };
}

function holds(bits: Uint32Array, along: number): boolean {
  return (((bits[along >> 5] as number) >>> (along & 31)) & 1) === 1;
}

/** Whether a column ends there only with a piece that wants an edge. */
function needsEdge({ inner }: Pick<ColumnReach, 'inner'>, along: number): boolean {
  return inner === undefined || !holds(inner, along);
}

/** What the anchor's column reaches with pieces that want no edge on top of it. */
function innerAfter({ pieces }: WidthClass, anchor: Lie, words: number): Pick<ColumnReach, 'inner'> {
  return {
    inner: reachedBy(
      withoutOne(pieces, anchor).filter(({ wantsEdge }) => !wantsEdge),
      words,
      anchor.along,
    ),
  };
}

function withoutOne(pieces: readonly Lie[], taken: Lie): readonly Lie[] {
  const at = pieces.findIndex(({ kind }) => kind === taken.kind);
  return at < 0 ? pieces : [...pieces.slice(0, at), ...pieces.slice(at + 1)];
}

/**
 * Long pieces are used first, roughly: short ones are left to fill with. Those that want an edge go before
 * others.
 */
function longestFirst(pieces: readonly Lie[], random: () => number): readonly Lie[] {
  return pieces
    .map((piece) => ({ piece, key: piece.along * (0.5 + random()) * (piece.wantsEdge ? WISHING_FIRST : 1) }))
    .sort((a, b) => b.key - a.key)
    .map(({ piece }) => piece);
}
