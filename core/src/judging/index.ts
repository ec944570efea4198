export { type BrokenRule, brokenRules } from './broken-rules';
export { CONTRASTS, type LookContrast } from './contrasts';
export {
  type JudgeAsked,
  type MarkDecision,
  type MarkReason,
  type MarkVerdict,
  USUAL_LUMINANCE,
  VERDICT_OF_MARK,
  decideMarks,
  verdictOfMarks,
} from './decide';
export { PIN_SIZE, type Pin, type PinFault } from './pin';
export type { MarkLimit, MarkRule, RuleSet } from './rule-set';
export { RULE_SETS } from './rule-sets';
