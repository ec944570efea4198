import {
  type AcceptedChange,
  type Change,
  type Conflict,
  type JobState,
  type Op,
  type Problem,
  problem,
} from '@yellow-pane/contracts';
import { JOB_TABLES, NEW_SURFACE, type RowOf } from '@yellow-pane/core/job';

/** One value that was put into a field, in the order of the server. */
export interface Entry {
  readonly changeId: string;
  readonly session: string;
  readonly field: string;
  readonly value: string;
  /** Of the row, once it was in. */
  readonly version: number;
}

/** The one surface. */
export const SURFACE = '0198c0de-0000-7000-8000-000000000001';
const MADE = { jobId: 'J', madeBy: 'Wren', madeAt: 't', changedBy: 'Wren', changedAt: 't', removed: false };

/**
 * What the server promises of one surface, in as few words as can be: each change once, and no field that
 * another session has set since it was seen. The reference for the queue of the page.
 */
export class ModelServer {
  readonly entries: Entry[] = [];
  readonly #taken = new Map<string, AcceptedChange>();
  #row: RowOf<'surface'> = {
    ...NEW_SURFACE,
    ...MADE,
    id: SURFACE,
    placeId: SURFACE,
    position: 1,
    tag: 'SW1',
    version: 1,
  };
  /** A fault of its own with whatever holds this text. */
  poison: string | undefined;

  get row(): RowOf<'surface'> {
    return this.#row;
  }

  get job(): JobState {
    return {
      seq: this.#taken.size,
      rows: {
        ...Object.fromEntries(JOB_TABLES.map((table) => [table, []])),
        surface: [this.#row],
      } as unknown as JobState['rows'],
    };
  }

  /** @returns the answer, or why not */
  take(change: Change): { readonly answer: AcceptedChange } | { readonly refusal: Problem } {
    const before = this.#taken.get(change.id);
    if (before !== undefined) return { answer: before };
    if (change.ops.some((op) => op.op === 'set' && Object.values(op.fields).includes(this.poison)))
      return { refusal: problem('SERVER_FAULT', { path: 'server', expected: 'an answer', got: 'a fault' }) };
    const conflicts = change.ops.flatMap((op) => this.#conflicts(op, change.session));
    if (conflicts.length > 0)
      return {
        refusal: problem(
          'ROW_CONFLICT',
          { path: 'surface', expected: 'theirs', got: 'yours' },
          { conflicts, current: [{ table: 'surface', row: this.#row }] },
        ),
      };
    for (const op of change.ops) this.#set(op, change);
    const answer: AcceptedChange = {
      seq: this.#taken.size + 1,
      changeId: change.id,
      session: change.session,
      who: change.who,
      at: 't',
      rows: [{ table: 'surface', row: this.#row }],
    };
    this.#taken.set(change.id, answer);
    return { answer };
  }

  #conflicts(op: Op, session: string): readonly Conflict[] {
    if (op.op !== 'set') return [];
    return Object.entries(op.fields).flatMap(([field, yours]): readonly Conflict[] => {
      const since = this.entries.filter(
        (own) => own.field === field && own.version > op.baseVersion && own.session !== session,
      );
      const theirs = this.#row[field as 'tag'];
      return since.length === 0 || theirs === yours
        ? []
        : [
            {
              table: 'surface',
              id: SURFACE,
              field,
              yours,
              theirs,
              who: 'somebody',
              at: 't',
              version: this.#row.version,
            },
          ];
    });
  }

  #set(op: Op, change: Change): void {
    if (op.op !== 'set') return;
    const version = this.#row.version + 1;
    this.#row = { ...this.#row, ...op.fields, version } as RowOf<'surface'>;
    for (const [field, value] of Object.entries(op.fields))
      this.entries.push({
        changeId: change.id,
        session: change.session,
        field,
        value: String(value),
        version,
      });
  }
}
