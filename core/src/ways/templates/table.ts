import { mm } from '../step-numbers';
import { CUT, FINISH_STRETCHED, GROUND } from './decor-parts';
import type { WorkTemplate } from './template';

/** Tables, counters and panels whose edges are wrapped. Common practice, no published source. */
export const TABLE: WorkTemplate = {
  template: 'table',
  version: 1,
  steps: [
    {
      key: 'remover',
      what: 'Remover, then finish cleaner. Dry with lint-free paper.',
      why: 'Polish and hand grease keep adhesive off.',
      tools: ['lint-free paper', 'cleaner', 'alcohol wipe'],
      cautions: ['solvent'],
      takes: ['work-clean'],
      then: { least: 0, most: 60, why: 'dust and hands settle on a clean face' },
    },
    {
      key: 'dry-run',
      what: 'Roll the film out dry on the surface with the liner on.',
      why: 'Proves that it covers before anything is open.',
      tools: ['tape measure'],
      cautions: [],
      takes: ['work-remeasure'],
      then: { least: 0, most: 60, why: 'dust and hands settle on a clean face' },
    },
    {
      key: 'lay-table',
      what: '{start} of liner off, line up, full strokes, the liner a few centimetres at a time.',
      why: 'Open adhesive finds dust and itself.',
      numbers: { start: mm(50) },
      tools: ['hard squeegee', 'liner bin'],
      cautions: ['liner', 'largeSheet'],
      crew: 'large',
      skill: 'film',
      needsFit: true,
      air: 'wants clean air',
      takes: ['work-handling', 'work-lay-dry'],
    },
    {
      key: 'wrap',
      what: 'Warm the edge film and turn it round: long edges first, corners last, hands so that the surplus divides.',
      why: 'Hauled round a corner it thins and draws back.',
      tools: ['heat gun', 'gloves', 'squeegee with buffer'],
      cautions: ['heatGun'],
      shared: ['heat gun'],
      skill: 'heat',
      needsFit: true,
      takes: ['work-wrap'],
    },
    ...FINISH_STRETCHED,
  ],
};

/** Mouldings and furrows. Common practice, no published source. */
export const FURROW: WorkTemplate = {
  template: 'furrow',
  version: 1,
  steps: [
    ...GROUND,
    CUT,
    {
      key: 'lay-furrow',
      what: 'Lay as far as the furrow and leave its depth of film. Cut the corners diagonally. Press the flat part in, then the mitre.',
      why: 'Bridged film is pulled out of the furrow by the next warm day.',
      tools: ['hard squeegee', 'card', 'snap-off blade'],
      cautions: ['blade', 'liner'],
      skill: 'film',
      needsFit: true,
      air: 'wants clean air',
      takes: ['work-lay-dry', 'work-corner'],
    },
    {
      key: 'set-furrow',
      what: 'Warm the furrow, press with a soft edge, hold until cool.',
      why: 'Film that pops out was too cold.',
      tools: ['heat gun', 'soft pad'],
      cautions: ['heatGun'],
      shared: ['heat gun'],
      skill: 'heat',
      needsFit: true,
      takes: ['work-wrap'],
    },
    ...FINISH_STRETCHED,
  ],
};
