import { CoreError } from '../../quantity';
import { type Agreement, judge } from './judge';
import { adjustNetwork, standardDeviationOf } from './adjust-network';
import type { NetworkObservation, NetworkPoint } from './observation';
import { type Point, areaOf, perimeterOf } from '../outline';
import { type CornerLength, laidOut } from './lay-out-corners';
import type { Reading } from '../reading';

interface NetworkRequest {
  /**
   * Corners clockwise; with coordinates (mm, y downwards) only where the figure cannot be laid out from
   * lengths.
   */
  readonly points: readonly {
    readonly id: string;
    readonly x_mm?: number | undefined;
    readonly y_mm?: number | undefined;
  }[];
  /** Between corners, or middles of two: `a`, or `a~b`. */
  readonly distances: readonly {
    readonly id: string;
    readonly from: string;
    readonly to: string;
    readonly value_mm: number;
    readonly sd_mm: number;
  }[];
  readonly rightAngles?:
    | readonly {
        readonly id: string;
        readonly at: string;
        readonly one: string;
        readonly other: string;
        readonly sd_mm: number;
      }[]
    | undefined;
  readonly levels?:
    | readonly {
        readonly id: string;
        readonly from: string;
        readonly to: string;
        readonly value_mm: number;
        readonly sd_mm: number;
      }[]
    | undefined;
}

interface NetworkAnswer {
  readonly stopped: 'converged' | 'stalled' | 'limit';
  readonly points: readonly { readonly id: string; readonly x_mm: number; readonly y_mm: number }[];
  readonly rank: number;
  /** In the order of `covariance`, such as `c.x`. */
  readonly unknowns: readonly string[];
  readonly covariance_mm2: readonly (readonly number[])[];
  readonly area_mm2: { readonly value: number; readonly sd: number | null };
  readonly perimeter_mm: { readonly value: number; readonly sd: number | null };
  readonly agreement: Agreement;
}

/**
 * Adjusts any network of lengths, right angles and level lines between named corners, and says whether they
 * agree.
 * @throws CoreError MEASURE_NETWORK_POINT (a reading names a point that is not there), MEASURE_NETWORK_OPEN
 * (lengths do not lay the corners out)
 */
export function calculateNetwork(request: NetworkRequest): NetworkAnswer {
  const { points, distances, levels = [] } = request;
  const at = new Map(points.map(({ id }, index) => [id, index]));
  const observations = observationsOf(request, at);
  const start = startOf(points, distances, at);
  const solution = adjustNetwork(start, observations, levels.length > 0 ? 'first corner' : 'top side level');
  const isDetermined = solution.rank === solution.unknowns;
  const sized = (of: (corners: readonly Point[]) => number): NetworkAnswer['area_mm2'] => ({
    value: of(solution.corners),
    sd: isDetermined ? standardDeviationOf(of, solution) : null,
  });
  const unknowns: string[] = [];
  solution.columns.forEach(({ x, y }, corner) => {
    if (x >= 0) unknowns[x] = `${points[corner]?.id ?? ''}.x`;
    if (y >= 0) unknowns[y] = `${points[corner]?.id ?? ''}.y`;
  });
  return {
    stopped: solution.stopped,
    rank: solution.rank,
    unknowns,
    points: solution.corners.map(({ x, y }, index) => ({ id: points[index]?.id ?? '', x_mm: x, y_mm: y })),
    covariance_mm2: isDetermined ? solution.covariance.to2DArray() : [],
    area_mm2: sized((corners) => Math.abs(areaOf(corners))),
    perimeter_mm: sized(perimeterOf),
    agreement: judge(
      readingsOf(request),
      observations.map(({ sd_mm }) => sd_mm),
      solution,
    ),
  };
}

/** What was observed, between the corners it names. Lengths first, then levels, then right angles. */
function observationsOf(
  { points, distances, levels = [], rightAngles = [] }: NetworkRequest,
  at: ReadonlyMap<string, number>,
): readonly NetworkObservation[] {
  const pointOf = (path: string, name: string): NetworkPoint => {
    const corners = name.split('~').map((part) => at.get(part));
    if (corners.length > 2 || corners.some((corner) => corner === undefined))
      throw new CoreError('MEASURE_NETWORK_POINT', {
        path,
        expected: `one of ${points.map(({ id }) => id).join(', ')}, or the middle of two such as a~b`,
        got: name,
      });
    return corners.map((corner) => ({ corner: corner ?? 0, share: 1 / corners.length }));
  };
  return [
    ...distances.map(({ id, from, to, value_mm, sd_mm }): NetworkObservation => {
      if (from === to)
        throw new CoreError('MEASURE_POINTS_SAME', {
          path: `distances.${id}`,
          expected: 'two different points',
          got: from,
        });
      const ends = [pointOf(`distances.${id}.from`, from), pointOf(`distances.${id}.to`, to)] as const;
      return { kind: 'distance', at: ends, value_mm, sd_mm };
    }),
    ...levels.map(({ id, from, to, value_mm, sd_mm }): NetworkObservation => {
      const ends = [pointOf(`levels.${id}.from`, from), pointOf(`levels.${id}.to`, to)] as const;
      return { kind: 'level', at: ends, value_mm, sd_mm };
    }),
    ...rightAngles.map(({ id, at: corner, one, other, sd_mm }): NetworkObservation => ({
      kind: 'right angle',
      at: [
        pointOf(`rightAngles.${id}.at`, corner),
        pointOf(`rightAngles.${id}.one`, one),
        pointOf(`rightAngles.${id}.other`, other),
      ],
      value_mm: 0,
      sd_mm,
    })),
  ];
}

/** The same in the same order, as readings that can be accused. */
function readingsOf({ distances, levels = [], rightAngles = [] }: NetworkRequest): readonly Reading[] {
  const instrument = 'tape' as const;
  return [
    ...distances.map((own): Reading => ({ ...own, kind: 'distance', instrument })),
    ...levels.map((own): Reading => ({ ...own, kind: 'level', instrument })),
    ...rightAngles.map(({ id, at, sd_mm }): Reading => ({
      ...{ id, from: at, to: at, value_mm: 0, sd_mm, instrument },
      kind: 'right angle',
    })),
  ];
}

function startOf(
  points: NetworkRequest['points'],
  distances: NetworkRequest['distances'],
  at: ReadonlyMap<string, number>,
): readonly Point[] {
  if (points.every(({ x_mm, y_mm }) => x_mm !== undefined && y_mm !== undefined))
    return points.map(({ x_mm = 0, y_mm = 0 }) => ({ x: x_mm, y: y_mm }));
  const lengths = distances.flatMap(({ from, to, value_mm }): CornerLength[] => {
    const [a, b] = [at.get(from), at.get(to)];
    return a === undefined || b === undefined ? [] : [{ a, b, length_mm: value_mm }];
  });
  const laid = laidOut(lengths, points.length);
  if ('open' in laid)
    throw new CoreError('MEASURE_NETWORK_OPEN', {
      path: 'distances',
      expected: 'two lengths from each corner to corners laid out before it, or coordinates to start from',
      got: `nothing that places ${laid.open.map((corner) => points[corner]?.id ?? '').join(', ')}`,
    });
  return laid.outline;
}
