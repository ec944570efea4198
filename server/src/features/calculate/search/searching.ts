import { type Asked, type Found, KINDS, type What } from './searches';

/**
 * `mostRounds` left out: until the time is up. `searches` left out: one when the rounds are given, so that
 * they and the seed decide the plan; otherwise as many as there are processors for.
 */
interface SearchLimits {
  readonly seed: number;
  readonly milliseconds: number;
  readonly mostRounds?: number | undefined;
  readonly searches?: number | undefined;
}

/** Searches, several at once with seeds from `seed` on, and gives the best that any of them found.
 *  @throws CoreError of what is searched for, as of core's own function */
export type Searching = <W extends What>(what: W, asked: Asked[W], limits: SearchLimits) => Promise<Found[W]>;

const UNTIL_TIME_IS_UP = Number.MAX_SAFE_INTEGER;
export const roundsOf = ({ mostRounds = UNTIL_TIME_IS_UP }: SearchLimits): number => mostRounds;

/** Of equal ones what is proven, then the first.
 *  @param plans at least one */
export function bestOf<W extends What>(what: W, asked: Asked[W], plans: readonly Found[W][]): Found[W] {
  return (
    plans.find(KINDS[what].isBest) ??
    plans.reduce((best, own) => (KINDS[what].isBetter(asked, own, best) ? own : best))
  );
}

const TURN_MS = 15;

/** Without threads: one search after another, round by round, and other requests in between. */
export const searchHere: Searching = async (what, asked, limits) => {
  const plans = [await searchOnce(what, asked, limits, limits.seed)];
  while (plans.length < (limits.searches ?? 1))
    plans.push(await searchOnce(what, asked, limits, limits.seed + plans.length));
  return bestOf(what, asked, plans);
};

async function searchOnce<W extends What>(
  what: W,
  asked: Asked[W],
  limits: SearchLimits,
  seed: number,
): Promise<Found[W]> {
  const steps = KINDS[what].steps(asked, { seed, mostRounds: roundsOf(limits) });
  const start = performance.now();
  for (let turn = start; ;) {
    const step = steps.next();
    const now = performance.now();
    if (step.done === true || now - start >= limits.milliseconds) return step.value;
    if (now - turn > TURN_MS) {
      await new Promise((done) => {
        setImmediate(done);
      });
      turn = performance.now();
    }
  }
}
