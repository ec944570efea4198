import type { CutPlanFile, PlanPiece, PlanRoll } from '@yellow-pane/contracts';
import { columnMarks, lieOf } from '@yellow-pane/core/blanks';
import type { Liner } from '@yellow-pane/core/job';
import { and, asc, eq } from 'drizzle-orm';
import type { Database } from '../../db/database';
import { application, cutPiece, cutPlan, cutRoll, film, job } from '../../db/schema';
import { Refusal } from '../../http/refusal';
import { RULES } from '@yellow-pane/core/rules';

const NM_PER_MM = 1e6;

/** A kept plan as its file, and for each piece the surface it is for. */
export interface PlanRead {
  readonly file: CutPlanFile;
  readonly endWaste_mm: number;
  readonly rolls: readonly {
    readonly id: string;
    readonly roll: PlanRoll;
    readonly surfaceIds: readonly string[];
  }[];
}

/** @throws Refusal ROW_UNKNOWN */
export async function readPlanFile(db: Database, jobId: string, planId: string): Promise<PlanRead> {
  const ofPlan = { plan: cutPlan, film: film.name, job: job.name };
  const [found] = await db
    .select(ofPlan)
    .from(cutPlan)
    .innerJoin(film, eq(film.id, cutPlan.filmId))
    .innerJoin(job, eq(job.id, cutPlan.jobId))
    .where(and(eq(cutPlan.jobId, jobId), eq(cutPlan.id, planId), eq(cutPlan.removed, false)));
  if (found === undefined)
    throw new Refusal('ROW_UNKNOWN', { path: 'planId', expected: 'a cut plan of this job', got: planId });
  const rolls = await db
    .select()
    .from(cutRoll)
    .where(and(eq(cutRoll.planId, planId), eq(cutRoll.removed, false)))
    .orderBy(asc(cutRoll.position));
  const pieces = await db
    .select({ piece: cutPiece, surfaceId: application.surfaceId })
    .from(cutPiece)
    .innerJoin(application, eq(application.id, cutPiece.applicationId))
    .where(and(eq(cutPiece.planId, planId), eq(cutPiece.removed, false)))
    .orderBy(asc(cutPiece.position));
  const read = rolls.map((row) => {
    const own = pieces.filter(({ piece }) => piece.rollId === row.id && piece.spoiledAt === null);
    const roll: PlanRoll = {
      label: row.label,
      what: row.what,
      lot: row.lot,
      width_mm: row.width_nm / NM_PER_MM,
      length_mm: row.length_nm / NM_PER_MM,
      used_mm: row.used_nm / NM_PER_MM,
      pieces: own.map(({ piece }) => planPiece(piece, row, found.plan.liner)),
    };
    return { id: row.id, roll, surfaceIds: own.map(({ surfaceId }) => surfaceId) };
  });
  const { plan } = found;
  return {
    file: {
      format: 'yellow-pane cut plan',
      version: 2,
      job: found.job,
      film: found.film,
      mode: plan.mode,
      liner: plan.liner,
      madeBy: plan.madeBy,
      madeAt: plan.madeAt.toISOString(),
      rolls: read.map(({ roll }) => roll),
    },
    endWaste_mm: plan.endWaste_nm / NM_PER_MM,
    rolls: read,
  };
}

function planPiece(
  piece: typeof cutPiece.$inferSelect,
  roll: typeof cutRoll.$inferSelect,
  liner: Liner,
): PlanPiece {
  const [x_mm, y_mm, across_mm, along_mm] = [piece.x_nm, piece.y_nm, piece.across_nm, piece.along_nm].map(
    (value) => value / NM_PER_MM,
  ) as [number, number, number, number];
  const { top, factoryEdges } = lieOf(
    { x_mm, across_mm, turned: piece.turned, flipped: piece.flipped, outline: piece.outline },
    { width_mm: roll.width_nm / NM_PER_MM, leftEdge: roll.leftEdge, rightEdge: roll.rightEdge },
    piece.topAlong,
    liner,
  );
  const onRoll = (
    points: readonly { readonly x: number; readonly y: number }[],
  ): { readonly x: number; readonly y: number }[] => points.map(({ x, y }) => ({ x: x_mm + x, y: y_mm + y }));
  const marks =
    piece.notch_nm === 0
      ? undefined
      : columnMarks({
          across_mm,
          along_mm,
          outline: piece.outline,
          isQuarterTurned: piece.turned,
          notch_mm: piece.notch_nm / NM_PER_MM,
          strip_mm: RULES.linerStrip.value,
        });
  return {
    tag: piece.tag,
    drop: piece.drop,
    of: piece.dropOf,
    x_mm,
    y_mm,
    across_mm,
    along_mm,
    turned: piece.turned,
    top,
    factoryEdges,
    phase_mm: piece.phase_nm / NM_PER_MM,
    ...(piece.outline === null ? {} : { outline: onRoll(piece.outline) }),
    ...(marks === undefined ? {} : { notches: marks.notches.map(onRoll), slits: marks.slits.map(onRoll) }),
    ...(piece.sector === null ? {} : { sector: piece.sector }),
  };
}
