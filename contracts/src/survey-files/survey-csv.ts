import { type LengthUnit, parseReading } from '@yellow-pane/core/quantity';
import Papa from 'papaparse';
import type { BroughtMeasure, BroughtSurface } from './brought-in';
import { neutral } from './neutral-cells';
import { ANY } from './table-columns';

export interface TableSurface extends Omit<BroughtSurface, 'place'> {
  readonly place: string;
}

const HEADER = ['tag', 'name', 'place', 'kind', 'shape', 'corners', 'seen from', 'remark'];

/**
 * The surfaces as comma-separated values: one line a surface, one column a measure, read back by
 * `readSurveyTable` without loss.
 */
export function surveyCsv(surfaces: readonly TableSurface[]): string {
  const headOf = ({ kind, from, to }: BroughtMeasure): string => `${kind}:${from}-${to}`;
  const heads = [...new Set(surfaces.flatMap(({ measures }) => measures.map(headOf)))];
  const cell = (readings: readonly BroughtMeasure[]): string =>
    readings
      .map(({ text, unit, value_nm, instrument, sd_nm }) =>
        [
          withUnit(text, unit, value_nm),
          ...(instrument === 'tape' ? [] : [instrument]),
          ...(sd_nm === null ? [] : [`±${sd_nm / 1e6}`]),
        ].join('; '),
      )
      .join(' | ');
  const data = surfaces.map(({ tag, name, place, kind, shape, corners, seenFrom, remark, measures }) =>
    [
      tag,
      name,
      place,
      kind,
      shape,
      corners === null ? '' : String(corners),
      seenFrom,
      remark,
      ...heads.map((head) => cell(measures.filter((measure) => headOf(measure) === head))),
    ].map(neutral),
  );
  return `${Papa.unparse({ fields: [...HEADER, ...heads], data }, { newline: '\r\n' })}\r\n`;
}

/**
 * The text as typed with its unit, unless it cannot be read back to the same length: then the length itself.
 */
function withUnit(text: string, unit: LengthUnit, value_nm: number): string {
  const shown = /[a-z'"]/i.test(text) ? text : `${text} ${unit}`;
  const back = parseReading(shown, unit, ANY);
  return back.kind === 'length' && back.value_nm === value_nm ? shown : `${value_nm / 1e6} mm`;
}
