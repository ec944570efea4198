import { mm } from '../step-numbers';
import { promoter } from './decor-parts';
import type { StepCase, StepTemplate } from './template';

const seamsIn = ({ drops }: StepCase): number => Math.max(0, drops - 1);
const isLap = (own: StepCase): boolean => seamsIn(own) > 0 && own.seam === 'lap over promoter';
const isDouble = (own: StepCase): boolean => seamsIn(own) > 0 && own.seam === 'double cut';

const AT_SEAM = {
  along: 'height',
  air: 'wants clean air',
  skill: 'film',
  needsFit: true,
  rounds: seamsIn,
} as const satisfies Partial<StepTemplate>;

const LAP: readonly StepTemplate[] = [
  {
    ...AT_SEAM,
    key: 'lap-mask',
    what: 'Mask everything but the lap along the edge that is laid.',
    why: 'Promoter beside the lap shows through and takes dust.',
    tools: ['masking tape'],
    cautions: [],
    takes: ['work-mask-seam'],
    when: isLap,
    leftOut: 'it is laid in one sheet, or its seams are made otherwise',
  },
  { ...promoter({ key: 'lap-promoter', what: 'Promoter on the lap.', when: isLap }), rounds: seamsIn },
  {
    ...AT_SEAM,
    key: 'lap',
    what: 'Mask off. Lay the next sheet over the lap and press it, then trim it straight.',
    why: 'The tape would lie under the seam; a wandering edge looks like a fault.',
    tools: ['hard squeegee', 'straight-edge', 'snap-off blade'],
    cautions: ['blade', 'liner'],
    takes: ['work-seam'],
    when: isLap,
  },
];

const DOUBLE: readonly StepTemplate[] = [
  {
    ...AT_SEAM,
    key: 'double-liner',
    what: 'Leave {strip} of liner under the edge of both sheets: cut only the liner there.',
    why: 'What is cut away must not stick to the wall.',
    numbers: { strip: mm(50) },
    tools: ['liner knife'],
    cautions: ['blade', 'liner'],
    takes: ['work-mask-seam'],
    when: isDouble,
  },
  {
    ...AT_SEAM,
    key: 'double-cut',
    what: 'The second sheet laps {lap}: tack it left and right, press the lap. Then cut through both along a straight-edge, and take both waste strips out.',
    why: 'Cut through both at once, the edges meet whatever the wall does.',
    numbers: { lap: mm(50) },
    tools: ['straight-edge', 'snap-off blade', 'hard squeegee'],
    cautions: ['blade'],
    takes: ['work-seam'],
    when: isDouble,
  },
  {
    ...AT_SEAM,
    key: 'double-press',
    what: 'Liner off along the seam, and press it.',
    why: 'An edge that is not pressed at once takes dust.',
    tools: ['hard squeegee', 'liner bin'],
    cautions: ['liner'],
    takes: ['work-mask-seam'],
    when: isDouble,
  },
];

/** Seams between the sheets of a wall, after their faces. That both are cut through last is ours. */
export const SEAMS: readonly StepTemplate[] = [...LAP, ...DOUBLE];
