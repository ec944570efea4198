/**
 * Which face of the film looks up while it is cut. On the table it is the liner; some plotters are fed the
 * other way.
 */
export type Liner = 'up' | 'down';

/**
 * A layout of one film on rolls and offcuts, frozen when it was made. Film can cost no less than its bound.
 */
export interface CutPlan {
  readonly filmId: string;
  readonly mode: 'by hand' | 'by plotter';
  readonly stages: number;
  readonly gap_nm: number;
  readonly endWaste_nm: number;
  /** Longest sheet that can be handled; null: no limit. */
  readonly mostSheet_nm: number | null;
  readonly objective: 'money' | 'length';
  readonly liner: Liner;
  /** Whether a factory edge is a must where the way of fitting wants one. */
  readonly edgeMust: boolean;
  readonly lengthUsed_nm: number;
  /** No layout uses less length; 0 where only money can be compared. */
  readonly bound_nm: number;
  readonly filmCost: number;
  readonly cost: number;
  readonly filmBound: number;
  readonly stopped: 'optimal' | 'limit' | 'infeasible';
}

/** A roll or offcut as a plan uses it. Without a stock id it is to be ordered. */
export interface CutRoll {
  readonly planId: string;
  readonly stockId: string | null;
  readonly what: 'roll' | 'offcut' | 'to order';
  readonly label: string;
  readonly lot: string;
  readonly width_nm: number;
  readonly length_nm: number;
  readonly used_nm: number;
  /** Long edges that were the factory's when the plan was made, as one stands at the free end, liner up. */
  readonly leftEdge: boolean;
  readonly rightEdge: boolean;
  readonly position: number;
  /** Ticks of the cut sheet: three a cut, marked, checked, cut. */
  readonly ticks: readonly number[];
  /** When everything was cut and the film taken off the stock. */
  readonly bookedAt: string | null;
}

/** Radii of a ring sector's film, ends included, and its whole angle. */
export interface SectorMarks {
  readonly inner_mm: number;
  readonly outer_mm: number;
  readonly angle_rad: number;
}

/** A frozen copy of a blank where the plan put it. It never moves once cut. */
export interface CutPiece {
  readonly planId: string;
  readonly rollId: string;
  readonly applicationId: string;
  /** Which of the pieces of its surface, in hanging order, of how many. */
  readonly drop: number;
  readonly dropOf: number;
  readonly tag: string;
  readonly position: number;
  readonly level: number;
  readonly x_nm: number;
  readonly y_nm: number;
  readonly across_nm: number;
  readonly along_nm: number;
  readonly turned: boolean;
  /** Turned by half a turn beside its fellow. */
  readonly flipped: boolean;
  /** Into the pattern's repeat before the piece begins; it is cut off. */
  readonly phase_nm: number;
  /** When it is not a rectangle: its corners from the piece's own corner on the roll, mm. */
  readonly outline: readonly { readonly x: number; readonly y: number }[] | null;
  /** Depth of the notches of a column's sheet, in the middle of its upper and lower edge; 0: none. */
  readonly notch_nm: number;
  /** Of a tapered column: what it is marked out by with a tape. */
  readonly sector: SectorMarks | null;
  /**
   * Which way its top lies when it is not turned: across the roll, or along it for film that will be shrunk.
   */
  readonly topAlong: boolean;
  /** Stays where it is when the rest is laid out anew. */
  readonly pinned: boolean;
  /** Of the inputs its blank was made from; a different hash today makes the plan stale. */
  readonly inputsHash: string;
  readonly cutAt: string | null;
  readonly spoiledAt: string | null;
}

/** How seams of one application are made; null: as is customary for its way of fitting. */
export interface SeamChoice {
  readonly applicationId: string;
  readonly kind: 'lap over promoter' | 'double cut' | 'butt' | null;
  readonly placing: 'equal drops' | 'full width and strip' | null;
  readonly match: 'none' | 'straight' | 'half drop' | null;
  readonly firstDrop: 'save film' | 'centre the pattern' | null;
  /** Width of the roll that seams are made for; null: the widest the film can be had in. */
  readonly rollWidth_nm: number | null;
}

/** Allowances of this job for one way of fitting, instead of the customary ones. */
export interface JobAllowance {
  readonly method: string;
  readonly top_nm: number;
  readonly right_nm: number;
  readonly bottom_nm: number;
  readonly left_nm: number;
}
