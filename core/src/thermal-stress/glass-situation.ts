import type { Facing, SunMoment } from '../climate';
import type { MakeUp } from '../glazing';
import type { EdgeFinish, FrameKind, GlassUnknown, PaneTreatment, SurfaceCondition } from '../job';
import type { DesignDay } from './design-days';
import type { Circumstances } from './matrix';
import type { ShadePattern } from './stress-factors';
import type { GlassAssumption } from './stress-said';

/** Everything a verdict on cracking needs to know of one pane of a building or vehicle. */
export interface GlassSituation {
  /** Without any film. */
  readonly bare: MakeUp;
  readonly treatments: readonly PaneTreatment[];
  readonly frame: FrameKind;
  readonly edgeFinish: EdgeFinish;
  readonly edgeDepth_mm: number | null;
  readonly condition: SurfaceCondition;
  readonly edge_m: number | null;
  readonly height_m: number;
  readonly circumstances: Omit<Circumstances, 'hasShadeLine' | 'isSolidFrame' | 'daySwing_K'>;
  /** Behind a wall of a room. */
  readonly isIndoors: boolean;
  /** Indoors, or noted so: no sun ever reaches it. */
  readonly isSunless: boolean;
  readonly assumed: readonly GlassAssumption[];
  /** What must be found out before anything can be said. */
  readonly unknown: readonly GlassUnknown[];
  readonly days: readonly DesignDay[];
  readonly suns: readonly (readonly SunMoment[])[];
  readonly facing: Facing | null;
  readonly assumedPattern: ShadePattern | null;
}
