import type { SectorMarks } from '../job';
import type { PieceNote } from './blank-note';
import { sectorOnTheTable } from './column-marks';
import type { BlankEdge } from './on-the-table';

interface NotedPiece {
  readonly phase_mm: number;
  readonly along_mm: number;
  readonly factoryEdges: readonly BlankEdge[];
  readonly isColumn: boolean;
  readonly sector?: SectorMarks | null | undefined;
}

/**
 * What the cuts alone do not say of a piece, the same on screen and paper: pattern, column marks, factory
 * edges, and how a sector is marked out by tape.
 */
export function pieceNotes({
  phase_mm,
  along_mm,
  factoryEdges,
  isColumn,
  sector,
}: NotedPiece): readonly PieceNote[] {
  const arcs = sector === undefined || sector === null ? undefined : sectorOnTheTable(sector);
  return [
    ...(phase_mm > 0
      ? [{ case: 'first cut off the top' as const, off_mm: phase_mm, left_mm: along_mm - phase_mm }]
      : []),
    ...(isColumn ? [{ case: 'column marks' as const }] : []),
    ...(factoryEdges.length > 0 ? [{ case: 'factory edges' as const, edges: factoryEdges }] : []),
    ...(arcs === undefined
      ? []
      : [
          { case: 'arc' as const, which: 'outer' as const, arc: arcs.outer },
          { case: 'arc' as const, which: 'inner' as const, arc: arcs.inner },
        ]),
  ];
}
