import { DayClock, daySettingsOr } from '@yellow-pane/contracts/day-clock';
import { type JobView, dayOnPaper, hazardsOf, indoorAir } from '@yellow-pane/core/reading';
import type { DisplayUnits } from '@yellow-pane/core/quantity';
import type { Air } from '@yellow-pane/core/waiting';
import type { SheetOfDay } from '../../paper/day-sheet-pdf';
import { forecastFor } from '../weather/forecast-for';
import type { WeatherStandIn } from '../weather/stand-in';
import { stepDrawings } from './step-drawings';
import { personsDays, plannedDay } from './planned-day';

const DAY_MS = 86_400_000;

/** What each person does on each day of the kept plan, with what to know that day.
 *  @throws Refusal DAY_NOT_PLANNED */
export function sheetsOf(
  view: JobView,
  weather: WeatherStandIn,
  onSite: Air | undefined,
  { units, withDrawings }: { readonly units: DisplayUnits; readonly withDrawings: boolean },
): { readonly job: string; readonly zone: string; readonly sheets: readonly SheetOfDay[] } {
  const planned = plannedDay(view, units);
  const clock = new DayClock(daySettingsOr(view.rows.daySettings[0], planned.zone, 0));
  const hours = forecastFor(view, weather);
  const indoor = indoorAir(view, onSite);
  return {
    ...{ job: planned.job, zone: planned.zone },
    sheets: personsDays(planned, clock).map((own) => ({
      ...own,
      hazards: hazardsOf(view, own.lines),
      drawings: withDrawings ? stepDrawings(view, own.lines) : [],
      day: dayOnPaper(view, {
        applicationIds: new Set(own.lines.map(({ applicationId }) => applicationId)),
        from_ms: own.from_ms,
        to_ms: clock.midnightOf(own.from_ms + 1.5 * DAY_MS),
        weather: hours,
        indoor,
      }),
    })),
  };
}
