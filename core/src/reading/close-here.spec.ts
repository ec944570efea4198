import { describe, expect, it } from '@jest/globals';
import {
  type AskedSurfaces,
  MATERIAL_NOT_STATED,
  NEW_JOB,
  NEW_MARK,
  NEW_PART,
  NEW_PLACE,
  NEW_SURFACE,
  NOT_BEGUN,
  type QuotePaper,
  type RowOf,
  type StockLeft,
} from '../job';
import { calculateQuote } from '../quoting';
import { accountHere } from './close/account-here';
import { aboutMeasures, pricedView } from './survey/about';
import { blankOf } from './cut/blank';
import { doneUpTo } from './close/done-up-to';
import { type EnquiredAsked, enquiredRows, enquiredView } from './close/enquired';
import { nextHalfDay } from './close/half-day';
import { handOverNow, stillOpen } from './close/hand-over';
import { NO_SKY } from './check/film-dates';
import { type FilmOfShop, type JobRows, EMPTY_SHOP, jobRows } from './view/job-rows';
import { JobView } from './view/job-view';
import { quoteHere } from './close/quote-here';
import { acceptedQuote, groupedLines, quotePaper, quoteState } from './close/quote-paper';
import { agreedOf, linesToAsk, moneyStands } from './close/to-ask';
import { isMeasured } from './survey/surface';
import { workStepsOf } from './fit/work';

const row = <Own>(own: object): Own => own as Own;
const MM = 1_000_000;
const NOW = '2026-12-01T08:00:00.000Z';
const by = { personId: null, who: 'Wren', at: NOW };
const surface = (id: string, tag: string, placeId = 'P') =>
  row<RowOf<'surface'>>({ ...NEW_SURFACE, id, placeId, tag, position: 1 });
const side = (surfaceId: string, from: string, to: string, mm: number) =>
  row<RowOf<'measure'>>({
    ...{ id: `${surfaceId}${from}${to}`, surfaceId, kind: 'distance', fromPoint: from, toPoint: to },
    ...{ text: String(mm), unit: 'mm', value_nm: mm * MM, instrument: 'tape', sd_nm: null },
  });
const measured = (id: string) => [
  ...[side(id, 'tl', 'tr', 1200), side(id, 'bl', 'br', 1200)],
  ...[side(id, 'tl', 'bl', 900), side(id, 'tr', 'br', 900)],
];
const about = (id: string, width: number, height: number) =>
  aboutMeasures(
    id,
    { width_nm: width * MM, height_nm: height * MM },
    { unit: 'mm', textOf: (nm) => String(nm / MM) },
  ).map((own, n) => row<RowOf<'measure'>>({ ...own, id: `${id} about ${n}` }));
const film = (id: string, surfaceId: string, filmId = 'F') =>
  row<RowOf<'application'>>({
    ...{ id, surfaceId, filmId, side: 'room', method: 'trim in place', schools: {}, over: null, position: 1 },
  });
const ofShop = (id: string, more: object = {}) =>
  row<FilmOfShop>({
    ...{ ...MATERIAL_NOT_STATED, id, name: id, family: 'solar', thickness_um: 50, widths_nm: [] },
    ...more,
  });
const SHOP = { ...EMPTY_SHOP, films: [ofShop('F'), ofShop('G', { family: 'security' })] };
const MONEY = { currency: 'CHF', hourCost: 60, tripCost: 40, margin_percent: 30, tax_percent: 8.1 };
const view = (rows: Partial<JobRows> = {}, job: object = MONEY) =>
  new JobView(
    jobRows({
      job: [row({ id: 'J', name: 'House', entryUnit: 'mm', ...NEW_JOB, ...job })],
      place: [
        row({ ...NEW_PLACE, id: 'P', name: 'House', position: 1 }),
        row({ ...NEW_PLACE, id: 'Q', kind: 'room', parentId: 'P', name: 'Office', position: 2 }),
      ],
      surface: [surface('S1', 'W1'), surface('S2', 'W2', 'Q')],
      measure: [...measured('S1'), ...measured('S2')],
      application: [film('A1', 'S1'), film('A2', 'S2')],
      ...rows,
    }),
    SHOP,
  );
const stockItem = (id: string, filmId: string, perMetre: number) =>
  row<StockLeft>({
    ...{ id, filmId, what: 'roll', label: id, lot: '7', width_nm: 1500 * MM, length_nm: 30_000 * MM },
    ...{ left_nm: 20_000 * MM, perMetre, gone: false, leftEdge: true, rightEdge: true, spokenFor: [] },
  });
const STOCK = [stockItem('R', 'F', 15), stockItem('T', 'G', 45)];
const asked = { margin: 0.3, risk: 0.2, tax: 0.081, typed: null };
const paperOf = (own: JobView, price: number | null = null): QuotePaper => {
  const here = quoteHere(own, STOCK);
  const paper =
    here.case &&
    quotePaper(own, here, calculateQuote(here.case, asked), { asOf: NOW, risk: 0.2, asked: price });
  if (paper === undefined) throw new Error('no paper');
  return paper;
};

describe('sizes that were only said on the phone', () => {
  const own = view({ measure: [...measured('S1'), ...about('S2', 1000, 800)] });
  it('are no measures: the surface is not measured, nothing is cut by them', () => {
    const [, second] = own.applications;
    expect([isMeasured(own, 'S1'), isMeasured(own, 'S2')]).toEqual([true, false]);
    expect(second && blankOf(own, second).kind).toBe('none');
    expect(own.measuresOf('S2')).toEqual([]);
  });
  it('give a rough price that says so, less sure than one by measures', () => {
    const here = quoteHere(own, STOCK);
    expect(here.lines.map(({ tag, isAbout }) => [tag, isAbout])).toEqual([
      ['W1', false],
      ['W2', true],
    ]);
    expect(here.guesses[0]).toBe('sizes that were only said');
    expect(here.lines[1]?.area_m2).toBeGreaterThan(0.8);
    expect(here.case?.loose?.median).toBeCloseTo(here.lines[1]?.film ?? NaN, 9);
    expect(quoteHere(view(), STOCK).case?.loose).toBeUndefined();
  });
  it('count no more once anything is measured', () => {
    const both = view({ measure: [...measured('S1'), ...measured('S2'), ...about('S2', 5000, 5000)] });
    expect(quoteHere(both, STOCK).lines[1]).toMatchObject({
      isAbout: false,
      area_m2: quoteHere(view(), STOCK).lines[1]?.area_m2,
    });
    expect(pricedView(view())).toEqual(view());
  });
});

describe('a call turns into a job', () => {
  const call: AskedSurfaces = {
    ...{ what: 'pane', count: 4, width_nm: 1200 * MM, height_nm: 1500 * MM, bearing_deg: 180, storey: 3 },
    ...{ filmId: 'F', oldFilm: 'unknown' },
  };
  let next = 0;
  const by_: EnquiredAsked = {
    newId: () => `id${(next += 1)}`,
    ...{ unit: 'mm', building: 'House', sideOf: (deg) => `looks ${deg}`, films: SHOP.films },
  };
  const rows = enquiredRows([call, { ...call, count: 1, bearing_deg: null, filmId: null }], by_);
  it('four windows, south, third floor, about 1.2 by 1.5: four panes, a side, sizes that are only said', () => {
    expect(rows.surface.map(({ tag }) => tag)).toEqual(['P1', 'P2', 'P3', 'P4', 'P5']);
    expect(rows.place.map(({ name, bearing_deg }) => [name, bearing_deg])).toEqual([
      ['House', null],
      ['looks 180', 180],
      ['looks null', null],
    ]);
    expect(rows.measure.every(({ instrument }) => instrument === 'about')).toBe(true);
    expect(rows.siteFacts[0]?.storey).toBe(3);
    expect(rows.application).toHaveLength(4);
  });
  it('and has a rough price by another job’s terms; without terms it names what is missing', () => {
    const terms = { ...NEW_JOB, ...MONEY };
    const here = quoteHere(enquiredView(rows, SHOP, terms), STOCK);
    expect(here.lines).toHaveLength(4);
    expect(here.lines[0]?.area_m2).toBeGreaterThan(1.8);
    expect(here.case).toBeDefined();
    expect(quoteHere(enquiredView(rows, SHOP, NEW_JOB), STOCK).open).toContain('what an hour costs');
  });
});

describe('the next dry and shady half day', () => {
  const half = (n: number) => ({ from_ms: n * 10, to_ms: n * 10 + 5 });
  const hour = (n: number, rain_mm: number, cloud = 0.2) =>
    row<Parameters<typeof nextHalfDay>[1]['weather'][number]>({ instant_ms: n * 10 + 1, rain_mm, cloud });
  const overcast = 0.85;
  const halves = [half(0), half(1), half(2), half(3), half(4)];
  it('is not planned already, not in the sun, not in the rain', () => {
    const found = nextHalfDay(halves, {
      ...{ busy: [half(0)], overcast },
      sun: [half(1)],
      weather: [hour(0, 0), hour(1, 0), hour(2, 3), hour(3, 0)],
    });
    expect(found).toEqual({ ...half(3), isDry: true, isShady: true });
  });
  it('under an overcast sky the sun does not count', () => {
    const weather = [hour(0, 0, 0.5), hour(1, 0, 0.9)];
    expect(nextHalfDay(halves, { busy: [], sun: halves, weather, overcast })).toMatchObject(half(1));
  });
  it('where nobody said where the glass looks, nobody says that it is shady', () => {
    const weather = [hour(0, 0)];
    expect(nextHalfDay(halves, { busy: [], sun: undefined, weather, overcast })).toEqual({
      ...{ ...half(0), isDry: true, isShady: null },
    });
  });
  it('beyond the forecast it is shady, and nobody says it is dry', () => {
    expect(nextHalfDay(halves, { busy: [], sun: [], weather: [], overcast })).toMatchObject({ isDry: null });
    expect(nextHalfDay(halves, { busy: halves, sun: [], weather: [], overcast })).toBeUndefined();
  });
});

describe('a quote on paper', () => {
  const paper = paperOf(view());
  it('keeps what it rests on, and its parts add up to the price to the coin', () => {
    expect(paper.lines.reduce((sum, { net }) => sum + Math.round(net * 100), 0)).toBe(
      Math.round(paper.asked * 100),
    );
    expect(paper.inputs).toEqual(quoteHere(view(), STOCK).case);
    for (const way of ['surface', 'film', 'place'] as const)
      expect(
        groupedLines(paper.lines, way)
          .flatMap(({ lines }) => lines)
          .reduce((sum, { net }) => sum + net, 0),
      ).toBeCloseTo(paper.asked, 9);
    expect(groupedLines(paper.lines, 'place').map(({ word }) => word)).toEqual(['House', 'Office']);
  });
  it('at a price typed, that one is asked and the other kept beside it', () => {
    expect(paperOf(view(), 999.99)).toMatchObject({ asked: 999.99, price: paper.price });
  });
  it('without a currency or a margin there is none: nothing is guessed', () => {
    const own = view({}, { ...MONEY, currency: null });
    const here = quoteHere(own, STOCK);
    const calculated = here.case && calculateQuote(here.case, asked);
    expect(
      calculated && quotePaper(own, here, calculated, { asOf: NOW, risk: 0.2, asked: null }),
    ).toBeUndefined();
  });
  it('another film in its place: priced beside it, the job itself unchanged', () => {
    const own = view();
    const other = quoteHere(own, STOCK, [{ from: 'F', to: 'G' }]);
    expect(other.lines.map(({ filmId }) => filmId)).toEqual(['G', 'G']);
    // Three times the price a metre; the blank may be another way's.
    expect((other.lines[0]?.film ?? 0) / (other.lines[0]?.used_m2 ?? 1)).toBeCloseTo(30, 6);
    expect(own.applications.map(({ filmId }) => filmId)).toEqual(['F', 'F']);
  });
  it('lapses by the day, stored nowhere; what was answered stays answered', () => {
    const quote = { sent: null, answer: null, validUntil: '2026-12-31' };
    expect(quoteState(quote, '2026-12-31')).toBe('not sent');
    expect(quoteState({ ...quote, sent: by }, '2026-12-31')).toBe('sent');
    expect(quoteState({ ...quote, sent: by }, '2027-01-01')).toBe('lapsed');
    const answer = { said: 'accepted', signature: null, note: '', by } as const;
    expect(quoteState({ ...quote, answer }, '2027-01-01')).toBe('accepted');
    const accepted = row<RowOf<'quote'>>({ id: 'K', paper, answer });
    expect(acceptedQuote(view({ quote: [accepted] }))?.id).toBe('K');
  });
});

describe('what did it take against the plan?', () => {
  const steps = workStepsOf(view(), film('A1', 'S1'));
  const done = (applicationId: string, n: number, minutes: number) =>
    row<RowOf<'workRecord'>>({
      ...{ ...NOT_BEGUN, id: `${applicationId}${n}`, applicationId, step: steps[n]?.step ?? '' },
      ...{ template: steps[n]?.template ?? '', templateVersion: 1, people: ['Wren'] },
      startedAt: new Date(Date.parse(NOW) + n * 3_600_000).toISOString(),
      doneAt: new Date(Date.parse(NOW) + n * 3_600_000 + minutes * 60_000).toISOString(),
    });
  const roll = row<RowOf<'cutRoll'>>({ id: 'L', planId: 'C', stockId: 'R', width_nm: 1500 * MM, used_nm: 0 });
  const piece = (n: number, more: object = {}) =>
    row<RowOf<'cutPiece'>>({
      ...{ id: `p${n}`, planId: 'C', rollId: 'L', applicationId: `A${n}`, drop: 1, dropOf: 1, position: n },
      ...{ across_nm: 1220 * MM, along_nm: 920 * MM, cutAt: NOW, spoiledAt: null, ...more },
    });
  const own = view({
    cutPlan: [row({ id: 'C', filmId: 'F' })],
    cutRoll: [roll],
    cutPiece: [piece(1), piece(2)],
    stockTake: [row({ id: 't', cutRollId: 'L', stockId: 'R', length_nm: 2400 * MM, reason: 'cut' })],
    workRecord: [done('A1', 0, 12), done('A1', 1, 300)],
  });
  const account = accountHere(own, STOCK, paperOf(view()));
  it('the three parts of every line add up to its difference, to 1e-9', () => {
    const known = account.lines.filter(({ parts }) => parts !== null);
    expect(known.length).toBeGreaterThan(2);
    for (const { plan, actual, parts } of known) {
      const cost = (used: typeof plan): number => (used ? used.quantity * used.use * used.price : NaN);
      const sum = (parts?.quantity ?? 0) + (parts?.efficiency ?? 0) + (parts?.rate ?? 0);
      expect(Math.abs(sum - (cost(actual) - cost(plan)))).toBeLessThan(1e-9);
    }
  });
  it('film by the ledger: 2.4 m of a roll 1.5 m wide at 15 a metre are 3.6 m² and 36', () => {
    const [line] = account.lines;
    expect(line).toMatchObject({ kind: 'film', what: 'F' });
    expect((line?.actual?.quantity ?? 0) * (line?.actual?.use ?? 0)).toBeCloseTo(3.6, 9);
    expect(line?.actual && line.actual.quantity * line.actual.use * line.actual.price).toBeCloseTo(36, 9);
  });
  it('five hours at a step of minutes is no chance; what was not ticked is unknown, not nothing', () => {
    const work = account.lines.filter(({ kind }) => kind === 'work');
    expect(work.find(({ what }) => what === steps[1]?.step)?.isChance).toBe(false);
    expect(work.find(({ what }) => what === steps[3]?.step)).toMatchObject({ actual: null, parts: null });
  });
  it('redo, visits and trips are lines of their own', () => {
    const worse = view({
      cutPlan: [row({ id: 'C', filmId: 'F' })],
      cutRoll: [roll],
      cutPiece: [piece(1, { spoiledAt: NOW })],
      visit: [row({ id: 'v', state: 'done', reasons: [] })],
    });
    const sums = accountHere(worse, STOCK, paperOf(view())).sums;
    const redo = sums.find(({ what }) => what === 'redo');
    expect([redo?.count, redo?.actual]).toEqual([1, expect.closeTo(1.22 * 0.92 * 10, 9)]);
    expect(sums.find(({ what }) => what === 'visits')).toMatchObject({ count: 1, actual: 40 });
  });
  it('a progress account counts what is handed over by its day, place by place', () => {
    const last = steps.at(-1);
    const handed = row<RowOf<'workRecord'>>({
      ...{ ...NOT_BEGUN, id: 'h', applicationId: 'A1', step: last?.step, template: last?.template },
      doneAt: NOW,
    });
    const finished = view({ workRecord: [handed] });
    const paper = paperOf(view());
    const [house, office] = doneUpTo(finished, Date.parse(NOW), paper);
    expect(house).toMatchObject({ place: 'House', done: 1, all: 1, net: paper.lines[0]?.net });
    expect(house?.done_m2).toBeCloseTo(1.08, 3);
    expect(office).toMatchObject({ place: 'Office', done: 0, done_m2: 0, net: 0 });
    expect(doneUpTo(finished, Date.parse(NOW) - 1, undefined)[0]).toMatchObject({ done: 0, net: null });
  });
});

describe('what is asked for, and what is left?', () => {
  const signature = { name: 'Ida', at: NOW, strokes: [[0, 0, 1, 1, 2, 2, 3, 3]] };
  const accepted = row<RowOf<'quote'>>({
    ...{ id: 'K', number: '4', paper: paperOf(view(), 1000) },
    answer: { said: 'accepted', signature, note: '', by },
  });
  const extra = (id: string, more: object = {}) =>
    row<RowOf<'extra'>>({ id, number: id, text: 'one more', net: 89.9, signature, ...more });
  const payment = (number: string, net: number, more: object = {}) =>
    row<RowOf<'payment'>>({
      ...{ id: number, number, lines: [{ text: '', net }], currency: 'CHF', tax_percent: 8.1, paid: null },
      ...{ madeAt: NOW, ...more },
    });
  it('nothing is agreed before a quote is accepted, and nothing is asked for', () => {
    expect([agreedOf(view()), moneyStands(view())]).toEqual([undefined, null]);
    expect(linesToAsk(view(), { kind: 'final' })).toEqual([]);
  });
  it('by hand: 30 % of 1000 first; then 1000 and an extra of 89.90 less 300; an extra nobody signed is not in it', () => {
    const own = view({ quote: [accepted], extra: [extra('1'), extra('2', { signature: null })] });
    expect(linesToAsk(own, { kind: 'deposit', percent: 30 })).toEqual([
      { case: 'deposit', percent: 30, number: '4', net: 300 },
    ]);
    const asked = view({ ...own.rows, payment: [payment('4-1', 300)] });
    expect(linesToAsk(asked, { kind: 'final' }).map(({ case: what, net }) => [what, net])).toEqual([
      ['quote', 1000],
      ['extra', 89.9],
      ['asked before', -300],
    ]);
    // 8.1 % of 1089.90 is 88.28; of 300, 24.30.
    expect(moneyStands(asked)).toMatchObject({
      net: 1089.9,
      gross: 1178.18,
      asked: 324.3,
      paid: 0,
      left: 789.9,
    });
    const paid = payment('4-1', 300, { paid: { day: '2026-12-02', gross: 324.3, by } });
    expect(moneyStands(view({ ...own.rows, payment: [paid] }))?.paid).toBe(324.3);
  });
  it('where all was asked for there is nothing more to ask', () => {
    const own = view({ quote: [accepted], payment: [payment('4-1', 1000)] });
    expect(linesToAsk(own, { kind: 'final' })).toEqual([]);
    expect(moneyStands(own)?.left).toBe(0);
  });
});

describe('what is handed over, and what is still open?', () => {
  const last = workStepsOf(view(), film('A1', 'S1')).at(-1);
  const handed = row<RowOf<'workRecord'>>({
    ...{ ...NOT_BEGUN, id: 'h', applicationId: 'A1', step: last?.step, template: last?.template },
    ...{ doneAt: NOW, people: ['Wren', 'Robin'], mix: 'household' },
  });
  const at = { now_ms: Date.parse(NOW) + 3_600_000, sky: NO_SKY };
  it('everything that is not finished is named: film not on, not looked at, parts off, ground refused', () => {
    const own = view({
      workRecord: [handed],
      mark: [row({ ...NEW_MARK, id: 'm', surfaceId: 'S1', look: 'speck', firstSeenAt: NOW, from: 'check' })],
      part: [
        row({ ...NEW_PART, id: 'd', surfaceId: 'S1', kind: 'hardware', name: 'handle', takenOffAt: NOW }),
      ],
    });
    const open = stillOpen(own, at);
    const of = (kind: string) =>
      open.filter((item) => item.kind === kind).map(({ tag, what }) => [tag, what]);
    expect(of('not done')).toEqual([['W2', 'F']]);
    expect(of('not looked at')).toEqual([['W1', '']]);
    expect(of('mark')).toEqual([['W1', 'speck']]);
    expect(of('put back')).toEqual([['W1', 'handle']]);
  });
  it('a pane that was handed over: film, people, mix, when; its dates are those of every other stop', () => {
    const { panes } = handOverNow(view({ workRecord: [handed] }), at);
    expect(panes).toHaveLength(1);
    expect(panes[0]).toMatchObject({
      ...{ tag: 'W1', film: 'F', face: 'room', laidAt: NOW, people: ['Wren', 'Robin'], mix: 'household' },
      judged: 'unknown',
    });
    expect(panes[0]?.dates.some(({ key }) => key === 'wash')).toBe(true);
    expect(panes[0]?.warnings).toContain('no ammonia, no blade');
    expect(panes[0]?.warnings).not.toContain('not unbreakable');
  });
});
