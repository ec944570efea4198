import { once } from 'node:events';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { ROUTES, ROW_FIELDS } from '@yellow-pane/contracts';
import fc from 'fast-check';
import { v7 as newId } from 'uuid';
import { type SmallJob, type TestApp, smallJob, testApp } from '../testing/test-app';

const REQUESTS = 3000;
let server: TestApp;
let listening: Server;
let base: string;
const job: SmallJob = smallJob();

beforeAll(async () => {
  server = await testApp();
  await server.send(job.jobId, job.ops).expect(200);
  listening = server.app.listen(0, '127.0.0.1');
  await once(listening, 'listening');
  base = `http://127.0.0.1:${(listening.address() as AddressInfo).port}`;
});
afterAll(async () => {
  listening.closeAllConnections();
  listening.close();
  await server.close();
});

const ids = fc.constantFrom(job.jobId, job.placeId, job.surfaceId, job.measureId, newId(), 'x', '', "' or 1=1 --", '%00', '../../etc', '😀');
const junk = fc.oneof(fc.anything({ maxDepth: 2, withNullPrototype: false }), fc.constantFrom('\u0000', '\ud800', -0, 1e308, 1e21, 'tl', 'mm', 880_000_000, "'; drop table job; --", '<img src=x onerror=alert(1)>', '__proto__', 'toString'));
const tables = Object.keys(ROW_FIELDS) as (keyof typeof ROW_FIELDS)[];
const put = smallJob();
const fields = fc.constantFrom(...tables).chain((table) => fc.record({
  op: fc.constantFrom('put', 'set', 'remove', 'other'),
  table: fc.oneof({ weight: 9, arbitrary: fc.constant(table as string) }, { weight: 1, arbitrary: junk as fc.Arbitrary<string> }),
  id: ids,
  baseVersion: fc.oneof(fc.integer({ min: -1, max: 4 }), junk),
  fields: fc.dictionary(fc.constantFrom(...Object.keys(ROW_FIELDS[table].shape), 'id', 'version', '__proto__', 'constructor'), fc.oneof(ids, junk)),
}, { requiredKeys: [] }));
const good = fc.constantFrom(...put.ops, ...job.ops);
const change = fc.record({ id: fc.oneof(fc.constant(0).map(() => newId()), ids), session: fc.oneof(fc.constant(0).map(() => newId()), ids), who: fc.oneof(fc.constant('Wren'), junk), ops: fc.oneof(fc.array(fc.oneof(fields, good), { maxLength: 4 }), junk) }, { requiredKeys: [] });
const bodies = fc.oneof({ weight: 4, arbitrary: change }, { weight: 2, arbitrary: fc.record({ who: fc.constant('Wren'), fields: fc.dictionary(fc.constantFrom('tag', 'name', 'value_nm', 'x'), junk) }) }, { weight: 1, arbitrary: fc.record({ measures: fc.array(fc.record({ id: junk, from: junk, to: junk, value_mm: junk, instrument: junk })), rollWidth_mm: junk, pieces: junk }, { requiredKeys: [] }) }, { weight: 2, arbitrary: junk });

/** JSON where there is one; `undefined` has none. */
function asText(body: unknown): string {
  return body === undefined ? 'undefined' : JSON.stringify(body, (_key, value: unknown) => (typeof value === 'bigint' ? String(value) : value));
}

describe('can anything sent make the server fail?', () => {
  it(`${REQUESTS} requests made at random over every route: never a 500, every refusal is problem+json with a code and a path`, async () => {
    await fc.assert(fc.asyncProperty(fc.constantFrom(...ROUTES.filter(({ kind }) => kind !== 'text/event-stream')), fc.array(ids, { minLength: 4, maxLength: 4 }), fc.constantFrom(...tables, 'nothing'), bodies, fc.option(fc.constantFrom('"1"', '1', 'x', '"99999999999"')), async (route, names, table, body, ifMatch) => {
      let next = 0;
      const path = route.path.replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(name === 'table' ? table : name === 'jobId' && next % 2 === 0 ? job.jobId : (names[next++] ?? 'x')));
      const text = route.method === 'get' ? undefined : asText(body);
      const answer = await fetch(base + path, { method: route.method.toUpperCase(), headers: { 'Content-Type': 'application/json', ...(ifMatch === null ? {} : { 'If-Match': ifMatch }) }, ...(text === undefined ? {} : { body: text }) });
      const said = await answer.text();
      if (answer.status >= 500) throw new Error(`${answer.status} for ${route.method} ${path} ${text ?? ''}: ${said}`);
      if (answer.status >= 400) {
        expect(answer.headers.get('Content-Type')).toContain('application/problem+json');
        expect(JSON.parse(said)).toMatchObject({ code: expect.any(String), path: expect.any(String), detail: expect.any(String) });
      }
    }), { numRuns: REQUESTS, seed: 20261123 });
  }, 180_000);

  it('and the job is still whole afterwards', async () => {
    expect((await fetch(`${base}/api/jobs`)).status).toBe(200);
  });
});
