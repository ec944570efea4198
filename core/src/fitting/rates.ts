/** A figure nobody has a source for. Shown with its mark; people replace it by what they measure. */
export interface Rate {
  readonly key: string;
  readonly word: string;
  readonly value: number;
  readonly unit: string;
  readonly mark: 'our guess' | 'ask' | 'measured';
}

export const DEFAULT_RATES: readonly Rate[] = [
  { key: 'slip-wet-pane', word: 'slip to wet a pane once', value: 0.1, unit: 'l/m²', mark: 'our guess' },
  { key: 'cut-cross', word: 'a cross-cut: marking, checking, cutting', value: 1.2, unit: 'money', mark: 'our guess' },
  { key: 'cut-slit', word: 'a slit along the roll', value: 0.8, unit: 'money', mark: 'our guess' },
  { key: 'cut-piece', word: 'labelling and putting away a piece', value: 0.5, unit: 'money', mark: 'our guess' },
  { key: 'cut-keep-width', word: 'an offcut is kept from this width', value: 200, unit: 'mm', mark: 'our guess' },
  { key: 'cut-keep-length', word: 'an offcut is kept from this length', value: 500, unit: 'mm', mark: 'our guess' },
  { key: 'cut-keep-share', word: 'worth of an offcut, as a share of new film', value: 0.3, unit: '', mark: 'our guess' },
  { key: 'cut-split', word: 'worth of having one façade from one lot', value: 15, unit: 'money', mark: 'our guess' },
  { key: 'cut-stock-share', word: 'worth of film in stock, as a share of buying it new: it is paid for and ages', value: 0.9, unit: '', mark: 'our guess' },
  { key: 'cut-film', word: 'film a square metre, where no price is kept', value: 10, unit: 'money/m²', mark: 'our guess' },
  { key: 'cut-roll-length', word: 'length of a roll to order', value: 30000, unit: 'mm', mark: 'ask' },
  { key: 'slip-wet-both', word: 'slip to wet glass and adhesive', value: 0.3, unit: 'l/m²', mark: 'our guess' },
];
