export { type NetworkDistance, type NetworkPoint, type NetworkSolution, adjustNetwork } from './adjust-network';
export { type Agreement, type PaneCheck, type PaneMeasure, type PaneSizes, type Suspect, checkFlatPane } from './check-flat-pane';
export { type PaneSlot, PANE_SLOTS, distanceWord, slotBetween } from './pane-slots';
export { type Outline, type Point, outlineBounds, viewOutline } from './outline';
export { SIZE_FORMULAS } from './pane-sizes';
export { INSTRUMENTS, standardDeviation_mm } from './instruments';
