import { barRelaxation } from '../bounds/bar-relaxation';
import { leastLength } from '../bounds/width-bound';
import { packingProblem } from './packing-problem';
import type { LayoutPiece, LayoutPlan, LayoutRequest, PlacedPiece } from './layout-plan';
import { type Formula, GEOMETRY, type Reasoned, applyFormula } from '../../quantity';

interface Sums {
  readonly area_mm2: number;
  readonly rollWidth_mm: number;
  readonly length_mm: number;
  readonly longest_mm: number;
  readonly sideBySide_mm: number;
  readonly patterns_mm: number;
}

const AREA = { word: 'area of all blanks', unit: 'mm²' };
const ROLL = { word: 'roll width', unit: 'mm' };

const LENGTH: Formula<{ end_mm: number }> = {
  id: 'cutting.lengthUsed',
  word: 'length used',
  says: 'L = where the last strip ends',
  unit: 'mm',
  source: GEOMETRY,
  inputs: { end_mm: { word: 'end of the last strip', unit: 'mm' } },
  of: ({ end_mm }) => end_mm,
};
const BOUND: Formula<
  Pick<Sums, 'area_mm2' | 'rollWidth_mm' | 'longest_mm' | 'sideBySide_mm' | 'patterns_mm'>
> = {
  id: 'cutting.lengthBound',
  word: 'nothing can use less than',
  says: 'B = the largest of area ÷ roll width, the longest piece, what cannot lie side by side, and the best mixture of slices across the roll',
  unit: 'mm',
  source: GEOMETRY,
  inputs: {
    area_mm2: AREA,
    rollWidth_mm: ROLL,
    longest_mm: { word: 'shortest way any one piece can lie, longest of all', unit: 'mm' },
    sideBySide_mm: { word: 'pieces too wide to lie side by side (dual feasible functions)', unit: 'mm' },
    patterns_mm: { word: 'best mixture of slices across the roll (linear programme)', unit: 'mm' },
  },
  of: ({ area_mm2, rollWidth_mm, longest_mm, sideBySide_mm, patterns_mm }) =>
    Math.max(area_mm2 / rollWidth_mm, longest_mm, sideBySide_mm, patterns_mm),
};
const WASTE: Formula<Pick<Sums, 'area_mm2' | 'rollWidth_mm' | 'length_mm'>> = {
  id: 'cutting.waste',
  word: 'waste',
  says: 'w = 1 − area ÷ (roll width · length used)',
  unit: 'share',
  source: GEOMETRY,
  inputs: { area_mm2: AREA, rollWidth_mm: ROLL, length_mm: { word: 'length used', unit: 'mm' } },
  of: ({ area_mm2, rollWidth_mm, length_mm }) =>
    length_mm === 0 ? 0 : 1 - area_mm2 / (rollWidth_mm * length_mm),
};

export const LAYOUT_FORMULAS = { length: LENGTH, bound: BOUND, waste: WASTE } as const;

/**
 * What no layout of a request can go below, with the prices and turnings of the combination that shows it.
 */
export interface LengthBound {
  readonly bound_mm: Reasoned<number>;
  readonly prices: readonly number[] | undefined;
  readonly turned: readonly number[] | undefined;
}

/** Length that no layout of any sort can go below.
 *  @param isQuick without the combination of slices: at once, a little lower
 *  @source area; dual feasible functions; the bar relaxation, all valid for cutting by hand and by plotter */
export function lengthBound(request: LayoutRequest, isQuick = false): LengthBound {
  const { rollWidth_mm, pieces } = request;
  const area_mm2 = pieces.reduce((sum, piece) => sum + piece.across_mm * piece.along_mm, 0);
  const longest_mm = pieces.reduce(
    (longest, piece) => Math.max(longest, shortestOrientation(piece, rollWidth_mm)),
    0,
  );
  const problem = packingProblem(request);
  const patterns = isQuick || pieces.length === 0 ? undefined : barRelaxation(problem);
  const step = applyFormula(BOUND, {
    area_mm2,
    rollWidth_mm,
    longest_mm,
    sideBySide_mm: pieces.length === 0 ? 0 : leastLength(problem) * problem.alongStep_mm,
    patterns_mm: patterns === undefined ? 0 : Math.ceil(patterns.bound - 1e-6) * problem.alongStep_mm,
  });
  return { bound_mm: { value: step.value, why: [step] }, prices: patterns?.prices, turned: patterns?.turned };
}

/** Length, bound and waste of pieces already placed. */
export function layoutSums(
  { rollWidth_mm, pieces }: LayoutRequest,
  placed: readonly PlacedPiece[],
  { bound_mm }: Pick<LengthBound, 'bound_mm'>,
): Pick<LayoutPlan, 'length_mm' | 'bound_mm' | 'waste_share'> {
  const area_mm2 = pieces.reduce((sum, piece) => sum + piece.across_mm * piece.along_mm, 0);
  const length = applyFormula(LENGTH, {
    end_mm: placed.reduce((end, piece) => Math.max(end, piece.y_mm + piece.along_mm), 0),
  });
  const waste = applyFormula(WASTE, { area_mm2, rollWidth_mm, length_mm: length.value });
  return {
    length_mm: { value: length.value, why: [length] },
    bound_mm,
    waste_share: { value: waste.value, why: [waste] },
  };
}

function shortestOrientation(piece: LayoutPiece, rollWidth_mm: number): number {
  return piece.mayTurn90 && piece.along_mm <= rollWidth_mm
    ? Math.min(
        piece.along_mm,
        piece.across_mm <= rollWidth_mm ? piece.along_mm : piece.across_mm,
        piece.across_mm,
      )
    : piece.along_mm;
}
