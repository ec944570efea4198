import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { v7 as newId } from 'uuid';
import { browserStore } from '../device/browser-store';
import { type LocalTexts, fakeLocalStorage } from '../testing/local-storage';
import type { PendingChange } from './job-state';
import { waitingHere } from './waiting-writes';

let store: LocalTexts;
const locks = {
  query: () => Promise.resolve({ held: [...living].map((tab) => ({ name: `yellow-pane tab ${tab}` })) }),
  request: (_name: string, run: () => Promise<unknown>) => run(),
};
const living = new Set<string>();
beforeEach(() => {
  store = fakeLocalStorage();
  living.clear();
  Object.defineProperty(globalThis.navigator, 'locks', { value: locks, configurable: true });
});
afterEach(() => {
  jest.restoreAllMocks();
});

const uuid = '0198c0de-0000-7000-8000-000000000001';
const made = (tag: string, more: readonly object[] = []): PendingChange => ({
  change: {
    id: newId(),
    session: uuid,
    who: 'Wren',
    ops: [{ op: 'set', table: 'surface', id: uuid, baseVersion: 1, fields: { tag } }, ...more] as never,
  },
  label: tag,
  at: 't',
  from: 'person',
});
const nothing = { pending: [], conflicts: [], aside: [] };
let jobs = 0;
const newJob = (): string => `J${(jobs += 1)}`;

describe('are writes the server has not taken yet kept over a reload?', () => {
  it('they come back in the order they were made; another job’s do not', async () => {
    const job = newJob();
    const pending = [made('A'), made('B')];
    expect(await waitingHere.keep(job, { ...nothing, pending })).toBe(true);
    expect((await waitingHere.take(job)).pending).toEqual(pending);
    expect(await waitingHere.take(newJob())).toEqual(nothing);
  });
  it('what was set aside and what is asked about come back too; nothing waiting leaves nothing behind', async () => {
    const job = newJob();
    const aside = [{ pending: made('A'), says: 'The server ran into an error.' }];
    const conflicts = [{ pending: made('B'), conflicts: [] }];
    await waitingHere.keep(job, { pending: [], conflicts, aside });
    expect(await waitingHere.take(job)).toEqual({ pending: [], conflicts, aside });
    await waitingHere.keep(job, nothing);
    expect(await (await browserStore()).getAllFromIndex('waiting', 'job', job)).toEqual([]);
  });
  it('a list brought in of more than 2,000 operations is not dropped', async () => {
    const job = newJob();
    const long = made(
      'A',
      Array.from({ length: 2500 }, () => ({
        op: 'set',
        table: 'surface',
        id: uuid,
        baseVersion: 1,
        fields: { tag: 'x' },
      })),
    );
    await waitingHere.keep(job, { ...nothing, pending: [long] });
    expect((await waitingHere.take(job)).pending).toEqual([long]);
  });
  it('what no longer fits the contract stands aside, to be seen; the rest goes on', async () => {
    const job = newJob();
    const [good, broken] = [made('A'), made('B', [{ op: 'set', table: 'nowhere', id: 'S' }])];
    await waitingHere.keep(job, { ...nothing, pending: [good, broken] });
    const { pending, aside } = await waitingHere.take(job);
    expect([pending, aside.map((own) => own.pending)]).toEqual([[good], [broken]]);
  });
  it('what a version up to 0.5.0 kept is taken over once', async () => {
    const job = newJob();
    const old = made('A');
    store.texts.set(`yellow-pane.waiting.${job}`, JSON.stringify({ pending: [old], conflicts: [] }));
    expect((await waitingHere.take(job)).pending).toEqual([old]);
    expect(store.texts.size).toBe(0);
    expect((await waitingHere.take(job)).pending).toEqual([old]);
  });
});

describe('is a page that is left in mid-write without loss?', () => {
  it('what the database had not taken yet comes back; what it has taken is noted nowhere else', async () => {
    const job = newJob();
    const pending = [made('A'), made('B')];
    jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('gone', 'AbortError');
    });
    void waitingHere.keep(job, { ...nothing, pending });
    expect(store.texts.size).toBe(2);
    await waitingHere.keep(job, { ...nothing, pending });
    jest.restoreAllMocks();
    expect((await waitingHere.take(job)).pending).toEqual(pending);
    expect(store.texts.size).toBe(0);
  });
  it('what was decided or sent does not come back', async () => {
    const job = newJob();
    const aside = [{ pending: made('A'), says: 'no' }];
    await waitingHere.keep(job, { ...nothing, aside });
    jest.spyOn(IDBObjectStore.prototype, 'delete').mockImplementation(() => {
      throw new DOMException('gone', 'AbortError');
    });
    await waitingHere.keep(job, nothing);
    jest.restoreAllMocks();
    expect(await waitingHere.take(job)).toEqual(nothing);
  });
  it('without any database what was noted is still there', async () => {
    const job = newJob();
    const pending = [made('A')];
    jest.spyOn(IDBDatabase.prototype, 'transaction').mockImplementation(() => {
      throw new DOMException('gone', 'AbortError');
    });
    expect(await waitingHere.keep(job, { ...nothing, pending })).toBe(false);
    jest.restoreAllMocks();
    expect((await waitingHere.take(job)).pending).toEqual(pending);
  });
});

describe('do two tabs keep out of each other’s way?', () => {
  const ofTab = async (job: string, tab: string, value: PendingChange): Promise<void> => {
    await (
      await browserStore()
    ).put('waiting', { id: value.change.id, jobId: job, tab, kind: 'pending', value });
  };
  it('what a living tab looks after is left to it; once it is gone, this one takes it, beside its own', async () => {
    const job = newJob();
    const [theirs, own] = [made('theirs'), made('own')];
    await ofTab(job, 'other', theirs);
    living.add('other');
    await waitingHere.keep(job, { ...nothing, pending: [own] });
    expect((await waitingHere.take(job)).pending).toEqual([own]);
    living.clear();
    expect((await waitingHere.take(job)).pending).toEqual([theirs, own]);
  });
  it('what one tab has sent is taken out alone: the other’s stays', async () => {
    const job = newJob();
    const [theirs, own] = [made('theirs'), made('own')];
    await ofTab(job, 'other', theirs);
    living.add('other');
    await waitingHere.keep(job, { ...nothing, pending: [own] });
    await waitingHere.keep(job, nothing);
    living.clear();
    expect((await waitingHere.take(job)).pending).toEqual([theirs]);
  });
});

describe('is it said when the browser will not keep?', () => {
  it('no while it refuses, yes once it takes everything', async () => {
    const job = newJob();
    const pending = [made('A')];
    const refusing = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    expect(await waitingHere.keep(job, { ...nothing, pending })).toBe(false);
    refusing.mockRestore();
    expect(await waitingHere.keep(job, { ...nothing, pending })).toBe(true);
    expect((await waitingHere.take(job)).pending).toEqual(pending);
  });
});
