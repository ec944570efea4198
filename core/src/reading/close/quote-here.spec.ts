import { describe, expect, it } from '@jest/globals';
import {
  MATERIAL_NOT_STATED,
  NEW_PLACE,
  NEW_SURFACE,
  NEW_JOB,
  NO_SITE_FACTS,
  type RowOf,
  type StockLeft,
} from '../../job';
import { calculateQuote } from '../../quoting';
import { blankOf } from '../cut/blank';
import { type FilmOfShop, type JobRows, EMPTY_SHOP, jobRows } from '../view/job-rows';
import { JobView } from '../view/job-view';
import { quoteHere } from './quote-here';

const row = <Own>(own: object): Own => own as Own;
const MM = 1_000_000;
const side = (surfaceId: string, from: string, to: string, mm: number) =>
  row<RowOf<'measure'>>({
    ...{ id: `${surfaceId}${from}${to}`, surfaceId, kind: 'distance', fromPoint: from, toPoint: to },
    ...{ text: String(mm), unit: 'mm', value_nm: mm * MM, instrument: 'tape', sd_nm: null },
  });
const measured = (surfaceId: string) => [
  side(surfaceId, 'tl', 'tr', 1200),
  side(surfaceId, 'bl', 'br', 1200),
  side(surfaceId, 'tl', 'bl', 900),
  side(surfaceId, 'tr', 'br', 900),
];
const surface = (id: string, tag: string) =>
  row<RowOf<'surface'>>({ ...{ ...NEW_SURFACE, id, placeId: 'P', tag, position: 1 } });
const film = (id: string, surfaceId: string) =>
  row<RowOf<'application'>>({
    ...{
      id,
      surfaceId,
      filmId: 'F',
      side: 'room',
      method: 'trim in place',
      schools: {},
      over: null,
      position: 1,
    },
  });
const roll = row<StockLeft>({
  ...{
    id: 'R',
    filmId: 'F',
    what: 'roll',
    label: 'R-1',
    lot: '7',
    width_nm: 1524 * MM,
    length_nm: 30_000 * MM,
  },
  ...{ left_nm: 20_000 * MM, perMetre: 15.24, gone: false, leftEdge: true, rightEdge: true, spokenFor: [] },
});
const view = (job: object = {}, rows: Partial<JobRows> = {}) =>
  new JobView(
    jobRows({
      job: [row({ id: 'J', name: 'House', entryUnit: 'mm', ...NEW_JOB, ...job })],
      place: [row({ ...NEW_PLACE, id: 'P', kind: 'building', name: 'House', position: 1 })],
      surface: [surface('S1', 'W1'), surface('S2', 'W2')],
      measure: measured('S1'),
      application: [film('A1', 'S1'), film('A2', 'S2')],
      ...rows,
    }),
    {
      ...EMPTY_SHOP,
      films: [
        row<FilmOfShop>({
          ...MATERIAL_NOT_STATED,
          id: 'F',
          family: 'solar',
          thickness_um: 50,
          widths_nm: [],
        }),
      ],
    },
  );
const MONEY = { currency: 'CHF', hourCost: 60, tripCost: 40, margin_percent: 30, tax_percent: 8.1 };

describe('what does the job cost as it stands?', () => {
  it('nothing is priced before an hour, a trip, a margin and a currency are said: each is named', () => {
    const own = quoteHere(view(), []);
    expect(own.case).toBeUndefined();
    expect(own.open).toEqual(['currency', 'what an hour costs', 'what a trip costs', 'the margin wanted']);
    expect(quoteHere(view(MONEY), []).open).toEqual([]);
  });
  it('what is not measured is not in it, and says so', () => {
    const own = quoteHere(view(MONEY), []);
    expect(own.lines.map(({ tag }) => tag)).toEqual(['W1']);
    expect(own.missing.map(({ tag }) => tag)).toEqual(['W2']);
  });
  it('film not laid out: its blank at the price of its roll, and the waste that is guessed (by hand)', () => {
    const job = view(MONEY);
    const own = quoteHere(job, [roll]);
    const [application] = job.applications;
    const today = application === undefined ? undefined : blankOf(job, application);
    const blank = today?.kind === 'blanks' ? today.blanks.blanks[0] : undefined;
    const area_m2 = ((blank?.across_mm ?? 0) * (blank?.along_mm ?? 0)) / 1e6;
    // 15.24 a metre of 1.524 m: 10 a square metre, and 15 % beside.
    expect(own.lines[0]?.film).toBeCloseTo(area_m2 * 10 * 1.15, 9);
    expect(own.guesses).toContain('waste of film');
    expect(own.guesses).not.toContain('price of film');
    expect(quoteHere(job, []).guesses).toContain('price of film');
  });
  it('work by its steps and people; trips by the days that are planned, else one, said to be a guess', () => {
    const own = quoteHere(view(MONEY), [roll]);
    expect(own.lines[0]?.minutes).toBeGreaterThan(10);
    expect([own.trips, own.guesses.includes('days on site')]).toEqual([1, true]);
    const days = ['2026-12-01T08:00:00Z', '2026-12-01T13:00:00Z', '2026-12-02T08:00:00Z'];
    const planned = days.map((startsAt, n) =>
      row<RowOf<'plannedStep'>>({ id: `p${n}`, startsAt, endsAt: startsAt }),
    );
    const twice = quoteHere(view(MONEY, { plannedStep: planned }), [roll]);
    expect([twice.trips, twice.guesses.includes('days on site')]).toEqual([2, false]);
    expect((twice.case?.fixed ?? 0) - (own.case?.fixed ?? 0)).toBeCloseTo(40, 9);
  });
  it('old film on the pane is taken off first: its minutes are in the work, and told apart', () => {
    const [bare] = quoteHere(view(MONEY), [roll]).lines;
    const siteFacts = [
      row<RowOf<'siteFacts'>>({
        ...NO_SITE_FACTS,
        id: 'f',
        surfaceId: 'S1',
        oldFilm: 'film',
        oldFilmArea_m2: 1,
      }),
    ];
    const [filmed] = quoteHere(view(MONEY, { siteFacts }), [roll]).lines;
    expect(bare?.removal).toBe(0);
    expect(filmed?.removal).toBeGreaterThan(0);
    expect(filmed?.minutes).toBeGreaterThanOrEqual((bare?.minutes ?? 0) + (filmed?.removal ?? 0) - 1e-9);
  });
  it('an hour that costs twice as much doubles the work alone; the price keeps its margin four times in five', () => {
    const [once, twice] = [60, 120].map((hourCost) => quoteHere(view({ ...MONEY, hourCost }), [roll]).case);
    expect(twice?.rate).toBe(2 * (once?.rate ?? 0));
    expect(twice?.fixed).toBe(once?.fixed);
    if (once === undefined) throw new Error('no case');
    const { price, most, mean, least } = calculateQuote(once, {
      margin: 0.3,
      risk: 0.2,
      tax: null,
      typed: null,
    });
    expect(least < mean.value && mean.value < most).toBe(true);
    expect((price?.value ?? 0) * 0.7).toBeGreaterThan(mean.value);
    const loss = calculateQuote(once, {
      margin: 0.3,
      risk: 0.2,
      tax: 0.081,
      typed: (price?.value ?? 0) * 0.7,
    }).loss;
    expect(loss).toBeCloseTo(0.2, 2);
  });
  it('minutes nobody has timed decide most of a job of one pane', () => {
    expect(quoteHere(view(MONEY), [roll]).decides).toBeDefined();
  });
});
