import {
  INSTRUMENT_NAMES,
  type MeasureKind,
  SHAPES_OF_KIND,
  type SurfaceKind,
  type SurfaceShape,
} from '@yellow-pane/core/job';
import { type MeasureSlot, isSameMeasure, slotsFor, typedRange } from '@yellow-pane/core/measure';
import { type LengthUnit, parseReading } from '@yellow-pane/core/quantity';
import Papa from 'papaparse';
import {
  type BroughtIn,
  type BroughtLine,
  type BroughtMeasure,
  type BroughtSurface,
  LARGEST_TEXT,
  NOTHING,
  refusedWhole,
  withTagFaults,
} from './brought-in';
import { plain } from './neutral-cells';
import {
  ANY,
  type Column,
  GENERIC,
  columnFor,
  columnOf,
  columnWord,
  guessedColumns,
  meaningOf,
} from './table-columns';

interface TableOptions {
  readonly entryUnit: LengthUnit;
  /** Answer to 'decimal comma'; undefined = not asked yet. */
  readonly decimalComma?: boolean | undefined;
  readonly takenTags: ReadonlySet<string>;
  /** Columns a person has said the meaning of, by their place: see `COLUMN_MEANINGS`. */
  readonly means?: ReadonlyMap<number, string> | undefined;
}

const MOST_LINES = 20_000;

/**
 * Reads a pasted or loaded list of surfaces: tab, comma or semicolon, with or without a header. Never throws;
 * says line by line what is wrong.
 */
export function readSurveyTable(
  text: string,
  { entryUnit, decimalComma, takenTags, means }: TableOptions,
): BroughtIn {
  if (text.length > LARGEST_TEXT)
    return refusedWhole(
      `This has ${(text.length / 1e6).toFixed(1)} million characters; the most is ${LARGEST_TEXT / 1e6} million. Bring it in in parts.`,
    );
  if (text.trim() === '') return NOTHING;
  const delimiter = delimiterOf(text);
  const { data } = Papa.parse<string[]>(text.trim(), { delimiter, skipEmptyLines: 'greedy' });
  if (data.length > MOST_LINES)
    return refusedWhole(`This has ${data.length} lines; the most is ${MOST_LINES}.`);
  const [first = []] = data;
  const named = first.map((cell) => columnOf(cell));
  const hasHeader = isHeader(data, named, entryUnit);
  const columns = (hasHeader ? named : guessedColumns(data, entryUnit)).map((column, index) => {
    const said = means?.get(index);
    return said === undefined ? column : columnFor(said, hasHeader ? (first[index] ?? '') : '');
  });
  const body = hasHeader ? data.slice(1) : data;
  const isAmbiguous =
    delimiter === ',' &&
    decimalComma === undefined &&
    body.some(
      (cells) =>
        cells.length > columns.length ||
        cells.some(
          (cell, index) => /^\d{1,3}$/.test(cell.trim()) && /^\d$/.test((cells[index + 1] ?? '').trim()),
        ),
    );
  const lines = body.flatMap((cells, index) =>
    linesOf(
      decimalComma === true && delimiter === ',' ? withDecimals(cells, columns) : cells,
      columns,
      index + (hasHeader ? 2 : 1),
      entryUnit,
    ),
  );
  const unknown = columns.flatMap((column) =>
    column.is === 'unknown' && column.word.trim() !== '' ? [column.word.trim()] : [],
  );
  return {
    lines: withTagFaults(lines, takenTags),
    refused: undefined,
    asks: isAmbiguous ? ['decimal comma'] : [],
    columns: columns.map((column, index) => ({
      heading: hasHeader ? (first[index] ?? '').trim().slice(0, 40) : '',
      example: (body[0]?.[index] ?? '').trim().slice(0, 40),
      means: meaningOf(column),
    })),
    notes: [
      ...(hasHeader ? [] : [`No header found: columns taken as ${columns.map(columnWord).join(', ')}.`]),
      ...(unknown.length === 0 ? [] : [`Left out, not understood: ${unknown.join(', ')}.`]),
    ],
  };
}

/** Whether the first line names the columns: known words for half of them, or words over lengths. */
function isHeader(
  [first = [], ...others]: readonly (readonly string[])[],
  named: readonly Column[],
  entryUnit: LengthUnit,
): boolean {
  const isLength = (cell: string): boolean => parseReading(cell, entryUnit, ANY).kind === 'length';
  const isOverLengths = first.some(
    (cell, index) => cell.trim() !== '' && others.some((cells) => isLength(cells[index] ?? '')),
  );
  const known = named.filter(({ is }) => is !== 'unknown').length;
  return !first.some(isLength) && (isOverLengths || known >= Math.max(1, Math.ceil(first.length / 2)));
}

function delimiterOf(text: string): string {
  const [line = ''] = text.trimStart().split(/\r?\n/);
  if (line.includes('\t')) return '\t';
  return (line.match(/;/g)?.length ?? 0) >= 1 ? ';' : ',';
}

function linesOf(
  cells: readonly string[],
  columns: readonly Column[],
  line: number,
  entryUnit: LengthUnit,
): readonly BroughtLine[] {
  const faults: { readonly column: string; readonly says: string }[] = [];
  const text = (field: string): string => {
    const at = columns.findIndex((column) => column.is === 'text' && column.field === field);
    return at < 0 ? '' : plain((cells[at] ?? '').trim());
  };
  const kind = pick(text('kind'), Object.keys(SHAPES_OF_KIND) as SurfaceKind[], 'pane', 'kind', faults);
  const shapes = SHAPES_OF_KIND[kind];
  const shape = pick<SurfaceShape>(text('shape'), shapes, shapes[0], 'shape', faults);
  const corners = shape === 'many sides' ? cornersOf(text('corners'), faults) : null;
  const tag = text('tag').slice(0, 40);
  if (tag === '') faults.push({ column: 'tag', says: 'no tag' });
  const measures = columns.flatMap((column, index): readonly BroughtMeasure[] => {
    const cell = plain((cells[index] ?? '').trim());
    return column.is !== 'measure' || cell === ''
      ? []
      : measuresOf(cell, column, { shape, slots: slotsFor(shape, corners), entryUnit }, faults);
  });
  if (cells.length > columns.length && cells.slice(columns.length).some((cell) => cell.trim() !== ''))
    faults.push({ column: 'line', says: `${cells.length} cells where ${columns.length} were expected` });
  const surface: BroughtSurface = {
    tag,
    name: text('name').slice(0, 200),
    place: text('place').slice(0, 200),
    kind,
    shape,
    corners,
    seenFrom: pick(text('seenFrom'), ['room', 'outside', 'side A', 'side B'], 'room', 'seen from', faults),
    remark: text('remark').slice(0, 4000),
    measures,
  };
  const count = Math.round(Number(text('count') || '1'));
  if (!(count >= 1 && count <= 500))
    faults.push({ column: 'count', says: `expected 1 to 500, got ${text('count')}` });
  const question = questionOf(cells, surface);
  const asked = question === undefined ? {} : { question };
  if (!(count > 1) || count > 500) return [{ line, surface, faults, ...asked }];
  return Array.from({ length: count }, (_, index) => ({
    line,
    surface: { ...surface, tag: `${tag}.${index + 1}` },
    faults,
    ...asked,
  }));
}

const SUM = /^(grand |sub-?\s?)?(total|sum)s?\b/i;

/** What a person has to say before a line is taken: sums and halves are not surfaces to measure film by. */
function questionOf(
  cells: readonly string[],
  { shape, corners, measures }: BroughtSurface,
): string | undefined {
  const sum = cells.map((cell) => cell.trim()).find((cell) => SUM.test(cell));
  if (sum !== undefined) return `“${sum.slice(0, 40)}”: a sum of the list, no surface?`;
  const slots = slotsFor(shape, corners).filter(({ kind }) => kind === 'distance');
  const has = (group: MeasureSlot['group']): boolean =>
    measures.some((own) => slots.some((slot) => slot.group === group && isSameMeasure(slot, own)));
  const asks = (group: MeasureSlot['group']): boolean => slots.some((slot) => slot.group === group);
  if (!asks('width') || !asks('height') || has('width') === has('height')) return undefined;
  return has('width') ? 'A width without a height.' : 'A height without a width.';
}

/**
 * Cells that a decimal comma tore apart, put together from the left until the line has as many as there are
 * columns.
 */
function withDecimals(cells: readonly string[], columns: readonly Column[]): readonly string[] {
  const whole: string[] = [];
  let surplus = cells.length - columns.length;
  for (let at = 0; at < cells.length; at += 1) {
    const [cell = '', next = ''] = [cells[at], cells[at + 1]];
    const isTorn =
      surplus > 0 &&
      columns[whole.length]?.is === 'measure' &&
      /^\s*\d+$/.test(cell) &&
      /^\d{1,3}(\D.*)?$/.test(next);
    whole.push(isTorn ? `${cell}.${next}` : cell);
    if (isTorn) {
      surplus -= 1;
      at += 1;
    }
  }
  return whole;
}

function pick<Value extends string>(
  text: string,
  allowed: readonly Value[],
  usual: Value,
  column: string,
  faults: { column: string; says: string }[],
): Value {
  if (text === '') return usual;
  const found = allowed.find((value) => value.toLowerCase() === text.toLowerCase());
  if (found === undefined)
    faults.push({ column, says: `expected ${allowed.join(', ')}; got ${text.slice(0, 40)}` });
  return found ?? usual;
}

function cornersOf(text: string, faults: { column: string; says: string }[]): number {
  const count = Number(text || '5');
  if (Number.isInteger(count) && count >= 3 && count <= 24) return count;
  faults.push({ column: 'corners', says: `expected 3 to 24, got ${text}` });
  return 5;
}

/** A cell: one reading, or several with ` | ` between; each `length; instrument; ±sd`. */
function measuresOf(
  cell: string,
  { key, unit }: Extract<Column, { is: 'measure' }>,
  {
    shape,
    slots,
    entryUnit,
  }: {
    readonly shape: SurfaceShape;
    readonly slots: readonly MeasureSlot[];
    readonly entryUnit: LengthUnit;
  },
  faults: { column: string; says: string }[],
): readonly BroughtMeasure[] {
  const column = key.replace('-', ' ');
  const generic = GENERIC.exec(key);
  const slot =
    generic === null
      ? (slots.find((candidate) => candidate.key === key) ??
        slots.find((candidate) => (OTHER_KEYS[key] ?? []).includes(candidate.key)))
      : { kind: generic[1] as MeasureKind, from: generic[2] ?? '', to: generic[3] ?? '' };
  if (slot === undefined) {
    faults.push({ column, says: 'this shape has no such measure' });
    return [];
  }
  const lies = slots.find((own) => isSameMeasure(own, slot))?.lies;
  return cell.split(' | ').flatMap((part): BroughtMeasure[] => {
    const [length = '', ...marks] = part.split(';').map((piece) => piece.trim());
    const parsed = parseReading(length, unit ?? entryUnit, typedRange(slot.kind, shape, lies));
    if (parsed.kind !== 'length') {
      faults.push({
        column,
        says:
          parsed.kind === 'out of range'
            ? `expected ${parsed.least_mm} to ${parsed.most_mm} mm, got ${length.slice(0, 40)}`
            : `not a length: ${length.slice(0, 40)}`,
      });
      return [];
    }
    const instrument = INSTRUMENT_NAMES.find((name) => marks.includes(name)) ?? 'tape';
    const sd = marks.map((mark) => /^±\s*([\d.]+)/.exec(mark)?.[1]).find((found) => found !== undefined);
    return [
      {
        kind: slot.kind,
        from: slot.from,
        to: slot.to,
        text: length.slice(0, 80),
        unit: parsed.unit,
        value_nm: parsed.value_nm,
        instrument,
        sd_nm: sd === undefined ? null : Math.round(Number(sd) * 1e6),
      },
    ];
  });
}

/** A list of plain widths and heights fits every shape that has some width and some height. */
const OTHER_KEYS: Readonly<Record<string, readonly string[]>> = {
  'width-bottom': ['across', 'bottom', 'front', 'width-top'],
  'width-top': ['across'],
  'height-left': ['down', 'height', 'height-crown'],
};
