import { seededRandom } from '@yellow-pane/core/quantity';
import { type CutOrder, type StockFilm, planOrderSteps } from '@yellow-pane/core/cutting';
import { runThrough } from '@yellow-pane/core/packing';
import type { Row } from './run';

const ORDERS = 1000;
const RATES = {
  perCrossCut: 1,
  perSlit: 0.5,
  perPiece: 0.2,
  keepWidth_mm: 200,
  keepLength_mm: 500,
  keepShare: 0.3,
  perSplitGroup: 15,
};
const NEAR_MM = 0.11;

/**
 * Random orders on film that has kept both, one or no factory edge, some with a pin: every piece that must
 * have an edge is looked at by itself.
 */
export function edgesKept(): Promise<readonly Row[]> {
  const random = seededRandom(20261129);
  const among = <Item>(items: readonly Item[]): Item => items[Math.floor(random() * items.length)] as Item;
  const whole = (low: number, high: number): number => Math.round(low + random() * (high - low));
  let faults = 0;
  let wanting = 0;
  for (let n = 0; n < ORDERS; n += 1) {
    const stocks = Array.from({ length: whole(1, 3) }, (_, index): StockFilm => {
      const width_mm = among([914, 1220, 1524, 1830]);
      return {
        id: `s${index}`,
        what: among(['roll', 'offcut']),
        width_mm,
        length_mm: whole(1500, 12_000),
        perMetre: width_mm / 100,
        whole: 0,
        lot: `s${index}`,
        edges: among(['both', 'left', 'right', 'none']),
      };
    });
    const pieces = Array.from({ length: whole(1, 10) }, (_, index) => ({
      id: `p${index}`,
      across_mm: whole(200, 900),
      along_mm: whole(200, 1200),
      mayTurn90: random() < 0.5,
      group: '',
      ...(random() < 0.5 ? { wantsEdge: true } : {}),
    }));
    const [first] = stocks;
    const pin = { id: 'pin', across_mm: 400, along_mm: 600, mayTurn90: false, group: '' };
    const hasPin = random() < 0.4 && first !== undefined;
    const order: CutOrder = {
      stocks,
      pieces: hasPin ? [...pieces, pin] : pieces,
      pinned: hasPin
        ? [
            {
              id: 'pin',
              stockId: first.id,
              x_mm: among([0, 100, first.width_mm - 400]),
              y_mm: among([0, 300]),
              turned: false,
            },
          ]
        : [],
      mode: among(['by hand', 'by plotter']),
      stages: 3,
      gap_mm: among([0, 3]),
      endWaste_mm: 0,
      mostSheet_mm: Number.POSITIVE_INFINITY,
      objective: among(['money', 'length']),
      rates: RATES,
    };
    const { uses } = runThrough(
      planOrderSteps(order, { seed: n, mostRounds: 6 }),
      () => false,
      () => undefined,
    );
    for (const { stockId, placed } of uses) {
      const stock = stocks.find(({ id }) => id === stockId);
      for (const { id, x_mm, across_mm } of placed) {
        if (stock === undefined || pieces.find((own) => own.id === id)?.wantsEdge !== true) continue;
        wanting += 1;
        const atLeft = x_mm <= NEAR_MM && (stock.edges === 'both' || stock.edges === 'left');
        const atRight =
          stock.width_mm - x_mm - across_mm <= NEAR_MM && (stock.edges === 'both' || stock.edges === 'right');
        if (!atLeft && !atRight) faults += 1;
      }
    }
  }
  return Promise.resolve([
    {
      what: `pieces that must have a factory edge (${wanting} in ${ORDERS} orders) and lie at none`,
      wanted: '0',
      got: String(faults),
      isMet: faults === 0,
    },
  ]);
}
