import type { JobTable } from './row';

/** A field that names another row of the same job, and what becomes of its row once that one is removed. */
export interface Reference {
  readonly table: JobTable;
  readonly field: string;
  readonly to: JobTable;
  readonly whenGone: 'removed too' | 'cleared';
}

const child = (table: JobTable, field: string, to: JobTable): Reference => ({
  table,
  field,
  to,
  whenGone: 'removed too',
});
const loose = (table: JobTable, field: string, to: JobTable): Reference => ({
  table,
  field,
  to,
  whenGone: 'cleared',
});

/** Which rows refer to which: the one list that page, server and files go by. */
export const REFERENCES: readonly Reference[] = [
  child('place', 'parentId', 'place'),
  child('filmBrief', 'placeId', 'place'),
  child('glassPane', 'unitId', 'glassUnit'),
  child('surface', 'placeId', 'place'),
  loose('surface', 'unitId', 'glassUnit'),
  loose('surface', 'sameAsId', 'surface'),
  child('siteFacts', 'surfaceId', 'surface'),
  child('wallFacts', 'surfaceId', 'surface'),
  child('part', 'surfaceId', 'surface'),
  child('measure', 'surfaceId', 'surface'),
  child('application', 'surfaceId', 'surface'),
  child('mark', 'surfaceId', 'surface'),
  loose('mark', 'applicationId', 'application'),
  child('photo', 'surfaceId', 'surface'),
  loose('photo', 'partId', 'part'),
  loose('photo', 'markId', 'mark'),
  loose('photo', 'applicationId', 'application'),
  child('reading', 'surfaceId', 'surface'),
  loose('reading', 'applicationId', 'application'),
  loose('reading', 'markId', 'mark'),
  child('seamChoice', 'applicationId', 'application'),
  child('cutRoll', 'planId', 'cutPlan'),
  child('cutPiece', 'planId', 'cutPlan'),
  child('cutPiece', 'rollId', 'cutRoll'),
  child('cutPiece', 'applicationId', 'application'),
  child('offcut', 'cutRollId', 'cutRoll'),
  child('stockTake', 'cutRollId', 'cutRoll'),
  child('plannedStep', 'applicationId', 'application'),
  child('workRecord', 'applicationId', 'application'),
  child('waitEnd', 'applicationId', 'application'),
  child('gateTick', 'applicationId', 'application'),
  child('ownPlan', 'applicationId', 'application'),
  loose('testPiece', 'surfaceId', 'surface'),
  loose('photo', 'pairOfId', 'photo'),
  child('inspection', 'surfaceId', 'surface'),
  loose('inspection', 'ruleSetId', 'ruleSet'),
  child('lookTick', 'inspectionId', 'inspection'),
  child('markDecision', 'markId', 'mark'),
  loose('markDecision', 'inspectionId', 'inspection'),
  loose('quote', 'alternativeOfId', 'quote'),
  loose('extra', 'likeSurfaceId', 'surface'),
];

/** The references that stand in rows of a table. */
export function referencesFrom(table: JobTable): readonly Reference[] {
  return REFERENCES.filter((reference) => reference.table === table);
}

/** The references that lead to rows of a table. */
export function referencesTo(table: JobTable): readonly Reference[] {
  return REFERENCES.filter((reference) => reference.to === table);
}

/** What a removal brings with it: a row that is removed too, or one whose field is cleared. */
interface Consequence {
  readonly table: JobTable;
  readonly id: string;
  /** Absent: the row is removed. */
  readonly cleared?: string;
}

type RowOfAny = { readonly id: string } & Readonly<Record<string, unknown>>;

/** What has to go, or be cleared, with a row that is removed: children before their parents, each row once.
 *  @param rowsOf the rows of a table that are there */
export function consequencesOf(
  table: JobTable,
  id: string,
  rowsOf: (table: JobTable) => readonly object[],
): readonly Consequence[] {
  const found: Consequence[] = [];
  const removed = new Set<string>([id]);
  const follow = (to: JobTable, gone: string): void => {
    for (const reference of referencesTo(to)) {
      for (const row of rowsOf(reference.table) as readonly RowOfAny[]) {
        if (row[reference.field] !== gone || removed.has(row.id)) continue;
        if (reference.whenGone === 'cleared') {
          found.push({ table: reference.table, id: row.id, cleared: reference.field });
          continue;
        }
        removed.add(row.id);
        follow(reference.table, row.id);
        found.push({ table: reference.table, id: row.id });
      }
    }
  };
  follow(table, id);
  return found.filter(({ id: own, cleared }) => cleared === undefined || !removed.has(own));
}
