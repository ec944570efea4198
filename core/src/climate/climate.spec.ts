import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { WINDOW_CHECKS } from './fixtures/window-checks';
import { INCIDENCES, SUNS } from './fixtures/reference';
import {
  DEW_POINT,
  type Facing,
  bandOfEnd,
  bearingFromEnd,
  clearSky,
  cosIncidence,
  dewOn,
  directSun,
  refraction_deg,
  saturation_Pa,
  shadowOn,
  refuseWeather,
  skylineAt,
  sunOnSurface,
  sunPath,
  sunPosition,
  sunTrack,
  weatherAt,
} from './index';

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
    const { altitude_deg } = sunPosition(Date.parse('2003-10-17T19:30:30Z'), {
      latitude_deg: 39.742476,
      longitude_deg: -105.1786,
      altitude_m: 1830.14,
    });
    expect(Math.abs(90 - altitude_deg - refraction_deg(altitude_deg, 820, 11) - 50.11162)).toBeLessThan(
      0.005,
    );
  });
  it('angles of incidence on any plane (pvlib 0.16.1)', () => {
    for (const { tilt, facing, altitude, azimuth, cosine } of INCIDENCES)
      expect(cosIncidence({ azimuth_deg: azimuth, altitude_deg: altitude }, facing, tilt)).toBeCloseTo(
        cosine,
        12,
      );
  });
});

describe('how much sun is there, and where is shade?', () => {
  it('noon beam under a clear sky lies between 700 and 1000 W/m² at 60° and falls with the sun', () => {
    const high = clearSky(60, 172);
    expect(high.normal_Wm2).toBeGreaterThan(700);
    expect(high.normal_Wm2).toBeLessThan(1000);
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 88, noNaN: true }), (altitude) => {
        expect(clearSky(altitude + 1, 80).normal_Wm2).toBeGreaterThan(clearSky(altitude, 80).normal_Wm2);
      }),
    );
  });
  const pane = {
    width_mm: 1000,
    height_mm: 1000,
    overhangDepth_mm: 1000,
    overhangAbove_mm: 0,
    revealDepth_mm: 0,
  };
  it('an overhang 1 m deep over 1 m of glass: at 30° high and 60° aside tan 30/cos 60 = 1.1547 of it is in shade, so all (closed form)', () => {
    expect(shadowOn({ azimuth_deg: 60, altitude_deg: 30 }, 0, pane).head).toBe(1);
    expect(shadowOn({ azimuth_deg: 0, altitude_deg: 30 }, 0, pane).lit).toBeCloseTo(0.42264973081037427, 12);
  });
  it('a reveal of 0.5 m, sun 45° aside, shades half a metre from the side (closed form)', () => {
    expect(
      shadowOn({ azimuth_deg: 45, altitude_deg: 5 }, 0, { ...pane, overhangDepth_mm: 0, revealDepth_mm: 500 })
        .side,
    ).toBeCloseTo(0.5, 12);
  });
  it('the skyline is straight between its points and closes round the compass', () => {
    const ridge = [
      { bearing_deg: 350, elevation_deg: 10 },
      { bearing_deg: 10, elevation_deg: 20 },
      { bearing_deg: 180, elevation_deg: 0 },
    ];
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
    expect(
      Math.max(
        ...sunOnSurface(path, { ...facing, skyline: [{ bearing_deg: 0, elevation_deg: 30 }] }).map(
          ({ beam_Wm2 }) => beam_Wm2,
        ),
      ),
    ).toBe(0);
  });
  it('the polar night has no sun and the polar day no end', () => {
    const at = { latitude_deg: 78, longitude_deg: 15, altitude_m: 0 };
    const round = (month: number): number =>
      sunPath(at, 2026, month, 21).at.filter(({ sun }) => sun.altitude_deg > 0).length;
    expect(round(12)).toBe(0);
    expect(round(6)).toBe(24);
  });
});

describe('when does glass sweat?', () => {
  it.each([
    [20, 0.5, 9.3, 0.1],
    [5, 0.8, 1.8413263493739584, 0.08],
    [15, 0.35, -0.2861371532355626, 0.08],
  ])(
    'air of %d °C and %d: dew point %d °C (psychrolib 1.1.1 / common tables)',
    (air_C, humidity, expected, within) => {
      expect(Math.abs(DEW_POINT.of({ air_C, humidity }) - expected)).toBeLessThan(within);
    },
  );
  it.each([
    [10, 1228],
    [20, 2339],
    [25, 3169],
    [30, 4247],
  ])(
    'saturated vapour at %d °C presses with %d Pa (steam tables, to one part in a thousand)',
    (air_C, pressure_Pa) => {
      expect(Math.abs(saturation_Pa(air_C) - pressure_Pa)).toBeLessThan(0.001 * pressure_Pa);
    },
  );
  it('colder than dew is wet, near it is near', () => {
    expect([dewOn(15, 9), dewOn(11, 9), dewOn(8, 9), dewOn(-1, 2)]).toEqual(['dry', 'near', 'wet', 'frost']);
  });
});

describe('when does the sun shine on a surface?', () => {
  const DAY = 86_400_000;
  const facing = (bearing_deg: number, more: Partial<Facing> = {}): Facing => ({
    bearing_deg,
    tilt_deg: 90,
    skyline: [],
    shading: null,
    ...more,
  });
  const place = (
    latitude_deg: number,
    longitude_deg: number,
  ): { latitude_deg: number; longitude_deg: number; altitude_m: number } => ({
    latitude_deg,
    longitude_deg,
    altitude_m: 0,
  });
  const level = (elevation_deg: number): Facing['skyline'] => [
    { bearing_deg: 0, elevation_deg },
    { bearing_deg: 180, elevation_deg },
  ];

  it('the track between hours stays within 0.0005° of the sun itself', () => {
    const from = Date.UTC(2026, 2, 1);
    const track = sunTrack(place(46.62, 9.74), from, from + 30 * DAY);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 30 * DAY, noNaN: true }), (after) => {
        expect(
          Math.abs(
            track.at(from + after).altitude_deg - sunPosition(from + after, place(46.62, 9.74)).altitude_deg,
          ),
        ).toBeLessThan(0.0005);
      }),
    );
  });

  it.each(WINDOW_CHECKS.filter(({ id }) => id.startsWith('win.') && !id.endsWith('none')))(
    '$id: to 12 s of an independent library (SPA as pvlib has it, halving)',
    ({ id, inputs, expected, goal }) => {
      const { lat, lon, day, wallAz, altmin } = inputs as {
        readonly lat: number;
        readonly lon: number;
        readonly day: string;
        readonly wallAz: number;
        readonly altmin: number;
      };
      const from = Date.parse(`${day}T00:00Z`);
      const spans = directSun(
        sunTrack(place(lat, lon), from - DAY, from + 2 * DAY),
        facing(wallAz, { skyline: altmin === 0 ? [] : level(altmin) }),
        'centre',
      );
      const found = spans.map((span) => ((id.endsWith('start') ? span.from_ms : span.to_ms) - from) / 60_000);
      expect(Math.min(...found.map((own) => Math.abs(own - expected)))).toBeLessThanOrEqual(goal);
    },
  );

  it('a deep overhang takes all sun of midsummer off a south front', () => {
    const from = Date.UTC(2026, 5, 21);
    const shading = {
      width_mm: 1000,
      height_mm: 1000,
      overhangDepth_mm: 1000,
      overhangAbove_mm: 0,
      revealDepth_mm: 0,
    };
    expect(
      directSun(sunTrack(place(51.5, -0.12), from, from + DAY), facing(180, { shading }), 'centre').reduce(
        (sum, span) => sum + span.to_ms - span.from_ms,
        0,
      ),
    ).toBeLessThan(
      directSun(sunTrack(place(51.5, -0.12), from, from + DAY), facing(180), 'centre').reduce(
        (sum, span) => sum + span.to_ms - span.from_ms,
        0,
      ),
    );
  });

  it('polar night has none, polar day shines all round on the four sides of a house', () => {
    const night = Date.UTC(2026, 11, 21);
    expect(directSun(sunTrack(place(78, 15), night, night + DAY), facing(180), 'seen')).toEqual([]);
    const noon = Date.UTC(2026, 5, 21);
    const track = sunTrack(place(78, 15), noon, noon + DAY);
    const minutes =
      [0, 90, 180, 270]
        .flatMap((bearing) => directSun(track, facing(bearing), 'centre'))
        .reduce((sum, span) => sum + span.to_ms - span.from_ms, 0) / 60_000;
    expect(minutes).toBeCloseTo(2 * 1440, -1);
  });

  it('as it is seen, lifted by the air and with its whole disc, it stays longer than its centre', () => {
    const from = Date.UTC(2026, 8, 22);
    const track = sunTrack(place(46.62, 9.74), from, from + DAY);
    const [centre] = directSun(track, facing(225), 'centre');
    const [seen] = directSun(track, facing(225), 'seen');
    expect(seen?.from_ms).toBeLessThan(centre?.from_ms ?? 0);
    expect(((seen?.to_ms ?? 0) - (centre?.to_ms ?? 0)) / 60_000).toBeGreaterThan(4);
  });

  it('any facing: what is found minute by minute agrees with asking the sun each minute', () => {
    const from = Date.UTC(2026, 10, 25);
    const track = sunTrack(place(46.62, 9.74), from, from + DAY);
    const ridge = [
      [135, 14],
      [170, 11],
      [200, 9],
      [225, 7],
      [250, 12],
      [280, 18],
      [315, 22],
    ].map(([bearing_deg = 0, elevation_deg = 0]) => ({ bearing_deg, elevation_deg }));
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 359 }),
        fc.integer({ min: 10, max: 170 }),
        fc.boolean(),
        fc.integer({ min: 0, max: 1439 }),
        (bearing, tilt_deg, hasRidge, minute) => {
          const own = facing(bearing, { tilt_deg, skyline: hasRidge ? ridge : [] });
          const at = from + minute * 60_000;
          const sun = track.at(at);
          const margin = Math.min(
            cosIncidence(sun, bearing, tilt_deg) * 60,
            sun.altitude_deg - skylineAt(own.skyline, sun.azimuth_deg),
          );
          if (Math.abs(margin) < 0.01) return;
          expect(directSun(track, own, 'centre').some((span) => span.from_ms <= at && at < span.to_ms)).toBe(
            margin > 0,
          );
        },
      ),
      { numRuns: 200 },
    );
  });

  it('behind overhang, reveal and fins and over a ridge no minute of sun is missed or made up, be it the only one of the day', () => {
    const ridge = [
      [135, 14],
      [170, 11],
      [200, 9],
      [225, 7],
      [250, 12],
      [280, 18],
      [315, 22],
    ].map(([bearing_deg = 0, elevation_deg = 0]) => ({ bearing_deg, elevation_deg }));
    const depth = fc.integer({ min: 0, max: 1600 });
    const fin = fc.option(
      fc.record({ depth_mm: fc.integer({ min: 50, max: 900 }), beside_mm: fc.integer({ min: 0, max: 300 }) }),
      { nil: undefined },
    );
    const shade = fc.record({
      width_mm: fc.integer({ min: 300, max: 2500 }),
      height_mm: fc.integer({ min: 300, max: 2500 }),
      overhangDepth_mm: depth,
      overhangAbove_mm: fc.integer({ min: 0, max: 400 }),
      revealDepth_mm: fc.integer({ min: 0, max: 400 }),
      leftFin: fin,
      rightFin: fin,
    });
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 359 }),
        shade,
        fc.boolean(),
        fc.integer({ min: -60, max: 60 }),
        fc.integer({ min: 0, max: 364 }),
        (bearing, shading, hasRidge, latitude, day) => {
          const from = Date.UTC(2026, 0, 1) + day * DAY;
          const track = sunTrack(place(latitude, 9.74), from, from + DAY);
          const own = facing(bearing, { skyline: hasRidge ? ridge : [], shading });
          const spans = directSun(track, own, 'centre');
          const wrong: number[] = [];
          for (let at = from; at < from + DAY; at += 60_000) {
            const sun = track.at(at);
            const [front, over] = [
              cosIncidence(sun, bearing, 90),
              sun.altitude_deg - skylineAt(own.skyline, sun.azimuth_deg),
            ];
            const lit = shadowOn(sun, bearing, shading).lit - 0.005;
            if (Math.abs(front) < 1e-3 || Math.abs(over) < 0.02 || Math.abs(lit) < 2e-3) continue;
            if (
              spans.some((span) => span.from_ms <= at && at < span.to_ms) !==
              (front > 0 && over > 0 && lit > 0)
            )
              wrong.push(at);
          }
          expect(wrong).toEqual([]);
        },
      ),
      { numRuns: 120 },
    );
  });

  it('one degree of doubt about a south-west front is about four minutes', () => {
    const from = Date.UTC(2026, 2, 20);
    const track = sunTrack(place(46.62, 9.74), from, from + DAY);
    const [span] = directSun(track, facing(225), 'seen');
    const band = bandOfEnd(track, facing(225), span?.from_ms ?? 0, 1);
    expect((band.to_ms - band.from_ms) / 2 / 60_000).toBeGreaterThan(2);
    expect((band.to_ms - band.from_ms) / 2 / 60_000).toBeLessThan(6);
  });

  it('refuses a bearing over 360 by name', () => {
    expect(() => directSun(sunTrack(place(0, 0), 0, DAY), facing(400), 'seen')).toThrow(/bearing_deg/);
  });
});

describe('can the forecast be believed?', () => {
  const hour = (
    at: number,
    more: Partial<Parameters<typeof refuseWeather>[0][number]> = {},
  ): Parameters<typeof refuseWeather>[0][number] => ({
    instant_ms: at * 3_600_000,
    air_C: 10,
    humidity: 0.6,
    cloud: 0.5,
    wind_ms: 2,
    rain_mm: 0,
    ...more,
  });
  it('reads straight between hours, and says nothing beyond its end', () => {
    const hours = [hour(0), hour(1, { air_C: 14 })];
    expect(weatherAt(hours, 1_800_000)?.air_C).toBe(12);
    expect(weatherAt(hours, 3 * 3_600_000)).toBeUndefined();
  });
  it.each([
    [[hour(0, { air_C: 99 })], /air_C/],
    [[hour(0), hour(2)], /instant_ms/],
    [[hour(0), hour(1, { air_C: 45 })], /air_C/],
    [[hour(0, { humidity: Number.NaN })], /humidity/],
    [[], /hours/],
  ])('refuses what cannot be: %#', (hours, field) => {
    expect(() => {
      refuseWeather(hours);
    }).toThrow(field);
  });
});

describe('the sun has just left: what does that say of the bearing?', () => {
  const DAY = 86_400_000;
  const from = Date.UTC(2026, 10, 24);
  const track = sunTrack({ latitude_deg: 46.62, longitude_deg: 9.74, altitude_m: 1180 }, from, from + DAY);
  const front = (bearing_deg: number): Facing => ({ bearing_deg, tilt_deg: 90, skyline: [], shading: null });

  it('from the moment it comes round the corner of the house the true bearing is found again, wherever the compass stood within 20°', () => {
    const found = (bearing: number, off: number, end: 'comes' | 'goes'): void => {
      const [span] = directSun(track, front(bearing), 'seen');
      const moment = (end === 'comes' ? span?.from_ms : span?.to_ms) ?? 0;
      expect(
        Math.abs((bearingFromEnd(track, front(bearing + off), end, moment)?.bearing_deg ?? 0) - bearing),
      ).toBeLessThan(0.05);
    };
    const off = fc.double({ min: -20, max: 20, noNaN: true });
    fc.assert(
      fc.property(fc.double({ min: 225, max: 300, noNaN: true }), off, (bearing, by) => {
        found(bearing, by, 'comes');
      }),
      { numRuns: 30 },
    );
    fc.assert(
      fc.property(fc.double({ min: 60, max: 135, noNaN: true }), off, (bearing, by) => {
        found(bearing, by, 'goes');
      }),
      { numRuns: 30 },
    );
  });
  it('on the south-west front a degree is about five minutes in late November, so a minute seen is a fifth of a degree', () => {
    const [span] = directSun(track, front(225), 'seen');
    const found = bearingFromEnd(track, front(230), 'comes', span?.from_ms ?? 0);
    expect(found?.bearing_deg).toBeCloseTo(225, 1);
    expect(found?.minutesPerDegree).toBeGreaterThan(3);
    expect(found?.minutesPerDegree).toBeLessThan(7);
  });
  it('sunset over an open plain says nothing of the bearing, and an hour in the night neither', () => {
    const [span] = directSun(track, front(225), 'seen');
    expect(bearingFromEnd(track, front(225), 'goes', span?.to_ms ?? 0)).toBeNull();
    expect(bearingFromEnd(track, front(225), 'comes', from + 3_600_000)).toBeNull();
  });
});
