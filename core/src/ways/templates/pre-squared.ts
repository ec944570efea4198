import { LINER_TABS, SEPARATE_AND_PLACE } from './glass-liner';
import { LOCKING } from './glass-lock';
import { FINISH, PREPARE, RINSE, SQUEEZE, TRIM, trimsFirst } from './glass-parts';
import { HELD } from './pauses';
import type { StepTemplate, WorkTemplate } from './template';
import { WET_SCHOOLS } from './trim-in-place';

/** By tabs or hung beside the pane: the corner must arrive first. */
const LINER = SEPARATE_AND_PLACE.filter(({ key }) => key === 'liner-hang').concat({
  ...LINER_TABS,
  when: ({ schools }) => schools.liner !== 'hang and pull',
});

const CORNER_HOME: StepTemplate = {
  key: 'corner-home',
  what: 'Slide it and push the squared corner home into one top corner of the frame: factory edge on one side, squared cut on the other. A hand always on it.',
  why: 'Two edges fit at once, and neither is cut on the glass.',
  right: 'Both edges lie along the frame without a gap.',
  wrong: 'The gap widens: the frame is not square there. Take the other top corner.',
  tools: ['pump sprayer'],
  cautions: ['largeSheet'],
  takes: ['work-align'],
  skill: 'film',
  crew: 'large',
  needsFit: true,
  air: 'wants clean air',
  then: HELD,
};
const TRIM_TWO = {
  ...TRIM,
  what: `Only the other side and the bottom. ${TRIM.what}`,
  takes: ['work-trim-two'],
} as const satisfies Partial<StepTemplate>;

/** One factory edge and one squared cut set into a corner. */
export const PRE_SQUARED: WorkTemplate = {
  template: 'pre-squared',
  version: 1,
  of: [{ method: 'pre-squared' }],
  schools: WET_SCHOOLS.filter((key) => key !== 'rowLine'),
  steps: [
    ...PREPARE,
    RINSE,
    ...LINER,
    CORNER_HOME,
    ...LOCKING,
    { key: 'trim', ...TRIM_TWO, when: trimsFirst },
    SQUEEZE,
    { key: 'trim-after', ...TRIM_TWO, when: (own) => !trimsFirst(own) },
    ...FINISH,
  ],
};
