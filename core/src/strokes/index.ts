export { type Coverage, type Gap, coverageOf } from './coverage';
export { columnStrips } from './column-strips';
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
} from './face';
export { type Findings, type Trap, type WaterWays, findingsOf, waterWays } from './findings';
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
export { PACE_FORMULA, type Pace, timeOf } from './pace';
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
  type Stroke,
  type StrokePart,
  endOf,
  lengthOf,
  movesBetween,
  reversed,
  squareStroke,
  startOf,
  sweptBy,
} from './stroke';
export { plateStiffness, tentRadius } from './tent';
export { type Bubble, type EscapeNet, bubblesOf, closedMaxima, firstTrap } from './traps';
