import type { Op } from '@yellow-pane/contracts';
import type { GlassPane, Place } from '@yellow-pane/core/job';
import { demoId } from './demo-id';

const MM = 1e6;

export const PLACES = { station: 1, waitingRoom: 2, front: 3, hatch: 4, office: 5, carA: 6, carASide: 7, carB: 8, carBSide: 9 } as const;
export const UNITS = { toughened: 1, replacement: 2, old: 3, hatch: 4, partition: 5, carSide: 6 } as const;

/** The places and glass make-ups of the lower station and its two cars. */
export function placeOps(): readonly Op[] {
  const { station, waitingRoom, front, hatch, office, carA, carASide, carB, carBSide } = PLACES;
  return [
    place(station, null, 'building', 'Lower station'),
    place(waitingRoom, station, 'room', 'Waiting room'),
    place(front, waitingRoom, 'facade', 'South-west front', 225),
    place(hatch, waitingRoom, 'room', 'Ticket counter'),
    place(office, station, 'room', 'Staff office'),
    place(carA, null, 'vehicle', 'Car A', null, true),
    place(carASide, carA, 'side', 'Car A, valley side', null, true),
    place(carB, null, 'vehicle', 'Car B', null, true),
    place(carBSide, carB, 'side', 'Car B, valley side', null, true),
    ...unit(UNITS.toughened, 'Double, toughened 6-16-6', 'double', 'metal with thermal break', 'gasket', [['toughened', 6, 16], ['toughened', 6, null]]),
    ...unit(UNITS.replacement, 'Double, replacement in annealed 6-16-6', 'double', 'metal with thermal break', 'gasket', [['annealed', 6, 16], ['annealed', 6, null]]),
    ...unit(UNITS.old, 'Old pane, make-up not known', 'unknown', 'metal', 'unknown', []),
    ...unit(UNITS.hatch, 'Laminated hatch', 'single', 'metal', 'exposed', [['laminated', 8, null]]),
    ...unit(UNITS.partition, 'Single, toughened 10', 'single', 'metal', 'gasket', [['toughened', 10, null]]),
    ...unit(UNITS.carSide, 'Car side, toughened 5', 'single', 'rubber seal', 'rebate', [['toughened', 5, null]]),
  ];
}

function place(n: number, parent: number | null, kind: Place['kind'], name: string, bearing_deg: number | null = null, movable = false): Op {
  return { op: 'put', table: 'place', id: demoId('place', n), fields: { parentId: parent === null ? null : demoId('place', parent), kind, name, bearing_deg, movable, position: n } };
}

function unit(n: number, name: string, glazing: 'single' | 'double' | 'unknown', frame: 'metal' | 'metal with thermal break' | 'rubber seal', edge: 'gasket' | 'exposed' | 'rebate' | 'unknown', panes: readonly (readonly [GlassPane['treatment'], number, number | null])[]): readonly Op[] {
  return [
    { op: 'put', table: 'glassUnit', id: demoId('unit', n), fields: { name, glazing, frame, edge } },
    ...panes.map(([treatment, thickness, gap], index): Op => ({
      op: 'put', table: 'glassPane', id: demoId('pane', n * 10 + index),
      fields: { unitId: demoId('unit', n), position: index + 1, treatment, thickness_nm: thickness * MM, coated: 'unknown', gapAfter_nm: gap === null ? null : gap * MM },
    })),
  ];
}
