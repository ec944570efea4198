import type { LaidStrip } from '../../packing';
import type { CutOrder, StockUse } from './cut-order';
import type { PlacedSegment } from './order-segments';

/** Money for every lot too many that a façade's pieces come from; undefined where there is nothing to pay. */
export function splitPenalty(
  { pieces, rates }: CutOrder,
  segments: readonly PlacedSegment[],
): ((laid: readonly LaidStrip[]) => number) | undefined {
  const groups = [...new Set(pieces.map(({ group }) => group).filter((group) => group !== ''))];
  if (groups.length === 0 || rates.perSplitGroup === 0 || new Set(segments.map(({ lot }) => lot)).size === 1)
    return undefined;
  const byId = new Map(pieces.map(({ id, group }) => [id, group]));
  const groupsOfItemType = (segments[0]?.problem.itemTypes ?? []).map(({ ids }) =>
    [...new Set(ids.map((id) => byId.get(id) ?? ''))].filter((group) => group !== ''),
  );
  return (laid) => {
    const lots = new Map<string, Set<number>>();
    for (const { segment, strip } of laid)
      for (const { pieces: stacked } of strip.stacks)
        for (const { itemType } of stacked)
          for (const group of groupsOfItemType[itemType] ?? []) {
            const groupLots = lots.get(group) ?? new Set<number>();
            groupLots.add(segments[segment]?.lot ?? 0);
            lots.set(group, groupLots);
          }
    let sum = 0;
    for (const groupLots of lots.values()) sum += (groupLots.size - 1) * rates.perSplitGroup;
    return sum;
  };
}

/** The façades whose pieces come from more than one lot. */
export function splitGroups({ pieces, stocks }: CutOrder, uses: readonly StockUse[]): readonly string[] {
  const lotOf = new Map(stocks.map(({ id, lot }) => [id, lot]));
  const groupOf = new Map(pieces.map(({ id, group }) => [id, group]));
  const lots = new Map<string, Set<string>>();
  for (const { stockId, placed } of uses)
    for (const { id } of placed) {
      const group = groupOf.get(id) ?? '';
      if (group === '') continue;
      const groupLots = lots.get(group) ?? new Set<string>();
      groupLots.add(lotOf.get(stockId) ?? '');
      lots.set(group, groupLots);
    }
  return [...lots]
    .filter(([, groupLots]) => groupLots.size > 1)
    .map(([group]) => group)
    .sort();
}
