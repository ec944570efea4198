import type { Roll } from '@yellow-pane/core/job';
import { nmFromMm } from '@yellow-pane/core/quantity';
import { demoId } from './demo-id';

const mm = nmFromMm;
const film = (n: number): string => demoId('film', n);
const roll = (
  filmNo: number,
  label: string,
  lot: string,
  width_mm: number,
  length_mm: number,
  perMetre: number,
  where: string,
  more: Partial<Roll> = {},
): Roll => ({
  filmId: film(filmNo),
  what: 'roll',
  label,
  lot,
  width_nm: mm(width_mm),
  length_nm: mm(length_mm),
  perMetre,
  leftEdge: true,
  rightEdge: true,
  where,
  gone: false,
  ...more,
});

const ROLLS: readonly Roll[] = [
  roll(2, 'R-14', 'N35-2207', 1524, 9400, 14.5, 'rack, top'),
  roll(12, 'R-19', 'OAK-118', 1220, 9000, 19, 'rack, middle'),
  roll(8, 'R-21', 'FS-77', 1220, 6200, 17.5, 'rack, middle'),
  roll(2, 'O-31', 'N35-2207', 914, 2600, 2.6, 'offcut box', { what: 'offcut', rightEdge: false }),
  roll(1, 'O-33', 'N20-1903', 700, 2400, 2, 'offcut box', {
    what: 'offcut',
    leftEdge: false,
    rightEdge: false,
  }),
  roll(11, 'O-35', 'H2-540', 1220, 880, 7, 'offcut box', { what: 'offcut', rightEdge: false }),
];

/** Three rolls in stock and some offcuts; the rest of the job's film is to be ordered. */
export const DEMO_ROLLS: readonly { readonly id: string; readonly roll: Roll }[] = ROLLS.map(
  (entry, index) => ({ id: demoId('roll', index + 1), roll: entry }),
);
