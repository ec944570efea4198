import type { EdgePlan, HeldPlan } from './shrink-plan';

/** Where a pinched fold begins, of the way from the middle to the edge: how long it is, the hand decides. */
const PINCHED_FROM = 0.75;

/**
 * How far film that is not yet shrunk stands off the glass there, mm: raised cosines over the bases of the
 * folds, rising evenly from their tips to the edge.
 * @source height of a fold grows as the distance from the line: h ~ √S, S ~ v² (model A1, small sags)
 */
export function filmRise(plan: HeldPlan, x: number, y: number): number {
  return riseAt(plan.top, x, y) + riseAt(plan.bottom, x, y);
}

function riseAt({ folds }: EdgePlan, x: number, y: number): number {
  let rise = 0;
  for (const { atEdge, tip } of folds.places) {
    const tipY = tip?.y ?? PINCHED_FROM * atEdge.y;
    const share = (y - tipY) / (atEdge.y - tipY);
    const crestX = (tip?.x ?? atEdge.x) + (atEdge.x - (tip?.x ?? atEdge.x)) * Math.max(0, share);
    const off = Math.abs(x - crestX) / folds.base_mm;
    if (share > 0 && off < 0.5)
      rise += folds.height_mm * Math.min(1, share) * (0.5 + 0.5 * Math.cos(2 * Math.PI * off));
  }
  return rise;
}
