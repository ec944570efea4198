import { VAPOUR_SOURCE } from '../climate';
import { type Formula, type Source, type Step, applyFormula } from '../quantity';
import { RULES } from '../rules';
import {
  type DryHours,
  type DryStretch,
  LEAST_DROP_KPA,
  SEASON_DAYS,
  clearingDay,
  dropOf,
  goesOnIn,
  stretchOf,
} from './dry-course';
import { type DryingFilm, TO_80_PERCENT, vapourThrough } from './film-vapour';
import { WATER_GM2_MM } from './pockets';
import type { Wait } from './wait';

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
/** No band is narrower, however much was learned. */
const LEAST_DOUBT = 0.3;
const DAY_MIN = 1440;
const DAY_H = 24;
/** Air drier than that dries no sooner, by the makers' guidance: its least is 0.6 of the usual time. */
const GUIDED_DROP_KPA = RULES.usualVapourDrop.value / 0.6;

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
    of: ({ glass_C, room_C, humidity }) => dropOf(glass_C, { air_C: room_C, humidity }),
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
  pocket: {
    id: 'waiting.pocket',
    word: 'pocket of water in the middle',
    says: 't = 1000 · δ · d ÷ (P·f · Δp̄)',
    unit: 'days',
    source: FICK,
    inputs: {
      high_mm: { word: 'height of the pocket', unit: 'mm' },
      film_mm: { word: 'film', unit: 'mm' },
      through: { word: 'vapour let through', unit: 'g·mm/(m²·day·kPa)' },
      drop_kPa: { word: 'mean drop until then', unit: 'kPa' },
    },
    of: ({ high_mm, film_mm, through, drop_kPa }) =>
      drop_kPa <= 0 ? Number.POSITIVE_INFINITY : (WATER_GM2_MM * high_mm * film_mm) / (through * drop_kPa),
  } satisfies Formula<{ high_mm: number; film_mm: number; through: number; drop_kPa: number }>,
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

/** Water left under a film, g/m². */
export interface LeftWater {
  readonly value: number;
  /** Log-normal deviation. */
  readonly doubt: number;
}

export interface DryingCase {
  readonly film: DryingFilm;
  /** From the laying on, one after the other. */
  readonly known: readonly DryHours[];
  /** What comes after it; absent: days like those known. */
  readonly after?: readonly DryStretch[];
  /** As the shop has learned; absent: our guess. */
  readonly water?: LeftWater;
}

/** Of a thin even layer, before a shop has seen its own pockets go. */
export function usualWater(film: DryingFilm): LeftWater {
  const isSecurity = vapourThrough(film).construction === 'multi-ply security';
  return { value: isSecurity ? LEFT_WATER_GM2.security : LEFT_WATER_GM2.thin, doubt: DOUBT.water };
}

/** Doubt of a day of drying, as a log-normal deviation. */
export const doubtOfDrying = (film: DryingFilm, { doubt }: LeftWater = usualWater(film)): number =>
  Math.max(LEAST_DOUBT, Math.hypot(doubt, DOUBT.drop, vapourThrough(film).doubt));

/** What must be driven through a film until so much water has left, kPa·days. */
export const needOf = (film: DryingFilm, water_gm2: number): number =>
  (water_gm2 * (film.thickness_um / 1000)) / vapourThrough(film).value;

/** The same of a pocket so high. */
export const pocketNeedOf = (film: DryingFilm, high_mm: number): number =>
  needOf(film, WATER_GM2_MM * high_mm);

/** All that is known of the days from the laying on, and what comes after. */
export function courseOf({ known, after }: Pick<DryingCase, 'known' | 'after'>): readonly DryStretch[] {
  const stretches = known.map((own) => stretchOf([own]));
  if (after !== undefined) return [...stretches, ...after];
  if (known.length === 0) throw new RangeError('known: expected hours of the glass, got none');
  return [...stretches, { ...stretchOf(known), days: SEASON_DAYS }];
}

/**
 * When film laid wet is usually clear: by makers' guidance and by vapour through this film, whichever comes
 * later. Hours are summed, never their temperatures: three at 40 °C dry as much as sixteen at 20 °C. Where
 * glass is near the dew point of its air, it does not dry.
 * @throws RangeError nothing is known of the glass
 */
export function clearBy(own: DryingCase): Wait {
  const { film, water = usualWater(film) } = own;
  const course = courseOf(own);
  const why = driveSteps(own, course);
  if (course.every(({ drop_kPa }) => drop_kPa <= LEAST_DROP_KPA) || isDewy(own))
    return neverClear('glass near the dew point', why, course);
  const through = vapourThrough(film);
  const times = Math.exp(TO_80_PERCENT * doubtOfDrying(film, water));
  const need = needOf(film, water.value);
  const [evenDays, usualDays] = [clearingDay(need, course), guidedDay(film.thickness_um, course)];
  const even = applyFormula(
    DRYING_FORMULAS.even,
    {
      water_gm2: water.value,
      film_mm: film.thickness_um / 1000,
      through: through.value,
      drop_kPa: need / (evenDays ?? need / meanDrop(course)),
    },
    {
      uncertainty: {
        plusMinus: times - 1,
        says: `from ${(1 / times).toFixed(1)} to ${times.toFixed(1)} times, four times in five`,
      },
    },
  );
  const usual = applyFormula(
    DRYING_FORMULAS.guidance,
    {
      film_um: film.thickness_um,
      drop_kPa: usualDays === null ? meanDrop(course) : guidedNeed(film.thickness_um) / usualDays,
    },
    { uncertainty: { plusMinus: 0.6, says: 'from 0.6 to 1.6 times' } },
  );
  const [ends] = [
    { likely: usual.value, least: 0.6 * usual.value, most: 1.6 * usual.value },
    { likely: even.value, least: even.value / times, most: even.value * times },
  ].sort((a, b) => b.likely - a.likely);
  const steps = [...why, ...through.why, even, usual];
  if (ends === undefined || evenDays === null || usualDays === null || ends.likely > SEASON_DAYS)
    return neverClear('not this season', steps, course);
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

/**
 * How long a pocket in the middle lasts: it sinks keeping its area, or keeps the slope of its edge.
 * @param high_mm of the pocket
 */
export function pocketBy(own: DryingCase, high_mm: number): Wait {
  const course = courseOf(own);
  const need = pocketNeedOf(own.film, high_mm);
  const [least, likely, most] = [0.5, 1, 1.5].map((share) => clearingDay(share * need, course));
  const minutes = (days: number | null | undefined): number | null =>
    days == null ? null : Math.round(days * DAY_MIN);
  const isSlow = likely == null || likely > SEASON_DAYS;
  const drop_kPa = isSlow ? meanDrop(course) : need / likely;
  return {
    key: 'pocket',
    notOver: null,
    least: isSlow ? null : minutes(least),
    likely: isSlow ? null : minutes(likely),
    most: isSlow ? null : minutes(most ?? likely),
    never: isSlow ? 'not this season' : null,
    ...(isSlow ? { goesOnMonth: goesOnIn(course) } : {}),
    why: [
      ...driveSteps(own, course),
      applyFormula(
        DRYING_FORMULAS.pocket,
        {
          high_mm,
          film_mm: own.film.thickness_um / 1000,
          through: vapourThrough(own.film).value,
          drop_kPa,
        },
        { uncertainty: { plusMinus: 0.5, says: 'from half to one and a half times' } },
      ),
    ],
  };
}

/** Days like these alone, with nothing known to come: they never dry. */
const isDewy = ({ known, after }: DryingCase): boolean =>
  after === undefined && stretchOf(known).drop_kPa <= LEAST_DROP_KPA;

const meanDrop = (course: readonly DryStretch[]): number =>
  course.reduce((sum, { days, drop_kPa }) => sum + days * drop_kPa, 0) /
  course.reduce((sum, { days }) => sum + days, 0);

const guidedNeed = (film_um: number): number => (20 + 0.27 * film_um) * RULES.usualVapourDrop.value;

/** The guidance is a sum like the other one, of drops no larger than it calculates with. */
function guidedDay(film_um: number, course: readonly DryStretch[]): number | null {
  const together: { days: number; drop_kPa: number; month: number | null }[] = [];
  for (const { days, drop_kPa, month } of course) {
    const last = together.at(-1);
    if (last === undefined || month !== null || last.month !== null) together.push({ days, drop_kPa, month });
    else {
      last.drop_kPa = (last.days * last.drop_kPa + days * drop_kPa) / (last.days + days);
      last.days += days;
    }
  }
  return clearingDay(
    guidedNeed(film_um),
    together.map(({ days, drop_kPa }) => ({ days, drop_kPa: Math.min(GUIDED_DROP_KPA, drop_kPa) })),
  );
}

const neverClear = (
  never: NonNullable<Wait['never']>,
  why: readonly Step[],
  course: readonly DryStretch[],
): Wait => ({
  key: 'clear',
  notOver: null,
  least: null,
  likely: null,
  most: null,
  never,
  goesOnMonth: goesOnIn(course),
  why,
});

/** What drives water out: in the best hour known, and on average over all that is known. */
function driveSteps({ known }: DryingCase, course: readonly DryStretch[]): readonly Step[] {
  const drops = known.map(({ glass_C, air }) =>
    applyFormula(DRYING_FORMULAS.drop, { glass_C, room_C: air.air_C, humidity: air.humidity }),
  );
  const [first, ...more] = drops;
  const most =
    first === undefined ? [] : [more.reduce((best, own) => (own.value > best.value ? own : best), first)];
  const of = known.length > 0 ? stretchOf(known) : (course[0] ?? stretchOf([]));
  return [
    ...most,
    applyFormula(DRYING_FORMULAS.drive, {
      sum_kPah: of.drop_kPa * of.days * DAY_H,
      hours: of.days * DAY_H,
    }),
  ];
}
