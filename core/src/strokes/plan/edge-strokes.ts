import { type Face, type Side, type Spot, sidesOf } from '../face';
import type { Tool } from './lanes';
import { LEVEL, type Stroke, UPRIGHT, startOf } from '../stroke';

/** A piece of an edge led downhill. */
interface EdgePiece {
  readonly from: Spot;
  readonly to: Spot;
  /** Of the side it is a piece of. */
  readonly side: number;
  readonly isSteep: boolean;
  readonly isLevel: boolean;
  /** To which side of the edge film lies: up or down for a flat edge, right or left for a steep one. */
  readonly inward: 1 | -1;
}

/** Sides that turn less than this into each other are one edge, such as an arch. */
const SMOOTH_DEG = 30;
const LEVEL_SHARE = 1e-6;

/** Pieces of the edges, each led downhill; level ones from their middle to both corners. */
function piecesOf(face: Face): readonly EdgePiece[] {
  return sidesOf(face).flatMap((own, side): EdgePiece[] => {
    const { from, to } = own;
    const [dx, dy] = [to.x - from.x, to.y - from.y];
    const isSteep = Math.abs(dy) >= Math.abs(dx);
    // Film lies to the left of a side.
    const inward = isSteep ? (dy > 0 ? -1 : 1) : dx > 0 ? 1 : -1;
    if (Math.abs(dy) <= LEVEL_SHARE * Math.abs(dx)) {
      const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
      return [from, to].map((corner) => ({ from: middle, to: corner, side, isSteep, isLevel: true, inward }));
    }
    const [high, low] = dy < 0 ? [from, to] : [to, from];
    return [{ from: high, to: low, side, isSteep, isLevel: false, inward }];
  });
}

const isSame = (a: Spot, b: Spot): boolean => a.x === b.x && a.y === b.y;

function turnsLittle(before: EdgePiece, after: EdgePiece): boolean {
  const [a, b] = [before, after].map(({ from, to }) => Math.atan2(to.y - from.y, to.x - from.x)) as [
    number,
    number,
  ];
  const turn = Math.abs(((b - a + 3 * Math.PI) % (2 * Math.PI)) - Math.PI);
  return (turn * 180) / Math.PI < SMOOTH_DEG;
}

/** Pieces that lead on into each other are one stroke, its blade not turned on the way. */
function chainsOf(pieces: readonly EdgePiece[]): readonly (readonly EdgePiece[])[] {
  const isTaken = new Set<EdgePiece>();
  const leadsOn = (before: EdgePiece, after: EdgePiece): boolean =>
    !isTaken.has(after) &&
    before !== after &&
    before.isSteep === after.isSteep &&
    before.inward === after.inward &&
    isSame(before.to, after.from) &&
    turnsLittle(before, after);
  return pieces
    .toSorted((a, b) => b.from.y - a.from.y)
    .flatMap((first) => {
      if (isTaken.has(first)) return [];
      isTaken.add(first);
      const chain = [first];
      for (;;) {
        const last = chain.at(-1) ?? first;
        const after = pieces.find((own) => leadsOn(last, own));
        if (after === undefined) return [chain];
        isTaken.add(after);
        chain.push(after);
      }
    });
}

/**
 * Strokes along all edges: downhill, level ones from the middle to the corners, the highest first; all edges
 * flatter than 45° before the steep ones, as steep ones first shut water into the lower corners (model 1.6).
 */
export function edgeStrokes(face: Face, tool: Tool): readonly Stroke[] {
  const strokes = chainsOf(piecesOf(face)).map((chain) => ({ chain, stroke: chainStroke(chain, tool) }));
  const highestFirst = (isSteep: boolean): readonly Stroke[] =>
    strokes
      .filter(({ chain }) => chain[0]?.isSteep === isSteep)
      .map(({ stroke }) => stroke)
      .toSorted((a, b) => startOf(b).y - startOf(a).y);
  return [...highestFirst(false), ...highestFirst(true)];
}

function chainStroke(chain: readonly EdgePiece[], { blade_mm, card_mm }: Tool): Stroke {
  const [first] = chain;
  const path = [...chain.map(({ from }) => from), ...chain.slice(-1).map(({ to }) => to)];
  const key = `edge ${(first?.side ?? 0) + 1}${first?.isLevel === true ? ((path.at(-1)?.x ?? 0) > (path[0]?.x ?? 0) ? ' right' : ' left') : ''}`;
  const inward = first?.inward ?? 1;
  if (first?.isSteep !== true) {
    const depth = chain.every(({ isLevel }) => isLevel) ? Math.min(card_mm, blade_mm) : blade_mm;
    return edgeStroke(key, path, UPRIGHT, inward * depth);
  }
  const lean = Math.max(...chain.map(({ from, to }) => Math.abs((to.x - from.x) / (to.y - from.y))));
  return edgeStroke(key, path, LEVEL, inward * Math.max(Math.min(card_mm, blade_mm), blade_mm * lean));
}

const edgeStroke = (key: string, path: readonly Spot[], along: Spot, depth: number): Stroke => ({
  key,
  part: 'edge',
  path,
  blade: { along, from_mm: Math.min(0, depth), to_mm: Math.max(0, depth) },
});

/** One side gone along with the upright blade: what closes a gap above or below it. */
export function uprightAlong(face: Face, side: number, { blade_mm }: Tool): Stroke | undefined {
  const own: Side | undefined = sidesOf(face)[side];
  if (own === undefined || own.from.x === own.to.x) return undefined;
  const path = own.from.y >= own.to.y ? [own.from, own.to] : [own.to, own.from];
  return edgeStroke(`edge ${side + 1} upright`, path, UPRIGHT, own.to.x > own.from.x ? blade_mm : -blade_mm);
}

/** The side that meets the upright line through a place nearest to it; undefined: none does. */
export function nearestUpright(face: Face, { x, y }: Spot): number | undefined {
  let best: { readonly side: number; readonly away: number } | undefined;
  sidesOf(face).forEach(({ from, to }, side) => {
    if (from.x > x === to.x > x) return;
    const away = Math.abs(from.y + ((x - from.x) * (to.y - from.y)) / (to.x - from.x) - y);
    if (best === undefined || away < best.away) best = { side, away };
  });
  return best?.side;
}
