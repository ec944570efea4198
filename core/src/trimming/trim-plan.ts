import type { CutMethod } from '../job';
import { GEOMETRY, type Formula, type Reasoned, reasonedBy } from '../quantity';

/** mm, x to the right and y upwards, as whoever trims sees it. */
export interface TrimSpot {
  readonly x: number;
  readonly y: number;
}

export const EDGE_NAMES = ['top', 'right', 'bottom', 'left'] as const;
export type EdgeName = (typeof EDGE_NAMES)[number];

/** Why an edge is not trimmed. */
export const NOT_TRIMMED = [
  'factory edge',
  'squared cut',
  'cut to outline',
  'beads out',
  'turned',
  'at another step',
] as const;
export type NotTrimmed = (typeof NOT_TRIMMED)[number];

/** What decides which edges are trimmed. */
export interface TrimAsked {
  /** The surface, without a last corner that is the first. */
  readonly outline: readonly TrimSpot[];
  readonly method: CutMethod;
  /** How much film stands over on each side, mm, as whoever trims sees it. */
  readonly over: Readonly<Record<EdgeName, number>>;
  readonly factoryEdge: 'at the top' | 'at one side' | 'none';
  /** Edges that are trimmed at this step alone; absent: all. */
  readonly only?: readonly EdgeName[] | undefined;
  /** The school; undefined: the way has none, a top corner down. */
  readonly from: 'the middle to the corners' | 'a top corner down';
  /** As far as one cuts without moving one's feet. */
  readonly reach_mm: number;
  /** Cut that a point of a blade is good for. */
  readonly point_mm: number;
  readonly gap_mm: { readonly least: number; readonly most: number };
}

export interface TrimEdge {
  readonly edge: EdgeName;
  readonly path: readonly TrimSpot[];
  readonly length_mm: number;
  /** Null: it is trimmed. */
  readonly why: NotTrimmed | null;
}

export interface TrimCut {
  readonly number: number;
  readonly edge: EdgeName;
  readonly path: readonly TrimSpot[];
  readonly length_mm: number;
  /** Longer than one reaches, it is cut in two, the film held between. */
  readonly goes: number;
}

export interface TrimPlan {
  readonly edges: readonly TrimEdge[];
  /** In order. */
  readonly cuts: readonly TrimCut[];
  /** A finger presses these in before a blade comes near. */
  readonly corners: readonly TrimSpot[];
  readonly length_mm: Reasoned<number>;
  readonly points: Reasoned<number>;
  /**
   * Share of the surface that stays open round the film, at the narrowest and the widest gap; null: no gap is
   * cut.
   */
  readonly lightGap: { readonly least: Reasoned<number>; readonly most: Reasoned<number> } | null;
}

export const TRIM_FORMULAS = {
  length: {
    id: 'trimming.length',
    word: 'length to trim',
    says: 'L = Σ edges that are trimmed',
    unit: 'mm',
    source: GEOMETRY,
    inputs: { sum_mm: { word: 'edges that are trimmed, together', unit: 'mm' } },
    of: ({ sum_mm }) => sum_mm,
  } satisfies Formula<{ readonly sum_mm: number }>,
  points: {
    id: 'trimming.points',
    word: 'points of a blade',
    says: 'n = ⌈L ÷ what a point is good for⌉, at least one a pane',
    unit: 'points',
    source: {
      kind: 'our guess',
      text: 'a fresh point for every pane: common practice; how far a point is good for: our guess, see Settings',
    },
    inputs: {
      length_mm: { word: 'length to trim', unit: 'mm' },
      point_mm: { word: 'cut that a point is good for', unit: 'mm' },
    },
    of: ({ length_mm, point_mm }) => (length_mm === 0 ? 0 : Math.max(1, Math.ceil(length_mm / point_mm))),
  } satisfies Formula<{ readonly length_mm: number; readonly point_mm: number }>,
  gap: {
    id: 'trimming.gap',
    word: 'share that stays open round the film',
    says: 's = gap · L ÷ A',
    unit: 'share',
    source: {
      kind: 'our guess',
      text: 'plane geometry; the gap of a trimmed edge, 1.5 to 3 mm, is our guess',
    },
    inputs: {
      gap_mm: { word: 'gap', unit: 'mm' },
      length_mm: { word: 'length to trim', unit: 'mm' },
      area_mm2: { word: 'surface', unit: 'mm²' },
    },
    of: ({ gap_mm, length_mm, area_mm2 }) => (gap_mm * length_mm) / area_mm2,
  } satisfies Formula<{ readonly gap_mm: number; readonly length_mm: number; readonly area_mm2: number }>,
} as const;

/** Sides that turn more than this into each other meet in a corner. */
const CORNER_DEG = 30;

/**
 * Which edges are trimmed, in what order, which way, in how many goes, and how many points that takes.
 * @source order and goes: common practice, no published source; that the film hangs by its top, so that the
 * top comes first: our guess
 */
export function trimPlan(asked: TrimAsked): TrimPlan {
  const found = edgesOf(asked.outline);
  const edges = found.map((own) => ({ ...own, why: notTrimmed(asked, own.edge) }));
  const cuts = cutsOf(
    edges.filter(({ why }) => why === null),
    asked,
  ).map((cut, index) => ({ number: index + 1, ...cut }));
  const length = reasonedBy(TRIM_FORMULAS.length, { sum_mm: sum(cuts.map(({ length_mm }) => length_mm)) });
  const points = reasonedBy(TRIM_FORMULAS.points, { length_mm: length.value, point_mm: asked.point_mm });
  const area_mm2 = Math.abs(turnOf(asked.outline));
  const gap = (gap_mm: number): Reasoned<number> =>
    reasonedBy(TRIM_FORMULAS.gap, { gap_mm, length_mm: length.value, area_mm2 });
  return {
    edges,
    cuts,
    corners: cornersOf(edges),
    length_mm: length,
    points,
    lightGap: cuts.length === 0 ? null : { least: gap(asked.gap_mm.least), most: gap(asked.gap_mm.most) },
  };
}

const sum = (values: readonly number[]): number => values.reduce((all, own) => all + own, 0);

function notTrimmed({ method, over, factoryEdge, only }: TrimAsked, edge: EdgeName): NotTrimmed | null {
  if (method === 'cut to outline') return 'cut to outline';
  if (method === 'security') return 'beads out';
  if (method === 'wrapped edges') return 'turned';
  const hangsByTheTop = method === 'dry-fitted' || method === 'cut to order';
  if (hangsByTheTop && edge === 'top' && factoryEdge === 'at the top') return 'factory edge';
  if (only?.includes(edge) === false) return 'at another step';
  if (over[edge] > 0) return null;
  return edge === 'top' ? 'squared cut' : 'factory edge';
}

const turnOf = (outline: readonly TrimSpot[]): number =>
  sum(
    outline.map(({ x, y }, index) => {
      const next = outline[(index + 1) % outline.length] ?? { x, y };
      return (x * next.y - next.x * y) / 2;
    }),
  );

const wayOf = (path: readonly TrimSpot[]): number =>
  sum(
    path.slice(1).map(({ x, y }, index) => Math.hypot(x - (path[index]?.x ?? x), y - (path[index]?.y ?? y))),
  );

/** Edges between corners, counter-clockwise; a round outline is one edge from its top to its top. */
function edgesOf(outline: readonly TrimSpot[]): readonly Omit<TrimEdge, 'why'>[] {
  const ring = turnOf(outline) > 0 ? outline : outline.toReversed();
  const at = (index: number): TrimSpot => ring[(index + ring.length) % ring.length] ?? { x: 0, y: 0 };
  const corners = ring.flatMap((_, index) =>
    turnAt(at(index - 1), at(index), at(index + 1)) > CORNER_DEG ? [index] : [],
  );
  const highest = ring.reduce((best, { y }, index) => (y > (ring[best]?.y ?? -Infinity) ? index : best), 0);
  const starts = corners.length === 0 ? [highest] : corners;
  return starts.map((start, index) => {
    const next = starts[(index + 1) % starts.length] ?? start;
    const count = next > start ? next - start : next - start + ring.length;
    const path = Array.from({ length: count + 1 }, (_, step) => at(start + step));
    return { edge: nameOf(path), path, length_mm: wayOf(path) };
  });
}

function turnAt(before: TrimSpot, own: TrimSpot, after: TrimSpot): number {
  const [a, b] = [
    Math.atan2(own.y - before.y, own.x - before.x),
    Math.atan2(after.y - own.y, after.x - own.x),
  ];
  const turn = Math.abs(((b - a + 3 * Math.PI) % (2 * Math.PI)) - Math.PI);
  return (turn * 180) / Math.PI;
}

/** By where it faces: film lies to the left of it. */
function nameOf(path: readonly TrimSpot[]): EdgeName {
  const [first, last] = [path[0], path.at(-1)];
  if (first === undefined || last === undefined || (first.x === last.x && first.y === last.y)) return 'top';
  const [out, up] = [last.y - first.y, first.x - last.x];
  if (Math.abs(up) >= Math.abs(out)) return up > 0 ? 'top' : 'bottom';
  return out > 0 ? 'right' : 'left';
}

const IN_TURN: readonly EdgeName[] = ['top', 'left', 'right', 'bottom'];

/** The top first, as film hangs by it; then the sides, downwards; the bottom last. */
function cutsOf(
  edges: readonly TrimEdge[],
  { from, reach_mm }: TrimAsked,
): readonly Omit<TrimCut, 'number'>[] {
  return edges
    .toSorted((a, b) => IN_TURN.indexOf(a.edge) - IN_TURN.indexOf(b.edge))
    .flatMap(({ edge, path }) => {
      const downwards = isUpwards(path) ? path.toReversed() : path;
      const ways = from === 'the middle to the corners' || isClosed(path) ? halvesOf(downwards) : [downwards];
      return ways.map((own) => {
        const length_mm = wayOf(own);
        return { edge, path: own, length_mm, goes: Math.max(1, Math.ceil(length_mm / reach_mm)) };
      });
    });
}

const isClosed = (path: readonly TrimSpot[]): boolean => {
  const [first, last] = [path[0], path.at(-1)];
  return first !== undefined && last !== undefined && first.x === last.x && first.y === last.y;
};
const isUpwards = (path: readonly TrimSpot[]): boolean => (path.at(-1)?.y ?? 0) > (path[0]?.y ?? 0);

/** From half way along to both ends; a closed edge from its top down both sides. */
function halvesOf(path: readonly TrimSpot[]): readonly (readonly TrimSpot[])[] {
  const half = wayOf(path) / 2;
  let gone = 0;
  for (const [index, to] of path.slice(1).entries()) {
    const from = path[index] ?? to;
    const length = Math.hypot(to.x - from.x, to.y - from.y);
    if (gone + length >= half) {
      const share = length === 0 ? 0 : (half - gone) / length;
      const middle = { x: from.x + share * (to.x - from.x), y: from.y + share * (to.y - from.y) };
      const [before, after] = [
        [...path.slice(0, index + 1), middle],
        [middle, ...path.slice(index + 1)],
      ];
      return isClosed(path) ? [before, after.toReversed()] : [before.toReversed(), after];
    }
    gone += length;
  }
  return [path];
}

/** Where two edges meet of which one is trimmed. */
const cornersOf = (edges: readonly TrimEdge[]): readonly TrimSpot[] =>
  edges.flatMap((own, index) => {
    const next = edges[(index + 1) % edges.length];
    const corner = own.path.at(-1);
    const isCut = own.why === null || next?.why === null;
    return corner === undefined || !isCut || edges.length === 1 ? [] : [corner];
  });
