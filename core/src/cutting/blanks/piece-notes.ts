import type { SectorMarks } from '../../job';
import { type ArcOnTheTable, sectorOnTheTable } from './column-marks';
import type { BlankEdge } from './on-the-table';

export interface NotedPiece {
  readonly phase_mm: number;
  readonly along_mm: number;
  readonly factoryEdges: readonly BlankEdge[];
  readonly isColumn: boolean;
  readonly sector?: SectorMarks | null | undefined;
}

/**
 * What the cuts alone do not say of a piece, a sentence each, the same on screen and paper: pattern, column
 * marks, factory edges, and how a sector is marked out by tape.
 * @param length a length in the person's words, its unit with it
 */
export function pieceNotes(
  { phase_mm, along_mm, factoryEdges, isColumn, sector }: NotedPiece,
  length: (value_mm: number) => string,
): readonly string[] {
  const arc = (which: string, { radius_mm, chord_mm, offsets }: ArcOnTheTable): string =>
    `${which} arc: radius ${length(radius_mm)}, chord ${length(chord_mm)}${offsets.length === 0 ? '' : `; over the chord, so far from its middle: ${offsets.map(({ fromMiddle_mm, up_mm }) => `${length(fromMiddle_mm)}: ${length(up_mm)}`).join(', ')}`}.`;
  const arcs = sector === undefined || sector === null ? undefined : sectorOnTheTable(sector);
  return [
    ...(phase_mm > 0
      ? [`First cut ${length(phase_mm)} off the top; then it is ${length(along_mm - phase_mm)} long.`]
      : []),
    ...(isColumn
      ? ['Slit the liner alone along the two broken lines and leave the strip on; notch both ends of it.']
      : []),
    ...(factoryEdges.length > 0 ? [`Factory edge as it hangs: ${factoryEdges.join(', ')}.`] : []),
    ...(arcs === undefined ? [] : [arc('Outer', arcs.outer), arc('Inner', arcs.inner)]),
  ];
}
