import type { RowOf, VisitReason } from '../../job';
import { type ReturnAsk, type Trip, tripsFor } from '../../returning';
import { RULES } from '../../rules';
import type { MayKey } from '../../waiting';
import { type Sky, filmDates } from './film-dates';
import type { JobView } from '../view/job-view';
import { laidAt } from './marks';

const DAY_MS = 86_400_000;
const within = (from_ms: number): number => from_ms + RULES.returnWithin.value * DAY_MS;

/** A visit that somebody keeps, with how it stands. */
interface KeptVisit {
  readonly visit: RowOf<'visit'>;
  /** What of it is still to be done. */
  readonly open: readonly VisitReason[];
  readonly isLate: boolean;
}

export interface VisitsOfJob {
  /** Open ones, next first. */
  readonly kept: readonly KeptVisit[];
  /** Trips for what no visit serves yet. */
  readonly proposed: readonly Trip[];
  /** What was done or not needed. */
  readonly past: readonly RowOf<'visit'>[];
}

/** A second look or a first wash long past its day is of no use any more; what is owed stays owed. */
const isPastUse = ({ kind, due_ms }: ReturnAsk, now_ms: number): boolean =>
  (kind === 'edges, second look' || kind === 'first cleaning') && due_ms !== null && within(due_ms) < now_ms;

/** What somebody must come back for, and by which trips; what a visit serves is not asked again. */
export function visitsOf(view: JobView, now_ms: number, sky: Sky): VisitsOfJob {
  const asks = returnAsks(view, sky);
  const wanted = new Set(asks.map(({ key }) => key));
  const served = new Set(view.visits.flatMap(({ reasons }) => reasons.map(({ key }) => key)));
  const open = view.visits
    .filter(({ state }) => state === 'open')
    .map((visit) => ({
      visit,
      open: visit.reasons.filter(({ key, kind }) => wanted.has(key) || kind === 'other'),
      isLate: lateSince(visit) < now_ms,
    }))
    .sort((a, b) => begins(a.visit) - begins(b.visit));
  return {
    kept: open,
    proposed: tripsFor(
      asks.filter((ask) => !served.has(ask.key) && !isPastUse(ask, now_ms)),
      now_ms,
    ),
    past: view.visits.filter(({ state }) => state !== 'open'),
  };
}

const lateSince = ({ plannedAt, due }: RowOf<'visit'>): number => Date.parse(due ?? plannedAt ?? '2199');
const begins = ({ plannedAt, notBefore, due }: RowOf<'visit'>): number =>
  Date.parse(plannedAt ?? notBefore ?? due ?? '2199');

/** Everything in a job that somebody must come back for, whether a visit serves it or not. */
export function returnAsks(view: JobView, sky: Sky): readonly ReturnAsk[] {
  return [
    ...view.applications.flatMap((application) => asksOfFilm(view, application, sky)),
    ...view.rows.mark.flatMap((mark) => asksOfMark(view, mark)),
    ...view.rows.part.flatMap((part) => asksOfPart(view, part)),
    ...view.rows.testPiece.flatMap(asksOfPiece),
  ];
}

/** Of a film that has been handed over: its edges, its sealant, its first wash. */
function asksOfFilm(view: JobView, application: RowOf<'application'>, sky: Sky): readonly ReturnAsk[] {
  const laid_ms = view.isHandedOver(application.id) ? laidAt(view, application.id) : null;
  const dates = laid_ms === null ? undefined : filmDates(view, application, laid_ms, sky);
  if (dates === undefined || laid_ms === null) return [];
  const ask = (kind: ReturnAsk['kind'], from_ms: number | null, to_ms: number | null): ReturnAsk => ({
    key: `${kind} ${application.id}`,
    ...{ kind, surfaceId: application.surfaceId, applicationId: application.id, markId: null },
    ...{ notBefore_ms: from_ms, due_ms: to_ms },
  });
  const { edgesAgain } = RULES;
  /** What may be done from a day on; without a day it stays owed. */
  const from = (kind: ReturnAsk['kind'], key: MayKey): readonly ReturnAsk[] =>
    dates.may
      .filter((may) => may.key === key)
      .map(({ from_days }) => {
        const from_ms = from_days === null ? null : laid_ms + from_days * DAY_MS;
        return ask(kind, from_ms, from_ms === null ? null : within(from_ms));
      });
  return [
    ask('edges, second look', laid_ms + edgesAgain.least * DAY_MS, laid_ms + edgesAgain.most * DAY_MS),
    ...(hasSealant(view, application.surfaceId) ? from('sealant back', 'sealant back') : []),
    ...from('first cleaning', 'wash'),
  ];
}

const hasSealant = (view: JobView, surfaceId: string): boolean =>
  view.siteFactsOf(surfaceId)?.sealantToCut === 'yes';

/** What was taken over as watched, or to be put right, and is not gone. */
function asksOfMark(view: JobView, mark: RowOf<'mark'>): readonly ReturnAsk[] {
  const last = view.decisionsOf(mark.id).at(-1);
  if (mark.goneAt !== null || last === undefined) return [];
  const { id: markId, surfaceId, applicationId } = mark;
  if (last.verdict === 'watch') {
    const from_ms = last.watchUntil === null ? null : Date.parse(last.watchUntil);
    return [
      {
        ...{ key: `pockets ${markId}`, kind: 'pockets gone?', surfaceId, applicationId, markId },
        ...{ notBefore_ms: from_ms, due_ms: from_ms === null ? null : within(from_ms) },
      },
    ];
  }
  if (last.verdict !== 'fix now' && last.verdict !== 'redo') return [];
  const from_ms = Date.parse(last.said.at);
  return [
    {
      ...{ key: `put right ${markId}`, kind: 'put right', surfaceId, applicationId, markId },
      ...{ notBefore_ms: from_ms, due_ms: within(from_ms) },
    },
  ];
}

/** What was taken off goes back once everything on the surface is laid. */
function asksOfPart(view: JobView, part: RowOf<'part'>): readonly ReturnAsk[] {
  if (part.takenOffAt === null || part.putBackAt !== null) return [];
  const films = view.applicationsOf(part.surfaceId);
  if (films.length === 0 || !films.every(({ id }) => view.isHandedOver(id))) return [];
  const from_ms = Math.max(...films.map(({ id }) => laidAt(view, id) ?? 0));
  return [
    {
      ...{ key: `put back ${part.id}`, kind: 'put back', surfaceId: part.surfaceId },
      ...{ applicationId: null, markId: null, notBefore_ms: from_ms, due_ms: within(from_ms) },
    },
  ];
}

const asksOfPiece = (piece: RowOf<'testPiece'>): readonly ReturnAsk[] =>
  piece.outcome === 'not judged'
    ? [
        {
          ...{ key: `test piece ${piece.id}`, kind: 'test piece', surfaceId: piece.surfaceId },
          ...{ applicationId: null, markId: null, notBefore_ms: Date.parse(piece.madeAt), due_ms: null },
        },
      ]
    : [];
