import type { VisitReason } from '../job';

/** Something that somebody must come back for. */
export interface ReturnAsk extends VisitReason {
  /** ms since 1970; null: any time. */
  readonly notBefore_ms: number | null;
  readonly due_ms: number | null;
}

/** One way to the site that serves one ask or several: any moment of it does for all of them. */
export interface Trip {
  readonly asks: readonly ReturnAsk[];
  readonly from_ms: number;
  /** Infinity: no hurry. */
  readonly to_ms: number;
  /** What should have been done already. */
  readonly isLate: boolean;
}

/**
 * The fewest trips that serve every ask in its time, each as early as its asks allow. What is late is due
 * now.
 * @source points that meet all intervals: the earliest end first, and whatever has begun by then goes with it
 * (greedy, exact)
 */
export function tripsFor(asks: readonly ReturnAsk[], now_ms: number): readonly Trip[] {
  const open = asks
    .map((ask) => ({
      ask,
      from_ms: Math.max(now_ms, ask.notBefore_ms ?? now_ms),
      to_ms: Math.max(now_ms, ask.notBefore_ms ?? now_ms, ask.due_ms ?? Infinity),
      isLate: ask.due_ms !== null && ask.due_ms < now_ms,
    }))
    .sort((a, b) => a.to_ms - b.to_ms || a.from_ms - b.from_ms || (a.ask.key < b.ask.key ? -1 : 1));
  const trips: Trip[] = [];
  let left = open;
  for (let first = left[0]; first !== undefined; first = left[0]) {
    const { to_ms } = first;
    // Without a date nothing forces the way: whatever is left goes together.
    const with_it = left.filter(({ from_ms }) => from_ms <= to_ms);
    trips.push({
      asks: with_it.map(({ ask }) => ask),
      from_ms: Math.max(...with_it.map(({ from_ms }) => from_ms)),
      to_ms,
      isLate: with_it.some(({ isLate }) => isLate),
    });
    left = left.filter((own) => !with_it.includes(own));
  }
  return trips;
}
