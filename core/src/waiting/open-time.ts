import { saturation_Pa } from '../climate';
import { type Formula, type Reasoned, type Source, applyFormula } from '../quantity';
import { type Learned, learnedOf, sourceOf } from '../learned';
import { RULES } from '../rules';
import { inRange } from './roll';

/** Where something wet lies. */
interface WetCase {
  readonly surface_C: number;
  readonly air_C: number;
  /** Relative, share of 1. */
  readonly humidity: number;
  /** Air moving over it. */
  readonly draught_ms: number;
}

/** How long a film of slip stays wet, minutes; null: it does not dry in this air. */
export interface OpenTime {
  readonly least_min: number | null;
  readonly likely_min: Reasoned<number> | null;
  readonly most_min: number | null;
  /** Water that leaves, g/m² and minute; not above nought where none does. */
  readonly rate_gm2min: Reasoned<number>;
}

const GAS_WATER_JkgK = 461.5;
const GAS_AIR_JkgK = 287.05;
const HEAT_AIR_JkgK = 1006;
const PRESSURE_PA = 101_325;
const S_PER_MIN = 60;

const CONVECTION: Source = { kind: 'published', text: 'ISO 6946, surface films: h = 4 + 4 v (from memory)' };
const LEWIS: Source = {
  kind: 'published',
  text: 'Lewis relation, ASHRAE Handbook of Fundamentals: mass transfer = h ÷ (ρ · c), Lewis factor 1 (from memory)',
};

const FILM: Formula<{ draught_ms: number }> = {
  id: 'waiting.convection',
  word: 'heat passed to the air',
  says: 'h = 4 + 4 · v',
  unit: 'W/m²K',
  source: CONVECTION,
  inputs: { draught_ms: { word: 'air moving over it', unit: 'm/s' } },
  of: ({ draught_ms }) => 4 + 4 * draught_ms,
};

interface LewisCase {
  readonly film_Wm2K: number;
  readonly surface_C: number;
  readonly air_C: number;
  readonly humidity: number;
}
/** With the density of air at the mean of both temperatures: h · R_air ÷ (c · P · R_water) is left. */
const RATE: Formula<LewisCase> = {
  id: 'waiting.evaporation',
  word: 'water that leaves',
  says: 'm = h · R_air · (p_sat(T_s) − φ · p_sat(T)) ÷ (c · P · R_water)',
  unit: 'g/m² min',
  source: LEWIS,
  inputs: {
    film_Wm2K: { word: 'heat passed to the air', unit: 'W/m²K' },
    surface_C: { word: 'surface', unit: '°C' },
    air_C: { word: 'air', unit: '°C' },
    humidity: { word: 'relative humidity', unit: 'share' },
  },
  of: ({ film_Wm2K, surface_C, air_C, humidity }) =>
    ((film_Wm2K * GAS_AIR_JkgK) / (HEAT_AIR_JkgK * PRESSURE_PA * GAS_WATER_JkgK)) *
    (saturation_Pa(surface_C) - humidity * saturation_Pa(air_C)) *
    1000 *
    S_PER_MIN,
};

const TIME: Formula<{ water_gm2: number; rate_gm2min: number }> = {
  id: 'waiting.openTime',
  word: 'stays wet',
  says: 't = w ÷ m',
  unit: 'min',
  source: RULES.waterFilm.source,
  inputs: {
    water_gm2: { word: 'water on it', unit: 'g/m²' },
    rate_gm2min: { word: 'water that leaves', unit: 'g/m² min' },
  },
  of: ({ water_gm2, rate_gm2min }) => water_gm2 / rate_gm2min,
};

export const OPEN_TIME_FORMULAS = { film: FILM, rate: RATE, time: TIME } as const;

/**
 * How long slip stays open on a surface, from how fast its water leaves.
 * @throws CoreError WAITING_RANGE when a temperature, the humidity or the draught cannot be
 * @source Lewis relation and convection as their formulas say; how much water lies there is our guess
 */
export function openTime(
  { surface_C, air_C, humidity, draught_ms }: WetCase,
  water: WaterOnIt = waterOnIt([]),
): OpenTime {
  inRange('surface_C', surface_C, -40, 90);
  inRange('air_C', air_C, -40, 60);
  inRange('humidity', humidity, 0, 1);
  inRange('draught_ms', draught_ms, 0, 20);
  const film = applyFormula(FILM, { draught_ms });
  const step = applyFormula(RATE, { film_Wm2K: film.value, surface_C, air_C, humidity });
  const rate_gm2min = { value: step.value, why: [film, step] };
  if (step.value <= 0) return { least_min: null, likely_min: null, most_min: null, rate_gm2min };
  const { value: water_gm2, least, most } = water;
  const time = applyFormula(
    TIME,
    { water_gm2, rate_gm2min: step.value },
    {
      uncertainty: {
        plusMinus: most / step.value - water_gm2 / step.value,
        says: `from ${Math.round(least)} to ${Math.round(most)} g/m² of water`,
      },
      source: sourceOf(water.basis),
    },
  );
  return {
    least_min: least / step.value,
    likely_min: { value: time.value, why: [film, step, time] },
    most_min: most / step.value,
    rate_gm2min,
  };
}

/** Water that is taken to lie on a surface when it has been sprayed, g/m². */
interface WaterOnIt extends Pick<Learned, 'value' | 'basis'> {
  readonly least: number;
  readonly most: number;
}

/**
 * The water a shop calculates with, as it learned it. The band draws in with the root of how often it was
 * seen.
 * @source band of what is taken at first and how it draws in: our guess
 */
export function waterOnIt(kept: readonly Learned[]): WaterOnIt {
  const { value, basis, n } = learnedOf('water-film', kept);
  const narrows = 1 / Math.sqrt(1 + (n ?? 0));
  const { value: first, least, most } = RULES.waterFilm;
  return {
    value,
    basis,
    least: value * (least / first) ** narrows,
    most: value * (most / first) ** narrows,
  };
}

/**
 * What a tap of 'wet again' says: so long after the last water, so much had left. What is taken at first
 * counts as one of them; what cannot be is drawn to the ends of the band.
 * @param minutes since it was wetted
 * @returns undefined where nothing leaves into this air
 */
export function taughtWater(
  { value, n }: Pick<Learned, 'value' | 'n'>,
  { rate_gm2min, minutes }: { readonly rate_gm2min: number; readonly minutes: number },
): { readonly value: number; readonly n: number } | undefined {
  if (rate_gm2min <= 0 || minutes <= 0) return undefined;
  const { least, most } = RULES.waterFilm;
  const seen = Math.min(most, Math.max(least, rate_gm2min * minutes));
  const before = n ?? 0;
  return { value: (value * (before + 1) + seen) / (before + 2), n: before + 1 };
}
