import type { StockSegment } from './stock-segment';

/**
 * How often some of several films are left alone in a rebuild, where several lots cost more and where they do
 * not; and how many of them then.
 */
const LEFT_ALONE = { mindingLots: 0.3, else: 0.05, films: 0.4 } as const;
const ONE_LOT_SHARE = 0.4;

/** With more lots than this each by itself would take too long at first. */
const FEW_LOTS = 6;

const ALL = (): boolean => true;

/**
 * The stock subset a repair may use: mostly all, now and then one lot only, or a few films fewer. Strip by
 * strip each goes on the film where it is cheapest by itself, so that a cheaper common film would never be
 * tried.
 * @param mindsLots whether several lots cost more than one
 */
export function stockSubset(
  segments: readonly Pick<StockSegment, 'lot'>[],
  mindsLots: boolean,
  random: () => number,
): (segment: number) => boolean {
  if (segments.length === 1 || random() >= (mindsLots ? LEFT_ALONE.mindingLots : LEFT_ALONE.else)) return ALL;
  if (mindsLots && random() < ONE_LOT_SHARE) {
    const lot = segments[Math.floor(random() * segments.length)]?.lot;
    return (segment) => segments[segment]?.lot === lot;
  }
  const open = segments.map(() => random() >= LEFT_ALONE.films);
  return (segment) => open[segment] === true;
}

/** Each lot by itself, where there are several and few: looks are often worth one lot for all. */
export function* eachLotAlone(
  segments: readonly Pick<StockSegment, 'lot'>[],
): Generator<(segment: number) => boolean> {
  const lots = new Set(segments.map(({ lot }) => lot));
  if (lots.size > 1 && lots.size <= FEW_LOTS)
    for (const lot of lots) yield (segment) => segments[segment]?.lot === lot;
}
