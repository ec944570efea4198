import { type LayoutPlan, type LayoutRequest, type PlacedPiece, layoutSums } from '../layout';
import { layOutInLevels, refuseLayout } from '../level-layout';
import type { Band, Column } from './band';
import { type Search, searchBands } from './improve';
import { type StripProblem, stripProblem } from './strip-problem';
import { leastLength } from './width-bound';

export interface ByHandLimits {
  /** Cross-cut, slit, and with 3 cross-cut again; a last trimming cut is free. */
  readonly stages: 2 | 3;
  readonly seed: number;
  /** Rounds of improving; the same seed and rounds give the same plan. */
  readonly mostRounds: number;
}

/** Lays pieces out so that a person can cut them with a straight-edge: bands across the roll, columns in a band, pieces in a column.
 *  Any-time: gives the best plan so far after each round, the first at once, until the bound is met or the rounds are done.
 *  Never worse than `layOutInLevels`. Pieces that want a factory edge lie at one.
 *  @throws CoreError as `layOutInLevels` @source own search: subset sums by bit sets, large neighbourhoods */
export function* layOutByHandSteps(request: LayoutRequest, { stages, seed, mostRounds }: ByHandLimits): Generator<LayoutPlan, LayoutPlan> {
  refuseLayout(request);
  if (request.pieces.length === 0) return layOutInLevels(request);
  const problem = stripProblem(request);
  const needsEdges = request.pieces.some(({ wantsEdge }) => wantsEdge === true);
  let best = needsEdges ? undefined : layOutInLevels(request);
  let bands: readonly Band[] | undefined;
  if (best !== undefined) yield best;
  const planOf = ({ bands: found, length }: Search): LayoutPlan => {
    if (best === undefined || (found !== bands && length * problem.alongStep_mm < best.length_mm.value - 1e-9)) {
      bands = found;
      best = planned(request, placeBands(problem, found, request.rollWidth_mm));
    }
    return best;
  };
  const search = searchBands(problem, { seed, stages, mostRounds, bound: leastLength(problem) });
  for (let step = search.next(); ; step = search.next()) {
    const plan = planOf(step.value);
    if (step.done === true) return plan;
    yield plan;
  }
}

/** The same, run through. @param isOver asked between rounds: true keeps the best so far @param onBetter each better plan as it is found */
export function layOutByHand(request: LayoutRequest, limits: ByHandLimits, isOver: () => boolean = () => false, onBetter: (plan: LayoutPlan) => void = () => undefined): LayoutPlan {
  const steps = layOutByHandSteps(request, limits);
  let last: LayoutPlan | undefined;
  for (let step = steps.next(); ; step = steps.next()) {
    if (step.value !== last) onBetter(step.value);
    last = step.value;
    if (step.done === true || isOver()) return last;
  }
}

function planned(request: LayoutRequest, placed: readonly PlacedPiece[]): LayoutPlan {
  const sums = layoutSums(request, placed);
  return { placed, ...sums, stopped: sums.length_mm.value - sums.bound_mm.value < 0.1 ? 'optimal' : 'limit' };
}

function placeBands({ kinds, width, alongStep_mm, acrossStep_mm }: StripProblem, bands: readonly Band[], rollWidth_mm: number): readonly PlacedPiece[] {
  const next = kinds.map(() => 0);
  let end = 0;
  return [...bands].sort((a, b) => b.along - a.along).flatMap(({ along, columns }, level) => {
    const from = end;
    end += along;
    return inPlace(columns, width).flatMap(({ column, x, isRight }) => {
      let y = from;
      return column.pieces.map((piece): PlacedPiece => {
        const id = kinds[piece.kind]?.ids[next[piece.kind] ?? 0] ?? '?';
        next[piece.kind] = (next[piece.kind] ?? 0) + 1;
        const x_mm = isRight ? rollWidth_mm - piece.across * acrossStep_mm : x * acrossStep_mm;
        const at: PlacedPiece = { id, x_mm: tenths(x_mm), y_mm: tenths(y * alongStep_mm), across_mm: tenths(piece.across * acrossStep_mm), along_mm: tenths(piece.along * alongStep_mm), turned: piece.turned, level };
        y += piece.along;
        return at;
      });
    });
  });
}

/** Columns with pieces that want a factory edge go to the left edge and to the right one, the rest between. */
function inPlace(columns: readonly Column[], width: number): readonly { readonly column: Column; readonly x: number; readonly isRight: boolean }[] {
  const wants = columns.filter(({ pieces }) => pieces.some(({ wantsEdge }) => wantsEdge));
  const right = wants[1];
  const order = [...wants.slice(0, 1), ...columns.filter((column) => !wants.includes(column))];
  let x = 0;
  const placed = order.map((column) => { const at = { column, x, isRight: false }; x += column.across; return at; });
  return right === undefined ? placed : [...placed, { column: right, x: width - right.across, isRight: true }];
}

function tenths(value_mm: number): number {
  return Math.round(value_mm * 10) / 10;
}
