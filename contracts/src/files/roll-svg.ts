/** A roll with its pieces, in millimetres: x from the left factory edge, y from the roll's end. */
export interface RollDrawing {
  readonly title: string;
  readonly rollWidth_mm: number;
  readonly length_mm: number;
  readonly pieces: readonly { readonly tag: string; readonly x_mm: number; readonly y_mm: number; readonly across_mm: number; readonly along_mm: number }[];
}

/** The roll as a free-standing SVG to scale: one user unit is one millimetre. Text is escaped. */
export function rollSvg({ title, rollWidth_mm, length_mm, pieces }: RollDrawing): string {
  const height = Math.max(length_mm, 1);
  const shapes = pieces.map(({ tag, x_mm, y_mm, across_mm, along_mm }) => [
    `  <rect x="${x_mm}" y="${y_mm}" width="${across_mm}" height="${along_mm}" fill="none" stroke="black" stroke-width="2"/>`,
    `  <text x="${x_mm + across_mm / 2}" y="${y_mm + along_mm / 2}" font-family="sans-serif" font-size="60" text-anchor="middle">${escaped(tag)}</text>`,
  ].join('\n'));
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${rollWidth_mm}mm" height="${height}mm" viewBox="0 0 ${rollWidth_mm} ${height}">`,
    `  <title>${escaped(title)}</title>`,
    `  <rect x="0" y="0" width="${rollWidth_mm}" height="${height}" fill="none" stroke="black" stroke-width="1" stroke-dasharray="20 10"/>`,
    ...shapes,
    '</svg>\n',
  ].join('\n');
}

function escaped(text: string): string {
  // eslint-disable-next-line no-control-regex -- XML 1.0 forbids these characters even when escaped
  return text.replace(/[\u0000-\u0008\u000B\u000C\u000E-\u001F]/g, '').replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');
}
