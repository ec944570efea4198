import { outlineBounds } from '@yellow-pane/core/measure';
import type { DrawnSurface } from './survey-dxf';

const GAP_MM = 200;
const LABEL_MM = 120;
const ESCAPES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
};

/** Outlines side by side, one unit a millimetre, at true size when printed at 100 %. */
export function surveySvg(surfaces: readonly DrawnSurface[]): string {
  let left = 0;
  let tallest = 0;
  const drawn = surfaces.map(({ tag, outline, openings }) => {
    const bounds = outlineBounds(outline);
    const path = (points: DrawnSurface['outline']): string =>
      `M${points.map(({ x, y }) => `${(left + x - bounds.left).toFixed(2)} ${(LABEL_MM + y - bounds.top).toFixed(2)}`).join('L')}Z`;
    const text = `<g><path d="${path(outline)}" fill="#dde9e6" stroke="#1b1d1d" stroke-width="2"/>${openings.map((opening) => `<path d="${path(opening)}" fill="#fff" stroke="#1b1d1d" stroke-width="1.5"/>`).join('')}<text x="${left.toFixed(2)}" y="${LABEL_MM - 30}" font-family="sans-serif" font-size="60">${tag.replace(/[&<>"']/g, (mark) => ESCAPES[mark] ?? mark)}</text></g>`;
    left += bounds.width + GAP_MM;
    tallest = Math.max(tallest, bounds.height);
    return text;
  });
  const [width, height] = [Math.max(1, left - GAP_MM), LABEL_MM + tallest];
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width.toFixed(2)}mm" height="${height.toFixed(2)}mm" viewBox="-2 0 ${(width + 4).toFixed(2)} ${(height + 2).toFixed(2)}">${drawn.join('')}</svg>`;
}
