import { mm } from '../step-numbers';
import { CONDITION, FINISH_STRETCHED, HOT_DECOR } from './decor-parts';
import type { WorkTemplate } from './template';

const CLEAN_FACE = { least: 0, most: 60, why: 'dust and hands settle on a clean face' };

/** Tables, counters, doors and panels whose edges are wrapped. */
export const TABLE: WorkTemplate = {
  template: 'table',
  version: 1,
  of: [{ method: 'wrapped edges' }],
  schools: ['stretch', 'postHeat'],
  steps: [
    CONDITION,
    {
      key: 'hardware-off',
      what: 'Hardware off and logged, screws with it.',
      why: 'Film cut round a handle lifts there first.',
      tools: ['screwdriver'],
      cautions: [],
      takes: ['work-hardware'],
    },
    {
      key: 'remover',
      what: 'Remover, then finish cleaner. Dry with lint-free paper.',
      why: 'Polish and hand grease keep adhesive off.',
      tools: ['lint-free paper', 'cleaner', 'alcohol wipe', 'gloves'],
      cautions: ['solvent'],
      takes: ['work-clean'],
      then: CLEAN_FACE,
    },
    {
      key: 'dry-run',
      what: 'Roll the film out dry with its liner on: does it cover, with its overhang on every side?',
      why: 'Proves that it covers before anything is open.',
      right: 'Overhang on every side.',
      tools: ['tape measure'],
      cautions: [],
      takes: ['work-remeasure'],
      then: CLEAN_FACE,
    },
    {
      key: 'lay-table',
      what: '{start} of liner off, line up. Full lapping strokes, the liner a few centimetres at a time.',
      why: 'Open adhesive finds dust and itself.',
      numbers: { start: mm(50) },
      tools: ['hard squeegee', 'liner bin'],
      cautions: ['liner', 'largeSheet'],
      crew: 'large',
      skill: 'film',
      needsFit: true,
      air: 'wants clean air',
      takes: ['work-handling', 'work-lay-dry'],
      draws: 'strokes',
    },
    {
      ...HOT_DECOR,
      key: 'wrap',
      what: 'Edges and corners turned round, long edges first, corners last, hands so that the surplus divides.',
      variants: [
        {
          school: 'stretch',
          says: {
            warm: 'Warm the film and turn it warm.',
            'almost cold': 'Heat the film, let it nearly cool, then turn it.',
          },
        },
      ],
      why: 'Hauled round a corner it thins and draws back. Cast film and cast laminate only.',
      wrong: 'The film whitens or thins: too far, too cold. Let go, warm, again.',
      tools: ['heat gun', 'heat glove', 'gloves', 'squeegee with buffer'],
      takes: ['work-wrap'],
    },
    ...FINISH_STRETCHED,
  ],
};
