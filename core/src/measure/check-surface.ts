import type { SurfaceShape } from '../job';
import type { MeasureSlot } from './measure-slot';
import { refuseAbsurd } from './reading';
import { archedTop } from './shapes/arched-top';
import { roundColumn } from './shapes/round-column';
import { squareColumn } from './shapes/square-column';
import { curvedGlass } from './shapes/curved-glass';
import { moulding, panel } from './shapes/fixtures';
import { fourSides } from './shapes/four-sides';
import { manySides } from './shapes/many-sides';
import { oval, round } from './shapes/round';
import { roundedCorners } from './shapes/rounded-corners';
import { type ShapeMeasure, type SurfaceInput, firstUntaken } from './shapes/shape';
import { threeSides } from './shapes/three-sides';
import { wall } from './shapes/wall';
import type { SurfaceCheck } from './surface-check';

const SHAPES: Readonly<Record<SurfaceShape, ShapeMeasure>> = {
  'four sides': fourSides,
  'three sides': threeSides,
  'many sides': manySides,
  'arched top': archedTop,
  round,
  oval,
  'rounded corners': roundedCorners,
  'curved glass': curvedGlass,
  wall,
  'round column': roundColumn,
  'square column': squareColumn,
  panel,
  moulding,
};

/** The customary measures of a shape, in the order of walking.
 *  @param corners of `many sides`, 3 to 24; otherwise not looked at */
export function slotsFor(shape: SurfaceShape, corners?: number | null): readonly MeasureSlot[] {
  return SHAPES[shape].slots(corners ?? 5);
}

/** Checks the measures of one surface against each other and gives its shape and sizes.
 *  Any subset that determines the shape will do; repeats are allowed; labels of pre-cut film are left aside.
 *  @throws CoreError MEASURE_DISTANCE_RANGE, MEASURE_POINTS_SAME */
export function checkSurface(input: SurfaceInput): SurfaceCheck {
  input.readings.forEach(refuseAbsurd);
  const check = SHAPES[input.shape].check({
    ...input,
    readings: input.readings.filter(({ kind }) => kind !== 'label'),
  });
  if (!('helpsNext' in check) || check.helpsNext === undefined) return check;
  /** A shape made of another asks only for what it has a field for. */
  const own = slotsFor(input.shape, input.corners ?? null);
  const asked = check.helpsNext;
  if (own.some(({ key }) => key === asked.key)) return check;
  return { ...check, helpsNext: firstUntaken(own, input.readings) };
}
