import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { COOLING_CHECKS } from './fixtures/cooling-checks';
import { HEAT_CHECKS } from './fixtures/heat-checks';
import {
  MOST_STEP_S,
  PanesThroughTime,
  type HeatGap,
  type HeatPane,
  type LayerOptics,
  atThickness,
  bareGlassOf,
  bareSurface,
  behind,
  filmElementOf,
  gasAt,
  heatBalance,
  nearInfraredOf,
  onTop,
  paneOf,
  solarHeatGain,
  solarOf,
  stackOf,
  uValue,
} from './index';

const bare = (transmitted: number, reflected: number): LayerOptics => ({
  transmitted,
  reflectedFront: reflected,
  reflectedBack: reflected,
});
const share = fc.double({ min: 0.02, max: 0.95, noNaN: true });
const anyLayer: fc.Arbitrary<LayerOptics> = fc
  .record({ t: share, f: share, b: share })
  .map(({ t, f, b }) => ({ transmitted: t, reflectedFront: f * (1 - t), reflectedBack: b * (1 - t) }));
const SUMMER = { outdoor_C: 32, indoor_C: 24, outdoor_Wm2K: 15, sun_Wm2: 783 };
const CLEAR_3 = bareGlassOf({ transmitted: 0.834, reflected: 0.075 });
/** A generic reflective film, given as measured on 3 mm clear glass. */
const SILVER: LayerOptics = { transmitted: 0.2, reflectedFront: 0.45, reflectedBack: 0.4 };

describe('where does the light go?', () => {
  it('nothing is lost: let through, reflected and absorbed are one, for any stack', () => {
    fc.assert(
      fc.property(fc.array(anyLayer, { minLength: 1, maxLength: 6 }), (layers) => {
        const { transmitted, reflectedFront, absorbed } = stackOf(layers);
        expect(transmitted + reflectedFront + absorbed.reduce((sum, part) => sum + part, 0)).toBeCloseTo(
          1,
          9,
        );
        for (const part of absorbed) expect(part).toBeGreaterThan(-1e-12);
      }),
    );
  });
  it('as much comes through from either side, whatever the layers', () => {
    fc.assert(
      fc.property(fc.array(anyLayer, { minLength: 1, maxLength: 5 }), (layers) => {
        const turned = [...layers].reverse().map(({ transmitted, reflectedFront, reflectedBack }) => ({
          transmitted,
          reflectedFront: reflectedBack,
          reflectedBack: reflectedFront,
        }));
        const [ahead, back] = [stackOf(layers), stackOf(turned)];
        expect(back.transmitted).toBeCloseTo(ahead.transmitted, 12);
        expect(back.reflectedFront).toBeCloseTo(ahead.reflectedBack, 12);
      }),
    );
  });
  it('three unequal layers as a Monte Carlo count of rays has them (own second implementation)', () => {
    const { transmitted, reflectedFront, absorbed } = stackOf([
      bare(0.48, 0.054),
      { transmitted: 0.15, reflectedFront: 0.55, reflectedBack: 0.45 },
      { transmitted: 0.6, reflectedFront: 0.17, reflectedBack: 0.22 },
    ]);
    expect(Math.abs(transmitted - 0.048177)).toBeLessThan(0.0004);
    expect(Math.abs(reflectedFront - 0.185697)).toBeLessThan(0.0008);
    [0.593444, 0.1540675, 0.0186145].forEach((part, index) => {
      expect(Math.abs((absorbed[index] ?? NaN) - part)).toBeLessThan(0.001);
    });
  });
  it('the inner pane of two clear 3 mm panes absorbs 7 % of the sun (ASHRAE Fundamentals, fenestration tables, from memory; within 0.01)', () => {
    expect(
      Math.abs((stackOf([bare(0.834, 0.075), bare(0.834, 0.075)]).absorbed[1] ?? NaN) - 0.07),
    ).toBeLessThan(0.01);
  });
});

describe('can a pane be taken apart and put together again?', () => {
  it('surface and body give the bare pane back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 0.85, noNaN: true }),
        fc.double({ min: 0.045, max: 0.09, noNaN: true }),
        (transmitted, reflected) => {
          fc.pre(transmitted + reflected < 0.93);
          const glass = bareGlassOf({ transmitted, reflected });
          const pane = paneOf(bareSurface(glass), glass.body, bareSurface(glass));
          expect(pane.transmitted).toBeCloseTo(transmitted, 9);
          expect(pane.reflectedFront).toBeCloseTo(reflected, 9);
        },
      ),
    );
  });
  it('glass that absorbs nothing, n = 1.5, lets through 2n/(n²+1) = 0.923 (Fresnel, both ways summed)', () => {
    const surface = ((1.5 - 1) / (1.5 + 1)) ** 2;
    const pane = paneOf(bareSurface({ surface, body: 1 }), 1, bareSurface({ surface, body: 1 }));
    expect(pane.transmitted).toBeCloseTo(0.923076923076923, 12);
  });
  it('twice as thick is the body squared; no thickness is refused by name', () => {
    expect(atThickness(CLEAR_3, 3, 6).body).toBeCloseTo(CLEAR_3.body ** 2, 12);
    expect(() => atThickness(CLEAR_3, 3, 0)).toThrow('GLAZING_THICKNESS');
  });
});

describe('is a film the same film on other glass?', () => {
  it('taken off its reference glass and put back it measures as before', () => {
    const film = filmElementOf(SILVER, CLEAR_3);
    const again = paneOf(bareSurface(CLEAR_3), CLEAR_3.body, film);
    expect(again.transmitted).toBeCloseTo(0.2, 12);
    expect(again.reflectedFront).toBeCloseTo(0.45, 12);
    expect(again.reflectedBack).toBeCloseTo(0.4, 12);
  });
  it('moved inside 6 mm grey glass it absorbs 73 % of the sun: the plain product would have been near in light and far off in heat', () => {
    const grey = bareGlassOf({ transmitted: 0.455, reflected: 0.053 });
    const pane = paneOf(bareSurface(grey), grey.body, filmElementOf(SILVER, CLEAR_3));
    expect(pane.transmitted).toBeCloseTo(0.1079, 3);
    expect(1 - pane.transmitted - pane.reflectedFront).toBeCloseTo(0.7289, 3);
    expect((0.2 * 0.455) / 0.834).toBeCloseTo(0.1091, 3);
  });
  it('a film that changes nothing changes nothing', () => {
    const bareFilm = filmElementOf(
      { transmitted: 0.834, reflectedFront: 0.075, reflectedBack: 0.075 },
      CLEAR_3,
    );
    expect(bareFilm.transmitted).toBeCloseTo(1 - CLEAR_3.surface, 9);
    expect(onTop(bareSurface(CLEAR_3), { transmitted: 1, reflectedToGlass: 0, reflectedToAir: 0 })).toEqual(
      bareSurface(CLEAR_3),
    );
  });
  it.each([
    ['more than all', { transmitted: 0.7, reflectedFront: 0.4, reflectedBack: 0.1 }],
    ['below nothing', { transmitted: -0.1, reflectedFront: 0.4, reflectedBack: 0.1 }],
    ['not a number', { transmitted: NaN, reflectedFront: 0.1, reflectedBack: 0.1 }],
    ['less reflected than bare glass can', { transmitted: 0.5, reflectedFront: 0.001, reflectedBack: 0.1 }],
  ])('%s is refused by name', (_name, measured) => {
    expect(() => filmElementOf(measured, CLEAR_3)).toThrow('GLAZING_SHARES');
  });
  it('near infrared is what solar leaves over after light and ultraviolet, and comes back', () => {
    const nearInfrared = nearInfraredOf(0.45, 0.7, 0.01);
    expect(solarOf({ uv: 0.01, visible: 0.7, nearInfrared })).toBeCloseTo(0.45, 12);
    expect(nearInfraredOf(0.9, 0.2, 0)).toBe(1);
  });
  it('three bands, not one: a selective film behind a low-e coating lets through more than one solar figure says', () => {
    const bands = {
      visible: [bare(0.77, 0.06), bare(0.7, 0.1)],
      nearInfrared: [bare(0.3, 0.4), bare(0.2, 0.4)],
    };
    const through = (layers: readonly LayerOptics[]): number => stackOf(layers).transmitted;
    const three = solarOf({
      uv: 0,
      visible: through(bands.visible),
      nearInfrared: through(bands.nearInfrared),
    });
    const flat = (index: 0 | 1): LayerOptics => {
      const of = (pick: (layer: LayerOptics) => number): number =>
        solarOf({
          uv: 0,
          visible: pick(bands.visible[index] ?? bare(0, 0)),
          nearInfrared: pick(bands.nearInfrared[index] ?? bare(0, 0)),
        });
      return bare(
        of(({ transmitted }) => transmitted),
        of(({ reflectedFront }) => reflectedFront),
      );
    };
    expect(three - through([flat(0), flat(1)])).toBeGreaterThan(0.03);
  });
});

describe('how warm does the glass get, and how much heat comes in?', () => {
  const paneOfCheck = (
    { d, k, ef, eb }: { readonly d: number; readonly k: number; readonly ef: number; readonly eb: number },
    absorbed: number,
  ): HeatPane => ({ thickness_m: d, conductivity_WmK: k, emissivityFront: ef, emissivityBack: eb, absorbed });
  it.each(HEAT_CHECKS.map((check) => [check.id, check] as const))('%s', (_id, { inputs, expected, goal }) => {
    const absorbed: readonly number[] = 'A' in inputs ? inputs.A : [];
    const panes = inputs.panes.map((pane, index) => paneOfCheck(pane, absorbed[index] ?? 0));
    const gaps = inputs.gaps.map(({ d, mix }): HeatGap => ({ width_m: d, gas: mix }));
    const conditions = {
      outdoor_C: inputs.env.To,
      indoor_C: inputs.env.Ti,
      outdoor_Wm2K: inputs.env.hco,
      sun_Wm2: inputs.env.I,
    };
    const got =
      inputs.env.I === 0
        ? uValue(panes, gaps, conditions)
        : Math.max(...heatBalance(panes, gaps, conditions).faces_C);
    expect(Math.abs(got - expected)).toBeLessThanOrEqual(goal);
  });
  it('a single 6 mm pane with a film that absorbs 55 %: 44.5 °C, solar heat gain 0.4214, U 5.82 (own second implementation)', () => {
    const pane = [paneOfCheck({ d: 0.0057, k: 1, ef: 0.84, eb: 0.84 }, 0.55)];
    expect(solarHeatGain(0.25, pane, [], SUMMER)).toBeCloseTo(0.42138, 4);
    expect(uValue(pane, [], { outdoor_C: -18, indoor_C: 21, outdoor_Wm2K: 26, sun_Wm2: 0 })).toBeCloseTo(
      5.8193,
      3,
    );
  });
  it.each([
    [1, 0.7],
    [2, 0.61],
  ])(
    '%d more pane(s) of clear 6 mm before another: solar heat gain %d (ASHRAE Fundamentals, fenestration tables, from memory; within 0.01)',
    (more, expected) => {
      const layers = Array.from({ length: more + 1 }, () => bare(0.771, 0.07));
      const stack = stackOf(layers);
      const panes = stack.absorbed.map((absorbed) =>
        paneOfCheck({ d: 0.0057, k: 1, ef: 0.84, eb: 0.84 }, absorbed),
      );
      const gaps = Array.from({ length: more }, (): HeatGap => ({ width_m: 0.0127, gas: { air: 1 } }));
      expect(Math.abs(solarHeatGain(stack.transmitted, panes, gaps, SUMMER) - expected)).toBeLessThan(0.01);
    },
  );
  it('heat is not made: what the sun gives is let out on both sides, whatever the stack', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            absorbed: fc.double({ min: 0, max: 0.3, noNaN: true }),
            e: fc.double({ min: 0.03, max: 0.95, noNaN: true }),
          }),
          { minLength: 1, maxLength: 3 },
        ),
        fc.integer({ min: -20, max: 40 }),
        (made, outdoor_C) => {
          const panes = made.map(({ absorbed, e }) =>
            paneOfCheck({ d: 0.006, k: 1, ef: e, eb: 0.84 }, absorbed),
          );
          const gaps = made.slice(1).map((): HeatGap => ({ width_m: 0.016, gas: { argon: 0.9, air: 0.1 } }));
          const { stopped, faces_C, intoRoom_Wm2 } = heatBalance(panes, gaps, { ...SUMMER, outdoor_C });
          expect(stopped).toBe('converged');
          const [outer = 0] = faces_C;
          const [kelvin, around] = [outer + 273.15, outdoor_C + 273.15];
          const outward =
            15 * (outer - outdoor_C) + (made[0]?.e ?? 0) * 5.670374e-8 * (kelvin ** 4 - around ** 4);
          expect(outward + intoRoom_Wm2).toBeCloseTo(
            783 * made.reduce((sum, { absorbed }) => sum + absorbed, 0),
            3,
          );
        },
      ),
      { numRuns: 60 },
    );
  });
  it('air at 0 °C conducts 0.02407 W/mK (ISO 15099 formula), and a mixture lies between its gases', () => {
    expect(gasAt({ air: 1 }, 273.15).conductivity_WmK).toBeCloseTo(0.02407, 5);
    const mixed = gasAt({ argon: 0.9, air: 0.1 }, 283).conductivity_WmK;
    expect(mixed).toBeGreaterThan(gasAt({ argon: 1 }, 283).conductivity_WmK);
    expect(mixed).toBeLessThan(gasAt({ air: 1 }, 283).conductivity_WmK);
  });
  it('behind() of a layer and nothing is the layer', () => {
    expect(behind(SILVER, { transmitted: 1, reflectedFront: 0, reflectedBack: 0 })).toEqual(SILVER);
  });
});

describe('how does glass warm and cool?', () => {
  const pane = (
    thickness_m: number,
  ): {
    thickness_m: number;
    conductivity_WmK: number;
    emissivityFront: number;
    emissivityBack: number;
  } => ({
    thickness_m,
    conductivity_WmK: 1,
    emissivityFront: 0.84,
    emissivityBack: 0.84,
  });
  /** These checks are of a pane without resistance of its own. */
  const ISOTHERMAL = 1e4;
  it.each(COOLING_CHECKS.filter(({ id }) => id.startsWith('glass.cool')))(
    '$id s after the sun has left (independent integration with the same films)',
    ({ inputs, expected, must }) => {
      const { d, T0, Ti, To, hco, X } = inputs as Record<'d' | 'T0' | 'Ti' | 'To' | 'hco' | 'X', number>;
      const glass = new PanesThroughTime([{ ...pane(d), conductivity_WmK: ISOTHERMAL }], [], [T0]);
      let seconds = 0;
      for (; (glass.temperatures_C[0] ?? 0) > Ti + X && seconds < 20_000; seconds += 5)
        glass.advance(5, { outdoor_C: To, indoor_C: Ti, outdoor_Wm2K: hco, absorbed_Wm2: [0] });
      expect(Math.abs(seconds - expected)).toBeLessThanOrEqual(must);
    },
  );
  it.each(COOLING_CHECKS.filter(({ id }) => id.startsWith('glass.double')))(
    '$id (finite volumes, 24 to 48 cells a pane, two programs)',
    ({ id, inputs, expected, must, goal }) => {
      const { d, gap, T0, To, Ti, hco, Q, tEnd, H } = inputs as {
        readonly d: readonly number[];
        readonly gap: number;
        readonly T0: readonly number[];
        readonly To: number;
        readonly Ti: number;
        readonly hco: number;
        readonly Q: readonly number[];
        readonly tEnd: number;
        readonly H: number;
      };
      const after = (step_s: number): number => {
        const glass = new PanesThroughTime(d.map(pane), [{ width_m: gap, gas: { air: 1 } }], T0, H);
        for (let at = 0; at < tEnd; at += step_s)
          glass.advance(step_s, { outdoor_C: To, indoor_C: Ti, outdoor_Wm2K: hco, absorbed_Wm2: Q });
        return glass.temperatures_C[Number(id.at(-1)) - 1] ?? Number.NaN;
      };
      expect(Math.abs(after(5) - expected)).toBeLessThanOrEqual(goal);
      expect(Math.abs(after(MOST_STEP_S) - expected)).toBeLessThanOrEqual(must);
    },
  );
});
