import type { RowOf } from '../../job';
import type { JobView } from '../view/job-view';

/** What is to be taken back so that a film is cut and laid anew. */
interface Redo {
  /** Pieces that count no longer: their blanks wait for film again. */
  readonly pieces: readonly RowOf<'cutPiece'>[];
  /** Steps that are to be done again. */
  readonly work: readonly RowOf<'workRecord'>[];
  /** What was said before the work, and of waits: both are asked anew. */
  readonly gates: readonly RowOf<'gateTick'>[];
  readonly waits: readonly RowOf<'waitEnd'>[];
  /** Times planned for steps that are to be planned anew. */
  readonly planned: readonly RowOf<'plannedStep'>[];
}

/**
 * Which film a mark is in: its own, else the only one there is.
 * @returns undefined where nobody can tell
 */
export function filmOfMark(view: JobView, mark: RowOf<'mark'>): RowOf<'application'> | undefined {
  const all = view.applicationsOf(mark.surfaceId);
  return all.find(({ id }) => id === mark.applicationId) ?? (all.length === 1 ? all[0] : undefined);
}

/** A film laid anew, whole. */
export const redoOf = (view: JobView, applicationId: string): Redo => ({
  pieces: view.piecesFor(applicationId),
  work: view.workOf(applicationId),
  gates: view.gateTicksOf(applicationId),
  waits: view.waitEndsOf(applicationId),
  planned: view.rows.plannedStep.filter((own) => own.applicationId === applicationId),
});
