import { quarterTurned, type Nested, type Polygon, nestPair } from '../../blanks';
import type { PlacedPiece } from '../../packing';
import { toTenth, upToTenth, valueAt } from '../../quantity';
import type { CutOrder, OrderPiece } from './cut-order';
import { type PiecesTogether, byKey, piecesTogether } from './pieces-together';

interface Pair {
  readonly pieces: readonly [OrderPiece, OrderPiece];
  readonly nested: Nested;
}

/**
 * For a plotter: equal pieces that are no rectangles are laid out two by two, nested by their outlines, where
 * that saves film. Outlines are as the piece lies unturned: x across the roll, y along it.
 */
export function pairOutlines(order: CutOrder): PiecesTogether {
  const widest = order.stocks.reduce((most, { width_mm }) => Math.max(most, width_mm), 0);
  const pinned = new Set(order.pinned.map(({ id }) => id));
  const { groups, alone } = byKey(order.pieces, (piece) =>
    order.mode === 'by plotter' && !pinned.has(piece.id) ? outlineKey(piece) : undefined,
  );
  const pairs = new Map<string, Pair>();
  const laidOut = groups.flatMap((pieces) => {
    const [first] = pieces;
    const nested =
      first?.outline === undefined || pieces.length < 2
        ? undefined
        : nestPair(first.outline, order.gap_mm, first.mayFlip === true, widest);
    return nested === undefined ? pieces : inPairs(pieces, nested, pairs);
  });
  return piecesTogether(order, [...alone, ...laidOut], pairs, both);
}

/** Pieces alike in outline and in what may be done with them. */
function outlineKey({ group, mayFlip, outline }: OrderPiece): string | undefined {
  if (outline === undefined) return undefined;
  return `${group}|${mayFlip === true}|${outline.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ')}`;
}

/** Two by two, noted among the pairs; an odd one stays alone. */
function inPairs(
  pieces: readonly OrderPiece[],
  nested: Nested,
  pairs: Map<string, Pair>,
): readonly OrderPiece[] {
  const paired: OrderPiece[] = [];
  for (let index = 0; index < pieces.length; index += 2) {
    const one = valueAt(pieces, index);
    const other = pieces[index + 1];
    const id = other === undefined ? one.id : `${one.id} + ${other.id}`;
    if (other !== undefined) pairs.set(id, { pieces: [one, other], nested });
    paired.push(other === undefined ? one : pairedPiece(one, id, nested));
  }
  return paired;
}

function pairedPiece(one: OrderPiece, id: string, { width, height }: Nested): OrderPiece {
  return {
    ...one,
    id,
    across_mm: upToTenth(width),
    along_mm: upToTenth(height),
    likesEdge: false,
    wantsEdge: false,
  };
}

function both(at: PlacedPiece, { pieces: [one, other], nested }: Pair): readonly PlacedPiece[] {
  const size = at.turned
    ? { across_mm: one.along_mm, along_mm: one.across_mm }
    : { across_mm: one.across_mm, along_mm: one.along_mm };
  /** Turned by a quarter what was across goes along, from the far side. */
  const spot = (dx: number, dy: number): { readonly x_mm: number; readonly y_mm: number } =>
    at.turned
      ? { x_mm: toTenth(at.x_mm + dy), y_mm: toTenth(at.y_mm + nested.width - dx - one.across_mm) }
      : { x_mm: toTenth(at.x_mm + dx), y_mm: toTenth(at.y_mm + dy) };
  const { dx, dy, flipped } = nested.second;
  return [
    { ...at, ...size, ...spot(0, 0), id: one.id },
    { ...at, ...size, ...spot(dx, dy), id: other.id, flipped },
  ];
}

/** The outline of a piece as it lies on the roll, from its own corner. */
export function outlineOnRoll(
  outline: Polygon,
  width: number,
  height: number,
  turned: boolean,
  flipped: boolean,
): Polygon {
  const turnedHalf = flipped ? outline.map(({ x, y }) => ({ x: width - x, y: height - y })) : outline;
  return turned ? quarterTurned(turnedHalf, width) : turnedHalf;
}
