import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import normalPdf from '@stdlib/stats-base-dists-normal-pdf';
import { type Formula, type Reasoned, reasonedBy } from '../../quantity';

/** Two strokes each stray by so much (one standard deviation): apart from each other by √2 of it. */
export const apart = (wander: number): number => Math.SQRT2 * wander;

/** Chance that a line is left at a place of a joint between two strokes. @source model 1.2, closed form */
export const lineChance = (overlap: number, wander: number): number =>
  normalCdf(-overlap / apart(wander), 0, 1);

/** Mean width of the strip that is left, in the unit of both. */
export function lineWidth(overlap: number, wander: number): number {
  const z = overlap / apart(wander);
  return apart(wander) * (normalPdf(z, 0, 1) - z * normalCdf(-z, 0, 1));
}

/** A soft blade presses less at each end, mm: our guess. */
const SOFT_END_MM = 5;

export const LAP_FORMULAS = {
  lap: {
    id: 'strokes.lap',
    word: 'how far strokes lap',
    says: 'o = 3.3 · s + 2 · 5 mm: a line at one place in a hundred, and the soft ends of both blades',
    unit: 'mm',
    source: {
      kind: 'our guess',
      text: 'chance of a line: closed form; the soft ends of a blade: our guess; 30 to 50 % of the blade is the custom',
    },
    inputs: {
      wander_mm: { word: 'how far the hand strays, one standard deviation', unit: 'mm' },
      soft_mm: { word: 'soft end of a blade', unit: 'mm' },
    },
    of: ({ wander_mm, soft_mm }) => 3.3 * wander_mm + 2 * soft_mm,
  } satisfies Formula<{ readonly wander_mm: number; readonly soft_mm: number }>,
  line: {
    id: 'strokes.line',
    word: 'chance of a line at a place of a joint',
    says: 'P = Φ(−(o − 2 · 5 mm) ÷ (√2 · s))',
    unit: 'share',
    source: { kind: 'geometry', text: 'two strokes stray by themselves, each as a normal deviate' },
    inputs: {
      overlap_mm: { word: 'how far strokes lap', unit: 'mm' },
      wander_mm: { word: 'how far the hand strays, one standard deviation', unit: 'mm' },
      soft_mm: { word: 'soft end of a blade', unit: 'mm' },
    },
    of: ({ overlap_mm, wander_mm, soft_mm }) => lineChance(overlap_mm - 2 * soft_mm, wander_mm),
  } satisfies Formula<{ readonly overlap_mm: number; readonly wander_mm: number; readonly soft_mm: number }>,
} as const;

/** How far the strokes of a hand must lap. */
export function lapFor(wander_mm: number): Reasoned<number> {
  return reasonedBy(LAP_FORMULAS.lap, { wander_mm, soft_mm: SOFT_END_MM });
}

export function lineChanceBy(overlap_mm: number, wander_mm: number): Reasoned<number> {
  return reasonedBy(LAP_FORMULAS.line, { overlap_mm, wander_mm, soft_mm: SOFT_END_MM });
}
