import { type BrowserStore, type WaitingRecord, browserStore } from '../device/browser-store';
import { readKept, writeKept } from '../device/keep';
import { TAB, aloneOverTabs, liveInThisTab, otherTabs } from '../device/open-tabs';
import type { OpenConflict, PendingChange, SetAside } from './job-state';

/** What of a job waits in this browser. */
export interface Waiting {
  readonly pending: readonly PendingChange[];
  readonly conflicts: readonly OpenConflict[];
  readonly aside: readonly SetAside[];
}

type Kept = Pick<WaitingRecord, 'id' | 'kind' | 'value'>;

const UNREADABLE = 'It was kept by another version and cannot be sent as it is.';
/** As last written, by job and identifier: only what differs is written again. */
const written = new Map<string, ReadonlyMap<string, Kept>>();
let turn: Promise<unknown> = Promise.resolve();

/** Keeps what the server has not taken yet in this browser, so that a reload loses nothing.
 *  @returns whether all of it is kept now: false while the browser refuses (full, or storage switched off) */
export function keepWaiting(jobId: string, waiting: Waiting): Promise<boolean> {
  const next = turn.then(() => write(jobId, waiting)).catch(() => false);
  turn = next;
  return next;
}

async function write(jobId: string, waiting: Waiting): Promise<boolean> {
  const now = new Map(recordsOf(waiting).map((record) => [record.id, record]));
  const before = written.get(jobId) ?? new Map<string, Kept>();
  const fresh = [...now.values()].filter(({ id, kind, value }) => before.get(id)?.value !== value || before.get(id)?.kind !== kind);
  const gone = [...before.keys()].filter((id) => !now.has(id));
  if (fresh.length + gone.length === 0) return true;
  await liveInThisTab();
  const transaction = (await browserStore()).transaction('waiting', 'readwrite');
  await Promise.all([...gone.map((id) => transaction.store.delete(id)), ...fresh.map((record) => transaction.store.put({ ...record, jobId, tab: TAB })), transaction.done]);
  written.set(jobId, now);
  return true;
}

function recordsOf({ pending, conflicts, aside }: Waiting): readonly Kept[] {
  return [
    ...pending.map((value): Kept => ({ id: value.change.id, kind: 'pending', value })),
    ...conflicts.map((value): Kept => ({ id: value.pending.change.id, kind: 'conflict', value })),
    ...aside.map((value): Kept => ({ id: value.pending.change.id, kind: 'aside', value })),
  ];
}

/** Takes what waits of a job and no living tab looks after: this one does from now on. In the order it was made.
 *  What no longer fits the contract is not dropped: it stands aside, to be seen. */
export async function takeWaiting(jobId: string): Promise<Waiting> {
  await liveInThisTab();
  const store = await browserStore().catch(() => undefined);
  const records = store === undefined ? keptTheOldWay(jobId) : await aloneOverTabs('waiting changes', () => adopted(store, jobId));
  const { importSchema } = await import('@yellow-pane/contracts/change');
  const waiting: { pending: PendingChange[]; conflicts: OpenConflict[]; aside: SetAside[] } = { pending: [], conflicts: [], aside: [] };
  for (const { kind, value } of [...records].sort((a, b) => (a.id < b.id ? -1 : 1))) {
    if (kind === 'conflict') waiting.conflicts.push(value as OpenConflict);
    else if (kind === 'aside') waiting.aside.push(value as SetAside);
    else if (importSchema.safeParse((value as PendingChange).change).success) waiting.pending.push(value as PendingChange);
    else waiting.aside.push({ pending: value as PendingChange, says: UNREADABLE });
  }
  if (store !== undefined) written.set(jobId, new Map([...(written.get(jobId) ?? []), ...records.map((record) => [record.id, record] as const)]));
  return waiting;
}

async function adopted(store: BrowserStore, jobId: string): Promise<readonly Kept[]> {
  const old = keptTheOldWay(jobId);
  const others = await otherTabs();
  const transaction = store.transaction('waiting', 'readwrite');
  await Promise.all(old.map((record) => transaction.store.put({ ...record, jobId, tab: TAB })));
  const all = await transaction.store.index('job').getAll(jobId);
  const own = all.filter(({ tab }) => !others.has(tab));
  await Promise.all([...own.map((record) => transaction.store.put({ ...record, tab: TAB })), transaction.done]);
  if (old.length > 0) writeKept(`waiting.${jobId}`, undefined);
  return own;
}

/** What versions up to 0.5.0 kept in one text a job. */
function keptTheOldWay(jobId: string): readonly Kept[] {
  const kept = readKept(`waiting.${jobId}`);
  if (typeof kept !== 'object' || kept === null) return [];
  const { pending = [], conflicts = [], aside = [] } = kept as Partial<Waiting>;
  return recordsOf({ pending, conflicts, aside });
}
