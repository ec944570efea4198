import type { SightLine } from '@yellow-pane/core/choosing';
import type { FilmRow } from '@yellow-pane/contracts';

/** A pale wall throws back this share: what a scene's luminance belongs to. */
export const WALL_REFLECTS = 0.35;

/** What a linear-light filter does to the drawing behind glass: straight, blurred, and a veil over both. */
interface GlassFilter {
  readonly straight: number;
  readonly blurred: number;
  readonly veil: number;
}

/**
 * How bright everything is drawn: linear light, 1 = white. The eye settles on the brighter of its own
 * surroundings and what it looks at.
 */
interface SceneLight {
  readonly film: GlassFilter;
  readonly bare: GlassFilter;
  /** The wall beside the window, on the looker's side. */
  readonly surround: number;
}

/**
 * Turns computed luminances into what is drawn.
 * @param film, bare the same sight line with and without film
 */
export function sceneLight(film: SightLine, bare: SightLine): SceneLight {
  const full = ({ shown }: SightLine): number => shown.far_cdm2 / WALL_REFLECTS;
  const white = Math.max(
    film.shown.near_cdm2 / WALL_REFLECTS,
    0.75 * (bare.shown.straight + bare.shown.scattered) * full(bare),
  );
  const filter = (line: SightLine): GlassFilter => ({
    straight: (line.shown.straight * full(line)) / white,
    blurred: (line.shown.scattered * full(line)) / white,
    veil: line.shown.thrownBack_cdm2 / white,
  });
  return { film: filter(film), bare: filter(bare), surround: film.shown.near_cdm2 / white };
}

type PatternDrawing =
  | { readonly kind: 'none' }
  | { readonly kind: 'stripes' | 'grid' | 'dots'; readonly period_mm: number; readonly opening_mm: number };

const NEAR = 0.03;

/**
 * How a pattern is drawn so that its drawn coverage is its real one: clear stripes, a clear grid, or clear
 * dots.
 */
export function patternDrawing({
  coverage,
  opening_nm,
  repeat_nm,
}: Pick<FilmRow, 'coverage' | 'opening_nm' | 'repeat_nm'>): PatternDrawing {
  if (coverage === null || coverage >= 1 || opening_nm === null) return { kind: 'none' };
  const opening_mm = opening_nm / 1e6;
  const period_mm = repeat_nm === null ? opening_mm / (1 - coverage) : repeat_nm / 1e6;
  const open = 1 - coverage;
  if (
    Math.abs(1 - (1 - opening_mm / period_mm) ** 2 - open) < NEAR &&
    Math.abs(opening_mm / period_mm - open) > NEAR
  )
    return { kind: 'grid', period_mm, opening_mm };
  if (Math.abs((Math.PI * opening_mm ** 2) / 4 / period_mm ** 2 - open) < NEAR)
    return { kind: 'dots', period_mm, opening_mm };
  return { kind: 'stripes', period_mm: opening_mm / open, opening_mm };
}
