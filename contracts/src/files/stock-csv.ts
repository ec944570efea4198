import { mmFromNm } from '@yellow-pane/core/quantity';
import type { StockItem } from '../stock';
import { tableCsv } from './table-csv';

const HEADER = [
  'film',
  'what',
  'label',
  'lot',
  'width mm',
  'length left mm',
  'begun with mm',
  'price a metre',
  'factory edges',
  'where',
  'there',
  'spoken for mm',
] as const;

/**
 * Rolls and offcuts as comma-separated values, as a stocktaker wants them: one line each, what is gone at the
 * end.
 * @param filmName by its id; undefined: no longer in the catalogue
 */
export function stockCsv(
  items: readonly StockItem[],
  filmName: (filmId: string) => string | undefined,
): string {
  const edges = ({ leftEdge, rightEdge }: StockItem): string =>
    leftEdge && rightEdge ? 'both' : leftEdge ? 'left' : rightEdge ? 'right' : 'none';
  const isThere = ({ gone, left_nm }: StockItem): boolean => !gone && left_nm > 0;
  return tableCsv(
    HEADER,
    [...items]
      .sort((a, b) => Number(isThere(b)) - Number(isThere(a)))
      .map((item) => [
        filmName(item.filmId) ?? 'no longer in the catalogue',
        item.what,
        item.label,
        item.lot,
        mmFromNm(item.width_nm),
        mmFromNm(item.left_nm),
        mmFromNm(item.length_nm),
        item.perMetre,
        edges(item),
        item.where,
        isThere(item) ? 'yes' : 'no',
        mmFromNm(item.spokenFor.reduce((sum, { length_nm }) => sum + length_nm, 0)),
      ]),
  );
}
