import { RULES } from '../rules';
import type { PatchDoubt } from './band';
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
  return { quarticAcross: ((RULES.unseenEnds.value / 2) * Math.abs(sagOf(patch))) / patch.halfWidth_mm ** 4 };
}

/** The same once sags a quarter in are taken, read as well as they must be to be worth it. */
export function endsReadWell(patch: CurvedPatch): PatchDoubt {
  return { quarticAcross: ((16 / 3) * RULES.quarterSagRead.value) / patch.halfWidth_mm ** 4 };
}

/** Whether a doubt is of the ends alone. */
export const isOfEnds = (doubt: PatchDoubt): boolean => Object.keys(doubt).join() === 'quarticAcross';
