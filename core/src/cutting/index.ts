export { methodAfter, suitedMethods } from './blanks/suited-method';
export { type Blank, type BlankInput, BLANK_FORMULAS, blankFor, hashText } from './blanks/blank';
export {
  type CutBlank,
  type CutBlanks,
  type CutInput,
  type SeamWishes,
  customarySeam,
  cutBlanks,
  lapOf,
  layoutPieceOf,
  meetsOf,
} from './blanks/cut-blanks';
export { type SeamKind, type SeamPlacing, DROP_COUNT, placeSeams } from './blanks/drops';
export { type FirstDrop, type PatternMatch, CELL } from './blanks/pattern';
export { type SectorBlank, SECTOR_FORMULAS, sectorBlank } from './blanks/sector';
export { type ArcOnTheTable, type ColumnMarks, columnMarks, sectorOnTheTable } from './blanks/column-marks';
export { pieceNotes } from './blanks/piece-notes';
export type { BlankNote, PieceNote, TooWide } from './blanks/blank-note';
export {
  type BlankEdge,
  type RollEdges,
  type TopPoints,
  STANDING,
  isMirroredOnTable,
  lieOf,
  lyingOnRoll,
  quarterTurned,
  quarterTurnedBack,
} from './blanks/on-the-table';
export type { LayoutPiece, LayoutPlan, LayoutRequest, PlacedPiece } from './layout-plan';
export { type LengthBound, LAYOUT_FORMULAS, layoutSums, lengthBound } from './layout';
export {
  ANY_STAGES,
  type ByHandLimits,
  type Stages,
  layOutByHand,
  layOutByHandSteps,
  runThrough,
} from './by-hand/lay-out-by-hand';
export { layOutFreeSteps } from './free/lay-out-free';
export { layOutInLevels } from './level-layout';
export { type LayoutFault, checkLayout } from './check-layout';
export { checkCuttable } from './check-cuttable';
export type {
  CutOrder,
  CutOrderPlan,
  CuttingRates,
  OrderPiece,
  PinnedPiece,
  StockFilm,
  StockUse,
} from './order/cut-order';
export { isBetterPlan } from './order/better-plan';
export { planOrderSteps } from './order/plan-order';
export { MONEY_FORMULAS } from './order/order-money';
export { outlineOnRoll } from './order/pair-outlines';
export { type Nested, grown, middleOf, nestPair } from './outlines/nest';
export { type Cut, cutsFor, restsWorthKeeping } from './instructions';
export {
  type HandPlaced,
  type HandRoll,
  type PlacingFault,
  freePlace,
  placingFault,
  snapped,
} from './hand-placing';
export { FILM_WEIGHT, filmWeight } from './film-weight';
