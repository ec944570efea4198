import { displayUnitsOf } from '@yellow-pane/core/quantity';
import { lineSeenFrom, shrinkOf } from '@yellow-pane/core/reading';
import { Router } from 'express';
import type { Database } from '../../db/database';
import { idParam } from '../../http/id-param';
import { Refusal } from '../../http/refusal';
import { framePdf } from '../../paper/frame-pdf';
import { readPaper } from '../../paper/paper';
import { shrinkStripPdf } from '../../paper/shrink-strip-pdf';
import { readJobView } from '../jobs/read-view';

/** Paper of a curved pane that is shrunk. */
export function curvedRoutes({ db }: { readonly db: Database }): Router {
  const routes = Router();
  routes.get('/api/jobs/:jobId/applications/:applicationId/shrink-strip', async (request, response) => {
    const view = await readJobView(db, idParam(request, 'jobId'));
    const applicationId = idParam(request, 'applicationId');
    const application = view.applicationById.get(applicationId);
    const surface = view.surfaceById.get(application?.surfaceId ?? '');
    const today = application && shrinkOf(view, application);
    if (today?.kind !== 'plan' || surface === undefined)
      throw new Refusal('SHRINK_NO_PLAN', {
        path: 'applicationId',
        expected: 'film on curved glass whose sags are measured and agree',
        got: today?.kind === 'none' ? today.reason : 'no such film in this job',
      });
    const pdf = await shrinkStripPdf(
      {
        job: view.job?.name ?? '',
        tag: surface.tag,
        /** Film is shrunk outside, whatever side the pane was measured from. */
        seenFrom: 'outside',
        heights_mm: lineSeenFrom(today.plan, surface, 'outside'),
        units: displayUnitsOf(request.query['units']),
      },
      readPaper(request.query['paper']),
    );
    response.type('application/pdf').attachment(`strip-${surface.tag}.pdf`).send(pdf);
  });
  routes.get('/api/pattern-frame', async (request, response) => {
    const pdf = await framePdf(readPaper(request.query['paper']));
    response.type('application/pdf').attachment('frame.pdf').send(pdf);
  });
  return routes;
}
