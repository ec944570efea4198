import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { saturation_Pa } from '../climate';
import { openTime, taughtWater, waterOnIt } from './index';

/** Heat of vaporisation of water, J/kg. @source 2501 − 2.361 T kJ/kg (from memory) */
const latent_Jkg = (surface_C: number): number => (2501 - 2.361 * surface_C) * 1000;
/**
 * Wet-bulb temperatures at 1013.25 hPa, from memory of the psychrometric chart: air, humidity, wet bulb.
 */
const PUBLISHED = [
  [20, 0.5, 13.8],
  [25, 0.5, 17.9],
  [30, 0.4, 20.1],
  [35, 0.3, 21.7],
] as const;
const wetBulb_C = (air_C: number, humidity: number): number => {
  let [low, high] = [-20, air_C];
  for (let round = 0; round < 60; round += 1) {
    const middle = (low + high) / 2;
    // WMO ventilated psychrometer: p_v = p_sat(T_w) − 0.000653 (1 + 0.000944 T_w) P (T − T_w).
    const left = saturation_Pa(middle) - 0.000653 * (1 + 0.000944 * middle) * 101_325 * (air_C - middle);
    if (left < humidity * saturation_Pa(air_C)) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
};

describe('how fast does slip dry?', () => {
  it.each(PUBLISHED)('the wet bulb of %d °C at %d is %d °C', (air_C, humidity, wet_C) => {
    expect(Math.abs(wetBulb_C(air_C, humidity) - wet_C)).toBeLessThan(0.25);
  });
  it.each(PUBLISHED.map(([air_C, humidity]) => [air_C, humidity] as const))(
    'at its wet bulb, %d °C at %d, the heat from the air just carries the water off',
    (air_C, humidity) => {
      const surface_C = wetBulb_C(air_C, humidity);
      const draught_ms = 0.5;
      const closed_gm2min =
        (((4 + 4 * draught_ms) * (air_C - surface_C)) / latent_Jkg(surface_C)) * 1000 * 60;
      const { rate_gm2min } = openTime({ surface_C, air_C, humidity, draught_ms });
      expect(Math.abs(rate_gm2min.value / closed_gm2min - 1)).toBeLessThan(0.02);
    },
  );
  it('60 g/m² on glass of 20 °C in a still room of 20 °C at 50 %: between a half and one hour and a half, as 20 to 150 g/m² lie there', () => {
    const { least_min, likely_min, most_min } = openTime({
      surface_C: 20,
      air_C: 20,
      humidity: 0.5,
      draught_ms: 0,
    });
    expect(likely_min?.value).toBeGreaterThan(30);
    expect(likely_min?.value).toBeLessThan(90);
    expect((most_min ?? 0) / (least_min ?? 1)).toBeCloseTo(7.5, 9);
  });
  it('warmer glass, drier air and a draught dry it sooner, whatever the case', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 40, noNaN: true }),
        fc.double({ min: 0.2, max: 0.8, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (air_C, humidity, draught_ms) => {
          const rate = (more: object) =>
            openTime({ surface_C: air_C, air_C, humidity, draught_ms, ...more }).rate_gm2min.value;
          expect(rate({ surface_C: air_C + 5 })).toBeGreaterThan(rate({}));
          expect(rate({ humidity: humidity - 0.1 })).toBeGreaterThan(rate({}));
          expect(rate({ draught_ms: draught_ms + 1 })).toBeGreaterThan(rate({}));
        },
      ),
    );
  });
  it('glass at the dew point of the air does not dry, and no time is made up', () => {
    expect(openTime({ surface_C: 5, air_C: 20, humidity: 0.5, draught_ms: 0.2 })).toMatchObject({
      least_min: null,
      likely_min: null,
      most_min: null,
    });
  });
  it.each([
    [{ humidity: 1.2 }, 'humidity'],
    [{ surface_C: 900 }, 'surface_C'],
    [{ draught_ms: -1 }, 'draught_ms'],
  ])('%j cannot be', (more, path) => {
    expect(() => openTime({ surface_C: 20, air_C: 20, humidity: 0.5, draught_ms: 0, ...more })).toThrow(path);
  });
});

describe("what does a tap of 'wet again' teach?", () => {
  it('at first 60 g/m², 20 to 150; each tap draws the band in, and the mean to what was seen', () => {
    expect(waterOnIt([])).toMatchObject({ value: 60, least: 20, most: 150, basis: 'ours' });
    const after = taughtWater({ value: 60, n: null }, { rate_gm2min: 2, minutes: 45 });
    expect(after).toEqual({ value: 75, n: 1 });
    const kept = {
      key: 'water-film',
      word: '',
      unit: '',
      basis: 'measured',
      scope: null,
      sd: null,
      from: '',
    } as const;
    const band = waterOnIt([{ ...kept, value: 75, n: 3 }]);
    // Hand: 75 · (1/3)^(1/2) and 75 · 2.5^(1/2).
    expect(band.least).toBeCloseTo(43.3, 1);
    expect(band.most).toBeCloseTo(118.6, 1);
  });
  it('what cannot be is drawn to the ends of the band; where nothing leaves, nothing is learned', () => {
    expect(taughtWater({ value: 60, n: null }, { rate_gm2min: 2, minutes: 600 })?.value).toBe(105);
    expect(taughtWater({ value: 60, n: null }, { rate_gm2min: 2, minutes: 0.5 })?.value).toBe(40);
    expect(taughtWater({ value: 60, n: null }, { rate_gm2min: 0, minutes: 5 })).toBeUndefined();
    expect(taughtWater({ value: 60, n: null }, { rate_gm2min: 1, minutes: -5 })).toBeUndefined();
  });
  it('many taps of one and the same lead there, whatever was taken at first', () => {
    let known: { value: number; n: number | null } = { value: 60, n: null };
    for (let tap = 0; tap < 200; tap += 1)
      known = taughtWater(known, { rate_gm2min: 1, minutes: 100 }) ?? known;
    expect(Math.abs(known.value - 100)).toBeLessThan(0.5);
  });
});
