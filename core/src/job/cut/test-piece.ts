/** A strip along the roll, marked, heated hanging free, and measured again. */
export interface ShrinkStrip {
  readonly marked_nm: number;
  readonly after_nm: number;
  /** What the film came to; null: not read. */
  readonly film_C: number | null;
}

export const TEST_OUTCOMES = ['go', 'between', 'no-go', 'not judged'] as const;

/** A piece tried out before the work, and what came of it. */
export interface TestPiece {
  readonly kind: 'shrink strip';
  readonly filmId: string;
  /** Of the roll it was cut from; empty: not known. */
  readonly lot: string;
  readonly surfaceId: string | null;
  readonly weather: string;
  readonly fields: ShrinkStrip;
  readonly outcome: (typeof TEST_OUTCOMES)[number];
}
