import { type Formula, type Reasoned, applyFormula } from '../quantity';
import { type Stroke, lengthOf, movesBetween } from './stroke';

/** How fast a hand goes. */
export interface Pace {
  readonly speed_mms: number;
  /** Lifting, wiping the blade, setting it down again. */
  readonly lift_s: number;
}

/** Empty moves between strokes. Model 1.6: our guess. */
const MOVE_MMS = 1000;

export const PACE_FORMULA: Formula<{
  length_mm: number;
  lifts: number;
  moves_mm: number;
  speed_mms: number;
  lift_s: number;
}> = {
  id: 'strokes.time',
  word: 'time for all strokes',
  says: 't = length ÷ speed + strokes · lift + moves ÷ 1 m a second',
  unit: 's',
  source: {
    kind: 'our guess',
    text: 'speed and lift: our guess until a crew has timed its own, see Settings',
  },
  inputs: {
    length_mm: { word: 'length of all strokes', unit: 'mm' },
    lifts: { word: 'strokes', unit: '' },
    moves_mm: { word: 'empty ways between them', unit: 'mm' },
    speed_mms: { word: 'speed of the blade', unit: 'mm/s' },
    lift_s: { word: 'lifting and wiping', unit: 's' },
  },
  of: ({ length_mm, lifts, moves_mm, speed_mms, lift_s }) =>
    length_mm / speed_mms + lifts * lift_s + moves_mm / MOVE_MMS,
};

/** How long one pass takes, s. */
export function timeOf(strokes: readonly Stroke[], { speed_mms, lift_s }: Pace): Reasoned<number> {
  const step = applyFormula(PACE_FORMULA, {
    length_mm: strokes.reduce((sum, stroke) => sum + lengthOf(stroke), 0),
    lifts: strokes.length,
    moves_mm: movesBetween(strokes),
    speed_mms,
    lift_s,
  });
  return { value: step.value, why: [step] };
}
