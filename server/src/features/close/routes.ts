import type { DayClock } from '@yellow-pane/contracts/day-clock';
import { paymentsCsv } from '@yellow-pane/contracts/cut-files';
import type { JobTable, RowOf } from '@yellow-pane/core/job';
import { type DisplayUnits, displayUnitsOf } from '@yellow-pane/core/quantity';
import { type JobView, acceptedQuote, doneUpTo } from '@yellow-pane/core/reading';
import { type Request, type Response, Router } from 'express';
import type { Database } from '../../db/database';
import { baseOf } from '../../http/base-address';
import { idParam } from '../../http/id-param';
import { Refusal } from '../../http/refusal';
import { arrivalPdf } from '../../paper/arrival-pdf';
import { careSheetPdf, certificatePdf } from '../../paper/certificate-pdf';
import { paymentPdf } from '../../paper/invoice-pdf';
import { type Paper, readPaper } from '../../paper/paper';
import { quoteInsidePdf, quotePdf } from '../../paper/quote-pdf';
import { readJobView } from '../jobs/read-view';
import type { AskedOfAir } from '../weather/sky-of';
import { readAsked } from './half-day-asked';
import { halfDayFor } from './half-days';
import { quotesOnPaper } from './quotes-on-paper';
import { calendarOf, drawDone, handOverOnPaper, headOf, pictureOf } from './papers';

interface Deps extends AskedOfAir {
  readonly db: Database;
  readonly clock: () => Date;
}

const sendPdf = (response: Response, name: string, pdf: Buffer): void => {
  response.type('application/pdf').attachment(`${name}.pdf`).send(pdf);
};

type Paged = (request: Request) => Promise<{
  readonly view: JobView;
  readonly now: Date;
  readonly calendar: DayClock;
  readonly units: DisplayUnits;
  readonly job: string;
  readonly head: readonly string[];
  readonly paper: Paper;
}>;

/** The papers of the way from the call to the payment. */
export function closeRoutes({ db, clock, ...air }: Deps): Router {
  const routes = Router();
  const asked: Paged = async (request) => {
    const view = await readJobView(db, idParam(request, 'jobId'));
    const now = clock();
    return {
      ...{ view, now, calendar: calendarOf(view, now), units: displayUnitsOf(request.query['units']) },
      ...{
        job: view.job?.name ?? '',
        head: await headOf(db, view),
        paper: readPaper(request.query['paper']),
      },
    };
  };
  for (const [name, make] of [
    ['certificate', certificatePdf],
    ['care-sheet', careSheetPdf],
  ] as const)
    routes.get(`/api/jobs/:jobId/close/${name}`, async (request, response) => {
      const { view, now, units, paper } = await asked(request);
      const wanted = request.query['handOver'];
      const signed = typeof wanted === 'string' ? rowOf(view, 'handOver', wanted) : undefined;
      const own = await handOverOnPaper(view, { db, now, air, units, signed, base: baseOf(request) });
      sendPdf(response, name, await make(own, paper));
    });
  quoteRoute(routes, asked, db);
  arrivalRoute(routes, asked, db);
  paymentRoutes(routes, asked);
  routes.get('/api/half-day', async (request, response) => {
    const { jobId, bearings, zone } = readAsked(request);
    const found = await halfDayFor(db, { jobId, bearings, zone, now: clock() }, air);
    const { from_ms = 0, to_ms = 0, isDry = null, isShady = null } = found ?? {};
    const half = { from: new Date(from_ms).toISOString(), to: new Date(to_ms).toISOString(), isDry, isShady };
    response.json(found === undefined ? null : half);
  });
  return routes;
}

function quoteRoute(routes: Router, asked: Paged, db: Database): void {
  routes.get('/api/jobs/:jobId/close/quotes/:quoteId', async (request, response) => {
    const { view, now, units, paper } = await asked(request);
    const quote = rowOf(view, 'quote', idParam(request, 'quoteId'));
    const own = await quotesOnPaper(db, view, quote, { now, units });
    const isInside = request.query['inside'] === '1';
    sendPdf(
      response,
      isInside ? `inside-sheet-${quote.number}` : `quote-${quote.number}`,
      await (isInside ? quoteInsidePdf : quotePdf)(own, paper),
    );
  });
}

function arrivalRoute(routes: Router, asked: Paged, db: Database): void {
  routes.get('/api/jobs/:jobId/close/arrivals/:arrivalId', async (request, response) => {
    const { view, calendar, paper, job, head } = await asked(request);
    const arrival = rowOf(view, 'arrival', idParam(request, 'arrivalId'));
    const own = {
      ...{ job, head, arrival, signedAt: calendar.momentOf(arrival.signature.at) },
      picture: pictureOf(db, view.job?.id ?? ''),
    };
    sendPdf(response, 'arrival', await arrivalPdf(own, paper));
  });
}

function paymentRoutes(routes: Router, asked: Paged): void {
  routes.get('/api/jobs/:jobId/close/payments/list', async (request, response) => {
    const { view } = await asked(request);
    response.type('text/csv').attachment('payments.csv').send(paymentsCsv(view.rows.payment));
  });
  routes.get('/api/jobs/:jobId/close/payments/:paymentId', async (request, response) => {
    const { view, calendar, paper, ...head } = await asked(request);
    const payment = rowOf(view, 'payment', idParam(request, 'paymentId'));
    const { upToDay, dueDay } = payment;
    const end = upToDay === null ? undefined : calendar.instantAt(upToDay, 24);
    const own = {
      ...{ ...head, payment, draw: drawDone(view) },
      day: calendar.dateOf(payment.asked?.at ?? payment.madeAt),
      due: dueDay === null ? null : calendar.dateOf(`${dueDay}T12:00:00Z`),
      upTo: upToDay === null ? null : calendar.dateOf(`${upToDay}T12:00:00Z`),
      done: end === undefined ? [] : doneUpTo(view, Date.parse(end), acceptedQuote(view)?.paper),
      signedAt: payment.signature === null ? '' : calendar.momentOf(payment.signature.at),
    };
    sendPdf(response, `${payment.kind}-${payment.number}`, await paymentPdf(own, paper));
  });
}

/** @throws Refusal ROW_UNKNOWN */
function rowOf<Table extends JobTable>(view: JobView, table: Table, id: string): RowOf<Table> {
  const row = view.rows[table].find((own) => own.id === id);
  if (row === undefined)
    throw new Refusal('ROW_UNKNOWN', {
      path: `${table}.id`,
      expected: 'a row of this job',
      got: id.slice(0, 60),
    });
  return row;
}
