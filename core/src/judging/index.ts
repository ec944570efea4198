export { type BrokenRule, brokenRules } from './broken-rules';
export { CONTRASTS, type LookContrast } from './contrasts';
export {
  type JudgeAsked,
  type MarkDecision,
  type MarkReason,
  USUAL_LUMINANCE,
  VERDICT_OF_MARK,
  decideMarks,
  verdictOfMarks,
} from './decide';
export { PIN_SIZE, type Pin, type PinFault } from './pin';
export { type PocketSaid, pocketSaid } from './pocket';
export { type Remedy, remedyFor } from './remedies';
export { RULE_SETS } from './rule-sets';
