import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { Op } from '@yellow-pane/contracts';
import type { QuotePaper } from '@yellow-pane/core/job';
import Papa from 'papaparse';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { textOf } from '../../testing/pdf-reader';
import { type TestApp, testApp } from '../../testing/test-app';
import { loadDemo } from '../demo/load-demo';

const SUMMIT = '0199b9a6-0003-7000-8000-000000000002';
const KESTREL = '0199b9a6-0003-7000-8000-000000000001';
const SW1 = '0199b9a6-0007-7000-8000-000000000001';
const NOW = new Date('2026-11-24T09:20:00.000Z');
const by = { personId: null, who: 'Wren', at: NOW.toISOString() };
const signature = {
  ...{ name: 'Ida', at: NOW.toISOString() },
  strokes: [
    [20, 40, 60, 20, 120, 80, 200, 30],
    [210, 90, 380, 70],
  ],
};

let server: TestApp;
beforeAll(async () => {
  server = await testApp();
  await loadDemo(server.db, () => NOW);
});
afterAll(async () => {
  await server.close();
});

const bytes = (response: request.Response, done: (error: Error | null, body: Buffer) => void): void => {
  const parts: Buffer[] = [];
  response.on('data', (part: Buffer) => parts.push(part));
  response.on('end', () => {
    done(null, Buffer.concat(parts));
  });
};
const pagesOf = async (path: string): Promise<readonly string[]> =>
  textOf((await request(server.app).get(path).buffer(true).parse(bytes).expect(200)).body as Buffer);
const put = (table: string, fields: object, id = newId()): Op =>
  ({ op: 'put', table, id, fields }) as unknown as Op;
const send = (ops: readonly Op[], jobId = KESTREL) =>
  server.send(jobId, ops as Parameters<typeof server.send>[1]);

const line = (n: number, net: number, more: object = {}): QuotePaper['lines'][number] => ({
  ...{ applicationId: newId(), surfaceId: SW1, tag: `SW${n}`, place: 'south-west front', filmId: newId() },
  ...{
    film: 'neutral 35',
    isAbout: false,
    area_m2: 1.5,
    used_m2: 1.9,
    filmCost: 41.5,
    minutes: 63,
    removal: 0,
  },
  ...{ steps: [{ step: 'clean', minutes: 12 }], net, ...more },
});
const paper = (more: Partial<QuotePaper> = {}): QuotePaper => ({
  ...{ asOf: NOW.toISOString(), currency: 'CHF', tax_percent: 8.1, margin_percent: 30, risk: 0.2 },
  ...{ hourCost: 62, tripCost: 45, trips: 1, seed: 28, draws: 20_000 },
  lines: [line(1, 400.1), line(2, 834.46)],
  ...{ missing: [], guesses: ['minutes of work'] },
  inputs: { fixed: 128, rate: 1.033, shared: 0.15, work: [], chances: [] },
  ...{ mean: 700, least: 610.25, most: 811.75, price: 1234.56, priceAtMean: 1000, asked: 1234.56, ...more },
});
const quote = (fields: object = {}) => ({
  ...{ number: '1', name: 'as planned', alternativeOfId: null, validUntil: '2026-12-31', swaps: [] },
  ...{ paper: paper(), sent: null, answer: null, ...fields },
});

describe('a quote as it is sent', () => {
  const id = newId();
  it('names what is done, its parts, tax and all, and until when it holds; the figures inside stay inside', async () => {
    const other = quote({
      number: '2',
      name: 'clear instead',
      alternativeOfId: id,
      paper: paper({ asked: 900 }),
    });
    await send([put('quote', quote(), id), put('quote', other)]).expect(200);
    const text = (await pagesOf(`/api/jobs/${KESTREL}/close/quotes/${id}`)).join(' ');
    // By hand: 8.1 % of 1234.56 is 100.00 to the cent.
    for (const said of ['400.10', '834.46', 'CHF 1,234.56', 'CHF 100.00', 'CHF 1,334.56', '31 December 2026'])
      expect(text).toContain(said);
    expect(text).toContain('Or: clear instead (quote 2)');
    expect(text).toContain('CHF 972.90');
    expect(text).toContain('Kestrel Hill Funicular');
    for (const inside of ['700.00', '610.25', '41.50', '62.00', '30 %', 'guess'])
      expect(text).not.toContain(inside);
  });
  it('the inside sheet has what the price rests on and says it is not for the customer', async () => {
    const text = (await pagesOf(`/api/jobs/${KESTREL}/close/quotes/${id}?inside=1&paper=letter`)).join(' ');
    for (const said of [
      'Not for the customer',
      'CHF 700.00',
      'CHF 610.25 to CHF 811.75',
      '41.50',
      'timed its own',
    ])
      expect(text).toContain(said);
  });
  it("sizes that were only said are marked 'about', and what is left out is named", async () => {
    const own = newId();
    const about = paper({
      lines: [line(1, 1234.56, { isAbout: true })],
      missing: [{ tag: 'DR1', reason: 'not measured' }],
    });
    await send([put('quote', quote({ paper: about, number: '3' }), own)]).expect(200);
    const text = (await pagesOf(`/api/jobs/${KESTREL}/close/quotes/${own}`)).join(' ');
    expect(text).toMatch(/about 1\.5/);
    expect(text).toContain('The price holds once they are measured');
    expect(text).toContain('Not in this price: DR1');
  });
  it('is frozen: its paper is not changed any more; sent and answered are', async () => {
    const change = (fields: object) =>
      server.send(KESTREL, [
        { op: 'set', table: 'quote', id, baseVersion: 1, fields },
      ] as unknown as Parameters<typeof server.send>[1]);
    const refused = await change({ paper: paper({ asked: 1 }) }).expect(409);
    expect((refused.body as { code: string; path: string }).code).toBe('ROW_FROZEN');
    await change({ sent: by }).expect(200);
  });
  it('an empty signature, or an acceptance without one, is refused by name', async () => {
    const answer = (own: unknown) => ({ said: 'accepted', signature: own, note: '', by });
    for (const [own, path] of [
      [{ ...signature, strokes: [] }, 'signature'],
      [{ ...signature, strokes: [[10, 10]] }, 'signature'],
      [null, 'signature'],
    ] as const) {
      const refused = await send([put('quote', quote({ answer: answer(own) }))]).expect(422);
      expect(JSON.stringify(refused.body)).toContain(path);
    }
    await send([put('quote', quote({ answer: answer(signature), number: '4' }))]).expect(200);
  });
  it.each([
    ['a price without a currency', { currency: null }, 'currency'],
    ['a margin of 100 %', { margin_percent: 100 }, 'margin_percent'],
    ['negative minutes', { lines: [line(1, 10, { minutes: -5 })] }, 'minutes'],
  ])('%s is refused by its field, and nothing is kept', async (_says, wrong, path) => {
    const own = newId();
    const refused = await send([put('quote', quote({ paper: { ...paper(), ...wrong } }), own)]).expect(422);
    expect(JSON.stringify(refused.body)).toContain(path);
    await request(server.app).get(`/api/jobs/${KESTREL}/close/quotes/${own}`).expect(404);
  });
});

describe('the certificate and the care sheet', () => {
  it('what is open stands on the first page, before anything that is handed over', async () => {
    const pages = await pagesOf(`/api/jobs/${SUMMIT}/close/certificate`);
    const [first = ''] = pages;
    expect(first).toContain('draft, not signed');
    expect(first).toMatch(/Still open: \d/);
    expect(first).toContain('Watched: water pocket');
    expect(first.indexOf('Still open')).toBeLessThan(first.indexOf('Handed over'));
    expect(pages.join(' ')).toMatch(/Laid \d+ \w+ 2026/);
  });
  it('each pane with film, roll and lot, people, what was read, marks and its dates', async () => {
    const text = (await pagesOf(`/api/jobs/${SUMMIT}/close/certificate?paper=letter&units=imperial`)).join(
      ' ',
    );
    for (const said of [
      'ST1',
      'lot',
      'Wren',
      'Slip: household',
      'surface temperature: 14.5 °C',
      'film, six feet',
      'Accepted by',
    ])
      expect(text).toContain(said);
  });
  it('the care sheet has plain words and dates, and what is open too', async () => {
    const text = (await pagesOf(`/api/jobs/${SUMMIT}/close/care-sheet`)).join(' ');
    for (const said of ['Still open', 'soft cloth', 'ammonia', 'Wash the face', 'data sheet'])
      expect(text).toContain(said);
  });
  it('one that was signed keeps what was open then, whatever is done since', async () => {
    const id = newId();
    const document = {
      ...{ asOf: NOW.toISOString(), panes: [], note: 'as agreed', signature, by },
      open: [{ kind: 'put back', tag: 'ST1', what: 'handle', until: null }],
    };
    await send([put('handOver', document, id)], SUMMIT).expect(200);
    const [first = ''] = await pagesOf(`/api/jobs/${SUMMIT}/close/certificate?handOver=${id}`);
    expect(first).toContain('ST1: Still to be put back: handle');
    expect(first).toContain('Taken over: Ida');
    expect(first).not.toContain('draft');
    const wipe = { op: 'set', table: 'handOver', id, baseVersion: 1, fields: { open: [] } };
    const refused = await server
      .send(SUMMIT, [wipe] as unknown as Parameters<typeof server.send>[1])
      .expect(409);
    expect((refused.body as { code: string }).code).toBe('ROW_FROZEN');
  });
});

describe('what is asked for', () => {
  const payment = {
    ...{ kind: 'part', number: '1-2', currency: 'CHF', tax_percent: 8.1, dueDay: '2026-12-24' },
    lines: [
      { text: 'finished up to 24 November', net: 1234.56 },
      { text: 'less deposit 1-1', net: -370.37 },
    ],
    ...{ asked: by, upToDay: '2026-11-24', signature },
    paid: { day: '2026-12-20', gross: 934.19, by },
  };
  it('lines, tax and all by hand: 1234.56 - 370.37 = 864.19, tax 70.00, 934.19; what is finished by place', async () => {
    const id = newId();
    await send([put('payment', payment, id)], SUMMIT).expect(200);
    const text = (await pagesOf(`/api/jobs/${SUMMIT}/close/payments/${id}`)).join(' ');
    for (const said of ['1,234.56', '-370.37', 'CHF 864.19', 'CHF 70.00', 'CHF 934.19', '24 December 2026'])
      expect(text).toContain(said);
    expect(text).toContain('it is not a ledger');
    expect(text).toMatch(/Films finished/);
    const { text: csv } = await request(server.app)
      .get(`/api/jobs/${SUMMIT}/close/payments/list`)
      .expect(200);
    const { data } = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true });
    expect(data.find(({ number }) => number === '1-2')).toMatchObject({
      number: '1-2',
      net: '864.19',
      tax: '70',
      gross: '934.19',
      paid: '2026-12-20',
    });
  });
});

describe('customers and arrival', () => {
  it('a customer is kept; a change of another version is refused with what stands there', async () => {
    const id = newId();
    const customer = { name: 'Hut keepers', address: 'Summit', contacts: [] };
    const save = (body: object, version?: number) => {
      const asked = request(server.app).put(`/api/customers/${id}`);
      return (version === undefined ? asked : asked.set('If-Match', `"${version}"`)).send({
        who: 'Wren',
        ...body,
      });
    };
    await save({ customer }).expect(200);
    await save({ customer: { ...customer, name: 'Hut' } }, 1).expect(200);
    const refused = await save({ customer }, 1).expect(409);
    expect(refused.body).toMatchObject({ code: 'CUSTOMER_CONFLICT', current: { name: 'Hut' } });
    expect((await request(server.app).get('/api/customers').expect(200)).body).toContainEqual(
      expect.objectContaining({ id, name: 'Hut', version: 2 }),
    );
  });
  it('a job of a customer nobody knows is refused', async () => {
    const set = {
      op: 'set',
      table: 'job',
      id: SUMMIT,
      baseVersion: 1,
      fields: { customerId: newId() },
    };
    await server.send(SUMMIT, [set] as unknown as Parameters<typeof server.send>[1]).expect(422);
  });
  it('as it was found, with who saw it, signed', async () => {
    const id = newId();
    const arrival = {
      found: [
        {
          ...{ surfaceId: SW1, tag: 'SW1', photoIds: [], ground: 'not looked at' },
          lines: [{ kind: 'glass', says: 'chipped', who: 'Wren' }],
        },
        { surfaceId: SW1, tag: 'SW2', photoIds: [], ground: 'accepted', lines: [] },
      ],
      ...{ note: 'Seen with Ida', signature, by },
    };
    await send([put('arrival', arrival, id)]).expect(200);
    const text = (await pagesOf(`/api/jobs/${KESTREL}/close/arrivals/${id}`)).join(' ');
    for (const said of ['SW1', 'glass: chipped (Wren)', 'Nothing noted', 'SW2', 'Ida', 'Seen with Ida'])
      expect(text).toContain(said);
  });
});

describe('when could somebody come?', () => {
  const ask = async (query: string) =>
    (await request(server.app).get(`/api/half-day?jobId=${KESTREL}&zone=Europe/Zurich&${query}`).expect(200))
      .body as { from: string; to: string; isShady: boolean | null } | null;
  it('a front to the north never has the sun in winter; one to the south is shady in no half day', async () => {
    const north = await ask('bearings=0');
    expect(north?.isShady).toBe(true);
    expect(Date.parse(north?.from ?? '')).toBeGreaterThan(NOW.getTime());
    expect(await ask('bearings=180')).toBeNull();
  });
  it('an east front is free of sun in the afternoon', async () => {
    const east = await ask('bearings=90');
    expect(new Date(east?.from ?? '').getUTCHours()).toBe(12);
  });
  it('without a bearing nobody says that it is shady', async () => {
    expect((await ask('bearings='))?.isShady).toBeNull();
  });
  it('what is no bearing is refused by name', async () => {
    const { body } = await request(server.app).get(`/api/half-day?jobId=${KESTREL}&bearings=400`).expect(422);
    expect(body).toMatchObject({ path: 'bearings' });
  });
});
