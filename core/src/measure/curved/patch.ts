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
  readonly sideways: number;
  /** σ, 1/mm²: the line down curves more towards one end. */
  readonly endDown: number;
  /** c₄, 1/mm³: the lines across curve more towards their ends. */
  readonly endsAcross: number;
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

/**
 * Height of the patch and its first and second slopes: closed forms without a singular point at no curvature.
 */
export function patchAt(patch: CurvedPatch, x: number, y: number): PatchSlopes {
  const {
    halfWidth_mm: a,
    halfHeight_mm: h,
    acrossBottom,
    acrossMiddle,
    acrossTop,
    twist,
    sideways,
    endDown,
    endsAcross,
  } = patch;
  const slope = (acrossTop - acrossBottom) / (2 * h);
  const bend = (acrossTop - 2 * acrossMiddle + acrossBottom) / (2 * h * h);
  const across = acrossMiddle + slope * y + bend * y * y;
  const acrossY = slope + 2 * bend * y;
  const line = arc(x, across);
  const middle = arc(y, patch.down);
  return {
    z:
      middle.value +
      endDown * (y ** 3 - h * h * y) +
      line.value -
      endsAcross * x * x * (x * x - a * a) +
      x * (twist * y + sideways * y * y),
    x: line.x - endsAcross * (4 * x ** 3 - 2 * a * a * x) + twist * y + sideways * y * y,
    y: middle.x + endDown * (3 * y * y - h * h) + line.k * acrossY + x * (twist + 2 * sideways * y),
    xx: line.xx - endsAcross * (12 * x * x - 2 * a * a),
    yy: middle.xx + 6 * endDown * y + line.kk * acrossY ** 2 + line.k * 2 * bend + 2 * sideways * x,
    xy: line.xk * acrossY + twist + 2 * sideways * y,
  };
}

/** Curvature gathered over a piece of glass per unit of its plan: K·dA/dx·dy. */
export function turningDensity({ x, y, xx, yy, xy }: PatchSlopes): number {
  return (xx * yy - xy * xy) / (1 + x * x + y * y) ** 1.5;
}

function arc(
  x: number,
  k: number,
): {
  readonly value: number;
  readonly x: number;
  readonly xx: number;
  readonly k: number;
  readonly kk: number;
  readonly xk: number;
} {
  const s = Math.sqrt(Math.max(1e-12, 1 - k * k * x * x));
  return {
    value: (-k * x * x) / (1 + s),
    x: (-k * x) / s,
    xx: -k / s ** 3,
    k: (-x * x) / (s * (1 + s)),
    kk: (-k * x ** 4 * (1 + 2 * s)) / (s ** 3 * (1 + s) ** 2),
    xk: -x / s ** 3,
  };
}
