import { seededRandom } from '../quantity';
import type { Fitness, Lag, Person, PlanProblem, PlanStep, Span } from './problem';

/** How a made problem is tuned. */
interface SampleSize {
  readonly steps: number;
  readonly days: number;
  readonly people: number;
}

const DAY = 1440;

/**
 * A made job of so many steps, the published generator of tests and benches: surfaces on three fronts with
 * sun, chains of five to nine steps with waits, rooms where dust and wet film meet, two heat guns, a crew
 * with skills of which the last works half days. Deterministic for a seed. Days are many enough that a plan
 * exists.
 */
export function sampleProblem(seed: number, { steps: count, days, people: crew }: SampleSize): PlanProblem {
  const random = seededRandom(seed);
  const dice: Dice = {
    random,
    whole: (least, most) => least + Math.floor(random() * (most - least + 1)),
  };
  const people = peopleOf(dice, crew, days);
  const fitness = fitnessOf(dice, days);
  const steps: PlanStep[] = [];
  const lags: Lag[] = [];
  for (let surface = 0; steps.length < count; surface += 1) {
    const length = Math.min(count - steps.length, dice.whole(5, 9));
    const ground = groundOf(dice);
    for (let index = 0; index < length; index += 1) {
      const id = `s${surface}.${index}`;
      steps.push(stepOf(dice, id, index, ground));
      if (index > 0) lags.push(lagOf(dice, `s${surface}.${index - 1}`, id));
    }
  }
  return {
    people,
    tools: [
      { id: 'gun', word: 'heat gun', count: 2 },
      { id: 'ladder', word: 'ladder', count: 1 },
    ],
    fitness,
    steps,
    lags,
    horizon: days * DAY,
  };
}

interface Dice {
  readonly random: () => number;
  readonly whole: (least: number, most: number) => number;
}
const FRONTS = ['morning', 'afternoon', 'noon'] as const;

function peopleOf({ whole }: Dice, crew: number, days: number): readonly Person[] {
  return Array.from({ length: crew }, (_, index) => ({
    id: `p${index}`,
    name: `P${index}`,
    skills:
      index === 0 ? ['film', 'heat'] : index === 1 ? ['film'] : [['film', 'heat'][whole(0, 1)] ?? 'film'],
    hours: Array.from({ length: days }, (__, day) =>
      index === crew - 1 && crew > 2
        ? [{ from: day * DAY + 480, to: day * DAY + 720 }]
        : [
            { from: day * DAY + 450, to: day * DAY + 720 },
            { from: day * DAY + 750, to: day * DAY + 990 },
          ],
    ).flat(),
  }));
}

/** When each front is fit: its sun comes and goes a little differently each day. */
function fitnessOf({ whole }: Dice, days: number): readonly Fitness[] {
  return FRONTS.map((id, index) => ({
    id,
    closed: [],
    spans: Array.from({ length: days }, (_, day): readonly Span[] => {
      const at = (minute: number): number => day * DAY + minute + whole(0, 40);
      return index === 0
        ? [{ from: at(640), to: day * DAY + 1200 }]
        : index === 1
          ? [{ from: day * DAY, to: at(760) }]
          : [
              { from: day * DAY, to: at(600) },
              { from: at(800), to: day * DAY + 1200 },
            ];
    }).flat(),
  }));
}

/** Where a surface is, and what is special about it. */
interface Ground {
  readonly place: string;
  readonly room: string;
  readonly sunny: string | null;
  readonly isDusty: boolean;
}

function groundOf({ random, whole }: Dice): Ground {
  const [place, room, sunny] = [
    `place ${whole(1, 4)}`,
    `room ${whole(1, 3)}`,
    random() < 0.4 ? (FRONTS[whole(0, 2)] ?? null) : null,
  ];
  return { place, room, sunny, isDusty: random() < 0.3 };
}

function stepOf(
  { random, whole }: Dice,
  id: string,
  index: number,
  { place, room, sunny, isDusty }: Ground,
): PlanStep {
  const isFilm = index >= 2;
  return {
    id,
    word: id,
    place,
    minutes: whole(5, 40),
    crew: isFilm && random() < 0.2 ? 2 : 1,
    skill: isFilm ? 'film' : random() < 0.15 ? 'heat' : null,
    tools:
      random() < 0.2 ? [{ tool: 'gun', count: 1 }] : random() < 0.1 ? [{ tool: 'ladder', count: 1 }] : [],
    fitness: isFilm && index < 5 ? sunny : null,
    room,
    air: isDusty && index === 0 ? 'makes dust' : isFilm && index < 4 ? 'wants clean air' : null,
    pinned: null,
  };
}

function lagOf({ random, whole }: Dice, from: string, to: string): Lag {
  const kind = random();
  const [least, most] =
    kind < 0.6
      ? [0, null]
      : kind < 0.8
        ? [0, whole(20, 60)]
        : kind < 0.92
          ? [whole(5, 15), 60]
          : [whole(60, 150), null];
  return { from, to, least, most, why: '' };
}
