import type { JudgedStrokes } from './calculate-strokes';

/** What is to be said of strokes, the gravest first. Strokes are counted from 1. */
export type StrokeNote =
  | { readonly case: 'shut in'; readonly by: number | undefined; readonly places: number }
  | { readonly case: 'leaves a line'; readonly length_mm: number; readonly places: number }
  | { readonly case: 'leaves a corner'; readonly places: number }
  | { readonly case: 'lifts water'; readonly strokes: readonly number[] }
  | { readonly case: 'blade too long' }
  | { readonly case: 'finished'; readonly strokes: number }
  | { readonly case: 'all pressed' };

/** A gap that is longer is a line (model 8). */
export const LINE_MM = 50;
/** Smaller is no gap anybody finds, mm². */
const NOTHING_MM2 = 1;

export function notesOf({
  strokes,
  coverage,
  findings,
  isBladeTooLong,
}: JudgedStrokes): readonly StrokeNote[] {
  const gaps = coverage.gaps.filter(({ area_mm2 }) => area_mm2 > NOTHING_MM2);
  const lines = gaps.filter(({ length_mm }) => length_mm > LINE_MM);
  const corners = gaps.length - lines.length;
  const finishing = strokes.filter(({ part }) => part === 'finish').length;
  const isRight = gaps.length === 0 && findings.traps.length === 0 && findings.lifted.length === 0;
  return [
    ...(findings.traps.length === 0
      ? []
      : [
          {
            case: 'shut in' as const,
            by: findings.firstTrap === undefined ? undefined : findings.firstTrap + 1,
            places: findings.traps.length,
          },
        ]),
    ...(finishing === 0 ? [] : [{ case: 'finished' as const, strokes: finishing }]),
    ...(lines.length === 0
      ? []
      : [
          {
            case: 'leaves a line' as const,
            length_mm: Math.max(...lines.map(({ length_mm }) => length_mm)),
            places: lines.length,
          },
        ]),
    ...(corners === 0 ? [] : [{ case: 'leaves a corner' as const, places: corners }]),
    ...(findings.lifted.length === 0
      ? []
      : [{ case: 'lifts water' as const, strokes: findings.lifted.map((index) => index + 1) }]),
    ...(isBladeTooLong ? [{ case: 'blade too long' as const }] : []),
    ...(isRight ? [{ case: 'all pressed' as const }] : []),
  ];
}
