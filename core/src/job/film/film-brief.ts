/** How much a customer wants something: not at all, a little, much, above all. */
type Wish = 0 | 1 | 2 | 3;
export type FilmLook =
  | 'any'
  | 'hardly seen'
  | 'neutral'
  | 'mirror'
  | 'frosted'
  | 'pattern'
  | 'wood'
  | 'stone'
  | 'plain colour'
  | 'picture';

/**
 * What the customer asks of the films of one place, in their own words, and the room behind. One row a place.
 */
export interface FilmBrief {
  readonly placeId: string;
  readonly keepView: Wish;
  readonly hiddenByDay: Wish;
  readonly hiddenByNight: Wish;
  readonly lessHeat: Wish;
  readonly lessGlare: Wish;
  readonly protectFurnishings: Wish;
  readonly slowBreakIn: Wish;
  readonly keepWarmth: Wish;
  readonly look: FilmLook;
  /** Hard limits, as shares of what the pane does without film; null = none. */
  readonly lightKeptLeast: number | null;
  readonly heatOffLeast: number | null;
  /** Of the room behind the glass; null = not known. */
  readonly roomWidth_nm: number | null;
  readonly roomDepth_nm: number | null;
  readonly roomHeight_nm: number | null;
  /** Coldest clear night and hottest clear day of the place; null = usual ones. */
  readonly coldest_C: number | null;
  readonly hottest_C: number | null;
}
