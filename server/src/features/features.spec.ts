import { once } from 'node:events';
import { type AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import {
  type AcceptedChange,
  type FilmRow,
  type JobState,
  type JobSummary,
  ROUTES,
  type LearnedRow,
  learnedRowSchema,
} from '@yellow-pane/contracts';
import { NOT_BEGUN } from '@yellow-pane/core/job';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { type TestApp, exampleFilm, loadFilms, smallJob, testApp } from '../testing/test-app';

let server: TestApp;
beforeAll(async () => {
  server = await testApp();
});
afterAll(async () => {
  await server.close();
});

describe('does the list of jobs say what is next?', () => {
  it('one surface with a width only: counted, not measured, drawn with the width known', async () => {
    const job = smallJob();
    await server.send(job.jobId, job.ops).expect(200);
    const jobs = (await request(server.app).get('/api/jobs').expect(200)).body as JobSummary[];
    expect(jobs.find(({ id }) => id === job.jobId)).toMatchObject({
      name: 'Kestrel Hill',
      surfaces: 1,
      measured: 0,
      withFilm: 0,
      laid: 0,
      fitted: 0,
      strip: [{ tag: 'SW1', width_mm: 879.475, height_mm: null }],
    });
  });
});

describe('is a job read whole?', () => {
  it('twenty readers at once all get the same, the first ones too', async () => {
    const fresh = await testApp();
    const job = smallJob();
    await fresh.send(job.jobId, job.ops).expect(200);
    const answers = await Promise.all(
      Array.from({ length: 20 }, () => request(fresh.app).get(`/api/jobs/${job.jobId}`).expect(200)),
    );
    expect(new Set(answers.map(({ text }) => text)).size).toBe(1);
    await fresh.close();
  });

  it('more rows than a page holds all come, each once', async () => {
    const job = smallJob();
    await server.send(job.jobId, job.ops).expect(200);
    const ids = Array.from({ length: 5200 }, () => newId());
    for (let first = 0; first < ids.length; first += 1300)
      await server
        .send(
          job.jobId,
          ids.slice(first, first + 1300).map(
            (id) =>
              ({
                op: 'put',
                table: 'measure',
                id,
                fields: {
                  surfaceId: job.surfaceId,
                  kind: 'distance' as const,
                  fromPoint: 'tl',
                  toPoint: 'bl',
                  text: '{"id":"',
                  unit: 'mm',
                  value_nm: 880_000_000,
                  instrument: 'tape',
                  sd_nm: null,
                },
              }) as const,
          ),
        )
        .expect(200);
    const { rows } = (await request(server.app).get(`/api/jobs/${job.jobId}`).expect(200)).body as JobState;
    expect(rows.measure.map(({ id }) => id).sort()).toEqual([job.measureId, ...ids].sort());
  });
});

describe('is a copy of a job a job of its own?', () => {
  it('it has the same surfaces and measures under new ids, sent twice it is made once', async () => {
    const job = smallJob();
    await server.send(job.jobId, job.ops).expect(200);
    const copy = { id: newId(), changeId: newId(), session: newId(), who: 'Finch', name: 'Copy' };
    for (let time = 0; time < 2; time += 1)
      await request(server.app).post(`/api/jobs/${job.jobId}/duplicate`).send(copy).expect(200);
    const { rows } = (await request(server.app).get(`/api/jobs/${copy.id}`).expect(200)).body as JobState;
    expect(rows.job[0]).toMatchObject({ name: 'Copy', madeBy: 'Finch' });
    expect(rows.measure).toHaveLength(1);
    expect(rows.measure[0]).toMatchObject({ text: '34 5/8', surfaceId: rows.surface[0]?.id });
    expect(rows.measure[0]?.id).not.toBe(job.measureId);
  });
});

describe('is the film catalogue kept straight?', () => {
  it('starts empty, loads invented examples on request and only once', async () => {
    const fresh = await testApp();
    expect((await request(fresh.app).get('/api/films').expect(200)).body).toEqual([]);
    const films = await loadFilms(fresh.app);
    expect(films.length).toBeGreaterThan(10);
    expect(films.every(({ invented }) => invented)).toBe(true);
    expect(await loadFilms(fresh.app)).toHaveLength(films.length);
    await fresh.close();
  });

  it('a film whose light let through and reflected exceed 1 is refused by field', async () => {
    const answer = await request(server.app)
      .put(`/api/films/${newId()}`)
      .send({ who: 'Wren', film: { ...exampleFilm, visibleTransmitted: 0.7, visibleReflectedRoom: 0.4 } })
      .expect(422);
    expect(answer.body).toMatchObject({ code: 'BODY_INVALID', path: 'film.visibleReflectedRoom' });
  });

  it('a film is replaced only by who saw its version', async () => {
    const id = newId();
    await request(server.app).put(`/api/films/${id}`).send({ who: 'Wren', film: exampleFilm }).expect(200);
    await request(server.app).put(`/api/films/${id}`).send({ who: 'Wren', film: exampleFilm }).expect(409);
    const replaced = (
      await request(server.app)
        .put(`/api/films/${id}`)
        .set('If-Match', '"1"')
        .send({ who: 'Finch', film: { ...exampleFilm, name: 'other' } })
        .expect(200)
    ).body as FilmRow;
    expect(replaced).toMatchObject({ name: 'other', version: 2, changedBy: 'Finch' });
  });
});

describe('does the list of jobs count what is fitted?', () => {
  it.each(['handover', 'handover-decor', 'handover-curved'])(
    'a surface whose last step is called %s counts once that step is done, not before',
    async (step) => {
      const { jobId, surfaceId, ops } = smallJob();
      const [filmRow] = (await request(server.app).get('/api/films')).body as FilmRow[];
      const [applicationId, workId] = [newId(), newId()];
      await server
        .send(jobId, [
          ...ops,
          {
            op: 'put',
            table: 'application',
            id: applicationId,
            fields: {
              surfaceId,
              filmId: filmRow?.id ?? '',
              side: 'room',
              method: 'decor',
              position: 1,
              over: null,
              schools: {},
            },
          },
          {
            op: 'put',
            table: 'workRecord',
            id: workId,
            fields: {
              applicationId,
              template: 'decor',
              step,
              templateVersion: 1,
              ...NOT_BEGUN,
              startedAt: '2026-11-24T08:00:00Z',
              doneAt: null,
              note: '',
            },
          },
        ])
        .expect(200);
      const fitted = async (): Promise<unknown> =>
        (
          (await request(server.app).get('/api/jobs')).body as {
            id: string;
            fitted: number;
            withFilm: number;
          }[]
        ).find(({ id }) => id === jobId);
      expect(await fitted()).toMatchObject({ withFilm: 1, fitted: 0 });
      await server
        .send(jobId, [
          {
            op: 'set',
            table: 'workRecord',
            id: workId,
            baseVersion: 1,
            fields: { doneAt: '2026-11-24T12:00:00Z' },
          },
        ])
        .expect(200);
      expect(await fitted()).toMatchObject({ fitted: 1 });
    },
  );
});

describe('is a guess shown as a guess until someone measures?', () => {
  it('a rate starts as our guess and becomes measured, against the version seen', async () => {
    const rates = (await request(server.app).get('/api/learned').expect(200)).body as {
      readonly key: string;
      readonly basis: string;
      readonly version: number;
    }[];
    expect(rates[0]).toMatchObject({ basis: 'ours', version: 0 });
    const at = `/api/learned/${rates[0]?.key ?? ''}`;
    await request(server.app)
      .put(at)
      .set('If-Match', '"0"')
      .send({ who: 'Wren', value: 0.15, basis: 'measured' })
      .expect(200);
    await request(server.app)
      .put(at)
      .set('If-Match', '"0"')
      .send({ who: 'Wren', value: 0.2, basis: 'measured' })
      .expect(409);
    await request(server.app)
      .put('/api/learned/nothing')
      .set('If-Match', '"0"')
      .send({ who: 'Wren', value: 0.2, basis: 'measured' })
      .expect(404);
    const bottle = await request(server.app)
      .put('/api/learned/mix-bottle')
      .set('If-Match', '"0"')
      .send({ who: 'Wren', value: 0, basis: 'measured' })
      .expect(422);
    expect(bottle.body).toMatchObject({ code: 'BODY_INVALID', path: 'value', got: '0' });
  });
});

describe('may a figure hold for one film or person alone?', () => {
  it('kept beside the one for everything, each with its own version; a scope that is none is refused by name', async () => {
    const put = (version: string, body: object): request.Test =>
      request(server.app)
        .put('/api/learned/work-trim')
        .set('If-Match', version)
        .send({ who: 'Wren', value: 0.9, basis: 'measured', ...body });
    const scope = { kind: 'person', of: 'Finch' };
    const own = await put('"0"', { scope, sd: 0.1, n: 6, from: 'timed at SW1' }).expect(200);
    expect(own.body).toMatchObject({ scope, sd: 0.1, n: 6, version: 1 });
    const all = (await request(server.app).get('/api/learned')).body as readonly LearnedRow[];
    expect(all.filter(({ key }) => key === 'work-trim')).toMatchObject([
      { scope: null, value: 1.2, version: 0 },
      { scope, value: 0.9, version: 1 },
    ]);
    for (const row of all) expect(learnedRowSchema.parse(row)).toEqual(row);
    await put('"0"', { scope }).expect(409);
    await put('"1"', { scope, value: 1 }).expect(200);
    expect(
      JSON.stringify((await put('"0"', { scope: { kind: 'mood', of: 'x' } }).expect(422)).body),
    ).toContain('scope');
  });
});

describe('what has the workshop in stock of what is used up?', () => {
  it('nobody counted: unknown, not none; counted, it is kept against the version seen; what cannot be is named', async () => {
    const supplies = (await request(server.app).get('/api/supplies').expect(200)).body as {
      readonly key: string;
      readonly have: number | null;
      readonly version: number;
    }[];
    expect(supplies.map(({ key }) => key)).toContain('blade-points');
    expect(supplies.find(({ key }) => key === 'tape')).toMatchObject({ have: null, version: 0 });
    const put = (version: string, have: number) =>
      request(server.app).put('/api/supplies/tape').set('If-Match', version).send({ who: 'Wren', have });
    await put('"0"', 33.5).expect(200);
    await put('"0"', 20).expect(409);
    const refused = await put('"1"', -1).expect(422);
    expect((refused.body as { readonly path: string }).path).toContain('have');
    expect((await request(server.app).get('/api/supplies')).body).toContainEqual(
      expect.objectContaining({ key: 'tape', have: 33.5, version: 1, changedBy: 'Wren' }),
    );
    await request(server.app)
      .put('/api/supplies/gold')
      .set('If-Match', '"0"')
      .send({ who: 'Wren', have: 1 })
      .expect(404);
    await request(server.app).put('/api/supplies/tape').send({ who: 'Wren', have: 1 }).expect(428);
  });
});

describe('can other programs ask core?', () => {
  it('a measure check, a blank and a layout, each with its reasons', async () => {
    const points = ['a', 'b', 'c', 'd'].map((id) => ({ id }));
    const distances = [
      ['a', 'b', 900],
      ['d', 'c', 900],
      ['a', 'd', 1200],
      ['b', 'c', 1200],
      ['a', 'c', 1500],
      ['d', 'b', 1500],
      ['d', 'b~c', 1082],
    ].map(([from, to, value_mm]) => ({ id: `${from}${to}`, from, to, value_mm, sd_mm: 1.5 }));
    const answer = (
      await request(server.app).post('/api/calculate/measure').send({ points, distances }).expect(200)
    ).body as { readonly area_mm2: { readonly value: number; readonly sd: number } };
    expect(answer).toMatchObject({
      stopped: 'converged',
      rank: 5,
      unknowns: ['b.x', 'c.x', 'c.y', 'd.x', 'd.y'],
      agreement: { kind: 'agree' },
    });
    expect(answer.area_mm2.value / 1_080_000).toBeCloseTo(1, 3);
    expect(answer.area_mm2.sd).toBeGreaterThan(500);
    const wrong = distances.map((distance) =>
      distance.id === 'ac' ? { ...distance, value_mm: 1560 } : distance,
    );
    expect(
      (
        await request(server.app)
          .post('/api/calculate/measure')
          .send({ points, distances: wrong })
          .expect(200)
      ).body,
    ).toMatchObject({
      agreement: {
        kind: 'disagree',
        suspects: expect.arrayContaining([expect.objectContaining({ id: 'ac' })]),
      },
    });
    await request(server.app)
      .post('/api/calculate/measure')
      .send({ points, distances: [{ id: 'x', from: 'a', to: 'q', value_mm: 900, sd_mm: 1 }] })
      .expect(422)
      .expect(({ body }) => {
        expect(body).toMatchObject({ code: 'MEASURE_NETWORK_POINT', got: 'q' });
      });
    await request(server.app)
      .post('/api/calculate/measure')
      .send({ points, distances: distances.slice(0, 2) })
      .expect(422)
      .expect(({ body }) => {
        expect(body).toMatchObject({ code: 'MEASURE_NETWORK_OPEN' });
      });
    const readings = [
      ['distance', 'tl', 'tr', 1400],
      ['distance', 'tl', 'bl', 700],
      ['sag', 'ml', 'mr', 80],
      ['sag', 'mt', 'mb', 30],
    ].map(([kind, from, to, value_mm]) => ({
      id: `${kind}${from}`,
      kind,
      from,
      to,
      value_mm,
      instrument: 'tape',
    }));
    expect(
      (await request(server.app).post('/api/calculate/curved-patch').send({ readings }).expect(200)).body,
    ).toMatchObject({ figure: { patch: { halfWidth_mm: 700 } } });
    const planned = await request(server.app)
      .post('/api/calculate/shrink-plan')
      .send({ readings })
      .expect(200);
    expect(planned.body).toMatchObject({
      plan: {
        'a line across': { verdict: 'hard', bottom: { folds: { places: expect.any(Array) } } },
        'along the top': { verdict: 'over the limit' },
      },
      helps: { 'along the top': [{ case: 'other hold', hold: 'a line across' }, {}, {}] },
      order: { 'a line across': { reason: 'from the middle outwards' } },
      band: { 'a line across': { bottom_mm: { low: expect.any(Number) } } },
    });
    await request(server.app)
      .post('/api/calculate/shrink-plan')
      .send({ readings: readings.slice(0, 2) })
      .expect(200)
      .expect(({ body }) => {
        expect(body).toMatchObject({ plan: null });
      });
    await request(server.app)
      .post('/api/calculate/shrink-plan')
      .send({ readings, lineAt_mm: 400 })
      .expect(422)
      .expect(({ body }) => {
        expect(body).toMatchObject({ code: 'CURVED_RANGE', path: 'lineAt_mm', got: '400' });
      });
    const astray = readings.map((reading, index) => (index === 2 ? { ...reading, to: 'nose' } : reading));
    const refused = await request(server.app).post('/api/calculate/curved-patch').send({ readings: astray });
    expect([refused.status, refused.body]).toMatchObject([422, { path: 'readings.2.to', got: '"nose"' }]);
    expect(
      (
        await request(server.app)
          .post('/api/calculate/blank')
          .send({ aroundWidth_mm: 1180, aroundHeight_mm: 2140, method: 'trim in place', direction: 'none' })
          .expect(200)
      ).body,
    ).toMatchObject({ width_mm: { value: 1230, why: [{ formula: 'cutting.blankWidth' }] } });
    expect(
      (
        await request(server.app)
          .post('/api/calculate/layout')
          .send({
            rollWidth_mm: 1524,
            pieces: [{ id: 'SW1', across_mm: 1230, along_mm: 2190, mayTurn90: false }],
          })
          .expect(200)
      ).body,
    ).toMatchObject({ length_mm: { value: 2190 }, stopped: 'optimal' });
  });

  it("a blank wider than the roll is core's refusal in the catalogue's words", async () => {
    const answer = await request(server.app)
      .post('/api/calculate/layout')
      .send({
        rollWidth_mm: 1220,
        pieces: [{ id: 'SW1', across_mm: 1230, along_mm: 2190, mayTurn90: false }],
      })
      .expect(422);
    expect(answer.body).toMatchObject({ code: 'CUTTING_PIECE_WIDER_THAN_ROLL', path: 'SW1' });
  });
});

describe('does everyone hear of a change?', () => {
  it('a listener gets it within a second, a late one catches up from the last it heard', async () => {
    const job = smallJob();
    await server.send(job.jobId, job.ops).expect(200);
    const listening = server.app.listen(0, '127.0.0.1');
    await once(listening, 'listening');
    const at = `http://127.0.0.1:${(listening.address() as AddressInfo).port}/api/events?job=${job.jobId}`;
    const hear = async (
      headers: Record<string, string>,
      act: () => Promise<unknown>,
    ): Promise<AcceptedChange> => {
      const stop = new AbortController();
      const answer = await fetch(at, { headers, signal: stop.signal });
      const reader = answer.body?.pipeThrough(new TextDecoderStream()).getReader();
      await act();
      for (let text = ''; ;) {
        text += (await reader?.read())?.value ?? '';
        const match = /event: change\ndata: (.+)\n/.exec(text);
        if (match?.[1] === undefined) continue;
        stop.abort();
        return JSON.parse(match[1]) as AcceptedChange;
      }
    };
    const heard = await hear({}, () =>
      server
        .send(
          job.jobId,
          [{ op: 'set', table: 'surface', id: job.surfaceId, baseVersion: 1, fields: { tag: 'SW8' } }],
          { who: 'Finch' },
        )
        .expect(200),
    );
    expect(heard).toMatchObject({ who: 'Finch', rows: [{ table: 'surface', row: { tag: 'SW8' } }] });
    const missed = await hear({ 'Last-Event-ID': String(heard.seq - 1) }, () => Promise.resolve());
    expect(missed.seq).toBe(heard.seq);
    listening.closeAllConnections();
    listening.close();
  });
});

describe('is the server described and guarded?', () => {
  it('the OpenAPI document names every route there is', async () => {
    const { paths } = (await request(server.app).get('/api/openapi.json').expect(200)).body as {
      readonly paths: Record<string, Record<string, unknown>>;
    };
    for (const { path, method } of ROUTES) expect(paths[path]?.[method]).toBeDefined();
  });

  it('answers health, forbids framing, sniffing and foreign scripts', async () => {
    const { headers } = await request(server.app)
      .get('/api/health')
      .expect(200, { status: 'ok', hasRoom: true });
    expect(headers['content-security-policy']).toBe("default-src 'none';frame-ancestors 'none'");
    const page = (await request(server.app).get('/jobs')).headers['content-security-policy'];
    expect(page).toMatch(/default-src 'none'.*script-src 'self' 'nonce-[^']+'.*frame-ancestors 'none'/);
    expect(page).not.toContain('unsafe');
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['x-powered-by']).toBeUndefined();
  });

  it('an unknown address is a 404 problem', async () => {
    expect((await request(server.app).get('/api/nothing').expect(404)).body).toMatchObject({
      code: 'ROUTE_UNKNOWN',
    });
  });
});
