import type { PlanProblem, PlanStep, PlannedStep, Reason, Span } from './problem';

/** What a start breaks, as data; the words are made where the clock of the place is known. */
export type Broken =
  | { readonly kind: 'pinned'; readonly start: number }
  | {
      readonly kind: 'too soon after';
      readonly other: string;
      readonly least: number;
      readonly from: number;
      readonly why: string;
    }
  | {
      readonly kind: 'too long after';
      readonly other: string;
      readonly most: number;
      readonly until: number;
      readonly why: string;
    }
  | {
      readonly kind: 'too late for';
      readonly other: string;
      readonly least: number;
      readonly until: number;
      readonly why: string;
    }
  | {
      readonly kind: 'too long before';
      readonly other: string;
      readonly most: number;
      readonly from: number;
      readonly why: string;
    }
  | { readonly kind: 'not fit'; readonly from: number; readonly to: number; readonly why: Reason }
  | {
      readonly kind: 'nobody at work';
      readonly need: number;
      readonly atWork: number;
      readonly skill: string | null;
    }
  | {
      readonly kind: 'people busy';
      readonly need: number;
      readonly busy: readonly { readonly person: string; readonly with: string; readonly until: number }[];
    }
  | { readonly kind: 'tool in use'; readonly tool: string; readonly with: string; readonly until: number }
  | { readonly kind: 'air'; readonly other: string; readonly until: number; readonly otherMakesDust: boolean }
  | { readonly kind: 'not before'; readonly minute: number; readonly why: string }
  | { readonly kind: 'after the end'; readonly horizon: number };

const GIVES_WAY: ReadonlySet<Broken['kind']> = new Set([
  'too soon after',
  'too long after',
  'too late for',
  'too long before',
  'people busy',
  'tool in use',
  'air',
]);

/**
 * Whether only other steps stand in the way, which could be put elsewhere; not the sun, the hours of people
 * or the world.
 */
export function mayGiveWay({ kind }: Broken): boolean {
  return GIVES_WAY.has(kind);
}

const within = (spans: readonly Span[], from: number, to: number): boolean =>
  spans.some((span) => span.from <= from && to <= span.to);
const meets = (a: { readonly start: number; readonly end: number }, from: number, to: number): boolean =>
  a.start < to && from < a.end;

/**
 * Everything that would be broken if one step of a plan started then, the others staying where they are.
 * Empty: it may. Written for asking, apart from the search: the search is checked with it.
 */
export function brokenBy(
  problem: PlanProblem,
  plan: readonly PlannedStep[],
  id: string,
  start: number,
): readonly Broken[] {
  const step = problem.steps.find((candidate) => candidate.id === id);
  if (step === undefined) return [];
  const end = start + step.minutes;
  const others = plan.filter((planned) => planned.id !== id);
  const at = new Map(others.map((planned) => [planned.id, planned]));
  const steps = new Map(problem.steps.map((planStep) => [planStep.id, planStep]));
  return [
    ...(step.pinned !== null && start !== step.pinned
      ? [{ kind: 'pinned', start: step.pinned } as const]
      : []),
    ...(step.pinned === null && step.notBefore !== undefined && start < step.notBefore.minute
      ? [{ kind: 'not before', ...step.notBefore } as const]
      : []),
    ...fitnessBroken(problem, step, start, end),
    ...lagsBroken(problem, at, id, start, end),
    ...airBroken(step, others, steps, start, end),
    ...peopleBroken(problem, step, others, start, end),
    ...toolsBroken(problem, step, others, steps, start, end),
    ...(start < 0 || end > problem.horizon
      ? [{ kind: 'after the end', horizon: problem.horizon } as const]
      : []),
  ];
}

function lagsBroken(
  { lags }: PlanProblem,
  at: ReadonlyMap<string, PlannedStep>,
  id: string,
  start: number,
  end: number,
): readonly Broken[] {
  return lags.flatMap(({ from, to, least, most, why }): readonly Broken[] => {
    const partner = at.get(from === id ? to : to === id ? from : '');
    if (partner === undefined) return [];
    if (to === id) {
      const wait = start - partner.end;
      return wait < least
        ? [{ kind: 'too soon after', other: from, least, from: partner.end + least, why }]
        : most !== null && wait > most
          ? [{ kind: 'too long after', other: from, most, until: partner.end + most, why }]
          : [];
    }
    const wait = partner.start - end;
    return wait < least
      ? [{ kind: 'too late for', other: to, least, until: partner.start - least, why }]
      : most !== null && wait > most
        ? [{ kind: 'too long before', other: to, most, from: partner.start - most, why }]
        : [];
  });
}

function fitnessBroken(
  { fitness }: PlanProblem,
  step: PlanStep,
  start: number,
  end: number,
): readonly Broken[] {
  const conditions = fitness.find(({ id }) => id === step.fitness);
  if (conditions === undefined || within(conditions.spans, start, end)) return [];
  const closed = conditions.closed.filter(({ from, to }) => from < end && start < to);
  return closed.length > 0
    ? closed.slice(0, 1).map(({ from, to, why }) => ({ kind: 'not fit', from, to, why }))
    : [{ kind: 'not fit', from: start, to: end, why: '' }];
}

function airBroken(
  { room, air }: PlanStep,
  others: readonly PlannedStep[],
  steps: ReadonlyMap<string, PlanStep>,
  start: number,
  end: number,
): readonly Broken[] {
  if (room === null || air === null) return [];
  return others
    .flatMap((other): readonly Broken[] => {
      const otherStep = steps.get(other.id);
      return otherStep?.room === room &&
        otherStep.air !== null &&
        otherStep.air !== air &&
        meets(other, start, end)
        ? [{ kind: 'air', other: other.id, until: other.end, otherMakesDust: otherStep.air === 'makes dust' }]
        : [];
    })
    .slice(0, 1);
}

function peopleBroken(
  { people }: PlanProblem,
  { crew, skill }: PlanStep,
  others: readonly PlannedStep[],
  start: number,
  end: number,
): readonly Broken[] {
  if (crew === 0) return [];
  const able = people.filter(({ skills }) => skill === null || skills.includes(skill));
  const atWork = able.filter(({ hours }) => within(hours, start, end));
  if (atWork.length < crew) return [{ kind: 'nobody at work', need: crew, atWork: atWork.length, skill }];
  const busy = atWork.flatMap(({ id }) =>
    others
      .filter((other) => other.people.includes(id) && meets(other, start, end))
      .slice(0, 1)
      .map((other) => ({ person: id, with: other.id, until: other.end })),
  );
  return atWork.length - busy.length < crew ? [{ kind: 'people busy', need: crew, busy }] : [];
}

function toolsBroken(
  { tools }: PlanProblem,
  step: PlanStep,
  others: readonly PlannedStep[],
  steps: ReadonlyMap<string, PlanStep>,
  start: number,
  end: number,
): readonly Broken[] {
  return step.tools.flatMap(({ tool, count }): readonly Broken[] => {
    const users = others.flatMap((other) => {
      const used = steps.get(other.id)?.tools.find((need) => need.tool === tool)?.count ?? 0;
      return used > 0 && meets(other, start, end) ? [{ ...other, count: used }] : [];
    });
    const moments = [start, ...users.map((user) => user.start).filter((minute) => minute > start)];
    const all = tools.find(({ id }) => id === tool)?.count ?? 0;
    for (const minute of moments) {
      const used = users.filter((user) => user.start <= minute && minute < user.end);
      if (used.reduce((sum, user) => sum + user.count, 0) + count > all) {
        const first = [...used].sort((a, b) => a.end - b.end)[0];
        return [{ kind: 'tool in use', tool, with: first?.id ?? '', until: first?.end ?? end }];
      }
    }
    return [];
  });
}

/** Who can do a step then: those who did it if they are free, else others. undefined: not enough. */
export function crewFor(
  { people, steps }: PlanProblem,
  plan: readonly PlannedStep[],
  id: string,
  start: number,
): readonly string[] | undefined {
  const step = steps.find((candidate) => candidate.id === id);
  if (step === undefined) return undefined;
  const end = start + step.minutes;
  const others = plan.filter((planned) => planned.id !== id);
  const before = plan.find((planned) => planned.id === id)?.people ?? [];
  const free = people.filter(
    (person) =>
      (step.skill === null || person.skills.includes(step.skill)) &&
      within(person.hours, start, end) &&
      !others.some((other) => other.people.includes(person.id) && meets(other, start, end)),
  );
  if (free.length < step.crew) return undefined;
  return [...free]
    .sort((a, b) => Number(before.includes(b.id)) - Number(before.includes(a.id)))
    .slice(0, step.crew)
    .map((person) => person.id);
}

/**
 * Every step of a plan with what it breaks; people must be free themselves, not only somebody. Empty: the
 * plan holds.
 */
export function checkPlan(
  problem: PlanProblem,
  plan: readonly PlannedStep[],
): readonly { readonly id: string; readonly broken: readonly Broken[] }[] {
  const planned = new Map(plan.map((plannedStep) => [plannedStep.id, plannedStep]));
  return problem.steps.flatMap((step) => {
    const placing = planned.get(step.id);
    if (placing === undefined)
      return [
        { id: step.id, broken: [{ kind: 'after the end', horizon: problem.horizon }] as readonly Broken[] },
      ];
    const broken = [...brokenBy(problem, plan, step.id, placing.start)];
    const wrong = placing.people.flatMap((id) => {
      const person = problem.people.find((candidate) => candidate.id === id);
      const isAble =
        person !== undefined &&
        (step.skill === null || person.skills.includes(step.skill)) &&
        within(person.hours, placing.start, placing.end);
      const alsoThere = plan.find(
        (candidate) =>
          candidate.id !== step.id &&
          candidate.people.includes(id) &&
          meets(candidate, placing.start, placing.end),
      );
      return isAble && alsoThere === undefined
        ? []
        : [{ person: id, with: alsoThere?.id ?? '', until: alsoThere?.end ?? placing.end }];
    });
    if (
      wrong.length > 0 ||
      new Set(placing.people).size !== step.crew ||
      placing.end !== placing.start + step.minutes
    )
      broken.push({ kind: 'people busy', need: step.crew, busy: wrong });
    return broken.length > 0 ? [{ id: step.id, broken }] : [];
  });
}

/** Why a step does not start earlier: what one minute less would break. Empty: it could. */
export function whyNotEarlier(
  problem: PlanProblem,
  plan: readonly PlannedStep[],
  id: string,
): readonly Broken[] {
  const placing = plan.find((step) => step.id === id);
  return placing === undefined ? [] : brokenBy(problem, plan, id, placing.start - 1);
}
