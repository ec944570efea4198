import type { Signed } from '../signed';

export const FOLDS_SAY = ['lies', 'pops up', 'too hot'] as const;
/** What a fold did under the gun. */
export type FoldSaid = (typeof FOLDS_SAY)[number];

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
  /** When each round of a step that repeats was done, one after the other; null: not known when. */
  readonly roundsAt: readonly (string | null)[];
  /** What each fold of curved film did when it was heated, beside its round; null: nobody said. */
  readonly foldsSaid: readonly (FoldSaid | null)[];
  /** Who did it, as their names were; empty: not known. */
  readonly people: readonly string[];
  /** What was sprayed, as it was mixed that day; empty: nothing, or not known. */
  readonly mix: string;
  /** How it was done otherwise than the step says; empty: as it says. */
  readonly deviation: string;
  /** Who goes on from here; null: nobody else. */
  readonly handedTo: Signed | null;
  readonly note: string;
}

/** A step of which nothing is done yet. */
export const NOT_BEGUN: Omit<WorkRecord, 'applicationId' | 'template' | 'step' | 'templateVersion'> = {
  startedAt: null,
  doneAt: null,
  roundsAt: [],
  foldsSaid: [],
  people: [],
  mix: '',
  deviation: '',
  handedTo: null,
  note: '',
};

/** How far a step of the work is. */
export type StepState = 'open' | 'begun' | 'done';

/** @param record of the step; undefined: nobody has touched it */
export function stepStateOf(record: Pick<WorkRecord, 'startedAt' | 'doneAt'> | undefined): StepState {
  if (record === undefined) return 'open';
  if (record.doneAt !== null) return 'done';
  return record.startedAt === null ? 'open' : 'begun';
}
