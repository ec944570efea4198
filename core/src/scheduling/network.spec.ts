import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { CoreError } from '../quantity';
import { makespanBound } from './makespan-bound';
import { type Network, earliestStarts, mirrored, networkOf, refuseCycles, tailsOf } from './network';
import { type Lag, type PlanProblem, type PlanStep, checkPlan, planDaySteps } from '.';

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
const lag = (from: string, to: string, least: number, most: number | null = null): Lag => ({
  from,
  to,
  least,
  most,
  why: '',
});
const HOURS = [
  { from: 10, to: 70 },
  { from: 90, to: 150 },
  { from: 170, to: 400 },
];
const problem = (
  steps: readonly PlanStep[],
  lags: readonly Lag[] = [],
  more: Partial<PlanProblem> = {},
): PlanProblem => ({
  people: [{ id: 'p', name: 'P', skills: ['film'], hours: HOURS }],
  tools: [{ id: 'gun', word: 'gun', count: 1 }],
  fitness: [
    {
      id: 'sun',
      spans: [
        { from: 40, to: 130 },
        { from: 180, to: 400 },
      ],
      closed: [],
    },
  ],
  steps,
  lags,
  horizon: 400,
  ...more,
});

/** Waits that contradict one another are refused, which has a check of its own below. */
function canBeKept(asked: PlanProblem): boolean {
  try {
    refuseCycles(networkOf(asked), String);
    return true;
  } catch {
    return false;
  }
}

/** Small jobs: chains with waits, some at one gun, some in the sun's way, some for two. */
const smallJobs = fc
  .record({
    steps: fc.array(
      fc.record({
        minutes: fc.integer({ min: 1, max: 30 }),
        gun: fc.boolean(),
        sun: fc.boolean(),
        two: fc.boolean(),
        dust: fc.constantFrom(null, 'makes dust' as const, 'wants clean air' as const),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    lags: fc.array(
      fc.record({
        from: fc.nat(3),
        to: fc.nat(3),
        least: fc.integer({ min: 0, max: 30 }),
        more: fc.option(fc.integer({ min: 0, max: 40 })),
      }),
      { maxLength: 3 },
    ),
    people: fc.integer({ min: 1, max: 2 }),
  })
  .map(({ steps, lags, people }): PlanProblem => ({
    people: Array.from({ length: people }, (_, index) => ({
      id: `p${index}`,
      name: `P${index}`,
      skills: [],
      hours: index === 0 ? HOURS : [{ from: 30, to: 400 }],
    })),
    tools: [{ id: 'gun', word: 'gun', count: 1 }],
    fitness: [
      {
        id: 'sun',
        spans: [
          { from: 40, to: 130 },
          { from: 180, to: 400 },
        ],
        closed: [],
      },
    ],
    steps: steps.map(({ minutes, gun, sun, two, dust }, index) =>
      step(`s${index}`, minutes, {
        crew: two && people > 1 ? 2 : 1,
        tools: gun ? [{ tool: 'gun', count: 1 }] : [],
        fitness: sun ? 'sun' : null,
        room: 'hall',
        air: dust,
      }),
    ),
    lags: lags.flatMap(({ from, to, least, more }) =>
      from < to && to < steps.length
        ? [lag(`s${from}`, `s${to}`, least, more === null ? null : least + more)]
        : [],
    ),
    horizon: 400,
  }))
  .filter(canBeKept);

describe('the earliest each step could start', () => {
  it('follows waits, hours and windows from minute 0', () => {
    const network = networkOf(
      problem(
        [step('a', 50), step('b', 30), step('c', 20, { fitness: 'sun' })],
        [lag('a', 'b', 15), lag('b', 'c', 0)],
      ),
    );
    /**
     * a fills 10 to 60; 75 is in the break, b begins at 90; the sun leaves room from 40 to 130 only, 120 to
     * 140 does not fit.
     */
    expect([...earliestStarts(network)]).toEqual([10, 90, 180]);
  });
  it('what may not lie long is put off with what follows it', () => {
    expect([
      ...earliestStarts(
        networkOf(
          problem(
            [step('promoter', 5), step('long', 50), step('lap', 10)],
            [lag('promoter', 'lap', 5, 20), lag('long', 'lap', 30)],
          ),
        ),
      ),
    ]).toEqual([90, 10, 90].map((start, index) => (index === 0 ? 90 - 20 - 5 : start)));
  });
  it('Infinity where there is no room before the horizon; a pin is where it is; nothing starts before the world allows', () => {
    expect([...earliestStarts(networkOf(problem([step('a', 300)])))]).toEqual([Number.POSITIVE_INFINITY]);
    expect([
      ...earliestStarts(
        networkOf(
          problem([step('a', 10, { pinned: 5 }), step('b', 10, { notBefore: { minute: 33, why: 'dries' } })]),
        ),
      ),
    ]).toEqual([5, 33]);
  });
  it('no plan of a small job has a step before it, and none finishes before the bound', () => {
    fc.assert(
      fc.property(smallJobs, (asked) => {
        const network = networkOf(asked);
        const earliest = earliestStarts(network);
        const search = planDaySteps(asked, { seed: 1, mostRounds: 4 });
        let turn = search.next();
        while (turn.done !== true) turn = search.next();
        if (turn.value.state === 'none') return;
        turn.value.steps.forEach(({ start }, index) => {
          expect(start).toBeGreaterThanOrEqual(earliest[index] ?? Number.NaN);
        });
        expect(turn.value.finish).toBeGreaterThanOrEqual(makespanBound(network, earliest));
      }),
      { numRuns: 80 },
    );
  });
});

describe('the bound and the plan against every plan there is', () => {
  /**
   * Goes through all starts of all steps, minute by minute, with the checker apart: hopeless for more than
   * three steps.
   */
  function soonestFinish(asked: PlanProblem, most: number): number {
    let best = Number.POSITIVE_INFINITY;
    const crews = (step_: PlanStep): readonly (readonly string[])[] =>
      step_.crew === 2 ? [asked.people.map(({ id }) => id)] : asked.people.map(({ id }) => [id]);
    const go = (
      at: number,
      plan: readonly { id: string; start: number; end: number; people: readonly string[] }[],
    ): void => {
      const own = asked.steps[at];
      if (own === undefined) {
        best = Math.min(best, Math.max(...plan.map(({ end }) => end)));
        return;
      }
      for (let start = 0; start + own.minutes < Math.min(best, most + 1); start += 1)
        for (const people of crews(own)) {
          const next = [...plan, { id: own.id, start, end: start + own.minutes, people }];
          const so = {
            ...asked,
            steps: asked.steps.slice(0, at + 1),
            lags: asked.lags.filter(
              ({ from, to }) => next.some(({ id }) => id === from) && next.some(({ id }) => id === to),
            ),
          };
          if (checkPlan(so, next).length === 0) go(at + 1, next);
        }
    };
    go(0, []);
    return best;
  }
  it('two steps: the plan is the soonest there is, the bound not above it', () => {
    fc.assert(
      fc.property(
        smallJobs.filter(({ steps }) => steps.length === 2),
        (asked) => {
          const network = networkOf(asked);
          const search = planDaySteps(asked, { seed: 1, mostRounds: 60 });
          let turn = search.next();
          while (turn.done !== true) turn = search.next();
          if (turn.value.state === 'none') return;
          const soonest = soonestFinish(asked, turn.value.finish);
          expect(turn.value.finish).toBe(soonest);
          expect(makespanBound(network, earliestStarts(network))).toBeLessThanOrEqual(soonest);
        },
      ),
      { numRuns: 25, seed: 5 },
    );
  });
});

describe('seen from its end', () => {
  it('twice mirrored it is itself again', () => {
    fc.assert(
      fc.property(smallJobs, (asked) => {
        const network = networkOf(asked);
        const twice = mirrored(mirrored(network));
        const shape = ({ open, hours, pinned, before, after, minutes }: Network): unknown => [
          open.map((times) => times && [[...times.from], [...times.to]]),
          hours.map((times) => [[...times.from], [...times.to]]),
          [...pinned],
          before,
          after,
          [...minutes],
        ];
        expect(shape(twice)).toEqual(shape(network));
      }),
      { numRuns: 60 },
    );
  });
  it('ways to the end are the longest chains that follow, waits among them', () => {
    expect([
      ...tailsOf(
        networkOf(
          problem([step('a', 10), step('b', 20), step('c', 5)], [lag('a', 'b', 7), lag('a', 'c', 50)]),
        ),
      ),
    ]).toEqual([65, 20, 5]);
  });
});

describe('steps that wait for one another', () => {
  it('a ring is refused exactly when the waits cannot all be kept (longest paths between all pairs, apart)', () => {
    const rings = fc.record({
      minutes: fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 2, maxLength: 4 }),
      lags: fc.array(
        fc.record({
          from: fc.nat(3),
          to: fc.nat(3),
          least: fc.integer({ min: 0, max: 20 }),
          more: fc.option(fc.integer({ min: 0, max: 30 })),
        }),
        { maxLength: 5 },
      ),
    });
    fc.assert(
      fc.property(rings, ({ minutes, lags }) => {
        const steps = minutes.map((own, index) => step(`s${index}`, own));
        const own = lags.flatMap(({ from, to, least, more }) =>
          from !== to && from < steps.length && to < steps.length
            ? [lag(`s${from}`, `s${to}`, least, more === null ? null : least + more)]
            : [],
        );
        const longest = steps.map((_, a) => steps.map((__, b) => (a === b ? 0 : Number.NEGATIVE_INFINITY)));
        const raise = (a: number, b: number, by: number): void => {
          (longest[a] as number[])[b] = Math.max(longest[a]?.[b] ?? 0, by);
        };
        for (const { from, to, least, most } of own) {
          const [a, b] = [Number(from.slice(1)), Number(to.slice(1))];
          raise(a, b, (minutes[a] ?? 0) + least);
          if (most !== null) raise(b, a, -((minutes[a] ?? 0) + most));
        }
        for (let k = 0; k < steps.length; k += 1)
          for (let a = 0; a < steps.length; a += 1)
            for (let b = 0; b < steps.length; b += 1)
              raise(a, b, (longest[a]?.[k] ?? 0) + (longest[k]?.[b] ?? 0));
        const isRing = longest.some((row, a) => (row[a] ?? 0) > 0);
        const network = networkOf(problem(steps, own));
        const ask = (): void => {
          refuseCycles(network, (index) => `s${index}`);
        };
        if (isRing) expect(ask).toThrow(CoreError);
        else expect(ask).not.toThrow();
      }),
      { numRuns: 300 },
    );
  });
  it('the ring is named', () => {
    const network = networkOf(
      problem(
        [step('wash', 10), step('dry', 10), step('lay', 10)],
        [lag('wash', 'dry', 0), lag('dry', 'lay', 0), lag('lay', 'wash', 0)],
      ),
    );
    try {
      refuseCycles(network, (index) => ['wash', 'dry', 'lay'][index] ?? '');
      throw new Error('not refused');
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      expect(error.data.got).toMatch(/wash → dry → lay|dry → lay → wash|lay → wash → dry/);
    }
  });
});
