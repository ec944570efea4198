import Papa from 'papaparse';
import { plain } from '../survey-files/neutral-cells';
import { tableCsv } from './table-csv';

/** One piece of a cut list, in cutting order; millimetres to 0.1. */
export interface CutListRow {
  readonly order: number;
  readonly roll: string;
  readonly strip: number;
  readonly tag: string;
  readonly fromEdge_mm: number;
  readonly fromEnd_mm: number;
  readonly across_mm: number;
  readonly along_mm: number;
  readonly turned: boolean;
  /** In the pattern: so much comes off the top of the piece first. */
  readonly phase_mm: number;
  readonly factoryEdges: readonly string[];
}

const HEADER = [
  'order',
  'roll',
  'strip',
  'tag',
  'from edge mm',
  'from end mm',
  'across mm',
  'along mm',
  'turned',
  'first off the top mm',
  'factory edges',
] as const;

/**
 * The cut list as comma-separated values with a header. Cells that a spreadsheet would run as a formula get
 * an apostrophe in front.
 */
export function cutListCsv(rows: readonly CutListRow[]): string {
  return tableCsv(
    HEADER,
    rows.map((row) => [
      row.order,
      row.roll,
      row.strip,
      row.tag,
      row.fromEdge_mm.toFixed(1),
      row.fromEnd_mm.toFixed(1),
      row.across_mm.toFixed(1),
      row.along_mm.toFixed(1),
      row.turned ? 'yes' : 'no',
      row.phase_mm.toFixed(1),
      row.factoryEdges.join(' '),
    ]),
  );
}

/**
 * Reads our own cut list back, taking our apostrophe off again. Throws RangeError with the line when it is
 * not one of ours.
 */
export function readCutListCsv(csv: string): readonly CutListRow[] {
  const { data } = Papa.parse<string[]>(csv, { skipEmptyLines: true, delimiter: ',' });
  const [header, ...lines] = data;
  if (header?.join() !== HEADER.join()) throw new RangeError('line 1: expected the header of a cut list');
  return lines.map((line, index) => {
    const [
      order = '',
      roll = '',
      strip = '',
      tag = '',
      edge = '',
      end = '',
      across = '',
      along = '',
      turned = '',
      phase = '',
      edges = '',
    ] = line;
    if (line.length !== HEADER.length)
      throw new RangeError(`line ${index + 2}: expected ${HEADER.length} cells, got ${line.length}`);
    return {
      order: Number(order),
      roll: plain(roll),
      strip: Number(strip),
      tag: plain(tag),
      fromEdge_mm: Number(edge),
      fromEnd_mm: Number(end),
      across_mm: Number(across),
      along_mm: Number(along),
      turned: turned === 'yes',
      phase_mm: Number(phase),
      factoryEdges: edges.split(' ').filter((edge) => edge !== ''),
    };
  });
}
