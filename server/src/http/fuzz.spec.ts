import { once } from 'node:events';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { randomRequests } from '../testing/requests';
import { type SmallJob, type TestApp, smallJob, testApp } from '../testing/test-app';

const REQUESTS = 600;
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

describe('can anything sent make the server fail?', () => {
  it(`${REQUESTS} requests made at random over every route: never a 500, every refusal is problem+json with a code and a path`, async () => {
    await fc.assert(
      fc.asyncProperty(randomRequests(job), async ({ method, path, headers, body }) => {
        const answer = await fetch(base + path, { method, headers, ...(body === undefined ? {} : { body }) });
        const said = await answer.text();
        if (answer.status >= 500)
          throw new Error(`${answer.status} for ${method} ${path} ${body ?? ''}: ${said}`);
        if (answer.status >= 400) {
          expect(answer.headers.get('Content-Type')).toContain('application/problem+json');
          expect(JSON.parse(said)).toMatchObject({
            code: expect.any(String),
            path: expect.any(String),
            detail: expect.any(String),
          });
        }
      }),
      { numRuns: REQUESTS, seed: 20261123 },
    );
  }, 180_000);

  it('and the job is still whole afterwards', async () => {
    expect((await fetch(`${base}/api/jobs`)).status).toBe(200);
  });
});
