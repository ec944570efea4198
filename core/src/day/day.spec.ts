import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Facing, WeatherHour } from '../climate';
import { MATERIAL_NOT_STATED } from '../job';
import { AT_FIRST } from '../learned';
import { checkPlan, planDaySteps } from '../scheduling';
import type { DryingFilm } from '../waiting';
import {
  type DayInput,
  type DaySurface,
  type ReadinessCase,
  dayProblem,
  filmCourse,
  glassStore_Jm2K,
  kitList,
  mixSheet,
  readiness,
  toBuy,
  warmingUp,
  workStepId,
} from '.';

const MIDNIGHT = Date.UTC(2026, 10, 25);
const HOUR = 3_600_000;
const PLACE = { latitude_deg: 46.62, longitude_deg: 9.74, altitude_m: 1180 };
const SOUTH_WEST: Facing = { bearing_deg: 225, tilt_deg: 90, skyline: [], shading: null };
const pane = (thickness_mm: number) => ({ tint: 'clear' as const, thickness_mm });
const DOUBLE = { panes: [pane(6), pane(6)], gaps: [{ width_mm: 16, gas: { air: 1 } }], films: [] };
const weather = (
  more: Partial<WeatherHour> | ((hour: number) => Partial<WeatherHour>) = {},
): readonly WeatherHour[] =>
  Array.from({ length: 48 }, (_, hour) => ({
    instant_ms: MIDNIGHT - 6 * HOUR + hour * HOUR,
    air_C: 4,
    humidity: 0.6,
    cloud: 0,
    wind_ms: 1,
    rain_mm: 0,
    ...(typeof more === 'function' ? more(hour - 6) : more),
  }));
const own = (more: Partial<ReadinessCase> = {}): ReadinessCase => ({
  place: PLACE,
  facing: SOUTH_WEST,
  makeUp: DOUBLE,
  height_m: 2.1,
  side: 'room',
  indoor: { air_C: 20, humidity: 0.4 },
  least_C: 5,
  most_C: 35,
  ...more,
});
const day = (more: Partial<ReadinessCase> = {}, hours: readonly WeatherHour[] = weather()) =>
  readiness(own(more), hours, MIDNIGHT, MIDNIGHT + 24 * HOUR);
const isFit = (ready: ReturnType<typeof day>, hour: number): boolean =>
  ready.fit.some((span) => span.from_ms <= MIDNIGHT + hour * HOUR && MIDNIGHT + hour * HOUR < span.to_ms);
const closedAt = (ready: ReturnType<typeof day>, hour: number): string | undefined =>
  ready.closed.find((span) => span.from_ms <= MIDNIGHT + hour * HOUR && MIDNIGHT + hour * HOUR < span.to_ms)
    ?.by;

describe('when is a surface fit to be worked on?', () => {
  it('a south-west front in November: fit before the sun comes round, sun until the ridge takes it, then still warm, then fit', () => {
    const dark = { panes: [{ tint: 'grey' as const, thickness_mm: 10 }], gaps: [], films: [] };
    const ready = day(
      {
        makeUp: dark,
        indoor: { air_C: 20, humidity: 0.2 },
        facing: {
          ...SOUTH_WEST,
          skyline: [
            { bearing_deg: 100, elevation_deg: 0 },
            { bearing_deg: 200, elevation_deg: 5 },
            { bearing_deg: 210, elevation_deg: 25 },
            { bearing_deg: 300, elevation_deg: 25 },
          ],
        },
      },
      weather({ air_C: 14 }),
    );
    const [sun] = ready.sun;
    expect(isFit(ready, 7)).toBe(true);
    expect(closedAt(ready, 11)).toBe('sun');
    const left = (sun?.to_ms ?? 0) + 2 * 60_000;
    const warm = ready.closed.find(({ from_ms, to_ms }) => from_ms <= left && left < to_ms);
    expect(warm?.by).toBe('warm');
    expect(((warm?.to_ms ?? 0) - (sun?.to_ms ?? 0)) / 60_000).toBeGreaterThan(5);
    expect(((warm?.to_ms ?? 0) - (sun?.to_ms ?? 0)) / 60_000).toBeLessThan(60);
    expect(isFit(ready, 17)).toBe(true);
  });
  it('the last fit minute of the morning is the minute before the sun comes, and the band holds it', () => {
    const ready = day();
    const begin = ready.sun[0]?.from_ms ?? 0;
    const morning = ready.fit.find(({ to_ms }) => to_ms < begin + 60_000 && to_ms > begin - 120_000);
    expect(Math.abs((morning?.to_ms ?? 0) - begin)).toBeLessThanOrEqual(60_000);
    const band = ready.bands[0]?.begin;
    expect(band !== undefined && band.from_ms <= begin && begin <= band.to_ms).toBe(true);
  });
  it('no fit minute holds a second of sun, whichever way the pane faces', () => {
    fc.assert(
      fc.property(fc.integer({ min: 90, max: 270 }), (bearing_deg) => {
        const ready = day({ facing: { ...SOUTH_WEST, bearing_deg } });
        expect(ready.sun.length).toBeGreaterThan(0);
        for (const sun of ready.sun)
          expect(ready.fit.filter((fit) => fit.from_ms < sun.to_ms && fit.to_ms > sun.from_ms)).toEqual([]);
      }),
      { numRuns: 20, seed: 3 },
    );
  });
  it('under full cloud no direct sun is expected and the afternoon is open: clear and cloudy days differ', () => {
    expect(isFit(day({}, weather({ cloud: 1 })), 13)).toBe(true);
    expect(isFit(day(), 13)).toBe(false);
  });
  it('glass gets warmer in the sun and comes back to the room; darker weather warms it less', () => {
    const at = (ready: ReturnType<typeof day>): number =>
      Math.max(...ready.moments.map(({ surface_C }) => surface_C));
    expect(at(day())).toBeGreaterThan(at(day({}, weather({ cloud: 0.7 }))) + 2);
    const last = day().moments.at(-1)?.surface_C ?? 99;
    expect(last).toBeLessThan(20);
  });
  it('single glass in a cold night in a damp room is within 3 K of the dew point, or ice', () => {
    const single = { panes: [pane(4)], gaps: [], films: [] };
    expect(closedAt(day({ makeUp: single, indoor: { air_C: 20, humidity: 0.6 } }), 2)).toBe('dew');
    expect(
      closedAt(
        day({ makeUp: single, indoor: { air_C: 2, humidity: 0.3 }, least_C: null }, weather({ air_C: -15 })),
        2,
      ),
    ).toBe('frost');
  });
  it("the film's own range closes it with both figures", () => {
    const ready = day({ facing: null, makeUp: null, indoor: { air_C: 12, humidity: 0.4 }, least_C: 15 });
    expect(ready.closed).toHaveLength(1);
    expect(ready.closed[0]?.why).toEqual({ case: 'too cold', what: 'surface', value_C: 12, limit_C: 15 });
  });
  it('outside: rain, cold to come and missing forecast each close it', () => {
    const outside = (hours: readonly WeatherHour[]) =>
      day({ side: 'outside', facing: { ...SOUTH_WEST, bearing_deg: 0 } }, hours);
    expect(closedAt(outside(weather({ air_C: 15, rain_mm: 1 })), 10)).toBe('rain');
    expect(closedAt(outside(weather((hour) => ({ air_C: hour < 12 ? 12 : 12 - (hour - 12) * 2 }))), 11)).toBe(
      'too cold',
    );
    expect(closedAt(outside([]), 10)).toBe('weather unknown');
  });
  it('every minute is either fit or closed with a reason, never both', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 359 }),
        fc.double({ min: -10, max: 30, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (bearing_deg, air_C, cloud) => {
          const ready = day({ facing: { ...SOUTH_WEST, bearing_deg } }, weather({ air_C, cloud }));
          const spans = [...ready.fit, ...ready.closed].sort((a, b) => a.from_ms - b.from_ms);
          expect(spans[0]?.from_ms).toBe(MIDNIGHT);
          expect(spans.at(-1)?.to_ms).toBe(MIDNIGHT + 24 * HOUR);
          spans.slice(1).forEach((span, index) => {
            expect(span.from_ms).toBe(spans[index]?.to_ms);
          });
        },
      ),
      { numRuns: 6 },
    );
  });
});

const surface = (tag: string, more: Partial<DaySurface> = {}): DaySurface => ({
  applicationId: tag,
  tag,
  place: 'front',
  room: 'waiting room',
  fitness: null,
  condition: 'sound',
  isSecurityFilm: false,
  method: 'trim in place',
  area_m2: 2,
  edge_m: 6,
  done: new Map(),
  confirmed: new Set(),
  ...more,
});
const HOURS = [
  { from: 450, to: 720 },
  { from: 765, to: 1020 },
];
const input = (surfaces: readonly DaySurface[], more: Partial<DayInput> = {}): DayInput => ({
  surfaces,
  people: [
    { id: 'wren', name: 'Wren', skills: ['film', 'heat'], hours: HOURS },
    { id: 'lark', name: 'Lark', skills: ['film'], hours: HOURS },
  ],
  tools: ['heat gun', 'ladder', 'dust extractor', 'infrared thermometer'].map((id) => ({
    id,
    word: id,
    count: 1,
  })),
  fitness: [],
  air: { air_C: 20, humidity: 0.5 },
  primer: 'water-based',
  pins: new Map(),
  now: 0,
  horizon: 1440,
  ...more,
});
const plan = (asked: DayInput) => {
  const { problem } = dayProblem(asked);
  const search = planDaySteps(problem, { seed: 1, mostRounds: 20 });
  let turn = search.next();
  while (turn.done !== true) turn = search.next();
  return { problem, found: turn.value };
};

describe('how does a job become a plan?', () => {
  it('a pane, a decor door and a curved window are put in order without a breach', () => {
    const { problem, found } = plan(
      input([
        surface('SW1'),
        surface('DR1', { method: 'decor' }),
        surface('A-E1', { method: 'curved, shrunk', room: 'hall' }),
      ]),
    );
    expect(found.state).toBe('planned');
    if (found.state === 'planned') expect(checkPlan(problem, found.steps)).toEqual([]);
  });
  it('what is done is left out; the primer put on before the plan still has to dry; dry to the touch ends the wait', () => {
    const done = new Map(
      ['mask', 'putty', 'sand', 'wipe', 'prime-water'].map((step) => [
        step,
        step === 'prime-water' ? 440 : 300,
      ]),
    );
    const { problem } = dayProblem(input([surface('DR1', { method: 'decor', done })]));
    expect(problem.steps[0]?.notBefore?.minute).toBe(560);
    expect(
      dayProblem(input([surface('DR1', { method: 'decor', done, confirmed: new Set(['prime-water']) })]))
        .problem.steps[0]?.notBefore,
    ).toBeUndefined();
  });
  it('cracked glass and a primer that cannot dry are said and left out', () => {
    const { blocked, problem } = dayProblem(
      input([surface('SW7', { condition: 'cracked' }), surface('DR1', { method: 'decor' })], {
        air: { air_C: 5, humidity: 0.98 },
      }),
    );
    expect(blocked.map(({ tag }) => tag)).toEqual(['SW7', 'DR1']);
    expect(problem.steps).toEqual([]);
  });
  it('work that asks for a tool nobody has says which', () => {
    const { found } = plan(
      input([surface('WL1', { method: 'textured wall' })], {
        tools: [{ id: 'ladder', word: 'ladder', count: 1 }],
      }),
    );
    expect(found.state).toBe('none');
  });
  it('what the same people do in one go is one stretch: getting the pane ready, laying it by two, finishing it', () => {
    const { works, problem } = dayProblem(input([surface('SW1')]));
    expect(
      [...works.values()].map(({ parts }) => [parts[0]?.step, parts.at(-1)?.step, parts[0]?.crew]),
    ).toEqual([
      ['protect', 'final-rinse', 1],
      ['liner-tabs', 'align', 2],
      ['lock-t', 'handover', 1],
    ]);
    for (const [id, { parts, minutes }] of works)
      expect([problem.steps.find((step) => step.id === id)?.minutes, minutes.value]).toEqual([
        parts.reduce((sum, part) => sum + part.minutes.value, 0),
        parts.reduce((sum, part) => sum + part.minutes.value, 0),
      ]);
  });
  it('beads that are out go back the same day: a lag across the stretches between, kept by the plan', () => {
    const { problem } = dayProblem(input([surface('TH1', { method: 'security' })]));
    const idOf = (step: string): string =>
      workStepId('TH1', { template: 'security', step, templateVersion: 1 });
    const lag = problem.lags.find(({ to, most }) => to === idOf('beads-in') && most === 540);
    expect(lag).toMatchObject({ from: idOf('beads-out'), least: 0 });
    const { found } = plan(input([surface('TH1', { method: 'security' }), surface('SW1'), surface('SW2')]));
    if (found.state !== 'planned') throw new Error('no plan');
    const [out, back] = ['beads-out', 'beads-in'].map((step) =>
      found.steps.find(({ id }) => id === idOf(step)),
    );
    expect((back?.start ?? Infinity) - (out?.end ?? 0)).toBeLessThanOrEqual(540);
  });
  it('a step ticked makes its stretch shorter and leaves its key', () => {
    const { works } = dayProblem(input([surface('SW1', { done: new Map([['protect', 10]]) })]));
    const [first] = works.values();
    expect(first?.id).toBe(
      workStepId('SW1', { template: 'flat-glass', step: 'protect', templateVersion: 1 }),
    );
    expect(first?.parts.map(({ step }) => step)).not.toContain('protect');
  });
  it('a pin is kept by the stable key of its step', () => {
    const id = workStepId('SW1', { template: 'flat-glass', step: 'protect', templateVersion: 1 });
    const { found } = plan(input([surface('SW1')], { pins: new Map([[id, 600]]) }));
    expect(found.state === 'planned' && found.steps.find((step) => step.id === id)?.start).toBe(600);
  });
});

describe('what is to be come back for?', () => {
  const ofFamily = (family: DryingFilm['family']): DryingFilm => ({
    ...MATERIAL_NOT_STATED,
    family,
    thickness_um: 50,
  });
  const own_ = {
    method: 'trim in place',
    film: ofFamily('solar'),
    known: [{ hours: 24, glass_C: 18, air: { air_C: 20, humidity: 0.5 } }],
    outdoorLow_C: 2,
  } as const;
  const keysOf = (more: Partial<Parameters<typeof filmCourse>[0]> = {}): readonly string[] =>
    filmCourse({ ...own_, ...more }).waits.map(({ key }) => key);
  it('glass: first bond, sealant, clear; walls: bond alone; vinyl on a cold day stays in a warm room', () => {
    expect(keysOf()).toEqual(['first bond', 'sealant', 'clear']);
    expect(keysOf({ method: 'textured wall', film: ofFamily('textured wall') })).toEqual(['first bond']);
    expect(keysOf({ method: 'wrapped edges', film: ofFamily('wrap') })).toEqual([
      'first bond',
      'conditioned room',
    ]);
    expect(keysOf({ method: 'wrapped edges', film: ofFamily('wrap'), outdoorLow_C: 16 })).toEqual([
      'first bond',
    ]);
  });
});

describe('what is mixed and packed?', () => {
  const sheet = (more: Partial<Parameters<typeof mixSheet>[0]> = {}) =>
    mixSheet({
      surfaces: [
        surface('SW1'),
        surface('DR1', { method: 'decor' }),
        surface('CO1', { method: 'column' }),
        surface('WL1', { method: 'textured wall' }),
      ],
      slip: 'household',
      primer: 'water-based',
      air_C: 18,
      ...more,
    });
  const line = (liquid: string, more: Parameters<typeof sheet>[0] = {}) =>
    sheet(more).find((own_) => own_.liquid === liquid);
  it('slip by hand: 2 m² at 0.1 + 0.3 + 0.35 l/m² is 1.5 l; two bottles of 32 fl oz', () => {
    expect(line('slip')?.litres.value).toBeCloseTo(1.5, 12);
    expect(line('slip')?.bottles?.count).toBe(2);
    expect(line('slip')?.findings).toEqual([{ case: 'share of soap', share: expect.closeTo(0.0078, 4) }]);
  });
  it('one cap up to 22 °C, two above, and the size of a cap is asked for', () => {
    expect(line('slip', { slip: 'concentrate' })).toMatchObject({
      recipe: { case: 'by caps', caps: 1 },
      verdict: 'unknown',
      findings: [{ case: 'share of soap' }, { case: 'cap not measured' }],
    });
    const warm = line('slip', { slip: 'concentrate', air_C: 27 });
    expect(warm?.recipe).toEqual({ case: 'by caps', caps: 2 });
    expect(warm?.remarks).toEqual([{ case: 'caps by warmth', air_C: 27, caps: 2, over_C: 22 }]);
    expect(warm?.bottles?.each).toEqual([{ case: 'caps', caps: expect.closeTo(2, 2) }]);
  });
  it('too rich and too lean are stopped', () => {
    const rates = (key: string, value: number) =>
      AT_FIRST.map((rate) => (rate.key === key ? { ...rate, value } : rate));
    expect(line('slip', { slip: 'concentrate', air_C: 27, learned: rates('mix-cap', 40) })).toMatchObject({
      verdict: 'stop',
      findings: expect.arrayContaining([{ case: 'too rich' }]),
    });
    expect(line('slip', { slip: 'concentrate', learned: rates('mix-cap', 0.2) })).toMatchObject({
      verdict: 'stop',
      findings: expect.arrayContaining([{ case: 'too lean' }]),
    });
  });
  it('primer one to one, wipe seventy to thirty, wash an ounce a gallon (by hand)', () => {
    expect(line('primer')?.parts.map(({ litres }) => litres)).toEqual([
      expect.closeTo((4 * 0.12 * 1.5) / 2, 12),
      expect.closeTo((4 * 0.12 * 1.5) / 2, 12),
    ]);
    const wipe = line('alcohol wipe');
    expect((wipe?.parts[0]?.litres ?? 0) / (wipe?.litres.value ?? 1)).toBeCloseTo(0.7, 12);
    const wash = line('wall wash');
    expect((wash?.parts[0]?.litres ?? 0) / (wash?.litres.value ?? 1)).toBeCloseTo(1 / 128, 12);
  });
  it('the parts of a mix make up the whole; nothing is mixed for nothing', () => {
    for (const own_ of sheet())
      if (own_.liquid !== 'slip')
        expect(own_.parts.reduce((sum, { litres }) => sum + litres, 0)).toBeCloseTo(own_.litres.value, 9);
    expect(mixSheet({ surfaces: [], slip: 'household', primer: 'water-based', air_C: 18 })).toEqual([]);
  });
  it('of what is used up only what is missing is bought; uncounted counts as none', () => {
    expect(toBuy({ count: 18 }, 10)).toBe(8);
    expect(toBuy({ count: 18 }, 18)).toBe(0);
    expect(toBuy({ count: 18 }, 40)).toBe(0);
    expect(toBuy({ count: 7 }, undefined)).toBe(7);
    expect(toBuy({ count: 36 }, 33.5)).toBe(3);
  });
  it('one blade point a pane; tools are named once', () => {
    const surfaces = [surface('SW1'), surface('SW2'), surface('SW4')];
    const { problem, works } = dayProblem(input(surfaces));
    const kit = kitList(
      surfaces,
      [...works.values()].flatMap(({ parts }) => parts),
    );
    expect(kit.usedUp.find(({ key }) => key === 'blade-points')?.count).toBe(3);
    expect(new Set(kit.tools.map(({ word }) => word)).size).toBe(kit.tools.length);
    expect(kit.tools.map(({ word }) => word)).toContain('hard squeegee');
    expect(problem.steps).toHaveLength(9);
  });
});

describe('by when must it be inside?', () => {
  const cold = {
    rolls: [{ key: 'r', word: 'silver', length_m: 30, film_um: 50 }],
    panels: [{ key: 'car', word: 'car glass', store_Jm2K: glassStore_Jm2K(6) }],
    from_C: 0,
    room_C: 20,
    wrap: 'boxed' as const,
    coreRadius_mm: 38,
  };
  const waits = (more: Partial<typeof cold> = {}) => warmingUp({ ...cold, ...more }).map(({ wait }) => wait);

  it('a square metre of 6 mm glass holds 10.8 kJ a kelvin (2500 kg/m³ and 720 J/kgK, EN 572-1)', () => {
    expect(glassStore_Jm2K(6)).toBe(10_800);
  });
  it('a boxed roll of 30 m of thin film from 0 °C: about 12 h as a solid roll to 18 °C in 20 °C (worked figure of the model, 75 µm a turn), and hours sooner on its hollow core', () => {
    const [roll] = waits();
    expect((roll?.most ?? 0) / 60).toBeGreaterThan(10);
    expect((roll?.most ?? 0) / 60).toBeLessThan(14);
    expect(roll?.likely).toBeLessThan(roll?.most ?? 0);
  });
  it('glass of 6 mm, air on both sides: ρ·c·d/h · ln(20/2) = 1080 s · 2.3026, 41 min (closed form)', () => {
    expect(waits()[1]?.likely).toBe(Math.round((1080 * Math.log(10)) / 60));
  });
  it('from a place as warm as the room nothing waits, nor from a warmer one; the colder it comes, the longer', () => {
    for (const wait of [...waits({ from_C: 20 }), ...waits({ from_C: 30 })]) expect(wait.most).toBe(0);
    fc.assert(
      fc.property(fc.double({ min: -30, max: 16, noNaN: true }), (from_C) => {
        const warmer = waits({ from_C });
        waits({ from_C: from_C - 1 }).forEach((wait, index) => {
          expect(wait.likely ?? 0).toBeGreaterThanOrEqual(warmer[index]?.likely ?? 0);
        });
      }),
      { numRuns: 20 },
    );
  });
});
