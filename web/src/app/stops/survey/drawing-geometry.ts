import { type Outline, type Point, outlineBounds } from '@yellow-pane/core/measure';
import type { PanePoint } from '@yellow-pane/core/job';

export interface Box {
  readonly width: number;
  readonly height: number;
  /** Room for dimension lines and fields on each side. */
  readonly marginX: number;
  readonly marginY: number;
}

/** How far dimension lines stand off the pane, in pixels. */
const HEIGHT_STAND_OFF = 54;
const WIDTH_STAND_OFF = 26;

/** Where each measured point of the pane lies on the sheet, to scale and centred. */
export function pointsOnSheet(outline: Outline, box: Box): Readonly<Record<PanePoint, Point>> {
  const { left, top, width, height } = outlineBounds(outline);
  const scale = Math.min((box.width - 2 * box.marginX) / Math.max(width, 1), (box.height - 2 * box.marginY) / Math.max(height, 1));
  const offset = { x: (box.width - width * scale) / 2, y: (box.height - height * scale) / 2 };
  const at = ({ x, y }: Point): Point => ({ x: offset.x + (x - left) * scale, y: offset.y + (y - top) * scale });
  const [tl, tr, br, bl] = [at(outline[0]), at(outline[1]), at(outline[2]), at(outline[3])];
  return { tl, tr, br, bl, mt: between(tl, tr, 0.5), mr: between(tr, br, 0.5), mb: between(bl, br, 0.5), ml: between(tl, bl, 0.5) };
}

/** Where the field of each customary measure sits: outside for the outer ones, in rows of their own for the inner ones, so none cover each other. */
export function fieldPosition(key: string, points: Readonly<Record<PanePoint, Point>>): Point {
  const { tl, tr, br, bl, mt, mr, mb, ml } = points;
  const positions: Readonly<Record<string, Point>> = {
    'width-top': { x: mt.x, y: Math.min(tl.y, tr.y) - WIDTH_STAND_OFF },
    'width-bottom': { x: mb.x, y: Math.max(bl.y, br.y) + WIDTH_STAND_OFF },
    'height-left': { x: Math.min(tl.x, bl.x) - HEIGHT_STAND_OFF, y: ml.y },
    'height-right': { x: Math.max(tr.x, br.x) + HEIGHT_STAND_OFF, y: mr.y },
    'height-middle': between(mt, mb, 0.13),
    'diagonal-falling': between(tl, br, 0.31),
    'width-middle': between(ml, mr, 0.5),
    'diagonal-rising': between(bl, tr, 0.31),
  };
  return positions[key] ?? between(mt, mb, 0.85);
}

/** The line of a measure: outer ones stand off the pane as dimension lines, inner ones run through it. */
export function dimensionLine(key: string, points: Readonly<Record<PanePoint, Point>>): readonly [Point, Point] | undefined {
  const { tl, tr, br, bl, mt, mr, mb, ml } = points;
  const top = Math.min(tl.y, tr.y) - WIDTH_STAND_OFF;
  const bottom = Math.max(bl.y, br.y) + WIDTH_STAND_OFF;
  const left = Math.min(tl.x, bl.x) - HEIGHT_STAND_OFF;
  const right = Math.max(tr.x, br.x) + HEIGHT_STAND_OFF;
  const lines: Readonly<Record<string, readonly [Point, Point]>> = {
    'width-top': [{ x: tl.x, y: top }, { x: tr.x, y: top }],
    'width-bottom': [{ x: bl.x, y: bottom }, { x: br.x, y: bottom }],
    'height-left': [{ x: left, y: tl.y }, { x: left, y: bl.y }],
    'height-right': [{ x: right, y: tr.y }, { x: right, y: br.y }],
    'height-middle': [mt, mb],
    'width-middle': [ml, mr],
    'diagonal-falling': [tl, br],
    'diagonal-rising': [bl, tr],
  };
  return lines[key];
}

export function between(from: Point, to: Point, share: number): Point {
  return { x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share };
}
