import { quarterTurned, quarterTurnedBack } from '../../blanks';
import { type HandPlaced, type HandRoll } from '../../cutting';
import type { CutPlan, CutRoll, RowOf } from '../../job';
import { mmFromNm } from '../../quantity';

type Piece = RowOf<'cutPiece'>;
type Polygon = NonNullable<Piece['outline']>;
type Placed = Pick<Piece, 'id' | 'x_nm' | 'y_nm' | 'across_nm' | 'along_nm' | 'outline'>;
type Turned = Pick<Piece, 'turned' | 'across_nm' | 'along_nm' | 'outline'>;

/**
 * A piece of a plan as it is placed by hand. A knife cuts rectangles; only a plotter lays outlines into one
 * another.
 */
export function handPlacedOf(
  { id, x_nm, y_nm, across_nm, along_nm, outline }: Placed,
  mode: CutPlan['mode'],
): HandPlaced {
  return {
    id,
    x_mm: mmFromNm(x_nm),
    y_mm: mmFromNm(y_nm),
    across_mm: mmFromNm(across_nm),
    along_mm: mmFromNm(along_nm),
    ...(mode === 'by plotter' && outline !== null ? { outline } : {}),
  };
}

/** The film it is placed on. A roll to be ordered is as long as it comes. */
export function handRollOf(
  { width_nm, length_nm }: Pick<CutRoll, 'width_nm' | 'length_nm'>,
  { gap_nm, endWaste_nm }: Pick<CutPlan, 'gap_nm' | 'endWaste_nm'>,
): HandRoll {
  return {
    width_mm: mmFromNm(width_nm),
    length_mm: mmFromNm(length_nm),
    gap_mm: mmFromNm(gap_nm),
    endWaste_mm: mmFromNm(endWaste_nm),
  };
}

/** A piece turned by a quarter about its corner, or back. */
export function turnedByHand({ turned, across_nm, along_nm, outline }: Turned): Turned {
  const shape =
    outline === null
      ? null
      : turned
        ? quarterTurnedBack(outline, mmFromNm(along_nm))
        : quarterTurned(outline, mmFromNm(across_nm));
  return {
    turned: !turned,
    across_nm: along_nm,
    along_nm: across_nm,
    outline: shape === null ? null : keptOutline(shape),
  };
}

/** An outline as a plan keeps it: to the hundredth of a millimetre, never outside its rectangle's corner. */
export const keptOutline = (outline: Polygon): Polygon =>
  outline.map(({ x, y }) => ({ x: kept(x), y: kept(y) }));

const kept = (value: number): number => Math.max(0, Math.round(value * 100) / 100);
