import { valueAt } from '../quantity';
import {
  MONTH_DAYS,
  type SunMoment,
  type WeatherHour,
  type WeatherMoment,
  averageHour,
  sunOnSurface,
  sunPath,
} from '../climate';
import type { ClimateYear } from '../job';
import { DIFFUSE_AS_DEG, heatBalance, heatGapsOf, heatPanesOf } from '../glazing';
import { absorptionOf } from '../thermal-stress';
import { type Air, type DryHours, type DryStretch, stretchOf } from '../waiting';
import { CALM_WM2K, PER_WIND_WM2K } from './outdoor-film';
import type { ReadinessCase } from './readiness-case';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const HOURS = 24;
/** The sun of a month is that of its 21st; of which year hardly matters. */
const SUN_DAY = 21;
const ANY_YEAR = 2026;
/** Faces that move less are at rest: a hundredth of a degree is a thousandth of the drop in vapour. */
const DONE_K = 0.01;

/** Glass with its films, as it stands: what decides how warm it is. */
export type StandingGlass = Omit<ReadinessCase, 'least_C' | 'most_C'>;

/**
 * Temperature of the filmed glass and the air beside it, hour by hour at rest: glass follows within the hour.
 * The optics of the glass are calculated once.
 */
export class GlassHours {
  readonly #own: StandingGlass;
  readonly #absorption: ReturnType<typeof absorptionOf> | undefined;
  readonly #gaps: ReturnType<typeof heatGapsOf>;
  #start_C: readonly number[] | undefined;

  constructor(own: StandingGlass) {
    this.#own = own;
    this.#absorption = own.makeUp === null || own.facing === null ? undefined : absorptionOf(own.makeUp);
    this.#gaps = own.makeUp === null ? [] : heatGapsOf(own.makeUp);
  }

  /** Hours of a forecast, one after the other, from a moment on. */
  ofForecast(weather: readonly WeatherHour[], from_ms: number): readonly DryHours[] {
    const days = new Map<number, readonly SunMoment[]>();
    return weather
      .filter(({ instant_ms }) => instant_ms >= from_ms)
      .map((hour) => {
        const solar_ms = hour.instant_ms + (this.#own.place.longitude_deg / 15) * HOUR_MS;
        const day = Math.floor(solar_ms / DAY_MS);
        const suns = days.get(day) ?? this.#sunOn(new Date(day * DAY_MS));
        days.set(day, suns);
        return this.#hour(hour, suns[Math.floor((solar_ms - day * DAY_MS) / HOUR_MS)]);
      });
  }

  /** An average day of each month, as it counts for drying, January first. */
  ofMonths(year: ClimateYear): readonly DryStretch[] {
    return year.map((month, index) => {
      const suns = this.#sunOn(new Date(Date.UTC(ANY_YEAR, index, SUN_DAY)));
      const hours = Array.from({ length: HOURS }, (_, hour) =>
        this.#hour(averageHour(month, hour), suns[hour]),
      );
      return { ...stretchOf(hours, index), days: MONTH_DAYS[index] ?? 30 };
    });
  }

  #sunOn(day: Date): readonly SunMoment[] {
    const { facing, place } = this.#own;
    return facing === null
      ? []
      : sunOnSurface(sunPath(place, day.getUTCFullYear(), day.getUTCMonth() + 1, day.getUTCDate()), facing);
  }

  #hour(now: WeatherMoment, sun: SunMoment | undefined): DryHours {
    const { indoor, side } = this.#own;
    const air: Air = side === 'outside' ? { air_C: now.air_C, humidity: now.humidity } : indoor;
    return { hours: 1, glass_C: this.#glass_C(now, sun), air };
  }

  #glass_C({ air_C, cloud, wind_ms }: WeatherMoment, sun: SunMoment | undefined): number {
    const { makeUp, indoor, height_m, side } = this.#own;
    const absorption = this.#absorption;
    if (makeUp === null || absorption === undefined) return indoor.air_C;
    const beam = sun === undefined ? 0 : sun.beam_Wm2 * sun.shadow.lit * (1 - cloud);
    const [direct, diffuse] = [absorption.at(sun?.incidence_deg ?? 90), absorption.at(DIFFUSE_AS_DEG)];
    const absorbed_Wm2 = direct.map(
      (share, layer) => beam * share + (sun?.diffuse_Wm2 ?? 0) * valueAt(diffuse, layer),
    );
    const found = heatBalance(
      heatPanesOf(makeUp, absorbed_Wm2, absorption.emissivities),
      this.#gaps,
      {
        outdoor_C: air_C,
        indoor_C: indoor.air_C,
        outdoor_Wm2K: CALM_WM2K + PER_WIND_WM2K * wind_ms,
        // What each pane takes up is given above in watts.
        sun_Wm2: 1,
        height_m,
      },
      { done_K: DONE_K, start_C: this.#start_C },
    );
    this.#start_C = found.faces_C;
    return found.panes_C[side === 'outside' ? 0 : makeUp.panes.length - 1] ?? indoor.air_C;
  }
}
