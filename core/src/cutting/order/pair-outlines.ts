import { quarterTurned, type Nested, type Polygon, nestPair } from '../../blanks';
import type { PlacedPiece } from '../../packing';
import { toTenth, upToTenth } from '../../quantity';
import type { CutOrder, OrderPiece } from './cut-order';

interface Pair {
  readonly one: OrderPiece;
  readonly other: OrderPiece;
  readonly nested: Nested;
}

interface Paired {
  readonly order: CutOrder;
  /** A placed pair as its two pieces. */
  readonly apart: (placed: readonly PlacedPiece[]) => readonly PlacedPiece[];
  /** The pieces that go by one id: two of a pair, else itself. */
  readonly idsOf: (id: string) => readonly string[];
}

/**
 * For a plotter: equal pieces that are no rectangles are laid out two by two, nested by their outlines, where
 * that saves film. Outlines are as the piece lies unturned: x across the roll, y along it.
 */
export function pairOutlines(order: CutOrder): Paired {
  const widest = order.stocks.reduce((most, { width_mm }) => Math.max(most, width_mm), 0);
  const pinned = new Set(order.pinned.map(({ id }) => id));
  const alike = new Map<string, OrderPiece[]>();
  const rest: OrderPiece[] = [];
  for (const piece of order.pieces) {
    if (order.mode !== 'by plotter' || piece.outline === undefined || pinned.has(piece.id)) {
      rest.push(piece);
      continue;
    }
    const key = `${piece.group}|${piece.mayFlip === true}|${piece.outline.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ')}`;
    const own = alike.get(key);
    if (own === undefined) alike.set(key, [piece]);
    else own.push(piece);
  }
  const pairs = new Map<string, Pair>();
  for (const pieces of alike.values()) {
    const [first] = pieces;
    const nested =
      first?.outline === undefined || pieces.length < 2
        ? undefined
        : nestPair(first.outline, order.gap_mm, first.mayFlip === true, widest);
    if (nested === undefined) {
      rest.push(...pieces);
      continue;
    }
    for (let index = 0; index + 1 < pieces.length; index += 2) {
      const [one, other] = [pieces[index], pieces[index + 1]];
      if (one === undefined || other === undefined) continue;
      const id = `${one.id} + ${other.id}`;
      pairs.set(id, { one, other, nested });
      rest.push({
        ...one,
        id,
        across_mm: upToTenth(nested.width),
        along_mm: upToTenth(nested.height),
        likesEdge: false,
        wantsEdge: false,
      });
    }
    const last = pieces.length % 2 === 1 ? pieces.at(-1) : undefined;
    if (last !== undefined) rest.push(last);
  }
  if (pairs.size === 0) return { order, apart: (placed) => placed, idsOf: (id) => [id] };
  return {
    order: { ...order, pieces: rest },
    apart: (placed) =>
      placed.flatMap((piece) => {
        const pair = pairs.get(piece.id);
        return pair === undefined ? [piece] : both(piece, pair);
      }),
    idsOf: (id) => {
      const pair = pairs.get(id);
      return pair === undefined ? [id] : [pair.one.id, pair.other.id];
    },
  };
}

function both(at: PlacedPiece, { one, other, nested }: Pair): readonly PlacedPiece[] {
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
