import {
  balancedLine,
  curvatureOf,
  shrinkPlan,
  strainLattice,
  surplusBand,
  filmLine,
  USUAL_SHRINK_LIMITS,
} from '@yellow-pane/core/curved';
import { median, ms } from './figures';
import type { Row } from './run';

/** An end window of a vehicle, and how its sags may be off by a millimetre each. */
const PATCH = {
  ...{ halfWidth_mm: 620.5, halfHeight_mm: 379.5 },
  acrossBottom: curvatureOf(1241, 46),
  acrossMiddle: curvatureOf(1241, 42),
  acrossTop: curvatureOf(1241, 40),
  down: curvatureOf(759, 26),
  ...{ twist: 0, skew: 0, cubicDown: 0, quarticAcross: 0 },
};
const OFF_ACROSS = curvatureOf(1241, 1);
const DOUBTS = [
  { acrossTop: OFF_ACROSS },
  { acrossMiddle: OFF_ACROSS },
  { acrossBottom: OFF_ACROSS },
  { down: curvatureOf(759, 1) },
];
const FOLDS = { most_mm: 12, free: 0.6, liesDownBy: 0.003 };
const RUNS = 40;
const PLAN_WITH_BAND_MS = 50;
const DRAG_MS = 8;

/** A shrink plan with its band as a worker calculates it, and what follows the line while it is dragged. */
export function curvedRows(): readonly Row[] {
  const plan = (lineAt_mm: number | null) =>
    shrinkPlan({ patch: PATCH, limits: USUAL_SHRINK_LIMITS, folds: FOLDS, lineAt_mm });
  const at_mm = balancedLine(PATCH) ?? 0;
  const withBand = median(
    timesOf(RUNS, () => {
      plan(null);
      surplusBand(PATCH, DOUBTS, at_mm);
    }),
  );
  let line_mm = 0;
  const dragged = median(
    timesOf(RUNS, () => {
      line_mm -= 1;
      plan(line_mm);
      strainLattice(filmLine(PATCH, line_mm));
    }),
  );
  return [
    row('shrink plan with its band', PLAN_WITH_BAND_MS, withBand),
    row('shrink plan and drawing lattice while the line is dragged', DRAG_MS, dragged),
  ];
}

function timesOf(runs: number, work: () => void): readonly number[] {
  return Array.from({ length: runs }, () => {
    const from = performance.now();
    work();
    return performance.now() - from;
  });
}

const row = (what: string, most_ms: number, got_ms: number): Row => ({
  what,
  wanted: `at most ${most_ms} ms`,
  got: ms(got_ms),
  isMet: got_ms <= most_ms,
});
