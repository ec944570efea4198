import { type Face, type Spot, boundsOf } from '@yellow-pane/core/strokes';
import type { PdfPage } from './pdf-page';

/** Room on a page, points. */
export interface Panel {
  readonly x: number;
  readonly y: number;
  readonly wide: number;
  readonly high: number;
}

/** Where a place on a surface comes to lie on the page. */
export type At = (spot: Spot) => Spot;

/** A whole surface as large as its room allows, in the middle of it. */
export function scaleOf(whole: Face, { x, y, wide, high }: Panel): At {
  const { left, right, bottom, top } = boundsOf(whole);
  const scale = Math.min((wide - 30) / Math.max(1, right - left), (high - 24) / Math.max(1, top - bottom));
  const [x0, y0] = [x + (wide - (right - left) * scale) / 2, y + (high + (top - bottom) * scale) / 2];
  return (spot) => ({ x: x0 + (spot.x - left) * scale, y: y0 - (spot.y - bottom) * scale });
}

export function faceOn(pdf: PdfPage, { rings }: Face, at: At): void {
  for (const ring of rings) pdf.polygon(...ring.map((spot): [number, number] => [at(spot).x, at(spot).y]));
  pdf.lineWidth(1).stroke('#111');
}
