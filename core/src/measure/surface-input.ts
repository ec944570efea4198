import type { Measure, Part, Surface, WallFacts } from '../job';
import { mmFromNm } from '../quantity';
import type { Reading } from './reading';
import type { JointSizes, PartSize, SurfaceInput } from './shapes/shape';

type KeptMeasure = Pick<Measure, 'kind' | 'fromPoint' | 'toPoint' | 'value_nm' | 'instrument' | 'sd_nm'> & {
  readonly id: string;
};

/** A kept measure as this room calculates with it. */
export function readingOf({
  id,
  kind,
  fromPoint,
  toPoint,
  value_nm,
  instrument,
  sd_nm,
}: KeptMeasure): Reading {
  return {
    id,
    kind,
    from: fromPoint,
    to: toPoint,
    value_mm: mmFromNm(value_nm),
    instrument,
    ...(sd_nm === null ? {} : { sd_mm: mmFromNm(sd_nm) }),
  };
}

/** Everything kept about a surface as the check wants it. */
export function surfaceInputOf(
  surface: Pick<Surface, 'shape' | 'corners'>,
  measures: readonly KeptMeasure[],
  parts: readonly Part[] = [],
  wall?: WallFacts,
  determinedWithin_mm?: number,
): SurfaceInput {
  const joints = wall === undefined ? undefined : jointSizes(wall);
  return {
    shape: surface.shape,
    corners: surface.corners,
    readings: measures.map(readingOf),
    parts: parts.flatMap(partSize),
    determinedWithin_mm,
    ...(joints === undefined ? {} : { joints }),
  };
}

function jointSizes({
  bond,
  unitWidth_nm,
  unitHeight_nm,
  jointWidth_nm,
  jointDepth_nm,
}: WallFacts): JointSizes {
  return {
    bond,
    unitWidth_mm: mm(unitWidth_nm),
    unitHeight_mm: mm(unitHeight_nm),
    jointWidth_mm: mm(jointWidth_nm),
    jointDepth_mm: mm(jointDepth_nm),
  };
}

function partSize({ kind, name, x_nm, y_nm, width_nm, height_nm, depth_nm, form, count }: Part): PartSize[] {
  if (kind !== 'opening' && kind !== 'furrow') return [];
  return [
    {
      kind,
      name,
      x_mm: mm(x_nm),
      y_mm: mm(y_nm),
      width_mm: mm(width_nm),
      height_mm: mm(height_nm),
      depth_mm: mm(depth_nm),
      form,
      count,
    },
  ];
}

const mm = (value_nm: number | null): number | null => (value_nm === null ? null : mmFromNm(value_nm));
