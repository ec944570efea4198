import type { Op } from '@yellow-pane/contracts';
import type { CutMethod, Surface } from '@yellow-pane/core/job';
import { DEFAULT_SCHOOLS } from '@yellow-pane/core/fitting';
import { PANE_SLOTS } from '@yellow-pane/core/measure';
import { parseLength } from '@yellow-pane/core/quantity';
import { demoId } from './demo-id';
import { PLACES, UNITS } from './places';

/** Width top, middle, bottom; height left, middle, right; falling and rising diagonal. Empty: not taken. */
type Readings = readonly string[];

interface DemoSurface {
  readonly tag: string;
  readonly name: string;
  readonly place: number;
  readonly unit: number | null;
  readonly readings: Readings;
  readonly kind?: Surface['kind'];
  readonly seenFrom?: Surface['seenFrom'];
  readonly condition?: Surface['condition'];
  readonly remark?: string;
  readonly film?: readonly [index: number, method: CutMethod];
}

const { front, hatch, office, carASide, carBSide, waitingRoom } = PLACES;
const SIDE: Readings = ['34 5/8', '34 5/8', '34 5/8', '24 1/4', '24 1/4', '24 1/4', '42 1/4', '42 1/4'];

const SURFACES: readonly DemoSurface[] = [
  { tag: 'SW1', name: 'far left', place: front, unit: UNITS.toughened, readings: ['1180', '1180', '1181', '2140', '2140', '2140', '2444', '2444'], film: [2, 'trim in place'] },
  { tag: 'SW2', name: 'second from left', place: front, unit: UNITS.toughened, readings: ['1180', '1180', '1180', '2140', '2141', '2141', '2444', '2444'], film: [2, 'trim in place'] },
  { tag: 'SW3', name: 'left of the door', place: front, unit: UNITS.toughened, readings: ['1180', '1182', '1185', '2140', '2140', '2158', '2446', '2444'], remark: 'Head is in the shade of the roof edge until noon.' },
  { tag: 'SW4', name: 'right of the door', place: front, unit: UNITS.toughened, readings: ['1180', '1180', '1180', '2140', '', '2140', '2444', ''], film: [2, 'trim in place'] },
  { tag: 'SW5', name: 'second from right', place: front, unit: UNITS.replacement, readings: ['1179', '1179', '1179', '2141', '2141', '2141', '2444', '2445'], remark: 'Replaced later: annealed glass, not toughened.' },
  { tag: 'SW6', name: 'far right, out of square', place: front, unit: UNITS.toughened, readings: ['1176', '1181', '1186', '2138', '2140', '2142', '2447', '2440'], film: [2, 'trim in place'] },
  { tag: 'SW7', name: 'old pane in the side wall', place: front, unit: UNITS.old, condition: 'cracked', remark: 'Crack in the lower left corner, about 60 mm long, was there before us.', readings: ['620', '', '620', '1480', '', '1481', '', ''] },
  { tag: 'TH1', name: 'ticket hatch', place: hatch, unit: UNITS.hatch, readings: ['760', '', '760', '520', '', '520', '921', '921'], film: [11, 'security'] },
  { tag: 'PT1', name: 'partition, door side', place: office, unit: UNITS.partition, seenFrom: 'side A', readings: ['940', '940', '941', '2050', '2050', '2050', '2255', '2256'], film: [8, 'trim in place'] },
  { tag: 'PT2', name: 'partition, wall side', place: office, unit: UNITS.partition, seenFrom: 'side A', readings: [] },
  { tag: 'DR1', name: 'door to the platform', place: waitingRoom, unit: null, kind: 'fixture', readings: ['880', '880', '880', '2010', '2010', '2010', '2194', '2194'], film: [12, 'decor'] },
  { tag: 'DR2', name: 'door to the office', place: waitingRoom, unit: null, kind: 'fixture', readings: ['880', '', '880', '', '', '', '', ''] },
  ...['1', '2', '3', '4'].map((n): DemoSurface => ({ tag: `A-S${n}`, name: `side window ${n}`, place: carASide, unit: UNITS.carSide, readings: SIDE, film: [1, 'pre-squared'] })),
  ...['1', '2', '3', '4'].map((n): DemoSurface => ({ tag: `B-S${n}`, name: `side window ${n}`, place: carBSide, unit: UNITS.carSide, readings: n === '1' ? SIDE : [] })),
];

/** The surfaces with their measures and films, in the order of walking. */
export function surfaceOps(): readonly Op[] {
  return SURFACES.flatMap((surface, index) => opsOf(surface, index + 1));
}

function opsOf({ tag, name, place, unit, readings, kind = 'pane', seenFrom = 'room', condition = 'unknown', remark = '', film }: DemoSurface, n: number): readonly Op[] {
  const id = demoId('surface', n);
  return [
    { op: 'put', table: 'surface', id, fields: { placeId: demoId('place', place), unitId: unit === null ? null : demoId('unit', unit), tag, name, kind, seenFrom, condition, remark, position: n } },
    ...measureOps(id, n * 10, readings),
    ...(film === undefined ? [] : [{ op: 'put', table: 'application', id: demoId('application', n), fields: { surfaceId: id, side: seenFrom, filmId: demoId('film', film[0]), method: film[1], ...DEFAULT_SCHOOLS, position: 1 } } satisfies Op]),
  ];
}

/** Readings as they were called out, in the order of the customary measures. */
export function measureOps(surfaceId: string, firstId: number, readings: readonly string[]): readonly Op[] {
  return PANE_SLOTS.flatMap((slot, index): readonly Op[] => {
    const text = readings[index] ?? '';
    const parsed = parseLength(text, 'mm');
    if (parsed.kind !== 'length') return [];
    return [{ op: 'put', table: 'measure', id: demoId('measure', firstId + index), fields: { surfaceId, fromPoint: slot.from, toPoint: slot.to, text, unit: parsed.unit, value_nm: parsed.value_nm, instrument: 'tape', sd_nm: null } }];
  });
}
