import { CoreError } from '../quantity';
import { RULES } from '../rules';
import { fibreAt, wayAt } from './fibres';
import { type EdgeFolds, type FoldLimits, foldsAlong } from './fold-places';
import type { CurvedPatch } from './patch';
import { type EdgeSurplus, type PaneEnds, type Surplus, balancedLine, surplusOf } from './surplus-map';

/** Along the top edge and down both sides, all surplus below; or on a line across, above and below. */
export type Hold = 'along the top' | 'a line across';

/** How hard it is for this film, by the shrink in its worst fold. */
export type ShrinkVerdict = 'easy' | 'hard' | 'over the limit' | 'must stretch';

/** What this film bears, shares. */
export interface ShrinkLimits {
  readonly easy: number;
  readonly hard: number;
  readonly limit: number;
  /** Whether they are of this film, or ours. */
  readonly from: 'sheet' | 'strip test' | 'our guess';
}

/** Taken where nothing is known of the film. */
export const USUAL_SHRINK_LIMITS: ShrinkLimits = {
  easy: RULES.shrinkEasy.value,
  hard: RULES.shrinkHard.value,
  limit: RULES.shrinkLimit.value,
  from: 'our guess',
};

/** One edge of a pane that is held so. */
export interface EdgePlan extends Omit<EdgeSurplus, 'fibres'> {
  readonly folds: EdgeFolds;
}

/** What holding it so asks for. */
export interface HeldPlan {
  readonly hold: Hold;
  /** Height of the line in the middle of the glass, mm upwards from it. */
  readonly at_mm: number;
  /** From the top edge down to the line: to tape at the left, in the middle and at the right, mm. */
  readonly fromTop_mm: { readonly left: number; readonly middle: number; readonly right: number };
  /** How far the line departs from level at either side, mm; above nothing: it lies lower there. */
  readonly departs_mm: { readonly left: number; readonly right: number };
  readonly top: EdgePlan;
  readonly bottom: EdgePlan;
  /** Shrink in the worst fold; below nothing: the film must stretch there. */
  readonly worst: number;
  readonly verdict: ShrinkVerdict;
  /** Pieces, one above the other, of which none would ask for more than the film bears. */
  readonly pieces: number;
  /** The same with the roll turned by a quarter: what is left over stands at the sides. */
  readonly turned: { readonly surplus_mm: number; readonly worst: number; readonly verdict: ShrinkVerdict };
}

export interface ShrinkCase {
  readonly patch: CurvedPatch;
  /** Where its upper and lower edge end; left out: it is as wide as the patch everywhere. */
  readonly ends?: PaneEnds | undefined;
  readonly limits: ShrinkLimits;
  readonly folds: FoldLimits;
  /** Height at which a person wants the line; null: where both edges are left with as much. */
  readonly lineAt_mm: number | null;
}

/**
 * What both ways of holding a curved pane ask of the film, side by side.
 * @throws CoreError CURVED_RANGE when the line lies off the pane, or limits and folds are not above nothing
 * @source model A1: Jacobi along geodesics of the patch from tape; folds by the exact fold relation
 */
export function shrinkPlan(own: ShrinkCase): Readonly<Record<Hold, HeldPlan>> {
  refuse(own);
  const { patch, ends, lineAt_mm } = own;
  return {
    'along the top': heldPlan('along the top', surplusOf(patch, patch.halfHeight_mm, ends), own),
    'a line across': heldPlan(
      'a line across',
      surplusOf(patch, lineAt_mm ?? balancedLine(patch, ends) ?? 0, ends),
      own,
    ),
  };
}

function refuse({ patch, limits, folds, lineAt_mm }: ShrinkCase): void {
  const { halfHeight_mm } = patch;
  if (lineAt_mm !== null && Math.abs(lineAt_mm) > halfHeight_mm)
    throw new CoreError('CURVED_RANGE', {
      path: 'lineAt_mm',
      expected: `within the pane, ${-halfHeight_mm} to ${halfHeight_mm} mm`,
      got: String(lineAt_mm),
    });
  for (const [path, value] of Object.entries({
    'limits.limit': limits.limit,
    'folds.most_mm': folds.most_mm,
    'folds.free': folds.free,
  }))
    if (!(value > 0)) throw new CoreError('CURVED_RANGE', { path, expected: 'over 0', got: String(value) });
  if (
    folds.count != null &&
    !(Number.isInteger(folds.count) && folds.count >= 1 && folds.count <= MOST_FOLDS)
  )
    throw new CoreError('CURVED_RANGE', {
      path: 'folds.count',
      expected: `a whole number from 1 to ${MOST_FOLDS}`,
      got: String(folds.count),
    });
}

const MOST_FOLDS = 60;

function heldPlan(hold: Hold, surplus: Surplus, { patch, limits, folds }: ShrinkCase): HeldPlan {
  const { halfHeight_mm: h } = patch;
  const { line } = surplus;
  const edge = ({ fibres: _fibres, ...own }: EdgeSurplus, at_mm: number): EdgePlan => ({
    ...own,
    folds: foldsAlong(surplus, { ...own, fibres: _fibres }, at_mm, folds),
  });
  const [top, bottom] = [edge(surplus.top, h), edge(surplus.bottom, -h)];
  const [left, right] = [heightAt(surplus, -1), heightAt(surplus, 1)];
  const least = Math.min(top.strainLeast, bottom.strainLeast);
  const worst =
    least < -RULES.stretchByHand.value ? least : Math.max(top.folds.localStrain, bottom.folds.localStrain);
  return {
    hold,
    at_mm: line.at_mm,
    fromTop_mm: { left: h - left, middle: h - line.at_mm, right: h - right },
    departs_mm: { left: line.at_mm - left, right: line.at_mm - right },
    top,
    bottom,
    worst,
    verdict: verdictOf(worst, limits),
    pieces: piecesFor(surplus, limits.limit, folds.free),
    turned: turnedBy(worst, Math.max(top.surplus_mm, bottom.surplus_mm), { patch, limits, folds }),
  };
}

/**
 * The price of a roll that lies turned: the same curvature gathers over the height instead of the width.
 * @source strain × (W/H)², surplus × W/H for small sags (model A1)
 */
function turnedBy(
  worst: number,
  surplus_mm: number,
  { patch: { halfWidth_mm, halfHeight_mm }, limits, folds }: Omit<ShrinkCase, 'lineAt_mm'>,
): HeldPlan['turned'] {
  const times = halfWidth_mm / halfHeight_mm;
  const own = worst < 0 ? 0 : surplus_mm * times;
  const turned = worst < 0 ? worst * times * times : own / (folds.free * 2 * halfHeight_mm + own);
  return { surplus_mm: own, worst: turned, verdict: verdictOf(turned, limits) };
}

/**
 * How far a piece may reach from its own line, by the fibre from the middle of this one, and how many of them
 * the height takes. The edge bears more than its folds: only their bases take it up.
 * @source model A1: reach is where 1 − G is what the film bears
 */
function piecesFor({ line, top, bottom }: Surplus, limit: number, free: number): number {
  const bears = (free * limit) / (1 - limit);
  const { halfHeight_mm } = line.patch;
  const reaches = [top, bottom].map(({ strainMiddle }, index) => {
    if (strainMiddle <= bears) return Infinity;
    const { along, length_mm } = fibreAt(line, 0, index === 0 ? halfHeight_mm : -halfHeight_mm);
    const first = along.findIndex(({ strain }) => strain >= bears);
    return (length_mm * Math.max(1, first)) / (along.length - 1);
  });
  return Math.ceil(halfHeight_mm / Math.min(...reaches, halfHeight_mm));
}

/** Height of the line where it meets a side of the glass. */
function heightAt({ line }: Surplus, side: 1 | -1): number {
  const { halfWidth_mm } = line.patch;
  let [low, high] = [0, line.step_mm * (line.right.length - 1)];
  for (let round = 0; round < 40; round += 1) {
    const middle = (low + high) / 2;
    if (Math.abs(wayAt(line, side * middle).x) < halfWidth_mm) low = middle;
    else high = middle;
  }
  return wayAt(line, side * low).y;
}

function verdictOf(worst: number, { easy, limit }: ShrinkLimits): ShrinkVerdict {
  if (worst < 0) return 'must stretch';
  if (worst <= easy) return 'easy';
  return worst <= limit ? 'hard' : 'over the limit';
}
