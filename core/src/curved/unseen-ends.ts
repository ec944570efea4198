import { RULES } from '../rules';
import type { Band, PatchDoubt } from './band';
import { type CurvedPatch, patchAt } from './patch';

/** Sag of the line across the middle, mm. */
const sagOf = (patch: CurvedPatch): number =>
  patchAt(patch, 0, 0).z -
  (patchAt(patch, patch.halfWidth_mm, 0).z + patchAt(patch, -patch.halfWidth_mm, 0).z) / 2;

/**
 * How the lines across may curve near their ends while no sag a quarter in is taken: c₄ so that the sag that
 * counts is off by half the share of the rule, one standard deviation.
 * @source effective sag (16 q − 9 m) ÷ 3 and c₄ = (q − q_arc) · 16 ÷ (3 a⁴) (model A1, closed form)
 */
export function unseenEnds(patch: CurvedPatch): PatchDoubt {
  return { endsAcross: ((RULES.unseenEnds.value / 2) * Math.abs(sagOf(patch))) / patch.halfWidth_mm ** 4 };
}

/** How much narrower a band would be with sags a quarter in, read as well as they must be: a share of it. */
export function withQuarterSags({ low, high }: Band, surplus_mm: number, patch: CurvedPatch): number {
  const half = (high - low) / 2;
  const unseen = RULES.unseenEnds.value * Math.abs(surplus_mm);
  const read =
    2 *
    (((16 / 3) * RULES.quarterSagRead.value) / Math.max(1e-9, Math.abs(sagOf(patch)))) *
    Math.abs(surplus_mm);
  const would = Math.sqrt(Math.max(0, half * half - unseen * unseen) + read * read);
  return half === 0 ? 1 : would / half;
}
