import type { PlacedPiece } from '../../packing';
import { toTenth, upToTenth, valueAt } from '../../quantity';
import type { CutOrder, OrderPiece } from './cut-order';
import { type PiecesTogether, byKey, piecesTogether } from './pieces-together';

interface DropBlock {
  readonly pieces: readonly [OrderPiece, ...OrderPiece[]];
}

/**
 * Drops whose pattern must meet are laid one behind the other in hanging order, whole repeats from one to the
 * next; behind the last only its own length is taken. Pinned ones stay where they are; the others keep their
 * distance among themselves.
 */
export function blockDrops(order: CutOrder): PiecesTogether {
  const pinned = new Set(order.pinned.map(({ id }) => id));
  const { groups, alone } = byKey(order.pieces, ({ id, meets }) =>
    pinned.has(id) ? undefined : meets?.group,
  );
  const blocks = new Map<string, DropBlock>();
  const laidOut = groups.flatMap((pieces) => {
    const [first, ...others] = [...pieces].sort((a, b) => (a.meets?.drop ?? 0) - (b.meets?.drop ?? 0));
    if (first === undefined || others.length === 0) return pieces;
    const block = blockOf([first, ...others], order.gap_mm);
    blocks.set(block.id, { pieces: [first, ...others] });
    return [block];
  });
  return piecesTogether(order, [...alone, ...laidOut], blocks, (at, { pieces }) => {
    const starts = startsOf(pieces, order.gap_mm);
    return pieces.map((drop, index): PlacedPiece => ({
      ...at,
      id: drop.id,
      y_mm: toTenth(at.y_mm + valueAt(starts, index)),
      across_mm: drop.across_mm,
      along_mm: drop.along_mm,
      x_mm: atRight(at, order) ? toTenth(at.x_mm + at.across_mm - drop.across_mm) : at.x_mm,
    }));
  });
}

function blockOf(drops: DropBlock['pieces'], gap_mm: number): OrderPiece {
  const last = drops.length - 1;
  return {
    ...drops[0],
    id: drops.map(({ id }) => id).join(' & '),
    across_mm: Math.max(...drops.map(({ across_mm }) => across_mm)),
    along_mm: upToTenth(valueAt(startsOf(drops, gap_mm), last) + valueAt(drops, last).along_mm),
    mayTurn90: false,
  };
}

/** Where each drop of a block begins: a whole repeat on, or more where the blade wants its gap. */
function startsOf(drops: readonly OrderPiece[], gap_mm: number): readonly number[] {
  const starts: number[] = [];
  let at = 0;
  for (const { along_mm, meets } of drops) {
    starts.push(at);
    const cell = meets?.cell_mm ?? along_mm;
    at += cell - along_mm >= gap_mm - 1e-6 || meets === undefined ? cell : cell + (meets.repeat_mm ?? cell);
  }
  return starts;
}

/** A block that lies at the right edge alone has its narrower drops there too. */
function atRight({ x_mm, across_mm }: PlacedPiece, { stocks }: CutOrder): boolean {
  return x_mm > 0.05 && stocks.some(({ width_mm }) => Math.abs(width_mm - x_mm - across_mm) < 0.11);
}
