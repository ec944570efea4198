import type { Band, Column } from '../by-hand/band';
import type { Lie } from '../by-hand/strip-problem';
import { Selections } from './selections';

export interface FewPieces {
  readonly width: number;
  /** The ways pieces can lie; a kind may come twice. */
  readonly lies: readonly Lie[];
  /** How many of each kind there are. */
  readonly left: ArrayLike<number>;
  readonly stages: 2 | 3;
  /** Columns of a band that can lie at a factory edge, and columns it may have at all. */
  readonly edges: number;
  readonly mostColumns: number;
  /** Longest band. */
  readonly mostBand: number;
  /** Only layouts not longer than this are of use. */
  readonly most: number;
}

/** Several columns side by side: width, length, columns at a factory edge, columns in all. */
type Front = readonly number[];
const ENTRY = 4;
const NEVER = Number.MAX_SAFE_INTEGER;

/** The shortest layout in bands of all pieces given, proven: a dynamic programme over every selection of them.
 *  @returns its bands, shortest in all; undefined when none is as short as `most`. Work grows with the square of `selectionsOf`, at worst
 *  @source own; the recursion is the exact one for three-stage guillotine cutting with trimming (from memory: Gilmore and Gomory 1965) */
export function bestBands({ width, lies, left, stages, edges, mostColumns, mostBand, most }: FewPieces): readonly Band[] | undefined {
  const kinds = [...new Set(lies.map(({ kind }) => kind))].filter((kind) => (left[kind] ?? 0) > 0);
  const quantities = kinds.map((kind) => left[kind] ?? 0);
  const ways = kinds.map((kind) => lies.filter((lie) => lie.kind === kind && lie.across <= width && lie.along <= mostBand));
  if (ways.some((own) => own.length === 0)) return undefined;
  const selections = new Selections(quantities, ways.map(([way]) => (way === undefined ? 0 : way.across * way.along)));
  const { count: states, area, parts: subs } = selections;
  const spare = most * width - (area[states - 1] ?? 0);
  if (spare < 0) return undefined;

  const columns: Front[] = [];
  const bands: Front[] = [[0, 0, 0, 0]];
  const bandLength = new Float64Array(states).fill(NEVER);
  const shortest = new Float64Array(states).fill(NEVER);
  shortest[0] = 0;

  for (let state = 1; state < states; state += 1) {
    const own = selections.digits(state);
    columns[state] = stages === 2 && own.reduce((sum, count) => sum + count, 0) > 1 ? [] : columnFront(own, ways, width, mostBand, (area[state] ?? 0) + spare, edges);
    const parts = selections.partsOf(state);
    const front: number[] = [];
    for (let index = 0; index < parts; index += 1) {
      const part = subs[index] ?? 0;
      const column = columns[part];
      const beside = bands[state - part];
      if (column === undefined || beside === undefined || column.length === 0 || beside.length === 0) continue;
      join(front, column, beside, { width, edges, mostColumns, mostArea: (area[state] ?? 0) + spare });
    }
    bands[state] = front;
    let least = NEVER;
    for (let at = 0; at < front.length; at += ENTRY) least = Math.min(least, front[at + 1] ?? NEVER);
    if (least * width - (area[state] ?? 0) <= spare) bandLength[state] = least;
    let best = bandLength[state] ?? NEVER;
    for (let index = 0; index < parts; index += 1) {
      const part = subs[index] ?? 0;
      const sum = (bandLength[part] ?? NEVER) + (shortest[state - part] ?? NEVER);
      if (sum < best) best = sum;
    }
    shortest[state] = best * width - (area[state] ?? 0) <= spare ? best : NEVER;
  }
  if ((shortest[states - 1] ?? NEVER) > most || (shortest[states - 1] ?? NEVER) >= NEVER) return undefined;

  /** The way back: what gave each best value is looked for again. */
  const found: Band[] = [];
  for (let state = states - 1; state > 0; ) {
    const parts = selections.partsOf(state);
    let part = state;
    for (let index = 0; index < parts; index += 1) { const own = subs[index] ?? 0; if (Math.abs((bandLength[own] ?? NEVER) + (shortest[state - own] ?? NEVER) - (shortest[state] ?? 0)) < 1e-9) { part = own; break; } }
    found.push(bandOf(part));
    state -= part;
  }
  return found;

  function bandOf(whole: number): Band {
    const along = bandLength[whole] ?? 0;
    const made: Column[] = [];
    let [state, room, atEdge, count] = [whole, width, edges, mostColumns];
    while (state > 0) {
      const parts = selections.partsOf(state);
      let next: { readonly part: number; readonly across: number; readonly edge: number } | undefined;
      for (let index = 0; index < parts && next === undefined; index += 1) {
        const part = subs[index] ?? 0;
        const column = columns[part] ?? [];
        for (let at = 0; at < column.length && next === undefined; at += ENTRY) {
          const [across = 0, length = 0, edge = 0] = [column[at], column[at + 1], column[at + 2]];
          if (length <= along && fitsBeside(bands[state - part] ?? [], room - across, along, atEdge - edge, count - 1)) next = { part, across, edge };
        }
      }
      if (next === undefined) throw new RangeError('a band that was found cannot be made');
      made.push(columnOf(selections.digits(next.part), next.across));
      state -= next.part;
      room -= next.across;
      atEdge -= next.edge;
      count -= 1;
    }
    return { along, columns: made, filled: area[whole] ?? 0 };
  }

  function columnOf(counts: readonly number[], across: number): Column {
    const pieces = counts.flatMap((count, at): Lie[] => {
      const way = (ways[at] ?? []).filter((lie) => lie.across <= across).reduce<Lie | undefined>((least, lie) => (least === undefined || lie.along < least.along ? lie : least), undefined);
      return way === undefined ? [] : Array.from({ length: count }, () => way);
    });
    return { across: pieces.reduce((widest, lie) => Math.max(widest, lie.across), 0), pieces };
  }
}

function fitsBeside(front: Front, room: number, along: number, edges: number, columns: number): boolean {
  if (room < 0 || edges < 0 || columns < 0) return false;
  for (let at = 0; at < front.length; at += ENTRY) if ((front[at] ?? 0) <= room && (front[at + 1] ?? 0) <= along && (front[at + 2] ?? 0) <= edges && (front[at + 3] ?? 0) <= columns) return true;
  return false;
}

/** One column of all these pieces: for each width it may have, its length. */
function columnFront(counts: readonly number[], ways: readonly (readonly Lie[])[], width: number, mostBand: number, mostArea: number, edges: number): Front {
  const widths = [...new Set(counts.flatMap((count, at) => (count > 0 ? (ways[at] ?? []).map(({ across }) => across) : [])))].sort((a, b) => a - b);
  const front: number[] = [];
  let least = NEVER;
  for (const across of widths) {
    if (across > width) break;
    let [length, edge, fits] = [0, 0, true];
    for (let at = 0; at < counts.length && fits; at += 1) {
      const count = counts[at] ?? 0;
      if (count === 0) continue;
      let shortest = NEVER;
      for (const lie of ways[at] ?? []) { if (lie.across <= across && lie.along < shortest) shortest = lie.along; if (lie.wantsEdge) edge = 1; }
      fits = shortest < NEVER;
      length += count * shortest;
    }
    if (!fits || length >= least || length > mostBand || edge > edges || across * length > mostArea) continue;
    least = length;
    front.push(across, length, edge, 1);
  }
  return front;
}

/** All ways of putting a column beside columns, those that another way beats left out. */
function join(front: number[], column: Front, beside: Front, { width, edges, mostColumns, mostArea }: { readonly width: number; readonly edges: number; readonly mostColumns: number; readonly mostArea: number }): void {
  for (let one = 0; one < column.length; one += ENTRY) {
    for (let other = 0; other < beside.length; other += ENTRY) {
      const across = (column[one] ?? 0) + (beside[other] ?? 0);
      if (across > width) continue;
      const along = Math.max(column[one + 1] ?? 0, beside[other + 1] ?? 0);
      const edge = (column[one + 2] ?? 0) + (beside[other + 2] ?? 0);
      const count = 1 + (beside[other + 3] ?? 0);
      if (edge > edges || count > mostColumns || across * along > mostArea) continue;
      let isBeaten = false;
      for (let at = 0; at < front.length && !isBeaten; at += ENTRY) isBeaten = (front[at] ?? 0) <= across && (front[at + 1] ?? 0) <= along && (front[at + 2] ?? 0) <= edge && (front[at + 3] ?? 0) <= count;
      if (isBeaten) continue;
      let to = 0;
      for (let at = 0; at < front.length; at += ENTRY) {
        if ((front[at] ?? 0) >= across && (front[at + 1] ?? 0) >= along && (front[at + 2] ?? 0) >= edge && (front[at + 3] ?? 0) >= count) continue;
        for (let field = 0; field < ENTRY; field += 1) front[to + field] = front[at + field] ?? 0;
        to += ENTRY;
      }
      front.length = to;
      front.push(across, along, edge, count);
    }
  }
}
