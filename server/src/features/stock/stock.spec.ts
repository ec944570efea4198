import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { FilmRow, Op, PlotterState, StockItem } from '@yellow-pane/contracts';
import { readCutListCsv } from '@yellow-pane/contracts/cut-files';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { type TestApp, smallJob, testApp } from '../../testing/test-app';

let server: TestApp;
let film: FilmRow;
beforeAll(async () => {
  server = await testApp();
  const films = (await request(server.app).post('/api/films/example').send({ who: 'Wren' }).expect(200))
    .body as FilmRow[];
  film = films.find(({ name }) => name === 'neutral 35') as FilmRow;
});
afterAll(async () => {
  await server.close();
});

const MM = 1e6;
const rollBody = (more: object = {}): object => ({
  who: 'Wren',
  roll: {
    filmId: film.id,
    what: 'roll',
    label: 'R-1',
    lot: 'L1',
    width_nm: 1524 * MM,
    length_nm: 5000 * MM,
    perMetre: 14,
    leftEdge: true,
    rightEdge: true,
    where: 'rack',
    gone: false,
    ...more,
  },
});
const stock = async (): Promise<readonly StockItem[]> =>
  (await request(server.app).get('/api/stock').expect(200)).body as StockItem[];

/** A job with one pane, its film, and a plan that takes `length_mm` off a roll. */
function planned(
  stockId: string,
  length_mm: number,
): {
  readonly jobId: string;
  readonly ids: Record<'plan' | 'roll' | 'take' | 'offcut', string>;
  readonly ops: readonly Op[];
  readonly booking: readonly Op[];
} {
  const job = smallJob();
  const [application, plan, roll, piece, take, offcut] = [
    newId(),
    newId(),
    newId(),
    newId(),
    newId(),
    newId(),
  ];
  const ops: Op[] = [
    ...job.ops,
    {
      op: 'put',
      table: 'application',
      id: application,
      fields: {
        surfaceId: job.surfaceId,
        side: 'room',
        filmId: film.id,
        method: 'trim in place',
        schools: { liner: 'hang and pull', lock: 'T' },
        over: null,
        position: 1,
      },
    },
    {
      op: 'put',
      table: 'cutPlan',
      id: plan,
      fields: {
        filmId: film.id,
        mode: 'by hand',
        stages: 3,
        gap_nm: 0,
        endWaste_nm: 0,
        mostSheet_nm: null,
        objective: 'money',
        liner: 'up',
        edgeMust: false,
        lengthUsed_nm: length_mm * MM,
        bound_nm: 0,
        filmCost: 1,
        cost: 1,
        filmBound: 1,
        stopped: 'optimal',
      },
    },
    {
      op: 'put',
      table: 'cutRoll',
      id: roll,
      fields: {
        planId: plan,
        stockId,
        what: 'roll',
        label: '=<b>R',
        lot: 'L1',
        width_nm: 1524 * MM,
        length_nm: 5000 * MM,
        used_nm: length_mm * MM,
        leftEdge: true,
        rightEdge: true,
        position: 0,
        ticks: [],
        bookedAt: null,
      },
    },
    {
      op: 'put',
      table: 'cutPiece',
      id: piece,
      fields: {
        planId: plan,
        rollId: roll,
        applicationId: application,
        drop: 1,
        dropOf: 1,
        tag: '=<b>1',
        position: 0,
        level: 0,
        x_nm: 0,
        y_nm: 0,
        across_nm: 1230 * MM,
        along_nm: length_mm * MM,
        turned: false,
        flipped: false,
        phase_nm: 0,
        outline: null,
        notch_nm: 0,
        sector: null,
        topAlong: false,
        pinned: false,
        inputsHash: 'x',
        cutAt: null,
        spoiledAt: null,
      },
    },
  ];
  const booking: Op[] = [
    {
      op: 'put',
      table: 'stockTake',
      id: take,
      fields: { cutRollId: roll, stockId, length_nm: length_mm * MM, reason: 'cut' },
    },
    {
      op: 'put',
      table: 'offcut',
      id: offcut,
      fields: {
        cutRollId: roll,
        parentId: stockId,
        filmId: film.id,
        label: 'O-9',
        lot: 'L1',
        width_nm: 294 * MM,
        length_nm: length_mm * MM,
        perMetre: 3,
        leftEdge: false,
        rightEdge: true,
        where: '',
        gone: false,
      },
    },
  ];
  return { jobId: job.jobId, ids: { plan, roll, take, offcut }, ops, booking };
}

describe('is the stock what people bought less what they cut?', () => {
  it('a roll is added, changed with the version seen, and refused without it', async () => {
    const id = newId();
    await request(server.app)
      .put(`/api/rolls/${id}`)
      .send(rollBody())
      .expect(200)
      .expect(({ body }) => {
        expect(body).toMatchObject({ id, version: 1 });
      });
    await request(server.app)
      .put(`/api/rolls/${id}`)
      .set('If-Match', '"1"')
      .send(rollBody({ where: 'bench' }))
      .expect(200);
    await request(server.app)
      .put(`/api/rolls/${id}`)
      .set('If-Match', '"1"')
      .send(rollBody())
      .expect(409)
      .expect(({ body }) => {
        expect(body).toMatchObject({ code: 'ROLL_CONFLICT' });
      });
    await request(server.app)
      .put(`/api/rolls/${newId()}`)
      .send(rollBody({ width_nm: -1 }))
      .expect(422);
    await request(server.app)
      .put(`/api/rolls/${newId()}`)
      .send(rollBody({ filmId: newId() }))
      .expect(422);
    expect((await stock()).find((item) => item.id === id)).toMatchObject({
      where: 'bench',
      left_nm: 5000 * MM,
    });
    const list = (await request(server.app).get('/api/stock/list').expect(200)).text;
    expect(list.split('\r\n')[0]).toBe(
      'film,what,label,lot,width mm,length left mm,begun with mm,price a metre,factory edges,where,there,spoken for mm',
    );
    expect(list).toMatch(/,roll,[^\n]*,1524,5000,5000,[^\n]*,bench,yes,0\r\n/);
  });

  it('cut done books length and makes an offcut in one change; undone, both are as before', async () => {
    const id = newId();
    await request(server.app).put(`/api/rolls/${id}`).send(rollBody()).expect(200);
    const { jobId, ids, ops, booking } = planned(id, 2190);
    await server.send(jobId, ops).expect(200);
    await server.send(jobId, booking).expect(200);
    expect((await stock()).find((item) => item.id === id)?.left_nm).toBe(2810 * MM);
    expect((await stock()).find((item) => item.id === ids.offcut)).toMatchObject({
      what: 'offcut',
      left_nm: 2190 * MM,
      parentId: id,
      jobId,
      version: 1,
    });
    await server
      .send(jobId, [
        {
          op: 'set',
          table: 'offcut',
          id: ids.offcut,
          baseVersion: 1,
          fields: { where: 'shelf 3', gone: true },
        },
      ])
      .expect(200);
    expect((await stock()).find((item) => item.id === ids.offcut)).toMatchObject({
      ...{ where: 'shelf 3', gone: true, version: 2 },
    });
    await server
      .send(jobId, [
        { op: 'remove', table: 'stockTake', id: ids.take, baseVersion: 1 },
        { op: 'remove', table: 'offcut', id: ids.offcut, baseVersion: 2 },
      ])
      .expect(200);
    expect((await stock()).find((item) => item.id === id)?.left_nm).toBe(5000 * MM);
    expect((await stock()).some((item) => item.id === ids.offcut)).toBe(false);
  });

  it('film in a plan is spoken for until it is cut, by the name of its job; not by a job that is put away or deleted', async () => {
    const id = newId();
    await request(server.app).put(`/api/rolls/${id}`).send(rollBody()).expect(200);
    const { jobId, ids, ops, booking } = planned(id, 2190);
    await server.send(jobId, ops).expect(200);
    const spokenFor = async () => (await stock()).find((item) => item.id === id)?.spokenFor;
    expect(await spokenFor()).toEqual([{ jobId, job: expect.any(String), length_nm: 2190 * MM }]);
    await server
      .send(jobId, [{ op: 'set', table: 'job', id: jobId, fields: { archived: true }, baseVersion: 1 }])
      .expect(200);
    expect(await spokenFor()).toEqual([]);
    await server
      .send(jobId, [{ op: 'set', table: 'job', id: jobId, fields: { archived: false }, baseVersion: 2 }])
      .expect(200);
    await server
      .send(jobId, [
        ...booking,
        {
          op: 'set',
          table: 'cutRoll',
          id: ids.roll,
          fields: { bookedAt: '2026-11-24T10:00:00.000Z' },
          baseVersion: 1,
        },
      ])
      .expect(200);
    expect(await spokenFor()).toEqual([]);
  });

  it('two people cannot cut the same length: the second is refused whole, with what is left', async () => {
    const id = newId();
    await request(server.app)
      .put(`/api/rolls/${id}`)
      .send(rollBody({ length_nm: 3000 * MM }))
      .expect(200);
    const [one, other] = [planned(id, 2190), planned(id, 2190)];
    for (const { jobId, ops } of [one, other]) await server.send(jobId, ops).expect(200);
    await server.send(one.jobId, one.booking).expect(200);
    await server
      .send(other.jobId, other.booking)
      .expect(409)
      .expect(({ body }) => {
        expect(body).toMatchObject({ code: 'STOCK_TOO_SHORT', expected: expect.stringContaining('3000 mm') });
      });
    expect((await stock()).some((item) => item.id === other.ids.offcut)).toBe(false);
    await server
      .send(other.jobId, [
        {
          op: 'put',
          table: 'stockTake',
          id: newId(),
          fields: { cutRollId: other.ids.roll, stockId: newId(), length_nm: 1, reason: 'cut' },
        },
      ])
      .expect(422);
  });
});

describe('is a cut plan a file for table and plotter?', () => {
  it('list, drawings, plotter job, sheet and labels of one plan; names neutralised; unknown papers refused by name', async () => {
    const id = newId();
    await request(server.app).put(`/api/rolls/${id}`).send(rollBody()).expect(200);
    const { jobId, ids, ops } = planned(id, 2190);
    await server.send(jobId, ops).expect(200);
    const at = (end: string): string => `/api/jobs/${jobId}/cut-plans/${ids.plan}/${end}`;
    const csv = await request(server.app).get(at('list')).expect(200);
    expect(csv.text).toContain("'=<b>1");
    expect(readCutListCsv(csv.text)).toEqual([
      {
        order: 1,
        roll: '=<b>R',
        strip: 1,
        tag: '=<b>1',
        fromEdge_mm: 0,
        fromEnd_mm: 0,
        across_mm: 1230,
        along_mm: 2190,
        turned: false,
        phase_mm: 0,
        factoryEdges: ['left'],
      },
    ]);
    expect(String((await request(server.app).get(at('drawing')).expect(200)).body)).toContain('=&lt;b&gt;1');
    expect((await request(server.app).get(at('file')).expect(200)).body).toMatchObject({
      format: 'yellow-pane cut plan',
      rolls: [{ pieces: [{ top: 'to the roll end', factoryEdges: ['left'] }] }],
    });
    expect((await request(server.app).get(at('dxf')).expect(200)).headers['content-type']).toContain('dxf');
    expect(
      (
        await request(server.app)
          .get(at(`hpgl/${ids.roll}`))
          .expect(200)
      ).headers['content-disposition'],
    ).toContain('.plt');
    for (const pdf of [
      'sheet',
      'sheet?paper=letter&units=imperial',
      'labels',
      'labels?sheet=roll%2062&base=http://shop.local:4500',
    ]) {
      const answer = await request(server.app)
        .get(at(pdf))
        .buffer(true)
        .parse((response, done) => {
          const parts: Buffer[] = [];
          response.on('data', (part: Buffer) => parts.push(part));
          response.on('end', () => {
            done(null, Buffer.concat(parts));
          });
        })
        .expect(200);
      expect((answer.body as Buffer).subarray(0, 5).toString()).toBe('%PDF-');
      expect((answer.body as Buffer).length).toBeGreaterThan(3000);
    }
    await request(server.app).get(at('sheet?paper=napkin')).expect(422);
    await request(server.app).get(at('labels?base=javascript:x')).expect(422);
    await request(server.app).get(`/api/jobs/${jobId}/cut-plans/${newId()}/list`).expect(404);
    await request(server.app)
      .get(at(`hpgl/${newId()}`))
      .expect(404);
  });
});

describe('does the plotter stand-in behave like one?', () => {
  const ask = (body: object) => request(server.app).post('/api/bench/plotter').send(body);
  const box = (name: string, x: number): string =>
    `SP2;PU${x},0;LB${name}\u0003SP1;PU${x},0;PD${x + 4000},0,${x + 4000},4000,${x},4000,${x},0;PU;`;
  const three = `IN;PA;${box('A', 0)}${box('B', 8000)}${box('C', 16000)}SP0;`;
  const settled = async (): Promise<PlotterState> => {
    for (;;) {
      const state = (await request(server.app).get('/api/bench/plotter').expect(200)).body as PlotterState;
      if (state.job?.state !== 'running') return state;
      await new Promise((done) => {
        setTimeout(done, 5);
      });
    }
  };

  it('refuses without a line, without film, beyond the film, and what it does not know', async () => {
    await ask({ do: 'cut', key: 'k', hpgl: three, from: 0 })
      .expect(409)
      .expect(({ body }) => {
        expect(body).toMatchObject({ code: 'DEVICE_NOT_CONNECTED' });
      });
    await ask({ do: 'connect' }).expect(200);
    await ask({ do: 'cut', key: 'k', hpgl: three, from: 0 })
      .expect(409)
      .expect(({ body }) => {
        expect(body).toMatchObject({ code: 'PLOTTER_REFUSED', expected: 'film loaded' });
      });
    await ask({ do: 'load', width_mm: 1524, length_mm: 300 }).expect(200);
    await ask({ do: 'cut', key: 'k', hpgl: three, from: 0 })
      .expect(409)
      .expect(({ body }) => {
        expect(body).toMatchObject({ got: expect.stringContaining('C at 400 mm') });
      });
    await ask({ do: 'load', width_mm: 1524, length_mm: 3000 }).expect(200);
    await ask({ do: 'cut', key: 'k', hpgl: 'IN;XX1;', from: 0 })
      .expect(409)
      .expect(({ body }) => {
        expect(body).toMatchObject({ got: expect.stringContaining('XX') });
      });
  });

  it('pulled out in the second piece it knows where it stopped; going on from the third cuts nothing twice', async () => {
    await ask({ do: 'connect' }).expect(200);
    await ask({ do: 'load', width_mm: 1524, length_mm: 3000 }).expect(200);
    await ask({ do: 'speed', times: 10_000 }).expect(200);
    await ask({ do: 'misbehave', how: 'unplug', afterPieces: 1 }).expect(200);
    await ask({ do: 'cut', key: 'R-14', hpgl: three, from: 0 }).expect(200);
    expect(await settled()).toMatchObject({
      isConnected: false,
      job: { state: 'stopped', done: 1, stoppedIn: 1, of: 3 },
    });
    await ask({ do: 'connect' }).expect(200);
    await ask({ do: 'cut', key: 'R-14', hpgl: three, from: 0 })
      .expect(409)
      .expect(({ body }) => {
        expect(body).toMatchObject({ got: expect.stringContaining('cut already') });
      });
    await ask({ do: 'cut', key: 'R-14', hpgl: `IN;PA;${box('C', 16000)}SP0;`, from: 2 }).expect(200);
    const end = await settled();
    expect(end).toMatchObject({ job: { state: 'done', done: 3 }, cutTwice_mm: 0 });
    expect(end.drawn.length).toBe(3);
  });
});
