import { LOOK_VIEWS, type LookView } from '../job';
import {
  type Face,
  type Ring,
  type Spot,
  type Stroke,
  boundsOf,
  coverageOf,
  sidesOf,
  squareStroke,
} from '../strokes';
import { gazeStrip, stripsOver } from './gaze';

/** One piece of a round: a strip of the face, or a piece of an edge. */
export interface LookPiece {
  readonly view: LookView;
  /** From 1, within its view. */
  readonly number: number;
  readonly from: Spot;
  readonly to: Spot;
  /** How wide it is looked at, mm. */
  readonly width_mm: number;
}

export interface RoundAsked {
  /** mm, x to the right and y upwards. */
  readonly face: Face;
  /** At which the rule set judges. */
  readonly distance_mm: number;
  /** Looked at from behind too: light gaps show beside dark film. */
  readonly isDark: boolean;
  /** Warm air goes over all of it first: what is not stuck rises. */
  readonly isWarmed?: boolean;
}

/** Edges are gone round at such a distance, in pieces so long: model 4.4. */
const EDGE_PIECE_MM = 500;
const EDGE_DISTANCE_MM = 500;
/** Warm air goes over the face in lanes so wide, so long a square metre: our guesses. */
const WARM_LANE_MM = 300;
const WARM_SECONDS_A_M2 = 60;
/** Seconds a square metre and view: our guess (model 4.4). */
const SECONDS_A_M2 = 20;
/** Of half a metre of edge: our guess. */
const SECONDS_AN_EDGE = 4;
const MM2_PER_M2 = 1e6;

/**
 * The pieces of a round in order: warm air over all of it, where that is wanted; edges; then the face in
 * strips to and fro, square and from both sides, from behind.
 */
export function roundOf({ face, distance_mm, isDark, isWarmed = false }: RoundAsked): readonly LookPiece[] {
  const strips = (view: LookView): readonly LookPiece[] => stripsOf(face, gazeStrip(distance_mm), view);
  return [
    ...(isWarmed ? stripsOf(face, WARM_LANE_MM, 'warm air') : []),
    ...edgePieces(face),
    ...strips('square'),
    ...strips('from the left'),
    ...strips('from the right'),
    ...(isDark ? strips('from behind') : []),
  ];
}

function stripsOf(face: Face, strip: number, view: LookView): readonly LookPiece[] {
  const { left, right, bottom, top } = boundsOf(face);
  const count = stripsOver(top - bottom, strip);
  const width_mm = Math.min(strip, top - bottom);
  const pitch = count === 1 ? 0 : (top - bottom - width_mm) / (count - 1);
  return Array.from({ length: count }, (_, index) => {
    const y = top - width_mm / 2 - index * pitch;
    const ends: readonly [Spot, Spot] = [
      { x: left, y },
      { x: right, y },
    ];
    const [from, to] = index % 2 === 0 ? ends : [ends[1], ends[0]];
    return { view, number: index + 1, from, to, width_mm };
  });
}

function edgePieces(face: Face): readonly LookPiece[] {
  return sidesOf(face)
    .flatMap(({ from, to }) => {
      const length = Math.hypot(to.x - from.x, to.y - from.y);
      const count = Math.max(1, Math.ceil(length / EDGE_PIECE_MM - 1e-9));
      const at = (index: number): Spot => ({
        x: from.x + ((to.x - from.x) * index) / count,
        y: from.y + ((to.y - from.y) * index) / count,
      });
      return Array.from({ length: count }, (_, index) => ({ from: at(index), to: at(index + 1) }));
    })
    .map((piece, index) => ({
      ...piece,
      view: 'edges' as const,
      number: index + 1,
      width_mm: gazeStrip(EDGE_DISTANCE_MM),
    }));
}

export const pieceKey = ({ view, number }: Pick<LookPiece, 'view' | 'number'>): string => `${view} ${number}`;

/** What was looked at of a view, and what was not. */
export interface LookedAt {
  readonly view: LookView;
  readonly share: number;
  /** What was not looked at, to be hatched. */
  readonly left: readonly Ring[];
}

/** What was looked at, by what is ticked; whole only when every view and every piece of the edges is. */
export function lookedAt(
  asked: RoundAsked,
  ticked: ReadonlySet<string>,
): { readonly views: readonly LookedAt[]; readonly isWhole: boolean } {
  const pieces = roundOf(asked);
  const views = LOOK_VIEWS.filter((view) => pieces.some((piece) => piece.view === view)).map(
    (view): LookedAt => {
      const own = pieces.filter((piece) => piece.view === view);
      const seen = own.filter((piece) => ticked.has(pieceKey(piece)));
      if (view === 'edges') {
        const length = (some: readonly LookPiece[]): number =>
          some.reduce((sum, { from, to }) => sum + Math.hypot(to.x - from.x, to.y - from.y), 0);
        return { view, share: length(own) === 0 ? 1 : length(seen) / length(own), left: [] };
      }
      const { share, gaps } = coverageOf(asked.face, seen.map(strokeOf));
      return { view, share, left: gaps.flatMap(({ pieces: parts }) => parts) };
    },
  );
  return { views, isWhole: views.every(({ share }) => share >= 1 - 1e-9) };
}

const strokeOf = (piece: LookPiece): Stroke =>
  squareStroke(pieceKey(piece), piece.from, piece.to, piece.width_mm);

/** How long one piece takes, s: a strip by its area, a piece of an edge the same for all. */
export const pieceTime = ({ view, from, to, width_mm }: LookPiece): number =>
  view === 'edges'
    ? SECONDS_AN_EDGE
    : ((view === 'warm air' ? WARM_SECONDS_A_M2 : SECONDS_A_M2) *
        Math.hypot(to.x - from.x, to.y - from.y) *
        width_mm) /
      MM2_PER_M2;

/** How long a round takes, s. */
export const roundTime = (area_m2: number, { isDark }: Pick<RoundAsked, 'isDark'>): number =>
  SECONDS_A_M2 * area_m2 * (isDark ? 4 : 3);
