import { ApplicationRef, signal } from '@angular/core';
import { afterEach, describe, expect, it } from '@jest/globals';
import type { WeatherHour } from '@yellow-pane/core/climate';
import {
  type PlanProblem,
  checkPlan,
  planDaySteps,
  type DayPlan,
  type NoPlan,
} from '@yellow-pane/core/scheduling';
import { EXAMPLE_FILMS, demoDays, demoOps } from '@yellow-pane/demo';
import { Weather } from '../../day/weather';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { openJob } from '../../testing/open-job';
import { DayPool } from '../../workers/day-pool';
import { type ReadyAnswer, readyAnswers } from '@yellow-pane/core/reading';
import { DayCommands } from './day-commands';
import { DayGround } from './day-ground';
import type { SearchOptions } from '../../workers/search';
import { Planning } from './planning';
import { WhatToBring } from './what-to-bring';

/** A day that is still to come whenever this runs: a cold clear week of late autumn. */
const FIRST_DAY = '2035-11-26';
const DEMO = [...demoOps(), ...demoDays(FIRST_DAY).change.ops];
const HOUR_MS = 3_600_000;
const week = (air_C: number, cloud = 0): readonly WeatherHour[] =>
  Array.from({ length: 7 * 24 }, (_, hour) => ({
    instant_ms: Date.parse(`${FIRST_DAY}T00:00:00+01:00`) + hour * HOUR_MS,
    air_C: air_C + 3 * Math.sin(((hour % 24) - 9) / 3.82),
    humidity: 0.5,
    cloud,
    wind_ms: 1,
    rain_mm: 0,
  }));
/** Calculated once for the same question: the sun of twenty surfaces takes its time. */
const calculated = new Map<string, readonly ReadyAnswer[]>();
const ready = (...question: Parameters<typeof readyAnswers>): Promise<readonly ReadyAnswer[]> => {
  const key = JSON.stringify(question);
  const known = calculated.get(key) ?? readyAnswers(...question);
  calculated.set(key, known);
  return Promise.resolve(known);
};
const settle = (): Promise<void> =>
  new Promise((done) => {
    setTimeout(done, 200);
  });
const open: (() => void)[] = [];
afterEach(() => {
  for (const end of open.splice(0)) end();
});

/**
 * The Day stop of the demo, in such weather, with so many rounds of searching; workers and weather service
 * are stood in for, what they calculate is real.
 */
async function before({ air_C = 8, cloud = 0, rounds = 12 } = {}) {
  const hours = signal(week(air_C, cloud));
  const job = openJob(DEMO, EXAMPLE_FILMS, [
    Planning,
    DayGround,
    WhatToBring,
    DayCommands,
    { provide: Weather, useValue: { hours, begin: () => undefined, onSite: () => undefined } },
    {
      provide: DayPool,
      useValue: {
        ready,
        plan: (problem: PlanProblem, _time: unknown, { seed, onBetter }: SearchOptions<DayPlan | NoPlan>) =>
          new Promise((done) => {
            const search = planDaySteps(problem, { seed, mostRounds: rounds });
            for (let step = search.next(); ; step = search.next()) {
              if (step.value.state === 'planned') onBetter(step.value);
              if (step.done === true) {
                done(step.value);
                return;
              }
            }
          }),
      },
    },
  ]);
  open.push(job.end);
  const planning = job.get(Planning);
  const page = job.get(ApplicationRef);
  const heard = async (): Promise<void> => {
    page.tick();
    await settle();
    page.tick();
    await settle();
  };
  await heard();
  const idOf = (word: RegExp): string => {
    const found = planning.whole()?.problem.steps.find((step) => word.test(step.word));
    if (found === undefined) throw new Error(String(word));
    return found.id;
  };
  const at = (id: string) => planning.shown().find((step) => step.id === id);
  const problem = () => {
    const whole = planning.whole();
    if (whole === undefined) throw new Error('nothing to plan');
    return whole.problem;
  };
  return {
    planning,
    bring: job.get(WhatToBring),
    commands: job.get(DayCommands),
    hours,
    heard,
    idOf,
    at,
    problem,
    desk: job.get(JobDesk),
    reading: job.get(JobReading),
  };
}

describe('are the days of the demo planned from what holds?', () => {
  it('every stretch once, nothing broken, no shorter than the bound', async () => {
    const { planning, problem } = await before();
    await planning.plan();
    expect(planning.none()).toBeUndefined();
    expect(
      planning
        .shown()
        .map(({ id }) => id)
        .sort(),
    ).toEqual(
      problem()
        .steps.map(({ id }) => id)
        .sort(),
    );
    expect(checkPlan(problem(), planning.shown())).toEqual([]);
    expect(planning.figures()?.working).toBeGreaterThanOrEqual(planning.figures()?.least ?? Infinity);
    expect([planning.broken(), planning.unplanned()]).toEqual([[], 0]);
  });
  it('adhesive meets the south-west front only where it is fit', async () => {
    const { planning, problem } = await before();
    await planning.plan();
    const { fitness, steps } = problem();
    for (const { id, start, end } of planning.shown()) {
      const own = fitness.find((entry) => entry.id === steps.find((step) => step.id === id)?.fitness);
      if (own !== undefined)
        expect([id, own.spans.some(({ from, to }) => from <= start && end <= to)]).toEqual([id, true]);
    }
  });
  it('where a plan was kept and there is none any more, no end of the days is promised', async () => {
    const { planning, hours, heard } = await before();
    await planning.plan();
    planning.keep();
    expect(planning.figures()?.finish).toBeGreaterThan(0);
    hours.set(week(-15));
    await heard();
    expect([planning.none()?.state, planning.figures()]).toEqual(['none', undefined]);
  });
  it('a frost that does not end leaves no plan, and says what would have to give', async () => {
    const { planning } = await before({ air_C: -15 });
    await planning.plan();
    expect(planning.none()).toBeDefined();
    expect(planning.relief()).toEqual([
      expect.stringMatching(/^(?:SW\d, )+.*SW\d fit for longer, all of them: /),
    ]);
  });
});

describe('does a plan stay as it was kept?', () => {
  it('kept, it is read back minute by minute; kept again, nothing is written', async () => {
    const { planning, desk } = await before();
    await planning.plan();
    const shown = [...planning.shown()].sort((a, b) => (a.id < b.id ? -1 : 1));
    planning.keep();
    expect(planning.isProposal()).toBe(false);
    expect([...planning.shown()].sort((a, b) => (a.id < b.id ? -1 : 1))).toEqual(
      shown.map(({ id, start, end, people }) => ({ id, start, end, people })),
    );
    const waiting = desk.unsaved();
    planning.keep();
    expect(desk.unsaved()).toBe(waiting);
  });
  it('let go, the kept one is shown again', async () => {
    const { planning } = await before();
    await planning.plan();
    planning.keep();
    const kept = planning.shown();
    planning.togglePin(kept[0]?.id ?? '');
    expect(planning.isProposal()).toBe(true);
    planning.forget();
    expect([planning.isProposal(), planning.shown()]).toEqual([false, kept]);
  });
  it('when the weather turns, it is planned anew, and what moved is said with its reason', async () => {
    const { planning, hours, heard, problem } = await before();
    await planning.plan();
    planning.keep();
    const frosty = week(8).map((hour, index) => (index < 48 ? { ...hour, air_C: -15 } : hour));
    hours.set(frosty);
    await heard();
    expect(checkPlan(problem(), planning.shown())).toEqual([]);
    expect(planning.moved().length).toBeGreaterThan(0);
    for (const { word, says } of planning.moved()) {
      expect(word).toMatch(/→/);
      expect(says.length).toBeGreaterThan(5);
    }
  });
});

describe('is a plan there before the sun is calculated, and is what it could gain said?', () => {
  it('what was kept is shown at once, with its words, while it is still calculated when each surface is fit', async () => {
    const { planning } = await before();
    await planning.plan();
    planning.keep();
    const kept = planning.shown();
    planning.ready.set(undefined);
    expect(planning.whole()).toBeUndefined();
    expect(planning.shown()).toEqual(kept);
    for (const { id } of planning.shown()) expect(planning.works().get(id)?.word).toMatch(/./);
    expect(planning.broken()).toEqual([]);
  });
  it('better weather: the plan that is kept stays, the sooner one is offered, and taken it says what moved', async () => {
    const { planning, hours, heard, problem } = await before({ rounds: 40 });
    hours.set(week(8).map((hour, index) => (index < 48 ? { ...hour, air_C: -15 } : hour)));
    await heard();
    await planning.plan();
    planning.keep();
    const kept = planning.shown();
    const finish = planning.figures()?.finish ?? 0;
    expect(planning.gain()).toBeUndefined();
    hours.set(week(8, 1));
    await heard();
    expect(planning.shown()).toEqual(kept);
    expect(planning.gain()?.plan.finish).toBeLessThan(finish - 29);
    planning.takeGain();
    expect(planning.isProposal()).toBe(true);
    expect(planning.figures()?.finish).toBeLessThan(finish);
    expect(planning.moved().length).toBeGreaterThan(0);
    expect([checkPlan(problem(), planning.shown()), planning.gain()]).toEqual([[], undefined]);
  });
});

describe('may a stretch be put elsewhere?', () => {
  it('into the night it is refused with the reason, and nothing moves', async () => {
    const { planning, at } = await before();
    await planning.plan();
    const [first] = planning.shown();
    const was = at(first?.id ?? '');
    expect(planning.move(first?.id ?? '', 120)).toBe(false);
    expect(planning.refused()).toMatch(/cannot start 02:00/);
    expect(planning.faultAt(first?.id ?? '', 120)).toBeDefined();
    expect(at(first?.id ?? '')).toEqual(was);
  });
  it('into the sun it is refused with the minute from which it is fit again', async () => {
    const { planning, problem, at } = await before();
    await planning.plan();
    const closed = problem().fitness.flatMap(({ id, closed: own }) =>
      own
        .filter(({ why }) => typeof why !== 'string' && /sun/.test(why.case))
        .map((span) => ({ fitness: id, ...span })),
    );
    const found = closed
      .flatMap((span) =>
        problem()
          .steps.filter(({ fitness }) => fitness === span.fitness)
          .map((step) => ({ step, span })),
      )
      .find(({ step, span }) => (at(step.id)?.start ?? 0) > span.to);
    if (found === undefined) throw new Error('no stretch waits for the sun');
    expect(planning.move(found.step.id, Math.floor(found.span.from + 1))).toBe(false);
    expect(planning.refused()).toMatch(/\d\d:\d\d/);
  });
  it('where nothing speaks against it, it goes, is pinned there, and stays there in the next plan', async () => {
    const { planning, at, problem } = await before();
    await planning.plan();
    const last = planning.shown().reduce((latest, step) => (step.start > latest.start ? step : latest));
    const later = [15, 30, 45, 60]
      .map((by) => last.start + by)
      .find((start) => planning.faultAt(last.id, start) === undefined);
    if (later === undefined) return;
    expect(planning.move(last.id, later)).toBe(true);
    expect([at(last.id)?.start, planning.isPinned(last.id)]).toEqual([later, true]);
    await planning.plan();
    expect(at(last.id)?.start).toBe(later);
    expect(checkPlan(problem(), planning.shown())).toEqual([]);
    planning.togglePin(last.id);
    expect(planning.isPinned(last.id)).toBe(false);
  });
});

describe('what goes with the days?', () => {
  it('what is mixed and packed is more than nothing, and each amount has its reason', async () => {
    const { bring } = await before();
    expect(bring.mixes().length).toBeGreaterThan(1);
    expect(bring.kit().usedUp.length).toBeGreaterThan(3);
    for (const { because, count } of bring.kit().usedUp) {
      expect(because.length).toBeGreaterThan(0);
      expect(count).toBeGreaterThan(0);
    }
  });
  it('a wait that was ended by hand is written down, and taken back the same way', async () => {
    const { commands, reading } = await before();
    const applicationId = reading.applications()[0]?.id ?? '';
    commands.confirmWait(applicationId, 'prime');
    expect(reading.view().waitEndsOf(applicationId)).toMatchObject([
      { step: 'prime', how: 'by hand', endedAt: expect.any(String) },
    ]);
    commands.confirmWait(applicationId, 'prime');
    expect(reading.view().waitEndsOf(applicationId)).toEqual([]);
  });
});
