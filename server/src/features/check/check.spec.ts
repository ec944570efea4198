import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { NEW_MARK, NEW_PHOTO } from '@yellow-pane/core/job';
import type { VisitOfJob } from '@yellow-pane/contracts';
import ICAL from 'ical.js';
import sharp from 'sharp';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { textOf, wordsAt } from '../../testing/pdf-reader';
import { type TestApp, testApp } from '../../testing/test-app';
import { loadDemo } from '../demo/load-demo';

const SUMMIT = '0199b9a6-0003-7000-8000-000000000002';
const ST3 = '0199b9a6-0007-7000-8000-000000000386';
const NOW = new Date('2026-11-24T09:20:00.000Z');

let server: TestApp;
beforeAll(async () => {
  server = await testApp();
  await loadDemo(server.db, () => NOW);
});
afterAll(async () => {
  await server.close();
});

const pdfOf = async (path: string): Promise<Buffer> =>
  (await request(server.app).get(path).buffer(true).parse(bytes).expect(200)).body as Buffer;
const bytes = (response: request.Response, done: (error: Error | null, body: Buffer) => void): void => {
  const parts: Buffer[] = [];
  response.on('data', (part: Buffer) => parts.push(part));
  response.on('end', () => {
    done(null, Buffer.concat(parts));
  });
};

describe('why does somebody come back?', () => {
  it('in all jobs, next first, with the surfaces it is for; not in what is put away', async () => {
    const { body } = await request(server.app).get('/api/visits').expect(200);
    expect((body as readonly VisitOfJob[]).map(({ job, says }) => [job, says])).toEqual([
      [
        'Summit shelter (finished in June)',
        ['Are the pockets gone: ST3', 'May be washed for the first time: ST3'],
      ],
    ]);
  });
  it('kept while nothing changes, and anew with the next change of the job', async () => {
    const all = async (): Promise<readonly VisitOfJob[]> =>
      (await request(server.app).get('/api/visits').expect(200)).body as VisitOfJob[];
    const [before, again] = [await all(), await all()];
    expect(again).toEqual(before);
    const { body } = await request(server.app).get(`/api/jobs/${SUMMIT}`).expect(200);
    const kept = (body as { rows: { visit: { id: string; state: string; version: number }[] } }).rows.visit;
    const open = kept.find(({ state }) => state === 'open');
    const say = (state: string, baseVersion: number) =>
      server.send(SUMMIT, [
        { op: 'set', table: 'visit', id: open?.id ?? '', fields: { state }, baseVersion },
      ] as Parameters<typeof server.send>[1]);
    await say('not needed', open?.version ?? 0).expect(200);
    expect((await all()).length).toBeLessThan(before.length);
    await say('open', (open?.version ?? 0) + 1).expect(200);
    expect((await all()).map(({ says }) => says)).toEqual(before.map(({ says }) => says));
  });
  it('as a calendar that an independent reader reads: the planned hour, and the same UID each time', async () => {
    const read = async (): Promise<ICAL.Event> => {
      const { text } = await request(server.app).get(`/api/jobs/${SUMMIT}/visits/calendar`).expect(200);
      const [only, ...more] = new ICAL.Component(
        ICAL.parse(text) as ConstructorParameters<typeof ICAL.Component>[0],
      ).getAllSubcomponents('vevent');
      expect(more).toEqual([]);
      if (only === undefined) throw new Error('no event');
      return new ICAL.Event(only);
    };
    const [first, again] = [await read(), await read()];
    expect(first.summary).toContain('Are the pockets gone: ST3');
    expect(first.startDate.toJSDate().toISOString()).toBe('2027-03-19T08:00:00.000Z');
    expect(again.uid).toBe(first.uid);
  });
});

describe('where are the marks, on paper?', () => {
  it('each with its number, size, place and what decided; gone ones too; who accepted it', async () => {
    const [page] = await textOf(await pdfOf(`/api/jobs/${SUMMIT}/check/map?surface=${ST3}`));
    expect(page).toContain('ST3, seen from the room: go with care');
    expect(page).toContain('2. water pocket, 8 mm; 640 mm from the left, 770 mm from the top: watch until');
    expect(page).toMatch(/watch until \d+ March 2027/);
    expect(page).toContain('1. crease, 4 mm, 160 mm long; 510 mm from the left, 200 mm from the top: gone');
    expect(page).toContain('Not accepted yet.');
  });
  it('without a surface: all that have marks, those of accepted rounds with who and when', async () => {
    const pages = await textOf(await pdfOf(`/api/jobs/${SUMMIT}/check/map`));
    expect(pages.map((page) => page.slice(0, 3))).toEqual(['ST1', 'ST2', 'ST3']);
    expect(pages[0]).toContain('Accepted: Wren, 12 Jun 2026');
  });
  it('a mark at the left of the surface is at the left of the page, one above is above', async () => {
    const words = await wordsAt(await pdfOf(`/api/jobs/${SUMMIT}/check/map?surface=${ST3}`), 0);
    const pin = (number: string) => words.find(({ text, y }) => text === number && y < 500);
    const [pocket, line] = [pin('2'), pin('3')];
    // The line is at 220, 450 mm from the upper left, the pocket at 640, 770.
    expect(line?.x).toBeLessThan(pocket?.x ?? 0);
    expect(line?.y).toBeLessThan(pocket?.y ?? 0);
  });
  it('with the last picture of each mark, and on letter paper; a surface of another job is refused by name', async () => {
    const [surfaceId, markId, photoId] = [ST3, newId(), newId()];
    const picture = await sharp({ create: { width: 300, height: 200, channels: 3, background: '#335' } })
      .jpeg()
      .toBuffer();
    await request(server.app).put(`/api/jobs/${SUMMIT}/photos/${photoId}`).send(picture).expect(200);
    await server
      .send(SUMMIT, [
        {
          ...{ op: 'put', table: 'mark', id: markId },
          fields: { ...NEW_MARK, surfaceId, firstSeenAt: NOW.toISOString(), from: 'customer' },
        },
        {
          ...{ op: 'put', table: 'photo', id: photoId },
          fields: {
            ...{ ...NEW_PHOTO, surfaceId, markId, takenAt: NOW.toISOString(), width_px: 300, height_px: 200 },
            ...{ bytes: picture.length, position: 1 },
          },
        },
      ])
      .expect(200);
    const pdf = await pdfOf(`/api/jobs/${SUMMIT}/check/map?surface=${ST3}&paper=letter&units=imperial`);
    const [page] = await textOf(pdf);
    expect(page).toContain('4. not said; no place: unknown');
    expect(page).toContain('Mark 4');
    expect(pdf.includes('/DCTDecode')).toBe(true);
    const { body } = await request(server.app)
      .get(`/api/jobs/${SUMMIT}/check/map?surface=${newId()}`)
      .expect(422);
    expect(body).toMatchObject({ code: 'BODY_INVALID', path: 'surface' });
  });
});
