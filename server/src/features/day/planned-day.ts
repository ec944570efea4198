import { TEMPLATES } from '@yellow-pane/core/fitting';
import { firstWords } from '@yellow-pane/core/day';
import type { Database } from '../../db/database';
import { Refusal } from '../../http/refusal';
import { readJob } from '../jobs/queries';

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
}

export interface PlannedDay {
  readonly job: string;
  readonly zone: string;
  readonly lines: readonly PlannedLine[];
}

/** The kept plan of a job in order of time. @throws Refusal DAY_NOT_PLANNED */
export async function readPlannedDay(db: Database, jobId: string): Promise<PlannedDay> {
  const { rows } = await readJob(db, jobId);
  const [settings] = rows.daySettings;
  const applications = new Map(rows.application.map((row) => [row.id, row]));
  const surfaces = new Map(rows.surface.map((row) => [row.id, row]));
  const places = new Map(rows.place.map((row) => [row.id, row]));
  const crew = new Map(rows.crewMember.map((row) => [row.id, row.name]));
  const lines = rows.plannedStep
    .flatMap((row): readonly PlannedLine[] => {
      const application = applications.get(row.applicationId);
      const surface = surfaces.get(application?.surfaceId ?? '');
      if (application === undefined || surface === undefined) return [];
      const steps =
        TEMPLATES.find(({ template }) => template === row.template)?.steps.filter(({ key }) =>
          row.steps.includes(key),
        ) ?? [];
      const [first] = steps;
      return [
        {
          key: `${row.applicationId}/${row.template}/${row.step}/${row.templateVersion}`,
          version: row.version,
          startsAt: new Date(row.startsAt),
          endsAt: new Date(row.endsAt),
          changedAt: new Date(row.changedAt),
          tag: surface.tag,
          place: places.get(surface.placeId)?.name ?? '',
          film: application.filmId,
          what: steps.map((step, index) => `${index + 1}. ${step.what}`).join('\n') || row.step,
          short: [first, ...(steps.length > 1 ? [steps.at(-1)] : [])]
            .map((step) => firstWords(step?.what ?? row.step))
            .join(' … '),
          tools: [...new Set(steps.flatMap((step) => step.tools))],
          people: row.people.map((id) => crew.get(id) ?? 'somebody no longer in the crew'),
          pinned: row.pinned,
        },
      ];
    })
    .sort((a, b) => a.startsAt.getTime() - b.startsAt.getTime() || (a.key < b.key ? -1 : 1));
  if (settings === undefined || lines.length === 0)
    throw new Refusal('DAY_NOT_PLANNED', { path: 'plannedStep', expected: 'a kept plan', got: 'none' });
  return { job: rows.job[0]?.name ?? '', zone: settings.zone, lines };
}
