import { type Film, type FilmMaterial, MATERIAL_NOT_STATED } from '@yellow-pane/core/job';
import {
  type LengthUnit,
  type DisplayUnits,
  formatTemperature,
  onScale,
  parseLength,
  parseTemperature,
  degreesOf,
} from '@yellow-pane/core/quantity';
import { catalogueWords } from '../words/catalogue';
import { MATERIAL_FIELDS, type MaterialField, PER_CENT } from './material-fields';

type Share = { readonly name: string; readonly key: keyof Film; readonly word: string };

/** The share fields of the form, in percent. */
export const SHARES: readonly Share[] = [
  { name: 'light', key: 'visibleTransmitted', word: catalogueWords.lightKept },
  { name: 'light-out', key: 'visibleReflectedOutside', word: catalogueWords.visibleBackOutside },
  { name: 'light-in', key: 'visibleReflectedRoom', word: catalogueWords.visibleBackRoom },
  { name: 'solar', key: 'solarTransmitted', word: catalogueWords.sunKept },
  { name: 'solar-out', key: 'solarReflected', word: catalogueWords.solarBackOutside },
  { name: 'solar-in', key: 'solarReflectedRoom', word: catalogueWords.solarBackRoom },
  { name: 'uv', key: 'uvTransmitted', word: catalogueWords.ultravioletKept },
  { name: 'emissivity', key: 'emissivity', word: catalogueWords.emissivity },
  { name: 'haze', key: 'haze', word: catalogueWords.haze },
  { name: 'coverage', key: 'coverage', word: catalogueWords.pattern },
];
const DEGREES = { least: -40, most: 80 } as const;
const MOST_WIDTH_NM = 5e9;

/** The fields of the form by name: their text, and as a figure. */
interface Fields {
  readonly text: (name: string) => string;
  readonly figure: (name: string) => number;
  /** In °C, whatever scale it was typed on. */
  readonly celsius: (name: string) => number;
  readonly units: DisplayUnits;
}
type Shares = Pick<
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

/** The form as a film, or the sentence that says which field is wrong, what came and what is expected. */
export function readFilmForm(data: FormData, units: DisplayUnits = 'metric'): Film | string {
  const fields = fieldsOf(data, units);
  const { text, figure, celsius } = fields;
  const widths_nm = widthsOf(text('widths'), entryUnitOf(units));
  const opening = text('opening') === '' ? undefined : parseLength(text('opening'), entryUnitOf(units));
  const fault = faultBefore(fields) ?? (typeof widths_nm === 'string' ? widths_nm : faultAfter(fields));
  if (fault !== undefined || typeof widths_nm === 'string') return fault ?? '';
  if (opening?.kind === 'unreadable') return catalogueWords.openingWrong(text('opening'));
  const degrees = (name: string): number | null => (text(name) === '' ? null : celsius(name));
  return {
    ...sharesOf(fields),
    ...materialOf(fields),
    name: text('name'),
    family: text('family') as Film['family'],
    use: text('use'),
    thickness_um: figure('thickness'),
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

function fieldsOf(data: FormData, units: DisplayUnits): Fields {
  const text = (name: string): string => {
    const value = data.get(name);
    return typeof value === 'string' ? value.trim() : '';
  };
  return {
    text,
    figure: (name) => Number(text(name).replace(',', '.').replace('%', '')),
    celsius: (name) => parseTemperature(text(name), units) ?? Number.NaN,
    units,
  };
}

/** What is wrong in the fields that stand above the widths. */
function faultBefore({ text, figure }: Fields): string | undefined {
  if (text('name') === '') return catalogueWords.nameMissing;
  const thickness_um = figure('thickness');
  const isThickness = text('thickness') !== '' && thickness_um > 0 && thickness_um <= 10_000;
  return isThickness ? undefined : catalogueWords.thicknessWrong(text('thickness'));
}

/** What is wrong in the shares and degrees. */
function faultAfter({ text, figure, celsius, units }: Fields): string | undefined {
  const isOut = (name: string, least: number, most: number, read = figure): boolean =>
    text(name) !== '' && !(read(name) >= least && read(name) <= most);
  const share = SHARES.find(({ name }) => isOut(name, 0, 100));
  if (share !== undefined) return catalogueWords.shareWrong(share.word, text(share.name));
  const degrees = ['work-min', 'work-max'].find((name) => isOut(name, DEGREES.least, DEGREES.most, celsius));
  if (degrees !== undefined)
    return catalogueWords.rangeWrong(
      formatTemperature(DEGREES.least, units),
      formatTemperature(DEGREES.most, units),
      text(degrees),
    );
  const material = MATERIAL_FIELDS.find(({ key, unit, least, most }) =>
    isOut(key, least, most, unit === '°C' ? celsius : figure),
  );
  return material === undefined
    ? undefined
    : catalogueWords.materialWrong(material.word, ...limitsOf(material, units), text(material.key));
}

/** Least, most and unit on the scale of the person. */
function limitsOf({ least, most, unit }: MaterialField, units: DisplayUnits): [number, number, string] {
  return unit === '°C'
    ? [Math.round(onScale(least, units)), Math.round(onScale(most, units)), degreesOf(units)]
    : [least, most, unit];
}

/** What a bare length is taken for where no job says it. */
const entryUnitOf = (units: DisplayUnits): LengthUnit => (units === 'metric' ? 'mm' : 'in');

/** Roll widths with semicolons, commas or lines between, nm; or what is wrong with them. */
function widthsOf(text: string, entryUnit: LengthUnit): readonly number[] | string {
  const parts = text
    .split(/[;\n]|,\s/)
    .map((part) => part.trim())
    .filter((part) => part !== '');
  const widths_nm: number[] = [];
  for (const part of parts) {
    const parsed = parseLength(part, entryUnit);
    if (parsed.kind === 'unreadable' || parsed.value_nm > MOST_WIDTH_NM)
      return catalogueWords.widthsWrong(part);
    widths_nm.push(parsed.value_nm);
  }
  return widths_nm.length === 0 ? catalogueWords.widthsMissing : widths_nm;
}

/** What is left empty, or was never asked, the sheet does not say. */
function materialOf({ text, figure, celsius }: Fields): FilmMaterial {
  const figures = MATERIAL_FIELDS.map(({ key, unit }) => [
    key,
    text(key) === ''
      ? null
      : unit === '°C'
        ? celsius(key)
        : unit === '%'
          ? figure(key) / PER_CENT
          : figure(key),
  ]);
  return {
    ...MATERIAL_NOT_STATED,
    ...(Object.fromEntries(figures) as Partial<FilmMaterial>),
    construction: (text('construction') || null) as Film['construction'],
    tack: (text('tack') || null) as FilmMaterial['tack'],
  };
}

function sharesOf({ text, figure }: Fields): Shares {
  return Object.fromEntries(
    SHARES.map(({ name, key }) => [key, text(name) === '' ? null : Math.round(figure(name) * 10) / 1000]),
  ) as Shares;
}
