import type { Pause } from '../ways';
import type { Wait } from '../waiting';

const MINUTE_MS = 60_000;

/** What must pass between a step that is done and the next one, as instants. */
export interface WaitLock {
  readonly why: string;
  /** As calculated from the air; null: a customary time. */
  readonly wait: Wait | null;
  readonly from_ms: number;
  /** Before that it cannot be over; null: it does not end as things are. */
  readonly opens_ms: number | null;
  /** When it is calculated to be over; null as above. */
  readonly over_ms: number | null;
  /** Longer spoils it; null: it may lie. */
  readonly latest_ms: number | null;
}

/** `feel it`: it may be over, a hand says so. */
export type LockState = 'closed' | 'feel it' | 'over' | 'too late' | 'never ends';

/**
 * What a step leaves to wait for; undefined: nothing, or nobody lets go of it.
 * @param wait calculated from the air, where the pause is of that kind
 */
export function lockAfter(
  { least, most, why }: Pause,
  doneAt_ms: number,
  wait: Wait | undefined,
): WaitLock | undefined {
  const own = typeof least === 'number' ? { least, likely: least, notOver: null } : wait;
  if (own === undefined || (least === 0 && (most ?? 0) === 0)) return undefined;
  const after = (minutes: number | null): number | null =>
    minutes === null ? null : doneAt_ms + minutes * MINUTE_MS;
  const latest = most ?? own.notOver;
  return {
    why,
    wait: wait ?? null,
    from_ms: doneAt_ms,
    opens_ms: after(own.least),
    over_ms: after(own.likely),
    latest_ms: after(latest === null ? null : Math.max(latest, own.likely ?? 0)),
  };
}

/**
 * How a wait stands.
 * @param ended_ms when a person said that it is over; null: nobody has
 */
export function lockState(
  { opens_ms, over_ms, latest_ms }: Pick<WaitLock, 'opens_ms' | 'over_ms' | 'latest_ms'>,
  ended_ms: number | null,
  now_ms: number,
): LockState {
  if (latest_ms !== null && now_ms > latest_ms) return 'too late';
  if (ended_ms !== null) return 'over';
  if (opens_ms === null || over_ms === null) return 'never ends';
  if (now_ms < opens_ms) return 'closed';
  return now_ms < over_ms ? 'feel it' : 'over';
}

/** Whether the next step must wait. Gone too long, it goes on at once or is made good. */
export const isLocked = (state: LockState): boolean =>
  state === 'closed' || state === 'feel it' || state === 'never ends';
