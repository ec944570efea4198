import type { Op } from '@yellow-pane/contracts';
import { type FilmBrief, NEW_PLACE, NO_BRIEF, type Place } from '@yellow-pane/core/job';
import { CLIMATE } from './climate';
import { demoId } from './demo-id';
import { unit } from './glass-unit-ops';

const MM = 1e6;

export const PLACES = {
  station: 1,
  waitingRoom: 2,
  front: 3,
  hatch: 4,
  office: 5,
  carA: 6,
  carASide: 7,
  carB: 8,
  carBSide: 9,
  carAEnd: 10,
  carBEnd: 11,
} as const;
export const UNITS = {
  toughened: 1,
  replacement: 2,
  old: 3,
  hatch: 4,
  partition: 5,
  carSide: 6,
  carEnd: 7,
  carDoor: 8,
  fanlight: 9,
  summit: 10,
} as const;

/** The places and glass make-ups of the lower station and its two cars. */
export function placeOps(): readonly Op[] {
  const { station, waitingRoom, front, hatch, office, carA, carASide, carAEnd, carB, carBSide, carBEnd } =
    PLACES;
  return [
    place(station, null, 'building', 'Lower station', {
      latitude_deg: 46.62,
      longitude_deg: 9.74,
      altitude_m: 1180,
      climate: CLIMATE,
    }),
    place(waitingRoom, station, 'room', 'Waiting room'),
    place(front, waitingRoom, 'facade', 'South-west front', { bearing_deg: 225, horizon: RIDGE }),
    place(hatch, waitingRoom, 'room', 'Ticket counter'),
    place(office, station, 'room', 'Staff office'),
    place(carA, null, 'vehicle', 'Car A', { movable: true }),
    place(carASide, carA, 'side', 'Car A, valley side', { movable: true }),
    place(carB, null, 'vehicle', 'Car B', { movable: true }),
    place(carBSide, carB, 'side', 'Car B, valley side', { movable: true }),
    place(carAEnd, carA, 'side', 'Car A, ends', { movable: true }),
    place(carBEnd, carB, 'side', 'Car B, ends', { movable: true }),
    brief(front, {
      lessHeat: 3,
      keepView: 2,
      lessGlare: 1,
      look: 'any',
      lightKeptLeast: 0.5,
      heatOffLeast: 0.33,
      roomWidth_nm: 9000 * MM,
      roomDepth_nm: 6000 * MM,
      roomHeight_nm: 3200 * MM,
    }),
    brief(office, { hiddenByDay: 3, hiddenByNight: 1, look: 'pattern' }),
    brief(hatch, { slowBreakIn: 3, keepView: 2, look: 'hardly seen' }),
    brief(waitingRoom, { look: 'wood' }),
    ...glassOps(),
  ];
}

/** The make-ups of their glass. */
function glassOps(): readonly Op[] {
  return [
    ...unit(UNITS.toughened, 'Double, toughened 6-16-6', 'double', 'metal with thermal break', 'gasket', [
      ['toughened', 6, 16],
      ['toughened', 6, null],
    ]),
    ...unit(
      UNITS.replacement,
      'Double, replacement in annealed 6-16-6',
      'double',
      'metal with thermal break',
      'gasket',
      [
        ['annealed', 6, 16],
        ['annealed', 6, null],
      ],
    ),
    ...unit(UNITS.old, 'Old pane, make-up not known', 'unknown', 'metal', 'unknown', []),
    ...unit(UNITS.hatch, 'Laminated hatch', 'single', 'metal', 'exposed', [['laminated', 8, null]]),
    ...unit(UNITS.partition, 'Single, toughened 10', 'single', 'metal', 'gasket', [['toughened', 10, null]]),
    ...unit(UNITS.carSide, 'Car side, toughened 5', 'single', 'rubber seal', 'rebate', [
      ['toughened', 5, null],
    ]),
    ...unit(UNITS.carEnd, 'Car end, curved, laminated 6', 'single', 'rubber seal', 'rebate', [
      ['laminated', 6, null],
    ]),
    ...unit(UNITS.carDoor, 'Car door, toughened 5, slightly curved', 'single', 'rubber seal', 'rebate', [
      ['toughened', 5, null],
    ]),
    ...unit(UNITS.fanlight, 'Fanlight, single, as found', 'single', 'wood', 'sealant', [
      ['annealed', 4, null],
    ]),
  ];
}

/** The mountain over the valley, as it was sighted with a compass from the front. */
const RIDGE: Place['horizon'] = [
  [135, 14],
  [170, 11],
  [200, 9],
  [225, 7],
  [250, 12],
  [280, 18],
  [315, 22],
].map(([bearing_deg = 0, elevation_deg = 0]) => ({ bearing_deg, elevation_deg }));

function place(
  n: number,
  parent: number | null,
  kind: Place['kind'],
  name: string,
  more: Partial<Place> = {},
): Op {
  return {
    op: 'put',
    table: 'place',
    id: demoId('place', n),
    fields: {
      ...NEW_PLACE,
      parentId: parent === null ? null : demoId('place', parent),
      kind,
      name,
      position: n,
      ...more,
    },
  };
}

function brief(at: number, wishes: Partial<FilmBrief>): Op {
  return {
    op: 'put',
    table: 'filmBrief',
    id: demoId('brief', at),
    fields: { ...NO_BRIEF, ...wishes, placeId: demoId('place', at) },
  };
}
