import { type Outline, areaOf, isSimple, outlineBounds } from '@yellow-pane/core/measure';
import { isWithin } from './drawing-texts';

const SMALL_MM = 20;
const SAME_MM = 1;

/**
 * What is to be asked of each outline before it becomes a pane; undefined: nothing.
 * @param outlines as placed in the drawing, mm
 * @param tagOf what each is called, to name it in the question of another
 */
export function outlineQuestions(
  outlines: readonly Outline[],
  tagOf: (index: number) => string,
): readonly (string | undefined)[] {
  return outlines.map((outline, index) => {
    const { width, height } = outlineBounds(outline);
    if (!isSimple(outline)) return 'Its sides cross each other: no pane looks so.';
    if (Math.max(width, height) < SMALL_MM)
      return `Only ${width.toFixed(0)} × ${height.toFixed(0)} mm: a screw or a mark?`;
    const twin = outlines.findIndex((other, at) => at < index && isSame(outline, other));
    if (twin >= 0) return `It lies on ${tagOf(twin)} and is the same: drawn twice?`;
    const round = outlines.findIndex((other, at) => at !== index && liesIn(outline, other));
    return round < 0
      ? undefined
      : `It lies within ${tagOf(round)}: an opening, a frame, or a pane of its own?`;
  });
}

function isSame(one: Outline, other: Outline): boolean {
  const [a, b] = [outlineBounds(one), outlineBounds(other)];
  return (
    [a.left - b.left, a.top - b.top, a.width - b.width, a.height - b.height].every(
      (off) => Math.abs(off) < SAME_MM,
    ) && Math.abs(Math.abs(areaOf(one)) - Math.abs(areaOf(other))) < SAME_MM * (a.width + a.height)
  );
}

function liesIn(one: Outline, other: Outline): boolean {
  return Math.abs(areaOf(one)) < Math.abs(areaOf(other)) && one.every((corner) => isWithin(corner, other));
}
