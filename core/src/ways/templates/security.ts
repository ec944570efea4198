import { RULES } from '../../rules';
import { days } from '../step-numbers';
import { FLAT_GLASS, LOCK, PUT_BACK, SEPARATE_AND_PLACE, TRIM } from './flat-glass';
import type { StepTemplate, WorkTemplate } from './template';

const OWN_KEYS: readonly string[] = [
  ...SEPARATE_AND_PLACE.map(({ key }) => key),
  ...LOCK.map(({ key }) => key),
  ...['trim', 'squeeze', 'trim-after', 'put-back', 'handover'],
];
/** Thick film is locked with a T, whatever the school of the job. */
const LOCK_T = LOCK.filter(({ key }) => key === 'lock-t').map(({ when: _ofSchool, ...step }) => step);
/** Pressed out first, then trimmed: an edge that lifts under the blade is pressed at once. */
const TRIM_AFTER: StepTemplate = { key: 'trim-after', ...TRIM };

const LAY: StepTemplate = {
  key: 'liner-two',
  what: 'Liner off by tape tabs, no fingers on the adhesive, spraying adhesive and glass well. Carry it by the edges, lay it top first, no sharp bend.',
  why: 'Stiff film creases for good where it is bent.',
  tools: ['pump sprayer', 'tape', 'liner bin'],
  cautions: ['liner', 'largeSheet', 'wetFloor'],
  slip: 'wet glass and film',
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
  cautions: ['wetFloor'],
  takes: ['work-squeeze'],
  skill: 'film',
  needsFit: true,
  then: { least: 0, most: 15, why: 'one go, while water lies under the film' },
};
const SECOND_PASS: StepTemplate = {
  key: 'squeeze-hard',
  what: 'Mist again. Second pass as hard as two hands can, half by half, each stroke lapping the last.',
  why: 'What water stays under thick film stays for weeks.',
  tools: ['hard squeegee', 'pump sprayer'],
  cautions: ['wetFloor'],
  takes: ['work-squeeze'],
  skill: 'film',
  needsFit: true,
  then: { least: 0, most: 30, why: 'edges are blotted while water still comes' },
};

/** Thick, stiff film that must reach the edge of the glass. Common practice, no published source. */
export const SECURITY: WorkTemplate = {
  template: 'security',
  version: 1,
  steps: [
    {
      key: 'beads-out',
      what: 'Take the glazing beads out, or the whole sash where it must be filmed lying flat. Number them. Hold the pane.',
      why: 'The film must reach the edge of the glass: it fails first where the edge let go.',
      tools: ['putty knife', 'tape'],
      cautions: ['safetyFilm', 'looseGlass', 'largeSheet'],
      takes: ['work-beads'],
      crew: 'large',
    },
    ...FLAT_GLASS.steps
      .filter(({ key }) => !OWN_KEYS.includes(key))
      .flatMap((step): readonly StepTemplate[] => {
        if (step.key === 'align') return [LAY, step, ...LOCK_T];
        if (step.key === 'edges') return [FIRST_PASS, SECOND_PASS, TRIM_AFTER, step];
        return [step];
      }),
    {
      key: 'beads-in',
      what: "Put beads or sash back without pressing on the film's edge. Edge fixing by the tested system, where one is claimed.",
      why: 'Only glass, film and fixing together have been tested.',
      tools: ['putty knife'],
      cautions: ['safetyFilm', 'looseGlass'],
      takes: ['work-beads'],
      closes: {
        step: 'beads-out',
        most: RULES.openGlazing.value,
        why: 'a pane without its beads is never left overnight',
      },
      crew: 'large',
    },
    PUT_BACK,
    {
      key: 'handover-security',
      what: 'Say that it delays and does not stop. Strong after {strong}, clear after weeks. No cleaning until then.',
      why: 'Thick film dries slowly, and people lean on what they think is strong.',
      numbers: { strong: days([1, 2]) },
      tools: [],
      cautions: ['safetyFilm', 'glassAndFilm'],
      takes: ['work-handover'],
    },
  ],
};
