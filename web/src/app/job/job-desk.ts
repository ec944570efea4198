import { Injectable, computed, inject } from '@angular/core';
import { Store } from '@ngrx/store';
import type { Op, PutOp } from '@yellow-pane/contracts';
import { type FieldsOf, type JobTable, consequencesOf } from '@yellow-pane/core/job';
import { newId, sessionOf } from '../device/session';
import { WhoseHand } from '../device/whose-hand';
import { type OpenConflict, type PendingChange, opsToTakeBack, seenVersion } from './job-state';
import { JobActions, jobFeature } from './job.feature';
import { rowIn, rowsIn } from './tables';

/**
 * Where screens do things to the open job: each doing is one change, seen at once, sent when it can be,
 * undoable.
 */
@Injectable({ providedIn: 'root' })
export class JobDesk {
  readonly #store = inject(Store);
  readonly #hand = inject(WhoseHand);
  readonly state = this.#store.selectSignal(jobFeature.selectJobState);
  readonly view = this.#store.selectSignal(jobFeature.selectView);
  readonly unsaved = computed(() => this.state().pending.length);
  readonly canUndo = computed(() => this.state().undo.at(-1)?.label);
  readonly canRedo = computed(() => this.state().redo.at(-1)?.label);

  open(jobId: string): void {
    if (this.state().jobId !== jobId) this.#store.dispatch(JobActions.open({ jobId }));
  }

  close(): void {
    this.#store.dispatch(JobActions.close());
  }

  /**
   * Does several things as one, with what hangs on what is removed. Nothing happens when there is nothing to
   * do.
   */
  do(label: string, ops: readonly Op[]): void {
    if (ops.length > 0) this.#make(label, this.#withConsequences(ops), 'person');
  }

  put<Table extends JobTable>(table: Table, fields: FieldsOf<Table>, id = newId()): PutOp<Table> & Op {
    return { op: 'put', table, id, fields } as unknown as PutOp<Table> & Op;
  }

  /**
   * @param seen the version of the row that the person saw when beginning, 0 when there was none; left out:
   * the one that is there now
   */
  set<Table extends JobTable>(table: Table, id: string, fields: Partial<FieldsOf<Table>>, seen?: number): Op {
    return {
      op: 'set',
      table,
      id,
      baseVersion: Math.min(seen ?? Infinity, seenVersion(this.state(), table, id, Object.keys(fields))),
      fields,
    } as unknown as Op;
  }

  remove(table: JobTable, id: string): Op {
    return { op: 'remove', table, id, baseVersion: this.#version(table, id) };
  }

  undo(): void {
    const entry = this.state().undo.at(-1);
    if (entry !== undefined) this.#make(entry.label, opsToTakeBack(entry), 'undo');
  }

  redo(): void {
    const entry = this.state().redo.at(-1);
    if (entry !== undefined) this.#make(entry.label, opsToTakeBack(entry), 'redo');
  }

  /** Decides a conflict: mine is sent again against what is there now, theirs stays. */
  decide(conflict: OpenConflict, whose: 'mine' | 'theirs'): void {
    this.#store.dispatch(JobActions.decided({ conflict }));
    if (whose === 'theirs') return;
    const versions = new Map(conflict.conflicts.map(({ id, version }) => [id, version]));
    const ops = conflict.pending.change.ops.map((op): Op =>
      op.op === 'put' ? op : { ...op, baseVersion: Math.max(versions.get(op.id) ?? 0, op.baseVersion) },
    );
    this.#make(conflict.pending.label, ops, 'person');
  }

  /** Sends what waits once more. */
  tryAgain(): void {
    this.#store.dispatch(JobActions.serverHere());
  }

  /** A change that was set aside: sent again, or dropped. */
  takeUp(changeId: string, isDropped: boolean): void {
    this.#store.dispatch(JobActions.tookUp({ changeId, isDropped }));
  }

  say(notice: string | null): void {
    this.#store.dispatch(JobActions.say({ notice }));
  }

  #withConsequences(ops: readonly Op[]): readonly Op[] {
    const named = new Set(ops.flatMap((op) => (op.op === 'remove' ? [op.id] : [])));
    return ops.flatMap((op) => {
      if (op.op !== 'remove') return [op];
      const more = consequencesOf(op.table, op.id, (table) => rowsIn(this.view(), table)).filter(
        ({ id }) => !named.has(id),
      );
      for (const { id, cleared } of more) if (cleared === undefined) named.add(id);
      return [
        ...more.map(({ table, id, cleared }) =>
          cleared === undefined ? this.remove(table, id) : this.set(table, id, { [cleared]: null }),
        ),
        op,
      ];
    });
  }

  #version(table: JobTable, id: string): number {
    return rowIn(this.state().server, table, id)?.version ?? 1;
  }

  #make(label: string, ops: readonly Op[], from: PendingChange['from']): void {
    this.#hand.whenKnown((by) => {
      const change = { id: newId(), session: sessionOf(by.who), ...by, ops };
      this.#store.dispatch(JobActions.did({ made: { change, label, at: new Date().toISOString(), from } }));
    });
  }
}
