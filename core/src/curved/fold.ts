import { CoreError } from '../quantity';

/** Complete elliptic integral of the second kind by the arithmetic–geometric mean. @source DLMF 19.8.6 */
function ellipticE(m: number): number {
  let [a, b, sum, power] = [1, Math.sqrt(1 - m), m, 1];
  for (let round = 0; round < 40; round += 1) {
    const [mean, half] = [(a + b) / 2, (a - b) / 2];
    b = Math.sqrt(a * b);
    a = mean;
    power *= 2;
    sum += power * half * half;
    if (half < 1e-17) break;
  }
  return (Math.PI / (2 * a)) * (1 - sum / 2);
}

/** Excess length of a wave of raised cosine whose steepest slope is p. */
const excessOf = (p: number): number =>
  (2 / Math.PI) * Math.sqrt(1 + p * p) * ellipticE((p * p) / (1 + p * p)) - 1;

/**
 * The slope p of a fold with an excess, by a fit of the exact relation.
 * @source model A3: relative error at most 2.2e-5 up to an excess of 1
 */
export const slopeQuick = (e: number): number =>
  Math.sqrt((4 * e * (1 + 1.75102549 * e + 0.63327526 * e * e)) / (1 + 1.00156381 * e));

const MOST_EXCESS = 4;

/**
 * The steepest slope of a fold that takes up an excess of film over its base, exact.
 * @param e excess as a share of the base
 * @throws CoreError CURVED_RANGE when it is below nothing or over four
 * @source 1 + e = (2/π) √(1 + p²) E(p²/(1 + p²)), length of a cosine wave (closed form)
 */
export function slopeOfFold(e: number): number {
  if (!(e >= 0 && e <= MOST_EXCESS))
    throw new CoreError('CURVED_RANGE', { path: 'e', expected: `0 to ${MOST_EXCESS}`, got: String(e) });
  let p = slopeQuick(e);
  for (let round = 0; round < 40; round += 1) {
    const step = 1e-6 * Math.max(p, 1e-3);
    const slope = (excessOf(p + step) - excessOf(p - step)) / (2 * step);
    const next = p - (excessOf(p) - e) / slope;
    const moved = Math.abs(next - p);
    p = next;
    if (moved <= 1e-14 * Math.max(1, p)) break;
  }
  return p;
}

/** Height of a fold of so much surplus on such a base, mm. */
export function foldHeight(base_mm: number, surplus_mm: number): number {
  return surplus_mm <= 0 ? 0 : (slopeOfFold(surplus_mm / base_mm) * base_mm) / Math.PI;
}

export interface Folds {
  readonly count: number;
  readonly base_mm: number;
  readonly surplus_mm: number;
  readonly height_mm: number;
  /** Shrink asked of the film in a fold; it hangs on the free share, not on the count. */
  readonly localStrain: number;
}

/**
 * How many folds of equal share, so that none is higher than it may be: by the rule for low waves, each then
 * exact.
 * @param width_mm of the edge; free: share of it that is not stuck down between the folds
 * @source h ≈ (2/π) √(b s), then exact (model A1); the height a film bears and the free share are our guess
 */
export function foldsFor(surplus_mm: number, width_mm: number, most_mm: number, free: number): Folds {
  if (surplus_mm <= 0)
    return { ...equalFolds(surplus_mm, free * width_mm, 1), count: 0, height_mm: 0, localStrain: 0 };
  const count = Math.ceil(((2 / Math.PI) * Math.sqrt(free * width_mm * surplus_mm)) / most_mm);
  return equalFolds(surplus_mm, free * width_mm, count);
}

/** So many folds that share a surplus equally over what is free of the edge. */
export function equalFolds(surplus_mm: number, free_mm: number, count: number): Folds {
  const [base_mm, own] = [free_mm / count, surplus_mm / count];
  return {
    count,
    base_mm,
    surplus_mm: own,
    height_mm: foldHeight(base_mm, own),
    localStrain: own / (base_mm + own),
  };
}
