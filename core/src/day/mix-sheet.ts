import { type Learned, type LearnedKey, learnedOf, sourceOf } from '../learned';
import { isLaidWet, templateFor } from '../ways';
import { type Reasoned, ML_PER_US_FL_OZ, ML_PER_US_GALLON, applyFormula } from '../quantity';
import { type Liquid, type MixInput, type MixLine, MIX_FORMULAS, bottlesOf } from './mix-line';
import type { Thinner } from './mix-said';
import { shrinkSlipLine, slipLine } from './slip-line';
import { RULES } from '../rules';

/**
 * Everything to be mixed for these surfaces: litres from areas and ways of fitting, scaled to the bottles at
 * hand. Rates of use are our guesses and say so.
 */
export function mixSheet(input: MixInput): readonly MixLine[] {
  const amounts = new Amounts(input);
  const lines: readonly (MixLine | undefined)[] = [
    amounts.wet_m2 > 0 ? slipOf(input, amounts) : undefined,
    amounts.shrunk_m2 > 0
      ? shrinkSlipLine(amounts.used(amounts.shrunk_m2, 'slip-wet-pane'), amounts.rate)
      : undefined,
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

  /** Wetted outside to be shrunk there. */
  get shrunk_m2(): number {
    return this.#area((surface) => this.#isOf(['curved'], surface));
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
      const isInTwo = (surface.schools?.['corner'] ?? surface.ofJob?.['corner']) !== 'quick';
      const corner = surface.hasInsideCorner === true && isInTwo ? 3 : 0;
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

function primerOf({ primer, air_C, coldest_C = air_C }: MixInput, amounts: Amounts): MixLine {
  const litres = amounts.used(amounts.naming('primer brush'), 'mix-primer', PRIMER_COATS);
  return primerLine(litres, primer, coldest_C);
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

/** One coat on the face; cut edges get two or three more, which is calculated as half as much again. */
const PRIMER_COATS = 1.5;

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

function primerLine(litres: Reasoned<number>, primer: MixInput['primer'], coldest_C: number): MixLine {
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
    remarks: [
      { case: 'more in the cold' },
      ...(coldest_C < RULES.coldRoom.value ? [{ case: 'it is cold', air_C: coldest_C } as const] : []),
    ],
    verdict: 'go',
    findings: [],
  };
}
