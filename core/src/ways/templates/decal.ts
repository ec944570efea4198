import { days } from '../step-numbers';
import { CLEAR_UP } from './glass-parts';
import type { WorkTemplate } from './template';

/** Lettering and shapes on texture or canvas. */
export const DECAL: WorkTemplate = {
  template: 'decal',
  version: 1,
  of: [{ method: 'textured wall', families: ['wrap'] }],
  schools: [],
  steps: [
    {
      key: 'clean-ground',
      what: 'Brush and wipe the ground. Something hard behind canvas. Cut the border of the decal.',
      why: 'Touching the peaks only is why it falls off.',
      tools: ['brush', 'alcohol wipe', 'backing board', 'gloves'],
      cautions: ['solvent'],
      takes: ['work-rinse', 'work-protect'],
    },
    {
      key: 'tear-plan',
      what: 'Tear plan on paper: which piece holds which, and in what order the pieces go.',
      why: 'A piece torn out of turn takes its neighbour along.',
      tools: [],
      cautions: [],
      takes: ['work-align'],
    },
    {
      key: 'hinge',
      what: 'Place it by eye and level, tape hinge along the top.',
      why: 'It is laid once.',
      tools: ['tape', 'level'],
      cautions: [],
      takes: ['work-align'],
      skill: 'film',
      needsFit: true,
    },
    {
      key: 'transfer',
      what: 'Backing off, watching that every part lets go. Pull it tight, lay from the centre outwards.',
      why: 'Joined parts pull each other up.',
      right: 'Every part stays on the transfer tape.',
      tools: ['soft squeegee', 'liner bin'],
      cautions: ['liner'],
      takes: ['work-decal'],
      skill: 'film',
      needsFit: true,
      air: 'wants clean air',
    },
    {
      key: 'heat-decal',
      what: 'For each piece: transfer tape off, torn small, drawn low while pressing. Heat, gun or hair dryer, never flame, only on strong texture or where a piece lifts; only where it touches, air away from loose parts, too hot to touch. Dab, do not rub. Next piece.',
      why: 'Where it does not touch, heat curls it up.',
      right: 'The texture shows through.',
      wrong: 'A lifting piece is repaired with heat.',
      tools: ['heat gun', 'soft pad', 'heat glove'],
      cautions: ['heatGun', 'smoke', 'hotWall', 'oldPaint'],
      shared: ['heat gun'],
      takes: ['work-face'],
      skill: 'heat',
      needsFit: true,
    },
    CLEAR_UP,
    {
      key: 'handover-decal',
      what: 'Say that it gains strength by itself for about {bond}: hands off.',
      why: 'It is picked at in its first days.',
      numbers: { bond: days(14) },
      tools: [],
      cautions: [],
      takes: ['work-handover'],
    },
  ],
};
