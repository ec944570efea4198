import type { LayoutRequest, PlacedPiece } from '../problem/layout-plan';

export type LayoutFault =
  | {
      readonly kind:
        | 'missing'
        | 'unknown'
        | 'twice'
        | 'outside'
        | 'turned'
        | 'smaller'
        | 'not at an edge'
        | 'not cuttable';
      readonly id: string;
    }
  | { readonly kind: 'overlap'; readonly id: string; readonly other: string };

const SLACK_MM = 1e-6;
/** The roll is taken down to whole tenths. */
const EDGE_MM = 0.1;

/**
 * Everything wrong with a layout, independent of how it was found; empty when it is valid. Sweeps along the
 * roll.
 */
export function checkLayout(request: LayoutRequest, placed: readonly PlacedPiece[]): readonly LayoutFault[] {
  return [
    ...faultsOfPresence(request, placed),
    ...placed.flatMap((piece) => faultsOfPiece(request, piece)),
    ...overlaps(placed),
  ];
}

function faultsOfPresence({ pieces }: LayoutRequest, placed: readonly PlacedPiece[]): LayoutFault[] {
  const counts = new Map<string, number>();
  for (const { id } of placed) counts.set(id, (counts.get(id) ?? 0) + 1);
  const missing = pieces
    .filter(({ id }) => !counts.has(id))
    .map(({ id }): LayoutFault => ({ kind: 'missing', id }));
  const twice = [...counts]
    .filter(([, count]) => count > 1)
    .map(([id]): LayoutFault => ({ kind: 'twice', id }));
  return [...missing, ...twice];
}

function faultsOfPiece({ pieces, rollWidth_mm }: LayoutRequest, placed: PlacedPiece): LayoutFault[] {
  const { id, x_mm, y_mm, across_mm, along_mm, turned } = placed;
  const piece = pieces.find((wanted) => wanted.id === id);
  if (piece === undefined) return [{ kind: 'unknown', id }];
  const faults: LayoutFault[] = [];
  if (x_mm < -SLACK_MM || y_mm < -SLACK_MM || x_mm + across_mm > rollWidth_mm + SLACK_MM)
    faults.push({ kind: 'outside', id });
  if (turned && !piece.mayTurn90) faults.push({ kind: 'turned', id });
  if (piece.wantsEdge === true && x_mm > SLACK_MM && Math.abs(x_mm + across_mm - rollWidth_mm) > EDGE_MM)
    faults.push({ kind: 'not at an edge', id });
  const [across, along] = turned ? [piece.along_mm, piece.across_mm] : [piece.across_mm, piece.along_mm];
  if (across_mm < across - SLACK_MM || along_mm < along - SLACK_MM) faults.push({ kind: 'smaller', id });
  return faults;
}

function overlaps(placed: readonly PlacedPiece[]): LayoutFault[] {
  const order = [...placed].sort((a, b) => a.y_mm - b.y_mm);
  const faults: LayoutFault[] = [];
  let open: PlacedPiece[] = [];
  for (const piece of order) {
    open = open.filter((other) => other.y_mm + other.along_mm > piece.y_mm + SLACK_MM);
    for (const other of open) {
      if (
        piece.x_mm < other.x_mm + other.across_mm - SLACK_MM &&
        other.x_mm < piece.x_mm + piece.across_mm - SLACK_MM
      )
        faults.push({ kind: 'overlap', id: piece.id, other: other.id });
    }
    open.push(piece);
  }
  return faults;
}
