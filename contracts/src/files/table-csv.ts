import Papa from 'papaparse';
import { neutral } from '../survey-files/neutral-cells';

/**
 * A table as comma-separated values with a header. Text that a spreadsheet would run as a formula gets an
 * apostrophe in front; numbers stay numbers.
 */
export function tableCsv(
  header: readonly string[],
  rows: readonly (readonly (string | number | null)[])[],
): string {
  const data = rows.map((row) =>
    row.map((cell) => (typeof cell === 'string' ? neutral(cell) : (cell ?? ''))),
  );
  return `${Papa.unparse({ fields: [...header], data }, { newline: '\r\n' })}\r\n`;
}
