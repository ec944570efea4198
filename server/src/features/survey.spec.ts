import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { type DeviceMessage, deviceMessageSchema } from '@yellow-pane/contracts';
import { NEW_PART, NEW_PHOTO, NEW_SURFACE, NO_SITE_FACTS, NO_WALL_FACTS } from '@yellow-pane/core/job';
import { crc32 } from 'node:zlib';
import sharp from 'sharp';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { type SmallJob, type TestApp, smallJob, testApp } from '../testing/test-app';
import { LaserStandIn } from './bench/laser';

let server: TestApp;
let job: SmallJob;
beforeAll(async () => {
  server = await testApp();
  job = smallJob();
  await server.send(job.jobId, job.ops).expect(200);
});
afterAll(async () => {
  await server.close();
});

const send = (id: string, body: Buffer | string) =>
  request(server.app)
    .put(`/api/jobs/${job.jobId}/photos/${id}`)
    .set('Content-Type', 'application/octet-stream')
    .send(body);

describe('is a picture kept, and only a picture?', () => {
  it('encoded anew as JPEG, upright, at most 2000 px, without where it was taken', async () => {
    const id = newId();
    const taken = await sharp({ create: { width: 3000, height: 1000, channels: 3, background: '#88aaaa' } })
      .withExif({ IFD0: { Artist: 'Wren' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '46/1 37/1 12/1' } })
      .jpeg()
      .toBuffer();
    expect((await sharp(taken).metadata()).exif?.toString('latin1')).toContain('Wren');
    expect((await send(id, taken).expect(200)).body).toMatchObject({ width_px: 2000, height_px: 667 });
    const back = await request(server.app)
      .get(`/api/jobs/${job.jobId}/photos/${id}`)
      .buffer(true)
      .parse((response, done) => {
        const parts: Buffer[] = [];
        response.on('data', (part: Buffer) => parts.push(part));
        response.on('end', () => {
          done(null, Buffer.concat(parts));
        });
      })
      .expect(200)
      .expect('Content-Type', 'image/jpeg');
    const kept = await sharp(back.body as Buffer).metadata();
    expect([kept.format, kept.width, kept.exif]).toEqual(['jpeg', 2000, undefined]);
  });
  it.each([
    ['nothing', Buffer.alloc(0)],
    ['text', Buffer.from('<script>alert(1)</script>')],
    [
      'an SVG with a script',
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>'),
    ],
    ['a picture that breaks off', Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16, 74, 70])],
  ])('%s is refused by name', async (_name, body) => {
    await send(newId(), body)
      .expect(415)
      .expect(({ body: problem }) => {
        expect(problem).toMatchObject({ code: 'PHOTO_NOT_AN_IMAGE' });
      });
  });
  it('one of 400 megapixels is too large, which is not the same as no picture', async () => {
    const small = await sharp({ create: { width: 8, height: 8, channels: 3, background: 'red' } })
      .png()
      .toBuffer();
    /** The size stands in the first chunk of a PNG, behind its name and before its check sum. */
    const large = Buffer.from(small);
    large.writeUInt32BE(20_000, 16);
    large.writeUInt32BE(20_000, 20);
    large.writeUInt32BE(crc32(large.subarray(12, 29)), 29);
    const { body } = await send(newId(), large).expect(413);
    expect(body).toMatchObject({ code: 'PHOTO_TOO_LARGE', got: '400 megapixels' });
  });
  it('a picture of another job cannot be overwritten, and one that is not there says so', async () => {
    const id = newId();
    const picture = await sharp({ create: { width: 20, height: 20, channels: 3, background: 'red' } })
      .png()
      .toBuffer();
    await send(id, picture).expect(200);
    const other = smallJob();
    await server.send(other.jobId, other.ops).expect(200);
    await request(server.app)
      .put(`/api/jobs/${other.jobId}/photos/${id}`)
      .set('Content-Type', 'image/png')
      .send(picture)
      .expect(422);
    await request(server.app).get(`/api/jobs/${other.jobId}/photos/${id}`).expect(404);
    await request(server.app).get(`/api/jobs/${job.jobId}/photos/${newId()}`).expect(404);
  });
});

describe('is what a survey notes kept?', () => {
  it('facts, wall, parts and a picture of a surface come back as sent; a part of another job is refused', async () => {
    const surfaceId = job.surfaceId;
    const part = newId();
    const ops = [
      {
        op: 'put',
        table: 'siteFacts',
        id: newId(),
        fields: { ...NO_SITE_FACTS, surfaceId, storey: 2, overhangDepth_nm: 1_400_000_000 },
      },
      {
        op: 'put',
        table: 'wallFacts',
        id: newId(),
        fields: { ...NO_WALL_FACTS, surfaceId, texture: 'brick' },
      },
      {
        op: 'put',
        table: 'part',
        id: part,
        fields: {
          ...NEW_PART,
          surfaceId,
          kind: 'hardware',
          name: 'lever',
          takenOffAt: '2026-11-24T08:00:00.000Z',
          position: 1,
        },
      },
      {
        op: 'put',
        table: 'photo',
        id: newId(),
        fields: {
          ...NEW_PHOTO,
          surfaceId,
          partId: part,
          takenAt: null,
          caption: 'lever',
          width_px: 10,
          height_px: 10,
          bytes: 100,
          position: 1,
        },
      },
    ] as const;
    await server.send(job.jobId, ops).expect(200);
    const { rows } = (await request(server.app).get(`/api/jobs/${job.jobId}`).expect(200)).body as {
      readonly rows: Readonly<Record<string, readonly Readonly<Record<string, unknown>>[]>>;
    };
    expect(rows['siteFacts']?.[0]).toMatchObject({
      storey: 2,
      overhangDepth_nm: 1_400_000_000,
      reach: 'unknown',
    });
    expect(rows['part']?.[0]?.['takenOffAt']).toMatch(/^2026-11-24T08:00/);
    expect(rows['photo']?.[0]).toMatchObject({ partId: part });
    const other = smallJob();
    await server.send(other.jobId, other.ops).expect(200);
    await server
      .send(other.jobId, [
        {
          op: 'put',
          table: 'part',
          id: newId(),
          fields: { ...NEW_PART, surfaceId, kind: 'damage', position: 1 },
        },
      ])
      .expect(422);
  });
});

describe('is a long list taken over wholly or not at all?', () => {
  const list = (count: number) =>
    Array.from({ length: count }, (_, index) => ({
      op: 'put' as const,
      table: 'surface' as const,
      id: newId(),
      fields: { ...NEW_SURFACE, placeId: job.placeId, tag: `L${index}`, position: 10 + index },
    }));
  const bring = (ops: readonly object[]) =>
    request(server.app)
      .post(`/api/jobs/${job.jobId}/imports`)
      .send({ id: newId(), session: newId(), who: 'Wren', ops });
  it('three thousand surfaces as one change; as an ordinary change they are refused', async () => {
    const ops = list(3000);
    await server.send(job.jobId, list(2500)).expect(422);
    await bring(ops).expect(200);
    expect(
      (
        (await request(server.app).get(`/api/jobs/${job.jobId}`)).body as {
          readonly rows: { readonly surface: readonly unknown[] };
        }
      ).rows.surface.length,
    ).toBeGreaterThanOrEqual(3001);
  });
  it('one wrong among many and none is there', async () => {
    const before = (
      (await request(server.app).get(`/api/jobs/${job.jobId}`)).body as {
        readonly rows: { readonly surface: readonly unknown[] };
      }
    ).rows.surface.length;
    const ops = list(50);
    await bring([...ops, { ...ops[0], id: newId(), fields: { ...ops[0]?.fields, placeId: newId() } }]).expect(
      422,
    );
    expect(
      (
        (await request(server.app).get(`/api/jobs/${job.jobId}`)).body as {
          readonly rows: { readonly surface: readonly unknown[] };
        }
      ).rows.surface.length,
    ).toBe(before);
  });
});

describe('is the survey file described for others?', () => {
  it('a JSON Schema with every table it carries', async () => {
    const { body } = await request(server.app).get('/api/formats/survey.schema.json').expect(200);
    expect(
      Object.keys(
        (body as { readonly properties: { readonly rows: { readonly properties: object } } }).properties.rows
          .properties,
      ),
    ).toEqual(['place', 'glassUnit', 'glassPane', 'surface', 'siteFacts', 'wallFacts', 'part', 'measure']);
  });
});

describe('does the laser stand-in behave as real ones do?', () => {
  const heardBy = (laser: LaserStandIn): DeviceMessage[] => {
    const heard: DeviceMessage[] = [];
    laser.listen((message) => heard.push(message));
    return heard;
  };
  it('speaks only messages of the protocol, and refuses to measure when it is not connected', async () => {
    const laser = new LaserStandIn(() => new Date('2026-11-24T09:20:00Z'), 5, 0);
    const heard = heardBy(laser);
    await expect(laser.obey({ do: 'measure', aimedAt_mm: 1000 })).rejects.toThrow('DEVICE_NOT_CONNECTED');
    await laser.obey({ do: 'connect' });
    await laser.obey({ do: 'measure', from: 'tl', to: 'tr' });
    await laser.obey({ do: 'misbehave', how: 'low battery' });
    await laser.obey({ do: 'misbehave', how: 'drop out' });
    expect(heard.map(({ type }) => type)).toEqual(['connected', 'reading', 'fault', 'disconnected']);
    for (const message of heard) expect(deviceMessageSchema.parse(message)).toEqual(message);
  });
  it('of 2000 readings, about one in fifty is a blunder and the others scatter by 1.5 mm', async () => {
    const laser = new LaserStandIn(() => new Date(0), 3, 0);
    const heard = heardBy(laser);
    for (let n = 0; n < 2000; n += 1) {
      if (!laser.state.isConnected) laser.charge();
      await laser.obey({ do: 'connect' });
      await laser.obey({ do: 'measure', aimedAt_mm: 2000 });
    }
    const errors = heard.flatMap((message) =>
      message.type === 'reading' ? [message.value_nm / 1e6 - 2000] : [],
    );
    const blunders = errors.filter((error) => Math.abs(error) > 20);
    expect(blunders.length / errors.length).toBeGreaterThan(0.012);
    expect(blunders.length / errors.length).toBeLessThan(0.03);
    const honest = errors.filter((error) => Math.abs(error) <= 20);
    expect(Math.sqrt(honest.reduce((sum, error) => sum + error * error, 0) / honest.length)).toBeCloseTo(
      1.5,
      0,
    );
  });
  it('over the wire: commands by POST, readings as a stream', async () => {
    await request(server.app)
      .post('/api/bench/laser')
      .send({ do: 'connect' })
      .expect(200)
      .expect(({ body }) => {
        expect(body).toMatchObject({ isConnected: true });
      });
    await request(server.app).post('/api/bench/laser').send({ do: 'measure', aimedAt_mm: 1500 }).expect(200);
    await request(server.app).post('/api/bench/laser').send({ do: 'disconnect' }).expect(200);
    await request(server.app).post('/api/bench/laser').send({ do: 'measure' }).expect(409);
    await request(server.app).post('/api/bench/laser').send({ do: 'dance' }).expect(422);
  });
});
