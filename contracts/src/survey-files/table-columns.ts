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

const tidied = (heading: string): string =>
  plain(heading)
    .trim()
    .toLowerCase()
    .replace(/[_\s]+/g, ' ')
    .replace(/\s*[([]([a-z]+)[)\]]$/, ' $1');

const unitIn = (heading: string): LengthUnit | undefined =>
  UNIT_WORDS[/\s(\S+)$/.exec(tidied(heading))?.[1] ?? ''];

/** What a heading says its column is. */
export function columnOf(cell: string): Column {
  const word = tidied(cell);
  const field = TEXT_WORDS[word];
  if (field !== undefined) return { is: 'text', field };
  if (GENERIC.test(word)) return { is: 'measure', key: word, unit: undefined };
  const unit = unitIn(word);
  const stem = unit === undefined ? word : word.replace(/\s+\S+$/, '');
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

/** What a column may be taken for, besides nothing and the measures of other shapes. */
export const COLUMN_MEANINGS: readonly string[] = [
  'tag',
  'name',
  'place',
  'kind',
  'shape',
  'corners',
  'seenFrom',
  'remark',
  'count',
  ...EIGHT,
];

/** What a column was taken for, as one word that `columnFor` knows. */
export function meaningOf(column: Column): string {
  return column.is === 'text' ? column.field : column.is === 'measure' ? column.key : '';
}

/** A column as a person says it is; its heading may still name a unit. */
export function columnFor(means: string, heading: string): Column {
  const field = Object.values(TEXT_WORDS).find((own) => own === means);
  if (field !== undefined) return { is: 'text', field };
  return KEYS.has(means) || GENERIC.test(means)
    ? { is: 'measure', key: means, unit: unitIn(heading) }
    : { is: 'unknown', word: '' };
}

export function columnWord(column: Column): string {
  return meaningWord(meaningOf(column));
}

/** A meaning as a person reads it. */
export function meaningWord(means: string): string {
  if (means === '') return 'left out';
  return means === 'seenFrom' ? 'seen from' : means.replaceAll('-', ' ');
}
