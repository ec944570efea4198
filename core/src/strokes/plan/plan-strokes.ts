import { type Coverage, coverageOf } from '../judge/coverage';
import { edgeStrokes, nearestUpright, uprightAlong } from './edge-strokes';
import { type Face, boundsOf, nearestOn, sidesOf } from '../face';
import { type Findings, type Trap, findingsOf } from '../judge/findings';
import { type Tool, lanesOf } from './lanes';
import { type LockFigure, lockStrokes } from './lock-strokes';
import { type Stroke, reversed, squareStroke, wayBetween } from '../stroke';

interface PlanAsked {
  readonly lock: LockFigure;
  /** The half that is finished first. */
  readonly first: 'left' | 'right';
  readonly isDry?: boolean;
  readonly cell_mm?: number;
}

/** Strokes in order, with what they reach and what is wrong with them. */
interface PlannedStrokes {
  readonly strokes: readonly Stroke[];
  readonly coverage: Coverage;
  readonly findings: Findings;
}

/** More is missed only where a stroke is missing: rounding leaves less. */
const ALL_BUT = 1e-10;
const MOST_TRIES = 120;

/**
 * Strokes over a face: lock, lanes, edges; what is still missed is reached by an upright blade along the edge
 * above or below it. A trap is mended by another order of the edge strokes, else by one stroke more from it
 * to the nearest way out.
 * @source model 1.6: lanes and upright blades along all edges cover any face, its holes and arcs included
 */
export function planStrokes(face: Face, tool: Tool, asked: PlanAsked): PlannedStrokes {
  const { left, right } = boundsOf(face);
  const lock = lockStrokes(face, tool, asked.lock);
  const lanes = lanesOf(face, tool, {
    spine_mm: (left + right) / 2,
    first: asked.first,
    from: asked.lock === 'X' ? 'the middle' : 'the top',
  });
  const edges = withoutGaps(face, tool, [...lock, ...lanes], edgeStrokes(face, tool));
  const found = (own: readonly Stroke[]): Findings =>
    findingsOf(face, own, { ...asked, blade_mm: tool.blade_mm });
  const { strokes, findings } = withoutTraps([...lock, ...lanes], edges, found, { face, tool });
  return { strokes, coverage: coverageOf(face, strokes), findings };
}

/** Sides are finite, and each is gone along once: it ends. */
function withoutGaps(
  face: Face,
  tool: Tool,
  before: readonly Stroke[],
  edges: readonly Stroke[],
): readonly Stroke[] {
  const added = new Map<number, Stroke>();
  for (;;) {
    const all = [...edges, ...added.values()];
    const { gaps, share } = coverageOf(face, [...before, ...all]);
    if (share >= 1 - ALL_BUT) return all;
    const more = gaps.flatMap(({ at }) => {
      const side = nearestUpright(face, at);
      const stroke = side === undefined || added.has(side) ? undefined : uprightAlong(face, side, tool);
      return side === undefined || stroke === undefined ? [] : [[side, stroke] as const];
    });
    if (more.length === 0) return all;
    for (const [side, stroke] of more) added.set(side, stroke);
  }
}

const faultsOf = ({ vents, lifted }: Findings): number => vents + lifted.length;

/**
 * A stroke that shuts something in is tried at every other place among the edge strokes, then every other
 * one.
 */
function withoutTraps(
  before: readonly Stroke[],
  edges: readonly Stroke[],
  found: (own: readonly Stroke[]) => Findings,
  { face, tool }: { readonly face: Face; readonly tool: Tool },
): Pick<PlannedStrokes, 'strokes' | 'findings'> {
  let [own, now, tries] = [edges, found([...before, ...edges]), 0];
  for (let isBetter = true; now.vents > 0 && isBetter && tries < MOST_TRIES;) {
    isBetter = false;
    for (const other of otherOrders(own, now, before.length)) {
      if (tries >= MOST_TRIES) break;
      tries += 1;
      const then = found([...before, ...other]);
      if (faultsOf(then) >= faultsOf(now)) continue;
      [own, now, isBetter] = [other, then, true];
      break;
    }
  }
  const strokes = [...before, ...own];
  if (now.vents === 0) return { strokes, findings: now };
  const finished = [...strokes, ...now.traps.flatMap((trap, index) => finishOf(face, tool, trap, index))];
  return { strokes: finished, findings: found(finished) };
}

/** The edge strokes with one of them moved or led the other way: first those that seal a trap. */
function* otherOrders(
  edges: readonly Stroke[],
  { traps }: Findings,
  before: number,
): Generator<readonly Stroke[]> {
  const sealing = [...new Set(traps.flatMap(({ sealedBy }) => sealedBy ?? []))]
    .map((index) => edges[index - before])
    .filter((stroke) => stroke !== undefined);
  for (const stroke of new Set([...sealing, ...edges])) {
    const rest = edges.filter((own) => own !== stroke);
    for (let at = rest.length; at >= 0; at -= 1) yield [...rest.slice(0, at), stroke, ...rest.slice(at)];
    yield edges.map((own) => (own === stroke ? reversed(own) : own));
  }
}

/** From what is shut in to the nearest open side. */
function finishOf(face: Face, tool: Tool, { at }: Trap, index: number): readonly Stroke[] {
  const out = sidesOf(face)
    .filter(({ isClosed }) => !isClosed)
    .map((side) => nearestOn(side, at))
    .toSorted((a, b) => wayBetween(a, at) - wayBetween(b, at))[0];
  if (out === undefined || wayBetween(out, at) === 0) return [];
  return [{ ...squareStroke(`finish ${index + 1}`, at, out, tool.card_mm), part: 'finish' }];
}
