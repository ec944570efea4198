import type { HandOver, HandedPane, OpenItem, RowOf } from '../../job';
import { type Sky, filmDates } from '../check/film-dates';
import { fitRecordOf } from '../fit/fit-record';
import type { JobView } from '../view/job-view';
import { isBeforeWork } from './arrival-here';
import { laidAt, marksJudged } from '../check/marks';
import { ruleSetFor } from '../check/rule-sets';
import { careOf } from './care';
import { visitsOf } from '../check/visits';

const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;
const instant = (ms: number): string => new Date(ms).toISOString();

interface HandOverAsked {
  readonly now_ms: number;
  readonly sky: Sky;
}

/** All that is handed over, pane by pane, and all that is still open: as it stands now. */
export function handOverNow(view: JobView, asked: HandOverAsked): Pick<HandOver, 'panes' | 'open'> {
  return {
    panes: view.applications.filter(({ id }) => view.isHandedOver(id)).map((own) => paneOf(view, own, asked)),
    open: stillOpen(view, asked),
  };
}

function paneOf(view: JobView, application: RowOf<'application'>, asked: HandOverAsked): HandedPane {
  const { id, surfaceId } = application;
  const surface = view.surfaceById.get(surfaceId);
  const record = fitRecordOf(view, application);
  const set = ruleSetFor(view, surfaceId);
  const judged = set && marksJudged(view, surfaceId, { set, ...asked });
  const last = view.inspectionsOf(surfaceId).at(-1);
  const laid_ms = laidAt(view, id);
  const mixes = [...new Set(record.steps.flatMap(({ mix }) => (mix === '' ? [] : [mix])))];
  return {
    ...{ applicationId: id, surfaceId, tag: surface?.tag ?? '', face: application.side },
    place: view.placeById.get(surface?.placeId ?? '')?.name ?? '',
    film: view.filmById.get(application.filmId)?.name ?? '',
    rolls: uniqueRolls(record.rolls),
    laidAt: laid_ms === null ? null : instant(laid_ms),
    people: [...new Set(record.steps.flatMap(({ people }) => people))],
    readings: record.readings.map(({ quantity, shown, changedBy, madeAt }) => ({
      ...{ quantity, shown, who: changedBy, at: madeAt },
    })),
    mix: mixes.length === 0 ? null : mixes.join('; '),
    judged: judged?.verdict ?? 'unknown',
    ruleSet: last === undefined ? null : `${last.setName}, ${last.setVersion}`,
    acceptedBy: last?.accepted ?? null,
    marks: (judged?.marks ?? [])
      .filter(({ mark }) => mark.goneAt === null)
      .map(({ mark, decision }) => ({
        ...{ look: mark.look, size_nm: mark.size_nm, verdict: decision?.verdict ?? null },
      })),
    dates: laid_ms === null ? [] : datesOf(view, application, laid_ms, asked.sky),
    warnings: careOf(view, application),
    ...beforeAndAfter(view, surfaceId),
    putBack: view
      .partsOf(surfaceId)
      .filter(({ takenOffAt }) => takenOffAt !== null)
      .map(({ name, kind, putBackAt }) => ({ name: name === '' ? kind : name, at: putBackAt })),
  };
}

function uniqueRolls(
  rolls: readonly { readonly label: string; readonly lot: string }[],
): HandedPane['rolls'] {
  const found = new Map(rolls.map(({ label, lot }) => [`${label} ${lot}`, { label, lot }]));
  return [...found.values()];
}

/** The same dates that Day, Fit and Check show. */
function datesOf(
  view: JobView,
  application: RowOf<'application'>,
  laid_ms: number,
  sky: Sky,
): HandedPane['dates'] {
  const dates = filmDates(view, application, laid_ms, sky);
  if (dates === undefined) return [];
  const at = (days: number | null): string | null =>
    days === null ? null : instant(laid_ms + days * DAY_MS);
  const { clear } = dates;
  return [
    ...(clear === undefined
      ? []
      : [
          {
            ...{ key: 'clear', from: null },
            until:
              clear.never != null || clear.most == null ? null : instant(laid_ms + clear.most * MINUTE_MS),
          },
        ]),
    ...dates.may.map(({ key, from_days, until_days }) => ({
      ...{ key, from: at(from_days), until: at(until_days) },
    })),
  ];
}

/** The first picture from before the work, and the last after it; pictures of marks are not among them. */
function beforeAndAfter(view: JobView, surfaceId: string): Pick<HandedPane, 'before' | 'after'> {
  const photos = view
    .photosOf(surfaceId)
    .filter(({ markId }) => markId === null)
    .map(({ id, takenAt, madeAt }) => ({ id, at: takenAt ?? madeAt }))
    .toSorted((a, b) => a.at.localeCompare(b.at));
  const before = photos.find(({ at }) => isBeforeWork(view, surfaceId, at));
  const after = photos.findLast(({ at }) => !isBeforeWork(view, surfaceId, at));
  return { before: before?.id ?? null, after: after?.id ?? null };
}

/** What is still open in a job. It stands on the first page of what is handed over. */
export function stillOpen(view: JobView, asked: HandOverAsked): readonly OpenItem[] {
  return [...view.surfaces.flatMap((surface) => openOn(view, surface, asked)), ...openVisits(view, asked)];
}

function openOn(view: JobView, { id, tag }: RowOf<'surface'>, asked: HandOverAsked): readonly OpenItem[] {
  const films = view.applicationsOf(id);
  if (films.length === 0) return [];
  const item = (kind: OpenItem['kind'], what: string, until: string | null = null): OpenItem => ({
    ...{ kind, tag, what, until },
  });
  const undone = films.filter((own) => !view.isHandedOver(own.id));
  const set = ruleSetFor(view, id);
  const judged = set && marksJudged(view, id, { set, ...asked });
  const marks = (judged?.marks ?? []).filter(({ mark }) => mark.goneAt === null);
  const until_ms = judged?.drying.until_ms ?? null;
  return [
    ...undone.map(({ filmId }) => item('not done', view.filmById.get(filmId)?.name ?? '')),
    ...(undone.length === 0 && judged?.isWhole !== true ? [item('not looked at', '')] : []),
    ...marks.flatMap(({ mark, decision }) => {
      if (decision === undefined) return [item('mark', mark.look)];
      const { verdict } = decision;
      if (verdict === 'watch')
        return [item('pocket', mark.look, until_ms === null ? null : instant(until_ms))];
      return verdict === 'accept' || verdict === 'accept by rule' ? [] : [item('mark', mark.look)];
    }),
    ...view
      .partsOf(id)
      .filter(({ takenOffAt, putBackAt }) => takenOffAt !== null && putBackAt === null)
      .map(({ name, kind }) => item('put back', name === '' ? kind : name)),
    ...(view.wallFactsOf(id)?.ground?.state === 'refused' ? [item('ground', '')] : []),
  ];
}

/** What somebody comes back for that is not said of a mark or a part already. */
function openVisits(view: JobView, { now_ms, sky }: HandOverAsked): readonly OpenItem[] {
  const said = new Set(['pockets gone?', 'put right', 'put back']);
  const { kept, proposed } = visitsOf(view, now_ms, sky);
  const item = (
    { kind, surfaceId }: { readonly kind: string; readonly surfaceId: string | null },
    until: string | null,
  ): OpenItem => ({
    ...{ kind: 'visit', what: kind, until },
    tag: view.surfaceById.get(surfaceId ?? '')?.tag ?? '',
  });
  return [
    ...kept.flatMap(({ visit, open }) =>
      open.filter(({ kind }) => !said.has(kind)).map((own) => item(own, visit.plannedAt ?? visit.due)),
    ),
    ...proposed.flatMap(({ asks, to_ms }) =>
      asks
        .filter(({ kind }) => !said.has(kind))
        .map((own) => item(own, Number.isFinite(to_ms) ? instant(to_ms) : null)),
    ),
  ];
}
