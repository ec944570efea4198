import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { ZodType } from 'zod';
import { ROUTES, ROW_FIELDS, changeSchema, importSchema } from './index';

const bodyOf = (path: string): ZodType => {
  const route = ROUTES.find((own) => own.path === path && own.body !== undefined);
  if (route?.body === undefined) throw new Error(`no body at ${path}`);
  return route.body;
};

/** The least that each calculation can be asked with. */
const LEAST: Readonly<Record<string, object>> = {
  measure: {
    points: [{ id: 'a' }, { id: 'b' }],
    distances: [{ id: 'ab', from: 'a', to: 'b', value_mm: 900, sd_mm: 1 }],
  },
  'curved-patch': {
    readings: [{ id: 'w', kind: 'distance', from: 'tl', to: 'tr', value_mm: 900, instrument: 'tape' }],
  },
  'shrink-plan': {
    readings: [{ id: 'w', kind: 'distance', from: 'tl', to: 'tr', value_mm: 900, instrument: 'tape' }],
  },
  strokes: {
    outline: [
      { x: 0, y: 0 },
      { x: 900, y: 0 },
      { x: 900, y: 1200 },
    ],
  },
  glazing: { panes: [{ tint: 'clear', thickness_mm: 6 }] },
  'thermal-stress': {
    panes: [{ tint: 'clear', thickness_mm: 6, treatment: 'annealed' }],
    width_mm: 900,
    height_mm: 1200,
    place: { latitude_deg: 46.6, longitude_deg: 9.7 },
  },
  privacy: { transmitted: 0.2, reflectedOutside: 0.3, reflectedRoom: 0.2 },
  sun: { place: { latitude_deg: 46.6, longitude_deg: 9.7 }, bearing_deg: 225, from: '2026-11-25' },
  waits: { air_C: 18, humidity: 0.5 },
  schedule: {
    people: [{ id: 'w', hours: [{ from: 480, to: 1020 }] }],
    steps: [{ id: 'lay', minutes: 30 }],
    horizon: 1440,
  },
  blank: { aroundWidth_mm: 900, aroundHeight_mm: 1200, method: 'decor', direction: 'none' },
  cut: { rollWidth_mm: 1524, pieces: [{ id: 'p', across_mm: 600, along_mm: 900, mayTurn90: false }] },
  layout: { rollWidth_mm: 1524, pieces: [{ id: 'p', across_mm: 600, along_mm: 900, mayTurn90: false }] },
};
const calculations = ROUTES.filter(({ path }) => path.startsWith('/api/calculate/')).map(({ path }) =>
  path.slice('/api/calculate/'.length),
);

describe('is every calculation asked with the least, and refused by name?', () => {
  it('each has its least example here', () => {
    expect(calculations.filter((name) => !(name in LEAST))).toEqual([]);
  });
  it.each(calculations)('%s: the least is enough; what is not said has a default', (name) => {
    expect(bodyOf(`/api/calculate/${name}`).safeParse(LEAST[name]).error?.issues).toBeUndefined();
  });
  it.each(calculations)('%s: each field of the least left out is named', (name) => {
    const least = LEAST[name] ?? {};
    for (const key of Object.keys(least)) {
      const { error } = bodyOf(`/api/calculate/${name}`).safeParse({ ...least, [key]: undefined });
      expect(JSON.stringify(error?.issues)).toContain(`"${key}"`);
    }
  });
  it.each(calculations)(
    '%s: a field nobody knows is refused, not passed over: it may be a misspelt one',
    (name) => {
      const { error } = bodyOf(`/api/calculate/${name}`).safeParse({ ...LEAST[name], misspelt: 1 });
      expect(JSON.stringify(error?.issues)).toContain('misspelt');
    },
  );
  it('an order over several films has defaults for all that is money and cutting', () => {
    const order = {
      stocks: [{ id: 'a', what: 'roll', width_mm: 1524, length_mm: 9000 }],
      pieces: [{ id: 'p', across_mm: 600, along_mm: 900, mayTurn90: false }],
    };
    expect(bodyOf('/api/calculate/cut').parse(order)).toMatchObject({
      mode: 'by hand',
      stages: 3,
      gap_mm: 0,
      mostSheet_mm: null,
      objective: 'money',
      rates: { perCrossCut: 0, keepWidth_mm: 200 },
      seed: 1,
    });
  });
  it.each([[1], [4], ['3'], [98]])('%j stages are no way of cutting', (stages) => {
    expect(bodyOf('/api/calculate/cut').safeParse({ ...LEAST['cut'], stages }).success).toBe(false);
  });
});

describe('does anything at all that is sent get an answer?', () => {
  const bodies = ROUTES.flatMap(({ method, path, body }) =>
    body === undefined ? [] : [[`${method} ${path}`, body] as const],
  );
  it.each(bodies)('%s: taken or refused with a path, never an accident', (_name, body) => {
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 4 }), (json) => {
        const result = body.safeParse(json);
        if (!result.success) expect(result.error.issues.length).toBeGreaterThan(0);
      }),
      { numRuns: 40 },
    );
  });
  it.each(calculations)('%s: any one part of the least replaced by anything', (name) => {
    const body = bodyOf(`/api/calculate/${name}`);
    const keys = Object.keys(LEAST[name] ?? {});
    fc.assert(
      fc.property(fc.constantFrom(...keys), fc.jsonValue({ maxDepth: 3 }), (key, json) => {
        const result = body.safeParse({ ...LEAST[name], [key]: json });
        if (!result.success) expect(JSON.stringify(result.error.issues)).toContain(`"${key}"`);
      }),
      { numRuns: 60 },
    );
  });
});

describe('text that a database cannot hold', () => {
  const id = '0199b9a6-0007-7000-8000-000000000003';
  const change = (name: string): unknown => ({
    id,
    session: id,
    who: 'Wren',
    ops: [{ op: 'set', table: 'job', id, baseVersion: 1, fields: { name } }],
  });
  it.each(['a\u0000b', '\ud800', 'x\udfff'])(
    '%j is refused; other signs, emoji among them, are kept',
    (name) => {
      expect(changeSchema.safeParse(change(name)).success).toBe(false);
      expect(changeSchema.safeParse(change('Kestrel Hill 🪟 “n° 7”')).success).toBe(true);
    },
  );
  it('a name of spaces is none', () => {
    expect(changeSchema.safeParse(change('   ')).success).toBe(false);
  });
});

describe('is a change one thing?', () => {
  const id = '0199b9a6-0007-7000-8000-000000000003';
  const op = (fields: object): unknown => ({ op: 'set', table: 'surface', id, baseVersion: 1, fields });
  const change = (ops: readonly unknown[], more: object = {}): unknown => ({
    id,
    session: id,
    who: 'Wren',
    ops,
    ...more,
  });
  it('setting nothing is refused; a field of another table too', () => {
    expect(changeSchema.safeParse(change([op({})])).success).toBe(false);
    expect(changeSchema.safeParse(change([op({ bearing_deg: 1 })])).success).toBe(false);
    expect(changeSchema.safeParse(change([op({ tag: 'SW2' })])).success).toBe(true);
  });
  it('who did it, with which version before, and identifiers that sort by time', () => {
    expect(changeSchema.safeParse(change([op({ tag: 'x' })], { who: '' })).success).toBe(false);
    expect(
      changeSchema.safeParse(change([{ ...(op({ tag: 'x' }) as object), baseVersion: -1 }])).success,
    ).toBe(false);
    expect(
      changeSchema.safeParse(change([{ ...(op({ tag: 'x' }) as object), baseVersion: 0 }])).success,
    ).toBe(true);
    expect(
      changeSchema.safeParse(change([op({ tag: 'x' })], { id: '6f0d8a5e-9d4a-4d39-9c58-3f6c7a5b1c11' }))
        .success,
    ).toBe(false);
  });
  it('a list brought in may be as long as a schedule of a tower', () => {
    const ops = Array.from({ length: 2500 }, () => op({ tag: 'x' }));
    expect([
      changeSchema.safeParse(change(ops)).success,
      importSchema.safeParse(change(ops)).success,
    ]).toEqual([false, true]);
  });
  it('a measure that its kind cannot have says what it can', () => {
    const { error } = changeSchema.safeParse(
      change([
        {
          op: 'put',
          table: 'measure',
          id,
          fields: {
            surfaceId: id,
            kind: 'thickness',
            fromPoint: 'tl',
            toPoint: 'tl',
            text: '9000',
            unit: 'mm',
            value_nm: 9_000_000_000,
            instrument: 'tape',
            sd_nm: null,
          },
        },
      ]),
    );
    expect(JSON.stringify(error?.issues)).toContain('a thickness is 0 to 2000 mm');
  });
});

describe('shapes of rows', () => {
  it('a plan keeps how it is cut, and only ways there are', () => {
    const plan = {
      filmId: '0199b9a6-0007-7000-8000-000000000003',
      mode: 'by hand',
      stages: 99,
      gap_nm: 0,
      endWaste_nm: 0,
      mostSheet_nm: null,
      objective: 'length',
      liner: 'up',
      edgeMust: false,
      lengthUsed_nm: 1,
      bound_nm: 1,
      filmCost: 0,
      cost: 0,
      filmBound: 0,
      stopped: 'optimal',
    };
    expect(ROW_FIELDS.cutPlan.safeParse(plan).success).toBe(true);
    for (const wrong of [
      { stages: 4 },
      { mode: 'by laser' },
      { gap_nm: -1 },
      { gap_nm: 0.5 },
      { mostSheet_nm: 0 },
      { stopped: 'perhaps' },
    ])
      expect(ROW_FIELDS.cutPlan.safeParse({ ...plan, ...wrong }).success).toBe(false);
  });
  it('a working day is in whole minutes of one day, of somebody with a name', () => {
    const member = {
      name: 'Wren',
      personId: null,
      begins: 450,
      ends: 1020,
      breakBegins: 720,
      breakEnds: 750,
      position: 1,
    };
    expect(ROW_FIELDS.crewMember.safeParse(member).success).toBe(true);
    for (const wrong of [{ begins: -1 }, { ends: 1500 }, { begins: 7.5 }, { name: '' }])
      expect(ROW_FIELDS.crewMember.safeParse({ ...member, ...wrong }).success).toBe(false);
  });
});
