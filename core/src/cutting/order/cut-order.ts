import type { Reasoned } from '../../quantity';
import type { Stages, LayoutPiece, PlacedPiece } from '../../packing';

/** Film that pieces can be cut from. */
export interface StockFilm {
  readonly id: string;
  readonly what: 'roll' | 'offcut' | 'to order';
  readonly width_mm: number;
  /** Length left; for a roll to order, the length it comes in. */
  readonly length_mm: number;
  /** Worth of a metre of its length used. */
  readonly perMetre: number;
  /** Worth of beginning it at all: the whole of an offcut that is used up with it. */
  readonly whole: number;
  /** Pieces of one façade look alike when they come from one lot. */
  readonly lot: string;
  /** Long edges that are still factory edges. */
  readonly edges: 'both' | 'left' | 'right' | 'none';
}

export interface OrderPiece extends LayoutPiece {
  /** What must look alike: a façade. Empty: nothing. */
  readonly group: string;
  /** When it is no rectangle: its corners as it lies unturned, x across the roll, y along it. */
  readonly outline?: readonly { readonly x: number; readonly y: number }[] | undefined;
  /** May be turned by half a turn. */
  readonly mayFlip?: boolean | undefined;
  /**
   * A drop whose pattern must meet the others of its surface: they lie in hanging order, this far from one to
   * the next.
   */
  readonly meets?:
    | {
        readonly group: string;
        readonly drop: number;
        readonly cell_mm: number;
        readonly repeat_mm?: number | undefined;
      }
    | undefined;
}

/** A piece that stays where a person put it. */
export interface PinnedPiece {
  readonly id: string;
  readonly stockId: string;
  /** Of a roll to order: which of several, from 0; left out: the first. */
  readonly copy?: number | undefined;
  readonly x_mm: number;
  readonly y_mm: number;
  readonly turned: boolean;
  /** Turned by half a turn. */
  readonly flipped?: boolean | undefined;
}

/** What cutting costs and what is worth keeping; nobody has a source for these, they are rates. */
export interface CuttingRates {
  readonly perCrossCut: number;
  readonly perSlit: number;
  readonly perPiece: number;
  /** An offcut is kept from this size on, and counts this share of what its film cost. */
  readonly keepWidth_mm: number;
  readonly keepLength_mm: number;
  readonly keepShare: number;
  /** What it is worth to have one façade from one lot. */
  readonly perSplitGroup: number;
}

export interface CutOrder {
  readonly stocks: readonly StockFilm[];
  readonly pieces: readonly OrderPiece[];
  readonly pinned: readonly PinnedPiece[];
  readonly mode: 'by hand' | 'by plotter';
  readonly stages: Stages;
  /** Left between pieces: the kerf of a knife is nothing, a plotter or a careful hand wants some. */
  readonly gap_mm: number;
  /** Cut off the beginning of each roll to have a square end. */
  readonly endWaste_mm: number;
  /** Longest sheet that can be handled: one person about 2.5 m, two about 6 m; infinite: no limit. */
  readonly mostSheet_mm: number;
  readonly objective: 'money' | 'length';
  readonly rates: CuttingRates;
}

/** What is cut from one roll or offcut. */
export interface StockUse {
  readonly stockId: string;
  /** Of a roll to order: which of several, from 0. */
  readonly copy: number;
  readonly placed: readonly PlacedPiece[];
  /** From its end to behind the last piece, end waste included. */
  readonly used_mm: number;
}

export interface CutOrderPlan {
  readonly uses: readonly StockUse[];
  /** Pieces there is no film for. */
  readonly notLaid: readonly string[];
  /** Film, cutting, less offcuts kept, and added up. */
  readonly film: Reasoned<number>;
  readonly cost: Reasoned<number>;
  /** Film can cost no less, whatever the layout. */
  readonly filmBound: Reasoned<number>;
  readonly waste_share: Reasoned<number>;
  /** Façades whose pieces come from several lots. */
  readonly splitGroups: readonly string[];
  readonly stopped: 'optimal' | 'limit' | 'infeasible';
}

/** @throws RangeError when the order has no such stock */
export function stockOf({ stocks }: CutOrder, stockId: string): StockFilm {
  const stock = stocks.find(({ id }) => id === stockId);
  if (stock === undefined) throw new RangeError(`no stock ${stockId} in this order`);
  return stock;
}
