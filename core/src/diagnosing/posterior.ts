import { valueAt } from '../quantity';
import type { EvidenceRow, LookTable } from './look-table';

/** The name of what is not in a table. */
export const ANOTHER_CAUSE = 'another cause';

/**
 * How far answers are believed, and what is left to causes that are not in the table. Our judgement (model
 * 5).
 */
export const BELIEF = { lambda: 0.8, alphaOther: 0.08, m0: 20 } as const;

export interface DiagnosisAsked {
  readonly table: LookTable;
  /** Answers by evidence; what is not here is unknown and changes nothing. */
  readonly seen: Readonly<Record<string, string>>;
  /** What the record of the job knows: 1 it was so, 0 it was not; else a chance. */
  readonly present: Readonly<Record<string, number>>;
  /** Confirmed cases of this look by cause. */
  readonly confirmed?: Readonly<Record<string, number>>;
  readonly lambda?: number;
  readonly alphaOther?: number;
  readonly m0?: number;
}

/** Share of each cause, the last one of another cause. */
export interface CauseShare {
  readonly id: string;
  readonly share: number;
}

const total = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0);
const normalised = (values: readonly number[]): readonly number[] => {
  const all = total(values);
  return values.map((value) => value / all);
};
/** No chance in a table is quite nothing or quite certain. */
const LEAST = 1e-9;

/** Chance that each cause alone would have made the defect: chance · present. */
export const chancesOf = ({ table, present }: Pick<DiagnosisAsked, 'table' | 'present'>): readonly number[] =>
  table.causes.map(({ id, chance, present: usual }) => chance * (present[id] ?? usual));

/**
 * Shares before any answer: given that exactly one cause fired, as the odds of each; mixed with another
 * cause; moved by confirmed cases.
 * @source noisy-or, exact for one cause (closed form); Dirichlet over cases
 */
export function priorOf(asked: DiagnosisAsked): readonly number[] {
  const { alphaOther = BELIEF.alphaOther, m0 = BELIEF.m0, confirmed = {} } = asked;
  const odds = chancesOf(asked).map((x) => x / (1 - Math.min(x, 1 - LEAST)));
  const shares = [...normalised(odds).map((share) => (1 - alphaOther) * share), alphaOther];
  const counts = [...asked.table.causes.map(({ id }) => id), ANOTHER_CAUSE].map((id) => confirmed[id] ?? 0);
  const cases = total(counts);
  return shares.map((share, index) => (m0 * share + valueAt(counts, index)) / (m0 + cases));
}

/** Chance of an answer under each cause, under another cause as under all of them on average. */
export function likelihoods({ states, rows }: EvidenceRow, answer: string): readonly number[] | undefined {
  const state = states.indexOf(answer);
  if (state < 0) return undefined;
  const own = rows.map((row) => valueAt(row, state));
  return [...own, total(own) / own.length];
}

/** Shares after answers: each believed λ times, of a group the strongest alone. */
export function posteriorOf(asked: DiagnosisAsked): readonly number[] {
  const { table, seen, lambda = BELIEF.lambda } = asked;
  const prior = priorOf(asked);
  const answered = table.evidence.flatMap((row) => {
    const answer = seen[row.id];
    const chances = answer === undefined ? undefined : likelihoods(row, answer);
    return chances === undefined ? [] : [{ row, chances }];
  });
  const used = strongestOfGroups(answered, prior, lambda);
  const logs = prior.map(
    (share, index) =>
      Math.log(Math.max(LEAST, share)) +
      lambda * total(used.map(({ chances }) => Math.log(Math.max(LEAST, valueAt(chances, index))))),
  );
  const most = Math.max(...logs);
  return normalised(logs.map((log) => Math.exp(log - most)));
}

interface Answered {
  readonly row: EvidenceRow;
  readonly chances: readonly number[];
}

/**
 * Of answers of one group the one that tells the two leading causes apart most; the leaders are those of the
 * prior and of all groups with a single answer. A tie: the earlier row.
 */
function strongestOfGroups(
  answered: readonly Answered[],
  prior: readonly number[],
  lambda: number,
): readonly Answered[] {
  const groups = new Map<string, Answered[]>();
  for (const own of answered) groups.set(own.row.group, [...(groups.get(own.row.group) ?? []), own]);
  const single = [...groups.values()].filter((own) => own.length === 1).flat();
  const logs = prior.map(
    (share, index) =>
      Math.log(Math.max(LEAST, share)) +
      lambda * total(single.map(({ chances }) => Math.log(Math.max(LEAST, valueAt(chances, index))))),
  );
  const [first = 0, second = 0] = [...logs.keys()].sort((a, b) => valueAt(logs, b) - valueAt(logs, a));
  const apart = ({ chances }: Answered): number =>
    Math.abs(Math.log(Math.max(LEAST, valueAt(chances, first)) / Math.max(LEAST, valueAt(chances, second))));
  return [...groups.values()].flatMap((own) =>
    own.reduce<Answered[]>(
      ([best], next) => [best === undefined || apart(next) > apart(best) ? next : best],
      [],
    ),
  );
}

/** Shares with their names, the largest first. */
export const named = (
  { table }: Pick<DiagnosisAsked, 'table'>,
  shares: readonly number[],
): readonly CauseShare[] =>
  [...table.causes.map(({ id }) => id), ANOTHER_CAUSE]
    .map((id, index) => ({ id, share: valueAt(shares, index) }))
    .sort((a, b) => b.share - a.share);

/** No share is shown larger than that: the surplus goes to the others in proportion. */
export function capped(shares: readonly number[], cap: number): readonly number[] {
  const most = Math.max(...shares);
  if (most <= cap) return shares;
  const first = shares.indexOf(most);
  const rest = total(shares) - most;
  return shares.map((share, index) =>
    index === first ? cap : rest === 0 ? (1 - cap) / (shares.length - 1) : (share * (1 - cap)) / rest,
  );
}
