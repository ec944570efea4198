import type { FilmMaterial } from './film-material';

export type FilmFamily =
  | 'solar'
  | 'low emissivity'
  | 'vehicle tint'
  | 'frosted'
  | 'security'
  | 'decor'
  | 'textured wall'
  | 'wrap'
  | 'exterior protection';
/**
 * Whether a blank may be turned: freely, only by 180° (grain or repeat along the roll), or not at all (a
 * one-way picture).
 */
export type FilmDirection = 'none' | 'along the roll' | 'one way';

/** What the film is laid with, which decides the ways of working. */
export type FilmLaying = 'wet' | 'dry' | 'dry with heat';
/** Where a film may go by its sheet. */
export type FilmFace = 'room side' | 'outside' | 'either';

/**
 * A row of the film catalogue. Band figures are shares of 1 on the reference glass; null = not stated by the
 * sheet.
 */
export interface Film extends FilmMaterial {
  readonly name: string;
  readonly family: FilmFamily;
  readonly use: string;
  readonly thickness_um: number;
  readonly direction: FilmDirection;
  readonly referenceGlass: string;
  readonly uvTransmitted: number | null;
  readonly visibleTransmitted: number | null;
  readonly visibleReflectedRoom: number | null;
  readonly visibleReflectedOutside: number | null;
  readonly solarTransmitted: number | null;
  readonly solarReflected: number | null;
  readonly solarReflectedRoom: number | null;
  /** Share of what goes through that is scattered. */
  readonly haze: number | null;
  /** Share of the area a pattern covers; null = all of it. */
  readonly coverage: number | null;
  /** Widest clear opening of a pattern. */
  readonly opening_nm: number | null;
  /** Length after which a pattern or print comes again. */
  readonly repeat_nm: number | null;
  readonly emissivity: number | null;
  readonly workMin_C: number | null;
  readonly workMax_C: number | null;
  readonly face: FilmFace;
  readonly laying: FilmLaying;
  /** Names of impact or burglary classes its maker claims for tested systems; the film alone carries none. */
  readonly claims: string;
  readonly handling: string;
  /** True for the example catalogue: no such product exists. */
  readonly invented: boolean;
  readonly widths_nm: readonly number[];
}
