/**
 * What a person did at one work step. The key (application, template, step, template version) outlives later
 * changes of the template.
 */
export interface WorkRecord {
  readonly applicationId: string;
  readonly template: string;
  readonly step: string;
  readonly templateVersion: number;
  readonly startedAt: string | null;
  readonly doneAt: string | null;
  /** Rounds done so far of a step that repeats. */
  readonly round: number;
  readonly note: string;
}

const WAIT_ENDED = 'wait:';

/** The step under which a record keeps that a person ended the wait after a step by hand. */
export const waitEndedStep = (step: string): string => `${WAIT_ENDED}${step}`;

/** The step whose wait such a record ended; null: it is a record of work. */
export const waitEndedOf = ({ step }: Pick<WorkRecord, 'step'>): string | null =>
  step.startsWith(WAIT_ENDED) ? step.slice(WAIT_ENDED.length) : null;

/** How far a step of the work is. */
export type StepState = 'open' | 'begun' | 'done';

/** @param record of the step; undefined: nobody has touched it */
export function stepStateOf(record: Pick<WorkRecord, 'startedAt' | 'doneAt'> | undefined): StepState {
  if (record === undefined) return 'open';
  if (record.doneAt !== null) return 'done';
  return record.startedAt === null ? 'open' : 'begun';
}
