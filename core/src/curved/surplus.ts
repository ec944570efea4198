import { type CurvedPatch, patchAt, gaussianCurvature } from './patch';

/**
 * Film left over along the upper and lower edge when a film that does not give is laid on along the level
 * line across the middle, mm. Negative: the film would have to stretch there. First estimate for the survey;
 * the shrink plan calculates with the glass's own straight line.
 * @source Gauss–Bonnet: the edge's surplus grows with the curvature gathered between anchor and edge (closed
 * form; small departures of the level line neglected)
 */
export function surplusAtEdges(patch: CurvedPatch): { readonly top_mm: number; readonly bottom_mm: number } {
  return { top_mm: surplusTowards(patch, 1), bottom_mm: surplusTowards(patch, -1) };
}

const STEPS_ACROSS = 16;
const STEPS_DOWN = 16;
const simpson = (index: number, steps: number): number =>
  index === 0 || index === steps ? 1 : index % 2 === 1 ? 4 : 2;

function surplusTowards(patch: CurvedPatch, way: 1 | -1): number {
  const { halfWidth_mm: a, halfHeight_mm: h } = patch;
  const dy = h / STEPS_DOWN;
  const turningAt = (y: number): number => {
    let sum = 0;
    for (let i = 0; i <= STEPS_ACROSS; i += 1)
      sum += simpson(i, STEPS_ACROSS) * gaussianCurvature(patchAt(patch, -a + (2 * a * i) / STEPS_ACROSS, y));
    return (sum * 2 * a) / STEPS_ACROSS / 3;
  };
  let surplus = 0;
  let turned = 0;
  let before = turningAt(0);
  let turnedBefore = 0;
  for (let j = 1; j <= STEPS_DOWN; j += 1) {
    const y = way * dy * j;
    const halfway = turningAt(y - (way * dy) / 2);
    const here = turningAt(y);
    turned += (dy / 6) * (before + 4 * halfway + here);
    const turnedHalfway = turnedBefore + (dy / 24) * (5 * before + 8 * halfway - here);
    const pace = Math.hypot(1, patchAt(patch, 0, y - (way * dy) / 2).y);
    surplus += (dy / 6) * (turnedBefore + 4 * turnedHalfway + turned) * pace;
    before = here;
    turnedBefore = turned;
  }
  return surplus;
}
