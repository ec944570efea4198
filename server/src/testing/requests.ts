import { ROUTES, ROW_FIELDS } from '@yellow-pane/contracts';
import fc from 'fast-check';
import { v7 as newId } from 'uuid';
import { type SmallJob, smallJob } from './test-app';

/** A request as it goes out. */
export interface RandomRequest {
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: string | undefined;
}

const junk = fc.oneof(
  fc.anything({ maxDepth: 2, withNullPrototype: false }),
  fc.constantFrom(
    '\u0000',
    '\ud800',
    -0,
    1e308,
    1e21,
    'tl',
    'mm',
    880_000_000,
    "'; drop table job; --",
    '<img src=x onerror=alert(1)>',
    '__proto__',
    'toString',
  ),
);
const tables = Object.keys(ROW_FIELDS) as (keyof typeof ROW_FIELDS)[];

/**
 * Requests over every route of the contract, to a job that is there: made up, half right, and right ones with
 * something in them changed.
 */
export function randomRequests(job: SmallJob): fc.Arbitrary<RandomRequest> {
  const put = smallJob();
  const ids = fc.constantFrom(
    job.jobId,
    job.placeId,
    job.surfaceId,
    job.measureId,
    newId(),
    'x',
    '',
    "' or 1=1 --",
    '%00',
    '../../etc',
    '😀',
  );
  const op = fc.constantFrom(...tables).chain((table) =>
    fc.record(
      {
        op: fc.constantFrom('put', 'set', 'remove', 'other'),
        table: fc.oneof(
          { weight: 9, arbitrary: fc.constant(table as string) },
          { weight: 1, arbitrary: junk as fc.Arbitrary<string> },
        ),
        id: ids,
        baseVersion: fc.oneof(fc.integer({ min: -1, max: 4 }), junk),
        fields: fc.dictionary(
          fc.constantFrom(
            ...Object.keys(ROW_FIELDS[table].shape),
            'id',
            'version',
            '__proto__',
            'constructor',
          ),
          fc.oneof(ids, junk),
        ),
      },
      { requiredKeys: [] },
    ),
  );
  const good = fc.constantFrom(...put.ops, ...job.ops);
  const fresh = fc.constant(0).map(() => newId());
  const change = fc.record(
    {
      id: fc.oneof(fresh, ids),
      session: fc.oneof(fresh, ids),
      who: fc.oneof(fc.constant('Wren'), junk),
      personId: fc.oneof(fc.constant(null), ids, fresh, junk),
      ops: fc.oneof(fc.array(fc.oneof(op, good), { maxLength: 4 }), junk),
    },
    { requiredKeys: [] },
  );
  const whole = fc.record({
    id: fresh,
    session: fresh,
    who: fc.constant('Wren'),
    ops: fc.array(good, { minLength: 1, maxLength: 4 }),
  });
  const bodies = fc.oneof(
    { weight: 4, arbitrary: change },
    { weight: 3, arbitrary: mutated(whole) },
    {
      weight: 2,
      arbitrary: fc.record({
        who: fc.constant('Wren'),
        fields: fc.dictionary(fc.constantFrom('tag', 'name', 'value_nm', 'x'), junk),
      }),
    },
    {
      weight: 1,
      arbitrary: fc.record(
        {
          measures: fc.array(fc.record({ id: junk, from: junk, to: junk, value_mm: junk, instrument: junk })),
          rollWidth_mm: junk,
          pieces: junk,
        },
        { requiredKeys: [] },
      ),
    },
    { weight: 2, arbitrary: junk },
  );
  return fc
    .record({
      route: fc.oneof(
        {
          weight: 2000,
          arbitrary: fc.constantFrom(
            ...ROUTES.filter((route) => route.kind !== 'text/event-stream' && !isLong(route)),
          ),
        },
        { weight: 1, arbitrary: fc.constantFrom(...ROUTES.filter(isLong)) },
      ),
      names: fc.array(ids, { minLength: 4, maxLength: 4 }),
      table: fc.constantFrom(...tables, 'nothing'),
      body: bodies,
      ifMatch: fc.option(fc.constantFrom('"1"', '1', 'x', '"99999999999"')),
    })
    .map(({ route, names, table, body, ifMatch }): RandomRequest => {
      let next = 0;
      const nameOf = (name: string): string =>
        name === 'table' ? table : name === 'jobId' && next % 2 === 0 ? job.jobId : (names[next++] ?? 'x');
      return {
        method: route.method.toUpperCase(),
        path: route.path.replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(nameOf(name))),
        headers: { 'Content-Type': 'application/json', ...(ifMatch === null ? {} : { 'If-Match': ifMatch }) },
        body: route.method === 'get' ? undefined : asText(body),
      };
    });
}

/** A backup takes seconds: now and then is enough. */
function isLong({ method, path }: (typeof ROUTES)[number]): boolean {
  return method === 'post' && path === '/api/backups';
}

/**
 * Something that is right, with one to three of its values taken out, doubled or replaced, wherever they
 * stand.
 */
function mutated(whole: fc.Arbitrary<unknown>): fc.Arbitrary<unknown> {
  const mutation = fc.record({
    at: fc.nat({ max: 200 }),
    how: fc.constantFrom('take out', 'double', 'replace'),
    by: junk,
  });
  return fc.tuple(whole, fc.array(mutation, { minLength: 1, maxLength: 3 })).map(([value, all]) => {
    const copy = structuredClone(value);
    for (const { at, how, by } of all) {
      const places = placesIn(copy);
      const place = places[at % places.length];
      if (place === undefined) continue;
      if (how === 'replace') place.holder[place.key] = by;
      else if (how === 'take out') Reflect.deleteProperty(place.holder, place.key);
      else place.holder[`${place.key}2`] = place.holder[place.key];
    }
    return copy;
  });
}

interface Place {
  readonly holder: Record<string, unknown>;
  readonly key: string;
}

function placesIn(value: unknown): readonly Place[] {
  if (typeof value !== 'object' || value === null) return [];
  const holder = value as Record<string, unknown>;
  return Object.keys(holder).flatMap((key) => [{ holder, key }, ...placesIn(holder[key])]);
}

/** JSON where there is one; `undefined` has none. */
function asText(body: unknown): string {
  return body === undefined
    ? 'undefined'
    : JSON.stringify(body, (_key, value: unknown) => (typeof value === 'bigint' ? String(value) : value));
}
