import { type LockState, type WaitLock, isLocked, lockAfter, lockState } from '../../fitting';
import { type RowOf, stepStateOf } from '../../job';
import { type Air, waitOf } from '../../waiting';
import type { WorkStep } from '../../ways';
import type { JobView } from '../view/job-view';
import { doneSteps, workStepsOf } from './work';

/** What a step of a surface has left to wait for, while the next one is not done. */
export interface PendingWait extends WaitLock {
  readonly applicationId: string;
  readonly surfaceId: string;
  readonly tag: string;
  /** The step it follows, and the one that waits. */
  readonly step: string;
  readonly next: string;
  /** When a person said that it is over, and how; null: nobody has. */
  readonly ended: { readonly at_ms: number; readonly how: RowOf<'waitEnd'>['how'] } | null;
}

/**
 * Everything that is waited for now on all surfaces of a job, what may go on next first.
 * @param air of the rooms worked in
 */
export function pendingWaits(view: JobView, air: Air): readonly PendingWait[] {
  return view.applications
    .filter(({ id }) => view.workOf(id).length > 0)
    .flatMap((application) => {
      const steps = workStepsOf(view, application);
      const last = steps.findLastIndex(({ step }) => isDone(view, application.id, step));
      const next = steps[last + 1];
      return next === undefined ? [] : (waitBefore(view, application, { steps, step: next.step }, air) ?? []);
    })
    .sort((a, b) => goesOnAt(a) - goesOnAt(b));
}

/** What a step has to wait for, left by the nearest one before it that leaves anything. */
export function waitBefore(
  view: JobView,
  application: RowOf<'application'>,
  { steps, step }: { readonly steps: readonly WorkStep[]; readonly step: string },
  air: Air,
): PendingWait | undefined {
  const at = steps.findIndex((own) => own.step === step);
  const before = steps.slice(0, Math.max(0, at)).findLast(({ then }) => then !== null);
  const doneAt = doneSteps(view, application.id).get(before?.step ?? '')?.doneAt ?? null;
  const surface = view.surfaceById.get(application.surfaceId);
  if (before?.then == null || doneAt === null || surface === undefined) return undefined;
  const { least } = before.then;
  const doneAt_ms = Date.parse(doneAt);
  const wait = typeof least === 'number' ? undefined : waitOf(least, air, view.shop.learned);
  const lock = lockAfter(before.then, doneAt_ms, wait);
  return lock === undefined
    ? undefined
    : {
        ...lock,
        applicationId: application.id,
        surfaceId: surface.id,
        tag: surface.tag,
        step: before.step,
        next: step,
        ended: endOf(view, application.id, before.step, doneAt_ms),
      };
}

/** How a wait stands at a moment. */
export const pendingState = (wait: PendingWait, now_ms: number): LockState =>
  lockState(wait, wait.ended?.at_ms ?? null, now_ms);

/** Whether it is still to be shown: it runs, or what it opened must not lie for long. */
export const isPending = (wait: PendingWait, now_ms: number): boolean =>
  isLocked(pendingState(wait, now_ms)) || wait.latest_ms !== null;

/** The end that a person gave it; one from before the step was done anew counts no more. */
function endOf(view: JobView, applicationId: string, step: string, doneAt_ms: number): PendingWait['ended'] {
  const row = view
    .waitEndsOf(applicationId)
    .find((own) => own.step === step && Date.parse(own.endedAt) >= doneAt_ms);
  return row === undefined ? null : { at_ms: Date.parse(row.endedAt), how: row.how };
}

const isDone = (view: JobView, applicationId: string, step: string): boolean =>
  stepStateOf(doneSteps(view, applicationId).get(step)) === 'done';

const goesOnAt = ({ over_ms, latest_ms, opens_ms, from_ms }: PendingWait): number =>
  opens_ms === from_ms ? (latest_ms ?? Infinity) : (over_ms ?? Infinity);
