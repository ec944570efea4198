import type { IntoBottle, MixFinding, MixRecipe, MixRemark } from '@yellow-pane/core/day';
import type { DisplayUnits } from '@yellow-pane/core/quantity';
import { type Messages, counted, sentenceOf } from './messages';

const RECIPES = {
  'as the recipe says': ({ recipe }) => recipe,
  'as it was right': ({ share }) => `${(share * 100).toFixed(2)} % soap, as it was right before`,
  'by caps': ({ caps }) => `${counted(caps, 'cap')} per 32 fl oz`,
  'one third concentrate': 'one third concentrate, two thirds water',
  'seventy to thirty alcohol': '70 % isopropyl alcohol, 30 % water',
  'an ounce a gallon': '1 fl oz detergent per US gallon',
  'one to one': ({ thinner }) => `1 : 1 with ${thinner}`,
  neat: 'neat',
} satisfies Messages<MixRecipe>;

const REMARKS = {
  'remark of the recipe': ({ remark }) => remark,
  'caps by warmth': ({ air_C, caps, over_C }, { temperature }) =>
    `It will be ${temperature(air_C)}: ${caps === 2 ? `over ${temperature(over_C)} a second cap` : `one cap is enough up to ${temperature(over_C)}`}.`,
  'residue lifts edges': 'Slip is no cleaner: its residue lifts edges.',
  'before decor and corners': 'Before decor film and corners; wipe dry. No flame, ventilate.',
  'for grease': 'Trisodium phosphate in warm water instead where there is grease.',
  'more in the cold': 'A little more primer in the cold; cut wood edges get 2 or 3 more coats.',
  'it is cold': ({ air_C }, { temperature }) =>
    `It will be ${temperature(air_C)}: a little more primer than thinner. How much is not known: ask.`,
  'as the slide test found': 'As the last slide test found it right.',
  'it is warm': ({ air_C, over_C }, { temperature }) =>
    `It will be ${temperature(air_C)}: over ${temperature(over_C)} slip may take up to twice the soap. Slide first.`,
  'outside only': 'For shrinking outside only: far too rich for laying film.',
  'laps and corners only': 'On laps, seams and inside corners only; dry 5 to 15 min.',
} satisfies Messages<MixRemark>;

const FINDINGS = {
  'share of soap': ({ share }) => `${(share * 100).toFixed(2)} % soap`,
  'too lean': 'Too lean: the film cannot be moved.',
  'too rich': 'Too rich: it will not stick and lifts later.',
  'cap not measured': 'How much a cap holds is not known: measure it once.',
} satisfies Messages<MixFinding>;

const INTO_BOTTLE = {
  volume: ({ word, litres }, { volume }) => `${volume(litres)} ${word}`,
  caps: ({ caps }) => counted(Math.round(caps * 10) / 10, 'cap'),
} satisfies Messages<IntoBottle>;

/** How a liquid is mixed. */
export function recipeWords(recipe: MixRecipe, units: DisplayUnits = 'metric'): string {
  return sentenceOf<MixRecipe>(RECIPES, recipe, units);
}

/** Why it is mixed so, and what is found of it. */
export function mixWords(said: MixRemark | MixFinding, units: DisplayUnits = 'metric'): string {
  return sentenceOf<MixRemark | MixFinding>({ ...REMARKS, ...FINDINGS }, said, units);
}

/** What goes into one bottle beside water. */
export function bottleWords(each: readonly IntoBottle[], units: DisplayUnits = 'metric'): string {
  return each.map((into) => sentenceOf<IntoBottle>(INTO_BOTTLE, into, units)).join(', ');
}
