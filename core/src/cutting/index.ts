export { type Allowance, ALLOWANCES, allowanceFor } from './allowances';
export { type Blank, type BlankInput, BLANK_FORMULAS, blankFor } from './blank';
export { type LayoutPiece, type LayoutPlan, type LayoutRequest, type PlacedPiece, LAYOUT_FORMULAS, layoutSums } from './layout';
export { type ByHandLimits, layOutByHand, layOutByHandSteps } from './by-hand/lay-out-by-hand';
export { layOutInLevels } from './level-layout';
export { type LayoutFault, checkLayout } from './check-layout';
export { checkCuttable } from './check-cuttable';
