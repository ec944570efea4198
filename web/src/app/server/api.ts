import type {
  ArchiveRead,
  CaseApartRow,
  CustomerRow,
  NextHalfDay,
  ExperienceOfShop,
  AcceptedChange,
  Change,
  ComeAndLook,
  FilmRow,
  FilmSheet,
  Forecast,
  JobState,
  JobSummary,
  LaserCommand,
  LaserState,
  LearnedRow,
  MadeBy,
  PeopleAnswer,
  PersonRow,
  PlotterCommand,
  PlotterState,
  Problem,
  RollRow,
  ShelfRow,
  SupplyRow,
  StockItem,
  ThermometerCommand,
  ThermometerState,
  VisitOfJob,
  WaitOfJob,
  WeatherScenario,
} from '@yellow-pane/contracts';
import type { CaseApart, Customer, Film, Person, Roll, ShelfPane } from '@yellow-pane/core/job';
import { MOST_OPS } from '@yellow-pane/contracts/limits';

/** The server said no, in its own words. */
export class ServerRefusal extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
    this.name = 'ServerRefusal';
  }
}

/** Nobody answered, or something between that is not the server. Worth trying again. */
export class ServerUnreachable extends Error {}

async function ask<Answer>(path: string, init: RequestInit = {}): Promise<Answer> {
  const answer = await fetch(path, init).catch(() => {
    throw new ServerUnreachable(path);
  });
  if (answer.ok) return (await answer.json()) as Answer;
  if (!(answer.headers.get('Content-Type') ?? '').includes('problem+json')) throw new ServerUnreachable(path);
  throw new ServerRefusal((await answer.json()) as Problem);
}

const json = (method: string, body: unknown, headers: Record<string, string> = {}): RequestInit => ({
  method,
  body: JSON.stringify(body),
  headers: { 'Content-Type': 'application/json', ...headers },
});

export interface BackupFacts {
  readonly name: string;
  readonly madeAt: string;
  readonly bytes: number;
}

/** Where backups lie, how many are kept, and which there are, the newest first. */
export interface BackupList {
  readonly folder: string;
  readonly most: number;
  readonly backups: readonly BackupFacts[];
}

/** Which pane of the shelf is meant, as it was seen; without a version it is new. */
interface ShelfSaving {
  readonly version?: number | undefined;
  readonly removed?: boolean | undefined;
}

/** A larger body goes the way of lists brought in. */
const LARGE_BODY = 900_000;

/** How the server is: whether what it writes to is sound and has room. */
export interface Health {
  readonly status: 'ok' | 'damaged';
  readonly hasRoom: boolean;
  readonly says?: string;
}

/** The server's addresses, typed. */
export const api = {
  jobs: () => ask<readonly JobSummary[]>('/api/jobs'),
  /** Whether the server answers, and has room to write. */
  health: () => ask<Health>('/api/health'),
  job: (jobId: string) => ask<JobState>(`/api/jobs/${jobId}`),
  send: (jobId: string, change: Change) => {
    const request = json('POST', change);
    const isLarge = change.ops.length > MOST_OPS || (request.body as string).length > LARGE_BODY;
    return ask<AcceptedChange>(`/api/jobs/${jobId}/${isLarge ? 'imports' : 'changes'}`, request);
  },
  laser: (command: LaserCommand) => ask<LaserState>('/api/bench/laser', json('POST', command)),
  laserState: () => ask<LaserState>('/api/bench/laser'),
  thermometer: (command: ThermometerCommand) =>
    ask<ThermometerState>('/api/bench/thermometer', json('POST', command)),
  thermometerState: () => ask<ThermometerState>('/api/bench/thermometer'),
  weather: (latitude: number, longitude: number, altitude: number) =>
    ask<Forecast>(`/api/weather?latitude=${latitude}&longitude=${longitude}&altitude=${altitude}`),
  weatherState: () => ask<{ readonly scenario: WeatherScenario }>('/api/bench/weather'),
  playWeather: (scenario: WeatherScenario) =>
    ask<{ readonly scenario: WeatherScenario }>('/api/bench/weather', json('POST', { scenario })),
  plotter: (command: PlotterCommand) => ask<PlotterState>('/api/bench/plotter', json('POST', command)),
  plotterState: () => ask<PlotterState>('/api/bench/plotter'),
  hpgl: async (jobId: string, planId: string, rollId: string): Promise<string> => {
    const answer = await fetch(`/api/jobs/${jobId}/cut-plans/${planId}/hpgl/${rollId}`).catch(() => {
      throw new ServerUnreachable('hpgl');
    });
    if (!answer.ok) throw new ServerUnreachable('hpgl');
    return answer.text();
  },
  waits: () => ask<readonly WaitOfJob[]>('/api/waits'),
  visits: () => ask<readonly VisitOfJob[]>('/api/visits'),
  /** Asks whoever has a page open to come and look. */
  call: (jobId: string, call: ComeAndLook) =>
    ask<{ readonly pages: number }>(`/api/jobs/${jobId}/calls`, json('POST', call)),
  backups: () => ask<BackupList>('/api/backups'),
  backUp: () => ask<BackupFacts>('/api/backups', json('POST', {})),
  stock: () => ask<readonly StockItem[]>('/api/stock'),
  saveRoll: (id: string, by: MadeBy, roll: Roll, version?: number) =>
    ask<RollRow>(
      `/api/rolls/${id}`,
      json('PUT', { ...by, roll }, version === undefined ? {} : { 'If-Match': `"${version}"` }),
    ),
  sendPhoto: (jobId: string, id: string, picture: Blob) =>
    ask<{ readonly width_px: number; readonly height_px: number; readonly bytes: number }>(
      `/api/jobs/${jobId}/photos/${id}`,
      { method: 'PUT', body: picture, headers: { 'Content-Type': 'application/octet-stream' } },
    ),
  duplicate: (
    jobId: string,
    copy: MadeBy & {
      readonly id: string;
      readonly changeId: string;
      readonly session: string;
      readonly name: string;
    },
  ) => ask<AcceptedChange>(`/api/jobs/${jobId}/duplicate`, json('POST', copy)),
  filmSheets: () => ask<readonly FilmSheet[]>('/api/film-sheets'),
  keepFilmSheet: (filmId: string, { who, personId }: MadeBy, sheet: File) =>
    ask<FilmSheet>(
      `/api/films/${filmId}/sheet?${new URLSearchParams({ name: sheet.name, who, personId: personId ?? '' }).toString()}`,
      { method: 'PUT', body: sheet, headers: { 'Content-Type': 'application/octet-stream' } },
    ),
  films: () => ask<readonly FilmRow[]>('/api/films'),
  saveFilm: (id: string, by: MadeBy, film: Film) =>
    ask<FilmRow>(`/api/films/${id}`, json('PUT', { ...by, film })),
  loadExampleFilms: (by: MadeBy) => ask<readonly FilmRow[]>('/api/films/example', json('POST', by)),
  people: () => ask<PeopleAnswer>('/api/people'),
  savePerson: (id: string, by: MadeBy, person: Person, version?: number) =>
    ask<PersonRow>(
      `/api/people/${id}`,
      json('PUT', { ...by, person }, version === undefined ? {} : { 'If-Match': `"${version}"` }),
    ),
  learned: () => ask<readonly LearnedRow[]>('/api/learned'),
  shelf: () => ask<readonly ShelfRow[]>('/api/shelf'),
  saveShelf: (id: string, by: MadeBy, pane: ShelfPane, { version, removed = false }: ShelfSaving) =>
    ask<ShelfRow>(
      `/api/shelf/${id}`,
      json('PUT', { ...by, pane, removed }, version === undefined ? {} : { 'If-Match': `"${version}"` }),
    ),
  experience: () => ask<ExperienceOfShop>('/api/experience'),
  casesApart: () => ask<readonly CaseApartRow[]>('/api/cases'),
  saveCaseApart: (id: string, by: MadeBy, own: CaseApart, { version, removed = false }: ShelfSaving) =>
    ask<CaseApartRow>(
      `/api/cases/${id}`,
      json('PUT', { ...by, case: own, removed }, version === undefined ? {} : { 'If-Match': `"${version}"` }),
    ),
  customers: () => ask<readonly CustomerRow[]>('/api/customers'),
  saveCustomer: (id: string, by: MadeBy, own: Customer, version?: number) =>
    ask<CustomerRow>(
      `/api/customers/${id}`,
      json('PUT', { ...by, customer: own }, version === undefined ? {} : { 'If-Match': `"${version}"` }),
    ),
  halfDay: (jobId: string, bearings: readonly number[], zone: string) =>
    ask<NextHalfDay>(`/api/half-day?jobId=${jobId}&bearings=${bearings.join(',')}&zone=${zone}`),
  readArchive: (
    archive: Blob,
    { who, personId }: MadeBy,
    { session, isFilmHere }: { readonly session: string; readonly isFilmHere: boolean },
  ) => {
    const by = new URLSearchParams({ who, session, film: isFilmHere ? 'here' : 'elsewhere' });
    if (personId != null) by.set('personId', personId);
    return ask<ArchiveRead>(`/api/archives?${by.toString()}`, {
      ...{ method: 'POST', body: archive, headers: { 'Content-Type': 'application/zip' } },
    });
  },
  supplies: () => ask<readonly SupplyRow[]>('/api/supplies'),
  saveSupply: ({ key, version }: SupplyRow, have: number, by: MadeBy) =>
    ask<SupplyRow>(`/api/supplies/${key}`, json('PUT', { ...by, have }, { 'If-Match': `"${version}"` })),
  saveLearned: ({ key, version, value, basis, scope, sd, n, from }: LearnedRow, by: MadeBy) =>
    ask<LearnedRow>(
      `/api/learned/${key}`,
      json('PUT', { ...by, value, basis, scope, sd, n, from }, { 'If-Match': `"${version}"` }),
    ),
};
