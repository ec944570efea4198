import * as z from 'zod';

/** What glass, its frame and its edge may be, as rows keep it and calculations ask for it. */
export const treatmentSchema = z.enum([
  'annealed',
  'toughened',
  'heat strengthened',
  'laminated',
  'wired',
  'patterned',
  'acrylic',
  'polycarbonate',
  'unknown',
]);
export const frameSchema = z.enum([
  'metal',
  'metal with thermal break',
  'wood',
  'plastic',
  'rubber seal',
  'masonry',
  'unknown',
]);
export const edgeFinishSchema = z.enum(['unseen', 'clean-cut', 'seamed', 'polished', 'damaged', 'unknown']);
