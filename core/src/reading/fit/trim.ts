import type { RowOf } from '../../job';
import { outlineOfCheck, viewOutline, outlineBounds } from '../../measure';
import { RULES } from '../../rules';
import { type EdgeName, type TrimPlan, trimPlan } from '../../trimming';
import { blankOf } from '../cut/blank';
import type { JobView } from '../view/job-view';
import { checkOf } from '../survey/surface';
import { schoolsOf } from './work';

/** What is trimmed of a film on its surface, as whoever trims sees it; undefined: it is not measured. */
export function trimOf(
  view: JobView,
  application: RowOf<'application'>,
  step?: string,
): TrimPlan | undefined {
  const outline = outlineOfCheck(checkOf(view, application.surfaceId));
  const surface = view.surfaceById.get(application.surfaceId);
  const today = blankOf(view, application);
  if (outline === undefined || surface === undefined || today.kind === 'none') return undefined;
  const seen = viewOutline(outline, surface.seenFrom, application.side);
  const { top, height, left } = outlineBounds(seen);
  const { over, factoryEdge } = today.blanks.whole;
  const isTurned = surface.seenFrom !== application.side;
  const all: Readonly<Record<EdgeName, number>> = {
    top: over.top_mm,
    right: isTurned ? over.left_mm : over.right_mm,
    bottom: over.bottom_mm,
    left: isTurned ? over.right_mm : over.left_mm,
  };
  const from = schoolsOf(view, application).find(({ key }) => key === 'trimFrom')?.value;
  return trimPlan({
    outline: seen.map(({ x, y }) => ({ x: x - left, y: top + height - y })),
    method: application.method,
    over: all,
    only: EDGES_OF_STEP[step ?? ''],
    factoryEdge,
    from: from === 'the middle to the corners' ? from : 'a top corner down',
    reach_mm: view.learned('trim-reach'),
    point_mm: view.learned('trim-point'),
    gap_mm: { least: RULES.edgeGap.value, most: RULES.edgeGap.most },
  });
}

/** Film that was hung dry is trimmed twice, at its sides and at its bottom. */
const EDGES_OF_STEP: Readonly<Record<string, readonly EdgeName[]>> = {
  'trim-sides': ['left', 'right'],
  'trim-bottom': ['bottom'],
};
