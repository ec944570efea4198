const STARTS_A_FORMULA = /^[=+\-@\t\r]/;

/** An apostrophe before cells a spreadsheet would run as a formula. */
export function neutral(cell: string): string {
  return STARTS_A_FORMULA.test(cell) || cell.startsWith("'") ? `'${cell}` : cell;
}

/** Our own apostrophe taken off again. */
export function plain(cell: string): string {
  return cell.startsWith("'") && (STARTS_A_FORMULA.test(cell.slice(1)) || cell.startsWith("''"))
    ? cell.slice(1)
    : cell;
}
