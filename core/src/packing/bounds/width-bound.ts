import type { ItemType, PackingProblem } from '../problem/packing-problem';

/**
 * Functions tried times item types, at most: with many item types only some widths are tried, and the bound
 * stays true, a little lower.
 */
const MOST_LOOKS = 250_000;
const MOST_EDGES = 120;
const MOST_PARTS = 6;
const TINY = 1e-12;

type Share = (across: number) => number;

/**
 * Length that no layout of any sort can go below: area, longest piece, and what cannot lie side by side. A
 * piece that may turn counts the way that asks for less.
 * @returns steps along the roll
 * @source dual feasible functions of Fekete and Schepers (from memory): every function gives a bound, the
 * largest is taken
 */
export function leastLength({ width, itemTypes, area }: PackingProblem): number {
  const perItemType = itemTypes.map((itemType) => waysOf(itemType, width));
  let best = Math.max(
    Math.ceil(area / width - 1e-9),
    0,
    ...perItemType.map((orientations) => Math.min(...orientations.map(({ along }) => along))),
  );
  const all = [...new Set(perItemType.flat().flatMap(({ across }) => [across, width - across]))]
    .filter((edge) => edge > 0 && edge <= width / 2)
    .sort((a, b) => a - b);
  const stride = Math.ceil(
    all.length /
      Math.max(4, Math.min(MOST_EDGES, MOST_LOOKS / ((MOST_PARTS + 1) * Math.max(1, itemTypes.length)))),
  );
  const edges = all.filter((_, index) => index % stride === 0);
  const bound = (share: Share): void => {
    let sum = 0;
    itemTypes.forEach(({ quantity }, index) => {
      let least = Number.POSITIVE_INFINITY;
      for (const { across, along } of perItemType[index] ?? [])
        least = Math.min(least, share(across) * along);
      sum += least * quantity;
    });
    best = Math.max(best, Math.ceil(sum - 1e-6));
  };
  for (const edge of edges) bound(rounded(width, edge));
  for (let parts = 1; parts <= MOST_PARTS; parts += 1) {
    bound(stepped(parts, (across) => across / width));
    for (const edge of edges) bound(stepped(parts, rounded(width, edge)));
  }
  return best;
}

function waysOf(
  { across, along, mayTurn }: ItemType,
  width: number,
): readonly { readonly across: number; readonly along: number }[] {
  return [{ across, along }, ...(mayTurn ? [{ across: along, along: across }] : [])].filter(
    (orientation) => orientation.across <= width,
  );
}

/** Nearly as wide as the roll counts whole, narrow counts nothing. */
function rounded(width: number, edge: number): Share {
  return (across) => (across > width - edge ? 1 : across < edge ? 0 : across / width);
}

/** Counts in whole parts of the roll, so many at most. */
function stepped(parts: number, share: Share): Share {
  return (across) => {
    const widthShare = share(across);
    const whole = (parts + 1) * widthShare;
    return Math.abs(whole - Math.round(whole)) < TINY ? widthShare : Math.floor(whole) / parts;
  };
}
