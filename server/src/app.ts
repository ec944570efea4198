import { openApiDocument } from '@yellow-pane/contracts';
import express, { type Express, type Response, Router } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import type { Database } from './db/database';
import { Soundness } from './db/soundness';
import type { Backups } from './backup/backups';
import { archiveRoutes } from './features/archive/routes';
import { backupRoutes } from './features/backups/routes';
import { StandIns, benchRoutes } from './features/bench/routes';
import { changeRoutes } from './features/changes/routes';
import { causeRoutes } from './features/causes/routes';
import { checkRoutes } from './features/check/routes';
import { cutPlanRoutes } from './features/cut-plans/routes';
import { ChangeFeed } from './features/events/change-feed';
import { eventRoutes } from './features/events/routes';
import { dayRoutes } from './features/day/routes';
import { filmRoutes } from './features/films/routes';
import { filmSheetRoutes } from './features/films/sheet-routes';
import { healthRoutes } from './features/health/routes';
import { formatRoutes } from './features/formats/routes';
import { jobRoutes } from './features/jobs/routes';
import { peopleRoutes } from './features/people/routes';
import { photoRoutes } from './features/photos/routes';
import { learnedRoutes } from './features/learned/routes';
import { curvedRoutes } from './features/curved/routes';
import { closeRoutes } from './features/close/routes';
import { customerRoutes } from './features/customers/routes';
import { shelfRoutes } from './features/shelf/routes';
import { supplyRoutes } from './features/supplies/routes';
import { filmCalculationRoutes } from './features/calculate/film-routes';
import { dayCalculationRoutes } from './features/calculate/day-routes';
import { calculationRoutes } from './features/calculate/routes';
import type { Searching } from './features/calculate/search/searching';
import { stockRoutes } from './features/stock/routes';
import { weatherRoutes } from './features/weather/routes';
import { WeatherStandIn } from './features/weather/stand-in';
import { refuseDeep } from './http/depth';
import { nonceOf, pages } from './http/pages';
import { problemHandler } from './http/problem-handler';
import { Refusal } from './http/refusal';
import { refuseWhatCannotBeKept } from './http/room';
import { whoAsks } from './http/who-asks';

export interface AppDeps {
  readonly db: Database;
  readonly clock: () => Date;
  readonly log: Logger;
  readonly version: string;
  /** Long searches: in threads when it serves people. */
  readonly search: Searching;
  /** Whether what is written next would find room on the disk. */
  readonly hasRoom?: () => boolean;
  /** What is known of the data folder. */
  readonly soundness?: Soundness;
  /** Backups of everything; absent in tests without a folder. */
  readonly backups?: Backups;
  /** Whoever a device works for that was told nobody; absent: it asks. */
  readonly readyPerson?: string | undefined;
  /** The built pages; absent in tests of the API. */
  readonly pagesFolder?: string;
}

export interface App {
  readonly app: Express;
  /** Ends the event streams, which would otherwise keep the server from stopping. */
  readonly endStreams: () => void;
}

/** The whole server without a port: it never listens, so that tests and main alike can use it. */
export function createApp({ hasRoom = () => true, soundness = new Soundness(), ...given }: AppDeps): App {
  const deps = { ...given, hasRoom, soundness };
  const { log, backups, pagesFolder } = deps;
  const app = express();
  const feed = new ChangeFeed();
  const streams = new Set<() => void>();
  app.disable('x-powered-by');
  app.use(whoAsks);
  app.use(refuseWhatCannotBeKept(hasRoom, soundness));
  app.set('query parser', 'simple');
  app.use('/api', headersOfData());
  app.use(/^(?!\/api\/)/, headersOfPages());
  app.use('/api', (_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  app.post('/api/jobs/:jobId/imports', express.json({ limit: '25mb', verify: refuseDeep }));
  app.post('/api/calculate/cut', express.json({ limit: '16mb', verify: refuseDeep }));
  app.use('/api', express.json({ limit: '1mb', verify: refuseDeep }));

  for (const routes of routesOf(deps, feed, streams)) app.use(routes);
  if (backups !== undefined) app.use(backupRoutes(backups));
  if (pagesFolder !== undefined) app.use(pages(pagesFolder));
  app.use((request) => {
    throw new Refusal('ROUTE_UNKNOWN', {
      path: 'address',
      expected: 'an address of this server',
      got: `${request.method} ${request.path}`.slice(0, 120),
    });
  });
  app.use(problemHandler(log, soundness));
  return {
    app,
    endStreams: () => {
      streams.forEach((end) => {
        end();
      });
    },
  };
}

/** What the server answers, by what it is about. */
function routesOf(
  {
    db,
    clock,
    version,
    search,
    hasRoom,
    soundness,
    backups,
    readyPerson,
  }: AppDeps & Required<Pick<AppDeps, 'hasRoom' | 'soundness'>>,
  feed: ChangeFeed,
  streams: Set<() => void>,
): readonly Router[] {
  const standIns = new StandIns(clock);
  const weather = new WeatherStandIn(clock);
  return [
    healthRoutes({ db, hasRoom, soundness, backups }),
    openApiRoutes(version),
    jobRoutes({ db, feed, clock, search, weather, thermometer: standIns.thermometer }),
    changeRoutes({ db, feed, clock }),
    photoRoutes({ db }),
    benchRoutes(standIns),
    weatherRoutes(weather),
    cutPlanRoutes({ db }),
    checkRoutes({ db, clock, weather, thermometer: standIns.thermometer }),
    dayRoutes({ db, clock, feed, weather, thermometer: standIns.thermometer }),
    peopleRoutes({ db, clock, readyPerson }),
    filmRoutes({ db, clock }),
    filmSheetRoutes({ db, clock }),
    learnedRoutes({ db, clock }),
    curvedRoutes({ db }),
    shelfRoutes({ db, clock }),
    customerRoutes({ db, clock }),
    archiveRoutes({ db, clock, weather, thermometer: standIns.thermometer }),
    closeRoutes({ db, clock, weather, thermometer: standIns.thermometer }),
    causeRoutes({ db, clock, weather, thermometer: standIns.thermometer }),
    supplyRoutes({ db, clock }),
    stockRoutes({ db, clock }),
    calculationRoutes({ search }),
    filmCalculationRoutes(),
    dayCalculationRoutes({ search }),
    formatRoutes(),
    eventRoutes({
      db,
      feed,
      devices: standIns,
      onStream: (end) => {
        streams.add(end);
        return () => streams.delete(end);
      },
    }),
  ];
}

function openApiRoutes(version: string): Router {
  const routes = Router();
  /** Half a second's work, for those few who ask. */
  let api: ReturnType<typeof openApiDocument> | undefined;
  routes.get('/api/openapi.json', (_request, response) => {
    api ??= openApiDocument(version);
    response.json(api);
  });
  return routes;
}

/** Data is never a page: nothing in it may run, load or be framed. */
function headersOfData() {
  return helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: { defaultSrc: ["'none'"], frameAncestors: ["'none'"] },
    },
    strictTransportSecurity: false,
  });
}

/** Pages run what this server ships and what carries the nonce of the request. */
function headersOfPages() {
  const nonce = (_request: unknown, response: unknown): string => `'nonce-${nonceOf(response as Response)}'`;
  return helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'none'"],
        scriptSrc: ["'self'", nonce],
        styleSrc: ["'self'", nonce],
        imgSrc: ["'self'", 'data:', 'blob:'],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        workerSrc: ["'self'"],
        manifestSrc: ["'self'"],
        baseUri: ["'self'"],
        formAction: ["'none'"],
        frameAncestors: ["'none'"],
      },
    },
    strictTransportSecurity: false,
  });
}
