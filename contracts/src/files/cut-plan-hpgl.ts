import { type PlanRoll, outlineOf, pieceWord } from './cut-plan-file';

/** Plotter units a millimetre. @source HP-GL: 0.025 mm a unit (from memory) */
export const HPGL_UNITS = 40;
const ETX = '\u0003';

/**
 * One roll for a cutting plotter: X along the roll from its free end, Y across it from its right edge to its
 * left one, so that the drawing is the film as it is looked at. Pen 1 cuts, pen 2 writes the piece's name and
 * marks where the liner alone is slit; pieces in order along the roll, each closed before the next, so that
 * an interrupted job can go on with the next piece.
 * @param from only pieces from this one on, counted from 0
 */
export function rollHpgl(roll: PlanRoll, from = 0): string {
  const units = (value_mm: number): number => Math.round(value_mm * HPGL_UNITS);
  const at = ({ x, y }: { readonly x: number; readonly y: number }): string =>
    `${units(y)},${units(roll.width_mm - x)}`;
  const ordered = plotOrder(roll);
  const lines = ['IN;', 'PA;'];
  for (const piece of ordered.slice(from)) {
    const [first, ...rest] = outlineOf(piece);
    if (first === undefined) continue;
    lines.push(
      `SP2;PU${at({ x: piece.x_mm + 20, y: piece.y_mm + 20 })};LB${escaped(pieceWord(piece))}${ETX}`,
    );
    lines.push(`SP1;PU${at(first)};PD${[...rest, first].map(at).join(',')};PU;`);
    for (const [start, ...on] of piece.notches ?? [])
      if (start !== undefined) lines.push(`PU${at(start)};PD${on.map(at).join(',')};PU;`);
    for (const [start, ...on] of piece.slits ?? [])
      if (start !== undefined) lines.push(`SP2;PU${at(start)};PD${on.map(at).join(',')};PU;`);
  }
  return [...lines, 'SP0;', ''].join('\n');
}

/** The order a plotter cuts in: along the roll, so that the film is fed forward once. */
export function plotOrder({ pieces }: PlanRoll): PlanRoll['pieces'] {
  return [...pieces].sort((a, b) => a.y_mm - b.y_mm || a.x_mm - b.x_mm);
}

/** A label ends at ETX; other control characters, and letters a plotter does not have, are left out. */
function escaped(text: string): string {
  return text
    .normalize('NFKD')
    .replace(/[^\x20-\x7e]/g, '')
    .replace(/;/g, ',')
    .slice(0, 60);
}
