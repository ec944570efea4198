import { DETERMINED_WITHIN_MM } from '../job';
import type { Rate } from './rate';
import type { Source } from '../quantity';
import { WORK_RATES, type WorkRateKey } from './work-rates';

const OTHER_RATES = [
  {
    key: 'measure-determined',
    word: 'a size that may be off by more (one standard deviation) is not measured yet',
    value: DETERMINED_WITHIN_MM,
    unit: 'mm',
    mark: 'our guess',
  },
  { key: 'slip-wet-pane', word: 'slip to wet a pane once', value: 0.1, unit: 'l/m²', mark: 'our guess' },
  {
    key: 'slip-wet-both',
    word: 'slip to wet glass and adhesive',
    value: 0.3,
    unit: 'l/m²',
    mark: 'our guess',
  },
  {
    key: 'cut-cross',
    word: 'a cross-cut: marking, checking, cutting',
    value: 1.2,
    unit: 'money',
    mark: 'our guess',
  },
  { key: 'cut-slit', word: 'a slit along the roll', value: 0.8, unit: 'money', mark: 'our guess' },
  {
    key: 'cut-piece',
    word: 'labelling and putting away a piece',
    value: 0.5,
    unit: 'money',
    mark: 'our guess',
  },
  {
    key: 'cut-keep-width',
    word: 'an offcut is kept from this width',
    value: 200,
    unit: 'mm',
    mark: 'our guess',
  },
  {
    key: 'cut-keep-length',
    word: 'an offcut is kept from this length',
    value: 500,
    unit: 'mm',
    mark: 'our guess',
  },
  {
    key: 'cut-keep-share',
    word: 'worth of an offcut, as a share of new film',
    value: 0.3,
    unit: '',
    mark: 'our guess',
  },
  {
    key: 'cut-split',
    word: 'worth of having one façade from one lot',
    value: 15,
    unit: 'money',
    mark: 'our guess',
  },
  {
    key: 'cut-stock-share',
    word: 'worth of film in stock, as a share of buying it new: it is paid for and ages',
    value: 0.9,
    unit: '',
    mark: 'our guess',
  },
  {
    key: 'cut-film',
    word: 'film a square metre, where no price is kept',
    value: 10,
    unit: 'money/m²',
    mark: 'our guess',
  },
  { key: 'cut-roll-length', word: 'length of a roll to order', value: 30000, unit: 'mm', mark: 'ask' },
  {
    key: 'work-hard',
    word: 'a surface that is hard to reach takes so many times as long',
    value: 1.4,
    unit: 'times',
    mark: 'our guess',
  },
  { key: 'wait-putty', word: 'thin putty dry in a room of 20 °C', value: 90, unit: 'min', mark: 'our guess' },
  { key: 'wait-wash', word: 'washed wall dry in a room of 20 °C', value: 90, unit: 'min', mark: 'our guess' },
  {
    key: 'day-warm',
    word: 'glass counts as warm from so much over the air',
    value: 5,
    unit: 'K',
    mark: 'our guess',
  },
  {
    key: 'day-overcast',
    word: 'no direct sun is expected from so much cloud',
    value: 0.9,
    unit: 'share',
    mark: 'our guess',
  },
  {
    key: 'day-ahead',
    word: 'outdoors it must stay warm enough for so long afterwards',
    value: 8,
    unit: 'h',
    mark: 'our guess',
  },
  { key: 'mix-cleaner', word: 'cleaner to wash glass', value: 0.15, unit: 'l/m²', mark: 'our guess' },
  { key: 'mix-wipe', word: 'alcohol wipe before decor film', value: 0.05, unit: 'l/m²', mark: 'our guess' },
  { key: 'mix-primer', word: 'primer, thinned, one coat', value: 0.12, unit: 'l/m²', mark: 'our guess' },
  { key: 'mix-wash', word: 'wash for walls', value: 0.3, unit: 'l/m²', mark: 'our guess' },
  {
    key: 'mix-promoter',
    word: 'adhesion promoter along a seam',
    value: 0.004,
    unit: 'l/m',
    mark: 'our guess',
  },
  {
    key: 'mix-slip-again',
    word: 'slip for misting the face and working',
    value: 0.35,
    unit: 'l/m²',
    mark: 'our guess',
  },
  { key: 'mix-cap', word: 'one cap of slip concentrate', value: 7, unit: 'ml', mark: 'ask' },
  { key: 'mix-bottle', word: 'a spray bottle', value: 946, unit: 'ml', mark: 'our guess' },
  { key: 'mix-lean', word: 'slip is too lean under', value: 0.0004, unit: 'share', mark: 'our guess' },
  { key: 'mix-rich', word: 'slip is too rich over', value: 0.035, unit: 'share', mark: 'our guess' },
] as const satisfies readonly Rate[];

export type RateKey = (typeof OTHER_RATES)[number]['key'] | WorkRateKey;

export const DEFAULT_RATES: readonly Rate[] = [...OTHER_RATES, ...WORK_RATES];
const DEFAULT_BY_KEY = new Map(DEFAULT_RATES.map((rate) => [rate.key, rate]));

/** A rate as people have set it; the default where they have not. The one look-up there is. */
export function rateOf(key: RateKey, kept: readonly Rate[]): Rate {
  const rate = kept.find((own) => own.key === key) ?? DEFAULT_BY_KEY.get(key);
  if (rate === undefined) throw new Error(`no rate of the key ${key}`);
  return rate;
}

/** How a rate's mark is shown as a source. */
export const SOURCE_OF_MARK: Readonly<Record<Rate['mark'], Source>> = {
  'our guess': {
    kind: 'our guess',
    text: 'our guess: nobody has measured it; weigh your bottle before and after, and change the rate in Settings',
  },
  ask: { kind: 'our guess', text: 'not confirmed yet: ask, then change the rate in Settings' },
  measured: { kind: 'measured here', text: 'measured by your own people, see Settings' },
};
