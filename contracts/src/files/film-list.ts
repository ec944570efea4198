import { type Film, MATERIAL_NOT_STATED } from '@yellow-pane/core/job';
import Papa from 'papaparse';
import * as z from 'zod';
import { filmFieldsSchema } from '../film';
import { saidOfIssue } from '../said-of-issue';
import { neutral, plain } from '../survey-files/neutral-cells';

/** A catalogue as a file: films without their identifiers, so that it can be brought into any catalogue. */
export interface FilmList {
  readonly format: 'yellow-pane films';
  readonly version: 1;
  readonly films: readonly Film[];
}
export const MOST_FILMS_IN_A_FILE = 5000;
const envelope = z.strictObject({
  format: z.literal('yellow-pane films'),
  version: z.literal(1),
  films: z.array(z.unknown()).max(MOST_FILMS_IN_A_FILE),
});

export interface ReadFilms {
  readonly films: readonly Film[];
  /** Line or place in the file, and what is wrong there. */
  readonly faults: readonly { readonly at: string; readonly says: string }[];
}

const NM_PER_MM = 1e6;
type Column = {
  readonly key: keyof Film;
  readonly head: string;
  readonly kind: 'text' | 'choice' | 'share' | 'number' | 'millimetres' | 'widths' | 'yes';
};
const COLUMNS: readonly Column[] = [
  { key: 'name', head: 'name', kind: 'text' },
  { key: 'family', head: 'family', kind: 'text' },
  { key: 'use', head: 'use', kind: 'text' },
  { key: 'thickness_um', head: 'thickness um', kind: 'number' },
  { key: 'direction', head: 'direction', kind: 'text' },
  { key: 'referenceGlass', head: 'reference glass', kind: 'text' },
  { key: 'uvTransmitted', head: 'uv through', kind: 'share' },
  { key: 'visibleTransmitted', head: 'light through', kind: 'share' },
  { key: 'visibleReflectedRoom', head: 'light back room', kind: 'share' },
  { key: 'visibleReflectedOutside', head: 'light back outside', kind: 'share' },
  { key: 'solarTransmitted', head: 'sun through', kind: 'share' },
  { key: 'solarReflected', head: 'sun back outside', kind: 'share' },
  { key: 'solarReflectedRoom', head: 'sun back room', kind: 'share' },
  { key: 'emissivity', head: 'emissivity', kind: 'share' },
  { key: 'haze', head: 'haze', kind: 'share' },
  { key: 'coverage', head: 'coverage', kind: 'share' },
  { key: 'opening_nm', head: 'opening mm', kind: 'millimetres' },
  { key: 'repeat_nm', head: 'repeat mm', kind: 'millimetres' },
  { key: 'face', head: 'face', kind: 'text' },
  { key: 'laying', head: 'laying', kind: 'text' },
  { key: 'claims', head: 'claims', kind: 'text' },
  { key: 'workMin_C', head: 'work min C', kind: 'number' },
  { key: 'workMax_C', head: 'work max C', kind: 'number' },
  { key: 'handling', head: 'handling', kind: 'text' },
  { key: 'invented', head: 'invented', kind: 'yes' },
  { key: 'widths_nm', head: 'widths mm', kind: 'widths' },
  { key: 'construction', head: 'construction', kind: 'choice' },
  { key: 'tack', head: 'tack', kind: 'choice' },
  { key: 'vapourRate_gm2day', head: 'vapour rate g/m2 day', kind: 'number' },
  { key: 'permeability_gmm', head: 'permeability g mm/m2 day kPa', kind: 'number' },
  { key: 'metalOpen', head: 'metal open', kind: 'share' },
  { key: 'shrinkAlong', head: 'shrink along', kind: 'share' },
  { key: 'shrinkAcross', head: 'shrink across', kind: 'share' },
  { key: 'shrinkAt_C', head: 'shrink at C', kind: 'number' },
  { key: 'shrinkEasy', head: 'shrink easy', kind: 'share' },
  { key: 'shrinkHard', head: 'shrink hard', kind: 'share' },
  { key: 'shrinkLimit', head: 'shrink limit', kind: 'share' },
  { key: 'strainCareful', head: 'strain careful', kind: 'share' },
  { key: 'strainLimit', head: 'strain limit', kind: 'share' },
  { key: 'tensionMin_C', head: 'tension min C', kind: 'number' },
  { key: 'tensionMax_C', head: 'tension max C', kind: 'number' },
  { key: 'postHeat_C', head: 'post-heat C', kind: 'number' },
  { key: 'postHeat_s', head: 'post-heat s', kind: 'number' },
];

/**
 * Films as comma-separated values with a header; shares of 1, lengths in millimetres, widths with semicolons
 * between.
 */
export function filmListCsv(films: readonly Film[]): string {
  const cell = (film: Film, { key, kind }: Column): string => {
    const value = film[key];
    if (value === null) return '';
    if (kind === 'widths') return film.widths_nm.map((width) => String(width / NM_PER_MM)).join('; ');
    if (kind === 'millimetres') return String(Number(value) / NM_PER_MM);
    if (kind === 'yes') return value === true ? 'yes' : 'no';
    return kind === 'text' || kind === 'choice' ? neutral(String(value)) : String(value);
  };
  return `${Papa.unparse({ fields: COLUMNS.map(({ head }) => head), data: films.map((film) => COLUMNS.map((column) => cell(film, column))) }, { newline: '\r\n' })}\r\n`;
}

export function filmListJson(films: readonly Film[]): string {
  return JSON.stringify({ format: 'yellow-pane films', version: 1, films } satisfies FilmList, null, 1);
}

/**
 * Reads a list of films, JSON or separated values with our header in any order. Each film is taken or named
 * with what is wrong; a missing column counts as empty.
 */
export function readFilmList(text: string): ReadFilms {
  const trimmed = text.trimStart().replace(/^\uFEFF/, '');
  return trimmed.startsWith('{') || trimmed.startsWith('[') ? fromJson(trimmed) : fromTable(trimmed);
}

function fromJson(text: string): ReadFilms {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return {
      films: [],
      faults: [{ at: 'file', says: 'This is not JSON: it breaks off or has a stray character.' }],
    };
  }
  const parsed = envelope.safeParse(value);
  if (!parsed.success)
    return {
      films: [],
      faults: [
        {
          at: 'file',
          says: 'Expected a file with format "yellow-pane films", version 1 and a list of films.',
        },
      ],
    };
  return checked(
    parsed.data.films.map((film, index) => ({ at: `film ${index + 1}`, film: withMaterial(film) })),
  );
}

/** A list written before films said what they are made of: not stated, so unknown. */
const withMaterial = (film: unknown): unknown =>
  typeof film === 'object' && film !== null ? { ...MATERIAL_NOT_STATED, ...film } : film;

/** What parts the header: a guess from the whole text can be led astray by what stands in the cells. */
function separatorOf(text: string): string {
  const header = text.trimStart().split(/[\r\n]/, 1)[0] ?? '';
  const counts = [',', ';', '\t'].map((separator) => ({ separator, count: header.split(separator).length }));
  return counts.reduce((most, one) => (one.count > most.count ? one : most)).separator;
}

function fromTable(text: string): ReadFilms {
  const { data } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy', delimiter: separatorOf(text) });
  const [header = [], ...lines] = data;
  const at = new Map(header.map((head, index) => [head.trim().toLowerCase(), index]));
  if (!at.has('name') || !at.has('family'))
    return {
      films: [],
      faults: [
        {
          at: 'line 1',
          says: `Expected a header with at least name, family, thickness um and widths mm, got ${header.slice(0, 4).join(', ') || 'nothing'}.`,
        },
      ],
    };
  if (lines.length > MOST_FILMS_IN_A_FILE)
    return {
      films: [],
      faults: [{ at: 'file', says: `Expected at most ${MOST_FILMS_IN_A_FILE} films, got ${lines.length}.` }],
    };
  return checked(
    lines.map((line, index) => ({
      at: `line ${index + 2}`,
      film: Object.fromEntries(
        COLUMNS.map((column) => [
          column.key,
          valueOf(column, plain((line[at.get(column.head.toLowerCase()) ?? -1] ?? '').trim())),
        ]),
      ),
    })),
  );
}

const IF_EMPTY: Partial<Record<keyof Film, unknown>> = {
  direction: 'none',
  face: 'room side',
  laying: 'wet',
  invented: false,
};

function valueOf({ key, kind }: Column, cell: string): unknown {
  if (kind === 'text') return cell === '' ? (IF_EMPTY[key] ?? '') : cell;
  if (kind === 'yes') return cell === '' ? false : cell.toLowerCase() === 'yes';
  if (kind === 'widths') return cell.split(';').map((width) => Math.round(number(width) * NM_PER_MM));
  if (cell === '') return null;
  if (kind === 'choice') return cell;
  if (kind === 'share' && cell.endsWith('%')) return number(cell.slice(0, -1)) / 100;
  return kind === 'millimetres' ? Math.round(number(cell) * NM_PER_MM) : number(cell);
}

const number = (cell: string): number =>
  cell.trim() === '' ? Number.NaN : Number(cell.trim().replace(',', '.'));

/** Rules of our own say themselves what they want; of the others, what was expected and what came. */
function wanting(issue: z.core.$ZodIssue, film: unknown): string {
  if (issue.code === 'custom') return issue.message;
  const [key = ''] = issue.path;
  const { expected, got } = saidOfIssue(issue, (film as Readonly<Record<PropertyKey, unknown>>)[key]);
  return `expected ${expected}, got ${got}`;
}

function checked(entries: readonly { readonly at: string; readonly film: unknown }[]): ReadFilms {
  const films: Film[] = [];
  const faults: { at: string; says: string }[] = [];
  for (const { at, film } of entries) {
    const parsed = filmFieldsSchema.safeParse(film);
    if (parsed.success) films.push(parsed.data);
    else {
      const issue = parsed.error.issues[0];
      const key = String(issue?.path[0] ?? 'film');
      faults.push({
        at,
        says: `${COLUMNS.find((column) => column.key === key)?.head ?? key}: ${issue === undefined ? 'cannot be read' : wanting(issue, film)}`,
      });
    }
  }
  return { films, faults };
}
