import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  type CutOrder,
  type CutOrderPlan,
  type OrderPiece,
  type StockFilm,
  cutsFor,
  planOrderSteps,
  restsWorthKeeping,
} from '..';
import { ANY_STAGES, checkCuttable, runThrough } from '../../packing';

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
const plan = (order: CutOrder, mostRounds = 60): CutOrderPlan =>
  runThrough(
    planOrderSteps(order, { seed: 1, mostRounds }),
    () => false,
    () => undefined,
  );

/** Everything wrong with a plan, by a checker that shares nothing with the search. */
function faultsOf(
  { stocks, pieces, pinned, gap_mm, endWaste_mm, mostSheet_mm, mode, stages }: CutOrder,
  { uses, notLaid }: CutOrderPlan,
): readonly string[] {
  const faults: string[] = [];
  const seen = new Map<string, number>();
  for (const { stockId, placed, used_mm } of uses) {
    const stock = stocks.find(({ id }) => id === stockId);
    if (stock === undefined) {
      faults.push('unknown film');
      continue;
    }
    if (used_mm > stock.length_mm + 0.05) faults.push(`${stockId} used beyond its length`);
    for (const at of placed) {
      seen.set(at.id, (seen.get(at.id) ?? 0) + 1);
      const own = pieces.find(({ id }) => id === at.id);
      const [across, along] = at.turned ? [own?.along_mm, own?.across_mm] : [own?.across_mm, own?.along_mm];
      if (
        own === undefined ||
        Math.abs(at.across_mm - (across ?? 0)) > 0.051 ||
        Math.abs(at.along_mm - (along ?? 0)) > 0.051
      )
        faults.push(`${at.id} of another size`);
      if (at.turned && own?.mayTurn90 !== true) faults.push(`${at.id} turned`);
      if (
        at.x_mm < -0.05 ||
        at.x_mm + at.across_mm > stock.width_mm + 0.05 ||
        (at.y_mm < endWaste_mm - 0.05 && !pinned.some(({ id }) => id === at.id)) ||
        at.y_mm + at.along_mm > used_mm + 0.05
      )
        faults.push(`${at.id} outside`);
      for (const other of placed)
        if (
          other !== at &&
          at.x_mm < other.x_mm + other.across_mm + gap_mm - 0.05 &&
          other.x_mm < at.x_mm + at.across_mm + gap_mm - 0.05 &&
          at.y_mm < other.y_mm + other.along_mm + gap_mm - 0.05 &&
          other.y_mm < at.y_mm + at.along_mm + gap_mm - 0.05
        )
          faults.push(`${at.id} over ${other.id}`);
      const [atLeft, atRight] = [
        at.x_mm <= 0.11 && (stock.edges === 'both' || stock.edges === 'left'),
        stock.width_mm - at.x_mm - at.across_mm <= 0.11 &&
          (stock.edges === 'both' || stock.edges === 'right'),
      ];
      const wants = own?.wantsEdge === true && !atLeft && !atRight;
      if (wants) faults.push(`${at.id} not at an edge`);
    }
    if (mode === 'by hand' && pinned.length === 0 && checkCuttable(placed, stages).length > 0)
      faults.push('not cuttable');
    const levels = new Map<number, [number, number]>();
    for (const { level, y_mm, along_mm } of placed) {
      const [from, to] = levels.get(level) ?? [y_mm, y_mm];
      levels.set(level, [Math.min(from, y_mm), Math.max(to, y_mm + along_mm)]);
    }
    if (mode === 'by hand')
      for (const [from, to] of levels.values())
        if (to - from > mostSheet_mm + 0.1) faults.push('sheet too long');
  }
  for (const { id } of pieces)
    if ((seen.get(id) ?? 0) + (notLaid.includes(id) ? 1 : 0) !== 1)
      faults.push(`${id} there ${seen.get(id) ?? 0} times`);
  return faults;
}

const anyOrder = fc
  .record({
    widths: fc.array(fc.constantFrom(914, 1220, 1524), { minLength: 1, maxLength: 3 }),
    lengths: fc.array(fc.integer({ min: 400, max: 6000 }), { minLength: 3, maxLength: 3 }),
    toOrder: fc.boolean(),
    sizes: fc.array(
      fc.record({
        across: fc.integer({ min: 60, max: 1700 }),
        along: fc.integer({ min: 60, max: 2400 }),
        turn: fc.boolean(),
        edge: fc.boolean(),
      }),
      { minLength: 1, maxLength: 14 },
    ),
    gap_mm: fc.constantFrom(0, 3, 5.5),
    endWaste_mm: fc.constantFrom(0, 20),
    mostSheet_mm: fc.constantFrom(2500, Number.POSITIVE_INFINITY),
    stages: fc.constantFrom(2 as const, 3 as const, ANY_STAGES),
    mode: fc.constantFrom('by hand' as const, 'by plotter' as const),
    objective: fc.constantFrom('money' as const, 'length' as const),
  })
  .map(({ widths, lengths, toOrder, sizes, ...more }) =>
    orderOf(
      [
        ...widths.map((width, index) =>
          film(
            `r${index}`,
            width,
            lengths[index] ?? 1000,
            index === 2 ? { what: 'offcut', whole: 5, perMetre: 0 } : {},
          ),
        ),
        ...(toOrder ? [film('new', 1524, 30_000, { what: 'to order' })] : []),
      ],
      sizes.map(({ across, along, turn, edge }, index) =>
        piece(`p${index}`, across, along, { mayTurn90: turn, wantsEdge: edge && across < 700 }),
      ),
      more,
    ),
  );

describe('does a piece that must have a factory edge lie at one?', () => {
  it('on an offcut that keeps its right edge alone: 400 to 1000, not 0 to 600', () => {
    const [use] = plan(
      orderOf([film('o', 1000, 900, { edges: 'right' })], [piece('a', 600, 800, { wantsEdge: true })]),
    ).uses;
    expect(use?.placed.map(({ x_mm, across_mm }) => [x_mm, x_mm + across_mm])).toEqual([[400, 1000]]);
  });
  it('beside a pin of 900 at the left of 1830: 1230 to 1830', () => {
    const order = orderOf(
      [film('r', 1830, 800)],
      [piece('pin', 900, 800), piece('a', 600, 800, { wantsEdge: true })],
      { pinned: [{ id: 'pin', stockId: 'r', x_mm: 0, y_mm: 0, turned: false }] },
    );
    expect(plan(order).uses[0]?.placed.find(({ id }) => id === 'a')?.x_mm).toBe(1230);
  });
  const edged = fc.record({
    edges: fc.constantFrom('both' as const, 'left' as const, 'right' as const),
    width: fc.constantFrom(914, 1220, 1524),
    mode: fc.constantFrom('by hand' as const, 'by plotter' as const),
    sizes: fc.array(
      fc.record({
        across: fc.integer({ min: 200, max: 900 }),
        along: fc.integer({ min: 200, max: 1200 }),
        edge: fc.boolean(),
        turn: fc.boolean(),
      }),
      { minLength: 1, maxLength: 9 },
    ),
  });
  it('any order, whichever edges its film has kept, by hand and by plotter', () => {
    fc.assert(
      fc.property(edged, ({ edges, width, mode, sizes }) => {
        const order = orderOf(
          [film('r', width, 20_000, { edges })],
          sizes.map(({ across, along, edge, turn }, index) =>
            piece(`p${index}`, across, along, { mayTurn90: turn, ...(edge ? { wantsEdge: true } : {}) }),
          ),
          { mode },
        );
        expect(faultsOf(order, plan(order, 8))).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });
});

describe('does a patterned surface take no more film than its pattern wants?', () => {
  const drops = [1, 2, 3].map((drop) =>
    piece(`c${drop}`, 900, 736, { meets: { group: 'CT1', drop, cell_mm: 1000 } }),
  );
  const door = piece('d', 980, 2110);
  it('a door alone and three drops of 736 with a repeat of 1000: 2110 + 2 × 1000 + 736, the drops in hanging order a whole repeat apart, nothing called proven', () => {
    const {
      uses,
      stopped,
      filmBound,
      film: cost,
    } = plan(orderOf([film('r', 1220, 9000)], [door, ...drops], { objective: 'length' }));
    expect(uses[0]?.used_mm).toBeLessThanOrEqual(4846.1);
    const starts = drops.map(({ id }) => uses[0]?.placed.find((at) => at.id === id)?.y_mm ?? Number.NaN);
    expect([(starts[1] ?? 0) - (starts[0] ?? 0), (starts[2] ?? 0) - (starts[1] ?? 0)]).toEqual([1000, 1000]);
    expect(stopped).toBe('limit');
    expect(filmBound.value).toBeLessThanOrEqual(cost.value);
  });
  it('one that is pinned is not moved; the others keep their distance', () => {
    const order = orderOf([film('r', 1220, 9000)], [door, ...drops], {
      pinned: [{ id: 'c1', stockId: 'r', x_mm: 0, y_mm: 0, turned: false }],
    });
    const { uses, notLaid } = plan(order);
    expect(notLaid).toEqual([]);
    const at = (id: string): number => uses[0]?.placed.find((own) => own.id === id)?.y_mm ?? Number.NaN;
    expect([at('c1'), at('c3') - at('c2')]).toEqual([0, 1000]);
  });
});

describe('is every plan one that can be cut from what there is?', () => {
  it('any order: each piece once or named as without film; inside, apart by the gap, at its edge, in its stages, no sheet too long', () => {
    fc.assert(
      fc.property(anyOrder, (order) => {
        expect(faultsOf(order, plan(order, 12))).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });
  it('what lies on the film there is in levels, sheet behind sheet, is laid whole, whatever is saved: money or length', () => {
    const small = fc.array(
      fc.record({ across: fc.integer({ min: 60, max: 1200 }), along: fc.integer({ min: 60, max: 900 }) }),
      { minLength: 1, maxLength: 8 },
    );
    fc.assert(
      fc.property(
        small,
        fc.constantFrom('money' as const, 'length' as const),
        fc.constantFrom('by hand' as const, 'by plotter' as const),
        fc.integer({ min: 0, max: 40 }),
        (sizes, objective, mode, rounds) => {
          const pieces = sizes.map(({ across, along }, index) => piece(`p${index}`, across, along));
          const enough = sizes.reduce((sum, { along }) => sum + along, 0);
          const own = plan(orderOf([film('a', 1220, enough)], pieces, { objective, mode }), rounds);
          expect(own.notLaid).toEqual([]);
          expect(own.stopped).not.toBe('infeasible');
        },
      ),
      { numRuns: 80 },
    );
  });
  it('the same seed and rounds give the same plan', () => {
    const order = orderOf(
      [film('a', 1220, 9000), film('b', 1524, 9000)],
      Array.from({ length: 14 }, (_, index) =>
        piece(`p${index}`, 300 + 37 * index, 500 + 61 * (index % 5), { mayTurn90: true }),
      ),
    );
    expect(plan(order).uses).toEqual(plan(order).uses);
  });
  it('better ones come in order of cost, the film never below its bound', () => {
    const order = orderOf(
      [film('a', 1524, 30_000, { what: 'to order' })],
      Array.from({ length: 24 }, (_, index) =>
        piece(`p${index}`, 310 + 53 * (index % 7), 420 + 91 * (index % 6)),
      ),
    );
    const costs: number[] = [];
    const last = runThrough(
      planOrderSteps(order, { seed: 1, mostRounds: 80 }),
      () => false,
      ({ cost }) => {
        costs.push(cost.value);
      },
    );
    expect([...costs].sort((a, b) => b - a)).toEqual(costs);
    expect(last.film.value).toBeGreaterThanOrEqual(last.filmBound.value - 1e-6);
  });
});

describe('does it choose film as a careful owner would?', () => {
  it('an offcut that holds the piece is used before a new roll', () => {
    const { uses } = plan(
      orderOf(
        [
          film('new', 1524, 30_000, { what: 'to order', perMetre: 15 }),
          film('rest', 700, 1000, { what: 'offcut', perMetre: 0, whole: 3 }),
        ],
        [piece('a', 641, 904)],
      ),
    );
    expect(uses.map(({ stockId }) => stockId)).toEqual(['rest']);
  });
  it('a façade that fits on one lot is not split between two for a few pennies', () => {
    const pieces = ['a', 'b', 'c', 'd'].map((id) => piece(id, 1230, 2190, { group: 'front' }));
    const split = plan(
      orderOf(
        [
          film('old', 1524, 6800, { perMetre: 14, lot: 'L1' }),
          film('new', 1524, 30_000, { what: 'to order', perMetre: 14.2, lot: 'L2' }),
        ],
        pieces,
      ),
    );
    expect(split.splitGroups).toEqual([]);
    const forced = plan(
      orderOf([film('old', 1524, 6800, { lot: 'L1' }), film('other', 1524, 4500, { lot: 'L2' })], pieces),
    );
    expect(forced.splitGroups).toEqual(['front']);
  });
  it('two lots too short: what is left without film is named, the rest is laid', () => {
    const short = plan(
      orderOf(
        [film('a', 1524, 2300), film('b', 1524, 2300)],
        ['x', 'y', 'z'].map((id) => piece(id, 1230, 2190)),
      ),
    );
    expect(short.stopped).toBe('infeasible');
    expect(short.notLaid.length).toBe(1);
    expect(short.uses.length).toBe(2);
  });
  it('no film at all, and a piece wider than every roll: named', () => {
    expect(plan(orderOf([], [piece('a', 500, 500)])).notLaid).toEqual(['a']);
    expect(
      plan(
        orderOf(
          [film('r', 1220, 9000)],
          [piece('wide', 1300, 1400, { mayTurn90: true }), piece('b', 500, 500)],
        ),
      ).notLaid,
    ).toEqual(['wide']);
  });
  it('a roll to order is as long as rolls come: 12 sheets of 2.9 m need two of 30 m', () => {
    const { uses } = plan(
      orderOf(
        [film('new', 1524, 30_000, { what: 'to order' })],
        Array.from({ length: 12 }, (_, index) => piece(`p${index}`, 1500, 2900)),
      ),
    );
    expect(uses.map(({ copy, placed }) => [copy, placed.length])).toEqual([
      [0, 10],
      [1, 2],
    ]);
  });
  it('more widths or more offcuts never cost more after enough rounds', () => {
    const pieces = Array.from({ length: 12 }, (_, index) =>
      piece(`p${index}`, 350 + 71 * (index % 5), 700 + 130 * (index % 4)),
    );
    const one = plan(orderOf([film('a', 1524, 30_000, { what: 'to order' })], pieces), 300);
    const both = plan(
      orderOf(
        [film('a', 1524, 30_000, { what: 'to order' }), film('b', 1220, 30_000, { what: 'to order' })],
        pieces,
      ),
      300,
    );
    expect(both.cost.value).toBeLessThanOrEqual(one.cost.value * 1.01);
  });
});

describe('is film left alone that only seems cheap?', () => {
  it('a façade of four that a cheap offcut would split: all on one new roll, as cutting all of it from that roll alone shows', () => {
    const side = [1, 2, 3, 4].map((at) =>
      piece(`p${at}`, 904.3, 640.9, { mayTurn90: true, likesEdge: true, group: 'side' }),
    );
    const bought = [914, 1220, 1524].map((width) =>
      film(`new ${width}`, width, 30_000, { what: 'to order', lot: 'new' }),
    );
    const offcut = film('o', 700, 2400, { what: 'offcut', perMetre: 0, whole: 4.8, edges: 'none' });
    for (const mode of ['by hand', 'by plotter'] as const) {
      const found = plan(orderOf([offcut, ...bought], side, { mode, gap_mm: 3 }), 60);
      expect(found.splitGroups).toEqual([]);
      expect(found.film.value).toBeCloseTo((2572.6 * 9.14) / 1000, 3);
    }
  });
});

describe('do pinned pieces stay?', () => {
  const stocks = [film('r', 1524, 9000)];
  const pieces = [piece('a', 600, 1000), piece('b', 600, 800), piece('c', 500, 700), piece('d', 1400, 500)];
  it('at their place to the tenth of a millimetre, the rest laid between and beside them', () => {
    const order = orderOf(stocks, pieces, {
      pinned: [{ id: 'b', stockId: 'r', x_mm: 700.5, y_mm: 1200.3, turned: false }],
    });
    const found = plan(order);
    expect(found.uses[0]?.placed.find(({ id }) => id === 'b')).toMatchObject({ x_mm: 700.5, y_mm: 1200.3 });
    expect(faultsOf(order, found)).toEqual([]);
  });
  it('all pinned and two overlapping, beyond the film, turned against the grain, unknown: refused by name', () => {
    const pins = (...at: readonly (readonly [string, number, number, boolean?])[]) =>
      at.map(([id, x_mm, y_mm, turned = false]) => ({ id, stockId: 'r', x_mm, y_mm, turned }));
    expect(() => plan(orderOf(stocks, pieces, { pinned: pins(['a', 0, 0], ['b', 500, 500]) }))).toThrow(
      /CUTTING_PIN at pinned.b: .* overlaps a/,
    );
    expect(() => plan(orderOf(stocks, pieces, { pinned: pins(['d', 200, 0]) }))).toThrow(/reaches beyond/);
    expect(() => plan(orderOf(stocks, pieces, { pinned: pins(['a', 0, 0, true]) }))).toThrow(/direction/);
    expect(() => plan(orderOf(stocks, pieces, { pinned: pins(['q', 0, 0]) }))).toThrow(/unknown piece/);
  });
  it('on the second of the rolls to order, at the very place another has on the first: both stay, the rest goes round them', () => {
    const order = orderOf(
      [film('new', 1524, 2600, { what: 'to order' })],
      [...pieces, ...pieces.map((own) => ({ ...own, id: `${own.id}2` }))],
      {
        endWaste_mm: 20,
        pinned: [
          { id: 'a', stockId: 'new', x_mm: 100, y_mm: 300, turned: false },
          { id: 'a2', stockId: 'new', copy: 1, x_mm: 100, y_mm: 300, turned: false },
        ],
      },
    );
    const found = plan(order);
    expect(faultsOf(order, found)).toEqual([]);
    expect(found.notLaid).toEqual([]);
    expect(
      ['a', 'a2'].map((id) => {
        const use = found.uses.find(({ placed }) => placed.some((own) => own.id === id));
        return [
          use?.copy,
          use?.placed.find((own) => own.id === id)?.x_mm,
          use?.placed.find((own) => own.id === id)?.y_mm,
        ];
      }),
    ).toEqual([
      [0, 100, 300],
      [1, 100, 300],
    ]);
  });
  it('wherever they are pinned, on stock or on rolls to order, every piece is there once and none lies over another', () => {
    const pins = fc.array(
      fc.record({
        stockId: fc.constantFrom('r', 'new'),
        copy: fc.integer({ min: 0, max: 2 }),
        x_mm: fc.integer({ min: 0, max: 900 }),
        y_mm: fc.integer({ min: 20, max: 1900 }),
      }),
      { minLength: 1, maxLength: 4 },
    );
    fc.assert(
      fc.property(
        pins,
        fc.constantFrom(0, 3),
        fc.constantFrom('by hand' as const, 'by plotter' as const),
        (at, gap_mm, mode) => {
          const order = orderOf(
            [film('r', 1524, 4000), film('new', 1524, 3000, { what: 'to order' })],
            [...pieces, piece('e', 300, 900), piece('f', 450, 620)],
            {
              gap_mm,
              endWaste_mm: 20,
              mode,
              pinned: at.map((pin, index) => ({
                ...pin,
                id: ['a', 'b', 'c', 'e'][index] ?? 'f',
                copy: pin.stockId === 'r' ? 0 : pin.copy,
                turned: false,
              })),
            },
          );
          const isApart = order.pinned.every((one, index) =>
            order.pinned
              .slice(index + 1)
              .every(
                (other) =>
                  one.stockId !== other.stockId ||
                  one.copy !== other.copy ||
                  Math.abs(one.x_mm - other.x_mm) > 700 ||
                  Math.abs(one.y_mm - other.y_mm) > 1100,
              ),
          );
          fc.pre(isApart);
          const found = plan(order, 6);
          expect(faultsOf(order, found)).toEqual([]);
          for (const pin of order.pinned)
            expect(
              found.uses
                .find(({ stockId, copy }) => stockId === pin.stockId && copy === pin.copy)
                ?.placed.find(({ id }) => id === pin.id),
            ).toMatchObject({ x_mm: pin.x_mm, y_mm: pin.y_mm });
        },
      ),
      { numRuns: 40 },
    );
  });
  it('two of stock and one beyond the length a roll comes in are refused by name', () => {
    expect(() =>
      plan(
        orderOf(stocks, pieces, {
          pinned: [{ id: 'a', stockId: 'r', copy: 1, x_mm: 0, y_mm: 0, turned: false }],
        }),
      ),
    ).toThrow(/pinned.a.copy: .*there is one of this film/);
    expect(() =>
      plan(
        orderOf([film('new', 1524, 900, { what: 'to order' })], [piece('a', 600, 1000)], {
          pinned: [{ id: 'a', stockId: 'new', x_mm: 0, y_mm: 0, turned: false }],
        }),
      ),
    ).toThrow(/inside the film/);
  });
  it('a nested pair pinned as it lies stays nested: in one another’s rectangles, half turned; one that lies over it is refused', () => {
    const outline = [
      { x: 0, y: 0 },
      { x: 600, y: 800 },
      { x: 0, y: 800 },
    ];
    const wedges = ['p', 'q', 'r'].map((id) => piece(id, 600, 800, { outline, mayFlip: true }));
    const order = orderOf([film('new', 1524, 9000, { what: 'to order' })], wedges.slice(0, 2), {
      mode: 'by plotter',
    });
    const nested = plan(order).uses[0]?.placed ?? [];
    expect(nested.some(({ flipped }) => flipped === true)).toBe(true);
    const pinned = nested.map(({ id, x_mm, y_mm, turned, flipped }) => ({
      id,
      stockId: 'new',
      x_mm,
      y_mm,
      turned,
      flipped,
    }));
    expect(
      plan({ ...order, pinned })
        .uses[0]?.placed.map(({ id, x_mm, y_mm, flipped = false }) => [id, x_mm, y_mm, flipped])
        .sort(),
    ).toEqual(nested.map(({ id, x_mm, y_mm, flipped = false }) => [id, x_mm, y_mm, flipped]).sort());
    expect(() =>
      plan({
        ...order,
        pieces: wedges,
        pinned: [...pinned, { id: 'r', stockId: 'new', x_mm: 30, y_mm: 30, turned: false }],
      }),
    ).toThrow(/CUTTING_PIN at pinned.r: .* overlaps/);
  });
  it.each([
    ['a negative length', { stocks: [film('r', 1524, -1)] }, /stocks.r.length_mm/],
    ['a width of 9 m', { stocks: [film('r', 9000, 10)] }, /stocks.r.width_mm/],
    ['a piece of 0 mm', { pieces: [piece('a', 0, 5)] }, /pieces.a.across_mm/],
    ['a piece of NaN', { pieces: [piece('a', Number.NaN, 5)] }, /pieces.a.across_mm/],
    ['an id twice', { pieces: [piece('a', 5, 5), piece('a', 5, 5)] }, /CUTTING_ID_TWICE/],
    ['a gap of 1 m', { gap_mm: 1000 }, /gap_mm/],
  ])('%s is refused by field', (_name, more, says) => {
    expect(() => plan({ ...orderOf(stocks, pieces), ...more })).toThrow(says);
  });
  it('50,001 pieces are refused, 2,000 have a first plan', () => {
    expect(() =>
      plan(
        orderOf(
          stocks,
          Array.from({ length: 50_001 }, (_, index) => piece(`p${index}`, 100, 100)),
        ),
      ),
    ).toThrow(/50000/);
    const many = orderOf(
      [film('new', 1524, 1_000_000, { what: 'to order' })],
      Array.from({ length: 2000 }, (_, index) =>
        piece(`p${index}`, 300 + (index % 40) * 10, 400 + (index % 7) * 100),
      ),
    );
    expect(plan(many, 0).notLaid).toEqual([]);
  });
});

describe('do the cuts of the sheet free every piece?', () => {
  it('each exactly once, in order along the roll, every reading inside the film', () => {
    fc.assert(
      fc.property(
        anyOrder.filter(({ mode }) => mode === 'by hand'),
        (order) => {
          for (const { stockId, placed } of plan(order, 5).uses) {
            const width = order.stocks.find(({ id }) => id === stockId)?.width_mm ?? 0;
            const cuts = cutsFor(placed, width, order.endWaste_mm);
            expect(cuts).toBeDefined();
            const freed = (cuts ?? []).flatMap(({ frees }) => frees);
            expect([...freed].sort()).toEqual(placed.map(({ id }) => id).sort());
            for (const { at_mm, how } of cuts ?? [])
              expect(
                at_mm > 0 &&
                  (how === 'slit' || how === 'slit piece' || how === 'trim' ? at_mm <= width + 0.05 : true),
              ).toBe(true);
          }
        },
      ),
      { numRuns: 30 },
    );
  });
  it('two stacks of two pieces: the sheet, two slits, the pieces, in that order', () => {
    const at = (id: string, x_mm: number, y_mm: number, across_mm: number, along_mm: number) => ({
      id,
      x_mm,
      y_mm,
      across_mm,
      along_mm,
      turned: false,
      level: 0,
    });
    const cuts = cutsFor(
      [at('a', 0, 20, 600, 500), at('b', 0, 520, 600, 480), at('c', 600, 20, 700, 1000)],
      1524,
      20,
    );
    expect(cuts?.map(({ how, at_mm, frees }) => [how, at_mm, frees.join()])).toEqual([
      ['square the end', 20, ''],
      ['cross-cut', 1000, ''],
      ['slit', 600, ''],
      ['cross-cut piece', 500, 'a'],
      ['cross-cut piece', 980, 'b'],
      ['slit', 1300, 'c'],
    ]);
    expect(cuts?.find(({ how }) => how === 'cross-cut')?.running_mm).toBe(1020);
  });
  it('a part that holds several pieces is slit and cut across in its turn, read from its own end and left edge', () => {
    const at = (id: string, x_mm: number, y_mm: number, across_mm: number, along_mm: number) => ({
      id,
      x_mm,
      y_mm,
      across_mm,
      along_mm,
      turned: false,
      level: 0,
    });
    const cuts = cutsFor(
      [
        at('a', 0, 0, 900, 300),
        at('b', 0, 300, 500, 600),
        at('c', 500, 300, 400, 250),
        at('d', 500, 550, 400, 350),
        at('e', 900, 0, 624, 900),
      ],
      1524,
      0,
    );
    expect(cuts?.map(({ how, at_mm, from, frees }) => [how, at_mm, from, frees.join()])).toEqual([
      ['cross-cut', 900, 'roll end', ''],
      ['slit', 900, 'left edge', 'e'],
      ['cross-cut piece', 300, 'sheet end', 'a'],
      ['slit piece', 500, 'part left edge', 'b'],
      ['cross-cut piece', 250, 'part end', 'c,d'],
    ]);
  });
  it('a pinwheel has no straight cuts', () => {
    const wheel = [
      [0, 0, 200, 100],
      [200, 0, 100, 200],
      [100, 200, 200, 100],
      [0, 100, 100, 200],
      [100, 100, 100, 100],
    ].map(([x_mm = 0, y_mm = 0, across_mm = 0, along_mm = 0], index) => ({
      id: String(index),
      x_mm,
      y_mm,
      across_mm,
      along_mm,
      turned: false,
      level: 0,
    }));
    expect(cutsFor(wheel, 300, 0)).toBeUndefined();
  });
  it('what is left beside a sheet is kept from 200 × 500 mm on, with its factory edge', () => {
    const one = { id: 'a', x_mm: 0, y_mm: 0, across_mm: 1230, along_mm: 2190, turned: false, level: 0 };
    expect(restsWorthKeeping([one], 1524, 200, 500)).toEqual([
      { x_mm: 1230, y_mm: 0, width_mm: 294, length_mm: 2190, hasRightEdge: true },
    ]);
    expect(restsWorthKeeping([one], 1400, 200, 500)).toEqual([]);
  });
});
