import { CoreError } from '../quantity';
import { columnStrokes } from './plan/column-strips';
import { type Coverage, coverageOf } from './judge/coverage';
import { type Face, boundsOf } from './face';
import { type Findings, type WaterWays, findingsOn, gridFor, waterWays } from './judge/findings';
import { crossesItself } from './plan/inset';
import { type Tool, leastLanes } from './plan/lanes';
import type { LockFigure } from './plan/lock-strokes';
import { planStrokes } from './plan/plan-strokes';
import { sharedByTwo } from './plan/two-people';
import type { Stroke } from './stroke';

/** What a plan of strokes is made from. */
export interface StrokesAsked {
  readonly face: Face;
  readonly tool: Tool;
  readonly way: 'lanes' | 'round a column';
  readonly lock: LockFigure;
  readonly first: 'left' | 'right';
  readonly isDry: boolean;
  /** Each takes a half, both at once. */
  readonly people: 1 | 2;
}

/** Strokes in order, judged. */
export interface JudgedStrokes {
  readonly strokes: readonly Stroke[];
  readonly coverage: Coverage;
  readonly findings: Findings;
  readonly ways: WaterWays | undefined;
  /** Level lanes that the face needs at least. */
  readonly leastLanes: number;
  /** Longer than the face is high or wide: only as much of it is calculated with. */
  readonly isBladeTooLong: boolean;
}

const MOST_POINTS = 5000;

/**
 * The strokes of a plan.
 * @throws CoreError STROKES_LAP when strokes lap as far as the blade is wide, or none is left of it;
 * STROKES_FACE when the outline crosses itself, encloses nothing or has more than 5,000 corners
 */
export function calculateStrokes(asked: StrokesAsked): readonly Stroke[] {
  refuse(asked);
  const { face, tool, way, first, people } = asked;
  if (way === 'round a column') return columnStrokes(face, tool, first);
  const { strokes } = planStrokes(face, tool, asked);
  return people === 2 ? sharedByTwo(face, strokes, first) : strokes;
}

/** Any strokes on a face, a person's own too: what they reach, and what is wrong with their order. */
export function judgeStrokes(asked: StrokesAsked, strokes: readonly Stroke[]): JudgedStrokes {
  const { face, tool, isDry } = asked;
  const { left, right, bottom, top } = boundsOf(face);
  const grid = gridFor(face, strokes, { blade_mm: tool.blade_mm });
  return {
    strokes,
    coverage: coverageOf(face, strokes),
    findings: findingsOn(grid, strokes, isDry),
    ways: waterWays(face, grid, strokes),
    leastLanes: leastLanes(face, tool),
    isBladeTooLong: tool.blade_mm > Math.min(right - left, top - bottom),
  };
}

function refuse({ face, tool }: StrokesAsked): void {
  const { blade_mm, overlap_mm } = tool;
  if (!(overlap_mm >= 0 && overlap_mm < blade_mm))
    throw new CoreError('STROKES_LAP', {
      path: 'overlap_mm',
      expected: `from 0 to less than the blade of ${blade_mm} mm`,
      got: String(overlap_mm),
    });
  const corners = face.rings.reduce((sum, ring) => sum + ring.length, 0);
  const wrong =
    corners > MOST_POINTS
      ? { expected: `at most ${MOST_POINTS} corners`, got: String(corners) }
      : face.rings.some((ring) => ring.length < 3)
        ? { expected: 'at least three corners in each ring', got: 'fewer' }
        : crossesItself(face.rings)
          ? { expected: 'sides that do not cross', got: 'sides that cross' }
          : undefined;
  if (wrong !== undefined) throw new CoreError('STROKES_FACE', { path: 'outline', ...wrong });
}
