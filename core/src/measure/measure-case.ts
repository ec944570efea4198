import type { Difficulty } from '../curved';

/** Why no surface has these measures. The sentence is made where the units of the person are known. */
export type Impossible =
  | { readonly case: 'corner radius too large'; readonly radius_mm: number }
  | { readonly case: 'edge radius too large'; readonly radius_mm: number; readonly thickness_mm: number }
  | { readonly case: 'crown below the springs'; readonly rise_mm: number }
  /** The corners as they are numbered; the longest length between them and the other two together. */
  | {
      readonly case: 'corners cannot close';
      readonly corners: readonly [number, number, number];
      readonly longest_mm: number;
      readonly others_mm: number;
    }
  | { readonly case: 'sides cannot close'; readonly longest_mm: number; readonly others_mm: number }
  | { readonly case: 'sides cross' }
  | { readonly case: 'corners on one line' }
  /** Names of the openings; an empty one has none. */
  | { readonly case: 'openings beyond the wall'; readonly names: readonly string[] }
  | { readonly case: 'sag too deep'; readonly sag_mm: number }
  | { readonly case: 'girths close to a point' }
  /** A strip laid over a profile cannot be shorter than the profile is wide. */
  | { readonly case: 'profile under its width'; readonly profile_mm: number; readonly width_mm: number }
  /** One measure is refused before any shape is looked for. */
  | { readonly case: 'measure refused'; readonly got: string; readonly expected: string };

/** What is taken for granted of a surface, or what its measures cannot show. */
export type MeasureRemark =
  | { readonly case: 'which edge is level' }
  | { readonly case: 'standing on its lowest side' }
  /** Corners known by two lengths only, as they are numbered. */
  | { readonly case: 'corners may fold'; readonly corners: readonly number[]; readonly isConvex: boolean }
  | { readonly case: 'sharp corners' }
  | { readonly case: 'first radius for all' }
  | { readonly case: 'part of a circle' }
  | { readonly case: 'openings without size'; readonly count: number }
  | { readonly case: 'no furrow yet' }
  /** A ring of a round column that lies off the straight taper between its lowest and its highest ring. */
  | { readonly case: 'off the taper'; readonly up_mm: number; readonly off_mm: number }
  | { readonly case: 'thickness unknown' }
  | { readonly case: 'drawn flat' }
  | { readonly case: 'how hard it is'; readonly difficulty: Difficulty }
  | { readonly case: 'curve near the ends unknown' }
  | { readonly case: 'twist unknown'; readonly matters: boolean; readonly gap_mm: number };
