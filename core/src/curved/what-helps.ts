import type { EdgePlan, HeldPlan, Hold, ShrinkCase } from './shrink-plan';

/** What would make a pane easier for film, or possible at all. */
export type Help =
  | { readonly case: 'other hold'; readonly hold: Hold; readonly worst: number }
  /** Less of the edge pressed down between the folds. */
  | { readonly case: 'wider bases'; readonly free: number }
  | { readonly case: 'relief cut'; readonly edge: 'top' | 'bottom'; readonly width_mm: number }
  | { readonly case: 'pieces'; readonly count: number }
  | { readonly case: 'other film'; readonly limit: number }
  /** Only by a person's own choice. */
  | { readonly case: 'roll turned'; readonly worst: number }
  | { readonly case: 'other person' };

const MOST_FREE = 0.9;

/** What would help one way of holding a pane; nothing where it is easy as it is. */
export function whatHelps(
  plans: Readonly<Record<Hold, HeldPlan>>,
  hold: Hold,
  { limits, folds }: Pick<ShrinkCase, 'limits' | 'folds'>,
): readonly Help[] {
  const own = plans[hold];
  if (own.verdict === 'easy') return [];
  const other = plans[hold === 'along the top' ? 'a line across' : 'along the top'];
  const isWorseBy = (plan: Pick<HeldPlan, 'worst'>): number => (plan.worst < 0 ? 1 - plan.worst : plan.worst);
  const helps: Help[] = [];
  if (isWorseBy(other) < isWorseBy(own))
    helps.push({ case: 'other hold', hold: other.hold, worst: other.worst });
  if (own.verdict === 'over the limit') helps.push(...overTheLimit(own, limits.limit, folds.free));
  if (own.turned.worst >= 0 && isWorseBy(own.turned) < isWorseBy(own))
    helps.push({ case: 'roll turned', worst: own.turned.worst });
  if (own.verdict === 'hard') helps.push({ case: 'other person' });
  return helps;
}

function overTheLimit(own: HeldPlan, limit: number, free: number): readonly Help[] {
  const edges = (['top', 'bottom'] as const)
    .map((edge) => ({ edge, plan: own[edge] }))
    .filter(({ plan }) => plan.folds.localStrain > limit);
  const needed = Math.max(...edges.map(({ plan }) => freeFor(plan, limit)));
  return [
    ...(needed > free && needed <= MOST_FREE ? [{ case: 'wider bases' as const, free: needed }] : []),
    ...edges.map(({ edge, plan }) => ({
      case: 'relief cut' as const,
      edge,
      width_mm: plan.surplus_mm - (free * widthOf(plan) * limit) / (1 - limit),
    })),
    ...(own.pieces > 1 ? [{ case: 'pieces' as const, count: own.pieces }] : []),
    { case: 'other film' as const, limit: own.worst },
  ];
}

const widthOf = ({ from_mm, to_mm }: EdgePlan): number => to_mm - from_mm;

/**
 * Share of the edge that must stay free so that no fold is over the limit.
 * @source model A1: β ≥ (S/W)(1/e − 1)
 */
const freeFor = (plan: EdgePlan, limit: number): number =>
  (plan.surplus_mm / widthOf(plan)) * (1 / limit - 1);
