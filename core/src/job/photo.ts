/**
 * A picture of a surface, or of one part of it. Its bytes are kept apart, encoded anew without where and by
 * whom it was taken.
 */
export interface Photo {
  readonly surfaceId: string;
  readonly partId: string | null;
  /** Of what it shows, where it was taken at the work. */
  readonly markId: string | null;
  readonly applicationId: string | null;
  readonly step: string | null;
  /** Null: not known when. */
  readonly takenAt: string | null;
  readonly caption: string;
  readonly width_px: number;
  readonly height_px: number;
  readonly bytes: number;
  readonly position: number;
}
