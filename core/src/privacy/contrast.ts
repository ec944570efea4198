import { CoreError, type Formula, type Reasoned, type Source, applyFormula } from '../quantity';

/** What stands before and behind the glass for one looker: luminances in cd/m². */
export interface Scene {
  readonly name: string;
  /** Around the one who looks: reflected by the glass. */
  readonly near_cdm2: number;
  /** Behind what is looked at. */
  readonly far_cdm2: number;
  /** On the far and near face of the glass, lux; lights up what scatters. */
  readonly far_lux: number;
  readonly near_lux: number;
}

/** Glass in visible light, from the looker's side. */
export interface Seen {
  readonly transmitted: number;
  readonly reflectedNear: number;
  /** Share of what goes through that is scattered. */
  readonly haze: number;
}

export type PrivacyClass = 'open' | 'reduced' | 'outline' | 'faint' | 'hidden';

const VEIL: Source = {
  kind: 'published',
  text: 'contrast under a veiling luminance (lighting handbooks); haze as in ASTM D1003',
};
const SCENES_SOURCE: Source = {
  kind: 'our guess',
  text: 'typical luminances, own judgement: the true scene may differ by a factor of two',
};
export { SCENES_SOURCE };

const VEIL_FORMULA: Formula<{
  readonly t: number;
  readonly haze: number;
  readonly r: number;
  readonly near: number;
  readonly far_lux: number;
  readonly near_lux: number;
}> = {
  id: 'privacy.veil',
  word: 'Veil over the glass',
  says: 'L_veil = T·H·E_far/π + R·L_near + ρd·E_near/π, ρd = R·H',
  unit: 'cd/m²',
  source: VEIL,
  inputs: {
    t: { word: 'light through', unit: 'share' },
    haze: { word: 'of it scattered', unit: 'share' },
    r: { word: 'light reflected to the looker', unit: 'share' },
    near: { word: 'luminance round the looker', unit: 'cd/m²' },
    far_lux: { word: 'light on the far face', unit: 'lx' },
    near_lux: { word: 'light on the near face', unit: 'lx' },
  },
  of: ({ t, haze, r, near, far_lux, near_lux }) =>
    (t * haze * far_lux) / Math.PI + r * (1 - haze) * near + (r * haze * near_lux) / Math.PI,
};
const CONTRAST_FORMULA: Formula<{
  readonly t: number;
  readonly haze: number;
  readonly far: number;
  readonly veil: number;
}> = {
  id: 'privacy.contrast',
  word: 'Contrast kept through the glass',
  says: 'C/C0 = Tr·L_far / (Tr·L_far + L_veil), Tr = T·(1 − H)',
  unit: 'share',
  source: VEIL,
  inputs: {
    t: { word: 'light through', unit: 'share' },
    haze: { word: 'of it scattered', unit: 'share' },
    far: { word: 'luminance behind what is looked at', unit: 'cd/m²' },
    veil: { word: 'veil over the glass', unit: 'cd/m²' },
  },
  of: ({ t, haze, far, veil }) => (t * (1 - haze) * far) / (t * (1 - haze) * far + veil),
};
export const CONTRAST_FORMULAS = [VEIL_FORMULA, CONTRAST_FORMULA] as const;

/** Shares of a sheet are rounded to whole percent. */
const ROUNDED = 0.01;

/**
 * Share of the contrast that is left to the looker, 0..1.
 * @throws CoreError PRIVACY_SCENE for shares out of 0..1 or over 1 together, luminances below zero, or a
 * scene with no light at all
 */
export function contrastKept(
  { transmitted, reflectedNear, haze }: Seen,
  { near_cdm2, far_cdm2, far_lux, near_lux }: Scene,
): Reasoned<number> {
  for (const [path, value] of Object.entries({ transmitted, reflectedNear, haze }))
    if (!(value >= 0 && value <= 1))
      throw new CoreError('PRIVACY_SCENE', { path, expected: '0 to 1', got: String(value) });
  if (transmitted + reflectedNear > 1 + ROUNDED)
    throw new CoreError('PRIVACY_SCENE', {
      path: 'reflectedNear',
      expected: `at most ${(1 - transmitted).toFixed(2)}: let through and reflected together are no more than 1`,
      got: String(reflectedNear),
    });
  for (const [path, value] of Object.entries({ near_cdm2, far_cdm2, far_lux, near_lux }))
    if (!(value >= 0 && value < 1e9))
      throw new CoreError('PRIVACY_SCENE', { path, expected: '0 or more', got: String(value) });
  if (near_cdm2 + far_cdm2 + far_lux + near_lux === 0)
    throw new CoreError('PRIVACY_SCENE', {
      path: 'scene',
      expected: 'some light on one side at least',
      got: 'no light at all',
    });
  const veil = applyFormula(VEIL_FORMULA, {
    t: transmitted,
    haze,
    r: reflectedNear,
    near: near_cdm2,
    far_lux,
    near_lux,
  });
  if (transmitted * (1 - haze) * far_cdm2 + veil.value <= 0) return { value: 0, why: [veil] };
  const kept = applyFormula(
    CONTRAST_FORMULA,
    { t: transmitted, haze, far: far_cdm2, veil: veil.value },
    { uncertainty: { plusMinus: 0.2, says: 'the scene itself by a factor of two' } },
  );
  return { value: kept.value, why: [veil, kept] };
}

/**
 * Words for a share of contrast.
 * @source .02 Koschmieder, .05 WMO visibility; the classes between are own judgement
 */
export function privacyClass(share: number): PrivacyClass {
  return share > 0.5
    ? 'open'
    : share > 0.2
      ? 'reduced'
      : share > 0.05
        ? 'outline'
        : share > 0.02
          ? 'faint'
          : 'hidden';
}
