import type { Change, MadeBy, Op } from '@yellow-pane/contracts';
import { ROW_FIELDS } from '@yellow-pane/contracts';
import { JOB_TABLES, type JobTable, referencesFrom } from '@yellow-pane/core/job';
import { v7 as newId } from 'uuid';
import type { Database } from '../../db/database';
import { readJob } from './queries';

/** Cut plans, work and pictures belong to the first job alone. */
const COPIED: readonly JobTable[] = JOB_TABLES.filter(
  (table) =>
    ![
      ...['cutPlan', 'cutRoll', 'cutPiece', 'offcut', 'stockTake', 'plannedStep'],
      ...['workRecord', 'waitEnd', 'gateTick', 'mark', 'photo', 'reading', 'testPiece'],
      ...['inspection', 'lookTick', 'markDecision', 'visit', 'causeCase'],
      ...['enquiry', 'quote', 'arrival', 'extra', 'payment', 'handOver'],
    ].includes(table),
);

/** The change that makes a copy of a job under a new id and name. */
export async function duplicateAsChange(
  db: Database,
  fromJobId: string,
  copy: MadeBy & {
    readonly id: string;
    readonly changeId: string;
    readonly session: string;
    readonly name: string;
  },
): Promise<Change> {
  const { rows } = await readJob(db, fromJobId);
  const ids = new Map<string, string>([[fromJobId, copy.id]]);
  for (const table of COPIED) for (const row of rows[table]) if (!ids.has(row.id)) ids.set(row.id, newId());
  const ops = COPIED.flatMap((table) =>
    inOrder(table, rows[table] as unknown as readonly Record<string, unknown>[]).map((row): Op => {
      const fields: Record<string, unknown> = {};
      for (const key of Object.keys(ROW_FIELDS[table].shape)) fields[key] = row[key];
      for (const { field } of referencesFrom(table))
        if (typeof fields[field] === 'string') fields[field] = ids.get(fields[field]);
      if (table === 'job') fields['name'] = copy.name;
      return { op: 'put', table, id: ids.get(row['id'] as string) ?? newId(), fields } as unknown as Op;
    }),
  );
  return { id: copy.changeId, session: copy.session, who: copy.who, personId: copy.personId, ops };
}

/** Places refer to each other: parents first. */
function inOrder(
  table: JobTable,
  rows: readonly Record<string, unknown>[],
): readonly Record<string, unknown>[] {
  if (table !== 'place') return rows;
  const placed: Record<string, unknown>[] = [];
  let waiting = [...rows];
  while (waiting.length > 0) {
    const ready = waiting.filter(
      (row) => row['parentId'] === null || placed.some((other) => other['id'] === row['parentId']),
    );
    if (ready.length === 0) return [...placed, ...waiting];
    placed.push(...ready);
    waiting = waiting.filter((row) => !ready.includes(row));
  }
  return placed;
}
