import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { WeatherHour } from '../../climate';
import {
  type ClimateMonth,
  type Film,
  MATERIAL_NOT_STATED,
  NEW_PANE,
  NEW_PLACE,
  NEW_SURFACE,
  NO_SITE_FACTS,
  type RowOf,
} from '../../job';
import type { MayKey } from '../../waiting';
import { type Sky, NO_SKY, filmDates } from './film-dates';
import { EMPTY_SHOP, type JobRows, jobRows } from '../view/job-rows';
import { JobView } from '../view/job-view';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const LAID = Date.UTC(2026, 10, 25, 12);
const row = <Own>(own: object): Own => own as Own;
const film = (more: Partial<Film> = {}) =>
  ({
    ...{ ...MATERIAL_NOT_STATED, id: 'film', name: 'calm', family: 'solar', thickness_um: 50 },
    ...{ visibleT: 0.5, visibleR: 0.1, solarT: 0.4, solarR: 0.15, emissivity: 0.84, uv: 0.01 },
    construction: 'polyester',
    ...more,
  }) as unknown as Film & { readonly id: string };
const APPLICATION = row<RowOf<'application'>>({
  ...{ schools: {}, id: 'a', surfaceId: 's', side: 'room', filmId: 'film' },
  ...{ method: 'trim in place', over: null, position: 1 },
});
const month = (more: Partial<ClimateMonth> = {}): ClimateMonth => ({
  ...{ air_C: 10, swing_K: 8, humidity: 0.7, sun: 0.5 },
  ...more,
});
const year = (at: (month: number) => Partial<ClimateMonth> = () => ({})) =>
  Array.from({ length: 12 }, (_, index) => month(at(index)));
const place = (more: object = {}) =>
  row<RowOf<'place'>>({
    ...{ ...NEW_PLACE, id: 'p', name: 'Front', kind: 'facade', position: 1 },
    ...{ latitude_deg: 47, longitude_deg: 8, altitude_m: 400, bearing_deg: 180 },
    ...more,
  });
function viewOf(rows: Partial<JobRows> = {}, films = [film()]): JobView {
  const pane = (position: number) =>
    row<RowOf<'glassPane'>>({
      ...{ ...NEW_PANE, id: `g${position}`, unitId: 'u', thickness_nm: 4_000_000, position },
    });
  return new JobView(
    jobRows({
      place: [place()],
      glassUnit: [
        row({
          id: 'u',
          name: 'single',
          glazing: 'single',
          frame: 'wood',
          edge: 'gasket',
          edgeFinish: 'unseen',
        }),
      ],
      glassPane: [pane(1)],
      surface: [row({ ...NEW_SURFACE, id: 's', placeId: 'p', unitId: 'u', tag: 'W1', position: 1 })],
      siteFacts: [row({ ...NO_SITE_FACTS, id: 'f', surfaceId: 's' })],
      application: [APPLICATION],
      ...rows,
    }),
    { ...EMPTY_SHOP, films },
  );
}
const hours = (count: number, more: (hour: number) => Partial<WeatherHour> = () => ({})) =>
  Array.from({ length: count }, (_, hour): WeatherHour => ({
    ...{ instant_ms: LAID + hour * HOUR, air_C: 10, humidity: 0.7, cloud: 1, wind_ms: 1, rain_mm: 0 },
    ...more(hour),
  }));
const datesOf = (view: JobView, sky: Sky = NO_SKY, laid = LAID) => {
  const own = filmDates(view, APPLICATION, laid, sky);
  if (own === undefined) throw new Error('no dates');
  return own;
};
const may = (own: ReturnType<typeof datesOf>, key: MayKey) => own.may.find((each) => each.key === key);
const evenOf = (own: ReturnType<typeof datesOf>) =>
  own.clear?.why.find(({ formula }) => formula === 'waiting.evenDrying')?.value;

describe('what is known of the glass decides on what the dates rest', () => {
  it('neither forecast nor climate: nothing is calculated, and the forecast is what is missing', () => {
    const own = datesOf(viewOf());
    expect(own).toMatchObject({ from: 'nothing', clear: undefined, unknown: ['the forecast'] });
    expect(may(own, 'judge for good')).toMatchObject({ from_days: 30, noDay: null });
  });
  it('without the bearing or the glass nothing can be said of its temperature, and what is missing is named', () => {
    const unturned = datesOf(viewOf({ place: [place({ bearing_deg: null, climate: year() })] }));
    expect(unturned).toMatchObject({ from: 'nothing', unknown: ['the bearing of the surface'] });
    const unglazed = datesOf(viewOf({ place: [place({ climate: year() })], glassPane: [], glassUnit: [] }));
    expect(unglazed.unknown).toContain('how the glass is made up');
  });
  it('a forecast of the days after it, without a climate: they go on like that', () => {
    const own = datesOf(viewOf(), { ...NO_SKY, weather: hours(72) });
    expect(own.from).toBe('forecast');
    expect(own.clear?.likely).toBeGreaterThan(0);
  });
  it('less than a day of it: all that is known stands for the days to come', () => {
    const weather = hours(48, (hour) => ({ air_C: hour < 40 ? 10 : -5 }));
    const [late, all] = [LAID + 40 * HOUR, LAID].map((laid) =>
      datesOf(viewOf(), { ...NO_SKY, weather }, laid),
    );
    expect(late?.clear?.likely).toBe(all?.clear?.likely);
  });
  it('hours count from the laying on: a warm day before it dries nothing', () => {
    const weather = hours(96, (hour) => ({ air_C: hour < 48 ? 30 : 12 }));
    const later = datesOf(viewOf(), { ...NO_SKY, weather }, LAID + 48 * HOUR);
    const cold = datesOf(viewOf(), { ...NO_SKY, weather: weather.slice(48) }, LAID + 48 * HOUR);
    expect(evenOf(later)).toBeCloseTo(evenOf(cold) ?? 0, 3);
  });
  it('a film of which nobody knows what lets vapour through goes by what its family is made of', () => {
    const open = film({ construction: null, permeability_gmm: null, vapourRate_gm2day: null });
    const own = datesOf(viewOf({}, [open]), { ...NO_SKY, weather: hours(72) });
    expect(own.clear?.likely).toBeGreaterThan(0);
    expect(own.clear?.why.some(({ formula }) => formula === 'waiting.vapourThrough')).toBe(true);
  });
  it('a film nobody knows has no dates', () => {
    expect(filmDates(viewOf({}, []), APPLICATION, LAID, NO_SKY)).toBeUndefined();
  });
});

describe('how long does it dry through forecast and climate?', () => {
  it('where no sun and no outdoors comes, by the closed form: water × thickness ÷ (permeability × drop)', () => {
    const hall = viewOf({
      surface: [
        row({
          ...NEW_SURFACE,
          id: 's',
          placeId: 'p',
          unitId: 'u',
          tag: 'P1',
          seenFrom: 'side A',
          position: 1,
        }),
      ],
    });
    const own = datesOf(hall, { ...NO_SKY, indoor: { air_C: 20, humidity: 0.5 } });
    expect(own.from).toBe('room');
    expect(evenOf(own)).toBeCloseTo((10 * 0.05) / (0.09 * 0.5 * 2.339), 1);
  });
  it('a week of forecast, then the months: warmer months later, an earlier day', () => {
    const at = (air_C: number) =>
      datesOf(viewOf({ place: [place({ climate: year(() => ({ air_C })) })] }), {
        ...NO_SKY,
        weather: hours(168),
      });
    expect(at(18).from).toBe('forecast, then climate');
    expect(at(18).clear?.likely ?? Infinity).toBeLessThan(at(14).clear?.likely ?? 0);
  });
  it('single glass in a cold winter stands at the dew point: not this season, and it goes on in the month that is warm enough', () => {
    const climate = year((index) => (index >= 3 && index <= 9 ? { air_C: 14 } : { air_C: -8, sun: 0.1 }));
    const own = datesOf(viewOf({ place: [place({ climate, bearing_deg: 0 })] }), {
      ...NO_SKY,
      indoor: { air_C: 20, humidity: 0.6 },
    });
    expect(own.clear).toMatchObject({ never: 'not this season', likely: null, goesOnMonth: 3 });
    for (const key of ['wash', 'judge for good', 'sealant back'] as const)
      expect(may(own, key)).toMatchObject({ from_days: null, noDay: 'not this season' });
  });
  it('all year at the dew point it never dries, and no month is named', () => {
    const own = datesOf(viewOf({ place: [place({ climate: year(() => ({ air_C: -10, sun: 0 })) })] }), {
      ...NO_SKY,
      indoor: { air_C: 20, humidity: 0.8 },
    });
    expect(own.clear).toMatchObject({ never: 'glass near the dew point', goesOnMonth: null });
  });
  it('laid a while ago: the months until the forecast begins, the forecast, and the months after it', () => {
    const view = viewOf({ place: [place({ climate: year() })] });
    const own = datesOf(view, { ...NO_SKY, weather: hours(168) }, LAID - 20 * DAY);
    expect(own.course.slice(0, 3).map(({ month: of }) => of)).toEqual([10, null, null]);
    expect(own.course[0]?.days).toBeCloseTo(20, 9);
    expect(own.course.at(-1)?.month).toBe(11);
  });
  it('never NaN, never a date before it was laid, whatever the climate', () => {
    const months = fc.array(
      fc.record({
        air_C: fc.double({ min: -60, max: 50, noNaN: true }),
        swing_K: fc.double({ min: 0, max: 40, noNaN: true }),
        humidity: fc.double({ min: 0.01, max: 1, noNaN: true }),
        sun: fc.double({ min: 0, max: 1, noNaN: true }),
      }),
      { minLength: 12, maxLength: 12 },
    );
    fc.assert(
      fc.property(months, (climate) => {
        const own = datesOf(viewOf({ place: [place({ climate })] }));
        for (const { likely, least, most } of own.waits)
          for (const figure of [likely, least, most])
            expect(figure === null || (Number.isFinite(figure) && figure >= 0)).toBe(true);
        for (const { from_days, until_days } of own.may)
          for (const figure of [from_days, until_days])
            expect(figure === null || (Number.isFinite(figure) && figure >= 0)).toBe(true);
        const { dry, bond } = own.at(40);
        expect(dry >= 0 && dry <= 1 && bond >= 0.2 && bond <= 1).toBe(true);
      }),
      { numRuns: 25, seed: 27 },
    );
  });
});

describe('what may be done when?', () => {
  const own = datesOf(viewOf({ place: [place({ climate: year() })] }), { ...NO_SKY, weather: hours(168) });
  const upper = (own.clear?.most ?? 0) / 1440;
  it('dirt is judged at once, pockets after the upper date; the face is washed then, and not before thirty days', () => {
    expect(may(own, 'judge dirt')?.from_days).toBe(0);
    expect(may(own, 'judge for good')?.from_days).toBe(upper);
    expect(may(own, 'wash')?.from_days).toBe(Math.max(30, upper));
    expect(may(own, 'soft cloth')?.from_days).toBe(14);
  });
  it('sealant as is customary, and not before half of the water has gone', () => {
    const thick = [film({ thickness_um: 100, construction: 'metallised' })];
    const slow = datesOf(viewOf({ place: [place({ climate: year(() => ({ air_C: 16 })) })] }, thick), {
      ...NO_SKY,
      weather: hours(168),
    });
    const half = may(slow, 'sealant back')?.from_days ?? 0;
    expect(half).toBeGreaterThan(7);
    expect(slow.at(half).dry).toBeCloseTo(0.5, 3);
  });
  it('pressed again until its bond is a half: thin film within days', () => {
    const until = may(own, 'press again')?.until_days ?? 0;
    expect(own.at(until).bond).toBeGreaterThanOrEqual(0.5);
    expect(own.at(until - 0.5).bond).toBeLessThan(0.5);
  });
  it('laid dry there is no water to wait for', () => {
    const dry = { ...APPLICATION, method: 'textured wall' } as RowOf<'application'>;
    const wall = filmDates(
      viewOf({ application: [dry] }, [film({ family: 'textured wall' })]),
      dry,
      LAID,
      NO_SKY,
    );
    expect(wall?.may.map(({ key }) => key)).toEqual(['judge dirt', 'press again', 'hardware back']);
    expect(wall?.at(0).dry).toBe(1);
  });
  it('each says where it comes from', () => {
    expect(own.may.map(({ key, source }) => [key, source.kind])).toEqual([
      ['judge dirt', 'common practice'],
      ['press again', 'our guess'],
      ['edge tape off', 'our guess'],
      ['hardware back', 'our guess'],
      ['sealant back', 'common practice'],
      ['soft cloth', 'from memory'],
      ['wash', 'from memory'],
      ['judge for good', 'common practice'],
    ]);
  });
});
