import { valueAt } from '../../quantity';
import type { Strip, Stack } from './strip-shape';

/**
 * Strips parted wherever a cut from edge to edge would meet no piece: shorter sheets fit better on rolls that
 * end.
 */
export function partedStrips(strips: readonly Strip[]): readonly Strip[] {
  return strips.flatMap(parted);
}

function parted(strip: Strip): readonly Strip[] {
  const ends = strip.stacks.map(({ pieces }) => {
    let end = 0;
    return pieces.map(({ along }) => {
      end += along;
      return end;
    });
  });
  const shared = [...new Set(ends.flat())]
    .filter((at) => ends.every((stackEnds) => stackEnds.includes(at) || at >= (stackEnds.at(-1) ?? 0)))
    .sort((a, b) => a - b);
  if (shared.length < 2) return [strip];
  return shared.map((to, index): Strip => {
    const from = index === 0 ? 0 : valueAt(shared, index - 1);
    const stacks = strip.stacks.flatMap(({ across, pieces }, stack): Stack[] => {
      const ended = pieces.filter((_, at) => {
        const end = valueAt(valueAt(ends, stack), at);
        return end > from && end <= to;
      });
      return ended.length === 0 ? [] : [{ across, pieces: ended }];
    });
    return {
      along: to - from,
      stacks,
      filled: stacks.reduce(
        (sum, { pieces }) => sum + pieces.reduce((all, { across, along }) => all + across * along, 0),
        0,
      ),
    };
  });
}
