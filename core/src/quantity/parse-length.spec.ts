import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { NM_PER_UNIT, type LengthUnit } from './length';
import { parseLength } from './parse-length';

const nm = (text: string, unit: LengthUnit = 'mm'): number | string => {
  const parsed = parseLength(text, unit);
  return parsed.kind === 'length' ? parsed.value_nm : parsed.reason;
};

describe('how is a typed length read?', () => {
  it.each([
    ['880', 'mm', 880_000_000],
    ['880', 'cm', 8_800_000_000],
    ['88 cm', 'mm', 880_000_000],
    ['88cm', 'in', 880_000_000],
    ['34,5 cm', 'mm', 345_000_000],
    ['0.88 m', 'mm', 880_000_000],
    ['34 5/8', 'mm', 879_475_000],
    ['34-5/8', 'mm', 879_475_000],
    ['34 5/8"', 'mm', 879_475_000],
    ['34⅝', 'mm', 879_475_000],
    ['34½"', 'mm', 876_300_000],
    ['5/8', 'mm', 15_875_000],
    ['1/64', 'mm', 396_875],
    ['2\'10-5/8"', 'mm', 879_475_000],
    ['2\' 10-5/8"', 'mm', 879_475_000],
    ['2′ 10⅝″', 'mm', 879_475_000],
    ['2 ft 10 in', 'mm', 863_600_000],
    ["2'", 'mm', 609_600_000],
    ['34.625 in', 'mm', 879_475_000],
    ['34"', 'cm', 863_600_000],
    ['  880  ', 'mm', 880_000_000],
    ['880 MM', 'in', 880_000_000],
  ] as const)('%s in a job that enters %s is %d nm', (text, unit, expected) => {
    expect(nm(text, unit)).toBe(expected);
  });

  it('one sixty-fourth of an inch is exactly 396,875 nm, and says so', () => {
    expect(parseLength('1/64', 'mm')).toEqual({ kind: 'length', value_nm: 396_875, unit: 'in', exact: true });
  });

  it('a third of an inch falls between two nanometres, and says so', () => {
    expect(parseLength('1/3', 'mm')).toMatchObject({ value_nm: 8_466_667, exact: false });
  });

  it.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['-5', 'zero or negative'],
    ['0', 'zero or negative'],
    ['0"', 'zero or negative'],
    ['34 5/0', 'fraction below is zero'],
    ['2\' 12"', 'inches reach a whole foot'],
    ['about 900', 'not a length'],
    ['1.2.3', 'not a length'],
    ['12 34', 'not a length'],
    ['=1+1', 'not a length'],
    ['NaN', 'not a length'],
    ['1e3', 'not a length'],
    ['999999999 m', 'too large'],
  ])('%j is not read: %s', (text, reason) => {
    expect(nm(text)).toBe(reason);
  });

  it('any whole number of sixty-fourths comes back exactly', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 400 }), fc.integer({ min: 1, max: 63 }), (whole, part) => {
        expect(nm(`${whole} ${part}/64`)).toBe((whole * 64 + part) * 396_875);
      }),
    );
  });

  it('any decimal with up to three places in any unit comes back exactly', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 99_999_999 }),
        fc.constantFrom('mm', 'cm', 'm', 'in', 'ft' as const),
        fc.constantFrom('.', ','),
        (thousandths, unit, mark) => {
          fc.pre(thousandths * NM_PER_UNIT[unit] <= 1e15);
          const text = `${Math.floor(thousandths / 1000)}${mark}${String(thousandths % 1000).padStart(3, '0')} ${unit}`;
          expect(nm(text)).toBe((thousandths * NM_PER_UNIT[unit]) / 1000);
        },
      ),
    );
  });

  it('whatever is typed, it answers and never throws', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (text) => {
        const parsed = parseLength(text, 'mm');
        expect(['length', 'unreadable']).toContain(parsed.kind);
        if (parsed.kind === 'length')
          expect(Number.isSafeInteger(parsed.value_nm) && parsed.value_nm > 0).toBe(true);
      }),
      { numRuns: 1000 },
    );
  });
});
