import { ANOTHER_CAUSE, BELIEF, type DiagnosisAsked, likelihoods, posteriorOf, priorOf } from './posterior';

/** How much an answer speaks for one cause against another. */
export type Strength = 'says little' | 'speaks somewhat' | 'speaks clearly' | 'speaks strongly';

interface SpeaksFor {
  readonly evidence: string;
  readonly answer: string;
  /** Above zero for the first cause, below for the second. */
  readonly decibans: number;
  readonly strength: Strength;
}

export interface Explained {
  readonly first: string;
  readonly second: string;
  /** What was thought before any answer. */
  readonly before_decibans: number;
  /** The strongest first. */
  readonly answers: readonly SpeaksFor[];
  /** Before and answers together: the odds that come out. */
  readonly odds_decibans: number;
}

const decibans = (a: number, b: number): number => 10 * Math.log10(a / b);

/** Words of a weight: under 2 little, to 5 somewhat, to 10 clearly, over strongly. Our judgement. */
export function strengthOf(weight_decibans: number): Strength {
  const size = Math.abs(weight_decibans);
  if (size < 2) return 'says little';
  if (size < 5) return 'speaks somewhat';
  return size < 10 ? 'speaks clearly' : 'speaks strongly';
}

/**
 * Why one cause stands before another: what each answer adds, which adds up to the odds exactly.
 * @source weight of evidence (Good, from memory)
 * @throws RangeError a cause that is not in the table
 */
export function explained(asked: DiagnosisAsked, first: string, second: string): Explained {
  const { table, seen, lambda = BELIEF.lambda } = asked;
  const ids = [...table.causes.map(({ id }) => id), ANOTHER_CAUSE];
  const [a, b] = [ids.indexOf(first), ids.indexOf(second)];
  if (a < 0 || b < 0)
    throw new RangeError(`cause: expected one of ${ids.join(', ')}, got ${first}, ${second}`);
  const [prior, posterior] = [priorOf(asked), posteriorOf(asked)];
  const answers = table.evidence
    .flatMap((row): readonly SpeaksFor[] => {
      const answer = seen[row.id];
      const chances = answer === undefined ? undefined : likelihoods(row, answer);
      if (answer === undefined || chances === undefined) return [];
      const weight = lambda * decibans(chances[a] ?? 1, chances[b] ?? 1);
      return [{ evidence: row.id, answer, decibans: weight, strength: strengthOf(weight) }];
    })
    .sort((one, other) => Math.abs(other.decibans) - Math.abs(one.decibans));
  return {
    ...{ first, second, answers },
    before_decibans: decibans(prior[a] ?? 1, prior[b] ?? 1),
    odds_decibans: decibans(posterior[a] ?? 1, posterior[b] ?? 1),
  };
}

/** No certainty is shown larger; less while few cases of a look are confirmed. Our judgement (model 5.5). */
const CAP = { most: 0.95, whileFew: 0.8, few: 10 } as const;

export const capOf = (confirmedCases: number): number => (confirmedCases < CAP.few ? CAP.whileFew : CAP.most);

/** As people say it: so many times in ten. */
export const inTenths = (share: number): number => Math.round(10 * share);
