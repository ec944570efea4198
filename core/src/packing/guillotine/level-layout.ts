import { CoreError } from '../../quantity';
import type { LayoutPiece, LayoutPlan, LayoutRequest, PlacedPiece } from '../problem/layout-plan';
import { type LengthBound, layoutSums, lengthBound } from '../problem/layout';

const TENTHS_PER_MM = 10;
const MOST_PIECES = 50_000;
const LARGEST_ROLL_MM = 5_000;

interface Lying {
  readonly piece: LayoutPiece;
  readonly across: number;
  readonly along: number;
  readonly turned: boolean;
}

interface Level {
  readonly along: number;
  used: number;
  readonly members: Lying[];
}

type Attitude = (piece: LayoutPiece, rollWidth: number) => Lying | undefined;

const tenths = (value_mm: number): number => Math.ceil(value_mm * TENTHS_PER_MM - 1e-6);

/**
 * Lays pieces in strips across the roll: longest strips first, each piece into the strip where it leaves the
 * least width. Three ways of lying are tried (as given, along the roll, across it) and the shortest layout
 * kept. Cuttable by hand in two stages and a trim: cross-cut the strip, slit it, trim each piece to its
 * length. Calculates in whole tenths of a millimetre, rounding pieces up, so nothing overlaps by rounding.
 * @throws CoreError CUTTING_ROLL_WIDTH, CUTTING_PIECE_WIDER_THAN_ROLL, CUTTING_TOO_MANY_PIECES
 * @source best-fit decreasing height on levels: Coffman, Garey, Johnson, Tarjan 1980 (from memory)
 */
export function layOutInLevels(
  request: LayoutRequest,
  bound: Pick<LengthBound, 'bound_mm'> = lengthBound(request),
): LayoutPlan {
  refuseLayout(request);
  const rollWidth = Math.floor(request.rollWidth_mm * TENTHS_PER_MM + 1e-6);
  const plans = ATTITUDES.map((attitude) => placeLevels(fillLevels(request.pieces, rollWidth, attitude)));
  const plan = plans.reduce((best, next) => (endOf(next) < endOf(best) ? next : best));
  const sums = layoutSums(request, plan, bound);
  return {
    placed: plan,
    ...sums,
    stopped: sums.length_mm.value - sums.bound_mm.value < 1 / TENTHS_PER_MM ? 'optimal' : 'limit',
  };
}

const asGiven = (piece: LayoutPiece): Lying => ({
  piece,
  across: tenths(piece.across_mm),
  along: tenths(piece.along_mm),
  turned: false,
});
const asTurned = (piece: LayoutPiece): Lying => ({
  piece,
  across: tenths(piece.along_mm),
  along: tenths(piece.across_mm),
  turned: true,
});

function ways(piece: LayoutPiece, rollWidth: number): Lying[] {
  return [asGiven(piece), ...(piece.mayTurn90 ? [asTurned(piece)] : [])].filter(
    ({ across }) => across <= rollWidth,
  );
}

const ATTITUDES: readonly Attitude[] = [
  (piece, rollWidth) => ways(piece, rollWidth)[0],
  (piece, rollWidth) => ways(piece, rollWidth).sort((a, b) => a.across - b.across)[0],
  (piece, rollWidth) => ways(piece, rollWidth).sort((a, b) => b.across - a.across)[0],
];

function fillLevels(pieces: readonly LayoutPiece[], rollWidth: number, attitude: Attitude): Level[] {
  const lying = pieces.map((piece) => attitude(piece, rollWidth)).filter((way) => way !== undefined);
  lying.sort((a, b) => b.along - a.along || b.across - a.across || (a.piece.id < b.piece.id ? -1 : 1));
  const levels: Level[] = [];
  for (const lyingPiece of lying) {
    const level = tightest(levels, lyingPiece, rollWidth) ?? opened(levels, lyingPiece);
    level.members.push(lyingPiece);
    level.used += lyingPiece.across;
  }
  return levels;
}

function tightest(levels: readonly Level[], way: Lying, rollWidth: number): Level | undefined {
  let best: Level | undefined;
  for (const level of levels)
    if (level.used + way.across <= rollWidth && (best === undefined || level.used > best.used)) best = level;
  return best;
}

function opened(levels: Level[], way: Lying): Level {
  const level: Level = { along: way.along, used: 0, members: [] };
  levels.push(level);
  return level;
}

function placeLevels(levels: readonly Level[]): PlacedPiece[] {
  let y = 0;
  return levels.flatMap(({ along, members }, level) => {
    let x = 0;
    const placed = members.map(({ piece, across, along: own, turned }): PlacedPiece => {
      const at = {
        id: piece.id,
        x_mm: x / TENTHS_PER_MM,
        y_mm: y / TENTHS_PER_MM,
        across_mm: across / TENTHS_PER_MM,
        along_mm: own / TENTHS_PER_MM,
        turned,
        level,
      };
      x += across;
      return at;
    });
    y += along;
    return placed;
  });
}

function endOf(placed: readonly PlacedPiece[]): number {
  return placed.reduce((end, piece) => Math.max(end, piece.y_mm + piece.along_mm), 0);
}

/** @throws CoreError when no layout of any sort could take the request */
export function refuseLayout({ rollWidth_mm, pieces }: LayoutRequest): void {
  if (!(rollWidth_mm >= 1 && rollWidth_mm <= LARGEST_ROLL_MM))
    throw new CoreError('CUTTING_ROLL_WIDTH', {
      path: 'rollWidth_mm',
      expected: `1 to ${LARGEST_ROLL_MM} mm`,
      got: String(rollWidth_mm),
    });
  if (pieces.length > MOST_PIECES)
    throw new CoreError('CUTTING_TOO_MANY_PIECES', {
      path: 'pieces',
      expected: `at most ${MOST_PIECES}`,
      got: String(pieces.length),
    });
  const rollWidth = Math.floor(rollWidth_mm * TENTHS_PER_MM + 1e-6);
  for (const piece of pieces) {
    if (!(
      piece.across_mm >= 1 &&
      piece.along_mm >= 1 &&
      piece.across_mm <= 100_000 &&
      piece.along_mm <= 100_000
    ))
      throw new CoreError('CUTTING_BLANK_RANGE', {
        path: piece.id,
        expected: '1 to 100000 mm a side',
        got: `${piece.across_mm} × ${piece.along_mm}`,
      });
    if (ways(piece, rollWidth).length === 0)
      throw new CoreError('CUTTING_PIECE_WIDER_THAN_ROLL', {
        path: piece.id,
        expected: `a side of at most ${rollWidth_mm} mm${piece.mayTurn90 ? '' : ' across the roll (it may not be turned)'}`,
        got: `${piece.across_mm} × ${piece.along_mm} mm`,
      });
  }
}
