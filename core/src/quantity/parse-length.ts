import { type LengthUnit, NM_PER_UNIT } from './length';

export type UnreadableReason =
  | 'empty'
  | 'not a length'
  | 'zero or negative'
  | 'fraction below is zero'
  | 'inches reach a whole foot'
  | 'too large';

export type ParsedLength =
  | { readonly kind: 'length'; readonly value_nm: number; readonly unit: LengthUnit; readonly exact: boolean }
  | { readonly kind: 'unreadable'; readonly reason: UnreadableReason };

const LARGEST_NM = 1_000_000_000_000n;
const NUMBER = String.raw`(?:\d{1,9}(?:[.,]\d{1,9})?|[.,]\d{1,9})`;
const MIXED = String.raw`(?:(\d{1,9})[\s-]+)?(\d{1,6})\s*/\s*(\d{1,6})`;
const FEET = String.raw`(\d{1,6})\s*(?:'|ft|feet|foot)`;
const INCH_MARK = String.raw`(?:"|''|in|inch|inches)`;

const FEET_AND_INCHES = new RegExp(`^${FEET}(?:[\\s-]*(?:${MIXED}|(${NUMBER}))\\s*${INCH_MARK}?)?$`);
const INCH_FRACTION = new RegExp(`^${MIXED}\\s*${INCH_MARK}?$`);
const DECIMAL = new RegExp(`^(${NUMBER})\\s*(mm|cm|m|${INCH_MARK}|ft|feet|foot)?$`);

/**
 * Reads a length as people say it: `34 5/8`, `2'10-5/8"`, `880`, `88 cm`, `34,5 cm`, `34½`. A bare number
 * takes `entryUnit`; a bare fraction is inches whatever the entry unit, for nobody reads a metric tape in
 * eighths.
 * @returns whole nanometres and the unit read; `exact` is false when the text falls between two nanometres.
 * Never throws: what cannot be read is named. @example parseLength('34 5/8', 'mm') // 879,475,000 nm, unit in
 */
export function parseLength(text: string, entryUnit: LengthUnit): ParsedLength {
  const tidy = tidyText(text);
  if (tidy === '') return unreadable('empty');
  if (/^[-−–]/.test(tidy)) return unreadable('zero or negative');
  return (
    readFeetAndInches(tidy) ??
    readInchFraction(tidy) ??
    readDecimal(tidy, entryUnit) ??
    unreadable('not a length')
  );
}

function tidyText(text: string): string {
  return text
    .replace(/([¼½¾⅐-⅞])/g, ' $1')
    .normalize('NFKC')
    .replace(/⁄/g, '/')
    .replace(/[′’‘]/g, "'")
    .replace(/[″”“]/g, '"')
    .replace(/\s+/g, ' ')
    .trim()
    .toLowerCase();
}

function readFeetAndInches(text: string): ParsedLength | undefined {
  const match = FEET_AND_INCHES.exec(text);
  if (match === null) return undefined;
  const [, feet = '0', whole, above, below, decimal] = match;
  const inches =
    above !== undefined && below !== undefined ? mixedNumber(whole, above, below) : rational(decimal ?? '0');
  if (inches === undefined) return unreadable('fraction below is zero');
  if (inches.above >= 12n * inches.below) return unreadable('inches reach a whole foot');
  return inNanometres(
    { above: BigInt(feet) * 12n * inches.below + inches.above, below: inches.below },
    'in',
    decimal === undefined && above === undefined ? 'ft' : 'in',
  );
}

function readInchFraction(text: string): ParsedLength | undefined {
  const match = INCH_FRACTION.exec(text);
  if (match === null) return undefined;
  const [, whole, above = '0', below = '0'] = match;
  const inches = mixedNumber(whole, above, below);
  return inches === undefined ? unreadable('fraction below is zero') : inNanometres(inches, 'in', 'in');
}

function readDecimal(text: string, entryUnit: LengthUnit): ParsedLength | undefined {
  const match = DECIMAL.exec(text);
  if (match === null) return undefined;
  const [, number = '', mark] = match;
  const unit = mark === undefined ? entryUnit : unitOfMark(mark);
  return inNanometres(rational(number), unit, unit);
}

function unitOfMark(mark: string): LengthUnit {
  if (mark === 'mm' || mark === 'cm' || mark === 'm') return mark;
  return mark.startsWith('f') ? 'ft' : 'in';
}

interface Rational {
  readonly above: bigint;
  readonly below: bigint;
}

function mixedNumber(whole: string | undefined, above: string, below: string): Rational | undefined {
  const divisor = BigInt(below);
  return divisor === 0n
    ? undefined
    : { above: BigInt(whole ?? '0') * divisor + BigInt(above), below: divisor };
}

function rational(decimal: string): Rational {
  const [whole = '', places = ''] = decimal.replace(',', '.').split('.');
  return { above: BigInt(`${whole}${places}` || '0'), below: 10n ** BigInt(places.length) };
}

function inNanometres(value: Rational, scale: LengthUnit, unit: LengthUnit): ParsedLength {
  const scaled = value.above * BigInt(NM_PER_UNIT[scale]);
  const nm = (2n * scaled + value.below) / (2n * value.below);
  if (nm <= 0n) return unreadable('zero or negative');
  if (nm > LARGEST_NM) return unreadable('too large');
  return { kind: 'length', value_nm: Number(nm), unit, exact: scaled % value.below === 0n };
}

function unreadable(reason: UnreadableReason): ParsedLength {
  return { kind: 'unreadable', reason };
}
