import { type Formula, GEOMETRY, type Reasoned, type Step, applyFormula } from '../../quantity';
import { FURROW_FORMULAS, GIRTH_FORMULAS, jointsAlong } from '../girth';
import type { MeasureSlot } from '../measure-slot';
import { outlineBounds } from '../outline';
import type { Sizes } from '../sizes';
import type { SurfaceCheck } from '../surface-check';
import { FOUR_SIDE_SLOTS, checkFourSides } from './four-sides';
import type { JointSizes, PartSize, ShapeMeasure, SurfaceInput } from './shape';

const LEVEL_SLOTS: readonly MeasureSlot[] = [
  ['top', 'tl', 'tr'],
  ['sill', 'bl', 'br'],
].map(([edge = '', from = '', to = '']): MeasureSlot => ({
  key: `level-${edge}`,
  kind: 'level',
  from,
  to,
  word: `right end of the ${edge === 'sill' ? 'foot' : edge} lower than the left`,
  group: 'check',
  lies: 'beside',
  isExtra: true,
  how: '0 when level, minus when the right end is higher.',
}));

export const WALL_FORMULAS = {
  openings: {
    id: 'measure.openings',
    word: 'openings taken off',
    says: 'Σ width · height of the openings',
    unit: 'mm²',
    source: GEOMETRY,
    inputs: { sum_mm2: { word: 'openings together', unit: 'mm²' } },
    of: ({ sum_mm2 }) => sum_mm2,
  } satisfies Formula<{ readonly sum_mm2: number }>,
  net: {
    id: 'measure.netArea',
    word: 'area to film',
    says: 'A = wall − openings',
    unit: 'mm²',
    source: GEOMETRY,
    inputs: { wall_mm2: { word: 'wall', unit: 'mm²' }, openings_mm2: { word: 'openings', unit: 'mm²' } },
    of: ({ wall_mm2, openings_mm2 }) => wall_mm2 - openings_mm2,
  } satisfies Formula<{ readonly wall_mm2: number; readonly openings_mm2: number }>,
} as const;

/** A wall: four sides, openings taken off, and the girth its joints add to the film. */
export const wall: ShapeMeasure = { slots: () => [...FOUR_SIDE_SLOTS, ...LEVEL_SLOTS], check: checkWall };

function checkWall({ readings, parts = [], joints, determinedWithin_mm }: SurfaceInput): SurfaceCheck {
  const bare = checkFourSides({ readings, determinedWithin_mm });
  if (!('figure' in bare)) return bare;
  const { width, height } = outlineBounds(bare.figure.outline);
  const openings = parts.filter(({ kind }) => kind === 'opening');
  const measured = openings.flatMap((opening) =>
    opening.width_mm === null || opening.height_mm === null
      ? []
      : [{ ...opening, width_mm: opening.width_mm, height_mm: opening.height_mm }],
  );
  const remarks = [...bare.remarks];
  const unmeasured = openings.length - measured.length;
  if (unmeasured > 0) remarks.push({ case: 'openings without size', count: unmeasured });
  const outside = measured.filter(
    ({ x_mm, y_mm, width_mm, height_mm }) =>
      (x_mm ?? 0) + width_mm > width + 5 || (y_mm ?? 0) + height_mm > height + 5,
  );
  if (outside.length > 0)
    return {
      state: 'impossible',
      why: { case: 'openings beyond the wall', names: outside.map(({ name }) => name) },
      suspects: [],
    };
  const openings_mm2 = measured.reduce(
    (sum, { width_mm, height_mm, count }) => sum + width_mm * height_mm * count,
    0,
  );
  const taken = applyFormula(WALL_FORMULAS.openings, { sum_mm2: openings_mm2 });
  const net = applyFormula(WALL_FORMULAS.net, { wall_mm2: bare.sizes.area_mm2.value, openings_mm2 });
  const sizes: Sizes = {
    ...bare.sizes,
    ...(measured.length === 0
      ? {}
      : {
          openings_mm2: { value: taken.value, why: [taken] },
          netArea_mm2: { value: net.value, why: [...bare.sizes.area_mm2.why, taken, net] },
        }),
    ...girths(width, height, parts, joints),
  };
  const figure = {
    ...bare.figure,
    openings: measured
      .filter(({ x_mm, y_mm }) => x_mm !== null && y_mm !== null)
      .map(({ x_mm, y_mm, width_mm, height_mm, name }) => ({
        x: x_mm ?? 0,
        y: y_mm ?? 0,
        width: width_mm,
        height: height_mm,
        name,
      })),
  };
  return { ...bare, figure, sizes, remarks };
}

/** Girths of a plain width and height with furrows and joints; nothing when neither adds anything. */
export function girths(
  width_mm: number,
  height_mm: number,
  parts: readonly PartSize[],
  joints: JointSizes | undefined,
): Partial<Sizes> {
  const furrows = parts.filter(({ kind, form }) => kind === 'furrow' && form !== 'none');
  const steps: Step[] = [];
  let [across, down] = [0, 0];
  for (const { form, width_mm: furrow, depth_mm, count, height_mm: isAlong } of furrows) {
    if (form === 'none' || furrow === null || depth_mm === null) continue;
    const path = applyFormula(FURROW_FORMULAS[form], { width_mm: furrow, depth_mm });
    steps.push(path);
    if (isAlong === 0) down += count * (path.value - furrow);
    else across += count * (path.value - furrow);
  }
  if (
    joints !== undefined &&
    joints.bond !== 'none' &&
    joints.unitWidth_mm !== null &&
    joints.unitHeight_mm !== null &&
    joints.jointWidth_mm !== null &&
    joints.jointDepth_mm !== null
  ) {
    const path = applyFormula(FURROW_FORMULAS['half round'], {
      width_mm: joints.jointWidth_mm,
      depth_mm: joints.jointDepth_mm,
    });
    steps.push(path);
    across +=
      jointsAlong(width_mm, joints.unitWidth_mm, joints.jointWidth_mm) * (path.value - joints.jointWidth_mm);
    down +=
      jointsAlong(height_mm, joints.unitHeight_mm, joints.jointWidth_mm) *
      (path.value - joints.jointWidth_mm);
  }
  return {
    ...(across > 0 ? { girthWidth_mm: girth('across', width_mm, across, steps) } : {}),
    ...(down > 0 ? { girthHeight_mm: girth('down', height_mm, down, steps) } : {}),
  };
}

export function girth(
  way: 'across' | 'down',
  plain_mm: number,
  more_mm: number,
  before: readonly Step[],
): Reasoned<number> {
  const step = applyFormula(GIRTH_FORMULAS[way], { plain_mm, more_mm });
  return { value: step.value, why: [...before, step] };
}
