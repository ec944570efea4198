import { allAhead, doneAhead, noteAhead } from '../device/ahead';
import { type BrowserStore, type WaitingRecord, browserStore } from '../device/browser-store';
import { readKept, writeKept } from '../device/keep';
import { TAB, aloneOverTabs, liveInThisTab, otherTabs } from '../device/open-tabs';
import { shellWords } from '../words/shell';
import type { OpenConflict, PendingChange, SetAside } from './job-state';

/** What of a job waits in this browser. */
interface Waiting {
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
const UNREADABLE = shellWords.ofAnotherVersion;
const NONE: ReadonlyMap<string, Kept> = new Map();

/**
 * What of the open jobs waits in one opening of a tab, kept in the browser so that a reload loses nothing.
 */
export class WaitingWrites {
  readonly #tab: string;
  /** As last written, by job and identifier: only what differs is written again. */
  readonly #written = new Map<string, ReadonlyMap<string, Kept>>();
  /** As last asked for, but for what could not be noted: what differs is noted ahead. */
  readonly #asked = new Map<string, ReadonlyMap<string, Kept>>();
  #turn: Promise<unknown> = Promise.resolve();

  constructor(tab: string = TAB) {
    this.#tab = tab;
  }

  /**
   * Keeps what the server has not taken yet: noted at once, then written to the database.
   * @returns whether all of it is kept now: false while the browser refuses (full, or storage switched off)
   */
  keep(jobId: string, waiting: Waiting): Promise<boolean> {
    const now = new Map(recordsOf(waiting).map((record) => [record.id, record]));
    const { fresh, gone } = differences(this.#asked.get(jobId), now);
    const noted = [
      ...fresh.map((record): [string, Kept | null] => [record.id, record]),
      ...gone.map((id): [string, Kept | null] => [id, null]),
    ].map(([id, record]) => ({
      id,
      text: noteAhead(AHEAD, id, { jobId, tab: this.#tab, record } satisfies Ahead),
    }));
    const unnoted = new Set(noted.filter(({ text }) => text === undefined).map(({ id }) => id));
    this.#asked.set(jobId, new Map([...now].filter(([id]) => !unnoted.has(id))));
    const next = this.#turn
      .then(() => this.#write(jobId, now))
      .then(() => {
        for (const { id, text } of noted) doneAhead(AHEAD, id, text);
        return true;
      })
      .catch(() => false);
    this.#turn = next;
    return next;
  }

  /**
   * Takes what waits of a job and no living tab looks after: this one does from now on. In the order it was
   * made. What no longer fits the contract is not dropped: it stands aside, to be seen.
   */
  async take(jobId: string): Promise<Waiting> {
    await liveInThisTab();
    const store = await browserStore().catch(() => undefined);
    const records =
      store === undefined
        ? await withoutDatabase(jobId)
        : await aloneOverTabs('waiting changes', () => this.#adopted(store, jobId));
    const waiting = await sorted(records);
    if (store !== undefined) {
      const taken = records.map((record) => [record.id, record] as const);
      this.#written.set(jobId, new Map([...(this.#written.get(jobId) ?? []), ...taken]));
      this.#asked.set(jobId, new Map([...(this.#asked.get(jobId) ?? []), ...taken]));
    }
    return waiting;
  }

  async #write(jobId: string, now: ReadonlyMap<string, Kept>): Promise<void> {
    const { fresh, gone } = differences(this.#written.get(jobId), now);
    if (fresh.length + gone.length === 0) return;
    await liveInThisTab();
    const transaction = (await browserStore()).transaction('waiting', 'readwrite');
    await Promise.all([
      ...gone.map((id) => transaction.store.delete(id)),
      ...fresh.map((record) => transaction.store.put({ ...record, jobId, tab: this.#tab })),
      transaction.done,
    ]);
    this.#written.set(jobId, now);
  }

  async #adopted(store: BrowserStore, jobId: string): Promise<readonly Kept[]> {
    const others = await otherTabs(this.#tab);
    const old = keptTheOldWay(jobId);
    const ahead = aheadOf(jobId, others);
    const stored = (await store.getAllFromIndex('waiting', 'job', jobId)).filter(
      ({ tab }) => !others.has(tab),
    );
    const own = new Map<string, Kept>([...stored, ...old].map((record) => [record.id, record]));
    for (const { id, record } of ahead) {
      if (record === null) own.delete(id);
      else own.set(id, record);
    }
    const isMarked = await this.#mark(
      store,
      jobId,
      [...own.values()],
      ahead.filter(({ record }) => record === null).map(({ id }) => id),
    );
    if (isMarked && old.length > 0) writeKept(`waiting.${jobId}`, undefined);
    if (isMarked) for (const { id, text } of ahead) doneAhead(AHEAD, id, text);
    return [...own.values()];
  }

  /**
   * This tab looks after them from now on.
   * @returns false while the browser refuses to write: then they stay as they were kept
   */
  async #mark(
    store: BrowserStore,
    jobId: string,
    own: readonly Kept[],
    gone: readonly string[],
  ): Promise<boolean> {
    try {
      const transaction = store.transaction('waiting', 'readwrite');
      await Promise.all([
        ...own.map((record) => transaction.store.put({ ...record, jobId, tab: this.#tab })),
        ...gone.map((id) => transaction.store.delete(id)),
        transaction.done,
      ]);
      return true;
    } catch {
      return false;
    }
  }
}

/** What waits in this tab. */
export const waitingHere = new WaitingWrites();

async function sorted(records: readonly Kept[]): Promise<Waiting> {
  const { importSchema } = await import('@yellow-pane/contracts/change');
  const waiting: { pending: PendingChange[]; conflicts: OpenConflict[]; aside: SetAside[] } = {
    pending: [],
    conflicts: [],
    aside: [],
  };
  for (const { kind, value } of [...records].sort((a, b) => (a.id < b.id ? -1 : 1))) {
    if (kind === 'conflict') waiting.conflicts.push(value as OpenConflict);
    else if (kind === 'aside') waiting.aside.push(value as SetAside);
    else if (importSchema.safeParse((value as PendingChange).change).success)
      waiting.pending.push(value as PendingChange);
    else waiting.aside.push({ pending: value as PendingChange, says: UNREADABLE });
  }
  return waiting;
}

function differences(
  before: ReadonlyMap<string, Kept> = NONE,
  now: ReadonlyMap<string, Kept> = NONE,
): { fresh: readonly Kept[]; gone: readonly string[] } {
  return {
    fresh: [...now.values()].filter(
      ({ id, kind, value }) => before.get(id)?.value !== value || before.get(id)?.kind !== kind,
    ),
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

/** Where the browser has no database, what was noted ahead of it is all there is. */
async function withoutDatabase(jobId: string): Promise<readonly Kept[]> {
  return [
    ...keptTheOldWay(jobId),
    ...aheadOf(jobId, await otherTabs(TAB)).flatMap(({ record }) => record ?? []),
  ];
}

/** What was noted ahead and no living tab looks after. */
function aheadOf(
  jobId: string,
  others: ReadonlySet<string>,
): readonly { id: string; text: string; record: Kept | null }[] {
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
