import type { PlacedPiece } from '../../packing';
import { toTenth, upToTenth, valueAt } from '../../quantity';
import type { CutOrder, OrderPiece } from './cut-order';

export interface Blocked {
  readonly order: CutOrder;
  /** A placed block as its drops. */
  readonly apart: (placed: readonly PlacedPiece[]) => readonly PlacedPiece[];
  readonly idsOf: (id: string) => readonly string[];
}

/**
 * Drops whose pattern must meet are laid one behind the other in hanging order, whole repeats from one to the
 * next; behind the last only its own length is taken. Pinned ones stay where they are; the others keep their
 * distance among themselves.
 */
export function blockDrops(order: CutOrder): Blocked {
  const pinned = new Set(order.pinned.map(({ id }) => id));
  const groups = new Map<string, OrderPiece[]>();
  const rest: OrderPiece[] = [];
  for (const piece of order.pieces) {
    if (piece.meets === undefined || pinned.has(piece.id)) {
      rest.push(piece);
      continue;
    }
    const own = groups.get(piece.meets.group);
    if (own === undefined) groups.set(piece.meets.group, [piece]);
    else own.push(piece);
  }
  const blocks = new Map<string, readonly OrderPiece[]>();
  for (const pieces of groups.values()) {
    const [first, ...others] = [...pieces].sort((a, b) => (a.meets?.drop ?? 0) - (b.meets?.drop ?? 0));
    if (first === undefined || others.length === 0) {
      rest.push(...pieces);
      continue;
    }
    const drops = [first, ...others];
    const along_mm = startsOf(drops, order.gap_mm).at(-1) ?? 0;
    const id = drops.map((drop) => drop.id).join(' & ');
    blocks.set(id, drops);
    rest.push({
      ...first,
      id,
      across_mm: Math.max(...drops.map(({ across_mm }) => across_mm)),
      along_mm: upToTenth(along_mm + (drops.at(-1)?.along_mm ?? 0)),
      mayTurn90: false,
    });
  }
  if (blocks.size === 0) return { order, apart: (placed) => placed, idsOf: (id) => [id] };
  return {
    order: { ...order, pieces: rest },
    idsOf: (id) => blocks.get(id)?.map((drop) => drop.id) ?? [id],
    apart: (placed) =>
      placed.flatMap((at) => {
        const drops = blocks.get(at.id);
        if (drops === undefined) return [at];
        const starts = startsOf(drops, order.gap_mm);
        return drops.map((drop, index): PlacedPiece => ({
          ...at,
          id: drop.id,
          y_mm: toTenth(at.y_mm + valueAt(starts, index)),
          across_mm: drop.across_mm,
          along_mm: drop.along_mm,
          x_mm: atRight(at, order) ? toTenth(at.x_mm + at.across_mm - drop.across_mm) : at.x_mm,
        }));
      }),
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
