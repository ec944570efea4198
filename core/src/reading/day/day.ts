import { type DayProblem, type DaySurface, dayProblem, workStepId } from '../../day';
import { NEW_DAY, type CrewMember, type RowOf } from '../../job';
import type { Person, PlannedStep, Span } from '../../scheduling';
import type { Air } from '../../waiting';
import type { JobView } from '../view/job-view';
import { airOf } from '../survey/place';
import { hoursOpen } from './hours-open';
import type { ReadyAnswer } from './readiness';
import { workCaseOf } from '../fit/work';

/** The clock of the place, counted in minutes from the beginning of the first day. */
export interface PlaceClock {
  readonly horizon: number;
  minuteOf(instant_ms: number): number;
  /** When somebody works, as minutes of the plan. */
  hoursOf(member: CrewMember): readonly Span[];
}

/** Surfaces that get film, in order. */
export function filmedSurfaces(view: JobView): readonly RowOf<'surface'>[] {
  return view.surfaces.filter(({ id }) => view.applicationsOf(id).length > 0);
}

/** Every film to be laid with what decides its work and what is done of it. */
export function daySurfaces(view: JobView, clock: Pick<PlaceClock, 'minuteOf'>): readonly DaySurface[] {
  return filmedSurfaces(view).flatMap((surface) =>
    view.applicationsOf(surface.id).map((application): DaySurface => {
      const done = view
        .workOf(application.id)
        .flatMap(({ doneAt, step }) => (doneAt === null ? [] : [{ doneAt, step }]));
      return {
        ...workCaseOf(view, application),
        applicationId: application.id,
        tag: surface.tag,
        place: view.placeById.get(surface.placeId)?.name ?? '',
        room: airOf(view, surface),
        fitness: application.id,
        done: new Map(done.map(({ step, doneAt }) => [step, clock.minuteOf(Date.parse(doneAt))])),
        confirmed: new Set(view.waitEndsOf(application.id).map(({ step }) => step)),
      };
    }),
  );
}

/** The crew with its hours. Of somebody the shop does not know nothing is known to be mastered. */
export function peopleOf(view: JobView, clock: Pick<PlaceClock, 'hoursOf'>): readonly Person[] {
  return view.crew.map((member) => ({
    id: member.id,
    name: member.name,
    skills: view.personById.get(member.personId ?? '')?.skills ?? [],
    hours: clock.hoursOf(member),
  }));
}

/** What the days are asked with beside the rows of the job. */
interface DayAsked {
  readonly clock: PlaceClock;
  /** When each film may be laid, by application. */
  readonly ready: ReadonlyMap<string, Pick<ReadyAnswer, 'fit' | 'closed'>>;
  readonly air: Air;
  /** Starts a person has put somewhere, by the key of the stretch. */
  readonly pins: ReadonlyMap<string, number>;
  /** Minute of the plan that it is now. */
  readonly now: number;
}

/** The steps still to be done, in stretches, with everything that must hold between them. */
export function dayProblemOf(view: JobView, { clock, ready, air, pins, now }: DayAsked): DayProblem {
  const surfaces = daySurfaces(view, clock);
  const { tools, primer } = view.rows.daySettings[0] ?? NEW_DAY;
  const minute = (instant_ms: number): number => Math.max(0, clock.minuteOf(instant_ms));
  return dayProblem({
    surfaces,
    people: peopleOf(view, clock),
    tools: tools.map(({ tool, count }) => ({ id: tool, word: tool, count })),
    air,
    primer,
    learned: view.shop.learned,
    fitness: surfaces.map(({ applicationId }) => {
      const own = ready.get(applicationId);
      return {
        id: applicationId,
        spans: (own === undefined ? [] : hoursOpen(own))
          .map(({ from_ms, to_ms }) => ({ from: minute(from_ms), to: minute(to_ms) }))
          .filter(({ from, to }) => to > from),
        closed: (own?.closed ?? [])
          .filter(({ by }) => by !== 'weather unknown')
          .map(({ from_ms, to_ms, why }) => ({ from: minute(from_ms), to: minute(to_ms), why })),
      };
    }),
    pins,
    now,
    horizon: clock.horizon,
  });
}

/** The key of a kept stretch: that of its first step. */
export const stretchKey = (
  row: Pick<RowOf<'plannedStep'>, 'applicationId' | 'template' | 'step' | 'templateVersion'>,
): string => workStepId(row.applicationId, row);

/** The plan that is kept, as far as its stretches are still to be done. */
export function keptPlan(
  view: JobView,
  works: DayProblem['works'],
  clock: Pick<PlaceClock, 'minuteOf'>,
): readonly PlannedStep[] {
  return view.rows.plannedStep.flatMap((row) =>
    works.has(stretchKey(row))
      ? [
          {
            id: stretchKey(row),
            start: clock.minuteOf(Date.parse(row.startsAt)),
            end: clock.minuteOf(Date.parse(row.endsAt)),
            people: row.people,
          },
        ]
      : [],
  );
}
