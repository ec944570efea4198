import { mm } from '../step-numbers';
import { OPEN_TIME } from './pauses';
import type { StepCase, StepTemplate } from './template';

const lined =
  (school: StepCase['schools']['liner']) =>
  ({ schools }: StepCase): boolean =>
    schools.liner === school;
const OPENS = {
  tools: ['pump sprayer', 'liner bin'],
  cautions: ['liner', 'largeSheet', 'wetFloor'],
  slip: 'wet glass and film',
  draws: 'liner',
  takes: ['work-handling', 'work-liner'],
  skill: 'film',
  needsFit: true,
  air: 'wants clean air',
  crew: 'large',
  then: OPEN_TIME,
} as const satisfies Partial<StepTemplate>;

export const LINER_TABS: StepTemplate = {
  ...OPENS,
  key: 'liner-tabs',
  what: 'One tape tab on each face of a corner, overhanging, kept from touching each other. Pull them apart and spray into the gap as it opens. Carry the film to the glass, top edge first.',
  why: 'The spray stops static from pulling dust in and the film from sticking to itself.',
  wrong: 'It will not start: fresh tabs at another corner.',
  tools: ['tape', 'pump sprayer', 'liner bin'],
  when: lined('tape tabs'),
};
export const LINER_LONG: StepTemplate = {
  ...OPENS,
  key: 'liner-floor',
  what: 'Unroll it downwards so that it does not kink. Draw the liner to the floor and walk it off, the film held by the upper corners. Never with the teeth; nobody steps on wet liner.',
  why: 'A long sheet kinks where it hangs over a hand. Against it: grit on the floor.',
  when: lined('unrolled to the floor'),
};

/** By the school of the liner: one of them is done. */
export const SEPARATE_AND_PLACE: readonly StepTemplate[] = [
  LINER_TABS,
  {
    ...OPENS,
    key: 'liner-top-first',
    what: 'Hold the blank on the glass. Free the top part from the liner, wet glass and adhesive, lay it and fix it lightly. Strip the rest with one hand holding the top, soak the face and turn it back.',
    why: 'Stripping drags the film: what is fixed lightly above stays where it is.',
    tools: ['pump sprayer', 'soft squeegee', 'liner bin'],
    when: lined('top part first'),
  },
  {
    ...OPENS,
    key: 'liner-halves',
    what: 'On the pane: peel the liner to exactly half, spray from the top, lay it back smooth. Then the other half. Roll up from below; never on the floor, no crease.',
    why: 'The film does not leave the pane, and half of it is always closed.',
    tools: ['pump sprayer', 'soft squeegee', 'liner bin'],
    when: lined('halves on the glass'),
  },
  {
    ...OPENS,
    key: 'liner-hang',
    what: 'Stick the blank up beside the pane with the liner towards you. Draw the liner straight down and leave the last {rest}. Soak the film, draw the rest off, put the liner away at once. Move it to the wet glass by its top corners.',
    why: 'The sheet hangs straight by its own weight and cannot crease.',
    numbers: { rest: mm([25, 50]) },
    tools: ['tape', 'pump sprayer', 'liner bin'],
    when: lined('hang and pull'),
  },
  {
    ...OPENS,
    key: 'liner-board',
    what: 'Mist the outside of the pane and hang the blank there. Draw the liner low along itself to just past half; spray only where it cannot run down on to adhesive; lay it back. Then the other half.',
    why: 'The outside is a clean board; the mist keeps static away.',
    when: lined('on the outside of the pane'),
  },
  LINER_LONG,
  {
    ...OPENS,
    key: 'liner-lying',
    what: 'Pane lying: free the first part and centre it. Draw the rest of the liner from under while the film is laid and sprayed.',
    why: 'Nothing hangs, nothing slides.',
    basis: 'once',
    when: lined('pane lying'),
  },
];
