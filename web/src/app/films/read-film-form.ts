import type { Film } from '@yellow-pane/core/job';
import { parseLength } from '@yellow-pane/core/quantity';

type Share = { readonly name: string; readonly key: keyof Film; readonly word: string };

/** The share fields of the form, in percent. */
export const SHARES: readonly Share[] = [
  { name: 'light', key: 'visibleTransmitted', word: 'Light kept' },
  { name: 'light-out', key: 'visibleReflectedOutside', word: 'Light thrown back, outside' },
  { name: 'light-in', key: 'visibleReflectedRoom', word: 'Light thrown back, room side' },
  { name: 'solar', key: 'solarTransmitted', word: 'Sun kept' },
  { name: 'solar-out', key: 'solarReflected', word: 'Sun thrown back, outside' },
  { name: 'solar-in', key: 'solarReflectedRoom', word: 'Sun thrown back, room side' },
  { name: 'uv', key: 'uvTransmitted', word: 'Ultraviolet kept' },
  { name: 'emissivity', key: 'emissivity', word: 'Emissivity of its face' },
  { name: 'haze', key: 'haze', word: 'Scattered (haze)' },
  { name: 'coverage', key: 'coverage', word: 'Covered by the pattern' },
];
const DEGREES = { least: -40, most: 80 } as const;
const MOST_WIDTH_NM = 5e9;

/** The form as a film, or the sentence that says which field is wrong, what came and what is expected. */
export function readFilmForm(data: FormData): Film | string {
  const text = (name: string): string => {
    const value = data.get(name);
    return typeof value === 'string' ? value.trim() : '';
  };
  const figure = (name: string): number => Number(text(name).replace(',', '.').replace('%', ''));
  if (text('name') === '') return 'Name: expected the name on the data sheet, got nothing.';
  const thickness_um = figure('thickness');
  if (!(text('thickness') !== '' && thickness_um > 0 && thickness_um <= 10_000))
    return `Thickness: expected more than 0 to 10000 µm, got “${text('thickness')}”.`;
  const widths_nm: number[] = [];
  for (const part of text('widths')
    .split(/[;\n]|,\s/)
    .map((one) => one.trim())
    .filter((one) => one !== '')) {
    const parsed = parseLength(part, 'mm');
    if (parsed.kind === 'unreadable' || parsed.value_nm > MOST_WIDTH_NM)
      return `Roll widths: expected widths up to 5 m with semicolons between, such as 1220; 1524 or 60 in; 72 in, got “${part}”.`;
    widths_nm.push(parsed.value_nm);
  }
  if (widths_nm.length === 0) return 'Roll widths: expected at least one width, got nothing.';
  const wrongShare = SHARES.find(
    ({ name }) => text(name) !== '' && !(figure(name) >= 0 && figure(name) <= 100),
  );
  if (wrongShare !== undefined)
    return `${wrongShare.word}: expected 0 to 100 %, got “${text(wrongShare.name)}”.`;
  const wrongDegrees = ['work-min', 'work-max'].find(
    (name) => text(name) !== '' && !(figure(name) >= DEGREES.least && figure(name) <= DEGREES.most),
  );
  if (wrongDegrees !== undefined)
    return `Work between: expected ${DEGREES.least} to ${DEGREES.most} °C, got “${text(wrongDegrees)}”.`;
  const opening = text('opening') === '' ? undefined : parseLength(text('opening'), 'mm');
  if (opening?.kind === 'unreadable')
    return `Widest clear opening: expected a length such as 12 or 1/2 in, got “${text('opening')}”.`;
  const shares = Object.fromEntries(
    SHARES.map(({ name, key }) => [key, text(name) === '' ? null : Math.round(figure(name) * 10) / 1000]),
  ) as Pick<
    Film,
    | 'visibleTransmitted'
    | 'visibleReflectedOutside'
    | 'visibleReflectedRoom'
    | 'solarTransmitted'
    | 'solarReflected'
    | 'solarReflectedRoom'
    | 'uvTransmitted'
    | 'emissivity'
    | 'haze'
    | 'coverage'
  >;
  const degrees = (name: string): number | null => (text(name) === '' ? null : figure(name));
  return {
    ...shares,
    name: text('name'),
    family: text('family') as Film['family'],
    use: text('use'),
    thickness_um,
    direction: text('direction') as Film['direction'],
    referenceGlass: text('reference'),
    opening_nm: opening === undefined ? null : opening.value_nm,
    repeat_nm: null,
    face: text('face') as Film['face'],
    laying: text('laying') as Film['laying'],
    claims: text('claims'),
    workMin_C: degrees('work-min'),
    workMax_C: degrees('work-max'),
    handling: text('handling'),
    invented: false,
    widths_nm,
  };
}
