import { type LockState, isClosedBy, isLocked } from '../fitting';
import type { RowOf } from '../job';
import type { Air } from '../waiting';
import { type Caution, type WorkStep, heldBackBy } from '../ways';
import { type GateAsked, type GateLine, gateOf } from './gate';
import type { JobView } from './job-view';
import { type PendingWait, pendingState, waitBefore } from './pending-waits';
import { doneSteps, workStepsOf } from './work';

/** Why a step may not be done yet. */
export type Held =
  | { readonly case: 'danger'; readonly caution: Caution }
  /** Something that was looked at is not right, or film is to go on and something has not been looked at. */
  | { readonly case: 'gate'; readonly lines: readonly GateLine[] }
  | { readonly case: 'wait'; readonly wait: PendingWait; readonly state: LockState };

export interface HeldAsked extends GateAsked {
  readonly air: Air;
}

/** What holds a step back now; undefined: it may be done. */
export function heldNow(
  view: JobView,
  application: RowOf<'application'>,
  step: WorkStep,
  asked: HeldAsked,
): Held | undefined {
  const steps = workStepsOf(view, application);
  const notes = new Map([...doneSteps(view, application.id)].map(([key, { note }]) => [key, note]));
  const caution = heldBackBy(step, steps, notes);
  if (caution !== undefined) return { case: 'danger', caution };
  const gate = gateOf(view, application, asked);
  const wrong = gate.filter(({ state }) => isClosedBy(state));
  const lines =
    wrong.length > 0 || !step.needsFit ? wrong : gate.filter(({ state }) => state === 'not looked at');
  if (lines.length > 0) return { case: 'gate', lines };
  const wait = waitBefore(view, application, { steps, step: step.step }, asked.air);
  if (wait === undefined) return undefined;
  const state = pendingState(wait, asked.now_ms);
  return isLocked(state) ? { case: 'wait', wait, state } : undefined;
}
