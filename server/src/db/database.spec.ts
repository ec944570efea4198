import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { ROW_FIELDS } from '@yellow-pane/contracts';
import { JOB_TABLES } from '@yellow-pane/core/job';
import { getTableColumns, sql } from 'drizzle-orm';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { loadDemo } from '../features/demo/load-demo';
import { emptyDatabase, migrationsFolder } from '../testing/template';
import { type TestApp, smallJob, testApp } from '../testing/test-app';
import { openDatabase } from './database';
import { ROW_TABLES } from './schema';

const META = ['id', 'jobId', 'version', 'madeBy', 'madeAt', 'changedBy', 'changedAt', 'removed'];
let server: TestApp;
beforeAll(async () => {
  server = await testApp();
});
afterAll(async () => {
  await server.close();
});

describe('is each row a row of real columns?', () => {
  it.each(JOB_TABLES)(
    '%s has a column for each field of the contract and for who, when and version, and no other',
    (table) => {
      const columns = Object.keys(getTableColumns(ROW_TABLES[table])).sort();
      expect(columns).toEqual(
        [
          ...META.filter((key) => !(table === 'job' && key === 'jobId')),
          ...Object.keys(ROW_FIELDS[table].shape),
        ].sort(),
      );
    },
  );

  it('the wire form read from the database has every field of every table of the demo', async () => {
    await loadDemo(server.db, () => new Date('2026-11-24T09:20:00Z'));
    const { rows } = (
      await request(server.app).get('/api/jobs/0199b9a6-0003-7000-8000-000000000002').expect(200)
    ).body as { readonly rows: Readonly<Record<string, readonly object[]>> };
    for (const table of [
      'job',
      'place',
      'surface',
      'measure',
      'application',
      'cutPlan',
      'cutPiece',
      'workRecord',
    ] as const) {
      expect(rows[table]?.length).toBeGreaterThan(0);
      for (const row of rows[table] ?? [])
        expect(Object.keys(row).sort()).toEqual([...META, ...Object.keys(ROW_FIELDS[table].shape)].sort());
    }
  });
});

describe('does the database itself keep jobs apart?', () => {
  it('a surface of one job in a place of another is refused by the foreign key, even behind the program', async () => {
    const [mine, other] = [smallJob(), smallJob()];
    await server.send(mine.jobId, mine.ops).expect(200);
    await server.send(other.jobId, other.ops).expect(200);
    const broken = server.db
      .execute(sql`update surface set place_id = ${other.placeId} where id = ${mine.surfaceId}`)
      .then(
        () => 'taken',
        () => 'refused',
      );
    expect(await broken).toBe('refused');
  });
});

describe('can it be opened again?', () => {
  it('what was written is there after closing, and the migrations are not run twice', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'yellow-pane-db-'));
    const first = await openDatabase({
      folder: join(folder, 'db'),
      migrationsFolder,
      template: await emptyDatabase(),
    });
    const id = newId();
    await first.db.execute(
      sql`insert into learned (key, scope_kind, scope_of, version, changed_by, changed_at, value, basis, told_by) values (${id}, '', '', 1, 'Wren', now(), 0.5, 'measured', '')`,
    );
    await first.close();
    const second = await openDatabase({ folder: join(folder, 'db'), migrationsFolder });
    expect((await second.db.execute(sql`select value from learned where key = ${id}`)).rows).toEqual([
      { value: 0.5 },
    ]);
    await second.close();
    rmSync(folder, { recursive: true, force: true });
  });
});

describe('is the demo loaded once?', () => {
  it('a second loading changes nothing, not even what a person has changed since', async () => {
    await loadDemo(server.db, () => new Date('2026-11-24T09:20:00Z'));
    const [jobId, surfaceId] = [
      '0199b9a6-0003-7000-8000-000000000001',
      '0199b9a6-0007-7000-8000-000000000001',
    ];
    await server
      .send(jobId, [
        { op: 'set', table: 'surface', id: surfaceId, baseVersion: 1, fields: { name: 'mine now' } },
      ])
      .expect(200);
    await loadDemo(server.db, () => new Date('2026-11-25T09:20:00Z'));
    const { rows } = (await request(server.app).get(`/api/jobs/${jobId}`).expect(200)).body as {
      readonly rows: { readonly surface: readonly { readonly id: string; readonly name: string }[] };
    };
    expect(rows.surface.find(({ id }) => id === surfaceId)?.name).toBe('mine now');
    expect(rows.surface).toHaveLength(30);
  });
});

describe('is a listener who missed too much told to read again?', () => {
  it('201 changes missed: reload instead of changes', async () => {
    const job = smallJob();
    await server.send(job.jobId, job.ops).expect(200);
    const session = newId();
    for (let n = 0; n < 201; n += 1)
      await server
        .send(
          job.jobId,
          [{ op: 'set', table: 'surface', id: job.surfaceId, baseVersion: 1 + n, fields: { tag: `T${n}` } }],
          { session },
        )
        .expect(200);
    const listening = server.app.listen(0, '127.0.0.1');
    const stop = new AbortController();
    try {
      await once(listening, 'listening');
      const { port } = listening.address() as AddressInfo;
      const answer = await fetch(`http://127.0.0.1:${port}/api/events?job=${job.jobId}&since=0`, {
        signal: stop.signal,
      });
      const reader = answer.body?.pipeThrough(new TextDecoderStream()).getReader();
      let text = '';
      while (!text.includes('data: {}')) text += (await reader?.read())?.value ?? 'data: {}';
      expect(text).toContain('event: reload');
    } finally {
      stop.abort();
      listening.closeAllConnections();
      listening.close();
    }
  });
});
