import { signal } from '@angular/core';
import { describe, expect, it, jest } from '@jest/globals';
import type { StockItem } from '@yellow-pane/contracts';
import { type CutOrder, planOrderSteps } from '@yellow-pane/core/cutting';
import { lengthBound, runThrough } from '@yellow-pane/core/packing';
import { DEMO_ROLLS, EXAMPLE_FILMS, demoOps } from '@yellow-pane/demo';
import { patchState } from '@ngrx/signals';
import { unprotected } from '@ngrx/signals/testing';
import { Stock } from '../../catalogue/stock';
import { api } from '../../server/api';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { Selection } from '../../shell/selection';
import { openJob } from '../../testing/open-job';
import { LayoutPool } from '../../workers/layout-pool';
import { Cutting } from './cutting';
import { FilmTrials } from './film-trials';
import { PlanWork } from './plan-work';
import { WholeJob } from './whole-job';

const DEMO = demoOps();
const ROUNDS = 25;
const searched = (order: CutOrder, onBetter: (plan: never) => void = () => undefined) =>
  runThrough(planOrderSteps(order, { seed: 1, mostRounds: ROUNDS }), () => false, onBetter as () => void);

/**
 * The Cut stop before a surface of the demo, with the demo's stock; the search runs here instead of in a
 * worker.
 */
function standing(tag: string, films = EXAMPLE_FILMS) {
  const chosen = signal(tag);
  /** What a person does while a layout is looked for. */
  let during = (): void => undefined;
  const job = openJob(DEMO, films, [
    {
      provide: Selection,
      useFactory: (reading: JobReading) => ({
        surface: () => reading.surfaces().find((own) => own.tag === chosen()),
      }),
      deps: [JobReading],
    },
    {
      provide: LayoutPool,
      useValue: {
        plan: (order: CutOrder, { onBetter }: { onBetter: () => void }) =>
          new Promise((done) => {
            const found = searched(order, onBetter);
            during();
            done(found);
          }),
        planEach: (orders: readonly CutOrder[]) => Promise.resolve(orders.map((order) => searched(order))),
        bound: (request: Parameters<typeof lengthBound>[0]) =>
          Promise.resolve(lengthBound(request).bound_mm.value),
      },
    },
  ]);
  const items = DEMO_ROLLS.map(({ id, roll }): StockItem => ({
    ...roll,
    id,
    left_nm: roll.length_nm,
    spokenFor: [],
    parentId: null,
    jobId: null,
    version: 1,
  }));
  patchState(unprotected(job.get(Stock)), { items, status: 'here' });
  /** What the server answers when it is asked for the stock. */
  let answered: readonly StockItem[] = items;
  jest.spyOn(api, 'stock').mockImplementation(() => Promise.resolve(answered));
  const [cutting, whole, trials, work, desk, reading] = [
    job.get(Cutting),
    job.get(WholeJob),
    job.get(FilmTrials),
    job.get(PlanWork),
    job.get(JobDesk),
    job.get(JobReading),
  ];
  const pieceOf = (own: string) => {
    const found = cutting.pieces().find((piece) => piece.tag === own && piece.spoiledAt === null);
    if (found === undefined) throw new Error(own);
    return found;
  };
  const rollOf = (own: string) => {
    const found = cutting.rolls().find(({ id }) => id === pieceOf(own).rollId);
    if (found === undefined) throw new Error(own);
    return found;
  };
  /** A second roll to order, with nothing on it yet. */
  const addRoll = () => {
    const [roll] = cutting.rolls();
    if (roll === undefined) throw new Error('nothing laid');
    desk.do('another roll', [
      desk.put('cutRoll', {
        planId: roll.planId,
        stockId: null,
        what: 'to order',
        label: 'new 2',
        lot: '',
        width_nm: roll.width_nm,
        length_nm: roll.length_nm,
        used_nm: 0,
        leftEdge: true,
        rightEdge: true,
        position: cutting.rolls().length,
        ticks: [],
        bookedAt: null,
      }),
    ]);
    return { from: roll, to: cutting.rolls().find(({ id }) => id !== roll.id) ?? roll };
  };
  return {
    whileSearching: (does: () => void) => {
      during = does;
    },
    stockSays: (of: (items: readonly StockItem[]) => readonly StockItem[]) => {
      answered = of(answered);
    },
    cutting,
    whole,
    trials,
    work,
    desk,
    reading,
    pieceOf,
    rollOf,
    addRoll,
    goTo: (own: string) => {
      chosen.set(own);
    },
  };
}

describe('is the film of the surface in hand laid out?', () => {
  it('a layout that fails never takes the place of one that holds; why is said', async () => {
    const { cutting } = standing('SW1');
    await cutting.layOut();
    const pieces = cutting.pieces();
    cutting.mostSheet_nm.set(1_000 * 1e6);
    await cutting.layOut();
    expect(cutting.pieces()).toEqual(pieces);
    expect(cutting.fault()).toMatch(/longer than the longest sheet .* is kept/);
  });
  it('every blank of its film once, on stock and what is to be ordered, never below what film can cost', async () => {
    const { cutting } = standing('SW1');
    await cutting.layOut();
    expect(cutting.fault()).toBeUndefined();
    expect(
      cutting
        .pieces()
        .map(({ applicationId, drop }) => `${applicationId} ${drop}`)
        .sort(),
    ).toEqual(
      cutting
        .blanks()
        .map(({ key }) => key)
        .sort(),
    );
    expect(cutting.notLaid()).toEqual([]);
    const plan = cutting.plan();
    expect(plan?.filmCost).toBeGreaterThanOrEqual((plan?.filmBound ?? Infinity) - 0.01);
    expect(new Set(cutting.rolls().map(({ what }) => what)).size).toBeGreaterThan(0);
  });
  it('no piece leaves its roll, and each keeps the size of its blank, turned or not', async () => {
    const { cutting } = standing('WL1');
    await cutting.layOut();
    for (const piece of cutting.pieces()) {
      const roll = cutting.rolls().find(({ id }) => id === piece.rollId);
      expect(piece.x_nm).toBeGreaterThanOrEqual(0);
      expect(piece.x_nm + piece.across_nm).toBeLessThanOrEqual((roll?.width_nm ?? 0) + 1000);
      expect(piece.y_nm + piece.along_nm).toBeLessThanOrEqual(Math.max(roll?.used_nm ?? 0, 0) + 1000);
    }
  });
  it('is one change: undone, nothing of it is left', async () => {
    const { cutting, desk } = standing('A-S1');
    await cutting.layOut();
    expect(cutting.pieces().length).toBeGreaterThan(3);
    desk.undo();
    expect([cutting.plan(), cutting.pieces(), cutting.rolls()]).toEqual([undefined, [], []]);
  });
  it('going to a surface with another film takes that film in hand; its plan is its own', async () => {
    const { cutting, goTo } = standing('SW1');
    await cutting.layOut();
    const first = cutting.plan()?.id;
    goTo('DR1');
    expect(cutting.plan()).toBeUndefined();
    goTo('SW1');
    expect(cutting.plan()?.id).toBe(first);
  });
  it('a plotter wants 3 mm between pieces; back to cutting by hand none', () => {
    const { cutting } = standing('SW1');
    cutting.chooseMode('by plotter');
    expect(cutting.gap_nm()).toBe(3_000_000);
    cutting.chooseMode('by hand');
    expect(cutting.gap_nm()).toBe(0);
  });
  it('without any film to use it says what is short, and keeps no plan that leaves pieces out silently', async () => {
    const { cutting } = standing('SW1');
    cutting.leaveOut(
      new Set([
        ...cutting.items().map(({ id }) => id),
        ...(cutting.film()?.widths_nm ?? []).map((width) => `order ${width}`),
      ]),
    );
    await cutting.layOut();
    expect(cutting.fault()).toBeDefined();
    expect(cutting.notLaid().length).toBe(cutting.blanks().length);
  });
});

describe('does what a person did to the plan stay?', () => {
  it('a piece that was moved is pinned, and stays where it is when the rest is laid anew', async () => {
    const { cutting, work, pieceOf } = standing('A-S1');
    await cutting.layOut();
    const piece = pieceOf('A-S1');
    work.move(piece, piece.x_nm, piece.y_nm);
    expect(pieceOf('A-S1').pinned).toBe(true);
    await cutting.layOut();
    expect(pieceOf('A-S1')).toMatchObject({ x_nm: piece.x_nm, y_nm: piece.y_nm, pinned: true });
    expect(cutting.notLaid()).toEqual([]);
  });
  it('what is cut never moves: after all of a roll is booked, a new layout keeps it and lays only what is left', async () => {
    const { cutting, work, pieceOf, rollOf, desk } = standing('SW1');
    await cutting.layOut();
    const roll = rollOf('SW1');
    const onIt = cutting.pieces().filter(({ rollId }) => rollId === roll.id);
    work.bookCut(roll);
    expect(cutting.isBegun(rollOf('SW1'))).toBe(true);
    expect(onIt.every(({ tag }) => pieceOf(tag).cutAt !== null)).toBe(true);
    await cutting.layOut();
    for (const { tag, x_nm, y_nm } of onIt)
      expect(pieceOf(tag)).toMatchObject({ x_nm, y_nm, rollId: roll.id });
    expect(desk.canUndo()).toContain('laid out');
  });
  it('booking takes the length off the stock and makes offcuts with labels, in one change that can be undone', async () => {
    const { cutting, work, rollOf, reading, desk } = standing('SW1');
    await cutting.layOut();
    const roll = rollOf('SW1');
    work.bookCut(roll);
    if (roll.stockId !== null)
      expect(reading.takes()).toMatchObject([
        { stockId: roll.stockId, length_nm: roll.used_nm, reason: 'cut' },
      ]);
    for (const { label, width_nm, length_nm } of reading.offcuts()) {
      expect(label).toMatch(/-[a-z]/);
      expect(width_nm).toBeGreaterThanOrEqual(cutting.rates().keepWidth_mm * 1e6 - 1);
      expect(length_nm).toBeGreaterThanOrEqual(cutting.rates().keepLength_mm * 1e6 - 1);
    }
    desk.undo();
    expect([reading.takes(), reading.offcuts(), rollOf('SW1').bookedAt]).toEqual([[], [], null]);
  });
  it('a spoiled piece waits for film again, and the next layout finds a place for it alone', async () => {
    const { cutting, work, pieceOf, rollOf } = standing('SW1');
    await cutting.layOut();
    const before = cutting.pieces().length;
    work.bookCut(rollOf('SW1'));
    const spoiled = pieceOf('SW1');
    work.spoil(spoiled);
    expect(cutting.notLaid().map(({ word }) => word)).toEqual(['SW1']);
    await cutting.layOut();
    expect(cutting.notLaid()).toEqual([]);
    expect(pieceOf('SW1').id).not.toBe(spoiled.id);
    expect(cutting.pieces().filter(({ spoiledAt }) => spoiledAt === null).length).toBe(before);
  });
  it('a measure changed after cutting is an alarm, before cutting only a stale plan', async () => {
    const { cutting, work, rollOf, reading, desk } = standing('SW1');
    await cutting.layOut();
    const surface = reading.surfaces().find(({ tag }) => tag === 'SW1');
    const measure = reading
      .measuresOf(surface?.id ?? '')
      .find(({ fromPoint, toPoint }) => fromPoint === 'tl' && toPoint === 'tr');
    const remeasure = (by_nm: number) => {
      desk.do('measured again', [
        desk.set('measure', measure?.id ?? '', { value_nm: (measure?.value_nm ?? 0) + by_nm }),
      ]);
    };
    remeasure(4e6);
    expect([cutting.stale(), cutting.cutStale()]).toEqual([['SW1'], []]);
    remeasure(0);
    work.bookCut(rollOf('SW1'));
    remeasure(4e6);
    expect(cutting.cutStale()).toEqual(['SW1']);
  });
  it('pieces pinned on the second of two rolls to order stay on it when the rest is laid anew', async () => {
    const { cutting, work, addRoll } = standing('SW1');
    cutting.leaveOut(new Set(cutting.items().map(({ id }) => id)));
    await cutting.layOut();
    const [first, second] = cutting.pieces();
    if (first === undefined || second === undefined) throw new Error('nothing laid');
    expect(work.moveTo(second, addRoll().to)).toBeUndefined();
    work.pin([first], true);
    const places = () =>
      ['first', 'second'].map((_, index) => {
        const own = cutting
          .pieces()
          .find(
            ({ applicationId, drop }) =>
              applicationId === [first, second][index]?.applicationId &&
              drop === [first, second][index]?.drop,
          );
        return [own?.x_nm, own?.y_nm, own?.pinned];
      });
    const before = places();
    await cutting.layOut();
    expect(cutting.fault()).toBeUndefined();
    expect(places()).toEqual(before);
    expect(
      new Set(
        cutting
          .pieces()
          .filter(({ pinned }) => pinned)
          .map(({ rollId }) => rollId),
      ).size,
    ).toBe(2);
  });
  it('a piece moved to another roll lies free and pinned there; both lengths follow, and it is one change', async () => {
    const { cutting, work, desk, addRoll } = standing('SW1');
    await cutting.layOut();
    const { from, to } = addRoll();
    const [piece, next] = cutting.pieces();
    if (piece === undefined || next === undefined) throw new Error('nothing laid');
    const before = [cutting.plan()?.lengthUsed_nm, from.used_nm, 0];
    expect(work.moveTo(next, to)).toBeUndefined();
    expect(work.moveTo(piece, to)).toBeUndefined();
    const moved = cutting.pieces().find(({ id }) => id === piece.id);
    expect(moved).toMatchObject({ rollId: to.id, pinned: true });
    for (const { id, rollId, x_nm, y_nm, across_nm, along_nm } of cutting.pieces()) {
      if (moved === undefined || id === piece.id || rollId !== to.id) continue;
      expect(
        x_nm >= moved.x_nm + moved.across_nm - 60_000 ||
          moved.x_nm >= x_nm + across_nm - 60_000 ||
          y_nm >= moved.y_nm + moved.along_nm - 60_000 ||
          moved.y_nm >= y_nm + along_nm - 60_000,
      ).toBe(true);
    }
    expect(cutting.plan()?.lengthUsed_nm).toBe(
      cutting.rolls().reduce((sum, { used_nm }) => sum + used_nm, 0),
    );
    expect(cutting.plan()?.bound_nm).toBe(0);
    expect(cutting.plan()?.filmCost).toBeCloseTo(
      cutting.rolls().reduce((sum, roll) => sum + cutting.filmOf(roll, roll.used_nm), 0),
      1,
    );
    desk.undo();
    desk.undo();
    expect([
      cutting.plan()?.lengthUsed_nm,
      ...cutting
        .rolls()
        .slice(0, 2)
        .map(({ used_nm }) => used_nm),
    ]).toEqual(before);
  });
  it('film with a direction may not be turned, and it says why', async () => {
    const { cutting, work, pieceOf } = standing('DR1');
    await cutting.layOut();
    expect(cutting.film()?.direction).not.toBe('none');
    expect(work.turn(pieceOf('DR1'))).toBe('DR1 may not be turned: the film has a direction.');
  });
  it('what is refused stands by its piece, and is gone when another is picked or any has moved', async () => {
    const { cutting, work, pieceOf } = standing('SW1');
    await cutting.layOut();
    const [first, other] = [pieceOf('SW1'), pieceOf('SW2')];
    cutting.pickedId.set(first.id);
    cutting.refuse(first.id, 'No room.');
    expect(cutting.refusal()).toMatchObject({ pieceId: first.id, says: 'No room.' });
    cutting.pickedId.set(other.id);
    expect(cutting.refusal()).toBeUndefined();
    cutting.pickedId.set(first.id);
    work.pin([other], true);
    expect([cutting.refusal(), cutting.fault()]).toEqual([undefined, undefined]);
  });
});

describe('which roll to buy, and what would one more cost?', () => {
  it('each width is tried with the stock, two widths where both are used; one is the cheapest of all', async () => {
    const { trials } = standing('SW1');
    const tried = await trials.compare(new AbortController().signal);
    expect(tried.map(({ widths_nm }) => widths_nm.length)).toContain(0);
    const singles = tried.filter(({ widths_nm }) => widths_nm.length === 1);
    expect(new Set(singles.map(({ widths_nm }) => widths_nm[0])).size).toBeGreaterThan(1);
    for (const { widths_nm, plan } of tried.filter((own) => own.widths_nm.length > 1)) {
      const used = plan.uses.map(({ stockId }) => stockId);
      expect(widths_nm.every((width_nm) => used.includes(`order ${width_nm}`))).toBe(true);
    }
  });
  it('a wall is seamed anew for each width, and the seams are counted: 2.96 m on rolls of 1000 and 1370', async () => {
    const inTwoWidths = EXAMPLE_FILMS.map((own) => ({
      ...own,
      film: { ...own.film, widths_nm: [1000e6, 1370e6] },
    }));
    const { trials, cutting, reading } = standing('WL1', inTwoWidths);
    const tried = await trials.compare(new AbortController().signal);
    const of = (width_nm: number) =>
      tried.filter(({ widths_nm }) => widths_nm.length === 1 && widths_nm[0] === width_nm);
    const drops = (width_nm: number) => of(width_nm).map(({ seams }) => seams.count + 1);
    const whole = cutting.blanks()[0]?.blanks.whole.width_mm.value ?? 0;
    expect(whole).toBeGreaterThan(1370);
    expect(drops(1000e6)).toEqual([Math.ceil(whole / 1000)]);
    expect(drops(1370e6)).toEqual([Math.ceil(whole / 1370)]);
    const [narrow] = of(1000e6);
    if (narrow === undefined) throw new Error('not tried');
    await trials.take(narrow);
    const laid = reading.piecesOf(cutting.plan()?.id ?? '');
    expect(laid).toHaveLength(narrow.plan.uses.reduce((sum, { placed }) => sum + placed.length, 0));
    expect(Math.max(...laid.map(({ across_nm }) => across_nm))).toBeLessThanOrEqual(1000e6);
    expect(cutting.rolls().map(({ width_nm }) => width_nm)).toEqual([1000e6]);
  });
  it('two more panes add film for two, and are not in the plan', async () => {
    const { cutting, trials } = standing('SW1');
    const answer = await trials.whatIf(600, 900, 2, new AbortController().signal);
    expect(answer?.after.cost.value ?? 0).toBeGreaterThan(answer?.before.cost.value ?? Infinity);
    expect(cutting.plan()).toBeUndefined();
  });
});

describe('is film promised that is gone?', () => {
  const R14 = (cutting: Cutting) => cutting.items().find(({ label }) => label === 'R-14');
  it('booked, a roll offers what is left of it at once, and the offcut that fell off; taken back it offers all again', async () => {
    const { cutting, work, desk, rollOf, pieceOf } = standing('SW1');
    await cutting.layOut();
    const before = R14(cutting)?.left_nm ?? 0;
    const roll = rollOf('SW2');
    expect(roll.label).toBe('R-14');
    work.bookCut(roll);
    expect(R14(cutting)?.left_nm ?? 0).toBe(before - roll.used_nm);
    const made = Object.values(desk.view().offcut.entities).map((row) => row?.label);
    expect(
      cutting
        .items()
        .filter(({ what, jobId }) => what === 'offcut' && jobId !== null)
        .map(({ label }) => label)
        .sort(),
    ).toEqual([...made].sort());
    work.spoil(pieceOf('SW2'));
    await cutting.layOut();
    const again = cutting.pieces().find(({ tag, spoiledAt }) => tag === 'SW2' && spoiledAt === null);
    const on = cutting.rolls().find(({ id }) => id === again?.rollId);
    expect(on?.id).not.toBe(roll.id);
    expect(
      (on?.used_nm ?? Infinity) <=
        (on?.what === 'to order'
          ? Infinity
          : (cutting.items().find(({ id }) => id === on?.stockId)?.left_nm ?? 0)),
    ).toBe(true);
  });
  it('before every layout the server is asked: what somebody else has cut meanwhile is not laid on', async () => {
    const { cutting, stockSays } = standing('SW1');
    stockSays((items) =>
      items.map((item) => (item.label === 'R-14' ? { ...item, left_nm: 640_000_000 } : item)),
    );
    await cutting.layOut();
    for (const roll of cutting.rolls())
      if (roll.label === 'R-14') expect(roll.used_nm).toBeLessThanOrEqual(640_000_000);
    expect(R14(cutting)?.left_nm).toBe(640_000_000);
  });
});

describe('does a layout go to the film it was made for?', () => {
  it('another surface is looked at while it is laid out: the pieces are of the film that was asked for', async () => {
    const { cutting, reading, goTo, whileSearching } = standing('SW1');
    const filmId = cutting.filmId();
    whileSearching(() => {
      goTo('DR1');
    });
    await cutting.layOut();
    expect(cutting.filmId()).not.toBe(filmId);
    expect(cutting.plan()).toBeUndefined();
    const [plan, ...more] = reading.plans();
    expect(more).toEqual([]);
    expect(plan?.filmId).toBe(filmId);
    const own = new Set(
      reading
        .applications()
        .filter((application) => application.filmId === filmId)
        .map(({ id }) => id),
    );
    const pieces = reading.piecesOf(plan?.id ?? '');
    expect(pieces.length).toBeGreaterThan(0);
    expect(pieces.map(({ tag }) => tag)).toContain('SW1');
    expect(pieces.filter(({ applicationId }) => !own.has(applicationId))).toEqual([]);
  });
});

describe('is everything laid out at one touch?', () => {
  it('every film that needs it, each on its own plan; what lies already is left, and nothing is open afterwards', async () => {
    const { cutting, reading, whole } = standing('SW1');
    await cutting.layOut();
    const first = cutting.plan();
    const open = whole.open();
    expect(open.length).toBeGreaterThan(3);
    expect(open.map(({ id }) => id)).not.toContain(first?.filmId);
    await whole.layOut();
    expect(
      reading
        .plans()
        .map(({ filmId }) => filmId)
        .sort(),
    ).toEqual([first?.filmId ?? '', ...open.map(({ id }) => id)].sort());
    expect(reading.plans().find(({ id }) => id === first?.id)).toEqual(first);
    expect(whole.at()).toBeUndefined();
    const stillOpen = whole.open();
    for (const { id } of stillOpen) {
      cutting.filmId.set(id);
      expect(cutting.fault()).toBeDefined();
    }
  });
  it('stopped, what lies is kept and the rest is not begun', async () => {
    const { reading, whole, whileSearching } = standing('SW1');
    whileSearching(() => {
      whole.stop();
    });
    await whole.layOut();
    expect(reading.plans()).toHaveLength(1);
  });
  it('a width left out is left out of its own film alone', () => {
    const { cutting } = standing('SW1');
    cutting.leaveOut(new Set(['order 1524000000']));
    expect(cutting.leftOut().size).toBe(1);
    cutting.filmId.set(cutting.films().find(({ id }) => id !== cutting.filmId())?.id);
    expect(cutting.leftOut().size).toBe(0);
  });
});

describe('is anything laid out twice?', () => {
  it('a roll that is begun while the search goes on keeps what lies on it; the new layout is not taken, and said', async () => {
    const { cutting, work, rollOf, whileSearching } = standing('SW1');
    await cutting.layOut();
    const before = cutting.pieces().length;
    whileSearching(() => {
      work.tick(rollOf('SW1'), 3, []);
    });
    await cutting.layOut();
    expect(cutting.pieces()).toHaveLength(before);
    expect(cutting.fault()).toContain('cut into while it was laid out');
  });
});
