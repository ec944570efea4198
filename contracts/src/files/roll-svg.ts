import { type CutPlanFile, outlineOf, phaseWord, pieceWord } from './cut-plan-file';

const BETWEEN_MM = 300;
const TOP_MM = 120;

/**
 * The plan as a free-standing SVG to scale, one user unit a millimetre, rolls side by side with their free
 * ends below, where one stands. Text is escaped.
 */
export function cutPlanSvg({ job, film, liner, rolls }: CutPlanFile): string {
  const width = rolls.reduce((sum, roll) => sum + roll.width_mm + BETWEEN_MM, -BETWEEN_MM);
  const tallest = Math.max(1, ...rolls.map(({ used_mm }) => used_mm));
  const height = tallest + TOP_MM;
  let left = 0;
  const drawn = rolls.map((roll) => {
    const path = (points: readonly { readonly x: number; readonly y: number }[]): string =>
      points.map(({ x, y }) => `${round(x)},${round(tallest - y)}`).join(' ');
    const parts = [
      `  <g transform="translate(${left} ${TOP_MM})">`,
      `    <text x="0" y="-40" font-family="sans-serif" font-size="60">${escaped(`${roll.what} ${roll.label}, liner ${liner}`)}</text>`,
      `    <rect x="0" y="${round(tallest - Math.max(1, roll.used_mm))}" width="${roll.width_mm}" height="${Math.max(1, roll.used_mm)}" fill="none" stroke="black" stroke-width="1" stroke-dasharray="20 10"/>`,
      ...roll.pieces.flatMap((piece) => [
        `    <polygon points="${path(outlineOf(piece))}" fill="none" stroke="black" stroke-width="2"/>`,
        ...(piece.notches ?? []).map(
          (line) => `    <polyline points="${path(line)}" fill="none" stroke="black" stroke-width="2"/>`,
        ),
        ...(piece.slits ?? []).map(
          (line) =>
            `    <polyline points="${path(line)}" fill="none" stroke="black" stroke-width="1" stroke-dasharray="30 15"/>`,
        ),
        `    <text x="${piece.x_mm + piece.across_mm / 2}" y="${round(tallest - piece.y_mm - piece.along_mm / 2)}" font-family="sans-serif" font-size="60" text-anchor="middle">${escaped(pieceWord(piece) + phaseWord(piece, (mm) => `${mm} mm`))}</text>`,
      ]),
      '  </g>',
    ];
    left += roll.width_mm + BETWEEN_MM;
    return parts.join('\n');
  });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${Math.max(1, width)}mm" height="${height}mm" viewBox="0 0 ${Math.max(1, width)} ${height}">`,
    `  <title>${escaped(`${job}, ${film}`)}</title>`,
    ...drawn,
    '</svg>\n',
  ].join('\n');
}

const round = (value: number): number => Math.round(value * 100) / 100;

// eslint-disable-next-line no-control-regex -- XML 1.0 forbids these characters even when escaped
const FORBIDDEN_IN_XML = /[\u0000-\u0008\u000B\u000C\u000E-\u001F]/g;

function escaped(text: string): string {
  return text
    .replace(FORBIDDEN_IN_XML, '')
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;');
}
