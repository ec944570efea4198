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
  liesDownBy: {
    value: 0.003,
    unit: 'share',
    reason: 'Surplus up to which film lies down without heat: there a fold has its tip.',
    source: OURS,
  },
} as const satisfies Record<string, Rule>;
