import { valueAt } from '../quantity';
import { type EvidenceRow, type LookTable, type RemedyRow, isOfTable } from './look-table';
import { BELIEF, type DiagnosisAsked, likelihoods, posteriorOf } from './posterior';

/** What asking would bring. */
interface QuestionWorth {
  readonly id: string;
  /** Doubt that would go, bits. */
  readonly gain_bit: number;
  /** Fall of the least expected cost, minutes. */
  readonly worth_min: number;
  readonly cost_min: number;
}

export interface CostlyRemedy {
  readonly id: string;
  readonly cost_min: number;
  /** Chance that it mends the defect. */
  readonly chance: number;
}

const sum = (values: readonly number[]): number => values.reduce((all, value) => all + value, 0);
const entropy_bit = (shares: readonly number[]): number =>
  -sum(shares.map((share) => (share <= 0 ? 0 : share * Math.log2(share))));

/** Chances of the states under each cause, tempered as answers are: r^λ, each row making one. */
function tempered(row: EvidenceRow, lambda: number): readonly (readonly number[])[] {
  const columns = row.states.map((state) => likelihoods(row, state) ?? []);
  const causes = columns[0]?.length ?? 0;
  const raised = columns.map((column) => column.map((chance) => chance ** lambda));
  const all = Array.from({ length: causes }, (_, cause) =>
    sum(raised.map((column) => valueAt(column, cause))),
  );
  return raised.map((column) => column.map((chance, cause) => chance / (all[cause] ?? 1)));
}

/** Shares after each state that an answer could have, with the chance of it. */
function branches(
  shares: readonly number[],
  row: EvidenceRow,
  lambda: number,
): readonly { readonly chance: number; readonly shares: readonly number[] }[] {
  return tempered(row, lambda).map((column) => {
    const joint = shares.map((share, cause) => share * valueAt(column, cause));
    const chance = sum(joint);
    return { chance, shares: joint.map((own) => (chance === 0 ? 0 : own / chance)) };
  });
}

/**
 * What a remedy costs on average: its own minutes, and the redo where it does not help. Under another cause
 * it helps as under all of them on average.
 */
function remedyCost(remedy: RemedyRow, shares: readonly number[], redo_min: number): CostlyRemedy {
  const cures = [...remedy.cures, sum(remedy.cures) / remedy.cures.length];
  const chance = sum(shares.map((share, cause) => share * valueAt(cures, cause)));
  return { id: remedy.id, chance, cost_min: remedy.cost_min + (1 - chance) * redo_min };
}

/** Remedies by what they cost on average, the least first. */
export const remediesOf = (
  { remedies }: LookTable,
  shares: readonly number[],
  redo_min: number,
): readonly CostlyRemedy[] =>
  remedies
    .map((remedy) => remedyCost(remedy, shares, redo_min))
    .sort((a, b) => a.cost_min - b.cost_min || (a.id < b.id ? -1 : 1));

/** Remedies where two causes fired together: each must be mended, by the one remedy. */
export const remediesForBoth = (
  { causes, remedies }: LookTable,
  both: readonly string[],
  redo_min: number,
): readonly CostlyRemedy[] =>
  remedies
    .map(({ id, cost_min, cures }) => {
      const chance = causes.reduce(
        (all, cause, index) => (both.includes(cause.id) ? all * valueAt(cures, index) : all),
        1,
      );
      return { id, chance, cost_min: cost_min + (1 - chance) * redo_min };
    })
    .sort((a, b) => a.cost_min - b.cost_min || (a.id < b.id ? -1 : 1));

/**
 * Shares of the named causes once a remedy has worked.
 * @returns undefined when it is no remedy of this table, or the shares are of another table
 * @source Bayes
 */
export function whenItWorked(
  table: LookTable,
  shares: readonly number[],
  remedy: string,
): readonly number[] | undefined {
  const own = table.remedies.find(({ id }) => id === remedy);
  if (own === undefined || !isOfTable(table, shares)) return undefined;
  const cures = [...own.cures, sum(own.cures) / own.cures.length];
  const joint = shares.map((share, cause) => share * valueAt(cures, cause));
  return joint.map((one) => one / sum(joint));
}

const leastCost = (table: LookTable, shares: readonly number[], redo_min: number): number =>
  remediesOf(table, shares, redo_min)[0]?.cost_min ?? redo_min;

/** What one question would bring now. */
export function questionWorth(asked: DiagnosisAsked, row: EvidenceRow, redo_min: number): QuestionWorth {
  const { table, lambda = BELIEF.lambda } = asked;
  const shares = posteriorOf(asked);
  const after = branches(shares, row, lambda);
  return {
    id: row.id,
    gain_bit: entropy_bit(shares) - sum(after.map((own) => own.chance * entropy_bit(own.shares))),
    worth_min:
      leastCost(table, shares, redo_min) -
      sum(after.map((own) => own.chance * leastCost(table, own.shares, redo_min))),
    cost_min: row.cost_min,
  };
}

/** What the program calculates itself, and what only days to come can tell: the text of the watch. */
const NOT_ASKED: readonly string[] = ['computed', 'asked later'];
/** What a person can still say of it. */
export const toAsk = ({ table, seen }: DiagnosisAsked): readonly EvidenceRow[] =>
  table.evidence.filter(({ id, source }) => seen[id] === undefined && !NOT_ASKED.includes(source));

/** No more than so many are asked. */
const MOST_QUESTIONS = 5;

/** The question most worth its minutes; undefined: none is worth asking, or enough were asked. */
export function nextQuestion(
  asked: DiagnosisAsked,
  redo_min: number,
  askedAlready: number,
): QuestionWorth | undefined {
  if (askedAlready >= MOST_QUESTIONS) return undefined;
  const [best] = toAsk(asked)
    .map((row) => questionWorth(asked, row, redo_min))
    .sort((a, b) => b.worth_min - b.cost_min - (a.worth_min - a.cost_min) || b.gain_bit - a.gain_bit);
  return best === undefined || best.worth_min - best.cost_min <= 0 ? undefined : best;
}
