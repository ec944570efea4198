export { type Allowance, type Sides, ALLOWANCES, allowanceFor, methodsFor } from './allowances';
export type { Rule } from './rule';
export { RULES, type RuleKey } from './rules';
export { rulesDocument } from './rules-document';
