import { type Basis, type DurationKey, type Learned, learnedOf, sourceOf } from '../learned';
import { type DisplayUnits, type Formula, type Reasoned, applyFormula } from '../quantity';
import { RULES } from '../rules';
import { type Caution, caution } from './cautions';
import { cautionsHere } from './cautions-here';
import { type WorkStepsInput, isHeavy, isHigh, isLargeSheet, schoolCaseOf, stepCaseOf } from './work-case';
import { type SchoolTaken, schoolTaken } from './schools';
import { slipNeeded } from './slip';
import { type SaidFigure, type StepNumbers, filled, numberWord, saidFigures } from './step-numbers';
import {
  type Closes,
  type Pause,
  type SharedTool,
  type StepCase,
  type StepDrawing,
  type StepTemplate,
  type Wanted,
  TEMPLATES,
  type WorkTemplate,
  numbersOf,
  templateFor,
  wordsOf,
} from './templates';

/** One thing to do on one surface. (template, step, version) is its stable key. */
export interface WorkStep {
  readonly template: string;
  readonly templateVersion: number;
  readonly step: string;
  readonly number: number;
  readonly what: string;
  readonly why: string;
  /** How one sees that it is right, and that it is not; empty: nothing is handed down. */
  readonly right: string;
  readonly wrong: string;
  /** Of the whole line. */
  readonly basis: Basis;
  /** Its figures by what they are. */
  readonly figures: readonly SaidFigure[];
  /** Its figures that are not common practice, as they are said, with their basis. */
  readonly doubtful: readonly { readonly figure: string; readonly basis: Basis }[];
  readonly tools: readonly string[];
  readonly cautions: readonly Caution[];
  /** What slip is sprayed on, where it is. */
  readonly wets: StepTemplate['slip'] | null;
  readonly slip_l?: Reasoned<number>;
  readonly minutes: Reasoned<number>;
  /** How often it is done, one after the other. */
  readonly rounds: number;
  readonly heatsFolds: boolean;
  readonly standsOutside: boolean;
  /** Done for all of a row or room before any of it goes on. */
  readonly over: 'the row' | 'the room' | null;
  readonly wants: readonly Wanted[];
  readonly draws: StepDrawing | null;
  /** Every point is gone over twice. */
  readonly isHardPass: boolean;
  /** People at once. */
  readonly crew: number;
  readonly skill: 'film' | 'heat' | null;
  readonly shared: readonly SharedTool[];
  readonly air: 'makes dust' | 'wants clean air' | null;
  readonly needsFit: boolean;
  readonly then: Pause | null;
  readonly closes: Closes | null;
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

/** The way of working for such a surface and film; undefined: not known how, ask. */
export function wayFor({
  method,
  family,
  shape,
}: Pick<WorkStepsInput, 'method' | 'family' | 'shape'>): WorkTemplate | undefined {
  const way = templateFor(method ?? 'trim in place', family);
  return shape !== undefined && way?.notFor?.includes(shape) === true ? undefined : way;
}

/**
 * The steps of fitting film by the schools that are followed, in order, each with its cautions, its length
 * and what must pass before the next. None: it is not known how this is done.
 * @source `ways-of-working`: common practice, no published source, unless a line says otherwise
 */
export function workStepsFor(input: WorkStepsInput): readonly WorkStep[] {
  const way = wayFor(input);
  if (way === undefined) return [];
  const own = stepCaseOf(input);
  return way.steps
    .filter((step) => step.when === undefined || step.when(own))
    .map((step, index) => workStepOf(way, step, index, { input, own }));
}

function workStepOf(
  { template, version }: WorkTemplate,
  step: StepTemplate,
  index: number,
  { input, own }: { readonly input: WorkStepsInput; readonly own: StepCase },
): WorkStep {
  const numbers = numbersOf(step, own);
  const units = input.units ?? 'metric';
  const rounds = Math.max(1, step.rounds?.(own) ?? 1);
  const shared = sharedBy(step, input);
  return {
    template,
    templateVersion: version,
    step: step.key,
    number: index + 1,
    what: filled(wordsOf(step, own), numbers, units),
    why: step.why,
    right: step.right ?? '',
    wrong: step.wrong ?? '',
    basis: step.basis ?? 'common practice',
    figures: saidFigures(numbers, units),
    doubtful: doubtfulIn(numbers, units),
    tools: step.tools,
    cautions: cautionsHere({ own: input, step, isFirst: index === 0 }).map((key) => caution(key, units)),
    wets: step.slip ?? null,
    ...slipOf(step, input),
    minutes: minutesOf(step, input, rounds),
    rounds,
    heatsFolds: step.heatsFolds ?? false,
    standsOutside: step.standsOutside ?? false,
    over: step.over ?? null,
    wants: step.wants ?? [],
    draws: step.draws ?? null,
    isHardPass: step.passes === 'hard',
    crew: crewOf(step, input),
    skill: step.skill ?? null,
    shared,
    air: step.air ?? null,
    needsFit: step.needsFit ?? false,
    then: step.then ?? null,
    closes: step.closes ?? null,
  };
}

/**
 * What a step of any way is called, also where the surface no longer goes that way: its first sentence; its
 * key where no way has it any more.
 */
export function stepCalled(template: string, step: string, units: DisplayUnits = 'metric'): string {
  const ways = TEMPLATES.filter((way) => way.template === template);
  const found = (ways.length === 0 ? TEMPLATES : ways)
    .flatMap(({ steps }) => steps)
    .find(({ key }) => key === step);
  if (found === undefined) return step;
  const own = stepCaseOf({ condition: 'unknown', isSecurityFilm: false });
  return headOf(filled(found.what, numbersOf(found, own), units));
}

/**
 * The step from which on film lies on the surface: laid wet, where glass and film are wetted; else the first
 * at which adhesive meets it; -1: none.
 */
export function filmGoesOnAt(steps: readonly Pick<WorkStep, 'wets' | 'needsFit'>[]): number {
  const wet = steps.findIndex(({ wets }) => wets === 'wet glass and film');
  return wet >= 0 ? wet : steps.findIndex(({ needsFit }) => needsFit);
}

/** The first sentence of a step: what is done, before how it is done. */
export const headOf = (what: string): string => /^.*?\.(?=\s|$)/.exec(what)?.[0] ?? what;

/**
 * The danger that holds a step back: until there is consent, or until a word is written at any step that has
 * the same danger. None: it may be ticked.
 * @param notes what was written, by the key of the step
 */
export function heldBackBy(
  step: Pick<WorkStep, 'cautions'>,
  steps: readonly Pick<WorkStep, 'step' | 'cautions'>[],
  notes: ReadonlyMap<string, string>,
): Caution | undefined {
  const answered = new Set(
    steps
      .filter((own) => (notes.get(own.step) ?? '').trim() !== '')
      .flatMap(({ cautions }) => cautions.map(({ key }) => key)),
  );
  return step.cautions.find(
    ({ key, stops }) => stops === 'until consent' || (stops === 'until a word' && !answered.has(key)),
  );
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
  return (wayFor(input)?.steps ?? []).flatMap((step) =>
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

/** Questions of its way, each with the answer that is followed. */
export function schoolsAsked(input: WorkStepsInput): readonly SchoolTaken[] {
  const own = schoolCaseOf(input);
  return (wayFor(input)?.schools ?? []).map((key) => schoolTaken(key, own, input.schools ?? {}, input.ofJob));
}

const doubtfulIn = (numbers: StepNumbers, units: DisplayUnits): WorkStep['doubtful'] =>
  Object.values(numbers).flatMap((number) =>
    number.basis === 'common practice' ? [] : [{ figure: numberWord(number, units), basis: number.basis }],
  );

/**
 * A step that is done in rounds takes its fixed minutes and its metres of height for each of them; area and
 * edge are those of the whole surface.
 */
function minutesOf(step: StepTemplate, input: WorkStepsInput, rounds: number): Reasoned<number> {
  const {
    area_m2 = RULES.usualArea.value,
    edge_m = RULES.usualEdge.value,
    height_m = RULES.usualHeight.value,
    isHardToReach = false,
    learned = [],
  } = input;
  const counted_m2 = step.key === 'remove-old' ? (input.oldFilm_m2 ?? area_m2) : area_m2;
  const all = step.takes.map((key) => learnedOf(key, learned));
  const passes = passesOf(step, input, all);
  const used = all.filter(({ key }) => passes === undefined || key !== PRESSED);
  const sum_min = used.reduce((sum, { value, unit }) => {
    if (unit === 'min/m²') return sum + value * counted_m2;
    if (unit !== 'min/m') return sum + value * rounds;
    return sum + value * (step.along === 'height' ? height_m * rounds : edge_m);
  }, passes?.value ?? 0);
  const source =
    used.every(({ basis }) => basis === 'measured') && used.length > 0
      ? sourceOf('measured')
      : MINUTES_FORMULA.source;
  const trace = applyFormula(
    MINUTES_FORMULA,
    { sum_min, times: isHardToReach ? learnedOf('work-hard', learned).value : 1 },
    { source, remark: used.map(({ word, value, unit }) => `${word}: ${value} ${unit}`).join('; ') },
  );
  return { value: trace.value, why: [...(passes?.why ?? []), trace] };
}

const PRESSED: DurationKey = 'work-squeeze';

/**
 * By the strokes it takes, while nobody has timed how long a square metre takes; undefined: by the square
 * metre.
 */
function passesOf(
  { passes }: StepTemplate,
  { pass_min, hardPass_min }: WorkStepsInput,
  all: readonly Learned[],
): Reasoned<number> | undefined {
  if (passes === undefined || all.some(({ key, basis }) => key === PRESSED && basis !== 'ours'))
    return undefined;
  if (passes === 'hard') return hardPass_min;
  return pass_min === undefined ? undefined : { value: passes * pass_min.value, why: pass_min.why };
}

/** At the surface itself, above reach: the ladder is needed, and booked. */
const isOnLadder = ({ needsFit = false }: StepTemplate, input: WorkStepsInput): boolean =>
  isHigh(input) && needsFit;

function sharedBy(step: StepTemplate, input: WorkStepsInput): readonly SharedTool[] {
  return [
    ...new Set<SharedTool>([
      ...(step.shared ?? []),
      ...(isOnLadder(step, input) ? (['ladder'] as const) : []),
    ]),
  ];
}

/** Nobody is alone with gun and ladder. */
function crewOf(step: StepTemplate, input: WorkStepsInput): 1 | 2 {
  const isGunOnLadder = isOnLadder(step, input) && step.shared?.includes('heat gun') === true;
  const takesTwo =
    step.crew === 2 ||
    (step.crew === 'large' && isLargeSheet(input)) ||
    (step.crew === 'heavy' && isHeavy(input));
  return takesTwo || isGunOnLadder ? 2 : 1;
}

function slipOf(
  step: StepTemplate,
  { area_m2, learned = [] }: WorkStepsInput,
): { slip_l?: Reasoned<number> } {
  if (step.slip === undefined || area_m2 === undefined) return {};
  const key = step.slip === 'wet the pane' ? 'slip-wet-pane' : 'slip-wet-both';
  return { slip_l: slipNeeded(area_m2, learnedOf(key, learned)) };
}
