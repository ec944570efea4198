import { type LayoutPiece, layOutInLevels } from '@yellow-pane/core/cutting';
import { PANE_SLOTS, checkFlatPane } from '@yellow-pane/core/measure';
import { seededRandom } from '@yellow-pane/core/quantity';
import { median, ms } from './figures';
import type { Row } from './run';

export function checkPane(): Row {
  const sizes = { width: 1180, height: 2140, diagonal: 2444 };
  const measures = PANE_SLOTS.map(({ key, from, to, group }) => ({ id: key, from, to, value_mm: sizes[group], instrument: 'tape' as const }));
  const times = Array.from({ length: 500 }, () => timed(() => checkFlatPane(measures)));
  return { what: 'core: eight measures of a pane checked, median', wanted: 'under a frame, 16 ms', got: ms(median(times)), isMet: median(times) < 16 };
}

export function layOut(): Row {
  const random = seededRandom(1);
  const pieces = Array.from({ length: 2000 }, (_, index): LayoutPiece => ({ id: String(index), across_mm: 200 + random() * 1200, along_mm: 300 + random() * 2000, mayTurn90: random() < 0.5 }));
  const times = Array.from({ length: 7 }, () => timed(() => layOutInLevels({ rollWidth_mm: 1524, pieces })));
  return { what: 'core: 2000 blanks laid in levels, median', wanted: 'first plan in 150 ms', got: ms(median(times)), isMet: median(times) < 150 };
}

function timed(act: () => unknown): number {
  const start = performance.now();
  act();
  return performance.now() - start;
}
