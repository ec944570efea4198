import type { PlacedPiece } from '../../packing';
import type { CutOrder, OrderPiece } from './cut-order';

/** An order in which some pieces are laid out as one, and the way back. */
export interface PiecesTogether {
  readonly order: CutOrder;
  /** What is placed as one as its pieces. */
  readonly apart: (placed: readonly PlacedPiece[]) => readonly PlacedPiece[];
  /** The pieces that go by one id: those laid out as one, else itself. */
  readonly idsOf: (id: string) => readonly string[];
}

/**
 * @param pieces of the new order
 * @param together what goes by a new id, with its pieces
 * @param apart one of them, placed, as its pieces
 */
export function piecesTogether<Group extends { readonly pieces: readonly OrderPiece[] }>(
  order: CutOrder,
  pieces: readonly OrderPiece[],
  together: ReadonlyMap<string, Group>,
  apart: (at: PlacedPiece, group: Group) => readonly PlacedPiece[],
): PiecesTogether {
  return {
    order: together.size === 0 ? order : { ...order, pieces },
    apart: (placed) =>
      placed.flatMap((at) => {
        const group = together.get(at.id);
        return group === undefined ? [at] : apart(at, group);
      }),
    idsOf: (id) => together.get(id)?.pieces.map((piece) => piece.id) ?? [id],
  };
}

/** Pieces that share a key, in the order they come; those without one stand alone. */
export function byKey(
  pieces: readonly OrderPiece[],
  keyOf: (piece: OrderPiece) => string | undefined,
): { readonly groups: readonly (readonly OrderPiece[])[]; readonly alone: readonly OrderPiece[] } {
  const groups = new Map<string, OrderPiece[]>();
  const alone: OrderPiece[] = [];
  for (const piece of pieces) {
    const key = keyOf(piece);
    const group = key === undefined ? alone : groups.get(key);
    if (group !== undefined) group.push(piece);
    else if (key !== undefined) groups.set(key, [piece]);
  }
  return { groups: [...groups.values()], alone };
}
