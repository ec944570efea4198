import type { Point } from '@yellow-pane/core/measure';
import type { FieldSheet } from './drawing-geometry';

const OFF = 6;
const LINE = 20;
const LETTER = 7;
const EDGE = 12;
/** How finely a free place is looked for, where none is beside the field. */
const STEP = 16;

/** A sentence beside a field: upper left corner, and how large it is, in pixels of the sheet. */
export interface Bubble extends Point {
  readonly width: number;
  readonly height: number;
}

/**
 * Where a sentence about a field goes so that it lies over no other field: beside it, below or above, else
 * the nearest free place; where there is none, whichever covers least.
 * @param others middles of the other fields
 */
export function bubbleBeside(
  { x, y }: Point,
  text: string,
  others: readonly Point[],
  { width: wide, height: high, field }: FieldSheet,
): Bubble {
  const width = Math.min(208, wide * 0.45);
  const height = Math.ceil((text.length * LETTER) / (width - EDGE)) * LINE + EDGE;
  const [aside, over] = [field.width / 2 + OFF, field.height / 2 + OFF];
  const within = (at: Point): Bubble => ({
    x: Math.min(wide - width, Math.max(0, at.x)),
    y: Math.min(high - height, Math.max(0, at.y)),
    width,
    height,
  });
  const tries = [
    { x: x + aside, y: y - height / 2 },
    { x: x - aside - width, y: y - height / 2 },
    { x: x - width / 2, y: y + over },
    { x: x - width / 2, y: y - over - height },
    { x: x + aside, y: y + over },
    { x: x - aside - width, y: y + over },
    { x: x + aside, y: y - over - height },
    { x: x - aside - width, y: y - over - height },
  ].map(within);
  const cost = (bubble: Bubble): number =>
    covered(bubble, { x, y }, field) * 10 +
    others.reduce((sum, other) => sum + covered(bubble, other, field), 0);
  const beside = tries.reduce((best, next) => (cost(next) < cost(best) ? next : best));
  if (cost(beside) === 0) return beside;
  const apart = ({ x: left, y: upper }: Bubble): number =>
    Math.hypot(left + width / 2 - x, upper + height / 2 - y);
  const anywhere = Array.from({ length: Math.ceil(high / STEP) }, (_, row) =>
    Array.from({ length: Math.ceil(wide / STEP) }, (_column, at) => within({ x: at * STEP, y: row * STEP })),
  ).flat();
  const free = anywhere.filter((bubble) => cost(bubble) === 0).sort((a, b) => apart(a) - apart(b));
  return free[0] ?? beside;
}

/** How much of a field a bubble lies over, px². */
export function covered(bubble: Bubble, middle: Point, { width, height }: FieldSheet['field']): number {
  const across =
    Math.min(bubble.x + bubble.width, middle.x + width / 2) - Math.max(bubble.x, middle.x - width / 2);
  const down =
    Math.min(bubble.y + bubble.height, middle.y + height / 2) - Math.max(bubble.y, middle.y - height / 2);
  return Math.max(0, across) * Math.max(0, down);
}
