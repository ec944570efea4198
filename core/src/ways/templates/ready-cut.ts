import { LINER_LONG, LINER_TABS } from './glass-liner';
import { LOCKING, LOCK_T } from './glass-lock';
import { ALIGN, FINISH, PREPARE, RINSE, SQUEEZE, TRIM } from './glass-parts';
import type { SchoolKey } from '../schools';
import type { StepTemplate, WorkTemplate } from './template';

const ASKED: readonly SchoolKey[] = [
  ...(['cleaning', 'scrubber', 'cleaner', 'clearing', 'water', 'rowLine', 'liner'] as const),
  ...(['stroke', 'lastPass', 'blot'] as const),
];

/** Measured again before anything is wet: what was cut elsewhere is held against the pane. */
const GATE: StepTemplate = {
  key: 'remeasure',
  what: 'Measure width and height of the pane again and hold both against the label before anything is wet. Too large: trim at the table. Too small: stop, it is another pane or another blank.',
  why: 'What is cut already cannot be made larger.',
  right: 'Both figures of the label fit the pane with its gap.',
  wrong: 'It fits another pane of the row: labels were swapped.',
  tools: ['tape measure', 'tape'],
  cautions: [],
  takes: ['work-remeasure'],
  wants: ['width and height'],
};
const before = PREPARE.map((step) => (step.key === 'remeasure' ? GATE : step));
/** The frame's edge is not soaked, whatever the school. */
const RINSE_DRY_FRAME: StepTemplate = {
  ...RINSE,
  what: 'Just before the film: wet once more and clear. Then slip, much on the face; the edge of the frame is not soaked.',
  variants: (RINSE.variants ?? []).filter(({ school }) => school === 'water'),
};
/** By tabs, or unrolled downwards. */
const LINER = [
  {
    ...LINER_TABS,
    when: (own: Parameters<NonNullable<StepTemplate['when']>>[0]) =>
      own.schools.liner !== 'unrolled to the floor',
  },
  LINER_LONG,
];

/** Cut to order, with surplus: factory edge on top, trimmed from a top corner down. */
export const CUT_TO_ORDER: WorkTemplate = {
  template: 'cut-to-order',
  version: 1,
  of: [{ method: 'cut to order' }],
  schools: [...ASKED, 'edges'],
  steps: [
    ...before,
    RINSE_DRY_FRAME,
    ...LINER,
    { ...ALIGN, what: `Factory edge on top. ${ALIGN.what}` },
    LOCK_T,
    {
      ...TRIM,
      key: 'trim',
      what: `${TRIM.what} From a top corner down and out of the other corners.`,
      variants: [],
    },
    SQUEEZE,
    ...FINISH.map((step): StepTemplate =>
      step.key === 'edges'
        ? {
            ...step,
            what: `${step.what} Then wash the face and clear it.`,
            variants: (step.variants ?? []).filter(({ school }) => school !== 'after'),
          }
        : step,
    ),
  ],
};

/** Cut to outline by pattern or plotter: nothing is trimmed but what the second measure found. */
export const CUT_TO_OUTLINE: WorkTemplate = {
  template: 'cut-to-outline',
  version: 1,
  of: [{ method: 'cut to outline' }],
  schools: [...ASKED, 'lock', 'edges', 'after'],
  steps: [
    ...before,
    RINSE_DRY_FRAME,
    ...LINER,
    {
      ...ALIGN,
      what: `${ALIGN.what} The gap is the same all round. Trim only what the second measure found.`,
    },
    ...LOCKING,
    SQUEEZE,
    ...FINISH,
  ],
};
