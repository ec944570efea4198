import { toTenth } from './tenths';

/** A piece being placed by hand, mm from the left factory edge and the roll's end. */
export interface HandPlaced {
  readonly id: string;
  readonly x_mm: number;
  readonly y_mm: number;
  readonly across_mm: number;
  readonly along_mm: number;
}

export interface HandRoll {
  readonly width_mm: number;
  /** Length there is; infinite when it is to be ordered. */
  readonly length_mm: number;
  readonly gap_mm: number;
  readonly endWaste_mm: number;
}

/** Why a piece cannot lie there. */
export type PlacingFault =
  | { readonly kind: 'over the edge'; readonly by_mm: number }
  | { readonly kind: 'in the end waste'; readonly by_mm: number }
  | { readonly kind: 'beyond the film'; readonly by_mm: number }
  | { readonly kind: 'overlaps'; readonly id: string; readonly by_mm: number };

const NEAR_MM = 0.05;

/** @returns what is wrong with a place, or nothing */
export function placingFault(piece: HandPlaced, others: readonly HandPlaced[], { width_mm, length_mm, gap_mm, endWaste_mm }: HandRoll): PlacingFault | undefined {
  const right = piece.x_mm + piece.across_mm;
  const top = piece.y_mm + piece.along_mm;
  if (piece.x_mm < -NEAR_MM || right > width_mm + NEAR_MM) return { kind: 'over the edge', by_mm: Math.max(-piece.x_mm, right - width_mm) };
  if (piece.y_mm < endWaste_mm - NEAR_MM) return { kind: 'in the end waste', by_mm: endWaste_mm - piece.y_mm };
  if (top > length_mm + NEAR_MM) return { kind: 'beyond the film', by_mm: top - length_mm };
  for (const other of others) {
    if (other.id === piece.id) continue;
    const across = Math.min(right, other.x_mm + other.across_mm) - Math.max(piece.x_mm, other.x_mm) + gap_mm;
    const along = Math.min(top, other.y_mm + other.along_mm) - Math.max(piece.y_mm, other.y_mm) + gap_mm;
    if (across > NEAR_MM && along > NEAR_MM) return { kind: 'overlaps', id: other.id, by_mm: Math.min(across, along) };
  }
  return undefined;
}

/** Draws a piece to the nearest edge of the film or of a neighbour, each way by itself, when it is nearer than `within_mm`. */
export function snapped(piece: HandPlaced, others: readonly HandPlaced[], { width_mm, gap_mm, endWaste_mm }: HandRoll, within_mm: number): HandPlaced {
  const rest = others.filter(({ id }) => id !== piece.id);
  const x = nearest(piece.x_mm, [0, width_mm - piece.across_mm, ...rest.flatMap((other) => [other.x_mm, other.x_mm + other.across_mm + gap_mm, other.x_mm - piece.across_mm - gap_mm, other.x_mm + other.across_mm - piece.across_mm])], within_mm);
  const y = nearest(piece.y_mm, [endWaste_mm, ...rest.flatMap((other) => [other.y_mm, other.y_mm + other.along_mm + gap_mm, other.y_mm - piece.along_mm - gap_mm, other.y_mm + other.along_mm - piece.along_mm])], within_mm);
  return { ...piece, x_mm: toTenth(x), y_mm: toTenth(y) };
}

function nearest(value: number, targets: readonly number[], within: number): number {
  let [best, off] = [value, within];
  for (const target of targets) { const own = Math.abs(target - value); if (own <= off) { best = target; off = own; } }
  return best;
}
