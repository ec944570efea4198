import type { Signed } from '../signed';
import type { SeenFrom } from './seen-from';

export type SurfaceKind = 'pane' | 'wall' | 'column' | 'fixture';
export type SurfaceCondition = 'sound' | 'chipped' | 'cracked' | 'unknown';

/** Which guided measure fits the surface. */
export type SurfaceShape =
  | 'four sides'
  | 'three sides'
  | 'many sides'
  | 'arched top'
  | 'round'
  | 'oval'
  | 'rounded corners'
  | 'curved glass'
  | 'wall'
  | 'round column'
  | 'square column'
  | 'panel'
  | 'moulding';

/** What somebody saw of the edges of one pane: an edge seen is said of that pane alone, by a person. */
export interface EdgesSeen extends Signed {
  readonly state: 'sound' | 'damaged';
}

/** What is seen and filmed. */
export interface Surface {
  readonly placeId: string;
  readonly unitId: string | null;
  readonly tag: string;
  readonly name: string;
  readonly kind: SurfaceKind;
  readonly shape: SurfaceShape;
  /** Of `many sides`; null otherwise. */
  readonly corners: number | null;
  readonly seenFrom: SeenFrom;
  readonly condition: SurfaceCondition;
  /** Null: nobody has looked along them. */
  readonly edgesSeen: EdgesSeen | null;
  readonly remark: string;
  readonly position: number;
  /** The surface this one is a repeat of. Measures stay their own. */
  readonly sameAsId: string | null;
  /** On the elevation seen from outside (or side A): from the place's left end to this surface's left. */
  readonly atX_nm: number | null;
  /** From the place's foot up to this surface's lower edge. */
  readonly atY_nm: number | null;
}

export const SHAPES_OF_KIND: Readonly<Record<SurfaceKind, readonly [SurfaceShape, ...SurfaceShape[]]>> = {
  pane: [
    'four sides',
    'three sides',
    'many sides',
    'arched top',
    'round',
    'oval',
    'rounded corners',
    'curved glass',
  ],
  wall: ['wall'],
  column: ['round column', 'square column'],
  fixture: ['panel', 'moulding'],
};

export const isGlass = ({ kind }: Pick<Surface, 'kind'>): boolean => kind === 'pane';

export const isWall = ({ kind }: Pick<Surface, 'kind'>): boolean => kind === 'wall';

/** A pane between rooms: it has no outdoors, and no sun on it is counted. */
export const isPartition = ({ seenFrom }: Pick<Surface, 'seenFrom'>): boolean =>
  seenFrom === 'side A' || seenFrom === 'side B';

/** Glass with the open air on one side: sun, frost and heat reach it. */
export const isOutdoorGlass = (surface: Pick<Surface, 'kind' | 'seenFrom'>): boolean =>
  isGlass(surface) && !isPartition(surface);

/** A crack: nothing is done before a licensed glazier has decided. */
export const isCracked = ({ condition }: Pick<Surface, 'condition'>): boolean => condition === 'cracked';

/** Cracked, or chipped at the edge, where cracks begin. */
export const isHurt = (surface: Pick<Surface, 'condition'>): boolean =>
  isCracked(surface) || surface.condition === 'chipped';
