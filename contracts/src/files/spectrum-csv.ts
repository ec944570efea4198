import type { SpectralPoint } from '@yellow-pane/core/glazing';
import Papa from 'papaparse';

const FIELDS = 4;
const MOST_LINES = 5000;
const MICROMETRES_BELOW = 20;

/** Above it a figure can only be percent; up to it a line may be shares. */
const MOST_AS_SHARE = 1.5;
/** What percent signs and figures of a line say of it. */
type Unit = 'share' | 'percent';

/** One line read: a wavelength and three figures, as shares where they carry a percent sign. */
interface Line {
  readonly at: number;
  readonly text: string;
  readonly nm: number;
  readonly figures: readonly number[];
  readonly unit: Unit;
}

/**
 * Reads a measured spectrum: wavelength (nm, or µm when under 20), transmitted, reflected through the glass,
 * reflected from the film's side; tab, comma or semicolon between; lines of words at the top are passed over,
 * later ones are not. Figures are shares, or percent with or without its sign, the same in the whole file.
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
  const lines: Line[] = [];
  for (const [index, cells] of data.entries()) {
    const line = lineOf(cells, index + 1, isDecimalComma);
    if (line !== undefined) lines.push(line);
    else if (lines.length > 0)
      return {
        refused: `Line ${index + 1}: expected wavelength, transmitted, reflected, reflected, got “${said(cells)}”.`,
      };
  }
  const [first] = lines;
  if (first === undefined)
    return {
      refused:
        'Expected lines of wavelength, transmitted, reflected through the glass, reflected from the film’s side; found none.',
    };
  const other = lines.find(({ unit }) => unit !== first.unit);
  if (other !== undefined)
    return {
      refused: `Line ${other.at}: expected ${first.unit} as in line ${first.at}, “${first.text}”, got ${other.unit}, “${other.text}”. Write all of them as shares, or all as percent.`,
    };
  const inMicrometres = Math.max(...lines.map(({ nm }) => nm)) < MICROMETRES_BELOW;
  return {
    points: lines.map(({ nm, figures, unit }): SpectralPoint => {
      const [transmitted = 0, reflectedFront = 0, reflectedBack = 0] = figures.map((figure) =>
        unit === 'percent' ? figure / 100 : figure,
      );
      return { nm: inMicrometres ? nm * 1000 : nm, transmitted, reflectedFront, reflectedBack };
    }),
  };
}

const said = (cells: readonly string[]): string => cells.join(' ').slice(0, 60);

/** undefined: no line of figures */
function lineOf(cells: readonly string[], at: number, isDecimalComma: boolean): Line | undefined {
  const read = cells.slice(0, FIELDS).map((cell) => {
    const bare = cell.trim().replace(/\s*%$/, '');
    return bare === '' ? Number.NaN : Number(isDecimalComma ? bare.replace(',', '.') : bare);
  });
  if (read.length < FIELDS || !read.every((figure) => Number.isFinite(figure))) return undefined;
  const [nm = 0, ...figures] = read;
  const signs = cells.slice(1, FIELDS).filter((cell) => cell.trim().endsWith('%')).length;
  if (signs > 0 && signs < FIELDS - 1) return undefined;
  const isPercent = signs > 0 || figures.some((figure) => figure > MOST_AS_SHARE);
  return { at, text: said(cells), nm, figures, unit: isPercent ? 'percent' : 'share' };
}
