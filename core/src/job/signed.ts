/** Said by a person on a day. */
export interface Signed {
  readonly personId: string | null;
  /** The name as it was. */
  readonly who: string;
  /** An instant, ISO 8601. */
  readonly at: string;
}
