import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { CoreError } from '../quantity';
import { type Reading, type SurfaceInput, checkSurface, slotsFor } from '.';

const SHAPES: readonly SurfaceInput['shape'][] = [
  ...(['four sides', 'three sides', 'many sides', 'arched top', 'round', 'oval', 'rounded corners'] as const),
  ...(['curved glass', 'wall', 'round column', 'square column', 'panel', 'moulding'] as const),
];
const CORNERS = 5;

/** The customary measures of a shape with some value each; those of a right angle are about nothing. */
const readingsOf = (shape: SurfaceInput['shape']): fc.Arbitrary<readonly Reading[]> =>
  fc.tuple(
    ...slotsFor(shape, CORNERS).map(({ key, kind, from, to }) =>
      fc.integer({ min: 300, max: 2400 }).map((value_mm): Reading => ({
        ...{ id: `${shape} ${key}`, kind, from, to, instrument: 'tape' },
        value_mm: kind === 'right angle' ? 0 : value_mm,
      })),
    ),
  );

/** A surface keeps its measures when its shape is changed. */
const changed = (shape: SurfaceInput['shape']) =>
  fc
    .constantFrom(...SHAPES)
    .chain((before) => fc.tuple(readingsOf(before), readingsOf(shape)))
    .chain(([before, now]) => fc.tuple(fc.subarray([...before]), fc.subarray([...now], { minLength: 2 })))
    .map((parts) => parts.flat());

describe('what of measures that belong to the shape a surface had before?', () => {
  it.each(SHAPES)('%s: they are left aside or refused by name, whichever there are', (shape) => {
    fc.assert(
      fc.property(changed(shape), (readings) => {
        try {
          expect(checkSurface({ shape, corners: CORNERS, readings }).state).toBeTruthy();
        } catch (error) {
          if (!(error instanceof CoreError)) throw error;
        }
      }),
      { numRuns: 40 },
    );
  });
  it('square column: distances of a pane it was before do not count among its faces', () => {
    const distance = (from: string, to: string, value_mm: number): Reading => ({
      ...{ id: from + to, kind: 'distance', from, to, value_mm, instrument: 'tape' },
    });
    const own = [
      distance('floor', 'top', 2400),
      ...['ab', 'bc', 'cd', 'da'].map(([from = '', to = '']) => distance(from, to, 400)),
    ];
    const column = (readings: readonly Reading[]) =>
      checkSurface({ shape: 'square column', corners: null, readings });
    const alone = column(own);
    expect(alone.state).toBe('measured');
    expect(column([...own, distance('tl', 'tr', 1180), distance('tl', 'bl', 2140)])).toEqual(alone);
  });
});
