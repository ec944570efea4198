import { type Change, type FilmRow, type Op } from '@yellow-pane/contracts';
import { NEW_PLACE, NEW_SURFACE, NEW_JOB } from '@yellow-pane/core/job';
import { EXAMPLE_FILMS } from '@yellow-pane/demo';
import type { Express } from 'express';
import { pino } from 'pino';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { type AppDeps, createApp } from '../app';
import { searchHere } from '../features/calculate/search/searching';
import { type Database, openDatabase } from '../db/database';
import { emptyDatabase, migrationsFolder } from './template';

export interface TestApp {
  readonly app: Express;
  readonly db: Database;
  readonly close: () => Promise<void>;
  readonly send: (jobId: string, ops: readonly Op[], more?: Partial<Change>) => request.Test;
}

/** The whole server on an in-memory database, a copy of an empty one. */
export async function testApp(more: { readonly hasRoom?: () => boolean } = {}): Promise<TestApp> {
  const { db, close } = await openDatabase({ migrationsFolder, template: await emptyDatabase() });
  return { ...appOn(db, more), db, close };
}

/** The whole server on a database that is open. */
export function appOn(db: Database, more: Partial<AppDeps> = {}): Pick<TestApp, 'app' | 'send'> {
  const { app } = createApp({
    db,
    clock: () => new Date('2026-11-24T09:20:00Z'),
    log: pino({ level: 'silent' }),
    version: 'test',
    search: searchHere,
    ...more,
  });
  return {
    app,
    send: (jobId, ops, change = {}) =>
      request(app)
        .post(`/api/jobs/${jobId}/changes`)
        .send({ id: newId(), session: newId(), who: 'Wren', ops, ...change }),
  };
}

export interface SmallJob {
  readonly jobId: string;
  readonly placeId: string;
  readonly surfaceId: string;
  readonly measureId: string;
  readonly ops: readonly Op[];
}

/** A job with one place, one surface and one measure. */
export function smallJob(): SmallJob {
  const [jobId, placeId, surfaceId, measureId] = [newId(), newId(), newId(), newId()];
  return {
    jobId,
    placeId,
    surfaceId,
    measureId,
    ops: [
      {
        op: 'put',
        table: 'job',
        id: jobId,
        fields: { name: 'Kestrel Hill', entryUnit: 'mm', ...NEW_JOB },
      },
      {
        op: 'put',
        table: 'place',
        id: placeId,
        fields: { ...NEW_PLACE, name: 'Lower station', bearing_deg: 225, position: 1 },
      },
      {
        op: 'put',
        table: 'surface',
        id: surfaceId,
        fields: { ...NEW_SURFACE, placeId, tag: 'SW1', name: 'far left', position: 1 },
      },
      {
        op: 'put',
        table: 'measure',
        id: measureId,
        fields: {
          surfaceId,
          kind: 'distance',
          fromPoint: 'tl',
          toPoint: 'tr',
          text: '34 5/8',
          unit: 'in',
          value_nm: 879_475_000,
          instrument: 'tape',
          sd_nm: null,
        },
      },
    ],
  };
}

export async function loadFilms(app: Express): Promise<readonly FilmRow[]> {
  const answer = await request(app).post('/api/films/example').send({ who: 'Wren' });
  return answer.body as readonly FilmRow[];
}

export const exampleFilm = EXAMPLE_FILMS[1]?.film;
