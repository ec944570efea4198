/** A place on a face, mm: x to the right, y upwards. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** Corners one after the other; the last is joined to the first. */
export type Ring = readonly Spot[];

/**
 * What film is pressed on: an outline, and holes in it. Arcs are many short sides. The outline runs counter-
 * clockwise, holes clockwise, so that film always lies to the left of a side.
 */
export interface Face {
  readonly rings: readonly Ring[];
  /**
   * Sides that let nothing out, by ring and side: film is fixed there, or something stands on it. Absent:
   * none.
   */
  readonly closed?: readonly (readonly boolean[])[];
}

/** One side of a face, film to its left. */
export interface Side {
  readonly from: Spot;
  readonly to: Spot;
  readonly isClosed: boolean;
}

export const turnOf = (ring: Ring): number =>
  ring.reduce((sum, { x, y }, index) => {
    const next = ring[(index + 1) % ring.length] ?? { x, y };
    return sum + x * next.y - next.x * y;
  }, 0) / 2;

/** A face from rings in either order: the first is the outline. */
export function faceOf(rings: readonly Ring[], closed?: Face['closed']): Face {
  const isRight = rings.map((ring, index) => turnOf(ring) > 0 === (index === 0));
  const turned = rings.map((ring, index) => (isRight[index] === true ? ring : ring.toReversed()));
  if (closed === undefined) return { rings: turned };
  return {
    rings: turned,
    closed: closed.map((sides, index) => (isRight[index] === true ? sides : sidesReversed(sides))),
  };
}

/** Side i joins corner i to the next: read backwards, the last side stays last. */
const sidesReversed = (sides: readonly boolean[]): readonly boolean[] => [
  ...sides.slice(0, -1).toReversed(),
  ...sides.slice(-1),
];

export const sidesOf = ({ rings, closed }: Face): readonly Side[] =>
  rings.flatMap((ring, ringAt) =>
    ring.map((from, index) => ({
      from,
      to: ring[(index + 1) % ring.length] ?? from,
      isClosed: closed?.[ringAt]?.[index] ?? false,
    })),
  );

interface FaceBounds {
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
}

export function boundsOf({ rings }: Face): FaceBounds {
  let [left, right, bottom, top] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const { x, y } of rings.flat()) {
    left = Math.min(left, x);
    right = Math.max(right, x);
    bottom = Math.min(bottom, y);
    top = Math.max(top, y);
  }
  return { left, right, bottom, top };
}

/** Holes taken off. */
export const areaOfFace = ({ rings }: Face): number => rings.reduce((sum, ring) => sum + turnOf(ring), 0);

/** Whether a place lies on the face: even-odd. */
export function isOnFace({ rings }: Face, { x, y }: Spot): boolean {
  let isIn = false;
  for (const ring of rings) {
    ring.forEach((from, index) => {
      const to = ring[(index + 1) % ring.length] ?? from;
      if (from.y > y !== to.y > y && x < from.x + ((y - from.y) * (to.x - from.x)) / (to.y - from.y))
        isIn = !isIn;
    });
  }
  return isIn;
}

/** Heights of the upright segments of film over one x, from below. */
export function uprightsAt(face: Face, x: number): readonly (readonly [bottom: number, top: number])[] {
  const crossed = sidesOf(face)
    .flatMap(({ from, to }) =>
      from.x > x === to.x > x ? [] : [from.y + ((x - from.x) * (to.y - from.y)) / (to.x - from.x)],
    )
    .toSorted((a, b) => a - b);
  return crossed.flatMap((bottom, index) =>
    index % 2 === 1 ? [] : [[bottom, crossed[index + 1] ?? bottom] as const],
  );
}

const BESIDE_MM = 1e-6;

/**
 * The longest upright segment of film: it is longest beside a corner, as it changes evenly between corners.
 */
export function longestUpright(face: Face): number {
  return Math.max(
    0,
    ...face.rings
      .flat()
      .flatMap(({ x }) => [x - BESIDE_MM, x + BESIDE_MM])
      .flatMap((x) => uprightsAt(face, x).map(([bottom, top]) => top - bottom)),
  );
}

/** The place on a side that is nearest to another. */
export function nearestOn({ from, to }: Pick<Side, 'from' | 'to'>, { x, y }: Spot): Spot {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const share = ((x - from.x) * dx + (y - from.y) * dy) / (dx * dx + dy * dy || 1);
  const on = Math.min(1, Math.max(0, share));
  return { x: from.x + on * dx, y: from.y + on * dy };
}

export function wayToSide(spot: Spot, side: Pick<Side, 'from' | 'to'>): number {
  const near = nearestOn(side, spot);
  return Math.hypot(spot.x - near.x, spot.y - near.y);
}
