import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  formatArea,
  formatFilmLength,
  formatLength,
  formatLengthWithUnit,
  parseLength,
  seededRandom,
  worstVerdict,
} from './index';

describe('how is a length shown?', () => {
  it.each([
    [880_000_000, 'metric', '880'],
    [879_475_000, 'metric', '879.5'],
    [879_475_000, 'imperial', '34 5/8'],
    [25_400_000, 'imperial', '1'],
    [12_700_000, 'imperial', '1/2'],
    [1_587_500, 'imperial', '1/16'],
    [25_399_999, 'imperial', '1'],
  ] as const)('%d nm in %s is %s', (nm, units, text) => {
    expect(formatLength(nm, units)).toBe(text);
  });

  it('carries its unit when asked', () => {
    expect(formatLengthWithUnit(880_000_000, 'metric')).toBe('880 mm');
    expect(formatLengthWithUnit(879_475_000, 'imperial')).toBe('34 5/8 in');
    expect(formatFilmLength(8_763_000_000, 'metric')).toBe('8.76 m');
    expect(formatFilmLength(879_475_000, 'imperial')).toBe('34 5/8 in');
  });

  it('shows 2.531 m² and the same in square feet', () => {
    expect(formatArea(2_531_000, 'metric')).toBe('2.531 m²');
    expect(formatArea(92_903.04 * 10, 'imperial')).toBe('10.00 ft²');
  });

  it('an imperial length shown and typed again is within half a sixteenth', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1_587_500, max: 20_000_000_000 }), (nm) => {
        const again = parseLength(formatLength(nm, 'imperial'), 'in');
        expect(again.kind === 'length' && Math.abs(again.value_nm - nm) <= 793_750).toBe(true);
      }),
    );
  });
});

describe('which verdict wins?', () => {
  it('the most careful one: stop over unknown over go with care over go', () => {
    expect(worstVerdict(['go', 'go with care'])).toBe('go with care');
    expect(worstVerdict(['unknown', 'go with care'])).toBe('unknown');
    expect(worstVerdict(['go', 'stop', 'unknown'])).toBe('stop');
  });
  it('no verdict at all is unknown, never go', () => {
    expect(worstVerdict([])).toBe('unknown');
  });
});

describe('is chance repeatable?', () => {
  it('the same seed gives the same stream, spread evenly over [0, 1)', () => {
    const [a, b] = [seededRandom(7), seededRandom(7)];
    const values = Array.from({ length: 4000 }, () => a());
    expect(values.slice(0, 5)).toEqual(Array.from({ length: 5 }, () => b()));
    expect(Math.abs(values.reduce((sum, value) => sum + value, 0) / values.length - 0.5)).toBeLessThan(0.03);
    expect(values.every((value) => value >= 0 && value < 1)).toBe(true);
  });
});
