/** The same items in an order of chance. @source Fisher and Yates */
export function shuffled<Item>(items: readonly Item[], random: () => number): readonly Item[] {
  const mixed = [...items];
  for (let index = mixed.length - 1; index > 0; index -= 1) {
    const other = Math.floor(random() * (index + 1));
    [mixed[index], mixed[other]] = [mixed[other] as Item, mixed[index] as Item];
  }
  return mixed;
}
