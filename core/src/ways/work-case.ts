import type { CutMethod, FilmFamily, Known, SurfaceCondition, SurfaceShape } from '../job';
import type { Learned } from '../learned';
import type { DisplayUnits, Reasoned } from '../quantity';
import { RULES } from '../rules';
import { type ChosenSchools, type SchoolCase, schoolsTaken } from './schools';
import type { StepCase } from './templates';

/** One film on one surface, as far as it decides how it is worked on. Left out: not known. */
export interface WorkStepsInput {
  /** Schools chosen for this film on this surface, and for the whole job. */
  readonly schools?: ChosenSchools;
  readonly ofJob?: ChosenSchools;
  /** In m², when the surface is measured. */
  readonly area_m2?: number;
  /** All the way round, in m, when it is measured. */
  readonly edge_m?: number;
  readonly condition: SurfaceCondition;
  readonly isSecurityFilm: boolean;
  readonly method?: CutMethod;
  readonly family?: FilmFamily;
  readonly shape?: SurfaceShape;
  readonly isWall?: boolean;
  readonly isHardToReach?: boolean;
  readonly hasInsideCorner?: boolean;
  /** Of a seam or a corner, in m, when it is measured. */
  readonly height_m?: number;
  readonly width_m?: number;
  readonly girth_mm?: number;
  /** Of its upper and lower edge over the floor one stands on, in m, when it is known. */
  readonly top_m?: number;
  readonly foot_m?: number;
  /** Of the glass, when it is known. */
  readonly pane_kg?: number;
  readonly isOutside?: boolean;
  readonly isVehicle?: boolean;
  readonly isDoorPane?: boolean;
  readonly isOverhead?: boolean;
  readonly isStiff?: boolean;
  readonly texture?: StepCase['texture'];
  readonly straySealant?: StepCase['straySealant'];
  readonly hasObstacles?: boolean;
  readonly isFaceCoated?: StepCase['isFaceCoated'];
  /** No: bare, or painted lately, or of a material that is not painted. */
  readonly mayBeOldPaint?: boolean;
  readonly isPlastic?: boolean;
  readonly isToughened?: boolean;
  readonly isWired?: boolean;
  /** No frame, seal or rebate round it. */
  readonly isEdgeExposed?: boolean;
  readonly isRescueGlass?: Known;
  /** The operator or authority agreed in writing to film on rescue glass. */
  readonly hasConsent?: boolean;
  readonly oldFilm?: StepCase['oldFilm'];
  /** Of the old film alone, m²; left out: the whole surface. */
  readonly oldFilm_m2?: number;
  readonly hasHeaterLines?: boolean;
  readonly partsOff?: number;
  readonly drops?: number;
  readonly seam?: StepCase['seam'];
  readonly postHeat_C?: number | null;
  readonly isCold?: boolean;
  readonly power?: Known;
  readonly people?: SchoolCase['people'];
  /** Somebody else is to do it. */
  readonly isReferred?: boolean;
  readonly floor?: string;
  /** Over the middle of curved glass, mm. */
  readonly surplus_mm?: number;
  /** Folds of its shrink plan, both edges together. */
  readonly folds?: number;
  /** Whether somebody of the crew knows the gun. */
  readonly canHeat?: SchoolCase['canHeat'];
  /** How figures in the words are said; metric unless told. */
  readonly units?: DisplayUnits;
  readonly primer?: StepCase['primer'];
  /**
   * One pass with the blade over all of it, strokes lapping as the hand asks for, and lapping by half; min.
   */
  readonly pass_min?: Reasoned<number>;
  readonly hardPass_min?: Reasoned<number>;
  readonly learned?: readonly Learned[];
}

export const isLargeSheet = ({ area_m2 }: WorkStepsInput): boolean =>
  area_m2 === undefined || area_m2 >= RULES.largeSheet.value;
export const isHigh = ({ top_m = 0 }: WorkStepsInput): boolean => top_m > RULES.ladderFrom.value;
/** Nobody knows what it weighs, or it weighs too much for one. */
export const isHeavy = ({ pane_kg, area_m2 }: WorkStepsInput): boolean =>
  pane_kg === undefined
    ? area_m2 === undefined || area_m2 >= RULES.largeSheet.value
    : pane_kg >= RULES.twoPeopleFrom.value;

const FORGIVING: ReadonlySet<FilmFamily> = new Set<FilmFamily>(['frosted', 'decor']);

/** What a rule between schools goes by. */
export function schoolCaseOf(input: WorkStepsInput): SchoolCase {
  const { width_m, height_m } = input;
  return {
    isLarge: isLargeSheet(input),
    people: input.people ?? 'unknown',
    isStiff: input.isStiff ?? input.isSecurityFilm,
    isOutside: input.isOutside ?? false,
    isVehicle: input.isVehicle ?? false,
    isOverhead: input.isOverhead ?? false,
    isWide: width_m !== undefined && height_m !== undefined && width_m > height_m,
    isForgiving: input.family !== undefined && FORGIVING.has(input.family),
    floor: input.floor ?? '',
    isFaceCoated: input.isFaceCoated ?? 'unknown',
    isPlastic: input.isPlastic ?? false,
    surplus_mm: input.surplus_mm ?? null,
    isDoorPane: input.isDoorPane ?? false,
    canHeat: input.canHeat ?? 'unknown',
  };
}

/** What decides which steps are done, and what figures they have. */
export function stepCaseOf(input: WorkStepsInput): StepCase {
  return {
    schools: schoolsTaken(schoolCaseOf(input), input.schools ?? {}, input.ofJob),
    hasInsideCorner: input.hasInsideCorner ?? false,
    primer: input.primer ?? 'water-based',
    isOutside: input.isOutside ?? false,
    isVehicle: input.isVehicle ?? false,
    texture: input.texture ?? 'unknown',
    straySealant: input.straySealant ?? 'unknown',
    hasObstacles: input.hasObstacles ?? false,
    isFaceCoated: input.isFaceCoated ?? 'unknown',
    isPlastic: input.isPlastic ?? false,
    oldFilm: input.oldFilm ?? 'unknown',
    hasHeaterLines: input.hasHeaterLines ?? false,
    partsOff: input.partsOff ?? 0,
    girth_mm: input.girth_mm ?? null,
    drops: Math.max(1, input.drops ?? 1),
    seam: input.seam ?? 'none',
    folds: input.folds ?? null,
    postHeat_C: input.postHeat_C ?? null,
    isCold: input.isCold ?? false,
  };
}
