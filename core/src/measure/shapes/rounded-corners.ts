import { type Formula, GEOMETRY, applyFormula } from '../../quantity';
import type { MeasureSlot } from '../measure-slot';
import type { Outline, Point } from '../outline';
import type { Sizes } from '../sizes';
import type { SurfaceCheck } from '../surface-check';
import { FOUR_CORNERS, FOUR_SIDE_SLOTS, checkFourSides } from './four-sides';
import type { ShapeMeasure, SurfaceInput } from './shape';

const WORDS = { tl: 'upper left', tr: 'upper right', br: 'lower right', bl: 'lower left' } as const;
const RADIUS_SLOTS: readonly MeasureSlot[] = FOUR_CORNERS.map((corner, index) => ({
  key: `radius-${corner}`,
  kind: 'radius',
  from: corner,
  to: corner,
  word: `radius ${WORDS[corner]}`,
  group: 'curve',
  lies: 'beside',
  how: 'From the corner of two straight edges laid along the sides to where the glass begins to leave one of them. One radius stands for all until another is given.',
  ...(index === 0 ? {} : { isExtra: true as const }),
}));

interface Rounding {
  readonly sharp: number;
  readonly lost: number;
}

export const ROUNDED_FORMULAS = {
  area: {
    id: 'measure.roundedArea',
    word: 'area with rounded corners',
    says: 'A = area with sharp corners − Σ r²·(cot(θ/2) − (π − θ)/2)',
    unit: 'mm²',
    source: GEOMETRY,
    inputs: {
      sharp: { word: 'area with sharp corners', unit: 'mm²' },
      lost: { word: 'lost at the corners', unit: 'mm²' },
    },
    of: ({ sharp, lost }) => sharp - lost,
  } satisfies Formula<Rounding>,
  edge: {
    id: 'measure.roundedEdge',
    word: 'edge to work along',
    says: 'P = sharp edge − Σ r·(2·cot(θ/2) − (π − θ))',
    unit: 'mm',
    source: GEOMETRY,
    inputs: {
      sharp: { word: 'edge with sharp corners', unit: 'mm' },
      lost: { word: 'saved at the corners', unit: 'mm' },
    },
    of: ({ sharp, lost }) => sharp - lost,
  } satisfies Formula<Rounding>,
} as const;

/** A four-sided pane whose corners are rounded, each by its own radius. */
export const roundedCorners: ShapeMeasure = {
  slots: () => [...FOUR_SIDE_SLOTS, ...RADIUS_SLOTS],
  check: checkRounded,
};

function checkRounded({ readings, determinedWithin_mm }: SurfaceInput): SurfaceCheck {
  const sharp = checkFourSides({
    readings: readings.filter(({ kind }) => kind !== 'radius'),
    determinedWithin_mm,
  });
  if (!('figure' in sharp)) return sharp;
  const radii = readings.filter(({ kind }) => kind === 'radius');
  const common = radii[0]?.value_mm;
  if (common === undefined)
    return {
      ...sharp,
      helpsNext: sharp.helpsNext ?? RADIUS_SLOTS[0],
      remarks: [...sharp.remarks, { case: 'sharp corners' }],
    };
  const radiusAt = (corner: string): number => radii.find(({ from }) => from === corner)?.value_mm ?? common;
  const corners = sharp.figure.outline.map((point, index) => ({
    point,
    radius: radiusAt(FOUR_CORNERS[index] ?? 'tl'),
    angle: angleAt(sharp.figure.outline, index),
  }));
  const tooLarge = corners.find((_, index) => doesNotFit(corners, index));
  if (tooLarge !== undefined)
    return {
      state: 'impossible',
      why: { case: 'corner radius too large', radius_mm: tooLarge.radius },
      suspects: [],
    };
  const lostArea = corners.reduce(
    (sum, { radius, angle }) => sum + radius ** 2 * (1 / Math.tan(angle / 2) - (Math.PI - angle) / 2),
    0,
  );
  const lostEdge = corners.reduce(
    (sum, { radius, angle }) => sum + radius * (2 / Math.tan(angle / 2) - (Math.PI - angle)),
    0,
  );
  const area = applyFormula(ROUNDED_FORMULAS.area, { sharp: sharp.sizes.area_mm2.value, lost: lostArea });
  const edge = applyFormula(ROUNDED_FORMULAS.edge, { sharp: sharp.sizes.perimeter_mm.value, lost: lostEdge });
  const sizes: Sizes = {
    ...sharp.sizes,
    area_mm2: { value: area.value, why: [...sharp.sizes.area_mm2.why, area] },
    perimeter_mm: { value: edge.value, why: [...sharp.sizes.perimeter_mm.why, edge] },
  };
  const remarks =
    radii.length < 4 ? [...sharp.remarks, { case: 'first radius for all' as const }] : sharp.remarks;
  return {
    ...sharp,
    sizes,
    remarks,
    figure: {
      ...sharp.figure,
      outline: corners.flatMap((corner, index) => fillet(corner, sharp.figure.outline, index)),
    },
  };
}

interface RoundedCorner {
  readonly point: Point;
  readonly radius: number;
  readonly angle: number;
}

/** Whether the roundings of a corner and the next one want more than the side between them. */
function doesNotFit(corners: readonly RoundedCorner[], index: number): boolean {
  const [own, next] = [corners[index], corners[(index + 1) % corners.length]];
  if (own === undefined || next === undefined) return false;
  const side = Math.hypot(next.point.x - own.point.x, next.point.y - own.point.y);
  return own.radius / Math.tan(own.angle / 2) + next.radius / Math.tan(next.angle / 2) > side;
}

function angleAt(outline: Outline, index: number): number {
  const [before, at, after] = [
    outline[(index + outline.length - 1) % outline.length],
    outline[index],
    outline[(index + 1) % outline.length],
  ];
  if (before === undefined || at === undefined || after === undefined) return Math.PI / 2;
  const [a, b] = [
    { x: before.x - at.x, y: before.y - at.y },
    { x: after.x - at.x, y: after.y - at.y },
  ];
  return Math.acos((a.x * b.x + a.y * b.y) / (Math.hypot(a.x, a.y) * Math.hypot(b.x, b.y)));
}

const FILLET_SIDES = 20;

function fillet(
  { point, radius, angle }: { readonly point: Point; readonly radius: number; readonly angle: number },
  outline: Outline,
  index: number,
): readonly Point[] {
  if (radius < 1e-6) return [point];
  const towards = (other: Point | undefined): Point => {
    const [dx, dy] = [(other?.x ?? 0) - point.x, (other?.y ?? 0) - point.y];
    const length = Math.hypot(dx, dy);
    return { x: dx / length, y: dy / length };
  };
  const [back, onward] = [
    towards(outline[(index + outline.length - 1) % outline.length]),
    towards(outline[(index + 1) % outline.length]),
  ];
  const inward = { x: back.x + onward.x, y: back.y + onward.y };
  const inwardLength = Math.hypot(inward.x, inward.y);
  const reach = radius / Math.sin(angle / 2);
  const centre = {
    x: point.x + (inward.x / inwardLength) * reach,
    y: point.y + (inward.y / inwardLength) * reach,
  };
  const cut = radius / Math.tan(angle / 2);
  const from = Math.atan2(point.y + back.y * cut - centre.y, point.x + back.x * cut - centre.x);
  const sweep = Math.PI - angle;
  return Array.from({ length: FILLET_SIDES + 1 }, (_, step) => {
    const at = from + (sweep * step) / FILLET_SIDES;
    return { x: centre.x + radius * Math.cos(at), y: centre.y + radius * Math.sin(at) };
  });
}
