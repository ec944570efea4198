/** The four answers the program gives to 'may I?', in order of care. */
export type Verdict = 'go' | 'go with care' | 'unknown' | 'stop';

const ORDER: readonly Verdict[] = ['go', 'go with care', 'unknown', 'stop'];

/** The most careful of several verdicts; `unknown` when there are none. */
export function worstVerdict(verdicts: readonly Verdict[]): Verdict {
  return (
    verdicts.reduce<Verdict | undefined>(
      (worst, next) => (worst === undefined || ORDER.indexOf(next) > ORDER.indexOf(worst) ? next : worst),
      undefined,
    ) ?? 'unknown'
  );
}
