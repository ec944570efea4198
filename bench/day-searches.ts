import { type DayPlan, planDaySteps, sampleProblem } from '@yellow-pane/core/scheduling';

/** How far a plan of the days came, working minutes; the first one and how soon it stood beside it. */
export interface DayStand {
  readonly minutes: number;
  readonly least: number;
  readonly first_ms: number;
  readonly ruleMinutes: number;
}

/** Plans a sample problem for so long. */
export function standOfDay(
  size: Parameters<typeof sampleProblem>[1],
  milliseconds: number,
  problemSeed: number,
  seed: number,
): DayStand {
  const problem = sampleProblem(problemSeed, size);
  const start = performance.now();
  const search = planDaySteps(problem, { seed, mostRounds: Number.MAX_SAFE_INTEGER });
  let [plan, rule, first_ms]: [DayPlan | undefined, DayPlan | undefined, number] = [
    undefined,
    undefined,
    Number.NaN,
  ];
  for (;;) {
    const { value, done } = search.next();
    if (value.state === 'planned') {
      if (plan === undefined) {
        first_ms = performance.now() - start;
        rule = value;
      }
      plan = value;
    }
    if (done === true || performance.now() - start >= milliseconds) {
      return {
        minutes: plan?.workingMinutes ?? Number.POSITIVE_INFINITY,
        least: plan?.leastWorkingMinutes ?? 0,
        first_ms,
        ruleMinutes: rule?.workingMinutes ?? Number.POSITIVE_INFINITY,
      };
    }
  }
}
