import { describe, expect, it } from '@jest/globals';
import type { SightLine } from '@yellow-pane/core/choosing';
import fc from 'fast-check';
import { WALL_REFLECTS, patternDrawing, sceneLight } from './scene-light';

const MM = 1e6;
const line = (shown: Partial<SightLine['shown']>): SightLine =>
  ({
    shown: { straight: 0.8, scattered: 0, thrownBack_cdm2: 0, near_cdm2: 100, far_cdm2: 100, ...shown },
  }) as unknown as SightLine;

describe('is a scene drawn with the luminances that were computed?', () => {
  const shares = fc.double({ min: 0, max: 1, noNaN: true });
  const lights = fc.double({ min: 1, max: 20_000, noNaN: true });
  it('ratios are kept: what comes through to what is reflected, and both to the wall beside', () => {
    fc.assert(
      fc.property(
        shares,
        shares,
        lights,
        lights,
        lights,
        (straight, scattered, thrownBack_cdm2, near_cdm2, far_cdm2) => {
          const own = line({ straight, scattered, thrownBack_cdm2, near_cdm2, far_cdm2 });
          const { film, surround } = sceneLight(own, line({ near_cdm2, far_cdm2 }));
          expect(film.veil * near_cdm2).toBeCloseTo(surround * thrownBack_cdm2, 6);
          expect(film.straight * thrownBack_cdm2 * WALL_REFLECTS).toBeCloseTo(
            film.veil * straight * far_cdm2,
            6,
          );
          expect(film.blurred * straight).toBeCloseTo(film.straight * scattered, 9);
        },
      ),
    );
  });
  it('the same glass without film is drawn in the same light: what differs is the film alone', () => {
    const same = line({ straight: 0.4, scattered: 0.1, thrownBack_cdm2: 30 });
    const { film, bare } = sceneLight(same, same);
    expect(film).toEqual(bare);
  });
  it('by night a mirror film shows the own room: the veil is over what comes through', () => {
    const { film } = sceneLight(
      line({ straight: 0.15, thrownBack_cdm2: 40, near_cdm2: 100, far_cdm2: 2 }),
      line({ near_cdm2: 100, far_cdm2: 2 }),
    );
    expect(film.veil).toBeGreaterThan(film.straight);
  });
});

describe('is a pattern drawn with its real coverage?', () => {
  it.each([
    ['stripes of 12 clear every 24', { coverage: 0.5, opening_nm: 12 * MM, repeat_nm: 24 * MM }, 'stripes'],
    [
      'clear lines of 3 round squares of 12 leave 36 % open',
      { coverage: 0.64, opening_nm: 3 * MM, repeat_nm: 15 * MM },
      'grid',
    ],
    [
      'clear dots of 10 every 20 leave 20 % open',
      { coverage: 1 - Math.PI / 16, opening_nm: 10 * MM, repeat_nm: 20 * MM },
      'dots',
    ],
    [
      'nothing known of the repeat: stripes',
      { coverage: 0.75, opening_nm: 5 * MM, repeat_nm: null },
      'stripes',
    ],
  ] as const)('%s', (_what, film, kind) => {
    expect(patternDrawing(film).kind).toBe(kind);
  });
  it('whatever is drawn as stripes covers what the film covers', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        fc.integer({ min: 1, max: 60 }),
        fc.option(fc.integer({ min: 1, max: 200 })),
        (coverage, opening, repeat) => {
          const drawn = patternDrawing({
            coverage,
            opening_nm: opening * MM,
            repeat_nm: repeat === null ? null : repeat * MM,
          });
          if (drawn.kind === 'none') throw new Error('a pattern is drawn');
          const open =
            drawn.kind === 'stripes'
              ? drawn.opening_mm / drawn.period_mm
              : drawn.kind === 'dots'
                ? (Math.PI * drawn.opening_mm ** 2) / 4 / drawn.period_mm ** 2
                : 1 - (1 - drawn.opening_mm / drawn.period_mm) ** 2;
          expect(Math.abs(1 - open - coverage)).toBeLessThan(drawn.kind === 'stripes' ? 1e-9 : 0.031);
        },
      ),
    );
  });
  it('solid film, or one of which nothing is known, has no pattern', () => {
    expect(
      [
        patternDrawing({ coverage: 1, opening_nm: MM, repeat_nm: null }),
        patternDrawing({ coverage: null, opening_nm: MM, repeat_nm: null }),
        patternDrawing({ coverage: 0.5, opening_nm: null, repeat_nm: null }),
      ].map(({ kind }) => kind),
    ).toEqual(['none', 'none', 'none']);
  });
});
