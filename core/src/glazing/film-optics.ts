import { CoreError } from '../quantity';
import type { Film } from '../job';
import { type Band, type ByBand, byBand, nearInfraredOf, solarBounds } from './bands';
import { type GlassTint, bareGlass } from './glass-table';
import { type FilmElement, type LayerOptics, filmElementOf } from './optics';

/**
 * A film as measured on its reference glass, film on the back: T, R through the glass, R of the film's side.
 */
export interface FilmOptics {
  readonly referenceTint: GlassTint;
  readonly reference_mm: number;
  readonly measured: ByBand<LayerOptics>;
  /** Of the face towards the room or the air. */
  readonly emissivity: number;
  /** Share of the light that goes through scattered, 0..1. */
  readonly haze: number;
  /** Share of the area the pattern covers; the openings are bare. */
  readonly coverage: number;
}

/** What kept a film from being calculated, or what had to be taken instead of a figure. */
export interface FilmReading {
  readonly optics: FilmOptics | null;
  readonly missing: readonly string[];
  readonly assumed: readonly string[];
  readonly question: SheetQuestion | null;
}

/** A sheet whose light and sun do not go together: one of the two was misread. */
export interface SheetQuestion {
  readonly light: number;
  readonly sun: number;
  readonly least: number;
  readonly most: number;
}

/** Whether light and sun kept can be those of one film; null where they can, or where one is not known. */
export function questionOfSheet(
  film: Pick<Film, 'visibleTransmitted' | 'solarTransmitted' | 'uvTransmitted'>,
): SheetQuestion | null {
  const { visibleTransmitted: light, solarTransmitted: sun, uvTransmitted } = film;
  if (light === null || sun === null) return null;
  const bounds = solarBounds(light, uvTransmitted);
  return sun < bounds.least || sun > bounds.most ? { light, sun, ...bounds } : null;
}

/**
 * A film's room face where its sheet is silent.
 * @source bare polyester and hard coats .8 to .9 (from memory)
 */
export const USUAL_FILM_EMISSIVITY = 0.84;
/**
 * Where only the block of ultraviolet is known to be near all.
 * @source window films with absorbers (from memory)
 */
const USUAL_UV = 0.02;
/** Ultraviolet reflected by bare glass and polyester. @source from memory */
const USUAL_UV_REFLECTED = 0.07;

type FilmFigures = Pick<
  Film,
  | 'uvTransmitted'
  | 'visibleTransmitted'
  | 'visibleReflectedRoom'
  | 'visibleReflectedOutside'
  | 'solarTransmitted'
  | 'solarReflected'
  | 'solarReflectedRoom'
  | 'emissivity'
  | 'haze'
  | 'coverage'
  | 'referenceGlass'
>;

/**
 * Reads a catalogue row: near infrared from solar and visible, the pattern's coverage, and every figure that
 * had to be assumed.
 * @returns `optics` null when a figure is missing that nothing can stand for; `missing` names it
 * @throws CoreError GLAZING_SHARES when the figures cannot be those of a film on its reference glass
 */
export function filmOpticsOf(film: FilmFigures): FilmReading {
  const reference = referenceOf(film.referenceGlass);
  const missing = [
    ...(film.visibleTransmitted === null ? ['visible light kept'] : []),
    ...(film.visibleReflectedOutside === null && film.visibleReflectedRoom === null
      ? ['visible light reflected']
      : []),
    ...(film.solarTransmitted === null ? ['sun kept'] : []),
    ...(film.solarReflected === null ? ['sun reflected'] : []),
    ...(reference === undefined ? ['the reference glass: 3 or 6 mm clear'] : []),
  ];
  const { visibleTransmitted: vt, solarTransmitted: st, solarReflected: sr } = film;
  if (missing.length > 0 || vt === null || st === null || sr === null || reference === undefined)
    return { optics: null, missing, assumed: [], question: null };
  const vOut = film.visibleReflectedOutside ?? film.visibleReflectedRoom ?? 0;
  const vRoom = film.visibleReflectedRoom ?? vOut;
  const question = questionOfSheet(film);
  /** More light than there is is refused by name, not questioned. */
  if (question !== null && vt + Math.max(vOut, vRoom) <= 1)
    return { optics: null, missing: [], assumed: [], question };
  const uv = film.uvTransmitted ?? USUAL_UV;
  const srRoom = film.solarReflectedRoom ?? Math.min(1 - st, Math.max(0, sr + 0.54 * (vRoom - vOut)));
  const assumed = [
    ...(film.uvTransmitted === null ? ['ultraviolet kept 2 %'] : []),
    ...(film.visibleReflectedRoom === null || film.visibleReflectedOutside === null
      ? ['both sides throw back the same light']
      : []),
    ...(film.solarReflectedRoom === null ? ["sun reflected on the film's side, from its light"] : []),
    ...(film.emissivity === null ? [`emissivity ${USUAL_FILM_EMISSIVITY}`] : []),
    ...(film.haze === null ? ['no haze'] : []),
  ];
  const uvRow: LayerOptics = {
    transmitted: uv,
    reflectedFront: Math.min(USUAL_UV_REFLECTED, 1 - uv),
    reflectedBack: Math.min(USUAL_UV_REFLECTED, 1 - uv),
  };
  const infrared = (solar: number, visible: number, uvShare: number): number =>
    nearInfraredOf(solar, visible, uvShare);
  const nir: LayerOptics = {
    transmitted: infrared(st, vt, uv),
    reflectedFront: infrared(sr, vOut, uvRow.reflectedFront),
    reflectedBack: infrared(srRoom, vRoom, uvRow.reflectedBack),
  };
  const measured: ByBand<LayerOptics> = {
    uv: uvRow,
    visible: { transmitted: vt, reflectedFront: vOut, reflectedBack: vRoom },
    nearInfrared: kept(nir),
  };
  return {
    optics: {
      ...reference,
      measured,
      emissivity: film.emissivity ?? USUAL_FILM_EMISSIVITY,
      haze: film.haze ?? 0,
      coverage: film.coverage ?? 1,
    },
    missing: [],
    assumed,
    question: null,
  };
}

/**
 * The film by itself in one band, off its reference glass. Shares of the covered area: `coverage` is not in
 * it.
 */
export function elementOfFilm(film: FilmOptics, band: Band): FilmElement {
  const known = ELEMENTS.get(film);
  if (known !== undefined) return known[band];
  const made = byBand((each) =>
    filmElementOf(film.measured[each], bareGlass(film.referenceTint, film.reference_mm, each)),
  );
  ELEMENTS.set(film, made);
  return made[band];
}

const ELEMENTS = new WeakMap<FilmOptics, ByBand<FilmElement>>();

/** Reads '3 mm clear', 'clear float, 6 mm' and the like. */
export function referenceOf(
  text: string,
): { readonly referenceTint: GlassTint; readonly reference_mm: number } | undefined {
  const mm = /(\d+(?:[.,]\d+)?)\s*mm/i.exec(text)?.[1];
  if (mm === undefined || !/clear/i.test(text)) return undefined;
  const reference_mm = Number(mm.replace(',', '.'));
  return reference_mm >= 2 && reference_mm <= 12 ? { referenceTint: 'clear', reference_mm } : undefined;
}

/** Solar and visible figures rounded apart can leave a little too much for the near infrared. */
function kept({ transmitted, reflectedFront, reflectedBack }: LayerOptics): LayerOptics {
  return {
    transmitted,
    reflectedFront: Math.min(reflectedFront, 1 - transmitted),
    reflectedBack: Math.min(reflectedBack, 1 - transmitted),
  };
}

/** @throws CoreError GLAZING_SHARES when a figure is out of 0..1 or an emissivity cannot be */
export function checkFilmOptics(path: string, { measured, emissivity, coverage, haze }: FilmOptics): void {
  for (const [name, value] of Object.entries({ emissivity, coverage, haze })) {
    if (!(value >= 0 && value <= 1))
      throw new CoreError('GLAZING_SHARES', {
        path: `${path}.${name}`,
        expected: '0 to 1',
        got: String(value),
      });
  }
  for (const [band, { transmitted, reflectedFront, reflectedBack }] of Object.entries(measured)) {
    if (!(
      transmitted >= 0 &&
      reflectedFront >= 0 &&
      reflectedBack >= 0 &&
      transmitted + Math.max(reflectedFront, reflectedBack) <= 1 + 1e-9
    )) {
      throw new CoreError('GLAZING_SHARES', {
        path: `${path}.${band}`,
        expected: 'shares of 0 to 1, transmitted and reflected together at most 1',
        got: `${transmitted}, ${reflectedFront}, ${reflectedBack}`,
      });
    }
  }
}
