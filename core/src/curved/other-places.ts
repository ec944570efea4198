/** Strain and spare film at places that are curved but not as a pane is. All closed forms (model A2). */

/** Film pressed into a joint like a V, from its edges, as a share of its width. */
export const strainInV = (width: number, depth: number): number => Math.hypot(1, (2 * depth) / width) - 1;

/** Into a joint with square sides. */
export const strainInSquare = (width: number, depth: number): number => (2 * depth) / width;

/** Into a hollow that is an arc of a circle. */
export function strainInHollow(width: number, depth: number): number {
  const radius = (width * width) / (8 * depth) + depth / 2;
  const half = 2 * Math.atan((2 * depth) / width);
  return (2 * radius * half) / width - 1;
}

/** Spare film so that no more than a strain is left, over a path. */
export const feedFor = (path: number, strain: number, width: number): number => path / (1 + strain) - width;

/** Outermost fibre of film bent round an edge. */
export const strainRoundEdge = (thickness: number, radius: number): number =>
  thickness / (2 * radius + thickness);

/** An outside corner, the film turned down by so much: left over at each corner, and its curvature. */
export const boxCorner = (turned: number): { readonly area: number; readonly curvature: number } => ({
  area: turned * turned,
  curvature: Math.PI / 2,
});

/** A dish: mean strain of the area. */
export const strainInDish = (radius: number, depth: number): number => (depth / radius) ** 2;

/** Outside corner of plan radius whose edge rolls over: share at a distance of film from its middle. */
export function strainOnCorner(radius: number, edge: number, film: number): number {
  const flat = radius - edge;
  const glass = film <= flat ? film : Math.min(radius, flat + edge * Math.sin((film - flat) / edge));
  return glass / film - 1;
}

/** Film of a tapered column laid flat. */
interface FlatCone {
  readonly outer: number;
  readonly inner: number;
  readonly angle_rad: number;
  /** How far a sheet with a straight edge runs off at its lower edge. */
  readonly runsOff: number;
  readonly blankWidth: number;
  readonly blankHeight: number;
  readonly area: number;
}

/** @param wide, narrow radii; slant along the side */
export function flatCone(wide: number, narrow: number, slant: number): FlatCone {
  const [outer, inner] = [(wide * slant) / (wide - narrow), (narrow * slant) / (wide - narrow)];
  const angle_rad = (2 * Math.PI * (wide - narrow)) / slant;
  return {
    outer,
    inner,
    angle_rad,
    runsOff: outer * (1 - Math.cos(angle_rad / 2)),
    blankWidth: 2 * outer * Math.sin(angle_rad / 2),
    blankHeight: outer - inner * Math.cos(angle_rad / 2),
    area: (angle_rad * (outer * outer - inner * inner)) / 2,
  };
}
