import { type Formula, type Reasoned, applyFormula } from '../quantity';

interface GlassSize {
  readonly area_m2: number;
  readonly thickness_mm: number;
}

/** Soda-lime glass: 2.5 kg for each square metre and millimetre. */
export const GLASS_WEIGHT: Formula<GlassSize> = {
  id: 'glazing.glassWeight',
  word: 'weight of the glass',
  says: 'm = A · t · 2.5',
  unit: 'kg',
  source: { kind: 'published', text: 'EN 572-1: density of soda-lime glass 2500 kg/m³' },
  inputs: {
    area_m2: { word: 'area', unit: 'm²' },
    thickness_mm: { word: 'all its panes together', unit: 'mm' },
  },
  of: ({ area_m2, thickness_mm }) => area_m2 * thickness_mm * 2.5,
};

/**
 * What the glass of a surface weighs, without sash, gaps and gas.
 * @param panes_mm thickness of each pane; null: unknown
 * @returns kg; undefined while a thickness is not known
 */
export function glassWeight(
  area_m2: number,
  panes_mm: readonly (number | null)[],
): Reasoned<number> | undefined {
  if (panes_mm.length === 0 || panes_mm.some((thickness) => thickness === null)) return undefined;
  const thickness_mm = panes_mm.reduce<number>((sum, thickness) => sum + (thickness ?? 0), 0);
  const step = applyFormula(GLASS_WEIGHT, { area_m2, thickness_mm });
  return { value: step.value, why: [step] };
}
