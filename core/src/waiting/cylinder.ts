const TERMS = 15;
const POINTS = 96;

/**
 * Bessel function of the first kind, order 0 or 1.
 * @source its integral by the trapezoid rule, exact to rounding up to x = 60
 */
export function bessel(order: 0 | 1, x: number): number {
  let sum = 0;
  for (let point = 0; point < POINTS; point += 1) {
    const angle = (Math.PI * (point + 0.5)) / POINTS;
    sum += Math.cos(order * angle - x * Math.sin(angle));
  }
  return sum / POINTS;
}

/** The first roots of ζ·J1(ζ) = Bi·J0(ζ). @param biot over 0 */
export function cylinderRoots(biot: number, count = TERMS): readonly number[] {
  const miss = (z: number): number => z * bessel(1, z) - biot * bessel(0, z);
  const roots: number[] = [];
  for (let low = 1e-9, step = 0.1; roots.length < count; low += step) {
    if (miss(low) > 0 === miss(low + step) > 0) continue;
    let [a, b] = [low, low + step];
    for (let round = 0; round < 60; round += 1) {
      const middle = (a + b) / 2;
      if (miss(middle) > 0 === miss(a) > 0) a = middle;
      else b = middle;
    }
    roots.push((a + b) / 2);
  }
  return roots;
}

/**
 * How much each root counts.
 * @source long cylinder, one-dimensional conduction (Incropera & DeWitt, table 5.1)
 */
export function cylinderWeight(root: number): number {
  const [j0, j1] = [bessel(0, root), bessel(1, root)];
  return (2 * j1) / (root * (j0 * j0 + j1 * j1));
}
