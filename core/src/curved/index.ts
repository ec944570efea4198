export {
  type OnRing,
  capOfSphere,
  closureOf,
  evenLine,
  strainOnRing,
  strainOnSphere,
  surplusOnSphere,
  turnedOnSphere,
  turningSag,
} from './closed-forms';
export { type Fibre, type FilmLine, type Way, fibreAt, filmLine, wayAt } from './fibres';
export { type Folds, ellipticE, foldHeight, foldsFor, slopeOfFold, slopeQuick } from './fold';
export { type Hardness, HARDNESS_LIMITS, hardnessOf } from './hardness';
export {
  type FlatCone,
  boxCorner,
  feedFor,
  flatCone,
  strainInDish,
  strainInHollow,
  strainInSquare,
  strainInV,
  strainOnCorner,
  strainRoundEdge,
} from './other-places';
export { type CurvedPatch, type PatchSlopes, curvatureOf, patchAt, turningDensity } from './patch';
export { type Band, type PatchDoubt, type SurplusBand, surplusBand } from './band';
export { type Place, onFlatFilm, withPlacesBetween } from './film-outline';
export { type EdgeFigures, PLAN_FORMULAS, edgeFigures } from './plan-figures';
export { type StrainLattice, strainLattice } from './strain-lattice';
export { filmRise } from './film-rise';
export { PLACE_FORMULAS } from './place-figures';
export { type FoldInTurn, type OrderReason, heatOrder } from './heat-order';
export { type Help, whatHelps } from './what-helps';
export { endsReadWell, isOfEnds, unseenEnds } from './unseen-ends';
export { surplusAtEdges } from './surplus';
export { type EdgeFolds, type FoldLimits, type FoldPlace, foldsAlong } from './fold-places';
export {
  type EdgePlan,
  type HeldPlan,
  type Hold,
  type ShrinkCase,
  type ShrinkLimits,
  type ShrinkVerdict,
  USUAL_SHRINK_LIMITS,
  shrinkPlan,
} from './shrink-plan';
export {
  type EdgeSurplus,
  type PaneEnds,
  type Surplus,
  balancedLine,
  surplusOf,
  surplusOn,
} from './surplus-map';
