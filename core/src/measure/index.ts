export { type Datum, type NetworkSolution, adjustNetwork, spanOf, spreadOf } from './adjust-network';
export { type NetworkObservation, type NetworkPoint } from './observation';
export { checkSurface, slotsFor } from './check-surface';
export type { JointSizes, PartSize, SurfaceInput } from './shapes/shape';
export { type Agreement, type AskedMeasure, type Reliability, type Suspect, judge } from './judge';
export { type MeasureSlot, measureWord, mirroredMeasure, pointWord, typedRange } from './measure-slot';
export { type Reading, isSameMeasure, sdOf } from './reading';
export type { Hardness } from '../curved';
export type { Impossible, MeasureRemark } from './measure-case';
export {
  type Assumption,
  type Figure,
  type SurfaceCheck,
  IS_CUSTOMARY,
  outlineOfCheck,
} from './surface-check';
export {
  type Bounds,
  type Outline,
  type Point,
  areaOf,
  isConvex,
  isSimple,
  mirrorOf,
  outlineBounds,
  perimeterOf,
  viewOutline,
} from './outline';
export { type SizeKey, type Sizes, SIZE_FORMULAS, SIZE_WORDS, rectangleSizes, sizeWord } from './sizes';
export { type JointLine, jointsOn } from './joint-grid';
export { INSTRUMENTS, canTake, standardDeviation_mm } from './instruments';
export { type CurvedPatch, patchAt, surplusAtEdges } from '../curved';
export { FEWEST_CORNERS, MOST_CORNERS } from './shapes/many-sides';
export { type SlipFix, TO_FRAME, slipFixes } from './slips';
export { type ComparedSurface, type SameAsGroup, sameAsGroups } from './same-as';
export { LABEL_MEASURES, type Recheck, type SideRecheck, labelMeasure, recheckFilm } from './recheck';
export { CURVED_POINTS } from './shapes/fit-patch';
export { fourSidePoints } from './shapes/four-sides';
export { type NetworkAnswer, type NetworkRequest, reckonNetwork } from './reckon-network';
export { readingOf, surfaceInputOf } from './surface-input';
export { nominalFigure } from './nominal';
export { type LengthCompared, type SameAsLastTime, sameAsLastTime, wantingHere } from './as-last-time';
export { type PatternLength, PATTERN_CORNERS, patternLengths } from './pattern-lengths';
