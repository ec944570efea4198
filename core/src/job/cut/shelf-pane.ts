import type { Measure } from '../surface/measure-row';
import type { ShrinkChanges } from './own-plan';

/** A measure as it was taken, of no surface yet. */
export type ShelfMeasure = Omit<Measure, 'surfaceId'>;

/** How curved film was held. */
export type FilmHold = 'along the top' | 'a line across';

/** A pane the shop has filmed before, for the next time it comes: typed freely, nothing is shipped. */
export interface ShelfPane {
  readonly make: string;
  readonly model: string;
  readonly year: string;
  readonly pane: string;
  /** Its outline and sags. */
  readonly measures: readonly ShelfMeasure[];
  readonly hold: FilmHold | null;
  readonly plan: ShrinkChanges;
  readonly wentWrong: string;
  readonly note: string;
}
