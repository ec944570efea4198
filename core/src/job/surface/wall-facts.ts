import type { Signed } from '../signed';

/** As they are asked for, what is not known first. */
export const WALL_TEXTURES = [
  'unknown',
  'painted plasterboard',
  'smooth concrete',
  'rough concrete',
  'painted block',
  'bare block',
  'glazed block',
  'brick',
  'tile',
  'stucco',
  'canvas',
  'bare wood',
  'lacquered wood',
  'laminate',
  'metal',
] as const;
export type WallTexture = (typeof WALL_TEXTURES)[number];
export type CornerTurn = 'inside corner' | 'outside corner' | 'free edge' | 'unknown';

/** Whether film may go on such ground, as somebody judged it on a day. */
export interface GroundJudged extends Signed {
  readonly state: 'accepted' | 'refused';
}

/** What a wall, column or fixture is made of. One row a surface. */
export interface WallFacts {
  readonly surfaceId: string;
  readonly texture: WallTexture;
  readonly bond: 'running' | 'stack' | 'none' | 'unknown';
  readonly unitWidth_nm: number | null;
  readonly unitHeight_nm: number | null;
  readonly jointWidth_nm: number | null;
  readonly jointDepth_nm: number | null;
  readonly paint: 'none' | 'matt' | 'satin' | 'gloss' | 'unknown';
  readonly state: 'sound' | 'flaking' | 'dusty' | 'damp' | 'unknown';
  readonly paintAge: 'under 30 days' | 'older' | 'unknown';
  readonly paintKind: 'ordinary' | 'silicone or anti-graffiti' | 'unknown';
  /** Strong tape pressed on and torn off. */
  readonly tapeTest: 'held' | 'paint came off' | 'not done';
  /** Under a straight-edge of 2 m. */
  readonly flatness_nm: number | null;
  /** As the damp meter shows it, %. */
  readonly moisture: number | null;
  readonly ground_C: number | null;
  /** Null: nobody has judged it. */
  readonly ground: GroundJudged | null;
  readonly leftCorner: CornerTurn;
  readonly rightCorner: CornerTurn;
}
