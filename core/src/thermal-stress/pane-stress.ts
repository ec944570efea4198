import type { Step } from '../quantity';
import { type Allowable, allowableOf, edgeLengthFactor } from './allowable';
import type { DayStress, StressMoment } from './day-stress';
import type { GlassSituation } from './glass-situation';
import { edgeStressSteps } from './stress';
import type { EdgeLoad, StressReason } from './stress-said';

export interface PaneStress {
  readonly pane: number;
  readonly moment: StressMoment;
  readonly unfilmed_MPa: number;
  readonly allowable: Allowable | undefined;
  readonly outcome: 'low' | 'check' | 'high' | 'cannot say';
  readonly why: readonly Step[];
}

/** The tension of one pane at its worst hour against what its edge bears. */
export function paneStress(
  { bare, treatments, edgeFinish, edge_m }: GlassSituation,
  moment: DayStress['worst'][number],
  unfilmed: DayStress,
): PaneStress {
  const plain = allowableOf(
    treatments[moment.pane] ?? 'unknown',
    bare.panes[moment.pane]?.thickness_mm ?? 0,
    edgeFinish,
  );
  const factor = edgeLengthFactor(edge_m ?? 0);
  const allowable =
    plain === undefined
      ? undefined
      : { ...plain, low_MPa: plain.low_MPa * factor, high_MPa: plain.high_MPa * factor };
  const outcome =
    allowable === undefined
      ? 'cannot say'
      : moment.stress_MPa <= allowable.low_MPa
        ? 'low'
        : moment.stress_MPa <= allowable.high_MPa
          ? 'check'
          : 'high';
  return {
    pane: moment.pane,
    moment,
    unfilmed_MPa: unfilmed.worst.find(({ pane }) => pane === moment.pane)?.stress_MPa ?? 0,
    allowable,
    outcome,
    why: edgeStressSteps(moment.stressCase, allowable?.low_MPa),
  };
}

/** The load of one of so many panes, with its margin: what it will bear, and what it bears. */
export function edgeLoadOf({ pane, moment, unfilmed_MPa, allowable }: PaneStress, panes: number): EdgeLoad {
  const { day, hour, stress_MPa } = moment;
  const bears = allowable === undefined ? null : { low_MPa: allowable.low_MPa, high_MPa: allowable.high_MPa };
  return { pane, panes, day, hour, stress_MPa, unfilmed_MPa, bears };
}

/** Tells the pane that fails as it is from one that the film makes fail. */
export function loadReason(worst: PaneStress, panes: number): StressReason {
  const load = edgeLoadOf(worst, panes);
  const { bears, unfilmed_MPa } = load;
  if (bears === null || worst.outcome !== 'high') return { case: 'edge load', load };
  return { case: unfilmed_MPa > bears.high_MPa ? 'fails without film' : 'film makes it fail', load };
}

/** Share used of what the edge bears at the careful end; without a number it comes first. */
export function shareUsed({ moment, allowable }: PaneStress): number {
  return allowable === undefined ? Number.POSITIVE_INFINITY : moment.stress_MPa / allowable.low_MPa;
}
