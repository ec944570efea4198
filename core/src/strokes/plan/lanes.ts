import { type Face, type Spot, boundsOf, isOnFace, longestUpright, sidesOf } from '../face';
import { type Stroke, UPRIGHT } from '../stroke';

/** What one presses with. */
export interface Tool {
  readonly blade_mm: number;
  readonly overlap_mm: number;
  /** Of a card, for level edges and where a blade is too long. */
  readonly card_mm: number;
}

/** Lanes that cover a height; one where it is no higher than the blade. */
export const lanesOver = (
  height: number,
  { blade_mm, overlap_mm }: Pick<Tool, 'blade_mm' | 'overlap_mm'>,
): number => Math.max(1, Math.ceil((height - overlap_mm) / (blade_mm - overlap_mm) - 1e-9));

/** No plan of level lanes has fewer: the longest upright needs so many. */
export const leastLanes = (face: Face, tool: Tool): number => lanesOver(longestUpright(face), tool);

/** A level band, mm. */
interface Band {
  readonly bottom: number;
  readonly top: number;
}

/**
 * An edge that falls no more than this across so much is almost level: the first lane moves in by its fall.
 */
const LEVEL_SLOPE = 1 / 4;
const LEVEL_SHARE = 1 / 4;

/** By how much the outermost lane moves in, where the top or bottom is almost level. */
function easedBy(face: Face, blade_mm: number, y: number): number {
  return Math.max(
    0,
    ...sidesOf(face).flatMap(({ from, to }) => {
      const fall = Math.abs(to.y - from.y);
      const isThere = from.y === y || to.y === y;
      return isThere && fall <= blade_mm * LEVEL_SHARE && fall <= Math.abs(to.x - from.x) * LEVEL_SLOPE
        ? [fall]
        : [];
    }),
  );
}

/** Level bands evenly spread over the height, the uppermost first. */
export function bandsOf(face: Face, tool: Tool): readonly Band[] {
  const { bottom, top } = boundsOf(face);
  const [low, high] = [
    bottom + easedBy(face, tool.blade_mm, bottom),
    top - easedBy(face, tool.blade_mm, top),
  ];
  const height = high - low;
  const count = lanesOver(height, tool);
  const pitch = count === 1 ? 0 : (height - tool.blade_mm) / (count - 1);
  return Array.from({ length: count }, (_, index) => ({
    bottom: Math.max(low, high - tool.blade_mm - index * pitch),
    top: high - index * pitch,
  }));
}

/** From where to where the whole upright blade fits into a band. */
export function fitsIn(
  face: Face,
  { bottom, top }: Band,
): readonly (readonly [left: number, right: number])[] {
  const { left, right } = boundsOf(face);
  const taken = sidesOf(face)
    .flatMap(({ from, to }) => {
      const [low, high] = from.y < to.y ? [from, to] : [to, from];
      if (high.y <= bottom || low.y >= top) return [];
      const at = (y: number): number => low.x + ((y - low.y) * (high.x - low.x)) / (high.y - low.y);
      const ends =
        high.y === low.y ? [low.x, high.x] : [at(Math.max(bottom, low.y)), at(Math.min(top, high.y))];
      return [[Math.min(...ends), Math.max(...ends)] as const];
    })
    .toSorted((a, b) => a[0] - b[0]);
  const free: (readonly [number, number])[] = [];
  let from = left;
  for (const [start, end] of [...taken, [right, right] as const]) {
    if (start > from && isOnFace(face, { x: (from + start) / 2, y: (bottom + top) / 2 }))
      free.push([from, start]);
    from = Math.max(from, end);
  }
  return free;
}

/** A lane begins so far beyond the spine, so that both halves lap there. */
export const BEYOND_MM = 30;

interface LanesAsked {
  readonly spine_mm: number;
  readonly first: 'left' | 'right';
  /** Locked crosswise, film is pressed away from where the arms meet. */
  readonly from?: 'the top' | 'the middle';
}

/**
 * Level lanes run away from the spine, one half of the face, then the other, each from the top down or out of
 * the middle.
 */
export function lanesOf(
  face: Face,
  tool: Tool,
  { spine_mm, first, from = 'the top' }: LanesAsked,
): readonly Stroke[] {
  const bands = bandsOf(face, tool).map((band, index) => ({ band, index }));
  const upper = Math.floor(bands.length / 2);
  const inTurn = from === 'the top' ? bands : [...bands.slice(0, upper).toReversed(), ...bands.slice(upper)];
  const halves = inTurn.flatMap(({ band, index }) =>
    fitsIn(face, band).flatMap(([left, right], place) => {
      const y = (band.bottom + band.top) / 2;
      const reach = (band.top - band.bottom) / 2;
      const lane = (half: 'left' | 'right', from: number, to: number) => ({
        half,
        stroke: laneStroke(
          `lane ${index + 1} ${half}${place === 0 ? '' : ` ${place + 1}`}`,
          [from, to],
          y,
          reach,
        ),
      });
      if (left >= spine_mm) return [lane('right', left, right)];
      if (right <= spine_mm) return [lane('left', right, left)];
      return [
        lane('right', Math.max(left, spine_mm - BEYOND_MM), right),
        lane('left', Math.min(right, spine_mm + BEYOND_MM), left),
      ];
    }),
  );
  const of = (half: 'left' | 'right'): readonly Stroke[] =>
    halves.filter((own) => own.half === half).map(({ stroke }) => stroke);
  return first === 'right' ? [...of('right'), ...of('left')] : [...of('left'), ...of('right')];
}

function laneStroke(key: string, [from, to]: readonly [number, number], y: number, reach: number): Stroke {
  const path: readonly Spot[] = [
    { x: from, y },
    { x: to, y },
  ];
  return { key, part: 'lane', path, blade: { along: UPRIGHT, from_mm: -reach, to_mm: reach } };
}
