import { once } from 'node:events';
import type { Server } from 'node:http';
import { type AddressInfo, type Socket, connect } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { NEW_SURFACE } from '@yellow-pane/core/job';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { type TestApp, smallJob, testApp } from '../../testing/test-app';

let server: TestApp;
let listening: Server;
beforeAll(async () => {
  server = await testApp();
  listening = server.app.listen(0, '127.0.0.1');
  await once(listening, 'listening');
});
afterAll(async () => {
  listening.closeAllConnections();
  listening.close();
  await server.close();
});

function aMoment(): Promise<void> {
  return new Promise((done) => {
    setTimeout(done, 20);
  });
}

function listen(): Socket {
  const { port } = listening.address() as AddressInfo;
  const socket = connect(port, '127.0.0.1');
  socket.write(`GET /api/events HTTP/1.1\r\nHost: localhost:${port}\r\n\r\n`);
  return socket;
}

describe('is one line enough for all that the server tells?', () => {
  it('what a device says comes beside the changes; who listens later is told what is connected', async () => {
    const early = listen();
    let heard = '';
    early.setEncoding('utf8').on('data', (part: string) => {
      heard += part;
    });
    await once(early, 'data');
    await request(server.app).post('/api/bench/laser').send({ do: 'connect' }).expect(200);
    const job = smallJob();
    await server.send(job.jobId, job.ops).expect(200);
    const late = listen();
    let lateHeard = '';
    late.setEncoding('utf8').on('data', (part: string) => {
      lateHeard += part;
    });
    while (!heard.includes('event: change') || !lateHeard.includes('event: device')) await aMoment();
    expect(heard).toContain('event: device\ndata: {"type":"connected","device":"laser"');
    early.destroy();
    late.destroy();
  });
});

/** @returns how many lines the server holds open */
function linesOpen(): Promise<number> {
  return new Promise((done, fail) => {
    listening.getConnections((error, open) => {
      if (error === null) done(open);
      else fail(error);
    });
  });
}

const CHANGE = 'event: change';
/** Eight of them are more than a line holds here; how much the system holds besides is its own affair. */
const MOST_CHANGES = 60;

describe('can a listener that does not read fill up the server?', () => {
  it('no: it is let go, and the others hear on', async () => {
    const job = smallJob();
    await server.send(job.jobId, job.ops).expect(200);
    const linesBefore = await linesOpen();
    const quick = listen();
    await once(quick, 'data');
    const slow = listen();
    slow.pause();
    while ((await linesOpen()) < linesBefore + 2) await aMoment();
    const heard = { bytes: 0, changes: 0, isLetGo: false };
    let begun = '';
    quick.setEncoding('utf8').on('data', (part: string) => {
      heard.bytes += part.length;
      const pieces = (begun + part).split(CHANGE);
      heard.changes += pieces.length - 1;
      begun = (pieces.at(-1) ?? '').slice(1 - CHANGE.length);
    });
    quick.on('close', () => {
      heard.isLetGo = true;
    });
    const many = (): object => ({
      id: newId(),
      session: newId(),
      who: 'Wren',
      ops: Array.from({ length: 500 }, () => ({
        op: 'put',
        table: 'surface',
        id: newId(),
        fields: {
          ...NEW_SURFACE,
          placeId: job.placeId,
          tag: 'SW',
          name: '',
          position: 1,
          remark: 'x'.repeat(4000),
        },
      })),
    });
    let told = 0;
    while ((await linesOpen()) === linesBefore + 2 && told < MOST_CHANGES) {
      await request(server.app).post(`/api/jobs/${job.jobId}/imports`).send(many()).expect(200);
      told += 1;
      while (heard.changes < told && !heard.isLetGo) await aMoment();
    }
    expect(heard).toMatchObject({ changes: told, isLetGo: false });
    expect(await linesOpen()).toBe(linesBefore + 1);

    const ended = once(slow, 'close');
    let sent = 0;
    slow.on('data', (part: Buffer) => {
      sent += part.length;
    });
    slow.resume();
    await ended;
    expect(sent).toBeLessThan(heard.bytes);
    quick.destroy();
  });
});
