import type { Signed } from '../signed';

/** From where a surface is looked at. */
export const LOOK_VIEWS = [
  'square',
  'from the left',
  'from the right',
  'edges',
  'from behind',
  'warm air',
] as const;
export type LookView = (typeof LOOK_VIEWS)[number];

/**
 * A round of a surface: by which rules it is judged, in which light, from which views, and who took it over.
 */
export interface Inspection {
  readonly surfaceId: string;
  /** Of the job; null: a set that ships with the program, by its name. */
  readonly ruleSetId: string | null;
  readonly setName: string;
  readonly setVersion: number;
  readonly distance_mm: number;
  readonly light: string;
  readonly views: readonly LookView[];
  /** Of the outline that was gone round: measured anew, the strips lie elsewhere. */
  readonly inputsHash: string;
  readonly begun: Signed;
  /** Null: nobody has taken it over yet. */
  readonly accepted: Signed | null;
}

/** One piece of a round has been looked at. */
export interface LookTick {
  readonly inspectionId: string;
  readonly view: LookView;
  /** From 1, within its view. */
  readonly strip: number;
  readonly said: Signed;
}

/** What is done about a mark. */
export const MARK_VERDICTS = [
  'accept',
  'accept by rule',
  'watch',
  'fix now',
  'measure it',
  'redo',
  'stop',
] as const;
export type MarkVerdict = (typeof MARK_VERDICTS)[number];

/** What a person decided about a mark, or took over as judged: kept as it was then. */
export interface MarkDecisionRow {
  readonly markId: string;
  readonly inspectionId: string | null;
  readonly verdict: MarkVerdict;
  /** By the rules, or by an eye at their distance: an eye wins. */
  readonly by: 'the rules' | 'an eye';
  /** The rule and number that decided, as they were said. */
  readonly reason: string;
  /** Rule set, its version, light and distance. */
  readonly under: string;
  /** Of the mark and the rule set as they were: changed since, it no longer counts. */
  readonly inputsHash: string;
  /** An instant; null: nothing to wait for. */
  readonly watchUntil: string | null;
  readonly said: Signed;
}

/** Why somebody comes back. */
export const VISIT_KINDS = [
  'pockets gone?',
  'edges, second look',
  'sealant back',
  'first cleaning',
  'test piece',
  'put back',
  'warm the room',
  'put right',
  'other',
] as const;
export type VisitKind = (typeof VISIT_KINDS)[number];

export interface VisitReason {
  /** The same reason has the same key however often it is calculated. */
  readonly key: string;
  readonly kind: VisitKind;
  readonly surfaceId: string | null;
  readonly applicationId: string | null;
  readonly markId: string | null;
}

/** One trip that serves one reason or several. */
export interface Visit {
  readonly reasons: readonly VisitReason[];
  /** Instants; null: any time. */
  readonly notBefore: string | null;
  readonly due: string | null;
  readonly plannedAt: string | null;
  readonly people: readonly string[];
  readonly state: 'open' | 'done' | 'not needed';
  readonly note: string;
}

/** What is seen, as the tables of causes have it. */
export const DIAGNOSED_LOOKS = [
  'dryBubbles',
  'waterPocket',
  'liftingEdge',
  'nib',
  'crease',
  'finger',
  'lightGap',
  'scratch',
  'haze',
  'glueLine',
  'jointTrap',
  'seamOpen',
  'glassCrack',
] as const;
export type DiagnosedLook = (typeof DIAGNOSED_LOOKS)[number];

/** How a cause came to be confirmed: what is believed counts half, a remedy that worked by its own weight. */
export const CONFIRMED_HOW = ['seen', 'believed', 'remedy worked'] as const;

/** Why marks are there: what a person answered, and what was confirmed in the end. */
export interface CauseCase {
  readonly markIds: readonly string[];
  readonly look: DiagnosedLook;
  /** A person's own; what the job's record says is asked anew each time. */
  readonly answers: readonly { readonly evidence: string; readonly state: string }[];
  /** Of the tables it was judged by. */
  readonly tableVersion: number;
  /** Shares as calculated when it was confirmed, another cause last, before any cap; null: not confirmed. */
  readonly posterior: readonly number[] | null;
  /** Null: nobody knows yet. */
  readonly confirmed: string | null;
  readonly how: (typeof CONFIRMED_HOW)[number] | null;
  /** What mended it, where that is how it is known; null: nothing did, or nobody said what. */
  readonly remedy: string | null;
  readonly said: Signed | null;
}

/** Why something is there that is in no job: work of others, or a call. */
export interface CaseApart extends Omit<CauseCase, 'markIds' | 'said'> {
  /** Whose work, where, what film: in a few words. */
  readonly where: string;
}
