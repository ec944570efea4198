import { mkdirSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, constants } from 'node:zlib';
import type { Op } from '@yellow-pane/contracts';
import { DEMO_JOB_ID, EXAMPLE_FILMS, demoOps } from '@yellow-pane/demo';
import { NO_BRIEF, NO_SITE_FACTS, NO_WALL_FACTS, NOT_BEGUN } from '@yellow-pane/core/job';
import { v5 as idFrom } from 'uuid';
import { openDatabase } from '../server/src/db/database';
import { learned, photoFile, supply } from '../server/src/db/schema';
import { applyChange } from '../server/src/features/changes/apply-change';
import { loadDemo } from '../server/src/features/demo/load-demo';

/**
 * Makes a data folder of this version with something in every table, few rows, as one compressed dump: every
 * later version must open it. `npx tsx scripts/keep-data-folder.ts 0.5.0`. Run once, before the tables
 * change.
 */
const version = process.argv[2] ?? 'unnamed';
const NOW = new Date('2026-11-29T14:00:00.000Z');
const id = (name: string): string => idFrom(name, '0199b9a6-0007-7000-8000-000000000001');
const { db, dump, close } = await openDatabase({
  migrationsFolder: fileURLToPath(new URL('../server/migrations', import.meta.url)),
});
await loadDemo(db, () => NOW);
const jobId = DEMO_JOB_ID;
const rows = demoOps();
const first = (table: Op['table']): string => rows.find((op) => op.table === table)?.id ?? '';
const surfaceId = first('surface');
const filmId = EXAMPLE_FILMS[1]?.id ?? '';
const [applicationId, planId, rollId, columnRollId, photoId] = [
  'application',
  'plan',
  'roll',
  'column roll',
  'photo',
].map(id) as [string, string, string, string, string];
const piece = {
  planId,
  applicationId,
  drop: 1,
  dropOf: 1,
  tag: 'SW1',
  position: 0,
  level: 0,
  y_nm: 0,
  turned: false,
  flipped: false,
  phase_nm: 0,
  topAlong: false,
  pinned: true,
  inputsHash: 'of another day',
  cutAt: null,
  spoiledAt: null,
};
/** Bottom 800, left 800, right 1400 as seen from the room, as 0.5.0 kept it for the plotter, liner up. */
const raked = [
  { x: 800, y: 1400 },
  { x: 0, y: 1400 },
  { x: 0, y: 0 },
  { x: 800, y: 600 },
];
const put = (table: Op['table'], rowId: string, fields: object): Op =>
  ({ op: 'put', table, id: rowId, fields }) as unknown as Op;
const ops: readonly Op[] = [
  put('filmBrief', id('brief'), { ...NO_BRIEF, placeId: first('place'), lessHeat: 3 }),
  ...(rows.some(({ table }) => table === 'siteFacts')
    ? []
    : [put('siteFacts', id('site'), { ...NO_SITE_FACTS, surfaceId })]),
  ...(rows.some(({ table }) => table === 'wallFacts')
    ? []
    : [put('wallFacts', id('wall'), { ...NO_WALL_FACTS, surfaceId })]),
  put('part', id('part'), {
    surfaceId,
    kind: 'furrow',
    name: 'joint',
    x_nm: null,
    y_nm: null,
    width_nm: 10_000_000,
    height_nm: null,
    depth_nm: 5_000_000,
    planRadius_nm: null,
    edgeRadius_nm: null,
    form: 'V',
    count: 6,
    takenOffAt: null,
    putBackAt: null,
    remark: '',
    position: 1,
  }),
  put('photo', photoId, {
    surfaceId,
    partId: null,
    markId: null,
    applicationId: null,
    step: null,
    takenAt: null,
    caption: 'crack',
    width_px: 1,
    height_px: 1,
    bytes: 3,
    position: 1,
  }),
  put('application', applicationId, {
    surfaceId,
    side: 'room',
    filmId,
    method: 'trim in place',
    schools: { liner: 'hang and pull', lock: 'X' },
    position: 1,
  }),
  put('seamChoice', id('seam'), {
    applicationId,
    kind: 'double cut',
    placing: null,
    match: null,
    firstDrop: null,
  }),
  put('jobAllowance', id('allowance'), {
    method: 'curved, shrunk',
    top_nm: 22_000_000,
    right_nm: 13_000_000,
    bottom_nm: 22_000_000,
    left_nm: 13_000_000,
  }),
  put('cutPlan', planId, {
    filmId,
    mode: 'by plotter',
    stages: 3,
    gap_nm: 3_000_000,
    endWaste_nm: 0,
    mostSheet_nm: null,
    objective: 'money',
    edgeMust: false,
    lengthUsed_nm: 1_400_000_000,
    bound_nm: 0,
    filmCost: 12.5,
    cost: 12.5,
    filmBound: 12,
    stopped: 'limit',
  }),
  put('cutRoll', rollId, {
    planId,
    stockId: null,
    what: 'to order',
    label: 'new',
    lot: '',
    width_nm: 1_524_000_000,
    length_nm: 30_000_000_000,
    used_nm: 1_400_000_000,
    position: 0,
    ticks: [0],
    bookedAt: null,
  }),
  put('cutRoll', columnRollId, {
    planId,
    stockId: null,
    what: 'to order',
    label: 'new 2',
    lot: '',
    width_nm: 1_220_000_000,
    length_nm: 30_000_000_000,
    used_nm: 2_865_000_000,
    position: 1,
    ticks: [],
    bookedAt: null,
  }),
  put('cutPiece', id('raked'), {
    ...piece,
    rollId,
    x_nm: 100_000_000,
    across_nm: 800_000_000,
    along_nm: 1_400_000_000,
    outline: raked,
    notch_nm: 0,
  }),
  put('cutPiece', id('column'), {
    ...piece,
    rollId: columnRollId,
    tag: 'C1',
    x_nm: 0,
    across_nm: 1_030_000_000,
    along_nm: 2_865_000_000,
    outline: null,
    notch_nm: 12_500_000,
  }),
  put('offcut', id('offcut'), {
    cutRollId: rollId,
    parentId: null,
    filmId,
    label: 'R-14-a',
    lot: 'L',
    width_nm: 600_000_000,
    length_nm: 1_400_000_000,
    perMetre: 3,
    leftEdge: false,
    rightEdge: true,
    where: 'rack',
  }),
  put('stockTake', id('take'), {
    cutRollId: rollId,
    stockId: id('offcut'),
    length_nm: 100_000_000,
    reason: 'spoiled',
  }),
  put('plannedStep', id('planned'), {
    applicationId,
    template: 'flat-glass',
    step: 'clean',
    templateVersion: 1,
    startsAt: '2026-11-30T06:30:00.000Z',
    endsAt: '2026-11-30T06:50:00.000Z',
    steps: ['clean'],
    people: [],
    pinned: true,
  }),
  put('workRecord', id('work'), {
    applicationId,
    template: 'flat-glass',
    step: 'clean',
    templateVersion: 1,
    ...NOT_BEGUN,
    startedAt: '2026-11-29T12:00:00.000Z',
    doneAt: null,
    note: 'kept',
  }),
];
await applyChange(db, jobId, { id: id('change'), session: id('session'), who: 'Wren', ops }, NOW);
await db.insert(photoFile).values({ id: photoId, jobId, data: Uint8Array.of(255, 216, 255) });
await db.insert(learned).values({
  ...{ key: 'cut-film', scopeKind: '', scopeOf: '', version: 1, changedBy: 'Wren', changedAt: NOW },
  ...{ value: 7, basis: 'measured', from: '' },
});
await db.insert(supply).values({ key: 'tape', version: 1, changedBy: 'Wren', changedAt: NOW, have: 3 });
mkdirSync('server/src/testing/fixtures', { recursive: true });
const whole = Buffer.from(await (await dump()).arrayBuffer());
const bytes = brotliCompressSync(whole, {
  params: { [constants.BROTLI_PARAM_QUALITY]: 11, [constants.BROTLI_PARAM_LGWIN]: 24 },
});
writeFileSync(`server/src/testing/fixtures/data-${version}.tar.br`, bytes);
console.log(`${(bytes.length / 1e6).toFixed(2)} MB`);
await close();
