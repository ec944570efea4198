import type { StripProblem } from '../by-hand/strip-problem';
import type { Block, PieceMove } from '../free/beam';
import { Selections, selectionsOf } from './selections';

/** Boxes a selection fits into, none within another: across, along, the part laid first, how the parts lie. */
type Boxes = readonly number[];
const ENTRY = 4;
const [ALONE, BESIDE, BEHIND] = [0, 1, 2];

const MOST_SELECTIONS = 16_400;
/** With pieces that may turn there are more boxes to each. */
const MOST_TURNING = 4100;

/** Whether `shortestOfAnyCuts` can be asked: it takes about a second at most, and no piece wants an edge. */
export function isFewForAnyCuts({ kinds }: StripProblem): boolean {
  return kinds.every(({ wantsEdge }) => !wantsEdge) && selectionsOf(kinds.map(({ quantity }) => quantity)) <= (kinds.some(({ mayTurn }) => mayTurn) ? MOST_TURNING : MOST_SELECTIONS);
}

/** The shortest layout of all pieces that straight cuts from edge to edge take apart, in as many stages as it takes, proven: a dynamic programme over every selection and every way of parting it in two.
 *  No piece may want an edge. @param most in steps: only a layout not longer is of use @returns undefined when there is none. Work grows with the square of `selectionsOf`, at worst
 *  @source own; guillotine cutting by parting a box in two (from memory: Gilmore and Gomory 1966) */
export function shortestOfAnyCuts({ width, kinds, lies }: StripProblem, most: number): Block | undefined {
  const selections = new Selections(kinds.map(({ quantity }) => quantity), kinds.map(({ across, along }) => across * along));
  const { count, area, parts, all } = selections;
  const spare = most * width - (area[all] ?? 0);
  if (spare < 0) return undefined;
  const known: Boxes[] = [[]];
  for (let state = 1; state < count; state += 1) {
    const boxes: number[] = [];
    const mostArea = (area[state] ?? 0) + spare;
    const add = (across: number, along: number, part: number, way: number): void => {
      for (let at = 0; at < boxes.length; at += ENTRY) if ((boxes[at] ?? 0) <= across && (boxes[at + 1] ?? 0) <= along) return;
      let to = 0;
      for (let at = 0; at < boxes.length; at += ENTRY) {
        if ((boxes[at] ?? 0) >= across && (boxes[at + 1] ?? 0) >= along) continue;
        for (let field = 0; field < ENTRY; field += 1) boxes[to + field] = boxes[at + field] ?? 0;
        to += ENTRY;
      }
      boxes.length = to;
      boxes.push(across, along, part, way);
    };
    lies.forEach((lie, index) => { if ((kinds[lie.kind]?.quantity ?? 0) > 0 && selections.one(lie.kind) === state && lie.across * lie.along <= mostArea) add(lie.across, lie.along, index, ALONE); });
    const many = selections.partsOf(state);
    for (let index = 0; index < many; index += 1) {
      const part = parts[index] ?? 0;
      const first = known[part] as Boxes;
      const second = known[state - part];
      if (part !== state && first.length > 0 && second !== undefined && second.length > 0) partIn(first, second, width, mostArea, (across, along, way) => { add(across, along, part, way); });
    }
    known[state] = boxes;
  }
  const boxes = known[all] ?? [];
  let shortest = -1;
  for (let at = 0; at < boxes.length; at += ENTRY) if (shortest < 0 || (boxes[at + 1] ?? 0) < (boxes[shortest + 1] ?? 0)) shortest = at;
  if (shortest < 0 || (boxes[shortest + 1] ?? 0) > most) return undefined;
  const moves: PieceMove[] = [];
  place(all, shortest, 0, 0);
  return { along: boxes[shortest + 1] ?? 0, moves };

  /** The way back: which boxes of its two parts made a box is looked for again. */
  function place(state: number, at: number, x: number, y: number): void {
    const [across = 0, along = 0, part = 0, way = ALONE] = (known[state] ?? []).slice(at, at + ENTRY);
    const lie = lies[part];
    if (way === ALONE) { if (lie !== undefined) moves.push({ lie, x, y }); return; }
    const [first, second] = [known[part] ?? [], known[state - part] ?? []];
    for (let one = 0; one < first.length; one += ENTRY) {
      for (let other = 0; other < second.length; other += ENTRY) {
        const [w, h, v, u] = [first[one] ?? 0, first[one + 1] ?? 0, second[other] ?? 0, second[other + 1] ?? 0];
        const fits = way === BESIDE ? w + v <= across && Math.max(h, u) <= along : Math.max(w, v) <= across && h + u <= along;
        if (!fits) continue;
        place(part, one, x, y);
        place(state - part, other, way === BESIDE ? x + w : x, way === BESIDE ? y : y + h);
        return;
      }
    }
    throw new RangeError('a box that was found cannot be made');
  }
}

/** Every box that two parts make beside one another and behind one another, none wider or of more area than it may be. */
function partIn(first: Boxes, second: Boxes, width: number, mostArea: number, add: (across: number, along: number, way: number) => void): void {
  for (let one = 0; one < first.length; one += ENTRY) {
    const w = first[one] as number;
    const h = first[one + 1] as number;
    for (let other = 0; other < second.length; other += ENTRY) {
      const v = second[other] as number;
      const u = second[other + 1] as number;
      const longer = h > u ? h : u;
      const wider = w > v ? w : v;
      if (w + v <= width && (w + v) * longer <= mostArea) add(w + v, longer, BESIDE);
      if (wider * (h + u) <= mostArea) add(wider, h + u, BEHIND);
    }
  }
}
