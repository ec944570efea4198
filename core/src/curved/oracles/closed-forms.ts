/** Shapes whose surplus is known without a step: for columns with a belly, and to test the planner by. */

/** Shrink asked of film on a sphere, so far from the great circle that it lies on. Lengths in one unit. */
export const strainOnSphere = (radius: number, from_line: number): number => 1 - Math.cos(from_line / radius);

/** Curvature gathered between a great circle and a line beside it, over a width, radians. */
export const turnedOnSphere = (radius: number, width: number, from_line: number): number =>
  (width / radius) * Math.sin(from_line / radius);

/** Film left over there: what is gathered, added up on the way. */
export const surplusOnSphere = (radius: number, width: number, from_line: number): number =>
  width * strainOnSphere(radius, from_line);

/** Area of a cap of a sphere, measured along it. */
export const capOfSphere = (radius: number, along: number): number =>
  2 * Math.PI * radius * radius * strainOnSphere(radius, along);

/** A ring surface held on its largest, or smallest, circle. */
interface OnRing {
  /** Along the fibre, and the shrink asked there; below nothing: stretch. */
  readonly along: number;
  readonly strain: number;
  /** Curvature on the circle. */
  readonly curvature: number;
}

/**
 * A barrel, or the inside of a ring, held on its circle.
 * @param circle radius from the axis to the middle of the bow; bow its radius; up height over the circle
 * @param isInner the hollow side: a saddle
 */
export function strainOnRing(circle: number, bow: number, up: number, isInner = false): OnRing {
  const side = isInner ? -1 : 1;
  const along = bow * Math.asin(up / bow);
  const whole = circle + side * bow;
  return {
    along,
    strain: 1 - (circle + side * bow * Math.cos(along / bow)) / whole,
    curvature: side / (bow * whole),
  };
}

/**
 * Where a line leaves as much above as below when curvature changes evenly over the height.
 * @param change of curvature by height, as a share of it per length; half of the height
 */
export const evenLine = (change: number, half: number): number =>
  (-1 + Math.sqrt(1 + (change * change * half * half) / 3)) / change;

/** Sag that an even quartic bow turns as, from its sags in the middle and at the quarters. */
export const turningSag = (middle: number, quarter: number): number => (16 * quarter - 9 * middle) / 3;

/** Six sags have five freedoms: both sides are alike when the tape is right. */
export const closureOf = (own: {
  readonly top: number;
  readonly middle: number;
  readonly bottom: number;
  readonly left: number;
  readonly down: number;
  readonly right: number;
}): { readonly across: number; readonly down: number } => ({
  across: own.middle - (own.top + own.bottom) / 2,
  down: own.down - (own.left + own.right) / 2,
});
