import { inject } from '@angular/core';
import { patchState, signalStore, withMethods, withState } from '@ngrx/signals';
import type { Change, JobSummary, Op } from '@yellow-pane/contracts';
import { type FieldsOf, NEW_JOB, NEW_PLACE, fieldsOfRow } from '@yellow-pane/core/job';
import { Device } from '../device/device';
import { newId, sessionOf } from '../device/session';
import { NOBODY_SAID, WhoseHand } from '../device/whose-hand';
import { ServerRefusal, api } from '../server/api';
import { jobsWords } from '../words/jobs';

interface Undoable {
  readonly label: string;
  readonly jobId: string;
  readonly ops: readonly Op[];
}

interface JobListState {
  readonly jobs: readonly JobSummary[];
  readonly status: 'asking' | 'here' | 'gone';
  readonly fault: string | null;
  readonly undo: readonly Undoable[];
}

const set = (
  job: JobSummary,
  fields: { readonly name?: string; readonly archived?: boolean },
  baseVersion = job.version,
): Op => ({ op: 'set', table: 'job', id: job.id, baseVersion, fields });

/** The list of jobs and what is done to whole jobs. */
export const JobList = signalStore(
  withState<JobListState>({ jobs: [], status: 'asking', fault: null, undo: [] }),
  withMethods((store, hand = inject(WhoseHand)) => {
    const load = async (): Promise<void> => {
      await api.jobs().then(
        (jobs) => {
          patchState(store, { jobs, status: 'here' });
        },
        () => {
          patchState(store, { status: 'gone' });
        },
      );
    };
    const send = async (jobId: string, ops: readonly Op[]): Promise<boolean> => {
      const by = await hand.known();
      if (by === undefined) {
        patchState(store, { fault: NOBODY_SAID });
        return false;
      }
      const change: Change = { id: newId(), session: sessionOf(by.who), ...by, ops };
      try {
        await api.send(jobId, change);
        patchState(store, { fault: null });
        await load();
        return true;
      } catch (error) {
        patchState(store, {
          fault: error instanceof ServerRefusal ? error.problem.detail : jobsWords.nothingChanged,
        });
        return false;
      }
    };
    const doing = async (
      label: string,
      jobId: string,
      ops: readonly Op[],
      inverse: readonly Op[],
    ): Promise<void> => {
      if (await send(jobId, ops))
        patchState(store, ({ undo }) => ({ undo: [...undo, { label, jobId, ops: inverse }] }));
    };
    return { load, _send: send, _doing: doing };
  }),
  withMethods((store, device = inject(Device)) => ({
    /** @returns the new job's id, or undefined when the server did not take it */
    async make(name: string): Promise<string | undefined> {
      const id = newId();
      const ops: Op[] = [
        {
          op: 'put',
          table: 'job',
          id,
          fields: {
            name,
            entryUnit: device.units() === 'metric' ? 'mm' : 'in',
            ...NEW_JOB,
          },
        },
        {
          op: 'put',
          table: 'place',
          id: newId(),
          fields: { ...NEW_PLACE, name: jobsWords.building, position: 1 },
        },
      ];
      return (await store._send(id, ops)) ? id : undefined;
    },
    rename: (job: JobSummary, name: string) =>
      store._doing(
        jobsWords.renamed(job.name),
        job.id,
        [set(job, { name })],
        [set(job, { name: job.name }, job.version + 1)],
      ),
    archive: (job: JobSummary, archived: boolean) =>
      store._doing(
        `${job.name} ${archived ? 'archived' : jobsWords.takenFromArchive}`,
        job.id,
        [set(job, { archived })],
        [set(job, { archived: !archived }, job.version + 1)],
      ),
    async remove(job: JobSummary): Promise<void> {
      const { rows } = await api.job(job.id);
      const [was] = rows.job;
      await store._doing(
        jobsWords.deleted(job.name),
        job.id,
        [{ op: 'remove', table: 'job', id: job.id, baseVersion: job.version }],
        [
          {
            op: 'put',
            table: 'job',
            id: job.id,
            fields: (was === undefined
              ? { ...NEW_JOB, name: job.name, entryUnit: 'mm' }
              : fieldsOfRow(was)) as unknown as FieldsOf<'job'>,
          },
        ],
      );
    },
  })),
  withMethods((store, hand = inject(WhoseHand)) => ({
    async duplicate(job: JobSummary): Promise<void> {
      const id = newId();
      const by = await hand.known();
      if (by === undefined) return;
      try {
        await api.duplicate(job.id, {
          id,
          changeId: newId(),
          session: sessionOf(by.who),
          ...by,
          name: `${job.name} (copy)`,
        });
        patchState(store, ({ undo }) => ({
          fault: null,
          undo: [
            ...undo,
            {
              label: jobsWords.duplicated(job.name),
              jobId: id,
              ops: [{ op: 'remove' as const, table: 'job' as const, id, baseVersion: 1 }],
            },
          ],
        }));
        await store.load();
      } catch (error) {
        patchState(store, {
          fault: error instanceof ServerRefusal ? error.problem.detail : jobsWords.nothingCopied,
        });
      }
    },
    async undoLast(): Promise<void> {
      const last = store.undo().at(-1);
      if (last === undefined) return;
      patchState(store, ({ undo }) => ({ undo: undo.slice(0, -1) }));
      await store._send(last.jobId, last.ops);
    },
  })),
);
