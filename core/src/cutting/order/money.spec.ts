import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  type CutOrder,
  type CutOrderPlan,
  type OrderPiece,
  type StockFilm,
  cutsFor,
  planOrderSteps,
} from '..';
import { runThrough } from '../../packing';
import { usesOf } from './film-uses';
import { splitPenalty } from './lot-split-penalty';
import { BOUNDLESS, MISSING, missingFilm } from './missing-film';
import { MONEY_FORMULAS, extraOf, keptOf } from './order-money';
import { orderSegments } from './order-segments';

const RATES = {
  perCrossCut: 1,
  perSlit: 0.5,
  perPiece: 0.2,
  keepWidth_mm: 200,
  keepLength_mm: 500,
  keepShare: 0.3,
  perSplitGroup: 15,
};
const piece = (
  id: string,
  across_mm: number,
  along_mm: number,
  more: Partial<OrderPiece> = {},
): OrderPiece => ({ id, across_mm, along_mm, mayTurn90: false, group: '', ...more });
const film = (id: string, width_mm: number, length_mm: number, more: Partial<StockFilm> = {}): StockFilm => ({
  id,
  what: 'roll',
  width_mm,
  length_mm,
  perMetre: width_mm / 100,
  whole: 0,
  lot: id,
  edges: 'both',
  ...more,
});
const orderOf = (
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
  objective: 'money',
  rates: RATES,
  ...more,
});
const plan = (order: CutOrder, mostRounds = 40): CutOrderPlan =>
  runThrough(
    planOrderSteps(order, { seed: 1, mostRounds }),
    () => false,
    () => undefined,
  );

describe('what does a plan cost?', () => {
  it('film by the metre, cuts and pieces, less what is kept: calculated by hand', () => {
    /**
     * Two of 600 × 1000 side by side on 1524: one cross-cut, two slits, two pieces; 324 × 1000 beside them is
     * kept at 30 %.
     */
    const own = plan(orderOf([film('a', 1524, 9000)], [piece('p', 600, 1000), piece('q', 600, 1000)]));
    expect(own.film.value).toBeCloseTo(15.24, 9);
    expect(own.cost.value).toBeCloseTo(15.24 + 1 + 2 * 0.5 + 2 * 0.2 - 0.3 * 15.24 * (324 / 1524), 9);
    expect(own.waste_share.value).toBeCloseTo(324 / 1524, 9);
  });
  it('an offcut is paid for whole once it is begun, however little of it is used', () => {
    const own = plan(
      orderOf([film('o', 700, 1500, { what: 'offcut', perMetre: 0, whole: 4 })], [piece('p', 600, 400)]),
    );
    expect(own.film.value).toBeCloseTo(4, 9);
  });
  it('by length nothing but film counts in the search; the sum is still said', () => {
    const own = plan(
      orderOf([film('a', 1524, 9000)], [piece('p', 600, 1000), piece('q', 600, 1000)], {
        objective: 'length',
      }),
    );
    expect(own.uses.reduce((sum, { used_mm }) => sum + used_mm, 0)).toBe(1000);
    expect(own.cost.value).toBeGreaterThan(own.film.value);
  });
  it('the sum is just its parts, whatever they are', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 1000, noNaN: true }), { minLength: 8, maxLength: 8 }),
        ([
          film_ = 0,
          crossCuts = 0,
          perCrossCut = 0,
          slits = 0,
          perSlit = 0,
          pieces = 0,
          perPiece = 0,
          kept = 0,
        ]) => {
          expect(
            MONEY_FORMULAS.cost.of({
              film: film_,
              crossCuts,
              perCrossCut,
              slits,
              perSlit,
              pieces,
              perPiece,
              kept,
            }),
          ).toBeCloseTo(film_ + crossCuts * perCrossCut + slits * perSlit + pieces * perPiece - kept, 6);
        },
      ),
    );
  });
  it('every figure opens to its steps', () => {
    const own = plan(orderOf([film('a', 1524, 9000)], [piece('p', 600, 1000)]));
    for (const figure of [own.film, own.cost, own.waste_share]) expect(figure.why.length).toBeGreaterThan(0);
    expect(own.film.why.map(({ formula }) => formula)).toContain(MONEY_FORMULAS.film.id);
  });
  it('as many cuts are paid for as the sheet names, where every sheet is cut in as many stages as it takes', () => {
    const order = orderOf(
      [film('a', 1000, 9000)],
      [piece('p', 600, 900), piece('q', 400, 500), piece('r', 400, 400), piece('s', 1000, 300)],
      { stages: 99 },
    );
    const own = plan(order, 60);
    const cuts = own.uses.flatMap(({ placed }) => cutsFor(placed, 1000, 0) ?? []);
    const paid = own.cost.value - own.film.value - 4 * 0.2;
    expect(paid).toBeCloseTo(
      cuts.filter(({ how }) => how === 'cross-cut').length +
        0.5 * cuts.filter(({ how }) => how === 'slit' || how === 'slit piece').length,
      9,
    );
  });
});

describe('what is worth keeping?', () => {
  const order = orderOf([film('a', 1524, 9000)], [piece('p', 600, 1000)]);
  const [segment] = orderSegments(order);
  const orientation = segment?.problem.orientations[0];
  if (segment === undefined || orientation === undefined) throw new Error('one film, one piece');
  const strip = {
    along: orientation.along,
    stacks: [{ across: orientation.across, pieces: [orientation] }],
    filled: orientation.across * orientation.along,
  };
  it('the rest beside the last stack, from the size on that the rates say, at its share', () => {
    expect(keptOf(segment, strip, RATES)).toBeCloseTo(0.3 * 15.24 * (924 / 1524), 9);
    expect(keptOf(segment, strip, { ...RATES, keepWidth_mm: 925 })).toBe(0);
    expect(keptOf(segment, strip, { ...RATES, keepLength_mm: 1001 })).toBe(0);
  });
  it('a strip costs its cuts less what is kept; nothing when only length counts, or a plotter cuts', () => {
    expect(extraOf(order)(segment, strip)).toBeCloseTo(1 + 0.5 + 0.2 - keptOf(segment, strip, RATES), 9);
    expect(extraOf({ ...order, objective: 'length' })(segment, strip)).toBe(0);
    expect(extraOf({ ...order, mode: 'by plotter' })(segment, strip)).toBe(0);
  });
});

describe('is a façade kept together?', () => {
  const segments = orderSegments(
    orderOf(
      [film('a', 1524, 9000, { lot: 'L1' }), film('b', 1524, 9000, { lot: 'L2' })],
      ['p', 'q', 'r'].map((id, index) =>
        piece(id, 500, 600 + index, { group: id === 'r' ? 'north' : 'south' }),
      ),
    ),
  );
  const order = orderOf(
    [film('a', 1524, 9000, { lot: 'L1' }), film('b', 1524, 9000, { lot: 'L2' })],
    ['p', 'q', 'r'].map((id, index) =>
      piece(id, 500, 600 + index, { group: id === 'r' ? 'north' : 'south' }),
    ),
  );
  const laidOn = (...where: readonly number[]) =>
    where.map((segment, itemType) => {
      const orientation = segments[0]?.problem.orientations.find((own) => own.itemType === itemType);
      if (orientation === undefined) throw new Error('three kinds');
      return {
        segment,
        strip: {
          along: orientation.along,
          stacks: [{ across: orientation.across, pieces: [orientation] }],
          filled: 0,
        },
      };
    });
  it('each lot too many of one façade costs, façades apart do not', () => {
    const penalty = splitPenalty(order, segments);
    expect(
      [laidOn(0, 0, 0), laidOn(0, 0, 1), laidOn(0, 1, 0), laidOn(0, 1, 1)].map((laid) => penalty?.(laid)),
    ).toEqual([0, 0, 15, 15]);
  });
  it('nothing where the rate is nothing, no piece is of a façade, or all film is of one lot', () => {
    expect(splitPenalty({ ...order, rates: { ...RATES, perSplitGroup: 0 } }, segments)).toBeUndefined();
    expect(
      splitPenalty({ ...order, pieces: order.pieces.map((own) => ({ ...own, group: '' })) }, segments),
    ).toBeUndefined();
    expect(
      splitPenalty(
        order,
        segments.map((own) => ({ ...own, lot: 0 })),
      ),
    ).toBeUndefined();
  });
  it('a façade on two lots is named in the plan', () => {
    const narrow = plan(
      orderOf(
        [film('a', 600, 700, { lot: 'L1' }), film('b', 600, 700, { lot: 'L2' })],
        [
          piece('p', 500, 600, { group: 'south' }),
          piece('q', 500, 600, { group: 'south' }),
          piece('r', 500, 90, { group: 'north' }),
        ],
      ),
    );
    expect(narrow.splitGroups).toEqual(['south']);
  });
});

describe('where film is missing', () => {
  it('it is stood in for by the widest there is, dearer than any, and never shown', () => {
    const order = orderOf([film('a', 600, 700), film('b', 1220, 700, { perMetre: 50 })], []);
    expect(missingFilm(order)).toMatchObject({ id: MISSING, width_mm: 1220, length_mm: BOUNDLESS });
    expect(missingFilm(order).perMetre).toBeGreaterThan(50);
    expect(missingFilm(orderOf([], [])).width_mm).toBeGreaterThan(0);
    const short = plan(orderOf([film('a', 600, 700)], [piece('p', 500, 600), piece('q', 500, 600)]));
    expect(short.notLaid).toHaveLength(1);
    expect(short.uses.map(({ stockId }) => stockId)).toEqual(['a']);
    expect(short.stopped).toBe('infeasible');
    expect(short.filmBound.value).toBe(0);
  });
});

describe('what lies where', () => {
  it('pinned pieces are there before anything is laid, turned ones with their sides changed', () => {
    const order = orderOf(
      [film('a', 1524, 9000)],
      [piece('p', 600, 1000, { mayTurn90: true }), piece('q', 300, 200)],
      { pinned: [{ id: 'p', stockId: 'a', x_mm: 20, y_mm: 30, turned: true }] },
    );
    const [use] = usesOf(order, orderSegments(order), [], new Map());
    expect(use?.placed).toEqual([
      { id: 'p', x_mm: 20, y_mm: 30, across_mm: 1000, along_mm: 600, turned: true, level: 0 },
    ]);
    expect(use?.used_mm).toBe(630);
  });
  it('a roll to order is begun again when one is full, first the longest sheets; levels are counted from each roll’s end', () => {
    const own = plan(
      orderOf(
        [film('new', 1000, 3000, { what: 'to order' })],
        Array.from({ length: 5 }, (_, index) => piece(`p${index}`, 900, 1000 + 100 * index)),
      ),
    );
    expect(own.uses.map(({ stockId, copy }) => `${stockId} ${copy}`)).toEqual(['new 0', 'new 1', 'new 2']);
    for (const { used_mm, placed } of own.uses) {
      expect(used_mm).toBeLessThanOrEqual(3000);
      expect(placed.map(({ level }) => level)).toEqual(placed.map((_, index) => index));
    }
  });
});

describe('what can the film not cost less than?', () => {
  const small = fc
    .record({
      sizes: fc.array(
        fc.record({
          across: fc.integer({ min: 200, max: 900 }),
          along: fc.integer({ min: 200, max: 1200 }),
          turn: fc.boolean(),
        }),
        { minLength: 1, maxLength: 6 },
      ),
      offcuts: fc.array(
        fc.record({
          width: fc.constantFrom(700, 914, 1220),
          length: fc.integer({ min: 500, max: 2000 }),
          whole: fc.integer({ min: 1, max: 15 }),
        }),
        { minLength: 1, maxLength: 3 },
      ),
      mode: fc.constantFrom('by hand' as const, 'by plotter' as const),
      stages: fc.constantFrom(2 as const, 3 as const),
      gap_mm: fc.constantFrom(0, 4),
    })
    .map(({ sizes, offcuts, ...more }) =>
      orderOf(
        [
          film('new', 1524, 1_000_000, { what: 'to order' }),
          ...offcuts.map(({ width, length, whole }, index) =>
            film(`o${index}`, width, length, { what: 'offcut', perMetre: 0, whole }),
          ),
        ],
        sizes.map(({ across, along, turn }, index) => piece(`p${index}`, across, along, { mayTurn90: turn })),
        more,
      ),
    );

  it('however pieces and offcuts fall out, no plan on the way costs less, and the bound only rises', () => {
    fc.assert(
      fc.property(small, (order) => {
        const bounds: number[] = [];
        let cheapest = Number.POSITIVE_INFINITY;
        const last = runThrough(
          planOrderSteps(order, { seed: 1, mostRounds: 400 }),
          () => false,
          ({ film: paid, filmBound }) => {
            cheapest = Math.min(cheapest, paid.value);
            bounds.push(filmBound.value);
          },
        );
        expect(Math.max(...bounds, last.filmBound.value)).toBeLessThanOrEqual(
          Math.min(cheapest, last.film.value) + 1e-6,
        );
        expect(last.filmBound.value).toBeGreaterThanOrEqual(
          Math.max(...bounds.map((own) => Math.min(own, last.film.value))) - 1e-6,
        );
      }),
      { numRuns: 15 },
    );
  });
  it('two panes, one of which lies on the offcut: 3 for it and 0.6 m of roll, proven to the penny', () => {
    const own = plan(
      orderOf(
        [
          film('new', 1000, 1_000_000, { what: 'to order', perMetre: 10 }),
          film('rest', 1000, 1000, { what: 'offcut', perMetre: 0, whole: 3 }),
        ],
        [piece('p', 600, 600), piece('q', 600, 600)],
        { rates: { ...RATES, perCrossCut: 0, perSlit: 0, perPiece: 0, keepShare: 0 } },
      ),
      200,
    );
    expect(own.film.value).toBeCloseTo(9, 6);
    expect(own.filmBound.value).toBeCloseTo(9, 6);
  });
  it('outlines that are no rectangles may lie in one another: for a plotter only their area is proven, by hand their boxes', () => {
    /**
     * Two right-angled triangles of 1 × 1 m make one square metre: 10 of film a metre wide, where two boxes
     * would say 20.
     */
    const triangle = [
      { x: 0, y: 0 },
      { x: 1000, y: 0 },
      { x: 0, y: 1000 },
    ];
    const pieces = ['p', 'q'].map((id) => piece(id, 1000, 1000, { outline: triangle }));
    const of = (mode: CutOrder['mode']): CutOrderPlan =>
      plan(orderOf([film('new', 1000, 1_000_000, { what: 'to order', perMetre: 10 })], pieces, { mode }));
    expect(of('by hand').filmBound.value).toBeCloseTo(20, 6);
    expect(of('by plotter').filmBound.value).toBeCloseTo(10, 6);
    expect(of('by plotter').stopped).not.toBe('optimal');
  });
  it('an offcut that is dear for what it holds does not lower what area proves; a cheap one does', () => {
    const box = [
      { x: 0, y: 0 },
      { x: 500, y: 0 },
      { x: 500, y: 800 },
      { x: 0, y: 1000 },
    ];
    const of = (whole: number): number =>
      plan(
        orderOf(
          [
            film('new', 1000, 1_000_000, { what: 'to order', perMetre: 10 }),
            film('o', 500, 1000, { what: 'offcut', perMetre: 0, whole }),
          ],
          [piece('p', 500, 1000, { outline: box })],
          { mode: 'by plotter' },
        ),
      ).filmBound.value;
    expect(of(50)).toBeCloseTo(0.45 * 10, 6);
    expect(of(2)).toBeCloseTo(0.45 * 4, 6);
  });
});
