import { intAt } from '../quantity';
import type { Network } from './network';

/** Steps that hang together by most-lags, in groups of two or more. */
export function maxLagComponents({ count, before }: Network): readonly (readonly number[])[] {
  const groupOf = Int32Array.from({ length: count }, (_, step) => step);
  const first = (step: number): number => {
    let at = step;
    while (groupOf[at] !== at) at = intAt(groupOf, at);
    return at;
  };
  before.forEach((lagArcs, step) => {
    for (const { other, most } of lagArcs) if (Number.isFinite(most)) groupOf[first(step)] = first(other);
  });
  const groups = new Map<number, number[]>();
  for (let step = 0; step < count; step += 1)
    groups.set(first(step), [...(groups.get(first(step)) ?? []), step]);
  return [...groups.values()].filter(({ length }) => length > 1);
}
