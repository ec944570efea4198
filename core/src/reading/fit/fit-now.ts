import type { ClosedWhy, ReadyUnknown } from '../../day';
import type { ReadyAnswer } from '../day/readiness';

/** Whether a surface may be worked on at a moment, and what changes next that day. */
type FitNow =
  | { readonly case: 'not fit'; readonly until_ms: number; readonly why: ClosedWhy }
  | { readonly case: 'unknown'; readonly what: readonly ReadyUnknown[] }
  | { readonly case: 'fit until'; readonly until_ms: number; readonly why: ClosedWhy }
  | { readonly case: 'fit' };

/**
 * What is known to speak against it comes first; then what would have to be known before anybody may say that
 * it is fit.
 */
export function fitNow({ closed, unknown }: Pick<ReadyAnswer, 'closed' | 'unknown'>, now_ms: number): FitNow {
  const at = closed.find(({ from_ms, to_ms }) => from_ms <= now_ms && now_ms < to_ms);
  if (at !== undefined && at.by !== 'weather unknown')
    return { case: 'not fit', until_ms: at.to_ms, why: at.why };
  const what: readonly ReadyUnknown[] = [...unknown, ...(at === undefined ? [] : ['the forecast' as const])];
  if (what.length > 0) return { case: 'unknown', what };
  const next = closed.find(({ from_ms }) => from_ms > now_ms);
  return next === undefined ? { case: 'fit' } : { case: 'fit until', until_ms: next.from_ms, why: next.why };
}
