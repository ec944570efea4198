export { type Coverage, type Gap, coverageOf } from './coverage';
export { columnStrips, columnStrokes } from './column-strips';
export {
  type Face,
  type Ring,
  type Side,
  type Spot,
  areaOfFace,
  boundsOf,
  faceOf,
  isOnFace,
  longestUpright,
  sidesOf,
  turnOf,
  wayToSide,
} from './face';
export { type Findings, type Trap, type WaterWays, findingsOf } from './findings';
export {
  LAP_FORMULAS,
  lapFor,
  lineChance,
  lineChanceBy,
  lineWidth,
  overlapFor,
  ridgeHeight,
  timesOver,
} from './lap';
export { type Tool, lanesOver, lanesOverRectangle, leastLanes } from './lanes';
export { LOCK_FIGURES, type LockFigure } from './lock-strokes';
export { PACE_FORMULA, PASS_FORMULA, type Pace, passTime, timeOf } from './pace';
export { type PlanAsked, type PlannedStrokes, planStrokes } from './plan-strokes';
export {
  type Passes,
  floorOf,
  leftAfter,
  leftByMeniscus,
  leftBySoftEdge,
  leftByStrip,
  passesUntil,
} from './residue';
export {
  type Blade,
  type Motion,
  type Stroke,
  type StrokePart,
  endOf,
  lengthOf,
  middleWay,
  motionOf,
  movesBetween,
  placeAlong,
  reversed,
  squareStroke,
  startOf,
  sweptBy,
} from './stroke';
export { plateStiffness, tentRadius } from './tent';
export { type Bubble, type EscapeNet, bubblesOf, closedMaxima, firstTrap } from './traps';
export { cutOut, faceWithin } from './cut-out';
export { crossesItself, insetFace } from './inset';
export { withChanges } from './own-strokes';
export { type JudgedStrokes, type StrokesAsked, judgeStrokes, reckonStrokes } from './reckon-strokes';
export { timeOfTwo } from './two-people';
export { REASON_FORMULAS, type FilmPressed, type StrokeReason, reasonsFor } from './why-so';
export { SAMPLE_KINDS, type SampleKind, sampleFace } from './sample-faces';
export { sampleNet, trapsByBruteForce } from './sample-nets';
export { LINE_MM, type StrokeNote, notesOf } from './stroke-notes';
export { FIGURE_FORMULAS, type StrokeFigures, strokeFigures } from './stroke-figures';
