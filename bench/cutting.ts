import ShelfPack from '@mapbox/shelf-pack';
import {
  ANY_STAGES,
  type LayoutRequest,
  layOutGuillotineSteps,
  layOutSkylineSteps,
  lengthBound,
  runThrough,
} from '@yellow-pane/core/packing';
import pack from 'bin-pack-with-constraints';
import { pack2D } from 'binpackingjs/2d';
import { packer } from 'guillotine-packer';
import { MaxRectsPacker } from 'maxrects-packer/dist/maxrects-packer.mjs';
import { ROLL_MM, job, panes } from './cutting-cases';
import { CLASSES, type Goals, MARKS, type Stand, type Way, gapOf } from './cutting-searches';
import { median, ms, quantile } from './figures';
import type { Row } from './run';
import { inEveryLane } from './side-by-side';

const SEEDS = [101, 102, 103, 104, 105, 106, 107, 108, 109, 110] as const;

/**
 * Layouts against what is known of them, and against general packing packages in the same run. Each search
 * runs once and is looked at on its way.
 */
async function gapsOf(wantedWay: Way): Promise<readonly Row[]> {
  const rows: Row[] = [];
  for (const { name, way = 'by hand', goals, make, isPeered = false } of CLASSES) {
    if (way !== wantedWay) continue;
    rows.push(
      ...(await goalRows(
        (mark) => `cut ${name}, after ${mark} ms: mean (worst) gap`,
        goals,
        (seed) => inEveryLane('standsOfClass', name, seed),
      )),
    );
    const cases = isPeered ? SEEDS.map(make) : [];
    if (isPeered)
      rows.push(
        ...Object.entries(PEERS).map(([peer, length]): Row => {
          const peerGaps = cases.flatMap((one) => {
            const own_mm = length(one.request);
            return own_mm === undefined ? [] : [gapOf(one, own_mm)];
          });
          return {
            what: `the same, ${peer}`,
            wanted: 'beside it',
            got: peerGaps.length === 0 ? 'none found' : spread(peerGaps),
            isMet: true,
          };
        }),
      );
  }
  return rows;
}

export const cuttingByHand = async (): Promise<readonly Row[]> => [
  ...(await gapsOf('by hand')),
  ...fewPanes(),
  ...firstPlans(),
  growth('by hand', 1.3),
  bounds(),
  memory(),
];
export const cuttingFreely = async (): Promise<readonly Row[]> => [
  ...(await gapsOf('by plotter')),
  growth('by plotter', 1),
];

/** Four widths to order and six offcuts, each at its cost, against the bound of the linear programme. */
export async function cuttingFromStock(): Promise<readonly Row[]> {
  const rows: Row[] = [];
  for (const [count, sizes, goals] of [
    [40, 6, [null, 5, 3]],
    [120, 14, [null, 2.5, 1.2]],
  ] as const) {
    rows.push(
      ...(await goalRows(
        (mark) =>
          `mixed widths and offcuts, ${count} pieces, after ${mark} ms: mean (worst) over the cost bound`,
        goals,
        (seed) => inEveryLane('standsOfOrder', count, sizes, seed),
      )),
    );
  }
  return rows;
}

/** A row for each mark: of the searches that ran side by side the best one counts, as in the program. */
async function goalRows(
  what: (mark: number) => string,
  goals: Goals,
  search: (seed: number) => Promise<readonly (readonly Stand[])[]>,
): Promise<readonly Row[]> {
  const gaps: number[][] = MARKS.map(() => []);
  for (const seed of SEEDS) {
    const lanes = await search(seed);
    MARKS.forEach((_, at) => {
      gaps[at]?.push(
        lanes.flatMap((own) => own[at] ?? []).reduce((best, own) => (own.worth < best.worth ? own : best))
          .gap,
      );
    });
  }
  return MARKS.map((mark, at) => goalRow(what(mark), gaps[at] ?? [], goals[at] ?? null));
}

/** Met when the mean is, and the worst at most three times the wanted mean and 0.2. */
function goalRow(what: string, gaps: readonly number[], goal: number | null): Row {
  const isMet = goal === null || (mean(gaps) <= goal + 1e-9 && quantile(gaps, 1) <= 3 * goal + 0.2 + 1e-9);
  return { what, wanted: goal === null ? 'shown' : `${goal} %`, got: spread(gaps), isMet };
}

/** A layout at once, whatever the number of pieces. */
function firstPlans(): readonly Row[] {
  return (
    [
      [100, 5],
      [600, 30],
      [2000, 150],
    ] as const
  ).map(([count, most]): Row => {
    const { request } = job(3, count, Math.min(80, count / 5));
    const times = Array.from({ length: 5 }, () =>
      timed(() => layOutGuillotineSteps(request, { stages: 3, seed: 1, mostRounds: 0 }).next()),
    );
    return {
      what: `first plan of ${count} pieces, median`,
      wanted: `${most} ms`,
      got: ms(median(times)),
      isMet: median(times) <= most,
    };
  });
}

const LONGEST = 10_000;

/**
 * How the time to within 1 % of the bound grows; few pieces lie above their bound by more, so that the power
 * is taken from 200 pieces on.
 */
function growth(way: Way, most: number): Row {
  const counts = [10, 50, 200, 1000, 5000];
  const times = counts.map((count) =>
    median(
      [5, 6, 7].map((seed) => {
        const { request, reference_mm } = job(seed, count, Math.min(45, Math.max(3, count / 10)));
        const start = performance.now();
        const limits = { stages: 3 as const, seed: 1, mostRounds: MANY };
        for (
          const steps =
            way === 'by hand' ? layOutGuillotineSteps(request, limits) : layOutSkylineSteps(request, limits);
          ;
        ) {
          const { value } = steps.next();
          if (
            value.stopped === 'optimal' ||
            value.length_mm.value <= 1.01 * reference_mm ||
            performance.now() - start > LONGEST
          )
            break;
        }
        return performance.now() - start;
      }),
    ),
  );
  const exponent = Math.log((times[4] ?? 1) / (times[2] ?? 1)) / Math.log(5000 / 200);
  return {
    what: `${way === 'by hand' ? '' : 'cut free, '}time to within 1 % of the bound at ${counts.join(', ')} windows, median of three; power of n from 200 to 5,000`,
    wanted: `at most n^${most}`,
    got: `${times.map((time) => (time > LONGEST ? 'over 10 s' : ms(time))).join(', ')}; n^${exponent.toFixed(2)}`,
    isMet: exponent <= most,
  };
}

/** Fourteen panes of which no two are alike: the most pieces that are proven. */
function fewPanes(): readonly Row[] {
  return (
    [
      [3, 'three stages'],
      [ANY_STAGES, 'as many stages as it takes'],
    ] as const
  ).map(([stages, word]): Row => {
    const times = SEEDS.map((seed) => {
      const { request } = panes(seed, 42, 14);
      const pieces = request.pieces.filter(
        ({ across_mm, along_mm }, at) =>
          request.pieces.findIndex(
            (other) => other.across_mm === across_mm && other.along_mm === along_mm,
          ) === at,
      );
      return timed(() => {
        if (
          runFor(layOutGuillotineSteps({ ...request, pieces }, { stages, seed: 1, mostRounds: MANY }), 60_000)
            .stopped !== 'optimal'
        )
          throw new Error('not proven');
      });
    });
    return {
      what: `14 different panes, proven for ${word}: median (worst)`,
      wanted: '1000 ms',
      got: `${ms(median(times))} (${ms(quantile(times, 1))})`,
      isMet: median(times) <= 1000,
    };
  });
}

function bounds(): Row {
  const { request } = job(9, 600, 45);
  const times = Array.from({ length: 5 }, () => timed(() => lengthBound(request)));
  return {
    what: 'bound of 45 sizes, median',
    wanted: '50 ms',
    got: ms(median(times)),
    isMet: median(times) <= 50,
  };
}

function memory(): Row {
  const { request } = job(9, 600, 45);
  const before = process.memoryUsage().heapUsed;
  runFor(layOutGuillotineSteps(request, { stages: 3, seed: 1, mostRounds: MANY }), 2000);
  const used = (process.memoryUsage().heapUsed - before) / 2 ** 20;
  return {
    what: 'heap after 2 s of search, 600 pieces, garbage not yet collected',
    wanted: '150 MB',
    got: `${used.toFixed(0)} MB`,
    isMet: used <= 150,
  };
}

const MANY = Number.MAX_SAFE_INTEGER;
const timed = (run: () => unknown): number => {
  const start = performance.now();
  run();
  return performance.now() - start;
};
function runFor<Plan>(steps: Generator<Plan, Plan>, milliseconds: number): Plan {
  const start = performance.now();
  return runThrough(
    steps,
    () => performance.now() - start > milliseconds,
    () => undefined,
  );
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;
const spread = (gaps: readonly number[]): string =>
  `${mean(gaps).toFixed(2)} (${quantile(gaps, 1).toFixed(2)}) %`;

type Boxes = readonly { readonly width: number; readonly height: number }[];
const boxesOf = ({ pieces }: LayoutRequest): Boxes =>
  pieces.map(({ across_mm, along_mm }) => ({ width: across_mm, height: along_mm }));

/** Packages that fill one bin: its height is halved down from what surely suffices, which flatters them. */
function shortest(boxes: Boxes, fits: (height: number) => boolean): number | undefined {
  let low = boxes.reduce((sum, { width, height }) => sum + width * height, 0) / ROLL_MM;
  let high = low * 2.5;
  if (!fits(high)) return undefined;
  for (let step = 0; step < 9; step += 1) {
    const middle = (low + high) / 2;
    if (fits(middle)) high = middle;
    else low = middle;
  }
  return high;
}

const PEERS: Readonly<Record<string, (request: LayoutRequest) => number | undefined>> = {
  'maxrects-packer (free)': (request) => {
    const boxes = boxesOf(request);
    return shortest(boxes, (height) => {
      const filler = new MaxRectsPacker(ROLL_MM, height, 0, {
        smart: false,
        pot: false,
        square: false,
        allowRotation: false,
      });
      filler.addArray(boxes.map((box) => ({ ...box })));
      return filler.bins.length === 1;
    });
  },
  'binpackingjs (free)': (request) => {
    const boxes = boxesOf(request);
    return boxes.length > 60
      ? undefined
      : shortest(
          boxes,
          (height) =>
            pack2D({
              bins: [{ width: ROLL_MM, height }],
              boxes: boxes.map((box) => ({ ...box, constrainRotation: true })),
            }).unpackedBoxes.length === 0,
        );
  },
  '@mapbox/shelf-pack (2 stages)': (request) => {
    const placed = new ShelfPack(ROLL_MM, 1e7).pack(
      boxesOf(request)
        .map(({ width, height }) => ({ w: width, h: height }))
        .sort((a, b) => b.h - a.h),
    );
    return placed.length < request.pieces.length ? undefined : Math.max(...placed.map(({ y, h }) => y + h));
  },
  'guillotine-packer (up to 60 pieces)': (request) => {
    const boxes = boxesOf(request);
    return boxes.length > 60
      ? undefined
      : shortest(
          boxes,
          (height) =>
            packer(
              {
                binWidth: ROLL_MM,
                binHeight: height,
                items: boxes.map((box, index) => ({ name: String(index), ...box })),
              },
              { kerfSize: 0, allowRotation: false },
            )?.length === 1,
        );
  },
  'bin-pack-with-constraints': (request) =>
    pack(
      boxesOf(request).map((box) => ({ ...box })),
      { maxWidth: ROLL_MM },
    ).height,
};
