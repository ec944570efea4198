import { describe, expect, it } from '@jest/globals';
import type { ReadinessMoment } from '../day';
import { type Film, type RowOf, MATERIAL_NOT_STATED } from '../job';
import { EMPTY_SHOP, jobRows } from './job-rows';
import { JobView } from './job-view';
import { returnsOf } from './returns';

const LAID = Date.UTC(2026, 10, 25, 12);
const HOUR = 3_600_000;
const FILM = {
  ...MATERIAL_NOT_STATED,
  id: 'film',
  name: 'hold',
  family: 'security',
  thickness_um: 200,
} as Film & { readonly id: string };
const APPLICATION = {
  schools: {},
  id: 'a',
  surfaceId: 's',
  side: 'room',
  filmId: 'film',
  method: 'security',
  over: null,
  position: 1,
} as unknown as RowOf<'application'>;
const view = new JobView(jobRows(), { ...EMPTY_SHOP, films: [FILM] });

/** Five minutes apart, warm glass until the film is laid and cold glass after. */
const moments = (after_h: number, more: Partial<ReadinessMoment> = {}): readonly ReadinessMoment[] =>
  Array.from({ length: 12 * (24 + after_h) }, (_, index) => ({
    instant_ms: LAID - 24 * HOUR + (index * HOUR) / 12,
    surface_C: index < 12 * 24 ? 25 : 14,
    air_C: 20,
    humidity: 0.5,
    outdoor_C: 4,
    dew_C: 9,
    ...more,
  }));
const driveOf = (own: readonly ReadinessMoment[]): number | undefined =>
  returnsOf(view, APPLICATION, { laidAt_ms: LAID, moments: own, weather: [] })
    .find(({ key }) => key === 'clear')
    ?.why.find(({ formula }) => formula === 'waiting.meanDrive')?.value;

describe('what is to be come back for once a film is laid?', () => {
  it('glass counts from the laying on: the warm day before it dries nothing', () => {
    const cold_kPa = 1.599 - 0.5 * 2.339;
    expect(driveOf(moments(48))).toBeCloseTo(cold_kPa, 2);
  });
  it('where less than a day of it is known, all that is known stands for the days to come', () => {
    expect(driveOf(moments(2))).toBeGreaterThan(1.5);
  });
  it('hours without a forecast tell nothing of the glass, and a film nobody knows nothing at all', () => {
    expect(driveOf(moments(48, { outdoor_C: null }))).toBeUndefined();
    const asked = { laidAt_ms: LAID, moments: moments(48), weather: [] };
    expect(returnsOf(view, { ...APPLICATION, filmId: 'gone' }, asked)).toEqual([]);
    expect(returnsOf(view, APPLICATION, asked).map(({ key }) => key)).toEqual([
      'first bond',
      'sealant',
      'clear',
    ]);
  });
  it('outside it dries into the air outside', () => {
    const damp = moments(48, { surface_C: 10, air_C: 10, humidity: 0.95 });
    const kept = returnsOf(view, APPLICATION, { laidAt_ms: LAID, moments: damp, weather: [] });
    expect(kept.find(({ key }) => key === 'clear')?.never).toBe('glass near the dew point');
  });
});
