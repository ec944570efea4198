import { DETERMINED_WITHIN_MM } from '../job';
import { DURATIONS, type DurationKey } from './durations';
import type { FirstFigure, Learned } from './learned';

const OTHERS = [
  {
    key: 'measure-determined',
    word: 'a size that may be off by more (one standard deviation) is not measured yet',
    value: DETERMINED_WITHIN_MM,
    unit: 'mm',
    basis: 'ours',
  },
  { key: 'slip-wet-pane', word: 'slip to wet a pane once', value: 0.1, unit: 'l/m²', basis: 'ours' },
  {
    key: 'slip-wet-both',
    word: 'slip to wet glass and adhesive',
    value: 0.3,
    unit: 'l/m²',
    basis: 'ours',
  },
  {
    key: 'cut-cross',
    word: 'a cross-cut: marking, checking, cutting',
    value: 1.2,
    unit: 'money',
    basis: 'ours',
  },
  { key: 'cut-slit', word: 'a slit along the roll', value: 0.8, unit: 'money', basis: 'ours' },
  {
    key: 'cut-piece',
    word: 'labelling and putting away a piece',
    value: 0.5,
    unit: 'money',
    basis: 'ours',
  },
  {
    key: 'cut-keep-width',
    word: 'an offcut is kept from this width',
    value: 200,
    unit: 'mm',
    basis: 'ours',
  },
  {
    key: 'cut-keep-length',
    word: 'an offcut is kept from this length',
    value: 500,
    unit: 'mm',
    basis: 'ours',
  },
  {
    key: 'cut-keep-share',
    word: 'worth of an offcut, as a share of new film',
    value: 0.3,
    unit: '',
    basis: 'ours',
  },
  {
    key: 'cut-split',
    word: 'worth of having one façade from one lot',
    value: 15,
    unit: 'money',
    basis: 'ours',
  },
  {
    key: 'cut-stock-share',
    word: 'worth of film in stock, as a share of buying it new: it is paid for and ages',
    value: 0.9,
    unit: '',
    basis: 'ours',
  },
  {
    key: 'cut-film',
    word: 'film a square metre, where no price is kept',
    value: 10,
    unit: 'money/m²',
    basis: 'ours',
  },
  { key: 'cut-roll-length', word: 'length of a roll to order', value: 30000, unit: 'mm', basis: 'ask' },
  {
    key: 'work-hard',
    word: 'a surface that is hard to reach takes so many times as long',
    value: 1.4,
    unit: 'times',
    basis: 'ours',
  },
  { key: 'wait-putty', word: 'thin putty dry in a room of 20 °C', value: 90, unit: 'min', basis: 'ours' },
  { key: 'wait-wash', word: 'washed wall dry in a room of 20 °C', value: 90, unit: 'min', basis: 'ours' },
  {
    key: 'day-warm',
    word: 'glass counts as warm from so much over the air',
    value: 5,
    unit: 'K',
    basis: 'ours',
  },
  {
    key: 'day-overcast',
    word: 'no direct sun is expected from so much cloud',
    value: 0.9,
    unit: 'share',
    basis: 'ours',
  },
  {
    key: 'day-ahead',
    word: 'outdoors it must stay warm enough for so long afterwards',
    value: 8,
    unit: 'h',
    basis: 'ours',
  },
  { key: 'mix-cleaner', word: 'cleaner to wash glass', value: 0.15, unit: 'l/m²', basis: 'ours' },
  { key: 'mix-wipe', word: 'alcohol wipe before decor film', value: 0.05, unit: 'l/m²', basis: 'ours' },
  { key: 'mix-primer', word: 'primer, thinned, one coat', value: 0.12, unit: 'l/m²', basis: 'ours' },
  { key: 'mix-wash', word: 'wash for walls', value: 0.3, unit: 'l/m²', basis: 'ours' },
  {
    key: 'mix-promoter',
    word: 'adhesion promoter along a seam',
    value: 0.004,
    unit: 'l/m',
    basis: 'ours',
  },
  {
    key: 'mix-slip-again',
    word: 'slip for misting the face and working',
    value: 0.35,
    unit: 'l/m²',
    basis: 'ours',
  },
  { key: 'mix-cap', word: 'one cap of slip concentrate', value: 7, unit: 'ml', basis: 'ask' },
  { key: 'mix-bottle', word: 'a spray bottle', value: 946, unit: 'ml', basis: 'ours' },
  { key: 'mix-lean', word: 'slip is too lean under', value: 0.0004, unit: 'share', basis: 'ours' },
  { key: 'mix-rich', word: 'slip is too rich over', value: 0.035, unit: 'share', basis: 'ours' },
] as const satisfies readonly FirstFigure[];

export type LearnedKey = (typeof OTHERS)[number]['key'] | DurationKey;

/** What everything begins with. */
export const AT_FIRST: readonly Learned[] = [...OTHERS, ...DURATIONS].map((figure) => ({
  ...figure,
  scope: null,
  sd: null,
  n: null,
  from: '',
}));
