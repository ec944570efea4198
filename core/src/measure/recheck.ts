import type { Measure } from '../job';
import { RULES } from '../rules';

export interface SideRecheck {
  readonly says: 'fits' | 'too small' | 'too large';
  /** Beyond what fits, mm; 0 when it fits. */
  readonly by_mm: number;
}

interface Recheck {
  readonly width: SideRecheck;
  readonly height: SideRecheck;
  readonly verdict: 'fits' | 'trim it' | 'too small' | 'fits when turned';
}

/** Compares ready-cut film with the pane it is for, before it is wetted.
 *  @param film_mm width and height on its label; @param pane_mm width and height of the glass seen
 *  @source gap of 1.5 to 3 mm a side (common practice, no published source) */
export function recheckFilm(film_mm: readonly [number, number], pane_mm: readonly [number, number]): Recheck {
  const at = (turned: boolean): Pick<Recheck, 'width' | 'height'> => ({
    width: side(film_mm[turned ? 1 : 0], pane_mm[0]),
    height: side(film_mm[turned ? 0 : 1], pane_mm[1]),
  });
  const straight = at(false);
  const fits = ({ width, height }: Pick<Recheck, 'width' | 'height'>): boolean =>
    width.says === 'fits' && height.says === 'fits';
  if (fits(straight)) return { ...straight, verdict: 'fits' };
  if (fits(at(true))) return { ...straight, verdict: 'fits when turned' };
  const isSmall = straight.width.says === 'too small' || straight.height.says === 'too small';
  return { ...straight, verdict: isSmall ? 'too small' : 'trim it' };
}

function side(film: number, pane: number): SideRecheck {
  const largest = pane - 2 * RULES.edgeGap.least;
  const smallest = pane - 2 * RULES.edgeGap.most;
  if (film > largest + 1e-9) return { says: 'too large', by_mm: film - largest };
  if (film < smallest - 1e-9) return { says: 'too small', by_mm: smallest - film };
  return { says: 'fits', by_mm: 0 };
}

/** The two figures on the label of ready-cut film, as measures of the kind 'label'. */
export const LABEL_MEASURES = {
  width: { kind: 'label', fromPoint: 'tl', toPoint: 'tr' },
  height: { kind: 'label', fromPoint: 'tl', toPoint: 'bl' },
} as const;

/** The measure that keeps one of them, when it was taken. */
export function labelMeasure<Kept extends Pick<Measure, 'kind' | 'toPoint'>>(
  measures: readonly Kept[],
  which: keyof typeof LABEL_MEASURES,
): Kept | undefined {
  return measures.find(({ kind, toPoint }) => kind === 'label' && toPoint === LABEL_MEASURES[which].toPoint);
}
