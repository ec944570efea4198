/** Minutes from the plan's beginning, from inclusive, to exclusive. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

export interface Person {
  readonly id: string;
  readonly name: string;
  readonly skills: readonly string[];
  /** When they work, in order, not overlapping. */
  readonly hours: readonly Span[];
}

/** Something of which there are so many: heat guns, ladders, a dust extractor. */
export interface Tool {
  readonly id: string;
  readonly word: string;
  readonly count: number;
}

/** A reason as it was given: in words, or as a case that is put into words where it is shown. */
export type Reason = string | { readonly case: string };

/** When a surface is fit to be worked on, and why not in between. */
export interface Fitness {
  readonly id: string;
  readonly spans: readonly Span[];
  readonly closed: readonly (Span & { readonly why: Reason })[];
}

/** Dust and wet film keep out of one another's way in one room; neither minds its like. */
export type Air = 'makes dust' | 'wants clean air';

/** One thing to do, without a break, by so many people at once. */
export interface PlanStep {
  readonly id: string;
  readonly word: string;
  readonly place: string;
  readonly minutes: number;
  readonly crew: number;
  /** What each of them must be able to do; null: anybody. */
  readonly skill: string | null;
  readonly tools: readonly { readonly tool: string; readonly count: number }[];
  /** Of `Fitness`; null: whenever people work. */
  readonly fitness: string | null;
  readonly room: string | null;
  readonly air: Air | null;
  /** Fixed by hand: it starts then and nothing moves it. */
  readonly pinned: number | null;
  /** Nothing of the plan, but the world: it is already later, or something done before still dries. */
  readonly notBefore?: { readonly minute: number; readonly why: string } | undefined;
}

/** From the end of one step to the start of another. */
export interface Lag {
  readonly from: string;
  readonly to: string;
  readonly least: number;
  /** null: as long as one likes. */
  readonly most: number | null;
  readonly why: string;
}

export interface PlanProblem {
  readonly people: readonly Person[];
  readonly tools: readonly Tool[];
  readonly fitness: readonly Fitness[];
  readonly steps: readonly PlanStep[];
  readonly lags: readonly Lag[];
  /** Nothing is planned after this minute. */
  readonly horizon: number;
}

export interface PlannedStep {
  readonly id: string;
  readonly start: number;
  readonly end: number;
  readonly people: readonly string[];
}

export const MOST_STEPS = 2000;
export const MOST_PEOPLE = 30;
