import { VAPOUR_SOURCE, saturation_Pa } from '../climate';
import { type Formula, type Source, type Step, applyFormula } from '../quantity';
import { RULES } from '../rules';
import { type DryingFilm, TO_80_PERCENT, vapourThrough } from './film-vapour';
import type { Air, Wait } from './wait';

const FICK: Source = {
  kind: 'from memory',
  text: "Fick's law through the film, for a thin even layer of water (from memory)",
};
const GUIDANCE: Source = {
  kind: 'our guess',
  text: "own judgement: a line through remembered makers' tables, stretched by how dry the air is",
};
/** Of a thin even layer of water left under the film, and under one stiff enough to hold more. Our guess. */
const LEFT_WATER_GM2 = { thin: 10, security: 20 } as const;
/** Doubt of the water left and of the drop in vapour, as log-normal deviations. @source own judgement */
const DOUBT = { water: 0.54, drop: 0.2 } as const;
const LEAST_DROP_KPA = 0.1;
const MOST_DAYS = 120;
const DAY_MIN = 1440;
const DAY_H = 24;

export const DRYING_FORMULAS = {
  drop: {
    id: 'waiting.vapourDrop',
    word: 'drop in vapour pressure from film to room',
    says: 'Δp = p_sat(glass) − φ · p_sat(room)',
    unit: 'kPa',
    source: VAPOUR_SOURCE,
    inputs: {
      glass_C: { word: 'glass', unit: '°C' },
      room_C: { word: 'room', unit: '°C' },
      humidity: { word: 'relative humidity', unit: 'share' },
    },
    of: ({ glass_C, room_C, humidity }) => (saturation_Pa(glass_C) - humidity * saturation_Pa(room_C)) / 1000,
  } satisfies Formula<{ glass_C: number; room_C: number; humidity: number }>,
  drive: {
    id: 'waiting.meanDrive',
    word: 'mean drop over the hours',
    says: 'Δp̄ = Σ hours · max(0, Δp) ÷ Σ hours',
    unit: 'kPa',
    source: FICK,
    inputs: {
      sum_kPah: { word: 'sum of the hours', unit: 'kPa·h' },
      hours: { word: 'hours known', unit: 'h' },
    },
    of: ({ sum_kPah, hours }) => sum_kPah / hours,
  } satisfies Formula<{ sum_kPah: number; hours: number }>,
  even: {
    id: 'waiting.evenDrying',
    word: 'thin even water through the film',
    says: 't = w · d ÷ (P·f · Δp̄)',
    unit: 'days',
    source: FICK,
    inputs: {
      water_gm2: { word: 'water left', unit: 'g/m²' },
      film_mm: { word: 'film', unit: 'mm' },
      through: { word: 'vapour let through', unit: 'g·mm/(m²·day·kPa)' },
      drop_kPa: { word: 'mean drop until then', unit: 'kPa' },
    },
    of: ({ water_gm2, film_mm, through, drop_kPa }) =>
      drop_kPa <= 0 ? Number.POSITIVE_INFINITY : (water_gm2 * film_mm) / (through * drop_kPa),
  } satisfies Formula<{ water_gm2: number; film_mm: number; through: number; drop_kPa: number }>,
  guidance: {
    id: 'waiting.clearBy',
    word: 'usually clear after',
    says: 't = (20 + 0.27 · d) · max(0.6, 1.169 ÷ Δp̄)',
    unit: 'days',
    source: GUIDANCE,
    inputs: {
      film_um: { word: 'film', unit: 'µm' },
      drop_kPa: { word: 'mean drop', unit: 'kPa' },
    },
    of: ({ film_um, drop_kPa }) =>
      (20 + 0.27 * film_um) * Math.max(0.6, RULES.usualVapourDrop.value / drop_kPa),
  } satisfies Formula<{ film_um: number; drop_kPa: number }>,
} as const;

/** Some time with the glass and the air beside the film as they are then. */
export interface DryHours {
  readonly hours: number;
  readonly glass_C: number;
  readonly air: Air;
}

/** Some days and the drop in vapour pressure that drives water out in them. */
export interface DryDays {
  readonly days: number;
  readonly drop_kPa: number;
}

export interface DryingCase {
  readonly film: DryingFilm;
  /** From the laying on, one after the other; the days after go on like them. */
  readonly known: readonly DryHours[];
}

/**
 * The day on which so much water has left, straight inside a day; what goes the wrong way counts nothing.
 * null: not within the days given
 * @param need_kPaDay water left × thickness ÷ (permeability × open share)
 * @param days one after the other
 */
export function clearingDay(need_kPaDay: number, days: readonly DryDays[]): number | null {
  let left = need_kPaDay;
  let passed = 0;
  for (const own of days) {
    const drop_kPa = Math.max(0, own.drop_kPa);
    if (drop_kPa > 0 && left <= own.days * drop_kPa) return passed + left / drop_kPa;
    left -= own.days * drop_kPa;
    passed += own.days;
  }
  return null;
}

/**
 * When film laid wet is usually clear: by makers' guidance and by vapour through this film, whichever comes
 * later. Hours are summed, never their temperatures: three at 40 °C dry as much as sixteen at 20 °C. Where
 * glass is near the dew point of its air, it does not dry.
 * @throws RangeError nothing is known of the glass
 */
export function clearBy({ film, known }: DryingCase): Wait {
  const { drive, days, why } = driveOf(known);
  if (drive.value <= LEAST_DROP_KPA) return neverClear('glass near the dew point', why);
  const through = vapourThrough(film);
  const film_mm = film.thickness_um / 1000;
  const water_gm2 =
    through.construction === 'multi-ply security' ? LEFT_WATER_GM2.security : LEFT_WATER_GM2.thin;
  const need = (water_gm2 * film_mm) / through.value;
  const after = { days: MOST_DAYS, drop_kPa: drive.value };
  const clear = clearingDay(need, [...days, after]);
  const s = Math.hypot(DOUBT.water, DOUBT.drop, through.doubt);
  const times = Math.exp(TO_80_PERCENT * s);
  const even = applyFormula(
    DRYING_FORMULAS.even,
    { water_gm2, film_mm, through: through.value, drop_kPa: need / (clear ?? need / drive.value) },
    {
      uncertainty: {
        plusMinus: times - 1,
        says: `from ${(1 / times).toFixed(1)} to ${times.toFixed(1)} times, four times in five`,
      },
    },
  );
  const usual = applyFormula(
    DRYING_FORMULAS.guidance,
    { film_um: film.thickness_um, drop_kPa: drive.value },
    { uncertainty: { plusMinus: 0.6, says: 'from 0.6 to 1.6 times' } },
  );
  const [ends] = [
    { likely: usual.value, least: 0.6 * usual.value, most: 1.6 * usual.value },
    { likely: even.value, least: even.value / times, most: even.value * times },
  ].sort((a, b) => b.likely - a.likely);
  const steps = [...why, ...through.why, even, usual];
  if (ends === undefined || ends.likely > MOST_DAYS) return neverClear('not this season', steps);
  return {
    key: 'clear',
    notOver: null,
    least: Math.round(ends.least * DAY_MIN),
    likely: Math.round(ends.likely * DAY_MIN),
    most: Math.round(Math.max(1.6 * usual.value, even.value * times) * DAY_MIN),
    never: null,
    why: steps,
  };
}

const neverClear = (never: NonNullable<Wait['never']>, why: readonly Step[]): Wait => ({
  key: 'clear',
  notOver: null,
  least: null,
  likely: null,
  most: null,
  never,
  why,
});

/** What drives water out: hour by hour, as days one after the other, and on average. */
function driveOf(known: readonly DryHours[]): {
  readonly drive: Step;
  readonly days: readonly DryDays[];
  readonly why: readonly Step[];
} {
  if (known.length === 0) throw new RangeError('known: expected hours of the glass, got none');
  const drops = known.map(({ glass_C, air }) =>
    applyFormula(DRYING_FORMULAS.drop, { glass_C, room_C: air.air_C, humidity: air.humidity }),
  );
  const days = known.map(({ hours }, index): DryDays => ({
    days: hours / DAY_H,
    drop_kPa: drops[index]?.value ?? 0,
  }));
  const drive = applyFormula(DRYING_FORMULAS.drive, {
    sum_kPah: days.reduce((sum, own) => sum + own.days * DAY_H * Math.max(0, own.drop_kPa), 0),
    hours: known.reduce((sum, { hours }) => sum + hours, 0),
  });
  const most = drops.reduce((best, drop) => (drop.value > best.value ? drop : best));
  return { drive, days, why: [most, drive] };
}
