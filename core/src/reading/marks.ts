import type { Known, MarkLook, RowOf, RuleSet } from '../job';
import {
  type MarkDecision,
  type Pin,
  USUAL_LUMINANCE,
  decideMarks,
  verdictOfMarks,
} from '../judging';
import { outlineBounds } from '../measure';
import { type Verdict, mmFromNm } from '../quantity';
import { type Face, type Spot, cutOut } from '../strokes';
import type { JobView } from './job-view';
import { checkOf } from './surface';

/** A mark of a surface with what is to be done about it. */
export interface JudgedMark {
  readonly mark: RowOf<'mark'>;
  readonly number: number;
  /** On the face; undefined: nobody has said where. */
  readonly at: Spot | undefined;
  /** Undefined: it is gone, or has no place. */
  readonly decision: MarkDecision | undefined;
}

export interface JudgedSurface {
  /** As its own side sees it, mm, x to the right and y upwards. */
  readonly face: Face;
  readonly marks: readonly JudgedMark[];
  readonly verdict: Verdict;
  /** Until then water may dry; null: nothing is laid yet. */
  readonly driesUntil_ms: number | null;
}

/** By custom pockets are gone after so many days (rule set of the trade, from memory). */
export const DRIES_DAYS = 30;
const DAY_MS = 86_400_000;

const MOISTURE: Readonly<Partial<Record<MarkLook, Known>>> = { bubble: 'unknown', 'water pocket': 'yes' };

/** All marks of a surface by a rule set, at a moment; undefined: it is not measured. */
export function marksJudged(
  view: JobView,
  surfaceId: string,
  set: RuleSet,
  now_ms: number,
): JudgedSurface | undefined {
  const check = checkOf(view, surfaceId);
  if (!('figure' in check) || check.figure.outline.length < 3) return undefined;
  const { left, top, height } = outlineBounds(check.figure.outline);
  const face = cutOut(
    check.figure.outline.map(({ x, y }) => ({ x: x - left, y: top + height - y })),
    [],
  );
  const laid_ms = laidAt(view, surfaceId);
  const driesUntil_ms = laid_ms === null ? null : laid_ms + DRIES_DAYS * DAY_MS;
  const placed = view
    .marksOf(surfaceId)
    .map((mark, index) => ({ mark, number: index + 1, at: placeOf(mark, height) }));
  const pins = placed.flatMap(({ mark, at }) =>
    mark.goneAt === null && at !== undefined ? [pinOf(mark, at)] : [],
  );
  const mayDry = driesUntil_ms === null || now_ms < driesUntil_ms;
  const decisions = decideMarks({ face, pins, set, mayDry, luminance: USUAL_LUMINANCE });
  const byId = new Map(decisions.map((own) => [own.id, own]));
  return {
    face,
    marks: placed.map((own) => ({ ...own, decision: byId.get(own.mark.id) })),
    verdict: verdictOfMarks(decisions),
    driesUntil_ms,
  };
}

/** Rows count down from the upper left corner. */
const placeOf = ({ x_nm, y_nm }: RowOf<'mark'>, height: number): Spot | undefined =>
  x_nm === null || y_nm === null ? undefined : { x: mmFromNm(x_nm), y: height - mmFromNm(y_nm) };

const pinOf = ({ id, look, size_nm, length_nm }: RowOf<'mark'>, { x, y }: Spot): Pin => ({
  ...{ id, look, x, y },
  size_mm: size_nm === null ? null : mmFromNm(size_nm),
  length_mm: length_nm === null ? null : mmFromNm(length_nm),
  isMoisture: MOISTURE[look] ?? 'no',
  isNewInGlass: look === 'scratch' ? 'unknown' : look === 'glass scratch' ? 'yes' : 'no',
});

/** When the last step of any film of it was done; null: none yet. */
function laidAt(view: JobView, surfaceId: string): number | null {
  const done = view
    .applicationsOf(surfaceId)
    .flatMap(({ id }) => view.workOf(id))
    .flatMap(({ doneAt }) => (doneAt === null ? [] : [Date.parse(doneAt)]));
  return done.length === 0 ? null : Math.max(...done);
}
