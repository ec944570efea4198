import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { JobSummary, Op } from '@yellow-pane/contracts';
import { NEW_SURFACE, NEW_JOB } from '@yellow-pane/core/job';
import { EMPTY_SHOP, JobView, jobProgress } from '@yellow-pane/core/reading';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { type TestApp, testApp } from '../../testing/test-app';
import { readFilms } from '../films/queries';
import { readLearned } from '../learned/queries';
import { readJob } from './queries';

let server: TestApp;
beforeAll(async () => {
  server = await testApp();
});
afterAll(async () => {
  await server.close();
});

const put = (table: Op['table'], fields: object, id = newId()) =>
  ({ op: 'put', table, id, fields }) as unknown as Op;
const measure = (surfaceId: string, fromPoint: string, toPoint: string, value_mm: number, id = newId()) =>
  put(
    'measure',
    {
      surfaceId,
      kind: 'distance',
      fromPoint,
      toPoint,
      text: String(value_mm),
      unit: 'mm',
      value_nm: value_mm * 1e6,
      instrument: 'tape',
      sd_nm: null,
    },
    id,
  );
const lineOf = async (jobId: string): Promise<JobSummary | undefined> =>
  ((await request(server.app).get('/api/jobs').expect(200)).body as JobSummary[]).find(
    ({ id }) => id === jobId,
  );

/** A job with one surface of some shape. */
async function jobWith(surface: object): Promise<{ readonly jobId: string; readonly surfaceId: string }> {
  const [jobId, placeId, surfaceId] = [newId(), newId(), newId()];
  await server
    .send(jobId, [
      put('job', { name: 'Kestrel Hill', entryUnit: 'mm', ...NEW_JOB }, jobId),
      put(
        'place',
        {
          parentId: null,
          kind: 'building',
          name: 'House',
          bearing_deg: null,
          latitude_deg: null,
          longitude_deg: null,
          altitude_m: null,
          horizon: [],
          climate: null,
          movable: false,
          position: 0,
        },
        placeId,
      ),
      put('surface', { ...NEW_SURFACE, placeId, tag: 'SW1', position: 0, ...surface }, surfaceId),
    ])
    .expect(200);
  return { jobId, surfaceId };
}

describe("does the list of jobs mean the same by 'measured' as the surface does?", () => {
  it('a five-sided pane with two lengths is not measured, though one is as good as a width and one as a height', async () => {
    const { jobId, surfaceId } = await jobWith({ shape: 'many sides', corners: 5 });
    await server
      .send(jobId, [measure(surfaceId, 'p1', 'p2', 900), measure(surfaceId, 'p2', 'p3', 700)])
      .expect(200);
    expect(await lineOf(jobId)).toMatchObject({ surfaces: 1, measured: 0 });
  });
  it('a pane with a width and a height is, and no longer when its measures contradict each other', async () => {
    const { jobId, surfaceId } = await jobWith({});
    await server
      .send(jobId, [measure(surfaceId, 'tl', 'tr', 900), measure(surfaceId, 'tl', 'bl', 1200)])
      .expect(200);
    expect(await lineOf(jobId)).toMatchObject({
      surfaces: 1,
      measured: 1,
      strip: [{ tag: 'SW1', width_mm: 900, height_mm: 1200 }],
    });
    await server
      .send(jobId, [
        measure(surfaceId, 'bl', 'br', 900),
        measure(surfaceId, 'tr', 'br', 1200),
        measure(surfaceId, 'tl', 'br', 1500),
        measure(surfaceId, 'tr', 'bl', 1560),
      ])
      .expect(200);
    expect(await lineOf(jobId)).toMatchObject({ surfaces: 1, measured: 0 });
  });
});

describe('is an answer thrown away by any change?', () => {
  it('a measure changed, taken out and put back, a surface taken out: each at once', async () => {
    const { jobId, surfaceId } = await jobWith({});
    const [width, height] = [newId(), newId()];
    await server
      .send(jobId, [measure(surfaceId, 'tl', 'tr', 900, width), measure(surfaceId, 'tl', 'bl', 1200, height)])
      .expect(200);
    expect(await lineOf(jobId)).toMatchObject({ measured: 1, strip: [{ width_mm: 900 }] });
    await server
      .send(jobId, [{ op: 'set', table: 'measure', id: width, baseVersion: 1, fields: { value_nm: 950e6 } }])
      .expect(200);
    expect(await lineOf(jobId)).toMatchObject({ measured: 1, strip: [{ width_mm: 950 }] });
    await server.send(jobId, [{ op: 'remove', table: 'measure', id: height, baseVersion: 1 }]).expect(200);
    expect(await lineOf(jobId)).toMatchObject({ measured: 0, strip: [{ width_mm: 950, height_mm: null }] });
    await server.send(jobId, [measure(surfaceId, 'tl', 'bl', 1210)]).expect(200);
    expect(await lineOf(jobId)).toMatchObject({ measured: 1, strip: [{ height_mm: 1210 }] });
    await server.send(jobId, [{ op: 'remove', table: 'surface', id: surfaceId, baseVersion: 1 }]).expect(200);
    expect(await lineOf(jobId)).toMatchObject({ surfaces: 0, measured: 0, strip: [] });
  });
  it('the figure that says what counts as measured: for every job, without a change to any', async () => {
    /** A regular pentagon of 500 mm radius. */
    const [side, diagonal] = [587.785, 951.057];
    const { jobId, surfaceId } = await jobWith({ shape: 'many sides', corners: 5 });
    await server
      .send(jobId, [
        ...[1, 2, 3, 4, 5].map((n) => measure(surfaceId, `p${n}`, `p${(n % 5) + 1}`, side)),
        measure(surfaceId, 'p1', 'p3', diagonal),
        measure(surfaceId, 'p1', 'p4', diagonal),
      ])
      .expect(200);
    expect(await lineOf(jobId)).toMatchObject({ measured: 1 });
    const setFigure = (version: number, value: number) =>
      request(server.app)
        .put('/api/learned/measure-determined')
        .set('If-Match', `"${version}"`)
        .send({ who: 'Wren', value, basis: 'ours' })
        .expect(200);
    await setFigure(0, 0.01);
    expect(await lineOf(jobId)).toMatchObject({ measured: 0 });
    await setFigure(1, 20);
    expect(await lineOf(jobId)).toMatchObject({ measured: 1 });
  });
  it('what is kept beside the change is what the whole job says', async () => {
    const films = await readFilms(server.db);
    const learned = await readLearned(server.db);
    const { body } = await request(server.app).get('/api/jobs').expect(200);
    for (const line of body as JobSummary[]) {
      const { rows } = await readJob(server.db, line.id);
      expect(line).toMatchObject(jobProgress(new JobView(rows, { ...EMPTY_SHOP, films, learned })));
    }
  });
});
