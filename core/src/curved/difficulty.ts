import type { Source } from '../quantity';

export interface Difficulty {
  readonly word:
    | 'flat enough'
    | 'a few folds'
    | 'many folds'
    | 'more than the film gives'
    | 'saddle: the film would have to stretch';
  readonly where: 'evenly' | 'at the top' | 'at the bottom';
  /** How much too long the film is along the worse edge. */
  readonly surplus_mm: number;
  /** The most that a film gives, as a share of the edge. */
  readonly most_share: number;
}

/**
 * Where the words change, of the surplus and of its share of the edge. Shown to the person and open to change
 * by what film and hand can do.
 */
const HARDNESS_LIMITS: {
  readonly flat_mm: number;
  readonly easy_share: number;
  readonly most_share: number;
  readonly lopsided: number;
  readonly source: Source;
} = {
  flat_mm: 1.5,
  easy_share: 0.01,
  most_share: 0.03,
  lopsided: 1.6,
  source: { kind: 'our guess', text: 'our guess: no limits are handed down' },
};

/** A plain word for how hard a curved pane will be, from the film too long at its edges, mm. */
export function difficultyOf({
  top_mm,
  bottom_mm,
  width_mm,
}: {
  readonly top_mm: number;
  readonly bottom_mm: number;
  readonly width_mm: number;
}): Difficulty {
  const { flat_mm, easy_share, most_share, lopsided } = HARDNESS_LIMITS;
  const worst = Math.max(top_mm, bottom_mm);
  const where =
    top_mm > lopsided * Math.max(bottom_mm, 0.1)
      ? 'at the top'
      : bottom_mm > lopsided * Math.max(top_mm, 0.1)
        ? 'at the bottom'
        : 'evenly';
  const said = { surplus_mm: worst, most_share };
  if (Math.min(top_mm, bottom_mm) < -flat_mm)
    return { word: 'saddle: the film would have to stretch', where, ...said };
  if (worst <= flat_mm) return { word: 'flat enough', where: 'evenly', ...said };
  if (worst / width_mm <= easy_share) return { word: 'a few folds', where, ...said };
  if (worst / width_mm <= most_share) return { word: 'many folds', where, ...said };
  return { word: 'more than the film gives', where, ...said };
}
