import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import request from 'supertest';
import { type TestApp, testApp } from '../../testing/test-app';

let server: TestApp;
beforeAll(async () => { server = await testApp(); });
afterAll(async () => { await server.close(); });

const pieces = Array.from({ length: 40 }, (_, index) => ({ id: String(index), across_mm: 300 + (index * 137) % 800, along_mm: 400 + (index * 211) % 1700, mayTurn90: false }));

describe('are blanks laid out over the wire?', () => {
  it('the same rounds and seed give the same plan, with its bound', async () => {
    const ask = () => request(server.app).post('/api/reckon/cut').send({ rollWidth_mm: 1524, pieces, mostRounds: 20, milliseconds: 10_000 }).expect(200);
    const [one, two] = [(await ask()).body as { length_mm: { value: number }; bound_mm: { value: number }; placed: object[] }, (await ask()).body as object];
    expect(two).toEqual(one);
    expect(one.placed).toHaveLength(40);
    expect(one.length_mm.value).toBeGreaterThanOrEqual(one.bound_mm.value);
  });
  it('it ends with its time, and others are answered meanwhile', async () => {
    const start = performance.now();
    const long = request(server.app).post('/api/reckon/cut').send({ rollWidth_mm: 1524, pieces, milliseconds: 1500 }).expect(200).then(() => performance.now() - start);
    await new Promise((done) => { setTimeout(done, 200); });
    await request(server.app).get('/api/health').expect(200);
    expect(performance.now() - start).toBeLessThan(1400);
    expect(await long).toBeLessThan(10_000);
  });
  it('a piece wider than the roll is refused by name', async () => {
    expect((await request(server.app).post('/api/reckon/cut').send({ rollWidth_mm: 914, pieces: [{ id: 'SW1', across_mm: 1200, along_mm: 2000, mayTurn90: false }] }).expect(422)).body).toMatchObject({ code: 'CUTTING_PIECE_WIDER_THAN_ROLL', path: 'SW1' });
  });
});
