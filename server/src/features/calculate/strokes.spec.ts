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

const rectangle = (left: number, bottom: number, right: number, top: number) => [
  { x: left, y: bottom },
  { x: right, y: bottom },
  { x: right, y: top },
  { x: left, y: top },
];
const PANE = rectangle(0, 0, 1200, 900);
const ask = (body: object) => request(server.app).post('/api/calculate/strokes').send(body);

describe('are strokes planned over the wire?', () => {
  it('a pane with a blade of 150 mm and a lap of 30: 23 strokes with a line down the middle, all pressed, 112 s', async () => {
    const { body } = await ask({ outline: PANE, overlap_mm: 30, lock: 'centre line' }).expect(200);
    expect(body).toMatchObject({
      leastLanes: 8,
      coverage: { gaps: [] },
      findings: { traps: [], lifted: [] },
    });
    expect(body.strokes).toHaveLength(23);
    expect(body.coverage.share).toBeCloseTo(1, 9);
    expect(body.time_s.value).toBeCloseTo(112, 0);
  });
  it('the lap by the hand; strokes of one’s own are judged instead of those planned', async () => {
    const { body } = await ask({
      outline: PANE,
      wander_mm: 10,
      strokes: [{ key: 'own 1', from: { x: 0, y: 450 }, to: { x: 1200, y: 450 }, width_mm: 150 }],
    }).expect(200);
    expect(body.lap.value).toBeCloseTo(43, 9);
    expect(body.strokes).toHaveLength(1);
    expect(body.coverage.share).toBeCloseTo(150 / 900, 9);
    expect(body.coverage.gaps).toHaveLength(2);
  });
  it('closed sides: what is shut in is named with the stroke that does it', async () => {
    const { body } = await ask({ outline: PANE, closedSides: [0, 1, 3] }).expect(200);
    expect(body.findings.traps[0]).toMatchObject({
      sealedBy: expect.any(Number),
      at: { x: expect.any(Number) },
    });
  });
  it('a hole that touches the edge is cut out of it; strokes that cross each other are strokes like any', async () => {
    const { body } = await ask({
      outline: PANE,
      holes: [rectangle(300, 0, 500, 400)],
      strokes: [
        { key: 'a', from: { x: 0, y: 0 }, to: { x: 1200, y: 900 }, width_mm: 150 },
        { key: 'b', from: { x: 0, y: 900 }, to: { x: 1200, y: 0 }, width_mm: 150 },
      ],
    }).expect(200);
    expect(body.coverage.area_mm2).toBeCloseTo(1_080_000 - 80_000, 3);
    expect(body.coverage.twice).toBeGreaterThan(0);
  });
  it('edges to trim and the liner with it', async () => {
    const { body } = await ask({
      outline: PANE,
      trim: {
        method: 'pre-squared',
        over: { top: 0, right: 25, bottom: 25, left: 0 },
        factoryEdge: 'at one side',
        from: 'a top corner down',
      },
      liner: { way: 'halves on the glass', people: 2 },
    }).expect(200);
    expect(body.trim.cuts.map(({ edge }: { edge: string }) => edge)).toEqual(['right', 'bottom']);
    expect(body.liner).toMatchObject({ isRolledUp: true, parts: [{ to_mm: 450 }, { from_mm: 0 }] });
  });
  it.each([
    ['a lap as wide as the blade', { outline: PANE, overlap_mm: 150 }, 'STROKES_LAP', 'overlap_mm'],
    [
      'an outline that crosses itself',
      {
        outline: [
          { x: 0, y: 0 },
          { x: 100, y: 100 },
          { x: 100, y: 0 },
          { x: 0, y: 100 },
        ],
      },
      'STROKES_FACE',
      'outline',
    ],
    [
      'nothing left inside the strip',
      { outline: rectangle(0, 0, 20, 20), inset_mm: 13 },
      'STROKES_FACE',
      'inset_mm',
    ],
    [
      'an opening over all of it',
      { outline: PANE, holes: [rectangle(-1, -1, 1300, 1000)] },
      'STROKES_FACE',
      'openings',
    ],
  ])('%s is refused by name', async (_, body, code, path) => {
    const refused = await ask(body).expect(422);
    expect(refused.body).toMatchObject({ code, path });
  });
  it('two corners are refused at the border', async () => {
    const refused = await ask({ outline: PANE.slice(0, 2) });
    expect([refused.status, refused.body.path]).toEqual([422, 'outline']);
  });
});
