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
  markedArea,
  spotNear,
  squarePattern,
  whatBecame,
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

describe('how large is what a picture shows, and what became of it?', () => {
  /** A pocket, an ellipse in millimetres, beside or in the frame, as the camera at a slant sees it. */
  const withPocket = (seed: number, noise: number, pocket: { a: number; b: number; dark: number }) => {
    const own = picture(seed, noise);
    const back = homographyOf(SEEN, SIZE);
    const random = seededRandom(seed + 100);
    const grey = own.grey.map((value, index) => {
      const at = mapped(back, { x: index % own.width, y: Math.floor(index / own.width) });
      const isIn = ((at.x - 90) / pocket.a) ** 2 + ((at.y - 130) / pocket.b) ** 2 < 1;
      return isIn ? 205 - pocket.dark + noise * (random() + random() + random() - 1.5) * 2 : value;
    });
    return { ...own, grey };
  };
  const FRAME = 180 * 250;
  const TAP = mapped(homographyOf(SIZE, SEEN), { x: 90, y: 130 });
  const areaOf = (outline: readonly Point[]) =>
    markedArea({ taps: SEEN, width_mm: 180, height_mm: 250, outline, tap_px: 1 });

  it.each([
    [1, 0, 40, 60],
    [2, 10, 40, 60],
    [3, 18, 30, 30],
    [4, 18, 15, 22],
  ])('rendered, warped, noisy (%d, noise %d): one tap, its share within 2 points', (seed, noise, a, b) => {
    const outline = spotNear(withPocket(seed, noise, { a, b, dark: 60 }), TAP);
    const { area_mm2, extent_mm } = areaOf(outline ?? []);
    expect(Math.abs(area_mm2 - Math.PI * a * b) / FRAME).toBeLessThan(0.02);
    expect(Math.abs(extent_mm - 2 * Math.max(a, b))).toBeLessThan(6);
  });
  it('where nothing stands out nothing is found, nor beyond the picture', () => {
    expect(spotNear(picture(5, 10), TAP)).toBeUndefined();
    expect(spotNear(picture(5, 10), { x: -4, y: 20 })).toBeUndefined();
  });
  it('an outline by hand: the area of an ellipse, with its doubt by the taps', () => {
    const ring = Array.from({ length: 40 }, (_, n) => {
      const turn = (2 * Math.PI * n) / 40;
      return mapped(homographyOf(SIZE, SEEN), { x: 90 + 30 * Math.cos(turn), y: 130 + 30 * Math.sin(turn) });
    });
    const { area_mm2, sd_mm2 } = areaOf(ring);
    expect(area_mm2).toBeCloseTo(20 * 900 * Math.sin(Math.PI / 20), 3);
    expect(sd_mm2).toBeGreaterThan(5);
    expect(sd_mm2).toBeLessThan(150);
  });
  it('smaller or larger only beyond twice the doubt; nothing there is gone', () => {
    const of = (area_mm2: number) => ({ area_mm2, sd_mm2: 10, extent_mm: 9 });
    expect(whatBecame(of(400), of(390))).toBe('same');
    expect(whatBecame(of(400), of(300))).toBe('smaller');
    expect(whatBecame(of(400), of(500))).toBe('larger');
    expect(whatBecame(of(400), undefined)).toBe('gone');
  });
});
