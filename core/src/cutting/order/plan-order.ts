import { barDemands } from '../bounds/bars-of-strip';
import { leastCost } from '../bounds/least-cost';
import type { Band } from '../by-hand/band';
import { ANY_STAGES } from '../by-hand/lay-out-by-hand';
import { partedBands } from '../by-hand/parted-bands';
import { placeBands } from '../by-hand/place-bands';
import { type SpaceResult, searchSpaces } from '../by-hand/search-spaces';
import type { LaidBand } from '../by-hand/space';
import type { StripProblem } from '../by-hand/strip-problem';
import { blockOf } from '../free/blocks';
import { placeBlocks } from '../free/place-blocks';
import { type FreeLayout, searchFree } from '../free/search-free';
import type { PlacedPiece } from '../layout';
import { toTenth } from '../tenths';
import { cutsFor } from '../instructions';
import type { CutOrder, CutOrderPlan, OrderPiece, StockUse } from './cut-order';
import { extraOf, keptOf, moneyOf } from './order-money';
import { type PlacedSpace, orderSpaces } from './order-spaces';
import { pairOutlines } from './pair-outlines';
import { refuseOrder } from './refuse-order';
import { problemOn, shorterByAnyCuts } from './shorter-by-any-cuts';

export interface OrderLimits {
  readonly seed: number;
  readonly mostRounds: number;
}

const MISSING = 'missing film';
/** Film that is not there costs so many times the dearest: it is used only where nothing else is left. */
const MISSING_TIMES = 60;
const BOUNDLESS = 1e12;
const FREE_SHARE = 0.3;
const FREE_AFTER = 600;
/** From this round on each better plan of few pieces is tried in as many stages as it takes. */
const ANY_AFTER = 30;
const NEAR = 1e-6;

/** Lays an order on the rolls and offcuts there are, and on rolls to order: which piece on which film, and where. Pinned pieces stay.
 *  Any-time, as `layOutByHandSteps`; pieces there is no film for are named, never left out silently.
 *  @throws CoreError as `refuseOrder` @source own: one search over bands on all films, led by the prices of the bar relaxation */
export function* planOrderSteps(order: CutOrder, limits: OrderLimits): Generator<CutOrderPlan, CutOrderPlan> {
  refuseOrder(order);
  const { order: paired, apart } = pairOutlines(order);
  let known: { readonly from: CutOrderPlan; readonly to: CutOrderPlan } | undefined;
  const whole = (plan: CutOrderPlan): CutOrderPlan => {
    if (paired === order) return plan;
    if (known?.from !== plan) known = { from: plan, to: { ...plan, uses: plan.uses.map((use) => ({ ...use, placed: apart(use.placed) })), notLaid: plan.notLaid.flatMap((id) => id.split(' + ')), stopped: plan.stopped === 'optimal' ? 'limit' : plan.stopped } };
    return known.to;
  };
  const steps = planSteps(paired, limits);
  for (let step = steps.next(); ; step = steps.next()) {
    if (step.done === true) return whole(step.value);
    yield whole(step.value);
  }
}

function* planSteps(order: CutOrder, { seed, mostRounds }: OrderLimits): Generator<CutOrderPlan, CutOrderPlan> {
  const widest = order.stocks.reduce((most, { width_mm }) => Math.max(most, width_mm), 0);
  const fits = ({ across_mm, along_mm, mayTurn90 }: OrderPiece): boolean => across_mm <= widest || (mayTurn90 && along_mm <= widest);
  const tooWide = order.pieces.filter((piece) => !fits(piece)).map(({ id }) => id);
  const laidOrder = tooWide.length === 0 ? order : { ...order, pieces: order.pieces.filter(fits) };
  const missing = { id: MISSING, what: 'to order' as const, width_mm: Math.max(1, widest), length_mm: BOUNDLESS, perMetre: MISSING_TIMES * Math.max(1, ...order.stocks.map(({ perMetre }) => perMetre)), whole: 0, lot: MISSING, edges: 'both' as const };
  const spaces = orderSpaces({ ...laidOrder, stocks: [...laidOrder.stocks, missing] });
  const kinds = spaces[0]?.problem.kinds ?? [];
  if (kinds.length === 0 || widest === 0) return finished(laidOrder, spaces, usesOf(laidOrder, spaces, [], new Map()), [], tooWide, 0, 'optimal');
  const real = spaces.filter(({ stock }) => stock.id !== MISSING);
  const isEndless = real.some(({ most, problem }) => most === Number.POSITIVE_INFINITY && kinds.every((_, kind) => problem.lies.some((lie) => lie.kind === kind)));
  const open = isEndless ? real : spaces;
  const least = leastCost(open.map(({ problem, most, cost, fixed }) => ({ width: problem.width, cost: cost + (Number.isFinite(most) && most > 0 ? fixed / most : 0), most: Math.min(BOUNDLESS, most) })), barDemands(open[0]?.problem ?? spaces[0]?.problem ?? NO_PROBLEM, widestOf(open)));
  const search = searchSpaces(open, { seed, stages: order.stages === ANY_STAGES ? 3 : order.stages, mostRounds, bound: order.objective === 'length' || order.mode === 'by plotter' ? (least?.bound ?? 0) : Number.NEGATIVE_INFINITY, prices: least?.prices, turned: least?.turned, extra: extraOf(order), isFilmOnly: order.objective === 'length' || order.mode === 'by plotter', penalty: splitPenalty(laidOrder, open) });
  const filmBound = (least?.bound ?? 0) * (order.objective === 'money' ? 1 : 0);
  let best: CutOrderPlan | undefined;
  let known: SpaceResult['laid'] | undefined;
  let freed = new Map<number, FreeLayout>();
  const planOf = (laid: readonly LaidBand[], free: ReadonlyMap<number, FreeLayout>, stopped: CutOrderPlan['stopped']): CutOrderPlan => finished(laidOrder, open, usesOf(laidOrder, open, laid, free), free.size > 0 ? laid.filter(({ space }) => !free.has(space)) : laid, tooWide, filmBound, stopped);
  const isAny = order.mode === 'by hand' && order.stages === ANY_STAGES;
  const worthOf = ({ uses, cost }: CutOrderPlan): number => (order.objective === 'length' ? uses.reduce((sum, { used_mm }) => sum + used_mm, 0) : cost.value);
  const better = (one: CutOrderPlan, other: CutOrderPlan): CutOrderPlan => (worthOf(other) < worthOf(one) ? other : one);
  let shortest: CutOrderPlan | undefined;
  const inAnyStages = (laid: readonly LaidBand[], plan: CutOrderPlan): CutOrderPlan => {
    const shorter = shorterByAnyCuts(open, laid);
    const own = shorter.size === 0 ? plan : better(plan, planOf(laid, shorter, 'limit'));
    shortest = shortest === undefined ? own : better(shortest, own);
    return shortest;
  };
  let triedAny: SpaceResult['laid'] | undefined;
  const handRounds = order.mode === 'by plotter' ? Math.ceil(mostRounds * FREE_SHARE) : mostRounds;
  let step = search.next();
  for (; step.done !== true && step.value.rounds < Math.min(handRounds, order.mode === 'by plotter' ? FREE_AFTER : handRounds); step = search.next()) {
    if (!step.value.isComplete) continue;
    if (best === undefined || step.value.laid !== known) { known = step.value.laid; best = planOf(known, freed, 'limit'); }
    if (isAny && step.value.rounds >= ANY_AFTER && triedAny !== known) { triedAny = known; best = inAnyStages(known, best); }
    yield best;
  }
  const { laid, isProven } = step.value;
  const isBest = isProven || (step.value.isComplete && step.value.cost <= (least?.bound ?? Number.NEGATIVE_INFINITY) + NEAR && order.objective === 'length');
  if (order.mode === 'by plotter') {
    for (const [space, layout] of freeSearches(open, laid, seed, mostRounds, least?.prices)) {
      if (layout === freed.get(space)) { if (best !== undefined) yield best; continue; }
      freed = new Map(freed).set(space, layout);
      best = planOf(laid, freed, 'limit');
      yield best;
    }
  }
  if (!isAny) return planOf(laid, freed, isBest && freed.size === 0 ? 'optimal' : 'limit');
  return laid === triedAny && best !== undefined ? best : inAnyStages(laid, planOf(laid, freed, 'limit'));
}

const NO_PROBLEM: StripProblem = { width: 1, kinds: [], lies: [], area: 0, longest: 0, alongStep_mm: 1, acrossStep_mm: 1 };
const widestOf = (spaces: readonly PlacedSpace[]): number => spaces.reduce((most, { problem }) => Math.max(most, problem.width), 0);

/** Each whole-width space laid freely, in turns. */
function* freeSearches(spaces: readonly PlacedSpace[], laid: readonly LaidBand[], seed: number, mostRounds: number, prices: readonly number[] | undefined): Generator<readonly [space: number, layout: FreeLayout]> {
  const running = spaces.flatMap((space, index) => {
    const bands = laid.filter((own) => own.space === index).map(({ band }) => band);
    if (bands.length === 0 || space.mostColumns === 1) return [];
    const problem = problemOn(space, bands);
    return [{ index, search: searchFree(problem, { seed, mostRounds, bound: Math.ceil(problem.area / problem.width), prices, start: { blocks: bands.map((band) => blockOf(space.problem, band)), length: bands.reduce((sum, { along }) => sum + along, 0) } }) }];
  });
  for (const open = [...running]; open.length > 0; ) {
    for (const one of [...open]) {
      const step = one.search.next();
      yield [one.index, step.value];
      if (step.done === true) open.splice(open.indexOf(one), 1);
    }
  }
}

/** Money for every lot too many that a façade's pieces come from. */
function splitPenalty({ pieces, rates }: CutOrder, spaces: readonly PlacedSpace[]): (laid: readonly LaidBand[]) => number {
  const groups = [...new Set(pieces.map(({ group }) => group).filter((group) => group !== ''))];
  if (groups.length === 0 || rates.perSplitGroup === 0 || new Set(spaces.map(({ lot }) => lot)).size === 1) return () => 0;
  const byId = new Map(pieces.map(({ id, group }) => [id, group]));
  const groupsOfKind = (spaces[0]?.problem.kinds ?? []).map(({ ids }) => [...new Set(ids.map((id) => byId.get(id) ?? ''))].filter((group) => group !== ''));
  return (laid) => {
    const lots = new Map<string, Set<number>>();
    for (const { space, band } of laid) for (const { pieces: stacked } of band.columns) for (const { kind } of stacked) for (const group of groupsOfKind[kind] ?? []) { const own = lots.get(group) ?? new Set<number>(); own.add(spaces[space]?.lot ?? 0); lots.set(group, own); }
    let sum = 0;
    for (const own of lots.values()) sum += (own.size - 1) * rates.perSplitGroup;
    return sum;
  };
}

function usesOf(order: CutOrder, spaces: readonly PlacedSpace[], laid: readonly LaidBand[], freed: ReadonlyMap<number, FreeLayout>): readonly StockUse[] {
  const takeId = idsByGroup(order, spaces[0]?.problem ?? NO_PROBLEM);
  const placedOn = new Map<string, PlacedPiece[][]>();
  const put = (stockId: string, pieces: readonly PlacedPiece[], copy = 0): void => { const copies = placedOn.get(stockId) ?? []; copies[copy] = [...(copies[copy] ?? []), ...pieces]; placedOn.set(stockId, copies); };
  for (const { id, stockId, x_mm, y_mm, turned } of order.pinned) {
    const piece = order.pieces.find((own) => own.id === id);
    if (piece !== undefined) put(stockId, [{ id, x_mm, y_mm, across_mm: turned ? piece.along_mm : piece.across_mm, along_mm: turned ? piece.across_mm : piece.along_mm, turned, level: 0 }]);
  }
  spaces.forEach((space, index) => {
    const bands = laid.filter((own) => own.space === index).map(({ band }) => band);
    const free = freed.get(index);
    if (bands.length === 0) return;
    const take = (kind: number): string => takeId(kind, space.lot);
    const roll = space.stock.what === 'to order' && space.stock.length_mm < BOUNDLESS ? Math.floor((space.stock.length_mm - space.from_mm + order.gap_mm) / space.problem.alongStep_mm) : Number.POSITIVE_INFINITY;
    const usesFree = free !== undefined && free.blocks.every(({ along }) => along <= roll);
    const rolls = usesFree ? onRolls(free.blocks, roll).map((blocks) => placeBlocks(space.problem, blocks, space.width_mm + order.gap_mm, take, space.from_mm)) : onRolls(Number.isFinite(roll) ? partedBands(bands) : bands, roll).map((own) => placeBands(space.problem, own, space.width_mm + order.gap_mm, take, space.from_mm));
    rolls.forEach((placed, copy) => { put(space.stock.id, placed.map((piece) => shrunk(piece, space.x_mm, order)), copy); });
  });
  return order.stocks.flatMap((stock): StockUse[] => (placedOn.get(stock.id) ?? []).map((pieces, copy) => {
    const placed = levelled([...pieces]);
    return { stockId: stock.id, copy, placed, used_mm: placed.reduce((end, { y_mm, along_mm }) => Math.max(end, y_mm + along_mm), 0) };
  }));
}

/** Bands on as few rolls of this length as first-fit, longest first, needs. */
function onRolls<Item extends { readonly along: number }>(items: readonly Item[], most: number): readonly (readonly Item[])[] {
  if (!Number.isFinite(most)) return [items];
  const rolls: { length: number; items: Item[] }[] = [];
  for (const item of [...items].sort((a, b) => b.along - a.along)) {
    const roll = rolls.find(({ length }) => length + item.along <= most);
    if (roll === undefined) rolls.push({ length: item.along, items: [item] });
    else { roll.items.push(item); roll.length += item.along; }
  }
  return rolls.map((roll) => roll.items);
}

/** The gap is taken off again. */
function shrunk(piece: PlacedPiece, x_mm: number, { gap_mm }: CutOrder): PlacedPiece {
  return { ...piece, x_mm: toTenth(piece.x_mm + x_mm), across_mm: toTenth(piece.across_mm - gap_mm), along_mm: toTenth(piece.along_mm - gap_mm) };
}
/** Levels counted anew from the roll's end: pieces whose shadows along the roll touch are one sheet. */
function levelled(placed: PlacedPiece[]): readonly PlacedPiece[] {
  let [level, reach] = [-1, Number.NEGATIVE_INFINITY];
  return placed.sort((a, b) => a.y_mm - b.y_mm || a.x_mm - b.x_mm).map((piece) => {
    if (piece.y_mm >= reach - 1e-6) level += 1;
    reach = Math.max(reach, piece.y_mm + piece.along_mm);
    return { ...piece, level };
  });
}

/** Hands out pieces of one kind so that those of one façade go to one lot. */
function idsByGroup({ pieces }: CutOrder, { kinds }: StripProblem): (kind: number, lot: number) => string {
  const groupOf = new Map(pieces.map(({ id, group }) => [id, group]));
  const left = kinds.map(({ ids }) => [...ids].sort((a, b) => (groupOf.get(a) ?? '').localeCompare(groupOf.get(b) ?? '')));
  const lotOf = new Map<string, number>();
  return (kind, lot) => {
    const ids = left[kind] ?? [];
    const at = Math.max(0, ids.findIndex((id) => lotOf.get(groupOf.get(id) ?? '') === lot), 0);
    const [id = '?'] = ids.splice(at, 1);
    const group = groupOf.get(id) ?? '';
    if (group !== '' && !lotOf.has(group)) lotOf.set(group, lot);
    return id;
  };
}

function finished(order: CutOrder, spaces: readonly PlacedSpace[], uses: readonly StockUse[], laid: readonly LaidBand[], tooWide: readonly string[], filmBound: number, stopped: CutOrderPlan['stopped']): CutOrderPlan {
  const placedIds = new Set(uses.flatMap(({ placed }) => placed.map(({ id }) => id)));
  const notLaid = [...tooWide, ...order.pieces.filter(({ id }) => !placedIds.has(id)).map(({ id }) => id)];
  const real = laid.filter(({ space }) => spaces[space]?.stock.id !== MISSING);
  const kept = order.mode === 'by plotter' ? 0 : real.reduce((sum, { space, band }) => { const own = spaces[space]; return sum + (own === undefined || own.mostColumns === 1 ? 0 : keptOf(own, band, order.rates)); }, 0);
  const byHand = order.mode === 'by hand' && order.stages === ANY_STAGES ? uses.flatMap(({ stockId, placed }) => cutsFor(placed, order.stocks.find(({ id }) => id === stockId)?.width_mm ?? 0, order.endWaste_mm) ?? []) : [];
  const cuts = byHand.length > 0 ? { crossCuts: byHand.filter(({ how }) => how === 'cross-cut').length, slits: byHand.filter(({ how }) => how === 'slit' || how === 'slit piece').length, kept } : order.mode === 'by plotter' ? { crossCuts: uses.length, slits: 0, kept } : { crossCuts: real.length, slits: real.reduce((sum, { band }: { readonly band: Band }) => sum + band.columns.length, 0), kept };
  return { uses, notLaid, ...moneyOf(order, uses, cuts, notLaid.length > 0 ? 0 : filmBound), splitGroups: splitGroups(order, uses), stopped: notLaid.length > 0 ? 'infeasible' : stopped };
}

function splitGroups({ pieces, stocks }: CutOrder, uses: readonly StockUse[]): readonly string[] {
  const lotOf = new Map(stocks.map(({ id, lot }) => [id, lot]));
  const groupOf = new Map(pieces.map(({ id, group }) => [id, group]));
  const lots = new Map<string, Set<string>>();
  for (const { stockId, placed } of uses) for (const { id } of placed) { const group = groupOf.get(id) ?? ''; if (group === '') continue; const own = lots.get(group) ?? new Set<string>(); own.add(lotOf.get(stockId) ?? ''); lots.set(group, own); }
  return [...lots].filter(([, own]) => own.size > 1).map(([group]) => group).sort();
}
