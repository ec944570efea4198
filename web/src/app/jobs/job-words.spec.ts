import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { nextWord } from './job-words';

const job = (
  surfaces: number,
  measured: number,
  withFilm: number,
  laid: number,
  fitted: number,
): Parameters<typeof nextWord>[0] => ({ surfaces, measured, withFilm, laid, fitted });

describe('what is next in a job?', () => {
  it.each([
    [job(0, 0, 0, 0, 0), 'survey', 'Measure the first surface'],
    [job(9, 8, 8, 8, 8), 'survey', '1 surface to measure'],
    [job(9, 7, 0, 0, 0), 'survey', '2 surfaces to measure'],
    [job(9, 9, 8, 0, 0), 'film', 'Film to choose for 1 surface'],
    [job(9, 9, 9, 6, 0), 'cut', 'Film to lay out for 3 surfaces'],
    [job(9, 9, 9, 9, 8), 'fit', '1 surface to fit'],
    [job(9, 9, 9, 9, 9), 'close', 'Everything is fitted: close it'],
  ] as const)('%j', (own, stop, says) => {
    expect(nextWord(own)).toEqual({ stop, says });
  });
  it('never a stop behind one where something is still missing', () => {
    const order = ['survey', 'film', 'cut', 'fit'];
    fc.assert(
      fc.property(fc.nat(5), fc.nat(5), fc.nat(5), fc.nat(5), fc.nat(5), (a, b, c, d, e) => {
        const [surfaces = 0, measured = 0, withFilm = 0, laid = 0, fitted = 0] = [a, b, c, d, e].sort(
          (one, other) => other - one,
        );
        const at = order.indexOf(nextWord(job(surfaces, measured, withFilm, laid, fitted)).stop);
        if (measured < surfaces) expect(at).toBe(0);
        else if (withFilm < surfaces) expect(at).toBeLessThanOrEqual(1);
        else if (laid < withFilm) expect(at).toBeLessThanOrEqual(2);
      }),
    );
  });
});
