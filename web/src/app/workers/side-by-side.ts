import type { TaskOptions } from './worker-pool';

const MOST = 3;

/**
 * How many searches go side by side: from three processors on the page keeps one to itself; on two it shares
 * them, since it mostly waits while it searches.
 */
export function searchesAtOnce(processors: number): number {
  return Math.max(1, Math.min(MOST, processors > 2 ? processors - 1 : processors));
}

/** One of several searches for the same thing, each by chance of its own. */
export interface SideSearch<Plan> extends TaskOptions {
  /** Of its own, and never one of an earlier search. */
  readonly seed: number;
  readonly onBetter: (plan: Plan) => void;
}

export interface SideBySide<Plan> extends TaskOptions {
  readonly count: number;
  /** Another one is another search. */
  readonly seed: number;
  readonly search: (own: SideSearch<Plan>) => Promise<Plan>;
  readonly isBetter: (plan: Plan, than: Plan) => boolean;
  /** No search will find a better one: the others need not go on. */
  readonly isBest: (plan: Plan) => boolean;
  /** Told of each plan better than all told before, from whichever search. */
  readonly onBetter: (plan: Plan) => void;
}

/** Runs several searches and gives the best that any of them found. Progress is that of the slowest.
 *  @throws the reason of the signal when stopped; what the first search throws when not one found anything */
export async function sideBySide<Plan>({
  count,
  seed,
  search,
  isBetter,
  isBest,
  onBetter,
  signal,
  onProgress,
}: SideBySide<Plan>): Promise<Plan> {
  signal?.throwIfAborted();
  const enough = new AbortController();
  const shares = new Float64Array(count);
  let best: Plan | undefined;
  const tell = (plan: Plan): void => {
    if (best !== undefined && !isBetter(plan, best)) return;
    best = plan;
    onBetter(plan);
  };
  const searches = Array.from({ length: count }, async (_, lane) => {
    const plan = await search({
      seed: seed * count + lane,
      signal: signal === undefined ? enough.signal : AbortSignal.any([signal, enough.signal]),
      onProgress: (share) => {
        shares[lane] = share;
        onProgress?.(Math.min(...shares));
      },
      onBetter: tell,
    });
    if (isBest(plan)) enough.abort();
    return plan;
  });
  const ended = await Promise.allSettled(searches);
  signal?.throwIfAborted();
  const plans = ended.flatMap((own) => (own.status === 'fulfilled' ? [own.value] : []));
  const [first, ...others] = plans;
  if (first !== undefined) return others.reduce((most, own) => (isBetter(own, most) ? own : most), first);
  throw ended.flatMap((own) => (own.status === 'rejected' ? [own.reason as unknown] : []))[0];
}
