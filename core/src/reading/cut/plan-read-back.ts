import type { CutOrder, PinnedPiece } from '../../cutting';
import type { FilmBlank } from './film-blanks';

/** A piece of a plan that comes back from a file. */
interface PieceReadBack {
  readonly tag: string;
  readonly drop: number;
  readonly of: number;
  readonly x_mm: number;
  readonly y_mm: number;
  readonly across_mm: number;
  readonly along_mm: number;
  readonly turned: boolean;
  readonly top: string;
}

export interface RollReadBack {
  readonly label: string;
  readonly what: 'roll' | 'offcut' | 'to order';
  readonly width_mm: number;
  readonly pieces: readonly PieceReadBack[];
}

/** Why a piece or roll of a plan cannot be taken over as it is. */
export type NotReadBack =
  | { readonly case: 'no such roll'; readonly label: string }
  | { readonly case: 'no such blank'; readonly tag: string; readonly drop: number; readonly of: number }
  | {
      readonly case: 'another size';
      readonly tag: string;
      readonly drop: number;
      readonly of: number;
      readonly was_mm: readonly [number, number];
      readonly now_mm: readonly [number, number];
    };

const SAME_SIZE_MM = 0.11;
const SAME_WIDTH_MM = 0.5;
const FLIPPED: readonly string[] = ['to the core', 'to the right edge'];

/**
 * The places of a plan that was taken out, for the blanks and the stock of today: pieces of the same surface,
 * drop and size are pinned where they lay, on the roll of the same label, or on one to order of the same
 * width. What has changed since is named; it is laid out anew.
 * @param labelOf of a roll or offcut of the order, by its id
 */
export function pinsOfPlan(
  rolls: readonly RollReadBack[],
  order: CutOrder,
  blanks: readonly FilmBlank[],
  labelOf: (stockId: string) => string | undefined,
): { readonly pins: readonly PinnedPiece[]; readonly not: readonly NotReadBack[] } {
  const pieces = new Map(order.pieces.map((piece) => [piece.id, piece]));
  const ordered = new Map<string, number>();
  const read = rolls.map((roll): { pins: PinnedPiece[]; not: NotReadBack[] } => {
    const stock = order.stocks.find(({ id, what, width_mm }) =>
      roll.what === 'to order'
        ? what === 'to order' && Math.abs(width_mm - roll.width_mm) < SAME_WIDTH_MM
        : what !== 'to order' && labelOf(id) === roll.label,
    );
    if (stock === undefined) return { pins: [], not: [{ case: 'no such roll', label: roll.label }] };
    const copy = ordered.get(stock.id) ?? 0;
    ordered.set(stock.id, copy + 1);
    const found = roll.pieces.map((own): PinnedPiece | NotReadBack => {
      const { tag, drop, of, x_mm, y_mm, turned } = own;
      const blank = blanks.find(({ surface, blank: cut }) => surface?.tag === tag && cut.drop === drop);
      const piece = pieces.get(blank?.key ?? '');
      if (piece === undefined) return { case: 'no such blank', tag, drop, of };
      const now_mm = turned
        ? ([piece.along_mm, piece.across_mm] as const)
        : ([piece.across_mm, piece.along_mm] as const);
      const isSame =
        Math.abs(now_mm[0] - own.across_mm) < SAME_SIZE_MM &&
        Math.abs(now_mm[1] - own.along_mm) < SAME_SIZE_MM;
      if (!isSame)
        return { case: 'another size', tag, drop, of, was_mm: [own.across_mm, own.along_mm], now_mm };
      const flipped = piece.mayFlip === true && FLIPPED.includes(own.top);
      return { id: piece.id, stockId: stock.id, copy, x_mm, y_mm, turned, flipped };
    });
    return {
      pins: found.filter((own): own is PinnedPiece => 'id' in own),
      not: found.filter((own): own is NotReadBack => 'case' in own),
    };
  });
  return { pins: read.flatMap(({ pins }) => pins), not: read.flatMap(({ not }) => not) };
}
