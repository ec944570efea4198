import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  type DayPlan,
  type Lag,
  type PlanProblem,
  type PlanStep,
  type PlannedStep,
  brokenBy,
  checkPlan,
  crewFor,
  planDaySteps,
  sampleProblem,
  whyNotEarlier,
} from '.';

const step = (id: string, minutes: number, more: Partial<PlanStep> = {}): PlanStep => ({
  id,
  word: id,
  place: 'hall',
  minutes,
  crew: 1,
  skill: null,
  tools: [],
  fitness: null,
  room: null,
  air: null,
  pinned: null,
  ...more,
});
const after = (from: string, to: string, least: number, most: number | null = null): Lag => ({
  from,
  to,
  least,
  most,
  why: 'drying',
});
const at = (id: string, start: number, minutes: number, ...people: string[]): PlannedStep => ({
  id,
  start,
  end: start + minutes,
  people,
});
const WORK = [
  { from: 480, to: 720 },
  { from: 750, to: 990 },
];
const jobOf = (steps: readonly PlanStep[], more: Partial<PlanProblem> = {}): PlanProblem => ({
  people: [
    { id: 'mara', name: 'Mara', skills: ['film'], hours: WORK },
    { id: 'ivo', name: 'Ivo', skills: [], hours: WORK },
  ],
  tools: [
    { id: 'gun', word: 'heat gun', count: 1 },
    { id: 'board', word: 'board', count: 3 },
  ],
  fitness: [],
  lags: [],
  horizon: 1440,
  steps,
  ...more,
});
const kinds = (
  problem: PlanProblem,
  plan: readonly PlannedStep[],
  id: string,
  start: number,
): readonly string[] => brokenBy(problem, plan, id, start).map(({ kind }) => kind);

/**
 * Whether a plan holds, minute by minute: every minute is looked at by itself, nothing is compared as spans.
 * Shares no line with what it checks.
 */
function holdsEachMinute(
  { people, tools, fitness, lags, horizon, steps }: PlanProblem,
  plan: readonly PlannedStep[],
): boolean {
  const when = (id: string): PlannedStep | undefined => plan.find((own) => own.id === id);
  for (const own of steps) {
    const planned = when(own.id);
    if (
      planned === undefined ||
      planned.end - planned.start !== own.minutes ||
      new Set(planned.people).size !== own.crew
    )
      return false;
    if (own.pinned === null ? planned.start < (own.notBefore?.minute ?? 0) : planned.start !== own.pinned)
      return false;
    if (
      planned.people.some(
        (id) =>
          own.skill !== null &&
          !(people.find((person) => person.id === id)?.skills.includes(own.skill) ?? false),
      )
    )
      return false;
  }
  for (const { from, to, least, most } of lags) {
    const wait = (when(to)?.start ?? 0) - (when(from)?.end ?? 0);
    if (wait < least || (most !== null && wait > most)) return false;
  }
  for (
    let minute = Math.min(0, ...plan.map(({ start }) => start));
    minute < Math.max(horizon, ...plan.map(({ end }) => end));
    minute += 1
  ) {
    const running = steps.filter(({ id }) => {
      const own = when(id);
      return own !== undefined && own.start <= minute && minute < own.end;
    });
    if (running.length > 0 && (minute < 0 || minute >= horizon)) return false;
    const busy = running.flatMap(({ id }) => when(id)?.people ?? []);
    if (new Set(busy).size < busy.length) return false;
    if (
      busy.some(
        (id) =>
          !(
            people
              .find((person) => person.id === id)
              ?.hours.some(({ from, to }) => from <= minute && minute < to) ?? false
          ),
      )
    )
      return false;
    if (
      tools.some(
        ({ id, count }) =>
          running.reduce((sum, own) => sum + (own.tools.find(({ tool }) => tool === id)?.count ?? 0), 0) >
          count,
      )
    )
      return false;
    if (
      running.some(
        ({ fitness: wanted }) =>
          wanted !== null &&
          !(
            fitness
              .find(({ id }) => id === wanted)
              ?.spans.some(({ from, to }) => from <= minute && minute < to) ?? true
          ),
      )
    )
      return false;
    if (
      running.some(
        (own) =>
          own.air === 'makes dust' &&
          running.some(
            (other) => other.air === 'wants clean air' && other.room === own.room && own.room !== null,
          ),
      )
    )
      return false;
  }
  return true;
}

describe('what would a start break?', () => {
  it('hours: the last minute a step can start is the end of the span less its length; one more and nobody is at work', () => {
    const problem = jobOf([step('a', 40)]);
    expect(kinds(problem, [], 'a', 680)).toEqual([]);
    expect(brokenBy(problem, [], 'a', 681)).toEqual([
      { kind: 'nobody at work', need: 1, atWork: 0, skill: null },
    ]);
    expect(kinds(problem, [], 'a', 750)).toEqual([]);
    expect(kinds(problem, [], 'a', 749)).toEqual(['nobody at work']);
    expect(kinds(problem, [], 'a', 479)).toEqual(['nobody at work']);
  });
  it('skill: of two at work one can; two are wanted', () => {
    expect(brokenBy(jobOf([step('a', 40, { skill: 'film', crew: 2 })]), [], 'a', 500)).toEqual([
      { kind: 'nobody at work', need: 2, atWork: 1, skill: 'film' },
    ]);
    expect(kinds(jobOf([step('a', 40, { crew: 2 })]), [], 'a', 500)).toEqual([]);
    expect(kinds(jobOf([step('a', 40, { crew: 0 })]), [], 'a', 1000)).toEqual([]);
  });
  it('people: both are busy until a minute that is named; the minute they end, nobody is', () => {
    const problem = jobOf([step('a', 40), step('b', 30), step('c', 30)]);
    const plan = [at('b', 500, 30, 'mara'), at('c', 510, 30, 'ivo')];
    expect(brokenBy(problem, plan, 'a', 520)).toEqual([
      {
        kind: 'people busy',
        need: 1,
        busy: [
          { person: 'mara', with: 'b', until: 530 },
          { person: 'ivo', with: 'c', until: 540 },
        ],
      },
    ]);
    expect(kinds(problem, plan, 'a', 530)).toEqual([]);
    expect(kinds(problem, [at('b', 500, 30, 'mara'), at('c', 520, 30, 'ivo')], 'a', 480)).toEqual([]);
  });
  it('lags, both ways: too soon, too late, too long, each with the minute from which it would do', () => {
    const problem = jobOf([step('prime', 20), step('wait', 10), step('lay', 30)], {
      lags: [after('prime', 'wait', 60), after('wait', 'lay', 5, 15)],
    });
    const plan = [at('prime', 480, 20, 'ivo'), at('wait', 560, 10, 'ivo'), at('lay', 580, 30, 'mara')];
    expect(checkPlan(problem, plan)).toEqual([]);
    expect(brokenBy(problem, plan, 'wait', 559)).toEqual([
      { kind: 'too soon after', other: 'prime', least: 60, from: 560, why: 'drying' },
    ]);
    expect(brokenBy(problem, plan, 'wait', 566)).toEqual([
      { kind: 'too late for', other: 'lay', least: 5, until: 575, why: 'drying' },
    ]);
    expect(brokenBy(problem, plan, 'lay', 586)).toEqual([
      { kind: 'too long after', other: 'wait', most: 15, until: 585, why: 'drying' },
    ]);
    expect(brokenBy(problem, [at('lay', 600, 30, 'mara')], 'wait', 574)).toEqual([
      { kind: 'too long before', other: 'lay', most: 15, from: 585, why: 'drying' },
    ]);
    expect(brokenBy(problem, [at('lay', 600, 30, 'mara')], 'wait', 575)).toEqual([]);
  });
  it('tools: one gun, until when; three boards are enough for two and one, not for two and two', () => {
    const problem = jobOf([
      step('a', 40, { tools: [{ tool: 'gun', count: 1 }] }),
      step('b', 40, {
        tools: [
          { tool: 'gun', count: 1 },
          { tool: 'board', count: 2 },
        ],
      }),
      step('c', 40, { tools: [{ tool: 'board', count: 1 }] }),
      step('d', 40, { tools: [{ tool: 'board', count: 2 }] }),
    ]);
    const plan = [at('b', 500, 40, 'mara')];
    expect(brokenBy(problem, plan, 'a', 539)).toEqual([
      { kind: 'tool in use', tool: 'gun', with: 'b', until: 540 },
    ]);
    expect(kinds(problem, plan, 'a', 540)).toEqual([]);
    expect(kinds(problem, plan, 'c', 510)).toEqual([]);
    expect(brokenBy(problem, plan, 'd', 510)).toEqual([
      { kind: 'tool in use', tool: 'board', with: 'b', until: 540 },
    ]);
  });
  it('tools that others use one after the other are not counted together', () => {
    const problem = jobOf(
      [
        step('a', 60, { tools: [{ tool: 'board', count: 2 }] }),
        step('b', 30, { tools: [{ tool: 'board', count: 1 }] }),
        step('c', 30, { tools: [{ tool: 'board', count: 1 }] }),
      ],
      { people: ['x', 'y', 'z'].map((id) => ({ id, name: id, skills: [], hours: WORK })) },
    );
    expect(kinds(problem, [at('b', 500, 30, 'x'), at('c', 530, 30, 'x')], 'a', 500)).toEqual([]);
    expect(kinds(problem, [at('b', 500, 30, 'x'), at('c', 529, 30, 'y')], 'a', 500)).toEqual(['tool in use']);
  });
  it('dust against wet film: in one room only, and only one against the other', () => {
    const problem = jobOf([
      step('sand', 30, { room: 'r', air: 'makes dust' }),
      step('lay', 30, { room: 'r', air: 'wants clean air' }),
      step('too', 30, { room: 'r', air: 'makes dust' }),
      step('far', 30, { room: 'q', air: 'wants clean air' }),
    ]);
    const plan = [at('sand', 500, 30, 'ivo')];
    expect(brokenBy(problem, plan, 'lay', 510)).toEqual([
      { kind: 'air', other: 'sand', until: 530, otherMakesDust: true },
    ]);
    expect(kinds(problem, plan, 'too', 510)).toEqual([]);
    expect(kinds(problem, plan, 'far', 510)).toEqual([]);
    expect(brokenBy(problem, [at('lay', 500, 30, 'mara')], 'sand', 490)).toEqual([
      { kind: 'air', other: 'lay', until: 530, otherMakesDust: false },
    ]);
  });
  it('sun: the reason of the hour it falls into; a step too long for its span has none of its own', () => {
    const problem = jobOf([step('a', 30, { fitness: 'front' })], {
      fitness: [
        {
          id: 'front',
          spans: [
            { from: 480, to: 600 },
            { from: 620, to: 640 },
          ],
          closed: [{ from: 600, to: 620, why: 'sun on it' }],
        },
      ],
    });
    expect(kinds(problem, [], 'a', 570)).toEqual([]);
    expect(brokenBy(problem, [], 'a', 571)).toEqual([
      { kind: 'not fit', from: 600, to: 620, why: 'sun on it' },
    ]);
    expect(brokenBy(problem, [], 'a', 620)).toEqual([{ kind: 'not fit', from: 620, to: 650, why: '' }]);
  });
  it('a pin, a minute before which the world does not allow it, the end of the days', () => {
    const problem = jobOf([
      step('a', 30, { pinned: 500 }),
      step('b', 30, { notBefore: { minute: 520, why: 'roll cold' } }),
      step('c', 30, { crew: 0 }),
    ]);
    expect(brokenBy(problem, [], 'a', 501)).toEqual([{ kind: 'pinned', start: 500 }]);
    expect(brokenBy(problem, [], 'b', 519)).toEqual([{ kind: 'not before', minute: 520, why: 'roll cold' }]);
    expect(brokenBy(problem, [], 'c', 1411)).toEqual([{ kind: 'after the end', horizon: 1440 }]);
    expect(brokenBy(problem, [], 'c', -1)).toEqual([{ kind: 'after the end', horizon: 1440 }]);
    expect(brokenBy(problem, [], 'nobody knows it', 500)).toEqual([]);
  });
  it('who did it does it again when free; else another who can; else nobody', () => {
    const problem = jobOf([step('a', 30), step('b', 30), step('f', 30, { skill: 'film' })]);
    expect(crewFor(problem, [at('a', 500, 30, 'ivo')], 'a', 600)).toEqual(['ivo']);
    expect(crewFor(problem, [at('a', 500, 30, 'ivo'), at('b', 600, 30, 'ivo')], 'a', 610)).toEqual(['mara']);
    expect(crewFor(problem, [at('f', 500, 30, 'mara'), at('b', 600, 30, 'mara')], 'f', 610)).toBeUndefined();
  });
});

describe('does it see everything, and nothing that is not there?', () => {
  const made = fc.record({
    seed: fc.integer({ min: 1, max: 400 }),
    rounds: fc.integer({ min: 1, max: 6 }),
    which: fc.nat(),
    by: fc.integer({ min: -400, max: 400 }),
    swap: fc.nat(),
  });
  const planned = (problem: PlanProblem, rounds: number): DayPlan | undefined => {
    let found: DayPlan | undefined;
    for (const plan of planDaySteps(problem, { seed: 1, mostRounds: rounds })) found = plan;
    return found;
  };

  it('a plan that a step is moved in holds just when it holds minute by minute', () => {
    let [kept, lost] = [0, 0];
    fc.assert(
      fc.property(made, ({ seed, rounds, which, by }) => {
        const problem = sampleProblem(seed, { steps: 12, days: 3, people: 3 });
        const plan = planned(problem, rounds);
        if (plan === undefined) return;
        const index = which % plan.steps.length;
        const shaken = plan.steps.map((own, place) =>
          place === index ? { ...own, start: own.start + by, end: own.end + by } : own,
        );
        const holds = checkPlan(problem, shaken).length === 0;
        if (holds) kept += 1;
        else lost += 1;
        expect(holds).toBe(holdsEachMinute(problem, shaken));
      }),
      { numRuns: 120 },
    );
    expect(Math.min(kept, lost)).toBeGreaterThan(0);
  });
  it('so does one whose people change places', () => {
    fc.assert(
      fc.property(made, ({ seed, rounds, which, swap }) => {
        const problem = sampleProblem(seed, { steps: 12, days: 3, people: 3 });
        const plan = planned(problem, rounds);
        if (plan === undefined) return;
        const index = which % plan.steps.length;
        const other = problem.people[swap % problem.people.length]?.id ?? '';
        const shaken = plan.steps.map((own, place) =>
          place === index
            ? { ...own, people: own.people.map((id, first) => (first === 0 ? other : id)) }
            : own,
        );
        expect(checkPlan(problem, shaken).length === 0).toBe(holdsEachMinute(problem, shaken));
      }),
      { numRuns: 80 },
    );
  });
  it('the reason why not earlier is what one minute less would break, and where there is none it could start earlier', () => {
    fc.assert(
      fc.property(made, ({ seed, rounds, which }) => {
        const problem = sampleProblem(seed, { steps: 12, days: 3, people: 3 });
        const plan = planned(problem, rounds);
        if (plan === undefined) return;
        const own = plan.steps[which % plan.steps.length];
        if (own === undefined) return;
        const people = crewFor(problem, plan.steps, own.id, own.start - 1) ?? own.people;
        const earlier = plan.steps.map((each) =>
          each.id === own.id ? { ...each, start: each.start - 1, end: each.end - 1, people } : each,
        );
        expect(whyNotEarlier(problem, plan.steps, own.id).length === 0).toBe(
          holdsEachMinute(problem, earlier),
        );
      }),
      { numRuns: 80 },
    );
  });
});
