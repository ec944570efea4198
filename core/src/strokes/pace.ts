import { type Formula, type Reasoned, reasonedBy } from '../quantity';
import { type Tool, lanesOver } from './plan/lanes';
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
    lifts: { word: 'strokes', unit: 'strokes' },
    moves_mm: { word: 'empty ways between them', unit: 'mm' },
    speed_mms: { word: 'speed of the blade', unit: 'mm/s' },
    lift_s: { word: 'lifting and wiping', unit: 's' },
  },
  of: ({ length_mm, lifts, moves_mm, speed_mms, lift_s }) =>
    length_mm / speed_mms + lifts * lift_s + moves_mm / MOVE_MMS,
};

/** One pass over a face that is as wide and as high, before anybody has planned it. */
export const PASS_FORMULA: Formula<{
  wide_mm: number;
  high_mm: number;
  lanes: number;
  speed_mms: number;
  lift_s: number;
}> = {
  id: 'strokes.pass',
  word: 'time for one pass',
  says: 't = (n·(w + 60 mm) + h + 2·(w + h)) ÷ speed + (2·n + 7) · lift + n·w ÷ 1 m a second',
  unit: 'min',
  source: {
    kind: 'our guess',
    text: 'lanes, lock and edges of a rectangle: plane geometry; speed and lift: our guess until a crew has timed its own, see Settings',
  },
  inputs: {
    wide_mm: { word: 'width', unit: 'mm' },
    high_mm: { word: 'height', unit: 'mm' },
    lanes: { word: 'lanes', unit: 'lanes' },
    speed_mms: { word: 'speed of the blade', unit: 'mm/s' },
    lift_s: { word: 'lifting and wiping', unit: 's' },
  },
  of: ({ wide_mm, high_mm, lanes, speed_mms, lift_s }) =>
    ((lanes * (wide_mm + 60) + high_mm + 2 * (wide_mm + high_mm)) / speed_mms +
      (2 * lanes + 7) * lift_s +
      (lanes * wide_mm) / MOVE_MMS) /
    60,
};

/** How long one pass takes over a rectangle, min. */
export function passTime(
  { wide_mm, high_mm }: { readonly wide_mm: number; readonly high_mm: number },
  tool: Pick<Tool, 'blade_mm' | 'overlap_mm'>,
  { speed_mms, lift_s }: Pace,
): Reasoned<number> {
  const lanes = lanesOver(high_mm, tool);
  return reasonedBy(PASS_FORMULA, { wide_mm, high_mm, lanes, speed_mms, lift_s });
}

/** How long one pass takes, s. */
export function timeOf(strokes: readonly Stroke[], { speed_mms, lift_s }: Pace): Reasoned<number> {
  return reasonedBy(PACE_FORMULA, {
    length_mm: strokes.reduce((sum, stroke) => sum + lengthOf(stroke), 0),
    lifts: strokes.length,
    moves_mm: movesBetween(strokes),
    speed_mms,
    lift_s,
  });
}
