import { describe, expect, it } from '@jest/globals';
import { type DayPlan, type NoPlan, isSooner, isSoonest } from '.';

const NONE: NoPlan = { state: 'none', stuck: 'lay', relief: [] };
const plan = (finish: number, more: Partial<DayPlan> = {}): DayPlan => ({
  state: 'planned',
  steps: [],
  finish,
  workingMinutes: finish - 480,
  leastWorkingMinutes: 0,
  rounds: 1,
  ...more,
});

describe('which of two answers is kept?', () => {
  it('the earlier finish; any plan before none; none before nothing at all', () => {
    expect([
      isSooner(plan(900), plan(901)),
      isSooner(plan(901), plan(900)),
      isSooner(plan(900), plan(900)),
    ]).toEqual([true, false, false]);
    expect([isSooner(plan(9000), NONE), isSooner(NONE, plan(9000)), isSooner(NONE, NONE)]).toEqual([
      true,
      false,
      false,
    ]);
  });
  it('the one that is as short as any can be ends the search; none never does', () => {
    expect([
      isSoonest(plan(900, { leastWorkingMinutes: 420 })),
      isSoonest(plan(900, { leastWorkingMinutes: 419 })),
      isSoonest(NONE),
    ]).toEqual([true, false, false]);
  });
});
