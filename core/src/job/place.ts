export type PlaceKind = 'building' | 'vehicle' | 'facade' | 'side' | 'room';

/** A node of the tree a surface hangs in. A movable place has a bearing only where it is parked. */
export interface Place {
  readonly parentId: string | null;
  readonly kind: PlaceKind;
  readonly name: string;
  /** Degrees from north, clockwise, of the outward normal; null = unknown. */
  readonly bearing_deg: number | null;
  readonly movable: boolean;
  readonly position: number;
}
