import { type CutOrder, type CutOrderPlan, isBetterPlan, planOrderSteps } from '@yellow-pane/core/cutting';
import {
  type LayoutPlan,
  type LayoutRequest,
  type Stages,
  layOutGuillotineSteps,
  layOutSkylineSteps,
} from '@yellow-pane/core/packing';
import type { JobAnswers } from '@yellow-pane/core/reading';
import {
  type DayPlan,
  type NoPlan,
  type PlanProblem,
  isSooner,
  isSoonest,
  planDaySteps,
} from '@yellow-pane/core/scheduling';

import { type AnswersAsked, answersAt } from '../../jobs/answers';

/** What can be searched for, as data that a thread can be sent. */
export interface Asked {
  readonly strip: {
    readonly mode: 'by hand' | 'by plotter';
    readonly stages: Stages;
    readonly request: LayoutRequest;
  };
  readonly order: CutOrder;
  readonly day: PlanProblem;
  /** No search: it takes long, and others are not to wait for it. */
  readonly answers: AnswersAsked;
}

export interface Found {
  readonly strip: LayoutPlan;
  readonly order: CutOrderPlan;
  readonly day: DayPlan | NoPlan;
  readonly answers: JobAnswers;
}

export type What = keyof Asked;

/** One search of possibly several for the same thing. */
interface Seeded {
  readonly seed: number;
  readonly mostRounds: number;
}

interface Kind<W extends What> {
  readonly steps: (asked: Asked[W], limits: Seeded) => Generator<Found[W], Found[W]>;
  readonly isBetter: (asked: Asked[W], plan: Found[W], than: Found[W]) => boolean;
  /** No search will find a better one. */
  readonly isBest: (plan: Found[W]) => boolean;
}

export const KINDS: { readonly [W in What]: Kind<W> } = {
  strip: {
    steps: ({ mode, stages, request }, limits) =>
      mode === 'by hand'
        ? layOutGuillotineSteps(request, { stages, ...limits })
        : layOutSkylineSteps(request, limits),
    isBetter: (_asked, plan, than) => plan.length_mm.value < than.length_mm.value,
    isBest: ({ stopped }) => stopped === 'optimal',
  },
  order: { steps: planOrderSteps, isBetter: isBetterPlan, isBest: ({ stopped }) => stopped === 'optimal' },
  day: { steps: planDaySteps, isBetter: (_asked, plan, than) => isSooner(plan, than), isBest: isSoonest },
  answers: {
    // eslint-disable-next-line require-yield -- answered in one step
    *steps(asked) {
      return answersAt(asked);
    },
    isBetter: () => false,
    isBest: () => true,
  },
};
