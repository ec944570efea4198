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
  { key: 'slip-wet-both', word: 'slip to wet glass and adhesive', value: 0.3, unit: 'l/m²', mark: 'our guess' },
];
