import type { PaneTreatment } from '../job';
import type { Source } from '../quantity';

/** What the rule of thumb says of a filmed pane. */
type MatrixClass = 'low' | 'check' | 'no' | 'ask';

export const MATRIX_SOURCE: Source = {
  kind: 'our guess',
  text: "own conservative judgement, no maker's chart",
};

export interface MatrixCase {
  readonly panes: number;
  /** Of the filmed pane. */
  readonly treatment: PaneTreatment;
  readonly allTempered: boolean;
  readonly thickness_mm: number;
  readonly isOutside: boolean;
  readonly isCoated: boolean;
  readonly isTintedOuter: boolean;
  readonly isUnsure: boolean;
  /** Share of the sun absorbed in the filmed pane, at its place in the unit. */
  readonly absorbed: number;
  /** The same of the pane as it is, without the film that is judged. */
  readonly absorbedBare: number;
  readonly penalties: readonly Penalty[];
}

type Row = readonly [MatrixClass, MatrixClass, MatrixClass, MatrixClass];
const COLUMNS = [0.35, 0.5, 0.65] as const;
const ROWS = {
  'single, up to 7 mm': ['low', 'low', 'check', 'no'],
  'single, 8 to 10 mm, or laminated': ['low', 'check', 'no', 'no'],
  'single, 12 mm and more': ['check', 'no', 'no', 'no'],
  'double clear, film inside': ['low', 'check', 'no', 'no'],
  'double coated or tinted outside, film inside; triple': ['check', 'no', 'no', 'no'],
  'double, film outside': ['low', 'low', 'check', 'no'],
  'heat strengthened or toughened throughout': ['low', 'low', 'low', 'check'],
} as const satisfies Readonly<Record<string, Row>>;

export interface MatrixAnswer {
  readonly outcome: MatrixClass;
  readonly row: keyof typeof ROWS | 'wired, patterned, damaged or unknown';
  /** By the sun absorbed alone, and with what makes it worse. */
  readonly base: number;
  readonly column: 0 | 1 | 2 | 3;
  readonly penalties: readonly Penalty[];
  /** Columns worse because of them: all count in full only for a film that adds a column's width of sun. */
  readonly worse: number;
  readonly absorbed: number;
  /** What the film adds to what the bare pane absorbs. */
  readonly added: number;
}

/** A film that adds less than this to the sun the bare pane absorbs: the rule of thumb is not about it. */
export const ADDS_LITTLE = 0.05;
const COLUMN_WIDTH = 0.15;

/**
 * The second school: a table of glass against absorbed sun, one column worse for each circumstance, in
 * proportion to what the film adds to the bare pane. Tempered glass stops at 'check'.
 */
export function compatibility(glass: MatrixCase): MatrixAnswer {
  const { treatment, isUnsure, absorbed, absorbedBare, penalties } = glass;
  const added = absorbed - absorbedBare;
  const weight = Math.min(1, Math.max(0, added / COLUMN_WIDTH));
  const worse = added <= ADDS_LITTLE ? 0 : Math.round(penalties.length * weight);
  const base = COLUMNS.filter((edge) => absorbed > edge).length;
  const column = Math.min(3, base + worse) as 0 | 1 | 2 | 3;
  const found = { base, column, penalties, worse, absorbed, added };
  if (isUnsure || treatment === 'wired' || treatment === 'patterned' || treatment === 'unknown')
    return { outcome: 'ask', row: 'wired, patterned, damaged or unknown', ...found };
  const row = rowOf(glass);
  return { outcome: added <= ADDS_LITTLE ? 'low' : ROWS[row][column], row, ...found };
}

function rowOf({
  panes,
  treatment,
  allTempered,
  thickness_mm,
  isOutside,
  isCoated,
  isTintedOuter,
}: MatrixCase): keyof typeof ROWS {
  if (allTempered) return 'heat strengthened or toughened throughout';
  if (panes === 1) {
    if (thickness_mm >= 11) return 'single, 12 mm and more';
    return thickness_mm > 7 || treatment === 'laminated'
      ? 'single, 8 to 10 mm, or laminated'
      : 'single, up to 7 mm';
  }
  if (panes === 2 && isOutside) return 'double, film outside';
  return panes > 2 || isCoated || isTintedOuter
    ? 'double coated or tinted outside, film inside; triple'
    : 'double clear, film inside';
}

export interface Circumstances {
  readonly area_m2: number | null;
  readonly hasShadeLine: boolean;
  readonly blind: 'none' | 'vented' | 'close or closed' | 'unknown';
  readonly heatOutlet: 'none' | 'near or aimed at the glass' | 'unknown';
  readonly isSolidFrame: boolean;
  readonly daySwing_K: number;
  readonly tilt_deg: number;
  readonly altitude_m: number;
}

/** A circumstance that makes the same sun worse. */
export type Penalty =
  | { readonly case: 'a large pane'; readonly over_m2: number }
  | { readonly case: 'a shade line crosses it' }
  | { readonly case: 'blind or curtain close behind' }
  | { readonly case: 'warm air on the glass' }
  | { readonly case: 'a solid, cold frame' }
  | { readonly case: 'far from day to night'; readonly over_K: number }
  | { readonly case: 'sloped glass' }
  | { readonly case: 'high up'; readonly over_m: number };

const LARGE_M2 = 3;
const FAR_K = 20;
const HIGH_M = 1000;

/** One column worse for each of these. */
export function penaltiesOf({
  area_m2,
  hasShadeLine,
  blind,
  heatOutlet,
  isSolidFrame,
  daySwing_K,
  tilt_deg,
  altitude_m,
}: Circumstances): readonly Penalty[] {
  const all: readonly (readonly [boolean, Penalty])[] = [
    [(area_m2 ?? 0) > LARGE_M2, { case: 'a large pane', over_m2: LARGE_M2 }],
    [hasShadeLine, { case: 'a shade line crosses it' }],
    [blind === 'close or closed', { case: 'blind or curtain close behind' }],
    [heatOutlet === 'near or aimed at the glass', { case: 'warm air on the glass' }],
    [isSolidFrame, { case: 'a solid, cold frame' }],
    [daySwing_K > FAR_K, { case: 'far from day to night', over_K: FAR_K }],
    [tilt_deg < 75 || tilt_deg > 105, { case: 'sloped glass' }],
    [altitude_m > HIGH_M, { case: 'high up', over_m: HIGH_M }],
  ];
  return all.filter(([applies]) => applies).map(([, penalty]) => penalty);
}
