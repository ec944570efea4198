import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { type TestApp, smallJob, testApp } from '../testing/test-app';

let server: TestApp;
beforeAll(async () => {
  server = await testApp();
});
afterAll(async () => {
  await server.close();
});

const change = () => {
  const { jobId, ops } = smallJob();
  return { at: `/api/jobs/${jobId}/changes`, body: { id: newId(), session: newId(), who: 'Wren', ops } };
};

describe('may a page that a person visits read or write jobs?', () => {
  it.each(['evil.example', 'evil.example:4310', '127.0.0.1.evil.example', '10.0.0.7:4310', ''])(
    'no: asked as host “%s” nothing is answered, not even a page',
    async (host) => {
      for (const path of ['/api/jobs', '/api/health', '/']) {
        const answer = await request(server.app).get(path).set('Host', host);
        expect(answer.status).toBe(403);
      }
    },
  );
  it.each([
    ['another site', { Origin: 'https://evil.example' }],
    ['the same machine, another port', { Host: 'localhost:4310', Origin: 'http://localhost:9999' }],
    ['no site that can be named', { Origin: 'null' }],
    ['a browser that calls it cross-site', { 'Sec-Fetch-Site': 'cross-site' }],
    ['a browser that calls it same-site', { 'Sec-Fetch-Site': 'same-site' }],
  ] as const)('no: %s may not write', async (_who, headers) => {
    const { at, body } = change();
    await request(server.app).post(at).set(headers).send(body).expect(403);
    await request(server.app).get(at.replace('/changes', '')).expect(404);
  });
  it('its own page may, by whichever name of this machine, and so may a program without a browser', async () => {
    for (const headers of [
      { Host: 'localhost:4310', Origin: 'http://localhost:4310', 'Sec-Fetch-Site': 'same-origin' },
      { Host: '127.0.0.1:4310', Origin: 'http://127.0.0.1:4310' },
      { Host: '[::1]:4310' },
      {},
    ]) {
      const { at, body } = change();
      await request(server.app).post(at).set(headers).send(body).expect(200);
    }
  });
});
