import type { MarkLook } from '../job';
import type { MarkDecision } from './decide';
import { COMMON_PRACTICE, type Source } from '../quantity';

/** How hands put a mark right. */
export interface Remedy {
  readonly steps: readonly string[];
  readonly tools: readonly string[];
  readonly source: Source;
}

const common = (tools: readonly string[], ...steps: readonly string[]): Remedy => ({
  steps,
  tools,
  source: COMMON_PRACTICE,
});

const AIR = common(
  ['fine needle', 'soft squeegee', 'lint-free cloth'],
  'Warm it by hand, so that the film gives.',
  'Prick it low at its rim, flat, without reaching the glass.',
  'Press towards the hole, from the far side, and hold.',
  'Look again after a day; what comes back is lifted and laid anew.',
);

/** By what it is; what is not here is no thing that hands put right. */
const REMEDIES: Readonly<Partial<Record<MarkLook, Remedy>>> = {
  finger: common(
    ['lint-free cloth', 'hard card', 'hot-air gun at its least'],
    'Blot the edge dry with a cloth pressed on, not wiped.',
    'Press the finger out towards the edge with a card in a cloth.',
    'Warm it briefly where it draws back, and press again.',
    'Blot once more: wet edges lift.',
  ),
  'edge lifts': common(
    ['lint-free cloth', 'alcohol cleaner', 'hot-air gun', 'soft squeegee', 'edge seal where the sheet asks'],
    'Fold the edge back no further than it lifts by itself.',
    'Clean glass and glue of dirt and slip; let it dry.',
    'Warm the film until it is soft, and press it on towards the edge.',
    'Seal the edge where the film’s sheet asks for it, or where it has lifted twice.',
  ),
  bubble: AIR,
  'air bubble': AIR,
  'water pocket': common(
    ['card in a cloth', 'lint-free cloth'],
    'Press it out towards the nearest edge, slowly, with a card in a cloth.',
    'Blot the edge it comes out at, until nothing comes.',
    'Never prick water: it dries, the hole stays.',
  ),
};

/** How hands put a mark right; undefined: they cannot. A bubble that is water is never pricked. */
export const remedyFor = (look: MarkLook, { reason }: Pick<MarkDecision, 'reason'>): Remedy | undefined =>
  REMEDIES[reason.case === 'not ordinary water' ? 'water pocket' : look];
