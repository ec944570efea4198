import type { SpectralPoint } from '@yellow-pane/core/glazing';
import Papa from 'papaparse';

const FIELDS = 4;
const MOST_LINES = 5000;
const MICROMETRES_BELOW = 20;

/**
 * Reads a measured spectrum: wavelength (nm, or µm when under 20), transmitted, reflected through the glass,
 * reflected from the film's side; tab, comma or semicolon between; lines of words at the top are passed over,
 * later ones are not. Percent is told from shares by the largest figure.
 * @returns the points, or what is wrong and in which line
 */
export function readSpectrumCsv(
  text: string,
): { readonly points: readonly SpectralPoint[] } | { readonly refused: string } {
  const isDecimalComma = text.includes(';') || text.includes('\t');
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: 'greedy',
    delimitersToGuess: [';', '\t', ','],
  });
  if (data.length > MOST_LINES)
    return { refused: `Expected at most ${MOST_LINES} lines, got ${data.length}.` };
  const rows: number[][] = [];
  for (const [index, line] of data.entries()) {
    const figures = line.map((cell) =>
      cell.trim() === '' ? Number.NaN : Number(isDecimalComma ? cell.trim().replace(',', '.') : cell.trim()),
    );
    const isFigures =
      figures.length >= FIELDS && figures.slice(0, FIELDS).every((figure) => Number.isFinite(figure));
    if (isFigures) rows.push(figures.slice(0, FIELDS));
    else if (rows.length > 0)
      return {
        refused: `Line ${index + 1}: expected wavelength, transmitted, reflected, reflected, got “${line.join(' ').slice(0, 60)}”.`,
      };
  }
  if (rows.length === 0)
    return {
      refused:
        'Expected lines of wavelength, transmitted, reflected through the glass, reflected from the film’s side; found none.',
    };
  const inMicrometres = Math.max(...rows.map(([nm = 0]) => nm)) < MICROMETRES_BELOW;
  const inPercent = Math.max(...rows.flatMap((row) => row.slice(1))) > 1.5;
  const share = (figure = 0): number => (inPercent ? figure / 100 : figure);
  return {
    points: rows.map(([nm = 0, transmitted, front, back]) => ({
      nm: inMicrometres ? nm * 1000 : nm,
      transmitted: share(transmitted),
      reflectedFront: share(front),
      reflectedBack: share(back),
    })),
  };
}
