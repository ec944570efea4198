import { sampleProblem } from '@yellow-pane/core/scheduling';

/**
 * Writes made scheduling problems as JSON, for the exact solver. Arguments: steps, days, people, first seed,
 * how many.
 */
const [steps = 30, days = 4, people = 3, first = 1, many = 40] = process.argv.slice(2).map(Number);
process.stdout.write(
  JSON.stringify(
    Array.from({ length: many }, (_, index) => ({
      seed: first + index,
      size: { steps, days, people },
      problem: sampleProblem(first + index, { steps, days, people }),
    })),
  ),
);
