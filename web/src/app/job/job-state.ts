import type {
  AcceptedChange,
  Change,
  Conflict,
  JobState as JobOnServer,
  Op,
  Problem,
  TableRow,
} from '@yellow-pane/contracts';
import type { JobTable } from '@yellow-pane/core/job';
import { shellWords } from '../words/shell';
import { againstVersions, inverseOf, putAgain } from './inverse';
import { NO_TABLES, type Tables, rowIn, tablesOf, withOps, withRowsFrom, withServerRows } from './tables';

/** A change waiting to be taken by the server. It outlives a reload. */
export interface PendingChange {
  readonly change: Change;
  readonly label: string;
  readonly at: string;
  readonly from: 'person' | 'undo' | 'redo';
}

/** Something this session did and can take back. */
interface DoneEntry {
  readonly changeId: string;
  readonly label: string;
  readonly ops: readonly Op[];
  readonly inverse: readonly Op[];
  /** Row versions right after it, once the server has told. */
  readonly versions: Readonly<Record<string, number>>;
}

/** The same field changed by two people: both values, until someone chooses. */
export interface OpenConflict {
  readonly pending: PendingChange;
  readonly conflicts: readonly Conflict[];
}

/**
 * A change the server would not or could not take: it waits aside where a person can send it again or drop
 * it, the rest goes on.
 */
export interface SetAside {
  readonly pending: PendingChange;
  readonly says: string;
}

export interface OpenJob {
  readonly jobId: string | null;
  readonly status: 'closed' | 'loading' | 'open' | 'missing';
  readonly seq: number;
  /** As the server has it. */
  readonly server: Tables;
  /** As the person sees it: the server's rows with the waiting changes on top. */
  readonly view: Tables;
  readonly pending: readonly PendingChange[];
  readonly conflicts: readonly OpenConflict[];
  readonly aside: readonly SetAside[];
  readonly notice: string | null;
  /** The server has no disk to write to, full or damaged, in its words: everything waits in its order. */
  readonly diskFull: string | null;
  readonly isServerHere: boolean;
  /** Whether what waits is kept in this browser too, so that a reload loses nothing. */
  readonly isKept: boolean;
  /** Changes made in this opening and not tried to send yet: more of the same may be folded into them. */
  readonly untried: ReadonlySet<string>;
  readonly undo: readonly DoneEntry[];
  readonly redo: readonly DoneEntry[];
}

export const CLOSED: OpenJob = {
  jobId: null,
  status: 'closed',
  seq: 0,
  server: NO_TABLES,
  view: NO_TABLES,
  pending: [],
  conflicts: [],
  aside: [],
  notice: null,
  diskFull: null,
  isServerHere: true,
  isKept: true,
  untried: new Set(),
  undo: [],
  redo: [],
};

const MOST_UNDO = 500;
/** Refused because a row is wanting: perhaps one that was set aside makes it. */
/** What somebody deleted while one worked on it. */
const DELETED: ReadonlySet<string> = new Set(['ROW_REMOVED', 'ROW_UNKNOWN', 'REFERENCE_REMOVED']);
const NEEDS_ANOTHER: ReadonlySet<string> = new Set(['REFERENCE_UNKNOWN', 'ROW_UNKNOWN', 'JOB_UNKNOWN']);

export function opening(jobId: string): OpenJob {
  return { ...CLOSED, jobId, status: 'loading' };
}

/** The job as the server sent it, with what this browser still has to send on top. */
export function opened(state: OpenJob, job: JobOnServer, kept: KeptWaiting): OpenJob {
  const server = tablesOf(job.rows);
  return adopted(
    { ...state, status: 'open', seq: job.seq, server, diskFull: null, isServerHere: true },
    kept,
  );
}

/**
 * What waited in this browser, from before a reload or in a tab that is gone, beside what waits here already:
 * in the order it was made.
 */
export function adopted(state: OpenJob, { pending: more, conflicts, aside = [] }: KeptWaiting): OpenJob {
  const known = new Set(
    [...state.pending, ...[...state.conflicts, ...state.aside].map((own) => own.pending)].map(
      ({ change }) => change.id,
    ),
  );
  const pending = merged(state.pending, more, known, ({ change }) => change.id);
  const view = pending.reduce((below, waiting) => overlay(below, waiting, state.jobId), state.server);
  return {
    ...state,
    view,
    pending,
    conflicts: merged(state.conflicts, conflicts, known, (own) => own.pending.change.id),
    aside: merged(state.aside, aside, known, (own) => own.pending.change.id),
  };
}

/** As read from the browser. */
interface KeptWaiting {
  readonly pending: readonly PendingChange[];
  readonly conflicts: readonly OpenConflict[];
  readonly aside?: readonly SetAside[];
}

function merged<Item>(
  here: readonly Item[],
  more: readonly Item[],
  known: ReadonlySet<string>,
  idOf: (item: Item) => string,
): readonly Item[] {
  const fresh = more.filter((item) => !known.has(idOf(item)));
  return fresh.length === 0 ? here : [...here, ...fresh].sort((a, b) => (idOf(a) < idOf(b) ? -1 : 1));
}

/** Something a person did here: seen at once, sent when it can be. */
export function did(state: OpenJob, made: PendingChange): OpenJob {
  const into = foldedInto(state, made);
  const next = {
    ...state,
    view: overlay(state.view, made, state.jobId),
    pending:
      into === undefined
        ? [...state.pending, made]
        : state.pending.map((waiting) => (waiting === into ? folded(into, made) : waiting)),
    untried: into === undefined ? new Set(state.untried).add(made.change.id) : state.untried,
    notice: null,
  };
  const entry: DoneEntry = {
    changeId: into?.change.id ?? made.change.id,
    label: made.label,
    ops: made.change.ops,
    inverse: inverseOf(made.change.ops, state.view),
    versions: {},
  };
  if (made.from === 'person') return { ...next, undo: [...state.undo, entry].slice(-MOST_UNDO), redo: [] };
  if (made.from === 'undo') return { ...next, undo: state.undo.slice(0, -1), redo: [...state.redo, entry] };
  return { ...next, undo: [...state.undo, entry], redo: state.redo.slice(0, -1) };
}

/** A change is being sent: what it says stands from now on, whether an answer comes or not. */
export function trying(state: OpenJob, changeId: string): OpenJob {
  return state.untried.has(changeId)
    ? { ...state, untried: new Set([...state.untried].filter((id) => id !== changeId)) }
    : state;
}

/**
 * A change that waits, was never tried, and sets the very same fields: of many changes to one field only the
 * last is sent, and asked about once.
 */
function foldedInto(state: OpenJob, made: PendingChange): PendingChange | undefined {
  const targets = targetsOf(made);
  if (targets === undefined || made.from !== 'person') return undefined;
  for (let at = state.pending.length - 1; at >= 0; at -= 1) {
    const waiting = state.pending[at];
    if (waiting === undefined) return undefined;
    if (
      state.untried.has(waiting.change.id) &&
      waiting.from === 'person' &&
      targetsOf(waiting) === targets &&
      waiting.change.who === made.change.who
    )
      return waiting;
    if (waiting.change.ops.some(({ id }) => made.change.ops.some((op) => op.id === id))) return undefined;
  }
  return undefined;
}

/** What a change that only sets fields sets; undefined for any other. */
function targetsOf({ change }: PendingChange): string | undefined {
  const targets = change.ops.map((op) =>
    op.op === 'set' ? `${op.table} ${op.id} ${Object.keys(op.fields).sort().join(' ')}` : undefined,
  );
  return targets.includes(undefined) ? undefined : targets.join('\n');
}

function folded(into: PendingChange, made: PendingChange): PendingChange {
  return { ...into, label: made.label, at: made.at, change: { ...into.change, ops: made.change.ops } };
}

/**
 * The version of a row whose fields the person sees: the server's, but where a change that waits lies on top,
 * what it lies on was not seen since.
 */
export function seenVersion(
  { server, pending }: OpenJob,
  table: JobTable,
  id: string,
  fields: readonly string[],
): number {
  const waiting = pending
    .flatMap(({ change }) => change.ops)
    .flatMap((op) =>
      op.op === 'set' && op.table === table && op.id === id && fields.some((field) => field in op.fields)
        ? [op.baseVersion]
        : [],
    );
  return Math.min(rowIn(server, table, id)?.version ?? 1, ...waiting);
}

/** What to send to take the newest entry back. */
export function opsToTakeBack(entry: DoneEntry): readonly Op[] {
  return againstVersions(entry.inverse, entry.versions);
}

/** The server took a change: ours or another's. */
export function accepted(state: OpenJob, { changeId, seq, rows }: AcceptedChange): OpenJob {
  const own = state.pending.find(({ change }) => change.id === changeId)?.change.ops;
  const wentToo =
    own === undefined ? [] : rows.filter(({ row }) => row.removed && !own.some(({ id }) => id === row.id));
  const pending = state.pending.filter(({ change }) => change.id !== changeId);
  const server = withServerRows(state.server, rows);
  const view = settle(
    { ...state, server, pending },
    rows.map(({ table, row }) => ({ table, id: row.id, op: 'remove', baseVersion: 1 })),
  );
  const versions = Object.fromEntries(rows.map(({ row }) => [row.id, row.version]));
  const known = (entries: readonly DoneEntry[]): readonly DoneEntry[] =>
    entries.map((entry) =>
      entry.changeId === changeId
        ? {
            ...entry,
            versions,
            inverse: [...entry.inverse, ...wentToo.map(({ table, row }) => putAgain(table, row))],
          }
        : entry,
    );
  const notice = wentToo.length === 0 ? state.notice : wentTooWord(wentToo);
  return {
    ...state,
    seq: Math.max(state.seq, seq),
    server,
    view,
    pending,
    undo: known(state.undo),
    redo: known(state.redo),
    notice,
    diskFull: null,
    isServerHere: true,
  };
}

/** What others had added to what was deleted here, and went with it. */
function wentTooWord(rows: readonly TableRow[]): string {
  const who = [...new Set(rows.map(({ row }) => row.madeBy))].join(' and ');
  return shellWords.addedMeanwhile(rows.length === 1 ? 'something' : shellWords.things(rows.length), who);
}

/**
 * The server would not take a change: it is taken off the screen again and set aside with its sentence, or
 * asked about when another changed the same.
 */
export function refused(state: OpenJob, changeId: string, problem: Problem): OpenJob {
  const gone = state.pending.find(({ change }) => change.id === changeId);
  if (gone === undefined) return state;
  const pending = state.pending.filter((waiting) => waiting !== gone);
  const there = (problem['current'] as readonly TableRow[] | undefined) ?? [];
  const server = withServerRows(state.server, there);
  const view = settle({ ...state, server, pending }, gone.change.ops);
  const forget = (entries: readonly DoneEntry[]): readonly DoneEntry[] =>
    entries.filter((entry) => entry.changeId !== changeId);
  const next: OpenJob = {
    ...state,
    server,
    pending,
    view,
    undo: forget(state.undo),
    redo: forget(state.redo),
    isServerHere: true,
  };
  const conflicts = problem['conflicts'] as readonly Conflict[] | undefined;
  const isConflict = problem.code === 'ROW_CONFLICT' && conflicts !== undefined;
  if (isConflict && gone.from === 'person')
    return { ...next, conflicts: [...state.conflicts, { pending: gone, conflicts }] };
  if (
    gone.from === 'person' ||
    problem.status >= 500 ||
    (state.aside.length > 0 && NEEDS_ANOTHER.has(problem.code))
  )
    return {
      ...next,
      aside: [...state.aside, { pending: gone, says: saidOf(problem) }],
    };
  const not = shellWords.notDone(gone.from === 'undo' ? 'undone' : 'redone');
  return {
    ...next,
    notice: isConflict
      ? shellWords.changedSince(not, conflicts[0]?.who ?? 'someone')
      : `${not}: ${saidOf(problem)}`,
  };
}

/** What was deleted meanwhile is told by who did it, never by its identifier. */
function saidOf(problem: Problem): string {
  if (!DELETED.has(problem.code)) return `${problem.title}. ${problem.detail}`;
  const who = problem['who'];
  return shellWords.deletedMeanwhile(typeof who === 'string' && who !== '' ? who : shellWords.somebody);
}

/** Nothing is set aside while there is no room: all waits in order, and the sentence stays. */
export function full(state: OpenJob, problem: Problem): OpenJob {
  return { ...state, diskFull: `${problem.title}. ${problem.detail}` };
}

/** A change that was set aside is sent once more, after what waits; or dropped. */
export function takenUp(state: OpenJob, changeId: string, isDropped: boolean): OpenJob {
  const own = state.aside.find(({ pending }) => pending.change.id === changeId);
  if (own === undefined) return state;
  const rest = { ...state, aside: state.aside.filter((other) => other !== own) };
  return isDropped
    ? rest
    : {
        ...rest,
        view: overlay(state.view, own.pending, state.jobId),
        pending: [...state.pending, own.pending],
      };
}

/** A conflict that someone has decided. */
export function decided(state: OpenJob, conflict: OpenConflict): OpenJob {
  return {
    ...state,
    conflicts: state.conflicts.filter((open) => open.pending.change.id !== conflict.pending.change.id),
  };
}

function overlay(view: Tables, { change, at }: PendingChange, jobId: string | null): Tables {
  return withOps(view, change.ops, { jobId: jobId ?? '', who: change.who, at });
}

/**
 * Makes the touched rows of the view what the server has, then lays the waiting changes that touch them on
 * top again.
 */
function settle(state: OpenJob, touched: readonly Op[]): Tables {
  const ids = new Set(touched.map(({ id }) => id));
  const clean = withRowsFrom(state.view, state.server, touched);
  return state.pending.reduce((view, waiting) => {
    const ops = waiting.change.ops.filter(({ id }) => ids.has(id));
    return ops.length === 0
      ? view
      : overlay(view, { ...waiting, change: { ...waiting.change, ops } }, state.jobId);
  }, clean);
}
