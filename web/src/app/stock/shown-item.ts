import { figuresIn } from '@yellow-pane/contracts/words';
import { filmWeight } from '@yellow-pane/core/cutting';
import { LINER_UM } from '@yellow-pane/core/day';
import type { StockItem } from '@yellow-pane/contracts';
import { type DisplayUnits, formatFilmLength, formatLengthWithUnit } from '@yellow-pane/core/quantity';
import { catalogueWords } from '../words/catalogue';

/** Of film and liner, without the core. */
const weightOf = (width_nm: number, length_nm: number, film_um: number): number =>
  filmWeight({ area_m2: (width_nm / 1e9) * (length_nm / 1e9), film_um, liner_um: LINER_UM }).value;

/** A roll or offcut as the stock draws it: how long its bars are, and what is written beside them. */
export function shownItem(
  row: StockItem,
  longest: number,
  units: DisplayUnits,
  money: (value: number) => string,
  film_um: number | undefined,
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
      film_um === undefined || left === 0
        ? ''
        : catalogueWords.weighs(figuresIn(units).weight(weightOf(row.width_nm, left, film_um))),
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
