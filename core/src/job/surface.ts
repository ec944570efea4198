import type { SeenFrom } from './seen-from';

export type SurfaceKind = 'pane' | 'wall' | 'column' | 'fixture';
export type SurfaceCondition = 'sound' | 'chipped' | 'cracked' | 'unknown';

/** What is seen and filmed. */
export interface Surface {
  readonly placeId: string;
  readonly unitId: string | null;
  readonly tag: string;
  readonly name: string;
  readonly kind: SurfaceKind;
  readonly seenFrom: SeenFrom;
  readonly condition: SurfaceCondition;
  readonly remark: string;
  readonly position: number;
}
