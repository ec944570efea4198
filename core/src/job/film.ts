export type FilmFamily = 'solar' | 'frosted' | 'security' | 'decor' | 'textured wall' | 'wrap' | 'exterior protection';
/** Whether a blank may be turned: freely, only by 180° (grain or repeat along the roll), or not at all (a one-way picture). */
export type FilmDirection = 'none' | 'along the roll' | 'one way';

/** A row of the film catalogue. Band figures are shares of 1 on the reference glass; null = not stated by the sheet. */
export interface Film {
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
  readonly emissivity: number | null;
  readonly workMin_C: number | null;
  readonly workMax_C: number | null;
  readonly handling: string;
  /** True for the example catalogue: no such product exists. */
  readonly invented: boolean;
  readonly widths_nm: readonly number[];
}
