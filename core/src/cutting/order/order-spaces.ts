import type { EdgeSides } from '../by-hand/place-bands';
import type { Space } from '../by-hand/space';
import { type StripProblem, stripProblem } from '../by-hand/strip-problem';
import type { CutOrder, OrderPiece, PinnedPiece, StockFilm } from './cut-order';
import { MISSING, MISSING_TIMES } from './missing-film';

/** A space and where it lies on its film. */
export interface PlacedSpace extends Space {
  readonly stock: StockFilm;
  /** Of a roll to order: which of several, from 0; of a space without end: the first. */
  readonly copy: number;
  readonly x_mm: number;
  readonly from_mm: number;
  readonly width_mm: number;
  /** At which of its sides a factory edge lies. */
  readonly sides: EdgeSides;
}

const MOST_COLUMNS = 8;

/** A stretch along a roll where pinned pieces lie, and the columns they leave beside them. */
interface Zone {
  readonly from: number;
  readonly to: number;
  readonly taken: readonly (readonly [from: number, to: number])[];
}

/** Where bands can be cut: each film whole, or between and beside the pieces that are pinned on it. */
export function orderSpaces({
  stocks,
  pieces,
  pinned,
  gap_mm,
  endWaste_mm,
  mostSheet_mm,
  objective,
}: CutOrder): readonly PlacedSpace[] {
  const free = pieces.filter(({ id }) => !pinned.some((pin) => pin.id === id));
  const grown = free.map((piece) => ({
    ...piece,
    across_mm: piece.across_mm + gap_mm,
    along_mm: piece.along_mm + gap_mm,
  }));
  const lots = [...new Set(stocks.map(({ lot }) => lot))];
  const problems = new Map<number, StripProblem>();
  const problemFor = (width_mm: number): StripProblem => {
    let problem = problems.get(width_mm);
    if (problem === undefined) {
      problem = stripProblem({ rollWidth_mm: width_mm + gap_mm, pieces: grown });
      problems.set(width_mm, problem);
    }
    return problem;
  };
  return stocks.flatMap((stock) => {
    const step_mm = problemFor(stock.width_mm).alongStep_mm;
    const perStep =
      objective === 'money'
        ? (stock.perMetre / 1000) * step_mm
        : stock.what === 'offcut'
          ? 0.02 * step_mm
          : stock.id === MISSING
            ? MISSING_TIMES * step_mm
            : step_mm;
    const has = {
      left: stock.edges === 'both' || stock.edges === 'left',
      right: stock.edges === 'both' || stock.edges === 'right',
    };
    const pins = pinned.filter(({ stockId }) => stockId === stock.id);
    const isPinned = pins.length > 0;
    const make = (more: {
      readonly copy: number;
      readonly x_mm: number;
      readonly from_mm: number;
      readonly width_mm: number;
      readonly length_mm: number;
      readonly isExtra: boolean;
      readonly sides: EdgeSides;
      readonly mostColumns: number;
    }): PlacedSpace => ({
      stock,
      copy: more.copy,
      x_mm: more.x_mm,
      from_mm: more.from_mm,
      width_mm: more.width_mm,
      problem: problemFor(more.width_mm),
      most: steps(more.length_mm + gap_mm, step_mm),
      mostBand: steps(Math.min(mostSheet_mm, stock.length_mm - endWaste_mm) + gap_mm, step_mm),
      cost: more.isExtra ? perStep : perStep * 1e-3,
      fixed: objective === 'money' && !isPinned ? stock.whole : 0,
      mostColumns: more.mostColumns,
      sides: more.sides,
      edges: Math.min(more.mostColumns, Number(more.sides.left) + Number(more.sides.right)),
      lot: lots.indexOf(stock.lot),
    });
    const whole = (copy: number, from_mm: number, length_mm: number): PlacedSpace =>
      make({
        copy,
        x_mm: 0,
        from_mm,
        width_mm: stock.width_mm,
        length_mm,
        isExtra: true,
        sides: has,
        mostColumns: MOST_COLUMNS,
      });
    const onRoll = (copy: number): readonly PlacedSpace[] => {
      const found: PlacedSpace[] = [];
      let at = endWaste_mm;
      for (const zone of zonesOf(
        pins.filter((pin) => (pin.copy ?? 0) === copy),
        pieces,
        gap_mm,
      )) {
        if (zone.from - at > 1)
          found.push(
            make({
              copy,
              x_mm: 0,
              from_mm: at,
              width_mm: stock.width_mm,
              length_mm: zone.from - at - gap_mm,
              isExtra: false,
              sides: has,
              mostColumns: MOST_COLUMNS,
            }),
          );
        let x = 0;
        for (const [from, to] of [...zone.taken, [stock.width_mm, stock.width_mm] as const]) {
          const width_mm = from - x - (from < stock.width_mm ? gap_mm : 0);
          if (width_mm > 1)
            found.push(
              make({
                copy,
                x_mm: x,
                from_mm: zone.from,
                width_mm,
                length_mm: zone.to - zone.from,
                isExtra: false,
                sides: { left: x === 0 && has.left, right: from === stock.width_mm && has.right },
                mostColumns: 1,
              }),
            );
          x = Math.max(x, to + gap_mm);
        }
        at = zone.to + gap_mm;
      }
      return at === endWaste_mm || stock.length_mm - at > 1
        ? [...found, whole(copy, at, stock.length_mm - at)]
        : found;
    };
    if (stock.what !== 'to order') return onRoll(0);
    /** Rolls that pieces are pinned on each by itself, and as many more as are needed. */
    const begun = Math.max(0, ...pins.map(({ copy = 0 }) => copy + 1));
    return [
      ...Array.from({ length: begun }, (_, copy) => onRoll(copy)).flat(),
      whole(begun, endWaste_mm, Number.POSITIVE_INFINITY),
    ];
  });
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
  const found: [number, number][] = [];
  for (const [from, to] of [...spans].sort((a, b) => a[0] - b[0])) {
    const last = found.at(-1);
    if (last !== undefined && from <= last[1]) last[1] = Math.max(last[1], to);
    else found.push([from, to]);
  }
  return found;
}
