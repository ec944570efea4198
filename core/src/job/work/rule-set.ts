import type { Source } from '../../quantity';
import type { MarkLook } from './fit-rows';

/** How many of a kind a surface may have. */
export type MarkLimit =
  | { readonly case: 'at most'; readonly count: number }
  | { readonly case: 'a square metre'; readonly count: number }
  /** The first step that reaches the area counts; null: any area. */
  | {
      readonly case: 'by area';
      readonly steps: readonly {
        readonly upTo_m2: number | null;
        readonly count: number;
        readonly isPerM2: boolean;
      }[];
    }
  /** Any number, but no two nearer than this. */
  | { readonly case: 'apart'; readonly least_mm: number };

/** One line of a rule set. Spots go by their size, lines by their length. */
export interface MarkRule {
  readonly kind: 'spot' | 'line';
  readonly over_mm: number;
  /** Null: however large. */
  readonly to_mm: number | null;
  readonly zone: 'any' | 'main' | 'edge';
  readonly limit: MarkLimit;
}

/** What a rule set says, without what it is called and where it comes from. */
export interface SetOfRules {
  readonly distance_m: number;
  readonly angles_deg: readonly [from: number, to: number];
  readonly light: string;
  /** How wide the edge zone is: mm, more over so many square metres; or a share of each dimension. */
  readonly edge:
    | { readonly mm: number; readonly mmOver: { readonly area_m2: number; readonly mm: number } | null }
    | { readonly share: number };
  /** What is seen and breaks no rule is accepted; or it must not be obtrusive, which a person says. */
  readonly ofSeen: 'accepted by the rules' | 'must not be obtrusive';
  readonly rules: readonly MarkRule[];
  /**
   * So many nearer than this to each other are a cluster, smaller ones than `from_mm` not counted; null: not
   * judged.
   */
  readonly cluster: { readonly count: number; readonly within_mm: number; readonly from_mm: number } | null;
  /** Looks that dry and are watched until their date. */
  readonly watched: readonly MarkLook[];
  /** A gap along the edge is accepted between these, mm; null: not judged. */
  readonly gap_mm: { readonly least: number; readonly most: number; readonly mostThick: number } | null;
  /**
   * Least share of light that must come through glass and film, as the shop knows its law; null: not typed.
   */
  readonly leastLight: number | null;
}

/** By which rules marks are judged. */
export interface RuleSet extends SetOfRules {
  readonly name: string;
  readonly version: number;
  readonly source: Source;
}

/** A rule set copied to the job and edited there; each change makes its next version. */
export interface OwnRuleSet {
  readonly name: string;
  /** Of the rules; the row has a version of its own. */
  readonly setVersion: number;
  /** Name of the set it was copied from. */
  readonly copyOf: string;
  readonly source: Source;
  readonly rules: SetOfRules;
}
