import { type Face, type Ring, type Spot, faceOf, turnOf } from '../face';

interface OffsetSide {
  readonly from: Spot;
  readonly to: Spot;
  readonly isClosed: boolean;
}

/**
 * A face without a strip along its edges. Sides move inwards and meet anew; those that vanish are left out.
 * @returns undefined where nothing is left, or where what is left runs into itself
 */
export function insetFace(face: Face, by_mm: number): Face | undefined {
  if (by_mm <= 0) return face;
  const rings: Ring[] = [];
  const closed: (readonly boolean[])[] = [];
  for (const [index, ring] of face.rings.entries()) {
    const moved = movedIn(ring, face.closed?.[index], by_mm);
    if (moved === undefined) return undefined;
    rings.push(moved.ring);
    closed.push(moved.closed);
  }
  if (crossesItself(rings)) return undefined;
  return face.closed === undefined ? faceOf(rings) : faceOf(rings, closed);
}

function movedIn(
  ring: Ring,
  isClosed: readonly boolean[] | undefined,
  by_mm: number,
): { readonly ring: Ring; readonly closed: readonly boolean[] } | undefined {
  let sides: OffsetSide[] = ring.flatMap((from, index) => {
    const to = ring[(index + 1) % ring.length] ?? from;
    return from.x === to.x && from.y === to.y ? [] : [{ from, to, isClosed: isClosed?.[index] ?? false }];
  });
  for (;;) {
    if (sides.length < 3) return undefined;
    const corners = sides.map((side, index) =>
      meeting(sides[(index + sides.length - 1) % sides.length] ?? side, side, by_mm),
    );
    const kept = sides.filter((side, index) => {
      const [from, to] = [corners[index], corners[(index + 1) % sides.length]];
      return (
        from === undefined ||
        to === undefined ||
        (to.x - from.x) * (side.to.x - side.from.x) + (to.y - from.y) * (side.to.y - side.from.y) > 0
      );
    });
    if (kept.length < sides.length) {
      sides = kept;
      continue;
    }
    return turnOf(corners) * turnOf(ring) > 0
      ? { ring: corners, closed: sides.map((side) => side.isClosed) }
      : undefined;
  }
}

const PARALLEL = 1e-9;

/** Where two sides meet once both have moved to their left. */
function meeting(before: OffsetSide, after: OffsetSide, by_mm: number): Spot {
  const line = ({ from, to }: OffsetSide) => {
    const length = Math.hypot(to.x - from.x, to.y - from.y);
    const [dx, dy] = [(to.x - from.x) / length, (to.y - from.y) / length];
    return { x: from.x - dy * by_mm, y: from.y + dx * by_mm, dx, dy };
  };
  const [a, b] = [line(before), line(after)];
  const across = a.dx * b.dy - a.dy * b.dx;
  if (Math.abs(across) < PARALLEL) return { x: b.x, y: b.y };
  const along = ((b.x - a.x) * b.dy - (b.y - a.y) * b.dx) / across;
  return { x: a.x + along * a.dx, y: a.y + along * a.dy };
}

interface PlainSide {
  readonly from: Spot;
  readonly to: Spot;
  readonly left: number;
  readonly right: number;
  readonly ring: number;
  readonly index: number;
  readonly sides: number;
}

/** Whether two sides cross or touch that are no neighbours, of one ring or of two. */
export function crossesItself(rings: readonly Ring[]): boolean {
  const sides = rings
    .flatMap((own, ring): PlainSide[] => {
      const corners = own.filter((corner, index) => !isSame(corner, own[(index + 1) % own.length] ?? corner));
      return corners.map((from, index) => {
        const to = corners[(index + 1) % corners.length] ?? from;
        return {
          ...{ from, to, ring, index, sides: corners.length },
          ...{ left: Math.min(from.x, to.x), right: Math.max(from.x, to.x) },
        };
      });
    })
    .toSorted((a, b) => a.left - b.left);
  return sides.some((side, at) => {
    for (let next = at + 1; next < sides.length; next += 1) {
      const other = sides[next];
      if (other === undefined || other.left > side.right) return false;
      if (!areNeighbours(side, other) && doMeet(side, other)) return true;
    }
    return false;
  });
}

const isSame = (a: Spot, b: Spot): boolean => a.x === b.x && a.y === b.y;

const areNeighbours = (a: PlainSide, b: PlainSide): boolean =>
  a.ring === b.ring && [1, a.sides - 1].includes(Math.abs(a.index - b.index));

function doMeet(a: PlainSide, b: PlainSide): boolean {
  const turn = (p: Spot, q: Spot, r: Spot): number =>
    Math.sign((q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x));
  const isBeside =
    Math.max(a.from.y, a.to.y) < Math.min(b.from.y, b.to.y) ||
    Math.max(b.from.y, b.to.y) < Math.min(a.from.y, a.to.y);
  return (
    !isBeside &&
    turn(a.from, a.to, b.from) * turn(a.from, a.to, b.to) <= 0 &&
    turn(b.from, b.to, a.from) * turn(b.from, b.to, a.to) <= 0
  );
}
