export {
  type CutPlanFile,
  type PlanPiece,
  type PlanRoll,
  cutPlanFileSchema,
  cutPlanJson,
  outlineOf,
  phaseWord,
  pieceWord,
  readCutPlanFile,
} from './cut-plan-file';
export { cutPlanDxf } from './cut-plan-dxf';
export { HPGL_UNITS, plotOrder, rollHpgl } from './cut-plan-hpgl';
export { cutPlanSvg } from './roll-svg';
export { paymentsCsv } from './payments-csv';
export { stockCsv } from './stock-csv';
export { tableCsv } from './table-csv';
export { type CutListRow, cutListCsv, readCutListCsv } from './cut-list-csv';
