import { floatAt, intAt, valueAt } from '../../quantity';

/**
 * Places that are pressed at some time, each beside others; some are open: air and water leave there. What is
 * not pressed yet is loose. A time of Infinity: never pressed.
 */
export interface EscapeNet {
  readonly count: number;
  readonly times: Float64Array;
  readonly isOpen: Uint8Array;
  /** Writes the neighbours of a place into `into`. @returns how many */
  readonly neighbours: (place: number, into: Int32Array) => number;
  readonly mostNeighbours: number;
}

/** Loose film that was shut in: nothing leaves it any more. */
export interface Bubble {
  /** Time at which its last way out was pressed; Infinity: it never had one. */
  readonly sealedAt: number;
  /** Places shut in then. */
  readonly places: readonly number[];
}

/**
 * Places that are pressed last of all around them and are not open, each group once: as many as vents would
 * be needed. An order shuts nothing in exactly if there are none.
 * @source model A4: just before its own pressing such a group is all that hangs together and is loose
 */
export function closedMaxima(net: EscapeNet): readonly (readonly number[])[] {
  const { count, times, isOpen, neighbours, mostNeighbours } = net;
  const seen = new Uint8Array(count);
  const into = new Int32Array(mostNeighbours);
  const found: number[][] = [];
  for (let first = 0; first < count; first += 1) {
    if (seen[first] === 1) continue;
    const time = floatAt(times, first);
    const level = [first];
    seen[first] = 1;
    let [isTop, isShut] = [true, true];
    for (let at = 0; at < level.length; at += 1) {
      const place = valueAt(level, at);
      if (isOpen[place] === 1) isShut = false;
      const many = neighbours(place, into);
      for (let n = 0; n < many; n += 1) {
        const other = intAt(into, n);
        const then = floatAt(times, other);
        if (then > time) isTop = false;
        else if (then === time && seen[other] === 0) {
          seen[other] = 1;
          level.push(other);
        }
      }
    }
    if (isTop && isShut) found.push(level);
  }
  return found;
}

/**
 * What is shut in, and when: time run backwards, places become loose one after the other; a closed group that
 * meets an open one was shut off from it at that time. Groups that were still one bubble when it was sealed
 * count once.
 */
export function bubblesOf(net: EscapeNet): readonly Bubble[] {
  const { count, times, isOpen, neighbours, mostNeighbours } = net;
  const order = Int32Array.from({ length: count }, (_, index) => index).sort(
    (a, b) => floatAt(times, b) - floatAt(times, a),
  );
  const groups = groupsOf(count);
  const isLoose = new Uint8Array(count);
  const into = new Int32Array(mostNeighbours);
  const found: Bubble[] = [];
  for (let from = 0; from < count;) {
    const time = floatAt(times, intAt(order, from));
    let to = from;
    while (to < count && floatAt(times, intAt(order, to)) === time) to += 1;
    // Those of one time become loose at once: a group that one of them joins to an open one was sealed by
    // that time.
    const joined = new Set<number>();
    for (let at = from; at < to; at += 1) {
      const place = intAt(order, at);
      const many = neighbours(place, into);
      for (let n = 0; n < many; n += 1)
        if (isLoose[intAt(into, n)] === 1) joined.add(groups.root(intAt(into, n)));
    }
    const shut = [...joined]
      .filter((root) => groups.isOpen[root] === 0)
      .map((root) => ({ root, places: groups.places(root) }));
    for (let at = from; at < to; at += 1) {
      const place = intAt(order, at);
      isLoose[place] = 1;
      groups.isOpen[place] = valueAt(isOpen, place);
    }
    for (let at = from; at < to; at += 1) {
      const place = intAt(order, at);
      const many = neighbours(place, into);
      for (let n = 0; n < many; n += 1) if (isLoose[intAt(into, n)] === 1) groups.join(place, intAt(into, n));
    }
    for (const { root, places } of shut)
      if (groups.isOpen[groups.root(root)] === 1) found.push({ sealedAt: time, places });
    from = to;
  }
  for (const places of groups.all()) {
    const root = groups.root(valueAt(places, 0));
    if (groups.isOpen[root] === 0) found.push({ sealedAt: Infinity, places });
  }
  return found;
}

/**
 * The earliest time at which something is shut in; undefined: never. A group without any way out is shut in
 * from the start.
 */
export function firstTrap(net: EscapeNet): number | undefined {
  const bubbles = bubblesOf(net);
  if (bubbles.length === 0) return undefined;
  return Math.min(...bubbles.map(({ sealedAt }) => (sealedAt === Infinity ? 0 : sealedAt)));
}

interface Groups {
  readonly isOpen: Uint8Array;
  readonly root: (place: number) => number;
  readonly join: (a: number, b: number) => void;
  readonly places: (root: number) => readonly number[];
  readonly all: () => readonly (readonly number[])[];
}

/** Union-find; the places of a group hang in a ring, so that they can be told off. */
function groupsOf(count: number): Groups {
  const parent = Int32Array.from({ length: count }, (_, index) => index);
  const next = Int32Array.from({ length: count }, (_, index) => index);
  const size = new Int32Array(count).fill(1);
  const isOpen = new Uint8Array(count);
  const root = (place: number): number => {
    let own = place;
    while (parent[own] !== own) {
      parent[own] = parent[parent[own] ?? own] ?? own;
      own = parent[own] ?? own;
    }
    return own;
  };
  const join = (a: number, b: number): void => {
    const [one, other] = [root(a), root(b)];
    if (one === other) return;
    const [large, small] = intAt(size, one) >= intAt(size, other) ? [one, other] : [other, one];
    parent[small] = large;
    size[large] = intAt(size, large) + intAt(size, small);
    isOpen[large] = valueAt(isOpen, large) | valueAt(isOpen, small);
    const after = next[large] ?? large;
    next[large] = next[small] ?? small;
    next[small] = after;
  };
  const places = (of: number): readonly number[] => {
    const found = [of];
    for (let place = next[of] ?? of; place !== of; place = next[place] ?? of) found.push(place);
    return found;
  };
  const all = (): readonly (readonly number[])[] =>
    Array.from({ length: count }, (_, place) => place)
      .filter((place) => root(place) === place)
      .map(places);
  return { isOpen, root, join, places, all };
}
