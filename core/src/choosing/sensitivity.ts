import type { Verdict } from '../quantity';
import { type Film, type GlassUnknown, NEW_PLACE, NO_SITE_FACTS, isPartition, mayEdgesBeSeen } from '../job';
import { groundOf, judgeFilm } from './judge-film';
import { type SunCache, type SurfaceRows, isShadeOpen, newSunBook, questionOf } from './question-of-rows';

/** What the verdict would be if something not known turned out one way. */
export interface WhatIf {
  readonly what: string;
  readonly outcomes: readonly { readonly is: string; readonly verdict: Verdict }[];
  /** True when finding out could change what may be done. */
  readonly decides: boolean;
}

interface Variation {
  readonly what: string;
  /** What of the glass it finds out, where it is of the glass. */
  readonly finds?: GlassUnknown;
  readonly isOpen: (rows: SurfaceRows) => boolean;
  readonly ways: readonly { readonly is: string; readonly with: (rows: SurfaceRows) => SurfaceRows }[];
}

const paneWith =
  (change: Partial<SurfaceRows['panes'][number]>, only: (pane: SurfaceRows['panes'][number]) => boolean) =>
  (rows: SurfaceRows): SurfaceRows => ({
    ...rows,
    panes: rows.panes.map((pane) => (only(pane) ? { ...pane, ...change } : pane)),
  });
const unitWith =
  (change: Partial<NonNullable<SurfaceRows['unit']>>) =>
  (rows: SurfaceRows): SurfaceRows =>
    rows.unit === undefined ? rows : { ...rows, unit: { ...rows.unit, ...change } };
const siteWith =
  (change: Partial<NonNullable<SurfaceRows['site']>>) =>
  (rows: SurfaceRows): SurfaceRows => ({ ...rows, site: { ...(rows.site ?? NO_SITE_FACTS), ...change } });
const facing =
  (bearing_deg: number) =>
  (rows: SurfaceRows): SurfaceRows => ({
    ...rows,
    place: { ...(rows.place ?? { ...NEW_PLACE, name: '', position: 0 }), bearing_deg },
  });
const edgesSeen =
  (state: 'sound' | 'damaged') =>
  (rows: SurfaceRows): SurfaceRows => ({
    ...rows,
    surface: { ...rows.surface, edgesSeen: { state, personId: null, who: '', at: '' } },
  });
const isOpenAir = ({ surface }: SurfaceRows): boolean => !isPartition(surface);
const isSunless = ({ site }: SurfaceRows): boolean => site?.sun === 'never';
const isBearingOpen = (rows: SurfaceRows): boolean =>
  isOpenAir(rows) &&
  !isSunless(rows) &&
  [rows.place, ...rows.parents].every((place) => place?.bearing_deg == null);

/** The sun first: it decides more than all the rest. */
const VARIATIONS: readonly Variation[] = [
  {
    what: 'whether the sun reaches it',
    isOpen: (rows) => isBearingOpen(rows) && (rows.site?.sun ?? 'unknown') === 'unknown',
    ways: [
      { is: 'it does', with: siteWith({ sun: 'reaches it' }) },
      { is: 'never', with: siteWith({ sun: 'never' }) },
    ],
  },
  {
    what: 'which way it faces',
    isOpen: isBearingOpen,
    ways: [
      { is: 'north', with: facing(0) },
      { is: 'east', with: facing(90) },
      { is: 'south', with: facing(180) },
      { is: 'west', with: facing(270) },
    ],
  },
  {
    what: 'what shades it',
    isOpen: (rows) => isOpenAir(rows) && !isSunless(rows) && isShadeOpen(rows.site),
    ways: [
      { is: 'nothing', with: siteWith({ overhangDepth_nm: 0, revealDepth_nm: 0 }) },
      { is: 'a shade line across it', with: (rows) => rows },
    ],
  },
  {
    what: 'the kind of glass',
    finds: 'the kind of glass',
    isOpen: ({ panes }) => panes.some(({ treatment }) => treatment === 'unknown'),
    ways: [
      {
        is: 'annealed',
        with: paneWith({ treatment: 'annealed' }, ({ treatment }) => treatment === 'unknown'),
      },
      {
        is: 'toughened',
        with: paneWith({ treatment: 'toughened' }, ({ treatment }) => treatment === 'unknown'),
      },
      {
        is: 'laminated',
        with: paneWith({ treatment: 'laminated' }, ({ treatment }) => treatment === 'unknown'),
      },
    ],
  },
  {
    what: 'whether it is coated',
    finds: 'whether it is coated',
    isOpen: ({ panes }) => panes.some(({ coating }) => coating === 'unknown'),
    ways: [
      { is: 'not coated', with: paneWith({ coating: 'none' }, ({ coating }) => coating === 'unknown') },
      {
        is: 'low-e between the panes',
        with: (rows) => ({
          ...rows,
          panes: rows.panes.map((pane, index) => ({
            ...pane,
            coating:
              pane.coating === 'unknown'
                ? index === rows.panes.length - 1
                  ? 'low-e, soft'
                  : 'none'
                : pane.coating,
            coatedSide:
              pane.coating === 'unknown' && index === rows.panes.length - 1
                ? rows.panes.length === 1
                  ? 'inner'
                  : 'outer'
                : pane.coatedSide,
          })),
        }),
      },
    ],
  },
  {
    what: 'the edge of the glass',
    isOpen: (rows) =>
      isOpenAir(rows) &&
      !isSunless(rows) &&
      rows.surface.edgesSeen === null &&
      mayEdgesBeSeen(rows.unit) &&
      rows.unit?.edgeFinish !== 'damaged',
    ways: [
      { is: 'seen and sound', with: edgesSeen('sound') },
      { is: 'damaged', with: edgesSeen('damaged') },
    ],
  },
  {
    what: 'the frame',
    isOpen: ({ unit }) => unit?.frame === 'unknown',
    ways: [
      { is: 'wood or plastic', with: unitWith({ frame: 'wood' }) },
      { is: 'metal', with: unitWith({ frame: 'metal' }) },
      { is: 'set in masonry', with: unitWith({ frame: 'masonry' }) },
    ],
  },
  {
    what: 'a blind behind the glass',
    isOpen: ({ site }) => site?.blind === 'unknown',
    ways: [
      { is: 'none or vented', with: siteWith({ blind: 'none' }) },
      { is: 'close or closed', with: siteWith({ blind: 'close or closed' }) },
    ],
  },
];

/**
 * Which of the things not known would change the verdict on this film. Only those that are open are tried.
 */
export function sensitivityOf(
  rows: SurfaceRows,
  filmId: string,
  film: Film,
  book: SunCache = newSunBook(),
): readonly WhatIf[] {
  const verdictOf = (given: SurfaceRows): Verdict =>
    judgeFilm(groundOf(questionOf(given, book)), filmId, film).verdict;
  const open = VARIATIONS.filter(({ isOpen }) => isOpen(rows));
  /** What else blocks is taken the kind way while one thing is tried, or everything would say unknown. */
  const kindly = (except: Variation): SurfaceRows =>
    open
      .filter((variation) => variation !== except && variation.finds !== undefined)
      .reduce((given, { ways }) => ways[0]?.with(given) ?? given, rows);
  return open.map((variation) => {
    const given = kindly(variation);
    const outcomes = variation.ways.map((way) => ({ is: way.is, verdict: verdictOf(way.with(given)) }));
    return {
      what: variation.what,
      outcomes,
      decides: new Set(outcomes.map(({ verdict }) => verdict)).size > 1,
    };
  });
}
