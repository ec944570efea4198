import { describe, expect, it } from '@jest/globals';
import {
  JOB_TABLES,
  MATERIAL_NOT_STATED,
  REFERENCES,
  NEW_PART,
  NEW_PLACE,
  NEW_SURFACE,
  NO_BRIEF,
  NO_SITE_FACTS,
  NO_WALL_FACTS,
} from '@yellow-pane/core/job';
import fc from 'fast-check';
import {
  ERRORS,
  ROUTES,
  ROW_FIELDS,
  changeSchema,
  opSchema,
  filmFieldsSchema,
  measureRequestSchema,
  openApiDocument,
  problem,
} from './index';
import { cutListCsv, readCutListCsv } from './files/cut-files';

const id = '0199b9a6-0007-7000-8000-000000000003';
const said = { personId: null, who: 'Wren', at: '2026-12-01T08:00:00.000Z' };
const drawn = { name: 'Ida', at: '2026-12-01T08:00:00.000Z', strokes: [[10, 20, 40, 25, 60, 18, 90, 30]] };
const quotePaper = {
  ...{ asOf: '2026-12-01T08:00:00.000Z', currency: 'CHF', tax_percent: 8.1, margin_percent: 30, risk: 0.2 },
  ...{ hourCost: 62, tripCost: 35, trips: 1, seed: 1, draws: 20_000 },
  lines: [
    {
      ...{ applicationId: id, surfaceId: id, tag: 'SW1', place: 'front', filmId: id, film: 'neutral 35' },
      ...{ isAbout: false, area_m2: 1.2, used_m2: 1.5, filmCost: 40, minutes: 55, removal: 0, net: 180 },
      steps: [{ step: 'clean', minutes: 12 }],
    },
  ],
  missing: [{ tag: 'SW2', reason: 'not measured' }],
  guesses: ['minutes of work'],
  inputs: {
    ...{ fixed: 75, rate: 1.03, shared: 0.15, work: [{ median_min: 55, deviation: 0.35 }] },
    chances: [{ pieces: 1, came: 0.6, not: 19.4, mean: 90, deviation: 0.3, once: 35 }],
  },
  ...{ mean: 135, least: 110, most: 170, price: 190, priceAtMean: 180, asked: 190 },
};
const samples = {
  job: {
    ...{ name: 'Kestrel Hill', entryUnit: 'mm', archived: false },
    ...{ currency: 'CHF', tax_percent: 8.1, hourCost: 62, tripCost: 35, margin_percent: 30 },
    ...{ customerId: id, street: '', accessHours: '7 to 16', siteContact: '', keys: '', lift: 'none' },
    waterAndPower: '',
  },
  place: {
    parentId: null,
    kind: 'facade',
    name: 'front',
    bearing_deg: 225,
    latitude_deg: 46.62,
    longitude_deg: 9.74,
    altitude_m: null,
    horizon: [{ bearing_deg: 200, elevation_deg: 9 }],
    climate: Array.from({ length: 12 }, () => ({ air_C: 8, swing_K: 9, humidity: 0.75, sun: 0.5 })),
    movable: false,
    position: 1,
  },
  glassUnit: {
    name: 'double',
    glazing: 'double',
    frame: 'masonry',
    edge: 'gasket',
    edgeFinish: 'seamed',
    edgeDepth_nm: 15_000_000,
  },
  filmBrief: { ...NO_BRIEF, placeId: id, lessHeat: 3, look: 'neutral', lightKeptLeast: 0.5 },
  glassPane: {
    unitId: id,
    position: 1,
    treatment: 'toughened',
    thickness_nm: 6_000_000,
    tint: 'grey',
    coating: 'low-e, soft',
    coatedSide: 'inner',
    gapAfter_nm: null,
    gasAfter: 'argon',
  },
  surface: {
    placeId: id,
    unitId: null,
    tag: 'SW1',
    name: '',
    kind: 'pane',
    shape: 'many sides',
    corners: 5,
    seenFrom: 'side A',
    condition: 'cracked',
    edgesSeen: { state: 'sound', personId: null, who: 'Wren', at: '2026-11-30T10:00:00.000Z' },
    remark: 'a\nb',
    position: 1.5,
    sameAsId: null,
    atX_nm: 300_000_000,
    atY_nm: null,
  },
  siteFacts: {
    surfaceId: id,
    storey: 1,
    accessHeight_nm: 900_000_000,
    reach: 'hand and card',
    trimOverlap_nm: null,
    obstacles: 'wiper',
    floor: '',
    power: 'yes',
    crew: 'two people',
    filmFace: 'both',
    sealantToCut: 'unknown',
    rescueGlass: 'yes',
    consent: {
      givenBy: 'rescue service',
      number: 'A 12',
      personId: null,
      who: 'Wren',
      at: '2026-11-25T08:00:00Z',
    },
    oldFilm: 'film',
    oldFilmArea_m2: 0.5,
    oldFilmYears: 12,
    residue: 'some',
    tilt_deg: 90,
    overhangDepth_nm: null,
    overhangAbove_nm: null,
    revealDepth_nm: null,
    leftFinDepth_nm: 300_000_000,
    leftFinBeside_nm: 50_000_000,
    rightFinDepth_nm: null,
    rightFinBeside_nm: null,
    blind: 'vented',
    sun: 'never',
    heatOutlet: 'none',
  },
  wallFacts: {
    surfaceId: id,
    texture: 'painted block',
    bond: 'running',
    unitWidth_nm: 390_000_000,
    unitHeight_nm: 190_000_000,
    jointWidth_nm: 10_000_000,
    jointDepth_nm: 4_000_000,
    paint: 'satin',
    state: 'sound',
    paintAge: 'older',
    paintKind: 'ordinary',
    tapeTest: 'held',
    flatness_nm: 3_000_000,
    moisture: 4.5,
    ground_C: 18,
    ground: { state: 'accepted', personId: null, who: 'Wren', at: '2026-11-25T08:00:00Z' },
    leftCorner: 'inside corner',
    rightCorner: 'free edge',
  },
  part: {
    surfaceId: id,
    kind: 'furrow',
    name: '',
    x_nm: null,
    y_nm: null,
    width_nm: 10_000_000,
    height_nm: null,
    depth_nm: 5_000_000,
    planRadius_nm: null,
    edgeRadius_nm: null,
    form: 'V',
    count: 6,
    takenOffAt: null,
    putBackAt: '2026-11-24T09:20:00.000Z',
    remark: '',
    position: 1,
  },
  photo: {
    surfaceId: id,
    partId: null,
    markId: null,
    applicationId: id,
    step: 'lay',
    takenAt: '2026-11-24T09:20:00.000Z',
    caption: 'crack',
    width_px: 1600,
    height_px: 1200,
    bytes: 240_000,
    position: 1,
    square: {
      taps: [
        { x: 1, y: 2 },
        { x: 9.5, y: 2 },
        { x: 9, y: 9 },
        { x: 1, y: 9 },
      ],
      width_nm: 85_600_000,
      height_nm: 53_980_000,
    },
    outline: [
      { x: 3, y: 3 },
      { x: 5, y: 3 },
      { x: 4, y: 5 },
    ],
    pairOfId: null,
    paired: 'smaller',
  },
  measure: {
    surfaceId: id,
    kind: 'distance',
    fromPoint: 'tl',
    toPoint: 'tr',
    text: '34 5/8',
    unit: 'in',
    value_nm: 879_475_000,
    instrument: 'tape',
    sd_nm: null,
  },
  application: {
    surfaceId: id,
    side: 'room',
    filmId: id,
    method: 'decor',
    schools: { liner: 'hang and pull', lock: 'X' },
    over: { top_nm: 22_000_000, right_nm: 0, bottom_nm: 22_000_000, left_nm: 0 },
    position: 1,
  },
  seamChoice: {
    applicationId: id,
    kind: 'double cut',
    placing: null,
    match: 'half drop',
    firstDrop: null,
    rollWidth_nm: 914_400_000,
  },
  jobAllowance: { method: 'decor', top_nm: 40_000_000, right_nm: 0, bottom_nm: 1, left_nm: 2 },
  cutPlan: {
    filmId: id,
    mode: 'by plotter',
    stages: 3,
    gap_nm: 2_000_000,
    endWaste_nm: 0,
    mostSheet_nm: null,
    objective: 'money',
    liner: 'down',
    edgeMust: true,
    lengthUsed_nm: 0,
    bound_nm: 0,
    filmCost: 12.5,
    cost: -1,
    filmBound: 12,
    stopped: 'limit',
  },
  cutRoll: {
    planId: id,
    stockId: null,
    what: 'to order',
    label: '',
    lot: '',
    width_nm: 1,
    length_nm: 0,
    used_nm: 0,
    leftEdge: false,
    rightEdge: true,
    position: 0,
    ticks: [0, 1, 2],
    bookedAt: null,
  },
  cutPiece: {
    planId: id,
    rollId: id,
    applicationId: id,
    drop: 2,
    dropOf: 4,
    tag: 'WL1',
    position: 0,
    level: 0,
    x_nm: 0,
    y_nm: 0,
    across_nm: 1,
    along_nm: 1,
    turned: true,
    flipped: false,
    phase_nm: 0,
    outline: [
      { x: 0, y: 0 },
      { x: 1, y: 0 },
    ],
    notch_nm: 0,
    sector: { inner_mm: 9000, outer_mm: 11_800, angle_rad: 0.2 },
    topAlong: false,
    pinned: true,
    inputsHash: 'x',
    cutAt: '2026-11-24T09:20:00.000Z',
    spoiledAt: null,
  },
  offcut: {
    cutRollId: id,
    parentId: null,
    filmId: id,
    label: 'O-1',
    lot: '',
    width_nm: 1,
    length_nm: 1,
    perMetre: null,
    leftEdge: true,
    rightEdge: false,
    where: '',
    gone: false,
  },
  stockTake: { cutRollId: id, stockId: id, length_nm: 1, reason: 'cut' },
  daySettings: {
    firstDay: '2026-11-25',
    days: 3,
    restDays: [6, 7],
    zone: 'Europe/Zurich',
    indoor_C: null,
    indoorHumidity: 0.4,
    bearingDoubt_deg: 1,
    comeFrom_C: null,
    rollWrap: 'boxed',
    coreRadius_mm: 38,
    slip: 'household',
    primer: 'water-based',
    schools: { shrink: 'one sweep' },
    tools: [{ tool: 'ladder', count: 1 }],
    packed: ['tool:level'],
  },
  crewMember: {
    name: 'Wren',
    personId: null,
    begins: 450,
    ends: 1020,
    breakBegins: 720,
    breakEnds: 750,
    position: 1,
  },
  plannedStep: {
    applicationId: id,
    template: 'flat-glass',
    step: 'clean',
    templateVersion: 1,
    startsAt: '2026-11-25T06:30:00.000Z',
    endsAt: '2026-11-25T06:50:00.000Z',
    steps: ['clean', 'dry-edges'],
    people: [id],
    pinned: true,
  },
  workRecord: {
    applicationId: id,
    template: 'flat-glass',
    step: 'clean',
    templateVersion: 1,
    startedAt: null,
    doneAt: '2026-11-24T09:20:00.000Z',
    roundsAt: ['2026-11-24T09:20:00.000Z', null],
    foldsSaid: ['pops up', null],
    people: ['Wren', 'Robin'],
    mix: 'household, 0.78 % soap',
    deviation: 'by hand alone',
    handedTo: { personId: id, who: 'Robin', at: '2026-11-24T09:25:00.000Z' },
    note: '',
  },
  waitEnd: {
    applicationId: id,
    step: 'prime',
    endedAt: '2026-11-24T09:20:00.000Z',
    how: 'early',
    reason: 'a fan was on it',
  },
  gateTick: {
    applicationId: id,
    check: 'liner side',
    answer: 'not right',
    word: 'turned round',
    lookedAt: '2026-11-24T09:20:00.000Z',
  },
  ownPlan: {
    applicationId: id,
    kind: 'shrink',
    changes: { line_nm: -12_000_000, folds: 5, isTurned: false },
    inputsHash: '0a1b2c3d',
  },
  ruleSet: {
    name: 'film, six feet, milder',
    setVersion: 2,
    copyOf: 'film, six feet',
    source: { kind: 'from memory', text: 'a standard; read it' },
    rules: {
      distance_m: 1.83,
      angles_deg: [0, 45],
      light: 'daylight',
      edge: { mm: 50, mmOver: null },
      ofSeen: 'must not be obtrusive',
      rules: [{ kind: 'spot', over_mm: 3, to_mm: null, zone: 'any', limit: { case: 'at most', count: 0 } }],
      cluster: { count: 5, within_mm: 300, from_mm: 0 },
      watched: ['bubble'],
      gap_mm: { least: 1, most: 2, mostThick: 3.2 },
      leastLight: 0.7,
    },
  },
  inspection: {
    surfaceId: id,
    ruleSetId: null,
    setName: 'film, six feet',
    setVersion: 1,
    distance_mm: 1830,
    light: 'daylight',
    views: ['square', 'edges'],
    inputsHash: '0a1b2c3d',
    begun: { personId: id, who: 'Robin', at: '2026-11-24T09:25:00.000Z' },
    accepted: null,
  },
  lookTick: {
    inspectionId: id,
    view: 'edges',
    strip: 3,
    said: { personId: id, who: 'Robin', at: '2026-11-24T09:26:00.000Z' },
  },
  markDecision: {
    markId: id,
    inspectionId: id,
    verdict: 'watch',
    by: 'the rules',
    reason: 'Water under the film dries by itself until its date.',
    under: 'film, six feet, 1; daylight; 1.83 m',
    inputsHash: '0a1b2c3d',
    watchUntil: '2026-12-24T09:25:00.000Z',
    said: { personId: id, who: 'Robin', at: '2026-11-24T09:26:00.000Z' },
  },
  visit: {
    reasons: [
      { key: 'pockets a', kind: 'pockets gone?', surfaceId: id, applicationId: id, markId: id },
      { key: 'sealant b', kind: 'sealant back', surfaceId: id, applicationId: id, markId: null },
    ],
    notBefore: '2026-12-01T08:00:00.000Z',
    due: '2026-12-24T08:00:00.000Z',
    plannedAt: null,
    people: ['Wren'],
    state: 'open',
    note: '',
  },
  causeCase: {
    markIds: [id],
    look: 'waterPocket',
    answers: [{ evidence: 'press', state: 'springs back' }],
    tableVersion: 1,
    posterior: [0.2, 0.8],
    confirmed: 'airNotWater',
    how: 'seen',
    remedy: null,
    said: { personId: id, who: 'Robin', at: '2026-11-24T09:26:00.000Z' },
  },
  enquiry: {
    ...{ caller: 'Ida', phone: '', wish: 'less heat' },
    asked: [
      {
        ...{ what: 'pane', count: 4, width_nm: 1_200_000_000, height_nm: null, bearing_deg: 180 },
        ...{ storey: 3, filmId: null, oldFilm: 'unknown' },
      },
    ],
    rough: { least: 900, most: 1400, currency: 'CHF' },
    halfDay: { from: '2026-12-01T07:00:00.000Z', to: '2026-12-01T11:00:00.000Z' },
    said,
  },
  quote: {
    ...{ number: '1', name: 'as planned', alternativeOfId: null, validUntil: '2026-12-31' },
    swaps: [{ from: id, to: id }],
    paper: quotePaper,
    sent: said,
    answer: { said: 'accepted', signature: drawn, note: '', by: said },
  },
  arrival: {
    found: [
      {
        ...{ surfaceId: id, tag: 'SW1', photoIds: [id], ground: 'accepted' },
        lines: [{ kind: 'glass', says: 'chipped', who: 'Wren' }],
      },
    ],
    note: '',
    signature: drawn,
    by: said,
  },
  extra: {
    ...{ number: 'E1', text: 'one more as DR1', likeSurfaceId: id, count: 1, net: 120, currency: 'CHF' },
    ...{ tax_percent: null, basis: 'as DR1 in quote 1', signature: null, by: said },
  },
  payment: {
    ...{ kind: 'deposit', number: '1-1', lines: [{ text: 'deposit', net: 100 }], currency: 'CHF' },
    ...{ tax_percent: 8.1, dueDay: '2026-12-15', asked: said, upToDay: '2026-12-01' },
    signature: drawn,
    paid: { day: '2026-12-10', gross: 108.1, by: said },
  },
  handOver: {
    asOf: '2026-12-01T10:00:00.000Z',
    panes: [
      {
        ...{ applicationId: id, surfaceId: id, tag: 'SW1', place: 'front', film: 'neutral 35', face: 'room' },
        rolls: [{ label: 'N35', lot: 'L-1' }],
        ...{ laidAt: '2026-11-24T09:20:00.000Z', people: ['Wren'], mix: null, judged: 'go' },
        readings: [{ quantity: 'surface', shown: '18 °C', who: 'Wren', at: '2026-11-24T09:20:00.000Z' }],
        ...{
          ruleSet: 'film, six feet, 1',
          acceptedBy: said,
          warnings: ['no hooks'],
          before: id,
          after: null,
        },
        marks: [{ look: 'nib', size_nm: 800_000, verdict: 'accept' }],
        dates: [{ key: 'clear', from: null, until: '2026-12-24T00:00:00.000Z' }],
        putBack: [{ name: 'handle', at: null }],
      },
    ],
    open: [{ kind: 'mark', tag: 'SW1', what: 'nib', until: null }],
    note: '',
    signature: drawn,
    by: said,
  },
  testPiece: {
    kind: 'shrink strip',
    filmId: id,
    lot: '7121',
    surfaceId: null,
    weather: '12 °C, dry',
    fields: { marked_nm: 250_000_000, after_nm: 240_000_000, film_C: null },
    outcome: 'go',
  },
  mark: {
    surfaceId: id,
    applicationId: id,
    step: 'lay',
    look: 'speck',
    x_nm: 120_000_000,
    y_nm: 300_000_000,
    size_nm: 2_000_000,
    length_nm: null,
    firstSeenAt: '2026-11-24T09:20:00.000Z',
    from: 'fit',
    note: '',
    tests: { press: 'creeps away', warm: 'not tried', shape: 'alone' },
    goneAt: null,
  },
  reading: {
    surfaceId: id,
    applicationId: id,
    step: 'post-heat',
    markId: null,
    quantity: 'film temperature',
    instrument: 'infrared thermometer',
    shown: '92.0',
    value: 92,
    settings: {
      emissivity: 0.95,
      reflected_C: 22,
      distance_mm: 300,
      angle_deg: null,
      secondsSinceGun: 2,
    },
    corrected: 93.2,
    plusMinus: 2,
    x_nm: null,
    y_nm: null,
  },
} as const;

describe('do the wire shapes hold?', () => {
  it.each(JOB_TABLES)('%s goes over the wire and comes back the same', (table) => {
    expect(ROW_FIELDS[table].parse(JSON.parse(JSON.stringify(samples[table])))).toEqual(samples[table]);
  });
  it.each(JOB_TABLES)('%s refuses a field nobody knows', (table) => {
    expect(ROW_FIELDS[table].safeParse({ ...samples[table], extra: 1 }).success).toBe(false);
  });
  it.each(JOB_TABLES)('%s refuses each of its fields missing', (table) => {
    for (const key of Object.keys(samples[table]))
      expect(ROW_FIELDS[table].safeParse({ ...samples[table], [key]: undefined }).success).toBe(false);
  });
  it.each(JOB_TABLES)('%s: setting one field says nothing of the others', (table) => {
    for (const [key, value] of Object.entries(samples[table])) {
      const set = { op: 'set', table, id, fields: { [key]: value }, baseVersion: 1 };
      const read = opSchema.safeParse(set);
      if (read.success && read.data.op === 'set') expect(Object.keys(read.data.fields)).toEqual([key]);
    }
  });
  it('a change may not be empty, nor hold over 2000 operations', () => {
    const change = (count: number): unknown => ({
      id,
      session: id,
      who: 'Wren',
      ops: Array.from({ length: count }, () => ({ op: 'remove', table: 'measure', id, baseVersion: 1 })),
    });
    expect([0, 1, 2000, 2001].map((count) => changeSchema.safeParse(change(count)).success)).toEqual([
      false,
      true,
      true,
      false,
    ]);
  });
  it('a measure of under 1 mm or over 100 m, of half a nanometre or of none is refused', () => {
    const taken = (fields: object): boolean =>
      changeSchema.safeParse({
        id,
        session: id,
        who: 'Wren',
        ops: [{ op: 'put', table: 'measure', id, fields: { ...samples.measure, ...fields } }],
      }).success;
    for (const value_nm of [0, 999_999, 100_000_000_001, 1_000_000.5, null, '880'])
      expect(taken({ value_nm })).toBe(false);
    expect(taken({ kind: 'sag', value_nm: -3_000_000 })).toBe(true);
    expect(taken({ kind: 'right angle', toPoint: 'tl', value_nm: 1 })).toBe(false);
  });
  it('a film cannot give more light than it gets', () => {
    const film = {
      name: 'x',
      family: 'solar',
      use: '',
      thickness_um: 50,
      direction: 'none',
      referenceGlass: '',
      uvTransmitted: null,
      visibleTransmitted: 0.6,
      visibleReflectedRoom: 0.3,
      visibleReflectedOutside: null,
      solarTransmitted: 0.9,
      solarReflected: 0.05,
      solarReflectedRoom: null,
      haze: null,
      coverage: null,
      opening_nm: null,
      repeat_nm: null,
      face: 'room side',
      laying: 'wet',
      claims: '',
      emissivity: null,
      workMin_C: null,
      workMax_C: null,
      handling: '',
      invented: false,
      ...MATERIAL_NOT_STATED,
      widths_nm: [1e9],
    };
    expect(filmFieldsSchema.safeParse(film).success).toBe(true);
    expect(
      filmFieldsSchema.safeParse({ ...film, visibleReflectedRoom: 0.41 }).error?.issues[0]?.path,
    ).toEqual(['visibleReflectedRoom']);
    expect(filmFieldsSchema.safeParse({ ...film, solarReflected: 0.2 }).error?.issues[0]?.path).toEqual([
      'solarReflected',
    ]);
    expect(filmFieldsSchema.safeParse({ ...film, widths_nm: [] }).success).toBe(false);
  });
  it('a measure to calculate with is a finite number', () => {
    expect(
      measureRequestSchema.safeParse({
        measures: [{ id: 'a', from: 'tl', to: 'tr', value_mm: Number.NaN, instrument: 'tape' }],
      }).success,
    ).toBe(false);
  });
});

describe('does every refusal have words?', () => {
  it('title, remedy and a 4xx or 5xx for every code', () => {
    for (const { status, title, remedy } of Object.values(ERRORS))
      expect(status >= 400 && status < 600 && title.length > 10 && remedy.length > 10).toBe(true);
  });
  it('the sentence says where, what was expected, what came and what to do', () => {
    expect(
      problem('MEASURE_DISTANCE_RANGE', { path: 'Pane 3, width', expected: '20 to 6000 mm', got: '62000' })
        .detail,
    ).toBe('Pane 3, width: expected 20 to 6000 mm, got 62000. Typed in another unit, or a digit too many?');
  });
});

describe('does what is new and unknown fit the contract?', () => {
  it.each([
    ['place', { ...NEW_PLACE, name: 'x', position: 1 }],
    ['surface', { ...NEW_SURFACE, placeId: id, tag: 'W1', position: 1 }],
    ['siteFacts', { ...NO_SITE_FACTS, surfaceId: id }],
    ['wallFacts', { ...NO_WALL_FACTS, surfaceId: id }],
    ['part', { ...NEW_PART, surfaceId: id, kind: 'damage', position: 1 }],
  ] as const)('a blank %s', (table, fields) => {
    expect(ROW_FIELDS[table].safeParse(fields).error).toBeUndefined();
  });
});

describe('is the API described?', () => {
  it('every route has a sentence; bodies are schemas; refusals are problems', () => {
    const document = openApiDocument('1.2.3') as {
      readonly openapi: string;
      readonly paths: Record<
        string,
        Record<
          string,
          {
            readonly summary: string;
            readonly requestBody?: { readonly content: Record<string, { readonly schema: object }> };
          }
        >
      >;
    };
    expect(document.openapi).toBe('3.1.0');
    for (const { path, method, body } of ROUTES) {
      const operation = document.paths[path]?.[method];
      expect(operation?.summary.length).toBeGreaterThan(10);
      if (body !== undefined)
        expect(
          Object.keys(operation?.requestBody?.content['application/json']?.schema ?? {}).length,
        ).toBeGreaterThan(1);
    }
  });
});

describe('is a cut list safe and lossless?', () => {
  const rows = fc.array(
    fc
      .record({
        order: fc.nat(999),
        roll: fc.string({ unit: 'grapheme' }).filter((roll) => !/[\r\n]/.test(roll)),
        strip: fc.nat(99),
        tag: fc.string({ unit: 'grapheme', minLength: 1 }).filter((tag) => !/[\r\n]/.test(tag)),
        fromEdge_mm: fc.nat(50_000),
        fromEnd_mm: fc.nat(50_000),
        across_mm: fc.nat(50_000),
        along_mm: fc.nat(50_000),
        turned: fc.boolean(),
        phase_mm: fc.nat(9999).map((value) => value / 10),
        factoryEdges: fc.subarray(['top', 'left']),
      })
      .map((row) => ({
        ...row,
        fromEdge_mm: row.fromEdge_mm / 10,
        fromEnd_mm: row.fromEnd_mm / 10,
        across_mm: row.across_mm / 10,
        along_mm: row.along_mm / 10,
      })),
    { maxLength: 12 },
  );
  it('whatever the names, it reads back the same', () => {
    fc.assert(
      fc.property(rows, (list) => {
        expect(readCutListCsv(cutListCsv(list))).toEqual(list);
      }),
    );
  });
  it.each(['=1+1', '+1', '-1', '@x', "'quoted"])(
    '%s gets an apostrophe in front, taken off again on reading',
    (tag) => {
      const csv = cutListCsv([
        {
          order: 1,
          roll: 'R',
          strip: 1,
          tag,
          fromEdge_mm: 0,
          fromEnd_mm: 0,
          across_mm: 1,
          along_mm: 1,
          turned: false,
          phase_mm: 0,
          factoryEdges: [],
        },
      ]);
      expect(csv).toContain(`,'${tag},`);
      expect(readCutListCsv(csv)[0]?.tag).toBe(tag);
    },
  );
  it('another table is refused with its line', () => {
    expect(() => readCutListCsv('a,b\n1,2')).toThrow('line 1');
  });
});

describe('is every field that names another row of the job in the list of references?', () => {
  /** Of the catalogue, the stock and the people, which belong to no job. */
  const ELSEWHERE: readonly string[] = ['filmId', 'stockId', 'personId', 'customerId', 'offcut.parentId'];
  it('each field that ends in Id, of every table', () => {
    const fields = JOB_TABLES.flatMap((table) =>
      Object.keys(ROW_FIELDS[table].shape)
        .filter(
          (field) =>
            field.endsWith('Id') && !ELSEWHERE.includes(field) && !ELSEWHERE.includes(`${table}.${field}`),
        )
        .map((field) => `${table}.${field}`),
    );
    expect(fields.sort()).toEqual(REFERENCES.map(({ table, field }) => `${table}.${field}`).sort());
  });
});
