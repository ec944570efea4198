import { valueAt } from '../../quantity';

/** The same items in an order of chance. @source Fisher and Yates */
export function shuffled<Item>(items: readonly Item[], random: () => number): readonly Item[] {
  const mixed = [...items];
  for (let index = mixed.length - 1; index > 0; index -= 1) {
    const other = Math.floor(random() * (index + 1));
    [mixed[index], mixed[other]] = [valueAt(mixed, other), valueAt(mixed, index)];
  }
  return mixed;
}
