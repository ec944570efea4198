import type { Reasoned } from '../quantity';
import { type HeatBalance, type HeatConditions, heatBalance } from './heat-balance';
import { type MakeUp, type MakeUpOptics, heatGapsOf, heatPanesOf, opticsOfMakeUp } from './make-up';
import { ratingsOf } from './ratings';

interface GlazingRequest extends MakeUp {
  /** Own conditions besides the ratings'; the sun at an angle. */
  readonly conditions?: (HeatConditions & { readonly incidence_deg?: number | undefined }) | undefined;
}

interface GlazingAnswer {
  readonly optics: MakeUpOptics;
  readonly uValue: Reasoned<number>;
  readonly solarHeatGain: Reasoned<number>;
  readonly shadingCoefficient: Reasoned<number>;
  readonly rejected: Reasoned<number>;
  readonly lightToHeat: Reasoned<number>;
  /** Under NFRC summer and winter, and under the conditions asked for. */
  readonly summer: HeatBalance;
  readonly winter: HeatBalance;
  readonly asked: HeatBalance | null;
}

/** All a glazing does at the centre of its glass. @throws CoreError as `checkMakeUp` */
export function calculateGlazing({ conditions, ...makeUp }: GlazingRequest): GlazingAnswer {
  const optics = opticsOfMakeUp(makeUp);
  const { uValue, solarHeatGain, shadingCoefficient, rejected, lightToHeat, summer, winter } = ratingsOf(
    makeUp,
    optics,
  );
  const asked =
    conditions === undefined
      ? null
      : heatBalance(
          heatPanesOf(
            makeUp,
            (conditions.incidence_deg === undefined
              ? optics
              : opticsOfMakeUp(makeUp, Math.cos((conditions.incidence_deg * Math.PI) / 180))
            ).solar.absorbed,
            optics.emissivities,
          ),
          heatGapsOf(makeUp),
          conditions,
        );
  return { optics, uValue, solarHeatGain, shadingCoefficient, rejected, lightToHeat, summer, winter, asked };
}
