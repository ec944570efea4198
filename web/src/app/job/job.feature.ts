import type { AcceptedChange, JobState as JobOnServer, Problem } from '@yellow-pane/contracts';
import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import {
  CLOSED,
  type OpenConflict,
  type OpenJob,
  type PendingChange,
  type SetAside,
  accepted,
  adopted,
  decided,
  did,
  full,
  opened,
  opening,
  refused,
  takenUp,
  trying,
} from './job-state';

export const JobActions = createActionGroup({
  source: 'Job',
  events: {
    open: props<{ jobId: string }>(),
    close: emptyProps(),
    adopted: props<{
      jobId: string;
      pending: readonly PendingChange[];
      conflicts: readonly OpenConflict[];
      aside: readonly SetAside[];
    }>(),
    sending: props<{ changeId: string }>(),
    kept: props<{ isKept: boolean }>(),
    opened: props<{
      job: JobOnServer;
      pending: readonly PendingChange[];
      conflicts: readonly OpenConflict[];
      aside?: readonly SetAside[];
    }>(),
    missing: emptyProps(),
    did: props<{ made: PendingChange }>(),
    accepted: props<{ answer: AcceptedChange }>(),
    refused: props<{ changeId: string; problem: Problem }>(),
    'disk full': props<{ problem: Problem }>(),
    'cannot keep': props<{ says: string | null }>(),
    'took up': props<{ changeId: string; isDropped: boolean }>(),
    'server gone': emptyProps(),
    'server here': emptyProps(),
    reload: emptyProps(),
    decided: props<{ conflict: OpenConflict }>(),
    say: props<{ notice: string | null }>(),
  },
});

/** The open job. What dies with a screen is not in here. */
export const jobFeature = createFeature({
  name: 'job',
  reducer: createReducer<OpenJob>(
    CLOSED,
    on(JobActions.open, (_state, { jobId }): OpenJob => opening(jobId)),
    on(JobActions.close, (): OpenJob => CLOSED),
    on(JobActions.opened, (state, { job, pending, conflicts, aside }): OpenJob =>
      opened(state, job, { pending, conflicts, aside: aside ?? [] }),
    ),
    on(JobActions.adopted, (state, { jobId, pending, conflicts, aside }): OpenJob =>
      state.jobId === jobId && state.status === 'open'
        ? adopted(state, { pending, conflicts, aside })
        : state,
    ),
    on(JobActions.sending, (state, { changeId }): OpenJob => trying(state, changeId)),
    on(JobActions.kept, (state, { isKept }): OpenJob =>
      state.isKept === isKept ? state : { ...state, isKept },
    ),
    on(JobActions.missing, (state): OpenJob => ({ ...state, status: 'missing' })),
    on(JobActions.did, (state, { made }): OpenJob => did(state, made)),
    on(JobActions.accepted, (state, { answer }): OpenJob => accepted(state, answer)),
    on(JobActions.refused, (state, { changeId, problem }): OpenJob => refused(state, changeId, problem)),
    on(JobActions.serverGone, (state): OpenJob =>
      state.isServerHere ? { ...state, isServerHere: false } : state,
    ),
    on(JobActions.serverHere, (state): OpenJob =>
      state.isServerHere && state.diskFull === null
        ? state
        : { ...state, isServerHere: true, diskFull: null },
    ),
    on(JobActions.diskFull, (state, { problem }): OpenJob => full(state, problem)),
    on(JobActions.cannotKeep, (state, { says }): OpenJob =>
      says === null || says === state.diskFull ? state : { ...state, diskFull: says },
    ),
    on(JobActions.tookUp, (state, { changeId, isDropped }): OpenJob => takenUp(state, changeId, isDropped)),
    on(JobActions.decided, (state, { conflict }): OpenJob => decided(state, conflict)),
    on(JobActions.say, (state, { notice }): OpenJob => ({ ...state, notice })),
  ),
});
