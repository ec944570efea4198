import { flatRows } from './flat-rows';
import type { Network } from './network';

/** Ties of all steps in flat rows: those of step s are from[s] to from[s + 1]. */
export interface LagRows {
  readonly from: Int32Array;
  readonly other: Int32Array;
  readonly least: Int32Array;
  /** 0 where it may last as long as one likes: keep such ties in rows of their own. */
  readonly most: Int32Array;
}

export function lagRows(before: Network['before']): LagRows {
  const all = before.flat();
  return {
    from: flatRows(before.map((lagArcs) => new Int32Array(lagArcs.length))).from,
    other: Int32Array.from(all, ({ other }) => other),
    least: Int32Array.from(all, ({ least }) => least),
    most: Int32Array.from(all, ({ most }) => (Number.isFinite(most) ? most : 0)),
  };
}
