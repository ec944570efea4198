import { type EdgeSides, type StockSegment, type PackingProblem, packingProblem } from '../../packing';
import type { CutOrder, OrderPiece, PinnedPiece, StockFilm } from './cut-order';
import { MISSING, MISSING_TIMES } from './missing-film';

/** A segment and where it lies on its film. */
export interface PlacedSegment extends StockSegment {
  readonly stock: StockFilm;
  /** Of a roll to order: which of several, from 0; of a segment without end: the first. */
  readonly copy: number;
  readonly x_mm: number;
  readonly from_mm: number;
  readonly width_mm: number;
  /** At which of its sides a factory edge lies. */
  readonly sides: EdgeSides;
}

const MOST_STACKS = 8;

/** A stretch along a roll where pinned pieces lie, and the stacks they leave beside them. */
interface Zone {
  readonly from: number;
  readonly to: number;
  readonly taken: readonly (readonly [from: number, to: number])[];
}

/** Where strips can be cut: each film whole, or between and beside the pieces that are pinned on it. */
export function orderSegments(order: CutOrder): readonly PlacedSegment[] {
  const { stocks, pieces, pinned, gap_mm, endWaste_mm } = order;
  const grown = pieces
    .filter(({ id }) => !pinned.some((pin) => pin.id === id))
    .map((piece) => ({
      ...piece,
      across_mm: piece.across_mm + gap_mm,
      along_mm: piece.along_mm + gap_mm,
    }));
  const lots = [...new Set(stocks.map(({ lot }) => lot))];
  const problems = new Map<number, PackingProblem>();
  const problemFor = (width_mm: number): PackingProblem => {
    const problem =
      problems.get(width_mm) ?? packingProblem({ rollWidth_mm: width_mm + gap_mm, pieces: grown });
    problems.set(width_mm, problem);
    return problem;
  };
  return stocks.flatMap((stock) => {
    const film = new FilmSegments(order, stock, problemFor, lots.indexOf(stock.lot));
    if (stock.what !== 'to order') return film.onRoll(0);
    /** Rolls that pieces are pinned on each by itself, and as many more as are needed. */
    const begun = Math.max(0, ...film.pins.map(({ copy = 0 }) => copy + 1));
    return [
      ...Array.from({ length: begun }, (_, copy) => film.onRoll(copy)).flat(),
      film.whole(begun, endWaste_mm, Number.POSITIVE_INFINITY),
    ];
  });
}

/** Where a segment lies on its film, and what may lie in it. */
interface Stretch {
  readonly copy: number;
  readonly x_mm: number;
  readonly from_mm: number;
  readonly width_mm: number;
  readonly length_mm: number;
  /** Film that is used beyond what is pinned: it costs what film costs. */
  readonly isExtra: boolean;
  readonly sides: EdgeSides;
  readonly mostStacks: number;
}

/** The segments of one film. */
class FilmSegments {
  readonly pins: readonly PinnedPiece[];
  readonly #has: EdgeSides;
  readonly #step_mm: number;

  constructor(
    private readonly order: CutOrder,
    private readonly stock: StockFilm,
    private readonly problemFor: (width_mm: number) => PackingProblem,
    private readonly lot: number,
  ) {
    this.pins = order.pinned.filter(({ stockId }) => stockId === stock.id);
    this.#has = {
      left: stock.edges === 'both' || stock.edges === 'left',
      right: stock.edges === 'both' || stock.edges === 'right',
    };
    this.#step_mm = problemFor(stock.width_mm).alongStep_mm;
  }

  whole(copy: number, from_mm: number, length_mm: number): PlacedSegment {
    return this.#make({ ...this.#acrossTheFilm(copy, from_mm), length_mm, isExtra: true });
  }

  /** Between and beside the pieces pinned on one roll, and what is free behind them. */
  onRoll(copy: number): readonly PlacedSegment[] {
    const { order, stock } = this;
    const { pieces, gap_mm, endWaste_mm } = order;
    const pins = this.pins.filter((pin) => (pin.copy ?? 0) === copy);
    const segments: PlacedSegment[] = [];
    let at = endWaste_mm;
    for (const zone of zonesOf(pins, pieces, gap_mm)) {
      if (zone.from - at > 1) {
        const length_mm = zone.from - at - gap_mm;
        segments.push(this.#make({ ...this.#acrossTheFilm(copy, at), length_mm, isExtra: false }));
      }
      segments.push(...this.#beside(copy, zone));
      at = zone.to + gap_mm;
    }
    return at === endWaste_mm || stock.length_mm - at > 1
      ? [...segments, this.whole(copy, at, stock.length_mm - at)]
      : segments;
  }

  /** The stacks that pinned pieces leave beside them. */
  #beside(copy: number, zone: Zone): readonly PlacedSegment[] {
    const { gap_mm } = this.order;
    const filmWidth = this.stock.width_mm;
    const segments: PlacedSegment[] = [];
    let x = 0;
    for (const [from, to] of [...zone.taken, [filmWidth, filmWidth] as const]) {
      const width_mm = from - x - (from < filmWidth ? gap_mm : 0);
      if (width_mm > 1)
        segments.push(
          this.#make({
            ...{ copy, x_mm: x, from_mm: zone.from, width_mm, length_mm: zone.to - zone.from },
            isExtra: false,
            sides: { left: x === 0 && this.#has.left, right: from === filmWidth && this.#has.right },
            mostStacks: 1,
          }),
        );
      x = Math.max(x, to + gap_mm);
    }
    return segments;
  }

  #acrossTheFilm(copy: number, from_mm: number): Omit<Stretch, 'length_mm' | 'isExtra'> {
    return {
      ...{ copy, x_mm: 0, from_mm, width_mm: this.stock.width_mm },
      sides: this.#has,
      mostStacks: MOST_STACKS,
    };
  }

  #make({ length_mm, isExtra, ...stretch }: Stretch): PlacedSegment {
    const { order, stock, lot } = this;
    const { gap_mm, endWaste_mm, mostSheet_mm, objective } = order;
    const { sides, mostStacks } = stretch;
    const perStep = this.#perStep();
    return {
      stock,
      ...stretch,
      problem: this.problemFor(stretch.width_mm),
      most: steps(length_mm + gap_mm, this.#step_mm),
      mostStrip: steps(Math.min(mostSheet_mm, stock.length_mm - endWaste_mm) + gap_mm, this.#step_mm),
      cost: isExtra ? perStep : perStep * 1e-3,
      fixed: objective === 'money' && this.pins.length === 0 ? stock.whole : 0,
      edges: Math.min(mostStacks, Number(sides.left) + Number(sides.right)),
      lot,
    };
  }

  /** What a step of length costs: money, or length, of which an offcut's counts little. */
  #perStep(): number {
    const { stock } = this;
    if (this.order.objective === 'money') return (stock.perMetre / 1000) * this.#step_mm;
    if (stock.what === 'offcut') return 0.02 * this.#step_mm;
    return stock.id === MISSING ? MISSING_TIMES * this.#step_mm : this.#step_mm;
  }
}

const steps = (length_mm: number, step_mm: number): number =>
  Number.isFinite(length_mm) ? Math.max(0, Math.floor(length_mm / step_mm + 1e-6)) : Number.POSITIVE_INFINITY;

function zonesOf(
  pinned: readonly PinnedPiece[],
  pieces: readonly OrderPiece[],
  gap_mm: number,
): readonly Zone[] {
  const boxes = pinned
    .flatMap((pin) => {
      const piece = pieces.find(({ id }) => id === pin.id);
      if (piece === undefined) return [];
      const [across, along] = pin.turned
        ? [piece.along_mm, piece.across_mm]
        : [piece.across_mm, piece.along_mm];
      return [{ x: pin.x_mm, y: pin.y_mm, across, along }];
    })
    .sort((a, b) => a.y - b.y);
  const zones: { from: number; to: number; taken: [number, number][] }[] = [];
  for (const { x, y, across, along } of boxes) {
    const last = zones.at(-1);
    if (last === undefined || y >= last.to + gap_mm - 1e-6)
      zones.push({ from: y, to: y + along, taken: [[x, x + across]] });
    else {
      last.to = Math.max(last.to, y + along);
      last.taken.push([x, x + across]);
    }
  }
  return zones.map(({ from, to, taken }) => ({ from, to, taken: merged(taken) }));
}

function merged(spans: readonly (readonly [number, number])[]): readonly (readonly [number, number])[] {
  const joined: [number, number][] = [];
  for (const [from, to] of [...spans].sort((a, b) => a[0] - b[0])) {
    const last = joined.at(-1);
    if (last !== undefined && from <= last[1]) last[1] = Math.max(last[1], to);
    else joined.push([from, to]);
  }
  return joined;
}
