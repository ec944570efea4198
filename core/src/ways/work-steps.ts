import { type CutMethod, type FilmFamily, type FittingSchools, type SurfaceCondition, isHurt } from '../job';
import { type DisplayUnits, type Formula, type Reasoned, applyFormula } from '../quantity';
import { type StepNumbers, filled, numberWord } from './step-numbers';
import { type Caution, type CautionKey, caution } from './cautions';
import { type Basis, type Learned, learnedOf, sourceOf } from '../learned';
import { slipNeeded } from './slip';
import {
  type Closes,
  type Pause,
  type SharedTool,
  type StepCase,
  type StepTemplate,
  numbersOf,
  templateFor,
} from './templates';
import { RULES } from '../rules';

/** One thing to do on one surface. (template, step, version) is its stable key. */
export interface WorkStep {
  readonly template: string;
  readonly templateVersion: number;
  readonly step: string;
  readonly number: number;
  readonly what: string;
  readonly why: string;
  /** Its figures that are not common practice, as they are said, with their basis. */
  readonly doubtful: readonly { readonly figure: string; readonly basis: Basis }[];
  readonly tools: readonly string[];
  readonly cautions: readonly Caution[];
  readonly slip_l?: Reasoned<number>;
  readonly minutes: Reasoned<number>;
  /** How often it is done, one after the other. */
  readonly rounds: number;
  /** People at once. */
  readonly crew: number;
  readonly skill: 'film' | 'heat' | null;
  readonly shared: readonly SharedTool[];
  readonly air: 'makes dust' | 'wants clean air' | null;
  readonly needsFit: boolean;
  readonly then: Pause | null;
  readonly closes: Closes | null;
}

export interface WorkStepsInput {
  readonly schools: FittingSchools;
  /** In m², when the surface is measured. */
  readonly area_m2?: number;
  /** All the way round, in m, when it is measured. */
  readonly edge_m?: number;
  readonly condition: SurfaceCondition;
  readonly isSecurityFilm: boolean;
  readonly method?: CutMethod;
  readonly family?: FilmFamily;
  readonly isHardToReach?: boolean;
  readonly hasInsideCorner?: boolean;
  /** Of a seam or a corner, in m, when it is measured. */
  readonly height_m?: number;
  /** Of its upper edge over the floor one stands on, in m, when it is known. */
  readonly top_m?: number;
  readonly isOutside?: boolean;
  readonly isVehicle?: boolean;
  readonly texture?: StepCase['texture'];
  readonly straySealant?: StepCase['straySealant'];
  readonly hasObstacles?: boolean;
  readonly isFaceCoated?: StepCase['isFaceCoated'];
  readonly partsOff?: number;
  readonly drops?: number;
  readonly seam?: StepCase['seam'];
  readonly postHeat_C?: number | null;
  /** How figures in the words are said; metric unless told. */
  readonly units?: DisplayUnits;
  readonly shrink?: StepCase['shrink'];
  readonly primer?: StepCase['primer'];
  readonly learned?: readonly Learned[];
}

export const MINUTES_FORMULA: Formula<{ sum_min: number; times: number }> = {
  id: 'fitting.minutes',
  word: 'how long it takes',
  says: 't = Σ (rate · what it counts) · reach',
  unit: 'min',
  source: {
    kind: 'our guess',
    text: 'rates of work: our guess until a crew has timed its own, see Settings',
  },
  inputs: {
    sum_min: { word: 'rates times area, edge or pieces', unit: 'min' },
    times: { word: 'hard to reach', unit: 'times' },
  },
  of: ({ sum_min, times }) => Math.max(1, Math.ceil(sum_min * times)),
};

/**
 * The steps of fitting film by the chosen schools, in order, each with its cautions, its length and what must
 * pass before the next.
 * @source common practice, no published source
 */
export function workStepsFor(input: WorkStepsInput): readonly WorkStep[] {
  const template = templateFor(input.method ?? 'trim in place', input.family);
  const own = stepCaseOf(input);
  const isLarge = input.area_m2 === undefined || input.area_m2 >= RULES.largeSheet.value;
  const isHigh = (input.top_m ?? 0) > RULES.ladderFrom.value;
  return template.steps
    .filter((step) => step.when === undefined || step.when(own))
    .map((step, index) => ({
      template: template.template,
      templateVersion: template.version,
      step: step.key,
      number: index + 1,
      what: filled(step.what, numbersOf(step, own), input.units ?? 'metric'),
      why: step.why,
      doubtful: doubtfulIn(numbersOf(step, own), input.units ?? 'metric'),
      tools: step.tools,
      cautions: cautionsOf(step, index, input).map(caution),
      ...slipOf(step, input),
      minutes: minutesOf(step, input, roundsOf(step, own)),
      rounds: roundsOf(step, own),
      crew: crewOf(step, isLarge, isHigh),
      skill: step.skill ?? null,
      shared: sharedBy(step, isHigh),
      air: step.air ?? null,
      needsFit: step.needsFit ?? false,
      then: step.then ?? null,
      closes: step.closes ?? null,
    }));
}

/** A step that is not done here, and why. */
export interface LeftOutStep {
  readonly step: string;
  readonly what: string;
  readonly because: string;
}

/** Steps of the way that somebody could miss, each with the reason why it is left out. */
export function stepsLeftOut(input: WorkStepsInput): readonly LeftOutStep[] {
  const own = stepCaseOf(input);
  return templateFor(input.method ?? 'trim in place', input.family).steps.flatMap((step) =>
    step.leftOut === undefined || step.when?.(own) !== false
      ? []
      : [
          {
            step: step.key,
            what: filled(step.what, numbersOf(step, own), input.units ?? 'metric'),
            because: step.leftOut,
          },
        ],
  );
}

const doubtfulIn = (numbers: StepNumbers, units: DisplayUnits): WorkStep['doubtful'] =>
  Object.values(numbers).flatMap((number) =>
    number.basis === 'common practice' ? [] : [{ figure: numberWord(number, units), basis: number.basis }],
  );

/** What decides which steps are done, and what figures they have. */
export function stepCaseOf(input: WorkStepsInput): StepCase {
  return {
    schools: input.schools,
    hasInsideCorner: input.hasInsideCorner ?? false,
    shrink: input.shrink ?? 'fold by fold',
    primer: input.primer ?? 'water-based',
    isOutside: input.isOutside ?? false,
    texture: input.texture ?? 'unknown',
    straySealant: input.straySealant ?? 'unknown',
    hasObstacles: input.hasObstacles ?? false,
    postHeat_C: input.postHeat_C ?? null,
    drops: input.drops ?? 1,
    isFaceCoated: input.isFaceCoated ?? 'unknown',
    partsOff: input.partsOff ?? 0,
    seam: input.seam ?? 'none',
  };
}

const roundsOf = ({ rounds }: StepTemplate, own: StepCase): number => Math.max(1, rounds?.(own) ?? 1);

function minutesOf(
  step: StepTemplate,
  {
    area_m2 = RULES.usualArea.value,
    edge_m = RULES.usualEdge.value,
    height_m = RULES.usualHeight.value,
    isHardToReach = false,
    learned = [],
  }: WorkStepsInput,
  rounds: number,
): Reasoned<number> {
  const used = step.takes.map((key) => learnedOf(key, learned));
  const once_min = used.reduce(
    (sum, { value, unit }) =>
      sum +
      value *
        (unit === 'min/m²' ? area_m2 : unit === 'min/m' ? (step.along === 'height' ? height_m : edge_m) : 1),
    0,
  );
  const sum_min = once_min * rounds;
  const source =
    used.every(({ basis }) => basis === 'measured') && used.length > 0
      ? sourceOf('measured')
      : MINUTES_FORMULA.source;
  const trace = applyFormula(
    MINUTES_FORMULA,
    { sum_min, times: isHardToReach ? learnedOf('work-hard', learned).value : 1 },
    { source, remark: used.map(({ word, value, unit }) => `${word}: ${value} ${unit}`).join('; ') },
  );
  return { value: trace.value, why: [trace] };
}

/** At the surface itself, above reach: the ladder is needed, and booked. */
const isOnLadder = ({ needsFit = false }: StepTemplate, isHigh: boolean): boolean => isHigh && needsFit;

function sharedBy(step: StepTemplate, isHigh: boolean): readonly SharedTool[] {
  return [
    ...new Set<SharedTool>([
      ...(step.shared ?? []),
      ...(isOnLadder(step, isHigh) ? (['ladder'] as const) : []),
    ]),
  ];
}

/** Nobody is alone with gun and ladder. */
function crewOf(step: StepTemplate, isLarge: boolean, isHigh: boolean): 1 | 2 {
  const isGunOnLadder = isOnLadder(step, isHigh) && step.shared?.includes('heat gun') === true;
  return step.crew === 2 || (step.crew === 'large' && isLarge) || isGunOnLadder ? 2 : 1;
}

function cautionsOf(
  step: StepTemplate,
  index: number,
  { area_m2, condition, isSecurityFilm, isVehicle = false, method, top_m = 0 }: WorkStepsInput,
): CautionKey[] {
  const isLarge = area_m2 === undefined || area_m2 >= RULES.largeSheet.value;
  const isGlass = method === undefined || !OFF_GLASS.has(method);
  const own = step.cautions.filter((key) => key !== 'largeSheet' || isLarge);
  return [
    ...new Set<CautionKey>([
      ...(isHurt({ condition }) ? (['crackedGlass'] as const) : []),
      ...(index === 0 && isGlass ? (['glassAndFilm'] as const) : []),
      ...(isVehicle && isGlass && index === 0 ? (['vehicleRules'] as const) : []),
      ...(isSecurityFilm && index === 0 ? (['safetyFilm'] as const) : []),
      ...own,
      ...(isOnLadder(step, top_m > RULES.ladderFrom.value) ? (['ladder'] as const) : []),
    ]),
  ];
}

const OFF_GLASS: ReadonlySet<CutMethod> = new Set<CutMethod>([
  'decor',
  'column',
  'wrapped edges',
  'furrow girth',
  'textured wall',
]);

function slipOf(
  step: StepTemplate,
  { area_m2, learned = [] }: WorkStepsInput,
): { slip_l?: Reasoned<number> } {
  if (step.slip === undefined || area_m2 === undefined) return {};
  const key = step.slip === 'wet the pane' ? 'slip-wet-pane' : 'slip-wet-both';
  return { slip_l: slipNeeded(area_m2, learnedOf(key, learned)) };
}
