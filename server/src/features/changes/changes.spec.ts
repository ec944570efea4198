import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { AcceptedChange, JobState, Problem } from '@yellow-pane/contracts';
import { NEW_PLACE, NEW_SURFACE } from '@yellow-pane/core/job';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { type SmallJob, type TestApp, loadFilms, smallJob, testApp } from '../../testing/test-app';

let server: TestApp;
beforeAll(async () => {
  server = await testApp();
});
afterAll(async () => {
  await server.close();
});

async function madeJob(): Promise<SmallJob> {
  const job = smallJob();
  await server.send(job.jobId, job.ops).expect(200);
  return job;
}
const read = async (jobId: string): Promise<JobState> =>
  (await request(server.app).get(`/api/jobs/${jobId}`).expect(200)).body as JobState;
const problemOf = (answer: { readonly body: unknown }): Problem => answer.body as Problem;

const AT_TWENTY_PAST_NINE = '2026-11-24T09:20:00+00:00';

describe('is what was sent what is kept?', () => {
  it('a job with a place, a surface and a measure comes back field for field, with who and when', async () => {
    const { jobId, measureId, ops } = await madeJob();
    const { rows } = await read(jobId);
    expect(rows.measure[0]).toEqual({
      ...(ops[3]?.op === 'put' ? ops[3].fields : {}),
      id: measureId,
      jobId,
      version: 1,
      madeBy: 'Wren',
      madeAt: AT_TWENTY_PAST_NINE,
      changedBy: 'Wren',
      changedAt: AT_TWENTY_PAST_NINE,
      removed: false,
    });
    expect(rows.job[0]).toMatchObject({ name: 'Kestrel Hill', entryUnit: 'mm', jobId });
  });

  it('the same change sent twice is done once and answered alike', async () => {
    const job = smallJob();
    const change = { id: newId(), session: newId() };
    const first = (await server.send(job.jobId, job.ops, change).expect(200)).body as AcceptedChange;
    const second = (await server.send(job.jobId, job.ops, change).expect(200)).body as AcceptedChange;
    expect(second.seq).toBe(first.seq);
    expect(second.rows).toHaveLength(first.rows.length);
    expect((await read(job.jobId)).rows.surface).toHaveLength(1);
  });

  it('when one operation of a change is refused, none is done', async () => {
    const { jobId, surfaceId } = await madeJob();
    await server
      .send(jobId, [
        { op: 'set', table: 'surface', id: surfaceId, baseVersion: 1, fields: { tag: 'changed' } },
        { op: 'set', table: 'surface', id: newId(), baseVersion: 1, fields: { tag: 'x' } },
      ])
      .expect(404);
    expect((await read(jobId)).rows.surface[0]?.tag).toBe('SW1');
  });

  it('SQL and HTML in names are kept as they were typed', async () => {
    const { jobId, surfaceId } = await madeJob();
    const name = `'); drop table surface; -- <script>alert(1)</script> \${x} 窓`;
    await server
      .send(jobId, [{ op: 'set', table: 'surface', id: surfaceId, baseVersion: 1, fields: { name } }])
      .expect(200);
    expect((await read(jobId)).rows.surface[0]?.name).toBe(name);
  });

  it('a deleted row is gone, and putting it again brings it back with a higher version', async () => {
    const { jobId, measureId, ops } = await madeJob();
    await server.send(jobId, [{ op: 'remove', table: 'measure', id: measureId, baseVersion: 1 }]).expect(200);
    expect((await read(jobId)).rows.measure).toHaveLength(0);
    const put = ops[3];
    if (put === undefined) throw new Error('no measure');
    await server.send(jobId, [put]).expect(200);
    expect((await read(jobId)).rows.measure[0]).toMatchObject({ id: measureId, version: 3, text: '34 5/8' });
  });

  it('a deleted job is not listed nor read, and is brought back by making it again', async () => {
    const { jobId, ops } = await madeJob();
    await server.send(jobId, [{ op: 'remove', table: 'job', id: jobId, baseVersion: 1 }]).expect(200);
    await request(server.app).get(`/api/jobs/${jobId}`).expect(404);
    const put = ops[0];
    if (put === undefined) throw new Error('no job');
    await server.send(jobId, [put]).expect(200);
    expect((await read(jobId)).rows.surface).toHaveLength(1);
  });
});

describe('what when two people change the same row?', () => {
  it('different fields merge, though the second saw an old version', async () => {
    const { jobId, surfaceId } = await madeJob();
    await server
      .send(
        jobId,
        [
          {
            op: 'set',
            table: 'surface',
            id: surfaceId,
            baseVersion: 1,
            fields: { name: 'left of the door' },
          },
        ],
        { who: 'Wren' },
      )
      .expect(200);
    await server
      .send(
        jobId,
        [{ op: 'set', table: 'surface', id: surfaceId, baseVersion: 1, fields: { condition: 'sound' } }],
        { who: 'Finch' },
      )
      .expect(200);
    expect((await read(jobId)).rows.surface[0]).toMatchObject({
      name: 'left of the door',
      condition: 'sound',
      version: 3,
      changedBy: 'Finch',
    });
  });

  it('the same field is refused with both values, who and when; nothing is overwritten', async () => {
    const { jobId, measureId } = await madeJob();
    await server
      .send(
        jobId,
        [
          {
            op: 'set',
            table: 'measure',
            id: measureId,
            baseVersion: 1,
            fields: { value_nm: 880_000_000, text: '880', unit: 'mm' },
          },
        ],
        { who: 'Finch' },
      )
      .expect(200);
    const answer = await server
      .send(
        jobId,
        [{ op: 'set', table: 'measure', id: measureId, baseVersion: 1, fields: { value_nm: 890_000_000 } }],
        { who: 'Wren' },
      )
      .expect(409);
    const problem = problemOf(answer);
    expect(problem).toMatchObject({
      code: 'ROW_CONFLICT',
      path: 'measure.value_nm',
      conflicts: [{ field: 'value_nm', yours: 890_000_000, theirs: 880_000_000, who: 'Finch', version: 2 }],
      current: [{ table: 'measure', row: { value_nm: 880_000_000, version: 2 } }],
    });
    expect((await read(jobId)).rows.measure[0]?.value_nm).toBe(880_000_000);
  });

  it('the same value twice is no conflict', async () => {
    const { jobId, surfaceId } = await madeJob();
    const set = [
      { op: 'set', table: 'surface', id: surfaceId, baseVersion: 1, fields: { tag: 'SW9' } },
    ] as const;
    await server.send(jobId, set).expect(200);
    await server.send(jobId, set).expect(200);
  });

  it('a session does not conflict with itself', async () => {
    const { jobId, surfaceId } = await madeJob();
    const session = newId();
    for (const tag of ['A', 'B', 'C'])
      await server
        .send(jobId, [{ op: 'set', table: 'surface', id: surfaceId, baseVersion: 1, fields: { tag } }], {
          session,
        })
        .expect(200);
    expect((await read(jobId)).rows.surface[0]).toMatchObject({ tag: 'C', version: 4 });
  });

  it('deleting what someone else changed meanwhile is refused; changing what is deleted as well', async () => {
    const { jobId, surfaceId, measureId } = await madeJob();
    await server
      .send(jobId, [
        {
          op: 'set',
          table: 'measure',
          id: measureId,
          baseVersion: 1,
          fields: { text: '900', value_nm: 900_000_000 },
        },
      ])
      .expect(200);
    expect(
      problemOf(
        await server
          .send(jobId, [{ op: 'remove', table: 'measure', id: measureId, baseVersion: 1 }])
          .expect(409),
      ).code,
    ).toBe('ROW_CONFLICT');
    await server.send(jobId, [{ op: 'remove', table: 'surface', id: surfaceId, baseVersion: 1 }]).expect(200);
    expect(
      problemOf(
        await server
          .send(jobId, [{ op: 'set', table: 'surface', id: surfaceId, baseVersion: 1, fields: { tag: 'X' } }])
          .expect(409),
      ).code,
    ).toBe('ROW_REMOVED');
  });

  it('history keeps both values, newest first', async () => {
    const { jobId, surfaceId } = await madeJob();
    await server
      .send(jobId, [{ op: 'set', table: 'surface', id: surfaceId, baseVersion: 1, fields: { tag: 'SW2' } }], {
        who: 'Finch',
      })
      .expect(200);
    const history = (await request(server.app).get(`/api/jobs/${jobId}/history?row=${surfaceId}`).expect(200))
      .body as { readonly before: unknown; readonly after: unknown; readonly who: string }[];
    expect(history[0]).toMatchObject({ who: 'Finch', before: { tag: 'SW1' }, after: { tag: 'SW2' } });
    expect(history).toHaveLength(2);
  });
});

describe('does a row outlive what it hangs on?', () => {
  const measureOn = (surfaceId: string) => ({
    op: 'put' as const,
    table: 'measure' as const,
    id: newId(),
    fields: {
      surfaceId,
      kind: 'distance' as const,
      fromPoint: 'bl',
      toPoint: 'br',
      value_nm: 900_000_000,
      text: '900',
      unit: 'mm' as const,
      instrument: 'tape' as const,
      sd_nm: null,
    },
  });

  it('a measure on a surface that was deleted meanwhile is refused, with its tag and who deleted it', async () => {
    const { jobId, surfaceId } = await madeJob();
    await server
      .send(jobId, [{ op: 'remove', table: 'surface', id: surfaceId, baseVersion: 1 }], { who: 'Finch' })
      .expect(200);
    const refused = problemOf(await server.send(jobId, [measureOn(surfaceId)]).expect(409));
    expect([refused.code, refused.path, refused.got]).toEqual([
      'REFERENCE_REMOVED',
      'measure.surfaceId',
      'SW1, deleted by Finch',
    ]);
  });

  it('a surface that is deleted takes its measures with it in the same change, those made by others too; put again together they are back', async () => {
    const { jobId, surfaceId, ops } = await madeJob();
    const late = measureOn(surfaceId);
    await server.send(jobId, [late], { who: 'Finch' }).expect(200);
    const gone = (
      await server
        .send(jobId, [{ op: 'remove', table: 'surface', id: surfaceId, baseVersion: 1 }])
        .expect(200)
    ).body as AcceptedChange;
    expect(gone.rows.map(({ table, row }) => [table, row.removed])).toEqual(
      expect.arrayContaining([
        ['measure', true],
        ['surface', true],
      ]),
    );
    expect(gone.rows).toHaveLength(3);
    expect((await read(jobId)).rows.measure).toEqual([]);
    await server.send(jobId, [...ops.slice(2), late]).expect(200);
    expect((await read(jobId)).rows.measure).toHaveLength(2);
    expect((await read(jobId)).rows.surface).toHaveLength(1);
  });

  it('a surface the same as one that is deleted stands for itself afterwards', async () => {
    const { jobId, surfaceId, placeId } = await madeJob();
    const twin = newId();
    await server
      .send(jobId, [
        {
          op: 'put',
          table: 'surface',
          id: twin,
          fields: { ...NEW_SURFACE, placeId, tag: 'SW2', position: 2, sameAsId: surfaceId },
        },
      ])
      .expect(200);
    await server.send(jobId, [{ op: 'remove', table: 'surface', id: surfaceId, baseVersion: 1 }]).expect(200);
    expect((await read(jobId)).rows.surface).toMatchObject([{ id: twin, sameAsId: null }]);
  });

  it('a film taken off takes its planned steps and work with it, and the job can be copied', async () => {
    const { jobId, surfaceId } = await madeJob();
    const id = newId();
    const application = {
      op: 'put' as const,
      table: 'application' as const,
      id,
      fields: {
        surfaceId,
        side: 'room' as const,
        filmId: (await loadFilms(server.app))[0]?.id ?? '',
        method: 'trim in place' as const,
        schools: { liner: 'hang and pull', lock: 'X' },
        over: null,
        position: 1,
      },
    };
    await server
      .send(jobId, [
        application,
        {
          op: 'put',
          table: 'seamChoice',
          id: newId(),
          fields: {
            applicationId: id,
            kind: 'butt',
            placing: null,
            match: null,
            firstDrop: null,
            rollWidth_nm: null,
          },
        },
      ])
      .expect(200);
    await server.send(jobId, [{ op: 'remove', table: 'application', id, baseVersion: 1 }]).expect(200);
    expect((await read(jobId)).rows.seamChoice).toEqual([]);
    await request(server.app)
      .post(`/api/jobs/${jobId}/duplicate`)
      .send({ id: newId(), changeId: newId(), session: newId(), who: 'Wren', name: 'copy' })
      .expect(200);
  });

  it('a place under itself, a ring of places and a surface the same as itself are refused', async () => {
    const { jobId, placeId, surfaceId } = await madeJob();
    const below = newId();
    const ring = async (table: 'place' | 'surface', id: string, fields: object): Promise<string> =>
      problemOf(
        await server.send(jobId, [{ op: 'set', table, id, baseVersion: 1, fields } as never]).expect(422),
      ).code;
    expect(await ring('place', placeId, { parentId: placeId })).toBe('REFERENCE_RING');
    expect(await ring('surface', surfaceId, { sameAsId: surfaceId })).toBe('REFERENCE_RING');
    await server
      .send(jobId, [
        {
          op: 'put',
          table: 'place',
          id: below,
          fields: { ...NEW_PLACE, name: 'Room', position: 2, parentId: placeId },
        },
      ])
      .expect(200);
    expect(await ring('place', placeId, { parentId: below })).toBe('REFERENCE_RING');
  });
});

describe('can one row be written by its address?', () => {
  it('PUT makes, PATCH with If-Match changes, DELETE with If-Match deletes', async () => {
    const { jobId, placeId } = await madeJob();
    const id = newId();
    const at = `/api/jobs/${jobId}/rows/surface/${id}`;
    const fields = { ...NEW_SURFACE, placeId, tag: 'SW2', position: 2 };
    await request(server.app).put(at).send({ who: 'Wren', fields }).expect(200);
    await request(server.app)
      .patch(at)
      .set('If-Match', '"1"')
      .send({ who: 'Wren', fields: { tag: 'SW3' } })
      .expect(200);
    expect((await read(jobId)).rows.surface.find((row) => row.id === id)?.tag).toBe('SW3');
    await request(server.app).delete(at).set('If-Match', '2').send({ who: 'Wren' }).expect(200);
    expect((await read(jobId)).rows.surface.some((row) => row.id === id)).toBe(false);
  });

  it('without If-Match a change is refused with 428, with a stale one and the same field with 409', async () => {
    const { jobId, surfaceId } = await madeJob();
    const at = `/api/jobs/${jobId}/rows/surface/${surfaceId}`;
    expect(
      problemOf(
        await request(server.app)
          .patch(at)
          .send({ who: 'Wren', fields: { tag: 'X' } })
          .expect(428),
      ).code,
    ).toBe('IF_MATCH_MISSING');
    await request(server.app)
      .patch(at)
      .set('If-Match', '"1"')
      .send({ who: 'Wren', fields: { tag: 'X' } })
      .expect(200);
    await request(server.app)
      .patch(at)
      .set('If-Match', '"1"')
      .send({ who: 'Finch', fields: { tag: 'Y' } })
      .expect(409);
  });

  it('a version from the future is refused by name', async () => {
    const { jobId, surfaceId } = await madeJob();
    expect(
      problemOf(
        await request(server.app)
          .patch(`/api/jobs/${jobId}/rows/surface/${surfaceId}`)
          .set('If-Match', '"9"')
          .send({ who: 'Wren', fields: { tag: 'X' } })
          .expect(422),
      ).path,
    ).toBe('surface.baseVersion');
  });
});

describe('what is refused, and is it named?', () => {
  it('a row of another job, by its id or as a reference', async () => {
    const [mine, other] = [await madeJob(), await madeJob()];
    expect(
      problemOf(
        await server
          .send(mine.jobId, [
            { op: 'set', table: 'surface', id: other.surfaceId, baseVersion: 1, fields: { tag: 'X' } },
          ])
          .expect(422),
      ).code,
    ).toBe('ROW_OF_ANOTHER_JOB');
    expect(
      problemOf(
        await server
          .send(mine.jobId, [
            {
              op: 'set',
              table: 'surface',
              id: mine.surfaceId,
              baseVersion: 1,
              fields: { placeId: other.placeId },
            },
          ])
          .expect(422),
      ).code,
    ).toBe('REFERENCE_UNKNOWN');
  });

  it('a film that is not in the catalogue', async () => {
    const { jobId, surfaceId } = await madeJob();
    const put = {
      op: 'put',
      table: 'application',
      id: newId(),
      fields: {
        surfaceId,
        side: 'room',
        filmId: newId(),
        method: 'decor',
        schools: { liner: 'hang and pull', lock: 'X' },
        over: null,
        position: 1,
      },
    } as const;
    expect(problemOf(await server.send(jobId, [put]).expect(422)).code).toBe('REFERENCE_UNKNOWN');
  });

  it.each([
    ['an unknown field', { colour: 'red' }, 'ops.0.fields.colour'],
    ['a wrong type', { tag: 7 }, 'ops.0.fields.tag'],
    ['a tag of 41 letters', { tag: 'x'.repeat(41) }, 'ops.0.fields.tag'],
    ['an empty tag', { tag: '  ' }, 'ops.0.fields.tag'],
    ['a NUL character', { name: 'a\u0000b' }, 'ops.0.fields.name'],
    ['half a surrogate pair', { name: '\ud800' }, 'ops.0.fields.name'],
    ['an unknown condition', { condition: 'fine' }, 'ops.0.fields.condition'],
    ['no field at all', {}, 'ops.0.fields'],
  ])('%s is named by its path', async (_what, fields, path) => {
    const { jobId, surfaceId } = await madeJob();
    const answer = await request(server.app)
      .post(`/api/jobs/${jobId}/changes`)
      .send({
        id: newId(),
        session: newId(),
        who: 'Wren',
        ops: [{ op: 'set', table: 'surface', id: surfaceId, baseVersion: 1, fields }],
      })
      .expect(422);
    expect(problemOf(answer)).toMatchObject({ code: 'BODY_INVALID', path });
    expect(answer.headers['content-type']).toContain('application/problem+json');
  });

  it('a body over 1 MB, a body that is not JSON, no body', async () => {
    const at = `/api/jobs/${newId()}/changes`;
    expect(
      problemOf(
        await request(server.app)
          .post(at)
          .set('Content-Type', 'application/json')
          .send(`{"a":"${'x'.repeat(1_100_000)}"}`)
          .expect(413),
      ).code,
    ).toBe('BODY_TOO_LARGE');
    expect(
      problemOf(
        await request(server.app).post(at).set('Content-Type', 'application/json').send('{"a":').expect(400),
      ).code,
    ).toBe('BODY_NOT_JSON');
    expect(problemOf(await request(server.app).post(at).expect(400)).code).toBe('BODY_NOT_JSON');
  });

  it('a job id that is no UUID of version 7, and one nobody knows', async () => {
    expect(problemOf(await request(server.app).get('/api/jobs/12').expect(422))).toMatchObject({
      code: 'ID_INVALID',
      path: 'jobId',
    });
    expect(problemOf(await request(server.app).get(`/api/jobs/${newId()}`).expect(404)).code).toBe(
      'JOB_UNKNOWN',
    );
  });

  it('the change id of another job', async () => {
    const [first, second] = [smallJob(), smallJob()];
    const id = newId();
    await server.send(first.jobId, first.ops, { id }).expect(200);
    expect(problemOf(await server.send(second.jobId, second.ops, { id }).expect(409)).code).toBe(
      'CHANGE_ID_USED',
    );
  });
});
