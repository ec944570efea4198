import type { SheetQuestion } from '../glazing';
import type { SurfaceKind } from '../job';
import type { StressAdvice, StressReason } from '../thermal-stress';
import type { FitnessNeed, FitnessReason } from './surface-fitness';
import type { SecurityNote } from './security-notes';

/** A hard limit of the brief that a film misses. */
export type LimitMiss =
  | { readonly case: 'too little light kept'; readonly kept: number; readonly least: number }
  | { readonly case: 'too little heat off'; readonly off: number; readonly least: number };

/** Why a film may go on a surface, or may not. */
export type FilmReason =
  | StressReason
  | FitnessReason
  | { readonly case: 'not for this kind of surface'; readonly kind: SurfaceKind }
  | { readonly case: 'not for glass' }
  | { readonly case: 'does not follow curved glass' }
  | { readonly case: 'for vehicles only' }
  | { readonly case: 'outside not open to film' }
  | { readonly case: 'room side not open to film' }
  | {
      readonly case: 'figures refused';
      readonly path: string;
      readonly got: string;
      readonly expected: string;
    }
  | { readonly case: 'make-up not known' }
  | { readonly case: 'surface not known' }
  | { readonly case: 'its sheet does not say'; readonly missing: readonly string[] }
  | { readonly case: 'light and sun do not go together'; readonly question: SheetQuestion }
  | {
      readonly case: 'sweats sooner';
      readonly face_C: number;
      readonly bare_C: number;
      readonly dewPoint_C: number;
    }
  | { readonly case: 'calculated with the film on the other side' };

/** What to do, to find out, or to know about it. */
export type FilmAdvice =
  | StressAdvice
  | SecurityNote
  | FitnessNeed
  | { readonly case: 'note the make-up' }
  | { readonly case: 'note what it is made of' }
  | { readonly case: 'ask its maker for figures' };

/** Why another film is better here. */
export type WhyNot =
  | LimitMiss
  | { readonly case: 'lacks the look' }
  | { readonly case: 'lets in more heat'; readonly points: number }
  | { readonly case: 'keeps less light'; readonly points: number }
  | { readonly case: 'meets the wishes less'; readonly score: number; readonly best: number };
