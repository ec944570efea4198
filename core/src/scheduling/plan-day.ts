import { intAt } from '../quantity';
import { type Built, SerialScheduleGenerator, firstUnmanned } from './serial-schedule-generator';
import { type Network, earliestStarts, networkOf, refuseCycles } from './network';
import { makespanBound } from './makespan-bound';
import type { PlanProblem, PlannedStep } from './problem';
import { refuseProblem } from './refuse-problem';
import { searchPlan } from './search-plan';
import { type Relief, whatWouldGive } from './what-would-give';
import { workingHours, workingMinutes } from './working-minutes';

/** A plan that keeps every condition, and what it is measured by. */
export interface DayPlan {
  readonly state: 'planned';
  readonly steps: readonly PlannedStep[];
  /** Last minute of the last step. */
  readonly finish: number;
  readonly workingMinutes: number;
  /** No plan can be shorter, in working minutes; the same as `workingMinutes`: proven best. */
  readonly leastWorkingMinutes: number;
  readonly rounds: number;
}

/** No plan: the step that finds no place, and what would have to give. */
export interface NoPlan {
  readonly state: 'none';
  readonly stuck: string;
  readonly relief: readonly Relief[];
}

export interface PlanLimits {
  readonly seed: number;
  readonly mostRounds: number;
}

/** Rounds in which an order may still be found that places everything. */
const ROUNDS_WITHOUT = 40;

/**
 * Plans the steps of a job: earliest finish first, then fewest changes of place, then least standing about.
 * Yields ever better plans, the first one at once; deterministic for a seed and a number of rounds.
 * @throws CoreError SCHEDULE_RANGE, SCHEDULE_UNKNOWN, SCHEDULE_ID_TWICE, SCHEDULE_LAGS
 */
export function* planDaySteps(
  problem: PlanProblem,
  { seed, mostRounds }: PlanLimits,
): Generator<DayPlan, DayPlan | NoPlan> {
  refuseProblem(problem);
  const network = networkOf(problem);
  const idOf = (step: number): string => problem.steps[step]?.id ?? '';
  refuseCycles(network, idOf);
  const earliest = earliestStarts(network);
  const never = earliest.findIndex(
    (start, step) => !(start + intAt(network.minutes, step) <= network.horizon),
  );
  const noPlan = (stuck: number): NoPlan => ({
    state: 'none',
    stuck: idOf(stuck),
    relief: whatWouldGive(problem),
  });
  if (never >= 0) return noPlan(never);
  const least = makespanBound(network, earliest);
  let known: Built | undefined;
  let plan: DayPlan | undefined;
  /** A pin stands where it is put, also when nobody is left for it: such a plan is none. */
  let unmanned = -1;
  const search = searchPlan(network, { seed, mostRounds, earliest, makespanBound: least });
  for (let rounds = 1; ; rounds += 1) {
    const { value, done } = search.next();
    if (value !== undefined && value.built !== known) {
      known = value.built;
      unmanned = firstUnmanned(network, value.built);
      if (unmanned < 0) plan = { ...planOf(problem, network, least, value.built), rounds: value.rounds };
    }
    if (plan === undefined && (done === true || rounds >= ROUNDS_WITHOUT))
      return noPlan(unmanned < 0 ? stuckStep(network, earliest) : unmanned);
    if (plan !== undefined && done === true) return { ...plan, rounds };
    if (plan !== undefined) yield plan.rounds === rounds ? plan : { ...plan, rounds };
  }
}

function planOf(
  problem: PlanProblem,
  network: Network,
  least: number,
  built: Built,
): Omit<DayPlan, 'rounds'> {
  const hours = workingHours(problem.people);
  return {
    state: 'planned',
    steps: plannedSteps(problem, network, built),
    finish: built.finish,
    workingMinutes: workingMinutes(hours, built.finish),
    leastWorkingMinutes: workingMinutes(hours, Math.min(least, network.horizon)),
  };
}

function plannedSteps(
  { steps, people }: PlanProblem,
  { minutes }: Network,
  built: Built,
): readonly PlannedStep[] {
  return steps.map(({ id }, step) => ({
    id,
    start: intAt(built.starts, step),
    end: intAt(built.starts, step) + intAt(minutes, step),
    people: (built.people[step] ?? []).map((person) => people[person]?.id ?? ''),
  }));
}

function stuckStep(network: Network, earliest: Float64Array): number {
  const builder = new SerialScheduleGenerator(network);
  builder.build(earliest, earliest);
  return Math.max(0, builder.stuck);
}
