import { CUT, FINISH_STRETCHED, GROUND, HOT_DECOR } from './decor-parts';
import type { WorkTemplate } from './template';

/** Mouldings and furrows. */
export const FURROW: WorkTemplate = {
  template: 'furrow',
  version: 1,
  of: [{ method: 'furrow girth' }],
  schools: ['postHeat'],
  steps: [
    ...GROUND,
    CUT,
    {
      key: 'lay-furrow',
      what: 'Lay as far as the furrow and leave its depth of film. Cut the corner part off, then the rest diagonally. Flat part in, then the mitre.',
      why: 'Bridged film is pulled out of the furrow by the next warm day.',
      tools: ['hard squeegee', 'card', 'snap-off blade'],
      cautions: ['blade', 'liner'],
      skill: 'film',
      needsFit: true,
      air: 'wants clean air',
      takes: ['work-lay-dry', 'work-corner'],
    },
    {
      ...HOT_DECOR,
      key: 'set-furrow',
      what: 'Warm the furrow, press with a soft edge, hold until cool. A curved part: from below upwards, oval strokes, warm air.',
      why: 'Film that pops out was too cold.',
      right: 'It stays down when the hand leaves it.',
      wrong: 'It pops out: too cold. Warm, form, warm, press.',
      tools: ['heat gun', 'heat glove', 'soft pad'],
      takes: ['work-wrap'],
    },
    ...FINISH_STRETCHED,
  ],
};
