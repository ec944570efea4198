import type { Lie, StripProblem } from '../by-hand/strip-problem';
import { type PieceMove, type Skyline, lowest, raised } from './skyline';

/** A way of looking: how many fronts are kept side by side, how many pieces are tried on each, how much chance is in it. */
export interface BeamWays {
  readonly fronts: number;
  readonly tries: number;
  readonly chance: number;
  /** How much each piece is worth, by kind: its area, or area mixed with its price in the bound. */
  readonly worth: readonly number[];
  readonly random: () => number;
}

/** A front with what is left, and the way it came about. */
interface Node {
  readonly skyline: Skyline;
  readonly left: Uint16Array;
  readonly worth: number;
  readonly waste: number;
  readonly tallest: number;
  readonly narrowest: number;
  readonly before: Node | undefined;
  readonly move: PieceMove | undefined;
}

interface Child {
  readonly node: Node;
  readonly at: number;
  readonly lie: Lie;
  readonly x: number;
  readonly score: number;
  readonly mark: number;
}

/** Pieces that lie together across the whole roll, from 0 to `along`. */
export interface Block {
  readonly moves: readonly PieceMove[];
  readonly along: number;
}

/** Lays pieces: many fronts side by side grow piece by piece on their lowest stretch; those with the least waste for what they hold go on.
 *  @param pieces how many of each kind @param most only a shorter layout is of use
 *  @returns undefined when every front grew too long; yields now and then so that it can be stopped */
export function* beam({ width, lies, kinds }: StripProblem, pieces: Uint16Array, ways: BeamWays, most: number): Generator<undefined, Block | undefined> {
  let [total, area] = [0, 0];
  kinds.forEach(({ across, along }, kind) => { total += pieces[kind] ?? 0; area += across * along * (pieces[kind] ?? 0); });
  const order = lies.filter(({ kind }) => (pieces[kind] ?? 0) > 0).sort((a, b) => a.across - b.across);
  let nodes: readonly Node[] = [{
    skyline: { starts: Int32Array.of(0), heights: Int32Array.of(0) }, left: Uint16Array.from(pieces), worth: 0, waste: 0, tallest: 0, narrowest: order[0]?.across ?? width, before: undefined, move: undefined,
  }];
  const slack = (most - 1) * width - area;
  for (let placed = 0; placed < total; placed += 1) {
    const children: Child[] = [];
    for (const node of nodes) expand(width, order, node, ways, slack, most, children);
    if (children.length === 0) return undefined;
    nodes = chosen(children, ways.fronts).map((child) => grown(width, order, child));
    if ((placed & 7) === 7) yield undefined;
  }
  const best = nodes.reduce((least, node) => (node.tallest < least.tallest ? node : least));
  const moves: PieceMove[] = [];
  for (let node: Node | undefined = best; node?.move !== undefined; node = node.before) moves.push(node.move);
  return best.tallest < most ? { moves: moves.reverse(), along: best.tallest } : undefined;
}

function expand(width: number, order: readonly Lie[], start: Node, { tries, chance, worth, random }: BeamWays, slack: number, most: number, children: Child[]): void {
  let node = start;
  /** Stretches too narrow for anything are filled up first. */
  for (;;) {
    if (node.waste > slack) return;
    const { starts, heights } = node.skyline;
    const at = lowest(node.skyline);
    const from = starts[at] ?? 0;
    const to = starts[at + 1] ?? width;
    const y = heights[at] ?? 0;
    const gap = to - from;
    const [leftWall, rightWall] = [at === 0 ? Number.POSITIVE_INFINITY : (heights[at - 1] ?? 0), at === heights.length - 1 ? Number.POSITIVE_INFINITY : (heights[at + 1] ?? 0)];
    const found: { lie: Lie; x: number; own: number }[] = [];
    let worst = Number.NEGATIVE_INFINITY;
    for (const lie of order) {
      if (lie.across > gap) break;
      if ((node.left[lie.kind] ?? 0) === 0) continue;
      const rest = gap - lie.across;
      const top = y + lie.along;
      if (top >= most) continue;
      const flushLeft = top === leftWall;
      const flushRight = top === rightWall;
      if (lie.wantsEdge && from !== 0 && to !== width) continue;
      let own = rest === 0 ? 2 : rest < node.narrowest ? -1.5 * (rest / gap) : 0;
      if (flushLeft || flushRight) own += 0.8;
      own += (1.2 * lie.across) / width + (0.6 * (worth[lie.kind] ?? 0)) / (lie.across * lie.along);
      if (rest > 0 && rest < gap && canFill(node, order, rest)) own += 0.5;
      own += chance * random();
      if (found.length >= tries && own <= worst) continue;
      const isLeft = lie.wantsEdge ? from === 0 : rest === 0 || flushLeft || (!flushRight && leftWall >= rightWall);
      found.push({ lie, x: isLeft ? from : to - lie.across, own });
      if (found.length > tries) { let drop = 0; for (let index = 1; index < found.length; index += 1) if ((found[index]?.own ?? 0) < (found[drop]?.own ?? 0)) drop = index; found.splice(drop, 1); }
      if (found.length === tries) { worst = Number.POSITIVE_INFINITY; for (const { own: value } of found) worst = Math.min(worst, value); }
    }
    for (const { lie, x } of found) {
      const rest = gap - lie.across;
      const other = x === from ? rightWall : leftWall;
      const extra = rest > 0 && rest < node.narrowest ? rest * (Math.min(y + lie.along, other) - y) : 0;
      const waste = node.waste + (Number.isFinite(extra) ? extra : rest * lie.along);
      if (waste > slack) continue;
      const held = node.worth + (worth[lie.kind] ?? 0);
      children.push({ node, at, lie, x, score: (waste + 0.02 * Math.max(0, y + lie.along - node.tallest) * width * 0.1) / held, mark: held * 7.13 + waste * 3.77 + x * 0.31 + lie.along * 0.017 });
    }
    if (found.length > 0) return;
    const up = Math.min(leftWall, rightWall);
    if (!Number.isFinite(up)) return;
    node = { ...node, skyline: raised(node.skyline, width, at, from, to, up), waste: node.waste + gap * (up - y) };
  }
}

/** Whether some piece left is exactly so wide. */
function canFill({ left }: Node, order: readonly Lie[], across: number): boolean {
  let [low, high] = [0, order.length - 1];
  while (low <= high) {
    const middle = (low + high) >> 1;
    const own = order[middle]?.across ?? 0;
    if (own < across) low = middle + 1;
    else if (own > across) high = middle - 1;
    else {
      for (let index = middle; index >= 0 && order[index]?.across === across; index -= 1) if ((left[order[index]?.kind ?? -1] ?? 0) > 0) return true;
      for (let index = middle + 1; index < order.length && order[index]?.across === across; index += 1) if ((left[order[index]?.kind ?? -1] ?? 0) > 0) return true;
      return false;
    }
  }
  return false;
}

/** The best of them, each front once. */
function chosen(children: Child[], fronts: number): readonly Child[] {
  children.sort((a, b) => a.score - b.score);
  const seen = new Set<number>();
  const kept: Child[] = [];
  for (const child of children) {
    if (seen.has(child.mark)) continue;
    seen.add(child.mark);
    kept.push(child);
    if (kept.length === fronts) break;
  }
  return kept;
}

function grown(width: number, order: readonly Lie[], { node, at, lie, x }: Child): Node {
  const left = Uint16Array.from(node.left);
  left[lie.kind] = (left[lie.kind] ?? 1) - 1;
  const y = node.skyline.heights[at] ?? 0;
  const skyline = raised(node.skyline, width, at, x, x + lie.across, y + lie.along);
  let { narrowest } = node;
  if ((left[lie.kind] ?? 0) === 0 && lie.across <= narrowest) narrowest = order.find(({ kind }) => (left[kind] ?? 0) > 0)?.across ?? width;
  return { skyline, left, narrowest, worth: node.worth + lie.across * lie.along, waste: node.waste, tallest: Math.max(node.tallest, y + lie.along), before: node, move: { lie, x, y } };
}
