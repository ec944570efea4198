import { describe, expect, it } from '@jest/globals';
import type { SurfaceShape } from '@yellow-pane/core/job';
import { type Figure, checkSurface, nominalFigure, slotsFor } from '@yellow-pane/core/measure';
import { squareStroke, turnOf } from '@yellow-pane/core/strokes';
import fc from 'fast-check';
import { bubbleBeside, covered } from './bubble';
import { contoursOf } from './contours';
import { drawingOf, placesOf } from './drawing-geometry';
import { begun, faceScale, sweptPath } from './stroke-drawing';

const OWN = { seenFrom: 'room', lookFrom: 'room' } as const;
const OTHER = { seenFrom: 'room', lookFrom: 'outside' } as const;
const BOX = { width: 700, height: 500, marginX: 110, marginY: 48 };
const SHAPES: readonly SurfaceShape[] = [
  'four sides',
  'three sides',
  'many sides',
  'arched top',
  'round',
  'oval',
  'rounded corners',
  'curved glass',
  'wall',
  'round column',
  'square column',
  'panel',
  'moulding',
];

const rectangle = (width: number, height: number): Figure => {
  const result = checkSurface({
    shape: 'four sides',
    readings: [
      { id: 'w', kind: 'distance', from: 'tl', to: 'tr', value_mm: width, instrument: 'tape' },
      { id: 'h', kind: 'distance', from: 'tl', to: 'bl', value_mm: height, instrument: 'tape' },
    ],
  });
  if (!('figure' in result)) throw new Error(result.state);
  return result.figure;
};

describe('is the surface drawn to scale, with fields that do not cover each other?', () => {
  it('both sides by the same scale, inside the box, whatever the pane', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 100, max: 6000 }),
        fc.integer({ min: 100, max: 6000 }),
        (width, height) => {
          const { tl, tr, bl, br } = drawingOf(rectangle(width, height), BOX, OWN).points as Record<
            'tl' | 'tr' | 'bl' | 'br',
            { x: number; y: number }
          >;
          expect((tr.x - tl.x) / width).toBeCloseTo((bl.y - tl.y) / height, 9);
          expect(tl.x).toBeGreaterThanOrEqual(109.99);
          expect(br.y).toBeLessThanOrEqual(452.01);
        },
      ),
    );
  });
  it('from the other side the drawing is mirrored, and a click finds the same spot of the glass', () => {
    const figure = rectangle(1000, 2000);
    const own = drawingOf(figure, BOX, OWN);
    const other = drawingOf(figure, BOX, OTHER);
    expect(other.points['tl']?.x).toBeCloseTo(own.points['tr']?.x ?? NaN, 9);
    const spot = other.from(other.at({ x: 120, y: 1900 }));
    expect([spot.x, spot.y]).toEqual([expect.closeTo(120, 6), expect.closeTo(1900, 6)]);
  });
  it.each([
    ...SHAPES.map((shape) => [shape, nominalFigure(shape, shape === 'many sides' ? 6 : null)] as const),
    ['four sides' as const, rectangle(2000, 1000)] as const,
    ['four sides' as const, rectangle(700, 2100)] as const,
  ])('%s: fields on the drawing are apart by their height or their width', (shape, figure) => {
    const slots = slotsFor(shape, 6).filter(({ isExtra }) => isExtra !== true);
    const places = placesOf(
      slots.map((slot) => ({ ...slot, slot })),
      drawingOf(figure, BOX, OWN),
      { ...BOX, field: { width: 94, height: 36 } },
    ).flatMap((place) => (place?.field === undefined ? [] : [place.field]));
    expect(places.length).toBeGreaterThan(0);
    places.forEach((a, i) => {
      places.slice(i + 1).forEach((b) => {
        expect(Math.abs(a.y - b.y) >= 36 || Math.abs(a.x - b.x) >= 94).toBe(true);
      });
    });
  });
  it.each(SHAPES)(
    '%s on a phone: fields lie apart and on the sheet; what finds no room keeps its line',
    (shape) => {
      const slots = slotsFor(shape, 6).filter(({ isExtra }) => isExtra !== true);
      const measures = slots.map((slot) => ({ ...slot, slot }));
      const box = { width: 390, height: 300, marginX: 94, marginY: 48 };
      const drawing = drawingOf(nominalFigure(shape, 6), box, OWN);
      const places = placesOf(measures, drawing, { ...box, field: { width: 76, height: 36 } });
      const fields = places.flatMap((place) => (place?.field === undefined ? [] : [place.field]));
      fields.forEach((a, i) => {
        expect([a.x >= 38, a.x <= 352, a.y >= 18, a.y <= 282]).toEqual([true, true, true, true]);
        fields.slice(i + 1).forEach((b) => {
          expect(Math.abs(a.y - b.y) >= 36 || Math.abs(a.x - b.x) >= 76).toBe(true);
        });
      });
      const crowded = places.filter(
        (place) => place !== undefined && place.field === undefined && place.isInner,
      );
      for (const place of crowded) expect(place?.line).toBeDefined();
    },
  );
});

describe('is what is wrong said beside its field?', () => {
  const SAYS = 'Expected 20 mm to 20 m, got 19 mm: one digit too few, or another unit?';
  it.each([
    ['wide sheet', { width: 690, height: 500, field: { width: 94, height: 36 } }],
    ['on a phone', { width: 390, height: 460, field: { width: 76, height: 36 } }],
  ])('over no other field, and not over its own: %s', (_where, sheet) => {
    const slots = slotsFor('four sides', null).filter(({ lies }) => lies !== 'beside');
    const box = { ...sheet, marginX: 100, marginY: 48 };
    const measures = slots.map((slot) => ({ ...slot, slot }));
    const places = placesOf(measures, drawingOf(rectangle(1180, 2140), box, OWN), sheet);
    const fields = places.flatMap((place) => (place?.field === undefined ? [] : [place.field]));
    expect(fields.length).toBeGreaterThan(5);
    for (const own of fields) {
      const others = fields.filter((other) => other !== own);
      const bubble = bubbleBeside(own, SAYS, others, sheet);
      expect(others.map((other) => covered(bubble, other, sheet.field)).filter((area) => area > 0)).toEqual(
        [],
      );
      expect(covered(bubble, own, sheet.field)).toBe(0);
      expect(bubble.x >= 0 && bubble.x + bubble.width <= sheet.width).toBe(true);
      expect(bubble.y >= 0 && bubble.y + bubble.height <= sheet.height).toBe(true);
    }
  });
});

describe('do contours show the height of the glass?', () => {
  it('the highest line of an even dome lies round its middle, and its figure is below the sag', () => {
    const patch = {
      halfWidth_mm: 600,
      halfHeight_mm: 400,
      acrossBottom: 2e-4,
      acrossMiddle: 2e-4,
      acrossTop: 2e-4,
      down: 2e-4,
      twist: 0,
      skew: 0,
      cubicDown: 0,
      quarticAcross: 0,
    };
    const lines = contoursOf(patch, rectangle(1200, 800).outline, (point) => point);
    const last = lines.at(-1);
    expect(last?.height_mm).toBeGreaterThan(40);
    expect(last?.height_mm).toBeLessThan(54);
    expect(lines.length).toBeGreaterThan(3);
    const numbers = (last?.path.match(/[\d.]+ [\d.]+/g) ?? []).map((pair) => Number(pair.split(' ')[0]));
    expect(numbers.reduce((sum, x) => sum + x, 0) / numbers.length).toBeCloseTo(600, -1);
  });
});

describe('is film drawn as laid wherever a stroke went over it?', () => {
  const stroke = (from: number, to: number) => squareStroke('s', { x: from, y: 100 }, { x: to, y: 100 }, 150);
  const FACE = {
    rings: [
      [
        { x: 0, y: 0 },
        { x: 1000, y: 0 },
        { x: 1000, y: 600 },
        { x: 0, y: 600 },
      ],
    ],
  };
  it('strokes to the right and to the left turn the same way, so that a lap does not cancel itself', () => {
    const turnOfPath = (path: string): number => {
      const places = [...path.matchAll(/([\d.-]+) ([\d.-]+)/g)].map(([, x, y]) => ({
        x: Number(x),
        y: Number(y),
      }));
      return Math.sign(turnOf(places));
    };
    const scale = faceScale(FACE);
    expect(turnOfPath(sweptPath(stroke(400, 900), scale))).toBe(
      turnOfPath(sweptPath(stroke(600, 100), scale)),
    );
  });
  it('so much of a stroke, from its beginning; places on the drawing lead back to the surface', () => {
    expect(begun(stroke(100, 900), 0.25).path.at(-1)).toEqual({ x: 300, y: 100 });
    const scale = faceScale(FACE);
    const back = scale.from(scale.at({ x: 123, y: 456 }));
    expect(back.x).toBeCloseTo(123, 9);
    expect(back.y).toBeCloseTo(456, 9);
    expect(scale.at({ x: 0, y: 600 }).y).toBeLessThan(scale.at({ x: 0, y: 0 }).y);
  });
});
