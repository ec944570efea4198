export { GAZE_HALF_DEG, foundBySearch, gazeStrip, stripsOver, sweepWidth } from './gaze';
export {
  type LookPiece,
  type LookedAt,
  type RoundAsked,
  lookedAt,
  pieceKey,
  pieceTime,
  roundOf,
  roundTime,
} from './round';
export { gapContrast, leastAngle, sizeAt } from './visibility';
