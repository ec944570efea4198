import {
  type LeftOutStep,
  type SchoolTaken,
  type WorkStep,
  type WorkStepsInput,
  schoolsAsked,
  stepsLeftOut,
  wayFor,
  workStepsFor,
} from '../../ways';
import { glassWeight } from '../../glazing';
import { type Known, NEW_DAY, type RowOf, isPlastic, isWall } from '../../job';
import { type DisplayUnits, mmFromNm } from '../../quantity';
import { RULES } from '../../rules';
import { passTime } from '../../strokes';
import { blankOf } from '../cut/blank';
import type { JobView } from '../view/job-view';
import { isOfVehicle } from '../survey/place';
import { strokeToolOf } from './stroke-tool';
import { isDoorPane, isShrunk, shrinkOf } from '../cut/shrink';
import { checkOf } from '../survey/surface';

const MM2_PER_M2 = 1e6;
const MM_PER_M = 1000;
/** Degrees from level up to which a pane lies overhead. */
const OVERHEAD_DEG = 30;

/** What decides the work of one film on one surface, whatever asks: steps, day, mixes, kit. */
export function workCaseOf(
  view: JobView,
  application: RowOf<'application'>,
): Omit<WorkStepsInput, 'learned' | 'primer'> {
  const surface = view.surfaceById.get(application.surfaceId);
  const film = view.filmById.get(application.filmId);
  const parts = view.partsOf(application.surfaceId);
  const wall = view.wallFactsOf(application.surfaceId);
  const isVehicle = surface !== undefined && isOfVehicle(view, surface);
  return {
    schools: application.schools,
    ofJob: (view.rows.daySettings[0] ?? NEW_DAY).schools,
    method: application.method,
    condition: surface?.condition ?? 'unknown',
    isSecurityFilm: film?.family === 'security',
    isOutside: application.side === 'outside',
    isVehicle,
    isDoorPane: surface !== undefined && isDoorPane(view, surface),
    isWall: surface !== undefined && isWall(surface),
    texture: wall?.texture ?? 'unknown',
    mayBeOldPaint: mayBeOldPaint(wall),
    hasInsideCorner: wall?.leftCorner === 'inside corner' || wall?.rightCorner === 'inside corner',
    hasHeaterLines: parts.some(({ kind }) => kind === 'heater lines'),
    partsOff: parts.filter(({ kind, putBackAt }) => kind === 'hardware' && putBackAt === null).length,
    isCold: isColdOf(view),
    canHeat: canHeatOf(view),
    ...(surface === undefined ? {} : { shape: surface.shape }),
    ...glassCase(view, application),
    ...siteCase(view, application.surfaceId),
    ...sizeCase(view, application),
    ...seamsOf(view, application),
    ...(film === undefined
      ? {}
      : {
          family: film.family,
          postHeat_C: film.postHeat_C,
          isStiff: film.family === 'security' || film.thickness_um >= RULES.thickFilm.value,
        }),
  };
}

/** What Survey has of reaching it, of what is on it, and of who is to do it. */
function siteCase(view: JobView, surfaceId: string): Partial<WorkStepsInput> {
  const site = view.siteFactsOf(surfaceId);
  const hasObstacle = view.partsOf(surfaceId).some(({ kind }) => kind === 'obstacle');
  if (site === undefined) return { hasObstacles: hasObstacle };
  const { tilt_deg } = site;
  return {
    isHardToReach: site.reach === 'not everywhere',
    straySealant: site.sealantToCut,
    hasObstacles: hasObstacle || site.obstacles.trim() !== '',
    isRescueGlass: site.rescueGlass,
    hasConsent: site.consent !== null,
    oldFilm: site.oldFilm,
    ...(site.oldFilmArea_m2 === null ? {} : { oldFilm_m2: site.oldFilmArea_m2 }),
    power: site.power,
    floor: site.floor,
    isOverhead: tilt_deg !== null && Math.min(tilt_deg, 180 - tilt_deg) <= OVERHEAD_DEG,
    people: site.crew === 'one person' ? 1 : site.crew === 'two people' ? 2 : 'unknown',
    isReferred: site.crew === 'refer it',
  };
}

/** Sizes as far as it is measured. */
function sizeCase(view: JobView, application: RowOf<'application'>): Partial<WorkStepsInput> {
  const { surfaceId } = application;
  const check = checkOf(view, surfaceId);
  if (!('sizes' in check)) return {};
  const { sizes } = check;
  const foot_nm = view.siteFactsOf(surfaceId)?.accessHeight_nm ?? null;
  const height_m = sizes.aroundHeight_mm.value / MM_PER_M;
  const foot_m = foot_nm === null ? undefined : mmFromNm(foot_nm) / MM_PER_M;
  const surplus = [sizes.surplusTop_mm, sizes.surplusBottom_mm].flatMap((own) => own?.value ?? []);
  const isColumn = view.surfaceById.get(surfaceId)?.kind === 'column';
  return {
    area_m2: sizes.area_mm2.value / MM2_PER_M2,
    edge_m: sizes.perimeter_mm.value / MM_PER_M,
    height_m,
    width_m: sizes.aroundWidth_mm.value / MM_PER_M,
    ...(isColumn ? { girth_mm: sizes.aroundWidth_mm.value } : {}),
    ...(foot_m === undefined ? {} : { foot_m, top_m: foot_m + height_m }),
    ...(surplus.length === 0 ? {} : { surplus_mm: Math.max(...surplus) }),
    ...shrinkCase(view, application),
    ...passCase(view, application, sizes.aroundWidth_mm.value, sizes.aroundHeight_mm.value),
    ...weightCase(view, surfaceId, sizes.area_mm2.value / MM2_PER_M2),
  };
}

/** Passes with the blade, as the hand and its blade ask for; the last one of thick film laps by half. */
function passCase(
  view: JobView,
  application: RowOf<'application'>,
  wide_mm: number,
  high_mm: number,
): Pick<WorkStepsInput, 'pass_min' | 'hardPass_min'> {
  const { tool, pace } = strokeToolOf(view, application);
  if (tool.overlap_mm >= tool.blade_mm) return {};
  const half = { ...tool, overlap_mm: tool.blade_mm / 2 };
  return {
    pass_min: passTime({ wide_mm, high_mm }, tool, pace),
    hardPass_min: passTime({ wide_mm, high_mm }, half, pace),
  };
}

/** Curved film by its plan: what stands at the edges where it is held, and how many folds that is. */
function shrinkCase(
  view: JobView,
  application: RowOf<'application'>,
): Pick<WorkStepsInput, 'surplus_mm' | 'folds'> {
  if (!isShrunk(application)) return {};
  const today = shrinkOf(view, application);
  if (today.kind === 'none') return {};
  const { own, order } = today.plan;
  return {
    surplus_mm: Math.max(own.top.surplus_mm, own.bottom.surplus_mm),
    ...(order.folds.length === 0 ? {} : { folds: order.folds.length }),
  };
}

/** What the glass weighs, when every pane's thickness is known; plastic is lighter and not calculated. */
function weightCase(view: JobView, surfaceId: string, area_m2: number): Pick<WorkStepsInput, 'pane_kg'> {
  const panes = panesOf(view, surfaceId);
  if (panes.some(isPlastic)) return {};
  const weight = glassWeight(
    area_m2,
    panes.map(({ thickness_nm }) => (thickness_nm === null ? null : mmFromNm(thickness_nm))),
  );
  return weight === undefined ? {} : { pane_kg: weight.value };
}

function panesOf(view: JobView, surfaceId: string): readonly RowOf<'glassPane'>[] {
  const unitId = view.surfaceById.get(surfaceId)?.unitId ?? null;
  return unitId === null ? [] : view.glassPanes.filter((pane) => pane.unitId === unitId);
}

/** The pane that gets the film, as far as Survey knows its glass. */
function glassCase(view: JobView, { surfaceId, side }: RowOf<'application'>): Partial<WorkStepsInput> {
  const panes = panesOf(view, surfaceId);
  const isOuter = side === 'outside' || side === 'side A';
  const pane = isOuter ? panes[0] : panes.at(-1);
  return {
    isFaceCoated: isFaceCoated(pane, isOuter),
    isPlastic: pane !== undefined && isPlastic(pane),
    isToughened: pane?.treatment === 'toughened',
    isWired: pane?.treatment === 'wired',
    isEdgeExposed: view.unitById.get(view.surfaceById.get(surfaceId)?.unitId ?? '')?.edge === 'exposed',
  };
}

/** Whether the face that gets the film is the coated one of its pane. */
function isFaceCoated(pane: RowOf<'glassPane'> | undefined, isOuter: boolean): Known {
  if (pane === undefined || pane.coating === 'unknown') return 'unknown';
  if (pane.coating === 'none') return 'no';
  if (pane.coatedSide === 'unknown') return 'unknown';
  return pane.coatedSide === (isOuter ? 'outer' : 'inner') ? 'yes' : 'no';
}

const UNPAINTED: ReadonlySet<string> = new Set(['laminate', 'tile', 'metal', 'glazed block', 'canvas']);

/** Old paint may hold lead: unless it is known that there is none, or that it is new. */
function mayBeOldPaint(wall: RowOf<'wallFacts'> | undefined): boolean {
  if (wall === undefined) return true;
  if (wall.paint === 'none' || wall.paintAge === 'under 30 days') return false;
  return wall.paint !== 'unknown' || !UNPAINTED.has(wall.texture);
}

/** The room is cold, or film and panels come out of the cold. */
function isColdOf(view: JobView): boolean {
  const { indoor_C, comeFrom_C } = view.rows.daySettings[0] ?? NEW_DAY;
  return [indoor_C, comeFrom_C].some((own) => own !== null && own < RULES.coldRoom.value);
}

/** Whether somebody of the crew knows the gun; unknown while there is no crew. */
function canHeatOf(view: JobView): boolean | 'unknown' {
  return view.crew.length === 0
    ? 'unknown'
    : view.crew.some(({ personId }) => view.personById.get(personId ?? '')?.skills.includes('heat') === true);
}

/** Sheets of a wall, as they would be cut today; glass is laid in one. */
function seamsOf(view: JobView, application: RowOf<'application'>): Pick<WorkStepsInput, 'drops' | 'seam'> {
  if (application.method !== 'decor') return {};
  const today = blankOf(view, application);
  if (today.kind === 'none') return {};
  const { blanks, seams } = today.blanks;
  return { drops: blanks.length, seam: blanks.length > 1 ? seams.kind : 'none' };
}

/** The steps of fitting it, in order, as this job chose its schools and primer. */
export function workStepsOf(
  view: JobView,
  application: RowOf<'application'>,
  units: DisplayUnits = 'metric',
): readonly WorkStep[] {
  const { primer } = view.rows.daySettings[0] ?? NEW_DAY;
  return workStepsFor({ ...workCaseOf(view, application), primer, learned: view.shop.learned, units });
}

/** Whether it is known how this film goes on this surface. */
export function isWayKnown(view: JobView, application: RowOf<'application'>): boolean {
  return wayFor(workCaseOf(view, application)) !== undefined;
}

/** Questions of its way that practitioners answer differently, each with the answer that is followed. */
export function schoolsOf(view: JobView, application: RowOf<'application'>): readonly SchoolTaken[] {
  return schoolsAsked(workCaseOf(view, application));
}

/** Ticks of steps that are no longer in its way: of another school, another way or an earlier version. */
export function ticksBeside(
  view: JobView,
  application: RowOf<'application'>,
): readonly RowOf<'workRecord'>[] {
  const now = new Set(workStepsOf(view, application).map(({ step }) => step));
  return view.workOf(application.id).filter(({ step }) => !now.has(step));
}

/** Other films of the same place on which a step is still to be done. */
export function openElsewhere(
  view: JobView,
  application: RowOf<'application'>,
  step: string,
): readonly { readonly surface: RowOf<'surface'>; readonly application: RowOf<'application'> }[] {
  const placeId = view.surfaceById.get(application.surfaceId)?.placeId;
  return view.applications.flatMap((other) => {
    const surface = view.surfaceById.get(other.surfaceId);
    const isOpen =
      other.id !== application.id &&
      surface?.placeId === placeId &&
      (doneSteps(view, other.id).get(step)?.doneAt ?? null) === null &&
      workStepsOf(view, other).some((own) => own.step === step);
    return isOpen && surface !== undefined ? [{ surface, application: other }] : [];
  });
}

/** Other surfaces of the row or room on which a step is still to be done before the film of any goes on. */
export function stillToDoWith(
  view: JobView,
  application: RowOf<'application'>,
  { step, over }: Pick<WorkStep, 'step' | 'over'>,
): readonly RowOf<'surface'>[] {
  return over === null ? [] : openElsewhere(view, application, step).map(({ surface }) => surface);
}

/** The next of the same place that gets the same film the same way and is not begun; undefined: none. */
export function nextAlike(
  view: JobView,
  application: RowOf<'application'>,
): { readonly surface: RowOf<'surface'>; readonly application: RowOf<'application'> } | undefined {
  const [first] = workStepsOf(view, application);
  return first === undefined
    ? undefined
    : openElsewhere(view, application, first.step).find(
        ({ application: { filmId, method } }) =>
          filmId === application.filmId && method === application.method,
      );
}

/**
 * What was done of it, by the key of the step. Where two people ticked the same one at once, the first to be
 * done stands, with everybody's name and note.
 */
export function doneSteps(view: JobView, applicationId: string): ReadonlyMap<string, RowOf<'workRecord'>> {
  const found = new Map<string, RowOf<'workRecord'>>();
  for (const record of view.workOf(applicationId)) {
    const other = found.get(record.step);
    found.set(record.step, other === undefined ? record : together(other, record));
  }
  return found;
}

function together(one: RowOf<'workRecord'>, other: RowOf<'workRecord'>): RowOf<'workRecord'> {
  const [first, second] = orderOf(one) <= orderOf(other) ? [one, other] : [other, one];
  return {
    ...first,
    people: [...new Set([...first.people, ...second.people])],
    note: [...new Set([first.note, second.note])].filter((note) => note !== '').join(' '),
  };
}

const orderOf = ({ doneAt, madeAt }: RowOf<'workRecord'>): string => `${doneAt ?? '9'} ${madeAt}`;

/** Steps of its way that are not done here, each with its reason. */
export function stepsLeftOutOf(
  view: JobView,
  application: RowOf<'application'>,
  units: DisplayUnits = 'metric',
): readonly LeftOutStep[] {
  return stepsLeftOut({ ...workCaseOf(view, application), units });
}
