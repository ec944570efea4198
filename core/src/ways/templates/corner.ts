import { mm } from '../step-numbers';
import { promoter } from './decor-parts';
import type { StepCase, StepTemplate } from './template';

const atCorner = ({ hasInsideCorner }: StepCase): boolean => hasInsideCorner;
const inTwo = (own: StepCase): boolean => atCorner(own) && own.schools.corner === 'two sheets';
const inOne = (own: StepCase): boolean => atCorner(own) && own.schools.corner === 'quick';
const LAID = {
  along: 'height',
  skill: 'film',
  needsFit: true,
} as const satisfies Partial<StepTemplate>;

/** Made ready before the first sheet: both walls wait for the sheets that meet in the corner. */
export const CORNER_BEFORE: readonly StepTemplate[] = [
  promoter({
    key: 'corner-promoter',
    what: 'Ground wiped, hands clean. Promoter on both walls along the whole inside corner.',
    when: inTwo,
    leftOut: 'no inside corner is noted in Survey, or it is made in one sheet',
  }),
  {
    key: 'corner-slit',
    what: 'On the table: slit the liner of both sheets near the corner edge and leave the strip on. The strip is {wider} wider than the cutting guide.',
    why: 'The face is laid first; the corner keeps its liner until then.',
    numbers: { wider: mm(13, 'ask') },
    tools: ['liner knife', 'cutting guide'],
    cautions: ['blade'],
    takes: ['work-cut'],
    when: inTwo,
  },
  {
    key: 'corner-hang',
    what: 'Crease a little liner back. Hang the first sheet so that the slit sits in the corner. Tack the top by finger, then look along it from top to bottom.',
    why: 'A slit that wanders leaves film round the corner that has not grabbed.',
    right: 'The slit follows the corner all the way down.',
    tools: ['level'],
    cautions: ['liner', 'largeSheet'],
    takes: ['work-align'],
    crew: 'large',
    skill: 'film',
    needsFit: true,
    air: 'wants clean air',
    when: inTwo,
  },
];

/** The corner itself, once the face of the first sheet is pressed. */
export const CORNER_AFTER: readonly StepTemplate[] = [
  {
    ...LAID,
    key: 'corner-quick',
    what: 'Lay the one part first and press it over into the corner with the soft-edged tool, then along the corner. Trim it there.',
    why: 'Quick, without promoter and slit; it holds less long.',
    tools: ['soft-edged tool', 'snap-off blade'],
    cautions: ['blade'],
    takes: ['work-corner'],
    when: inOne,
  },
  {
    ...LAID,
    key: 'corner-first',
    what: 'Strip off. Work the film into the corner with the soft-edged tool, pressing only on the side that is already stuck, then along the corner. Trim along the guide of {guide}, waste off.',
    why: 'Pressed from both sides the film bridges the corner and comes off later.',
    right: 'No light behind it, no hollow sound.',
    wrong: 'It bridges: lift from the corner, not from the face, and press again.',
    numbers: { guide: mm([13, 38], 'ask') },
    tools: ['soft-edged tool', 'cutting guide', 'snap-off blade'],
    cautions: ['blade', 'liner'],
    takes: ['work-corner'],
    when: inTwo,
  },
  promoter({
    key: 'corner-promoter-lap',
    what: 'Promoter over the turned strip and a little beyond.',
    when: inTwo,
  }),
  {
    ...LAID,
    key: 'corner-second',
    what: 'Second sheet the same: hung, its face pressed, strip off, the corner worked in.',
    why: 'It laps the strip that was turned: one edge, in the corner.',
    tools: ['soft-edged tool', 'liner bin'],
    cautions: ['liner', 'largeSheet'],
    takes: ['work-corner'],
    crew: 'large',
    air: 'wants clean air',
    when: inTwo,
  },
  {
    ...LAID,
    key: 'corner-trim',
    what: 'Lay the ruler, {ruler} thick, in the corner on the wall laid last. Cut through the top layer only; hold the ruler while the waste leaves.',
    why: 'Cut through both, and the corner opens.',
    numbers: { ruler: mm(3) },
    tools: ['thin ruler', 'snap-off blade'],
    cautions: ['blade', 'bladePoints'],
    takes: ['work-corner'],
    when: inTwo,
  },
  {
    ...LAID,
    key: 'corner-press',
    what: 'Press along the corner once more.',
    why: 'The last cut can lift what it leaves.',
    tools: ['soft-edged tool'],
    cautions: [],
    takes: ['work-promoter'],
    when: inTwo,
  },
];
