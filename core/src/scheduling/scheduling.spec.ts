import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { CoreError } from '../quantity';
import { OPTIMA_30, SIZE_30 } from './fixtures/optima';
import {
  type DayPlan,
  type Lag,
  type NoPlan,
  type PlanProblem,
  type PlanStep,
  brokenBy,
  checkPlan,
  crewFor,
  planDaySteps,
  sampleProblem,
  whyNotEarlier,
  workingHours,
  workingMinutes,
} from '.';

const HOURS = [
  { from: 480, to: 720 },
  { from: 780, to: 1020 },
];
const wren = { id: 'wren', name: 'Wren', skills: ['film', 'heat'], hours: HOURS };
const lark = { id: 'lark', name: 'Lark', skills: ['film'], hours: HOURS };
const step = (id: string, minutes: number, more: Partial<PlanStep> = {}): PlanStep => ({
  id,
  word: id,
  place: 'front',
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
const lag = (from: string, to: string, least: number, most: number | null = null, why = ''): Lag => ({
  from,
  to,
  least,
  most,
  why,
});
const problem = (
  steps: readonly PlanStep[],
  lags: readonly Lag[] = [],
  more: Partial<PlanProblem> = {},
): PlanProblem => ({
  people: [wren],
  tools: [{ id: 'gun', word: 'heat gun', count: 1 }],
  fitness: [],
  steps,
  lags,
  horizon: 1440,
  ...more,
});
const planned = (asked: PlanProblem, mostRounds = 40, seed = 1): DayPlan | NoPlan => {
  const search = planDaySteps(asked, { seed, mostRounds });
  let turn = search.next();
  while (turn.done !== true) turn = search.next();
  return turn.value;
};
const made = (asked: PlanProblem, mostRounds?: number): DayPlan => {
  const plan = planned(asked, mostRounds);
  if (plan.state === 'none') throw new Error('no plan');
  return plan;
};
const startOf = (plan: DayPlan, id: string): number | undefined =>
  plan.steps.find((own) => own.id === id)?.start;
const why = (asked: PlanProblem, plan: DayPlan, id: string): ReturnType<typeof whyNotEarlier> =>
  whyNotEarlier(asked, plan.steps, id);
const refusal = (asked: PlanProblem): unknown => {
  try {
    planned(asked);
    return undefined;
  } catch (error) {
    return error instanceof CoreError ? [error.code, error.data.path] : error;
  }
};

describe('when does each step start, and why not earlier?', () => {
  it('begins with the working day and does not run over the noon break', () => {
    const asked = problem([step('clean', 100), step('lay', 150)], [lag('clean', 'lay', 0)]);
    const plan = made(asked);
    expect([startOf(plan, 'clean'), startOf(plan, 'lay')]).toEqual([480, 780]);
    expect(why(asked, plan, 'clean')).toEqual([{ kind: 'nobody at work', need: 1, atWork: 0, skill: null }]);
    expect(why(asked, plan, 'lay')).toEqual([{ kind: 'nobody at work', need: 1, atWork: 0, skill: null }]);
    expect(plan.workingMinutes).toBe(240 + 150);
  });

  it('waits for the sun to leave, and says so with the minute', () => {
    const asked = problem([step('lay', 30, { fitness: 'front' })], [], {
      fitness: [
        {
          id: 'front',
          spans: [{ from: 700, to: 1200 }],
          closed: [{ from: 400, to: 700, why: 'the sun is on it' }],
        },
      ],
    });
    const plan = made(asked);
    expect(startOf(plan, 'lay')).toBe(780);
    expect(brokenBy(asked, plan.steps, 'lay', 600)).toEqual([
      { kind: 'not fit', from: 400, to: 700, why: 'the sun is on it' },
    ]);
  });

  it('waits for primer to dry, by its own lag', () => {
    const asked = problem(
      [step('prime', 20), step('lay', 30)],
      [lag('prime', 'lay', 120, null, 'primer must be dry to the touch')],
    );
    const plan = made(asked);
    expect(startOf(plan, 'lay')).toBe(620);
    expect(why(asked, plan, 'lay')).toEqual([
      {
        kind: 'too soon after',
        other: 'prime',
        least: 120,
        from: 620,
        why: 'primer must be dry to the touch',
      },
    ]);
  });

  it('puts the promoter off rather than let it lie too long', () => {
    const asked = problem(
      [step('promoter', 10), step('long', 90, { crew: 2 }), step('lap', 20, { crew: 2 })],
      [lag('promoter', 'lap', 5, 60), lag('long', 'lap', 0)],
      { people: [wren, { ...lark, hours: [{ from: 600, to: 1020 }] }] },
    );
    const plan = made(asked);
    const wait = (startOf(plan, 'lap') ?? 0) - (startOf(plan, 'promoter') ?? 0) - 10;
    expect(wait).toBeGreaterThanOrEqual(5);
    expect(wait).toBeLessThanOrEqual(60);
    expect(checkPlan(asked, plan.steps)).toEqual([]);
  });

  it('shares one heat gun, and keeps dust away from open film in one room only', () => {
    const people = [wren, lark];
    const guns = problem(
      [
        step('a', 60, { tools: [{ tool: 'gun', count: 1 }] }),
        step('b', 60, { tools: [{ tool: 'gun', count: 1 }] }),
      ],
      [],
      { people },
    );
    expect(made(guns).finish).toBe(600);
    const dusty = (room: string): PlanProblem =>
      problem(
        [
          step('sand', 60, { room: 'hall', air: 'makes dust' }),
          step('lay', 60, { room, air: 'wants clean air' }),
        ],
        [],
        { people },
      );
    expect(made(dusty('hall')).finish).toBe(600);
    expect(made(dusty('office')).finish).toBe(540);
  });

  it('leaves a pinned step where it was put and plans round it', () => {
    const asked = problem(
      [step('call', 30, { pinned: 500 }), step('clean', 40), step('lay', 20)],
      [lag('clean', 'lay', 0)],
    );
    const plan = made(asked);
    expect(startOf(plan, 'call')).toBe(500);
    expect(checkPlan(asked, plan.steps)).toEqual([]);
    expect(plan.finish).toBe(590);
  });

  it('a step dragged into another names who is busy and until when; another free person takes it over', () => {
    const asked = problem([step('a', 60), step('b', 60)], [lag('a', 'b', 0)]);
    const plan = made(asked);
    expect(brokenBy(asked, plan.steps, 'b', 500).map(({ kind }) => kind)).toEqual([
      'too soon after',
      'people busy',
    ]);
    expect(crewFor({ ...asked, people: [wren, lark] }, plan.steps, 'b', 500)).toEqual(['lark']);
  });
});

describe('what when there is no plan?', () => {
  const reliefOf = (plan: DayPlan | NoPlan): NoPlan['relief'] => (plan.state === 'none' ? plan.relief : []);

  it('names a second heat gun where two are used at once', () => {
    const both = [
      step('a', 200, { tools: [{ tool: 'gun', count: 1 }] }),
      step('b', 200, { tools: [{ tool: 'gun', count: 1 }] }),
    ];
    const asked = problem(both, [], { people: [wren, lark], horizon: 740 });
    expect(reliefOf(planned(asked))).toContainEqual({ kind: 'one more of', tool: 'gun' });
  });

  it('names the day that is missing, and the window that is too short', () => {
    const asked = problem([step('lay', 60, { fitness: 'front' })], [], {
      fitness: [{ id: 'front', spans: [{ from: 600, to: 640 }], closed: [] }],
    });
    expect(reliefOf(planned(asked))).toEqual([{ kind: 'fit longer', fitness: ['front'] }]);
    const long = problem([step('a', 230), step('b', 230), step('c', 60)]);
    expect(reliefOf(planned(long))).toEqual(
      expect.arrayContaining([
        { kind: 'one more day' },
        { kind: 'one more person', skill: null },
        { kind: 'hours until', minutes: 120 },
      ]),
    );
  });

  it('frost on two fronts: one alone would not do, both are named; the hall, which is warm, is not', () => {
    const asked = problem(
      [
        step('lay left', 60, { fitness: 'left' }),
        step('lay right', 60, { fitness: 'right' }),
        step('lay door', 60, { fitness: 'hall' }),
      ],
      [],
      {
        fitness: [
          { id: 'left', spans: [], closed: [] },
          {
            id: 'right',
            spans: [
              { from: 0, to: 400 },
              { from: 700, to: 790 },
            ],
            closed: [],
          },
          { id: 'hall', spans: [{ from: 0, to: 1440 }], closed: [] },
        ],
      },
    );
    expect(reliefOf(planned(asked))).toEqual([{ kind: 'fit longer', fitness: ['left', 'right'] }]);
  });

  it('a crew of zero needs a person', () => {
    const asked = problem([step('lay', 60, { skill: 'film' })], [], { people: [] });
    const plan = planned(asked);
    expect(plan).toMatchObject({ state: 'none', stuck: 'lay' });
    expect(reliefOf(plan)).toEqual([{ kind: 'one more person', skill: 'film' }]);
  });

  it('two pins on one person at the same time: no plan, and either pin is named as what would have to give', () => {
    const asked = problem([step('a', 60, { pinned: 480 }), step('b', 60, { pinned: 500 }), step('c', 30)]);
    const plan = planned({ ...asked, people: asked.people.slice(0, 1) });
    expect(plan.state).toBe('none');
    expect(reliefOf(plan)).toEqual(
      expect.arrayContaining([
        { kind: 'without the pin of', step: 'a' },
        { kind: 'without the pin of', step: 'b' },
        { kind: 'one more person', skill: null },
      ]),
    );
  });

  it('nobody at all: a person is what would have to give', () => {
    const plan = planned(problem([step('a', 60), step('b', 60)], [], { people: [] }));
    expect(reliefOf(plan)).toEqual([{ kind: 'one more person', skill: null }]);
  });

  it('refuses rings of waits by name, and figures that cannot be', () => {
    expect(refusal(problem([step('a', 10), step('b', 10)], [lag('a', 'b', 0), lag('b', 'a', 0)]))).toEqual([
      'SCHEDULE_LAGS',
      'lags',
    ]);
    expect(
      refusal(
        problem(
          [step('a', 10), step('b', 100), step('c', 10)],
          [lag('a', 'b', 0), lag('b', 'c', 0), lag('a', 'c', 0, 60)],
        ),
      ),
    ).toEqual(['SCHEDULE_LAGS', 'lags']);
    expect(refusal(problem([step('a', 0)]))).toEqual(['SCHEDULE_RANGE', 'steps.0.minutes']);
    expect(refusal(problem([step('a', 5, { fitness: 'nowhere' })]))).toEqual([
      'SCHEDULE_UNKNOWN',
      'steps.0.fitness',
    ]);
    expect(refusal(problem([step('a', 5), step('a', 5)]))).toEqual(['SCHEDULE_ID_TWICE', 'steps.1.id']);
    expect(
      refusal(problem([step('a', 5)], [], { people: [{ ...wren, hours: [{ from: 500, to: 400 }] }] })),
    ).toEqual(['SCHEDULE_RANGE', 'people.0.hours']);
  });
});

describe('how good is the plan?', () => {
  it.each(OPTIMA_30.slice(0, 12))(
    'seed $seed: holds in every minute, never beats what an exact solver proved, and comes near it',
    ({ seed, finish, bound }) => {
      const asked = sampleProblem(seed, SIZE_30);
      const plan = made(asked, 60);
      const hours = workingHours(asked.people);
      expect(checkPlan(asked, plan.steps)).toEqual([]);
      expect(plan.finish).toBeGreaterThanOrEqual(bound);
      expect(plan.leastWorkingMinutes).toBeLessThanOrEqual(workingMinutes(hours, finish));
      expect(plan.workingMinutes).toBeLessThanOrEqual(1.03 * workingMinutes(hours, finish));
    },
  );

  it('any made job is planned without a breach, and never under its bound', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5000 }),
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 1, max: 5 }),
        (seed, steps, people) => {
          const asked = sampleProblem(seed, { steps, days: 12, people });
          const plan = planned(asked, 15);
          if (plan.state === 'none') return;
          expect(checkPlan(asked, plan.steps)).toEqual([]);
          expect(plan.leastWorkingMinutes).toBeLessThanOrEqual(plan.workingMinutes);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('the same seed and rounds give the same plan', () => {
    const asked = sampleProblem(7, SIZE_30);
    expect(planned(asked, 60, 3)).toEqual(planned(asked, 60, 3));
  });

  it('four hundred steps are planned', () => {
    const asked = sampleProblem(1, { steps: 400, days: 25, people: 5 });
    expect(checkPlan(asked, made(asked, 1).steps)).toEqual([]);
  });
});
