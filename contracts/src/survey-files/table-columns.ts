import { SHAPES_OF_KIND } from '@yellow-pane/core/job';
import { slotsFor } from '@yellow-pane/core/measure';
import { type LengthUnit, parseReading } from '@yellow-pane/core/quantity';
import { plain } from './neutral-cells';

/** What a column of a list is. */
export type Column =
  | {
      readonly is: 'text';
      readonly field:
        'tag' | 'name' | 'place' | 'kind' | 'shape' | 'corners' | 'seenFrom' | 'remark' | 'count';
    }
  | { readonly is: 'measure'; readonly key: string; readonly unit: LengthUnit | undefined }
  | { readonly is: 'unknown'; readonly word: string };

const TEXT_WORDS: Readonly<Record<string, Extract<Column, { is: 'text' }>['field']>> = {
  tag: 'tag',
  no: 'tag',
  nr: 'tag',
  number: 'tag',
  id: 'tag',
  mark: 'tag',
  item: 'tag',
  window: 'tag',
  pane: 'tag',
  name: 'name',
  description: 'name',
  what: 'name',
  place: 'place',
  room: 'place',
  front: 'place',
  facade: 'place',
  façade: 'place',
  side: 'place',
  location: 'place',
  kind: 'kind',
  type: 'kind',
  shape: 'shape',
  corners: 'corners',
  'seen from': 'seenFrom',
  remark: 'remark',
  remarks: 'remark',
  note: 'remark',
  notes: 'remark',
  count: 'count',
  qty: 'count',
  quantity: 'count',
  pieces: 'count',
};
const MEASURE_WORDS: Readonly<Record<string, string>> = {
  width: 'width-bottom',
  w: 'width-bottom',
  'width top': 'width-top',
  'top width': 'width-top',
  'width middle': 'width-middle',
  'middle width': 'width-middle',
  'width bottom': 'width-bottom',
  'bottom width': 'width-bottom',
  height: 'height-left',
  h: 'height-left',
  'height left': 'height-left',
  'left height': 'height-left',
  'height middle': 'height-middle',
  'middle height': 'height-middle',
  'height right': 'height-right',
  'right height': 'height-right',
  diagonal: 'diagonal-falling',
  'diagonal 1': 'diagonal-falling',
  'diagonal falling': 'diagonal-falling',
  'diagonal 2': 'diagonal-rising',
  'diagonal rising': 'diagonal-rising',
};
const UNIT_WORDS: Readonly<Record<string, LengthUnit>> = {
  mm: 'mm',
  cm: 'cm',
  m: 'm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  ft: 'ft',
  feet: 'ft',
};
const EIGHT = [
  'width-top',
  'width-middle',
  'width-bottom',
  'height-left',
  'height-middle',
  'height-right',
  'diagonal-falling',
  'diagonal-rising',
];
/** A measure by its kind and its two points, as lists of ours have it. */
export const GENERIC =
  /^(distance|height over|right angle|level|sag|quarter sag|rocking gap|radius|circumference|thickness|wrap|label):([a-z]{1,6}\d{0,2})-([a-z]{1,6}\d{0,2})$/;

/** Any length at all. */
export const ANY = { least_mm: -1e6, most_mm: 1e6 };

/** What a heading says its column is. */
export function columnOf(cell: string): Column {
  const word = plain(cell)
    .trim()
    .toLowerCase()
    .replace(/[_\s]+/g, ' ')
    .replace(/\s*\(([a-z]+)\)$/, ' $1');
  const field = TEXT_WORDS[word];
  if (field !== undefined) return { is: 'text', field };
  if (GENERIC.test(word)) return { is: 'measure', key: word, unit: undefined };
  const [, stem = word, suffix] = /^(.*?)\s+(mm|cm|m|in|inch|inches|ft|feet)$/.exec(word) ?? [];
  const unit = suffix === undefined ? undefined : UNIT_WORDS[suffix];
  const key =
    MEASURE_WORDS[stem] ?? MEASURE_WORDS[stem.replaceAll('-', ' ')] ?? KEYS.get(stem.replaceAll(' ', '-'));
  return key === undefined ? { is: 'unknown', word: cell } : { is: 'measure', key, unit };
}

/** Every slot key of every shape. */
const KEYS = new Map(
  Object.values(SHAPES_OF_KIND)
    .flat()
    .flatMap((shape) => slotsFor(shape, 24).map(({ key }) => [key, key] as const)),
);

/** What the columns are when no heading says so. */
export function guessedColumns(
  data: readonly (readonly string[])[],
  entryUnit: LengthUnit,
): readonly Column[] {
  const width = Math.max(...data.map((cells) => cells.length));
  const isLength = (index: number): boolean =>
    data.every(
      (cells) =>
        (cells[index] ?? '').trim() === '' ||
        parseReading(cells[index] ?? '', entryUnit, ANY).kind === 'length',
    );
  const lengths = Array.from({ length: width }, (_, index) => index).filter(
    (index) => index > 0 && isLength(index),
  );
  const keys =
    lengths.length >= 8
      ? EIGHT
      : lengths.length >= 6
        ? EIGHT.slice(0, 6)
        : lengths.length >= 3
          ? ['width-bottom', 'height-left', 'diagonal-falling']
          : ['width-bottom', 'height-left'];
  let textColumns = 0;
  return Array.from({ length: width }, (_, index): Column => {
    const at = lengths.indexOf(index);
    const key = keys[at];
    if (at >= 0 && key !== undefined) return { is: 'measure', key, unit: undefined };
    textColumns += 1;
    const field = (['tag', 'name', 'place', 'remark'] as const)[textColumns - 1];
    return field === undefined ? { is: 'unknown', word: '' } : { is: 'text', field };
  });
}

export function columnWord(column: Column): string {
  return column.is === 'text'
    ? column.field
    : column.is === 'measure'
      ? column.key.replace('-', ' ')
      : 'left out';
}
