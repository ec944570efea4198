import type { Impossible, MeasureRemark } from '../measure-case';
import type { AskedMeasure } from '../network/judge';
import { fromCorner, likeliestSill, onLevelSill } from '../hanging';
import { laidOut } from '../network/lay-out-corners';
import type { MeasureSlot } from '../measure-slot';
import { type Outline, areaOf, isConvex, isSimple } from '../outline';
import type { Reading } from '../reading';
import { straightSizes } from '../sizes';
import type { SurfaceCheck } from '../surface-check';
import { type ShapeMeasure, type SurfaceInput, firstUntaken } from './shape';
import { type SolvedNetwork, solveReadings } from './straight-network';

export const FEWEST_CORNERS = 3;
export const MOST_CORNERS = 24;
const USUAL_CORNERS = 5;

/** Any polygon by its sides and diagonals, corners numbered clockwise from the upper left. */
export const manySides: ShapeMeasure = { slots: slotsOf, check: checkPolygon };

function slotsOf(corners: number): readonly MeasureSlot[] {
  const count = countOf(corners);
  const slot = (
    a: number,
    b: number,
    word: string,
    lies: MeasureSlot['lies'],
    isExtra: boolean,
  ): MeasureSlot => ({
    key: `p${a}-p${b}`,
    kind: 'distance',
    from: `p${a}`,
    to: `p${b}`,
    word,
    group: lies === 'along' ? 'side' : 'diagonal',
    lies,
    share: lies === 'along' ? 0.5 : 0.55,
    ...(isExtra ? { isExtra: true } : {}),
  });
  const sides = Array.from({ length: count }, (_, index) =>
    slot(
      index + 1,
      ((index + 1) % count) + 1,
      `side ${index + 1}–${((index + 1) % count) + 1}`,
      'along',
      false,
    ),
  );
  const fan = Array.from({ length: Math.max(0, count - 3) }, (_, index) =>
    slot(1, index + 3, `diagonal 1–${index + 3}`, 'inside', false),
  );
  const check = count < 4 ? [] : [slot(2, count, `diagonal 2–${count}`, 'inside', false)];
  const level: MeasureSlot = {
    key: 'level-p1-p2',
    kind: 'level',
    from: 'p1',
    to: 'p2',
    word: 'corner 2 lower than corner 1',
    group: 'check',
    lies: 'beside',
    isExtra: true,
    how: 'By a spirit level; 0 when side 1–2 is level, minus when corner 2 is higher.',
  };
  return [...sides, ...fan, ...check, level];
}

function checkPolygon({ readings, corners, determinedWithin_mm: within_mm }: SurfaceInput): SurfaceCheck {
  const count = countOf(corners ?? USUAL_CORNERS);
  const between = readings.filter(
    ({ kind, from, to }) =>
      (kind === 'distance' || kind === 'level') &&
      cornerAt(from, count) !== undefined &&
      cornerAt(to, count) !== undefined,
  );
  const lengths = between.filter(({ kind }) => kind === 'distance');
  const impossible = impossibleTriangle(lengths, count);
  if (impossible !== undefined) return { state: 'impossible', why: impossible, suspects: [] };
  const start = laidOut(
    lengths.map(({ from, to, value_mm }) => ({
      a: cornerAt(from, count) ?? 0,
      b: cornerAt(to, count) ?? 0,
      length_mm: value_mm,
    })),
    count,
  );
  if ('open' in start) return { state: 'unfinished', needs: needsOf(start.open, count) };
  const hasLevel = between.length > lengths.length;
  const sill = likeliestSill(start.outline);
  const solved = bestOfMirrors(
    (from) => solve(between, count, from, within_mm),
    count,
    onLevelSill(start.outline, ...sill),
  );
  const hanging = (corners: Outline): Outline =>
    hasLevel ? fromCorner(corners) : onLevelSill(corners, ...likeliestSill(solved.solution.corners));
  const outline = hanging(solved.solution.corners);
  if (!isSimple(outline) || areaOf(outline) <= 0)
    return {
      state: 'impossible',
      why: { case: 'sides cross' },
      suspects: solved.agreement.kind === 'disagree' ? solved.agreement.suspects : [],
    };
  const figure = {
    outline,
    points: Object.fromEntries(outline.map((point, index) => [`p${index + 1}`, point])),
  };
  const sizes = straightSizes(
    outline,
    solved.spread === undefined
      ? undefined
      : (size) => solved.spread?.((at) => size(hanging(at))) ?? Number.NaN,
    undefined,
  );
  const found = {
    figure,
    sizes,
    agreement: solved.agreement,
    helpsNext: firstUntaken(slotsOf(count), readings),
    remarks: remarksOf(foldingCorners(lengths, count), outline, hasLevel || count < 4),
  };
  return solved.isDetermined
    ? { state: 'measured', ...found }
    : { state: 'assumed', assumes: 'the corners not tied yet', ...found };
}

function needsOf(open: readonly number[], count: number): readonly string[] {
  return open.length === count
    ? ['a side']
    : [`a side or diagonal to corner ${open.map((corner) => corner + 1).join(', ')}`];
}

/** What lengths alone leave open: how it hangs, and corners that may point either way. */
function remarksOf(
  corners: ReturnType<typeof foldingCorners>,
  outline: Outline,
  knowsHowItHangs: boolean,
): readonly MeasureRemark[] {
  const asked = knowsHowItHangs ? [] : [{ case: 'standing on its lowest side' as const }];
  return corners.length === 0
    ? asked
    : [...asked, { case: 'corners may fold', corners, isConvex: isConvex(outline) }];
}

function countOf(corners: number): number {
  return Math.min(MOST_CORNERS, Math.max(FEWEST_CORNERS, Math.round(corners)));
}

function cornerAt(name: string, count: number): number | undefined {
  const number = Number(/^p(\d+)$/.exec(name)?.[1] ?? Number.NaN);
  return number >= 1 && number <= count ? number - 1 : undefined;
}

function solve(
  readings: readonly Reading[],
  count: number,
  start: Outline,
  within_mm: number | undefined,
): SolvedNetwork {
  const deciders: AskedMeasure[] = [];
  for (let a = 1; a <= count; a += 1)
    for (let b = a + 1; b <= count; b += 1) deciders.push({ kind: 'distance', from: `p${a}`, to: `p${b}` });
  return solveReadings(readings, {
    start,
    pointOf: (name) => {
      const corner = cornerAt(name, count);
      return corner === undefined ? undefined : [{ corner, share: 1 }];
    },
    armsOf: () => undefined,
    deciders,
    within_mm,
  });
}

/**
 * Distances cannot tell a corner from its mirror image: where the drawn one does not fit, the mirrored ones
 * are tried.
 */
function bestOfMirrors(
  solvedFrom: (start: Outline) => SolvedNetwork,
  count: number,
  start: Outline,
): SolvedNetwork {
  let best = solvedFrom(start);
  for (let round = 0; round < count && best.agreement.kind === 'disagree'; round += 1) {
    const tries = Array.from({ length: count }, (_, corner) =>
      solvedFrom(mirrored(best.solution.corners, corner)),
    ).filter(({ solution }) => isSimple(solution.corners) && areaOf(solution.corners) > 0);
    const better = tries.sort((a, b) => a.solution.weightedSquares - b.solution.weightedSquares)[0];
    if (better === undefined || better.solution.weightedSquares >= best.solution.weightedSquares * 0.5) break;
    best = better;
  }
  return best;
}

function mirrored(outline: Outline, corner: number): Outline {
  const [a, b, p] = [
    outline[(corner + outline.length - 1) % outline.length],
    outline[(corner + 1) % outline.length],
    outline[corner],
  ];
  if (a === undefined || b === undefined || p === undefined) return outline;
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const along = ((p.x - a.x) * dx + (p.y - a.y) * dy) / Math.max(dx * dx + dy * dy, 1e-9);
  const foot = { x: a.x + along * dx, y: a.y + along * dy };
  return outline.map((point, index) =>
    index === corner ? { x: 2 * foot.x - p.x, y: 2 * foot.y - p.y } : point,
  );
}

/** Three lengths between the same three corners that cannot close, beyond what the readings may be off. */
function impossibleTriangle(readings: readonly Reading[], count: number): Impossible | undefined {
  const longestOf = new Map<string, number>();
  for (const { from, to, value_mm } of readings)
    longestOf.set(
      [cornerAt(from, count), cornerAt(to, count)].sort((a = 0, b = 0) => a - b).join(' '),
      value_mm,
    );
  const length = (a: number, b: number): number | undefined =>
    longestOf.get([a, b].sort((x, y) => x - y).join(' '));
  for (let a = 0; a < count; a += 1) {
    for (let b = a + 1; b < count; b += 1) {
      for (let c = b + 1; c < count; c += 1) {
        const sides = [length(a, b), length(b, c), length(a, c)];
        if (sides.some((side) => side === undefined)) continue;
        const [longest = 0, second = 0, third = 0] = (sides as number[]).sort((x, y) => y - x);
        if (longest > second + third + 10)
          return {
            case: 'corners cannot close',
            corners: [a + 1, b + 1, c + 1],
            longest_mm: longest,
            others_mm: second + third,
          };
      }
    }
  }
  return undefined;
}

function foldingCorners(readings: readonly Reading[], count: number): readonly number[] {
  const ties = Array.from(
    { length: count },
    (_, corner) =>
      new Set(
        readings.flatMap(({ from, to }) =>
          cornerAt(from, count) === corner ? [to] : cornerAt(to, count) === corner ? [from] : [],
        ),
      ).size,
  );
  return ties.flatMap((number, corner) => (number === 2 ? [corner + 1] : []));
}
