import { bessel, cylinderRoots, cylinderWeight } from '../cylinder';

/** The series the warming of a roll is taken from, whole: against the textbook's table. */

/** Temperature left over in a long cylinder, as a share of the first difference.
 *  @param radius share of the outer radius, 0..1 */
export function cylinderLeft(biot: number, fourier: number, radius: number): number {
  return cylinderRoots(biot).reduce(
    (sum, root) => sum + cylinderWeight(root) * Math.exp(-root * root * fourier) * bessel(0, root * radius),
    0,
  );
}
