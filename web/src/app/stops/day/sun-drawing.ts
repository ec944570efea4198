import type { DisplayUnits } from '@yellow-pane/core/quantity';
import type { DayClock } from '@yellow-pane/contracts/day-clock';
import { closedWords } from '@yellow-pane/contracts/words';
import type { ReadyAnswer } from '@yellow-pane/core/reading';
import { dayWords } from '../../words/day';

export const WIDE = 1000;
export const HIGH = 250;
const TOP = 30;
const HOURS = [0, 3, 6, 9, 12, 15, 18, 21, 24] as const;

export interface Span {
  readonly from_ms: number;
  readonly to_ms: number;
}
type Moment = ReadyAnswer['moments'][number];

/** One surface through one day, to scale: sun, temperatures, and when it is fit. */
export function sunDrawing(own: ReadyAnswer, day: Span, clock: DayClock, units: DisplayUnits) {
  const x = (instant_ms: number): number =>
    Math.round((WIDE * 10 * (instant_ms - day.from_ms)) / (day.to_ms - day.from_ms)) / 10;
  const bar = (span: Span) => ({ x: x(span.from_ms), width: x(span.to_ms) - x(span.from_ms) });
  const hour = (instant_ms: number): string => clock.hour((instant_ms - clock.from_ms) / 60_000);
  const [fit, closed, sun] = [within(own.fit, day), within(own.closed, day), within(own.sun, day)];
  const times = sun.map(({ from_ms, to_ms }) =>
    dayWords.fromTo(hour(from_ms), hour(Math.ceil(to_ms / 60_000) * 60_000)),
  );
  return {
    heading: sun.length === 0 ? dayWords.noSunThisDay : dayWords.sunFrom(times.join(', ')),
    closed: closed.map((span) => ({ ...bar(span), by: span.by })),
    fit: fit.map(bar),
    ...curves(
      own.moments.filter(({ instant_ms }) => instant_ms >= day.from_ms && instant_ms <= day.to_ms),
      x,
    ),
    marks: HOURS.map((at) => ({
      x: (WIDE * at) / 24,
      word: String(at),
      anchor: at === 0 ? 'start' : at === 24 ? 'end' : 'middle',
    })),
    list: [
      ...fit.map((span) => ({ ...span, says: dayWords.fitToWork, isFit: true })),
      ...closed.map((span) => ({ ...span, says: closedWords(span.why, units), isFit: false })),
    ]
      .sort((a, b) => a.from_ms - b.from_ms)
      .map(({ from_ms, to_ms, says, isFit }) => ({
        when: dayWords.fromTo(hour(from_ms), to_ms === day.to_ms ? '24:00' : hour(to_ms)),
        says,
        isFit,
      })),
  };
}

/** The parts of these spans that fall into a day. */
function within<Own extends Span>(spans: readonly Own[], day: Span): readonly Own[] {
  return spans
    .filter((span) => span.to_ms > day.from_ms && span.from_ms < day.to_ms)
    .map((span) => ({
      ...span,
      from_ms: Math.max(span.from_ms, day.from_ms),
      to_ms: Math.min(span.to_ms, day.to_ms),
    }));
}

/** Temperatures of surface, outdoor air and dew point, and the levels between which they lie. */
function curves(moments: readonly Moment[], x: (instant_ms: number) => number) {
  const all = moments.flatMap(({ surface_C, outdoor_C, dew_C }) => [
    surface_C,
    dew_C,
    ...(outdoor_C === null ? [] : [outdoor_C]),
  ]);
  const [low, high] = [Math.floor(Math.min(...all, 0) / 10) * 10, Math.ceil(Math.max(...all, 20) / 10) * 10];
  const y = (value_C: number): number =>
    Math.round((TOP + ((HIGH - TOP) * (high - value_C)) / (high - low)) * 10) / 10;
  const path = (pick: (moment: Moment) => number | null): string =>
    moments
      .map((moment) => [x(moment.instant_ms), pick(moment)] as const)
      .filter(([, value]) => value !== null)
      .map(([at, value], index) => `${index === 0 ? 'M' : 'L'}${at} ${y(value ?? 0)}`)
      .join('');
  return {
    surface: path(({ surface_C }) => surface_C),
    outdoor: path(({ outdoor_C }) => outdoor_C),
    dew: path(({ dew_C }) => dew_C),
    levels: Array.from({ length: (high - low) / 10 + 1 }, (_, index) => low + 10 * index).map((value) => ({
      y: y(value),
      word: `${value}°`,
    })),
  };
}
