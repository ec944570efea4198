export { type Allowance, ALLOWANCES, allowanceFor } from './allowances';
export { type Blank, type BlankInput, BLANK_FORMULAS, blankFor } from './blank';
export { type LayoutPiece, type LayoutPlan, type LayoutRequest, type LayoutSolver, type PlacedPiece, LAYOUT_FORMULAS, layoutSums } from './layout';
export { layOutInLevels } from './level-layout';
export { type LayoutFault, checkLayout } from './check-layout';
