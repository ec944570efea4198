import { seededRandom } from '@yellow-pane/core/quantity';
import {
  type Face,
  type SampleKind,
  type Tool,
  closedMaxima,
  coverageOf,
  cutOut,
  findingsOf,
  firstTrap,
  judgeStrokes,
  planStrokes,
  sampleFace,
  sampleNet,
  trapsByBruteForce,
} from '@yellow-pane/core/strokes';
import { median, ms } from './figures';
import type { Row } from './run';

const TOOL: Tool = { blade_mm: 150, overlap_mm: 30, card_mm: 40 };
const PLAN = { lock: 'centre line', first: 'right', cell_mm: 20 } as const;
const RUNS = 25;
const PLAN_MS = 100;
const PLAN_GOAL_MS = 15;
const ORDER_MS = 100;
const CHANGE_MS = 50;
const NETS = 10_000;
/** As the issue counts them. */
const FACES: Readonly<Record<SampleKind, number>> = { 'spiky star': 150, 'with a hole': 80, convex: 70 };

const rectangle = (left: number, bottom: number, right: number, top: number) => [
  { x: left, y: bottom },
  { x: right, y: bottom },
  { x: right, y: top },
  { x: left, y: top },
];
/** A wall with a door and a window, and an arch: about sixty strokes. */
const WALL = cutOut(rectangle(0, 0, 4000, 2500), [
  rectangle(1000, 0, 1900, 2050),
  rectangle(2600, 900, 3600, 2000),
]);
const ARCH: Face = {
  rings: [
    [
      { x: 0, y: 0 },
      { x: 2000, y: 0 },
      ...Array.from({ length: 61 }, (_, index) => ({
        x: 1000 + 1000 * Math.cos((index * Math.PI) / 60),
        y: 1600 + 1000 * Math.sin((index * Math.PI) / 60),
      })),
    ],
  ],
};

/**
 * Strokes: how fast they are planned, judged and followed, and whether they are right on every random face
 * and net.
 */
export function strokeRows(): readonly Row[] {
  return [
    ...[
      { name: 'an arch', face: ARCH },
      { name: 'a wall with door and window', face: WALL },
    ].flatMap(({ name, face }) => speedsOn(name, face)),
    ...facesCovered(),
    netsAsByBruteForce(),
  ];
}

function speedsOn(name: string, face: Face): readonly Row[] {
  const { strokes } = planStrokes(face, TOOL, PLAN);
  const asked = { face, tool: TOOL, way: 'lanes', ...PLAN, isDry: false, people: 1 } as const;
  const plan = median(timesOf(() => planStrokes(face, TOOL, PLAN)));
  return [
    {
      what: `strokes on ${name}, ${strokes.length} of them: plan with exact coverage and order`,
      wanted: `${PLAN_MS} ms, goal ${PLAN_GOAL_MS}`,
      got: `${ms(plan)}${plan <= PLAN_GOAL_MS ? '' : ', goal missed'}`,
      isMet: plan <= PLAN_MS,
    },
    row(`exact coverage of them`, PLAN_GOAL_MS, median(timesOf(() => coverageOf(face, strokes)))),
    row(
      'their order on a grid of 20 mm',
      ORDER_MS,
      median(timesOf(() => findingsOf(face, strokes, { blade_mm: 150, cell_mm: 20 }))),
    ),
    row(
      'a change shown: coverage, order and ways again',
      CHANGE_MS,
      median(timesOf(() => judgeStrokes(asked, strokes))),
    ),
  ];
}

const row = (what: string, wanted_ms: number, got_ms: number): Row => ({
  what,
  wanted: `${wanted_ms} ms`,
  got: ms(got_ms),
  isMet: got_ms <= wanted_ms,
});

function timesOf(work: () => unknown): readonly number[] {
  return Array.from({ length: RUNS }, () => {
    const from = performance.now();
    work();
    return performance.now() - from;
  });
}

function facesCovered(): readonly Row[] {
  return Object.entries(FACES).map(([kind, count]) => {
    let [missed, lifted, named, unnamed] = [0, 0, 0, 0];
    const ratios: number[] = [];
    for (let seed = 1; seed <= count; seed += 1) {
      const { strokes, coverage, findings } = planStrokes(sampleFace(kind as SampleKind, seed), TOOL, PLAN);
      missed = Math.max(missed, 1 - coverage.share);
      lifted += findings.lifted.length;
      const isFinished = strokes.some(({ part }) => part === 'finish');
      if (findings.vents > 0) [named, unnamed] = isFinished ? [named + 1, unnamed] : [named, unnamed + 1];
      const lanes = strokes.filter(({ part }) => part === 'lane');
      const length = lanes.reduce(
        (sum, { path }) => sum + Math.abs((path[1]?.x ?? 0) - (path[0]?.x ?? 0)),
        0,
      );
      ratios.push((length * TOOL.blade_mm) / coverage.area_mm2);
    }
    return {
      what: `${count} random faces, ${kind}: all gone over, none lifted, each trap named`,
      wanted: 'missed ≤ 1e-9, lanes ≤ 1.25 × area',
      got: `missed ${missed.toExponential(0)}, lifted ${lifted}, traps ${named + unnamed} of which named ${named}, lanes ${median(ratios).toFixed(2)} × area`,
      isMet: missed <= 1e-9 && lifted === 0 && unnamed === 0 && median(ratios) <= 1.25,
    };
  });
}

function netsAsByBruteForce(): Row {
  let wrong = 0;
  for (let seed = 1; seed <= NETS; seed += 1) {
    const net = sampleNet(seededRandom(seed));
    const brute = trapsByBruteForce(net);
    if (firstTrap(net) !== brute.first || closedMaxima(net).length !== brute.vents) wrong += 1;
  }
  return {
    what: `traps and vents as brute force finds them, ${NETS} random nets`,
    wanted: 'none otherwise',
    got: `${wrong} otherwise`,
    isMet: wrong === 0,
  };
}
