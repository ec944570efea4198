import { allAhead, doneAhead, noteAhead } from '../device/ahead';
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

/** Noted ahead of the database: a record as it will stand there, or that it goes. */
interface Ahead {
  readonly jobId: string;
  readonly tab: string;
  readonly record: Kept | null;
}

const AHEAD = 'waiting';
const UNREADABLE = 'It was kept by another version and cannot be sent as it is.';
const NONE: ReadonlyMap<string, Kept> = new Map();
/** As last written, by job and identifier: only what differs is written again. */
const written = new Map<string, ReadonlyMap<string, Kept>>();
/** As last asked for: what differs is noted ahead. */
const asked = new Map<string, ReadonlyMap<string, Kept>>();
let turn: Promise<unknown> = Promise.resolve();

/** Keeps what the server has not taken yet in this browser, so that a reload loses nothing: noted at once, then written to the database.
 *  @returns whether all of it is kept now: false while the browser refuses (full, or storage switched off) */
export function keepWaiting(jobId: string, waiting: Waiting): Promise<boolean> {
  const now = new Map(recordsOf(waiting).map((record) => [record.id, record]));
  const { fresh, gone } = differences(asked.get(jobId), now);
  asked.set(jobId, now);
  const noted = [...fresh.map((record): [string, Kept | null] => [record.id, record]), ...gone.map((id): [string, Kept | null] => [id, null])]
    .map(([id, record]) => ({ id, text: noteAhead(AHEAD, id, { jobId, tab: TAB, record } satisfies Ahead) }));
  const next = turn.then(() => write(jobId, now)).then(() => {
    for (const { id, text } of noted) doneAhead(AHEAD, id, text);
    return true;
  }).catch(() => false);
  turn = next;
  return next;
}

async function write(jobId: string, now: ReadonlyMap<string, Kept>): Promise<void> {
  const { fresh, gone } = differences(written.get(jobId), now);
  if (fresh.length + gone.length === 0) return;
  await liveInThisTab();
  const transaction = (await browserStore()).transaction('waiting', 'readwrite');
  await Promise.all([...gone.map((id) => transaction.store.delete(id)), ...fresh.map((record) => transaction.store.put({ ...record, jobId, tab: TAB })), transaction.done]);
  written.set(jobId, now);
}

function differences(before: ReadonlyMap<string, Kept> = NONE, now: ReadonlyMap<string, Kept> = NONE): { fresh: readonly Kept[]; gone: readonly string[] } {
  return {
    fresh: [...now.values()].filter(({ id, kind, value }) => before.get(id)?.value !== value || before.get(id)?.kind !== kind),
    gone: [...before.keys()].filter((id) => !now.has(id)),
  };
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
  const records = store === undefined ? await withoutDatabase(jobId) : await aloneOverTabs('waiting changes', () => adopted(store, jobId));
  const { importSchema } = await import('@yellow-pane/contracts/change');
  const waiting: { pending: PendingChange[]; conflicts: OpenConflict[]; aside: SetAside[] } = { pending: [], conflicts: [], aside: [] };
  for (const { kind, value } of [...records].sort((a, b) => (a.id < b.id ? -1 : 1))) {
    if (kind === 'conflict') waiting.conflicts.push(value as OpenConflict);
    else if (kind === 'aside') waiting.aside.push(value as SetAside);
    else if (importSchema.safeParse((value as PendingChange).change).success) waiting.pending.push(value as PendingChange);
    else waiting.aside.push({ pending: value as PendingChange, says: UNREADABLE });
  }
  if (store !== undefined) {
    const taken = records.map((record) => [record.id, record] as const);
    written.set(jobId, new Map([...(written.get(jobId) ?? []), ...taken]));
    asked.set(jobId, new Map([...(asked.get(jobId) ?? []), ...taken]));
  }
  return waiting;
}

async function adopted(store: BrowserStore, jobId: string): Promise<readonly Kept[]> {
  const old = keptTheOldWay(jobId);
  const others = await otherTabs();
  const ahead = aheadOf(jobId, others);
  const transaction = store.transaction('waiting', 'readwrite');
  await Promise.all([
    ...[...old, ...ahead.flatMap(({ record }) => record ?? [])].map((record) => transaction.store.put({ ...record, jobId, tab: TAB })),
    ...ahead.filter(({ record }) => record === null).map(({ id }) => transaction.store.delete(id)),
  ]);
  const all = await transaction.store.index('job').getAll(jobId);
  const own = all.filter(({ tab }) => !others.has(tab));
  await Promise.all([...own.map((record) => transaction.store.put({ ...record, tab: TAB })), transaction.done]);
  if (old.length > 0) writeKept(`waiting.${jobId}`, undefined);
  for (const { id, text } of ahead) doneAhead(AHEAD, id, text);
  return own;
}

/** Where the browser has no database, what was noted ahead of it is all there is. */
async function withoutDatabase(jobId: string): Promise<readonly Kept[]> {
  return [...keptTheOldWay(jobId), ...aheadOf(jobId, await otherTabs()).flatMap(({ record }) => record ?? [])];
}

/** What was noted ahead and no living tab looks after. */
function aheadOf(jobId: string, others: ReadonlySet<string>): readonly { id: string; text: string; record: Kept | null }[] {
  return [...allAhead(AHEAD)]
    .map(([id, text]) => ({ id, text, noted: JSON.parse(text) as Ahead }))
    .filter(({ noted }) => noted.jobId === jobId && !others.has(noted.tab))
    .map(({ id, text, noted }) => ({ id, text, record: noted.record }));
}

/** What versions up to 0.5.0 kept in one text a job. */
function keptTheOldWay(jobId: string): readonly Kept[] {
  const kept = readKept(`waiting.${jobId}`);
  if (typeof kept !== 'object' || kept === null) return [];
  const { pending = [], conflicts = [], aside = [] } = kept as Partial<Waiting>;
  return recordsOf({ pending, conflicts, aside });
}
