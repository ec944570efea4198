import { type Geom, difference, intersection, setPrecision } from 'polyclip-ts';
import { CoreError } from '../quantity';
import { type Face, type Ring, boundsOf, turnOf } from './face';

const pairsOf = (ring: Ring): [number, number][] => ring.map(({ x, y }) => [x, y]);

/** Corners nearer than this are one, mm. */
const SNAP_MM = 1e-6;
const NEAR_MM = 1e-3;

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
  return faceFrom(left);
}

/** Outlines counter-clockwise, holes clockwise, without the last corner that is the first. */
const faceFrom = (polygons: ReturnType<typeof difference>): Face => ({
  rings: polygons.flatMap((polygon) =>
    polygon.map((pairs, index) => {
      const ring = pairs.slice(0, -1).map(([x, y]) => ({ x, y }));
      return turnOf(ring) > 0 === (index === 0) ? ring : ring.toReversed();
    }),
  ),
});

/** What of a face lies between two uprights: a sheet beside one that is fixed lets nothing out there. */
export function faceWithin(face: Face, left: number, right: number, isLeftClosed: boolean): Face {
  const { bottom, top } = boundsOf(face);
  const band: Geom = [
    [
      [left, bottom - 1],
      [right, bottom - 1],
      [right, top + 1],
      [left, top + 1],
    ],
  ];
  setPrecision(SNAP_MM);
  const outlines = face.rings.filter((ring) => turnOf(ring) > 0).map((ring): Geom => [pairsOf(ring)]);
  const holes = face.rings.filter((ring) => turnOf(ring) < 0).map((ring): Geom => [pairsOf(ring)]);
  const inBand = outlines.flatMap((outline) => intersection(outline, band));
  const own = faceFrom(holes.length === 0 ? inBand : difference(inBand, ...holes));
  if (!isLeftClosed) return own;
  return {
    ...own,
    closed: own.rings.map((ring) =>
      ring.map(({ x }, index) => {
        const next = ring[(index + 1) % ring.length];
        return Math.abs(x - left) < NEAR_MM && Math.abs((next?.x ?? Infinity) - left) < NEAR_MM;
      }),
    ),
  };
}
