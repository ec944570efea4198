import { floatAt, intAt } from '../quantity';
import { SerialScheduleGenerator, firstUnmanned } from './serial-schedule-generator';
import { earliestStarts, networkOf, tailsOf } from './network';
import type { PlanProblem, Span } from './problem';

/** One thing that, if it were otherwise, would make a plan possible. */
export type Relief =
  | { readonly kind: 'one more day' }
  | { readonly kind: 'one more of'; readonly tool: string }
  | { readonly kind: 'one more person'; readonly skill: string | null }
  | { readonly kind: 'hours until'; readonly minutes: number }
  | { readonly kind: 'fit longer'; readonly fitness: readonly string[] }
  | { readonly kind: 'without the pin of'; readonly step: string }
  | { readonly kind: 'a longer wait before'; readonly step: string };

const DAY = 1440;
const MORE_HOURS = 120;

/**
 * Tries what people would try, one thing at a time, and names each that gives a plan; where none does, the
 * surfaces that would all have to be fit for longer. Empty: that would not do either.
 */
export function whatWouldGive(problem: PlanProblem): readonly Relief[] {
  const fits = [...new Set(problem.steps.flatMap((step) => (step.fitness === null ? [] : [step.fitness])))];
  const tries: readonly Try[] = [
    ...moreTools(problem),
    ...morePeople(problem),
    [{ kind: 'one more day' }, oneMoreDay(problem)],
    [{ kind: 'hours until', minutes: MORE_HOURS }, longerDays(problem)],
    ...fits.map((id): Try => [{ kind: 'fit longer', fitness: [id] }, withFit(problem, [id])]),
    ...withoutPins(problem),
    ...longerWaits(problem),
  ];
  const reliefs = tries
    .slice(0, MOST_TRIES)
    .filter(([, eased]) => hasPlan(eased))
    .map(([relief]) => relief);
  return reliefs.length > 0 || fits.length < 2 ? reliefs : fitTogether(problem, fits);
}

/** A relief, and the problem as it would be with it. */
type Try = readonly [Relief, PlanProblem];

function moreTools(problem: PlanProblem): readonly Try[] {
  const used = [...new Set(problem.steps.flatMap((step) => step.tools.map(({ tool }) => tool)))];
  return used.map((tool) => {
    const tools = problem.tools.map((entry) =>
      entry.id === tool ? { ...entry, count: entry.count + 1 } : entry,
    );
    return [
      { kind: 'one more of', tool },
      { ...problem, tools },
    ];
  });
}

function morePeople(problem: PlanProblem): readonly Try[] {
  const { people, steps, horizon } = problem;
  const skills = [...new Set(steps.filter(({ crew }) => crew > 0).map(({ skill }) => skill))];
  const hours = people[0]?.hours ?? workday(horizon);
  return skills.map((skill) => {
    const one = { id: ' more', name: '', skills: skill === null ? [] : [skill], hours };
    return [
      { kind: 'one more person', skill },
      { ...problem, people: [...people, one] },
    ];
  });
}

/** Everybody stays longer. */
function longerDays(problem: PlanProblem): PlanProblem {
  return {
    ...problem,
    people: problem.people.map((person) => ({
      ...person,
      hours: joined(
        person.hours.map((span, index, all) =>
          isLastOfDay(span, all[index + 1]) ? { from: span.from, to: span.to + MORE_HOURS } : span,
        ),
      ),
    })),
  };
}

function withoutPins(problem: PlanProblem): readonly Try[] {
  const { steps } = problem;
  return steps
    .filter(({ pinned }) => pinned !== null)
    .map(({ id }) => [
      { kind: 'without the pin of', step: id },
      {
        ...problem,
        steps: steps.map((planStep) => (planStep.id === id ? { ...planStep, pinned: null } : planStep)),
      },
    ]);
}

function longerWaits(problem: PlanProblem): readonly Try[] {
  const { lags } = problem;
  return lags
    .filter(({ most }) => most !== null)
    .map((lag) => [
      { kind: 'a longer wait before', step: lag.to },
      { ...problem, lags: lags.map((planLag) => (planLag === lag ? { ...planLag, most: null } : planLag)) },
    ]);
}

const MOST_TRIES = 60;

/**
 * Hardly more surfaces than must: all are fit for as long as wished, then one after the other only as it is,
 * where there still is a plan.
 */
function fitTogether(problem: PlanProblem, fits: readonly string[]): readonly Relief[] {
  if (!hasPlan(withFit(problem, fits))) return [];
  const needed = fits.reduce((eased, id) => {
    const others = eased.filter((easedId) => easedId !== id);
    return hasPlan(withFit(problem, others)) ? others : eased;
  }, fits);
  return [{ kind: 'fit longer', fitness: needed }];
}

/** As if these were fit at any time. */
function withFit(problem: PlanProblem, ids: readonly string[]): PlanProblem {
  return {
    ...problem,
    fitness: problem.fitness.map((conditions) =>
      ids.includes(conditions.id) ? { ...conditions, spans: [{ from: 0, to: problem.horizon }] } : conditions,
    ),
  };
}

/** Whether one of a few quick orders places every step. */
function hasPlan(problem: PlanProblem): boolean {
  const network = networkOf(problem);
  const earliest = earliestStarts(network);
  if (earliest.some((start, step) => !(start + intAt(network.minutes, step) <= network.horizon)))
    return false;
  const builder = new SerialScheduleGenerator(network);
  const tails = tailsOf(network);
  return [
    earliest,
    tails.map((way) => -way),
    earliest.map((start, step) => start - floatAt(tails, step)),
  ].some((rank) =>
    [true, false].some((isGlued) => {
      const built = builder.build(rank, earliest, { isGlued });
      return built !== undefined && firstUnmanned(network, built) < 0;
    }),
  );
}

function isLastOfDay(span: Span, next: Span | undefined): boolean {
  return next === undefined || Math.floor(next.from / DAY) !== Math.floor(span.from / DAY);
}

function workday(horizon: number): readonly Span[] {
  return Array.from({ length: Math.ceil(horizon / DAY) }, (_, day) => ({
    from: day * DAY + 480,
    to: Math.min(horizon, day * DAY + 1020),
  })).filter(({ from, to }) => to > from);
}

/** The last day once more, with its hours, its sun and its weather. */
function oneMoreDay(problem: PlanProblem): PlanProblem {
  const from = Math.max(0, problem.horizon - DAY);
  const again = (spans: readonly Span[]): readonly Span[] =>
    joined([
      ...spans,
      ...spans
        .filter((span) => span.to > from)
        .map((span) => ({ from: Math.max(span.from, from) + DAY, to: span.to + DAY })),
    ]);
  return {
    ...problem,
    horizon: problem.horizon + DAY,
    people: problem.people.map((person) => ({ ...person, hours: again(person.hours) })),
    fitness: problem.fitness.map((conditions) => ({ ...conditions, spans: again(conditions.spans) })),
  };
}

function joined(spans: readonly Span[]): readonly Span[] {
  const all: { from: number; to: number }[] = [];
  for (const { from, to } of [...spans].sort((a, b) => a.from - b.from)) {
    const last = all.at(-1);
    if (last !== undefined && from <= last.to) last.to = Math.max(last.to, to);
    else all.push({ from, to });
  }
  return all;
}
