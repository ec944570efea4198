import type { Op } from '@yellow-pane/contracts';
import {
  type CutMethod,
  MEASURE_KINDS,
  NEW_PART,
  NEW_SURFACE,
  NO_SITE_FACTS,
  NO_WALL_FACTS,
  type Part,
  type SiteFacts,
  type Surface,
  type SurfaceShape,
  type WallFacts,
} from '@yellow-pane/core/job';
import { DEFAULT_SCHOOLS } from '@yellow-pane/core/fitting';
import { slotsFor } from '@yellow-pane/core/measure';
import { nmFromMm, parseReading } from '@yellow-pane/core/quantity';
import { demoId } from './demo-id';
import { PLACES, UNITS } from './places';

/** By the shape's customary measures in the order of walking (empty: not taken), or by their keys. */
type Readings = readonly string[] | Readonly<Record<string, string>>;

interface DemoSurface {
  readonly tag: string;
  readonly name: string;
  readonly place: number;
  readonly unit: number | null;
  readonly readings: Readings;
  readonly kind?: Surface['kind'];
  readonly shape?: SurfaceShape;
  readonly seenFrom?: Surface['seenFrom'];
  readonly condition?: Surface['condition'];
  readonly remark?: string;
  readonly film?: readonly [index: number, method: CutMethod];
  readonly sameAs?: string;
  /** On the elevation, mm: left and lower edge. */
  readonly at?: readonly [number, number];
  readonly facts?: Partial<SiteFacts>;
  readonly wall?: Partial<WallFacts>;
  readonly parts?: readonly (Pick<Part, 'kind'> & Partial<Part>)[];
}

const { front, hatch, office, carASide, carBSide, carAEnd, carBEnd, waitingRoom } = PLACES;
const mm = nmFromMm;
const SIDE: Readings = ['34 5/8', '34 5/8', '34 5/8', '24 1/4', '24 1/4', '24 1/4', '42 1/4', '42 1/4'];
const ROOF_EDGE: Partial<SiteFacts> = {
  storey: 0,
  accessHeight_nm: mm(350),
  reach: 'hand, card and gun',
  power: 'yes',
  crew: 'one person',
  filmFace: 'both',
  sealantToCut: 'no',
  tilt_deg: 90,
  blind: 'none',
  heatOutlet: 'none',
  overhangDepth_nm: mm(1400),
  overhangAbove_nm: mm(250),
  revealDepth_nm: mm(120),
};
const IN_THE_HALL: Partial<SiteFacts> = {
  reach: 'hand, card and gun',
  floor: 'heated winter hall, concrete',
  power: 'yes',
  filmFace: 'room side',
  tilt_deg: 90,
};
/** Curved end windows: doubly curved, more at the bottom. */
const END: Readings = {
  'width-top': '1180',
  'sag-top': '52',
  'width-middle': '1212',
  'sag-middle': '60',
  'width-bottom': '1240',
  'sag-bottom': '74',
  'height-left': '760',
  'sag-left': '21',
  'height-middle': '758',
  'sag-centre': '18',
  'height-right': '760',
  'sag-right': '21',
  'diagonal-falling': '1426',
};
/** Door glass slightly curved. */
const DOOR: Readings = {
  'width-top': '620',
  'sag-top': '4',
  'width-middle': '620',
  'sag-middle': '4',
  'width-bottom': '620',
  'sag-bottom': '4',
  'height-left': '1480',
  'sag-left': '9',
  'height-middle': '1480',
  'sag-centre': '9',
  'height-right': '1480',
  'sag-right': '9',
  'diagonal-falling': '1605',
};

const SURFACES: readonly DemoSurface[] = [
  {
    tag: 'SW1',
    name: 'far left',
    place: front,
    unit: UNITS.toughened,
    readings: ['1180', '1180', '1181', '2140', '2140', '2140', '2444', '2444'],
    film: [2, 'trim in place'],
    at: [300, 350],
    facts: ROOF_EDGE,
  },
  {
    tag: 'SW2',
    name: 'second from left',
    place: front,
    unit: UNITS.toughened,
    readings: ['1180', '1180', '1180', '2140', '2141', '2141', '2444', '2444'],
    film: [2, 'trim in place'],
    at: [1560, 350],
    facts: ROOF_EDGE,
  },
  {
    tag: 'SW3',
    name: 'left of the door',
    place: front,
    unit: UNITS.toughened,
    readings: ['1180', '1182', '1185', '2140', '2140', '2158', '2446', '2444'],
    remark: 'Head is in the shade of the roof edge until noon.',
    at: [2820, 350],
    facts: ROOF_EDGE,
  },
  {
    tag: 'SW4',
    name: 'right of the door',
    place: front,
    unit: UNITS.toughened,
    readings: ['1180', '1180', '1180', '2140', '', '2140', '2444', ''],
    film: [2, 'trim in place'],
    at: [5180, 350],
    facts: ROOF_EDGE,
  },
  {
    tag: 'SW5',
    name: 'second from right',
    place: front,
    unit: UNITS.replacement,
    readings: ['1179', '1179', '1179', '2141', '2141', '2141', '2444', '2445'],
    remark: 'Replaced later: annealed glass, not toughened.',
    at: [6440, 350],
    facts: ROOF_EDGE,
  },
  {
    tag: 'SW6',
    name: 'far right, out of square',
    place: front,
    unit: UNITS.toughened,
    readings: ['1176', '1181', '1186', '2138', '2140', '2142', '2447', '2440'],
    film: [2, 'trim in place'],
    at: [7700, 350],
    facts: ROOF_EDGE,
  },
  {
    tag: 'SW7',
    name: 'old pane in the side wall',
    place: front,
    unit: UNITS.old,
    condition: 'cracked',
    remark: 'Crack in the lower left corner, about 60 mm long, was there before us.',
    readings: ['620', '', '620', '1480', '', '1481', '', ''],
    at: [9300, 900],
    parts: [
      { kind: 'damage', name: 'crack, 60 mm', x_nm: mm(18), y_nm: mm(1440), remark: 'There before us.' },
    ],
  },
  {
    tag: 'TH1',
    name: 'ticket hatch',
    place: hatch,
    unit: UNITS.hatch,
    readings: ['760', '', '760', '520', '', '520', '921', '921'],
    film: [11, 'security'],
  },
  {
    tag: 'PT1',
    name: 'partition, door side',
    place: office,
    unit: UNITS.partition,
    seenFrom: 'side A',
    readings: ['940', '940', '941', '2050', '2050', '2050', '2255', '2256'],
    film: [8, 'trim in place'],
  },
  {
    tag: 'PT2',
    name: 'partition, wall side',
    place: office,
    unit: UNITS.partition,
    seenFrom: 'side A',
    readings: [],
  },
  {
    tag: 'DR1',
    name: 'door to the platform',
    place: waitingRoom,
    unit: null,
    kind: 'fixture',
    shape: 'panel',
    readings: ['880', '880', '880', '2010', '2010', '2010', '2194', '2194', '40'],
    film: [12, 'decor'],
    parts: [
      { kind: 'hardware', name: 'lever handle and plate' },
      { kind: 'hardware', name: 'closer arm' },
    ],
    wall: {
      texture: 'lacquered wood',
      paint: 'satin',
      state: 'sound',
      paintAge: 'older',
      paintKind: 'ordinary',
      tapeTest: 'held',
    },
  },
  {
    tag: 'DR2',
    name: 'door to the office',
    place: waitingRoom,
    unit: null,
    kind: 'fixture',
    shape: 'panel',
    readings: ['880', '', '880', '', '', '', '', ''],
  },
  ...['1', '2', '3', '4'].map((n): DemoSurface => ({
    tag: `A-S${n}`,
    name: `side window ${n}`,
    place: carASide,
    unit: UNITS.carSide,
    readings: SIDE,
    film: [1, 'pre-squared'],
    at: [500 + (Number(n) - 1) * 1050, 1100],
    facts: IN_THE_HALL,
    ...(n === '1' ? {} : { sameAs: 'A-S1' }),
  })),
  ...['1', '2', '3', '4'].map((n): DemoSurface => ({
    tag: `B-S${n}`,
    name: `side window ${n}`,
    place: carBSide,
    unit: UNITS.carSide,
    readings: n === '1' ? SIDE : [],
    at: [500 + (Number(n) - 1) * 1050, 1100],
    ...(n === '1' ? {} : { sameAs: 'B-S1' }),
  })),
  {
    tag: 'FL1',
    name: 'arched fanlight over the door',
    place: front,
    unit: UNITS.fanlight,
    shape: 'arched top',
    readings: { 'width-top': '1420', rise: '455' },
    at: [3920, 2300],
    remark: 'Putty edge, old glass.',
  },
  {
    tag: 'CT1',
    name: 'counter top',
    place: waitingRoom,
    unit: null,
    kind: 'fixture',
    shape: 'panel',
    readings: {
      'width-top': '2350',
      'width-middle': '2350',
      'width-bottom': '2530',
      'height-left': '640',
      'height-middle': '640',
      'height-right': '640',
      'diagonal-falling': '2436',
      'diagonal-rising': '2436',
      thickness: '38',
      'edge-radius': '4',
      'wrap-mb': '20',
    },
    film: [12, 'wrapped edges'],
    wall: {
      texture: 'laminate',
      paint: 'none',
      state: 'sound',
      paintAge: 'older',
      paintKind: 'ordinary',
      tapeTest: 'held',
    },
  },
  {
    tag: 'CO1',
    name: 'round column by the hatch',
    place: waitingRoom,
    unit: null,
    kind: 'column',
    shape: 'round column',
    readings: { height: '2840', 'round-foot': '1005', 'round-top': '1005', 'round-c1': '1006' },
    film: [42, 'column'],
    wall: {
      texture: 'smooth concrete',
      paint: 'matt',
      state: 'sound',
      paintAge: 'older',
      paintKind: 'ordinary',
      tapeTest: 'held',
    },
  },
  {
    tag: 'CO2',
    name: 'tapered column by the door',
    place: waitingRoom,
    unit: null,
    kind: 'column',
    shape: 'round column',
    readings: { height: '2840', 'round-foot': '1131', 'round-top': '942', 'round-c1': '1037' },
    film: [42, 'column'],
    wall: {
      texture: 'smooth concrete',
      paint: 'matt',
      state: 'sound',
      paintAge: 'older',
      paintKind: 'ordinary',
      tapeTest: 'held',
    },
  },
  {
    tag: 'WL1',
    name: 'block wall for the mural',
    place: waitingRoom,
    unit: null,
    kind: 'wall',
    shape: 'wall',
    readings: {
      'width-top': '4.86 m',
      'width-bottom': '4.87 m',
      'height-left': '2.62 m',
      'height-right': '2.62 m',
      'diagonal-falling': '5.525 m',
      'diagonal-rising': '5.527 m',
    },
    film: [14, 'textured wall'],
    wall: {
      texture: 'painted block',
      bond: 'running',
      unitWidth_nm: mm(390),
      unitHeight_nm: mm(190),
      jointWidth_nm: mm(10),
      jointDepth_nm: mm(4),
      paint: 'satin',
      state: 'sound',
      paintAge: 'older',
      paintKind: 'ordinary',
      tapeTest: 'held',
      leftCorner: 'inside corner',
      rightCorner: 'outside corner',
    },
    parts: [
      {
        kind: 'opening',
        name: 'door to the office',
        x_nm: mm(3420),
        y_nm: mm(570),
        width_nm: mm(940),
        height_nm: mm(2050),
      },
      {
        kind: 'hardware',
        name: 'light switch',
        x_nm: mm(3240),
        y_nm: mm(1480),
        width_nm: mm(80),
        height_nm: mm(80),
      },
    ],
  },
  {
    tag: 'A-E1',
    name: 'valley end window',
    place: carAEnd,
    unit: UNITS.carEnd,
    shape: 'curved glass',
    readings: END,
    film: [48, 'curved, shrunk'],
    facts: {
      ...IN_THE_HALL,
      obstacles: 'wiper arm below, lamp in the lower right corner',
      crew: 'two people',
    },
    parts: [
      { kind: 'obstacle', name: 'lamp', x_nm: mm(1080), y_nm: mm(690), width_nm: mm(90), height_nm: mm(60) },
      { kind: 'hardware', name: 'wiper arm' },
    ],
  },
  {
    tag: 'A-E2',
    name: 'mountain end window',
    place: carAEnd,
    unit: UNITS.carEnd,
    shape: 'curved glass',
    readings: { ...END, 'sag-bottom': '73', 'width-bottom': '1241' },
    film: [48, 'curved, shrunk'],
    facts: IN_THE_HALL,
    sameAs: 'A-E1',
  },
  {
    tag: 'B-E1',
    name: 'valley end window',
    place: carBEnd,
    unit: UNITS.carEnd,
    shape: 'curved glass',
    readings: {},
    sameAs: 'A-E1',
  },
  {
    tag: 'A-D1',
    name: 'door glass',
    place: carASide,
    unit: UNITS.carDoor,
    shape: 'curved glass',
    readings: DOOR,
    film: [48, 'curved, shrunk'],
    at: [4800, 650],
    facts: IN_THE_HALL,
  },
  {
    tag: 'B-D1',
    name: 'door glass',
    place: carBSide,
    unit: UNITS.carDoor,
    shape: 'curved glass',
    readings: {},
    at: [4800, 650],
  },
];

/** How many ids each surface may use for its measures. */
const IDS_EACH = 30;

/** The surfaces with their measures, facts, parts and films, in the order of walking. */
export function surfaceOps(): readonly Op[] {
  return SURFACES.flatMap((surface, index) => opsOf(surface, index + 1));
}

function opsOf(
  {
    tag,
    name,
    place,
    unit,
    readings,
    kind = 'pane',
    shape = 'four sides',
    seenFrom = 'room',
    condition = 'unknown',
    remark = '',
    film,
    sameAs,
    at,
    facts,
    wall,
    parts = [],
  }: DemoSurface,
  n: number,
): readonly Op[] {
  const id = demoId('surface', n);
  const lead = SURFACES.findIndex((candidate) => candidate.tag === sameAs);
  return [
    {
      op: 'put',
      table: 'surface',
      id,
      fields: {
        ...NEW_SURFACE,
        placeId: demoId('place', place),
        unitId: unit === null ? null : demoId('unit', unit),
        tag,
        name,
        kind,
        shape,
        seenFrom,
        condition,
        remark,
        position: n,
        sameAsId: lead < 0 ? null : demoId('surface', lead + 1),
        atX_nm: at === undefined ? null : mm(at[0]),
        atY_nm: at === undefined ? null : mm(at[1]),
      },
    },
    ...(facts === undefined
      ? []
      : [
          {
            op: 'put',
            table: 'siteFacts',
            id: demoId('facts', n),
            fields: { ...NO_SITE_FACTS, ...facts, surfaceId: id },
          } satisfies Op,
        ]),
    ...(wall === undefined
      ? []
      : [
          {
            op: 'put',
            table: 'wallFacts',
            id: demoId('facts', 1000 + n),
            fields: { ...NO_WALL_FACTS, ...wall, surfaceId: id },
          } satisfies Op,
        ]),
    ...parts.map((part, index): Op => ({
      op: 'put',
      table: 'part',
      id: demoId('part', n * 10 + index),
      fields: { ...NEW_PART, ...part, surfaceId: id, position: index + 1 },
    })),
    ...measureOps(shape, id, n * IDS_EACH, readings),
    ...(film === undefined
      ? []
      : [
          {
            op: 'put',
            table: 'application',
            id: demoId('application', n),
            fields: {
              surfaceId: id,
              side: seenFrom,
              filmId: demoId('film', film[0]),
              method: film[1],
              ...DEFAULT_SCHOOLS,
              over: null,
              position: 1,
            },
          } satisfies Op,
        ]),
  ];
}

/** Readings as they were called out. */
export function measureOps(
  shape: SurfaceShape,
  surfaceId: string,
  firstId: number,
  readings: Readings,
): readonly Op[] {
  const isList = (given: Readings): given is readonly string[] => Array.isArray(given);
  return slotsFor(shape).flatMap(({ key, kind, from, to }, index): readonly Op[] => {
    const text = (isList(readings) ? readings[index] : readings[key]) ?? '';
    const parsed = parseReading(text, 'mm', MEASURE_KINDS[kind]);
    if (parsed.kind !== 'length') return [];
    return [
      {
        op: 'put',
        table: 'measure',
        id: demoId('measure', firstId + index),
        fields: {
          surfaceId,
          kind,
          fromPoint: from,
          toPoint: to,
          text,
          unit: parsed.unit,
          value_nm: parsed.value_nm,
          instrument: 'tape',
          sd_nm: null,
        },
      },
    ];
  });
}
