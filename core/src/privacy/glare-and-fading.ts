import { type Formula, type Reasoned, type Source, applyFormula } from '../quantity';

const SUN_LUX = 100_000;
const PATCH_REFLECTS = 0.5;
const PATCH: Source = {
  kind: 'our guess',
  text: 'a matt surface that throws back half of 100 000 lx of sun; own judgement',
};
const GLARE_FORMULA: Formula<{ readonly t: number; readonly lux: number; readonly reflects: number }> = {
  id: 'privacy.sun-patch',
  word: 'Brightness of the sun patch on a desk',
  says: 'L = ρ·T·E/π',
  unit: 'cd/m²',
  source: PATCH,
  inputs: {
    t: { word: 'light through', unit: 'share' },
    lux: { word: 'sun outside', unit: 'lx' },
    reflects: { word: 'the desk throws back', unit: 'share' },
  },
  of: ({ t, lux, reflects }) => (reflects * t * lux) / Math.PI,
};
/**
 * Weights of what fades colours: ultraviolet most, light also, heat a little.
 * @source Krochmann-like weights rounded, own judgement; ISO 9050 gives a finer one
 */
const FADING: Source = {
  kind: 'our guess',
  text: 'ultraviolet 40 %, light 30 %, heat 30 %: a common division in sheets, no published source; colours differ widely',
};
const FADING_FORMULA: Formula<{ readonly uv: number; readonly light: number; readonly heat: number }> = {
  id: 'privacy.fading',
  word: 'What fades colours, of open air',
  says: '0.4·Tuv + 0.3·Tvis + 0.3·Tsol',
  unit: 'share',
  source: FADING,
  inputs: {
    uv: { word: 'ultraviolet through', unit: 'share' },
    light: { word: 'light through', unit: 'share' },
    heat: { word: 'sun through', unit: 'share' },
  },
  of: ({ uv, light, heat }) => 0.4 * uv + 0.3 * light + 0.3 * heat,
};
export const GLARE_FORMULAS = [GLARE_FORMULA, FADING_FORMULA] as const;

export function sunPatch(lightThrough: number): Reasoned<number> {
  const step = applyFormula(GLARE_FORMULA, { t: lightThrough, lux: SUN_LUX, reflects: PATCH_REFLECTS });
  return { value: step.value, why: [step] };
}

export function fadingShare(uv: number, light: number, heat: number): Reasoned<number> {
  const step = applyFormula(FADING_FORMULA, { uv, light, heat });
  return { value: step.value, why: [step] };
}
