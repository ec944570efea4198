import {
  type CurvedPatch,
  type FoldInTurn,
  type FoldLimits,
  type HeldPlan,
  type Help,
  type Hold,
  type OrderReason,
  type PaneEnds,
  type PatchDoubt,
  type Place,
  type ShrinkLimits,
  type ShrinkVerdict,
  filmLine,
  heatOrder,
  onFlatFilm,
  shrinkPlan,
  whatHelps,
  withPlacesBetween,
} from '../../curved';
import { hashText } from '../../blanks';
import {
  AS_CALCULATED,
  NEW_DAY,
  type RowOf,
  type SeenFrom,
  type ShrinkChanges,
  isShrinkChanges,
} from '../../job';
import { learnedOf } from '../../learned';
import { type SurfaceCheck, outlineBounds } from '../../measure';
import { mmFromNm } from '../../quantity';
import { RULES } from '../../rules';
import { type SchoolTaken, schoolCaseOf, schoolTaken } from '../../ways';
import { shrinkLimitsOf } from '../film/film-limits';
import type { FilmOfShop } from '../view/job-rows';
import type { JobView } from '../view/job-view';
import { isOfVehicle } from '../survey/place';
import { checkOf } from '../survey/surface';

/** As far as a shrink plan asks about a film on a pane. */
type Shrunk = Pick<RowOf<'application'>, 'id' | 'surfaceId' | 'method' | 'schools'>;

/** Whether film is shrunk to the glass. */
export const isShrunk = ({ method }: Pick<RowOf<'application'>, 'method'>): boolean =>
  method === 'curved, shrunk';

/** Glass that bulges: measured by chords and sags. */
export const isCurvedGlass = ({ shape }: Pick<RowOf<'surface'>, 'shape'>): boolean =>
  shape === 'curved glass';

/** A door of a vehicle, by its name: its pane is held along the top. */
export function isDoorPane(view: JobView, surface: RowOf<'surface'>): boolean {
  return isOfVehicle(view, surface) && /\bdoor\b/i.test(surface.name);
}

/** What a person wants otherwise of a shrink plan, as it is kept. */
type ShrinkRow = RowOf<'ownPlan'> & { readonly changes: ShrinkChanges };

/** Why there is no plan to shrink by. */
export type NoShrink = 'not curved glass' | 'not measured' | 'no sags' | 'measures contradict';

/** The shrink plan of one film on one curved pane, as it is measured and as a person wants it. */
export interface PaneShrink {
  readonly patch: CurvedPatch;
  readonly doubts: readonly PatchDoubt[];
  readonly ends: PaneEnds;
  /** Whether a sag a quarter in was taken. */
  readonly areEndsKnown: boolean;
  /** The glass as it is seen, from its middle, upwards. */
  readonly outline: readonly Place[];
  readonly hold: Hold;
  readonly holdTaken: SchoolTaken;
  readonly plans: Readonly<Record<Hold, HeldPlan>>;
  readonly own: HeldPlan;
  readonly worst: number;
  readonly verdict: ShrinkVerdict;
  readonly limits: ShrinkLimits;
  readonly folds: FoldLimits;
  readonly order: { readonly reason: OrderReason; readonly folds: readonly FoldInTurn[] };
  readonly helps: readonly Help[];
  readonly changes: ShrinkChanges;
  readonly row: ShrinkRow | undefined;
  /** Of the glass as it is measured now. */
  readonly glassHash: string;
  /** A person changed the plan before the glass was measured otherwise. */
  readonly isOfOtherMeasures: boolean;
}

type ShrinkToday =
  { readonly kind: 'plan'; readonly plan: PaneShrink } | { readonly kind: 'none'; readonly reason: NoShrink };

/** One and the same, as answers are kept while what they are made of is. */
const NOT_CURVED: ShrinkToday = { kind: 'none', reason: 'not curved glass' };

/** What a person wants otherwise of the shrink plan of a film; the last that was kept. */
function ownShrinkOf(view: JobView, applicationId: string): ShrinkRow | undefined {
  return view.rows.ownPlan.findLast(
    (own): own is ShrinkRow => own.applicationId === applicationId && isShrinkChanges(own.changes),
  );
}

/** How curved film is held: as chosen, else by the pane. */
function holdOf(view: JobView, application: Shrunk): SchoolTaken {
  const surface = view.surfaceById.get(application.surfaceId);
  const own = schoolCaseOf({
    condition: 'unknown',
    isSecurityFilm: false,
    method: application.method,
    isDoorPane: surface !== undefined && isDoorPane(view, surface),
  });
  return schoolTaken('hold', own, application.schools, (view.rows.daySettings[0] ?? NEW_DAY).schools);
}

/** The shrink plan of a film on curved glass by today's measures; or why there is none. */
export function shrinkOf(view: JobView, application: RowOf<'application'>): ShrinkToday {
  const film = view.filmById.get(application.filmId);
  const check = checkOf(view, application.surfaceId);
  const surface = view.surfaceById.get(application.surfaceId);
  if (film === undefined || surface === undefined || !isCurvedGlass(surface)) return NOT_CURVED;
  const of = [
    check,
    application,
    film,
    view.rows.testPiece,
    view.rows.ownPlan,
    view.rows.daySettings,
    view.rows.place,
    view.shop.learned,
  ];
  return view.kept.of(`shrink ${application.id}`, of, () => shrinkBy(view, application, check, film));
}

/** The same by other measures than those kept, or by other wishes, such as a line that is being dragged. */
export function shrinkBy(
  view: JobView,
  application: Shrunk,
  check: SurfaceCheck,
  film: FilmOfShop,
  wanted?: ShrinkChanges,
): ShrinkToday {
  if (!('figure' in check))
    return { kind: 'none', reason: check.state === 'impossible' ? 'measures contradict' : 'not measured' };
  const { patch, patchDoubts = [], outline } = check.figure;
  if (patch === undefined) return { kind: 'none', reason: 'no sags' };
  if (check.agreement.kind === 'disagree') return { kind: 'none', reason: 'measures contradict' };
  const row = ownShrinkOf(view, application.id);
  const changes = wanted ?? row?.changes ?? AS_CALCULATED;
  const holdTaken = holdOf(view, application);
  const hold: Hold = holdTaken.value === 'along the top' ? 'along the top' : 'a line across';
  const limits = shrinkLimitsOf(view, film);
  const folds: FoldLimits = {
    most_mm: learnedOf('fold-height', view.shop.learned).value,
    free: learnedOf('fold-free', view.shop.learned).value,
    liesDownBy: RULES.liesDownBy.value,
    count: changes.folds,
  };
  const seen = fromMiddle(outline);
  const ends = endsOf(seen);
  const plans = shrinkPlan({ patch, ends, limits, folds, lineAt_mm: lineOn(patch, changes) });
  const own = plans[hold];
  const glassHash = hashText(JSON.stringify([patch, seen]));
  return {
    kind: 'plan',
    plan: {
      patch,
      doubts: patchDoubts,
      ends,
      areEndsKnown: view
        .measuresOf(application.surfaceId)
        .some(({ kind, fromPoint }) => kind === 'quarter sag' && fromPoint !== 'mt'),
      outline: seen,
      hold,
      holdTaken,
      plans,
      own,
      worst: changes.isTurned ? own.turned.worst : own.worst,
      verdict: changes.isTurned ? own.turned.verdict : own.verdict,
      limits,
      folds,
      order: heatOrder(own),
      helps: whatHelps(plans, hold, { limits, folds }),
      changes,
      row,
      glassHash,
      isOfOtherMeasures: row !== undefined && hasWishes(row.changes) && row.inputsHash !== glassHash,
    },
  };
}

/** Where the upper and the lower edge end: the outermost corners above and below the middle. */
function endsOf(outline: readonly Place[]): PaneEnds {
  const ends = (corners: readonly Place[]): PaneEnds['top'] => ({
    left_mm: Math.min(...corners.map(({ x }) => x)),
    right_mm: Math.max(...corners.map(({ x }) => x)),
  });
  return {
    top: ends(outline.filter(({ y }) => y > 0)),
    bottom: ends(outline.filter(({ y }) => y < 0)),
  };
}

/** Whether a person wants anything otherwise than it is calculated. */
export const hasWishes = ({ line_nm, folds, isTurned }: ShrinkChanges): boolean =>
  line_nm !== null || folds !== null || isTurned;

/** A line wanted where there is no glass any more is not followed. */
function lineOn({ halfHeight_mm }: CurvedPatch, { line_nm }: ShrinkChanges): number | null {
  const at_mm = line_nm === null ? null : mmFromNm(line_nm);
  return at_mm === null || Math.abs(at_mm) > halfHeight_mm ? null : at_mm;
}

function fromMiddle(outline: readonly Place[]): readonly Place[] {
  const { left, top, width, height } = outlineBounds(outline);
  return outline.map(({ x, y }) => ({ x: x - left - width / 2, y: top + height / 2 - y }));
}

/**
 * The film of a curved pane before it is shrunk, flat: its outline as the glass is seen, x to the right and y
 * down from its own box, and the size of that box, mm.
 */
export function flatFilmOf({ patch, outline, own }: Pick<PaneShrink, 'patch' | 'outline' | 'own'>): {
  readonly outline: readonly Place[];
  readonly width_mm: number;
  readonly height_mm: number;
} {
  const flat = onFlatFilm(filmLine(patch, own.at_mm), withPlacesBetween(outline));
  const drawn = flat.map(({ x, y }) => ({ x, y: -y }));
  const { left, top, width, height } = outlineBounds(drawn);
  return {
    outline: drawn.map(({ x, y }) => ({ x: x - left, y: y - top })),
    width_mm: width,
    height_mm: height,
  };
}

/** The three lengths from the top edge down to the line, left and right as one sees them who stands there. */
export function lineSeenFrom(
  { own: { fromTop_mm } }: Pick<PaneShrink, 'own'>,
  surface: Pick<RowOf<'surface'>, 'seenFrom'>,
  side: SeenFrom,
): HeldPlan['fromTop_mm'] {
  const { left, middle, right } = fromTop_mm;
  return surface.seenFrom === side ? fromTop_mm : { left: right, middle, right: left };
}

/** Whether a film could be shrunk to a pane, chosen for it or not: held as it is, or as the pane asks for. */
export function shrinkWithFilm(view: JobView, surface: RowOf<'surface'>, film: FilmOfShop): ShrinkToday {
  if (!isCurvedGlass(surface)) return NOT_CURVED;
  const application = view.applicationsOf(surface.id).find(isShrunk) ?? {
    ...NOT_APPLIED,
    surfaceId: surface.id,
  };
  return shrinkBy(view, application, checkOf(view, surface.id), film);
}

/** A film nobody has chosen yet. */
const NOT_APPLIED: Omit<Shrunk, 'surfaceId'> = { id: '', method: 'curved, shrunk', schools: {} };
