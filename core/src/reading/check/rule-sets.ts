import type { RowOf, RuleSet, SetOfRules } from '../../job';
import { RULE_SETS } from '../../judging';
import type { JobView } from '../view/job-view';

/** A rule set that marks of a job may be judged by. */
export interface SetOfJob extends RuleSet {
  /** Of the copy in the job; null: it ships with the program. */
  readonly id: string | null;
}

const fromRow = ({ id, name, setVersion, source, rules }: RowOf<'ruleSet'>): SetOfJob => ({
  ...rules,
  ...{ id, name, version: setVersion, source },
});

/** The job's own first, then the published kinds. */
export const ruleSetsOf = (view: JobView): readonly SetOfJob[] => [
  ...view.ruleSets.map(fromRow),
  ...RULE_SETS.map((set) => ({ ...set, id: null })),
];

/** By which a surface is judged: as its last round was, else as the last round of the job, else the first. */
export function ruleSetFor(view: JobView, surfaceId: string): SetOfJob | undefined {
  const sets = ruleSetsOf(view);
  const rounds = [...view.rows.inspection].sort((a, b) => (a.begun.at < b.begun.at ? 1 : -1));
  const last = view.inspectionsOf(surfaceId).at(-1) ?? rounds[0];
  const found = sets.find(({ id, name }) =>
    last?.ruleSetId == null ? id === null && name === last?.setName : id === last.ruleSetId,
  );
  return found ?? sets[0];
}

/** What a set says, as a row of the job keeps it. */
export function rulesOfSet(set: SetOfRules): SetOfRules {
  const { distance_m, angles_deg, light, edge, ofSeen, rules, cluster, watched, gap_mm, leastLight } = set;
  return { distance_m, angles_deg, light, edge, ofSeen, rules, cluster, watched, gap_mm, leastLight };
}
