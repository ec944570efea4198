import { RULES } from '../../rules';
import { mm } from '../step-numbers';
import { ONE_GO } from './pauses';
import type { StepCase, StepTemplate } from './template';

const locked =
  (school: StepCase['schools']['lock']) =>
  ({ schools }: StepCase): boolean =>
    schools.lock === school;
const LOCKS = {
  numbers: { inset: mm(RULES.untrimmedEdge.value) },
  why: 'Tools run on wet film only; near an untrimmed edge, capillary action draws dirt in.',
  tools: ['pump sprayer', 'hard squeegee'],
  cautions: ['wetFloor'],
  takes: ['work-lock'],
  draws: 'lock',
  skill: 'film',
  needsFit: true,
  air: 'wants clean air',
  then: ONE_GO,
  variants: [
    {
      school: 'edges',
      says: {
        untouched: 'Stay about {inset} off the edge until it is trimmed.',
        'worked at once': 'The edges are worked at once: they are not left {inset} free.',
      },
    },
  ],
} as const satisfies Partial<StepTemplate>;

export const LOCK_T: StepTemplate = {
  ...LOCKS,
  key: 'lock-t',
  what: 'Mist the face. One stroke across the top, one down the middle.',
  why: 'Fixes level and centre together; near an untrimmed edge, capillary action draws dirt in.',
};

/** By the school of the lock: one of them is done. */
export const LOCKING: readonly StepTemplate[] = [
  { ...LOCK_T, when: locked('T') },
  {
    ...LOCKS,
    key: 'lock-centre',
    what: 'Mist the face. One upright stroke down the middle.',
    when: locked('centre line'),
  },
  {
    ...LOCKS,
    key: 'lock-x',
    what: 'Mist the face. Stroke from corner to corner both ways.',
    when: locked('X'),
  },
  {
    ...LOCKS,
    key: 'lock-quarters',
    what: 'Mist the face. Press the middle, then the four quarters outwards.',
    when: locked('quarters'),
  },
  {
    ...LOCKS,
    key: 'lock-corners',
    what: 'Mist the face. Upper corners first with a felt edge, light, then firmer.',
    tools: ['pump sprayer', 'felt-edged card'],
    when: locked('upper corners first'),
  },
  {
    ...LOCKS,
    key: 'lock-top',
    what: 'Mist the face. From the top middle outwards and down.',
    when: locked('from the top middle'),
  },
  {
    ...LOCKS,
    key: 'lock-face',
    what: 'Mist the face. Stroke the whole face lightly, only the edges left.',
    when: locked('whole face'),
  },
];
