import type { EdgeKind, FilmBrief, SurfaceKind, SurfaceShape, WallFacts } from '../job';
import type { MakeUp } from '../glazing';
import type { Room } from '../privacy';
import type { GlassSituation } from '../thermal-stress';

/** One surface as it must be known to choose a film for it. */
export interface FilmQuestion {
  readonly kind: SurfaceKind;
  readonly shape: SurfaceShape;
  /** Of panes, without any film; null for walls, columns, fixtures. */
  readonly glass: GlassSituation | null;
  /** Films on it now; one on the face asked about would be replaced. */
  readonly others: MakeUp['films'];
  /** Which faces may take film, by number from outdoors or side A; empty: none. */
  readonly faces: { readonly front: number | null; readonly back: number | null };
  readonly isVehicle: boolean;
  /** Between two rooms: its sides are A (front) and B (back). */
  readonly isPartition: boolean;
  /** How the glass is held, for film that must reach its edge. */
  readonly edge: EdgeKind;
  readonly wall: Omit<WallFacts, 'surfaceId'> | null;
  readonly brief: Omit<FilmBrief, 'placeId'>;
  readonly area_m2: number | null;
  readonly room: Room;
  readonly isRoomAssumed: boolean;
  /** Clear-sky sun on the surface for the 21st of each month, hour by hour; empty where no sun comes. */
  readonly year: readonly (readonly YearMoment[])[];
  readonly coldOutdoor_C: number;
}

export interface YearMoment {
  readonly beam_Wm2: number;
  readonly diffuse_Wm2: number;
  readonly incidence_deg: number;
}

export const INDOOR_C = 20;
export const INDOOR_HUMIDITY = 0.5;
