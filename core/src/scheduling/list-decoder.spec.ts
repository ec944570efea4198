import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { seededRandom } from '../quantity';
import { ListDecoder } from './list-decoder';
import { earliestStarts, networkOf } from './network';
import { Annealing } from './annealing';
import {
  type DayPlan,
  type PlanProblem,
  type PlannedStep,
  checkPlan,
  planDaySteps,
  sampleProblem,
  workingHours,
  workingMinutes,
} from '.';
import { workedBefore } from './working-minutes';

const firstPlan = (problem: PlanProblem): DayPlan | undefined => {
  const { value } = planDaySteps(problem, { seed: 1, mostRounds: 1 }).next();
  return value.state === 'planned' ? value : undefined;
};

function linedUp(
  seed: number,
  change: (problem: PlanProblem) => PlanProblem = (problem) => problem,
): { problem: PlanProblem; plan: DayPlan; decoder: ListDecoder; order: Int32Array } {
  const problem = change(sampleProblem(seed, { steps: 40, days: 6, people: 4 }));
  const plan = firstPlan(problem);
  if (plan === undefined) throw new Error('no first plan');
  const order = Int32Array.from(plan.steps.keys()).sort(
    (a, b) => (plan.steps[a]?.start ?? 0) - (plan.steps[b]?.start ?? 0),
  );
  return {
    problem,
    plan,
    decoder: new ListDecoder(networkOf(problem), earliestStarts(networkOf(problem))),
    order,
  };
}

/** Two people, each step for one of them by what it asks for, so that there is nobody to choose between. */
const withoutChoice = (problem: PlanProblem): PlanProblem => ({
  ...problem,
  people: problem.people
    .slice(0, 2)
    .map((person, index) => ({ ...person, skills: [['film', 'heat'][index] ?? ''] })),
  steps: problem.steps.map((step) => ({ ...step, crew: 1, skill: step.skill ?? 'heat' })),
});

const asPlan = (
  { steps, people }: PlanProblem,
  { starts, crews }: { starts: ArrayLike<number>; crews: readonly (readonly number[])[] },
): readonly PlannedStep[] =>
  steps.map(({ id, minutes }, step) => ({
    id,
    start: starts[step] ?? 0,
    end: (starts[step] ?? 0) + minutes,
    people: (crews[step] ?? []).map((person) => people[person]?.id ?? ''),
  }));

describe('how early can everything be that keeps one order?', () => {
  it('never later, step by step, than a plan in that order where there is nobody to choose between, and it keeps every condition', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10_000 }), (seed) => {
        const { problem, plan, decoder, order } = linedUp(seed, withoutChoice);
        decoder.decode(order, Number.POSITIVE_INFINITY);
        expect(decoder.finish).toBeLessThanOrEqual(plan.finish);
        decoder.starts.forEach((start, step) => {
          expect(start).toBeLessThanOrEqual(plan.steps[step]?.start ?? -1);
        });
        expect(
          checkPlan(problem, asPlan(problem, { starts: decoder.starts, crews: decoder.people() })),
        ).toEqual([]);
      }),
      { numRuns: 25, seed: 7 },
    );
  });

  it('finds people by itself who are able, at work and free', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10_000 }), (seed) => {
        const { problem, decoder, order } = linedUp(seed);
        if (Number.isFinite(decoder.decode(order, Number.POSITIVE_INFINITY)))
          expect(
            checkPlan(problem, asPlan(problem, { starts: decoder.starts, crews: decoder.people() })),
          ).toEqual([]);
      }),
      { numRuns: 25, seed: 5 },
    );
  });

  it('gives up as soon as it must cost more than is asked', () => {
    const { decoder, order } = linedUp(3);
    const cost = decoder.decode(order, Number.POSITIVE_INFINITY);
    expect(decoder.decode(order, cost)).toBe(cost);
    expect(decoder.decode(order, cost - 0.01)).toBe(Number.POSITIVE_INFINITY);
  });

  it('an order that begins like the one kept comes out as if it were calculated from its beginning', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 10_000 }),
        fc.array(fc.tuple(fc.nat(38), fc.nat(6)), { maxLength: 20 }),
        (seed, swaps) => {
          const { problem, decoder, order } = linedUp(seed);
          decoder.decode(order, Number.POSITIVE_INFINITY);
          decoder.keep();
          const waits = new Set(problem.lags.map(({ from, to }) => `${from}>${to}`));
          for (const [place, far] of swaps) {
            const changed = order.slice();
            for (let at = place; at < Math.min(place + far, order.length - 1); at += 1) {
              const [own, next] = [changed[at] ?? 0, changed[at + 1] ?? 0];
              if (waits.has(`${problem.steps[own]?.id ?? ''}>${problem.steps[next]?.id ?? ''}`)) break;
              [changed[at], changed[at + 1]] = [next, own];
            }
            const fresh = linedUp(seed).decoder;
            const cost = decoder.decode(changed, Number.POSITIVE_INFINITY);
            expect(cost).toBe(fresh.decode(changed, Number.POSITIVE_INFINITY));
            if (!Number.isFinite(cost)) continue;
            expect([...decoder.starts]).toEqual([...fresh.starts]);
            expect(decoder.people()).toEqual(fresh.people());
            if (far % 2 === 0) {
              decoder.keep();
              order.set(changed);
            }
          }
        },
      ),
      { numRuns: 15, seed: 11 },
    );
  });
});

describe('how much is worked before a minute?', () => {
  it('the row to look up in says what is counted span by span', () => {
    const { people, horizon } = sampleProblem(3, { steps: 10, days: 2, people: 3 });
    const hours = workingHours(people);
    const worked = workedBefore(hours, horizon);
    for (let minute = 0; minute <= horizon; minute += 7)
      expect(worked[minute]).toBe(workingMinutes(hours, minute));
  });
});

describe('what does cooling find?', () => {
  it('a plan that keeps every condition, never later than the one it began with, the same for the same seed', () => {
    const annealed = [1, 2].map(() => {
      const { problem, plan } = linedUp(11);
      const network = networkOf(problem);
      const annealing = new Annealing(network, earliestStarts(network), seededRandom(5));
      annealing.begin(
        { starts: Int32Array.from(plan.steps, ({ start }) => start), people: [], finish: plan.finish },
        3000,
      );
      annealing.run(3000);
      expect(annealing.isDone).toBe(true);
      expect(annealing.best?.finish).toBeLessThan(plan.finish);
      expect(
        checkPlan(
          problem,
          asPlan(problem, { starts: annealing.best?.starts ?? [], crews: annealing.best?.people ?? [] }),
        ),
      ).toEqual([]);
      return annealing.best?.finish;
    });
    expect(annealed[0]).toBe(annealed[1]);
  });
});
