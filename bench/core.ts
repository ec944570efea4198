import { type LayoutPiece, layOutInLevels } from '@yellow-pane/core/packing';
import {
  type NetworkPoint,
  type Reading,
  adjustNetwork,
  checkSurface,
  judge,
  sdOf,
  slotsFor,
} from '@yellow-pane/core/measure';
import { seededRandom } from '@yellow-pane/core/quantity';
import { median, ms } from './figures';
import type { Row } from './run';

const PANE_SLOTS = slotsFor('four sides').filter(({ kind }) => kind === 'distance');
const eight = (width: number, height: number): Reading[] =>
  PANE_SLOTS.map(({ key, kind, from, to, group }) => ({
    id: key,
    kind,
    from,
    to,
    value_mm: group === 'width' ? width : group === 'height' ? height : Math.hypot(width, height),
    instrument: 'tape',
  }));

export function checkPane(): Row {
  const readings = eight(1180, 2140);
  const times = Array.from({ length: 500 }, () =>
    timed(() => checkSurface({ shape: 'four sides', readings })),
  );
  return {
    what: 'core: eight measures of a pane checked, median',
    wanted: 'under a frame, 16 ms',
    got: ms(median(times)),
    isMet: median(times) < 16,
  };
}

/** A thousand panes, adjusted with global test, residuals, redundancies and correlations, in one thread. */
export function adjustThousand(): Row {
  const random = seededRandom(3);
  const panes = Array.from({ length: 1000 }, () => {
    const [width, height] = [500 + 1500 * random(), 600 + 1800 * random()];
    return {
      start: [
        { x: 0, y: 0 },
        { x: width, y: 0 },
        { x: width, y: height },
        { x: 0, y: height },
      ],
      readings: eight(width, height).map((reading) => ({
        ...reading,
        value_mm: reading.value_mm + random() - 0.5,
      })),
    };
  });
  const corner = (name: string): NetworkPoint =>
    (
      ({ tl: [0], tr: [1], br: [2], bl: [3], mt: [0, 1], mr: [1, 2], mb: [2, 3], ml: [3, 0] })[name] ?? []
    ).map((at, _, all) => ({ corner: at, share: 1 / all.length }));
  const all = (): void => {
    for (const { start, readings } of panes) {
      const observations = readings.map((reading) => ({
        kind: 'distance' as const,
        at: [corner(reading.from), corner(reading.to)],
        value_mm: reading.value_mm,
        sd_mm: sdOf(reading),
      }));
      judge(
        readings,
        observations.map(({ sd_mm }) => sd_mm),
        adjustNetwork(start, observations),
      );
    }
  };
  const times = Array.from({ length: 7 }, () => timed(all));
  return {
    what: 'core: 1000 quadrilaterals adjusted with tests, median',
    wanted: '150 ms',
    got: ms(median(times)),
    isMet: median(times) < 150,
  };
}

export function layOut(): Row {
  const random = seededRandom(1);
  const pieces = Array.from({ length: 2000 }, (_, index): LayoutPiece => ({
    id: String(index),
    across_mm: 200 + random() * 1200,
    along_mm: 300 + random() * 2000,
    mayTurn90: random() < 0.5,
  }));
  const times = Array.from({ length: 7 }, () => timed(() => layOutInLevels({ rollWidth_mm: 1524, pieces })));
  return {
    what: 'core: 2000 blanks laid in levels, median',
    wanted: 'first plan in 150 ms',
    got: ms(median(times)),
    isMet: median(times) < 150,
  };
}

function timed(act: () => unknown): number {
  const start = performance.now();
  act();
  return performance.now() - start;
}
