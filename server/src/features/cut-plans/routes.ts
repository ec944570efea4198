import { displayUnitsOf } from '@yellow-pane/core/quantity';
import {
  type CutListRow,
  cutListCsv,
  cutPlanDxf,
  cutPlanJson,
  cutPlanSvg,
  pieceWord,
  rollHpgl,
} from '@yellow-pane/contracts/cut-files';
import { type Request, type Response, Router } from 'express';
import type { Database } from '../../db/database';
import { baseOf } from '../../http/base-address';
import { idParam } from '../../http/id-param';
import { Refusal } from '../../http/refusal';
import { labelsPdf, readLabelSheet } from '../../paper/labels-pdf';
import { type PlanRead, readPlanFile } from './plan-file';
import { cutSheetPdf } from '../../paper/cut-sheet-pdf';
import { readPaper } from '../../paper/paper';

/** A kept cut plan as files: list, drawing, plotter job, sheet for the table, labels. */
export function cutPlanRoutes({ db }: { readonly db: Database }): Router {
  const routes = Router();
  const at = (end: string): string => `/api/jobs/:jobId/cut-plans/:planId/${end}`;
  const read = (request: Request): Promise<PlanRead> =>
    readPlanFile(db, idParam(request, 'jobId'), idParam(request, 'planId'));
  const send = (response: Response, name: string, type: string, body: string | Buffer): void => {
    response.type(type).attachment(name).send(body);
  };

  routes.get(at('list'), async (request, response) => {
    const { rolls } = await read(request);
    send(response, 'cut-list.csv', 'text/csv', cutListCsv(listOf(rolls)));
  });
  routes.get(at('drawing'), async (request, response) => {
    send(response, 'cut-plan.svg', 'image/svg+xml', cutPlanSvg((await read(request)).file));
  });
  routes.get(at('dxf'), async (request, response) => {
    send(response, 'cut-plan.dxf', 'image/vnd.dxf', cutPlanDxf((await read(request)).file));
  });
  routes.get(at('file'), async (request, response) => {
    send(response, 'cut-plan.json', 'application/json', cutPlanJson((await read(request)).file));
  });
  routes.get(at('hpgl/:rollId'), async (request, response) => {
    const rollId = idParam(request, 'rollId');
    const own = (await read(request)).rolls.find(({ id }) => id === rollId);
    if (own === undefined)
      throw new Refusal('ROW_UNKNOWN', { path: 'rollId', expected: 'a roll of this plan', got: rollId });
    send(
      response,
      `${own.roll.label || 'roll'}.plt`.replace(/[^\w.-]/g, '-'),
      'application/vnd.hp-hpgl',
      rollHpgl(own.roll),
    );
  });
  routes.get(at('sheet'), async (request, response) => {
    const units = displayUnitsOf(request.query['units']);
    send(
      response,
      'cut-sheet.pdf',
      'application/pdf',
      await cutSheetPdf(await read(request), { paper: readPaper(request.query['paper']), units }),
    );
  });
  routes.get(at('labels'), async (request, response) => {
    const base = baseOf(request);
    send(
      response,
      'labels.pdf',
      'application/pdf',
      await labelsPdf(await read(request), {
        sheet: readLabelSheet(request.query['sheet']),
        addressOf: (surfaceId) => `${base}/jobs/${idParam(request, 'jobId')}/fit/${surfaceId}`,
        units: displayUnitsOf(request.query['units']),
      }),
    );
  });
  return routes;
}

/** The pieces in the order they are cut, each with the strip of its roll it lies in. */
function listOf(rolls: PlanRead['rolls']): readonly CutListRow[] {
  return rolls
    .flatMap(({ roll }) => {
      const ends = [...new Set(roll.pieces.map(({ y_mm }) => y_mm))].sort((a, b) => a - b);
      return roll.pieces.map((piece) => ({
        roll: roll.label || roll.what,
        strip: ends.indexOf(piece.y_mm) + 1,
        tag: pieceWord(piece),
        fromEdge_mm: piece.x_mm,
        fromEnd_mm: piece.y_mm,
        across_mm: piece.across_mm,
        along_mm: piece.along_mm,
        turned: piece.turned,
        phase_mm: piece.phase_mm,
        factoryEdges: piece.factoryEdges,
      }));
    })
    .map((line, index) => ({ order: index + 1, ...line }));
}
