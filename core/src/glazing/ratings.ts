import { type Formula, type Reasoned, type Source, type Step, applyFormula } from '../quantity';
import { type HeatBalance, type HeatConditions, heatBalance } from './heat-balance';
import { type MakeUp, type MakeUpOptics, heatGapsOf, heatPanesOf, opticsOfMakeUp } from './make-up';

const NFRC: Source = {
  kind: 'published',
  text: 'conditions of NFRC 100 and NFRC 200, heat balance of ISO 15099 (from memory)',
};
const DEFINITION: Source = { kind: 'published', text: 'definition (ISO 15099, NFRC 200)' };

const WINTER_RATING: HeatConditions = {
  outdoor_C: -18,
  indoor_C: 21,
  outdoor_Wm2K: 26,
  sun_Wm2: 0,
  height_m: 1,
};
const SUMMER_RATING: HeatConditions = {
  outdoor_C: 32,
  indoor_C: 24,
  outdoor_Wm2K: 15,
  sun_Wm2: 783,
  height_m: 1,
};
/**
 * Of three bands against a full spectrum: more where a stack keeps light and infrared apart, since the direct
 * sun has less light and more infrared than the global sun the bands are weighed by.
 * @source error class of the method, and the shares of ASTM G173 (docs/validation.md)
 */
const THREE_BAND_ERROR = { plain: 0.02, selective: 0.03 } as const;
const SELECTIVE_FROM = 0.25;

function bandError({ byBand }: MakeUpOptics): { readonly plusMinus: number; readonly says: string } {
  const apart = Math.abs(byBand.visible.transmitted - byBand.nearInfrared.transmitted);
  return apart > SELECTIVE_FROM
    ? {
        plusMinus: THREE_BAND_ERROR.selective,
        says: 'three bands instead of a full spectrum, light and infrared kept apart',
      }
    : { plusMinus: THREE_BAND_ERROR.plain, says: 'three bands instead of a full spectrum' };
}

const U_FORMULA: Formula<{ readonly flow: number; readonly indoor: number; readonly outdoor: number }> = {
  id: 'glazing.u-value',
  word: 'Heat lost through the glass (U)',
  says: 'U = q / (Ti − To)',
  unit: 'W/m²K',
  source: NFRC,
  inputs: {
    flow: { word: 'heat flow at rest, no sun', unit: 'W/m²' },
    indoor: { word: 'indoors', unit: '°C' },
    outdoor: { word: 'outdoors', unit: '°C' },
  },
  of: ({ flow, indoor, outdoor }) => flow / (indoor - outdoor),
};
const SHGC_FORMULA: Formula<{
  readonly through: number;
  readonly lit: number;
  readonly dark: number;
  readonly sun: number;
}> = {
  id: 'glazing.solar-heat-gain',
  word: "Share of the sun's heat that comes in",
  says: 'SHGC = Tsol + (q_in(sun) − q_in(dark)) / I',
  unit: 'share',
  source: NFRC,
  inputs: {
    through: { word: 'sun straight through', unit: 'share' },
    lit: { word: 'given off to the room in the sun', unit: 'W/m²' },
    dark: { word: 'given off to the room without sun', unit: 'W/m²' },
    sun: { word: 'sun on the glass', unit: 'W/m²' },
  },
  of: ({ through, lit, dark, sun }) => through + (lit - dark) / sun,
};
const SHADING_FORMULA: Formula<{ readonly shgc: number }> = {
  id: 'glazing.shading-coefficient',
  word: 'Shading coefficient',
  says: 'SC = SHGC / 0.87',
  unit: 'share',
  source: DEFINITION,
  inputs: { shgc: { word: "share of the sun's heat that comes in", unit: 'share' } },
  of: ({ shgc }) => shgc / 0.87,
};
const REJECTED_FORMULA: Formula<{ readonly shgc: number }> = {
  id: 'glazing.rejected',
  word: 'Total solar energy kept out',
  says: 'TSER = 1 − SHGC',
  unit: 'share',
  source: DEFINITION,
  inputs: { shgc: { word: "share of the sun's heat that comes in", unit: 'share' } },
  of: ({ shgc }) => 1 - shgc,
};
const LSG_FORMULA: Formula<{ readonly light: number; readonly shgc: number }> = {
  id: 'glazing.light-to-heat',
  word: 'Light for heat',
  says: 'LSG = Tvis / SHGC',
  unit: 'ratio',
  source: DEFINITION,
  inputs: {
    light: { word: 'light through', unit: 'share' },
    shgc: { word: "share of the sun's heat that comes in", unit: 'share' },
  },
  of: ({ light, shgc }) => light / shgc,
};
const VERSUS_FORMULA: Formula<{ readonly withFilm: number; readonly bare: number }> = {
  id: 'glazing.kept-of-bare',
  word: 'Kept, of what the bare pane lets in',
  says: 'kept = with film / bare',
  unit: 'share',
  source: { kind: 'geometry', text: 'a ratio' },
  inputs: {
    withFilm: { word: 'with film', unit: 'share' },
    bare: { word: 'same pane without film', unit: 'share' },
  },
  of: ({ withFilm, bare }) => withFilm / bare,
};
export const RATING_FORMULAS = [
  U_FORMULA,
  SHGC_FORMULA,
  SHADING_FORMULA,
  REJECTED_FORMULA,
  LSG_FORMULA,
  VERSUS_FORMULA,
] as const;

export interface Ratings {
  readonly uValue: Reasoned<number>;
  readonly solarHeatGain: Reasoned<number>;
  readonly shadingCoefficient: Reasoned<number>;
  readonly rejected: Reasoned<number>;
  readonly lightToHeat: Reasoned<number>;
  readonly light: number;
  readonly uv: number;
  readonly summer: HeatBalance;
  readonly winter: HeatBalance;
}

/**
 * The figures a make-up is compared by, at the centre of the glass.
 * @throws CoreError as `checkMakeUp`
 * @source NFRC conditions: winter −18/21 °C, summer 32/24 °C and 783 W/m²
 */
export function ratingsOf(makeUp: MakeUp, optics: MakeUpOptics = opticsOfMakeUp(makeUp)): Ratings {
  const panes = heatPanesOf(makeUp, optics.solar.absorbed, optics.emissivities);
  const gaps = heatGapsOf(makeUp);
  const winter = heatBalance(panes, gaps, WINTER_RATING);
  const summer = heatBalance(panes, gaps, SUMMER_RATING);
  const dark = heatBalance(panes, gaps, { ...SUMMER_RATING, sun_Wm2: 0 }, { start_C: summer.faces_C });
  const error = bandError(optics);
  const u = applyFormula(
    U_FORMULA,
    { flow: -winter.intoRoom_Wm2, indoor: WINTER_RATING.indoor_C, outdoor: WINTER_RATING.outdoor_C },
    { uncertainty: { plusMinus: 0.05, says: 'against handbook tables' } },
  );
  const gain = applyFormula(
    SHGC_FORMULA,
    {
      through: optics.solar.transmitted,
      lit: summer.intoRoom_Wm2,
      dark: dark.intoRoom_Wm2,
      sun: SUMMER_RATING.sun_Wm2,
    },
    { uncertainty: error },
  );
  const light = optics.byBand.visible.transmitted;
  const then = (step: Step): Reasoned<number> => ({ value: step.value, why: [gain, step] });
  return {
    uValue: { value: u.value, why: [u] },
    solarHeatGain: { value: gain.value, why: [gain] },
    shadingCoefficient: then(applyFormula(SHADING_FORMULA, { shgc: gain.value }, { uncertainty: error })),
    rejected: then(applyFormula(REJECTED_FORMULA, { shgc: gain.value }, { uncertainty: error })),
    lightToHeat: then(applyFormula(LSG_FORMULA, { light, shgc: gain.value })),
    light,
    uv: optics.byBand.uv.transmitted,
    summer,
    winter,
  };
}

/** What a film leaves of the light or heat of the same pane without it. */
export function keptOfBare(withFilm: number, bare: number, word: string): Reasoned<number> {
  const step = applyFormula(VERSUS_FORMULA, { withFilm, bare }, { remark: word });
  return { value: step.value, why: [step] };
}
