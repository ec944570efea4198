import type { FirstFigure } from './learned';

/**
 * How long work takes, by what it counts. Nobody has published these: our guesses until a crew has timed its
 * own.
 */
const TAKES = [
  ['work-protect', 'covering, masking, clearing the way', 6, 'min'],
  ['work-remeasure', 'holding the blank against the surface', 2, 'min'],
  ['work-sealant', 'cutting stray sealant out', 1, 'min/m'],
  ['work-clean', 'cleaning glass with blade and pad', 5, 'min/m²'],
  ['work-dry-edges', 'drying edges with paper', 0.6, 'min/m'],
  ['work-rinse', 'last rinse', 1.5, 'min/m²'],
  ['work-liner', 'taking the liner off and laying', 2.5, 'min/m²'],
  ['work-handling', 'getting a sheet to its place', 2, 'min'],
  ['work-align', 'levelling and looking again', 3, 'min'],
  ['work-lock', 'locking strokes', 1, 'min/m²'],
  ['work-trim', 'trimming', 1.2, 'min/m'],
  ['work-trim-sides', 'trimming the two sides alone', 0.6, 'min/m'],
  ['work-trim-one', 'trimming one edge alone', 0.3, 'min/m'],
  ['work-trim-two', 'trimming two edges alone', 0.6, 'min/m'],
  ['work-squeeze', 'squeezing water out', 4, 'min/m²'],
  ['work-edges', 'blotting and pressing edges', 1, 'min/m'],
  ['work-look', 'looking it over', 1.5, 'min/m²'],
  ['work-handover', 'telling the customer', 4, 'min'],
  ['work-hardware', 'taking hardware off, or putting it back', 5, 'min'],
  ['work-beads', 'taking glazing beads out, or putting them back', 2, 'min/m'],
  ['work-putty', 'filling', 3, 'min/m²'],
  ['work-sand', 'sanding and brushing', 5, 'min/m²'],
  ['work-sand-primer', 'sanding primer lightly and brushing', 1.5, 'min/m²'],
  ['work-prime', 'one coat of primer', 4, 'min/m²'],
  ['work-prime-edges', 'two more coats on cut edges', 1.5, 'min/m'],
  ['work-cut', 'cutting on the mat', 4, 'min'],
  ['work-lay-dry', 'laying decor film a hand at a time', 12, 'min/m²'],
  ['work-lay-half', 'laying half a column a hand at a time', 6, 'min/m²'],
  ['work-mask-seam', 'straight tape along a seam', 0.5, 'min/m'],
  ['work-promoter', 'promoter with masking', 1.5, 'min/m'],
  ['work-seam', 'making a seam', 3, 'min/m'],
  ['work-corner', 'turning and trimming a corner', 4, 'min/m'],
  ['work-wrap', 'turning warm edges', 4, 'min/m'],
  ['work-post-heat', 'heating after stretching and reading it', 0.32, 'min/m'],
  ['work-wash', 'washing a wall', 3, 'min/m²'],
  ['work-face', 'gun and roller over the face, 50 mm a second, overlapping 50 mm', 3.3, 'min/m²'],
  ['work-edges-hot', 'gun and small roller along the edges', 0.7, 'min/m'],
  ['work-obstacles', 'forming film round obstacles', 5, 'min'],
  ['work-joints', 'pressing joints', 5, 'min/m²'],
  ['work-folds', 'carding the surplus into folds', 6, 'min/m²'],
  ['work-shrink', 'shrinking fold by fold', 10, 'min/m²'],
  ['work-sweep', 'lifting and sweeping', 0.7, 'min/m²'],
  ['work-fit-curved', 'rolling up, carrying in, laying inside', 10, 'min/m²'],
  ['work-decal', 'transfer, tape off, dab down', 20, 'min/m²'],
  ['work-remove-old', 'soaking and drawing old film or stickers off, and their adhesive', 15, 'min/m²'],
  ['work-clear-up', 'counting tools, wiping the floor', 2, 'min'],
  ['work-park-gun', 'parking the gun, looking again', 1, 'min'],
  ['work-condition', 'bringing in, reading temperatures, the test piece', 10, 'min'],
] as const satisfies readonly (readonly [string, string, number, string])[];

export type DurationKey = (typeof TAKES)[number][0];

export const DURATIONS: readonly FirstFigure[] = TAKES.map(([key, word, value, unit]) => ({
  key,
  word,
  value,
  unit,
  basis: 'ours',
}));
