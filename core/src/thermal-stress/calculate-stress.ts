import type { Facing, PlaceOnEarth, Shading } from '../climate';
import type { FilmOptics, MakeUp, MakeUpPane } from '../glazing';
import type { EdgeFinish, FrameKind, PaneTreatment, SurfaceCondition } from '../job';
import { CoreError } from '../quantity';
import { designSuns } from './day-stress';
import { type DesignTemperatures, USUAL_TEMPERATURES, designDays } from './design-days';
import type { GlassSituation } from './glass-situation';
import { type StressVerdict, judgeStress } from './judge-stress';

/**
 * A pane and where it stands, without a job. What is null or left out is assumed and named, or leaves the
 * verdict unknown.
 */
export interface StressRequest {
  readonly panes: readonly (MakeUpPane & { readonly treatment: PaneTreatment })[];
  readonly gaps: MakeUp['gaps'];
  readonly films: readonly { readonly face: number; readonly film: FilmOptics }[];
  readonly frame: FrameKind;
  readonly edgeFinish: EdgeFinish;
  readonly edgeDepth_mm: number | null;
  readonly condition: SurfaceCondition;
  readonly width_mm: number;
  readonly height_mm: number;
  readonly place: PlaceOnEarth;
  readonly bearing_deg: number | null;
  readonly tilt_deg: number;
  readonly skyline: Facing['skyline'];
  readonly shading: Omit<Shading, 'width_mm' | 'height_mm'> | null;
  readonly blind: 'none' | 'vented' | 'close or closed' | 'unknown';
  readonly heatOutlet: 'none' | 'near or aimed at the glass' | 'unknown';
  readonly cold_C?: readonly [number, number] | undefined;
  readonly hot_C?: readonly [number, number] | undefined;
}

/**
 * The verdict on cracking for one pane.
 * @throws CoreError STRESS_CASE when the bearing is missing, the weather cannot be, or the edge is deeper
 * than the pane, and those of the make-up's check
 */
export function calculateStress(request: StressRequest): StressVerdict {
  const { bearing_deg, place, cold_C, hot_C, width_mm, height_mm, shading } = request;
  if (bearing_deg === null)
    throw new CoreError('STRESS_CASE', {
      path: 'bearing_deg',
      expected: '0 to 360: which way the glass faces',
      got: 'nothing',
    });
  const temperatures: DesignTemperatures = {
    ...USUAL_TEMPERATURES,
    ...(cold_C === undefined ? {} : { cold: cold_C }),
    ...(hot_C === undefined ? {} : { hot: hot_C }),
  };
  refuseWeather(temperatures, cold_C === undefined ? 'hot_C' : 'cold_C');
  refuseEdge(request);
  const days = designDays(place, temperatures);
  const facing: Facing = {
    bearing_deg,
    tilt_deg: request.tilt_deg,
    skyline: request.skyline,
    shading: shading === null ? null : { ...shading, width_mm, height_mm },
  };
  return judgeStress(situationOf(request, days, facing), request.films);
}

function situationOf(
  {
    panes,
    gaps,
    width_mm,
    height_mm,
    place,
    shading,
    blind,
    heatOutlet,
    tilt_deg,
    frame,
    edgeFinish,
    edgeDepth_mm,
    condition,
  }: StressRequest,
  days: ReturnType<typeof designDays>,
  facing: Facing,
): GlassSituation {
  return {
    bare: { panes, gaps, films: [], hasBlind: blind === 'close or closed' },
    treatments: panes.map(({ treatment }) => treatment),
    ...{ frame, edgeFinish, edgeDepth_mm, condition },
    edge_m: (2 * (width_mm + height_mm)) / 1000,
    height_m: height_mm / 1000,
    circumstances: {
      area_m2: (width_mm * height_mm) / 1e6,
      ...{ blind, heatOutlet, tilt_deg },
      altitude_m: place.altitude_m,
    },
    isIndoors: false,
    isSunless: false,
    assumed: [
      ...(shading === null ? [{ case: 'a shade line across the pane' } as const] : []),
      ...(blind === 'unknown' ? [{ case: 'no blind close behind the glass' } as const] : []),
      ...(heatOutlet === 'unknown' ? [{ case: 'no warm air on the glass' } as const] : []),
    ],
    unknown: panes.some(({ treatment }) => treatment === 'unknown') ? ['the kind of glass'] : [],
    days,
    suns: designSuns(days, facing),
    facing,
    assumedPattern: shading === null ? 'one side 1/4' : null,
  };
}

/** A cold day is no warmer than the hot one, and no day has its lowest over its highest. */
function refuseWeather({ cold, hot }: DesignTemperatures, clashing: 'cold_C' | 'hot_C'): void {
  const days = [
    ['cold_C', cold],
    ['hot_C', hot],
  ] as const;
  for (const [path, [low, high]] of days)
    if (low > high)
      throw new CoreError('STRESS_CASE', {
        path,
        expected: 'the lowest of the day, then its highest',
        got: `${low} and ${high}`,
      });
  if (cold[0] > hot[0] || cold[1] > hot[1])
    throw new CoreError('STRESS_CASE', {
      path: clashing,
      expected: 'a cold day no warmer than the hot one',
      got: `${cold.join(' to ')} °C on the cold day and ${hot.join(' to ')} °C on the hot one`,
    });
}

/** The frame hides less than half of the pane on each side. */
function refuseEdge({
  edgeDepth_mm,
  width_mm,
  height_mm,
}: Pick<StressRequest, 'edgeDepth_mm' | 'width_mm' | 'height_mm'>): void {
  const most = Math.min(width_mm, height_mm) / 2;
  if (edgeDepth_mm === null || edgeDepth_mm < most) return;
  throw new CoreError('STRESS_CASE', {
    path: 'edgeDepth_mm',
    expected: `less than ${most}, half of the pane`,
    got: String(edgeDepth_mm),
  });
}
