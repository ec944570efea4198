import type { SurfaceShape } from '../job';
import { type Formula, GEOMETRY, type Reasoned, type Source, applyFormula } from '../quantity';
import { type Outline, type Point, areaOf, outlineBounds, perimeterOf } from './outline';
import { largestInside, leastAround } from './rectangles';

/** Every size a surface can have, in the order they are shown. */
export const SIZE_WORDS = {
  outOfSquare_mm: { word: 'out of square', dimension: 'length' },
  outOfRound_mm: { word: 'out of round', dimension: 'length' },
  offLevel_mm: { word: 'top edge off level', dimension: 'length' },
  area_mm2: { word: 'area', dimension: 'area' },
  openings_mm2: { word: 'openings taken off', dimension: 'area' },
  netArea_mm2: { word: 'area to film', dimension: 'area' },
  perimeter_mm: { word: 'edge to work along', dimension: 'length' },
  diameter_mm: { word: 'diameter', dimension: 'length' },
  radius_mm: { word: 'radius', dimension: 'length' },
  taper_mm: { word: 'taper, diameter lost from foot to top', dimension: 'length' },
  aroundWidth_mm: { word: 'rectangle around, width', dimension: 'length' },
  aroundHeight_mm: { word: 'rectangle around, height', dimension: 'length' },
  leastWidth_mm: { word: 'least rectangle around, width', dimension: 'length' },
  leastHeight_mm: { word: 'least rectangle around, height', dimension: 'length' },
  insideWidth_mm: { word: 'largest rectangle inside, width', dimension: 'length' },
  insideHeight_mm: { word: 'largest rectangle inside, height', dimension: 'length' },
  girthWidth_mm: { word: 'film girth across', dimension: 'length' },
  girthHeight_mm: { word: 'film girth down', dimension: 'length' },
  greatestSag_mm: { word: 'stands out at most', dimension: 'length' },
  surplusTop_mm: { word: 'film too long at the top', dimension: 'length' },
  surplusBottom_mm: { word: 'film too long at the bottom', dimension: 'length' },
  fitResidual_mm: { word: 'patch fits the sags within', dimension: 'length' },
} as const;

/** What is said otherwise of film that goes round a column. */
const OF_COLUMN: Readonly<Partial<Record<SizeKey, string>>> = {
  area_mm2: 'area to film',
  aroundWidth_mm: 'film laid flat, width',
  aroundHeight_mm: 'film laid flat, height',
  girthWidth_mm: 'film round the column',
};

/** The word for a size of such a shape. */
export function sizeWord(key: SizeKey, shape: SurfaceShape): string {
  const isColumn = shape === 'round column' || shape === 'square column';
  return (isColumn ? OF_COLUMN[key] : undefined) ?? SIZE_WORDS[key].word;
}

export type SizeKey = keyof typeof SIZE_WORDS;
export type Sizes = Readonly<Partial<Record<SizeKey, Reasoned<number>>>> &
  Readonly<Record<'area_mm2' | 'perimeter_mm' | 'aroundWidth_mm' | 'aroundHeight_mm', Reasoned<number>>>;

/** Corner coordinates as formula inputs: x1, y1, x2, … in mm, y downwards. */
type CornerInputs = Readonly<Record<string, number>>;

function cornerInputs(outline: Outline): CornerInputs {
  return Object.fromEntries(
    outline.flatMap(({ x, y }, index) => [
      [`x${index + 1}`, x],
      [`y${index + 1}`, y],
    ]),
  );
}

const cornersOf = (inputs: CornerInputs): Outline => {
  const corners: Point[] = [];
  for (let n = 1; inputs[`x${n}`] !== undefined; n += 1)
    corners.push({ x: inputs[`x${n}`] ?? Number.NaN, y: inputs[`y${n}`] ?? Number.NaN });
  return corners;
};

const FOUR = ['top left', 'top right', 'bottom right', 'bottom left'];
const cornerWords = (count: number): Record<string, { readonly word: string; readonly unit: string }> =>
  Object.fromEntries(
    Array.from({ length: count }, (_, index) =>
      count === 4 ? (FOUR[index] ?? '') : `corner ${index + 1}`,
    ).flatMap((word, index) => [
      [`x${index + 1}`, { word: `${word}, across`, unit: 'mm' }],
      [`y${index + 1}`, { word: `${word}, down`, unit: 'mm' }],
    ]),
  );

interface OutlineFormula {
  readonly id: string;
  readonly word: string;
  readonly says: string;
  readonly unit: string;
  readonly of: (outline: Outline) => number;
  readonly source?: Source;
}

/**
 * A formula for any number of corners, with its body on the corners themselves for the law of propagation.
 */
interface OutlineSize {
  readonly forCorners: (count: number) => Formula<CornerInputs>;
  readonly of: (outline: Outline) => number;
}

function outlineFormula({ id, word, says, unit, of, source = GEOMETRY }: OutlineFormula): OutlineSize {
  return {
    of,
    forCorners: (count) => ({
      id,
      word,
      says,
      unit,
      source,
      inputs: cornerWords(count),
      of: (inputs) => of(cornersOf(inputs)),
    }),
  };
}

export const SIZE_FORMULAS = {
  area: outlineFormula({
    id: 'measure.area',
    word: 'area',
    says: 'A = ½ · |Σ (xᵢ·yᵢ₊₁ − xᵢ₊₁·yᵢ)|',
    unit: 'mm²',
    of: (outline) => Math.abs(areaOf(outline)),
  }),
  perimeter: outlineFormula({
    id: 'measure.perimeter',
    word: 'edge to work along',
    says: 'P = the side lengths added',
    unit: 'mm',
    of: perimeterOf,
  }),
  outOfSquare: outlineFormula({
    id: 'measure.outOfSquare',
    word: 'out of square',
    says: 'gap under a try square at the worst corner: shorter side · |cos of the corner angle|',
    unit: 'mm',
    of: worstSquareGap,
  }),
  aroundWidth: outlineFormula({
    id: 'measure.aroundWidth',
    word: 'width of the rectangle around',
    says: 'largest minus smallest distance across, top edge level',
    unit: 'mm',
    of: (outline) => outlineBounds(outline).width,
  }),
  aroundHeight: outlineFormula({
    id: 'measure.aroundHeight',
    word: 'height of the rectangle around',
    says: 'largest minus smallest distance down, top edge level',
    unit: 'mm',
    of: (outline) => outlineBounds(outline).height,
  }),
  leastWidth: outlineFormula({
    id: 'measure.leastWidth',
    word: 'width of the least rectangle around',
    says: 'the rectangle of least area lies along one side of the figure',
    unit: 'mm',
    of: (outline) => leastAround(outline).width,
  }),
  leastHeight: outlineFormula({
    id: 'measure.leastHeight',
    word: 'height of the least rectangle around',
    says: 'the rectangle of least area lies along one side of the figure',
    unit: 'mm',
    of: (outline) => leastAround(outline).height,
  }),
  insideWidth: outlineFormula({
    id: 'measure.insideWidth',
    word: 'width of the largest rectangle inside',
    says: 'most area between two cross-sections, top edge level',
    unit: 'mm',
    of: (outline) => largestInside(outline)?.width ?? Number.NaN,
  }),
  insideHeight: outlineFormula({
    id: 'measure.insideHeight',
    word: 'height of the largest rectangle inside',
    says: 'most area between two cross-sections, top edge level',
    unit: 'mm',
    of: (outline) => largestInside(outline)?.height ?? Number.NaN,
  }),
} as const;

function worstSquareGap(outline: Outline): number {
  return Math.max(
    ...outline.map((corner, index) => {
      const one = outline[(index + 1) % outline.length] ?? corner;
      const other = outline[(index + outline.length - 1) % outline.length] ?? corner;
      const [ux, uy, vx, vy] = [one.x - corner.x, one.y - corner.y, other.x - corner.x, other.y - corner.y];
      const [u, v] = [Math.hypot(ux, uy), Math.hypot(vx, vy)];
      return (Math.min(u, v) * Math.abs(ux * vx + uy * vy)) / (u * v);
    }),
  );
}

export type SpreadFinder = (sizeOf: (outline: Outline) => number) => number;

/** Applies one outline formula, with its spread when the network gives one. */
export function sizeOf(
  { forCorners, of }: OutlineSize,
  outline: Outline,
  spread?: SpreadFinder,
  remark?: string,
): Reasoned<number> {
  const plusMinus = spread?.(of);
  const step = applyFormula(forCorners(outline.length), cornerInputs(outline), {
    ...(remark === undefined ? {} : { remark }),
    ...(plusMinus === undefined || !Number.isFinite(plusMinus)
      ? {}
      : { uncertainty: { plusMinus, says: 'one standard deviation, from the accuracy of the measures' } }),
  });
  return { value: step.value, why: [step] };
}

/** The sizes every straight-sided figure has. */
export function straightSizes(
  outline: Outline,
  spread: SpreadFinder | undefined,
  remark: string | undefined,
): Sizes {
  const size = (which: OutlineSize): Reasoned<number> => sizeOf(which, outline, spread, remark);
  return {
    ...(outline.length === 4 ? { outOfSquare_mm: size(SIZE_FORMULAS.outOfSquare) } : {}),
    area_mm2: size(SIZE_FORMULAS.area),
    perimeter_mm: size(SIZE_FORMULAS.perimeter),
    aroundWidth_mm: size(SIZE_FORMULAS.aroundWidth),
    aroundHeight_mm: size(SIZE_FORMULAS.aroundHeight),
  };
}

/** A rectangle this close to the one around it says nothing new. */
const SAME_SHARE = 0.997;

/**
 * Rectangles in and around a figure: worth their time for the one surface looked at, and only where they say
 * something new.
 */
export function rectangleSizes(outline: Outline): Partial<Sizes> {
  const bounds = outlineBounds(outline);
  const inside = largestInside(outline);
  const least = leastAround(outline);
  const isTighter = least.width * least.height < bounds.width * bounds.height * 0.999;
  return {
    ...(isTighter
      ? {
          leastWidth_mm: sizeOf(SIZE_FORMULAS.leastWidth, outline),
          leastHeight_mm: sizeOf(SIZE_FORMULAS.leastHeight, outline),
        }
      : {}),
    ...(inside === undefined || inside.width * inside.height > SAME_SHARE * bounds.width * bounds.height
      ? {}
      : {
          insideWidth_mm: sizeOf(SIZE_FORMULAS.insideWidth, outline),
          insideHeight_mm: sizeOf(SIZE_FORMULAS.insideHeight, outline),
        }),
  };
}
