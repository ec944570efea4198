import { type PrivacyClass, privacyClass } from './contrast';

/** Smallest gap an eye tells from none. @source 1 arc minute, from memory */
const RESOLVED_RAD = 0.3e-3;
/** Through wider clear openings a moving eye pieces the scene together. @source own judgement */
const OPEN_MM = 20;

/**
 * Whether the clear openings of a pattern are seen as such from a distance.
 * @param gap_mm, distance_mm > 0
 */
export function isResolved(gap_mm: number, distance_mm: number): boolean {
  return gap_mm / distance_mm > RESOLVED_RAD;
}

/**
 * Privacy of a patterned film: that of its openings when one is wide enough to look through, otherwise at
 * least `reduced` by how much is covered.
 * @param coverage share covered, 0..1
 * @param opening_mm widest clear opening; null = not known
 * @param covered class of the covered share,
 * @param open class of bare glass in the same scene
 * @param kept contrast left over the whole pattern: never better than what that says
 */
export function patternClass(
  coverage: number,
  opening_mm: number | null,
  covered: PrivacyClass,
  open: PrivacyClass,
  kept: number,
): PrivacyClass {
  if (coverage >= 1) return covered;
  if (open !== 'open' && open !== 'reduced') return open;
  if (opening_mm === null || opening_mm > OPEN_MM) return open;
  return least(
    privacyClass(kept),
    coverage >= 0.7 && opening_mm <= OPEN_MM / 2 ? least(covered, 'outline') : least(covered, 'reduced'),
  );
}

const ORDER: readonly PrivacyClass[] = ['open', 'reduced', 'outline', 'faint', 'hidden'];
const least = (a: PrivacyClass, b: PrivacyClass): PrivacyClass =>
  ORDER.indexOf(a) < ORDER.indexOf(b) ? a : b;

/**
 * Share of light a body blocks behind a scattering film: what a shadow on frost looks like.
 * @param radius_mm of the body
 * @param behind_mm from the film
 * @param spread_deg standard deviation of the scattering
 * @source Gaussian blur of a disc, closed form
 */
export function shadowDepth(radius_mm: number, behind_mm: number, spread_deg: number): number {
  const blur = behind_mm * Math.tan((spread_deg * Math.PI) / 180);
  return blur <= 0 ? 1 : 1 - Math.exp(-(radius_mm ** 2) / (2 * blur ** 2));
}
