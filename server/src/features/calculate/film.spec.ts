import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import request from 'supertest';
import { type TestApp, testApp } from '../../testing/test-app';

let server: TestApp;
beforeAll(async () => {
  server = await testApp();
});
afterAll(async () => {
  await server.close();
});

const ask = (question: string, body: object) =>
  request(server.app).post(`/api/calculate/${question}`).send(body);
const PANE = { tint: 'clear', thickness_mm: 6 };
const DOUBLE = { panes: [PANE, PANE], gaps: [{ width_mm: 16, gas: { air: 1 } }] };
const SHEET = {
  referenceGlass: '3 mm clear',
  visibleTransmitted: 0.35,
  visibleReflectedOutside: 0.09,
  solarTransmitted: 0.4,
  solarReflected: 0.1,
};

describe('is what cannot be refused by name, on every route?', () => {
  const STRESS = {
    panes: [{ ...PANE, treatment: 'annealed' }],
    width_mm: 1000,
    height_mm: 1200,
    place: { latitude_deg: 47, longitude_deg: 9 },
    bearing_deg: 180,
  };
  const PRIVACY = { transmitted: 0.3, reflectedOutside: 0.1, reflectedRoom: 0.1 };
  const DARK = { near_cdm2: 0, far_cdm2: 0, far_lux: 0, near_lux: 0 };
  it.each([
    [
      'thermal-stress',
      'a cold day hotter than the hot one',
      { ...STRESS, cold_C: [30, 40], hot_C: [10, 20] },
      'cold_C',
    ],
    [
      'thermal-stress',
      'a hot day colder than the customary cold one',
      { ...STRESS, hot_C: [-40, -30] },
      'hot_C',
    ],
    ['thermal-stress', 'a day whose lowest is over its highest', { ...STRESS, hot_C: [30, 20] }, 'hot_C'],
    [
      'thermal-stress',
      'an edge deeper than the pane',
      { ...STRESS, width_mm: 150, edgeDepth_mm: 180 },
      'edgeDepth_mm',
    ],
    ['privacy', 'T + R = 1.5', { ...PRIVACY, transmitted: 0.9, reflectedOutside: 0.6 }, 'reflectedOutside'],
    ['privacy', 'more than all of the light', { ...PRIVACY, transmitted: 1.2 }, 'transmitted'],
    ['privacy', 'a scene without any light', { ...PRIVACY, scene: DARK }, 'scene'],
  ])('%s: %s', async (question, _what, body, path) => {
    const refused = (await ask(question, body).expect(422)).body as { path: string; detail: string };
    expect(refused.path).toBe(path);
    expect(refused.detail).toContain(path);
    expect(refused.detail.match(/expected/g)).toHaveLength(1);
  });
  it('what is possible is answered', async () => {
    await ask('thermal-stress', { ...STRESS, cold_C: [-20, -5], hot_C: [20, 35], edgeDepth_mm: 12 }).expect(
      200,
    );
    await ask('privacy', { ...PRIVACY, scene: { ...DARK, far_cdm2: 100 } }).expect(200);
  });
});

describe('what does a glazing do, asked over the wire?', () => {
  it('double clear: U 2.7, solar heat gain 0.70, light 0.78, each with its steps', async () => {
    const { body } = (await ask('glazing', DOUBLE).expect(200)) as {
      body: {
        uValue: { value: number; why: object[] };
        solarHeatGain: { value: number };
        optics: { byBand: { visible: { transmitted: number; absorbed: number[] } } };
      };
    };
    expect(body.uValue.value).toBeCloseTo(2.69, 1);
    expect(body.solarHeatGain.value).toBeCloseTo(0.7, 1);
    expect(body.optics.byBand.visible.transmitted).toBeCloseTo(0.78, 2);
    expect(body.optics.byBand.visible.absorbed).toHaveLength(2);
    expect(body.uValue.why.length).toBeGreaterThan(0);
  });
  it("a film by its spectrum, and conditions of one's own", async () => {
    const spectrum = Array.from({ length: 221 }, (_, index) => ({
      nm: 300 + index * 10,
      transmitted: 0.4,
      reflectedFront: 0.1,
      reflectedBack: 0.1,
    }));
    const { body } = (await ask('glazing', {
      ...DOUBLE,
      films: [{ face: 4, film: { referenceGlass: '3 mm clear', spectrum } }],
      conditions: { outdoor_C: 0, indoor_C: 20, outdoor_Wm2K: 8, sun_Wm2: 750 },
    }).expect(200)) as { body: { asked: { panes_C: number[] }; assumed: string[] } };
    expect(body.asked.panes_C[1]).toBeGreaterThan(35);
    expect(body.assumed.join()).toContain('emissivity');
  });
  it('a sheet without its sun figures: unknown, and which', async () => {
    expect(
      (
        await ask('glazing', {
          ...DOUBLE,
          films: [{ face: 4, film: { ...SHEET, solarTransmitted: null } }],
        }).expect(200)
      ).body,
    ).toEqual({ state: 'unknown', missing: ['sun kept'] });
  });
  it.each([
    ['12 panes', { panes: Array.from({ length: 12 }, () => PANE), gaps: [] }, 'GLAZING_PANES'],
    ['thickness 0', { ...DOUBLE, panes: [PANE, { ...PANE, thickness_mm: 0 }] }, 'GLAZING_THICKNESS'],
    ['film between panes', { ...DOUBLE, films: [{ face: 2, film: SHEET }] }, 'GLAZING_FACE'],
    [
      'emissivity 2',
      { ...DOUBLE, films: [{ face: 4, film: { ...SHEET, emissivity: 2 } }] },
      'GLAZING_SHARES',
    ],
    [
      'T + R over 1',
      {
        ...DOUBLE,
        films: [{ face: 4, film: { ...SHEET, visibleTransmitted: 0.95, visibleReflectedOutside: 0.3 } }],
      },
      'GLAZING_SHARES',
    ],
    [
      'a spectrum with a hole',
      {
        ...DOUBLE,
        films: [
          {
            face: 4,
            film: {
              ...SHEET,
              spectrum: [
                { nm: 300, transmitted: 0.1, reflectedFront: 0.1, reflectedBack: 0.1 },
                { nm: 2500, transmitted: 0.1, reflectedFront: 0.1, reflectedBack: 0.1 },
              ],
            },
          },
        ],
      },
      'GLAZING_SPECTRUM',
    ],
    ['text for a thickness', { ...DOUBLE, panes: [{ ...PANE, thickness_mm: 'six' }] }, 'BODY_INVALID'],
  ])('%s is refused by name', async (_name, body, code) => {
    expect((await ask('glazing', body).expect(422)).body).toMatchObject({
      code,
      detail: expect.stringMatching(/expected/),
    });
  });
});

describe('may this glass crack, asked over the wire?', () => {
  const CASE = {
    ...DOUBLE,
    panes: [
      { ...PANE, treatment: 'annealed' },
      { ...PANE, treatment: 'annealed' },
    ],
    frame: 'metal',
    width_mm: 1180,
    height_mm: 2140,
    place: { latitude_deg: 46.62, longitude_deg: 9.74, altitude_m: 1180 },
    bearing_deg: 225,
    shading: { overhangDepth_mm: 1200, overhangAbove_mm: 400, revealDepth_mm: 0 },
    films: [{ face: 4, film: SHEET }],
  };
  it('a dark film inside annealed double glazing: stop, tension and steps', async () => {
    expect((await ask('thermal-stress', CASE).expect(200)).body).toMatchObject({
      verdict: 'stop',
      panes: expect.arrayContaining([
        expect.objectContaining({
          why: expect.arrayContaining([expect.objectContaining({ formula: 'stress.edge' })]),
        }),
      ]),
    });
  });
  it('cracked: stop; unknown glass: unknown; bearing missing: named', async () => {
    expect((await ask('thermal-stress', { ...CASE, condition: 'cracked' }).expect(200)).body).toMatchObject({
      verdict: 'stop',
    });
    expect(
      (
        await ask('thermal-stress', {
          ...CASE,
          panes: [
            { ...PANE, treatment: 'unknown' },
            { ...PANE, treatment: 'annealed' },
          ],
        }).expect(200)
      ).body,
    ).toMatchObject({ verdict: 'unknown' });
    expect((await ask('thermal-stress', { ...CASE, bearing_deg: null }).expect(422)).body).toMatchObject({
      code: 'STRESS_CASE',
      path: 'bearing_deg',
    });
  });
});

describe('who is seen, asked over the wire?', () => {
  it('a mirror film hides by day and shows at night', async () => {
    expect(
      (await ask('privacy', { transmitted: 0.15, reflectedOutside: 0.55, reflectedRoom: 0.45 }).expect(200))
        .body,
    ).toMatchObject({ brightIn: { class: 'hidden' }, nightIn: { class: 'open' } });
  });
  it('a haze of 2 is refused by name', async () => {
    expect(
      (
        await ask('privacy', { transmitted: 0.5, reflectedOutside: 0.1, reflectedRoom: 0.1, haze: 2 }).expect(
          422,
        )
      ).body,
    ).toMatchObject({ code: 'PRIVACY_SCENE', path: 'haze' });
  });
});
