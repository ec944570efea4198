import type { SeamChoice } from '../../job';
import type { FittingSchools, Known, WallTexture } from '../../job';
import type { WaitKey } from '../../waiting';
import type { StepNumbers } from '../step-numbers';
import type { CautionKey } from '../cautions';
import type { DurationKey } from '../../learned';

/** Tools of which a crew has few, so that steps wait for them. */
export type SharedTool = 'heat gun' | 'ladder' | 'dust extractor' | 'infrared thermometer';

/** What must pass between a step and the next of its surface. */
export interface Pause {
  /** Minutes, or a wait reckoned from the air of the day. */
  readonly least: number | WaitKey;
  /** Minutes it may lie at most; absent: as long as one likes. */
  readonly most?: number;
  readonly why: string;
}

/** An earlier step that must not stay open for long. */
export interface Closes {
  readonly step: string;
  /** Minutes from its end to the beginning of the step that closes it. */
  readonly most: number;
  readonly why: string;
}

/** What decides which steps of a template are done. */
export interface StepCase {
  readonly schools: FittingSchools;
  readonly hasInsideCorner: boolean;
  readonly shrink: 'fold by fold' | 'one sweep';
  readonly primer: 'water-based' | 'solvent-based';
  /** The film lies on the outside: it is never taken indoors. */
  readonly isOutside: boolean;
  readonly texture: WallTexture;
  readonly straySealant: Known;
  readonly hasObstacles: boolean;
  /** The face the film goes on carries a coating: no blade and no steel wool there. */
  readonly isFaceCoated: Known;
  /** Hardware that is to come off, as logged in Survey. */
  readonly partsOff: number;
  /** Sheets it is laid in, in hanging order, and how their seams are made. */
  readonly drops: number;
  readonly seam: NonNullable<SeamChoice['kind']> | 'none';
  /** What the film is to be heated to where it was stretched, by its sheet; null: it does not say. */
  readonly postHeat_C: number | null;
}

/** One step of a way of working. Its key never changes once people have ticked it. */
export interface StepTemplate {
  readonly key: string;
  /** Without a digit: figures stand as `{name}` and are kept in `numbers`. */
  readonly what: string;
  readonly why: string;
  readonly numbers?: StepNumbers | ((own: StepCase) => StepNumbers);
  readonly tools: readonly string[];
  readonly cautions: readonly CautionKey[];
  /** How long it takes: rates times what they count, added up. */
  readonly takes: readonly DurationKey[];
  /** What is counted by the metre goes along the height, as a seam or a corner does; absent: all round. */
  readonly along?: 'height';
  /** Where a liquid is used, which. */
  readonly slip?: 'wet the pane' | 'wet glass and film';
  /** How often it is done, where it repeats: each seam, each drop. */
  readonly rounds?: (own: StepCase) => number;
  /** Only in these cases. */
  readonly when?: (own: StepCase) => boolean;
  /** Why it is not done in the others, where somebody could miss it. */
  readonly leftOut?: string;
  /** 2: always two people; 'large': two for a large sheet. Absent: one. */
  readonly crew?: 2 | 'large';
  readonly skill?: 'film' | 'heat';
  readonly shared?: readonly SharedTool[];
  readonly air?: 'makes dust' | 'wants clean air';
  /** Adhesive meets the surface: only while surface and air are fit for it. */
  readonly needsFit?: boolean;
  readonly then?: Pause;
  /** What it ends, and how long that may stay open: beads that are out go back the same day. */
  readonly closes?: Closes;
}

/** A way of working with its version: (template, step, version) is the stable key of a work step. */
export interface WorkTemplate {
  readonly template: string;
  readonly version: number;
  readonly steps: readonly StepTemplate[];
}

/** The figures of a step in such a case. */
export const numbersOf = ({ numbers = {} }: Pick<StepTemplate, 'numbers'>, own: StepCase): StepNumbers =>
  typeof numbers === 'function' ? numbers(own) : numbers;
