import { CoreError, type Formula, type Source, applyFormula } from '../quantity';
import { cylinderRoots, cylinderWeight } from './cylinder';
import type { Wait } from './wait';

const WOUND: Source = {
  kind: 'from memory',
  text: 'wound film: density 1300, heat 1250, conductivity 0.15 (from memory); wrapped 3, bare 9 W/m²K (own judgement)',
};
const DENSITY = 1300;
const HEAT = 1250;
const CONDUCTS = 0.15;
const TO_AIR = { boxed: 3, bare: 9 } as const;

interface RollWarming {
  readonly length_m: number;
  /** Film, adhesive and liner together. */
  readonly pitch_um: number;
  readonly coreRadius_mm: number;
  readonly wrap: 'boxed' | 'bare';
  readonly start_C: number;
  readonly room_C: number;
  /** Warm enough so near to the room. */
  readonly within_K: number;
}

export const ROLL_FORMULAS = {
  radius: {
    id: 'waiting.rollRadius',
    word: 'radius of the roll',
    says: 'R = √(r² + L · t ÷ π)',
    unit: 'm',
    source: { kind: 'geometry', text: 'area of the wound film' },
    inputs: {
      core_m: { word: 'core radius', unit: 'm' },
      length_m: { word: 'length', unit: 'm' },
      pitch_m: { word: 'one turn', unit: 'm' },
    },
    of: ({ core_m, length_m, pitch_m }) => Math.sqrt(core_m * core_m + (length_m * pitch_m) / Math.PI),
  } satisfies Formula<{ core_m: number; length_m: number; pitch_m: number }>,
  solid: {
    id: 'waiting.rollSolid',
    word: 'core of a solid roll',
    says: 't = ln(C₁ ÷ θ) · R² ÷ (α · ζ₁²)',
    unit: 's',
    source: WOUND,
    inputs: {
      radius_m: { word: 'radius', unit: 'm' },
      toAir_Wm2K: { word: 'to the air', unit: 'W/m²K' },
      left: { word: 'difference left', unit: 'share' },
    },
    of: ({ radius_m, toAir_Wm2K, left }) => {
      const [root = 1] = cylinderRoots((toAir_Wm2K * radius_m) / CONDUCTS, 1);
      return Math.max(
        0,
        (Math.log(cylinderWeight(root) / left) * radius_m * radius_m * DENSITY * HEAT) /
          (CONDUCTS * root * root),
      );
    },
  } satisfies Formula<{ radius_m: number; toAir_Wm2K: number; left: number }>,
  hollow: {
    id: 'waiting.rollHollow',
    word: 'roll on a hollow core',
    says: 't = ρc · (R² − r²) ÷ 2R · (1/U + (R − r)/2k) · ln(1/θ)',
    unit: 's',
    source: WOUND,
    inputs: {
      radius_m: { word: 'radius', unit: 'm' },
      core_m: { word: 'core radius', unit: 'm' },
      toAir_Wm2K: { word: 'to the air', unit: 'W/m²K' },
      left: { word: 'difference left', unit: 'share' },
    },
    of: ({ radius_m, core_m, toAir_Wm2K, left }) =>
      ((DENSITY * HEAT * (radius_m * radius_m - core_m * core_m)) / (2 * radius_m)) *
      (1 / toAir_Wm2K + (radius_m - core_m) / (2 * CONDUCTS)) *
      Math.log(1 / left),
  } satisfies Formula<{ radius_m: number; core_m: number; toAir_Wm2K: number; left: number }>,
} as const;

/**
 * How long a cold roll stands before its inside is as warm as the room. A hollow core makes it quicker; as a
 * solid roll it is on the safe side.
 * @throws CoreError WAITING_RANGE
 */
export function rollWarming({
  length_m,
  pitch_um,
  coreRadius_mm,
  wrap,
  start_C,
  room_C,
  within_K,
}: RollWarming): Wait {
  inRange('length_m', length_m, 0.1, 2000);
  inRange('pitch_um', pitch_um, 10, 3000);
  inRange('coreRadius_mm', coreRadius_mm, 1, 200);
  inRange('within_K', within_K, 0.1, 20);
  const core_m = coreRadius_mm / 1000;
  const radius = applyFormula(ROLL_FORMULAS.radius, { core_m, length_m, pitch_m: pitch_um / 1e6 });
  const left = within_K / Math.abs(room_C - start_C);
  const base = {
    key: 'roll',
    notOver: null,
    never: null,
  } as const;
  if (!(left < 1)) return { ...base, least: 0, likely: 0, most: 0, why: [radius] };
  const toAir_Wm2K = TO_AIR[wrap];
  const hollow = applyFormula(
    ROLL_FORMULAS.hollow,
    { radius_m: radius.value, core_m, toAir_Wm2K, left },
    { uncertainty: { plusMinus: 0.3, says: 'within 20 to 30 % of conduction calculated in full' } },
  );
  const solid = applyFormula(
    ROLL_FORMULAS.solid,
    { radius_m: radius.value, toAir_Wm2K, left },
    { remark: 'to be safe' },
  );
  const minutes = (seconds: number): number => Math.round(seconds / 60);
  return {
    ...base,
    least: minutes(0.7 * hollow.value),
    likely: minutes(hollow.value),
    most: minutes(Math.max(solid.value, 1.3 * hollow.value)),
    why: [radius, hollow, solid],
  };
}

export function inRange(path: string, value: number, least: number, most: number): void {
  if (!(value >= least && value <= most))
    throw new CoreError('WAITING_RANGE', { path, expected: `${least} to ${most}`, got: String(value) });
}
