import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { seededRandom } from '../quantity';
import { LineUp } from './line-up';
import { earliestStarts, networkOf } from './network';
import { Reordering } from './reorder';
import { type DayPlan, type PlanProblem, type PlannedStep, checkPlan, planDaySteps, sampleProblem, workingHours, workingMinutes } from '.';
import { workedBefore } from './working-minutes';

const firstPlan = (problem: PlanProblem): DayPlan | undefined => {
  const { value } = planDaySteps(problem, { seed: 1, mostRounds: 1 }).next();
  return value.state === 'planned' ? value : undefined;
};

function linedUp(seed: number): { problem: PlanProblem; plan: DayPlan; lineUp: LineUp; order: Int32Array; crews: readonly (readonly number[])[] } {
  const problem = sampleProblem(seed, { steps: 40, days: 6, people: 4 });
  const plan = firstPlan(problem);
  if (plan === undefined) throw new Error('no first plan');
  const network = networkOf(problem);
  const numberOf = new Map(problem.people.map(({ id }, index) => [id, index]));
  const order = Int32Array.from(plan.steps.keys()).sort((a, b) => (plan.steps[a]?.start ?? 0) - (plan.steps[b]?.start ?? 0));
  return { problem, plan, lineUp: new LineUp(network, earliestStarts(network)), order, crews: plan.steps.map(({ people }) => people.map((id) => numberOf.get(id) ?? 0)) };
}

const asPlan = ({ steps, people }: PlanProblem, { starts, crews }: { starts: ArrayLike<number>; crews: readonly (readonly number[])[] }): readonly PlannedStep[] =>
  steps.map(({ id, minutes }, step) => ({ id, start: starts[step] ?? 0, end: (starts[step] ?? 0) + minutes, people: (crews[step] ?? []).map((person) => people[person]?.id ?? '') }));

describe('how early can everything be that keeps one order?', () => {
  it('never later, step by step, than a plan in that order by the same people, and it keeps every condition', () => {
    fc.assert(fc.property(fc.integer({ min: 1, max: 10_000 }), (seed) => {
      const { problem, plan, lineUp, order, crews } = linedUp(seed);
      lineUp.reckon(order, crews, Number.POSITIVE_INFINITY);
      expect(lineUp.finish).toBeLessThanOrEqual(plan.finish);
      lineUp.starts.forEach((start, step) => { expect(start).toBeLessThanOrEqual(plan.steps[step]?.start ?? -1); });
      expect(checkPlan(problem, asPlan(problem, { starts: lineUp.starts, crews: lineUp.people() }))).toEqual([]);
    }), { numRuns: 25, seed: 7 });
  });

  it('finds people by itself where nobody is named', () => {
    const { problem, lineUp, order, crews } = linedUp(3);
    expect(lineUp.reckon(order, crews.map(() => []), Number.POSITIVE_INFINITY)).toBeLessThan(Number.POSITIVE_INFINITY);
    expect(checkPlan(problem, asPlan(problem, { starts: lineUp.starts, crews: lineUp.people() }))).toEqual([]);
  });

  it('gives up as soon as it must cost more than is asked', () => {
    const { lineUp, order, crews } = linedUp(3);
    const cost = lineUp.reckon(order, crews, Number.POSITIVE_INFINITY);
    expect(lineUp.reckon(order, crews, cost)).toBe(cost);
    expect(lineUp.reckon(order, crews, cost - 0.01)).toBe(Number.POSITIVE_INFINITY);
  });

  it('an order that begins like the one kept comes out as if it were reckoned from its beginning', () => {
    fc.assert(fc.property(fc.integer({ min: 1, max: 10_000 }), fc.array(fc.tuple(fc.nat(38), fc.nat(6)), { maxLength: 20 }), (seed, swaps) => {
      const { problem, lineUp, order, crews } = linedUp(seed);
      lineUp.reckon(order, crews, Number.POSITIVE_INFINITY);
      lineUp.keep();
      const waits = new Set(problem.lags.map(({ from, to }) => `${from}>${to}`));
      for (const [place, far] of swaps) {
        const changed = order.slice();
        for (let at = place; at < Math.min(place + far, order.length - 1); at += 1) {
          const [own, next] = [changed[at] ?? 0, changed[at + 1] ?? 0];
          if (waits.has(`${problem.steps[own]?.id ?? ''}>${problem.steps[next]?.id ?? ''}`)) break;
          [changed[at], changed[at + 1]] = [next, own];
        }
        const fresh = linedUp(seed).lineUp;
        const cost = lineUp.reckon(changed, crews, Number.POSITIVE_INFINITY);
        expect(cost).toBe(fresh.reckon(changed, crews, Number.POSITIVE_INFINITY));
        if (!Number.isFinite(cost)) continue;
        expect([...lineUp.starts]).toEqual([...fresh.starts]);
        expect(lineUp.people()).toEqual(fresh.people());
        if (far % 2 === 0) { lineUp.keep(); order.set(changed); }
      }
    }), { numRuns: 15, seed: 11 });
  });
});

describe('how much is worked before a minute?', () => {
  it('the row to look up in says what is counted span by span', () => {
    const { people, horizon } = sampleProblem(3, { steps: 10, days: 2, people: 3 });
    const hours = workingHours(people);
    const worked = workedBefore(hours, horizon);
    for (let minute = 0; minute <= horizon; minute += 7) expect(worked[minute]).toBe(workingMinutes(hours, minute));
  });
});

describe('what does cooling find?', () => {
  it('a plan that keeps every condition, never later than the one it began with, the same for the same seed', () => {
    const cooled = [1, 2].map(() => {
      const { problem, plan, crews } = linedUp(11);
      const network = networkOf(problem);
      const cooling = new Reordering(network, earliestStarts(network), seededRandom(5));
      cooling.begin({ starts: Int32Array.from(plan.steps, ({ start }) => start), people: crews, finish: plan.finish }, 3000);
      cooling.run(3000);
      expect(cooling.isDone).toBe(true);
      expect(cooling.best?.finish).toBeLessThan(plan.finish);
      expect(checkPlan(problem, asPlan(problem, { starts: cooling.best?.starts ?? [], crews: cooling.best?.people ?? [] }))).toEqual([]);
      return cooling.best?.finish;
    });
    expect(cooled[0]).toBe(cooled[1]);
  });
});
