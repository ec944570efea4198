import { seededNormal, valueAt } from '../quantity';
import { filmLine } from './fibres';
import type { CurvedPatch } from './patch';
import { type PaneEnds, surplusOf, surplusOn } from './surplus-map';

/** One way the patch may be off, by one standard deviation: what each of its terms would be more. */
export type PatchDoubt = Readonly<Partial<Record<keyof CurvedPatch, number>>>;

/** Within this lie 95 of 100. */
export interface Band {
  readonly low: number;
  readonly high: number;
}

export interface SurplusBand {
  readonly top_mm: Band;
  readonly bottom_mm: Band;
  /** Most shrink the glass asks for at either edge, share. */
  readonly strain: Band;
}

const DRAWS = 140;
const LINE_STEPS = 24;
const LOW_SHARE = 0.025;

/**
 * How far the surplus may be off when the sags are: panes drawn as the tape may have seen them, the line left
 * where it is. The same seed gives the same band.
 * @param doubts independent ways in which the patch may be off
 * @source Monte Carlo over the stated accuracy of the sags
 */
export function surplusBand(
  patch: CurvedPatch,
  doubts: readonly PatchDoubt[],
  at_mm: number,
  { ends, seed = 1 }: { readonly ends?: PaneEnds | undefined; readonly seed?: number } = {},
): SurplusBand {
  const normal = seededNormal(seed);
  const { top: above, bottom: below } = surplusOf(patch, at_mm, ends);
  const drawn = Array.from({ length: DRAWS }, () => {
    const line = filmLine(shaken(patch, doubts, normal), at_mm, { steps: LINE_STEPS });
    const top = surplusOn(line, patch.halfHeight_mm, ends?.top, above);
    const bottom = surplusOn(line, -patch.halfHeight_mm, ends?.bottom, below);
    return {
      top: top.surplus_mm,
      bottom: bottom.surplus_mm,
      strain: Math.max(top.strainMost, bottom.strainMost),
    };
  });
  return {
    top_mm: bandOf(drawn.map(({ top }) => top)),
    bottom_mm: bandOf(drawn.map(({ bottom }) => bottom)),
    strain: bandOf(drawn.map(({ strain }) => strain)),
  };
}

function shaken(patch: CurvedPatch, doubts: readonly PatchDoubt[], normal: () => number): CurvedPatch {
  const terms: Record<keyof CurvedPatch, number> = { ...patch };
  for (const doubt of doubts) {
    const by = normal();
    for (const [term, sd] of Object.entries(doubt) as [keyof CurvedPatch, number][]) terms[term] += by * sd;
  }
  return terms;
}

function bandOf(values: readonly number[]): Band {
  const sorted = [...values].sort((a, b) => a - b);
  const at = (share: number): number => {
    const place = share * (sorted.length - 1);
    const before = Math.floor(place);
    const [low, high] = [valueAt(sorted, before), valueAt(sorted, Math.min(sorted.length - 1, before + 1))];
    return low + (place - before) * (high - low);
  };
  return { low: at(LOW_SHARE), high: at(1 - LOW_SHARE) };
}
