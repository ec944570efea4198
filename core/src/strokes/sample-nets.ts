import { floatAt, intAt, valueAt } from '../quantity';
import type { EscapeNet } from './judge/traps';

/**
 * A small random net for checks and benches: up to twelve places, random neighbours, times with ties, some
 * open, some never pressed.
 */
export function sampleNet(random: () => number): EscapeNet {
  const count = 2 + Math.floor(random() * 11);
  const beside = Array.from({ length: count }, () => new Set<number>());
  for (let a = 0; a < count; a += 1)
    for (let b = a + 1; b < count; b += 1)
      if (random() < 2.4 / count) {
        beside[a]?.add(b);
        beside[b]?.add(a);
      }
  const times = Float64Array.from({ length: count }, () =>
    random() < 0.08 ? Infinity : 1 + Math.floor(random() * 6),
  );
  const isOpen = Uint8Array.from({ length: count }, () => (random() < 0.3 ? 1 : 0));
  return {
    count,
    times,
    isOpen,
    mostNeighbours: count,
    neighbours: (place, into) => {
      let many = 0;
      for (const other of beside[place] ?? []) {
        into[many] = other;
        many += 1;
      }
      return many;
    },
  };
}

/**
 * What is shut in, by looking at all that is loose after every time. Vents: after each time, what was just
 * about to be pressed and hung together with nothing else loose, and had no way out.
 */
export function trapsByBruteForce(net: EscapeNet): {
  readonly first: number | undefined;
  readonly vents: number;
} {
  const after = [0, ...new Set(net.times)].filter((time) => time !== Infinity).toSorted((a, b) => a - b);
  const first = after.find((time) =>
    looseGroups(net, (own) => own > time).some((group) => !hasOpen(net, group)),
  );
  const last = new Set<string>();
  for (const time of after)
    for (const group of looseGroups(net, (own) => own > time)) {
      const level = net.times[valueAt(group, 0)];
      const isLevel = group.every((place) => net.times[place] === level);
      if (isLevel && !hasOpen(net, group)) last.add(group.toSorted((a, b) => a - b).join());
    }
  return { first, vents: last.size };
}

const hasOpen = (net: EscapeNet, group: readonly number[]): boolean =>
  group.some((place) => net.isOpen[place] === 1);

/** Places that are loose, by what hangs together. */
function looseGroups(net: EscapeNet, isLoose: (time: number) => boolean): readonly (readonly number[])[] {
  const seen = new Set<number>();
  const into = new Int32Array(net.mostNeighbours);
  const found: number[][] = [];
  for (let first = 0; first < net.count; first += 1) {
    if (seen.has(first) || !isLoose(floatAt(net.times, first))) continue;
    seen.add(first);
    const group = [first];
    for (const place of group) {
      const many = net.neighbours(place, into);
      for (let n = 0; n < many; n += 1) {
        const other = intAt(into, n);
        if (seen.has(other) || !isLoose(floatAt(net.times, other))) continue;
        seen.add(other);
        group.push(other);
      }
    }
    found.push(group);
  }
  return found;
}
