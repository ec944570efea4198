import { VAPOUR_SOURCE, saturation_Pa } from '../climate';
import { type Formula, type Source, applyFormula } from '../quantity';
import { RULES } from '../rules';
import type { Air, Wait } from './wait';

const FICK: Source = {
  kind: 'from memory',
  text: "Fick's law through the film; vapour through polyester about 0.09 g·mm/(m²·day·kPa) (from memory)",
};
const GUIDANCE: Source = {
  kind: 'our guess',
  text: "own judgement: a line through remembered makers' tables, stretched by how dry the air is",
};
/** Vapour through polyester, g·mm/(m²·day·kPa). */
const THROUGH = 0.09;
/** Of a thin even layer of water left under the film. */
const LEFT_WATER_GM2 = 10;
const LEAST_DROP_KPA = 0.1;
const MOST_DAYS = 120;
const DAY_MIN = 1440;

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
  even: {
    id: 'waiting.evenDrying',
    word: 'thin even water through the film',
    says: 't = w · d ÷ (P · f · Δp)',
    unit: 'days',
    source: FICK,
    inputs: {
      water_gm2: { word: 'water left', unit: 'g/m²' },
      film_mm: { word: 'film', unit: 'mm' },
      share: { word: 'open share (1 plain, 0.05 to 0.2 metallised)', unit: 'share' },
      drop_kPa: { word: 'drop in vapour pressure', unit: 'kPa' },
    },
    of: ({ water_gm2, film_mm, share, drop_kPa }) =>
      drop_kPa <= 0 ? Number.POSITIVE_INFINITY : (water_gm2 * film_mm) / (THROUGH * share * drop_kPa),
  } satisfies Formula<{ water_gm2: number; film_mm: number; share: number; drop_kPa: number }>,
  guidance: {
    id: 'waiting.clearBy',
    word: 'usually clear after',
    says: 't = (20 + 0.27 · d) · max(0.6, 1.169 ÷ Δp)',
    unit: 'days',
    source: GUIDANCE,
    inputs: {
      film_um: { word: 'film', unit: 'µm' },
      drop_kPa: { word: 'drop in vapour pressure', unit: 'kPa' },
    },
    of: ({ film_um, drop_kPa }) =>
      (20 + 0.27 * film_um) * Math.max(0.6, RULES.usualVapourDrop.value / drop_kPa),
  } satisfies Formula<{ film_um: number; drop_kPa: number }>,
} as const;

/**
 * When film laid wet is usually clear, beside what physics says of a thin even layer. Under the dew point of
 * the room it does not dry.
 * @param film_um thickness
 * @param glass_C of the glass, on average over the weeks
 * @param isMetallised lets less vapour through
 */
export function clearBy({
  film_um,
  glass_C,
  room,
  isMetallised,
}: {
  readonly film_um: number;
  readonly glass_C: number;
  readonly room: Air;
  readonly isMetallised: boolean;
}): Wait {
  const drop = applyFormula(DRYING_FORMULAS.drop, { glass_C, room_C: room.air_C, humidity: room.humidity });
  const base = {
    key: 'clear',
    notOver: null,
  } as const;
  if (drop.value <= LEAST_DROP_KPA)
    return {
      ...base,
      least: null,
      likely: null,
      most: null,
      never: 'glass near the dew point',
      why: [drop],
    };
  const even = applyFormula(DRYING_FORMULAS.even, {
    water_gm2: LEFT_WATER_GM2,
    film_mm: film_um / 1000,
    share: isMetallised ? 0.1 : 1,
    drop_kPa: drop.value,
  });
  const usual = applyFormula(
    DRYING_FORMULAS.guidance,
    { film_um, drop_kPa: drop.value },
    { uncertainty: { plusMinus: 0.4, says: 'from 0.6 to 1.6 times' } },
  );
  if (usual.value > MOST_DAYS)
    return {
      ...base,
      least: null,
      likely: null,
      most: null,
      never: 'not this season',
      why: [drop, even, usual],
    };
  return {
    ...base,
    least: Math.round(0.6 * usual.value * DAY_MIN),
    likely: Math.round(usual.value * DAY_MIN),
    most: Math.round(1.6 * usual.value * DAY_MIN),
    never: null,
    why: [drop, even, usual],
  };
}
