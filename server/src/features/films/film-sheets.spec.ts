import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { type TestApp, testApp } from '../../testing/test-app';
import { EXAMPLE_FILMS } from '@yellow-pane/demo';
import { loadExampleFilms } from './routes';

const FILM = EXAMPLE_FILMS[0]?.id ?? '';
const PDF = Buffer.from('%PDF-1.7\n% a sheet\n%%EOF\n');

let server: TestApp;
beforeAll(async () => {
  server = await testApp();
  await loadExampleFilms(server.db, { who: 'Wren' }, new Date('2026-11-25T10:00:00Z'));
});
afterAll(async () => {
  await server.close();
});
const put = (body: Buffer, film = FILM, name = 'neutral 35.pdf') =>
  request(server.app)
    .put(`/api/films/${film}/sheet`)
    .query({ name, who: 'Wren', personId: '' })
    .set('Content-Type', 'application/octet-stream')
    .send(body);

describe('is the data sheet of a film at hand?', () => {
  it('it comes back as it was given, by the name it had', async () => {
    await request(server.app).get(`/api/films/${FILM}/sheet`).expect(404);
    expect((await put(PDF).expect(200)).body).toMatchObject({
      ...{ filmId: FILM, name: 'neutral 35.pdf', type: 'application/pdf', bytes: PDF.length },
      changedBy: 'Wren',
    });
    const back = await request(server.app).get(`/api/films/${FILM}/sheet`).buffer(true).expect(200);
    expect(back.headers['content-type']).toBe('application/pdf');
    expect(back.headers['content-disposition']).toContain('neutral%2035.pdf');
    expect(Buffer.compare(back.body as Buffer, PDF)).toBe(0);
    expect((await request(server.app).get('/api/film-sheets').expect(200)).body).toMatchObject([
      { filmId: FILM, bytes: PDF.length },
    ]);
  });
  it('a newer one takes its place', async () => {
    const png = Buffer.from([0x89, 0x50, 0x4e, 0x47, 1, 2, 3]);
    await put(png, FILM, 'photo.png').expect(200);
    expect((await request(server.app).get('/api/film-sheets')).body).toMatchObject([
      { name: 'photo.png', type: 'image/png' },
    ]);
  });
  it.each([
    ['text', Buffer.from('light kept 35 %'), '15 bytes of something else'],
    ['nothing', Buffer.alloc(0), 'nothing'],
  ])('%s is no data sheet, whatever it is called', async (_what, body, got) => {
    expect((await put(body).expect(415)).body).toMatchObject({ code: 'SHEET_UNREADABLE', got });
  });
  it('a film nobody knows has none, and a sheet without a name is refused', async () => {
    await put(PDF, newId()).expect(404);
    await put(PDF, FILM, ' ').expect(422);
  });
});
