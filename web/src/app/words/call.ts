import type { AskedSurfaces } from '@yellow-pane/core/job';
import type { LengthUnit } from '@yellow-pane/core/quantity';
import type { Messages } from './messages';

const FRONTS = [
  ['0', 'north'],
  ['45', 'north-east'],
  ['90', 'east'],
  ['135', 'south-east'],
  ['180', 'south'],
  ['225', 'south-west'],
  ['270', 'west'],
  ['315', 'north-west'],
] as const;
const KINDS: readonly (readonly [AskedSurfaces['what'], string])[] = [
  ['pane', 'windows'],
  ['wall', 'walls'],
  ['column', 'columns'],
  ['fixture', 'doors, counters, furniture'],
];
const OLD: readonly (readonly [AskedSurfaces['oldFilm'], string])[] = [
  ['unknown', 'not said'],
  ['none', 'none'],
  ['film', 'yes'],
];
const options = <Value extends string>(pairs: readonly (readonly [Value, string])[]) =>
  pairs.map(([value, word]) => ({ value, word }));
const RANGES = {
  count: '1 to 500',
  storey: '-10 to 200, a whole number',
} as const;

/** The card for somebody who asks for film on the phone. */
export const callWords = {
  allJobs: 'All jobs',
  title: 'Somebody asks for film',
  caller: 'Who is calling',
  phone: 'Telephone',
  wish: 'What is it for',
  group: (number: number) => `Alike surfaces, ${number}`,
  count: 'How many',
  what: 'What',
  width: (unit: LengthUnit) => `About how wide, ${unit}`,
  height: (unit: LengthUnit) => `About how high, ${unit}`,
  about: 'about',
  looks: 'They look',
  storey: 'Storey',
  film: 'Film',
  oldFilm: 'Old film on it',
  notSaid: 'not said',
  leave: (number: number) => `Leave out ${number}`,
  more: 'More surfaces',
  fault: (field: 'count' | 'width' | 'height' | 'storey', unit: LengthUnit) =>
    field === 'count' || field === 'storey'
      ? `${field === 'count' ? 'How many' : 'Storey'}: ${RANGES[field]}.`
      : `${field === 'width' ? 'Width' : 'Height'}: a length such as ${unit === 'mm' ? '1200 or 1.2 m' : '48 or 4 ft'}.`,
  roughPrice: 'Rough price',
  between: (least: string, most: string) => `${least} to ${most}`,
  honest:
    'Net; four jobs in five like it, with the margin kept. Sizes are as they were said: the price holds once they are measured.',
  unknownPrice: (isTermsMissing: boolean) =>
    isTermsMissing ? 'Unknown: choose a job whose terms it goes by.' : 'Unknown: say sizes and a film.',
  unpriced: (count: number) =>
    `${count === 1 ? 'One surface is' : `${count} surfaces are`} not in it: say the size and the film.`,
  noFilms: 'No film is in the catalogue yet: add one under Films.',
  termsLike: 'Terms, place and forecast as in',
  halfDay: (
    day: string,
    from: string,
    to: string,
    { isDry, isShady }: { readonly isDry: boolean | null; readonly isShady: boolean | null },
  ) => {
    const shade = isShady === null ? '; say where they look, to know whether the sun is on it' : '';
    const rain = isDry === true ? ', dry by the forecast' : '; no forecast reaches that far';
    return `${isShady === null ? 'Free next' : 'Free and shady next'}: ${day}, ${from} to ${to}${rain}${shade}.`;
  },
  noHalfDay: 'No half day within a fortnight is free, shady and dry.',
  make: 'Make a job of it',
  nameFirst: 'Say who is calling, or what it is for: the job takes its name from it.',
  correctFirst: 'Correct the field that is marked first; nothing that was typed is lost.',
  notKept: 'The server does not answer: what was typed stays here.',
  onlySaid: 'Its surfaces are still to be measured: nothing is ever cut by sizes that were only said.',
  building: 'Building',
  sideOf: (bearing_deg: number | null) =>
    FRONTS.find(([value]) => Number(value) === bearing_deg)?.[1] ?? 'side not said',
} satisfies Messages;

/** What is chosen from. */
export const CALL_KINDS = options(KINDS);
export const CALL_FRONTS = options(FRONTS);
export const CALL_OLD_FILMS = options(OLD);
