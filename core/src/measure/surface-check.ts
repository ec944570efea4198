import type { Impossible, MeasureRemark } from './measure-case';
import type { MeasurePoint } from '../job';
import type { Agreement, Suspect } from './network/judge';
import type { MeasureSlot } from './measure-slot';
import type { Outline, Point } from './outline';
import type { CurvedPatch, PatchDoubt } from '../curved';
import type { Sizes } from './sizes';

/** What gets film, flat, and where the measured points lie. */
export interface Figure {
  /** Of the surface as it is filmed: unrolled where it is round. */
  readonly outline: Outline;
  /** Of the thing as one stands before it, where that differs. */
  readonly standing?: Outline;
  /** Of the drawing (`standing`, or the outline). */
  readonly points: Readonly<Record<MeasurePoint, Point>>;
  /** Rectangles taken out of the film. */
  readonly openings?: readonly {
    readonly x: number;
    readonly y: number;
    readonly width: number;
    readonly height: number;
    readonly name: string;
  }[];
  readonly patch?: CurvedPatch;
  /** Independent ways in which it may be off, by one standard deviation each. */
  readonly patchDoubts?: readonly PatchDoubt[];
}

/**
 * What is taken for granted where the measures alone do not give the shape, and whether film is customarily
 * cut by it: a width and a height are, a side nobody measured is not.
 * @source common practice, no published source
 */
export const IS_CUSTOMARY = {
  'square corners': true,
  'no taper': true,
  'opposite faces alike': true,
  'the sags not taken like those taken': true,
  'the corners not tied yet': false,
  'the side not measured': false,
  'flat, for want of a sag across and one down': false,
} as const satisfies Readonly<Record<string, boolean>>;
type Assumption = keyof typeof IS_CUSTOMARY;

/** What the measures of a surface say, as one of four named outcomes. */
export type SurfaceCheck =
  | { readonly state: 'unfinished'; readonly needs: readonly string[] }
  | { readonly state: 'impossible'; readonly why?: Impossible; readonly suspects: readonly Suspect[] }
  /** Too few measures to know the shape: drawn with an assumption, and said so. */
  | {
      readonly state: 'assumed';
      readonly assumes: Assumption;
      readonly figure: Figure;
      readonly sizes: Sizes;
      readonly agreement: Agreement;
      readonly helpsNext: MeasureSlot | undefined;
      readonly remarks: readonly MeasureRemark[];
    }
  | {
      readonly state: 'measured';
      readonly figure: Figure;
      readonly sizes: Sizes;
      readonly agreement: Agreement;
      readonly helpsNext: MeasureSlot | undefined;
      readonly remarks: readonly MeasureRemark[];
    };

/** The outline of a check, when there is one. */
export function outlineOfCheck(check: SurfaceCheck): Outline | undefined {
  return 'figure' in check ? check.figure.outline : undefined;
}
