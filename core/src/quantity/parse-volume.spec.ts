import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { parseVolume } from './parse-volume';

const litres = (text: string): number => {
  const read = parseVolume(text, 'ml');
  return read.kind === 'volume' ? read.litres : Number.NaN;
};

describe('is a volume read as it stands on the bottle?', () => {
  it.each([
    ['750 ml', 0.75],
    ['750', 0.75],
    ['0,9 l', 0.9],
    ['1 gal', 3.785411784],
    ['1 gallon', 3.785411784],
    ['32 fl oz', 0.946352946],
    ['1 qt', 0.946352946],
    [' 70 cl', 0.7],
  ])('%s is %d l (US gallon of 231 cubic inches)', (text, expected) => {
    expect(litres(text)).toBeCloseTo(expected, 9);
  });
  it.each([
    ['', 'empty'],
    ['0', 'zero or negative'],
    ['0 ml', 'zero or negative'],
    ['-5 ml', 'zero or negative'],
    ['much', 'not a volume'],
    ['5 mm', 'not a volume'],
    ['5 constructor', 'not a volume'],
  ] as const)('“%s” is not one: %s', (text, reason) => {
    expect(parseVolume(text, 'ml')).toEqual({ kind: 'unreadable', reason });
  });
  it('whatever is typed, it never throws, and what it reads is more than nothing', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const read = parseVolume(text, 'l');
        expect(read.kind === 'unreadable' || read.litres > 0).toBe(true);
      }),
      { numRuns: 200 },
    );
  });
});
