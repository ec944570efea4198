import type { DayClock } from '@yellow-pane/contracts/day-clock';
import type { DisplayUnits } from '@yellow-pane/core/quantity';
import { type PlanWords, brokenInWords } from '@yellow-pane/contracts/words';
import { type PlanProblem, type PlannedStep, brokenBy, whyNotEarlier } from '@yellow-pane/core/scheduling';
import { dayWords } from '../../words/day';

const WORTH_SAYING_MIN = 5;

/** A step that lies elsewhere than before, and what holds it there. */
export interface MovedStep {
  readonly word: string;
  readonly says: string;
}

/**
 * Which steps lie elsewhere in a new plan, each with what would be broken where it was; those that the sun or
 * the air moved first, then by their new start.
 */
export function movedSteps(
  problem: PlanProblem,
  before: readonly PlannedStep[],
  after: readonly PlannedStep[],
  words: PlanWords,
): readonly MovedStep[] {
  const was = new Map(before.map((step) => [step.id, step.start]));
  return after
    .flatMap((step): readonly (MovedStep & { readonly at: number })[] => {
      const old = was.get(step.id);
      if (old === undefined || Math.abs(old - step.start) < WORTH_SAYING_MIN) return [];
      const held = brokenBy(problem, after, step.id, old)[0] ?? whyNotEarlier(problem, after, step.id)[0];
      return [
        {
          at: held?.kind === 'not fit' ? -1 : step.start,
          word: `${problem.steps.find(({ id }) => id === step.id)?.word ?? ''}: ${words.clock(old)} → ${words.clock(step.start)}`,
          says: held === undefined ? dayWords.elseMakesRoom : brokenInWords(held, problem, words),
        },
      ];
    })
    .sort((a, b) => a.at - b.at)
    .map(({ word, says }) => ({ word, says }));
}

/** How minutes and figures of a plan are said: by the clock of the place, in the units of the person. */
export const planWords = (clock: DayClock, units: DisplayUnits): PlanWords => ({
  clock: (minute) => clock.clock(minute),
  units,
});
