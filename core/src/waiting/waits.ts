import { saturation_Pa } from '../climate';
import { COMMON_PRACTICE, type Formula, type Source, applyFormula } from '../quantity';
import { RULES } from '../rules';
import { inRange } from './roll';
import type { Air, Wait, WaitKey } from './wait';

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
/** Seldom shorter, often longer. */
const SHORTER = 0.8;
const LONGER = 1.6;

export const WAIT_FORMULAS = {
  dryness: {
    id: 'waiting.dryness',
    word: 'how readily the air takes water',
    says: 'Δp = (1 − φ) · p_sat(T)',
    unit: 'kPa',
    source: { kind: 'published', text: 'Magnus formula, WMO Guide to Instruments (from memory)' },
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

const TOUCH = 'Dry to the touch in a corner that will be covered: nothing comes off on a clean finger.';
const never = (key: WaitKey, word: string, check: string, why: Wait['why']): Wait => ({
  key,
  word,
  least: null,
  likely: null,
  most: null,
  notOver: null,
  check,
  never: 'Does not dry in air so damp: warm the room or take the damp out.',
  why,
});
const band = (minutes: number): Pick<Wait, 'least' | 'likely' | 'most'> => ({
  least: Math.round(SHORTER * minutes),
  likely: Math.round(minutes),
  most: Math.round(LONGER * minutes),
});

function waterBased(key: WaitKey, word: string, least_min: number, { air_C, humidity }: Air): Wait {
  inRange('air_C', air_C, -40, 60);
  inRange('humidity', humidity, 0, 1);
  const dryness = applyFormula(WAIT_FORMULAS.dryness, { air_C, humidity });
  if (dryness.value < LEAST_DROP_KPA) return never(key, word, TOUCH, [dryness]);
  const step = applyFormula(
    WAIT_FORMULAS.waterBased,
    { least_min, drop_kPa: dryness.value },
    { uncertainty: { plusMinus: 0.6, says: 'from 0.8 to 1.6 times' } },
  );
  return { key, word, ...band(step.value), notOver: null, check: TOUCH, never: null, why: [dryness, step] };
}

/**
 * Over 2 h at a room's usual air for what is thinned with water, over 1 h for what is thinned with solvent;
 * longer when cold or damp.
 */
export function primerDry(kind: 'water-based' | 'solvent-based', air: Air): Wait {
  if (kind === 'water-based') {
    const wait = waterBased('primer, water-based', 'primer drying', RULES.primerWater.value, air);
    return { ...wait, least: wait.likely };
  }
  inRange('air_C', air.air_C, -40, 60);
  const step = applyFormula(
    WAIT_FORMULAS.solventBased,
    { least_min: RULES.primerSolvent.value, air_C: air.air_C },
    { uncertainty: { plusMinus: 0.6, says: 'up to 1.6 times' } },
  );
  return {
    key: 'primer, solvent-based',
    word: 'primer drying',
    ...band(step.value),
    least: Math.round(step.value),
    notOver: null,
    check: TOUCH,
    never: null,
    why: [step],
  };
}

/** @param least_min of a thin filling in a room's usual air, from the rates */
export function puttyDry(air: Air, least_min: number): Wait {
  return waterBased('putty', 'putty drying', least_min, air);
}

/** @param least_min of a washed wall in a room's usual air, from the rates */
export function wallDry(air: Air, least_min: number): Wait {
  return waterBased('wall wash', 'wall drying after the wash', least_min, air);
}

const customary = (
  key: WaitKey,
  word: string,
  least: number,
  most: number,
  notOver: number | null,
  check: string,
): Wait => ({
  key,
  word,
  least,
  likely: Math.round((least + most) / 2),
  most,
  notOver,
  check,
  never: null,
  why: [
    applyFormula(
      WAIT_FORMULAS.practice,
      { customary_min: (least + most) / 2 },
      { uncertainty: { plusMinus: (most - least) / 2, says: `${least} to ${most} min` } },
    ),
  ],
});

/** Adhesion promoter flashes off in 5 to 15 minutes, and is not left over an hour. */
export function promoterDry(): Wait {
  return customary(
    'promoter',
    'promoter flashing off',
    RULES.promoterFlash.least,
    RULES.promoterFlash.most,
    RULES.promoterOpen.value,
    'Dull and dry to the touch; left too long it takes dust: wipe and put on anew.',
  );
}

/**
 * Sealant goes back after one to two days under light film, under thick film not before it has dried: a week
 * is our guess.
 * @param film_um thickness
 */
export function sealantBack(film_um: number): Wait {
  return film_um >= RULES.thickFilm.value
    ? customary(
        'sealant',
        'before sealant goes back',
        2 * DAY,
        7 * DAY,
        null,
        'No water comes when the edge is pressed with paper.',
      )
    : customary(
        'sealant',
        'before sealant goes back',
        DAY,
        2 * DAY,
        null,
        'No water comes when the edge is pressed with paper.',
      );
}

/** When film holds first: thin film and security film one to two days, decals about two weeks. */
export function firstBond(kind: 'film' | 'decal'): Wait {
  return kind === 'decal'
    ? customary(
        'first bond',
        'decal gaining strength',
        10 * DAY,
        14 * DAY,
        null,
        'A corner does not lift under a fingernail.',
      )
    : customary(
        'first bond',
        'first bond',
        DAY,
        2 * DAY,
        null,
        'A corner does not lift under a fingernail; keep hands and cloths off until then.',
      );
}

/**
 * Whether it is too cold outdoors for vinyl that has just been laid.
 * @param outdoor_C lowest of the next two days
 */
export const wantsWarmRoom = (outdoor_C: number): boolean => outdoor_C < RULES.vinylWarmRoom.value;

/**
 * Finished vinyl stays in a warm room when it was colder than 13 °C outside.
 * @param outdoor_C lowest of the next two days
 */
export function conditionedRoom(outdoor_C: number): Wait {
  return wantsWarmRoom(outdoor_C)
    ? customary(
        'conditioned room',
        'kept in a warm room',
        DAY,
        2 * DAY,
        null,
        'Edges lie flat and do not move when warmed by hand.',
      )
    : customary('conditioned room', 'kept in a warm room', 0, 0, null, 'Not needed at this temperature.');
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
    word: 'surface warming',
    ...band(step.value / 60),
    notOver: null,
    check: 'Infrared thermometer on the surface, in its middle and in a corner.',
    never: null,
    why: [step],
  };
}
