import { valueAt } from '../quantity';
import { type Fibre, fibreAt } from './fibres';
import { RULES } from '../rules';
import { type Folds, equalFolds, foldsFor } from './fold';
import type { EdgeSurplus, Surplus } from './surplus-map';

/** One fold: where its crest runs, from its tip, where film lies down by itself, to the open edge. */
export interface FoldPlace {
  /** Crest at the edge, and its tip, mm from the middle of the glass. */
  readonly atEdge: { readonly x: number; readonly y: number };
  /** Null: film would lie down without heat there, and the fold is as long as it is pinched. */
  readonly tip: { readonly x: number; readonly y: number } | null;
  readonly length_mm: number | null;
  /** Shrink the glass asks for at the edge there. */
  readonly strain: number;
}

export interface EdgeFolds extends Folds {
  /** Fewer come by themselves: pinched together on purpose. */
  readonly arePinched: boolean;
  readonly places: readonly FoldPlace[];
}

/** What a hand and a film bear. */
export interface FoldLimits {
  /** Height of the highest fold, and share of the edge that stays free for folds. */
  readonly most_mm: number;
  readonly free: number;
  /** Surplus up to which film lies down without heat, share. */
  readonly liesDownBy: number;
  /** As many as a person wants along each edge; left out or null: as many as their height asks for. */
  readonly count?: number | null | undefined;
}

/** The highest fold is a guess: one that is hardly over it is not split. */
const A_LITTLE_OVER = 1.01;

/**
 * Folds along one edge: as many as their height asks for, each with the same share of the surplus; where too
 * few come by themselves, as many as are pinched on purpose.
 */
export function foldsAlong(
  { line }: Surplus,
  edge: EdgeSurplus,
  edge_mm: number,
  { most_mm, free, liesDownBy, count }: FoldLimits,
): EdgeFolds {
  const width_mm = edge.to_mm - edge.from_mm;
  const needed = edge.strainMost > liesDownBy ? edge.surplus_mm : 0;
  const byThemselves = foldsFor(needed, width_mm, A_LITTLE_OVER * most_mm, free);
  const isNothingLeft = edge.surplus_mm < RULES.leastSurplus.value;
  const arePinched = !isNothingLeft && count == null && byThemselves.count < RULES.pinchFolds.value;
  const wanted = isNothingLeft ? 0 : (count ?? (arePinched ? RULES.pinchFolds.value : byThemselves.count));
  const folds = wanted === 0 ? byThemselves : equalFolds(edge.surplus_mm, free * width_mm, wanted);
  return {
    ...folds,
    arePinched,
    places: Array.from({ length: folds.count }, (_, index) =>
      placeOf(fibreAt(line, crestAt(edge, (index + 0.5) / folds.count), edge_mm), liesDownBy),
    ),
  };
}

/** Along the line, where such a share of the edge's surplus has been gathered. */
function crestAt({ fibres, from_mm, to_mm }: EdgeSurplus, share: number): number {
  const at = [from_mm, ...fibres.map(({ u_mm }) => u_mm), to_mm];
  const strains = [fibres[0]?.strain ?? 0, ...fibres.map(({ strain }) => strain), fibres.at(-1)?.strain ?? 0];
  const gathered = [0];
  for (let index = 1; index < at.length; index += 1)
    gathered.push(
      valueAt(gathered, index - 1) +
        ((valueAt(strains, index) + valueAt(strains, index - 1)) / 2) *
          (valueAt(at, index) - valueAt(at, index - 1)),
    );
  const wanted = share * (gathered.at(-1) ?? 0);
  const after = Math.max(
    1,
    gathered.findIndex((sum) => sum >= wanted),
  );
  const [before, here] = [valueAt(gathered, after - 1), valueAt(gathered, after)];
  const part = here === before ? 0 : (wanted - before) / (here - before);
  return valueAt(at, after - 1) + part * (valueAt(at, after) - valueAt(at, after - 1));
}

function placeOf({ along, to, strain, length_mm }: Fibre, liesDownBy: number): FoldPlace {
  const atEdge = { x: to.x, y: to.y };
  const first = along.findIndex((own) => own.strain > liesDownBy);
  const last = along[Math.max(0, first - 1)];
  if (first < 0 || last === undefined) return { atEdge, tip: null, length_mm: null, strain };
  return {
    atEdge,
    tip: { x: last.x, y: last.y },
    length_mm: length_mm * (1 - Math.max(0, first - 1) / Math.max(1, along.length - 1)),
    strain,
  };
}
