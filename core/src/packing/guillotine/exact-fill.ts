import { intAt, valueAt, bitsAt } from '../../quantity';
import { itemSubsetsOf } from '../exact/item-subsets';
import type { Strip, Stack } from './strip-shape';
import { exactFillStack, subsetSumStacksOf, reaches } from './subset-sum-stacks';
import { addLonger, holds } from './subset-sum-bits';
import type { Orientation } from '../problem/packing-problem';
import { byWidth } from './strip-patterns';
import { fillableFrom, setsThatFill } from './width-sets';

interface ExactFillSearch {
  readonly width: number;
  /** Ways of lying, one for each item type. */
  readonly orientations: readonly Orientation[];
  /** How many pieces of each item type there are. */
  readonly left: Int32Array;
  readonly mostStrip: number;
  readonly mostStacks: number;
  /** Stacks of a strip that can lie at a factory edge. */
  readonly edges: number;
  /** Strips that are tried, at most. */
  readonly mostTries: number;
  readonly random: () => number;
  /**
   * Asked for the other pieces when no more of them than so many subsets are left, or when no strip goes
   * on: what it makes of them ends the search.
   */
  readonly mostAtEnd: number;
  readonly end: (left: Int32Array, strips: readonly Strip[], along: number) => readonly Strip[] | undefined;
}

/**
 * Pieces of one width that are left, one entry a piece; as bits the lengths that stacks of them reach, and
 * those of them that need no edge.
 */
interface WidthClass {
  readonly across: number;
  readonly pieces: readonly Orientation[];
  readonly total: number;
  readonly bits: Uint32Array;
  readonly inner: Uint32Array;
}

/** Lengths that a stack reaches, at an edge and away from one; absent: its anchor wants an edge. */
interface StackReach {
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
 * Strips that fill the roll across and along, one after the other, going back where none goes on. Each holds
 * the longest of the widest pieces left, mostly: in some strip it must lie.
 * @returns what `end` makes of the rest, the first that is of use; undefined when none is, or after so many
 * tries
 */
export function exactFill(search: ExactFillSearch): readonly Strip[] | undefined {
  const { width, orientations, left, mostStrip } = search;
  const widths = byWidth(orientations, left);
  const words = (mostStrip >> 5) + 1;
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
    strips: readonly Strip[],
    along: number,
  ): readonly Strip[] | undefined {
    if (itemSubsetsOf(rest) <= search.mostAtEnd) return search.end(rest, strips, along);
    const first = classes.findIndex(({ pieces }) => pieces.length > 0);
    const anchor = anchorOf(classes[first]?.pieces ?? [], search.random);
    if (anchor === undefined) return search.end(rest, strips, along);
    let tried = 0;
    for (const choice of choicesOf(classes, first, anchor, canFill, words, search)) {
      if (tries <= 0 || tried >= WAYS_ON) return undefined;
      tries -= 1;
      const filled = stripOf(classes, choice, anchor, words, search);
      if (filled === undefined) continue;
      tried += 1;
      const after = leftAfter(rest, filled.strip);
      const whole = go(filled.classes, after, [...strips, filled.strip], along + choice.along);
      if (whole !== undefined) return whole;
    }
    return tried === 0 ? search.end(rest, strips, along) : undefined;
  }
}

function leftAfter(left: Int32Array, { stacks }: Strip): Int32Array {
  const after = Int32Array.from(left);
  for (const { pieces } of stacks)
    for (const { itemType } of pieces) after[itemType] = intAt(after, itemType) - 1;
  return after;
}

function classOf(across: number, pieces: readonly Orientation[], words: number): WidthClass {
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
function reachedBy(pieces: readonly Orientation[], words: number, first: number): Uint32Array {
  const bits = new Uint32Array(words);
  if (first >> 5 < words) bits[first >> 5] = 1 << (first & 31);
  for (const { along } of pieces) addLonger(bits, bits, along);
  return bits;
}

function anchorOf(pieces: readonly Orientation[], random: () => number): Orientation | undefined {
  if (random() >= LONGEST_FIRST) return pieces[Math.floor(random() * pieces.length)];
  return pieces.reduce<Orientation | undefined>(
    (longest, piece) => (longest === undefined || piece.along > longest.along ? piece : longest),
    undefined,
  );
}

/** Where the anchor's stack can end: with any of the others on top of it, and with those wanting no edge. */
function reachedOn(anchor: Orientation, { pieces, bits, inner }: WidthClass, words: number): StackReach {
  const others = withoutOne(pieces, anchor);
  const anchored = reachedBy(others, words, anchor.along);
  if (anchor.wantsEdge) return { bits: anchored, inner: undefined };
  if (inner === bits) return { bits: anchored, inner: anchored };
  const inside = others.filter(({ wantsEdge }) => !wantsEdge);
  return { bits: anchored, inner: reachedBy(inside, words, anchor.along) };
}

/** Widths that fill the roll, and lengths at which all of them can end, the likeliest first. */
function choicesOf(
  classes: readonly WidthClass[],
  first: number,
  anchor: Orientation,
  canFill: readonly Uint32Array[],
  words: number,
  { width, mostStrip, mostStacks, edges, random }: ExactFillSearch,
): readonly Choice[] {
  const anchorClass = classes[first];
  if (anchorClass === undefined) return [];
  const anchored = reachedOn(anchor, anchorClass, words);
  const choices: Choice[] = [];
  const common = new Uint32Array(words);
  const stock = {
    widths: classes.map(({ across }) => across),
    counts: classes.map(({ pieces }) => pieces.length),
  };
  for (const set of setsThatFill(width, stock, [first], canFill, {
    mostStacks,
    mostNodes: MOST_SET_NODES,
    mostSets: MOST_SETS,
    random,
  })) {
    const stacks = set.map((index, place): StackReach => (place === 0 ? anchored : valueAt(classes, index)));
    common.fill(~0);
    for (const { bits } of stacks)
      for (let word = 0; word < words; word += 1) common[word] = bitsAt(common, word) & bitsAt(bits, word);
    addEnds(choices, set, stacks, common, classes, { mostStrip, edges, random });
    if (choices.length >= MOST_CHOICES) break;
  }
  return choices.sort((a, b) => b.rank - a.rank);
}

/** Adds lengths at which all stacks of a set can end: where shares are used up, then some by chance. */
function addEnds(
  found: Choice[],
  set: readonly number[],
  stacks: readonly StackReach[],
  common: Uint32Array,
  classes: readonly WidthClass[],
  { mostStrip, edges, random }: Pick<ExactFillSearch, 'mostStrip' | 'edges' | 'random'>,
): void {
  const words = common.length;
  /**
   * Where each stack's share of what is left of its width ends, when the stacks of this strip use it up.
   */
  const shares = set.map(
    (index) => valueAt(classes, index).total / set.filter((other) => other === index).length,
  );
  const add = (along: number): void => {
    if (
      along > mostStrip ||
      along <= 0 ||
      !holds(common, along) ||
      stacks.filter((stack) => needsEdge(stack, along)).length > edges
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
    for (let bits = bitsAt(common, word); bits !== 0 && taken < CHOICES_A_SET; bits &= bits - 1) {
      add((word << 5) + (31 - Math.clz32(bits & -bits)));
      taken += 1;
    }
  }
}

/**
 * The strip of a choice, and what is left of each width.
 * @returns undefined when stacks of one width take the same pieces from one another
 */
function stripOf(
  classes: readonly WidthClass[],
  { classes: set, along }: Choice,
  anchor: Orientation,
  words: number,
  { edges, random }: ExactFillSearch,
): { readonly strip: Strip; readonly classes: readonly WidthClass[] } | undefined {
  const after = [...classes];
  const stacks: Stack[] = [];
  const touched = new Map<number, readonly Orientation[]>();
  const needing = set.map((index, place) =>
    place === 0
      ? anchor.wantsEdge || needsEdge(innerAfter(valueAt(classes, index), anchor, words), along)
      : needsEdge(valueAt(classes, index), along),
  );
  /** Edges that no stack needs are for those that have pieces for them. */
  let spare = edges - needing.filter((needs) => needs).length;
  for (const [place, index] of set.entries()) {
    const { across, pieces: all, inner, bits } = valueAt(classes, index);
    const pieces = touched.get(index) ?? all;
    const open = place === 0 ? withoutOne(pieces, anchor) : pieces;
    const isAtEdge = needing[place] === true || (inner !== bits && spare > 0);
    if (isAtEdge && needing[place] !== true) spare -= 1;
    const stacked = subsetSumStacksOf(
      longestFirst(isAtEdge ? open : open.filter(({ wantsEdge }) => !wantsEdge), random),
      along,
    );
    const rest = place === 0 ? along - anchor.along : along;
    if (rest < 0 || !reaches(stacked, rest)) return undefined;
    const stackPieces = [...(place === 0 ? [anchor] : []), ...exactFillStack(stacked, rest)];
    touched.set(index, stackPieces.reduce(withoutOne, pieces));
    stacks.push({ across, pieces: stackPieces });
  }
  for (const [index, pieces] of touched)
    after[index] = classOf(valueAt(classes, index).across, pieces, words);
  return {
    strip: { along, stacks, filled: stacks.reduce((sum, { across }) => sum + across * along, 0) },
    classes: after,
  };
}

/** Whether a stack ends there only with a piece that wants an edge. */
function needsEdge({ inner }: Pick<StackReach, 'inner'>, along: number): boolean {
  return inner === undefined || !holds(inner, along);
}

/** What the anchor's stack reaches with pieces that want no edge on top of it. */
function innerAfter({ pieces }: WidthClass, anchor: Orientation, words: number): Pick<StackReach, 'inner'> {
  return {
    inner: reachedBy(
      withoutOne(pieces, anchor).filter(({ wantsEdge }) => !wantsEdge),
      words,
      anchor.along,
    ),
  };
}

function withoutOne(pieces: readonly Orientation[], taken: Orientation): readonly Orientation[] {
  const at = pieces.findIndex(({ itemType }) => itemType === taken.itemType);
  return at < 0 ? pieces : [...pieces.slice(0, at), ...pieces.slice(at + 1)];
}

/**
 * Long pieces are used first, roughly: short ones are left to fill with. Those that want an edge go before
 * others.
 */
function longestFirst(pieces: readonly Orientation[], random: () => number): readonly Orientation[] {
  return pieces
    .map((piece) => ({ piece, key: piece.along * (0.5 + random()) * (piece.wantsEdge ? WISHING_FIRST : 1) }))
    .sort((a, b) => b.key - a.key)
    .map(({ piece }) => piece);
}
