import type { Film, FilmBrief, FilmLook } from '../job';
import type { PrivacyClass } from '../privacy';
import type { Performance } from './performance';

export type GoalKey =
  | 'keepView'
  | 'hiddenByDay'
  | 'hiddenByNight'
  | 'lessHeat'
  | 'lessGlare'
  | 'protectFurnishings'
  | 'slowBreakIn'
  | 'keepWarmth';

/** The sliders in the customer's words. */
export const GOALS: readonly { readonly key: GoalKey; readonly word: string; readonly says: string }[] = [
  { key: 'keepView', word: 'Keep the view out', says: 'contrast kept looking out by day' },
  {
    key: 'hiddenByDay',
    word: 'Not be seen by day',
    says: 'how little shows from outside, or from the other room',
  },
  { key: 'hiddenByNight', word: 'Not be seen at night', says: 'how little shows with lamps on' },
  { key: 'lessHeat', word: 'Less heat', says: "the sun's heat kept out" },
  { key: 'lessGlare', word: 'Less glare', says: 'light taken off the sun patch' },
  { key: 'protectFurnishings', word: 'Protect furnishings', says: 'what fades colours, taken off' },
  { key: 'keepWarmth', word: 'Keep warmth in winter', says: 'heat lost through the glass, taken off' },
  { key: 'slowBreakIn', word: 'Slow a break-in', says: 'security film, by its thickness' },
];

const HIDDEN: Readonly<Record<PrivacyClass, number>> = {
  open: 0,
  reduced: 0.3,
  outline: 0.6,
  faint: 0.85,
  hidden: 1,
};
const MUCH_HEAT = 0.6;
const MUCH_GLARE = 0.7;
const STOUT_UM = 200;
const MUCH_U = 0.4;
const bounded = (share: number): number => Math.min(1, Math.max(0, share));

/** How well each wish is met, 0..1. */
export function goalsMet(
  film: Film,
  performance: Performance,
  bare: Performance,
): Readonly<Record<GoalKey, number>> {
  const { sight, heatKept, lightKept, fading, ratings } = performance;
  return {
    keepView: bounded(sight.outByDay.kept / Math.max(1e-6, bare.sight.outByDay.kept)),
    hiddenByDay: HIDDEN[sight.inByDay.class],
    hiddenByNight: HIDDEN[sight.inByNight.class],
    lessHeat: bounded((1 - heatKept.value) / MUCH_HEAT),
    lessGlare: bounded((1 - lightKept.value) / MUCH_GLARE),
    protectFurnishings: bounded(1 - fading.value / bare.fading.value),
    keepWarmth: bounded((1 - ratings.uValue.value / bare.ratings.uValue.value) / MUCH_U),
    slowBreakIn: film.family === 'security' ? bounded(film.thickness_um / STOUT_UM) : 0,
  };
}

/** The weighted mean of the wishes met; without a wish, light and heat count alike.
 *  @returns 0..1 */
export function scoreOf(
  met: Readonly<Record<GoalKey, number>>,
  brief: Omit<FilmBrief, 'placeId'>,
  film: Film,
  performance: Performance,
): number {
  const weights = GOALS.map(({ key }) => [brief[key], met[key]] as const);
  const look = brief.look === 'any' ? [] : [[2, hasLook(film, performance, brief.look) ? 1 : 0] as const];
  const all = [...weights, ...look];
  const total = all.reduce((sum, [weight]) => sum + weight, 0);
  if (total === 0) return (bounded(performance.lightKept.value) + met.lessHeat) / 2;
  return all.reduce((sum, [weight, share]) => sum + weight * share, 0) / total;
}

/** Whether a film has the look asked for. @source own judgement */
export function hasLook(
  film: Film,
  {
    lightKept,
    ratings,
  }:
    | Performance
    | { readonly lightKept: { readonly value: number }; readonly ratings: { readonly light: number } },
  look: FilmLook,
): boolean {
  const mirror = (film.visibleReflectedOutside ?? 0) > 0.25;
  switch (look) {
    case 'any':
      return true;
    case 'hardly seen':
      return lightKept.value > 0.75 && !mirror && (film.haze ?? 0) < 0.05 && ratings.light > 0.4;
    case 'neutral':
      return film.family === 'solar' && !mirror;
    case 'mirror':
      return mirror;
    case 'frosted':
      return film.family === 'frosted' && (film.coverage ?? 1) >= 1;
    case 'pattern':
      return (film.coverage ?? 1) < 1;
    case 'wood':
    case 'stone':
    case 'plain colour':
    case 'picture':
      return hasDecorLook(film, look);
  }
}

/** Decor looks are read from what the catalogue says of the film. */
export function hasDecorLook({ use, name, family }: Film, look: FilmLook): boolean {
  const says = `${name} ${use}`.toLowerCase();
  const words: Partial<Record<FilmLook, readonly string[]>> = {
    wood: ['wood', 'oak', 'ash', 'walnut'],
    stone: ['stone', 'slate', 'concrete'],
    'plain colour': ['plain', 'colour'],
    picture: ['picture', 'mural', 'printed'],
  };
  return (
    (family === 'decor' || family === 'wrap' || family === 'textured wall') &&
    (words[look] ?? []).some((word) => says.includes(word))
  );
}
