/**
 * A physical roll, or an offcut brought in by hand: a length of one film, one lot, one width. Shared by all
 * jobs.
 */
export interface Roll {
  readonly filmId: string;
  readonly what: 'roll' | 'offcut';
  readonly label: string;
  readonly lot: string;
  readonly width_nm: number;
  /** When it was begun. What is left is this less everything taken. */
  readonly length_nm: number;
  /** Worth of a metre of its length; null: unknown. */
  readonly perMetre: number | null;
  readonly leftEdge: boolean;
  readonly rightEdge: boolean;
  readonly where: string;
  readonly gone: boolean;
}

/** An offcut that cutting left: a rectangle with a parent and its factory edges. */
export interface Offcut {
  readonly cutRollId: string;
  /** The roll or offcut it came off; null: a roll that was to be ordered. */
  readonly parentId: string | null;
  readonly filmId: string;
  readonly label: string;
  readonly lot: string;
  readonly width_nm: number;
  readonly length_nm: number;
  readonly perMetre: number | null;
  readonly leftEdge: boolean;
  readonly rightEdge: boolean;
  readonly where: string;
  /** Thrown away, lost or given: it is promised to nobody any more. */
  readonly gone: boolean;
}

/** One line of the ledger: length taken off a roll or offcut. */
export interface StockTake {
  readonly cutRollId: string;
  readonly stockId: string;
  readonly length_nm: number;
  readonly reason: 'cut' | 'spoiled';
}

/** Length of a roll that lies in the plan of a job and is not cut yet. */
export interface SpokenFor {
  readonly jobId: string;
  readonly job: string;
  readonly length_nm: number;
}

/**
 * Something film can be cut from, with what is left of it: a roll, an offcut brought in by hand, or one that
 * a job left.
 */
export interface StockLeft extends Roll {
  readonly id: string;
  readonly left_nm: number;
  /** By job, whichever. */
  readonly spokenFor: readonly SpokenFor[];
}
