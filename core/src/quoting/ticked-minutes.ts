import { MOST_STEP_MIN } from './quote-cost';

/** Work on one step as it was ticked. */
export interface Ticked {
  readonly id: string;
  /** Instants in ms; null: not known. */
  readonly from_ms: number | null;
  readonly to_ms: number;
  readonly people: readonly string[];
}

/** Why a time is asked about and not used. */
export type TickFault = 'no beginning' | 'ends before it begins' | 'under 10 s' | 'over 12 h';

interface TickedMinutes {
  /** People-minutes by record; what is asked about has none. */
  readonly minutes: ReadonlyMap<string, number>;
  readonly asked: readonly { readonly id: string; readonly fault: TickFault }[];
  /** Records that overlap in one person's time: it was shared out between them, and is asked about. */
  readonly shared: readonly { readonly person: string; readonly ids: readonly string[] }[];
}

const MINUTE_MS = 60_000;
const LEAST_MS = 10_000;

/**
 * People-minutes of steps from the times they were ticked. A person is in one place: where two of a person's
 * steps overlap, that time is shared out alike.
 * @source own judgement; limits of a time by model 6
 */
export function tickedMinutes(records: readonly Ticked[]): TickedMinutes {
  const asked = records.flatMap((record) => {
    const fault = faultOf(record);
    return fault === undefined ? [] : [{ id: record.id, fault }];
  });
  const bad = new Set(asked.map(({ id }) => id));
  const good = records.filter(({ id }) => !bad.has(id));
  const minutes = new Map<string, number>(good.map(({ id }) => [id, 0]));
  const people = [...new Set(good.flatMap((record) => record.people))];
  const shared = people.flatMap((person) => {
    const ids = shareOut(
      good.filter((record) => record.people.includes(person)),
      minutes,
    );
    return ids.length === 0 ? [] : [{ person, ids }];
  });
  return { minutes, asked, shared };
}

function faultOf({ from_ms, to_ms }: Ticked): TickFault | undefined {
  if (from_ms === null) return 'no beginning';
  const took = to_ms - from_ms;
  if (took < 0) return 'ends before it begins';
  if (took < LEAST_MS) return 'under 10 s';
  return took > MOST_STEP_MIN * MINUTE_MS ? 'over 12 h' : undefined;
}

/** Adds one person's time to the records it went into. @returns those that overlap */
function shareOut(own: readonly Ticked[], minutes: Map<string, number>): readonly string[] {
  const ends = [...new Set(own.flatMap(({ from_ms, to_ms }) => [from_ms ?? to_ms, to_ms]))].sort(
    (a, b) => a - b,
  );
  const overlapping = new Set<string>();
  ends.slice(1).forEach((to, index) => {
    const from = ends[index] ?? to;
    const running = own.filter(({ from_ms, to_ms }) => (from_ms ?? to_ms) <= from && to_ms >= to);
    for (const { id } of running) {
      minutes.set(id, (minutes.get(id) ?? 0) + (to - from) / MINUTE_MS / running.length);
      if (running.length > 1) overlapping.add(id);
    }
  });
  return [...overlapping];
}
