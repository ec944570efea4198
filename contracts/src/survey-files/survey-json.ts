import {
  type FieldsOf,
  JOB_TABLES,
  type JobTable,
  NEW_PANE,
  NEW_PLACE,
  NEW_SURFACE,
  NO_SITE_FACTS,
  NO_WALL_FACTS,
  referencesFrom,
} from '@yellow-pane/core/job';
import * as z from 'zod';
import type { Op } from '../change';
import { idSchema } from '../primitives';
import { ROW_FIELDS } from '../rows';

/** Tables a survey file carries, parents first. */
export const SURVEY_TABLES = JOB_TABLES.filter((table): table is SurveyTable =>
  ['place', 'glassUnit', 'glassPane', 'surface', 'siteFacts', 'wallFacts', 'part', 'measure'].includes(table),
);
type SurveyTable =
  'place' | 'glassUnit' | 'glassPane' | 'surface' | 'siteFacts' | 'wallFacts' | 'part' | 'measure';

export interface SurveyFile {
  readonly format: 'yellow-pane survey';
  readonly version: 1;
  readonly name: string;
  readonly rows: { readonly [Table in SurveyTable]: readonly (FieldsOf<Table> & { readonly id: string })[] };
}

/** As a row is before anything is said. */
function unsaid<Row extends object>(row: Row, ...fields: readonly (keyof Row)[]): Partial<Row> {
  return Object.fromEntries(fields.map((field) => [field, row[field]])) as Partial<Row>;
}

/** What files of earlier versions did not hold yet. */
const SINCE: Partial<Record<SurveyTable, Readonly<Record<string, unknown>>>> = {
  place: unsaid(NEW_PLACE, 'climate'),
  glassUnit: { edgeFinish: 'unseen', edgeDepth_nm: null },
  glassPane: unsaid(NEW_PANE, 'tint', 'coating', 'coatedSide', 'gasAfter'),
  surface: unsaid(NEW_SURFACE, 'edgesSeen'),
  part: { planRadius_nm: null, edgeRadius_nm: null },
  siteFacts: {
    ...unsaid(NO_SITE_FACTS, 'sun', 'blind', 'heatOutlet', 'rescueGlass', 'consent'),
    ...unsaid(NO_SITE_FACTS, 'oldFilm', 'oldFilmArea_m2', 'oldFilmYears', 'residue'),
  },
  wallFacts: {
    ...unsaid(NO_WALL_FACTS, 'paintAge', 'paintKind', 'tapeTest'),
    ...unsaid(NO_WALL_FACTS, 'flatness_nm', 'moisture', 'ground_C', 'ground'),
  },
};

/** A row of an earlier version brought up to this one: what it did not ask is unknown. */
function upToDate(table: SurveyTable, row: unknown): unknown {
  const since = SINCE[table];
  if (since === undefined || typeof row !== 'object' || row === null) return row;
  const { coated, ...rest } = row as Readonly<Record<string, unknown>>;
  return { ...since, ...(coated === 'no' ? { coating: 'none' } : {}), ...rest };
}

const rowsOf = (table: SurveyTable): z.ZodType =>
  z
    .array(
      z.preprocess(
        (row) => upToDate(table, row),
        (ROW_FIELDS[table] as z.ZodObject).extend({ id: idSchema }),
      ),
    )
    .max(200_000);
export const surveyFileSchema = z.strictObject({
  format: z.literal('yellow-pane survey'),
  version: z.literal(1),
  name: z.string().max(200),
  rows: z.strictObject(
    Object.fromEntries(SURVEY_TABLES.map((table) => [table, rowsOf(table)])) as Record<
      SurveyTable,
      z.ZodType
    >,
  ),
}) as unknown as z.ZodType<SurveyFile>;

/**
 * The operations that add a survey file to a job under new identifiers; references that lead out of the file
 * become none.
 */
export function surveyFileOps({ rows }: SurveyFile, makeId: () => string): readonly Op[] {
  const ids = new Map<string, string>();
  for (const table of SURVEY_TABLES) for (const { id } of rows[table]) ids.set(id, makeId());
  return SURVEY_TABLES.flatMap((table) =>
    ordered(
      table,
      rows[table] as unknown as readonly (Readonly<Record<string, unknown>> & { readonly id: string })[],
    ).map(({ id, ...fields }) => {
      const references = new Set(referencesFrom(table).map(({ field }) => field));
      const mapped = Object.fromEntries(
        Object.entries(fields).map(([key, value]) => [
          key,
          references.has(key) && typeof value === 'string' ? (ids.get(value) ?? null) : value,
        ]),
      );
      return { op: 'put', table, id: ids.get(id) ?? makeId(), fields: mapped } as unknown as Op;
    }),
  );
}

/** Rows that refer to rows of their own table come after them. */
function ordered<Row extends Readonly<Record<string, unknown>> & { readonly id: string }>(
  table: JobTable,
  rows: readonly Row[],
): readonly Row[] {
  const key = table === 'place' ? 'parentId' : table === 'surface' ? 'sameAsId' : undefined;
  if (key === undefined) return rows;
  const own = new Set(rows.map(({ id }) => id));
  const done = new Set<string>();
  const out: Row[] = [];
  for (let waiting = [...rows]; waiting.length > 0;) {
    const ready = waiting.filter(
      (row) => typeof row[key] !== 'string' || !own.has(row[key]) || done.has(row[key]),
    );
    const next = ready.length > 0 ? ready : waiting;
    next.forEach((row) => {
      done.add(row.id);
      out.push(row);
    });
    waiting = waiting.filter((row) => !done.has(row.id));
  }
  return out;
}

/** Reads a survey file. @returns the file, or what is wrong with it and where */
export function readSurveyFile(text: string): { readonly file: SurveyFile } | { readonly refused: string } {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return { refused: 'This is not JSON: it breaks off or has a stray character.' };
  }
  const parsed = surveyFileSchema.safeParse(value);
  if (parsed.success) return { file: parsed.data };
  const issue = parsed.error.issues[0];
  return { refused: `At ${issue?.path.join('.') ?? 'the start'}: ${issue?.message ?? 'it does not fit'}.` };
}
