import { type Learned, type LearnedKey, learnedOf, sourceOf } from '../learned';
import { SLIP_MIXES, isLaidWet, templateFor } from '../ways';
import {
  type Formula,
  type Reasoned,
  type Source,
  type Verdict,
  COMMON_PRACTICE,
  ML_PER_US_FL_OZ,
  ML_PER_US_GALLON,
  applyFormula,
} from '../quantity';
import type { DaySurface } from './day-problem';
import type { IntoBottle, MixFinding, MixRecipe, MixRemark, Thinner } from './mix-said';
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
  readonly recipe: MixRecipe;
  /** Bottles of the size at hand, and what goes into each beside water. */
  readonly bottles: {
    readonly count: number;
    readonly size_l: number;
    readonly each: readonly IntoBottle[];
  } | null;
  readonly remarks: readonly MixRemark[];
  readonly verdict: Verdict;
  readonly findings: readonly MixFinding[];
}

export interface MixInput {
  readonly surfaces: readonly Pick<
    DaySurface,
    'method' | 'family' | 'area_m2' | 'edge_m' | 'height_m' | 'hasInsideCorner' | 'drops' | 'seam'
  >[];
  /** By the cap of a concentrate, or the key of a recipe. */
  readonly slip: string;
  readonly primer: 'water-based' | 'solvent-based';
  /** Warmest air while the work goes on. */
  readonly air_C: number;
  readonly learned?: readonly Learned[];
}

const CAP_WATER_ML = 32 * ML_PER_US_FL_OZ;
/** Over this a second cap. */
const WARM_C = 22;
/** Water for one cap of concentrate, and the warmth from which it takes two. */
export const CAP_RULE = { water_l: CAP_WATER_ML / 1000, warm_C: WARM_C } as const;

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
  const amounts = new Amounts(input);
  const lines: readonly (MixLine | undefined)[] = [
    amounts.wet_m2 > 0 ? slipOf(input, amounts) : undefined,
    amounts.naming('cleaner') > 0 ? cleanerOf(amounts) : undefined,
    amounts.naming('alcohol wipe') > 0 ? wipeOf(amounts) : undefined,
    amounts.naming('primer brush') > 0 ? primerOf(input, amounts) : undefined,
    amounts.naming('wall wash') > 0 ? wallWashOf(amounts) : undefined,
    promoterOf(amounts),
  ];
  return lines.filter((line) => line !== undefined);
}

/** How much there is to wet, wipe and paint, and what each square metre takes. */
class Amounts {
  constructor(private readonly input: MixInput) {}

  readonly rate = (key: LearnedKey): Learned => learnedOf(key, this.input.learned ?? []);

  get wet_m2(): number {
    return this.#area(({ method, family }) => isLaidWet(method, family));
  }

  /** Of every surface whose way of working names such a liquid, or what it is put on with. */
  naming(tool: string): number {
    return this.#area(({ method, family }) =>
      (templateFor(method ?? 'trim in place', family)?.steps ?? []).some(({ tools }) => tools.includes(tool)),
    );
  }

  /** Laps of columns and sheets, and corners on both walls and over the turned strip, by their height. */
  get seams_m(): number {
    const heightOf = ({ height_m }: MixInput['surfaces'][number]): number =>
      height_m ?? RULES.usualHeight.value;
    return this.input.surfaces.reduce((sum, surface) => {
      const lap = this.#isOf(['column'], surface) ? 1 : 0;
      const corner = surface.hasInsideCorner === true ? 3 : 0;
      const seams = surface.seam === 'lap over promoter' ? (surface.drops ?? 1) - 1 : 0;
      return sum + (lap + corner + seams) * heightOf(surface);
    }, 0);
  }

  used(area_m2: number, key: LearnedKey, times = 1): Reasoned<number> {
    const own = this.rate(key);
    const step = applyFormula(
      MIX_FORMULAS.area,
      { area_m2, rate_lm2: own.value, times },
      { source: sourceOf(own.basis), remark: own.word },
    );
    return { value: step.value, why: [step] };
  }

  #area(isOne: (surface: MixInput['surfaces'][number]) => boolean): number {
    return this.input.surfaces
      .filter(isOne)
      .reduce((sum, { area_m2 }) => sum + (area_m2 ?? RULES.usualArea.value), 0);
  }

  #isOf(templates: readonly string[], { method, family }: MixInput['surfaces'][number]): boolean {
    return templates.includes(templateFor(method ?? 'trim in place', family)?.template ?? '');
  }
}

function slipOf(input: MixInput, amounts: Amounts): MixLine {
  const keys = ['slip-wet-pane', 'slip-wet-both', 'mix-slip-again'] as const;
  const slip = keys.map((key) => amounts.used(amounts.wet_m2, key));
  return slipLine(input, slip, amounts.rate);
}

function cleanerOf(amounts: Amounts): MixLine {
  return plain(
    'cleaner',
    amounts.used(amounts.naming('cleaner'), 'mix-cleaner'),
    [
      ['concentrate', 1 / 3],
      ['water', 2 / 3],
    ],
    'one third concentrate',
    'residue lifts edges',
    amounts.rate,
  );
}

function wipeOf(amounts: Amounts): MixLine {
  return plain(
    'alcohol wipe',
    amounts.used(amounts.naming('alcohol wipe'), 'mix-wipe'),
    [
      ['isopropyl alcohol', 0.7],
      ['water', 0.3],
    ],
    'seventy to thirty alcohol',
    'before decor and corners',
    amounts.rate,
  );
}

function primerOf({ primer }: MixInput, amounts: Amounts): MixLine {
  return primerLine(amounts.used(amounts.naming('primer brush'), 'mix-primer', PRIMER_COATS), primer);
}

function wallWashOf(amounts: Amounts): MixLine {
  const detergent = ML_PER_US_FL_OZ / ML_PER_US_GALLON;
  return plain(
    'wall wash',
    amounts.used(amounts.naming('wall wash'), 'mix-wash'),
    [
      ['detergent', detergent],
      ['water', 1 - detergent],
    ],
    'an ounce a gallon',
    'for grease',
    amounts.rate,
  );
}

function promoterOf(amounts: Amounts): MixLine | undefined {
  const rate = amounts.rate('mix-promoter');
  const promoter = applyFormula(
    MIX_FORMULAS.edge,
    { length_m: amounts.seams_m, rate_lm: rate.value },
    { source: sourceOf(rate.basis) },
  );
  if (!(promoter.value > 0)) return undefined;
  return {
    liquid: 'adhesion promoter',
    litres: { value: promoter.value, why: [promoter] },
    parts: [{ word: 'neat', litres: promoter.value }],
    recipe: { case: 'neat' },
    bottles: null,
    remarks: [{ case: 'laps and corners only' }],
    verdict: 'go',
    findings: [],
  };
}

/** One coat on the face; cut edges get two or three more, which is reckoned as half as much again. */
const PRIMER_COATS = 1.5;

function bottlesOf(
  litres: number,
  size_l: number,
  each: readonly IntoBottle[],
): NonNullable<MixLine['bottles']> {
  return { count: Math.max(1, Math.ceil(litres / size_l - 1e-9)), size_l, each };
}

function plain(
  liquid: Liquid,
  litres: Reasoned<number>,
  shares: readonly (readonly [string, number])[],
  recipe: 'one third concentrate' | 'seventy to thirty alcohol' | 'an ounce a gallon',
  remark: 'residue lifts edges' | 'before decor and corners' | 'for grease',
  rate: (key: LearnedKey) => Learned,
): MixLine {
  const size_l = rate('mix-bottle').value / 1000;
  return {
    liquid,
    litres,
    parts: shares.map(([word, share]) => ({ word, litres: litres.value * share })),
    recipe: { case: recipe },
    bottles: bottlesOf(
      litres.value,
      size_l,
      shares.map(([word, share]) => ({ case: 'volume', word, litres: size_l * share })),
    ),
    remarks: [{ case: remark }],
    verdict: 'go',
    findings: [],
  };
}

function primerLine(litres: Reasoned<number>, primer: MixInput['primer']): MixLine {
  const thinner: Thinner = primer === 'water-based' ? 'water' : 'its solvent';
  return {
    liquid: 'primer',
    litres,
    parts: [
      { word: 'primer', litres: litres.value / 2 },
      { word: thinner, litres: litres.value / 2 },
    ],
    recipe: { case: 'one to one', thinner },
    bottles: null,
    remarks: [{ case: 'more in the cold' }],
    verdict: 'go',
    findings: [],
  };
}

/** Soap to water, by recipe or by caps, held against too lean and too rich. */
function slipLine(
  { slip, air_C }: MixInput,
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
  const into: IntoBottle =
    mix === undefined
      ? { case: 'caps', caps: caps * (bottle_ml / CAP_WATER_ML) }
      : { case: 'volume', word: 'soap', litres: (share.value * bottle_ml) / 1000 };
  const isCapUnknown = mix === undefined && cap.basis !== 'measured';
  return {
    liquid: 'slip',
    litres: { value: litres, why: [...parts.flatMap(({ why }) => why), share] },
    parts: [
      { word: 'soap', litres: litres * share.value },
      { word: 'water', litres },
    ],
    recipe:
      mix === undefined ? { case: 'by caps', caps } : { case: 'as the recipe says', recipe: mix.recipe },
    bottles: bottlesOf(litres, bottle_ml / 1000, [into]),
    remarks: [
      mix === undefined
        ? { case: 'caps by warmth', air_C, caps, over_C: WARM_C }
        : { case: 'remark of the recipe', remark: mix.remark },
    ],
    verdict: state === 'fit' ? (isCapUnknown ? 'unknown' : 'go') : 'stop',
    findings: [
      state === 'fit' ? { case: 'share of soap', share: share.value } : { case: `too ${state}` },
      ...(isCapUnknown ? [{ case: 'cap not measured' } as const] : []),
    ],
  };
}
