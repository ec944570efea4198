import type { CutOrderPlan } from '@yellow-pane/core/cutting';
import { type DisplayUnits, formatFilmLength, nmFromMm } from '@yellow-pane/core/quantity';

export const STOCK_WORDS = { roll: 'roll', offcut: 'offcut', 'to order': 'to be ordered' } as const;

export const money = (value: number): string => value.toFixed(2);
export const percent = (share: number): string => `${(share * 100).toFixed(1)} %`;

/** Length of all films a plan uses. */
export const lengthOfPlan = ({ uses }: CutOrderPlan): number => nmFromMm(uses.reduce((sum, { used_mm }) => sum + used_mm, 0));

/** What stands on a piece: its tag, and which drop of how many. */
export const pieceWord = ({ tag, drop, dropOf }: { readonly tag: string; readonly drop: number; readonly dropOf: number }): string => (dropOf > 1 ? `${tag} ${drop}/${dropOf}` : tag);

/** How near to the best there is: the sentence under the verdict. */
export function gapWord({ used_nm, bound_nm, filmCost, filmBound, stopped }: { readonly used_nm: number; readonly bound_nm: number; readonly filmCost: number; readonly filmBound: number; readonly stopped: CutOrderPlan['stopped'] }, units: DisplayUnits): string {
  const near = (used: number, bound: number): boolean => used - bound <= 1e-4 * Math.max(1, bound);
  if (bound_nm > 0 && (stopped === 'optimal' || near(used_nm, bound_nm))) return 'Nothing can use less on this roll: this is proven.';
  if (bound_nm > 0) return `Nothing can use less than ${formatFilmLength(bound_nm, units)} on this roll: at most ${((100 * (used_nm - bound_nm)) / bound_nm).toFixed(1)} % could be saved.`;
  if (filmBound <= 0) return '';
  if (near(filmCost, filmBound)) return 'No other choice of film costs less: this is proven.';
  return `The film can cost no less than ${money(filmBound)}: at most ${((100 * (filmCost - filmBound)) / filmBound).toFixed(1)} % could be saved.`;
}
