import { describe, expect, it } from '@jest/globals';
import type { RowOf } from '@yellow-pane/core/job';
import { stretchKey } from '@yellow-pane/core/reading';
import type { PlanProblem, PlannedStep } from '@yellow-pane/core/scheduling';
import fc from 'fast-check';
import { betterThan } from './better-plan';
import { type PlanChanges, planChanges } from './kept-plan';
import { movedSteps } from './moved-steps';

const FROM = Date.parse('2026-11-26T00:00:00Z');
const ways = (pinned: readonly string[] = []) => ({
  instantOf: (minute: number) => new Date(FROM + minute * 60_000).toISOString(),
  partsOf: (key: string) => [`${key}:first`, `${key}:second`],
  isPinned: (key: string) => pinned.includes(key),
});
const planned = (key: string, start: number, people: readonly string[] = ['wren']): PlannedStep => ({
  id: `A-${key}/flat-glass/${key}/1`,
  start,
  end: start + 30,
  people,
});

/** The rows of a job after changes were written. */
function written(
  rows: readonly RowOf<'plannedStep'>[],
  { put, set, gone }: PlanChanges,
): readonly RowOf<'plannedStep'>[] {
  const left = rows
    .filter(({ id }) => !gone.includes(id))
    .map((row) => ({ ...row, ...set.find(({ id }) => id === row.id)?.fields }));
  return [
    ...left,
    ...put.map(
      (fields, index) =>
        ({
          id: `new ${rows.length}.${index}.${fields.step}`,
          version: 1,
          ...fields,
        }) as unknown as RowOf<'plannedStep'>,
    ),
  ];
}

describe('what is written when a plan is kept?', () => {
  const plan = [planned('protect', 450), planned('clean', 480), planned('align', 600, ['wren', 'finch'])];
  it('one row a stretch, with its stable key, instants, parts and people', () => {
    const { put, set, gone } = planChanges(plan, [], ways([plan[1]?.id ?? '']));
    expect([set, gone]).toEqual([[], []]);
    expect(put[1]).toEqual({
      applicationId: 'A-clean',
      template: 'flat-glass',
      step: 'clean',
      templateVersion: 1,
      startsAt: '2026-11-26T08:00:00.000Z',
      endsAt: '2026-11-26T08:30:00.000Z',
      steps: ['A-clean/flat-glass/clean/1:first', 'A-clean/flat-glass/clean/1:second'],
      people: ['wren'],
      pinned: true,
    });
    expect(put.map(stretchKey)).toEqual(plan.map(({ id }) => id));
  });
  it('the same plan kept twice writes nothing', () => {
    const rows = written([], planChanges(plan, [], ways()));
    expect(planChanges(plan, rows, ways())).toEqual({ put: [], set: [], gone: [] });
  });
  it('only what differs is written: a start, a person, a pin; what is no longer planned goes', () => {
    const rows = written([], planChanges(plan, [], ways()));
    const next = [planned('protect', 455), planned('clean', 480, ['finch'])];
    const changes = planChanges(next, rows, ways([next[1]?.id ?? '']));
    expect(changes.put).toEqual([]);
    expect(changes.set.map(({ fields }) => [fields.startsAt, fields.people, fields.pinned])).toEqual([
      ['2026-11-26T07:35:00.000Z', ['wren'], false],
      ['2026-11-26T08:00:00.000Z', ['finch'], true],
    ]);
    expect(changes.gone).toEqual([rows[2]?.id]);
  });
  it('whatever was kept before, afterwards the rows say the plan', () => {
    const somePlan = fc
      .uniqueArray(
        fc.record({
          key: fc.constantFrom('a', 'b', 'c', 'd', 'e', 'f'),
          start: fc.nat(3000),
          people: fc.subarray(['wren', 'finch', 'lark']),
        }),
        { selector: ({ key }) => key },
      )
      .map((list) => list.map(({ key, start, people }) => planned(key, start, people)));
    fc.assert(
      fc.property(somePlan, somePlan, (before, after) => {
        const rows = written([], planChanges(before, [], ways()));
        const now = written(rows, planChanges(after, rows, ways()));
        const said = now.map((row) => ({
          id: stretchKey(row),
          start: (Date.parse(row.startsAt) - FROM) / 60_000,
          end: (Date.parse(row.endsAt) - FROM) / 60_000,
          people: row.people,
        }));
        const byId = (a: { id: string }, b: { id: string }): number => (a.id < b.id ? -1 : 1);
        expect(said.sort(byId)).toEqual([...after].sort(byId));
      }),
    );
  });
});

describe('what moved, and why?', () => {
  const step = (
    id: string,
    more: Partial<PlanProblem['steps'][number]> = {},
  ): PlanProblem['steps'][number] => ({
    id,
    word: `SW1 ${id}`,
    place: 'front',
    minutes: 30,
    crew: 1,
    skill: null,
    tools: [],
    fitness: null,
    room: null,
    air: null,
    pinned: null,
    ...more,
  });
  const problem: PlanProblem = {
    people: [{ id: 'wren', name: 'Wren', skills: [], hours: [{ from: 450, to: 1020 }] }],
    tools: [],
    lags: [],
    horizon: 1440,
    fitness: [
      {
        id: 'front',
        spans: [{ from: 700, to: 1020 }],
        closed: [{ from: 450, to: 700, why: 'the sun is on it' }],
      },
    ],
    steps: [step('clean', { fitness: 'front' }), step('cut'), step('pack')],
  };
  const words = {
    units: 'metric' as const,
    clock: (minute: number) => `${String(Math.floor(minute / 60))}:${String(minute % 60).padStart(2, '0')}`,
  };
  const at = (id: string, start: number): PlannedStep => ({ id, start, end: start + 30, people: ['wren'] });
  it('the sun comes first, with the minute it leaves; who had to make room after it', () => {
    const moved = movedSteps(
      problem,
      [at('clean', 450), at('cut', 700), at('pack', 900)],
      [at('clean', 700), at('cut', 730), at('pack', 900)],
      words,
    );
    expect(moved).toEqual([
      { word: 'SW1 clean: 7:30 → 11:40', says: 'the sun is on it, until 11:40' },
      { word: 'SW1 cut: 11:40 → 12:10', says: "Wren is at 'SW1 clean' until 12:10" },
    ]);
  });
  it('a few minutes are not worth saying, nor what is new or gone', () => {
    expect(
      movedSteps(problem, [at('cut', 700), at('gone', 460)], [at('cut', 704), at('pack', 900)], words),
    ).toEqual([]);
  });
  it('where nothing holds it back, something else makes room', () => {
    expect(movedSteps(problem, [at('cut', 600)], [at('cut', 640)], words)[0]?.says).toBe(
      'something else makes room',
    );
  });
});

describe('does a new plan take the place of the one there is?', () => {
  const step = (id: string): PlanProblem['steps'][number] => ({
    id,
    word: id,
    place: 'front',
    minutes: 30,
    crew: 1,
    skill: null,
    tools: [],
    fitness: null,
    room: null,
    air: null,
    pinned: null,
  });
  const problem: PlanProblem = {
    people: [{ id: 'wren', name: 'Wren', skills: [], hours: [{ from: 450, to: 1020 }] }],
    tools: [],
    lags: [],
    fitness: [],
    horizon: 1440,
    steps: [step('clean'), step('cut')],
  };
  const at = (id: string, start: number): PlannedStep => ({ id, start, end: start + 30, people: ['wren'] });
  it('a shorter one does, one as long or longer does not', () => {
    const isBetter = betterThan(problem, [at('clean', 450), at('cut', 500)]);
    expect([510, 530, 560].map((finish) => isBetter({ finish }))).toEqual([true, false, false]);
  });
  it('where there is none, or it no longer holds, any does', () => {
    expect(betterThan(problem, [])({ finish: 1000 })).toBe(true);
    expect(betterThan(problem, [at('clean', 450), at('cut', 460)])({ finish: 1000 })).toBe(true);
    expect(betterThan(problem, [at('clean', 450)])({ finish: 1000 })).toBe(true);
  });
});
