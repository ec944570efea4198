import { VAPOUR_SOURCE, saturation_Pa } from '../climate';
import { COMMON_PRACTICE, type Formula, type Source, applyFormula } from '../quantity';
import { RULES } from '../rules';
import { inRange } from './roll';
import type { Air, Never, Wait, WaitKey } from './wait';

const STRETCH: Source = {
  kind: 'our guess',
  text: 'the least time is common practice, no published source; how it stretches with cold and damp is own judgement: as fast as water leaves into the air',
};
const SOLVENT: Source = {
  kind: 'our guess',
  text: 'the least time is common practice, no published source; twice as long for each 10 K colder is own judgement',
};
const STEEL: Source = { kind: 'from memory', text: 'lumped heat capacity: ρ · c · d ÷ h (from memory)' };
const LEAST_DROP_KPA = 0.08;
const DAY = 1440;
const FREEZES_C = 0;

export const WAIT_FORMULAS = {
  dryness: {
    id: 'waiting.dryness',
    word: 'how readily the air takes water',
    says: 'Δp = (1 − φ) · p_sat(T)',
    unit: 'kPa',
    source: VAPOUR_SOURCE,
    inputs: { air_C: { word: 'air', unit: '°C' }, humidity: { word: 'relative humidity', unit: 'share' } },
    of: ({ air_C, humidity }) => ((1 - humidity) * saturation_Pa(air_C)) / 1000,
  } satisfies Formula<{ air_C: number; humidity: number }>,
  waterBased: {
    id: 'waiting.waterBased',
    word: 'drying of what is thinned with water',
    says: 't = t₀ · max(1, 1.169 ÷ Δp)',
    unit: 'min',
    source: STRETCH,
    inputs: {
      least_min: { word: 'least time', unit: 'min' },
      drop_kPa: { word: 'dryness of the air', unit: 'kPa' },
    },
    of: ({ least_min, drop_kPa }) => least_min * Math.max(1, RULES.usualVapourDrop.value / drop_kPa),
  } satisfies Formula<{ least_min: number; drop_kPa: number }>,
  solventBased: {
    id: 'waiting.solventBased',
    word: 'drying of what is thinned with solvent',
    says: 't = t₀ · max(1, 2^((20 − T)/10))',
    unit: 'min',
    source: SOLVENT,
    inputs: { least_min: { word: 'least time', unit: 'min' }, air_C: { word: 'air', unit: '°C' } },
    of: ({ least_min, air_C }) => least_min * Math.max(1, 2 ** ((20 - air_C) / 10)),
  } satisfies Formula<{ least_min: number; air_C: number }>,
  panel: {
    id: 'waiting.panel',
    word: 'panel following the air',
    says: 't = ρ · c · d ÷ h · ln(ΔT ÷ X)',
    unit: 's',
    source: STEEL,
    inputs: {
      store_Jm2K: { word: 'heat it holds', unit: 'J/m²K' },
      film_Wm2K: { word: 'to the air, both sides', unit: 'W/m²K' },
      apart_K: { word: 'apart', unit: 'K' },
      within_K: { word: 'near enough', unit: 'K' },
    },
    of: ({ store_Jm2K, film_Wm2K, apart_K, within_K }) =>
      (store_Jm2K / film_Wm2K) * Math.log(Math.max(1, apart_K / within_K)),
  } satisfies Formula<{ store_Jm2K: number; film_Wm2K: number; apart_K: number; within_K: number }>,
  practice: {
    id: 'waiting.practice',
    word: 'customary time',
    says: 't, as is customary',
    unit: 'min',
    source: COMMON_PRACTICE,
    inputs: { customary_min: { word: 'customary', unit: 'min' } },
    of: ({ customary_min }) => customary_min,
  } satisfies Formula<{ customary_min: number }>,
} as const;

const never = (key: WaitKey, why: Wait['why'], because: Never = 'air too damp'): Wait => ({
  key,
  least: null,
  likely: null,
  most: null,
  notOver: null,
  never: because,
  why,
});
const band = (minutes: number): Pick<Wait, 'least' | 'likely' | 'most'> => ({
  least: Math.round(RULES.waitBand.least * minutes),
  likely: Math.round(minutes),
  most: Math.round(RULES.waitBand.most * minutes),
});

function waterBased(key: WaitKey, least_min: number, { air_C, humidity }: Air): Wait {
  inRange('air_C', air_C, -40, 60);
  inRange('humidity', humidity, 0, 1);
  const dryness = applyFormula(WAIT_FORMULAS.dryness, { air_C, humidity });
  if (air_C <= FREEZES_C) return never(key, [dryness], 'it freezes');
  if (dryness.value < LEAST_DROP_KPA) return never(key, [dryness]);
  const step = applyFormula(
    WAIT_FORMULAS.waterBased,
    { least_min, drop_kPa: dryness.value },
    { uncertainty: { plusMinus: 0.6, says: 'from 0.8 to 1.6 times' } },
  );
  return { key, ...band(step.value), notOver: null, never: null, why: [dryness, step] };
}

/**
 * Over 2 h at a room's usual air for what is thinned with water, over 1 h for what is thinned with solvent;
 * longer when cold or damp.
 */
export function primerDry(kind: 'water-based' | 'solvent-based', air: Air): Wait {
  if (kind === 'water-based') {
    const wait = waterBased('primer, water-based', RULES.primerWater.value, air);
    return { ...wait, least: wait.likely };
  }
  inRange('air_C', air.air_C, -40, 60);
  const step = applyFormula(
    WAIT_FORMULAS.solventBased,
    { least_min: RULES.primerSolvent.value, air_C: air.air_C },
    { uncertainty: { plusMinus: 0.6, says: 'up to 1.6 times' } },
  );
  if (air.air_C < RULES.solventColdest.value)
    return never('primer, solvent-based', [step], 'too cold for it');
  return {
    key: 'primer, solvent-based',
    ...band(step.value),
    least: Math.round(step.value),
    notOver: null,
    never: null,
    why: [step],
  };
}

/** @param least_min of a thin filling in a room's usual air, from the rates */
export function puttyDry(air: Air, least_min: number): Wait {
  return waterBased('putty', least_min, air);
}

/** @param least_min of a washed wall in a room's usual air, from the rates */
export function wallDry(air: Air, least_min: number): Wait {
  return waterBased('wall wash', least_min, air);
}

/** @param least and most, minutes */
const customary = (key: WaitKey, least: number, most: number, notOver: number | null = null): Wait => ({
  key,
  least,
  likely: Math.round((least + most) / 2),
  most,
  notOver,
  never: null,
  why: [
    applyFormula(
      WAIT_FORMULAS.practice,
      { customary_min: (least + most) / 2 },
      { uncertainty: { plusMinus: (most - least) / 2, says: `${least} to ${most} min` } },
    ),
  ],
});
const inDays = (key: WaitKey, { least, most }: { readonly least: number; readonly most: number }): Wait =>
  customary(key, least * DAY, most * DAY);

/** Adhesion promoter flashes off, and is not left over an hour. */
export function promoterDry(): Wait {
  const { least, most } = RULES.promoterFlash;
  return customary('promoter', least, most, RULES.promoterOpen.value);
}

/**
 * Sealant goes back after one to two days under light film, under thick film not before it has dried.
 * @param film_um thickness
 */
export function sealantBack(film_um: number): Wait {
  return inDays('sealant', film_um >= RULES.thickFilm.value ? RULES.sealantThick : RULES.sealantThin);
}

/** When film holds first. */
export function firstBond(kind: 'film' | 'decal'): Wait {
  return kind === 'decal' ? inDays('decal bond', RULES.decalBond) : inDays('first bond', RULES.firstBond);
}

/**
 * Whether it is too cold outdoors for vinyl that has just been laid.
 * @param outdoor_C lowest of the next two days
 */
export const wantsWarmRoom = (outdoor_C: number): boolean => outdoor_C < RULES.vinylWarmRoom.value;

/**
 * Finished vinyl stays in a warm room when it is cold outside.
 * @param outdoor_C lowest of the next two days
 */
export function conditionedRoom(outdoor_C: number): Wait {
  return inDays('conditioned room', wantsWarmRoom(outdoor_C) ? RULES.warmRoomStay : { least: 0, most: 0 });
}

/** A panel, door or pane coming to the temperature of the room.
 *  @param store_Jm2K density · heat · thickness: steel 0.8 mm 3000, glass 6 mm 10 800 */
export function panelWarming(
  start_C: number,
  room_C: number,
  within_K: number,
  store_Jm2K: number,
  film_Wm2K = 10,
): Wait {
  inRange('within_K', within_K, 0.1, 20);
  inRange('store_Jm2K', store_Jm2K, 1, 1e7);
  const step = applyFormula(
    WAIT_FORMULAS.panel,
    { store_Jm2K, film_Wm2K, apart_K: Math.abs(room_C - start_C), within_K },
    { uncertainty: { plusMinus: 0.4, says: 'from 0.8 to 1.6 times: moving air halves it' } },
  );
  return {
    key: 'panel',
    ...band(step.value / 60),
    notOver: null,
    never: null,
    why: [step],
  };
}
