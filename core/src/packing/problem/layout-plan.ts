import type { Reasoned } from '../../quantity';

/** A blank to lay: `across` the roll and `along` it before any turning, in mm. */
export interface LayoutPiece {
  readonly id: string;
  readonly across_mm: number;
  readonly along_mm: number;
  readonly mayTurn90: boolean;
  /** Orientations at one of the roll's two factory edges. */
  readonly wantsEdge?: boolean | undefined;
  /** Orientations at a factory edge where that costs nothing. */
  readonly likesEdge?: boolean | undefined;
}

export interface LayoutRequest {
  readonly rollWidth_mm: number;
  readonly pieces: readonly LayoutPiece[];
}

/** Where a piece lies: x from the roll's left factory edge, y from its end, mm. */
export interface PlacedPiece {
  readonly id: string;
  readonly x_mm: number;
  readonly y_mm: number;
  readonly across_mm: number;
  readonly along_mm: number;
  readonly turned: boolean;
  /** Which cross-cut strip it is in, counted from the roll's end. */
  readonly level: number;
  /** Turned by half a turn beside its fellow. */
  readonly flipped?: boolean | undefined;
}

export interface LayoutPlan {
  /** In cutting order. */
  readonly placed: readonly PlacedPiece[];
  readonly length_mm: Reasoned<number>;
  readonly bound_mm: Reasoned<number>;
  readonly waste_share: Reasoned<number>;
  readonly stopped: 'optimal' | 'limit';
}
