import type { RowOf } from '@yellow-pane/core/job';
import { stretchKey } from '@yellow-pane/core/reading';
import type { PlannedStep } from '@yellow-pane/core/scheduling';

type PlannedRow = RowOf<'plannedStep'>;
type PlannedFields = Pick<
  PlannedRow,
  | 'applicationId'
  | 'template'
  | 'step'
  | 'templateVersion'
  | 'startsAt'
  | 'endsAt'
  | 'steps'
  | 'people'
  | 'pinned'
>;

/** What has to be written so that the rows of a job say what a plan says. */
export interface PlanChanges {
  readonly put: readonly PlannedFields[];
  readonly set: readonly {
    readonly id: string;
    readonly fields: Pick<PlannedFields, 'startsAt' | 'endsAt' | 'steps' | 'people' | 'pinned'>;
  }[];
  readonly gone: readonly string[];
}

/**
 * @param plan ids are keys as of `stretchKey`
 * @param instantOf the instant of a minute of the plan
 * @param partsOf the work steps in a stretch, by key
 * @returns only what differs: keeping a plan twice writes nothing
 */
export function planChanges(
  plan: readonly PlannedStep[],
  rows: readonly PlannedRow[],
  {
    instantOf,
    partsOf,
    isPinned,
  }: {
    readonly instantOf: (minute: number) => string;
    readonly partsOf: (key: string) => readonly string[];
    readonly isPinned: (key: string) => boolean;
  },
): PlanChanges {
  const known = new Map(rows.map((row) => [stretchKey(row), row]));
  const put: PlannedFields[] = [];
  const set: PlanChanges['set'][number][] = [];
  for (const { id, start, end, people } of plan) {
    const fields = {
      startsAt: instantOf(start),
      endsAt: instantOf(end),
      steps: [...partsOf(id)],
      people: [...people],
      pinned: isPinned(id),
    };
    const row = known.get(id);
    known.delete(id);
    if (row !== undefined) {
      if (!isSame(row, fields)) set.push({ id: row.id, fields });
      continue;
    }
    const [applicationId = '', template = '', step = '', version = '1'] = id.split('/');
    put.push({ applicationId, template, step, templateVersion: Number(version), ...fields });
  }
  return { put, set, gone: [...known.values()].map(({ id }) => id) };
}

function isSame(row: PlannedRow, fields: PlanChanges['set'][number]['fields']): boolean {
  return (
    Date.parse(row.startsAt) === Date.parse(fields.startsAt) &&
    Date.parse(row.endsAt) === Date.parse(fields.endsAt) &&
    row.pinned === fields.pinned &&
    row.people.join() === fields.people.join() &&
    row.steps.join() === fields.steps.join()
  );
}
