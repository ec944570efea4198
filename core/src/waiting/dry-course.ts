import { saturation_Pa } from '../climate';
import { cureDays } from './cure';
import type { Air } from './wait';

const DAY_H = 24;

/** Some time with the glass and the air beside the film as they are then. */
export interface DryHours {
  readonly hours: number;
  readonly glass_C: number;
  readonly air: Air;
}

/** Some days and the drop in vapour pressure that drives water out in them. */
interface DryDays {
  readonly days: number;
  readonly drop_kPa: number;
}

/** Some days alike, as they count for drying and on the clock of cure. */
export interface DryStretch extends DryDays {
  /** What a day counts on the clock of cure, as days at 20 °C. */
  readonly cure: number;
  /** By the climate of this month, January 0; null: as forecast, or as known. */
  readonly month: number | null;
}

/** Drop in vapour pressure from the film to the air beside it, kPa; below nothing, water comes in. */
export const dropOf = (glass_C: number, { air_C, humidity }: Air): number =>
  (saturation_Pa(glass_C) - humidity * saturation_Pa(air_C)) / 1000;

/** Hours put together into one stretch; what goes the wrong way counts nothing. */
export function stretchOf(known: readonly DryHours[], month: number | null = null): DryStretch {
  const hours = known.reduce((sum, own) => sum + own.hours, 0);
  const sum_kPah = known.reduce((sum, own) => sum + own.hours * Math.max(0, dropOf(own.glass_C, own.air)), 0);
  const spans = known.map((own) => ({ days: own.hours / DAY_H, film_C: own.glass_C }));
  const days = hours / DAY_H;
  return {
    days,
    drop_kPa: hours === 0 ? 0 : sum_kPah / hours,
    cure: days === 0 ? 0 : cureDays(spans) / days,
    month,
  };
}

/**
 * The day on which so much has gone, straight inside a stretch; what goes the wrong way counts nothing.
 * null: not within the days given
 * @param need_kPaDay water left × thickness ÷ (permeability × open share)
 * @param days one after the other
 */
export function clearingDay(need_kPaDay: number, days: readonly DryDays[]): number | null {
  return dayWhen(
    need_kPaDay,
    days.map((own) => ({ days: own.days, counts: Math.max(0, own.drop_kPa) })),
  );
}

/** The day on which the clock of cure stands so; null: not within the days given. */
export const clockDay = (clock_days: number, stretches: readonly DryStretch[]): number | null =>
  dayWhen(
    clock_days,
    stretches.map(({ days, cure }) => ({ days, counts: cure })),
  );

function dayWhen(
  need: number,
  stretches: readonly { readonly days: number; readonly counts: number }[],
): number | null {
  let left = need;
  let passed = 0;
  for (const { days, counts } of stretches) {
    if (counts > 0 && left <= days * counts) return passed + left / counts;
    left -= days * counts;
    passed += days;
  }
  return null;
}

/** How far drying and cure have come by a day: kPa·days driven, and days on the clock of cure. */
export function courseAt(
  day: number,
  stretches: readonly DryStretch[],
): { readonly driven: number; readonly clock: number } {
  let [driven, clock, left] = [0, 0, day];
  for (const { days, drop_kPa, cure } of stretches) {
    const part = Math.min(days, left);
    driven += part * Math.max(0, drop_kPa);
    clock += part * cure;
    left -= part;
    if (left <= 0) break;
  }
  return { driven, clock };
}

/** What takes longer is given no date: it will not be this season (ruling). */
export const SEASON_DAYS = 120;
/** Under this drop nothing dries. Own judgement. */
export const LEAST_DROP_KPA = 0.1;

/** The first month by whose climate it dries again after one in which it does not; null: there is none. */
export function goesOnIn(stretches: readonly DryStretch[]): number | null {
  const stops = stretches.findIndex(({ drop_kPa }) => drop_kPa <= LEAST_DROP_KPA);
  if (stops < 0) return null;
  return (
    stretches.slice(stops).find(({ drop_kPa, month }) => month !== null && drop_kPa > LEAST_DROP_KPA)
      ?.month ?? null
  );
}
