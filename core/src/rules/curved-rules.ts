import { COMMON_PRACTICE } from '../quantity';
import { OURS, type Rule } from './rule';

/** What film that is shrunk on curved glass bears. */
export const CURVED_RULES = {
  sweepSurplus: {
    value: 6,
    unit: 'mm',
    reason: 'Up to this much surplus curved film may be shrunk in one sweep; above it fold by fold.',
    source: OURS,
  },
  shrinkEasy: {
    value: 0.01,
    unit: 'share',
    reason: 'Shrink in a fold that goes easily, where the film has no limits of its own.',
    source: OURS,
  },
  shrinkHard: {
    value: 0.02,
    unit: 'share',
    reason: 'Shrink in a fold that goes with care, where the film has no limits of its own.',
    source: OURS,
  },
  shrinkLimit: {
    value: 0.03,
    unit: 'share',
    reason: 'Shrink in a fold that film does not bear beyond, where it has no limits of its own.',
    source: OURS,
  },
  stretchByHand: {
    value: 0.001,
    unit: 'share',
    reason: 'Stretch that a hand gives polyester; more asks for other film or another hold.',
    source: OURS,
  },
  unseenEnds: {
    value: 0.25,
    unit: 'share',
    reason:
      'Curvature gathered near the ends, where nobody took a sag a quarter in, changes the surplus by so much.',
    source: OURS,
  },
  quarterSagRead: {
    value: 0.5,
    unit: 'mm',
    reason: 'So well a sag a quarter in must be read to be worth it.',
    source: OURS,
  },
  pinchFolds: {
    value: 3,
    unit: 'folds',
    reason: 'Where fewer come by themselves, about so many are pinched together on purpose.',
    source: COMMON_PRACTICE,
  },
  leastSurplus: {
    value: 0.1,
    unit: 'mm',
    reason: 'Surplus along an edge under which there is nothing to pinch.',
    source: OURS,
  },
  shrinkDoorPane: {
    value: 60,
    least: 30,
    most: 120,
    unit: 's',
    reason: 'Under the gun a door pane takes 30 s to 2 min; its folds share it.',
    source: COMMON_PRACTICE,
  },
  shelfAgrees: {
    value: 3,
    unit: 'mm',
    reason: 'Two lengths within this of a pane on the shelf, and it is taken for the same.',
    source: OURS,
  },
  gapAtSides: {
    value: 13,
    unit: 'mm',
    reason: 'Strip along each side that is not heated, so that most film lies on the glass.',
    source: COMMON_PRACTICE,
  },
  liesDownBy: {
    value: 0.003,
    unit: 'share',
    reason: 'Surplus up to which film lies down without heat: there a fold has its tip.',
    source: OURS,
  },
} as const satisfies Record<string, Rule>;
