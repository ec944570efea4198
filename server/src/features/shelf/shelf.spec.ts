import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { ShelfRow } from '@yellow-pane/contracts';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { type TestApp, testApp } from '../../testing/test-app';

let server: TestApp;
beforeAll(async () => {
  server = await testApp();
});
afterAll(() => server.close());

const PANE = {
  ...{ make: 'Heron', model: 'two', year: '2019', pane: 'rear' },
  measures: [
    {
      ...{ kind: 'distance', fromPoint: 'tl', toPoint: 'tr', text: '1241', unit: 'mm' },
      ...{ value_nm: 1_241_000_000, instrument: 'tape', sd_nm: null },
    },
  ],
  ...{ hold: 'a line across', plan: { line_nm: null, folds: 5, isTurned: false } },
  ...{ wentWrong: 'left corner too hot', note: '' },
};
const put = (id: string, body: object, version?: number) => {
  const asked = request(server.app).put(`/api/shelf/${id}`);
  return (version === undefined ? asked : asked.set('If-Match', `"${version}"`)).send({
    who: 'Wren',
    ...body,
  });
};
const shelf = async (): Promise<readonly ShelfRow[]> =>
  (await request(server.app).get('/api/shelf').expect(200)).body as ShelfRow[];

describe('does the shop remember a pane?', () => {
  const id = newId();
  it('with its measures, how it was held and what went wrong', async () => {
    await put(id, { pane: PANE }).expect(200);
    expect((await shelf()).find((row) => row.id === id)).toMatchObject({
      ...PANE,
      version: 1,
      changedBy: 'Wren',
    });
  });
  it('changed by two at once: the second is told, with what stands there', async () => {
    await put(id, { pane: { ...PANE, note: 'ask for the lamp' } }, 1).expect(200);
    const refused = await put(id, { pane: PANE }, 1).expect(409);
    expect(refused.body).toMatchObject({ code: 'SHELF_CONFLICT', current: { note: 'ask for the lamp' } });
    await put(newId(), { pane: PANE }, 3)
      .expect(404)
      .expect(({ body }) => {
        expect(body).toMatchObject({ code: 'SHELF_UNKNOWN' });
      });
  });
  it('a pane without measures is none; a field nobody knows is refused by name', async () => {
    const empty = await put(newId(), { pane: { ...PANE, measures: [] } });
    expect([empty.status, empty.body]).toMatchObject([422, { path: 'pane.measures' }]);
    const astray = await put(newId(), { pane: { ...PANE, colour: 'red' } });
    expect([astray.status, JSON.stringify(astray.body)]).toEqual([422, expect.stringContaining('colour')]);
  });
  it('taken off the shelf it is no longer listed', async () => {
    await put(id, { pane: PANE, removed: true }, 2).expect(200);
    expect((await shelf()).some((row) => row.id === id)).toBe(false);
  });
});
