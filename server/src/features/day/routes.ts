import { comeAndLookSchema } from '@yellow-pane/contracts';
import { tableCsv } from '@yellow-pane/contracts/cut-files';
import { type Request, type Response, Router } from 'express';
import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator';
import { DateTime } from 'luxon';
import type { Database } from '../../db/database';
import { idParam } from '../../http/id-param';
import { readPaper } from '../../paper/paper';
import { daySheetPdf } from '../../paper/day-sheet-pdf';
import { type DisplayUnits, displayUnitsOf } from '@yellow-pane/core/quantity';
import type { JobView, PendingWait } from '@yellow-pane/core/reading';
import { type ThermometerStandIn, airOnSite } from '../bench/thermometer';
import type { WeatherStandIn } from '../weather/stand-in';
import { readJobView } from '../jobs/read-view';
import type { ChangeFeed } from '../events/change-feed';
import { parseBody } from '../../http/refusal';
import { waitsOf, waitsOfAll } from './waits-running';
import { type PlannedDay, plannedDay } from './planned-day';
import { sheetsOf } from './sheets-of-day';

interface Deps {
  readonly db: Database;
  readonly clock: () => Date;
  readonly feed: ChangeFeed;
  readonly weather: WeatherStandIn;
  readonly thermometer: ThermometerStandIn;
}

const QUARTER_MS = 15 * 60_000;

/** The kept plan of the days as files: calendar, list, sheet. */
export function dayRoutes({ db, clock, feed, weather, thermometer }: Deps): Router {
  const routes = Router();
  const at = (end: string): string => `/api/jobs/:jobId/day/${end}`;
  const view = (request: Request): Promise<JobView> => readJobView(db, idParam(request, 'jobId'));
  const read = async (request: Request): Promise<PlannedDay> =>
    plannedDay(await view(request), unitsOf(request));
  const send = (response: Response, name: string, type: string, body: string | Buffer): void => {
    response.type(type).attachment(name).send(body);
  };
  routes.get(at('calendar'), async (request, response) => {
    send(response, 'day-plan.ics', 'text/calendar', calendarOf(await read(request)));
  });
  routes.get(at('waits'), async (request, response) => {
    const own = await view(request);
    const waits = waitsOf(own, clock().getTime());
    send(response, 'waits.ics', 'text/calendar', waitsCalendar(own.job?.name ?? '', waits, clock()));
  });
  routes.get('/api/waits', async (_request, response) => {
    response.json(await waitsOfAll(db, clock()));
  });
  routes.post('/api/jobs/:jobId/calls', async (request, response) => {
    const jobId = idParam(request, 'jobId');
    const call = parseBody(comeAndLookSchema, request.body);
    await view(request);
    response.json({ pages: feed.call(jobId, call) });
  });
  routes.get(at('list'), async (request, response) => {
    send(response, 'day-plan.csv', 'text/csv', listOf(await read(request)));
  });
  routes.get(at('sheet'), async (request, response) => {
    send(
      response,
      'day-sheet.pdf',
      'application/pdf',
      await daySheetPdf(
        {
          ...sheetsOf(await view(request), weather, airOnSite(thermometer), {
            units: unitsOf(request),
            withDrawings: request.query['drawings'] === '1',
          }),
          units: unitsOf(request),
        },
        readPaper(request.query['paper']),
      ),
    );
  });
  return routes;
}

const unitsOf = (request: Request): DisplayUnits => displayUnitsOf(request.query['units']);

/** Each wait with its end, and an alarm at it: a page that is not lit does not ring. */
function waitsCalendar(job: string, waits: readonly PendingWait[], now: Date): string {
  const calendar = ical({
    name: job,
    prodId: { company: 'Yellow Pane', product: 'Waits', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const { applicationId, step, tag, why, over_ms } of waits) {
    if (over_ms === null) continue;
    const event = calendar.createEvent({
      id: `wait-${applicationId}-${step}@yellow-pane`,
      stamp: now,
      start: new Date(over_ms),
      end: new Date(over_ms + QUARTER_MS),
      summary: `${tag}: ${why}`,
    });
    event.createAlarm({ type: ICalAlarmType.display, trigger: 0 });
  }
  return calendar.toString();
}

/** Brought in again, the same step replaces itself: its UID is its stable key, its sequence its version. */
export function calendarOf({ job, lines }: PlannedDay): string {
  const calendar = ical({
    name: job,
    prodId: { company: 'Yellow Pane', product: 'Day plan', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const line of lines) {
    calendar.createEvent({
      id: `${line.key}@yellow-pane`,
      sequence: line.version - 1,
      stamp: line.changedAt,
      start: line.startsAt,
      end: line.endsAt,
      summary: `${line.tag}: ${line.short}`,
      location: line.place,
      description: `${line.what}\n${line.people.join(', ')}${line.tools.length > 0 ? `\nAt hand: ${line.tools.join(', ')}` : ''}`,
    });
  }
  return calendar.toString();
}

function listOf({ zone, lines }: PlannedDay): string {
  const clock = (instant: Date, format: string): string =>
    DateTime.fromJSDate(instant, { zone }).toFormat(format);
  const rows = lines.map((line) => [
    clock(line.startsAt, 'yyyy-MM-dd'),
    clock(line.startsAt, 'HH:mm'),
    clock(line.endsAt, 'HH:mm'),
    line.tag,
    line.place,
    line.what.replaceAll('\n', ' '),
    line.people.join(' + '),
    line.pinned ? 'pinned' : '',
  ]);
  return tableCsv(['date', 'from', 'to', 'surface', 'place', 'step', 'who', 'pinned'], rows);
}
