import type { QuotePaper, RowOf, StockLeft } from '../../job';
import { mmFromNm } from '../../quantity';
import {
  type Parts,
  type TickFault,
  type Used,
  costOf,
  isChance,
  minutesNotOver,
  partsOf,
  tickedMinutes,
} from '../../quoting';
import { blanksOfFilm } from '../cut/film-blanks';
import { pricePerSquare, stockOfFilm } from '../cut/film-stock';
import type { JobView } from '../view/job-view';
import { SHARED_DEVIATION, STEP_DEVIATION } from './quote-here';

const HOUR_MIN = 60;
const MM2_PER_M2 = 1e6;
/** Four jobs in five lie between these. */
const BAND = { least: 0.1, most: 0.9 } as const;

/** Film or work of one kind: as planned, as it came, and why it differs. */
export interface AccountLine {
  readonly kind: 'film' | 'work';
  /** Name of the film, key of the step. */
  readonly what: string;
  readonly plan: Used | null;
  readonly actual: Used | null;
  /** Null: there is no plan, or nothing is known of what it took. */
  readonly parts: Parts | null;
  /** Whether what each took is inside what was thought likely; null: no band is known. */
  readonly isChance: boolean | null;
}

/** Cost of something that is counted, planned and as it came. */
export interface AccountSum {
  readonly what: 'waste' | 'redo' | 'visits' | 'trips';
  readonly plan: number;
  readonly actual: number;
  readonly count: number;
}

interface AccountHere {
  readonly lines: readonly AccountLine[];
  readonly sums: readonly AccountSum[];
  /** Times that are not used until somebody has looked at them. */
  readonly asked: readonly { readonly tag: string; readonly step: string; readonly fault: TickFault }[];
  /** People whose steps overlap: that time was shared out. */
  readonly shared: readonly {
    readonly person: string;
    readonly steps: readonly { readonly tag: string; readonly step: string }[];
  }[];
  readonly planned: number;
  readonly actual: number;
}

/**
 * What the job took against what was planned: film by the ledger, minutes by the ticks, trips by the days
 * anybody worked. The three parts of each line add up to its difference.
 * @source standard costing (closed form)
 */
export function accountHere(
  view: JobView,
  stock: readonly StockLeft[],
  paper: Pick<QuotePaper, 'lines' | 'hourCost' | 'tripCost' | 'trips' | 'inputs'>,
): AccountHere {
  const work = workLines(view, paper);
  const film = filmLines(view, stock, paper.lines);
  const lines = [...film, ...work.lines];
  const sums = sumsOf(view, stock, paper);
  const total = (of: (line: AccountLine) => Used | null): number =>
    lines.reduce((sum, line) => sum + costOf(of(line) ?? NOTHING), 0);
  return {
    ...{ lines, sums, asked: work.asked, shared: work.shared },
    planned: total(({ plan }) => plan) + counted(sums, ({ plan }) => plan),
    actual: total(({ actual }) => actual) + counted(sums, ({ actual }) => actual),
  };
}

const NOTHING: Used = { quantity: 0, use: 0, price: 0 };
/** Waste is in the film, and only told apart. */
const counted = (sums: readonly AccountSum[], of: (sum: AccountSum) => number): number =>
  sums.reduce((all, sum) => all + (sum.what === 'visits' || sum.what === 'trips' ? of(sum) : 0), 0);

const line = (
  kind: AccountLine['kind'],
  what: string,
  { plan, actual, chance }: { plan: Used | null; actual: Used | null; chance: boolean | null },
): AccountLine => ({
  ...{ kind, what, plan, actual, isChance: chance },
  parts: plan === null || actual === null ? null : partsOf(plan, actual),
});

interface Taken {
  area_m2: number;
  worth: number;
}

/** What was taken of each film, by the ledger; a roll that was ordered has no line there. */
function takenOf(view: JobView, stock: readonly StockLeft[]): ReadonlyMap<string, Taken> {
  const found = new Map<string, Taken>();
  const add = (filmId: string, width_nm: number, length_nm: number, perMetre: number | null): void => {
    const area_m2 = (mmFromNm(width_nm) * mmFromNm(length_nm)) / MM2_PER_M2;
    const square = pricePerSquare(view, stockOfFilm(stock, filmId)).value;
    const own = found.get(filmId) ?? { area_m2: 0, worth: 0 };
    own.area_m2 += area_m2;
    own.worth += perMetre === null ? area_m2 * square : (perMetre * mmFromNm(length_nm)) / 1000;
    found.set(filmId, own);
  };
  for (const roll of view.rows.cutRoll) {
    const filmId = view.plans.find(({ id }) => id === roll.planId)?.filmId;
    if (filmId === undefined) continue;
    const takes = view.rows.stockTake.filter(({ cutRollId }) => cutRollId === roll.id);
    for (const { stockId, length_nm } of takes)
      add(filmId, roll.width_nm, length_nm, stock.find(({ id }) => id === stockId)?.perMetre ?? null);
    if (takes.length === 0 && roll.bookedAt !== null) add(filmId, roll.width_nm, roll.used_nm, null);
  }
  return found;
}

function filmLines(
  view: JobView,
  stock: readonly StockLeft[],
  lines: QuotePaper['lines'],
): readonly AccountLine[] {
  const taken = takenOf(view, stock);
  const ids = [...new Set([...lines.map(({ filmId }) => filmId), ...taken.keys()])];
  return ids.map((filmId) => {
    const own = lines.filter((each) => each.filmId === filmId);
    const net = own.reduce((sum, { area_m2 }) => sum + area_m2, 0);
    const used = own.reduce((sum, { used_m2 }) => sum + used_m2, 0);
    const cost = own.reduce((sum, { filmCost }) => sum + filmCost, 0);
    const took = taken.get(filmId);
    const laid = cutArea(view, filmId);
    return line('film', view.filmById.get(filmId)?.name ?? own[0]?.film ?? '', {
      plan: net === 0 || used === 0 ? null : { quantity: net, use: used / net, price: cost / used },
      actual:
        took === undefined || laid === 0
          ? null
          : { quantity: laid, use: took.area_m2 / laid, price: took.worth / took.area_m2 },
      chance: null,
    });
  });
}

/** Of the blanks that were cut, m². */
function cutArea(view: JobView, filmId: string): number {
  return blanksOfFilm(view, filmId)
    .blanks.filter(({ application, blank }) =>
      view.piecesFor(application.id).some(({ drop, cutAt }) => drop === blank.drop && cutAt !== null),
    )
    .reduce((sum, { blank }) => sum + (blank.across_mm * blank.along_mm) / MM2_PER_M2, 0);
}

function workLines(
  view: JobView,
  { lines, hourCost }: Pick<QuotePaper, 'lines' | 'hourCost'>,
): Pick<AccountHere, 'lines' | 'asked' | 'shared'> {
  const records = view.rows.workRecord.filter(({ doneAt }) => doneAt !== null);
  const byId = new Map(records.map((record) => [record.id, record]));
  const ticked = tickedMinutes(
    records.map((record) => ({
      id: record.id,
      from_ms: record.startedAt === null ? null : Date.parse(record.startedAt),
      to_ms: Date.parse(record.doneAt ?? ''),
      people: record.people.length > 0 ? record.people : [record.changedBy],
    })),
  );
  const price = hourCost / HOUR_MIN;
  const areaOf = new Map(lines.map(({ applicationId, area_m2 }) => [applicationId, area_m2]));
  const steps = [
    ...new Set([...lines.flatMap((own) => own.steps.map(({ step }) => step)), ...stepsOf(records)]),
  ];
  return {
    lines: steps.map((step) => {
      const planned = lines.filter((own) => own.steps.some((each) => each.step === step));
      const done = records.filter((record) => record.step === step && ticked.minutes.has(record.id));
      const known = done.filter(({ applicationId }) => areaOf.has(applicationId));
      const plan_min = planned.flatMap((own) => own.steps.filter((each) => each.step === step));
      const actual = usedFor(
        known.reduce((sum, { id }) => sum + (ticked.minutes.get(id) ?? 0), 0),
        areaIn(known.map(({ applicationId }) => applicationId)),
        price,
      );
      const plan = usedFor(
        plan_min.reduce((sum, { minutes }) => sum + minutes, 0),
        areaIn(planned.map(({ applicationId }) => applicationId)),
        price,
      );
      return line('work', step, { plan, actual, chance: chanceOf(plan_min, plan, actual) });
    }),
    asked: ticked.asked.map(({ id, fault }) => ({
      ...{ tag: tagOf(view, byId.get(id)), step: byId.get(id)?.step ?? '', fault },
    })),
    shared: ticked.shared.map(({ person, ids }) => ({
      person,
      steps: ids.map((id) => ({ tag: tagOf(view, byId.get(id)), step: byId.get(id)?.step ?? '' })),
    })),
  };

  function areaIn(applicationIds: readonly string[]): number {
    return [...new Set(applicationIds)].reduce((sum, id) => sum + (areaOf.get(id) ?? 0), 0);
  }
}

const stepsOf = (records: readonly RowOf<'workRecord'>[]): readonly string[] =>
  records.map(({ step }) => step);

const tagOf = (view: JobView, record: RowOf<'workRecord'> | undefined): string =>
  view.surfaceById.get(view.applicationById.get(record?.applicationId ?? '')?.surfaceId ?? '')?.tag ?? '';

const usedFor = (minutes: number, area_m2: number, price: number): Used | null =>
  area_m2 === 0 ? null : { quantity: area_m2, use: minutes / area_m2, price };

/** Whether minutes a square metre lie in what was thought likely four times in five. */
function chanceOf(
  steps: readonly { readonly minutes: number }[],
  plan: Used | null,
  actual: Used | null,
): boolean | null {
  if (plan === null || actual === null || steps.length === 0) return null;
  const own = {
    work: steps.map(({ minutes }) => ({ median_min: minutes, deviation: STEP_DEVIATION })),
    shared: SHARED_DEVIATION,
  };
  const planned = plan.quantity;
  return isChance(actual.use, [
    minutesNotOver(own, BAND.least) / planned,
    minutesNotOver(own, BAND.most) / planned,
  ]);
}

function sumsOf(
  view: JobView,
  stock: readonly StockLeft[],
  { lines, tripCost, trips, inputs }: Pick<QuotePaper, 'lines' | 'tripCost' | 'trips' | 'inputs'>,
): readonly AccountSum[] {
  const spoiled = view.rows.cutPiece.filter(({ spoiledAt }) => spoiledAt !== null);
  const worthOf = ({ planId, across_nm, along_nm }: RowOf<'cutPiece'>): number => {
    const filmId = view.plans.find(({ id }) => id === planId)?.filmId ?? '';
    const area_m2 = (mmFromNm(across_nm) * mmFromNm(along_nm)) / MM2_PER_M2;
    return area_m2 * pricePerSquare(view, stockOfFilm(stock, filmId)).value;
  };
  const taken = takenOf(view, stock);
  const wasted = [...taken].reduce((sum, [filmId, { area_m2, worth }]) => {
    const rest = Math.max(0, area_m2 - cutArea(view, filmId));
    return sum + (area_m2 === 0 ? 0 : (rest * worth) / area_m2);
  }, 0);
  const days = new Set(view.rows.workRecord.flatMap(({ doneAt }) => doneAt?.slice(0, 10) ?? []));
  const visits = view.visits.filter(({ state }) => state === 'done').length;
  const [redo, visit] = inputs.chances;
  const expected = (chance: typeof redo): number =>
    chance === undefined ? 0 : (chance.pieces * chance.came) / (chance.came + chance.not);
  return [
    {
      ...{ what: 'waste', count: 0, actual: wasted },
      plan: lines.reduce(
        (sum, { filmCost, area_m2, used_m2 }) =>
          sum + (used_m2 === 0 ? 0 : (filmCost * (used_m2 - area_m2)) / used_m2),
        0,
      ),
    },
    {
      ...{ what: 'redo', count: spoiled.length, plan: expected(redo) * (redo?.mean ?? 0) },
      actual: spoiled.reduce((sum, piece) => sum + worthOf(piece), 0),
    },
    { what: 'visits', count: visits, plan: expected(visit) * tripCost, actual: visits * tripCost },
    { what: 'trips', count: days.size, plan: trips * tripCost, actual: days.size * tripCost },
  ];
}
