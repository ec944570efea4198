import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { PGlite } from '@electric-sql/pglite';
import { v5 as idFrom } from 'uuid';

/**
 * Writes the database of an earlier commit as SQL text: its tables, its migration journal and a few rows.
 * Every later version must open it. `npx tsx scripts/keep-data-sql.ts d11b43f 0.1.0-first`
 */
const [commit = '', version = ''] = process.argv.slice(2);
const AT = '2026-11-20T09:00:00.000Z';
const id = (name: string): string => idFrom(name, '0199b9a6-0007-7000-8000-000000000001');
const fileAt = (path: string): string => {
  const { status, stdout, stderr } = spawnSync('git', ['show', `${commit}:server/migrations/${path}`], {
    encoding: 'utf8',
    maxBuffer: 1 << 26,
  });
  if (status !== 0) throw new Error(stderr);
  return stdout;
};

/**
 * A few rows of the tables that every version has; columns not named here are filled with what their type
 * takes.
 */
const ROWS: readonly (readonly [
  table: string,
  given: Readonly<Record<string, string | number | boolean>>,
])[] = [
  [
    'film',
    {
      id: id('film'),
      name: 'neutral 35',
      family: 'solar',
      use: 'inside',
      direction: 'any',
      handling: 'wet',
      invented: true,
    },
  ],
  ['film_width', { film_id: id('film'), width_nm: 1_524_000_000 }],
  ['job', { id: id('job'), name: 'Kestrel Hill', entry_unit: 'mm' }],
  ['place', { id: id('place'), job_id: id('job'), kind: 'building', name: 'Lower station' }],
  [
    'surface',
    {
      id: id('surface'),
      job_id: id('job'),
      place_id: id('place'),
      tag: 'SW1',
      name: 'far left',
      kind: 'pane',
      seen_from: 'room',
      condition: 'sound',
    },
  ],
  [
    'measure',
    {
      id: id('measure'),
      job_id: id('job'),
      surface_id: id('surface'),
      from_point: 'tl',
      to_point: 'tr',
      text: '34 5/8',
      unit: 'in',
      value_nm: 879_475_000,
      instrument: 'tape',
    },
  ],
  [
    'application',
    {
      id: id('application'),
      job_id: id('job'),
      surface_id: id('surface'),
      film_id: id('film'),
      side: 'room',
      method: 'trim in place',
      liner_school: 'hang and pull',
      lock_school: 'X',
      trim_school: 'before squeezing out',
    },
  ],
  [
    'work_record',
    {
      id: id('work'),
      job_id: id('job'),
      application_id: id('application'),
      template: 'flat glass',
      step: 'clean',
      template_version: 1,
      note: 'kept',
    },
  ],
  ['change', { id: id('change'), job_id: id('job'), session: id('session'), who: 'Wren', seq: 1 }],
  ['history', { id: 1, seq: 1, table_name: 'measure', row_id: id('measure'), version: 1, op: 'put' }],
];

interface Column {
  readonly column_name: string;
  readonly data_type: string;
  readonly is_nullable: string;
  readonly column_default: string | null;
}

const journal = JSON.parse(fileAt('meta/_journal.json')) as {
  readonly entries: readonly { readonly tag: string; readonly when: number }[];
};
const files = journal.entries.map(({ tag, when }) => ({ tag, when, text: fileAt(`${tag}.sql`) }));
const database = await PGlite.create();
for (const { text } of files) await database.exec(text.replaceAll('--> statement-breakpoint', ''));
const inserts: string[] = [];
for (const [table, given] of ROWS) {
  const { rows } = await database.query<Column>(
    `select column_name, data_type, is_nullable, column_default from information_schema.columns where table_schema = 'public' and table_name = $1 order by ordinal_position`,
    [table],
  );
  const filled = rows.flatMap(
    ({ column_name: name, data_type: type, is_nullable: nullable, column_default: usual }) =>
      name in given
        ? [[name, literal(given[name])] as const]
        : nullable === 'YES' || usual !== null
          ? []
          : [[name, literal(filler(name, type))] as const],
  );
  inserts.push(
    `INSERT INTO "${table}" (${filled.map(([name]) => `"${name}"`).join(', ')}) VALUES (${filled.map(([, value]) => value).join(', ')});`,
  );
  await database.exec(inserts.at(-1) ?? '');
}
await database.close();
const marks = files.map(
  ({ when, text }) =>
    `INSERT INTO "drizzle"."__drizzle_migrations" ("hash", "created_at") VALUES ('${createHash('sha256').update(text).digest('hex')}', ${when});`,
);
const made = [
  `-- The tables, journal and a few rows of a data folder as commit ${commit} made it (scripts/keep-data-sql.ts).`,
  ...files.map(({ text }) => text.replaceAll('--> statement-breakpoint', '')),
  'CREATE SCHEMA "drizzle";',
  'CREATE TABLE "drizzle"."__drizzle_migrations" (id SERIAL PRIMARY KEY, hash text NOT NULL, created_at bigint);',
  ...marks,
  ...inserts,
  '',
].join('\n');
const path = fileURLToPath(new URL(`../server/src/testing/fixtures/data-${version}.sql`, import.meta.url));
writeFileSync(path, made);
console.log(`${path}: ${(made.length / 1024).toFixed(0)} KiB`);

function literal(value: string | number | boolean | undefined): string {
  return typeof value === 'string' ? `'${value.replaceAll("'", "''")}'` : String(value);
}

function filler(name: string, type: string): string | number | boolean {
  if (type.startsWith('timestamp')) return AT;
  if (type === 'boolean') return false;
  if (type === 'text') return name === 'made_by' || name === 'changed_by' ? 'Wren' : '';
  if (type === 'jsonb') return '[]';
  return 1;
}
