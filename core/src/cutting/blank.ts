import type { CutMethod, FilmDirection } from '../job';
import { CoreError, type Formula, GEOMETRY, type Reasoned, type Source, applyFormula } from '../quantity';
import { allowanceFor } from './allowances';

export interface BlankInput {
  /** Smallest rectangle around the pane with its top edge level, mm. */
  readonly aroundWidth_mm: number;
  readonly aroundHeight_mm: number;
  readonly method: CutMethod;
  readonly direction: FilmDirection;
}

/** A rectangle to cut: width along the surface's top, height down it. Rounded up to 0.1 mm, never down. */
export interface Blank {
  readonly width_mm: Reasoned<number>;
  readonly height_mm: Reasoned<number>;
  readonly reason: string;
  readonly source: Source;
  readonly factoryEdge: 'at the top' | 'at one side' | 'none';
  /** May lie across or along the roll. Grain and pictures may not. */
  readonly mayTurn90: boolean;
  readonly mayTurn180: boolean;
  /** Of all that shaped it; the same inputs give the same hash. */
  readonly inputsHash: string;
}

interface SideSum {
  readonly size_mm: number;
  readonly first_mm: number;
  readonly second_mm: number;
}

const TENTH_MM = 0.1;
const ROUNDING_SLACK = 1e-6;
const upToTenth = (value_mm: number): number => Math.ceil(value_mm / TENTH_MM - ROUNDING_SLACK) / 10;

const WIDTH: Formula<SideSum> = {
  id: 'cutting.blankWidth', word: 'blank width', says: 'W = width around the pane + left + right, rounded up to 0.1 mm', unit: 'mm', source: GEOMETRY,
  inputs: { size_mm: { word: 'width around the pane', unit: 'mm' }, first_mm: { word: 'over on the left', unit: 'mm' }, second_mm: { word: 'over on the right', unit: 'mm' } },
  of: ({ size_mm, first_mm, second_mm }) => upToTenth(size_mm + first_mm + second_mm),
};

const HEIGHT: Formula<SideSum> = {
  id: 'cutting.blankHeight', word: 'blank height', says: 'H = height around the pane + top + bottom, rounded up to 0.1 mm', unit: 'mm', source: GEOMETRY,
  inputs: { size_mm: { word: 'height around the pane', unit: 'mm' }, first_mm: { word: 'over at the top', unit: 'mm' }, second_mm: { word: 'over at the bottom', unit: 'mm' } },
  of: ({ size_mm, first_mm, second_mm }) => upToTenth(size_mm + first_mm + second_mm),
};

export const BLANK_FORMULAS = { width: WIDTH, height: HEIGHT } as const;

const LARGEST_MM = 100_000;

/** The blank of one flat surface.
 *  @throws CoreError CUTTING_BLANK_RANGE when a side is not within 1 mm to 100 m
 *  @source the allowance table (common practice, no published source); the sum is plane geometry
 *  @example 1182 × 2143 mm, trim in place → 1232 × 2193 mm */
export function blankFor(input: BlankInput): Blank {
  const { aroundWidth_mm, aroundHeight_mm, method, direction } = input;
  refuseRange('aroundWidth_mm', aroundWidth_mm);
  refuseRange('aroundHeight_mm', aroundHeight_mm);
  const allowance = allowanceFor(method);
  const sum = (formula: Formula<SideSum>, sides: SideSum): Reasoned<number> => {
    const step = applyFormula(formula, sides, { remark: allowance.reason, source: allowance.source });
    return { value: step.value, why: [step] };
  };
  return {
    width_mm: sum(WIDTH, { size_mm: aroundWidth_mm, first_mm: allowance.left_mm, second_mm: allowance.right_mm }),
    height_mm: sum(HEIGHT, { size_mm: aroundHeight_mm, first_mm: allowance.top_mm, second_mm: allowance.bottom_mm }),
    reason: allowance.reason,
    source: allowance.source,
    factoryEdge: allowance.factoryEdge,
    mayTurn90: direction === 'none',
    mayTurn180: direction !== 'one way',
    inputsHash: hashText([aroundWidth_mm.toFixed(3), aroundHeight_mm.toFixed(3), method, direction].join('|')),
  };
}

function refuseRange(path: string, value_mm: number): void {
  if (!(value_mm >= 1 && value_mm <= LARGEST_MM)) throw new CoreError('CUTTING_BLANK_RANGE', { path, expected: `1 to ${LARGEST_MM} mm`, got: String(value_mm) });
}

/** @source FNV-1a, 32 bit (from memory) */
function hashText(text: string): string {
  let hash = 0x811c9dc5;
  for (const letter of text) hash = Math.imul(hash ^ (letter.codePointAt(0) ?? 0), 0x01000193) >>> 0;
  return hash.toString(16).padStart(8, '0');
}
