import { type Learned, type LearnedKey, sourceOf } from '../learned';
import { SLIP_MIXES } from '../ways';
import { type Reasoned, type Source, COMMON_PRACTICE, ML_PER_US_FL_OZ, applyFormula } from '../quantity';
import type { IntoBottle, MixRecipe, MixRemark } from './mix-said';
import { type Liquid, type MixInput, type MixLine, MIX_FORMULAS, bottlesOf } from './mix-line';

const CAP_WATER_ML = 32 * ML_PER_US_FL_OZ;
/** Over this a second cap. */
const WARM_C = 22;
/** Water for one cap of concentrate, and the warmth from which it takes two. */
export const CAP_RULE = { water_l: CAP_WATER_ML / 1000, warm_C: WARM_C } as const;

/** What is taken for the soap, and the bottle it goes into. */
interface SlipMade {
  readonly share: ReturnType<typeof applyFormula<{ soap_ml: number; water_ml: number }>>;
  readonly recipe: MixRecipe;
  readonly remark: MixRemark;
  readonly into: IntoBottle;
  /** Nobody has measured what is counted in. */
  readonly isUnknown: boolean;
}

const STRONG = SLIP_MIXES.find(({ key }) => key === 'strong');

function shareOf(soap_ml: number, water_ml: number, source: Source): SlipMade['share'] {
  return applyFormula(MIX_FORMULAS.share, { soap_ml, water_ml }, { source });
}

function byRecipe(mix: (typeof SLIP_MIXES)[number], bottle_ml: number): SlipMade {
  const share = shareOf(mix.soap_ml, mix.water_ml, COMMON_PRACTICE);
  return {
    share,
    recipe: { case: 'as the recipe says', recipe: mix.recipe },
    remark: { case: 'remark of the recipe', remark: mix.remark },
    into: { case: 'volume', word: 'soap', litres: (share.value * bottle_ml) / 1000 },
    isUnknown: false,
  };
}

function byCaps(air_C: number, bottle_ml: number, cap: Learned): SlipMade {
  const caps = air_C > WARM_C ? 2 : 1;
  return {
    share: shareOf(caps * cap.value, CAP_WATER_ML, sourceOf(cap.basis)),
    recipe: { case: 'by caps', caps },
    remark: { case: 'caps by warmth', air_C, caps, over_C: WARM_C },
    into: { case: 'caps', caps: caps * (bottle_ml / CAP_WATER_ML) },
    isUnknown: cap.basis !== 'measured',
  };
}

function asItWasRight(right: Learned, bottle_ml: number): SlipMade {
  return {
    share: shareOf(right.value * bottle_ml, bottle_ml, sourceOf(right.basis)),
    recipe: { case: 'as it was right', share: right.value },
    remark: { case: 'as the slide test found' },
    into: { case: 'volume', word: 'soap', litres: (right.value * bottle_ml) / 1000 },
    isUnknown: false,
  };
}

/** Soap to water for laying film, held against too lean and too rich for it. */
export function slipLine(
  { slip, air_C }: MixInput,
  parts: readonly Reasoned<number>[],
  rate: (key: LearnedKey) => Learned,
): MixLine {
  const bottle_ml = rate('mix-bottle').value;
  const mix = SLIP_MIXES.find(({ key }) => key === slip);
  const made =
    mix !== undefined
      ? byRecipe(mix, bottle_ml)
      : slip === 'own'
        ? asItWasRight(rate('mix-right'), bottle_ml)
        : byCaps(air_C, bottle_ml, rate('mix-cap'));
  const warmth: readonly MixRemark[] =
    air_C > WARM_C && made.recipe.case !== 'by caps' ? [{ case: 'it is warm', air_C, over_C: WARM_C }] : [];
  const line = lineOf('slip', made, parts, {
    lean: rate('mix-lean').value,
    rich: rate('mix-rich-flat').value,
    bottle_ml,
  });
  return { ...line, remarks: [...line.remarks, ...warmth] };
}

/** Richer, and outside alone: judged by what shrinking bears. */
export function shrinkSlipLine(
  litres: Reasoned<number>,
  rate: (key: LearnedKey) => Learned,
): MixLine | undefined {
  if (STRONG === undefined) return undefined;
  const bottle_ml = rate('mix-bottle').value;
  return lineOf(
    'slip for shrinking',
    { ...byRecipe(STRONG, bottle_ml), remark: { case: 'outside only' } },
    [litres],
    { lean: rate('mix-lean').value, rich: rate('mix-rich').value, bottle_ml },
  );
}

function lineOf(
  liquid: Liquid,
  { share, recipe, remark, into, isUnknown }: SlipMade,
  parts: readonly Reasoned<number>[],
  { lean, rich, bottle_ml }: { readonly lean: number; readonly rich: number; readonly bottle_ml: number },
): MixLine {
  const litres = parts.reduce((sum, { value }) => sum + value, 0);
  const state = share.value < lean ? 'lean' : share.value > rich ? 'rich' : 'fit';
  return {
    liquid,
    litres: { value: litres, why: [...parts.flatMap(({ why }) => why), share] },
    parts: [
      { word: 'soap', litres: litres * share.value },
      { word: 'water', litres },
    ],
    recipe,
    bottles: bottlesOf(litres, bottle_ml / 1000, [into]),
    remarks: [remark],
    verdict: state === 'fit' ? (isUnknown ? 'unknown' : 'go') : 'stop',
    findings: [
      state === 'fit' ? { case: 'share of soap', share: share.value } : { case: `too ${state}` },
      ...(isUnknown ? [{ case: 'cap not measured' } as const] : []),
    ],
  };
}
