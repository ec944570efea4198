import { type LockState, isClosedBy, isLocked } from '../../fitting';
import type { RowOf } from '../../job';
import type { Air } from '../../waiting';
import { type Caution, type WorkStep, filmGoesOnAt, heldBackBy } from '../../ways';
import { type GateAsked, type GateLine, gateOf } from './gate';
import type { JobView } from '../view/job-view';
import { type PendingWait, pendingState, waitBefore } from './pending-waits';
import { doneSteps, workStepsOf } from './work';

/** Why a step may not be done yet. */
type Held =
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
  const records = doneSteps(view, application.id);
  const notes = new Map([...records].map(([key, { note }]) => [key, note]));
  const caution = heldBackBy(step, steps, notes);
  if (caution !== undefined) return { case: 'danger', caution };
  const gate = gateOf(view, application, asked);
  const isOn = steps
    .slice(Math.max(0, filmGoesOnAt(steps)))
    .some((own) => (records.get(own.step)?.doneAt ?? null) !== null);
  const lines = step.needsFit && !isOn ? beforeFilm(gate) : saidWrong(gate);
  if (lines.length > 0) return { case: 'gate', lines };
  const wait = waitBefore(view, application, { steps, step: step.step }, asked.air);
  if (wait === undefined) return undefined;
  const state = pendingState(wait, asked.now_ms);
  return isLocked(state) ? { case: 'wait', wait, state } : undefined;
}

/** Film goes on: nothing may be wrong, and nothing unseen. */
function beforeFilm(gate: readonly GateLine[]): readonly GateLine[] {
  const wrong = gate.filter(({ state }) => isClosedBy(state));
  return wrong.length > 0 ? wrong : gate.filter(({ state }) => state === 'not looked at');
}

/** What somebody saw to be wrong holds back everything; what is calculated, as the sun, only film. */
const saidWrong = (gate: readonly GateLine[]): readonly GateLine[] =>
  gate.filter(({ state, tick }) => isClosedBy(state) && tick?.answer === 'not right');
