import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import type { Op } from '@yellow-pane/contracts';
import fc from 'fast-check';
import { v7 as newId } from 'uuid';
import { browserStore } from '../device/browser-store';
import { type LocalTexts, fakeLocalStorage } from '../testing/local-storage';
import { ModelServer, SURFACE } from '../testing/model-server';
import {
  type OpenConflict,
  type OpenJob,
  type PendingChange,
  accepted,
  adopted,
  decided,
  did,
  opened,
  opening,
  refused,
  seenVersion,
  takenUp,
  trying,
} from './job-state';
import { WaitingWrites } from './waiting-writes';

const SESSIONS = Number(process.env['QUEUE_SESSIONS'] ?? 160);
const FIELDS = ['tag', 'name', 'remark'] as const;
type Field = (typeof FIELDS)[number];

const SESSION_OF: Readonly<Record<string, string>> = { Wren: newId(), Finch: newId() };

/** What a person typed, and what becomes of it. */
interface Typed {
  readonly who: string;
  readonly field: Field;
  readonly value: string;
  /** The value that stood in the field on the screen. */
  readonly shown: string;
}

let texts: LocalTexts;
let refuses = false;
const living = new Set<string>();
beforeEach(() => {
  living.clear();
  const locks = {
    query: () => Promise.resolve({ held: [...living].map((tab) => ({ name: `yellow-pane tab ${tab}` })) }),
    request: (_name: string, run: () => Promise<unknown>) => run(),
  };
  Object.defineProperty(globalThis.navigator, 'locks', { value: locks, configurable: true });
  for (const verb of ['put', 'delete'] as const) {
    const real = IDBObjectStore.prototype[verb] as (this: IDBObjectStore, ...asked: unknown[]) => IDBRequest;
    jest.spyOn(IDBObjectStore.prototype, verb).mockImplementation(function does(
      this: IDBObjectStore,
      ...asked: unknown[]
    ) {
      if (refuses) throw new DOMException('full', 'QuotaExceededError');
      return real.apply(this, asked) as never;
    });
  }
});
afterEach(() => {
  jest.restoreAllMocks();
});

/**
 * One tab: the queue of the page on the storage of its browser. Finch's browser keeps nothing, so his tab is
 * never reloaded.
 */
class Tab {
  readonly #id = newId();
  readonly who: string;
  readonly #writes: WaitingWrites | undefined;
  state: OpenJob = opening('J');
  isOnline = true;
  isKept = Promise.resolve(true);

  constructor(who: string) {
    this.who = who;
    this.#writes = who === 'Wren' ? new WaitingWrites(this.#id) : undefined;
    if (who === 'Wren') living.add(this.#id);
  }

  become(state: OpenJob): void {
    this.state = state;
    const { pending, conflicts, aside } = state;
    if (this.#writes !== undefined) this.isKept = this.#writes.keep('J', { pending, conflicts, aside });
  }

  async load(server: ModelServer): Promise<void> {
    const waiting = (await this.#writes?.take('J')) ?? { pending: [], conflicts: [] };
    this.become(opened(this.state, server.job, waiting));
  }

  async adopt(): Promise<void> {
    if (this.#writes !== undefined) this.become(adopted(this.state, await this.#writes.take('J')));
  }

  make(ops: readonly Op[]): void {
    const made: PendingChange = {
      change: { id: newId(), session: SESSION_OF[this.who] ?? '', who: this.who, ops: [...ops] },
      label: 'typed',
      at: 't',
      from: 'person',
    };
    this.become(did(this.state, made));
  }

  gone(): void {
    living.delete(this.#id);
  }
}

/** A session of two people, one of them in up to three tabs, and all that was typed in it. */
class Session {
  readonly server = new ModelServer();
  readonly typed: Typed[] = [];
  /** Values people gave up with their eyes open. */
  readonly givenUp = new Set<string>();
  /** Values that were shown beside a value of one's own and overruled by it. */
  readonly overruled: { readonly by: string; readonly value: string }[] = [];
  readonly tabs: Tab[] = [];
  readonly finch = new Tab('Finch');
  #values = 0;

  async begin(): Promise<void> {
    await this.finch.load(this.server);
    await this.open();
  }

  get all(): readonly Tab[] {
    return [...this.tabs, this.finch];
  }

  tab(index: number): Tab {
    return this.all[index % this.all.length] ?? this.finch;
  }

  async open(): Promise<void> {
    if (this.tabs.length === 3) return;
    const tab = new Tab('Wren');
    this.tabs.push(tab);
    await tab.load(this.server);
  }

  type(tab: Tab, field: Field): void {
    const value = `${tab.who} ${(this.#values += 1)}`;
    this.typed.push({
      who: tab.who,
      field,
      value,
      shown: tab.state.view.surface.entities[SURFACE]?.[field] ?? '',
    });
    tab.make([
      {
        op: 'set',
        table: 'surface',
        id: SURFACE,
        baseVersion: seenVersion(tab.state, 'surface', SURFACE, [field]),
        fields: { [field]: value },
      },
    ]);
  }

  /** The next change goes out; its answer may get lost on the way back. */
  send(tab: Tab, isAnswerLost: boolean): void {
    const next = tab.state.pending[0];
    if (!tab.isOnline || next === undefined) return;
    tab.become(trying(tab.state, next.change.id));
    const told = this.server.take(next.change);
    if ('answer' in told)
      for (const hearing of this.all)
        if (hearing.isOnline && !(hearing === tab && isAnswerLost))
          hearing.become(accepted(hearing.state, told.answer));
    if (isAnswerLost) tab.isOnline = false;
    else if ('refusal' in told) tab.become(refused(tab.state, next.change.id, told.refusal));
  }

  async join(tab: Tab): Promise<void> {
    tab.isOnline = true;
    await tab.load(this.server);
  }

  /** Leaving asks while something is on this page alone: then it is not left. */
  async leave(tab: Tab, isOpenedAgain: boolean): Promise<void> {
    if (tab === this.finch || (refuses && !(await tab.isKept))) return;
    tab.gone();
    this.tabs.splice(this.tabs.indexOf(tab), 1);
    if (isOpenedAgain) await this.open();
    for (const other of this.tabs) await other.adopt();
  }

  decide(tab: Tab, conflict: OpenConflict | undefined, isMine: boolean): void {
    if (conflict === undefined) return;
    tab.become(decided(tab.state, conflict));
    for (const { theirs, yours } of conflict.conflicts) {
      if (isMine) this.overruled.push({ by: String(yours), value: String(theirs) });
      else this.givenUp.add(String(yours));
    }
    if (!isMine) return;
    const fields = conflict.conflicts.map(({ field }) => field);
    for (const op of tab.state.pending.flatMap(({ change }) => change.ops))
      if (op.op === 'set')
        for (const [field, value] of Object.entries(op.fields))
          if (fields.includes(field)) this.givenUp.add(String(value));
    const versions = Math.max(...conflict.conflicts.map(({ version }) => version));
    tab.make(
      conflict.pending.change.ops.map((op): Op =>
        op.op === 'put' ? op : { ...op, baseVersion: Math.max(versions, op.baseVersion) },
      ),
    );
  }

  takeUp(tab: Tab, isDropped: boolean): void {
    const aside = tab.state.aside[0];
    if (aside === undefined) return;
    if (isDropped)
      for (const op of aside.pending.change.ops)
        if (op.op === 'set') Object.values(op.fields).forEach((value) => this.givenUp.add(String(value)));
    tab.become(takenUp(tab.state, aside.pending.change.id, isDropped));
  }

  /** The last letter, and the page is gone before the database has taken it. */
  async typeAndReload(tab: Tab, field: Field): Promise<void> {
    if (tab === this.finch || refuses || !(await tab.isKept)) return;
    refuses = true;
    this.type(tab, field);
    await tab.isKept;
    refuses = false;
    tab.gone();
    this.tabs.splice(this.tabs.indexOf(tab), 1);
    await this.open();
  }

  /** Everybody is there again, and everything is decided. */
  async end(): Promise<void> {
    refuses = false;
    texts.isFull = false;
    this.server.poison = undefined;
    if (this.tabs.length === 0) await this.open();
    for (let round = 0; round < 200; round += 1) {
      const before = this.server.entries.length;
      for (const tab of this.all) {
        await this.join(tab);
        while (tab.state.aside.length > 0) this.takeUp(tab, false);
        while (tab.state.pending.length > 0) this.send(tab, false);
        while (tab.state.conflicts.length > 0) this.decide(tab, tab.state.conflicts[0], round % 2 === 0);
        await tab.isKept;
      }
      if (
        this.server.entries.length === before &&
        this.all.every(
          ({ state }) => state.pending.length + state.conflicts.length + state.aside.length === 0,
        )
      )
        return;
    }
    throw new Error('the session does not come to rest');
  }
}

type Step = readonly [what: string, run: (session: Session) => Promise<void> | void];
const tabs = fc.nat({ max: 3 });
const fields = fc.constantFrom(...FIELDS);
const steps: fc.Arbitrary<Step> = fc.oneof(
  {
    weight: 8,
    arbitrary: fc.tuple(tabs, fields).map(([at, field]): Step => [
      `type ${at} ${field}`,
      (session) => {
        session.type(session.tab(at), field);
      },
    ]),
  },
  {
    weight: 6,
    arbitrary: tabs.map((at): Step => [
      `send ${at}`,
      (session) => {
        session.send(session.tab(at), false);
      },
    ]),
  },
  {
    weight: 1,
    arbitrary: tabs.map((at): Step => [
      `send ${at}, answer lost`,
      (session) => {
        session.send(session.tab(at), true);
      },
    ]),
  },
  {
    weight: 2,
    arbitrary: tabs.map((at): Step => [
      `cut off ${at}`,
      (session) => {
        session.tab(at).isOnline = false;
      },
    ]),
  },
  {
    weight: 2,
    arbitrary: tabs.map((at): Step => [`join ${at}`, (session) => session.join(session.tab(at))]),
  },
  {
    weight: 1,
    arbitrary: tabs.map((at): Step => [`reload ${at}`, (session) => session.leave(session.tab(at), true)]),
  },
  {
    weight: 1,
    arbitrary: tabs.map((at): Step => [`close ${at}`, (session) => session.leave(session.tab(at), false)]),
  },
  { weight: 1, arbitrary: fc.constant<Step>(['open', (session) => session.open()]) },
  {
    weight: 1,
    arbitrary: fc
      .tuple(tabs, fields)
      .map(([at, field]): Step => [
        `type and reload ${at} ${field}`,
        (session) => session.typeAndReload(session.tab(at), field),
      ]),
  },
  {
    weight: 1,
    arbitrary: fc.boolean().map((isFull): Step => [
      `full ${isFull}`,
      () => {
        refuses = isFull;
        texts.isFull = isFull;
      },
    ]),
  },
  {
    weight: 2,
    arbitrary: fc.tuple(tabs, fc.boolean()).map(([at, isMine]): Step => [
      `decide ${at} ${isMine}`,
      (session) => {
        const tab = session.tab(at);
        session.decide(tab, tab.state.conflicts[0], isMine);
      },
    ]),
  },
  {
    weight: 1,
    arbitrary: tabs.map((at): Step => [
      `poison ${at}`,
      (session) => {
        session.server.poison = session.typed.at(-1 - at)?.value;
      },
    ]),
  },
  {
    weight: 1,
    arbitrary: fc.tuple(tabs, fc.boolean()).map(([at, isDropped]): Step => [
      `take up ${at} ${isDropped}`,
      (session) => {
        session.takeUp(session.tab(at), isDropped);
      },
    ]),
  },
);

/**
 * Values that were typed and are nowhere: not with the server, not given up, not typed over by the same
 * person.
 */
function lost({ typed, server, givenUp }: Session): readonly Typed[] {
  const arrived = new Set(server.entries.map(({ value }) => value));
  return typed.filter(
    ({ value, who, field }, at) =>
      !arrived.has(value) &&
      !givenUp.has(value) &&
      !typed.slice(at + 1).some((later) => later.who === who && later.field === field),
  );
}

/**
 * Values of one person that another put theirs in the place of, without having seen them in the field or
 * beside their own.
 */
function overwritten({ typed, server, overruled }: Session): readonly string[] {
  return FIELDS.flatMap((field) => {
    const entries = server.entries.filter((entry) => entry.field === field);
    return entries.flatMap(({ value, session }, at) => {
      const before = entries[at - 1];
      if (before === undefined || before.session === session) return [];
      const seen = seenBefore(value, typed);
      const isOverruled = overruled.some(
        (own) => own.value === before.value && [value, ...seen].includes(own.by),
      );
      return seen.includes(before.value) || isOverruled
        ? []
        : [`${value} over ${before.value}, while ${seen.join(' on ')} was shown`];
    });
  });
}

/**
 * What stood in the field when a value was typed; where that was a value of one's own, what stood there
 * before it too.
 */
function seenBefore(value: string, typed: readonly Typed[]): readonly string[] {
  const here = typed.find((own) => own.value === value);
  if (here === undefined) return [];
  const own = typed.find(({ value: other, who }) => other === here.shown && who === here.who);
  return [here.shown, ...(own === undefined ? [] : seenBefore(own.value, typed))];
}

describe('is the queue what the server and the people make of it, whatever happens on the way?', () => {
  it(`${SESSIONS} random sessions of typing, cutting off, reloading, closing, two people, tabs, a full browser: the same rows everywhere, nothing lost, nothing overwritten unseen`, async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(steps, { minLength: 5, maxLength: 60 }), async (todo) => {
        texts = fakeLocalStorage();
        refuses = false;
        living.clear();
        await (await browserStore()).clear('waiting');
        const session = new Session();
        await session.begin();
        for (const [, run] of todo) await run(session);
        await session.end();
        const said = todo.map(([what]) => what).join(', ');
        expect([said, lost(session)]).toEqual([said, []]);
        expect([said, overwritten(session)]).toEqual([said, []]);
        for (const { state } of session.all)
          expect([
            said,
            state.view.surface.entities[SURFACE],
            state.server.surface.entities[SURFACE],
          ]).toEqual([said, session.server.row, session.server.row]);
        expect(texts.texts.size).toBe(0);
        expect(await (await browserStore()).getAll('waiting')).toEqual([]);
      }),
      { numRuns: SESSIONS, seed: 20261129, includeErrorInReport: true },
    );
  }, 600_000);
});
