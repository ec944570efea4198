import {
  FLAT_GLASS,
  HELD,
  LOCK,
  ONE_GO,
  OPEN_TIME,
  SEPARATE_AND_PLACE,
  STRAIGHT_ON,
  TRIM,
} from './flat-glass';
import type { StepTemplate, WorkTemplate } from './template';

const OWN_KEYS: readonly string[] = [
  ...['remeasure', 'final-rinse', 'align', 'trim', 'trim-after'],
  ...[...SEPARATE_AND_PLACE, ...LOCK].map(({ key }) => key),
];
const BEFORE: readonly string[] = ['protect', 'sealant', 'clean', 'clean-no-blade', 'dry-edges'];

const HUNG: readonly StepTemplate[] = [
  {
    key: 'hang-dry',
    what: 'Wet the glass. Hang the blank on it with its liner on: even left and right, then levelled.',
    why: 'What must be level is levelled before anything sticks.',
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
    cautions: ['largeSheet'],
    takes: ['work-handling'],
    crew: 'large',
    skill: 'film',
    needsFit: true,
    air: 'wants clean air',
    then: OPEN_TIME,
  },
];
const RINSE = FLAT_GLASS.steps
  .filter(({ key }) => key === 'final-rinse')
  .map((step): StepTemplate => ({ ...step, then: STRAIGHT_ON }));
const UNROLLED: readonly StepTemplate[] = [
  {
    key: 'unroll',
    what: 'Unroll it from the top to the marks, drawing the liner off as it goes. Let it lie until it is relaxed.',
    why: 'Film that was rolled pulls to one side until it has settled.',
    tools: ['pump sprayer', 'liner bin'],
    cautions: ['liner', 'largeSheet', 'wetFloor'],
    takes: ['work-handling', 'work-align'],
    crew: 'large',
    skill: 'film',
    needsFit: true,
    air: 'wants clean air',
    then: HELD,
  },
  ...LOCK,
];
/** The sides are cut already; the bottom only if it was left over. Our conclusion. */
const TRIM_BOTTOM: StepTemplate = {
  ...TRIM,
  key: 'trim-bottom',
  what: `Only the bottom, where it was left over: ${TRIM.what.charAt(0).toLowerCase()}${TRIM.what.slice(1)}`,
  takes: ['work-trim-one'],
};

/** Frost, patterns, and whatever must be level. Common practice, no published source. */
export const DRY_FITTED: WorkTemplate = {
  template: 'dry-fitted',
  version: 1,
  steps: [
    ...FLAT_GLASS.steps.filter(({ key }) => BEFORE.includes(key)),
    ...HUNG,
    ...RINSE,
    ...UNROLLED,
    ...FLAT_GLASS.steps
      .filter(({ key }) => !OWN_KEYS.includes(key) && !BEFORE.includes(key))
      .flatMap((step) => (step.key === 'squeeze' ? [step, TRIM_BOTTOM] : [step])),
  ],
};

const CORNER_HOME: StepTemplate = {
  key: 'corner-home',
  what: 'Slide it and push the squared corner home into one top corner of the frame: factory edge on one side, squared cut on the other. Keep one hand on it.',
  why: 'Two edges fit at once, and neither is cut on the glass.',
  tools: ['pump sprayer'],
  cautions: ['largeSheet'],
  takes: ['work-align'],
  skill: 'film',
  crew: 'large',
  needsFit: true,
  air: 'wants clean air',
  then: HELD,
};

/** One factory edge and one squared cut set into a corner. Common practice, no published source. */
export const PRE_SQUARED: WorkTemplate = {
  template: 'pre-squared',
  version: 1,
  steps: FLAT_GLASS.steps.map((step): StepTemplate => {
    if (step.key === 'align') return CORNER_HOME;
    if (step.key !== 'trim' && step.key !== 'trim-after') return step;
    const { what } = step;
    return {
      ...step,
      what: `Only the other side and the bottom. ${what}`,
      takes: ['work-trim-two'],
    };
  }),
};
