import type { Source } from '../quantity';
import { type Band, nearInfraredOf } from './bands';
import { type BareGlass, type FilmElement, atThickness, bareGlassOf, filmElementOf } from './optics';

export type GlassTint = 'clear' | 'low iron' | 'bronze' | 'grey' | 'green';
export type CoatingKind = 'low-e, hard' | 'low-e, soft' | 'reflective';

interface GlassRow {
  readonly at_mm: number;
  readonly uv: readonly [transmitted: number, reflected: number];
  readonly visible: readonly [transmitted: number, reflected: number];
  readonly solar: readonly [transmitted: number, reflected: number];
}

export const GLASS_SOURCE: Source = {
  kind: 'from memory',
  text: 'generic spectral-average glass of public simulation tools (from memory); ultraviolet within 0.05',
};
export const GLASS_EMISSIVITY = 0.84;
export const GLASS_CONDUCTIVITY_WmK = 1;
/** @source polyvinyl butyral (from memory) */
export const INTERLAYER_CONDUCTIVITY_WmK = 0.2;
export const INTERLAYER_MM = 0.76;

/** Bare panes as measured; other thicknesses follow from the body. */
const GLASSES: Readonly<Record<GlassTint, GlassRow>> = {
  clear: { at_mm: 6, uv: [0.62, 0.06], visible: [0.881, 0.08], solar: [0.775, 0.071] },
  'low iron': { at_mm: 6, uv: [0.8, 0.075], visible: [0.908, 0.082], solar: [0.885, 0.08] },
  bronze: { at_mm: 6, uv: [0.24, 0.047], visible: [0.534, 0.057], solar: [0.482, 0.054] },
  grey: { at_mm: 6, uv: [0.25, 0.046], visible: [0.431, 0.052], solar: [0.455, 0.053] },
  green: { at_mm: 6, uv: [0.28, 0.05], visible: [0.749, 0.07], solar: [0.487, 0.056] },
};

/** What a sheet calls its reference glass. */
const THREE_MM_CLEAR: GlassRow = {
  at_mm: 3,
  uv: [0.74, 0.07],
  visible: [0.898, 0.081],
  solar: [0.837, 0.075],
};

interface CoatingRow {
  readonly emissivity: number;
  readonly says: string;
  /** Coating on the back of 6 mm clear: T, R through the glass, R of the coated side. */
  readonly uv: readonly [number, number, number];
  readonly visible: readonly [number, number, number];
  readonly solar: readonly [number, number, number];
}

export const COATING_SOURCE: Source = {
  kind: 'from memory',
  text: 'typical of its kind (from memory): makers differ, ask for the sheet of this one',
};
/** The tables the program calculates with, to be shown. */
export function glassRows(): readonly {
  readonly tint: GlassTint;
  readonly at_mm: number;
  readonly light: number;
  readonly sun: number;
}[] {
  return (Object.keys(GLASSES) as GlassTint[]).map((tint) => ({
    tint,
    at_mm: GLASSES[tint].at_mm,
    light: GLASSES[tint].visible[0],
    sun: GLASSES[tint].solar[0],
  }));
}

const COATINGS: Readonly<Record<CoatingKind, CoatingRow>> = {
  'low-e, hard': {
    emissivity: 0.16,
    says: 'hard low-e',
    uv: [0.45, 0.09, 0.1],
    visible: [0.82, 0.11, 0.12],
    solar: [0.67, 0.1, 0.11],
  },
  'low-e, soft': {
    emissivity: 0.04,
    says: 'soft low-e',
    uv: [0.33, 0.1, 0.12],
    visible: [0.85, 0.06, 0.05],
    solar: [0.56, 0.17, 0.29],
  },
  reflective: {
    emissivity: 0.84,
    says: 'solar reflective',
    uv: [0.12, 0.2, 0.3],
    visible: [0.33, 0.27, 0.36],
    solar: [0.38, 0.22, 0.3],
  },
};

export const coatingEmissivity = (kind: CoatingKind): number => COATINGS[kind].emissivity;

/** Bare glass of a tint and thickness, in one band. */
export function bareGlass(tint: GlassTint, thickness_mm: number, band: Band): BareGlass {
  const key = `${tint} ${thickness_mm} ${band}`;
  const known = KEPT.get(key);
  if (known !== undefined) return known;
  const made = madeGlass(tint, thickness_mm, band);
  if (KEPT.size < MOST_KEPT) KEPT.set(key, made);
  return made;
}

const KEPT = new Map<string, BareGlass>();
const MOST_KEPT = 500;

function madeGlass(tint: GlassTint, thickness_mm: number, band: Band): BareGlass {
  const row = tint === 'clear' && thickness_mm < 4.5 ? THREE_MM_CLEAR : GLASSES[tint];
  return atThickness(bareOf(row, band), row.at_mm, thickness_mm);
}

/** A coating by itself, taken off the clear glass it was measured on. */
export function coatingElement(kind: CoatingKind, band: Band): FilmElement {
  const row = COATINGS[kind];
  const at = (index: 0 | 1 | 2): number =>
    band === 'nearInfrared'
      ? nearInfraredOf(row.solar[index], row.visible[index], row.uv[index])
      : row[band][index];
  return filmElementOf(
    { transmitted: at(0), reflectedFront: at(1), reflectedBack: at(2) },
    bareGlass('clear', 6, band),
  );
}

function bareOf({ uv, visible, solar }: GlassRow, band: Band): BareGlass {
  const pick = (index: 0 | 1): number =>
    band === 'uv'
      ? uv[index]
      : band === 'visible'
        ? visible[index]
        : nearInfraredOf(solar[index], visible[index], uv[index]);
  return bareGlassOf({ transmitted: pick(0), reflected: pick(1) });
}
