import type { PlacedPiece } from '../packing';

/** One straight cut. Readings are from the roll's end (cross-cuts) and from its left factory edge (slits). */
export interface Cut {
  readonly no: number;
  readonly how: 'square the end' | 'cross-cut' | 'slit' | 'cross-cut piece' | 'slit piece' | 'trim';
  /** Where the tape reads, mm, in the sheet as it lies after the cut before. */
  readonly at_mm: number;
  /** From where the tape is laid. */
  readonly from: 'roll end' | 'left edge' | 'sheet end' | 'part end' | 'part left edge';
  /** Reading from the beginning of the roll, for a tape that stays laid out. */
  readonly running_mm: number;
  /** Between these, along the cut. */
  readonly between_mm: readonly [number, number];
  /** What is free after this cut. */
  readonly frees: readonly string[];
  readonly sheet: number;
}

const NEAR = 0.05;

/**
 * The cuts that free every piece of one roll or offcut, in order: the sheet off the roll, slits down it,
 * pieces off each column, trims last. A part of a column that still holds several pieces is slit and cut
 * across in its turn.
 * @param usable_mm width of the film
 * @param endWaste_mm squared off first
 * @returns undefined when the pieces cannot be freed by straight cuts from edge to edge: cut by plotter, or
 * with a knife round each
 */
export function cutsFor(
  placed: readonly PlacedPiece[],
  usable_mm: number,
  endWaste_mm: number,
): readonly Cut[] | undefined {
  const table = new CuttingTable(usable_mm);
  if (endWaste_mm > NEAR && placed.length > 0) table.squareTheEnd(endWaste_mm);
  let at = endWaste_mm;
  for (const [sheet, band] of groups(placed, 'y_mm', 'along_mm').entries()) {
    const ends = spanOf(band, 'y_mm', 'along_mm');
    table.crossCut(band, at, ends, sheet);
    if (!table.slitDown(band, ends, sheet)) return undefined;
    at = ends[1];
  }
  return withTheRest(table.cuts, placed).map((cut, index) => ({ no: index + 1, ...cut }));
}

type Ends = readonly [from: number, to: number];

/** The cuts made so far on one roll, each with where the tape reads. */
class CuttingTable {
  readonly cuts: Omit<Cut, 'no'>[] = [];

  constructor(private readonly usable_mm: number) {}

  squareTheEnd(at_mm: number): void {
    this.#acrossTheRoll('square the end', at_mm, at_mm, [], 0);
  }

  /** Takes a sheet off the roll; what lies before it and holds nothing, first. */
  crossCut(band: readonly PlacedPiece[], at: number, [from, to]: Ends, sheet: number): void {
    if (from - at > NEAR) this.#acrossTheRoll('cross-cut', from - at, from, [], sheet);
    const [piece] = band;
    const isWhole = band.length === 1 && (piece?.across_mm ?? 0) >= this.usable_mm - NEAR;
    this.#acrossTheRoll('cross-cut', to - from, to, isWhole ? [piece?.id ?? ''] : [], sheet);
  }

  /**
   * Slits a sheet into its columns and takes each apart.
   * @returns false: a part cannot be parted
   */
  slitDown(band: readonly PlacedPiece[], [from, to]: Ends, sheet: number): boolean {
    const slit = { how: 'slit', from: 'left edge', between_mm: [from, to], sheet } as const;
    let edge = 0;
    for (const column of groups(band, 'x_mm', 'across_mm')) {
      const [left, right] = spanOf(column, 'x_mm', 'across_mm');
      if (left - edge > NEAR) this.cuts.push({ ...slit, at_mm: left, running_mm: left, frees: [] });
      if (this.usable_mm - right > NEAR)
        this.cuts.push({ ...slit, at_mm: right, running_mm: right, frees: freedBySlit(column, from, to) });
      edge = right;
      if (!this.#takeApart(column, { left, right, from, to }, false, sheet)) return false;
    }
    return true;
  }

  #acrossTheRoll(
    how: 'square the end' | 'cross-cut',
    at_mm: number,
    running_mm: number,
    frees: readonly string[],
    sheet: number,
  ): void {
    this.cuts.push({
      how,
      at_mm,
      from: 'roll end',
      running_mm,
      between_mm: [0, this.usable_mm],
      frees,
      sheet,
    });
  }

  /**
   * Cuts across one column, and into each part that holds several pieces.
   * @returns false: a part cannot be parted
   */
  #takeApart(
    column: readonly PlacedPiece[],
    { left, right, from, to }: Box,
    isPart: boolean,
    sheet: number,
  ): boolean {
    const across = {
      how: 'cross-cut piece',
      from: isPart ? 'part end' : 'sheet end',
      between_mm: [left, right],
      sheet,
    } as const;
    let end = from;
    for (const cell of groups(column, 'y_mm', 'along_mm')) {
      const [start, top] = spanOf(cell, 'y_mm', 'along_mm');
      const alone = cell.length === 1 ? cell[0] : undefined;
      if (start - end > NEAR)
        this.cuts.push({ ...across, at_mm: start - from, running_mm: start, frees: [] });
      const isNarrower = alone !== undefined && alone.across_mm < right - left - NEAR;
      const frees = alone === undefined || isNarrower ? [] : [alone.id];
      if (to - top > NEAR) this.cuts.push({ ...across, at_mm: top - from, running_mm: top, frees });
      if (isNarrower) this.#trim(alone, [start, top], sheet);
      if (alone === undefined && !this.#slitApart(cell, { left, right, from: start, to: top }, sheet))
        return false;
      end = top;
    }
    return true;
  }

  #trim({ id, x_mm, across_mm }: PlacedPiece, between_mm: Ends, sheet: number): void {
    this.cuts.push({
      how: 'trim',
      at_mm: across_mm,
      from: 'left edge',
      running_mm: x_mm + across_mm,
      between_mm,
      frees: [id],
      sheet,
    });
  }

  #slitApart(cell: readonly PlacedPiece[], { left, right, from, to }: Box, sheet: number): boolean {
    const columns = groups(cell, 'x_mm', 'across_mm');
    if (columns.length < 2) return false;
    let edge = left;
    return columns.every((column) => {
      const [begin, stop] = spanOf(column, 'x_mm', 'across_mm');
      const slit = { how: 'slit piece', from: 'part left edge', between_mm: [from, to], sheet } as const;
      if (begin - edge > NEAR) this.cuts.push({ ...slit, at_mm: begin - left, running_mm: begin, frees: [] });
      if (right - stop > NEAR)
        this.cuts.push({
          ...slit,
          at_mm: stop - left,
          running_mm: stop,
          frees: freedBySlit(column, from, to),
        });
      edge = stop;
      return this.#takeApart(column, { left: begin, right: stop, from, to }, true, sheet);
    });
  }
}

/** A piece that lies alone in its column and is as long as the sheet is free once it is slit. */
function freedBySlit(column: readonly PlacedPiece[], from: number, to: number): readonly string[] {
  const [alone] = column;
  return alone !== undefined && column.length === 1 && alone.along_mm >= to - from - NEAR ? [alone.id] : [];
}

/** A piece that no cut frees by itself falls off with the last cut along one of its sides. */
function withTheRest(
  cuts: readonly Omit<Cut, 'no'>[],
  placed: readonly PlacedPiece[],
): readonly Omit<Cut, 'no'>[] {
  const freed = new Set(cuts.flatMap(({ frees }) => frees));
  const freeing = cuts.map((cut) => ({ ...cut, frees: [...cut.frees] }));
  for (const piece of placed)
    if (!freed.has(piece.id)) freeing.findLast((cut) => liesAlong(cut, piece))?.frees.push(piece.id);
  return freeing;
}

const SLITS: ReadonlySet<Cut['how']> = new Set(['slit', 'slit piece', 'trim']);

function liesAlong(
  { how, running_mm, between_mm }: Omit<Cut, 'no'>,
  { x_mm, y_mm, across_mm, along_mm }: PlacedPiece,
): boolean {
  const [from, to] = between_mm;
  const [start, end, first, last] = SLITS.has(how)
    ? [x_mm, x_mm + across_mm, y_mm, y_mm + along_mm]
    : [y_mm, y_mm + along_mm, x_mm, x_mm + across_mm];
  return (
    (Math.abs(running_mm - start) <= NEAR || Math.abs(running_mm - end) <= NEAR) &&
    from <= first + NEAR &&
    last <= to + NEAR
  );
}

interface Box {
  readonly left: number;
  readonly right: number;
  readonly from: number;
  readonly to: number;
}

type Axis = 'x_mm' | 'y_mm';
type Size = 'across_mm' | 'along_mm';

function groups(pieces: readonly PlacedPiece[], axis: Axis, size: Size): readonly (readonly PlacedPiece[])[] {
  const grouped: PlacedPiece[][] = [];
  let reach = Number.NEGATIVE_INFINITY;
  for (const piece of [...pieces].sort((a, b) => a[axis] - b[axis])) {
    const last = grouped.at(-1);
    if (last === undefined || piece[axis] >= reach - NEAR) grouped.push([piece]);
    else last.push(piece);
    reach = Math.max(reach, piece[axis] + piece[size]);
  }
  return grouped;
}

function spanOf(pieces: readonly PlacedPiece[], axis: Axis, size: Size): readonly [number, number] {
  return [
    Math.min(...pieces.map((piece) => piece[axis])),
    Math.max(...pieces.map((piece) => piece[axis] + piece[size])),
  ];
}

/**
 * Rectangles a layout leaves that are worth keeping: beside the columns of each sheet, full length of the
 * sheet.
 * @returns x and y on the roll, mm, and whether each long side is still a factory edge
 */
export function restsWorthKeeping(
  placed: readonly PlacedPiece[],
  usable_mm: number,
  keepWidth_mm: number,
  keepLength_mm: number,
): readonly {
  readonly x_mm: number;
  readonly y_mm: number;
  readonly width_mm: number;
  readonly length_mm: number;
  readonly hasRightEdge: boolean;
}[] {
  return groups(placed, 'y_mm', 'along_mm').flatMap((band) => {
    const [from, to] = spanOf(band, 'y_mm', 'along_mm');
    const columns = groups(band, 'x_mm', 'across_mm').map((column) => spanOf(column, 'x_mm', 'across_mm'));
    const gaps: [number, number][] = [];
    let edge = 0;
    for (const [left, right] of columns) {
      if (left - edge > NEAR) gaps.push([edge, left]);
      edge = right;
    }
    if (usable_mm - edge > NEAR) gaps.push([edge, usable_mm]);
    return gaps
      .filter(([left, right]) => right - left >= keepWidth_mm && to - from >= keepLength_mm)
      .map(([left, right]) => ({
        x_mm: left,
        y_mm: from,
        width_mm: right - left,
        length_mm: to - from,
        hasRightEdge: right >= usable_mm - NEAR,
      }));
  });
}
