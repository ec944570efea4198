/** A figure nobody has a source for. Shown with its mark; people replace it by what they measure. */
export interface Rate {
  readonly key: string;
  readonly word: string;
  readonly value: number;
  readonly unit: string;
  readonly mark: 'our guess' | 'ask' | 'measured';
}
