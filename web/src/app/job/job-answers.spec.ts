import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import {
  type FilmRow,
  type JobState,
  type JobSummary,
  type PeopleAnswer,
  type StockItem,
  jobAnswersSchema,
} from '@yellow-pane/contracts';
import { DayClock, daySettingsOr } from '@yellow-pane/contracts/day-clock';
import { type JobAnswers, JobView, jobAnswers, standingPlace } from '@yellow-pane/core/reading';
import { seededRandom } from '@yellow-pane/core/quantity';
import { EXAMPLE_FILMS } from '@yellow-pane/demo';
import fc from 'fast-check';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { jobRowsOf, tablesOf } from './tables';
import { dayWork } from '../workers/day-work';
import { randomJob } from '../../../../server/src/testing/random-job';
import { type TestApp, testApp } from '../../../../server/src/testing/test-app';

const NOW = new Date('2026-11-24T09:20:00Z').getTime();
/** Of the shop from the first change on. */
const personId = newId();
const ZONE = 'Europe/Vienna';

let server: TestApp;
let films: readonly FilmRow[];
beforeAll(async () => {
  server = await testApp();
  films = (await request(server.app).post('/api/films/example').send({ who: 'Wren' })).body as FilmRow[];
});
afterAll(async () => {
  await server.close();
});

const get = async <Body>(address: string): Promise<Body> =>
  (await request(server.app).get(address).expect(200)).body as Body;
/** As anything crosses into a worker and back. */
const cloned = <Value>(value: Value): Value => structuredClone(value);

/** What the page says of a job: its rows held in the store, its days asked of the day worker. */
async function askedOnThePage(jobId: string): Promise<unknown> {
  const job = await get<JobState>(`/api/jobs/${jobId}`);
  const view = new JobView(jobRowsOf(tablesOf(job.rows)), {
    films: await get<FilmRow[]>('/api/films'),
    learned: await get('/api/learned'),
    people: (await get<PeopleAnswer>('/api/people')).people,
  });
  const place = standingPlace(view);
  const weather =
    place === undefined
      ? { hours: [] }
      : await get<{ hours: never[] }>(
          `/api/weather?latitude=${place.latitude_deg ?? 0}&longitude=${place.longitude_deg ?? 0}&altitude=${place.altitude_m ?? 0}`,
        );
  const clock = new DayClock(daySettingsOr(view.rows.daySettings[0], ZONE, NOW));
  const answers = jobAnswers(
    view,
    {
      stock: await get<StockItem[]>('/api/stock'),
      weather: weather.hours,
      onSite: undefined,
      clock,
      now: clock.nextStart(NOW),
    },
    (...asked) => cloned(dayWork.ready(...cloned(asked))),
  );
  return JSON.parse(JSON.stringify(answers));
}

describe('does a job answer the server as it answers the page?', () => {
  it('random jobs, over the API and by way of the store and the worker: the very same', async () => {
    const seen = { blanks: 0, none: 0, fit: 0, ordered: 0, stale: 0, done: 0, contradictory: 0, toPlan: 0 };
    await fc.assert(
      fc.asyncProperty(fc.nat(1_000_000), async (seed) => {
        const random = seededRandom(seed);
        const { jobId, ops } = randomJob((below) => Math.floor(random() * below), {
          filmIds: films.map(({ id }) => id),
          personId,
        });
        const sent = await server.send(jobId, ops, { personId });
        if (sent.status !== 200) throw new Error(sent.text);
        const told = await get<JobAnswers>(`/api/jobs/${jobId}/answers?zone=${ZONE}`);
        expect(jobAnswersSchema.parse(told)).toEqual(told);
        expect(told).toEqual(await askedOnThePage(jobId));
        const listed = await get<JobSummary[]>('/api/jobs');
        expect(listed.find(({ id }) => id === jobId)).toMatchObject(told.progress);
        const filmed = told.surfaces.flatMap((surface) => surface.films);
        seen.blanks += filmed.filter(({ blank }) => 'pieces' in blank).length;
        seen.none += filmed.filter(({ blank }) => 'none' in blank).length;
        seen.stale += filmed.filter(({ isStale }) => isStale).length;
        seen.done += filmed.flatMap(({ steps }) => steps).filter(({ state }) => state === 'done').length;
        seen.contradictory += told.surfaces.filter(({ measured }) => measured === 'contradicts').length;
        seen.fit += told.ready.flatMap(({ fit }) => fit).length;
        seen.ordered += told.orders.flatMap(({ order }) => order.pieces).length;
        seen.toPlan += told.day.problem.steps.length;
      }),
      { numRuns: 10 },
    );
    /** The jobs were not all empty. */
    expect(Object.entries(seen).filter(([, count]) => count === 0)).toEqual([]);
  });
});

describe('what is refused?', () => {
  it('a zone that is none, by name', async () => {
    const answer = await request(server.app).get(`/api/jobs/${newId()}/answers?zone=Nowhere`);
    expect([answer.status, JSON.stringify(answer.body)]).toEqual([
      404,
      expect.stringContaining('JOB_UNKNOWN'),
    ]);
    const { jobId, ops } = randomJob(() => 0, { filmIds: EXAMPLE_FILMS.map(({ id }) => id) });
    await server.send(jobId, ops).expect(200);
    const refused = await request(server.app).get(`/api/jobs/${jobId}/answers?zone=Nowhere`).expect(422);
    expect(JSON.stringify(refused.body)).toContain('Europe/Vienna');
  });
});
