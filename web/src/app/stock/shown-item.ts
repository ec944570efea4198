import type { StockItem } from '@yellow-pane/contracts';
import { type DisplayUnits, formatFilmLength, formatLengthWithUnit } from '@yellow-pane/core/quantity';
import { catalogueWords } from '../words/catalogue';

/** A roll or offcut as the stock draws it: how long its bars are, and what is written beside them. */
export function shownItem(
  row: StockItem,
  longest: number,
  units: DisplayUnits,
  money: (value: number) => string,
) {
  const metres = (value_nm: number): string => formatFilmLength(value_nm, units);
  const left = row.gone ? 0 : row.left_nm;
  return {
    id: row.id,
    row,
    label: row.label,
    what: row.gone ? 'gone' : left === 0 ? catalogueWords.usedUp(row.what) : row.what,
    whole: (598 * row.length_nm) / longest,
    left: (598 * left) / longest,
    spoken: (598 * Math.min(left, spokenLength(row))) / longest,
    spokenFor: row.spokenFor
      .map(({ job, length_nm }) => catalogueWords.spokenForBy(metres(length_nm), job))
      .join('; '),
    size: `${metres(left)} × ${formatLengthWithUnit(row.width_nm, units)}`,
    under: [
      row.lot === '' ? '' : catalogueWords.lot(row.lot),
      row.where,
      row.perMetre === null ? catalogueWords.priceUnknown : catalogueWords.priceAMetre(money(row.perMetre)),
      row.leftEdge && row.rightEdge
        ? ''
        : row.leftEdge
          ? catalogueWords.leftEdge
          : row.rightEdge
            ? catalogueWords.rightEdge
            : catalogueWords.noEdge,
    ]
      .filter((part) => part !== '')
      .join(', '),
    says: catalogueWords.leftOf(metres(left), metres(row.length_nm)),
  };
}

/** What plans of jobs take of it; nothing of what is gone. */
export function spokenLength({ gone, spokenFor }: StockItem): number {
  return gone ? 0 : spokenFor.reduce((sum, { length_nm }) => sum + length_nm, 0);
}
