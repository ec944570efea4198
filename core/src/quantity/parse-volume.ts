import { litresPer } from './volume';

type ParsedVolume =
  | { readonly kind: 'volume'; readonly litres: number }
  | { readonly kind: 'unreadable'; readonly reason: 'empty' | 'not a volume' | 'zero or negative' };

const VOLUME = /^([-−–]?)\s*(\d{1,7}(?:[.,]\d{1,6})?|[.,]\d{1,6})\s*(.*)$/;

/**
 * Reads a volume as it stands on a bottle: `750 ml`, `1 gal`, `32 fl oz`, `0,9 l`. A bare number takes
 * `entryUnit`. Never throws: what cannot be read is named.
 */
export function parseVolume(text: string, entryUnit: 'ml' | 'l' = 'ml'): ParsedVolume {
  const tidy = text.normalize('NFKC').replace(/\s+/g, ' ').trim().toLowerCase();
  if (tidy === '') return { kind: 'unreadable', reason: 'empty' };
  const [, sign, number = '', unit = ''] = VOLUME.exec(tidy) ?? [];
  const perUnit = litresPer(unit === '' ? entryUnit : unit);
  if (sign === undefined || perUnit === undefined) return { kind: 'unreadable', reason: 'not a volume' };
  const litres = Number(number.replace(',', '.')) * perUnit;
  return sign === '' && litres > 0
    ? { kind: 'volume', litres }
    : { kind: 'unreadable', reason: 'zero or negative' };
}
