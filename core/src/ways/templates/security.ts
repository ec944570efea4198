import { RULES } from '../../rules';
import { days } from '../step-numbers';
import { LOCK_T } from './glass-lock';
import { ALIGN, BLOT_AND_LOOK, CLEAR_UP, PREPARE, PUT_BACK, RINSE, TRIM } from './glass-parts';
import type { StepTemplate, WorkTemplate } from './template';
import { WET_SCHOOLS } from './trim-in-place';

const BEADS_OUT: StepTemplate = {
  key: 'beads-out',
  what: 'Take the glazing beads out, or the whole sash where it can be filmed lying flat; of double glazing the inner pane is filmed. Number them. Hold the pane. No bead comes out of a wired pane.',
  why: 'The film must reach the edge of the glass: it fails first where the edge let go.',
  right: 'The edge of the glass is seen all round.',
  wrong: 'A bead will not move: leave it, fit to the bead, and say that the edge is not reached.',
  tools: ['putty knife', 'tape', 'gloves'],
  cautions: ['safetyFilm', 'looseGlass', 'largeSheet', 'weight'],
  takes: ['work-beads'],
  crew: 'heavy',
  wants: ['photo'],
};
/** It bonds at the very edge or fails there, and the cutting blade is never the scraping one. */
const PREPARED = PREPARE.map((step): StepTemplate =>
  step.key === 'clean'
    ? {
        ...step,
        what: `Paint and dirt off to the very edge. One blade for scraping, another for cutting. ${step.what}`,
      }
    : step,
);
const LAY: StepTemplate = {
  key: 'liner-two',
  what: 'Liner off by tape tabs, no fingers on the adhesive, spraying adhesive and glass well. Carry it by the edges, lay it top first, no sharp bend.',
  why: 'Stiff film creases for good where it is bent.',
  tools: ['pump sprayer', 'tape', 'liner bin'],
  cautions: ['liner', 'largeSheet', 'wetFloor'],
  slip: 'wet glass and film',
  draws: 'liner',
  takes: ['work-handling', 'work-liner'],
  crew: 'large',
  skill: 'film',
  needsFit: true,
  air: 'wants clean air',
  then: { least: 0, most: 5, why: 'the slip dries: go straight on, or wet again' },
};
const FIRST_PASS: StepTemplate = {
  key: 'squeeze-first',
  what: 'Mist the face. First pass light, from the middle to the nearest edge, strokes overlapping.',
  why: 'Thick film holds much water; pressed hard at once it floats.',
  tools: ['hard squeegee', 'pump sprayer'],
  cautions: ['wetFloor', 'platform'],
  takes: ['work-squeeze'],
  draws: 'strokes',
  passes: 1,
  skill: 'film',
  needsFit: true,
  then: { least: 0, most: 15, why: 'one go, while water lies under the film' },
};
const SECOND_PASS: StepTemplate = {
  key: 'squeeze-hard',
  what: 'Mist again. Second pass as hard as two hands can, half by half, each stroke lapping the last.',
  why: 'What water stays under thick film stays for weeks.',
  right: 'The tool brings no more water.',
  tools: ['hard squeegee', 'pump sprayer'],
  cautions: ['wetFloor', 'platform'],
  takes: ['work-squeeze'],
  draws: 'strokes',
  passes: 'hard',
  skill: 'film',
  needsFit: true,
  then: { least: 0, most: 30, why: 'edges are blotted while water still comes' },
};
const BEADS_IN: StepTemplate = {
  key: 'beads-in',
  what: "Put beads or sash back without pressing on the film's edge. Edge fixing by the tested system, where one is claimed.",
  why: 'Only glass, film and fixing together have been tested.',
  tools: ['putty knife', 'gloves'],
  cautions: ['safetyFilm', 'looseGlass', 'weight'],
  takes: ['work-beads'],
  closes: {
    step: 'beads-out',
    most: RULES.openGlazing.value,
    why: 'a pane without its beads is never left overnight',
  },
  crew: 'heavy',
};

/** Thick, stiff film that must reach the edge of the glass: beads out means no gap. */
export const SECURITY: WorkTemplate = {
  template: 'security',
  version: 1,
  of: [{ method: 'security' }],
  schools: WET_SCHOOLS.filter((key) => !['liner', 'lock', 'trim', 'stroke'].includes(key)),
  steps: [
    BEADS_OUT,
    ...PREPARED,
    RINSE,
    LAY,
    ALIGN,
    LOCK_T,
    FIRST_PASS,
    SECOND_PASS,
    { key: 'trim-after', ...TRIM },
    BLOT_AND_LOOK,
    BEADS_IN,
    PUT_BACK,
    CLEAR_UP,
    {
      key: 'handover-security',
      what: 'Say that it delays and does not stop. Strong after {strong} for a thin one, clear after weeks: its date is with this pane. No cleaning until then.',
      why: 'Thick film dries slowly, and people lean on what they think is strong.',
      numbers: { strong: days([1, 2]) },
      tools: [],
      cautions: ['safetyFilm', 'glassAndFilm', 'freshFilm'],
      takes: ['work-handover'],
    },
  ],
};
