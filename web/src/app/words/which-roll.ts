import type { Messages } from './messages';

/** Which roll to buy, and film that is promised twice. */
export const whichRollWords = {
  onlyInStock: 'only what is in stock',
  stockAnd: 'stock and ',
  widthToOrder: (kept: string, widths: string) => `${kept}${widths} to order`,
  seams: 'Seams',
  seamsOf: (count: number, length: string) => `${count}, ${length}`,
  nothing: 'nothing',
  layOutSo: 'Lay out so',
  seamedForEach:
    'Seams are placed afresh for each width. Of two widths, only where both are used. Money, not looks: where a seam shows, the row with fewer seams is often worth its price.',
  seamedAnew: (film: string) => `${film}: seams for another roll`,
  promisedTwice: 'Film promised twice',
  promisedTwiceSaid: (roll: string, left: string, used: string, elsewhere: string, jobs: string) =>
    `${roll} has ${left} left: ${used} are in this plan, ${elsewhere} in the plan of ${jobs}. Who cuts first has it; leave the roll out and lay out again, or order more.`,
  whichRollToBuy: 'Which roll to buy',
  tryingWidths: 'Trying the widths…',
  tryAllWidths: 'Try all widths',
  filmFrom: 'Film from',
  withCuttingHead: 'With cutting',
  leftOver: 'Left over',
  cheapest: ' · cheapest',
} satisfies Messages;
