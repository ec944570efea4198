import { describe, expect, it } from '@jest/globals';
import * as fc from 'fast-check';
import { type Geom, difference, intersection, setPrecision, union } from 'polyclip-ts';
import { coverageOf } from './coverage';
import { type Face, type Ring, areaOfFace, faceOf } from '../face';
import { SAMPLE_KINDS, sampleFace } from '../sample-faces';
import { type Stroke, squareStroke, sweptBy } from '../stroke';

const RECTANGLE = faceOf([
  [
    { x: 0, y: 0 },
    { x: 1200, y: 0 },
    { x: 1200, y: 900 },
    { x: 0, y: 900 },
  ],
]);
const pairs = (ring: Ring): [number, number][] => ring.map(({ x, y }) => [x, y]);
const areaOf = (shapes: readonly (readonly (readonly (readonly [number, number])[])[])[]): number =>
  shapes
    .flatMap((polygon) => polygon)
    .reduce((sum, ring) => {
      const twice = ring.reduce((own, [x, y], index) => {
        const [nextX, nextY] = ring[(index + 1) % ring.length] ?? [x, y];
        return own + x * nextY - nextX * y;
      }, 0);
      return sum + twice / 2;
    }, 0);
/** The same share by an independent polygon package. */
function shareByPackage(face: Face, strokes: readonly Stroke[]): number {
  setPrecision(1e-9);
  const [outline, ...holes] = face.rings.map((ring): Geom => [pairs(ring)]);
  if (outline === undefined) throw new Error('no outline');
  const whole = holes.length === 0 ? union(outline) : difference(outline, ...holes);
  const [first, ...rest] = strokes.flatMap((stroke) => sweptBy(stroke).map((ring): Geom => [pairs(ring)]));
  if (first === undefined) return 0;
  return areaOf(intersection(whole, union(first, ...rest))) / areaOf(whole);
}
const strokesOn = (
  seeds: readonly (readonly [number, number, number, number, number])[],
): readonly Stroke[] =>
  seeds.map(([x0, y0, x1, y1, width], index) =>
    squareStroke(`own ${index}`, { x: x0, y: y0 }, { x: x1, y: y1 }, width),
  );
const place = fc.integer({ min: -900, max: 900 });
const ways = fc.array(fc.tuple(place, place, place, place, fc.integer({ min: 20, max: 400 })), {
  minLength: 1,
  maxLength: 12,
});

describe('how much of a face do strokes go over, and what do they leave?', () => {
  it('one stroke across a rectangle: its own width, and two gaps, the larger first (by hand)', () => {
    const { share, twice, gaps } = coverageOf(RECTANGLE, [
      squareStroke('one', { x: 0, y: 300 }, { x: 1200, y: 300 }, 150),
    ]);
    expect(share).toBeCloseTo(150 / 900, 12);
    expect(twice).toBe(0);
    expect(gaps.map(({ area_mm2 }) => Math.round(area_mm2))).toEqual([1200 * 525, 1200 * 225]);
    expect(gaps[0]?.at.y).toBeGreaterThan(375);
  });
  it('two strokes 30 mm apart leave a line between them as long as they are; 30 mm over each other are gone over twice', () => {
    const two = (apart: number): readonly Stroke[] =>
      [0, 150 + apart].map((up) =>
        squareStroke(`at ${up}`, { x: 0, y: 200 + up }, { x: 1200, y: 200 + up }, 150),
      );
    const line = coverageOf(RECTANGLE, two(30)).gaps.find(
      ({ area_mm2 }) => Math.round(area_mm2) === 1200 * 30,
    );
    expect(line?.length_mm).toBeCloseTo(Math.hypot(1200, 30), 6);
    expect(coverageOf(RECTANGLE, two(-30)).twice).toBeCloseTo((1200 * 30) / (1200 * 900), 12);
  });
  it('no stroke: one gap, the whole face; a stroke beside it covers nothing', () => {
    expect(coverageOf(RECTANGLE, []).gaps.map(({ area_mm2 }) => area_mm2)).toEqual([1200 * 900]);
    expect(
      coverageOf(RECTANGLE, [squareStroke('off', { x: 0, y: 2000 }, { x: 10, y: 2000 }, 50)]).share,
    ).toBe(0);
  });
  it('agrees with an independent polygon package, on any face', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SAMPLE_KINDS),
        fc.integer({ min: 1, max: 1000 }),
        ways,
        (kind, seed, own) => {
          const [face, strokes] = [sampleFace(kind, seed), strokesOn(own)];
          expect(coverageOf(face, strokes).share).toBeCloseTo(shareByPackage(face, strokes), 9);
        },
      ),
      { seed: 25, numRuns: 40 },
    );
  });
  it('what is covered and what is left make the whole, on any face', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SAMPLE_KINDS),
        fc.integer({ min: 1, max: 1000 }),
        ways,
        (kind, seed, own) => {
          const face = sampleFace(kind, seed);
          const { share, gaps } = coverageOf(face, strokesOn(own));
          const left = gaps.reduce((sum, { area_mm2 }) => sum + area_mm2, 0);
          expect(share + left / areaOfFace(face)).toBeCloseTo(1, 9);
        },
      ),
      { seed: 26, numRuns: 100 },
    );
  });
  it('a stroke more, or a wider one, never covers less; the order does not matter', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1000 }), ways, (seed, own) => {
        const [face, strokes] = [sampleFace('spiky star', seed), strokesOn(own)];
        const { share } = coverageOf(face, strokes);
        expect(coverageOf(face, strokes.slice(1)).share).toBeLessThanOrEqual(share + 1e-12);
        const wider = strokesOn(own.map(([a, b, c, d, width]) => [a, b, c, d, width + 30]));
        expect(coverageOf(face, wider).share).toBeGreaterThanOrEqual(share - 1e-12);
        expect(coverageOf(face, strokes.toReversed()).share).toBeCloseTo(share, 12);
      }),
      { seed: 27, numRuns: 60 },
    );
  });
});
