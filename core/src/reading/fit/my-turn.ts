import type { RowOf } from '../../job';
import type { JobView } from '../view/job-view';
import { doneSteps } from './work';

/** A stretch of the kept plan that one person is to do. */
export interface Turn {
  readonly applicationId: string;
  readonly surfaceId: string;
  readonly tag: string;
  readonly starts_ms: number;
  readonly ends_ms: number;
  /** How long after its time it begins or ends, minutes; 0: it is not late. */
  readonly late_min: number;
}

interface MyTurn {
  readonly now: Turn;
  readonly next: Turn | undefined;
}

const MINUTE_MS = 60_000;

/**
 * What one person does now and next by the kept plan; undefined: the plan has nothing more for this person.
 * @param me by id where the crew knows it, else by name
 */
export function myTurn(view: JobView, me: Named, now_ms: number): MyTurn | undefined {
  const own = new Set(
    view.crew
      .filter((member) => isSame({ personId: member.personId, who: member.name }, me))
      .map(({ id }) => id),
  );
  const [now, next] = view.rows.plannedStep
    .filter(({ people }) => people.some((id) => own.has(id)))
    .toSorted((a, b) => Date.parse(a.startsAt) - Date.parse(b.startsAt))
    .flatMap((row): readonly Turn[] => turnOf(view, row, now_ms) ?? []);
  return now === undefined ? undefined : { now, next };
}

interface Named {
  readonly personId: string | null;
  readonly who: string;
}

/** By id where both have one, else by name. */
const isSame = (one: Named, other: Named): boolean =>
  one.personId !== null && other.personId !== null ? one.personId === other.personId : one.who === other.who;

/** A surface that somebody handed over in the middle of the work. */
interface Handed {
  readonly applicationId: string;
  readonly surfaceId: string;
  readonly tag: string;
  readonly by: string;
  readonly at_ms: number;
}

/** What was handed to one person and is not finished, the latest first. */
export function handedToMe(view: JobView, me: Named): readonly Handed[] {
  return view.applications
    .flatMap((application): readonly Handed[] => {
      const [last] = view
        .workOf(application.id)
        .filter(({ handedTo }) => handedTo !== null)
        .toSorted((a, b) => (b.handedTo?.at ?? '').localeCompare(a.handedTo?.at ?? ''));
      const surface = view.surfaceById.get(application.surfaceId);
      if (last?.handedTo == null || surface === undefined || view.isHandedOver(application.id)) return [];
      if (!isSame(last.handedTo, me)) return [];
      const { id: surfaceId, tag } = surface;
      const at_ms = Date.parse(last.handedTo.at);
      return [{ applicationId: application.id, surfaceId, tag, by: last.changedBy, at_ms }];
    })
    .toSorted((a, b) => b.at_ms - a.at_ms);
}

function turnOf(view: JobView, row: RowOf<'plannedStep'>, now_ms: number): readonly Turn[] | undefined {
  const surfaceId = view.applicationById.get(row.applicationId)?.surfaceId ?? '';
  const surface = view.surfaceById.get(surfaceId);
  const records = doneSteps(view, row.applicationId);
  const open = row.steps.filter((step) => (records.get(step)?.doneAt ?? null) === null);
  if (surface === undefined || open.length === 0) return undefined;
  const isBegun = open.length < row.steps.length || (records.get(open[0] ?? '')?.startedAt ?? null) !== null;
  const [starts_ms, ends_ms] = [Date.parse(row.startsAt), Date.parse(row.endsAt)];
  const due_ms = isBegun ? ends_ms : starts_ms;
  const late_min = Math.max(0, Math.floor((now_ms - due_ms) / MINUTE_MS));
  return [{ applicationId: row.applicationId, surfaceId, tag: surface.tag, starts_ms, ends_ms, late_min }];
}
