import { type Formula, type Source, type Step, applyFormula } from '../quantity';
import { FACTOR_SOURCE } from './stress-factors';

const GLASS: Source = { kind: 'published', text: 'EN 572-1: E = 70 GPa, α = 9·10⁻⁶ /K' };
const LINEAR: Source = { kind: 'geometry', text: 'linear superposition of two temperature fields' };
/** E·α. */
export const STRESS_PER_KELVIN_MPA = 0.63;
const TEMPERATURE_SD_K = 3;

const FRAME_FORMULA: Formula<{ readonly share: number; readonly outdoor: number; readonly indoor: number }> =
  {
    id: 'stress.frame',
    word: 'Temperature of the frame',
    says: 'T_frame = w·To + (1 − w)·Ti',
    unit: '°C',
    source: { kind: 'our guess', text: 'own judgement: how far a frame follows outdoors' },
    inputs: {
      share: { word: 'share that follows outdoors', unit: 'share' },
      outdoor: { word: 'outdoors', unit: '°C' },
      indoor: { word: 'indoors', unit: '°C' },
    },
    of: ({ share, outdoor, indoor }) => share * outdoor + (1 - share) * indoor,
  };
const STRESS_FORMULA: Formula<{
  readonly ea: number;
  readonly k: number;
  readonly sunny: number;
  readonly dark: number;
  readonly k0: number;
  readonly frame: number;
}> = {
  id: 'stress.edge',
  word: 'Tension in the edge',
  says: 'σ = E·α·[K·(T_sun − T_dark) + K₀·max(0, T_dark − T_frame)]',
  unit: 'MPa',
  source: FACTOR_SOURCE,
  inputs: {
    ea: { word: 'E·α of glass', unit: 'MPa/K' },
    k: { word: 'K, for this shade and frame', unit: 'share' },
    sunny: { word: 'middle of the pane in the sun', unit: '°C' },
    dark: { word: 'the same pane without sun', unit: '°C' },
    k0: { word: 'K₀, all in the sun', unit: 'share' },
    frame: { word: 'frame', unit: '°C' },
  },
  of: ({ ea, k, sunny, dark, k0, frame }) =>
    ea * (k * Math.max(0, sunny - dark) + k0 * Math.max(0, dark - frame)),
};
const SHARE_FORMULA: Formula<{ readonly stress: number; readonly allowable: number }> = {
  id: 'stress.share',
  word: 'Of what the edge bears',
  says: 'σ / σ_allowed',
  unit: 'share',
  source: LINEAR,
  inputs: {
    stress: { word: 'tension in the edge', unit: 'MPa' },
    allowable: { word: 'allowed, 8 in 1,000 break', unit: 'MPa' },
  },
  of: ({ stress, allowable }) => stress / allowable,
};
export const STRESS_FORMULAS = [FRAME_FORMULA, STRESS_FORMULA, SHARE_FORMULA] as const;
export { GLASS as GLASS_SOURCE };

export interface StressCase {
  readonly sunny_C: number;
  readonly dark_C: number;
  readonly outdoor_C: number;
  readonly indoor_C: number;
  readonly factor: number;
  readonly factorFullSun: number;
  readonly frameFollows: number;
}

/** Tension without the trace: for sweeps. @returns MPa, ≥ 0 */
export function edgeStress({
  sunny_C,
  dark_C,
  outdoor_C,
  indoor_C,
  factor,
  factorFullSun,
  frameFollows,
}: StressCase): number {
  return STRESS_FORMULA.of({
    ea: STRESS_PER_KELVIN_MPA,
    k: factor,
    sunny: sunny_C,
    dark: dark_C,
    k0: factorFullSun,
    frame: FRAME_FORMULA.of({ share: frameFollows, outdoor: outdoor_C, indoor: indoor_C }),
  });
}

/** The same with every step, and how sure it is. */
export function edgeStressSteps(
  { sunny_C, dark_C, outdoor_C, indoor_C, factor, factorFullSun, frameFollows }: StressCase,
  allowable_MPa: number | undefined,
): readonly Step[] {
  const frame = applyFormula(FRAME_FORMULA, { share: frameFollows, outdoor: outdoor_C, indoor: indoor_C });
  const stress = applyFormula(
    STRESS_FORMULA,
    {
      ea: STRESS_PER_KELVIN_MPA,
      k: factor,
      sunny: sunny_C,
      dark: dark_C,
      k0: factorFullSun,
      frame: frame.value,
    },
    {
      uncertainty: {
        plusMinus: stressSpread(factor),
        says: `glass temperature ±${TEMPERATURE_SD_K} K, K ±10 %; the state of the edge matters more`,
      },
    },
  );
  return allowable_MPa === undefined
    ? [frame, stress]
    : [frame, stress, applyFormula(SHARE_FORMULA, { stress: stress.value, allowable: allowable_MPa })];
}

function stressSpread(factor: number): number {
  return Math.round(10 * STRESS_PER_KELVIN_MPA * factor * TEMPERATURE_SD_K) / 10;
}
