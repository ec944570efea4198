import { NM_PER_MM, type LengthUnit } from './length';
import { type ParsedLength, parseLength } from './parse-length';

export interface ReadingRange {
  readonly least_mm: number;
  readonly most_mm: number;
}

type ParsedReading =
  ParsedLength | ({ readonly kind: 'out of range'; readonly value_nm: number } & ReadingRange);

const NOUGHT = /^[+-]?\s*(?:0+(?:[.,]0*)?|[.,]0+)\s*(?:mm|cm|m|in|inch|inches|"|'|ft)?$/;

/**
 * Reads a measure that may be nothing or below nothing, such as a sag or a fall from level: `-3`, `0`, `4,5`.
 * @param range what this kind of measure may be
 * @returns as `parseLength`, negative where a minus stands before it; `out of range` with the range when it
 * was read but cannot be
 */
export function parseReading(text: string, entryUnit: LengthUnit, range: ReadingRange): ParsedReading {
  const tidy = text.trim().replace(/^[−–]/, '-');
  const isNegative = tidy.startsWith('-');
  const parsed: ParsedLength = NOUGHT.test(tidy)
    ? { kind: 'length', value_nm: 0, unit: entryUnit, exact: true }
    : parseLength(isNegative && range.least_mm < 0 ? tidy.slice(1) : text, entryUnit);
  if (parsed.kind === 'unreadable') return parsed;
  if (parsed.value_nm === 0 && range.least_mm > 0) return { kind: 'unreadable', reason: 'zero or negative' };
  const value_nm = isNegative && parsed.value_nm !== 0 ? -parsed.value_nm : parsed.value_nm;
  if (value_nm < range.least_mm * NM_PER_MM || value_nm > range.most_mm * NM_PER_MM)
    return { kind: 'out of range', value_nm, least_mm: range.least_mm, most_mm: range.most_mm };
  return { ...parsed, value_nm };
}
