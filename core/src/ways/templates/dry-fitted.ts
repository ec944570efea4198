import { LOCKING } from './glass-lock';
import { FINISH, PREPARE, RINSE, SQUEEZE, TRIM } from './glass-parts';
import { HELD, ONE_GO, OPEN_TIME } from './pauses';
import type { StepTemplate, WorkTemplate } from './template';
import { WET_SCHOOLS } from './trim-in-place';

const HUNG: readonly StepTemplate[] = [
  {
    key: 'hang-dry',
    what: 'Wet the glass. Hang the blank on it with its liner on: even left and right, then levelled.',
    variants: [
      {
        school: 'rowLine',
        says: { 'true level': 'By the level.', 'the frame': 'By the frame.' },
      },
    ],
    why: 'What must be level is levelled before anything sticks.',
    right: 'The level says so, and so does the next pane of the row.',
    tools: ['pump sprayer', 'level', 'tape'],
    cautions: ['largeSheet', 'wetFloor'],
    slip: 'wet the pane',
    takes: ['work-handling', 'work-align'],
    crew: 'large',
    skill: 'film',
    needsFit: true,
    then: ONE_GO,
  },
  {
    ...TRIM,
    key: 'trim-sides',
    what: 'Trim both sides against the frame, the blade inside a squeegee held in the corner.',
    variants: [],
    why: 'Both sides fit at once while the sheet hangs level.',
    numbers: {},
    tools: ['snap-off blade', 'hard squeegee'],
    takes: ['work-trim-sides'],
    then: ONE_GO,
  },
  {
    key: 'marks',
    what: 'Tape marks at both top corners.',
    why: 'It comes down and must go back to the same place.',
    tools: ['tape'],
    cautions: [],
    takes: ['work-remeasure'],
    skill: 'film',
    needsFit: true,
    then: ONE_GO,
  },
  {
    key: 'liner-hung',
    what: 'While it hangs, the liner by halves: opened, sprayed, laid back smooth; then the other half.',
    why: 'The liner comes off without the film leaving its place.',
    tools: ['pump sprayer', 'liner bin'],
    cautions: ['liner', 'wetFloor'],
    slip: 'wet glass and film',
    draws: 'liner',
    takes: ['work-liner'],
    skill: 'film',
    needsFit: true,
    air: 'wants clean air',
    then: ONE_GO,
  },
  {
    key: 'roll-down',
    what: 'Roll it up from below, take it down and keep it in the hand.',
    why: 'A roll in the hand neither touches the floor nor creases.',
    tools: [],
    draws: 'liner',
    cautions: ['largeSheet'],
    takes: ['work-handling'],
    crew: 'large',
    skill: 'film',
    needsFit: true,
    air: 'wants clean air',
    then: OPEN_TIME,
  },
];
const UNROLL: StepTemplate = {
  key: 'unroll',
  what: 'Unroll it from the top to the marks, drawing the liner off as it goes. Let it lie until it is relaxed.',
  why: 'Film that was rolled pulls to one side until it has settled.',
  right: 'Both top corners meet their marks.',
  tools: ['pump sprayer', 'liner bin'],
  cautions: ['liner', 'largeSheet', 'wetFloor'],
  takes: ['work-handling', 'work-align'],
  crew: 'large',
  skill: 'film',
  needsFit: true,
  air: 'wants clean air',
  then: HELD,
};
/** The sides are cut already; the bottom only if it was left over. */
const TRIM_BOTTOM: StepTemplate = {
  ...TRIM,
  key: 'trim-bottom',
  what: `Only the bottom, where it was left over: ${TRIM.what.charAt(0).toLowerCase()}${TRIM.what.slice(1)}`,
  takes: ['work-trim-one'],
  basis: 'ours',
};

/** Frost, patterns, and whatever must be level. */
export const DRY_FITTED: WorkTemplate = {
  template: 'dry-fitted',
  version: 1,
  of: [{ method: 'dry-fitted' }],
  schools: WET_SCHOOLS.filter((key) => key !== 'liner' && key !== 'trim'),
  steps: [
    ...PREPARE.filter(({ key }) => key !== 'remeasure'),
    ...HUNG,
    RINSE,
    UNROLL,
    ...LOCKING,
    SQUEEZE,
    TRIM_BOTTOM,
    ...FINISH,
  ],
};
