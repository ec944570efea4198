import { type Formula, GEOMETRY, type Reasoned, applyFormula, upToTenth } from '../quantity';
import type { SectorMarks } from '../job';

interface SectorInput {
  /** Girths and upright height of a round column. */
  readonly foot_mm: number;
  readonly top_mm: number;
  readonly height_mm: number;
  readonly lap_mm: number;
  /** Over at each end. */
  readonly over_mm: number;
}

/** The film of a tapered column: a ring sector, its narrow end at the top. */
export interface SectorBlank {
  readonly inner_mm: Reasoned<number>;
  readonly outer_mm: Reasoned<number>;
  readonly angle_rad: Reasoned<number>;
  /** As it is marked out on the table: ends included. */
  readonly cut: SectorMarks;
  /** The rectangle it is cut from. */
  readonly width_mm: number;
  readonly height_mm: number;
  /** Corners from the upper left, clockwise, mm; the arcs in short straight pieces. */
  readonly outline: readonly { readonly x: number; readonly y: number }[];
}

interface Girths {
  readonly wide_mm: number;
  readonly narrow_mm: number;
  readonly height_mm: number;
}
const GIRTHS = {
  wide_mm: { word: 'larger girth', unit: 'mm' },
  narrow_mm: { word: 'smaller girth', unit: 'mm' },
  height_mm: { word: 'upright height', unit: 'mm' },
} as const;
const slant = ({ wide_mm, narrow_mm, height_mm }: Girths): number =>
  Math.hypot(height_mm, (wide_mm - narrow_mm) / (2 * Math.PI));

export const SECTOR_FORMULAS = {
  outer: {
    id: 'cutting.sectorOuter',
    word: 'outer radius',
    says: 'R = C₁ · s ÷ (C₁ − C₂), s = slant height',
    unit: 'mm',
    source: GEOMETRY,
    inputs: GIRTHS,
    of: (own) => (own.wide_mm * slant(own)) / (own.wide_mm - own.narrow_mm),
  } satisfies Formula<Girths>,
  inner: {
    id: 'cutting.sectorInner',
    word: 'inner radius',
    says: 'r = R − s',
    unit: 'mm',
    source: GEOMETRY,
    inputs: GIRTHS,
    of: (own) => (own.narrow_mm * slant(own)) / (own.wide_mm - own.narrow_mm),
  } satisfies Formula<Girths>,
  angle: {
    id: 'cutting.sectorAngle',
    word: 'angle of the sector',
    says: 'θ = (C₁ + lap) ÷ R',
    unit: 'rad',
    source: GEOMETRY,
    inputs: {
      wide_mm: { word: 'larger girth', unit: 'mm' },
      lap_mm: { word: 'lap', unit: 'mm' },
      outer_mm: { word: 'outer radius', unit: 'mm' },
    },
    of: ({ wide_mm, lap_mm, outer_mm }) => (wide_mm + lap_mm) / outer_mm,
  } satisfies Formula<{ readonly wide_mm: number; readonly lap_mm: number; readonly outer_mm: number }>,
} as const;

const ARC_SIDES = 48;

/** The blank of a tapered column, its ends longer by `over_mm` and its side by the lap.
 *  @returns undefined when it hardly tapers: cut it as a rectangle @source development of a cone frustum */
export function sectorBlank({
  foot_mm,
  top_mm,
  height_mm,
  lap_mm,
  over_mm,
}: SectorInput): SectorBlank | undefined {
  if (Math.abs(foot_mm - top_mm) < 0.5) return undefined;
  const girths = { wide_mm: Math.max(foot_mm, top_mm), narrow_mm: Math.min(foot_mm, top_mm), height_mm };
  const outerStep = applyFormula(SECTOR_FORMULAS.outer, girths);
  const innerStep = applyFormula(SECTOR_FORMULAS.inner, girths);
  const { wide_mm } = girths;
  const angleStep = applyFormula(SECTOR_FORMULAS.angle, { wide_mm, lap_mm, outer_mm: outerStep.value });
  const [outer, inner, angle] = [outerStep.value + over_mm, innerStep.value - over_mm, angleStep.value];
  const half = angle / 2;
  const widest = half >= Math.PI / 2 ? outer : outer * Math.sin(half);
  const top = half >= Math.PI / 2 ? outer * Math.cos(half) : inner * Math.cos(half);
  const at = (radius: number, share: number): { readonly x: number; readonly y: number } => ({
    x: widest + radius * Math.sin(-half + share * angle),
    y: radius * Math.cos(-half + share * angle) - top,
  });
  const shares = Array.from({ length: ARC_SIDES + 1 }, (_, index) => index / ARC_SIDES);
  const upright = [
    ...shares.map((share) => at(inner, share)),
    ...[...shares].reverse().map((share) => at(outer, share)),
  ];
  const height = upToTenth(outer - top);
  const outline = foot_mm >= top_mm ? upright : upright.map(({ x, y }) => ({ x, y: height - y }));
  return {
    inner_mm: { value: innerStep.value, why: [innerStep] },
    outer_mm: { value: outerStep.value, why: [outerStep] },
    angle_rad: { value: angle, why: [outerStep, angleStep] },
    cut: { inner_mm: inner, outer_mm: outer, angle_rad: angle },
    width_mm: upToTenth(2 * widest),
    height_mm: height,
    outline,
  };
}
