import { type Formula, GEOMETRY, type Reasoned, applyFormula, toTenth } from '../quantity';

/**
 * How a pattern comes again from drop to drop: side by side at the same height, or every other one half a
 * repeat lower.
 */
export type PatternMatch = 'none' | 'straight' | 'half drop';
export type FirstDrop = 'save film' | 'centre the pattern';

interface CellInputs {
  readonly length_mm: number;
  readonly phase_mm: number;
  readonly repeat_mm: number;
}

export const CELL: Formula<CellInputs> = {
  id: 'cutting.patternCell',
  word: 'length taken for the pattern',
  says: 'L = (phase + length) rounded up to whole repeats',
  unit: 'mm',
  source: GEOMETRY,
  inputs: {
    length_mm: { word: 'length of the drop', unit: 'mm' },
    phase_mm: { word: 'where in the repeat it begins', unit: 'mm' },
    repeat_mm: { word: 'repeat', unit: 'mm' },
  },
  of: ({ length_mm, phase_mm, repeat_mm }) =>
    Math.ceil((phase_mm + length_mm) / repeat_mm - 1e-9) * repeat_mm,
};

/** Where in the repeat a drop begins, so that it meets the one before it. @param drop counted from 0 */
export function phaseOf(
  match: PatternMatch,
  first: FirstDrop,
  drop: number,
  height_mm: number,
  repeat_mm: number,
): number {
  const start = first === 'save film' ? 0 : mod(repeat_mm / 2 - mod(height_mm / 2, repeat_mm), repeat_mm);
  return toTenth(mod(start + (match === 'half drop' && drop % 2 === 1 ? repeat_mm / 2 : 0), repeat_mm));
}

/**
 * Length to take off the roll for a drop: whole repeats, so that every piece laid behind it keeps the pattern
 * too.
 */
export function cellOf(length_mm: number, phase_mm: number, repeat_mm: number): Reasoned<number> {
  const step = applyFormula(CELL, { length_mm, phase_mm, repeat_mm });
  return { value: toTenth(step.value), why: [step] };
}

const mod = (value: number, by: number): number => ((value % by) + by) % by;
