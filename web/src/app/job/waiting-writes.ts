import { readKept, writeKept } from '../device/keep';
import type { OpenConflict, PendingChange, SetAside } from './job-state';

interface Waiting {
  readonly pending: readonly PendingChange[];
  readonly conflicts: readonly OpenConflict[];
  readonly aside: readonly SetAside[];
}

const NOTHING: Waiting = { pending: [], conflicts: [], aside: [] };
const keyOf = (jobId: string): string => `waiting.${jobId}`;

/** Keeps what the server has not taken yet in this browser, so that a reload loses nothing. */
export function keepWaiting(jobId: string, waiting: Waiting): boolean {
  return writeKept(keyOf(jobId), waiting.pending.length + waiting.conflicts.length + waiting.aside.length === 0 ? undefined : waiting);
}

/** What was kept, checked against the contract; what no longer fits it is left out. */
export async function readWaiting(jobId: string): Promise<Waiting> {
  const kept = readKept(keyOf(jobId));
  if (typeof kept !== 'object' || kept === null) return NOTHING;
  const { changeSchema } = await import('@yellow-pane/contracts/change');
  const { pending = [], conflicts = [], aside = [] } = kept as Partial<Waiting>;
  return { pending: pending.filter(({ change }) => changeSchema.safeParse(change).success), conflicts, aside };
}
