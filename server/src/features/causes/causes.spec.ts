import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { CaseApartRow, ExperienceOfShop } from '@yellow-pane/contracts';
import { NEW_MARK } from '@yellow-pane/core/job';
import request from 'supertest';
import { v7 as newId } from 'uuid';
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
afterAll(() => server.close());

const CASE = {
  ...{ where: 'Mill Street 4, laid by others', look: 'dryBubbles', tableVersion: 1 },
  answers: [{ evidence: 'pattern', state: 'lines between strokes' }],
  ...{ posterior: [0.2, 0.5, 0.1, 0.05, 0.05, 0.05, 0.03, 0.02], confirmed: 'noOverlap', how: 'seen' },
  remedy: null,
};
const put = (id: string, body: object, version?: number) => {
  const asked = request(server.app).put(`/api/cases/${id}`);
  return (version === undefined ? asked : asked.set('If-Match', `"${version}"`)).send({
    who: 'Wren',
    ...body,
  });
};
const experience = async (): Promise<ExperienceOfShop> =>
  (await request(server.app).get('/api/experience').expect(200)).body as ExperienceOfShop;

describe('what have all jobs shown?', () => {
  const id = newId();
  it('a case that is in no job is kept, listed, and counts among those confirmed', async () => {
    await put(id, { case: CASE }).expect(200);
    const { body } = await request(server.app).get('/api/cases').expect(200);
    expect(body as readonly CaseApartRow[]).toMatchObject([{ id, ...CASE, version: 1, changedBy: 'Wren' }]);
    expect((await experience()).cases.at(-1)).toMatchObject({
      id,
      look: 'dryBubbles',
      confirmed: 'noOverlap',
    });
  });
  it('changed by two at once: the second is told, with what stands there', async () => {
    await put(id, { case: { ...CASE, confirmed: null, how: null, posterior: null } }, 1).expect(200);
    const refused = await put(id, { case: CASE }, 1).expect(409);
    expect(refused.body).toMatchObject({ code: 'CASE_CONFLICT', current: { confirmed: null } });
    expect((await put(newId(), { case: CASE }, 3).expect(404)).body).toMatchObject({ code: 'CASE_UNKNOWN' });
    expect((await experience()).cases.some((own) => own.id === id)).toBe(false);
  });
  it('a look nobody diagnoses, or a field nobody knows, is refused by name', async () => {
    const look = await put(newId(), { case: { ...CASE, look: 'ghosts' } });
    expect([look.status, look.body]).toMatchObject([422, { path: 'case.look' }]);
    const astray = await put(newId(), { case: { ...CASE, colour: 'red' } });
    expect([astray.status, JSON.stringify(astray.body)]).toEqual([422, expect.stringContaining('colour')]);
  });
  it('confirmed causes of jobs, and a pocket seen gone, with what had left through the film by then', async () => {
    expect((await experience()).cases).toMatchObject([{ look: 'liftingEdge', confirmed: 'dirtOrSealant' }]);
    expect((await experience()).pockets).toEqual([]);
    const fields = {
      ...{ ...NEW_MARK, surfaceId: ST3, look: 'water pocket' as const, from: 'check' as const },
      ...{ firstSeenAt: '2026-11-10T08:00:00.000Z', goneAt: '2026-11-24T08:00:00.000Z' },
    };
    await server.send(SUMMIT, [{ op: 'put', table: 'mark', id: newId(), fields }]).expect(200);
    const { pockets } = await experience();
    expect(pockets).toMatchObject([{ family: 'solar', isGone: true }]);
    // Two weeks at 0.09 g·mm/(m²·day·kPa) through 50 µm, at some tenths of a kilopascal.
    expect(pockets[0]?.left_gm2).toBeGreaterThan(5);
    expect(pockets[0]?.left_gm2).toBeLessThan(40);
  });
});
