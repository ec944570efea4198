import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { INCIDENCES, SUNS } from './fixtures/reference';
import { DEW_POINT, clearSky, cosIncidence, dewOn, refraction_deg, saturation_Pa, shadowOn, skylineAt, sunOnSurface, sunPath, sunPosition } from './index';

const rad = (deg: number): number => (deg * Math.PI) / 180;

describe('where does the sun stand?', () => {
  it('sixty places and years: within 0.005° of the SPA as an independent library has it (pvlib 0.16.1)', () => {
    for (const { utc, lat, lon, altitude, azimuth } of SUNS) {
      const at = sunPosition(Date.parse(utc), { latitude_deg: lat, longitude_deg: lon, altitude_m: 0 });
      expect(Math.abs(at.altitude_deg - altitude)).toBeLessThan(0.005);
      const turn = ((at.azimuth_deg - azimuth + 540) % 360) - 180;
      expect(Math.abs(turn * Math.cos(rad(altitude)))).toBeLessThan(0.005);
    }
  });
  it('the example of the SPA report: zenith 50.11162° at 39.742476 N, 105.1786 W, 2003-10-17 12:30:30 (NREL/TP-560-34302)', () => {
    const { altitude_deg } = sunPosition(Date.parse('2003-10-17T19:30:30Z'), { latitude_deg: 39.742476, longitude_deg: -105.1786, altitude_m: 1830.14 });
    expect(Math.abs(90 - altitude_deg - refraction_deg(altitude_deg, 820, 11) - 50.11162)).toBeLessThan(0.005);
  });
  it('angles of incidence on any plane (pvlib 0.16.1)', () => {
    for (const { tilt, facing, altitude, azimuth, cosine } of INCIDENCES) expect(cosIncidence({ azimuth_deg: azimuth, altitude_deg: altitude }, facing, tilt)).toBeCloseTo(cosine, 12);
  });
});

describe('how much sun is there, and where is shade?', () => {
  it('noon beam under a clear sky lies between 700 and 1000 W/m² at 60° and falls with the sun', () => {
    const high = clearSky(60, 172);
    expect(high.normal_Wm2).toBeGreaterThan(700);
    expect(high.normal_Wm2).toBeLessThan(1000);
    fc.assert(fc.property(fc.double({ min: 0.5, max: 88, noNaN: true }), (altitude) => { expect(clearSky(altitude + 1, 80).normal_Wm2).toBeGreaterThan(clearSky(altitude, 80).normal_Wm2); }));
  });
  const pane = { width_mm: 1000, height_mm: 1000, overhangDepth_mm: 1000, overhangAbove_mm: 0, revealDepth_mm: 0 };
  it('an overhang 1 m deep over 1 m of glass: at 30° high and 60° aside tan 30/cos 60 = 1.1547 of it is in shade, so all (closed form)', () => {
    expect(shadowOn({ azimuth_deg: 60, altitude_deg: 30 }, 0, pane).head).toBe(1);
    expect(shadowOn({ azimuth_deg: 0, altitude_deg: 30 }, 0, pane).lit).toBeCloseTo(0.42264973081037427, 12);
  });
  it('a reveal of 0.5 m, sun 45° aside, shades half a metre from the side (closed form)', () => { expect(shadowOn({ azimuth_deg: 45, altitude_deg: 5 }, 0, { ...pane, overhangDepth_mm: 0, revealDepth_mm: 500 }).side).toBeCloseTo(0.5, 12); });
  it('the skyline is straight between its points and closes round the compass', () => {
    const ridge = [{ bearing_deg: 350, elevation_deg: 10 }, { bearing_deg: 10, elevation_deg: 20 }, { bearing_deg: 180, elevation_deg: 0 }];
    expect(skylineAt(ridge, 0)).toBeCloseTo(15, 12);
    expect(skylineAt(ridge, 95)).toBeCloseTo(10, 12);
    expect(skylineAt([], 95)).toBe(0);
  });
  it('a south-west front in November has the sun after noon, and a skyline of 30° takes it away', () => {
    const path = sunPath({ latitude_deg: 46.62, longitude_deg: 9.74, altitude_m: 1180 }, 2026, 11, 24);
    const facing = { bearing_deg: 225, tilt_deg: 90, skyline: [], shading: null };
    const beam = sunOnSurface(path, facing).map(({ beam_Wm2 }) => beam_Wm2);
    expect(beam.findIndex((watts) => watts > 50)).toBeGreaterThanOrEqual(9);
    expect(beam.indexOf(Math.max(...beam))).toBeGreaterThanOrEqual(12);
    expect(Math.max(...sunOnSurface(path, { ...facing, skyline: [{ bearing_deg: 0, elevation_deg: 30 }] }).map(({ beam_Wm2 }) => beam_Wm2))).toBe(0);
  });
  it('the polar night has no sun and the polar day no end', () => {
    const at = { latitude_deg: 78, longitude_deg: 15, altitude_m: 0 };
    const round = (month: number): number => sunPath(at, 2026, month, 21).at.filter(({ sun }) => sun.altitude_deg > 0).length;
    expect(round(12)).toBe(0);
    expect(round(6)).toBe(24);
  });
});

describe('when does glass sweat?', () => {
  it.each([[20, 0.5, 9.3, 0.1], [5, 0.8, 1.8413263493739584, 0.08], [15, 0.35, -0.2861371532355626, 0.08]])('air of %d °C and %d: dew point %d °C (psychrolib 1.1.1 / common tables)', (air_C, humidity, expected, within) => {
    expect(Math.abs(DEW_POINT.of({ air_C, humidity }) - expected)).toBeLessThan(within);
  });
  it('saturation at 20 °C is 2339 Pa within 0.3 %, which the Magnus form is good for (common steam tables); colder than dew is wet, near it is near', () => {
    expect(Math.abs(saturation_Pa(20) - 2339)).toBeLessThan(0.003 * 2339);
    expect([dewOn(15, 9), dewOn(11, 9), dewOn(8, 9), dewOn(-1, 2)]).toEqual(['dry', 'near', 'wet', 'frost']);
  });
});
