import { polygonHull } from 'd3-polygon';
import { type CutBlanks, grown, lyingOnRoll, quarterTurned } from '../../blanks';
import { type CutOrder, outlineOnRoll } from '../../cutting';
import type { Liner, RowOf } from '../../job';
import { areaOf, isConvex, outlineBounds, outlineOfCheck } from '../../measure';
import type { FilmBlank } from '../cut/film-blanks';
import type { JobView } from '../view/job-view';
import { keptOutline } from '../cut/placed-by-hand';
import { flatFilmOf, isShrunk, shrinkOf } from '../cut/shrink';
import { checkOf } from './surface';

/** A surface that fills more of its rectangle than this is cut as a rectangle and trimmed. */
const SLANTING_SHARE = 0.93;
/** An arch in short sides. */
const MOST_CORNERS = 120;

type Polygon = readonly { readonly x: number; readonly y: number }[];

/**
 * The outline of a blank that is no rectangle, as it lies unturned on the roll: a tapered column's sector
 * always, other slanting surfaces where a plotter can follow them.
 */
export function flatOutlineOf(
  view: JobView,
  { blank, blanks, application, surface }: FilmBlank,
  liner: Liner,
): Polygon | undefined {
  const seen =
    blank.sector?.outline ??
    (blank.of > 1
      ? undefined
      : isShrunk(application)
        ? beforeShrinking(view, application, blanks)
        : slanting(view, application.surfaceId, blanks, application.method === 'cut to outline'));
  if (seen === undefined) return undefined;
  const lying = lyingOnRoll(seen, blank.width_mm, surface?.seenFrom ?? 'room', application.side, liner);
  return blanks.whole.lies === 'top along the roll' ? quarterTurned(lying, blank.width_mm) : lying;
}

/**
 * Film of a curved pane as it lies before it is shrunk, allowances on. Its top stays the straight edge of the
 * roll that it is hung by: it is trimmed to the glass afterwards. Nothing bends inwards.
 */
function beforeShrinking(
  view: JobView,
  application: RowOf<'application'>,
  { whole }: CutBlanks,
): Polygon | undefined {
  const today = shrinkOf(view, application);
  if (today.kind === 'none') return undefined;
  const { outline } = flatFilmOf(today.plan);
  const { top_mm, right_mm, bottom_mm, left_mm } = whole.sides;
  const [width, height] = [whole.width_mm.value, whole.height_mm.value];
  const on = outline.flatMap(({ x, y }) =>
    [x, x + left_mm + right_mm].flatMap((across): [number, number][] =>
      [y, y + top_mm + bottom_mm].map((down) => [across, down]),
    ),
  );
  const upper = outline.filter(({ y }) => y < height / 2);
  const [left, right] = [Math.min(...upper.map(({ x }) => x)), Math.max(...upper.map(({ x }) => x))];
  const top: [number, number][] = [
    [left, 0],
    [right + left_mm + right_mm, 0],
  ];
  return polygonHull([...on, ...top])?.map(([x, y]) => ({ x: Math.min(width, x), y: Math.min(height, y) }));
}

/** The outline a plan keeps of a piece, as it lies on its place on the roll; null: its rectangle. */
export function outlineOnPlan(
  view: JobView,
  own: FilmBlank,
  mode: CutOrder['mode'],
  liner: Liner,
  { turned, flipped }: { readonly turned: boolean; readonly flipped: boolean },
): RowOf<'cutPiece'>['outline'] {
  const flat =
    own.blank.sector !== undefined || mode === 'by plotter' ? flatOutlineOf(view, own, liner) : undefined;
  const { width_mm, height_mm } = own.blank;
  const [across_mm, along_mm] =
    own.blanks.whole.lies === 'top along the roll' ? [height_mm, width_mm] : [width_mm, height_mm];
  return flat === undefined ? null : keptOutline(outlineOnRoll(flat, across_mm, along_mm, turned, flipped));
}

/**
 * A straight-sided outline with its allowances on, when it saves enough against its rectangle, or when it is
 * not trimmed on the glass.
 */
function slanting(
  view: JobView,
  surfaceId: string,
  { whole }: CutBlanks,
  isNotTrimmed: boolean,
): Polygon | undefined {
  const outline = outlineOfCheck(checkOf(view, surfaceId));
  if (outline === undefined || outline.length > MOST_CORNERS || !isConvex(outline)) return undefined;
  const { top_mm, right_mm, bottom_mm, left_mm } = whole.sides;
  const bounds = outlineBounds(outline);
  const saves = Math.abs(areaOf(outline)) <= SLANTING_SHARE * bounds.width * bounds.height;
  if (!saves && !isNotTrimmed) return undefined;
  const [width, height] = [whole.width_mm.value, whole.height_mm.value];
  return grown(
    outline.map(({ x, y }) => ({ x: x - bounds.left + left_mm, y: y - bounds.top + top_mm })),
    Math.max(top_mm, right_mm, bottom_mm, left_mm),
  ).map(({ x, y }) => ({ x: Math.min(width, Math.max(0, x)), y: Math.min(height, Math.max(0, y)) }));
}
