import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { seededNormal, seededRandom } from '../quantity';
import {
  type FourPoints,
  type GreyPicture,
  type Point,
  cornerNear,
  homographyOf,
  mapped,
  squarePattern,
} from './index';

const SIZE: FourPoints = [
  { x: 0, y: 0 },
  { x: 180, y: 0 },
  { x: 180, y: 250 },
  { x: 0, y: 250 },
];
/** A frame lying on a floor, as a camera at a slant sees it. */
const SEEN: FourPoints = [
  { x: 212, y: 148 },
  { x: 421, y: 171 },
  { x: 398, y: 402 },
  { x: 171, y: 361 },
];
const near = (a: Point | undefined, b: Point | undefined): number =>
  a === undefined || b === undefined ? Infinity : Math.hypot(a.x - b.x, a.y - b.y);

/** A black frame 14 mm wide, seen so, on grey paper, blurred by the pixel and noisy. */
function picture(seed: number, noise: number): GreyPicture {
  const [width, height] = [640, 480];
  const back = homographyOf(SEEN, SIZE);
  const random = seededRandom(seed);
  const grey = new Uint8Array(width * height);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      let sum = 0;
      for (const [dx, dy] of [
        [-0.25, -0.25],
        [0.25, -0.25],
        [-0.25, 0.25],
        [0.25, 0.25],
      ] as const) {
        const at = mapped(back, { x: x + dx, y: y + dy });
        const isIn = at.x > 0 && at.x < 180 && at.y > 0 && at.y < 250;
        const isHole = at.x > 14 && at.x < 166 && at.y > 14 && at.y < 236;
        sum += isIn && !isHole ? 30 : 205;
      }
      const shaken = sum / 4 + noise * (random() + random() + random() - 1.5) * 2;
      grey[y * width + x] = Math.max(0, Math.min(255, shaken));
    }
  return { width, height, grey };
}

describe('is a slanting picture made square?', () => {
  it('four corners go where they belong, and everything between them', () => {
    const square = homographyOf(SEEN, SIZE);
    SEEN.forEach((corner, index) => {
      expect(near(mapped(square, corner), SIZE[index])).toBeLessThan(1e-9);
    });
    const middle = mapped(homographyOf(SIZE, SEEN), { x: 90, y: 125 });
    expect(near(mapped(square, middle), { x: 90, y: 125 })).toBeLessThan(1e-9);
  });
  it('there and back again is where it was, whatever the slant', () => {
    const moved = fc.double({ min: -40, max: 40, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(moved, { minLength: 8, maxLength: 8 }),
        fc.array(moved, { minLength: 2, maxLength: 2 }),
        (by, at) => {
          const seen = SEEN.map(({ x, y }, index) => ({
            x: x + (by[2 * index] ?? 0),
            y: y + (by[2 * index + 1] ?? 0),
          })) as unknown as FourPoints;
          const point = { x: 300 + (at[0] ?? 0), y: 270 + (at[1] ?? 0) };
          const back = mapped(homographyOf(SIZE, seen), mapped(homographyOf(seen, SIZE), point));
          expect(near(back, point)).toBeLessThan(1e-6);
        },
      ),
      { numRuns: 100, seed: 5, endOnFailure: true },
    );
  });
  it('three corners on one line, no frame size, too few corners of the pattern: refused by name', () => {
    const line: FourPoints = [SEEN[0], { x: 300, y: 200 }, { x: 388, y: 252 }, SEEN[3]];
    expect(() => homographyOf([{ x: 0, y: 0 }, { x: 50, y: 50 }, { x: 100, y: 100 }, line[3]], SIZE)).toThrow(
      'SQUARING_TAPS at taps',
    );
    const own = { frame: SEEN, frameWidth_mm: 180, frameHeight_mm: 250, pattern: SIZE, tap_px: 1 };
    expect(() => squarePattern({ ...own, frameWidth_mm: 0 })).toThrow('SQUARING_TAPS at frame');
    expect(() => squarePattern({ ...own, pattern: SIZE.slice(2) })).toThrow('SQUARING_TAPS at pattern');
  });
});

describe('does a finger find the corner of a printed frame?', () => {
  it.each([
    [1, 0],
    [2, 12],
    [3, 25],
  ])(
    'rendered, warped, noisy (%d, noise %d): within 2 px of where it was drawn, from taps 7 px off',
    (seed, noise) => {
      const seen = picture(seed, noise);
      const random = seededRandom(seed);
      for (const corner of SEEN) {
        const tap = { x: corner.x + 14 * (random() - 0.5), y: corner.y + 14 * (random() - 0.5) };
        expect(near(cornerNear(seen, tap), corner)).toBeLessThan(2);
      }
    },
  );
  it('where there is no corner the tap stays', () => {
    expect(cornerNear(picture(1, 5), { x: 40, y: 40 })).toEqual({ x: 40, y: 40 });
  });
});

describe('how large is the pattern, and how sure is that?', () => {
  /** A pattern beside the frame, mm from the frame's corner. */
  const PATTERN = [
    { x: 260, y: 10 },
    { x: 420, y: 20 },
    { x: 430, y: 240 },
    { x: 250, y: 250 },
  ];
  const seen = (points: readonly Point[]): Point[] => {
    const on = homographyOf(SIZE, SEEN);
    return points.map((point) => mapped(on, point));
  };
  it('its corners in millimetres; further from the frame they are less sure', () => {
    const { outline, sd_mm } = squarePattern({
      ...{ frame: SEEN, frameWidth_mm: 180, frameHeight_mm: 250, pattern: seen(PATTERN), tap_px: 1 },
    });
    outline.forEach((corner, index) => {
      expect(near(corner, PATTERN[index])).toBeLessThan(1e-6);
    });
    expect(sd_mm[1]).toBeGreaterThan(sd_mm[0] ?? Infinity);
  });
  it('taps a pixel off leave it within three of its stated errors', () => {
    const normal = seededNormal(9);
    const off = ({ x, y }: Point): Point => ({ x: x + normal(), y: y + normal() });
    for (let run = 0; run < 20; run += 1) {
      const { outline, sd_mm } = squarePattern({
        frame: SEEN.map(off) as unknown as FourPoints,
        ...{ frameWidth_mm: 180, frameHeight_mm: 250, pattern: seen(PATTERN).map(off), tap_px: 1 },
      });
      outline.forEach((corner, index) => {
        expect(near(corner, PATTERN[index])).toBeLessThan(3.5 * Math.SQRT2 * (sd_mm[index] ?? 0));
      });
    }
  });
});
