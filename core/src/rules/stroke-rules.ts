import { COMMON_PRACTICE } from '../quantity';
import { OURS, type Rule } from './rule';

/** How film is pressed on. */
export const STROKE_RULES = {
  untrimmedEdge: {
    value: 13,
    unit: 'mm',
    reason:
      'Until it is trimmed film is not pressed so near to its edge: dirt is drawn in under the surplus.',
    source: COMMON_PRACTICE,
  },
  columnTurn: {
    value: 50,
    unit: 'mm',
    reason: 'Round a column so much of the width is pressed at a time.',
    source: COMMON_PRACTICE,
  },
  columnTurnLap: {
    value: 10,
    unit: 'mm',
    reason: 'Round a column turns lap by so much.',
    source: OURS,
  },
  wallLap: {
    value: 50,
    unit: 'mm',
    reason: 'Lanes on a textured wall lap by so much.',
    source: COMMON_PRACTICE,
  },
} as const satisfies Readonly<Record<string, Rule>>;
