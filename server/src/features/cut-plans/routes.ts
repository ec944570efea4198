import { cutListCsv, rollSvg } from '@yellow-pane/contracts';
import { and, asc, eq } from 'drizzle-orm';
import { type Request, Router } from 'express';
import type { Database } from '../../db/database';
import { cutPiece, cutPlan, film } from '../../db/schema';
import { idParam } from '../../http/id-param';
import { Refusal } from '../../http/refusal';

const NM_PER_MM = 1e6;

/** A kept cut plan as files: the list for the table, the drawing to scale. */
export function cutPlanRoutes({ db }: { readonly db: Database }): Router {
  const routes = Router();

  routes.get('/api/jobs/:jobId/cut-plans/:planId/list', async (request, response) => {
    const { pieces } = await readPlan(request);
    response.type('text/csv').attachment('cut-list.csv').send(cutListCsv(pieces.map((piece, index) => ({
      order: index + 1, strip: piece.level + 1, tag: piece.tag, fromEdge_mm: piece.x_nm / NM_PER_MM, fromEnd_mm: piece.y_nm / NM_PER_MM, across_mm: piece.across_nm / NM_PER_MM, along_mm: piece.along_nm / NM_PER_MM, turned: piece.turned,
    }))));
  });

  routes.get('/api/jobs/:jobId/cut-plans/:planId/drawing', async (request, response) => {
    const { plan, filmName, pieces } = await readPlan(request);
    response.type('image/svg+xml').attachment('roll.svg').send(rollSvg({
      title: filmName,
      rollWidth_mm: plan.rollWidth_nm / NM_PER_MM,
      length_mm: plan.lengthUsed_nm / NM_PER_MM,
      pieces: pieces.map((piece) => ({ tag: piece.tag, x_mm: piece.x_nm / NM_PER_MM, y_mm: piece.y_nm / NM_PER_MM, across_mm: piece.across_nm / NM_PER_MM, along_mm: piece.along_nm / NM_PER_MM })),
    }));
  });

  async function readPlan(request: Request) {
    const planId = idParam(request, 'planId');
    const [found] = await db.select({ plan: cutPlan, filmName: film.name }).from(cutPlan).innerJoin(film, eq(film.id, cutPlan.filmId)).where(and(eq(cutPlan.jobId, idParam(request, 'jobId')), eq(cutPlan.id, planId), eq(cutPlan.removed, false)));
    if (found === undefined) throw new Refusal('ROW_UNKNOWN', { path: 'planId', expected: 'a cut plan of this job', got: planId });
    const pieces = await db.select().from(cutPiece).where(and(eq(cutPiece.planId, planId), eq(cutPiece.removed, false))).orderBy(asc(cutPiece.position));
    return { ...found, pieces };
  }

  return routes;
}
