import { type Learned, type LearnedKey, learnedOf, sourceOf } from '../learned';
import { SLIP_MIXES, isLaidWet, templateFor } from '../fitting';
import {
  type Formula,
  type Reasoned,
  type Source,
  type Verdict,
  COMMON_PRACTICE,
  applyFormula,
} from '../quantity';
import type { DaySurface } from './day-problem';
import { RULES } from '../rules';

export type Liquid = 'slip' | 'cleaner' | 'alcohol wipe' | 'primer' | 'wall wash' | 'adhesion promoter';

export interface MixPart {
  readonly word: string;
  readonly litres: number;
}

/** One liquid for the job: how much, of what, in how many bottles. */
export interface MixLine {
  readonly liquid: Liquid;
  readonly litres: Reasoned<number>;
  readonly parts: readonly MixPart[];
  readonly recipe: string;
  /** Bottles of the size at hand, and what goes into each beside water. */
  readonly bottles: { readonly count: number; readonly size_l: number; readonly each: string } | null;
  readonly because: string;
  readonly verdict: Verdict;
  readonly says: string;
}

export interface MixInput {
  readonly surfaces: readonly Pick<
    DaySurface,
    'method' | 'family' | 'area_m2' | 'edge_m' | 'hasInsideCorner'
  >[];
  /** By the cap of a concentrate, or the key of a recipe. */
  readonly slip: string;
  readonly primer: 'water-based' | 'solvent-based';
  /** Warmest air while the work goes on. */
  readonly air_C: number;
  readonly units: 'metric' | 'imperial';
  readonly learned?: readonly Learned[];
}

const ML_PER_US_GALLON = 3785.411784;
const ML_PER_US_FL_OZ = 29.5735;
const CAP_WATER_ML = 32 * ML_PER_US_FL_OZ;
/** Over this a second cap. */
const WARM_C = 22;

export const MIX_FORMULAS = {
  area: {
    id: 'day.mixByArea',
    word: 'litres by area',
    says: 'V = A · q · n',
    unit: 'l',
    source: COMMON_PRACTICE,
    inputs: {
      area_m2: { word: 'area', unit: 'm²' },
      rate_lm2: { word: 'rate', unit: 'l/m²' },
      times: { word: 'times', unit: 'count' },
    },
    of: ({ area_m2, rate_lm2, times }) => area_m2 * rate_lm2 * times,
  } satisfies Formula<{ area_m2: number; rate_lm2: number; times: number }>,
  edge: {
    id: 'day.mixByEdge',
    word: 'litres by length',
    says: 'V = L · q',
    unit: 'l',
    source: COMMON_PRACTICE,
    inputs: { length_m: { word: 'length', unit: 'm' }, rate_lm: { word: 'rate', unit: 'l/m' } },
    of: ({ length_m, rate_lm }) => length_m * rate_lm,
  } satisfies Formula<{ length_m: number; rate_lm: number }>,
  share: {
    id: 'day.slipShare',
    word: 'soap in water',
    says: 's = soap ÷ water',
    unit: 'share',
    source: COMMON_PRACTICE,
    inputs: { soap_ml: { word: 'soap', unit: 'ml' }, water_ml: { word: 'water', unit: 'ml' } },
    of: ({ soap_ml, water_ml }) => soap_ml / water_ml,
  } satisfies Formula<{ soap_ml: number; water_ml: number }>,
} as const;

/**
 * Everything to be mixed for these surfaces: litres from areas and ways of fitting, scaled to the bottles at
 * hand. Rates of use are our guesses and say so.
 */
export function mixSheet(input: MixInput): readonly MixLine[] {
  const { surfaces, learned = [], primer } = input;
  const rate = (key: LearnedKey): Learned => learnedOf(key, learned);
  const areaOf = (templates: readonly string[]): number =>
    surfaces
      .filter(({ method, family }) =>
        templates.includes(templateFor(method ?? 'trim in place', family).template),
      )
      .reduce((sum, { area_m2 }) => sum + (area_m2 ?? RULES.usualArea.value), 0);
  const edgesOf = (templates: readonly string[]): number =>
    surfaces
      .filter(({ method, family }) =>
        templates.includes(templateFor(method ?? 'trim in place', family).template),
      )
      .reduce((sum, { edge_m }) => sum + (edge_m ?? RULES.usualEdge.value), 0);
  const used = (area_m2: number, key: LearnedKey, times = 1): Reasoned<number> => {
    const own = rate(key);
    const step = applyFormula(
      MIX_FORMULAS.area,
      { area_m2, rate_lm2: own.value, times },
      { source: sourceOf(own.basis), remark: own.word },
    );
    return { value: step.value, why: [step] };
  };
  const wet = surfaces
    .filter(({ method, family }) => isLaidWet(method, family))
    .reduce((sum, { area_m2 }) => sum + (area_m2 ?? RULES.usualArea.value), 0);
  const [dry, walls] = [areaOf(PRIMED), areaOf(['textured-wall'])];
  const slip = [used(wet, 'slip-wet-pane'), used(wet, 'slip-wet-both'), used(wet, 'mix-slip-again')];
  const seams_m =
    edgesOf(['column']) / 2 +
    surfaces.filter(({ hasInsideCorner }) => hasInsideCorner === true).length * 2 * 2.5;
  const promoterRate = rate('mix-promoter');
  const promoter = applyFormula(
    MIX_FORMULAS.edge,
    { length_m: seams_m, rate_lm: promoterRate.value },
    { source: sourceOf(promoterRate.basis) },
  );
  const lines: readonly (MixLine | undefined)[] = [
    wet > 0 ? slipLine(input, slip, rate) : undefined,
    wet > 0
      ? plain(
          'cleaner',
          used(wet, 'mix-cleaner'),
          [
            ['concentrate', 1 / 3],
            ['water', 2 / 3],
          ],
          'one third concentrate, two thirds water',
          'Slip is no cleaner: its residue lifts edges.',
          rate,
        )
      : undefined,
    dry > 0
      ? plain(
          'alcohol wipe',
          used(dry + areaOf(['table', 'decal']), 'mix-wipe'),
          [
            ['isopropyl alcohol', 0.7],
            ['water', 0.3],
          ],
          '70 % isopropyl alcohol, 30 % water',
          'Before decor film and corners; wipe dry. No flame, ventilate.',
          rate,
        )
      : undefined,
    dry > 0 ? primerLine(used(dry, 'mix-primer', PRIMER_COATS), primer) : undefined,
    walls > 0
      ? plain(
          'wall wash',
          used(walls, 'mix-wash'),
          [
            ['detergent', ML_PER_US_FL_OZ / ML_PER_US_GALLON],
            ['water', 1 - ML_PER_US_FL_OZ / ML_PER_US_GALLON],
          ],
          '1 fl oz detergent per US gallon',
          'Trisodium phosphate in warm water instead where there is grease.',
          rate,
        )
      : undefined,
    promoter.value > 0
      ? {
          liquid: 'adhesion promoter',
          litres: { value: promoter.value, why: [promoter] },
          parts: [{ word: 'neat', litres: promoter.value }],
          recipe: 'neat',
          bottles: null,
          because: 'On laps, seams and inside corners only; dry 5 to 15 min.',
          verdict: 'go',
          says: '',
        }
      : undefined,
  ];
  return lines.filter((line) => line !== undefined);
}

const PRIMED: readonly string[] = ['decor', 'column', 'furrow'];
/** One coat on the face; cut edges get two or three more, which is reckoned as half as much again. */
const PRIMER_COATS = 1.5;

function bottlesOf(litres: number, size_l: number, each: string): NonNullable<MixLine['bottles']> {
  return { count: Math.max(1, Math.ceil(litres / size_l - 1e-9)), size_l, each };
}

function plain(
  liquid: Liquid,
  litres: Reasoned<number>,
  shares: readonly (readonly [string, number])[],
  recipe: string,
  because: string,
  rate: (key: LearnedKey) => Learned,
): MixLine {
  const size_l = rate('mix-bottle').value / 1000;
  return {
    liquid,
    litres,
    parts: shares.map(([word, share]) => ({ word, litres: litres.value * share })),
    recipe,
    bottles: bottlesOf(
      litres.value,
      size_l,
      shares.map(([word, share]) => `${Math.round(size_l * share * 1000)} ml ${word}`).join(', '),
    ),
    because,
    verdict: 'go',
    says: '',
  };
}

function primerLine(litres: Reasoned<number>, primer: MixInput['primer']): MixLine {
  const thinner = primer === 'water-based' ? 'water' : 'its solvent';
  return {
    liquid: 'primer',
    litres,
    parts: [
      { word: 'primer', litres: litres.value / 2 },
      { word: thinner, litres: litres.value / 2 },
    ],
    recipe: `1 : 1 with ${thinner}`,
    bottles: null,
    because: 'A little more primer in the cold; cut wood edges get 2 or 3 more coats.',
    verdict: 'go',
    says: '',
  };
}

/** Soap to water, by recipe or by caps, held against too lean and too rich. */
function slipLine(
  { slip, air_C, units }: MixInput,
  parts: readonly Reasoned<number>[],
  rate: (key: LearnedKey) => Learned,
): MixLine {
  const litres = parts.reduce((sum, { value }) => sum + value, 0);
  const bottle_ml = rate('mix-bottle').value;
  const mix = SLIP_MIXES.find(({ key }) => key === slip);
  const caps = air_C > WARM_C ? 2 : 1;
  const cap = rate('mix-cap');
  const source: Source = mix === undefined ? sourceOf(cap.basis) : COMMON_PRACTICE;
  const share = applyFormula(
    MIX_FORMULAS.share,
    mix === undefined
      ? { soap_ml: caps * cap.value, water_ml: CAP_WATER_ML }
      : { soap_ml: mix.soap_ml, water_ml: mix.water_ml },
    { source },
  );
  const [lean, rich] = [rate('mix-lean').value, rate('mix-rich').value];
  const state = share.value < lean ? 'lean' : share.value > rich ? 'rich' : 'fit';
  const perBottle =
    mix === undefined
      ? `${Math.round(caps * (bottle_ml / CAP_WATER_ML) * 10) / 10} ${caps === 1 ? 'cap' : 'caps'}`
      : `${Math.round(share.value * bottle_ml * 10) / 10} ml soap`;
  return {
    liquid: 'slip',
    litres: { value: litres, why: [...parts.flatMap(({ why }) => why), share] },
    parts: [
      { word: 'soap', litres: litres * share.value },
      { word: 'water', litres },
    ],
    recipe: mix === undefined ? `${caps} ${caps === 1 ? 'cap' : 'caps'} per 32 fl oz` : mix.recipe,
    bottles: bottlesOf(litres, bottle_ml / 1000, perBottle),
    because:
      mix === undefined
        ? `It will be ${Math.round(air_C)} °C: ${caps === 2 ? 'over 22 °C a second cap' : 'one cap is enough up to 22 °C'}.${cap.basis === 'measured' ? '' : ' How much a cap holds is not known: measure it once.'}`
        : mix.remark,
    verdict: state === 'fit' ? (mix === undefined && cap.basis !== 'measured' ? 'unknown' : 'go') : 'stop',
    says:
      state === 'lean'
        ? 'Too lean: the film cannot be moved.'
        : state === 'rich'
          ? 'Too rich: it will not stick and lifts later.'
          : `${(share.value * 100).toFixed(2)} % soap${units === 'imperial' ? `, ${((litres * 1000) / ML_PER_US_FL_OZ).toFixed(0)} fl oz in all` : ''}`,
  };
}
