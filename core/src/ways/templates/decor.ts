import { mm } from '../step-numbers';
import { CUT, FINISH_FLAT, GROUND, LAY, promoter } from './decor-parts';
import { SEAMS } from './seams';
import type { StepCase, StepTemplate, WorkTemplate } from './template';

const atCorner = ({ hasInsideCorner }: StepCase): boolean => hasInsideCorner;

/** Made ready before the first sheet: both walls wait for the sheets that meet in the corner. */
const CORNER_BEFORE: readonly StepTemplate[] = [
  promoter({
    key: 'corner-promoter',
    what: 'Clean hands. Promoter on both walls along the whole inside corner.',
    when: atCorner,
    leftOut: 'no inside corner is noted in Survey',
  }),
  {
    key: 'corner-slit',
    what: 'On the table: slit the liner of both sheets near the corner edge and leave the strip on. The strip is {wider} wider than the cutting guide.',
    why: 'The face is laid first; the corner keeps its liner until then.',
    numbers: { wider: mm(13, 'ours') },
    tools: ['liner knife', 'cutting guide'],
    cautions: ['blade'],
    takes: ['work-cut'],
    when: atCorner,
  },
  {
    key: 'corner-hang',
    what: 'Crease a little liner back. Hang the first sheet so that the slit sits in the corner. Tack the top by finger, then look along it from top to bottom.',
    why: 'A slit that wanders leaves film round the corner that has not grabbed.',
    tools: ['level'],
    cautions: ['liner', 'largeSheet'],
    takes: ['work-align'],
    crew: 'large',
    skill: 'film',
    needsFit: true,
    air: 'wants clean air',
    when: atCorner,
  },
];

/** The corner itself, once the face of the first sheet is pressed. */
const CORNER_AFTER: readonly StepTemplate[] = [
  {
    key: 'corner-first',
    what: 'Strip off. Work the film into the corner with the soft-edged tool, pressing only on the side that is already stuck, then along the corner. Trim along the guide of {guide}, waste off.',
    why: 'Pressed from both sides the film bridges the corner and comes off later.',
    numbers: { guide: mm(13, 'ask') },
    tools: ['soft-edged tool', 'cutting guide', 'snap-off blade'],
    cautions: ['blade', 'liner'],
    takes: ['work-corner'],
    along: 'height',
    skill: 'film',
    needsFit: true,
    when: atCorner,
  },
  promoter({
    key: 'corner-promoter-lap',
    what: 'Promoter over the turned strip and a little beyond.',
    when: atCorner,
  }),
  {
    key: 'corner-second',
    what: 'Second sheet the same: hung, its face pressed, strip off, the corner worked in.',
    why: 'It laps the strip that was turned: one edge, in the corner.',
    tools: ['soft-edged tool', 'liner bin'],
    cautions: ['liner', 'largeSheet'],
    takes: ['work-corner'],
    along: 'height',
    crew: 'large',
    skill: 'film',
    needsFit: true,
    air: 'wants clean air',
    when: atCorner,
  },
  {
    key: 'corner-trim',
    what: 'Lay the ruler, {ruler} thick, in the corner on the wall laid last. Cut through the top layer only; hold the ruler while the waste leaves.',
    why: 'Cut through both, and the corner opens.',
    numbers: { ruler: mm(3) },
    tools: ['thin ruler', 'snap-off blade'],
    cautions: ['blade'],
    takes: ['work-corner'],
    along: 'height',
    skill: 'film',
    needsFit: true,
    when: atCorner,
  },
  {
    key: 'corner-press',
    what: 'Press along the corner once more.',
    why: 'The last cut can lift what it leaves.',
    tools: ['soft-edged tool'],
    cautions: [],
    takes: ['work-promoter'],
    along: 'height',
    skill: 'film',
    needsFit: true,
    when: atCorner,
  },
];

/**
 * Walls, doors and panels in decor film, with an inside corner where there is one. Common practice, no
 * published source.
 */
export const DECOR: WorkTemplate = {
  template: 'decor',
  version: 1,
  steps: [...GROUND, CUT, ...CORNER_BEFORE, LAY, ...SEAMS, ...CORNER_AFTER, ...FINISH_FLAT],
};
