import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import request from 'supertest';
import { type TestApp, testApp } from '../../testing/test-app';

let server: TestApp;
beforeAll(async () => {
  server = await testApp();
});
afterAll(async () => {
  await server.close();
});

const pieces = Array.from({ length: 40 }, (_, index) => ({
  id: String(index),
  across_mm: 300 + ((index * 137) % 800),
  along_mm: 400 + ((index * 211) % 1700),
  mayTurn90: false,
}));

describe('are blanks laid out over the wire?', () => {
  it('the same rounds and seed give the same plan, with its bound', async () => {
    const ask = () =>
      request(server.app)
        .post('/api/calculate/cut')
        .send({ rollWidth_mm: 1524, pieces, mostRounds: 20, milliseconds: 10_000 })
        .expect(200);
    const [one, two] = [
      (await ask()).body as { length_mm: { value: number }; bound_mm: { value: number }; placed: object[] },
      (await ask()).body as object,
    ];
    expect(two).toEqual(one);
    expect(one.placed).toHaveLength(40);
    expect(one.length_mm.value).toBeGreaterThanOrEqual(one.bound_mm.value);
  });
  it('fifty thousand short pieces are answered within what a body may hold, each of them once; one more is refused by its number', async () => {
    const short = (count: number) =>
      Array.from({ length: count }, (_, index) => ({
        id: String(index),
        across_mm: 200 + ((index * 37) % 200),
        along_mm: 300 + ((index * 91) % 100),
        mayTurn90: false,
      }));
    const ask = (count: number) =>
      request(server.app)
        .post('/api/calculate/cut')
        .send({
          stocks: [{ id: 'o', what: 'to order', width_mm: 1524, length_mm: 30_480, perMetre: 14 }],
          pieces: short(count),
          milliseconds: 300,
          searches: 1,
        });
    const { uses, filmBound } = (await ask(50_000).expect(200)).body as {
      uses: { placed: { id: string }[] }[];
      filmBound: { value: number };
    };
    expect(new Set(uses.flatMap(({ placed }) => placed.map(({ id }) => id))).size).toBe(50_000);
    expect(filmBound.value).toBeGreaterThan(0);
    const { body } = await ask(50_001).expect(422);
    expect(body).toMatchObject({ path: 'pieces', expected: expect.stringContaining('50000') });
  });
  it('it ends with its time, and others are answered meanwhile', async () => {
    const order: string[] = [];
    const long = request(server.app)
      .post('/api/calculate/cut')
      .send({ rollWidth_mm: 1524, pieces, milliseconds: 6000 })
      .expect(200)
      .then(() => {
        order.push('the search');
      });
    await new Promise((done) => {
      setTimeout(done, 200);
    });
    await request(server.app)
      .get('/api/health')
      .expect(200)
      .then(() => {
        order.push('the other');
      });
    await long;
    expect(order).toEqual(['the other', 'the search']);
  });
  it('several searches with one budget take the seeds that follow, and give the best of them', async () => {
    const ask = async (more: object) =>
      (
        (
          await request(server.app)
            .post('/api/calculate/cut')
            .send({ rollWidth_mm: 1524, pieces, mostRounds: 12, milliseconds: 10_000, ...more })
            .expect(200)
        ).body as { length_mm: { value: number } }
      ).length_mm.value;
    const alone = [await ask({ seed: 5 }), await ask({ seed: 6 }), await ask({ seed: 7 })];
    expect(await ask({ seed: 5, searches: 3 })).toBe(Math.min(...alone));
  });
  it.each([
    ['searches', 0],
    ['searches', 4],
    ['mostRounds', -1],
    ['milliseconds', 60_000],
    ['seed', 1.5],
  ])('%s of %s is refused by its name', async (field, value) => {
    const { body } = await request(server.app)
      .post('/api/calculate/cut')
      .send({ rollWidth_mm: 1524, pieces: pieces.slice(0, 2), [field]: value })
      .expect(422);
    expect(body).toMatchObject({ code: 'BODY_INVALID', path: field, got: String(value) });
  });
  it('one id twice is refused by name, on one roll and in an order', async () => {
    const twice = pieces.slice(0, 1).flatMap((piece) => [piece, piece]);
    const one = await request(server.app)
      .post('/api/calculate/cut')
      .send({ rollWidth_mm: 1524, pieces: twice });
    expect([one.status, one.body]).toMatchObject([422, { path: 'pieces.1.id', got: '"0"' }]);
  });
  it('a piece wider than the roll is refused by name', async () => {
    expect(
      (
        await request(server.app)
          .post('/api/calculate/cut')
          .send({
            rollWidth_mm: 914,
            pieces: [{ id: 'SW1', across_mm: 1200, along_mm: 2000, mayTurn90: false }],
          })
          .expect(422)
      ).body,
    ).toMatchObject({ code: 'CUTTING_PIECE_WIDER_THAN_ROLL', path: 'SW1' });
  });

  it('freely for a plotter it is never longer than by hand, with the same bound', async () => {
    const ask = async (
      mode: string,
    ): Promise<{ length_mm: { value: number }; bound_mm: { value: number } }> =>
      (
        await request(server.app)
          .post('/api/calculate/cut')
          .send({ rollWidth_mm: 1524, pieces, mode, mostRounds: 25, milliseconds: 10_000 })
          .expect(200)
      ).body as { length_mm: { value: number }; bound_mm: { value: number } };
    const [free, hand] = [await ask('by plotter'), await ask('by hand')];
    expect(free.length_mm.value).toBeLessThanOrEqual(hand.length_mm.value + 1e-6);
    expect(free.bound_mm.value).toBe(hand.bound_mm.value);
  });
});

describe('is an order laid out over the wire?', () => {
  const stocks = [
    { id: 'O-1', what: 'offcut', width_mm: 700, length_mm: 2400, perMetre: 0, whole: 4 },
    { id: 'new', what: 'to order', width_mm: 1524, length_mm: 30_000, perMetre: 15 },
  ];
  const order = (more: object = {}): object => ({
    stocks,
    pieces: [1, 2, 3].map((n) => ({ id: `A-S${n}`, across_mm: 641, along_mm: 904.5, mayTurn90: false })),
    mostRounds: 30,
    milliseconds: 5000,
    ...more,
  });
  it('offcuts first, money and its bound with their reasons, whose film is which', async () => {
    const { body } = await request(server.app).post('/api/calculate/cut').send(order()).expect(200);
    expect(body).toMatchObject({
      uses: [{ stockId: 'O-1', copy: 0 }, { stockId: 'new' }],
      notLaid: [],
      film: {
        why: [
          { formula: 'cutting.filmOfUse' },
          { formula: 'cutting.filmOfUse' },
          { formula: 'cutting.film' },
        ],
      },
    });
  });
  it.each([
    ['zero stock', { stocks: [] }],
    ['film too short', { stocks: [{ ...stocks[0], length_mm: 500 }] }],
  ])('%s: every piece without film is named', async (_name, more) => {
    const { body } = await request(server.app).post('/api/calculate/cut').send(order(more)).expect(200);
    expect(body).toMatchObject({ stopped: 'infeasible', notLaid: ['A-S1', 'A-S2', 'A-S3'] });
  });
  it('a fault in an order is told of the order, not of one roll', async () => {
    const { body } = await request(server.app)
      .post('/api/calculate/cut')
      .send(order({ rates: { keepShare: 2 } }))
      .expect(422);
    expect(body).toMatchObject({ code: 'BODY_INVALID', path: 'rates.keepShare', got: '2' });
  });
  it.each([
    ['a negative length', { stocks: [{ ...stocks[0], length_mm: -1 }] }, 'CUTTING_STOCK_RANGE'],
    [
      'pins that overlap',
      { pinned: ['A-S1', 'A-S2'].map((id) => ({ id, stockId: 'new', x_mm: 0, y_mm: 0, turned: false })) },
      'CUTTING_PIN',
    ],
    [
      'four pins in a ring that no straight cut frees',
      {
        pieces: [
          ['a', 600, 300],
          ['b', 300, 600],
          ['c', 600, 300],
          ['d', 300, 600],
        ].map(([id, across_mm, along_mm]) => ({ id, across_mm, along_mm, mayTurn90: false })),
        pinned: [
          ['a', 0, 0],
          ['b', 600, 0],
          ['c', 300, 600],
          ['d', 0, 300],
        ].map(([id, x_mm, y_mm]) => ({ id, stockId: 'new', x_mm, y_mm, turned: false })),
      },
      'CUTTING_PIN',
    ],
    ['an id twice', { stocks: [stocks[0], stocks[0]] }, 'CUTTING_ID_TWICE'],
  ])('%s is refused by name', async (_name, more, code) => {
    expect(
      (await request(server.app).post('/api/calculate/cut').send(order(more)).expect(422)).body,
    ).toMatchObject({ code });
  });
});
