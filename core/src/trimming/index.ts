export {
  type EdgeName,
  type NotTrimmed,
  type TrimAsked,
  type TrimCut,
  type TrimEdge,
  type TrimPlan,
  type TrimSpot,
  EDGE_NAMES,
  NOT_TRIMMED,
  TRIM_FORMULAS,
  trimPlan,
} from './trim-plan';
