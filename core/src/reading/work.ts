import { type LeftOutStep, type WorkStep, type WorkStepsInput, stepsLeftOut, workStepsFor } from '../ways';
import { type Known, NEW_DAY, type RowOf } from '../job';
import type { DisplayUnits } from '../quantity';
import { blankOf } from './blank';
import type { JobView } from './job-view';
import { isOfVehicle } from './place';
import { checkOf } from './surface';

const MM2_PER_M2 = 1e6;
const MM_PER_M = 1000;
const NM_PER_MM = 1e6;

/** What decides the work of one film on one surface, whatever asks: steps, day, mixes, kit. */
export function workCaseOf(
  view: JobView,
  application: RowOf<'application'>,
): Omit<WorkStepsInput, 'learned' | 'primer' | 'shrink'> {
  const surface = view.surfaceById.get(application.surfaceId);
  const film = view.filmById.get(application.filmId);
  const check = checkOf(view, application.surfaceId);
  const wall = view.wallFactsOf(application.surfaceId);
  const site = view.siteFactsOf(application.surfaceId);
  const parts = view.partsOf(application.surfaceId);
  return {
    schools: application,
    method: application.method,
    condition: surface?.condition ?? 'unknown',
    isSecurityFilm: film?.family === 'security',
    isHardToReach: site?.reach === 'not everywhere',
    isOutside: application.side === 'outside',
    isVehicle: surface !== undefined && isOfVehicle(view, surface),
    texture: wall?.texture ?? 'unknown',
    straySealant: site?.sealantToCut ?? 'unknown',
    hasObstacles: (site?.obstacles ?? '').trim() !== '' || parts.some(({ kind }) => kind === 'obstacle'),
    isFaceCoated: isFaceCoated(view, application),
    partsOff: parts.filter(({ kind, putBackAt }) => kind === 'hardware' && putBackAt === null).length,
    hasInsideCorner: wall?.leftCorner === 'inside corner' || wall?.rightCorner === 'inside corner',
    ...seamsOf(view, application),
    ...(film === undefined ? {} : { family: film.family, postHeat_C: film.postHeat_C }),
    ...('sizes' in check
      ? {
          area_m2: check.sizes.area_mm2.value / MM2_PER_M2,
          edge_m: check.sizes.perimeter_mm.value / MM_PER_M,
          height_m: check.sizes.aroundHeight_mm.value / MM_PER_M,
          ...(site?.accessHeight_nm == null
            ? {}
            : { top_m: (site.accessHeight_nm / NM_PER_MM + check.sizes.aroundHeight_mm.value) / MM_PER_M }),
        }
      : {}),
  };
}

/** Whether the face that gets the film is the coated one of its pane. */
function isFaceCoated(view: JobView, { surfaceId, side }: RowOf<'application'>): Known {
  const unitId = view.surfaceById.get(surfaceId)?.unitId ?? null;
  const panes = view.glassPanes.filter((pane) => unitId !== null && pane.unitId === unitId);
  const isOuter = side === 'outside' || side === 'side A';
  const pane = isOuter ? panes[0] : panes.at(-1);
  if (pane === undefined || pane.coating === 'unknown') return 'unknown';
  if (pane.coating === 'none') return 'no';
  if (pane.coatedSide === 'unknown') return 'unknown';
  return pane.coatedSide === (isOuter ? 'outer' : 'inner') ? 'yes' : 'no';
}

/** Sheets of a wall, as they would be cut today; glass is laid in one. */
function seamsOf(view: JobView, application: RowOf<'application'>): Pick<WorkStepsInput, 'drops' | 'seam'> {
  if (application.method !== 'decor') return {};
  const today = blankOf(view, application);
  if (today.kind === 'none') return {};
  const { blanks, seams } = today.blanks;
  return { drops: blanks.length, seam: blanks.length > 1 ? seams.kind : 'none' };
}

/** The steps of fitting it, in order, as this job chose its schools, primer and way of shrinking. */
export function workStepsOf(
  view: JobView,
  application: RowOf<'application'>,
  units: DisplayUnits = 'metric',
): readonly WorkStep[] {
  const { primer, shrink } = view.rows.daySettings[0] ?? NEW_DAY;
  return workStepsFor({
    ...workCaseOf(view, application),
    primer,
    shrink,
    learned: view.shop.learned,
    units,
  });
}

/** What was done of it, by the key of the step. */
export function doneSteps(view: JobView, applicationId: string): ReadonlyMap<string, RowOf<'workRecord'>> {
  return new Map(view.workOf(applicationId).map((record) => [record.step, record]));
}

/** Steps of its way that are not done here, each with its reason. */
export function stepsLeftOutOf(
  view: JobView,
  application: RowOf<'application'>,
  units: DisplayUnits = 'metric',
): readonly LeftOutStep[] {
  return stepsLeftOut({ ...workCaseOf(view, application), units });
}
