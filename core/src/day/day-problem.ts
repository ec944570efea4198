import type { Learned } from '../learned';
import { type WorkStep, type WorkStepsInput, workStepsFor } from '../ways';
import { isCracked } from '../job';
import { type Formula, type Reasoned, applyFormula } from '../quantity';
import type { Lag, Person, PlanProblem, PlanStep, Tool, Fitness } from '../scheduling';
import { type Air, type Never, type Wait, type WaitKey, waitOf } from '../waiting';

/** One film on one surface, with all that decides how it is worked on. */
export interface DaySurface extends Omit<WorkStepsInput, 'learned' | 'primer'> {
  readonly applicationId: string;
  readonly tag: string;
  readonly place: string;
  /** Whose air it shares. */
  readonly room: string | null;
  /** Of `fitness`; null: not calculated, only hours count. */
  readonly fitness: string | null;
  /** Steps done, by key, with the minute from the plan's beginning; negative: before it. */
  readonly done: ReadonlyMap<string, number>;
  /** Waits a person has ended by hand: 'dry to the touch'. */
  readonly confirmed: ReadonlySet<string>;
}

export interface DayInput {
  readonly surfaces: readonly DaySurface[];
  readonly people: readonly Person[];
  readonly tools: readonly Tool[];
  readonly fitness: readonly Fitness[];
  /** Of the room the work is in. */
  readonly air: Air;
  readonly primer: NonNullable<WorkStepsInput['primer']>;
  readonly learned?: readonly Learned[];
  /** By step id. */
  readonly pins: ReadonlyMap<string, number>;
  /** Minute of the plan that it is now; nothing is planned before. */
  readonly now: number;
  readonly horizon: number;
}

/**
 * Steps of one surface that are done in one stretch: same people, no wait in between. Planned as one; its key
 * is that of its first step, done or not.
 */
interface PlannedWork {
  readonly id: string;
  readonly applicationId: string;
  readonly tag: string;
  /** What is still to do of it, in order. */
  readonly parts: readonly WorkStep[];
  /** What the longest part is, in a few words. */
  readonly word: string;
  readonly minutes: Reasoned<number>;
  /** What it is followed by before the next stretch, if by a wait of the air. */
  readonly wait: Wait | null;
}

export interface DayProblem {
  readonly problem: PlanProblem;
  readonly works: ReadonlyMap<string, PlannedWork>;
  /** Surfaces that cannot be planned, and why. */
  readonly blocked: readonly (Blocked & { readonly applicationId: string; readonly tag: string })[];
}

/** Why nothing can be planned on a surface. */
export type Blocked =
  | { readonly case: 'cracked glass' }
  | { readonly case: 'no consent for rescue glass' }
  | { readonly case: 'somebody else does it' }
  | { readonly case: 'not known how' }
  | { readonly case: 'a wait never ends'; readonly wait: WaitKey; readonly never: Never };

/** The stable key of a work step in a job. */
export function workStepId(
  applicationId: string,
  { template, step, templateVersion }: Pick<WorkStep, 'template' | 'step' | 'templateVersion'>,
): string {
  return `${applicationId}/${template}/${step}/${templateVersion}`;
}

/** Waits from the air of the room, each found out once. */
type WaitFor = (key: WaitKey) => Wait | undefined;

/** The earliest minute of a stretch, and what it waits for. */
interface NotBefore {
  readonly minute: number;
  readonly why: string;
}

/** What one surface adds to the problem. */
interface SurfacePart {
  readonly steps: PlanStep[];
  readonly lags: Lag[];
  readonly works: PlannedWork[];
}

/**
 * Turns the surfaces of a job into steps, lags, rooms and windows to be put in order. Steps done are left
 * out; what they leave to wait for still counts.
 */
export function dayProblem(input: DayInput): DayProblem {
  const waitFor = waitsOf(input);
  const parts: SurfacePart[] = [];
  const blocked: (Blocked & { applicationId: string; tag: string })[] = [];
  for (const surface of input.surfaces) {
    const own = workStepsFor({
      ...surface,
      primer: input.primer,
      ...(input.learned === undefined ? {} : { learned: input.learned }),
    });
    const why = whyBlocked(surface, own, waitFor);
    if (why === undefined) parts.push(partOf(surface, own, input, waitFor));
    else blocked.push({ applicationId: surface.applicationId, tag: surface.tag, ...why });
  }
  const steps = parts.flatMap((part) => part.steps);
  return {
    problem: {
      people: input.people,
      tools: toolsFor(input.tools, steps),
      fitness: input.fitness,
      steps,
      lags: parts.flatMap(({ lags }) => lags),
      horizon: input.horizon,
    },
    works: new Map(parts.flatMap(({ works }) => works).map((work) => [work.id, work])),
    blocked,
  };
}

function waitsOf(input: DayInput): WaitFor {
  const waits = new Map<WaitKey, Wait | undefined>();
  return (key) => {
    if (!waits.has(key)) waits.set(key, waitOf(key, input.air, input.learned));
    return waits.get(key);
  };
}

/** Why nothing can be planned on a surface; undefined: it can. */
function whyBlocked(surface: DaySurface, steps: readonly WorkStep[], waitFor: WaitFor): Blocked | undefined {
  if (isCracked(surface)) return { case: 'cracked glass' };
  if (surface.isReferred === true) return { case: 'somebody else does it' };
  if (surface.isRescueGlass === 'yes' && surface.hasConsent !== true)
    return { case: 'no consent for rescue glass' };
  if (steps.length === 0) return { case: 'not known how' };
  const stop = steps
    .flatMap(({ then, step }) =>
      then === null || typeof then.least === 'number' || surface.confirmed.has(step)
        ? []
        : [waitFor(then.least)],
    )
    .find((wait) => wait?.never != null);
  return stop?.never == null ? undefined : { case: 'a wait never ends', wait: stop.key, never: stop.never };
}

/** The stretches of one surface that are still to do, in order, and what must lie between them. */
function partOf(
  surface: DaySurface,
  own: readonly WorkStep[],
  input: DayInput,
  waitFor: WaitFor,
): SurfacePart {
  const begins: NotBefore = {
    minute: Math.max(0, input.now),
    why: input.now > 0 ? 'it is already later' : '',
  };
  const part: SurfacePart = { steps: [], lags: [], works: [] };
  let before: { readonly id: string; readonly last: WorkStep } | undefined;
  let notBefore = begins;
  for (const stretch of stretchesOf(own)) {
    const [first] = stretch;
    const last = stretch.at(-1);
    if (first === undefined || last === undefined) continue;
    const open = stretch.filter(({ step }) => !surface.done.has(step));
    if (open.length === 0) {
      notBefore = afterDone(surface, last, leastAfter(last, surface, waitFor), begins);
      before = undefined;
      continue;
    }
    const id = workStepId(surface.applicationId, first);
    const work = workOf(surface, id, open, last, waitFor);
    part.works.push(work);
    part.steps.push(stepOf(surface, work, notBefore, input.pins.get(id) ?? null));
    if (before !== undefined)
      part.lags.push(lagBetween(before, id, leastAfter(before.last, surface, waitFor)));
    notBefore = begins;
    before = { id, last };
  }
  part.lags.push(...closingLags(part.works));
  return part;
}

/** What was opened is closed in time: from the stretch that opens it to the one that closes it. */
function closingLags(works: readonly PlannedWork[]): readonly Lag[] {
  return works.flatMap((work) =>
    work.parts.flatMap(({ closes }): readonly Lag[] => {
      const opener = works.find(({ parts }) => parts.some(({ step }) => step === closes?.step));
      return closes === null || opener === undefined || opener.id === work.id
        ? []
        : [{ from: opener.id, to: work.id, least: 0, most: closes.most, why: closes.why }];
    }),
  );
}

/** When the stretch after one that is done may begin: what it left to wait for may not be over. */
function afterDone(surface: DaySurface, last: WorkStep, wait: number, begins: NotBefore): NotBefore {
  const doneAt = surface.done.get(last.step);
  return doneAt !== undefined && wait > 0 && doneAt + wait > begins.minute
    ? { minute: Math.ceil(doneAt + wait), why: last.then?.why ?? '' }
    : begins;
}

function workOf(
  { applicationId, tag }: DaySurface,
  id: string,
  parts: readonly WorkStep[],
  last: WorkStep,
  waitFor: WaitFor,
): PlannedWork {
  const longest = [...parts].sort((a, b) => b.minutes.value - a.minutes.value)[0];
  const least = last.then?.least;
  return {
    id,
    applicationId,
    tag,
    parts,
    word: firstWords(longest?.what ?? ''),
    minutes: sumOf(parts),
    wait: least === undefined || typeof least === 'number' ? null : (waitFor(least) ?? null),
  };
}

function stepOf(
  surface: DaySurface,
  { id, parts, word, minutes }: PlannedWork,
  notBefore: NotBefore,
  pinned: number | null,
): PlanStep {
  return {
    id,
    word: `${surface.tag} ${word}`,
    place: surface.place,
    minutes: minutes.value,
    crew: Math.max(...parts.map(({ crew }) => crew)),
    skill: parts.find(({ skill }) => skill !== null)?.skill ?? null,
    tools: [...new Set(parts.flatMap(({ shared }) => shared))].map((tool) => ({ tool, count: 1 })),
    fitness: parts.some(({ needsFit }) => needsFit) ? surface.fitness : null,
    room: surface.room,
    air: parts.find(({ air }) => air !== null)?.air ?? null,
    pinned,
    ...(notBefore.minute > 0 ? { notBefore } : {}),
  };
}

function lagBetween(
  { id: from, last: { then } }: { readonly id: string; readonly last: WorkStep },
  to: string,
  least: number,
): Lag {
  return {
    from,
    to,
    least,
    most: then?.most === undefined ? null : Math.max(then.most, least),
    why: then?.why ?? '',
  };
}

/** Minutes that must pass after a step, unless a person has ended the wait. */
function leastAfter(
  { step, then }: WorkStep,
  { confirmed }: DaySurface,
  waitFor: (key: WaitKey) => Wait | undefined,
): number {
  if (then === null || confirmed.has(step)) return 0;
  return typeof then.least === 'number' ? then.least : (waitFor(then.least)?.likely ?? 0);
}

/** Puts steps together that the same people do one after the other. */
function stretchesOf(steps: readonly WorkStep[]): readonly (readonly WorkStep[])[] {
  const stretches: WorkStep[][] = [];
  for (const step of steps) {
    const own = stretches.at(-1);
    const last = own?.at(-1);
    if (own !== undefined && last !== undefined && goesOn(own, last, step)) own.push(step);
    else stretches.push([step]);
  }
  return stretches;
}

function goesOn(own: readonly WorkStep[], last: WorkStep, next: WorkStep): boolean {
  const skill = own.find((part) => part.skill !== null)?.skill ?? null;
  const air = own.find((part) => part.air !== null)?.air ?? null;
  return (
    (last.then === null || last.then.least === 0) &&
    last.crew === next.crew &&
    (skill === null || next.skill === null || skill === next.skill) &&
    (air === null || next.air === null || air === next.air)
  );
}

export const STRETCH_FORMULA: Formula<{ sum_min: number }> = {
  id: 'day.stretch',
  word: 'stretch of work',
  says: 't = Σ of its steps',
  unit: 'min',
  source: { kind: 'our guess', text: 'steps one after the other without a break' },
  inputs: { sum_min: { word: 'steps together', unit: 'min' } },
  of: ({ sum_min }) => sum_min,
};

function sumOf(parts: readonly WorkStep[]): Reasoned<number> {
  const sum = applyFormula(STRETCH_FORMULA, {
    sum_min: parts.reduce((total, { minutes }) => total + minutes.value, 0),
  });
  return { value: sum.value, why: [...parts.flatMap(({ minutes }) => minutes.why), sum] };
}

/** What the work asks for and nobody counted counts as none: the plan says that it is missing. */
function toolsFor(tools: readonly Tool[], steps: readonly PlanStep[]): readonly Tool[] {
  const asked = new Set(steps.flatMap((step) => step.tools.map(({ tool }) => tool)));
  return [
    ...tools,
    ...[...asked]
      .filter((id) => !tools.some((tool) => tool.id === id))
      .map((id) => ({ id, word: id, count: 0 })),
  ];
}

/** The beginning of a sentence, short enough for a bar. */
export function firstWords(what: string): string {
  const head = what.split(/[.,:]/)[0] ?? what;
  return head.length <= 34
    ? head.charAt(0).toLowerCase() + head.slice(1)
    : `${head
        .slice(0, 33)
        .trimEnd()
        .replace(/^./, (first) => first.toLowerCase())}…`;
}
