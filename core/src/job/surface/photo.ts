/** A place in a picture, px from its upper left corner. */
export interface PhotoSpot {
  readonly x: number;
  readonly y: number;
}

/** Four points of a picture and where they truly lie, so that it can be looked at square. */
interface PhotoSquare {
  /** From the upper left, clockwise. */
  readonly taps: readonly [PhotoSpot, PhotoSpot, PhotoSpot, PhotoSpot];
  /** Width and height between them. */
  readonly width_nm: number;
  readonly height_nm: number;
}

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
  readonly square: PhotoSquare | null;
  /** Round what it shows of its mark; null: not drawn. */
  readonly outline: readonly PhotoSpot[] | null;
  /** The earlier picture of the same place. */
  readonly pairOfId: string | null;
  /** What a person said when both were compared. */
  readonly paired: 'gone' | 'smaller' | 'same' | 'larger' | null;
}
