import { describe, expect, it } from '@jest/globals';
import type { Closed } from '../../day';
import { hoursOpen, hoursWithoutForecast, isBeyondForecast } from './hours-open';

const H = 3_600_000;
const closed = (from: number, to: number, by: Closed['by']): Closed => ({
  from_ms: from * H,
  to_ms: to * H,
  by,
  why: by === 'sun' ? { case: 'sun on it' } : { case: 'no forecast for the glass' },
});
const own = {
  fit: [
    { from_ms: 0, to_ms: 8 * H },
    { from_ms: 12 * H, to_ms: 24 * H },
  ],
  closed: [
    closed(8, 12, 'sun'),
    closed(24, 32, 'weather unknown'),
    closed(32, 36, 'sun'),
    closed(36, 48, 'weather unknown'),
  ],
};

describe('when may it be planned, though no temperature is known yet?', () => {
  it('without a forecast the sun alone closes: a stretch may run from the last hour forecast into the first that is not', () => {
    expect(hoursOpen(own)).toEqual([
      { from_ms: 0, to_ms: 8 * H },
      { from_ms: 12 * H, to_ms: 32 * H },
      { from_ms: 36 * H, to_ms: 48 * H },
    ]);
  });
  it('what is planned there is known for what it is', () => {
    expect(hoursWithoutForecast(own)).toHaveLength(2);
    expect(isBeyondForecast(own, 20 * H, 24 * H)).toBe(false);
    expect(isBeyondForecast(own, 20 * H, 24.5 * H)).toBe(true);
    expect(isBeyondForecast(own, 32 * H, 36 * H)).toBe(false);
  });
});
