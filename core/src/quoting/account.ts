/** Film or work of a kind, as planned or as it came. */
export interface Used {
  /** Square metres, or pieces. */
  readonly quantity: number;
  /** Film or minutes for each. */
  readonly use: number;
  /** Money for each of those. */
  readonly price: number;
}

/** Why it cost otherwise than planned; the three add up to the difference. */
export interface Parts {
  /** More or less of it was done. */
  readonly quantity: number;
  /** Each took more or less. */
  readonly efficiency: number;
  /** What it took was dearer or cheaper. */
  readonly rate: number;
}

/** @source standard costing (closed form) */
export const partsOf = (plan: Used, actual: Used): Parts => ({
  quantity: (actual.quantity - plan.quantity) * plan.use * plan.price,
  efficiency: (actual.use - plan.use) * actual.quantity * plan.price,
  rate: (actual.price - plan.price) * actual.use * actual.quantity,
});

export const costOf = ({ quantity, use, price }: Used): number => quantity * use * price;

/** Inside what was thought likely four times in five it is chance, beyond it something has changed. */
export const isChance = (actual: number, [least, most]: readonly [least: number, most: number]): boolean =>
  actual >= least && actual <= most;
