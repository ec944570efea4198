import {
  type Strip,
  type LaidStrip,
  partedStrips,
  placeStrips,
  type PackingProblem,
  placeBlocks,
  type SkylineLayout,
  type PlacedPiece,
} from '../../packing';
import { toTenth } from '../../quantity';
import type { CutOrder, PinnedPiece, StockUse } from './cut-order';
import { BOUNDLESS, NO_PROBLEM } from './missing-film';
import type { PlacedSegment } from './order-segments';

/**
 * What lies where on each roll and offcut, pinned pieces among it.
 * @param freed layouts for a plotter instead of strips, by segment
 */
export function usesOf(
  order: CutOrder,
  segments: readonly PlacedSegment[],
  laid: readonly LaidStrip[],
  freed: ReadonlyMap<number, SkylineLayout>,
): readonly StockUse[] {
  const takeId = idsByGroup(order, segments[0]?.problem ?? NO_PROBLEM);
  const placedOn = new Map<string, PlacedPiece[][]>();
  const put = (stockId: string, pieces: readonly PlacedPiece[], copy = 0): void => {
    const copies = placedOn.get(stockId) ?? [];
    copies[copy] = [...(copies[copy] ?? []), ...pieces];
    placedOn.set(stockId, copies);
  };
  for (const pin of order.pinned) put(pin.stockId, pinnedPiece(order, pin), pin.copy);
  segments.forEach((segment, index) => {
    const strips = laid.filter((laidStrip) => laidStrip.segment === index).map(({ strip }) => strip);
    if (strips.length === 0) return;
    placedIn(order, segment, strips, freed.get(index), takeId).forEach((placed, copy) => {
      put(
        segment.stock.id,
        placed.map((piece) => shrunk(piece, segment.x_mm, order)),
        segment.copy + copy,
      );
    });
  });
  return order.stocks.flatMap((stock): StockUse[] =>
    (placedOn.get(stock.id) ?? []).map((pieces, copy) => {
      const placed = levelled([...pieces]);
      return {
        stockId: stock.id,
        copy,
        placed,
        used_mm: placed.reduce((end, { y_mm, along_mm }) => Math.max(end, y_mm + along_mm), 0),
      };
    }),
  );
}

/** A pinned piece where it was pinned; none when it is no longer asked for. */
function pinnedPiece(
  { pieces }: CutOrder,
  { id, x_mm, y_mm, turned, flipped }: PinnedPiece,
): readonly PlacedPiece[] {
  const piece = pieces.find((candidate) => candidate.id === id);
  if (piece === undefined) return [];
  const [across_mm, along_mm] = turned
    ? [piece.along_mm, piece.across_mm]
    : [piece.across_mm, piece.along_mm];
  return [
    { id, x_mm, y_mm, across_mm, along_mm, turned, ...(flipped === undefined ? {} : { flipped }), level: 0 },
  ];
}

/** What lies where in a segment, roll by roll: a segment without end is as many rolls as it takes. */
function placedIn(
  order: CutOrder,
  segment: PlacedSegment,
  strips: readonly Strip[],
  free: SkylineLayout | undefined,
  takeId: ReturnType<typeof idsByGroup>,
): readonly (readonly PlacedPiece[])[] {
  const { problem, from_mm } = segment;
  const take = (itemType: number): string => takeId(itemType, segment.lot);
  const width_mm = segment.width_mm + order.gap_mm;
  const roll =
    segment.most === Number.POSITIVE_INFINITY && segment.stock.length_mm < BOUNDLESS
      ? Math.floor((segment.stock.length_mm - from_mm + order.gap_mm) / problem.alongStep_mm)
      : Number.POSITIVE_INFINITY;
  if (free !== undefined && free.blocks.every(({ along }) => along <= roll))
    return onRolls(free.blocks, roll).map((blocks) => placeBlocks(problem, blocks, width_mm, take, from_mm));
  return onRolls(Number.isFinite(roll) ? partedStrips(strips) : strips, roll).map((own) =>
    placeStrips(problem, own, width_mm, take, from_mm, segment.sides),
  );
}

/** Strips on as few rolls of this length as first-fit, longest first, needs. */
function onRolls<Item extends { readonly along: number }>(
  items: readonly Item[],
  most: number,
): readonly (readonly Item[])[] {
  if (!Number.isFinite(most)) return [items];
  const rolls: { length: number; items: Item[] }[] = [];
  for (const item of [...items].sort((a, b) => b.along - a.along)) {
    const roll = rolls.find(({ length }) => length + item.along <= most);
    if (roll === undefined) rolls.push({ length: item.along, items: [item] });
    else {
      roll.items.push(item);
      roll.length += item.along;
    }
  }
  return rolls.map((roll) => roll.items);
}

/** The gap is taken off again. */
function shrunk(piece: PlacedPiece, x_mm: number, { gap_mm }: CutOrder): PlacedPiece {
  return {
    ...piece,
    x_mm: toTenth(piece.x_mm + x_mm),
    across_mm: toTenth(piece.across_mm - gap_mm),
    along_mm: toTenth(piece.along_mm - gap_mm),
  };
}

/** Levels counted anew from the roll's end: pieces whose shadows along the roll touch are one sheet. */
export function levelled(placed: PlacedPiece[]): readonly PlacedPiece[] {
  let [level, reach] = [-1, Number.NEGATIVE_INFINITY];
  return placed
    .sort((a, b) => a.y_mm - b.y_mm || a.x_mm - b.x_mm)
    .map((piece) => {
      if (piece.y_mm >= reach - 1e-6) level += 1;
      reach = Math.max(reach, piece.y_mm + piece.along_mm);
      return { ...piece, level };
    });
}

/** Hands out pieces of one item type so that those of one façade go to one lot. */
function idsByGroup(
  { pieces }: CutOrder,
  { itemTypes }: PackingProblem,
): (itemType: number, lot: number) => string {
  const groupOf = new Map(pieces.map(({ id, group }) => [id, group]));
  const left = itemTypes.map(({ ids }) =>
    [...ids].sort((a, b) => (groupOf.get(a) ?? '').localeCompare(groupOf.get(b) ?? '')),
  );
  const lotOf = new Map<string, number>();
  return (itemType, lot) => {
    const ids = left[itemType] ?? [];
    const at = Math.max(
      0,
      ids.findIndex((id) => lotOf.get(groupOf.get(id) ?? '') === lot),
      0,
    );
    const [id = '?'] = ids.splice(at, 1);
    const group = groupOf.get(id) ?? '';
    if (group !== '' && !lotOf.has(group)) lotOf.set(group, lot);
    return id;
  };
}
