import { describe, expect, it } from '@jest/globals';
import {
  type Lag,
  type PlanProblem,
  type PlanStep,
  type PlannedStep,
  type Relief,
  brokenBy,
  checkPlan,
  crewFor,
  mayGiveWay,
  whyNotEarlier,
} from '@yellow-pane/core/scheduling';
import { brokenInWords, reliefInWords } from './plan-words';

const HOURS = [
  { from: 480, to: 720 },
  { from: 780, to: 1020 },
];
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
const lag = (from: string, to: string, least: number, most: number | null, why = ''): Lag => ({
  from,
  to,
  least,
  most,
  why,
});
const asked = (
  steps: readonly PlanStep[],
  lags: readonly Lag[] = [],
  more: Partial<PlanProblem> = {},
): PlanProblem => ({
  people: [
    { id: 'w', name: 'Wren', skills: ['film', 'heat'], hours: HOURS },
    { id: 'l', name: 'Lark', skills: ['film'], hours: HOURS },
  ],
  tools: [{ id: 'gun', word: 'heat gun', count: 1 }],
  fitness: [
    {
      id: 'front',
      spans: [{ from: 700, to: 1200 }],
      closed: [{ from: 0, to: 700, why: { case: 'sun on it' } }],
    },
  ],
  steps,
  lags,
  horizon: 1440,
  ...more,
});
const at = (id: string, start: number, minutes: number, ...people: readonly string[]): PlannedStep => ({
  id,
  start,
  end: start + minutes,
  people,
});
const clock = (minute: number): string =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
const said = (
  problem: PlanProblem,
  plan: readonly PlannedStep[],
  id: string,
  start: number,
): readonly string[] =>
  brokenBy(problem, plan, id, start).map((broken) =>
    brokenInWords(broken, problem, { clock, units: 'metric' }),
  );

describe('what a start breaks is said in the trade’s words, with the minute', () => {
  const wash = step('wash', 30);
  const lay = step('lay', 30);
  it('nothing: nothing is said', () => {
    expect(said(asked([wash]), [at('wash', 500, 30, 'w')], 'wash', 600)).toEqual([]);
  });
  it('a wait not over, with its reason; a wait of nothing is when the other is done', () => {
    expect(
      said(
        asked([wash, lay], [lag('wash', 'lay', 90, null, 'wall must be dry')]),
        [at('wash', 480, 30, 'w')],
        'lay',
        520,
      ),
    ).toEqual(["not before 10:00, 90 min after 'wash' ended: wall must be dry"]);
    expect(
      said(asked([wash, lay], [lag('wash', 'lay', 0, null)]), [at('wash', 480, 30, 'w')], 'lay', 500),
    ).toEqual(["not before 08:30, when 'wash' is done"]);
    expect(
      said(asked([wash, lay], [lag('wash', 'lay', 150, null)]), [at('wash', 480, 30, 'w')], 'lay', 520),
    ).toEqual(["not before 11:00, 2 h 30 min after 'wash' ended"]);
  });
  it('left too long, and done too early for what follows', () => {
    const tied = asked([wash, lay], [lag('wash', 'lay', 5, 15, 'promoter')]);
    expect(said(tied, [at('wash', 480, 30, 'w')], 'lay', 600)).toEqual([
      "not after 08:45, at most 15 min after 'wash': promoter",
    ]);
    expect(said(tied, [at('lay', 600, 30, 'w')], 'wash', 480)).toEqual([
      "not done before 09:45, at most 15 min before 'lay': promoter",
    ]);
    expect(said(tied, [at('lay', 600, 30, 'w')], 'wash', 568)).toEqual([
      "must be done by 09:55, 5 min before 'lay' begins: promoter",
    ]);
    expect(
      said(asked([wash, lay], [lag('wash', 'lay', 0, null)]), [at('lay', 600, 30, 'w')], 'wash', 580),
    ).toEqual(["must be done by 10:00, when 'lay' begins"]);
  });
  it('sun, and a surface not fit for so long', () => {
    expect(said(asked([step('lay', 30, { fitness: 'front' })]), [], 'lay', 690)).toEqual([
      'the sun is on it, until 11:40',
    ]);
    expect(
      said(
        asked([step('lay', 200, { fitness: 'front' })], [], {
          fitness: [{ id: 'front', spans: [{ from: 480, to: 600 }], closed: [] }],
        }),
        [],
        'lay',
        480,
      ),
    ).toEqual(['the surface is not fit for so long']);
  });
  it('nobody at work, too few at work, nobody who can', () => {
    expect(said(asked([lay]), [], 'lay', 725)).toEqual(['1 person needed, nobody is at work then']);
    expect(said(asked([step('lay', 30, { crew: 2, skill: 'heat' })]), [], 'lay', 500)).toEqual([
      "2 people who can do 'heat' needed, only 1 at work then",
    ]);
  });
  it('people busy: the first to be free with what, the others only until when', () => {
    expect(
      said(
        asked([wash, lay, step('both', 20, { crew: 2 })]),
        [at('wash', 480, 30, 'w'), at('lay', 490, 30, 'l')],
        'both',
        500,
      ),
    ).toEqual(["Wren is at 'wash' until 08:30, Lark until 08:40"]);
    expect(
      said(
        asked([wash, lay, step('both', 20, { crew: 2 })]),
        [at('wash', 480, 40, 'w'), at('lay', 485, 30, 'l')],
        'both',
        500,
      ),
    ).toEqual(["Lark is at 'lay' until 08:35, Wren until 08:40"]);
  });
  it('one heat gun in two hands; counted over the whole of the time, not only at its beginning', () => {
    const gun = [{ tool: 'gun', count: 1 }];
    expect(
      said(
        asked([step('wash', 30, { tools: gun }), step('lay', 60, { tools: gun })]),
        [at('wash', 520, 30, 'w')],
        'lay',
        490,
      ),
    ).toEqual(["heat gun in use for 'wash' until 09:10"]);
    expect(
      said(
        asked([step('wash', 30, { tools: gun }), step('lay', 60, { tools: gun })]),
        [at('wash', 550, 30, 'w')],
        'lay',
        490,
      ),
    ).toEqual([]);
  });
  it('dust and wet film in one room, named from both sides; in two rooms nothing', () => {
    const sand = step('sand', 60, { room: 'hall', air: 'makes dust' });
    const film = (room: string): PlanStep => step('film', 60, { room, air: 'wants clean air' });
    expect(said(asked([sand, film('hall')]), [at('sand', 480, 60, 'w')], 'film', 500)).toEqual([
      "'sand' makes dust in this room until 09:00",
    ]);
    expect(said(asked([sand, film('hall')]), [at('film', 480, 60, 'w')], 'sand', 500)).toEqual([
      "wet film lies open in this room: 'film' until 09:00",
    ]);
    expect(said(asked([sand, film('office')]), [at('sand', 480, 60, 'w')], 'film', 500)).toEqual([]);
  });
  it('a pin, what the world does not allow yet, and the end of the days planned', () => {
    expect(said(asked([step('lay', 30, { pinned: 600 })]), [], 'lay', 500)).toEqual(['pinned to 10:00']);
    expect(
      said(
        asked([step('lay', 30, { notBefore: { minute: 555, why: 'the primer still dries' } })]),
        [],
        'lay',
        500,
      ),
    ).toEqual(['not before 09:15: the primer still dries']);
    expect(said(asked([lay], [], { horizon: 900 }), [], 'lay', 880)).toEqual([
      'beyond the days planned, which end 15:00',
    ]);
  });
  it('a step nobody knows breaks nothing', () => {
    expect(brokenBy(asked([lay]), [], 'nowhere', 500)).toEqual([]);
  });
});

describe('is a whole plan looked through?', () => {
  const problem = asked(
    [step('wash', 30), step('lay', 30, { crew: 2, skill: 'film' })],
    [lag('wash', 'lay', 10, null)],
  );
  it('one that holds has nothing to say', () => {
    expect(checkPlan(problem, [at('wash', 480, 30, 'w'), at('lay', 520, 30, 'w', 'l')])).toEqual([]);
  });
  it.each([
    ['a step left out', [at('wash', 480, 30, 'w')], 'lay'],
    ['one person for two', [at('wash', 480, 30, 'w'), at('lay', 520, 30, 'w')], 'lay'],
    ['the same person twice', [at('wash', 480, 30, 'w'), at('lay', 520, 30, 'w', 'w')], 'lay'],
    ['somebody who is not there', [at('wash', 480, 30, 'nobody'), at('lay', 520, 30, 'w', 'l')], 'wash'],
    ['shorter than it takes', [at('wash', 480, 20, 'w'), at('lay', 520, 30, 'w', 'l')], 'wash'],
    ['too soon', [at('wash', 480, 30, 'w'), at('lay', 515, 30, 'w', 'l')], 'lay'],
  ] as const)('%s is found', (_what, plan, id) => {
    expect(checkPlan(problem, plan).map((own) => own.id)).toContain(id);
  });
  it('why not a minute earlier: only what that minute breaks', () => {
    expect(
      whyNotEarlier(problem, [at('wash', 480, 30, 'w'), at('lay', 520, 30, 'w', 'l')], 'lay').map(
        ({ kind }) => kind,
      ),
    ).toEqual(['too soon after']);
    expect(whyNotEarlier(problem, [at('wash', 480, 30, 'w'), at('lay', 560, 30, 'w', 'l')], 'lay')).toEqual(
      [],
    );
    expect(whyNotEarlier(problem, [], 'lay')).toEqual([]);
  });
  it('who takes over: those who had it, if they are free; nobody when too few are', () => {
    const plan = [at('wash', 480, 30, 'w'), at('lay', 520, 30, 'w', 'l')];
    expect(crewFor(problem, plan, 'wash', 600)).toEqual(['w']);
    expect(crewFor(problem, plan, 'lay', 490)).toBeUndefined();
    expect(crewFor(problem, plan, 'nowhere', 490)).toBeUndefined();
  });
});

describe('what would have to give, in words', () => {
  const problem = asked([step('lay', 30)]);
  it.each<[Relief, string]>([
    [{ kind: 'one more day' }, 'one more day like the last'],
    [{ kind: 'one more of', tool: 'gun' }, 'one more heat gun'],
    [{ kind: 'one more person', skill: null }, 'one more person'],
    [{ kind: 'one more person', skill: 'heat' }, "one more person who can do 'heat'"],
    [{ kind: 'hours until', minutes: 90 }, '90 min longer each evening'],
    [{ kind: 'hours until', minutes: 150 }, '2 h 30 min longer each evening'],
    [
      { kind: 'fit longer', fitness: ['front'] },
      'the front fit for longer: shade it or wait for another day',
    ],
    [
      { kind: 'fit longer', fitness: ['front', 'hall'] },
      'the front, the hall fit for longer, all of them: wait for other days, or plan without them',
    ],
    [{ kind: 'without the pin of', step: 'lay' }, "'lay' not pinned"],
    [{ kind: 'a longer wait before', step: 'lay' }, "'lay' allowed to follow later"],
  ])('%j', (relief, words) => {
    expect(reliefInWords(relief, problem, (id) => `the ${id}`)).toBe(words);
  });
});

describe('may what stands in the way be put elsewhere?', () => {
  const wash = step('wash', 30);
  const gives = (
    problem: PlanProblem,
    plan: readonly PlannedStep[],
    id: string,
    start: number,
  ): readonly (readonly [string, boolean])[] =>
    brokenBy(problem, plan, id, start).map((broken) => [broken.kind, mayGiveWay(broken)]);
  it('other steps may: those before and after it, who is busy, a tool in use, dust', () => {
    const lay = step('lay', 30, { tools: [{ tool: 'gun', count: 1 }], room: 'hall', air: 'wants clean air' });
    const sand = step('sand', 60, { room: 'hall', air: 'makes dust', tools: [{ tool: 'gun', count: 1 }] });
    const problem = asked([wash, lay, sand], [lag('wash', 'lay', 30, null)]);
    const plan = [at('wash', 480, 30, 'w'), at('sand', 500, 60, 'w', 'l'), at('lay', 600, 30, 'w')];
    expect(gives(problem, plan, 'lay', 510)).toEqual([
      ['too soon after', true],
      ['air', true],
      ['people busy', true],
      ['tool in use', true],
    ]);
  });
  it('the sun, hours of people, the world and the end of the days may not', () => {
    expect(
      gives(asked([step('lay', 30, { fitness: 'front' })]), [at('lay', 800, 30, 'w')], 'lay', 500),
    ).toEqual([['not fit', false]]);
    expect(gives(asked([wash]), [at('wash', 480, 30, 'w')], 'wash', 730)).toEqual([
      ['nobody at work', false],
    ]);
    expect(
      gives(
        asked([step('wash', 30, { notBefore: { minute: 600, why: 'it is later already' } })]),
        [at('wash', 600, 30, 'w')],
        'wash',
        500,
      ),
    ).toEqual([['not before', false]]);
    expect(
      gives(asked([wash]), [at('wash', 480, 30, 'w')], 'wash', 1430).map(([, may]) => may),
    ).not.toContain(true);
  });
});
