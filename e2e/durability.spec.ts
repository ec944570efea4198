import { NEW_JOB } from '@yellow-pane/core/job';
import { NEW_PLACE, NEW_SURFACE } from '@yellow-pane/core/job';
import { spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as newId } from 'uuid';
import { expect, startServer, test } from './house';

/** A hundred are the bench's. */
const KILLS = 5;
/** A slow machine is given the time for more than so many between two kills. */
const LEAST_WRITES = 5;

test(`kill -9 in the middle of a burst of writes, ${KILLS} times: every acknowledged write is there and the database opens`, async () => {
  test.setTimeout(400_000);
  const folder = mkdtempSync(join(tmpdir(), 'yellow-pane-kill-'));
  const [jobId, placeId] = [newId(), newId()];
  const acknowledged = new Set<string>();
  for (let round = 0; round < KILLS; round += 1) {
    const server = await startServer({ folder });
    const send = async (ops: readonly object[]): Promise<boolean> => {
      const answer = await fetch(`${server.address}/api/jobs/${jobId}/changes`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ id: newId(), session: newId(), who: 'Wren', ops }),
      }).catch(() => undefined);
      if (answer?.ok !== true) return false;
      return (await answer.json().catch(() => undefined)) !== undefined;
    };
    if (round === 0) {
      expect(
        await send([
          {
            op: 'put',
            table: 'job',
            id: jobId,
            fields: { name: 'Burst', entryUnit: 'mm', ...NEW_JOB },
          },
          { op: 'put', table: 'place', id: placeId, fields: { ...NEW_PLACE, name: 'x', position: 1 } },
        ]),
      ).toBe(true);
    } else {
      const job = (await (await fetch(`${server.address}/api/jobs/${jobId}`)).json()) as {
        readonly rows: { readonly surface: readonly { readonly id: string }[] };
      };
      const there = new Set(job.rows.surface.map(({ id }) => id));
      expect([...acknowledged].filter((id) => !there.has(id))).toEqual([]);
    }
    let isKilled = false;
    const burst = Array.from({ length: 4 }, async () => {
      while (!isKilled) {
        const id = newId();
        if (
          await send([
            { op: 'put', table: 'surface', id, fields: { ...NEW_SURFACE, placeId, tag: 'X', position: 1 } },
          ])
        )
          acknowledged.add(id);
        else return;
      }
    });
    const before = acknowledged.size;
    do await new Promise((done) => setTimeout(done, 400 + ((round * 37) % 200)));
    while (acknowledged.size <= before + LEAST_WRITES);
    await server.stop('SIGKILL');
    isKilled = true;
    await Promise.all(burst);
  }
  expect(acknowledged.size).toBeGreaterThan(KILLS * LEAST_WRITES);
  rmSync(folder, { recursive: true, force: true });
});

test('a data folder in use, one without its database, a port taken, one that is none and an address beyond this machine are each refused in words', async () => {
  const server = await startServer({ isDemo: true });
  const start = (...options: string[]): string => {
    const { status, stderr } = spawnSync(process.execPath, ['server/dist/main.js', ...options], {
      encoding: 'utf8',
      timeout: 120_000,
    });
    expect(status).toBe(1);
    return stderr;
  };
  expect(start('--data', server.folder)).toContain(`in use by process ${String(server.process.pid)}`);
  const broken = mkdtempSync(join(tmpdir(), 'yellow-pane-broken-'));
  cpSync('server/dist/empty-database', join(broken, 'db'), { recursive: true });
  rmSync(join(broken, 'db', 'PG_VERSION'));
  expect(start('--data', broken, '--port', '0')).toContain('holds files, but no whole database');
  expect(existsSync(join(broken, 'db', 'base'))).toBe(true);
  const other = mkdtempSync(join(tmpdir(), 'yellow-pane-port-'));
  expect(start('--data', other, '--port', new URL(server.address).port)).toContain(
    'is taken by another program',
  );
  expect(start('--data', other, '--port', 'x')).toContain('expected a whole number from 0 to 65535');
  expect(start('--data', other, '--host', '0.0.0.0')).toContain('answers on this machine only');
  await server.stop();
});

test('stopped kindly it ends its streams and gives the folder back; the second start is usable in under 3 s on a quiet machine', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'yellow-pane-stop-'));
  const first = await startServer({ folder, isDemo: true });
  const events = await fetch(`${first.address}/api/events`);
  await first.stop();
  expect(first.process.exitCode).toBe(0);
  await events.text().catch(() => '');
  const second = await startServer({ folder });
  expect(
    (await fetch(`${second.address}/api/jobs`).then((answer) => answer.json())) as unknown[],
  ).toHaveLength(2);
  await second.stop();
  rmSync(folder, { recursive: true, force: true });
});

test('nobody else gets the port: it listens on loopback alone', async () => {
  const server = await startServer();
  const probe = createServer();
  expect(new URL(server.address).hostname).toBe('localhost');
  probe.close();
  await server.stop();
});
