import { describe, expect, it } from '@jest/globals';
import { ROW_FIELDS } from '@yellow-pane/contracts';
import { type CutOrder, type OrderPiece, type StockFilm, planOrderSteps } from '../../cutting';
import { runThrough } from '../../packing';
import { mmFromNm } from '../../quantity';
import type { FilmBlank } from './film-blanks';
import { jobRows } from '../view/job-rows';
import { JobView } from '../view/job-view';
import { planRows } from './plan-rows';

const id = (last: number): string => `0199b9a6-0007-7000-8000-${String(last).padStart(12, '0')}`;
const APPLICATION = [id(101), id(102), id(103)];
const keyOf = (surface: number, drop = 1): string => `${APPLICATION[surface] ?? ''} ${drop}`;
const piece = (
  key: string,
  across_mm: number,
  along_mm: number,
  more: Partial<OrderPiece> = {},
): OrderPiece => ({ id: key, across_mm, along_mm, mayTurn90: false, group: '', ...more });
const film = (
  name: string,
  width_mm: number,
  length_mm: number,
  more: Partial<StockFilm> = {},
): StockFilm => ({
  id: name,
  what: 'roll',
  width_mm,
  length_mm,
  perMetre: 10,
  whole: 0,
  lot: '',
  edges: 'both',
  ...more,
});
const order = (
  stocks: readonly StockFilm[],
  pieces: readonly OrderPiece[],
  more: Partial<CutOrder> = {},
): CutOrder => ({
  stocks,
  pieces,
  pinned: [],
  mode: 'by hand',
  stages: 3,
  gap_mm: 0,
  endWaste_mm: 0,
  mostSheet_mm: Number.POSITIVE_INFINITY,
  objective: 'length',
  rates: {
    perCrossCut: 0,
    perSlit: 0,
    perPiece: 0,
    keepWidth_mm: 200,
    keepLength_mm: 500,
    keepShare: 0,
    perSplitGroup: 0,
  },
  ...more,
});
const blank = (
  surface: number,
  more: {
    readonly method?: string;
    readonly drop?: number;
    readonly of?: number;
    readonly phase_mm?: number;
  } = {},
): FilmBlank =>
  ({
    key: keyOf(surface, more.drop),
    application: { id: APPLICATION[surface], method: more.method ?? 'trim in place' },
    surface: { tag: `SW${surface + 1}` },
    blanks: { whole: { lies: 'top across the roll' }, inputsHash: `hash ${surface}` },
    blank: { drop: more.drop ?? 1, of: more.of ?? 1, phase_mm: more.phase_mm, sector: undefined },
  }) as unknown as FilmBlank;
const STOCK = new Map([['roll', { id: id(7), label: 'R-7', lot: 'L1' }]]);

function rows(
  own: CutOrder,
  blanks: readonly FilmBlank[],
  more: { readonly firstPiece?: number; readonly firstRoll?: number } = {},
) {
  let made = 0;
  const plan = runThrough(
    planOrderSteps(own, { seed: 1, mostRounds: 30 }),
    () => false,
    () => undefined,
  );
  return {
    plan,
    rolls: planRows(new JobView(jobRows()), plan, own, {
      liner: 'up',
      planId: id(1),
      firstPiece: more.firstPiece ?? 0,
      firstRoll: more.firstRoll ?? 0,
      itemOf: (stockId) => STOCK.get(stockId),
      blankOf: (key) => blanks.find((one) => one.key === key),
      newId: () => id(1000 + (made += 1)),
    }),
  };
}

describe('are a plan’s rows frozen copies of what was found?', () => {
  const own = order(
    [film('roll', 1524, 9000), film('order 914', 914, 30_000, { what: 'to order' })],
    [piece(keyOf(0), 600, 1000), piece(keyOf(1), 700, 1000), piece(keyOf(2), 400, 2000)],
  );
  const { plan, rolls } = rows(own, [blank(0), blank(1), blank(2)], { firstPiece: 5, firstRoll: 2 });
  it('every roll and piece goes over the wire as it is', () => {
    for (const { roll, pieces } of rolls) {
      expect(ROW_FIELDS.cutRoll.safeParse(roll).error?.issues).toBeUndefined();
      for (const one of pieces) expect(ROW_FIELDS.cutPiece.safeParse(one).error?.issues).toBeUndefined();
    }
  });
  it('each piece lies where it was found, to the nanometre, on the roll it was found on', () => {
    plan.uses.forEach(({ placed, used_mm }, index) => {
      expect(mmFromNm(rolls[index]?.roll.used_nm ?? 0)).toBe(used_mm);
      placed.forEach((at, place) => {
        const one = rolls[index]?.pieces[place];
        expect([
          one?.rollId,
          mmFromNm(one?.x_nm ?? -1),
          mmFromNm(one?.y_nm ?? -1),
          mmFromNm(one?.across_nm ?? -1),
          mmFromNm(one?.along_nm ?? -1),
          one?.turned,
        ]).toEqual([rolls[index]?.rollId, at.x_mm, at.y_mm, at.across_mm, at.along_mm, at.turned]);
      });
    });
  });
  it('numbered on behind what is cut already, none twice', () => {
    const positions = rolls.flatMap(({ pieces }) => pieces.map(({ position }) => position));
    expect([...positions].sort((a, b) => a - b)).toEqual(positions.map((_, index) => 5 + index));
    expect(rolls.map(({ roll }) => roll.position)).toEqual(rolls.map((_, index) => 2 + index));
  });
  it('the hash of what it was made from goes with it: a later measure makes it stale', () => {
    expect(
      rolls.flatMap(({ pieces }) => pieces.map(({ tag, inputsHash }) => `${tag} ${inputsHash}`)).sort(),
    ).toEqual(['SW1 hash 0', 'SW2 hash 1', 'SW3 hash 2']);
  });
  it('nothing is cut, spoiled or booked yet', () => {
    expect(
      rolls.every(
        ({ roll, pieces }) =>
          roll.bookedAt === null &&
          roll.ticks.length === 0 &&
          pieces.every(({ cutAt, spoiledAt }) => cutAt === null && spoiledAt === null),
      ),
    ).toBe(true);
  });
});

describe('which roll is which?', () => {
  it('one in stock keeps its label and lot; several to order are told apart', () => {
    expect(
      rows(order([film('roll', 1524, 9000)], [piece(keyOf(0), 600, 1000)]), [blank(0)]).rolls.map(
        ({ roll }) => [roll.stockId, roll.label, roll.lot, roll.what],
      ),
    ).toEqual([[id(7), 'R-7', 'L1', 'roll']]);
    const bought = rows(
      order(
        [film('order 914', 914, 2000, { what: 'to order' })],
        [piece(keyOf(0), 900, 1500), piece(keyOf(1), 900, 1500)],
      ),
      [blank(0), blank(1)],
    ).rolls;
    expect(bought.map(({ roll }) => [roll.stockId, roll.label, roll.what])).toEqual([
      [null, 'new', 'to order'],
      [null, 'new 2', 'to order'],
    ]);
  });
});

describe('what goes with a piece?', () => {
  it('a pin stays a pin; a drop knows which of how many and its phase', () => {
    const own = order([film('roll', 1524, 9000)], [piece(keyOf(0, 2), 600, 1000)], {
      pinned: [{ id: keyOf(0, 2), stockId: 'roll', x_mm: 100, y_mm: 200, turned: false }],
    });
    expect(rows(own, [blank(0, { drop: 2, of: 3, phase_mm: 320 })]).rolls[0]?.pieces[0]).toMatchObject({
      pinned: true,
      drop: 2,
      dropOf: 3,
      phase_nm: 320_000_000,
      x_nm: 100_000_000,
      y_nm: 200_000_000,
    });
  });
  it('a column has its notches marked, other pieces none', () => {
    const own = order([film('roll', 1524, 9000)], [piece(keyOf(0), 600, 1000), piece(keyOf(1), 600, 900)]);
    const pieces = rows(own, [blank(0, { method: 'column' }), blank(1)]).rolls.flatMap((roll) => roll.pieces);
    expect(pieces).toHaveLength(2);
    expect(Object.fromEntries(pieces.map(({ tag, notch_nm }) => [tag, notch_nm]))).toEqual({
      SW1: 13_000_000,
      SW2: 0,
    });
  });
  it('a blank that is no longer there still names its application', () => {
    expect(
      rows(order([film('roll', 1524, 9000)], [piece(keyOf(2), 600, 1000)]), []).rolls[0]?.pieces[0],
    ).toMatchObject({ applicationId: APPLICATION[2], tag: '?', inputsHash: '?' });
  });
});
