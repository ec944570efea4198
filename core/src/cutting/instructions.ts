import type { PlacedPiece } from './layout';

/** One straight cut. Readings are from the roll's end (cross-cuts) and from its left factory edge (slits). */
export interface Cut {
  readonly no: number;
  readonly how: 'square the end' | 'cross-cut' | 'slit' | 'cross-cut piece' | 'trim';
  /** Where the tape reads, mm, in the sheet as it lies after the cut before. */
  readonly at_mm: number;
  /** From where the tape is laid. */
  readonly from: 'roll end' | 'left edge' | 'sheet end';
  /** Reading from the beginning of the roll, for a tape that stays laid out. */
  readonly running_mm: number;
  /** Between these, along the cut. */
  readonly between_mm: readonly [number, number];
  /** What is free after this cut. */
  readonly frees: readonly string[];
  readonly sheet: number;
}

const NEAR = 0.05;

/** The cuts that free every piece of one roll or offcut, in order: the sheet off the roll, slits down it, pieces off each column, trims last.
 *  @param usable_mm width of the film @param endWaste_mm squared off first
 *  @returns undefined when the pieces cannot be freed by straight cuts in three stages: cut by plotter, or with a knife round each */
export function cutsFor(placed: readonly PlacedPiece[], usable_mm: number, endWaste_mm: number): readonly Cut[] | undefined {
  const cuts: Omit<Cut, 'no'>[] = [];
  if (endWaste_mm > NEAR && placed.length > 0) cuts.push({ how: 'square the end', at_mm: endWaste_mm, from: 'roll end', running_mm: endWaste_mm, between_mm: [0, usable_mm], frees: [], sheet: 0 });
  let at = endWaste_mm;
  for (const [sheet, band] of groups(placed, 'y_mm', 'along_mm').entries()) {
    const [from, to] = spanOf(band, 'y_mm', 'along_mm');
    if (from - at > NEAR) cuts.push({ how: 'cross-cut', at_mm: from - at, from: 'roll end', running_mm: from, between_mm: [0, usable_mm], frees: [], sheet });
    const columns = groups(band, 'x_mm', 'across_mm');
    const isWhole = band.length === 1;
    cuts.push({ how: 'cross-cut', at_mm: to - from, from: 'roll end', running_mm: to, between_mm: [0, usable_mm], frees: isWhole && (band[0]?.across_mm ?? 0) >= usable_mm - NEAR ? [band[0]?.id ?? ''] : [], sheet });
    at = to;
    let edge = 0;
    for (const column of columns) {
      const [left, right] = spanOf(column, 'x_mm', 'across_mm');
      if (left - edge > NEAR) cuts.push({ how: 'slit', at_mm: left, from: 'left edge', running_mm: left, between_mm: [from, to], frees: [], sheet });
      const alone = column.length === 1 ? column[0] : undefined;
      if (usable_mm - right > NEAR) cuts.push({ how: 'slit', at_mm: right, from: 'left edge', running_mm: right, between_mm: [from, to], frees: alone !== undefined && alone.along_mm >= to - from - NEAR ? [alone.id] : [], sheet });
      edge = right;
      let end = from;
      for (const piece of [...column].sort((a, b) => a.y_mm - b.y_mm)) {
        if (piece.y_mm < end - NEAR) return undefined;
        const top = piece.y_mm + piece.along_mm;
        if (piece.y_mm - end > NEAR) cuts.push({ how: 'cross-cut piece', at_mm: piece.y_mm - from, from: 'sheet end', running_mm: piece.y_mm, between_mm: [left, right], frees: [], sheet });
        const isNarrower = piece.across_mm < right - left - NEAR;
        if (to - top > NEAR) cuts.push({ how: 'cross-cut piece', at_mm: top - from, from: 'sheet end', running_mm: top, between_mm: [left, right], frees: isNarrower ? [] : [piece.id], sheet });
        if (isNarrower) cuts.push({ how: 'trim', at_mm: piece.across_mm, from: 'left edge', running_mm: piece.x_mm + piece.across_mm, between_mm: [piece.y_mm, top], frees: [piece.id], sheet });
        end = top;
      }
    }
  }
  return cuts.map((cut, index) => ({ no: index + 1, ...cut }));
}

type Axis = 'x_mm' | 'y_mm';
type Size = 'across_mm' | 'along_mm';

function groups(pieces: readonly PlacedPiece[], axis: Axis, size: Size): readonly (readonly PlacedPiece[])[] {
  const found: PlacedPiece[][] = [];
  let reach = Number.NEGATIVE_INFINITY;
  for (const piece of [...pieces].sort((a, b) => a[axis] - b[axis])) {
    const last = found.at(-1);
    if (last === undefined || piece[axis] >= reach - NEAR) found.push([piece]);
    else last.push(piece);
    reach = Math.max(reach, piece[axis] + piece[size]);
  }
  return found;
}

function spanOf(pieces: readonly PlacedPiece[], axis: Axis, size: Size): readonly [number, number] {
  return [Math.min(...pieces.map((piece) => piece[axis])), Math.max(...pieces.map((piece) => piece[axis] + piece[size]))];
}

/** Rectangles a layout leaves that are worth keeping: beside the columns of each sheet, full length of the sheet.
 *  @returns x and y on the roll, mm, and whether each long side is still a factory edge */
export function restsWorthKeeping(placed: readonly PlacedPiece[], usable_mm: number, keepWidth_mm: number, keepLength_mm: number): readonly { readonly x_mm: number; readonly y_mm: number; readonly width_mm: number; readonly length_mm: number; readonly hasRightEdge: boolean }[] {
  return groups(placed, 'y_mm', 'along_mm').flatMap((band) => {
    const [from, to] = spanOf(band, 'y_mm', 'along_mm');
    const columns = groups(band, 'x_mm', 'across_mm').map((column) => spanOf(column, 'x_mm', 'across_mm'));
    const gaps: [number, number][] = [];
    let edge = 0;
    for (const [left, right] of columns) { if (left - edge > NEAR) gaps.push([edge, left]); edge = right; }
    if (usable_mm - edge > NEAR) gaps.push([edge, usable_mm]);
    return gaps.filter(([left, right]) => right - left >= keepWidth_mm && to - from >= keepLength_mm).map(([left, right]) => ({ x_mm: left, y_mm: from, width_mm: right - left, length_mm: to - from, hasRightEdge: right >= usable_mm - NEAR }));
  });
}
