import { directSun, sunTrack } from '@yellow-pane/core/climate';
import { sampleProblem, workingHours, workingMinutes } from '@yellow-pane/core/scheduling';
import { OPTIMA_30, SIZE_30 } from '../core/src/scheduling/fixtures/optima';
import { ms, quantile } from './figures';
import type { Row } from './run';
import { inEveryLane } from './side-by-side';

const KESTREL = { latitude_deg: 46.62, longitude_deg: 9.74, altitude_m: 1180 };
const RIDGE = [
  [135, 14],
  [170, 11],
  [200, 9],
  [225, 7],
  [250, 12],
  [280, 18],
  [315, 22],
].map(([bearing_deg = 0, elevation_deg = 0]) => ({ bearing_deg, elevation_deg }));

function sunOfManySurfaces(): Row {
  const start = performance.now();
  const track = sunTrack(KESTREL, Date.UTC(2026, 0, 1), Date.UTC(2027, 0, 1));
  let spans = 0;
  for (let index = 0; index < 500; index += 1) {
    spans += directSun(
      track,
      {
        bearing_deg: (index * 7.3) % 360,
        tilt_deg: 90,
        skyline: index % 2 === 0 ? RIDGE : [],
        shading:
          index % 3 === 0
            ? null
            : {
                width_mm: 1200,
                height_mm: 2140,
                overhangDepth_mm: 1400,
                overhangAbove_mm: 200,
                revealDepth_mm: 80,
              },
      },
      'seen',
    ).length;
  }
  const took = performance.now() - start;
  return {
    what: `sun windows of 500 surfaces, all facing differently, for one year (${spans} windows)`,
    wanted: '2000 ms',
    got: ms(took),
    isMet: took < 2000,
  };
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;
const percent = (share: number): string => `${(100 * share).toFixed(1)} %`;

/** Sun on many surfaces, and order of work against an exact solver's finishes and a simple priority rule. */
export async function dayRows(): Promise<readonly Row[]> {
  const sun = sunOfManySurfaces();
  const [gaps, ruleGaps]: [number[], number[]] = [[], []];
  for (const { seed, finish } of OPTIMA_30) {
    const best = workingMinutes(workingHours(sampleProblem(seed, SIZE_30).people), finish);
    const found = await inEveryLane('standOfDay', SIZE_30, 1000, seed);
    gaps.push(Math.min(...found.map(({ minutes }) => minutes)) / best - 1);
    ruleGaps.push((found[0]?.ruleMinutes ?? Number.NaN) / best - 1);
  }
  const near = gaps.filter((gap) => gap <= 0.01).length / gaps.length;
  const middle: Row[] = [];
  for (const [people, days] of [
    [2, 14],
    [3, 10],
    [4, 8],
  ] as const) {
    const over: number[] = [];
    for (const seed of [1, 2, 3, 4, 5, 6]) {
      const found = await inEveryLane('standOfDay', { steps: 120, days, people }, 3000, seed);
      over.push(
        Math.min(...found.map(({ minutes }) => minutes)) / Math.max(...found.map(({ least }) => least)) - 1,
      );
    }
    middle.push({
      what: `120 steps, crew of ${people}, 6 problems, over the lower bound after 3 s`,
      wanted: '5 %',
      got: `worst ${percent(Math.max(...over))}, mean ${percent(mean(over))}`,
      isMet: Math.max(...over) <= 0.05,
    });
  }
  const large: number[] = [];
  for (const seed of [1, 2, 3])
    large.push(
      ...(await inEveryLane('standOfDay', { steps: 400, days: 25, people: 5 }, 1500, seed)).map(
        ({ first_ms }) => first_ms,
      ),
    );
  return [
    sun,
    {
      what: `30 steps, ${OPTIMA_30.length} problems, within 1 % of the exact solver's finish after 1 s`,
      wanted: '95 %',
      got: `${percent(near)}; mean ${percent(mean(gaps))} over it`,
      isMet: near >= 0.95,
    },
    {
      what: 'the same, first order by a simple priority rule, pushed together',
      wanted: 'beside it',
      got: `mean ${percent(mean(ruleGaps))} over it`,
      isMet: true,
    },
    ...middle,
    {
      what: '400 steps, 3 problems, first plan',
      wanted: '1000 ms',
      got: ms(quantile(large, 1)),
      isMet: Math.max(...large) < 1000,
    },
  ];
}
