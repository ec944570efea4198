import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { ANGLES, BAND_SHARES, STACKS } from './fixtures/reference';
import { enSolarGain, enUValue } from './oracles/en-673';
import { SUN_WEIGHTS } from './spectral-weights';
import {
  SOLAR_SHARES,
  bareAtAngle,
  bandsOfSpectrum,
  byBand,
  filmOpticsOf,
  heatBalance,
  heatGapsOf,
  heatPanesOf,
  opticsOfMakeUp,
  ratingsOf,
  solarHeatGain,
  solarOf,
  solarOfSpectrum,
  stackOf,
  uValue,
  type FilmOptics,
  type HeatGap,
  type HeatPane,
  type LayerOptics,
  type MakeUp,
  type SpectralPoint,
} from './index';

const AIR_16 = { width_mm: 16, gas: { air: 1 } };
const CLEAR_6 = { tint: 'clear', thickness_mm: 6 } as const;
const doubleClear: MakeUp = { panes: [CLEAR_6, CLEAR_6], gaps: [AIR_16], films: [] };
const layer = (transmitted: number, reflectedFront: number, reflectedBack = reflectedFront): LayerOptics => ({
  transmitted,
  reflectedFront,
  reflectedBack,
});
const aFilm = (more: Partial<FilmOptics> = {}): FilmOptics => ({
  referenceTint: 'clear',
  reference_mm: 3,
  measured: { uv: layer(0.01, 0.07), visible: layer(0.5, 0.12, 0.1), nearInfrared: layer(0.2, 0.4, 0.5) },
  emissivity: 0.84,
  haze: 0,
  coverage: 1,
  ...more,
});
const withFilm = (face: number, film = aFilm(), makeUp = doubleClear): MakeUp => ({
  ...makeUp,
  films: [{ face, film }],
});

describe('do whole glazings come out as an independent library has them?', () => {
  it.each(STACKS.map((stack) => [stack.name, stack] as const))(
    '%s: light, sun, what stays in each pane, U, solar heat gain (pywincalc 3.3.1, NFRC 300 and its conditions)',
    (_name, { panes, gaps, ...expected }) => {
      const inBand = (index: 0 | 1 | 2) =>
        stackOf(panes.map(({ bands }) => layer(bands[index][0], bands[index][1], bands[index][2])));
      const [uv, visible, nearInfrared] = [inBand(0), inBand(1), inBand(2)];
      const solar = (pick: (stack: typeof uv) => number): number =>
        BAND_SHARES[0] * pick(uv) + BAND_SHARES[1] * pick(visible) + BAND_SHARES[2] * pick(nearInfrared);
      const through = solar(({ transmitted }) => transmitted);
      expect(visible.transmitted).toBeCloseTo(expected.light, 9);
      /** The library's bands have no sharp edges: its tables step by 5 nm. */
      expect(Math.abs(through - expected.solar)).toBeLessThan(0.001);
      const absorbed = panes.map((_, index) => solar((stack) => stack.absorbed[index] ?? NaN));
      absorbed.forEach((share, index) => {
        expect(Math.abs(share - (expected.absorbed[index] ?? NaN))).toBeLessThan(0.001);
      });
      const heat = panes.map(({ d, ef, eb }, index): HeatPane => ({
        thickness_m: d,
        conductivity_WmK: 1,
        emissivityFront: ef,
        emissivityBack: eb,
        absorbed: absorbed[index] ?? 0,
      }));
      const between = gaps.map(({ d, argon }: { readonly d: number; readonly argon: number }): HeatGap => ({
        width_m: d,
        gas: argon === 0 ? { air: 1 } : { argon, air: 1 - argon },
      }));
      const winter = { outdoor_C: -18, indoor_C: 21, outdoor_Wm2K: 26, sun_Wm2: 0 };
      expect(Math.abs(uValue(heat, between, winter) - expected.u)).toBeLessThan(0.02);
      expect(
        Math.abs(
          solarHeatGain(through, heat, between, {
            outdoor_C: 32,
            indoor_C: 24,
            outdoor_Wm2K: 15,
            sun_Wm2: 783,
          }) - expected.shgc,
        ),
      ).toBeLessThan(0.01);
    },
  );
  it('the direct beam of NFRC 300 has more infrared than the global sun our shares stand for: for a selective stack that is up to 0.03 of the sun', () => {
    expect(Math.abs(BAND_SHARES[1] - SOLAR_SHARES.visible)).toBeLessThan(0.06);
    const global = (from: number, to: number): number =>
      SUN_WEIGHTS.filter(([low, high]) => low >= from && high <= to).reduce(
        (sum, [, , share]) => sum + share,
        0,
      );
    expect(Math.abs(global(300, 380) - SOLAR_SHARES.uv)).toBeLessThan(0.004);
    expect(Math.abs(global(380, 780) - SOLAR_SHARES.visible)).toBeLessThan(0.004);
    expect(Math.abs(global(780, 2500) - SOLAR_SHARES.nearInfrared)).toBeLessThan(0.004);
  });
  it.each(ANGLES.map((angle) => [angle.deg, angle] as const))(
    'bare 6 mm glass at %d°: through and back as the incoherent multi-layer method has it (tmm 0.2.0)',
    (deg, { t, r }) => {
      const straight = ANGLES[0];
      const { transmitted, reflectedFront } = bareAtAngle(
        { transmitted: straight.t, reflected: straight.r },
        Math.cos((deg * Math.PI) / 180),
      );
      expect(transmitted).toBeCloseTo(t, 6);
      expect(reflectedFront).toBeCloseTo(r, 6);
    },
  );
  it.each([
    [40, 0.84],
    [50, 0.82],
    [60, 0.78],
    [70, 0.67],
    [80, 0.42],
  ])(
    '3 mm clear at %d°: solar heat gain %d (ASHRAE Fundamentals, from memory; must 0.015)',
    (deg, expected) => {
      const { transmitted, reflectedFront } = bareAtAngle(
        { transmitted: 0.834, reflected: 0.075 },
        Math.cos((deg * Math.PI) / 180),
      );
      const pane: HeatPane = {
        thickness_m: 0.003,
        conductivity_WmK: 1,
        emissivityFront: 0.84,
        emissivityBack: 0.84,
        absorbed: 1 - transmitted - reflectedFront,
      };
      expect(
        Math.abs(
          solarHeatGain(transmitted, [pane], [], {
            outdoor_C: 32,
            indoor_C: 24,
            outdoor_Wm2K: 15,
            sun_Wm2: 783,
          }) - expected,
        ),
      ).toBeLessThan(0.015);
    },
  );
});

describe('what does a declared U or g say? (EN 673, EN 410)', () => {
  const argon = { argon: 0.9, air: 0.1 };
  it.each([
    ['4 mm alone', [0.004], [], 5.8],
    ['10 mm alone', [0.01], [], 5.6],
    ['4-6-4 air', [0.004, 0.004], [{ width_m: 0.006, emissivities: [0.837, 0.837] as const }], 3.3],
    ['4-16-4 air', [0.004, 0.004], [{ width_m: 0.016, emissivities: [0.837, 0.837] as const }], 2.7],
    [
      '4-16-4 argon, low-e .03',
      [0.004, 0.004],
      [{ width_m: 0.016, gas: argon, emissivities: [0.837, 0.03] as const }],
      1.1,
    ],
    [
      '4-12-4-12-4 argon, two low-e .03',
      [0.004, 0.004, 0.004],
      [
        { width_m: 0.012, gas: argon, emissivities: [0.03, 0.837] as const },
        { width_m: 0.012, gas: argon, emissivities: [0.837, 0.03] as const },
      ],
      0.7,
    ],
  ] as const)(
    '%s: declared to one decimal (typical declared values, from memory; must 0.06)',
    (_name, panes, gaps, declared) => {
      expect(Math.abs(enUValue(panes, gaps) - declared)).toBeLessThan(0.06);
    },
  );
  it('a film of emissivity 0.10 inside 4 mm glass: 1/(1/25 + 1/(3.6 + 4.1·0.10/0.837) + 0.004) = 3.466 (closed form)', () => {
    expect(enUValue([0.004], [], 0.1)).toBeCloseTo(3.4661076396932913, 12);
  });
  it('g of 4 mm clear 0.868, of 4-16-4 clear near 0.78 (EN 410, typical declared values, from memory)', () => {
    expect(enSolarGain(0.85, [0.07])).toBeCloseTo(0.868, 3);
    const {
      transmitted,
      absorbed: [outer = 0, inner = 0],
    } = stackOf([layer(0.85, 0.075), layer(0.85, 0.075)]);
    expect(Math.abs(enSolarGain(transmitted, [outer, inner], 6) - 0.78)).toBeLessThan(0.015);
  });
});

describe('what does film do on this glass, on this face?', () => {
  it('the same film outside keeps more heat out than inside, and the inner pane stays cooler', () => {
    const [inside, outside] = [ratingsOf(withFilm(4)), ratingsOf(withFilm(1))];
    expect(outside.solarHeatGain.value).toBeLessThan(inside.solarHeatGain.value - 0.05);
    expect(outside.summer.panes_C[1]).toBeLessThan((inside.summer.panes_C[1] ?? 0) - 5);
  });
  it('a pattern over half the pane is half of the film and half of the glass', () => {
    const of = (coverage: number): number =>
      opticsOfMakeUp({ panes: [CLEAR_6], gaps: [], films: [{ face: 2, film: aFilm({ coverage }) }] }).byBand
        .visible.transmitted;
    expect(of(0.5)).toBeCloseTo((of(0) + of(1)) / 2, 12);
    expect(of(0)).toBeCloseTo(0.881, 3);
  });
  it("a low-e film inside single glass: U from 5.8 to about 3.45; laid on a low-e coating the coating's emissivity is lost", () => {
    const single = (film?: FilmOptics, coated = false): MakeUp => ({
      panes: [
        {
          ...CLEAR_6,
          ...(coated ? { coating: { kind: 'low-e, hard' as const, side: 'back' as const } } : {}),
        },
      ],
      gaps: [],
      films: film === undefined ? [] : [{ face: 2, film }],
    });
    expect(ratingsOf(single()).uValue.value).toBeCloseTo(5.81, 1);
    expect(ratingsOf(single(aFilm({ emissivity: 0.1 }))).uValue.value).toBeCloseTo(3.45, 1);
    expect(ratingsOf(single(aFilm(), true)).uValue.value).toBeGreaterThan(
      ratingsOf(single(undefined, true)).uValue.value + 1,
    );
  });
  it('an interlayer takes the ultraviolet and conducts less', () => {
    const laminated: MakeUp = { panes: [{ ...CLEAR_6, isLaminated: true }], gaps: [], films: [] };
    expect(opticsOfMakeUp(laminated).byBand.uv.transmitted).toBeLessThan(0.01);
    expect(ratingsOf(laminated).uValue.value).toBeLessThan(
      ratingsOf({ ...laminated, panes: [CLEAR_6] }).uValue.value,
    );
  });
  it.each(['low-e, hard', 'low-e, soft', 'reflective'] as const)(
    'a %s coating can be, in every band, on either side, and keeps heat in as its emissivity says',
    (kind) => {
      for (const side of ['front', 'back'] as const) {
        const coated: MakeUp = { ...doubleClear, panes: [CLEAR_6, { ...CLEAR_6, coating: { kind, side } }] };
        for (const { transmitted, reflectedFront, absorbed } of Object.values(opticsOfMakeUp(coated).byBand))
          expect(transmitted + reflectedFront + absorbed.reduce((sum, part) => sum + part, 0)).toBeCloseTo(
            1,
            9,
          );
        expect(ratingsOf(coated).uValue.value).toBeLessThanOrEqual(
          ratingsOf(doubleClear).uValue.value + 1e-9,
        );
      }
    },
  );
  it('a soft low-e coating on face 3 of double clear with argon: U near 1.4 (handbook order, from memory), light about 0.76', () => {
    const lowE: MakeUp = {
      panes: [CLEAR_6, { ...CLEAR_6, coating: { kind: 'low-e, soft', side: 'front' } }],
      gaps: [{ width_mm: 16, gas: { argon: 0.9, air: 0.1 } }],
      films: [],
    };
    expect(Math.abs(ratingsOf(lowE).uValue.value - 1.4)).toBeLessThan(0.15);
    expect(Math.abs(ratingsOf(lowE).light - 0.76)).toBeLessThan(0.03);
  });
  it('shares add to one at every angle, and no figure is not a number', () => {
    const share = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(
        share,
        share,
        share,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.constantFrom(1, 4),
        fc.constantFrom('clear', 'low iron', 'bronze', 'grey', 'green'),
        (t, r, nir, cosine, face, tint) => {
          const film = aFilm({
            measured: {
              uv: layer(0.01, 0.07),
              visible: layer(0.05 + t * 0.6, 0.06 + r * 0.2),
              nearInfrared: layer(0.02 + nir * 0.5, 0.06 + r * 0.2),
            },
          });
          const { byBand: bands, solar } = opticsOfMakeUp(
            { ...withFilm(face, film), panes: [{ tint, thickness_mm: 6 } as const, CLEAR_6] },
            cosine,
          );
          for (const { transmitted, reflectedFront, absorbed } of [...Object.values(bands), solar]) {
            expect(transmitted + reflectedFront + absorbed.reduce((sum, part) => sum + part, 0)).toBeCloseTo(
              1,
              9,
            );
            for (const value of [transmitted, reflectedFront, ...absorbed])
              expect(Number.isFinite(value) && value > -1e-9).toBe(true);
          }
        },
      ),
    );
  });
  it('warm-started and loose, the heat balance is within 0.05 K of the strict one', () => {
    const optics = opticsOfMakeUp(withFilm(4));
    const [panes, gaps] = [
      heatPanesOf(doubleClear, optics.solar.absorbed, optics.emissivities),
      heatGapsOf(doubleClear),
    ];
    const at = { outdoor_C: -5, indoor_C: 20, outdoor_Wm2K: 8, sun_Wm2: 600 };
    const strict = heatBalance(panes, gaps, at);
    const loose = heatBalance(panes, gaps, at, {
      done_K: 0.02,
      start_C: strict.faces_C.map((face) => face - 6),
    });
    loose.faces_C.forEach((face, index) => {
      expect(Math.abs(face - (strict.faces_C[index] ?? NaN))).toBeLessThan(0.05);
    });
  });
});

describe('what is refused, and by which name?', () => {
  it.each([
    ['12 panes', { ...doubleClear, panes: Array.from({ length: 12 }, () => CLEAR_6) }, 'GLAZING_PANES'],
    ['no pane', { panes: [], gaps: [], films: [] }, 'GLAZING_PANES'],
    [
      'thickness 0',
      { ...doubleClear, panes: [{ ...CLEAR_6, thickness_mm: 0 }, CLEAR_6] },
      'GLAZING_THICKNESS',
    ],
    ['a gap too few', { ...doubleClear, gaps: [] }, 'GLAZING_GAP'],
    [
      'gas that does not add up',
      { ...doubleClear, gaps: [{ width_mm: 16, gas: { argon: 0.5 } }] },
      'GLAZING_GAP',
    ],
    ['film between the panes', withFilm(2), 'GLAZING_FACE'],
    ['emissivity 2', withFilm(4, aFilm({ emissivity: 2 })), 'GLAZING_SHARES'],
    [
      'transmitted and reflected over 1',
      withFilm(4, aFilm({ measured: byBand(() => layer(0.7, 0.4)) })),
      'GLAZING_SHARES',
    ],
  ] as const)('%s: %#', (_name, makeUp, code) => {
    expect(() => opticsOfMakeUp(makeUp as MakeUp)).toThrow(code);
  });

  const row = {
    uvTransmitted: null,
    visibleTransmitted: 0.5,
    visibleReflectedRoom: 0.1,
    visibleReflectedOutside: 0.12,
    solarTransmitted: 0.4,
    solarReflected: 0.2,
    solarReflectedRoom: null,
    emissivity: null,
    haze: null,
    coverage: null,
    referenceGlass: 'clear float, 3 mm',
  };
  it('a sheet that leaves figures out is read with what had to be assumed; without light or sun it is unknown', () => {
    const read = filmOpticsOf(row);
    expect(read.missing).toEqual([]);
    expect(read.assumed.join()).toMatch(/ultraviolet.*emissivity 0.84/);
    expect(filmOpticsOf({ ...row, solarTransmitted: null, referenceGlass: '' })).toMatchObject({
      optics: null,
      missing: ['sun kept', expect.stringContaining('reference glass')],
    });
  });
});

describe('can a measured spectrum be used?', () => {
  const flat = (from: number, to: number, step: number): SpectralPoint[] =>
    Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, index) => ({
      nm: from + index * step,
      ...layer(0.5, 0.1),
    }));
  it('a flat spectrum weighs to itself in every band', () => {
    const bands = bandsOfSpectrum(flat(300, 2500, 10));
    for (const { transmitted, reflectedFront } of Object.values(bands)) {
      expect(transmitted).toBeCloseTo(0.5, 9);
      expect(reflectedFront).toBeCloseTo(0.1, 9);
    }
  });
  it("a step at 780 nm: solar is the three bands' weighted sum within 0.003", () => {
    const step = flat(300, 2500, 5).map((point) => ({ ...point, transmitted: point.nm < 780 ? 0.7 : 0.1 }));
    const bands = bandsOfSpectrum(step);
    expect(
      Math.abs(solarOfSpectrum(step).transmitted - solarOf(byBand((band) => bands[band].transmitted))),
    ).toBeLessThan(0.003);
  });
  it.each([
    ['a hole in the visible', flat(300, 2500, 10).filter(({ nm }) => nm < 500 || nm > 560)],
    ['an end missing', flat(300, 1100, 10)],
    [
      'a share of 1.4',
      flat(300, 2500, 10).map((point) => (point.nm === 550 ? { ...point, transmitted: 1.4 } : point)),
    ],
    [
      'not a number',
      flat(300, 2500, 10).map((point) => (point.nm === 550 ? { ...point, transmitted: NaN } : point)),
    ],
    ['nothing', []],
  ])('%s is refused by name', (_name, points) => {
    expect(() => bandsOfSpectrum(points)).toThrow('GLAZING_SPECTRUM');
  });
});
