import type { EdgeFinish, PaneTreatment } from '../job';
import type { Source } from '../quantity';

/** What the edge of a pane bears, at 8 breakages in 1,000 panes. Schools differ: both ends are kept. */
export interface Allowable {
  readonly low_MPa: number;
  readonly high_MPa: number;
  readonly source: Source;
}

const ANNEALED: Source = {
  kind: 'from memory',
  text: 'low: ASTM E1300 edge 16.6 MPa × 60-minute factor 0.64; high: 17.7 (Japanese) to 20 MPa (French); at 8 in 1,000 (from memory)',
};
const TEMPERED: Source = {
  kind: 'from memory',
  text: 'ASTM E1300 edge 36.5 / 73.0 MPa × 0.64; EN 1863 bears 100 K, EN 12150 200 K (from memory)',
};
const LAMINATED: Source = { kind: 'our guess', text: 'as its plies, edge less good; own judgement' };
const THICK_MM = 14;

/**
 * Edge tension a pane bears.
 * @returns undefined where there is no number: wired, patterned, damaged or unknown glass is for the glass
 * maker to answer
 * @param finish an edge nobody has seen takes the low end
 */
export function allowableOf(
  treatment: PaneTreatment,
  thickness_mm: number,
  finish: EdgeFinish,
): Allowable | undefined {
  if (finish === 'damaged') return undefined;
  const isUnseen = finish === 'unseen' || finish === 'unknown';
  const of = (low: number, high: number, source: Source): Allowable => ({
    low_MPa: low,
    high_MPa: isUnseen ? low : high,
    source,
  });
  switch (treatment) {
    case 'annealed':
      return thickness_mm > THICK_MM
        ? of(9, 14.7, ANNEALED)
        : of(10.6, finish === 'polished' ? 20 : 17.7, ANNEALED);
    case 'laminated':
      return of(9, 17, LAMINATED);
    case 'heat strengthened':
      return of(23, 36, TEMPERED);
    case 'toughened':
      return of(47, 73, TEMPERED);
    case 'wired':
    case 'patterned':
    case 'acrylic':
    case 'polycarbonate':
    case 'unknown':
      return undefined;
  }
}

const REFERENCE_EDGE_M = 4;
/** A longer edge has more places to begin. @source Weibull length effect, exponent own judgement */
export function edgeLengthFactor(edge_m: number): number {
  return edge_m <= REFERENCE_EDGE_M ? 1 : (REFERENCE_EDGE_M / edge_m) ** (1 / 7);
}
