import type { CutMethod, Part, SiteFacts, Surface, SurfaceShape, WallFacts } from '@yellow-pane/core/job';

/** By the shape's customary measures in the order of walking (empty: not taken), or by their keys. */
export type Readings = readonly string[] | Readonly<Record<string, string>>;

/** A surface of the demo, as it is written down. */
export interface DemoSurface {
  readonly tag: string;
  readonly name: string;
  readonly place: number;
  readonly unit: number | null;
  readonly readings: Readings;
  readonly kind?: Surface['kind'];
  readonly shape?: SurfaceShape;
  readonly seenFrom?: Surface['seenFrom'];
  readonly condition?: Surface['condition'];
  readonly remark?: string;
  readonly film?: readonly [index: number, method: CutMethod];
  readonly sameAs?: string;
  /** On the elevation, mm: left and lower edge. */
  readonly at?: readonly [number, number];
  readonly facts?: Partial<SiteFacts>;
  readonly wall?: Partial<WallFacts>;
  readonly parts?: readonly (Pick<Part, 'kind'> & Partial<Part>)[];
}
