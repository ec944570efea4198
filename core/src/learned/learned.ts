/** On what a figure rests. One list everywhere. */
export const BASES = [
  'common practice',
  'ours',
  'once',
  'second hand',
  'uncertain',
  'ask',
  'measured',
  'published',
  'from memory',
] as const;
export type Basis = (typeof BASES)[number];

/** For what a figure holds, where it does not hold for everything. */
export const SCOPE_KINDS = ['film', 'family', 'wall', 'gun', 'person', 'way'] as const;
export interface Scope {
  readonly kind: (typeof SCOPE_KINDS)[number];
  /** Its id or name. */
  readonly of: string;
}

/**
 * A figure that a shop comes to know by its own work, or goes by until it does. Shown with its basis; people
 * replace it by what they measure.
 */
export interface Learned {
  readonly key: string;
  readonly word: string;
  readonly value: number;
  readonly unit: string;
  readonly basis: Basis;
  /** Null: for everything. */
  readonly scope: Scope | null;
  /** Spread of what was measured, one standard deviation; null: not known. */
  readonly sd: number | null;
  /** How often it was measured; null: never, or nobody counted. */
  readonly n: number | null;
  /** Where it comes from, in a few words. */
  readonly from: string;
}

/** A figure as it stands before anybody has measured. */
export type FirstFigure = Pick<Learned, 'key' | 'word' | 'value' | 'unit' | 'basis'>;

/** Whether it is the size of a bottle or a cap: more than nothing, and typed as it stands there. */
export const isVolume = ({ unit }: Pick<Learned, 'unit'>): boolean => unit === 'ml';
