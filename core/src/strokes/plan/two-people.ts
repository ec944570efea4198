import { type Face, boundsOf } from '../face';
import { type Pace, timeOf } from '../pace';
import { type Stroke, endOf } from '../stroke';

/** The half a stroke ends in. */
const halfOf = (face: Face, stroke: Stroke): 'left' | 'right' => {
  const { left, right } = boundsOf(face);
  return endOf(stroke).x < (left + right) / 2 ? 'left' : 'right';
};

/** Two at once, each in a half: lock first, then one stroke of each in turn. */
export function sharedByTwo(
  face: Face,
  strokes: readonly Stroke[],
  first: 'left' | 'right',
): readonly Stroke[] {
  const part = (own: readonly Stroke[]): readonly Stroke[] => {
    const of = (half: 'left' | 'right'): readonly Stroke[] =>
      own.filter((stroke) => halfOf(face, stroke) === half);
    const [one, other] = first === 'right' ? [of('right'), of('left')] : [of('left'), of('right')];
    return Array.from({ length: Math.max(one.length, other.length) }, (_, index) => index).flatMap((index) =>
      [one[index], other[index]].filter((stroke) => stroke !== undefined),
    );
  };
  const of = (parts: readonly Stroke['part'][]): readonly Stroke[] =>
    strokes.filter((stroke) => parts.includes(stroke.part));
  return [...of(['lock']), ...part(of(['lane'])), ...part(of(['edge'])), ...of(['finish', 'own'])];
}

/** How long two take at once, s: the lock by one, then the longer of both halves. */
export function timeOfTwo(face: Face, strokes: readonly Stroke[], pace: Pace): number {
  const lock = strokes.filter(({ part }) => part === 'lock');
  const rest = strokes.filter(({ part }) => part !== 'lock');
  const half = (own: 'left' | 'right'): number =>
    timeOf(
      rest.filter((stroke) => halfOf(face, stroke) === own),
      pace,
    ).value;
  return timeOf(lock, pace).value + Math.max(half('left'), half('right'));
}
