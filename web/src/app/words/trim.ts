import type { Figure } from './messages';

export const trimWords = {
  trimming: 'What is trimmed',
  none: 'Nothing is trimmed here.',
  trims: (edges: string, cuts: Figure) => `Trimmed: ${edges}, in ${cuts} cuts.`,
  cornersFirst: 'A finger presses each corner in first, where the rings are.',
  cut: (number: Figure, edge: string, length: string, goes: Figure) =>
    goes === 1
      ? `${number}. ${edge}, ${length}`
      : `${number}. ${edge}, ${length}, in ${goes} goes, the film held between`,
  left: (edge: string, why: string) => `${edge}: ${why}`,
  length: 'Length to trim',
  points: 'Points of a blade',
  lightGap: (least: string, most: string) => `Left open round the film, gap ${least} to ${most}`,
  notMeasured: 'What is trimmed is known once the surface is measured.',
};
