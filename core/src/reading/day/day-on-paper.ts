import type { WeatherHour } from '../../climate';
import { type MixLine, mixSheet } from '../../day';
import type { Caution } from '../../ways';
import { NEW_DAY, type RowOf } from '../../job';
import type { Air } from '../../waiting';
import { daySurfaces } from './day';
import type { JobView } from '../view/job-view';
import { readinessLimits, readyAsks } from './readiness';
import { newReadyBook, readyAnswers } from './ready-answers';
import { workStepsOf } from '../fit/work';

/** What whoever works that day has to know besides the work itself. */
export interface DayOnPaper {
  /** Undefined: no forecast for it. */
  readonly weather:
    | { readonly least_C: number; readonly most_C: number; readonly cloud: number; readonly rain_mm: number }
    | undefined;
  /** When the sun is on surfaces worked on, by tag; those it does not reach are not named. */
  readonly sun: readonly {
    readonly tag: string;
    readonly spans: readonly { readonly from_ms: number; readonly to_ms: number }[];
  }[];
  readonly mixes: readonly MixLine[];
}

interface AskedDay {
  readonly applicationIds: ReadonlySet<string>;
  readonly from_ms: number;
  readonly to_ms: number;
  readonly weather: readonly WeatherHour[];
  readonly indoor: Air;
}

const ANY_MINUTE = { minuteOf: () => 0 };

/** The day of some films to be laid: its weather, the sun on their surfaces, the liquids they take. */
export function dayOnPaper(view: JobView, asked: AskedDay, book = newReadyBook()): DayOnPaper {
  const { applicationIds, from_ms, to_ms, weather, indoor } = asked;
  const surfaces = view.surfaces.filter(({ id }) =>
    view.applicationsOf(id).some((application) => applicationIds.has(application.id)),
  );
  const hours = weather.filter(({ instant_ms }) => instant_ms >= from_ms && instant_ms < to_ms);
  const asks = readyAsks(view, surfaces).filter(({ id }) => applicationIds.has(id));
  const answers = readyAnswers(asks, weather, from_ms, to_ms, indoor, readinessLimits(view), book);
  const { slip, primer } = view.rows.daySettings[0] ?? NEW_DAY;
  return {
    weather: weatherOf(hours),
    sun: surfaces.flatMap(({ id, tag }) => {
      const own = new Set(view.applicationsOf(id).map((application) => application.id));
      const spans = answers.find((answer) => own.has(answer.id))?.sun ?? [];
      return spans.length === 0 ? [] : [{ tag, spans }];
    }),
    mixes: mixSheet({
      surfaces: daySurfaces(view, ANY_MINUTE).filter(({ applicationId }) =>
        applicationIds.has(applicationId),
      ),
      slip,
      primer,
      air_C: Math.max(indoor.air_C, ...hours.map(({ air_C }) => air_C)),
      learned: view.shop.learned,
    }),
  };
}

function weatherOf(hours: readonly WeatherHour[]): DayOnPaper['weather'] {
  if (hours.length === 0) return undefined;
  const air = hours.map(({ air_C }) => air_C);
  return {
    least_C: Math.min(...air),
    most_C: Math.max(...air),
    cloud: hours.reduce((sum, { cloud }) => sum + cloud, 0) / hours.length,
    rain_mm: hours.reduce((sum, { rain_mm }) => sum + rain_mm, 0),
  };
}

/** The dangers of some stretches of work, each once, in the order in which they are met. */
export function hazardsOf(
  view: JobView,
  stretches: readonly Pick<RowOf<'plannedStep'>, 'applicationId' | 'steps'>[],
): readonly Caution[] {
  const met = stretches.flatMap(({ applicationId, steps }) => {
    const application = view.applicationById.get(applicationId);
    return application === undefined
      ? []
      : workStepsOf(view, application)
          .filter(({ step }) => steps.includes(step))
          .flatMap(({ cautions }) => cautions);
  });
  return [...new Map(met.map((caution) => [caution.key, caution])).values()];
}
