import type { DayClock } from '@yellow-pane/contracts/day-clock';
import { stepCalled } from '@yellow-pane/core/ways';
import { firstWords } from '@yellow-pane/core/day';
import type { DisplayUnits } from '@yellow-pane/core/quantity';
import type { RowOf } from '@yellow-pane/core/job';
import { type JobView, workStepsOf } from '@yellow-pane/core/reading';
import { Refusal } from '../../http/refusal';

/** One kept stretch of work with its words and names, for files that people carry. */
export interface PlannedLine {
  /** The stable key: the same stretch keeps it through every new plan. */
  readonly key: string;
  readonly version: number;
  readonly startsAt: Date;
  readonly endsAt: Date;
  readonly changedAt: Date;
  readonly tag: string;
  readonly place: string;
  readonly film: string;
  readonly what: string;
  readonly short: string;
  readonly tools: readonly string[];
  readonly people: readonly string[];
  readonly pinned: boolean;
  readonly applicationId: string;
  readonly steps: readonly string[];
}

export interface PlannedDay {
  readonly job: string;
  readonly zone: string;
  readonly lines: readonly PlannedLine[];
}

/** The kept plan of a job in order of time. @throws Refusal DAY_NOT_PLANNED */
export function plannedDay(view: JobView, units: DisplayUnits = 'metric'): PlannedDay {
  const [settings] = view.rows.daySettings;
  const crew = new Map(view.crew.map((row) => [row.id, row.name]));
  const lines = view.rows.plannedStep
    .flatMap((row): readonly PlannedLine[] => {
      const application = view.applicationById.get(row.applicationId);
      const surface = view.surfaceById.get(application?.surfaceId ?? '');
      if (application === undefined || surface === undefined) return [];
      const people = row.people.map((id) => crew.get(id) ?? 'somebody no longer in the crew');
      const place = view.placeById.get(surface.placeId)?.name ?? '';
      return [
        {
          ...lineOf(view, application, row, units),
          tag: surface.tag,
          place,
          film: application.filmId,
          people,
        },
      ];
    })
    .sort((a, b) => a.startsAt.getTime() - b.startsAt.getTime() || (a.key < b.key ? -1 : 1));
  if (settings === undefined || lines.length === 0)
    throw new Refusal('DAY_NOT_PLANNED', { path: 'plannedStep', expected: 'a kept plan', got: 'none' });
  return { job: view.rows.job[0]?.name ?? '', zone: settings.zone, lines };
}

function lineOf(
  view: JobView,
  application: RowOf<'application'>,
  row: RowOf<'plannedStep'>,
  units: DisplayUnits,
): Omit<PlannedLine, 'tag' | 'place' | 'film' | 'people'> {
  const steps = workStepsOf(view, application, units).filter(({ step }) => row.steps.includes(step));
  const words = (step: (typeof steps)[number] | undefined): string =>
    step?.what ?? stepCalled(row.template, row.step, units);
  const [first] = steps;
  return {
    key: `${row.applicationId}/${row.template}/${row.step}/${row.templateVersion}`,
    version: row.version,
    startsAt: new Date(row.startsAt),
    endsAt: new Date(row.endsAt),
    changedAt: new Date(row.changedAt),
    what:
      steps.map((step, index) => `${index + 1}. ${words(step)}`).join('\n') ||
      stepCalled(row.template, row.step, units),
    short: [first, ...(steps.length > 1 ? [steps.at(-1)] : [])]
      .map((step) => firstWords(words(step)))
      .join(' … '),
    tools: [...new Set(steps.flatMap((step) => step.tools))],
    pinned: row.pinned,
    applicationId: row.applicationId,
    steps: row.steps,
  };
}

/** The lines of one person on one day of the place. */
export interface PersonsDay {
  readonly person: string;
  /** Midnight of the place. */
  readonly from_ms: number;
  readonly lines: readonly PlannedLine[];
}

/** The plan day by day and person by person, in the order of the first work of each. */
export function personsDays({ lines }: PlannedDay, clock: DayClock): readonly PersonsDay[] {
  const days = new Map<string, { person: string; from_ms: number; lines: PlannedLine[] }>();
  for (const line of lines) {
    const from_ms = clock.midnightOf(line.startsAt.getTime());
    for (const person of line.people) {
      const key = `${from_ms} ${person}`;
      const own = days.get(key) ?? { person, from_ms, lines: [] };
      own.lines.push(line);
      days.set(key, own);
    }
  }
  return [...days.values()].sort((a, b) => a.from_ms - b.from_ms);
}
