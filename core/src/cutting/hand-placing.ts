import { type Polygon, shiftDown, swapped } from '../blanks';
import { toTenth, upToTenth } from '../quantity';

/** A piece being placed by hand, mm from the left factory edge and the roll's end. */
export interface HandPlaced {
  readonly id: string;
  readonly x_mm: number;
  readonly y_mm: number;
  readonly across_mm: number;
  readonly along_mm: number;
  /** When it is no rectangle: its corners as it lies, from its own corner. */
  readonly outline?: Polygon | undefined;
}

export interface HandRoll {
  readonly width_mm: number;
  /** Length there is; infinite when it is to be ordered. */
  readonly length_mm: number;
  readonly gap_mm: number;
  readonly endWaste_mm: number;
}

/** Why a piece cannot lie there. */
export type PlacingFault =
  | { readonly kind: 'over the edge'; readonly by_mm: number }
  | { readonly kind: 'in the end waste'; readonly by_mm: number }
  | { readonly kind: 'beyond the film'; readonly by_mm: number }
  | { readonly kind: 'overlaps'; readonly id: string; readonly by_mm: number };

const NEAR_MM = 0.05;

/**
 * @returns what is wrong with a place, or nothing. Outlines that are no rectangles may lie in one another's
 * rectangles, as nested ones do
 */
export function placingFault(
  piece: HandPlaced,
  others: readonly HandPlaced[],
  { width_mm, length_mm, gap_mm, endWaste_mm }: HandRoll,
): PlacingFault | undefined {
  const right = piece.x_mm + piece.across_mm;
  const top = piece.y_mm + piece.along_mm;
  if (piece.x_mm < -NEAR_MM || right > width_mm + NEAR_MM)
    return { kind: 'over the edge', by_mm: Math.max(-piece.x_mm, right - width_mm) };
  if (piece.y_mm < endWaste_mm - NEAR_MM)
    return { kind: 'in the end waste', by_mm: endWaste_mm - piece.y_mm };
  if (top > length_mm + NEAR_MM) return { kind: 'beyond the film', by_mm: top - length_mm };
  for (const other of others) {
    if (other.id === piece.id) continue;
    const across = Math.min(right, other.x_mm + other.across_mm) - Math.max(piece.x_mm, other.x_mm) + gap_mm;
    const along = Math.min(top, other.y_mm + other.along_mm) - Math.max(piece.y_mm, other.y_mm) + gap_mm;
    if (across <= NEAR_MM || along <= NEAR_MM) continue;
    const by = Math.min(across, along, ...waysClear(piece, other).map((way) => way + gap_mm));
    if (by > NEAR_MM) return { kind: 'overlaps', id: other.id, by_mm: by };
  }
  return undefined;
}

/**
 * How far a piece would have to go back, on, left and right to be clear of another, as far as a line through
 * corners meets both; none: both are rectangles.
 */
function waysClear(piece: HandPlaced, other: HandPlaced): readonly number[] {
  if (piece.outline === undefined && other.outline === undefined) return [];
  const [ownCorners, theirs] = [cornersOf(piece), cornersOf(other)];
  return [
    shiftDown(ownCorners, theirs),
    shiftDown(theirs, ownCorners),
    shiftDown(swapped(ownCorners), swapped(theirs)),
    shiftDown(swapped(theirs), swapped(ownCorners)),
  ].filter(Number.isFinite);
}

/** On the roll. */
function cornersOf({ x_mm, y_mm, across_mm, along_mm, outline }: HandPlaced): Polygon {
  const corners = outline ?? [
    { x: 0, y: 0 },
    { x: across_mm, y: 0 },
    { x: across_mm, y: along_mm },
    { x: 0, y: along_mm },
  ];
  return corners.map(({ x, y }) => ({ x: x + x_mm, y: y + y_mm }));
}

/**
 * Draws a piece to the nearest edge of the film or of a neighbour, each way by itself, when it is nearer than
 * `within_mm`; along the roll to where slanting sides meet.
 */
export function snapped(
  piece: HandPlaced,
  others: readonly HandPlaced[],
  { width_mm, gap_mm, endWaste_mm }: HandRoll,
  within_mm: number,
): HandPlaced {
  const rest = others.filter(({ id }) => id !== piece.id);
  const acrossEdges = rest.flatMap(({ x_mm, across_mm }) =>
    edgesBeside(x_mm, across_mm, piece.across_mm, gap_mm),
  );
  const alongEdges = rest.flatMap(({ y_mm, along_mm }) =>
    edgesBeside(y_mm, along_mm, piece.along_mm, gap_mm),
  );
  const x = nearest(piece.x_mm, [0, width_mm - piece.across_mm, ...acrossEdges], within_mm);
  const y = nearest(piece.y_mm, [endWaste_mm, ...alongEdges], within_mm);
  const at = { ...piece, x_mm: toTenth(x), y_mm: toTenth(y) };
  const slanting = nearest(
    piece.y_mm,
    rest.flatMap((other) => touching({ ...at, y_mm: piece.y_mm }, other, gap_mm)),
    within_mm,
  );
  return slanting === piece.y_mm ? at : { ...at, y_mm: slanting };
}

/** Where a piece so large lies flush with another, or a gap beside it. */
function edgesBeside(at_mm: number, size_mm: number, own_mm: number, gap_mm: number): readonly number[] {
  return [at_mm, at_mm + size_mm + gap_mm, at_mm - own_mm - gap_mm, at_mm + size_mm - own_mm];
}

/** Where along the roll it just lies behind or before another. */
function touching(piece: HandPlaced, other: HandPlaced, gap_mm: number): readonly number[] {
  if (piece.outline === undefined && other.outline === undefined) return [];
  const [ownCorners, theirs] = [cornersOf(piece), cornersOf(other)];
  return [
    upToTenth(piece.y_mm + shiftDown(theirs, ownCorners) + gap_mm),
    -upToTenth(shiftDown(ownCorners, theirs) + gap_mm - piece.y_mm),
  ].filter(Number.isFinite);
}

function nearest(value: number, targets: readonly number[], within: number): number {
  let [best, off] = [value, within];
  for (const target of targets) {
    const distance = Math.abs(target - value);
    if (distance <= off) {
      best = target;
      off = distance;
    }
  }
  return best;
}

/**
 * The first place from a roll's end where a piece can lie, at an edge of the film or of a neighbour;
 * undefined: there is none.
 */
export function freePlace(
  piece: HandPlaced,
  others: readonly HandPlaced[],
  roll: HandRoll,
): HandPlaced | undefined {
  const rest = others.filter(({ id }) => id !== piece.id);
  const ascending = (values: readonly number[]): readonly number[] =>
    [...new Set(values.map(upToTenth))].sort((a, b) => a - b);
  const along = ascending([
    roll.endWaste_mm,
    ...rest.map((other) => other.y_mm + other.along_mm + roll.gap_mm),
  ]);
  const across = ascending([
    0,
    ...rest.map((other) => other.x_mm + other.across_mm + roll.gap_mm),
    ...(roll.width_mm >= piece.across_mm ? [roll.width_mm - piece.across_mm] : []),
  ]);
  for (const y_mm of along)
    for (const x_mm of across) {
      const at = { ...piece, x_mm, y_mm };
      if (placingFault(at, rest, roll) === undefined) return at;
    }
  return undefined;
}
