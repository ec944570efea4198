import { DOCUMENT, inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { Store } from '@ngrx/store';
import type { AcceptedChange } from '@yellow-pane/contracts';
import {
  catchError,
  concat,
  concatMap,
  debounceTime,
  defer,
  distinctUntilChanged,
  EMPTY,
  filter,
  from,
  fromEvent,
  map,
  merge,
  mergeMap,
  Observable,
  of,
  share,
  switchMap,
  take,
  takeUntil,
  tap,
  timer,
  toArray,
  withLatestFrom,
} from 'rxjs';
import { Drafts } from '../device/drafts';
import { JobActions, jobFeature } from './job.feature';
import { type Health, ServerRefusal, api } from '../server/api';
import { aloneOverTabs, whenTabsGo } from '../device/open-tabs';
import { events$, lineStands, wasReadBlind } from '../server/server-events';
import { waitingHere } from './waiting-writes';

const RETRY_MS = 1500;
const ROOM_MS = 5000;
const KEEP_MS = 5000;
/**
 * What the server would not keep for want of a disk that takes it: nothing is wrong with the change, so it
 * waits.
 */
const CANNOT_KEEP: ReadonlySet<string> = new Set(['DISK_FULL', 'DATA_DAMAGED']);

/** Fetches the job when it is opened, and again when too much was missed. */
export const load = createEffect(
  (actions = inject(Actions), store = inject(Store)) => {
    return actions.pipe(
      ofType(JobActions.open, JobActions.reload),
      withLatestFrom(store.select(jobFeature.selectJobId)),
      switchMap(([, jobId]) =>
        jobId === null
          ? EMPTY
          : lineStands()
              .pipe(switchMap(() => Promise.all([api.job(jobId), waitingHere.take(jobId)])))
              .pipe(
                map(([job, waiting]) => JobActions.opened({ job, ...waiting })),
                catchError((error: unknown) =>
                  error instanceof ServerRefusal && error.problem.status < 500
                    ? of(JobActions.missing())
                    : merge(
                        of(JobActions.serverGone()),
                        timer(RETRY_MS).pipe(map(() => JobActions.reload())),
                      ),
                ),
              ),
      ),
    );
  },
  { functional: true },
);

/** Sends the waiting changes one after another, in the order they were made. */
export const send = createEffect(
  (actions = inject(Actions), store = inject(Store)) => {
    return actions.pipe(
      ofType(
        JobActions.opened,
        JobActions.adopted,
        JobActions.did,
        JobActions.accepted,
        JobActions.refused,
        JobActions.tookUp,
        JobActions.serverHere,
      ),
      concatMap(() =>
        of(null).pipe(
          withLatestFrom(store.select(jobFeature.selectJobState)),
          concatMap(([, { jobId, status, pending, diskFull }]) => {
            const next = pending[0];
            if (jobId === null || status !== 'open' || next === undefined || diskFull !== null) return EMPTY;
            store.dispatch(JobActions.sending({ changeId: next.change.id }));
            return defer(() => aloneOverTabs(`sending ${jobId}`, () => api.send(jobId, next.change))).pipe(
              map((answer) => JobActions.accepted({ answer })),
              catchError((error: unknown) => of(failed(next.change.id, error))),
            );
          }),
        ),
      ),
    );
  },
  { functional: true },
);

/** A folder that is damaged is told as soon as a job is opened, before anything is done in vain. */
export const tellOfDamage = createEffect(
  (actions = inject(Actions)) => {
    return actions.pipe(
      ofType(JobActions.opened),
      switchMap(() => healthOf()),
      filter((health) => health?.status === 'damaged'),
      map((health) => JobActions.cannotKeep({ says: health?.says ?? null })),
    );
  },
  { functional: true },
);

/** While the disk is full or damaged, asks now and then whether it takes something again. */
export const room = createEffect(
  (store = inject(Store)) => {
    return store.select(jobFeature.selectDiskFull).pipe(
      map((says) => says !== null),
      distinctUntilChanged(),
      switchMap((isFull) =>
        isFull
          ? timer(ROOM_MS, ROOM_MS).pipe(
              concatMap(() => healthOf()),
              filter((health) => health !== undefined),
              map((health) =>
                health.status === 'ok' && health.hasRoom
                  ? JobActions.serverHere()
                  : JobActions.cannotKeep({ says: health.says ?? null }),
              ),
            )
          : EMPTY,
      ),
    );
  },
  { functional: true },
);

/** While the server is gone, knocks again every second and a half. */
export const reconnect = createEffect(
  (store = inject(Store)) => {
    return store.select(jobFeature.selectIsServerHere).pipe(
      distinctUntilChanged(),
      switchMap((isHere) =>
        isHere
          ? EMPTY
          : timer(RETRY_MS, RETRY_MS).pipe(
              concatMap(() =>
                fetch('/api/health').then(
                  (answer) => answer.ok,
                  () => false,
                ),
              ),
              filter((isBack) => isBack),
              map(() => JobActions.serverHere()),
            ),
      ),
    );
  },
  { functional: true },
);

/**
 * Hears of every change anybody makes to the open job. What comes while it is being loaded waits until it is
 * there.
 */
export const hear = createEffect(
  (store = inject(Store), actions = inject(Actions)) => {
    return actions.pipe(
      ofType(JobActions.open, JobActions.reload, JobActions.close),
      withLatestFrom(store.select(jobFeature.selectJobId)),
      switchMap(([, jobId]) =>
        jobId === null ? EMPTY : changesOf(jobId, actions.pipe(ofType(JobActions.opened))),
      ),
    );
  },
  { functional: true },
);

/** Keeps what is not saved yet in the browser at the moment it changes. */
export const keep = createEffect(
  (store = inject(Store)) => {
    return store.select(jobFeature.selectJobState).pipe(
      filter(({ status }) => status === 'open'),
      distinctUntilChanged(
        (before, after) =>
          before.pending === after.pending &&
          before.conflicts === after.conflicts &&
          before.aside === after.aside &&
          before.jobId === after.jobId,
      ),
      mergeMap(({ jobId, pending, conflicts, aside }) =>
        jobId === null ? EMPTY : waitingHere.keep(jobId, { pending, conflicts, aside }),
      ),
      map((isKept) => JobActions.kept({ isKept })),
    );
  },
  { functional: true },
);

/** What the browser would not keep is offered to it again now and then. */
export const keepAgain = createEffect(
  (store = inject(Store)) => {
    return store.select(jobFeature.selectIsKept).pipe(
      distinctUntilChanged(),
      switchMap((isKept) =>
        isKept
          ? EMPTY
          : timer(KEEP_MS, KEEP_MS).pipe(
              withLatestFrom(store.select(jobFeature.selectJobState)),
              concatMap(([, { jobId, pending, conflicts, aside }]) =>
                jobId === null ? EMPTY : waitingHere.keep(jobId, { pending, conflicts, aside }),
              ),
              map((kept) => JobActions.kept({ isKept: kept })),
            ),
      ),
    );
  },
  { functional: true },
);

/** Takes over what waits in a tab that was closed. */
export const adopt = createEffect(
  (store = inject(Store)) => {
    return new Observable<void>((out) => {
      whenTabsGo(() => {
        out.next();
      });
    }).pipe(
      withLatestFrom(store.select(jobFeature.selectJobState)),
      concatMap(([, { jobId, status }]) =>
        jobId === null || status !== 'open'
          ? EMPTY
          : from(waitingHere.take(jobId)).pipe(
              filter(({ pending, conflicts, aside }) => pending.length + conflicts.length + aside.length > 0),
              map((waiting) => JobActions.adopted({ jobId, ...waiting })),
            ),
      ),
    );
  },
  { functional: true },
);

/** Asks before the page is left while something is neither saved nor kept. */
export const guard = createEffect(
  (store = inject(Store), document = inject(DOCUMENT), drafts = inject(Drafts)) => {
    return store.select(jobFeature.selectJobState).pipe(
      map(
        ({ isKept, pending, conflicts, aside }) =>
          !isKept && pending.length + conflicts.length + aside.length > 0,
      ),
      distinctUntilChanged(),
      switchMap((isAtRisk) =>
        fromEvent<BeforeUnloadEvent>(document.defaultView ?? document, 'beforeunload').pipe(
          filter(() => isAtRisk || (!drafts.isKept() && Object.keys(drafts.texts()).length > 0)),
          tap((event) => {
            event.preventDefault();
          }),
        ),
      ),
    );
  },
  { functional: true, dispatch: false },
);

/** A notice leaves by itself. */
export const fade = createEffect(
  (store = inject(Store)) => {
    return store.select(jobFeature.selectNotice).pipe(
      filter((notice) => notice !== null),
      debounceTime(12_000),
      map(() => JobActions.say({ notice: null })),
    );
  },
  { functional: true },
);

/** What becomes of a change that was not taken: no room, refused by the server in words, or nobody there. */
function failed(
  changeId: string,
  error: unknown,
):
  | ReturnType<typeof JobActions.refused>
  | ReturnType<typeof JobActions.diskFull>
  | ReturnType<typeof JobActions.serverGone> {
  if (!(error instanceof ServerRefusal)) return JobActions.serverGone();
  return CANNOT_KEEP.has(error.problem.code)
    ? JobActions.diskFull({ problem: error.problem })
    : JobActions.refused({ changeId, problem: error.problem });
}

function healthOf(): Promise<Health | undefined> {
  return api.health().catch(() => undefined);
}

type Heard =
  | ReturnType<typeof JobActions.accepted>
  | ReturnType<typeof JobActions.reload>
  | ReturnType<typeof JobActions.serverGone>
  | ReturnType<typeof JobActions.serverHere>;

function changesOf(jobId: string, opened: Observable<unknown>): Observable<Heard> {
  const heard = events$.pipe(
    concatMap(({ name, data }): readonly Heard[] => {
      if (name === 'open')
        return wasReadBlind() ? [JobActions.serverHere(), JobActions.reload()] : [JobActions.serverHere()];
      if (name === 'error') return [JobActions.serverGone()];
      if (name === 'reload') return [JobActions.reload()];
      if (name !== 'change') return [];
      const { jobId: ofJob, ...answer } = JSON.parse(data) as AcceptedChange & { readonly jobId: string };
      return ofJob === jobId ? [JobActions.accepted({ answer })] : [];
    }),
    share(),
  );
  const whileLoading = heard.pipe(
    takeUntil(opened.pipe(take(1))),
    toArray(),
    concatMap((all) => all.filter(({ type }) => type === JobActions.accepted.type)),
  );
  return concat(whileLoading, heard);
}

/**
 * Leaving the page with unsaved work: it is kept, so nobody is asked; this only marks it for tests and logs.
 */
export const mark = createEffect(
  (store = inject(Store)) => {
    return store.select(jobFeature.selectPending).pipe(
      tap((pending) => {
        document.documentElement.dataset['unsaved'] = String(pending.length);
      }),
    );
  },
  { functional: true, dispatch: false },
);
