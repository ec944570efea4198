import { CORNER_AFTER, CORNER_BEFORE } from './corner';
import { CUT, FINISH_FLAT, GROUND, LAY } from './decor-parts';
import { SEAMS } from './seams';
import type { WorkTemplate } from './template';

/** Walls, doors and panels in decor film, with an inside corner where there is one. */
export const DECOR: WorkTemplate = {
  template: 'decor',
  version: 1,
  of: [{ method: 'decor' }],
  schools: ['corner'],
  steps: [...GROUND, CUT, ...CORNER_BEFORE, LAY, ...SEAMS, ...CORNER_AFTER, ...FINISH_FLAT],
};
