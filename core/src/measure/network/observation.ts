import type { Point } from '../outline';

/** A point as a weighted sum of the unknown corners: a corner itself, or the middle of two. */
export type NetworkPoint = readonly { readonly corner: number; readonly share: number }[];

/** One reading of the network. `at` names its points in the order each kind says. */
export interface NetworkObservation {
  /**
   * distance: from, to. level: from, to (how much lower `to` lies). offset: point, line from, line to (square
   * to the line, positive on its right going along it). right angle: corner, one arm, other arm (value 0: gap
   * under a try square on the longer arm).
   */
  readonly kind: 'distance' | 'level' | 'offset' | 'right angle';
  readonly at: readonly NetworkPoint[];
  readonly value_mm: number;
  readonly sd_mm: number;
}

interface Observed {
  readonly value: number;
  /** Of the value by each point's place, in the order of `at`. */
  readonly gradients: readonly Point[];
}

const NOWHERE: Point = { x: 0, y: 0 };
const HARDLY_APART_MM = 1e-9;

/** What a figure with these corners would read, and how that changes when its points move. */
export function observe(
  corners: readonly Point[],
  { kind, at }: Pick<NetworkObservation, 'kind' | 'at'>,
): Observed {
  const [first = NOWHERE, second = NOWHERE, third = NOWHERE] = at.map((point) => locate(corners, point));
  if (kind === 'distance') return distance(first, second);
  if (kind === 'level')
    return {
      value: second.y - first.y,
      gradients: [
        { x: 0, y: -1 },
        { x: 0, y: 1 },
      ],
    };
  return kind === 'offset' ? offset(first, second, third) : squareness(first, second, third);
}

export function locate(corners: readonly Point[], point: NetworkPoint): Point {
  let x = 0;
  let y = 0;
  for (const { corner, share } of point) {
    x += share * (corners[corner]?.x ?? Number.NaN);
    y += share * (corners[corner]?.y ?? Number.NaN);
  }
  return { x, y };
}

function distance(from: Point, to: Point): Observed {
  const x = to.x - from.x;
  const y = to.y - from.y;
  const length = Math.max(Math.hypot(x, y), HARDLY_APART_MM);
  return {
    value: length,
    gradients: [
      { x: -x / length, y: -y / length },
      { x: x / length, y: y / length },
    ],
  };
}

function offset(point: Point, from: Point, to: Point): Observed {
  const along = { x: to.x - from.x, y: to.y - from.y };
  const length = Math.max(Math.hypot(along.x, along.y), HARDLY_APART_MM);
  const right = { x: -along.y / length, y: along.x / length };
  const value = (point.x - from.x) * right.x + (point.y - from.y) * right.y;
  const share = ((point.x - from.x) * along.x + (point.y - from.y) * along.y) / length ** 2;
  return {
    value,
    gradients: [
      right,
      { x: -(1 - share) * right.x, y: -(1 - share) * right.y },
      { x: -share * right.x, y: -share * right.y },
    ],
  };
}

function squareness(corner: Point, one: Point, other: Point): Observed {
  const a = { x: one.x - corner.x, y: one.y - corner.y };
  const b = { x: other.x - corner.x, y: other.y - corner.y };
  const longer = Math.max(Math.hypot(a.x, a.y), Math.hypot(b.x, b.y), HARDLY_APART_MM);
  const byOne = { x: b.x / longer, y: b.y / longer };
  const byOther = { x: a.x / longer, y: a.y / longer };
  return {
    value: (a.x * b.x + a.y * b.y) / longer,
    gradients: [{ x: -byOne.x - byOther.x, y: -byOne.y - byOther.y }, byOne, byOther],
  };
}
