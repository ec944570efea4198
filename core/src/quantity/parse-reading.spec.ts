import { describe, expect, it } from '@jest/globals';
import { parseReading } from './parse-reading';

const SAG = { least_mm: -2000, most_mm: 2000 };
const WIDTH = { least_mm: 1, most_mm: 100_000 };

describe('which readings may be nothing or below nothing?', () => {
  it.each([
    ['-3', -3],
    ['−3', -3],
    ['0', 0],
    ['0 mm', 0],
    ['4,5', 4.5],
    ['1/2', 12.7],
    ['-1 1/4', -31.75],
  ])('a sag of %s is %d mm', (text, mm) => {
    expect(parseReading(text, 'mm', SAG)).toMatchObject({ kind: 'length', value_nm: mm * 1e6 });
  });
  it('a width may not', () => {
    expect(parseReading('0', 'mm', WIDTH)).toEqual({ kind: 'unreadable', reason: 'zero or negative' });
    expect(parseReading('-880', 'mm', WIDTH)).toEqual({ kind: 'unreadable', reason: 'zero or negative' });
  });
  it('what is read but cannot be comes back with what can', () => {
    expect(parseReading('3 m', 'mm', SAG)).toEqual({ kind: 'out of range', value_nm: 3e9, ...SAG });
    expect(parseReading('101 m', 'mm', WIDTH)).toMatchObject({ kind: 'out of range', most_mm: 100_000 });
  });
  it('what is no length stays unreadable', () => {
    expect(parseReading('about a metre', 'mm', SAG)).toMatchObject({
      kind: 'unreadable',
      reason: 'not a length',
    });
  });
});
