import type { PaneTreatment } from '../job';
import type { Source } from '../quantity';

/** What the rule of thumb says of a filmed pane. */
export type MatrixClass = 'low' | 'check' | 'no' | 'ask';

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
  readonly penalties: readonly string[];
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
  readonly column: 0 | 1 | 2 | 3;
  readonly penalties: readonly string[];
}

/**
 * The second school: a table of glass against absorbed sun, one column worse for each circumstance. Tempered
 * glass stops at 'check'.
 */
export function compatibility(glass: MatrixCase): MatrixAnswer {
  const { treatment, isUnsure, absorbed, penalties } = glass;
  const base = COLUMNS.filter((edge) => absorbed > edge).length;
  const column = Math.min(3, base + penalties.length) as 0 | 1 | 2 | 3;
  if (isUnsure || treatment === 'wired' || treatment === 'patterned' || treatment === 'unknown')
    return { outcome: 'ask', row: 'wired, patterned, damaged or unknown', column, penalties };
  const row = rowOf(glass);
  return { outcome: ROWS[row][column], row, column, penalties };
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
}: Circumstances): readonly string[] {
  return [
    ...((area_m2 ?? 0) > 3 ? ['pane over 3 m²'] : []),
    ...(hasShadeLine ? ['a shade line crosses the pane'] : []),
    ...(blind === 'close or closed' ? ['blind or curtain close behind'] : []),
    ...(heatOutlet === 'near or aimed at the glass' ? ['warm air on the glass'] : []),
    ...(isSolidFrame ? ['solid, cold frame'] : []),
    ...(daySwing_K > 20 ? ['more than 20 K between day and night'] : []),
    ...(tilt_deg < 75 || tilt_deg > 105 ? ['sloped glass'] : []),
    ...(altitude_m > 1000 ? ['more than 1000 m up'] : []),
  ];
}
