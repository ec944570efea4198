import type { SectorMarks } from '../job';
import { spanAt } from './nest';
import type { Point } from './on-the-table';

interface ColumnSheet {
  readonly across_mm: number;
  readonly along_mm: number;
  /** Corners as it lies, from its own corner, when it is no rectangle. */
  readonly outline?: readonly Point[] | null | undefined;
  /** Its height lies across the roll instead of along it. */
  readonly isQuarterTurned: boolean;
  readonly notch_mm: number;
  readonly strip_mm: number;
}

/** What is cut into a column's sheet besides its outline, in its own corner's coordinates. */
interface ColumnMarks {
  /**
   * Open lines of four points, from the edge inwards, along the bottom of the notch and out again: one in the
   * middle of each short edge.
   */
  readonly notches: readonly (readonly Point[])[];
  /** The liner alone is slit along these two lines: the strip between them comes off first. */
  readonly slits: readonly (readonly [Point, Point])[];
}

/**
 * Strip and notches of a column's sheet: the strip down the middle of its height; at both ends of it a notch
 * as wide as the strip, its sides flaring outwards at 45°, so that the wings flare on to floor and ceiling.
 * @source common practice, no published source
 */
export function columnMarks({
  across_mm,
  along_mm,
  outline,
  isQuarterTurned,
  notch_mm,
  strip_mm,
}: ColumnSheet): ColumnMarks {
  const [girth, height] = isQuarterTurned ? [along_mm, across_mm] : [across_mm, along_mm];
  const upright = outline?.map(({ x, y }) => (isQuarterTurned ? { x: y, y: x } : { x, y }));
  const endsAt = (at: number): readonly [number, number] =>
    upright === undefined ? [0, height] : (spanAt(upright, at) ?? [0, height]);
  const point = (at: number, down: number): Point =>
    isQuarterTurned ? { x: down, y: at } : { x: at, y: down };
  const [middle, half] = [girth / 2, strip_mm / 2];
  const at = [middle - half - notch_mm, middle - half, middle + half, middle + half + notch_mm];
  const notch = (end: 0 | 1): readonly Point[] =>
    at.map((along, index) =>
      point(along, endsAt(along)[end] + (index === 1 || index === 2 ? notch_mm * (end === 0 ? 1 : -1) : 0)),
    );
  const slit = (along: number): readonly [Point, Point] => [
    point(along, endsAt(along)[0] + notch_mm),
    point(along, endsAt(along)[1] - notch_mm),
  ];
  return { notches: [notch(0), notch(1)], slits: [slit(middle - half), slit(middle + half)] };
}

/**
 * One arc of a ring sector as a tape marks it out: over its chord, at so far from the chord's middle, so
 * high.
 */
export interface ArcOnTheTable {
  readonly radius_mm: number;
  readonly chord_mm: number;
  readonly rise_mm: number;
  readonly offsets: readonly { readonly fromMiddle_mm: number; readonly up_mm: number }[];
}

const STEP_MM = 200;

/** Radii, chords and offsets of a tapered column's film.
 *  @returns no offsets where the sector is half a ring or more: mark it out by its radii
 *  @source height of a circle over its chord: √(R² − t²) − √(R² − c²/4) (plane geometry) */
export function sectorOnTheTable({ inner_mm, outer_mm, angle_rad }: SectorMarks): {
  readonly outer: ArcOnTheTable;
  readonly inner: ArcOnTheTable;
} {
  const arc = (radius_mm: number): ArcOnTheTable => {
    const half = angle_rad / 2;
    const chord_mm = 2 * radius_mm * Math.sin(Math.min(half, Math.PI / 2));
    const base = radius_mm * Math.cos(half);
    const count = half >= Math.PI / 2 ? 0 : Math.floor((chord_mm / 2 - 1) / STEP_MM) + 1;
    const offsets = Array.from({ length: Math.max(0, count) }, (_, index) => ({
      fromMiddle_mm: index * STEP_MM,
      up_mm: Math.sqrt(radius_mm ** 2 - (index * STEP_MM) ** 2) - base,
    }));
    return { radius_mm, chord_mm, rise_mm: radius_mm - base, offsets };
  };
  return { outer: arc(outer_mm), inner: arc(inner_mm) };
}
