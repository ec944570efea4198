export type PlaceKind = 'building' | 'vehicle' | 'facade' | 'side' | 'room';

/** A corner of the skyline as seen from the place. */
export interface HorizonPoint {
  readonly bearing_deg: number;
  readonly elevation_deg: number;
}

/** What a month is like at a place, on an average day. */
export interface ClimateMonth {
  /** Mean of day and night. */
  readonly air_C: number;
  /** From the coldest to the warmest of a day. */
  readonly swing_K: number;
  /** Relative, share of 1, mean of day and night. */
  readonly humidity: number;
  /** Share of the sun of clear days. */
  readonly sun: number;
}

/** Twelve months, January first. */
export type ClimateYear = readonly ClimateMonth[];

/** A node of the tree a surface hangs in. A movable place has a bearing only where it is parked. */
export interface Place {
  readonly parentId: string | null;
  readonly kind: PlaceKind;
  readonly name: string;
  /** Degrees from north, clockwise, of the outward normal; null = unknown. */
  readonly bearing_deg: number | null;
  readonly latitude_deg: number | null;
  readonly longitude_deg: number | null;
  readonly altitude_m: number | null;
  /** What stands in the sun's way far off, from left to right; empty = open sky or not recorded. */
  readonly horizon: readonly HorizonPoint[];
  /** What its months are like; null: not known here. */
  readonly climate: ClimateYear | null;
  readonly movable: boolean;
  readonly position: number;
}
