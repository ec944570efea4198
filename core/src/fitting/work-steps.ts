import type { FittingSchools, SurfaceCondition } from '../job';
import type { Reasoned } from '../quantity';
import { type Caution, type CautionKey, caution } from './cautions';
import { FLAT_GLASS, type StepTemplate } from './flat-glass';
import { DEFAULT_RATES, type Rate } from './rates';
import { slipNeeded } from './slip';

/** One thing to do on one surface. (template, step, version) is its stable key. */
export interface WorkStep {
  readonly template: string;
  readonly templateVersion: number;
  readonly step: string;
  readonly number: number;
  readonly what: string;
  readonly why: string;
  readonly tools: readonly string[];
  readonly cautions: readonly Caution[];
  readonly slip_l?: Reasoned<number>;
}

export interface WorkStepsInput {
  readonly schools: FittingSchools;
  /** Glass area in m², when the pane is measured. */
  readonly area_m2?: number;
  readonly condition: SurfaceCondition;
  readonly isSecurityFilm: boolean;
  readonly rates?: readonly Rate[];
}

/** Over this, two people handle the sheet. Common practice says 'large'; the figure is our guess. */
const LARGE_SHEET_M2 = 1.5;

/** The steps of fitting film to flat glass by the chosen schools, in order, each with its cautions.
 *  @source common practice, no published source */
export function workStepsFor(input: WorkStepsInput): readonly WorkStep[] {
  return FLAT_GLASS.steps
    .filter((step) => step.when === undefined || step.when(input.schools))
    .map((step, index) => ({
      template: FLAT_GLASS.template,
      templateVersion: FLAT_GLASS.version,
      step: step.key,
      number: index + 1,
      what: step.what,
      why: step.why,
      tools: step.tools,
      cautions: cautionsOf(step, index, input).map(caution),
      ...slipOf(step, input),
    }));
}

function cautionsOf(step: StepTemplate, index: number, { area_m2, condition, isSecurityFilm }: WorkStepsInput): CautionKey[] {
  const isLarge = area_m2 === undefined || area_m2 >= LARGE_SHEET_M2;
  const own = step.cautions.filter((key) => key !== 'largeSheet' || isLarge);
  const isHurt = condition === 'cracked' || condition === 'chipped';
  return [...(isHurt ? (['crackedGlass'] as const) : []), ...(index === 0 ? (['glassAndFilm'] as const) : []), ...(isSecurityFilm && index === 0 ? (['safetyFilm'] as const) : []), ...own];
}

function slipOf(step: StepTemplate, { area_m2, rates = DEFAULT_RATES }: WorkStepsInput): { slip_l?: Reasoned<number> } {
  if (step.slip === undefined || area_m2 === undefined) return {};
  const key = step.slip === 'wet the pane' ? 'slip-wet-pane' : 'slip-wet-both';
  const rate = rates.find((row) => row.key === key);
  return rate === undefined ? {} : { slip_l: slipNeeded(area_m2, rate) };
}
