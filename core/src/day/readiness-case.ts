import type { Facing, PlaceOnEarth, TimeSpan } from '../climate';
import type { MakeUp } from '../glazing';
import { learnedOf } from '../learned';
import type { Air } from '../waiting';

/** One surface with a film for it, as it must be known to say when work may start. */
export interface ReadinessCase {
  readonly place: PlaceOnEarth;
  /** null: no sun comes to it, such as between two rooms or in a hall. */
  readonly facing: Facing | null;
  /** Glass with the films on it already; null: a wall or fixture, as warm as its room. */
  readonly makeUp: MakeUp | null;
  readonly height_m: number;
  readonly side: 'room' | 'outside';
  readonly indoor: Air;
  /** By the film's sheet; null: not stated. */
  readonly least_C: number | null;
  readonly most_C: number | null;
}

export interface ReadinessLimits {
  /** Warm from the sun: so much over both airs. */
  readonly warm_K: number;
  /** From so much cloud on, no direct sun. */
  readonly overcast: number;
  /** Outdoors it must stay warm enough for so long. */
  readonly ahead_h: number;
  /** Doubt about the bearing. */
  readonly doubt_deg: number;
}

/** What is gone by until the shop has learned better. */
export const USUAL_LIMITS: ReadinessLimits = {
  warm_K: learnedOf('day-warm', []).value,
  overcast: learnedOf('day-overcast', []).value,
  ahead_h: learnedOf('day-ahead', []).value,
  doubt_deg: 1,
};

export type ClosedBy = 'sun' | 'warm' | 'too hot' | 'too cold' | 'dew' | 'frost' | 'rain' | 'weather unknown';

/** Why a surface is not fit, with the figures; the sentence is made in `contracts/words`. */
export type ClosedWhy =
  | { readonly case: 'sun on it' }
  | { readonly case: 'still warm'; readonly surface_C: number }
  | { readonly case: 'still cooling' }
  | { readonly case: 'ice on it'; readonly surface_C: number }
  | { readonly case: 'near the dew point'; readonly surface_C: number; readonly dew_C: number }
  | ({ readonly case: 'too cold' } & OutsideItsRange)
  | ({ readonly case: 'too hot' } & OutsideItsRange)
  | {
      readonly case: 'too cold soon';
      readonly coldest_C: number;
      readonly ahead_h: number;
      readonly limit_C: number;
    }
  | { readonly case: 'rain'; readonly rain_mm: number }
  | { readonly case: 'no forecast' }
  | { readonly case: 'no forecast for the glass' };

interface OutsideItsRange {
  readonly what: 'surface' | 'air';
  readonly value_C: number;
  /** Of the film. */
  readonly limit_C: number;
}

export interface Closed extends TimeSpan {
  readonly by: ClosedBy;
  readonly why: ClosedWhy;
}

export interface ReadinessMoment {
  readonly instant_ms: number;
  readonly surface_C: number;
  /** Beside the face that is worked on, and its relative humidity, share of 1. */
  readonly air_C: number;
  readonly humidity: number;
  readonly outdoor_C: number | null;
  readonly dew_C: number;
}

export interface Readiness {
  /** The sun on it by geometry, whatever the clouds. */
  readonly sun: readonly TimeSpan[];
  /** How far each end of the sun may be off, for the doubt about bearing: by span, begin and end. */
  readonly bands: readonly { readonly begin: TimeSpan; readonly end: TimeSpan }[];
  readonly fit: readonly TimeSpan[];
  readonly closed: readonly Closed[];
  /** Every five minutes. */
  readonly moments: readonly ReadinessMoment[];
}
