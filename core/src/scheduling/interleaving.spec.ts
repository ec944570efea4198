import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { seededRandom } from '../quantity';
import { calendarOf, openFrom } from './calendar';
import { Interleaving } from './interleaving';
import { earliestStarts, networkOf, timesOf, tailsOf } from './network';
import { EarliestStarts, earliestStartsOf } from './earliest-starts';
import {
  type DayPlan,
  type Lag,
  type PlanProblem,
  type PlanStep,
  checkPlan,
  planDaySteps,
  sampleProblem,
} from '.';
import { BlockReinsertion } from './block-reinsertion';
import { maxLagComponents } from './max-lag-components';

const DAY = 1440;
const DAYS = 6;

/**
 * Panes of one front that are fit until the sun comes, 124 minutes each morning: cleaned by anybody, laid by
 * two, squeezed out by one, none of it to be left lying. One takes 85 minutes; two only fit in turn.
 */
function front(panes: number): PlanProblem {
  const everyDay = (spans: readonly (readonly [number, number])[]): readonly { from: number; to: number }[] =>
    Array.from({ length: DAYS }, (_, day) =>
      spans.map(([from, to]) => ({ from: day * DAY + from, to: day * DAY + to })),
    ).flat();
  const own = (pane: number): readonly PlanStep[] =>
    (
      [
        ['clean', 36, 1, null],
        ['lay', 12, 2, 'film'],
        ['squeeze', 37, 1, 'film'],
      ] as const
    ).map(([what, minutes, crew, skill]) => ({
      id: `${pane} ${what}`,
      word: `${pane} ${what}`,
      place: 'front',
      minutes,
      crew,
      skill,
      tools: [],
      fitness: 'front',
      room: null,
      air: null,
      pinned: null,
    }));
  const lag = (from: string, to: string, most: number): Lag => ({ from, to, least: 0, most, why: '' });
  return {
    people: (['film', 'film', 'help'] as const).map((skill, index) => ({
      id: `p${index}`,
      name: `P${index}`,
      skills: [skill],
      hours: everyDay([
        [450, 720],
        [765, 1020],
      ]),
    })),
    tools: [],
    horizon: DAYS * DAY,
    fitness: [{ id: 'front', spans: everyDay([[0, 574]]), closed: [] }],
    steps: Array.from({ length: panes }, (_, pane) => own(pane)).flat(),
    lags: Array.from({ length: panes }, (_, pane) => [
      lag(`${pane} clean`, `${pane} lay`, 5),
      lag(`${pane} lay`, `${pane} squeeze`, 15),
    ]).flat(),
  };
}

const plannedIn = (problem: PlanProblem, mostRounds: number): DayPlan => {
  const search = planDaySteps(problem, { seed: 1, mostRounds });
  let turn = search.next();
  while (turn.done !== true) turn = search.next();
  if (turn.value.state === 'none') throw new Error('no plan');
  return turn.value;
};

describe('are panes that share a morning worked on in turn?', () => {
  it.each([
    [1, 1],
    [2, 1],
    [4, 2],
    [6, 3],
  ])('%d panes take %d mornings', (panes, mornings) => {
    const problem = front(panes);
    const plan = plannedIn(problem, 20);
    expect(checkPlan(problem, plan.steps)).toEqual([]);
    expect(Math.floor(plan.finish / DAY) + 1).toBe(mornings);
  });
  it('the first of each before the second of any, so many at a time, forerunners too', () => {
    const problem = front(3);
    const wash: PlanStep = { ...(problem.steps[0] as PlanStep), id: 'wash', word: 'wash', fitness: null };
    const network = networkOf({
      ...problem,
      steps: [...problem.steps, wash],
      lags: [...problem.lags, { from: 'wash', to: '2 clean', least: 0, most: null, why: '' }],
    });
    const byRank = [
      ...new Interleaving(network, earliestStarts(network)).orderOfAll(new Float64Array(network.count), 2)
        .rank,
    ]
      .map((rank, step) => [rank, step] as const)
      .sort(([a], [b]) => a - b)
      .map(([, step]) => (step === 9 ? 'wash' : (problem.steps[step]?.id ?? '')));
    expect(byRank).toEqual([
      '0 clean',
      '1 clean',
      '0 lay',
      '1 lay',
      '0 squeeze',
      '1 squeeze',
      'wash',
      '2 clean',
      '2 lay',
      '2 squeeze',
    ]);
  });
  it('each team waits for a morning of its own, the first for the first', () => {
    const network = networkOf(front(5));
    const { floors } = new Interleaving(network, earliestStarts(network)).orderOfAll(
      new Float64Array(network.count),
      2,
    );
    expect([0, 3, 6, 9, 12].map((clean) => floors[clean])).toEqual([
      450,
      450,
      DAY + 450,
      DAY + 450,
      2 * DAY + 450,
    ]);
  });
  it('where nothing is fit only for a time there is nothing to take in turn', () => {
    const problem = front(3);
    const isOfUse = (asked: PlanProblem): boolean =>
      new Interleaving(networkOf(asked), earliestStarts(networkOf(asked))).isOfUse;
    expect(isOfUse(problem)).toBe(true);
    expect(isOfUse({ ...problem, steps: problem.steps.map((step) => ({ ...step, fitness: null })) })).toBe(
      false,
    );
  });
});

describe('what hangs together by most-lags?', () => {
  it('every step in no group or one, and two steps of one tie in the same', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), (seed) => {
        const network = networkOf(sampleProblem(seed, { steps: 40, days: 6, people: 4 }));
        const groups = maxLagComponents(network);
        const groupOf = (step: number): number => groups.findIndex((group) => group.includes(step));
        expect(groups.flat().length).toBe(new Set(groups.flat()).size);
        network.before.forEach((lagArcs, step) => {
          for (const { other, most } of lagArcs)
            if (Number.isFinite(most)) {
              expect(groupOf(step)).toBeGreaterThanOrEqual(0);
              expect(groupOf(other)).toBe(groupOf(step));
            }
        });
      }),
      { numRuns: 40 },
    );
  });
  it('strewn elsewhere it is still all steps, each once, nothing before what it waits for; what fails changes nothing', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), (seed) => {
        const network = networkOf(sampleProblem(seed, { steps: 40, days: 6, people: 4 }));
        const blockReinsertion = new BlockReinsertion(network, seededRandom(seed));
        const tails = tailsOf(network);
        const last = Int32Array.from({ length: network.count }, (_, step) => step).sort(
          (a, b) => (tails[b] ?? 0) - (tails[a] ?? 0),
        );
        for (let turn = 0; turn < 20; turn += 1) {
          const order = last.slice();
          const isOther = blockReinsertion.reinsert(last, order);
          expect([...order].sort((a, b) => a - b)).toEqual(
            Array.from({ length: network.count }, (_, step) => step),
          );
          expect(order.some((step, index) => step !== last[index])).toBe(isOther);
          network.before.forEach((lagArcs, step) => {
            for (const { other } of lagArcs) expect(order.indexOf(other)).toBeLessThan(order.indexOf(step));
          });
          if (isOther) last.set(order);
        }
      }),
      { numRuns: 20 },
    );
  });
});

describe('when can something so long begin?', () => {
  const spans = fc
    .array(fc.tuple(fc.nat(400), fc.integer({ min: 1, max: 200 })), { maxLength: 8 })
    .map((parts) => {
      let at = 0;
      return parts.map(([gap, length]) => {
        const from = at + gap;
        at = from + length + 1;
        return { from, to: from + length };
      });
    });
  it('at the first minute from which all calendars are open so long, asked once or again', () => {
    fc.assert(
      fc.property(
        spans,
        spans,
        fc.integer({ min: 1, max: 90 }),
        fc.array(fc.nat(4200), { maxLength: 30 }),
        (one, two, minutes, asked) => {
          const horizon = 4000;
          const [a, b] = [one, two].map((own) => calendarOf(timesOf(own), horizon));
          if (a === undefined || b === undefined) return;
          const earliestStarts = new EarliestStarts([a, b], minutes, horizon);
          const isOpen = (from: number): boolean =>
            [one, two].every((own) => own.some((span) => span.from <= from && from + minutes <= span.to));
          for (const minute of [...asked, ...asked]) {
            const found = earliestStarts.from(minute);
            let wanted = minute;
            while (wanted <= horizon && !isOpen(wanted)) wanted += 1;
            if (wanted > horizon) expect(found).toBeGreaterThan(horizon);
            else expect(found).toBe(wanted);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
  it('people with the same hours share what has been asked; the surface alone is asked of nobody', () => {
    const problem = front(2);
    const { withEach, alone } = earliestStartsOf(networkOf(problem));
    expect(withEach[0]?.[0]).toBe(withEach[0]?.[2]);
    expect(withEach[0]?.[0]).not.toBe(withEach[1]?.[0]);
    expect(alone[0]?.from(570)).toBe(DAY);
    expect(withEach[0]?.[0]?.from(0)).toBe(450);
    expect(openFrom(calendarOf(timesOf([{ from: 0, to: 574 }]), 1000), 539, 36)).toBeGreaterThan(1000);
    expect(earliestStarts(networkOf(problem))[0]).toBe(450);
  });
});
