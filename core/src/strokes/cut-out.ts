import { type Geom, difference, setPrecision } from 'polyclip-ts';
import { CoreError } from '../quantity';
import { type Face, type Ring, turnOf } from './face';

const pairsOf = (ring: Ring): [number, number][] => ring.map(({ x, y }) => [x, y]);

/** Corners nearer than this are one, mm. */
const SNAP_MM = 1e-6;

/**
 * A face of an outline with holes cut out of it, also where a hole reaches an edge, as a door reaches the
 * floor.
 * @throws CoreError STROKES_FACE when nothing of it is left
 */
export function cutOut(outline: Ring, holes: readonly Ring[]): Face {
  const upright = (ring: Ring): Ring => (turnOf(ring) > 0 ? ring : ring.toReversed());
  if (holes.length === 0) return { rings: [upright(outline)] };
  const taken = holes.map((hole): Geom => [pairsOf(hole)]);
  setPrecision(SNAP_MM);
  const left = difference([pairsOf(outline)], ...taken);
  if (left.length === 0)
    throw new CoreError('STROKES_FACE', {
      path: 'openings',
      expected: 'film beside the openings',
      got: 'openings over all of it',
    });
  return {
    rings: left.flatMap((polygon) =>
      polygon.map((pairs, index) => {
        const ring = pairs.slice(0, -1).map(([x, y]) => ({ x, y }));
        return turnOf(ring) > 0 === (index === 0) ? ring : ring.toReversed();
      }),
    ),
  };
}
