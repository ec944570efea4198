import type { CutMethod, FilmFamily, Known, SeamChoice, SurfaceShape, WallTexture } from '../../job';
import type { Basis, DurationKey } from '../../learned';
import type { WaitKey } from '../../waiting';
import type { CautionKey } from '../cautions';
import type { SchoolKey, Schools } from '../schools';
import type { StepNumbers } from '../step-numbers';

/** Tools of which a crew has few, so that steps wait for them. */
export type SharedTool = 'heat gun' | 'ladder' | 'dust extractor' | 'infrared thermometer';

/** What must pass between a step and the next of its surface. */
export interface Pause {
  /** Minutes, or a wait calculated from the air of the day. */
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

/** What decides which steps of a way are done, and how. */
export interface StepCase {
  readonly schools: Schools;
  readonly hasInsideCorner: boolean;
  readonly primer: 'water-based' | 'solvent-based';
  /** The film lies on the outside: it is never taken indoors. */
  readonly isOutside: boolean;
  readonly isVehicle: boolean;
  readonly texture: WallTexture;
  readonly straySealant: Known;
  readonly hasObstacles: boolean;
  /** The face the film goes on carries a coating: no blade and no steel wool there. */
  readonly isFaceCoated: Known;
  /** Acrylic or polycarbonate: no blade, no steel wool, no alcohol. */
  readonly isPlastic: boolean;
  /** Film or stickers that must come off first. */
  readonly oldFilm: 'none' | 'film' | 'sticker' | 'unknown';
  readonly hasHeaterLines: boolean;
  /** Hardware that is to come off, as logged in Survey. */
  readonly partsOff: number;
  /** Round a column, mm; null: not measured. */
  readonly girth_mm: number | null;
  /** Sheets it is laid in, in hanging order, and how their seams are made. */
  readonly drops: number;
  readonly seam: NonNullable<SeamChoice['kind']> | 'none';
  /** Folds of curved film that are heated one after the other; null: not known how many. */
  readonly folds: number | null;
  /** What the film is to be heated to where it was stretched, by its sheet; null: it does not say. */
  readonly postHeat_C: number | null;
  /** Film and surface come out of the cold. */
  readonly isCold: boolean;
}

/** What is measured or photographed with a step. */
export type Wanted =
  | 'photo'
  | 'width and height'
  | 'surface temperature'
  | 'film temperature'
  | 'room temperature'
  | 'wall moisture';

/** What a step says by the school that is followed, after its own words. */
type Variant = {
  readonly [Key in SchoolKey]: {
    readonly school: Key;
    readonly says: Readonly<Record<Schools[Key], string>>;
  };
}[SchoolKey];

/** A drawing of its own. */
export type StepDrawing = 'lock' | 'strokes' | 'trim' | 'liner';

/** One step of a way of working. Its key never changes once people have ticked it. */
export interface StepTemplate {
  readonly key: string;
  /** Without a digit, as all words of a step: figures stand as `{name}` and are kept in `numbers`. */
  readonly what: string;
  readonly variants?: readonly Variant[];
  readonly why: string;
  /** How one sees that it is right, and that it is not, with what to do then. */
  readonly right?: string;
  readonly wrong?: string;
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
  /** Each round is a fold of curved film that is heated down. */
  readonly heatsFolds?: true;
  /** One stands outside, wherever the film goes in the end. */
  readonly standsOutside?: true;
  /** Only in these cases. */
  readonly when?: (own: StepCase) => boolean;
  /** Why it is not done in the others, where somebody could miss it. */
  readonly leftOut?: string;
  /** 2: always two people; 'large': two for a large sheet; 'heavy': two from the weight on. Absent: one. */
  readonly crew?: 2 | 'large' | 'heavy';
  readonly skill?: 'film' | 'heat';
  readonly shared?: readonly SharedTool[];
  readonly air?: 'makes dust' | 'wants clean air';
  /** Adhesive meets the surface: only while surface and air are fit for it. */
  readonly needsFit?: boolean;
  readonly then?: Pause;
  /** What it ends, and how long that may stay open: beads that are out go back the same day. */
  readonly closes?: Closes;
  /** Done for all of a row or room before any of it goes on. */
  readonly over?: 'the row' | 'the room';
  readonly wants?: readonly Wanted[];
  /** What is drawn with it: strokes that lock, all strokes, what is trimmed, how the liner comes off. */
  readonly draws?: StepDrawing;
  /** How often one goes over it with the blade, and whether each point is gone over twice the last time. */
  readonly passes?: 1 | 2 | 'hard';
  /** Of the line itself; absent: common practice. */
  readonly basis?: Basis;
}

/** A way of working with its version: (template, step, version) is the stable key of a work step. */
export interface WorkTemplate {
  readonly template: string;
  readonly version: number;
  /** Methods it is the way of; with families: only for film of them. */
  readonly of: readonly { readonly method: CutMethod; readonly families?: readonly FilmFamily[] }[];
  /** Shapes it is not known for. */
  readonly notFor?: readonly SurfaceShape[];
  /** Questions it asks, in this order. */
  readonly schools: readonly SchoolKey[];
  readonly steps: readonly StepTemplate[];
}

/** The figures of a step in such a case. */
export const numbersOf = ({ numbers = {} }: Pick<StepTemplate, 'numbers'>, own: StepCase): StepNumbers =>
  typeof numbers === 'function' ? numbers(own) : numbers;

/** All it says in such a case: its own words, then those of the schools that are followed. */
export function wordsOf(
  { what, variants = [] }: Pick<StepTemplate, 'what' | 'variants'>,
  own: StepCase,
): string {
  const more = variants.map(
    ({ school, says }) => (says as Readonly<Record<string, string>>)[own.schools[school]] ?? '',
  );
  return [what, ...more.filter((words) => words !== '')].join(' ');
}
