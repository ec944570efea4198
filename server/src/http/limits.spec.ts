import { gzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { Problem } from '@yellow-pane/contracts';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { type TestApp, smallJob, testApp } from '../testing/test-app';

let server: TestApp;
const job = smallJob();
beforeAll(async () => {
  server = await testApp();
  await server.send(job.jobId, job.ops).expect(200);
});
afterAll(async () => {
  await server.close();
});

const post = (body: string | Buffer, headers: Readonly<Record<string, string>> = {}): request.Test =>
  request(server.app)
    .post(`/api/jobs/${job.jobId}/changes`)
    .set({ 'Content-Type': 'application/json', ...headers })
    .serialize((own: unknown) => own as string)
    .send(body as never);

describe('is what would break the server refused before it does?', () => {
  it.each([33, 1000, 200_000])('lists %d deep in each other', async (depth) => {
    const answer = await post('['.repeat(depth) + ']'.repeat(depth)).expect(422);
    expect((answer.body as Problem).detail).toContain('at most 32 lists and objects');
  });
  it('brackets in a text are no depth', async () => {
    const op = {
      op: 'set',
      table: 'surface',
      id: job.surfaceId,
      baseVersion: 1,
      fields: { remark: `${'['.repeat(200)} \\" {{` },
    };
    await server.send(job.jobId, [op as never]).expect(200);
  });
  it('a small body that unpacks to more than the route takes', async () => {
    await post(gzipSync(Buffer.from(JSON.stringify({ who: 'x'.repeat(4_000_000) }))), {
      'Content-Encoding': 'gzip',
    }).expect(413);
  });
  it('an instant in the year 0000, or in 9999', async () => {
    for (const doneAt of ['0000-01-01T00:00:00Z', '9999-12-31T23:59:59Z']) {
      const answer = await post(
        JSON.stringify({
          id: newId(),
          session: newId(),
          who: 'Wren',
          ops: [{ op: 'set', table: 'workRecord', id: newId(), baseVersion: 1, fields: { doneAt } }],
        }),
      ).expect(422);
      expect((answer.body as Problem).path).toContain('doneAt');
    }
  });
});

describe('what while the disk is nearly full?', () => {
  it('writes are refused with 507 and a sentence, reading and calculating go on; once there is room it writes again', async () => {
    let isFull = false;
    const own = await testApp({ hasRoom: () => !isFull });
    const mine = smallJob();
    await own.send(mine.jobId, mine.ops).expect(200);
    isFull = true;
    const set = {
      op: 'set',
      table: 'surface',
      id: mine.surfaceId,
      baseVersion: 1,
      fields: { tag: 'SW9' },
    } as const;
    expect(((await own.send(mine.jobId, [set]).expect(507)).body as Problem).code).toBe('DISK_FULL');
    await request(own.app).get(`/api/jobs/${mine.jobId}`).expect(200);
    await request(own.app)
      .post('/api/calculate/measure')
      .send({ measures: [] })
      .expect((answer) => {
        expect(answer.status).not.toBe(507);
      });
    expect((await request(own.app).get('/api/health').expect(200)).body).toMatchObject({ hasRoom: false });
    isFull = false;
    await own.send(mine.jobId, [set]).expect(200);
    await own.close();
  });
});
