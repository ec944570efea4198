import { type PrivacyClass, privacyClass } from './contrast';

/** Through wider clear openings a moving eye pieces the scene together. @source own judgement */
const OPEN_MM = 20;

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
