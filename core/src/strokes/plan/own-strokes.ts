import type { StrokeChanges } from '../../job';
import { mmFromNm } from '../../quantity';
import type { Spot } from '../face';
import { type Stroke, reversed, squareStroke } from '../stroke';

/**
 * Strokes as a person wants them: moved, led the other way, left out, drawn besides, in another order. What
 * was changed of a stroke that is no longer there is passed over.
 */
export function withChanges(
  strokes: readonly Stroke[],
  changes: StrokeChanges,
  blade_mm: number,
): readonly Stroke[] {
  const [turned, left] = [new Set(changes.reversed), new Set(changes.left)];
  const moved = new Map(changes.moved.map(({ key, path }) => [key, path.map(spotOf)]));
  const drawn = changes.drawn.flatMap(({ key, path }): Stroke[] => {
    const [from, to] = [path[0], path.at(-1)].map((own) => own && spotOf(own));
    return from === undefined || to === undefined ? [] : [squareStroke(key, from, to, blade_mm)];
  });
  const own = [...strokes, ...drawn]
    .filter(({ key }) => !left.has(key))
    .map((stroke) => ({ ...stroke, path: moved.get(stroke.key) ?? stroke.path }))
    .map((stroke) => (turned.has(stroke.key) ? reversed(stroke) : stroke));
  return changes.order === null ? own : inOrder(own, changes.order);
}

const spotOf = ({ x_nm, y_nm }: StrokeChanges['moved'][number]['path'][number]): Spot => ({
  x: mmFromNm(x_nm),
  y: mmFromNm(y_nm),
});

/** By a list of keys; those it does not name keep their place behind the one before them. */
function inOrder(strokes: readonly Stroke[], order: readonly string[]): readonly Stroke[] {
  const at = new Map(order.map((key, index) => [key, index]));
  let place = -1;
  return strokes
    .map((stroke, index) => {
      const named = at.get(stroke.key);
      place = named ?? place;
      return { stroke, place, index: named === undefined ? index + 1 : 0 };
    })
    .toSorted((a, b) => a.place - b.place || a.index - b.index)
    .map(({ stroke }) => stroke);
}
