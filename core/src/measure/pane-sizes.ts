import { type Formula, GEOMETRY } from '../quantity';
import type { Outline } from './outline';

/** Corner coordinates as formula inputs: mm, top left corner at the origin, y downwards. */
export interface CornerInputs {
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
  readonly x3: number;
  readonly y3: number;
  readonly x4: number;
  readonly y4: number;
}

const CORNERS = {
  x1: { word: 'top left, across', unit: 'mm' },
  y1: { word: 'top left, down', unit: 'mm' },
  x2: { word: 'top right, across', unit: 'mm' },
  y2: { word: 'top right, down', unit: 'mm' },
  x3: { word: 'bottom right, across', unit: 'mm' },
  y3: { word: 'bottom right, down', unit: 'mm' },
  x4: { word: 'bottom left, across', unit: 'mm' },
  y4: { word: 'bottom left, down', unit: 'mm' },
} as const;

const AREA: Formula<CornerInputs> = {
  id: 'measure.area', word: 'glass area', says: 'A = ½ · |Σ (xᵢ·yᵢ₊₁ − xᵢ₊₁·yᵢ)|', unit: 'mm²', source: GEOMETRY, inputs: CORNERS,
  of: ({ x1, y1, x2, y2, x3, y3, x4, y4 }) => Math.abs(x1 * y2 - x2 * y1 + x2 * y3 - x3 * y2 + x3 * y4 - x4 * y3 + x4 * y1 - x1 * y4) / 2,
};

const PERIMETER: Formula<CornerInputs> = {
  id: 'measure.perimeter', word: 'edge to work along', says: 'P = the four side lengths added', unit: 'mm', source: GEOMETRY, inputs: CORNERS,
  of: (at) => sides(at).reduce((sum, side) => sum + side, 0),
};

const OUT_OF_SQUARE: Formula<CornerInputs> = {
  id: 'measure.outOfSquare', word: 'out of square', says: 'gap under a try square at the worst corner: shorter side · |cos of the corner angle|', unit: 'mm', source: GEOMETRY, inputs: CORNERS,
  of: ({ x1, y1, x2, y2, x3, y3, x4, y4 }) =>
    Math.max(squareGap(x4 - x1, y4 - y1, x2 - x1, y2 - y1), squareGap(x1 - x2, y1 - y2, x3 - x2, y3 - y2), squareGap(x2 - x3, y2 - y3, x4 - x3, y4 - y3), squareGap(x3 - x4, y3 - y4, x1 - x4, y1 - y4)),
};

const AROUND_WIDTH: Formula<CornerInputs> = {
  id: 'measure.aroundWidth', word: 'width of the smallest rectangle around', says: 'largest minus smallest distance across, top edge level', unit: 'mm', source: GEOMETRY, inputs: CORNERS,
  of: ({ x1, x2, x3, x4 }) => Math.max(x1, x2, x3, x4) - Math.min(x1, x2, x3, x4),
};

const AROUND_HEIGHT: Formula<CornerInputs> = {
  id: 'measure.aroundHeight', word: 'height of the smallest rectangle around', says: 'largest minus smallest distance down, top edge level', unit: 'mm', source: GEOMETRY, inputs: CORNERS,
  of: ({ y1, y2, y3, y4 }) => Math.max(y1, y2, y3, y4) - Math.min(y1, y2, y3, y4),
};

export const SIZE_FORMULAS = { area: AREA, perimeter: PERIMETER, outOfSquare: OUT_OF_SQUARE, aroundWidth: AROUND_WIDTH, aroundHeight: AROUND_HEIGHT } as const;

/** Coordinates of the four corners under the names the formulas use. */
export function cornerInputs([a, b, c, d]: Outline): CornerInputs {
  return { x1: a.x, y1: a.y, x2: b.x, y2: b.y, x3: c.x, y3: c.y, x4: d.x, y4: d.y };
}

function sides({ x1, y1, x2, y2, x3, y3, x4, y4 }: CornerInputs): number[] {
  return [Math.hypot(x2 - x1, y2 - y1), Math.hypot(x3 - x2, y3 - y2), Math.hypot(x4 - x3, y4 - y3), Math.hypot(x1 - x4, y1 - y4)];
}

function squareGap(ux: number, uy: number, vx: number, vy: number): number {
  const u = Math.hypot(ux, uy);
  const v = Math.hypot(vx, vy);
  return (Math.min(u, v) * Math.abs(ux * vx + uy * vy)) / (u * v);
}
