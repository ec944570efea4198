import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import ICAL from 'ical.js';
import request from 'supertest';
import { type TestApp, testApp } from '../../testing/test-app';
import { v7 as newId } from 'uuid';
import { textOf } from '../../testing/pdf-reader';
import { loadDemo } from '../demo/load-demo';
import { calendarOf } from './routes';
import type { PlannedLine } from './planned-day';

const DEMO_JOB = '/jobs/0199b9a6-0003-7000-8000-000000000001';

let server: TestApp;
beforeAll(async () => {
  server = await testApp();
});
afterAll(async () => {
  await server.close();
});

const line = (key: string, more: Partial<PlannedLine> = {}): PlannedLine => ({
  key,
  version: 1,
  startsAt: new Date('2026-11-26T06:30:00Z'),
  endsAt: new Date('2026-11-26T07:10:00Z'),
  changedAt: new Date('2026-11-25T10:00:00Z'),
  tag: 'SW1',
  place: 'South-west front',
  film: '',
  what: '1. Cover sill; floor, too.\n2. Clean',
  short: 'cover sill',
  tools: ['scraper'],
  people: ['Wren'],
  pinned: false,
  applicationId: 'a',
  steps: [],
  ...more,
});
const events = (text: string): readonly ICAL.Event[] =>
  new ICAL.Component(ICAL.parse(text) as ConstructorParameters<typeof ICAL.Component>[0])
    .getAllSubcomponents('vevent')
    .map((own) => new ICAL.Event(own));

interface DemoRows {
  readonly application: readonly { readonly id: string }[];
  readonly crewMember: readonly { readonly id: string }[];
}

async function rowsOfDemo(): Promise<DemoRows> {
  const { body } = await request(server.app).get(`/api${DEMO_JOB}`).expect(200);
  return (body as { readonly rows: DemoRows }).rows;
}

/** A kept stretch of the first film of the demo. */
const planned = (
  {
    startsAt,
    endsAt,
    steps,
  }: { readonly startsAt: string; readonly endsAt: string; readonly steps: string[] },
  { application }: DemoRows,
  people: string[],
) => ({
  op: 'put' as const,
  table: 'plannedStep' as const,
  id: newId(),
  fields: {
    applicationId: application[0]?.id ?? '',
    ...{ template: 'flat-glass', step: steps[0] ?? '', templateVersion: 1 },
    ...{ startsAt, endsAt, steps, people, pinned: false },
  },
});

describe('does a calendar read the plan?', () => {
  it('an independent parser reads start, end, words and place back', () => {
    const [event] = events(
      calendarOf({ job: 'Kestrel Hill', zone: 'Europe/Zurich', lines: [line('a/flat-glass/protect/1')] }),
    );
    expect([event?.startDate.toJSDate().toISOString(), event?.endDate.toJSDate().toISOString()]).toEqual([
      '2026-11-26T06:30:00.000Z',
      '2026-11-26T07:10:00.000Z',
    ]);
    expect(event?.summary).toBe('SW1: cover sill');
    expect(event?.description).toContain('floor, too.');
  });
  it('brought in again after the plan moved, the same stretch keeps its UID and has a higher sequence', () => {
    const once = events(calendarOf({ job: '', zone: 'UTC', lines: [line('a'), line('b')] }));
    const again = events(
      calendarOf({
        job: '',
        zone: 'UTC',
        lines: [line('a', { version: 2, startsAt: new Date('2026-11-26T09:30:00Z') }), line('b')],
      }),
    );
    expect(again.map(({ uid }) => uid)).toEqual(once.map(({ uid }) => uid));
    expect(new Set(once.map(({ uid }) => uid)).size).toBe(2);
    expect(again[0]?.sequence).toBeGreaterThan(once[0]?.sequence ?? 9);
  });
});

describe('does the weather service answer like a real one?', () => {
  const ask = () => request(server.app).get('/api/weather?latitude=46.62&longitude=9.74&altitude=1180');
  const play = (scenario: string) =>
    request(server.app).post('/api/bench/weather').send({ scenario }).expect(200);
  it('seven days hour by hour; clear and overcast differ', async () => {
    await play('clear cold snap');
    const clear = (await ask().expect(200)).body as {
      hours: readonly { instant_ms: number; cloud: number; air_C: number }[];
    };
    expect(clear.hours).toHaveLength(168);
    await play('mild overcast');
    const dull = (await ask().expect(200)).body as typeof clear;
    expect(dull.hours[0]?.cloud).toBeGreaterThan(clear.hours[0]?.cloud ?? 1);
  });
  it('a front at noon brings rain and cold from noon of the place on', async () => {
    await play('front at noon');
    const { hours } = (await ask().expect(200)).body as { hours: readonly { rain_mm: number }[] };
    expect(hours.some(({ rain_mm }) => rain_mm > 0)).toBe(true);
    expect(hours[0]?.rain_mm).toBe(0);
  });
  it('no answer, and an answer that cannot be, are refused by name and never planned by', async () => {
    await play('service down');
    expect((await ask().expect(503)).body).toMatchObject({ code: 'WEATHER_DOWN' });
    await play('garbage');
    expect((await ask().expect(502)).body).toMatchObject({ code: 'WEATHER_ABSURD', got: '4711' });
    await play('clear cold snap');
    expect(
      (await request(server.app).get('/api/weather?latitude=99&longitude=0').expect(422)).body,
    ).toMatchObject({ path: 'latitude' });
  });
  it('the thermometer on site says what it reads', async () => {
    await request(server.app).post('/api/bench/thermometer').send({ do: 'connect' }).expect(200);
    expect(
      (
        await request(server.app)
          .post('/api/bench/thermometer')
          .send({ do: 'set', air_C: 12.5, humidity: 0.7 })
          .expect(200)
      ).body,
    ).toMatchObject({ isConnected: true, air_C: 12.5, humidity: 0.7 });
  });
});

describe('are sun, waits and order calculated over the wire?', () => {
  it('sun of a south-west front with its band, in local time across a change of the clock', async () => {
    const { body } = await request(server.app)
      .post('/api/calculate/sun')
      .send({
        place: { latitude_deg: 46.62, longitude_deg: 9.74, altitude_m: 1180 },
        bearing_deg: 225,
        from: '2026-10-24',
        days: 2,
        zone: 'Europe/Zurich',
      })
      .expect(200);
    const { sun } = body as {
      sun: readonly { begins: { at: string; notBefore: string; notAfter: string } }[];
    };
    expect(sun).toHaveLength(2);
    expect(sun.map(({ begins }) => begins.at.slice(-6))).toEqual(['+02:00', '+01:00']);
    expect(Date.parse(sun[0]?.begins.notBefore ?? '')).toBeLessThan(Date.parse(sun[0]?.begins.at ?? ''));
  });
  it('polar night has no sun; a bearing over 360 and an unknown zone are refused by name', async () => {
    const ask = (more: object) =>
      request(server.app)
        .post('/api/calculate/sun')
        .send({
          place: { latitude_deg: 78, longitude_deg: 15 },
          bearing_deg: 180,
          from: '2026-12-21',
          ...more,
        });
    expect((await ask({}).expect(200)).body).toMatchObject({ sun: [] });
    expect((await ask({ bearing_deg: 400 }).expect(422)).body).toMatchObject({
      code: 'CLIMATE_FACING',
      path: 'bearing_deg',
      got: '400',
    });
    expect((await ask({ zone: 'Moon/Base' }).expect(422)).body).toMatchObject({ path: 'zone' });
    expect((await ask({ place: { latitude_deg: 91, longitude_deg: 0 } }).expect(422)).body).toMatchObject({
      path: 'place.latitude_deg',
    });
  });
  it('waits with their least, likely and safe times', async () => {
    const { body } = await request(server.app)
      .post('/api/calculate/waits')
      .send({ air_C: 20, humidity: 0.5, film_um: 50, roll: { length_m: 30, pitch_um: 225, start_C: 0 } })
      .expect(200);
    const { waits } = body as { waits: readonly { key: string; least: number; most: number }[] };
    expect(waits.find(({ key }) => key === 'promoter')).toMatchObject({ least: 5, most: 15, notOver: 60 });
    expect(waits.map(({ key }) => key)).toEqual(
      expect.arrayContaining(['roll', 'clear', 'primer, water-based']),
    );
  });
  it('steps in order with bound and reasons; rings refused; a crew of zero told what is missing', async () => {
    const hours = [{ from: 480, to: 1020 }];
    const asked = {
      people: [{ id: 'wren', skills: ['film'], hours }],
      steps: [
        { id: 'prime', minutes: 20 },
        { id: 'lay', minutes: 60, skill: 'film' },
      ],
      lags: [{ from: 'prime', to: 'lay', least: 120, why: 'primer dries' }],
      horizon: 1440,
      mostRounds: 20,
    };
    const plan = (await request(server.app).post('/api/calculate/schedule').send(asked).expect(200)).body as {
      state: string;
      workingMinutes: number;
      leastWorkingMinutes: number;
      steps: readonly { id: string; start: number; says: readonly string[] }[];
    };
    expect([plan.state, plan.workingMinutes, plan.leastWorkingMinutes]).toEqual(['planned', 200, 200]);
    expect(plan.steps.find(({ id }) => id === 'lay')).toMatchObject({
      start: 620,
      says: ["not before minute 620, 2 h after 'prime' ended: primer dries"],
    });
    expect(
      (
        await request(server.app)
          .post('/api/calculate/schedule')
          .send({ ...asked, lags: [...asked.lags, { from: 'lay', to: 'prime' }] })
          .expect(422)
      ).body,
    ).toMatchObject({ code: 'SCHEDULE_LAGS' });
    expect(
      (
        await request(server.app)
          .post('/api/calculate/schedule')
          .send({ ...asked, people: [] })
          .expect(200)
      ).body,
    ).toMatchObject({ state: 'none' });
  });
  it('a kept plan comes back as calendar, list and sheet', async () => {
    await loadDemo(server.db, () => new Date('2026-11-25T10:00:00Z'));
    const rows = await rowsOfDemo();
    const step = (startsAt: string, endsAt: string, key: string) =>
      planned({ startsAt, endsAt, steps: [key] }, rows, [rows.crewMember[0]?.id ?? '']);
    await server
      .send(DEMO_JOB.split('/').at(-1) ?? '', [
        step('2026-11-26T06:30:00.000Z', '2026-11-26T07:00:00.000Z', 'protect'),
        step('2026-11-26T07:00:00.000Z', '2026-11-26T07:20:00.000Z', 'final-rinse'),
      ])
      .expect(200);
    const calendar = (await request(server.app).get(`/api${DEMO_JOB}/day/calendar`).expect(200)).text;
    expect(events(calendar).map(({ startDate }) => startDate.toJSDate().toISOString())).toEqual([
      '2026-11-26T06:30:00.000Z',
      '2026-11-26T07:00:00.000Z',
    ]);
    const list = (await request(server.app).get(`/api${DEMO_JOB}/day/list`).expect(200)).text;
    expect(list.split('\r\n')[1]).toMatch(/^2026-11-26,07:30,08:00,SW1,/);
  });
  it('the day sheet: one page a person and day, with weather, sun, mixes and dangers; in the units asked for', async () => {
    const rows = await rowsOfDemo();
    const [first = '', second = ''] = rows.crewMember.map(({ id }) => id);
    const many = Array.from({ length: 40 }, (_, index) => {
      const startsAt = new Date(Date.parse('2026-11-27T06:30:00Z') + index * 600_000).toISOString();
      return planned({ startsAt, endsAt: startsAt, steps: ['squeeze', 'edges'] }, rows, [first]);
    });
    const together = planned(
      { startsAt: '2026-11-28T07:00:00.000Z', endsAt: '2026-11-28T08:00:00.000Z', steps: ['final-rinse'] },
      rows,
      [first, second],
    );
    await server.send(DEMO_JOB.split('/').at(-1) ?? '', [...many, together]).expect(200);
    const sheet = async (query = ''): Promise<readonly string[]> => {
      const answer = await request(server.app).get(`/api${DEMO_JOB}/day/sheet${query}`).buffer(true);
      return textOf(answer.body as Buffer);
    };
    const pages = await sheet();
    expect(pages).toHaveLength(4);
    expect(pages.map((page) => /(\w+), (\w+day \d+ \w+ \d+)/.exec(page)?.slice(1))).toEqual([
      ['Wren', 'Thursday 26 November 2026'],
      ['Wren', 'Friday 27 November 2026'],
      ['Wren', 'Saturday 28 November 2026'],
      ['Linnet', 'Saturday 28 November 2026'],
    ]);
    expect(pages[3]).toMatch(/With Wren\./);
    expect(pages[0]).toMatch(/Weather.*°C.*Sun.*SW1 \d\d:\d\d–\d\d:\d\d.*Mixes.*slip.*Dangers.*Wet floor/s);
    expect(pages[1]).toContain('SW1');
    expect((await sheet('?units=imperial'))[0]).toMatch(/°F.*fl oz/s);
    const drawn = await sheet('?drawings=1');
    expect(drawn).toHaveLength(5);
    expect(drawn[2]).toMatch(/Wren: how it is done.*SW1, step 10: 45 strokes, lapping 30 mm/s);
  });
  it('a job without a kept plan has no files to give, and says what to do', async () => {
    expect(
      (
        await request(server.app)
          .get('/api/jobs/0199b9a6-0003-7000-8000-00000000abcd/day/calendar')
          .expect(404)
      ).body,
    ).toMatchObject({ code: 'JOB_UNKNOWN' });
  });
});
