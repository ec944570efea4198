import { valueAt } from '../quantity';
import {
  type Facing,
  type SunTrack,
  type TimeSpan,
  type WeatherHour,
  DEW_POINT,
  bandOfEnd,
  clearSkyOn,
  directSun,
  litOf,
  skylineOf,
  sunTrack,
  weatherAt,
  isDamp,
} from '../climate';
import { type MakeUp, DIFFUSE_AS_DEG, PanesThroughTime, heatGapsOf, heatPanesOf } from '../glazing';
import { absorptionOf } from '../thermal-stress';
import type { Air } from '../waiting';
import { RULES } from '../rules';
import { CALM_WM2K, PER_WIND_WM2K } from './outdoor-film';
import {
  type ClosedBy,
  type ClosedWhy,
  type Readiness,
  type ReadinessCase,
  type ReadinessLimits,
  type ReadinessMoment,
  USUAL_LIMITS,
} from './readiness-case';

const MINUTE_MS = 60_000;
const DAY_MS = 86_400_000;
const EVERY = 5;
/** What the clock says of cooling is stretched by so much: edges and frames follow slowly. */
const RAIN_MM = 0.1;
/** Before the time asked about, so that glass has its own temperature when it begins. */
const RUN_IN_MS = 3 * 3_600_000;

/**
 * When film may be laid on a surface, minute by minute: no direct sun, not still warm from it, within the
 * film's range, over the dew point by 3 K, no frost, no rain outside.
 * @param weather hourly; hours without it are closed as unknown where they matter
 * @throws CoreError CLIMATE_FACING
 */
export function readiness(
  own: ReadinessCase,
  weather: readonly WeatherHour[],
  from_ms: number,
  to_ms: number,
  limits: ReadinessLimits = USUAL_LIMITS,
  track: SunTrack = sunTrack(own.place, from_ms - RUN_IN_MS, to_ms),
): Readiness {
  const sun = own.facing === null ? [] : directSun(track, own.facing, 'seen');
  const minutes = Math.ceil((to_ms - from_ms) / MINUTE_MS);
  const glass = own.makeUp === null ? undefined : new GlassRun(own.makeUp, own, track, weather);
  for (let at = from_ms - RUN_IN_MS; at < from_ms; at += MINUTE_MS) glass?.advance(at, isWithin(sun, at));
  const moments: ReadinessMoment[] = [];
  const reasons = new ReasonByMinute(own, limits, coldestAhead(weather, limits.ahead_h), minutes);
  for (let minute = 0; minute < minutes; minute += 1) {
    const at = from_ms + minute * MINUTE_MS;
    const now = weatherAt(weather, at);
    const isSunny =
      sun.some((span) => span.from_ms < at + MINUTE_MS && span.to_ms > at) &&
      (now === undefined || now.cloud < limits.overcast);
    const surface_C = glass?.advance(at, isWithin(sun, at)) ?? own.indoor.air_C;
    const air: Air = own.side === 'outside' ? (now ?? own.indoor) : own.indoor;
    const dew_C = DEW_POINT.of(air);
    if (minute % EVERY === 0)
      moments.push({
        instant_ms: at,
        surface_C,
        air_C: air.air_C,
        humidity: air.humidity,
        outdoor_C: now?.air_C ?? null,
        dew_C,
      });
    reasons.note(minute, {
      at,
      now,
      isSunny,
      surface_C,
      air_C: air.air_C,
      dew_C,
      isGlass: glass !== undefined,
    });
  }
  const asked = sun.filter((span) => span.to_ms > from_ms && span.from_ms < to_ms);
  return {
    sun: asked,
    ...spansOf(reasons.all, from_ms, minutes),
    moments,
    bands: bandsOf(own, track, asked, to_ms - from_ms, limits),
  };
}

type Reason = readonly [ClosedBy, ClosedWhy];

/** What is known of one minute. */
interface Minute {
  readonly at: number;
  readonly now: ReturnType<typeof weatherAt>;
  readonly isSunny: boolean;
  readonly surface_C: number;
  readonly air_C: number;
  readonly dew_C: number;
  readonly isGlass: boolean;
}

/** Why each minute is closed, one after the other: what was warmed by the sun stays closed for a while. */
class ReasonByMinute {
  readonly all: (Reason | undefined)[] = [];
  #warmSince: number | undefined;

  constructor(
    private readonly own: ReadinessCase,
    private readonly limits: ReadinessLimits,
    private readonly coldest: ReturnType<typeof coldestAhead>,
    private readonly minutes: number,
  ) {}

  note(minute: number, known: Minute): void {
    const { own } = this;
    const { now, surface_C, air_C, dew_C, isGlass } = known;
    this.all[minute] =
      this.#sunReason(minute, known) ??
      this.all[minute] ??
      rangeReason(own, surface_C, air_C, dew_C) ??
      (own.side === 'outside' ? this.#outsideReason(known) : undefined) ??
      (now === undefined && own.facing !== null && isGlass
        ? ['weather unknown', { case: 'no forecast for the glass' }]
        : undefined);
  }

  /** The sun on it, glass still warm from it, and the quarter longer that edges take to follow. */
  #sunReason(minute: number, { now, isSunny, surface_C, isGlass }: Minute): Reason | undefined {
    const { own, limits } = this;
    if (isSunny) {
      this.#warmSince = undefined;
      return ['sun', { case: 'sun on it' }];
    }
    const warmOver = surface_C - Math.max(own.indoor.air_C, now?.air_C ?? own.indoor.air_C);
    if (isGlass && warmOver > limits.warm_K && own.facing !== null) {
      this.#warmSince ??= minute;
      return ['warm', { case: 'still warm', surface_C }];
    }
    if (this.#warmSince !== undefined) {
      const until = this.#warmSince + Math.ceil((minute - this.#warmSince) * RULES.coolingStretch.value);
      for (let later = minute; later < Math.min(this.minutes, until); later += 1)
        this.all[later] = ['warm', { case: 'still cooling' }];
      this.#warmSince = undefined;
    }
    return undefined;
  }

  #outsideReason({ at, now }: Minute): Reason | undefined {
    if (now === undefined) return ['weather unknown', { case: 'no forecast' }];
    return now.rain_mm > RAIN_MM
      ? ['rain', { case: 'rain', rain_mm: now.rain_mm }]
      : outsideAhead(this.own, this.coldest(at), this.limits.ahead_h);
  }
}

/** Minutes with one reason, or none, put together into spans. */
function spansOf(
  reasons: readonly (Reason | undefined)[],
  from_ms: number,
  minutes: number,
): Pick<Readiness, 'fit' | 'closed'> {
  const closed: { from_ms: number; to_ms: number; by: ClosedBy; why: ClosedWhy }[] = [];
  const fit: { from_ms: number; to_ms: number }[] = [];
  for (let minute = 0; minute < minutes; minute += 1) {
    const [at, until] = [from_ms + minute * MINUTE_MS, from_ms + (minute + 1) * MINUTE_MS];
    const reason = reasons[minute];
    const last = reason === undefined ? fit.at(-1) : closed.at(-1);
    const goesOn = last?.to_ms === at && (reason === undefined || closed.at(-1)?.by === reason[0]);
    if (last !== undefined && goesOn) last.to_ms = until;
    else if (reason === undefined) fit.push({ from_ms: at, to_ms: until });
    else closed.push({ from_ms: at, to_ms: until, by: reason[0], why: reason[1] });
  }
  return { fit, closed };
}

/** How much a bearing that is a little off moves the minutes the sun comes and goes. */
function bandsOf(
  { facing }: ReadinessCase,
  track: SunTrack,
  sun: Readiness['sun'],
  time_ms: number,
  { doubt_deg }: ReadinessLimits,
): Readiness['bands'] {
  if (facing === null || doubt_deg <= 0 || time_ms > 2 * DAY_MS) return [];
  return sun.map((span) => ({
    begin: bandOfEnd(track, facing, span.from_ms, doubt_deg),
    end: bandOfEnd(track, facing, span.to_ms, doubt_deg),
  }));
}

function rangeReason(
  { least_C, most_C }: ReadinessCase,
  surface_C: number,
  air_C: number,
  dew_C: number,
): Reason | undefined {
  if (surface_C <= 0) return ['frost', { case: 'ice on it', surface_C }];
  if (isDamp(surface_C, dew_C)) return ['dew', { case: 'near the dew point', surface_C, dew_C }];
  for (const [what, value_C] of [
    ['surface', surface_C],
    ['air', air_C],
  ] as const) {
    if (least_C !== null && value_C < least_C)
      return ['too cold', { case: 'too cold', what, value_C, limit_C: least_C }];
    if (most_C !== null && value_C > most_C)
      return ['too hot', { case: 'too hot', what, value_C, limit_C: most_C }];
  }
  return undefined;
}

function outsideAhead({ least_C }: ReadinessCase, coldest_C: number, ahead_h: number): Reason | undefined {
  const least = Math.max(0, least_C ?? 0);
  return coldest_C < least
    ? ['too cold', { case: 'too cold soon', coldest_C, ahead_h, limit_C: least }]
    : undefined;
}

/** Lowest air over the hours from a moment on. */
function coldestAhead(weather: readonly WeatherHour[], ahead_h: number): (instant_ms: number) => number {
  const first = weather[0]?.instant_ms ?? 0;
  return (instant_ms) => {
    const hour = Math.floor((instant_ms - first) / 3_600_000);
    return Math.min(
      Number.POSITIVE_INFINITY,
      ...weather.slice(Math.max(0, hour), Math.max(0, hour + ahead_h + 1)).map(({ air_C }) => air_C),
    );
  };
}

function isWithin(spans: readonly TimeSpan[], at: number): boolean {
  return spans.some((span) => span.from_ms <= at && at < span.to_ms);
}

/** Glass that follows sun and air minute by minute. */
class GlassRun {
  readonly #panes: PanesThroughTime;
  readonly #absorption: ReturnType<typeof absorptionOf>;
  readonly #diffuse: readonly number[];
  readonly #skyline: ReturnType<typeof skylineOf>;
  #isStarted = false;

  constructor(
    private readonly makeUp: MakeUp,
    private readonly own: ReadinessCase,
    private readonly track: SunTrack,
    private readonly weather: readonly WeatherHour[],
  ) {
    this.#absorption = absorptionOf(makeUp);
    this.#diffuse = this.#absorption.at(DIFFUSE_AS_DEG);
    this.#skyline = skylineOf(own.facing?.skyline ?? []);
    this.#panes = new PanesThroughTime(
      heatPanesOf(makeUp, [], this.#absorption.emissivities),
      heatGapsOf(makeUp),
      makeUp.panes.map(() => own.indoor.air_C),
      own.height_m,
    );
  }

  /** @returns temperature of the pane that takes the film at the end of the minute */
  advance(at: number, isLit: boolean): number {
    const { own, makeUp } = this;
    const now = weatherAt(this.weather, at);
    const outdoor_C = own.facing === null ? own.indoor.air_C : (now?.air_C ?? own.indoor.air_C);
    if (!this.#isStarted) {
      this.#isStarted = true;
      this.#panes.advance(4 * 3600, {
        outdoor_C,
        indoor_C: own.indoor.air_C,
        outdoor_Wm2K: CALM_WM2K,
        absorbed_Wm2: makeUp.panes.map(() => 0),
      });
    }
    this.#panes.advance(60, {
      outdoor_C,
      indoor_C: own.indoor.air_C,
      outdoor_Wm2K: own.facing === null ? 4 : CALM_WM2K + PER_WIND_WM2K * (now?.wind_ms ?? 0),
      absorbed_Wm2: this.#absorbed(at, isLit, now?.cloud ?? 0),
    });
    return (
      this.#panes.temperatures_C[own.side === 'outside' ? 0 : makeUp.panes.length - 1] ?? own.indoor.air_C
    );
  }

  #absorbed(at: number, isLit: boolean, cloud: number): readonly number[] {
    const { facing } = this.own;
    if (facing === null) return this.makeUp.panes.map(() => 0);
    const sun = this.track.at(at);
    if (sun.altitude_deg <= 0) return this.makeUp.panes.map(() => 0);
    const day = Math.floor((at - Date.UTC(new Date(at).getUTCFullYear(), 0, 1)) / DAY_MS) + 1;
    const { beam_Wm2, diffuse_Wm2, cosIncidence } = clearSkyOn(sun, day, facing.bearing_deg, facing.tilt_deg);
    const lit = isLit && sun.altitude_deg > this.#skyline.at(sun.azimuth_deg) ? litShare(facing, sun) : 0;
    const beam = beam_Wm2 * lit * (1 - cloud);
    const direct = this.#absorption.at((Math.acos(Math.min(1, Math.max(0, cosIncidence))) * 180) / Math.PI);
    // Own judgement: under full cloud the sky gives about as much as under a clear one.
    return this.makeUp.panes.map(
      (_, pane) => beam * valueAt(direct, pane) + diffuse_Wm2 * valueAt(this.#diffuse, pane),
    );
  }
}

function litShare(
  { bearing_deg, shading }: Facing,
  { azimuth_deg, altitude_deg }: { readonly azimuth_deg: number; readonly altitude_deg: number },
): number {
  if (shading === null) return 1;
  const aside = ((azimuth_deg - bearing_deg) * Math.PI) / 180;
  const out = Math.cos(aside);
  return out <= 1e-9 ? 0 : litOf(shading, Math.tan((altitude_deg * Math.PI) / 180) / out, Math.tan(aside));
}
