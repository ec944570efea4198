/**
 * Where a number or a rule comes from. `common practice` has no published source, and says so wherever it is
 * shown.
 */
export interface Source {
  readonly kind: 'published' | 'common practice' | 'from memory' | 'our guess' | 'geometry' | 'measured here';
  readonly text: string;
}

export const COMMON_PRACTICE: Source = {
  kind: 'common practice',
  text: 'common practice, no published source',
};
export const GEOMETRY: Source = { kind: 'geometry', text: 'plane geometry' };

interface FormulaInput {
  readonly word: string;
  readonly unit: string;
}

/**
 * A formula is data with a one-line body, so that what is shown and what is calculated are the same thing.
 */
export interface Formula<Inputs extends object> {
  readonly id: string;
  readonly word: string;
  readonly says: string;
  readonly unit: string;
  readonly source: Source;
  readonly inputs: { readonly [Key in keyof Inputs]: FormulaInput };
  readonly of: (inputs: Inputs) => number;
}

/** The trace of one formula: enough to show it, and to calculate it again. */
export interface Step {
  readonly formula: string;
  readonly word: string;
  readonly says: string;
  readonly unit: string;
  readonly inputs: readonly (FormulaInput & { readonly key: string; readonly value: number })[];
  readonly value: number;
  readonly source: Source;
  readonly uncertainty?: { readonly plusMinus: number; readonly says: string };
  readonly remark?: string;
}

/** A value together with the steps that led to it, the last step giving the value. */
export interface Reasoned<Value> {
  readonly value: Value;
  readonly why: readonly Step[];
}

/** Applies a formula and keeps the trace.
 *  @returns the step; its `value` is `formula.of(inputs)` and nothing else */
export function applyFormula<Inputs extends object>(
  formula: Formula<Inputs>,
  inputs: Inputs,
  more: {
    readonly uncertainty?: Step['uncertainty'];
    readonly remark?: string;
    readonly source?: Source;
  } = {},
): Step {
  const entries = Object.entries<FormulaInput>(formula.inputs);
  const values = inputs as Readonly<Record<string, number>>;
  return {
    formula: formula.id,
    word: formula.word,
    says: formula.says,
    unit: formula.unit,
    inputs: entries.map(([key, input]) => ({ key, ...input, value: values[key] ?? Number.NaN })),
    value: formula.of(inputs),
    source: more.source ?? formula.source,
    ...(more.uncertainty === undefined ? {} : { uncertainty: more.uncertainty }),
    ...(more.remark === undefined ? {} : { remark: more.remark }),
  };
}

/** One figure with its reason; steps that led to its inputs stand first. */
export function reasonedBy<Inputs extends object>(
  formula: Formula<Inputs>,
  inputs: Inputs,
  before: readonly Step[] = [],
): Reasoned<number> {
  const step = applyFormula(formula, inputs);
  return { value: step.value, why: [...before, step] };
}
