import { planOrderSteps } from '@yellow-pane/core/cutting';
import { layOutGuillotineSteps, layOutSkylineSteps } from '@yellow-pane/core/packing';
import { planDaySteps, sampleProblem } from '@yellow-pane/core/scheduling';
import { job, mixed, panes, pinwheels, turning, zeroWaste } from './cutting-cases';
import { ms } from './figures';
import type { Row } from './run';

const REPEATS = 3;

/**
 * So many rounds of each search with one seed: the same steps on any machine. Two versions side by side must
 * end alike, or say why they do not; the least of a few times is the one to compare.
 */
export function searchesOfFixedRounds(): readonly Row[] {
  const limits = { stages: 3 as const, seed: 1 };
  const guillotine = (rounds: number, request = job(1, 300, 30).request): string =>
    endOf(
      layOutGuillotineSteps(request, { ...limits, mostRounds: rounds }),
      ({ length_mm }) => length_mm.value,
    );
  const skyline = (rounds: number, request = job(1, 300, 30).request): string =>
    endOf(layOutSkylineSteps(request, { ...limits, mostRounds: rounds }), ({ length_mm }) => length_mm.value);
  const people = { steps: 120, days: 3, people: 8 };
  const searches: readonly (readonly [what: string, search: () => string])[] = [
    [
      'by hand, zero waste in 3 stages, 100 pieces, 600 rounds',
      () => guillotine(600, zeroWaste(1, 100).request),
    ],
    ['by hand, job of 300 in 30 sizes, 600 rounds', () => guillotine(600)],
    [
      'by hand, job of 120 in 14 sizes, turning, 600 rounds',
      () => guillotine(600, turning(job(1, 120, 14)).request),
    ],
    [
      'free, zero waste with pinwheels, 100 pieces, 400 rounds',
      () => skyline(400, pinwheels(1, 100).request),
    ],
    ['free, job of 300 in 30 sizes, 100 rounds', () => skyline(100)],
    ['free, panes, 300 in 30 sizes, 100 rounds', () => skyline(100, panes(1, 300, 30).request)],
    [
      'order of 120 over mixed widths, 300 rounds',
      () => endOf(planOrderSteps(mixed(1, 120, 14), { seed: 1, mostRounds: 300 }), ({ film }) => film.value),
    ],
    [
      'days of 120 steps and 8 people, 600 rounds',
      () =>
        endOf(planDaySteps(sampleProblem(1, people), { seed: 1, mostRounds: 600 }), (plan) =>
          plan.state === 'planned' ? plan.workingMinutes : Number.POSITIVE_INFINITY,
        ),
    ],
  ];
  return searches.map(([what, search]) => {
    const times: number[] = [];
    let end = '';
    for (let repeat = 0; repeat < REPEATS; repeat += 1) {
      const start = performance.now();
      end = search();
      times.push(performance.now() - start);
    }
    return { what, wanted: 'shown', got: `${end}, in ${ms(Math.min(...times))}`, isMet: true };
  });
}

function endOf<Plan, End>(steps: Generator<Plan, End>, figureOf: (end: End) => number): string {
  for (;;) {
    const step = steps.next();
    if (step.done === true) return String(Number(figureOf(step.value).toFixed(3)));
  }
}
