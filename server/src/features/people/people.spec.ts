import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { type PeopleAnswer, type PersonRow, peopleSchema, personRowSchema } from '@yellow-pane/contracts';
import { newPerson } from '@yellow-pane/core/job';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { type TestApp, smallJob, testApp } from '../../testing/test-app';

let server: TestApp;
beforeAll(async () => {
  server = await testApp();
});
afterAll(async () => {
  await server.close();
});

const people = async (): Promise<PeopleAnswer> =>
  peopleSchema.parse((await request(server.app).get('/api/people').expect(200)).body);

describe('who is in the shop?', () => {
  it('whoever keeps something for the first time is known from then on, once', async () => {
    const job = smallJob();
    const personId = newId();
    await server.send(job.jobId, job.ops, { who: 'Finch', personId }).expect(200);
    await server
      .send(
        job.jobId,
        [{ op: 'set', table: 'surface', id: job.surfaceId, baseVersion: 1, fields: { tag: 'W2' } }],
        { who: 'Finch of old', personId },
      )
      .expect(200);
    const known = (await people()).people.filter(({ id }) => id === personId);
    expect(known).toMatchObject([
      { name: 'Finch', initials: 'F', hand: null, wander_mm: null, active: true },
    ]);
    const history = (await request(server.app).get(`/api/jobs/${job.jobId}/history`)).body as {
      readonly who: string;
      readonly personId: string;
    }[];
    expect(history[0]).toMatchObject({ who: 'Finch of old', personId });
  });

  it('a change without a person is taken, as devices of old send them', async () => {
    const job = smallJob();
    const accepted = await server.send(job.jobId, job.ops, { who: 'Wren' }).expect(200);
    expect(accepted.body).toMatchObject({ who: 'Wren', personId: null });
  });

  it('every row of the shop says by whose hand it is', async () => {
    const personId = newId();
    const film = await request(server.app)
      .post('/api/films/example')
      .send({ who: 'Siskin', personId })
      .expect(200);
    expect((film.body as unknown[])[0]).toMatchObject({ changedBy: 'Siskin', changedById: personId });
    const [first] = (await request(server.app).get('/api/learned')).body as { readonly key: string }[];
    const figure = await request(server.app)
      .put(`/api/learned/${first?.key ?? ''}`)
      .set('If-Match', '0')
      .send({ who: 'Siskin', personId, value: 0.02, basis: 'measured' })
      .expect(200);
    expect(figure.body).toMatchObject({ changedBy: 'Siskin', changedById: personId });
    expect((await people()).people.map(({ id }) => id)).toContain(personId);
  });
});

describe('may two people say two things of one person?', () => {
  it('added, changed with the version seen, refused with another; the name on records stays as it was', async () => {
    const id = newId();
    const put = (person: object, version?: string): request.Test => {
      const asked = request(server.app)
        .put(`/api/people/${id}`)
        .send({ who: 'Linnet', personId: id, person });
      return version === undefined ? asked : asked.set('If-Match', version);
    };
    const linnet = newPerson('Linnet');
    const added = personRowSchema.parse((await put(linnet).expect(200)).body) as PersonRow;
    expect(added).toMatchObject({ version: 1, changedBy: 'Linnet', changedById: id });
    await put({ ...linnet, hand: 'left' }, '"1"').expect(200);
    const refused = await put({ ...linnet, hand: 'right' }, '"1"').expect(409);
    expect(refused.body).toMatchObject({ code: 'PERSON_CONFLICT', current: { hand: 'left', version: 2 } });
    await put(linnet).expect(409);
    await request(server.app)
      .put(`/api/people/${newId()}`)
      .set('If-Match', '3')
      .send({ who: 'Linnet', personId: id, person: linnet })
      .expect(404);
  });

  it.each([
    ['hand', 'both'],
    ['skills', ['flying']],
    ['name', ' '],
    ['wander_mm', -1],
  ])('a %s of %j is refused by name', async (field, value) => {
    const refused = await request(server.app)
      .put(`/api/people/${newId()}`)
      .send({ who: 'Wren', person: { ...newPerson('Wren'), [field]: value } })
      .expect(422);
    expect(JSON.stringify(refused.body)).toContain(field);
  });
});

describe('does a crew belong to the shop?', () => {
  it('a job borrows a person by id; one that nobody knows is refused', async () => {
    const job = smallJob();
    const personId = newId();
    const member = (of: string | null): object => ({
      op: 'put',
      table: 'crewMember',
      id: newId(),
      fields: {
        ...{ personId: of, name: 'Finch', begins: 450, ends: 1020, breakBegins: 0, breakEnds: 0 },
        position: 1,
      },
    });
    const send = (ops: readonly object[]): request.Test =>
      server.send(job.jobId, ops as never, { who: 'Finch', personId });
    await send([...job.ops, member(personId)]).expect(200);
    await send([member(null)]).expect(200);
    const refused = await send([member(newId())]);
    expect([refused.status, refused.body]).toEqual([
      422,
      expect.objectContaining({ code: 'REFERENCE_UNKNOWN' }),
    ]);
  });
});
