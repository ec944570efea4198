/**
 * A piece of curved glass as a height over its chord plane: circles across whose curvature changes down the
 * glass, standing on a curve down the middle. Millimetres; x to the right and y upwards from the middle,
 * heights towards the viewer of the bulging side. z = B(y; κv) + σ(y³ − h²y) + B(x; κ(y)) − c₄x²(x² − a²) +
 * x(τy + δy²), B(x; κ) = −κx²/(1 + √(1 − κ²x²))
 */
export interface CurvedPatch {
  readonly halfWidth_mm: number;
  readonly halfHeight_mm: number;
  /** Curvature of the lines across, 1/mm, at the bottom, in the middle and at the top. */
  readonly acrossBottom: number;
  readonly acrossMiddle: number;
  readonly acrossTop: number;
  /** Curvature of the line down the middle, 1/mm. */
  readonly down: number;
  /** τ, 1/mm: the corners do not lie in one plane. */
  readonly twist: number;
  /** δ, 1/mm²: the right side curves otherwise than the left. */
  readonly skew: number;
  /** σ, 1/mm²: the line down curves more towards one end. */
  readonly cubicDown: number;
  /** c₄, 1/mm³: the lines across curve more towards their ends. */
  readonly quarticAcross: number;
}

export interface PatchSlopes {
  readonly z: number;
  readonly x: number;
  readonly y: number;
  readonly xx: number;
  readonly yy: number;
  readonly xy: number;
}

/** Curvature of the circle with this chord and sag, 1/mm; negative for a hollow. */
export function curvatureOf(chord_mm: number, sag_mm: number): number {
  return (8 * sag_mm) / (chord_mm ** 2 + 4 * sag_mm ** 2);
}

/** Asked for hundreds of thousands of times a plan: looked up once. */
const { sqrt, max } = Math;

/** Where `slopesInto` puts the height and its slopes. */
export const SLOPES = { z: 0, x: 1, y: 2, xx: 3, yy: 4, xy: 5, count: 6 } as const;

/**
 * Height of the patch and its first and second slopes: closed forms without a singular point at no curvature.
 */
export function patchAt(patch: CurvedPatch, x: number, y: number): PatchSlopes {
  const into = new Float64Array(SLOPES.count);
  slopesInto(into, patch, x, y);
  const [z = 0, sx = 0, sy = 0, xx = 0, yy = 0, xy = 0] = into;
  return { z, x: sx, y: sy, xx, yy, xy };
}

/** The same into an array, for loops that ask for many thousands. */
export function slopesInto(into: Float64Array, patch: CurvedPatch, x: number, y: number): void {
  const a = patch.halfWidth_mm;
  const h = patch.halfHeight_mm;
  const slope = (patch.acrossTop - patch.acrossBottom) / (2 * h);
  const bend = (patch.acrossTop - 2 * patch.acrossMiddle + patch.acrossBottom) / (2 * h * h);
  const k = patch.acrossMiddle + slope * y + bend * y * y;
  const kY = slope + 2 * bend * y;
  // Arc across, of curvature k at this height: its value, and its slopes by x and by k.
  const s = sqrt(max(1e-12, 1 - k * k * x * x));
  const x2 = x * x;
  const byK = -x2 / (s * (1 + s));
  const s3 = s * s * s;
  const byKK = (-k * x2 * x2 * (1 + 2 * s)) / (s3 * (1 + s) * (1 + s));
  // Arc down the middle.
  const t = sqrt(max(1e-12, 1 - patch.down * patch.down * y * y));
  const { twist, skew, cubicDown, quarticAcross } = patch;
  into[0] =
    (-patch.down * y * y) / (1 + t) +
    cubicDown * y * (y * y - h * h) +
    (-k * x2) / (1 + s) -
    quarticAcross * x2 * (x2 - a * a) +
    x * (twist * y + skew * y * y);
  into[1] = (-k * x) / s - quarticAcross * (4 * x * x2 - 2 * a * a * x) + twist * y + skew * y * y;
  into[2] = (-patch.down * y) / t + cubicDown * (3 * y * y - h * h) + byK * kY + x * (twist + 2 * skew * y);
  into[3] = -k / s3 - quarticAcross * (12 * x2 - 2 * a * a);
  into[4] = -patch.down / (t * t * t) + 6 * cubicDown * y + byKK * kY * kY + byK * 2 * bend + 2 * skew * x;
  into[5] = (-x / s3) * kY + twist + 2 * skew * y;
}

/** Curvature gathered over a piece of glass per unit of its plan: K·dA/dx·dy. */
export function gaussianCurvature({ x, y, xx, yy, xy }: PatchSlopes): number {
  return (xx * yy - xy * xy) / (1 + x * x + y * y) ** 1.5;
}
