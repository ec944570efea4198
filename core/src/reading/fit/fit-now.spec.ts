import { describe, expect, it } from '@jest/globals';
import { fitNow } from './fit-now';

const HOUR = 3_600_000;
const SUN = { from_ms: 9 * HOUR, to_ms: 12 * HOUR, by: 'sun', why: { case: 'sun on it' } } as const;
const NO_FORECAST = {
  from_ms: 0,
  to_ms: 24 * HOUR,
  by: 'weather unknown',
  why: { case: 'no forecast for the glass' },
} as const;

describe('may it be worked on now?', () => {
  it('the sun on it: not before it has gone, whatever else is not known', () => {
    const unknown = ['which film goes on'] as const;
    expect(fitNow({ closed: [SUN], unknown }, 10 * HOUR)).toEqual({
      case: 'not fit',
      until_ms: 12 * HOUR,
      why: { case: 'sun on it' },
    });
  });
  it.each([
    'which film goes on',
    'the range of temperature on the sheet of the film',
    'where on earth the place is',
    'the bearing of the surface',
  ] as const)('nothing is claimed without %s', (what) => {
    expect(fitNow({ closed: [], unknown: [what] }, 10 * HOUR)).toEqual({ case: 'unknown', what: [what] });
    expect(fitNow({ closed: [SUN], unknown: [what] }, 8 * HOUR)).toEqual({ case: 'unknown', what: [what] });
  });
  it('nor without a forecast', () => {
    expect(fitNow({ closed: [NO_FORECAST], unknown: [] }, 10 * HOUR)).toEqual({
      case: 'unknown',
      what: ['the forecast'],
    });
  });
  it('all known: fit until the sun comes, or all day', () => {
    expect(fitNow({ closed: [SUN], unknown: [] }, 8 * HOUR)).toMatchObject({
      case: 'fit until',
      until_ms: 9 * HOUR,
    });
    expect(fitNow({ closed: [SUN], unknown: [] }, 13 * HOUR)).toEqual({ case: 'fit' });
  });
});
